/** What one plant wants in each month: its taxon's needs, shifted by stage, season, what was seen of it and the grower's ways. */
import type { LightAim, Plant, Stage } from '../facts';
import { seasonOf, type SeasonMonth, type SeasonPhase } from './season';
import {
  seasonalMonth,
  type DayNeed,
  type Feed,
  type LightNeed,
  type MoistureNeed,
  type School,
  type Taxon,
  type Water,
  type WarmthNeed,
} from '../taxon';

export interface Target {
  readonly month: number;
  readonly light: LightNeed;
  readonly day: DayNeed;
  readonly warmth: WarmthNeed;
  readonly moisture: MoistureNeed;
  readonly air: 'still' | 'gentle' | 'brisk';
  readonly water: Water;
  /** Share of the available water left in the pot when it is watered again; 0 waits until it is dry. */
  readonly waterAtShare: number;
  readonly feed: Feed;
  /** Nitrogen at each feed, ppm; 0 is no feed. */
  readonly feedPpmN: number;
  /** Its season, or that it is in its weeks of induction. */
  readonly phase: SeasonPhase | 'inducing';
  /** The rules that moved it away from the taxon's own figures, in words. */
  readonly rules: readonly string[];
  /** The one that set this stretch of its year. */
  readonly seasonRule: string;
}

/** How plants are grown here: what the targets follow besides the plant itself. */
export interface Ways {
  /** South of the equator the seasons are taken half a year away. */
  readonly latitude: number;
  /** Null follows what is usual for the taxon. */
  readonly school: School | null;
  readonly aim: LightAim;
}

interface StageShift {
  readonly light: number;
  readonly peak: number;
  readonly moistureUp: number;
  readonly warmthFloor: number;
  readonly rule: string;
}

/** How each stage shifts the needs of a grown plant. Common practice of growers; each rule is shown where it acts. */
const STAGE_SHIFTS: Partial<Record<Stage, StageShift>> = {
  seed: {
    light: 0.4,
    peak: 0.5,
    moistureUp: 15,
    warmthFloor: 2,
    rule: 'Seed: less than half the light, moister air, 2 K warmer',
  },
  cutting: {
    light: 0.5,
    peak: 0.5,
    moistureUp: 20,
    warmthFloor: 2,
    rule: 'Cutting without roots: half the light, air 20 points moister, 2 K warmer',
  },
  'rooted-cutting': {
    light: 0.7,
    peak: 0.7,
    moistureUp: 10,
    warmthFloor: 1,
    rule: 'Rooted cutting: seven tenths of the light, air 10 points moister',
  },
  seedling: {
    light: 0.7,
    peak: 0.7,
    moistureUp: 10,
    warmthFloor: 1,
    rule: 'Seedling: seven tenths of the light, air 10 points moister',
  },
  juvenile: {
    light: 0.85,
    peak: 0.9,
    moistureUp: 5,
    warmthFloor: 0,
    rule: 'Juvenile: a little less light, air 5 points moister',
  },
  recovering: {
    light: 0.6,
    peak: 0.6,
    moistureUp: 10,
    warmthFloor: 1,
    rule: 'Recovering: six tenths of the light, air 10 points moister',
  },
  'just-arrived': {
    light: 0.6,
    peak: 0.6,
    moistureUp: 5,
    warmthFloor: 0,
    rule: 'Just arrived: six tenths of the light until it has settled',
  },
};

/** Four hours of dark are needed even by plants that thrive in the longest days. */
const LONGEST_DAY_H = 20;

function scaledLight(light: LightNeed, share: number, peakShare: number): LightNeed {
  return {
    ...light,
    survives: light.survives * share,
    thrivesFrom: light.thrivesFrom * share,
    thrivesTo: light.thrivesTo * share,
    scorches: light.scorches * Math.max(share, peakShare),
    peakPpfd: light.peakPpfd * peakShare,
  };
}

function moister(moisture: MoistureNeed, points: number): MoistureNeed {
  const up = (value: number, ceiling: number) => Math.min(ceiling, Math.max(value, value + points));
  return {
    ...moisture,
    survives: up(moisture.survives, 80),
    thrivesFrom: up(moisture.thrivesFrom, 85),
    thrivesTo: up(moisture.thrivesTo, 95),
    tooMoistStill: up(moisture.tooMoistStill, 98),
  };
}

/** Depth of rest from which warmth is that of full rest. */
const FULL_REST_DEPTH = 0.7;

/** Toward rest everything a plant tolerates while growing is still tolerated; only what it wants moves. */
function restingWarmth(warmth: WarmthNeed, { dayC, nightC }: Taxon['rest'], depth: number): WarmthNeed {
  const share = Math.min(1, depth / FULL_REST_DEPTH);
  const toward = (usual: number, resting: number | null) =>
    resting === null ? usual : usual + share * (Math.min(usual, resting) - usual);
  const dayFrom = toward(warmth.dayFrom, dayC === null ? null : dayC - 3);
  const dayTo = toward(warmth.dayTo, dayC === null ? null : dayC + 5);
  const nightFrom = toward(warmth.nightFrom, nightC === null ? null : nightC - 3);
  const nightTo = toward(warmth.nightTo, nightC === null ? null : nightC + 4);
  return { ...warmth, lowest: Math.min(warmth.lowest, nightFrom - 2), dayFrom, dayTo, nightFrom, nightTo };
}

/** Aiming low or high takes three fifths of the band in which a plant thrives. */
const AIMED_SHARE = 0.6;

function aimed(light: LightNeed, aim: LightAim): LightNeed {
  const reach = (light.thrivesTo - light.thrivesFrom) * AIMED_SHARE;
  if (aim === 'low') return { ...light, thrivesTo: light.thrivesFrom + reach };
  if (aim === 'high') return { ...light, thrivesFrom: light.thrivesTo - reach };
  return light;
}

const AIM_RULES: Readonly<Record<LightAim, string | null>> = {
  low: 'You aim low: the lower three fifths of its band of light',
  whole: null,
  high: 'You aim high: the upper three fifths of its band of light',
};

const WATER_SHARES: Readonly<Record<Water, number>> = { usual: 1, less: 0.6, little: 0.3, none: 0 };
const FEED_SHARES: Readonly<Record<Feed, number>> = { usual: 1, less: 0.5, none: 0 };
/** A plant that grows on through the dark months wants its day lengthened to this, hours. */
const GROW_ON_DAY_H = 12;

type Grower = Pick<Plant, 'stage' | 'growthState'> & Partial<Pick<Plant, 'stateSeenOn'>>;

/**
 * Twelve months of a plant's targets, January first, for a taxon as it is known of this plant (mixed, corrected, with
 * its traits).
 */
export function yearTargets(plant: Grower, taxon: Taxon, ways: Ways): Target[] {
  const school = ways.school ?? taxon.rest.school;
  return seasonOf(plant, taxon, ways.latitude, school).map((season) => monthTarget(plant, taxon, season, ways, school));
}

/** What a month's needs come to so far, and the rules that made them so. */
interface Needs {
  readonly light: LightNeed;
  readonly warmth: WarmthNeed;
  readonly moisture: MoistureNeed;
  readonly day: DayNeed;
  readonly rules: readonly string[];
}

function monthTarget(plant: Grower, taxon: Taxon, season: SeasonMonth, ways: Ways, school: School): Target {
  const { month } = season;
  const inducing = isInducing(plant, taxon, month, ways.latitude);
  const staged = atStage(aimedNeeds(taxon, ways.aim), plant.stage);
  const seasoned = inSeason(staged, plant, taxon, season);
  const grownOn =
    school === 'grow-on' && season.depth === 0 && taxon.rest.months.includes(seasonalMonth(month, ways.latitude))
      ? keptGrowing(seasoned)
      : seasoned;
  const { light, day, warmth, moisture, rules } = inducing ? induced(grownOn) : grownOn;
  const setsBuds = inducing && season.phase !== 'resting';
  const rootless = ROOTLESS.has(plant.stage);
  const feed: Feed = rootless ? 'none' : season.feed;
  const weeks = taxon.day.kind === 'short' ? `long nights, ${taxon.day.criticalNightH} h and more` : 'long days';
  return {
    month,
    light,
    day,
    warmth,
    moisture,
    air: taxon.care.air,
    water: season.water,
    waterAtShare: taxon.care.waterAtShare * WATER_SHARES[season.water],
    feed,
    feedPpmN: taxon.care.feedPpmN * FEED_SHARES[feed],
    phase: setsBuds ? 'inducing' : season.phase,
    rules: rootless ? [...rules, 'Without roots, or just moved: not fed'] : rules,
    seasonRule: setsBuds ? `Its weeks of ${weeks}` : season.rule,
  };
}

function aimedNeeds({ light, warmth, moisture, day }: Taxon, aim: LightAim): Needs {
  const rule = AIM_RULES[aim];
  return {
    light: aimed(light, aim),
    warmth,
    moisture,
    // Beyond induction a long day harms no plant, so long as a night is left.
    day: { ...day, maxH: Math.max(day.maxH, LONGEST_DAY_H) },
    rules: rule ? [rule] : [],
  };
}

function atStage(needs: Needs, stage: Stage): Needs {
  const shift = STAGE_SHIFTS[stage];
  if (!shift) return needs;
  const { warmth } = needs;
  return {
    ...needs,
    light: scaledLight(needs.light, shift.light, shift.peak),
    moisture: moister(needs.moisture, shift.moistureUp),
    warmth: {
      ...warmth,
      dayFrom: Math.min(warmth.dayTo - 1, warmth.dayFrom + shift.warmthFloor),
      nightFrom: Math.min(warmth.nightTo - 1, warmth.nightFrom + shift.warmthFloor),
    },
    rules: [...needs.rules, shift.rule],
  };
}

function inSeason(needs: Needs, plant: Grower, taxon: Taxon, season: SeasonMonth): Needs {
  const awake = plant.growthState === 'by-season' ? needs : { ...needs, rules: [...needs.rules, season.rule] };
  const { light, warmth, day, rules } = season.depth > 0 ? resting(needs, taxon, season) : awake;
  const longest = season.longestDayH;
  return {
    ...needs,
    light,
    warmth,
    rules,
    day: longest === null ? day : { ...day, maxH: longest, minH: Math.min(day.minH, longest) },
  };
}

function resting(needs: Needs, { rest }: Taxon, { depth, lightShare, rule }: SeasonMonth): Needs {
  const { light, day, rules } = needs;
  const warmth = restingWarmth(needs.warmth, rest, depth);
  const nights = rest.nightC === null ? '' : `, nights toward ${Math.round(warmth.nightFrom)} °C`;
  return {
    ...needs,
    light: { ...light, survives: light.survives * lightShare, thrivesFrom: light.thrivesFrom * lightShare },
    warmth,
    day: { ...day, minH: Math.min(day.minH, 8) },
    rules: [...rules, `${rule}; ${Math.round(lightShare * 100)} % of its light will do${nights}`],
  };
}

function keptGrowing(needs: Needs): Needs {
  return {
    ...needs,
    day: { ...needs.day, minH: Math.max(needs.day.minH, GROW_ON_DAY_H) },
    rules: [...needs.rules, `Kept growing through its rest: a day of at least ${GROW_ON_DAY_H} h`],
  };
}

/** The weeks in which the length of the night sets buds. */
function induced(needs: Needs): Needs {
  const { day, rules } = needs;
  if (day.criticalNightH === null) return needs;
  const dayAtCritical = 24 - day.criticalNightH;
  if (day.kind === 'short') {
    const rule = `Setting buds: wants nights of at least ${day.criticalNightH} h, unbroken; a lamp or a room light in the night starts the weeks anew`;
    return {
      ...needs,
      day: { ...day, minH: Math.min(day.minH, dayAtCritical - 2), maxH: dayAtCritical },
      rules: [...rules, rule],
    };
  }
  const rule = `Setting buds: wants nights shorter than ${day.criticalNightH} h`;
  return { ...needs, day: { ...day, minH: dayAtCritical }, rules: [...rules, rule] };
}

/** Stages that cannot take up feed yet. */
const ROOTLESS: ReadonlySet<Stage> = new Set(['seed', 'cutting', 'recovering', 'just-arrived']);

function isInducing({ stage }: Grower, { day }: Taxon, month: number, latitude: number): boolean {
  return (
    day.kind !== 'neutral' &&
    (stage === 'adult' || stage === 'in-bud') &&
    day.inductionMonths.includes(seasonalMonth(month, latitude))
  );
}
