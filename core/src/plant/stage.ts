/** What the stage of a plant shifts in the needs of a grown one. */
import type { Stage } from '../facts';
import type { Taxon } from '../taxon';

/** Factors and additions to a grown plant's needs, and the rule in words. */
export interface StageShift {
  readonly light: number;
  readonly peak: number;
  readonly moistureUp: number;
  readonly warmthFloor: number;
  /** At least this share of the water in its soil is left when it is watered again. */
  readonly waterAtLeast: number;
  /** Or so much more than for a grown plant. */
  readonly waterUp: number;
  readonly rule: string;
}

/** How each stage shifts the needs of a grown plant. Common practice of growers; each rule is shown where it acts. */
const STAGE_SHIFTS: Partial<Record<Stage, StageShift>> = {
  seed: {
    light: 0.4,
    peak: 0.5,
    moistureUp: 15,
    warmthFloor: 2,
    waterAtLeast: 0.75,
    waterUp: 0,
    rule: 'Seed: less than half the light, moister air, 2 K warmer, and never dry',
  },
  cutting: {
    light: 0.5,
    peak: 0.5,
    moistureUp: 20,
    warmthFloor: 2,
    waterAtLeast: 0.6,
    waterUp: 0,
    rule: 'Cutting without roots: half the light, air 20 points moister, 2 K warmer, evenly moist',
  },
  'rooted-cutting': {
    light: 0.7,
    peak: 0.7,
    moistureUp: 10,
    warmthFloor: 1,
    waterAtLeast: 0.4,
    waterUp: 0,
    rule: 'Rooted cutting: seven tenths of the light, air 10 points moister, never wholly dry',
  },
  seedling: {
    light: 0.7,
    peak: 0.7,
    moistureUp: 10,
    warmthFloor: 1,
    waterAtLeast: 0.5,
    waterUp: 0,
    rule: 'Seedling: seven tenths of the light, air 10 points moister, never dry',
  },
  juvenile: {
    light: 0.85,
    peak: 0.9,
    moistureUp: 5,
    warmthFloor: 0,
    waterAtLeast: 0,
    waterUp: 0.1,
    rule: 'Juvenile: a little less light, air 5 points moister, watered a little sooner',
  },
  recovering: {
    light: 0.6,
    peak: 0.6,
    moistureUp: 10,
    warmthFloor: 1,
    waterAtLeast: 0,
    waterUp: 0,
    rule: 'Recovering: six tenths of the light, air 10 points moister',
  },
  'just-arrived': {
    light: 0.6,
    peak: 0.6,
    moistureUp: 5,
    warmthFloor: 0,
    waterAtLeast: 0,
    waterUp: 0,
    rule: 'Just arrived: six tenths of the light until it has settled, and no more sun than it tolerates fresh',
  },
};

/** The same for plants that store water in leaf or stem: moist air rots them sooner than dry air dries them. */
const STORING_SHIFTS: Partial<Record<Stage, Partial<StageShift>>> = {
  cutting: {
    moistureUp: 0,
    waterAtLeast: 0,
    rule: 'Cutting of a plant that stores water: half the light, 2 K warmer; dry, in dry air, until the cut has a skin',
  },
  'rooted-cutting': {
    moistureUp: 0,
    waterAtLeast: 0.15,
    rule: 'Rooted cutting of a plant that stores water: seven tenths of the light, a sip when it is nearly dry',
  },
  seedling: {
    moistureUp: 10,
    waterAtLeast: 0.3,
    rule: 'Seedling of a plant that stores water: seven tenths of the light, just moist in its first year',
  },
  juvenile: { moistureUp: 0, waterUp: 0.05, rule: 'Juvenile: a little less light, watered a little sooner' },
  recovering: { moistureUp: 0, rule: 'Recovering: six tenths of the light, in dry air' },
  'just-arrived': { moistureUp: 0 },
};

/** A plant that is let dry this far and lives in air this dry stores its water. */
const STORING = { waterAtShare: 0.15, survivesRh: 30 } as const;

/** Whether a plant lives on water it keeps: such plants rot where others dry. */
export const storesWater = ({ care, moisture }: Pick<Taxon, 'care' | 'moisture'>): boolean =>
  care.waterAtShare <= STORING.waterAtShare && moisture.survives <= STORING.survivesRh;

/** The shift of a stage; none for a grown plant, in bud or bloom. */
export function shiftAt(stage: Stage, taxon: Taxon): StageShift | undefined {
  const shift = STAGE_SHIFTS[stage];
  return shift && storesWater(taxon) ? { ...shift, ...STORING_SHIFTS[stage] } : shift;
}
