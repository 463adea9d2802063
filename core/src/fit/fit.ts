/** How well a spot suits a plant in one month, factor by factor, and which factor limits it most. */
import type { AirMovement } from '../facts';
import type { Target } from '../plant';
import type { Condition } from './condition';
import { distanceFromBand, trapezoid } from './trapezoid';

export const FACTORS = ['light', 'day-length', 'warmth', 'moisture', 'air'] as const;
export type Factor = (typeof FACTORS)[number];

export type Direction = 'too-little' | 'right' | 'too-much';

/** What about a factor is meant: the sum of a day, its peak, or day against night. */
export type Aspect =
  'dli' | 'peak' | 'direct-sun' | 'day-length' | 'night-length' | 'day' | 'night' | 'humidity' | 'movement';

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

/** Completes a reading with what follows from it. */
function reading(
  factor: Factor,
  aspect: Aspect,
  score: number,
  severity: Severity,
  gets: number,
  wantsFrom: number,
  wantsTo: number,
  depends: FactorFit['depends'] = 'no',
): FactorFit {
  const distance = distanceFromBand(gets, wantsFrom, wantsTo);
  const direction = distance < 0 ? 'too-little' : distance > 0 ? 'too-much' : 'right';
  return { factor, aspect, score, severity, gets, wantsFrom, wantsTo, distance, direction, depends };
}

function worse(p: FactorFit, q: FactorFit): FactorFit {
  return q.score < p.score ? q : p;
}

type Judgement = 'low' | 'right' | 'high';

function judge(value: number, from: number, to: number): Judgement {
  return value < from ? 'low' : value > to ? 'high' : 'right';
}

/** Fine up to a limit, dangerous beyond a second one. */
function severityAbove(value: number, limit: number, danger: number): Severity {
  return value <= limit ? 'fine' : value > danger ? 'danger' : 'short';
}

const dliScore = ({ light }: Target, { dli }: Condition) =>
  trapezoid(dli, light.survives / 2, light.thrivesFrom, light.thrivesTo, light.scorches * 1.25);
const peakScoreOf = ({ light }: Target, c: Condition) =>
  trapezoid(c.peakPpfd, 0, 0, light.peakPpfd, light.peakPpfd * 3);
const sunScoreOf = ({ light }: Target, c: Condition) =>
  trapezoid(c.sunHoursLikely, 0, 0, light.sunHoursUsed, light.sunHoursUsed + 6);
/** A weak sun burns nothing: hours of it count only where the leaf comes near its peak. */
const sunCounts = ({ light }: Target, c: Condition) => c.peakPpfd > light.peakPpfd * 0.7;

function lightFit(target: Target, c: Condition): FactorFit {
  const { survives, thrivesFrom, thrivesTo, scorches, peakPpfd, sunHoursUsed } = target.light;
  const score = dliScore(target, c);
  const severity =
    judge(c.dli, thrivesFrom, thrivesTo) === 'right'
      ? 'fine'
      : c.dli < survives || c.dli > scorches
        ? 'danger'
        : 'short';
  const sameEitherYear = judge(c.dliPoorYear, thrivesFrom, thrivesTo) === judge(c.dliGoodYear, thrivesFrom, thrivesTo);
  let fit = reading(
    'light',
    'dli',
    score,
    severity,
    c.dli,
    thrivesFrom,
    thrivesTo,
    sameEitherYear ? 'no' : 'on-the-year',
  );
  const peakScore = peakScoreOf(target, c);
  fit = worse(
    fit,
    reading('light', 'peak', peakScore, severityAbove(c.peakPpfd, peakPpfd, peakPpfd * 2), c.peakPpfd, 0, peakPpfd),
  );
  if (sunCounts(target, c)) {
    const sunScore = sunScoreOf(target, c);
    const sunSeverity = severityAbove(c.sunHoursLikely, sunHoursUsed, sunHoursUsed + 3);
    fit = worse(fit, reading('light', 'direct-sun', sunScore, sunSeverity, c.sunHoursLikely, 0, sunHoursUsed));
  }
  return fit;
}

const needsLongNight = ({ day, phase }: Target) => phase === 'inducing' && day.kind === 'short';

function dayLengthScore(target: Target, c: Condition): number {
  const { day } = target;
  if (needsLongNight(target)) return trapezoid(c.longestNightH, 21 - day.maxH, 24 - day.maxH, 24, 24);
  return trapezoid(c.dayH, day.minH - 6, day.minH, day.maxH, day.maxH + 8);
}

function dayLengthFit(target: Target, c: Condition): FactorFit {
  const { day } = target;
  const score = dayLengthScore(target, c);
  if (needsLongNight(target)) {
    const critical = 24 - day.maxH;
    return reading(
      'day-length',
      'night-length',
      score,
      c.longestNightH < critical ? 'danger' : 'fine',
      c.longestNightH,
      critical,
      24,
    );
  }
  const severity = judge(c.dayH, day.minH, day.maxH) === 'right' ? 'fine' : 'short';
  return reading('day-length', 'day-length', score, severity, c.dayH, day.minH, day.maxH);
}

const warmthScore = ({ warmth }: Target, gets: number, from: number, to: number) =>
  trapezoid(gets, Math.min(warmth.lowest, from) - 1, from, to, Math.max(warmth.highest, to) + 1);

function warmthFit(target: Target, { air }: Condition): FactorFit {
  const { warmth } = target;
  const part = (aspect: 'day' | 'night', gets: number, from: number, to: number) => {
    const score = warmthScore(target, gets, from, to);
    const deadly = gets < warmth.lowest || gets > warmth.highest;
    return reading(
      'warmth',
      aspect,
      score,
      deadly ? 'danger' : judge(gets, from, to) === 'right' ? 'fine' : 'short',
      gets,
      from,
      to,
    );
  };
  return worse(
    part('day', air.dayC, warmth.dayFrom, warmth.dayTo),
    part('night', air.nightC, warmth.nightFrom, warmth.nightTo),
  );
}

/** Moist air harms when it stands: moving air raises what is borne. */
function moistureTop({ moisture }: Target, { airMovement }: Condition): number {
  const ceiling = airMovement === 'still' ? moisture.tooMoistStill : Math.max(97, moisture.tooMoistStill);
  return Math.max(moisture.thrivesTo, ceiling);
}

const moistureScore = ({ moisture }: Target, gets: number, top: number) =>
  trapezoid(gets, moisture.survives - 15, moisture.thrivesFrom, top, top + 20);

function moistureFit(target: Target, c: Condition): FactorFit {
  const { air } = c;
  const top = moistureTop(target, c);
  const { survives, thrivesFrom } = target.moisture;
  const part = (gets: number) => {
    const score = moistureScore(target, gets, top);
    const harmful = gets < survives || gets > top + 5;
    return reading(
      'moisture',
      'humidity',
      score,
      harmful ? 'danger' : judge(gets, thrivesFrom, top) === 'right' ? 'fine' : 'short',
      gets,
      thrivesFrom,
      top,
    );
  };
  return worse(part(air.dayRh), part(air.nightRh));
}

const MOVEMENT: Record<AirMovement, number> = { still: 0, gentle: 1, brisk: 2 };

/** A draught dries thin leaves further when the air is dry already. */
const isDraughty = ({ air, moisture }: Target, c: Condition) =>
  air === 'still' && c.airMovement === 'brisk' && c.air.dayRh < moisture.thrivesFrom;

function airScore(target: Target, c: Condition): number {
  return isDraughty(target, c) ? 0.6 : 1 - 0.4 * Math.max(0, MOVEMENT[target.air] - MOVEMENT[c.airMovement]);
}

function airFit(target: Target, c: Condition): FactorFit {
  const gets = MOVEMENT[c.airMovement];
  const wants = MOVEMENT[target.air];
  const draughty = isDraughty(target, c);
  const score = airScore(target, c);
  return reading('air', 'movement', score, score < 1 ? 'short' : 'fine', gets, wants, draughty ? 1 : 2);
}

/** The whole of a month alone, as `fitMonth` gives it, for ranking hundreds of spots. */
export function wholeOfMonth(target: Target, c: Condition): number {
  const { warmth } = target;
  let light = Math.min(dliScore(target, c), peakScoreOf(target, c));
  if (sunCounts(target, c)) light = Math.min(light, sunScoreOf(target, c));
  const day = dayLengthScore(target, c);
  const warm = Math.min(
    warmthScore(target, c.air.dayC, warmth.dayFrom, warmth.dayTo),
    warmthScore(target, c.air.nightC, warmth.nightFrom, warmth.nightTo),
  );
  const top = moistureTop(target, c);
  const moist = Math.min(moistureScore(target, c.air.dayRh, top), moistureScore(target, c.air.nightRh, top));
  const air = airScore(target, c);
  return (
    SCARCEST_RULES * Math.min(light, day, warm, moist, air) +
    ((1 - SCARCEST_RULES) * (light + day + warm + moist + air)) / 5
  );
}

/** The fit of one target to one condition. */
export function fitMonth(target: Target, condition: Condition): MonthFit {
  const factors = [
    lightFit(target, condition),
    dayLengthFit(target, condition),
    warmthFit(target, condition),
    moistureFit(target, condition),
    airFit(target, condition),
  ];
  let least = factors[0]!;
  for (const fit of factors) if (fit.score < least.score) least = fit;
  return {
    month: condition.month,
    factors,
    whole: wholeScore(factors.map((fit) => fit.score)),
    limiting: least.score < 1 ? least.factor : null,
  };
}
