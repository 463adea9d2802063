/** How well a spot suits a plant in one month, factor by factor, and which factor limits it most. */
import type { AirMovement } from '../home/facts';
import type { Target } from '../plant';
import type { Condition } from './condition';
import { distanceFromBand, trapezoid } from './trapezoid';

export const FACTORS = ['light', 'day-length', 'warmth', 'moisture', 'air'] as const;
export type Factor = (typeof FACTORS)[number];

export type Direction = 'too-little' | 'right' | 'too-much';

/** What about a factor is meant: the sum of a day, its peak, or day against night. */
export type Aspect = 'dli' | 'peak' | 'direct-sun' | 'day-length' | 'night-length' | 'day' | 'night' | 'humidity' | 'movement';

/** `short`: it lives but does not thrive; `danger`: below what it survives or above what it bears. */
export type Severity = 'fine' | 'short' | 'danger';

export interface FactorFit {
  readonly factor: Factor;
  readonly aspect: Aspect;
  /** 0..1. */
  readonly score: number;
  readonly direction: Direction;
  readonly severity: Severity;
  /** What the spot gives and what is wanted, in the factor's unit (for air movement 0 still, 1 gentle, 2 brisk). */
  readonly gets: number;
  readonly wantsFrom: number;
  readonly wantsTo: number;
  /** Signed distance from the wanted band, in the factor's unit. */
  readonly distance: number;
  /** Whether a dull and a bright year would be judged differently. */
  readonly depends: 'on-the-year' | 'no';
}

export interface MonthFit {
  readonly month: number;
  readonly factors: readonly FactorFit[];
  /** 0..1. */
  readonly whole: number;
  /** The factor that limits most; null when all are right. */
  readonly limiting: Factor | null;
}

/** Share of the whole that the scarcest factor decides; the mean of all five has the rest. */
const SCARCEST_RULES = 0.8;

/** The whole from the factors' scores: ruled by the scarcest, softened so that the others still count. */
export function wholeScore(scores: readonly number[]): number {
  const least = Math.min(...scores);
  const mean = scores.reduce((sum, score) => sum + score, 0) / scores.length;
  return SCARCEST_RULES * least + (1 - SCARCEST_RULES) * mean;
}

type Reading = Omit<FactorFit, 'factor' | 'direction' | 'distance' | 'depends'> & { readonly depends?: FactorFit['depends'] };

function toFit(factor: Factor, reading: Reading): FactorFit {
  const distance = distanceFromBand(reading.gets, reading.wantsFrom, reading.wantsTo);
  const direction = distance < 0 ? 'too-little' : distance > 0 ? 'too-much' : 'right';
  return { ...reading, factor, direction, distance, depends: reading.depends ?? 'no' };
}

function worst(readings: readonly Reading[]): Reading {
  return readings.reduce((least, next) => (next.score < least.score ? next : least));
}

function lightReading({ light }: Target, c: Condition): Reading {
  const band = { zeroBelow: light.survives / 2, from: light.thrivesFrom, to: light.thrivesTo, zeroAbove: light.scorches * 1.25 };
  const judge = (dli: number) => (dli < light.thrivesFrom ? 'low' : dli > light.thrivesTo ? 'high' : 'right');
  const readings: Reading[] = [
    {
      aspect: 'dli',
      score: trapezoid(c.dli, band),
      severity: judge(c.dli) === 'right' ? 'fine' : c.dli < light.survives || c.dli > light.scorches ? 'danger' : 'short',
      gets: c.dli,
      wantsFrom: light.thrivesFrom,
      wantsTo: light.thrivesTo,
      depends: judge(c.dliPoorYear) === judge(c.dliGoodYear) ? 'no' : 'on-the-year',
    },
    {
      aspect: 'peak',
      score: trapezoid(c.peakPpfd, { zeroBelow: 0, from: 0, to: light.peakPpfd, zeroAbove: light.peakPpfd * 3 }),
      severity: c.peakPpfd <= light.peakPpfd ? 'fine' : c.peakPpfd > light.peakPpfd * 2 ? 'danger' : 'short',
      gets: c.peakPpfd,
      wantsFrom: 0,
      wantsTo: light.peakPpfd,
    },
  ];
  // A weak sun burns nothing: hours of it count only where the leaf comes near its peak.
  if (c.peakPpfd > light.peakPpfd * 0.7) {
    const bears = light.sunHoursUsed;
    readings.push({
      aspect: 'direct-sun',
      score: trapezoid(c.sunHoursLikely, { zeroBelow: 0, from: 0, to: bears, zeroAbove: bears + 6 }),
      severity: c.sunHoursLikely <= bears ? 'fine' : c.sunHoursLikely > bears + 3 ? 'danger' : 'short',
      gets: c.sunHoursLikely,
      wantsFrom: 0,
      wantsTo: bears,
    });
  }
  return worst(readings);
}

function dayLengthReading({ day, phase }: Target, c: Condition): Reading {
  if (phase === 'inducing' && day.kind === 'short') {
    const critical = 24 - day.maxH;
    const short = c.longestNightH < critical;
    return {
      aspect: 'night-length',
      score: trapezoid(c.longestNightH, { zeroBelow: critical - 3, from: critical, to: 24, zeroAbove: 24 }),
      severity: short ? 'danger' : 'fine',
      gets: c.longestNightH,
      wantsFrom: critical,
      wantsTo: 24,
    };
  }
  return {
    aspect: 'day-length',
    score: trapezoid(c.dayH, { zeroBelow: day.minH - 6, from: day.minH, to: day.maxH, zeroAbove: day.maxH + 8 }),
    severity: c.dayH >= day.minH && c.dayH <= day.maxH ? 'fine' : 'short',
    gets: c.dayH,
    wantsFrom: day.minH,
    wantsTo: day.maxH,
  };
}

function warmthReading({ warmth }: Target, { air }: Condition): Reading {
  const severity = (celsius: number, from: number, to: number): Severity =>
    celsius < warmth.lowest || celsius > warmth.highest ? 'danger' : celsius < from || celsius > to ? 'short' : 'fine';
  const part = (aspect: 'day' | 'night', gets: number, from: number, to: number): Reading => ({
    aspect,
    score: trapezoid(gets, { zeroBelow: Math.min(warmth.lowest, from) - 1, from, to, zeroAbove: Math.max(warmth.highest, to) + 1 }),
    severity: severity(gets, from, to),
    gets,
    wantsFrom: from,
    wantsTo: to,
  });
  return worst([
    part('day', air.dayC, warmth.dayFrom, warmth.dayTo),
    part('night', air.nightC, warmth.nightFrom, warmth.nightTo),
  ]);
}

function moistureReading({ moisture }: Target, { air, airMovement }: Condition): Reading {
  // Moist air harms when it stands: moving air raises what is borne.
  const ceiling = airMovement === 'still' ? moisture.tooMoistStill : Math.max(97, moisture.tooMoistStill);
  const top = Math.max(moisture.thrivesTo, ceiling);
  const part = (gets: number): Reading => ({
    aspect: 'humidity',
    score: trapezoid(gets, { zeroBelow: moisture.survives - 15, from: moisture.thrivesFrom, to: top, zeroAbove: top + 20 }),
    severity: gets < moisture.survives || gets > top + 5 ? 'danger' : gets < moisture.thrivesFrom || gets > top ? 'short' : 'fine',
    gets,
    wantsFrom: moisture.thrivesFrom,
    wantsTo: top,
  });
  return worst([part(air.dayRh), part(air.nightRh)]);
}

const MOVEMENT: Record<AirMovement, number> = { still: 0, gentle: 1, brisk: 2 };

function airReading({ air, moisture }: Target, c: Condition): Reading {
  const gets = MOVEMENT[c.airMovement];
  const wants = MOVEMENT[air];
  // A draught dries thin leaves further when the air is dry already.
  const draughty = air === 'still' && gets === 2 && c.air.dayRh < moisture.thrivesFrom;
  const wantsTo = draughty ? 1 : 2;
  const missing = Math.max(0, wants - gets);
  return {
    aspect: 'movement',
    score: draughty ? 0.6 : 1 - 0.4 * missing,
    severity: draughty || missing > 0 ? 'short' : 'fine',
    gets,
    wantsFrom: wants,
    wantsTo: Math.max(wants, wantsTo),
  };
}

/** The fit of one target to one condition. */
export function fitMonth(target: Target, condition: Condition): MonthFit {
  const factors = [
    toFit('light', lightReading(target, condition)),
    toFit('day-length', dayLengthReading(target, condition)),
    toFit('warmth', warmthReading(target, condition)),
    toFit('moisture', moistureReading(target, condition)),
    toFit('air', airReading(target, condition)),
  ];
  const scores = factors.map((fit) => fit.score);
  const least = Math.min(...scores);
  return {
    month: condition.month,
    factors,
    whole: wholeScore(scores),
    limiting: least < 1 ? factors[scores.indexOf(least)]!.factor : null,
  };
}
