/** What one plant wants in one month: its taxon's needs, shifted by stage, season and growth state. */
import type { GrowthState, Plant, Stage } from '../home/facts';
import { restsAtAll, seasonalMonth, type DayNeed, type LightNeed, type MoistureNeed, type Taxon, type WarmthNeed } from './taxon';

export interface Target {
  readonly month: number;
  readonly light: LightNeed;
  readonly day: DayNeed;
  readonly warmth: WarmthNeed;
  readonly moisture: MoistureNeed;
  readonly air: 'still' | 'gentle' | 'brisk';
  /** Whether it rests in this month, and whether it is in its weeks of induction. */
  readonly phase: 'growing' | 'resting' | 'inducing';
  /** The rules that moved it away from the taxon's own figures, in words. */
  readonly rules: readonly string[];
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
  seed: { light: 0.4, peak: 0.5, moistureUp: 15, warmthFloor: 2, rule: 'Seed: less than half the light, moister air, 2 K warmer' },
  cutting: { light: 0.5, peak: 0.5, moistureUp: 20, warmthFloor: 2, rule: 'Cutting without roots: half the light, air 20 points moister, 2 K warmer' },
  'rooted-cutting': { light: 0.7, peak: 0.7, moistureUp: 10, warmthFloor: 1, rule: 'Rooted cutting: seven tenths of the light, air 10 points moister' },
  seedling: { light: 0.7, peak: 0.7, moistureUp: 10, warmthFloor: 1, rule: 'Seedling: seven tenths of the light, air 10 points moister' },
  juvenile: { light: 0.85, peak: 0.9, moistureUp: 5, warmthFloor: 0, rule: 'Juvenile: a little less light, air 5 points moister' },
  recovering: { light: 0.6, peak: 0.6, moistureUp: 10, warmthFloor: 1, rule: 'Recovering: six tenths of the light, air 10 points moister' },
  'just-arrived': { light: 0.6, peak: 0.6, moistureUp: 5, warmthFloor: 0, rule: 'Just arrived: six tenths of the light until it has settled' },
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

/** At rest everything a plant bears while growing is still borne; only what it wants moves. */
function restingWarmth(warmth: WarmthNeed, dayC: number | null, nightC: number | null): WarmthNeed {
  const dayFrom = dayC === null ? warmth.dayFrom : Math.min(warmth.dayFrom, dayC - 3);
  const dayTo = dayC === null ? warmth.dayTo : Math.min(warmth.dayTo, dayC + 5);
  const nightFrom = nightC === null ? warmth.nightFrom : Math.min(warmth.nightFrom, nightC - 3);
  const nightTo = nightC === null ? warmth.nightTo : Math.min(warmth.nightTo, nightC + 4);
  return { ...warmth, lowest: Math.min(warmth.lowest, nightFrom - 2), dayFrom, dayTo, nightFrom, nightTo };
}

function isResting(taxon: Taxon, stage: Stage, state: GrowthState, month: number, latitude: number): boolean {
  if (!restsAtAll(stage) || taxon.rest.trigger === 'none') return false;
  if (state === 'growing') return false;
  if (state === 'resting') return true;
  if (stage === 'in-bud' || stage === 'in-bloom') return false;
  return taxon.rest.months.includes(seasonalMonth(month, latitude));
}

/**
 * The target of a plant in a month.
 * @param month 1..12 of the home's calendar
 * @param latitude of the home: south of the equator the seasons are taken half a year away
 */
export function targetOf(
  plant: Pick<Plant, 'stage' | 'growthState'>,
  taxon: Taxon,
  month: number,
  latitude: number,
): Target {
  const rules: string[] = [];
  let { light, warmth, moisture } = taxon;
  const shift = STAGE_SHIFTS[plant.stage];
  if (shift) {
    light = scaledLight(light, shift.light, shift.peak);
    moisture = moister(moisture, shift.moistureUp);
    warmth = {
      ...warmth,
      dayFrom: Math.min(warmth.dayTo - 1, warmth.dayFrom + shift.warmthFloor),
      nightFrom: Math.min(warmth.nightTo - 1, warmth.nightFrom + shift.warmthFloor),
    };
    rules.push(shift.rule);
  }
  const resting = isResting(taxon, plant.stage, plant.growthState, month, latitude);
  if (resting) {
    const { lightShare, dayC, nightC } = taxon.rest;
    light = {
      ...light,
      survives: light.survives * lightShare,
      thrivesFrom: light.thrivesFrom * lightShare,
    };
    warmth = restingWarmth(warmth, dayC, nightC);
    const because = plant.growthState === 'resting' ? 'you saw it at rest' : 'the season';
    rules.push(`Resting (${because}): wants ${Math.round(lightShare * 100)} % of its light${nightC === null ? '' : `, nights about ${nightC} °C`}`);
  } else if (plant.growthState === 'growing' && taxon.rest.months.includes(seasonalMonth(month, latitude))) {
    rules.push('You saw it growing: its rest is put off');
  }
  const inducing =
    taxon.day.kind !== 'neutral' &&
    (plant.stage === 'adult' || plant.stage === 'in-bud') &&
    taxon.day.inductionMonths.includes(seasonalMonth(month, latitude));
  // Beyond induction a long day harms no plant, so long as a night is left.
  let day: DayNeed = { ...taxon.day, maxH: Math.max(taxon.day.maxH, LONGEST_DAY_H) };
  if (resting) day = { ...day, minH: Math.min(day.minH, 8) };
  if (inducing && day.criticalNightH !== null) {
    const dayAtCritical = 24 - day.criticalNightH;
    day =
      day.kind === 'short'
        ? { ...day, minH: Math.min(day.minH, dayAtCritical - 2), maxH: dayAtCritical }
        : { ...day, minH: dayAtCritical };
    rules.push(
      day.kind === 'short'
        ? `Setting buds: wants nights of at least ${day.criticalNightH} h, unbroken`
        : `Setting buds: wants nights shorter than ${day.criticalNightH} h`,
    );
  }
  return {
    month,
    light,
    day,
    warmth,
    moisture,
    air: taxon.care.air,
    phase: resting ? 'resting' : inducing ? 'inducing' : 'growing',
    rules,
  };
}
