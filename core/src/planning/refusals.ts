/** Where a plant cannot stand at all, and why. */
import type { HomeFacts, HouseholdMember, Plant, PlanSettings, Stand } from '../facts';
import { knownPlant, type Knowledge } from '../home';
import { heightFree } from '../match';
import type { PlacedSpot } from '../room';
import { potWeightG, potWidthCm } from './pot-size';
import { endangered, getsAt } from './reach';

export const REFUSALS = [
  'left-out',
  'kept-off',
  'too-tall',
  'too-wide',
  'too-heavy',
  'in-reach',
  'brushed-past',
  'marks-wall',
] as const;
export type SpotRefusal = (typeof REFUSALS)[number];

/** By plant and spot (`plant * spots + spot`): an index into `REFUSALS`, or -1 where it may stand. */
export interface RefusalTable {
  readonly why: Int8Array;
  /** Plants that no spot is out of reach for: they are planned all the same, and told of. */
  readonly alwaysInReach: readonly { readonly plantId: string; readonly who: readonly HouseholdMember[] }[];
}

const of = (refusal: SpotRefusal) => REFUSALS.indexOf(refusal);

/** What stands somewhere already fits there, and what its grower put there may stay, unless someone gets at it. */
export function refusalTable(
  facts: HomeFacts,
  spots: readonly PlacedSpot[],
  settings: Pick<PlanSettings, 'household'>,
  knowledge: Knowledge,
): RefusalTable {
  const { plants, wishes } = facts;
  const why = new Int8Array(plants.length * spots.length).fill(-1);
  const leftOut = new Set(wishes.flatMap(({ kind, standId }) => (kind === 'leave-out' ? [standId] : [])));
  const alwaysInReach: { plantId: string; who: HouseholdMember[] }[] = [];
  const free = spots.map(({ spot }) => heightFree(facts, spot));
  const standOf = new Map(facts.stands.map((stand) => [stand.id, stand]));
  plants.forEach((plant, p) => {
    const taxon = knownPlant(facts, plant, knowledge)?.taxon;
    const hazard = taxon?.hazard;
    const climbs = taxon?.care.habit === 'climbing' || plant.traits.includes('mature-climbing');
    const who = hazard ? endangered(settings.household, hazard) : [];
    const keptOff = new Set(
      wishes.flatMap(({ kind, plantId, standId }) => (kind === 'keep-off' && plantId === plant.id ? [standId] : [])),
    );
    const own = spots.map(
      (placed, s) => refusalAt(plant, placed, free[s]!, leftOut, keptOff) ?? harmAt(plant, climbs, standOf, placed),
    );
    const reached = spots.map((placed) => who.some((member) => getsAt(member, placed)));
    const isSafeSomewhere = own.some((refusal, s) => refusal === null && !reached[s]);
    if (who.length > 0 && !isSafeSomewhere) alwaysInReach.push({ plantId: plant.id, who });
    own.forEach((refusal, s) => {
      const told = refusal ?? (reached[s] && isSafeSomewhere ? 'in-reach' : null);
      if (told) why[p * spots.length + s] = of(told);
    });
  });
  return { why, alwaysInReach };
}

function refusalAt(
  plant: Plant,
  { spot, standId }: PlacedSpot,
  freeM: number,
  leftOut: ReadonlySet<string | null>,
  keptOff: ReadonlySet<string | null>,
): SpotRefusal | null {
  const stands = plant.spotId === spot.id;
  if (keptOff.has(standId)) return 'kept-off';
  if (leftOut.has(standId)) return stands ? null : 'left-out';
  if (stands) return null;
  if (plant.heightCm !== null && plant.heightCm / 100 > freeM) return 'too-tall';
  if (potWidthCm(plant) / 100 > spot.sizeM) return 'too-wide';
  return potWeightG(plant) > spot.loadKg * 1000 ? 'too-heavy' : null;
}

/** What a place would do to a plant, or a plant to its place; what stands there already is not told to go for that. */
function harmAt(
  plant: Plant,
  climbs: boolean,
  standOf: ReadonlyMap<string, Stand>,
  { spot, standId }: PlacedSpot,
): SpotRefusal | null {
  const stand = standOf.get(standId);
  if (!stand || plant.spotId === spot.id) return null;
  if (stand.traffic === 'busy' && plant.traits.includes('brittle')) return 'brushed-past';
  return stand.wall === 'keep-clean' && climbs ? 'marks-wall' : null;
}
