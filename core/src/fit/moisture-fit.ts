/** A month's moisture: dry days that brown edges or dry a plant out, and damp nights that rot it. */
import type { AirMovement } from '../facts';
import type { Target } from '../plant';
import type { Condition } from './condition';
import { factorFit, harmFit, worse, type FactorFit } from './factor-fit';
import { along, type Line } from './piecewise';

/** What the drying power of a day leaves of growth, by how many times it passes what the taxon grows well in: brown edges. */
const BROWNED: Line = [
  [1, 1],
  [1.6, 0.7],
  [2.5, 0.5],
];
/** The same for what lives only in moist air and stands in air drier than it survives: it dries out. */
const DRIED_OUT: Line = [
  [1, 0.75],
  [1.6, 0.55],
  [1.9, 0.44],
  [2.5, 0.38],
  [4, 0.2],
];
/** Air that a thick leaf lives in however dry. */
const DRIEST_FOR_THIN = 40;

const drynessOf = ({ moisture }: Target, { vpdDay }: Pick<Condition, 'vpdDay'>) => vpdDay / moisture.vpdTo;

/** Whether so dry an air dries the plant out, and does not only mark it. */
const driesOut = ({ moisture }: Target, { air }: Pick<Condition, 'air'>) =>
  moisture.survives >= DRIEST_FOR_THIN && air.dayRh < moisture.survives;

/** What the dryness of a month's days leaves of growth, 0.5 to 1. */
export const dryGrowth = (target: Target, c: Pick<Condition, 'vpdDay'>): number =>
  target.nature.storesWater || target.isDormant ? 1 : along(BROWNED, drynessOf(target, c));

/** What it leaves of a plant that lives in moist air alone. */
export const dryScore = (target: Target, c: Condition): number =>
  !target.isDormant && driesOut(target, c) ? along(DRIED_OUT, drynessOf(target, c)) : 1;

/** Air that moves dries what settles: it may be this much moister by night, points. */
const MOVING_BEARS: Record<AirMovement, number> = { still: 0, gentle: 5, brisk: 10, strong: 12 };
/** What nights so many points moister than it tolerates leave: spots, then rot. */
const ROTTED: Line = [
  [0, 1],
  [5, 0.75],
  [10, 0.5],
  [18, 0.3],
  [30, 0.15],
];
/** A plant that stores water rots sooner in the cool and at rest: as if the air were so much moister, points. */
const ROTS_SOONER = 10;
const COOL_NIGHT_C = 15;

const moistest = ({ moisture }: Target, { airMovement }: Pick<Condition, 'airMovement'>) =>
  Math.max(moisture.thrivesTo, moisture.tooMoistStill) + MOVING_BEARS[airMovement];

/** What damp nights leave of the plant, 1 to 0.15. */
export function rotScore(target: Target, c: Condition): number {
  const over = c.air.nightRh - moistest(target, c);
  if (over <= 0) return 1;
  const sooner = target.nature.storesWater && (c.air.nightC < COOL_NIGHT_C || target.phase === 'resting');
  return along(ROTTED, sooner ? over + ROTS_SOONER : over);
}

/** The moisture of a month: dry days or damp nights, whichever leave less. */
export function moistureFit(target: Target, c: Condition): FactorFit {
  const { vpdTo } = target.moisture;
  const dry = { factor: 'moisture', aspect: 'dryness', gets: c.vpdDay, wantsFrom: 0, wantsTo: vpdTo } as const;
  const marked = factorFit({ ...dry, score: dryGrowth(target, c), wantsTo: Math.max(vpdTo, bearsAny(target)) });
  const dried = dryScore(target, c);
  const day = dried < 1 ? worse(marked, harmFit({ ...dry, score: dried })) : marked;
  const top = moistest(target, c);
  if (c.air.nightRh <= top) return day;
  const damp = { factor: 'moisture', aspect: 'humidity', gets: c.air.nightRh, wantsFrom: 0, wantsTo: top } as const;
  return worse(day, harmFit({ ...damp, score: rotScore(target, c) }));
}

/** No room is so dry, kPa. */
const BEARS_ANY_KPA = 9;
/** No air dries out a plant that stores its water or has shed its leaves. */
const bearsAny = ({ nature, isDormant }: Target) => (nature.storesWater || isDormant ? BEARS_ANY_KPA : 0);
