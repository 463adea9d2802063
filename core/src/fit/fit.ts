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

/** `short`: it lives but does not thrive; `danger`: below what it survives or above what it tolerates. */
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

/** What is found of one factor, before what follows from it. */
type Found = Omit<FactorFit, 'distance' | 'direction' | 'depends'> & Partial<Pick<FactorFit, 'depends'>>;

/** Completes what is found with what follows from it. */
function factorFit({ factor, aspect, score, severity, gets, wantsFrom, wantsTo, depends = 'no' }: Found): FactorFit {
  const distance = distanceFromBand(gets, wantsFrom, wantsTo);
  const direction = distance < 0 ? 'too-little' : distance > 0 ? 'too-much' : 'right';
  // Field by field: thousands are made for each answer, and copying an object whole takes several times as long.
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

/** Below half of what it survives on, light is worth nothing; past what scorches it, a quarter more ends all. */
const DARK_SHARE = 0.5;
const SCORCHED_SHARE = 1.25;
/** A peak is tolerated for a while: thrice the wanted one is worth nothing, and twice is dangerous. */
const PEAK_WORTHLESS = 3;
const PEAK_DANGER = 2;
/** Hours of direct sun beyond those it uses: at so many nothing is left, and danger begins at half of them. */
const SUN_WORTHLESS_H = 6;
const SUN_DANGER_H = 3;
/** A weak sun burns nothing: hours of it count only where the leaf comes this near to its peak. */
const SUN_COUNTS_SHARE = 0.7;

const dliScore = ({ light }: Target, { dli }: Condition) =>
  trapezoid(dli, light.survives * DARK_SHARE, light.thrivesFrom, light.thrivesTo, light.scorches * SCORCHED_SHARE);
const peakScoreOf = ({ light }: Target, c: Condition) =>
  trapezoid(c.peakPpfd, 0, 0, light.peakPpfd, light.peakPpfd * PEAK_WORTHLESS);
const sunScoreOf = ({ light }: Target, c: Condition) =>
  trapezoid(c.sunHoursLikely, 0, 0, light.sunHoursUsed, light.sunHoursUsed + SUN_WORTHLESS_H);
const sunCounts = ({ light }: Target, c: Condition) => c.peakPpfd > light.peakPpfd * SUN_COUNTS_SHARE;

function dliFit(target: Target, c: Condition): FactorFit {
  const { survives, thrivesFrom, thrivesTo, scorches } = target.light;
  const judged = (dli: number) => judge(dli, thrivesFrom, thrivesTo);
  const lethal = c.dli < survives || c.dli > scorches;
  return factorFit({
    factor: 'light',
    aspect: 'dli',
    score: dliScore(target, c),
    severity: judged(c.dli) === 'right' ? 'fine' : lethal ? 'danger' : 'short',
    gets: c.dli,
    wantsFrom: thrivesFrom,
    wantsTo: thrivesTo,
    depends: judged(c.dliPoorYear) === judged(c.dliGoodYear) ? 'no' : 'on-the-year',
  });
}

function peakFit(target: Target, c: Condition): FactorFit {
  const { peakPpfd } = target.light;
  return factorFit({
    factor: 'light',
    aspect: 'peak',
    score: peakScoreOf(target, c),
    severity: severityAbove(c.peakPpfd, peakPpfd, peakPpfd * PEAK_DANGER),
    gets: c.peakPpfd,
    wantsFrom: 0,
    wantsTo: peakPpfd,
  });
}

function sunFit(target: Target, c: Condition): FactorFit {
  const { sunHoursUsed } = target.light;
  return factorFit({
    factor: 'light',
    aspect: 'direct-sun',
    score: sunScoreOf(target, c),
    severity: severityAbove(c.sunHoursLikely, sunHoursUsed, sunHoursUsed + SUN_DANGER_H),
    gets: c.sunHoursLikely,
    wantsFrom: 0,
    wantsTo: sunHoursUsed,
  });
}

function lightFit(target: Target, c: Condition): FactorFit {
  const fit = worse(dliFit(target, c), peakFit(target, c));
  return sunCounts(target, c) ? worse(fit, sunFit(target, c)) : fit;
}

const needsLongNight = ({ day, phase }: Target) => phase === 'inducing' && day.kind === 'short';

/** A night this much shorter than the critical one sets no buds at all. */
const NIGHT_MARGIN_H = 3;
/** A day this much shorter or longer than the wanted one is worth nothing; growth tolerates a long day better than a short one. */
const SHORT_DAY_MARGIN_H = 6;
const LONG_DAY_MARGIN_H = 8;
/** An evening's light beyond its longest useful day does a plant neither good nor harm, hours. */
const LONG_DAY_BORNE_H = 2;
const DAY_H = 24;

function dayLengthScore(target: Target, c: Condition): number {
  const { minH, maxH } = target.day;
  const critical = DAY_H - maxH;
  if (needsLongNight(target)) return trapezoid(c.longestNightH, critical - NIGHT_MARGIN_H, critical, DAY_H, DAY_H);
  const borne = maxH + LONG_DAY_BORNE_H;
  return trapezoid(c.dayH, minH - SHORT_DAY_MARGIN_H, minH, borne, borne + LONG_DAY_MARGIN_H);
}

function dayLengthFit(target: Target, c: Condition): FactorFit {
  const { minH, maxH } = target.day;
  const score = dayLengthScore(target, c);
  if (needsLongNight(target)) {
    const critical = DAY_H - maxH;
    return factorFit({
      factor: 'day-length',
      aspect: 'night-length',
      score,
      severity: c.longestNightH < critical ? 'danger' : 'fine',
      gets: c.longestNightH,
      wantsFrom: critical,
      wantsTo: DAY_H,
    });
  }
  return factorFit({
    factor: 'day-length',
    aspect: 'day-length',
    score,
    severity: judge(c.dayH, minH, maxH + LONG_DAY_BORNE_H) === 'right' ? 'fine' : 'short',
    gets: c.dayH,
    wantsFrom: minH,
    wantsTo: maxH,
  });
}

/** A degree past what it survives, nothing is left: figures of hardiness are given in whole degrees. */
const WARMTH_MARGIN_K = 1;

const warmthScore = ({ warmth }: Target, gets: number, from: number, to: number) =>
  trapezoid(
    gets,
    Math.min(warmth.lowest, from) - WARMTH_MARGIN_K,
    from,
    to,
    Math.max(warmth.highest, to) + WARMTH_MARGIN_K,
  );

function warmthFit(target: Target, { air }: Condition): FactorFit {
  const { warmth } = target;
  const part = (aspect: 'day' | 'night', gets: number, wantsFrom: number, wantsTo: number) => {
    const deadly = gets < warmth.lowest || gets > warmth.highest;
    return factorFit({
      factor: 'warmth',
      aspect,
      score: warmthScore(target, gets, wantsFrom, wantsTo),
      severity: deadly ? 'danger' : judge(gets, wantsFrom, wantsTo) === 'right' ? 'fine' : 'short',
      gets,
      wantsFrom,
      wantsTo,
    });
  };
  return worse(
    part('day', air.dayC, warmth.dayFrom, warmth.dayTo),
    part('night', air.nightC, warmth.nightFrom, warmth.nightTo),
  );
}

/** Moving air may be all but saturated before it harms. */
const MOIST_MOVING_PERCENT = 97;
/** Drier than it survives by this much, or moister than it tolerates by that much, nothing is left; harm begins a little past it. */
const DRY_MARGIN_PERCENT = 15;
const MOIST_MARGIN_PERCENT = 20;
const MOIST_HARM_PERCENT = 5;

/** Moist air harms when it stands: moving air raises what is tolerated. */
function moistureTop({ moisture }: Target, { airMovement }: Condition): number {
  const standing = airMovement === 'still';
  const ceiling = standing ? moisture.tooMoistStill : Math.max(MOIST_MOVING_PERCENT, moisture.tooMoistStill);
  return Math.max(moisture.thrivesTo, ceiling);
}

const moistureScore = ({ moisture }: Target, gets: number, top: number) =>
  trapezoid(gets, moisture.survives - DRY_MARGIN_PERCENT, moisture.thrivesFrom, top, top + MOIST_MARGIN_PERCENT);

function moistureFit(target: Target, c: Condition): FactorFit {
  const { air } = c;
  const top = moistureTop(target, c);
  const { survives, thrivesFrom } = target.moisture;
  const part = (gets: number) => {
    const harmful = gets < survives || gets > top + MOIST_HARM_PERCENT;
    return factorFit({
      factor: 'moisture',
      aspect: 'humidity',
      score: moistureScore(target, gets, top),
      severity: harmful ? 'danger' : judge(gets, thrivesFrom, top) === 'right' ? 'fine' : 'short',
      gets,
      wantsFrom: thrivesFrom,
      wantsTo: top,
    });
  };
  return worse(part(air.dayRh), part(air.nightRh));
}

const MOVEMENT: Record<AirMovement, number> = { still: 0, gentle: 1, brisk: 2 };
/** What is lost by each step of movement that is missing, and by a draught: neither alone makes a spot impossible. */
const STILLNESS_COSTS = 0.4;
const DRAUGHT_SCORE = 0.6;

/** A draught dries thin leaves further when the air is dry already. */
const isDraughty = ({ air, moisture }: Target, c: Condition) =>
  air === 'still' && c.airMovement === 'brisk' && c.air.dayRh < moisture.thrivesFrom;

function airScore(target: Target, c: Condition): number {
  const missing = Math.max(0, MOVEMENT[target.air] - MOVEMENT[c.airMovement]);
  return isDraughty(target, c) ? DRAUGHT_SCORE : 1 - STILLNESS_COSTS * missing;
}

function airFit(target: Target, c: Condition): FactorFit {
  const score = airScore(target, c);
  return factorFit({
    factor: 'air',
    aspect: 'movement',
    score,
    severity: score < 1 ? 'short' : 'fine',
    gets: MOVEMENT[c.airMovement],
    wantsFrom: MOVEMENT[target.air],
    wantsTo: isDraughty(target, c) ? MOVEMENT.gentle : MOVEMENT.brisk,
  });
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
