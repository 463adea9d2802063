/**
 * What one plant wants in each month: its taxon's needs, shifted by stage, season, what was seen of it and the
 * grower's ways.
 */
import type { LightAim, Plant, Stage } from '../facts';
import { halfDayMinutes, sunEquatorial } from '../sun';
import { ALL_MONTHS } from '../units';
import { natureOf, type Nature } from './nature';
import { HARDENS_IN_WEEKS, stageIn, sunAfter, weeksSince } from './passing';
import { shiftAt } from './stage';
import { monthOfSeason, schoolFor, seasonOf, type SeasonMonth, type SeasonPhase } from './season';
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
  readonly nature: Nature;
  readonly light: LightNeed;
  /**
   * Whether its leaves have got used to the sun they stand in; before, they burn at half of what they tolerate later.
   */
  readonly isUsedToSun: boolean;
  readonly day: DayNeed;
  /** The same as far as growth minds it; in its weeks of induction `day` is what sets buds. */
  readonly growingDay: DayNeed;
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
  /** How far it has gone from growth (0) to full rest (1). */
  readonly restDepth: number;
  /** Whether it is of an age to flower. */
  readonly canFlower: boolean;
  /** Whether it rests without leaves, or so deep that light, dry air and warmth are nothing to it. */
  readonly isDormant: boolean;
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
  /** The year the months are of, where it is known: a plant that came in it is still getting used to the sun. */
  readonly year?: number;
}

/** The sun below this height no longer lengthens the day for a plant, degrees: civil twilight. */
const DUSK_DEG = -6;
const MID_MONTH = 15;

/** Hours from dawn to dusk in the middle of a month; no plant is harmed by the days of its own sky. */
function naturalDayH(month: number, latitude: number): number {
  const { declinationDeg } = sunEquatorial(Date.UTC(2026, seasonalMonth(month, latitude) - 1, MID_MONTH, 12));
  return (2 * halfDayMinutes(Math.abs(latitude), declinationDeg, DUSK_DEG)) / 60;
}

function scaledLight(light: LightNeed, share: number, peakShare: number): LightNeed {
  return {
    ...light,
    survives: light.survives * share,
    keepsForm: light.keepsForm * share,
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

/**
 * Toward rest a plant wants other days and nights: cooler ones in winter, warm dry ones for a bulb in summer. What it
 * survives does not move: rest makes no plant hardier than it is.
 */
function restingWarmth(warmth: WarmthNeed, { dayC, nightC }: Taxon['rest'], depth: number): WarmthNeed {
  const share = Math.min(1, depth / FULL_REST_DEPTH);
  const toward = (usual: number, resting: number | null) => {
    const wanted = resting === null ? usual : usual + share * (resting - usual);
    return Math.max(warmth.lowest, Math.min(warmth.highest, wanted));
  };
  const dayFrom = toward(warmth.dayFrom, dayC === null ? null : dayC - 3);
  const dayTo = toward(warmth.dayTo, dayC === null ? null : dayC + 5);
  const nightFrom = toward(warmth.nightFrom, nightC === null ? null : nightC - 3);
  const nightTo = toward(warmth.nightTo, nightC === null ? null : nightC + 4);
  return { ...warmth, dayFrom, dayTo: Math.max(dayFrom, dayTo), nightFrom, nightTo: Math.max(nightFrom, nightTo) };
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
/** And nights no colder than this, where its rest would be a dry one, °C. */
const GROW_ON_NIGHT_C = 12;

type Grower = Pick<Plant, 'stage' | 'growthState'> & Partial<Pick<Plant, 'stageSeenOn' | 'stateSeenOn' | 'arrivedOn'>>;

/**
 * Twelve months of a plant's targets, January first, for a taxon as it is known of this plant (mixed, corrected, with
 * its traits).
 */
export function yearTargets(plant: Grower, taxon: Taxon, ways: Ways): Target[] {
  const school = schoolFor(taxon, ways.school);
  const nature = natureOf(taxon);
  const asked = ways.school ?? taxon.rest.school;
  const seasons = new Map<Stage, readonly SeasonMonth[]>();
  return ALL_MONTHS.map((month) => {
    const stage = stageIn(month, plant, ways.year);
    const then = stage === plant.stage ? plant : { ...plant, stage };
    if (!seasons.has(stage)) seasons.set(stage, seasonOf(then, taxon, ways.latitude, asked));
    return { ...monthTarget(then, taxon, seasons.get(stage)![month - 1]!, ways, school), nature };
  });
}

/** A rest that needs no more than this share of its light is one without leaves, or in the dark. */
const DORMANT_SHARE = 0.35;

/** What a month's needs come to so far, and the rules that made them so. */
interface Needs {
  readonly light: LightNeed;
  readonly isUsedToSun: boolean;
  readonly warmth: WarmthNeed;
  readonly moisture: MoistureNeed;
  readonly day: DayNeed;
  readonly waterAtShare: number;
  readonly rules: readonly string[];
}

function monthTarget(
  plant: Grower,
  taxon: Taxon,
  season: SeasonMonth,
  ways: Ways,
  school: School,
): Omit<Target, 'nature'> {
  const { month } = season;
  const inducing = isInducing(plant, taxon, month, ways.latitude);
  const staged = fresh(atStage(aimedNeeds(taxon, ways, month), plant.stage, taxon), plant, month, ways);
  const seasoned = inSeason(staged, plant, taxon, season);
  const grownOn =
    school === 'grow-on' && season.depth === 0 && taxon.rest.months.includes(monthOfSeason(month, ways.latitude))
      ? keptGrowing(seasoned, taxon)
      : seasoned;
  const { light, isUsedToSun, day, warmth, moisture, waterAtShare, rules } = inducing ? induced(grownOn) : grownOn;
  const setsBuds = inducing && season.phase !== 'resting';
  const rootless = ROOTLESS.has(plant.stage);
  const feed: Feed = rootless ? 'none' : season.feed;
  const weeks = taxon.day.kind === 'short' ? `long nights, ${taxon.day.criticalNightH} h and more` : 'long days';
  return {
    month,
    light,
    isUsedToSun,
    day,
    growingDay: grownOn.day,
    warmth,
    moisture,
    air: taxon.care.air,
    water: season.water,
    waterAtShare: waterAtShare * WATER_SHARES[season.water],
    feed,
    feedPpmN: taxon.care.feedPpmN * FEED_SHARES[feed],
    phase: setsBuds ? 'inducing' : season.phase,
    restDepth: season.depth,
    canFlower: FLOWERING.has(plant.stage),
    isDormant: season.phase === 'resting' && taxon.rest.lightShare <= DORMANT_SHARE,
    rules: rootless ? [...rules, 'Without roots, or just moved: not fed'] : rules,
    seasonRule: setsBuds ? `Its weeks of ${weeks}` : season.rule,
  };
}

function aimedNeeds({ light, warmth, moisture, day, care }: Taxon, { aim, latitude }: Ways, month: number): Needs {
  const rule = AIM_RULES[aim];
  return {
    light: aimed(light, aim),
    isUsedToSun: true,
    warmth,
    moisture,
    // Lamps that burn longer than its longest useful day do it no good; the sun's own day does it no harm.
    day: { ...day, maxH: Math.max(day.maxH, naturalDayH(month, latitude)) },
    waterAtShare: care.waterAtShare,
    rules: rule ? [rule] : [],
  };
}

function atStage(needs: Needs, stage: Stage, taxon: Taxon): Needs {
  const shift = shiftAt(stage, taxon);
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
    waterAtShare: Math.min(WETTEST, Math.max(shift.waterAtLeast, needs.waterAtShare + shift.waterUp)),
    rules: [...needs.rules, shift.rule],
  };
}

/** No pot is watered while it holds more of its water than this share. */
const WETTEST = 0.9;

/** A plant that came this year is used to no more sun than its weeks here have taught it. */
function fresh(needs: Needs, { stage, arrivedOn }: Grower, month: number, { year }: Ways): Needs {
  const { light } = needs;
  if (stage === 'just-arrived')
    return { ...needs, isUsedToSun: false, light: { ...light, sunHoursUsed: light.sunHoursFresh } };
  if (!arrivedOn || year === undefined || Number(arrivedOn.slice(0, 4)) !== year) return needs;
  const weeks = weeksSince(arrivedOn, year, month);
  const sunHoursUsed = weeks === null ? light.sunHoursUsed : sunAfter(light, weeks);
  if (weeks === null || sunHoursUsed === light.sunHoursUsed) return needs;
  const came = `Came ${Math.round(weeks)} weeks before`;
  const rule = `${came}: ${sunHoursUsed.toFixed(1)} h of sun, half an hour more each week`;
  const isUsedToSun = weeks >= HARDENS_IN_WEEKS;
  return { ...needs, isUsedToSun, light: { ...light, sunHoursUsed }, rules: [...needs.rules, rule] };
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
    light: {
      ...light,
      survives: light.survives * lightShare,
      keepsForm: light.keepsForm * lightShare,
      thrivesFrom: light.thrivesFrom * lightShare,
    },
    warmth,
    day: { ...day, minH: Math.min(day.minH, 8) },
    rules: [...rules, `${rule}; ${Math.round(lightShare * 100)} % of its light will do${nights}`],
  };
}

function keptGrowing(needs: Needs, { rest }: Taxon): Needs {
  const { day, warmth, rules } = needs;
  const kept = { ...needs, day: { ...day, minH: Math.max(day.minH, GROW_ON_DAY_H) } };
  const rule = `Kept growing through its rest: a day of at least ${GROW_ON_DAY_H} h`;
  if (rest.water !== 'none' && rest.water !== 'little') return { ...kept, rules: [...rules, rule] };
  // What others keep dry through the winter rots in cold wet soil.
  const nightFrom = Math.max(warmth.nightFrom, Math.min(warmth.nightTo - 1, GROW_ON_NIGHT_C));
  return {
    ...kept,
    warmth: { ...warmth, nightFrom },
    rules: [...rules, `${rule}, nights of at least ${nightFrom} °C`],
  };
}

/** The weeks in which the length of the night sets buds. */
function induced(needs: Needs): Needs {
  const { day, rules } = needs;
  if (day.criticalNightH === null) return needs;
  const dayAtCritical = 24 - day.criticalNightH;
  if (day.kind === 'short') {
    const nights = `Setting buds: wants nights of at least ${day.criticalNightH} h, unbroken`;
    const rule = `${nights}; a lamp or a room light in the night starts the weeks again`;
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

const FLOWERING: ReadonlySet<Stage> = new Set(['adult', 'in-bud', 'in-bloom']);

function isInducing({ stage }: Grower, { day }: Taxon, month: number, latitude: number): boolean {
  return (
    day.kind !== 'neutral' &&
    (stage === 'adult' || stage === 'in-bud') &&
    day.inductionMonths.includes(monthOfSeason(month, latitude))
  );
}
