/** Plants carried to other spots: to free ones, in exchange for others, or in a chain of two. */
import { applied, type Plant, type Spot } from '../facts';
import { changesOf, heightFree, refusalOf, type Effect, type Remedy } from '../match';
import { MOST_LOST, NEXT_M, WORTH_IT, besideOn, scoreNow, scoreUnder, type Desk, type Prospect } from './mend-desk';

/** Best spots of a plant that are looked at, free ones and taken ones. */
const SPOTS_TRIED = 4;
const TAKEN_TRIED = 8;

/** Whether a plant can stand on a spot at all. */
const takes = ({ facts }: Desk, spot: Spot, plant: Plant): boolean =>
  refusalOf(plant, spot, heightFree(facts, spot)) === null;

interface RatedSpot {
  readonly spot: Spot;
  readonly score: number;
}

/** Spots that take a plant and do it good, best first. */
function ratedSpots(desk: Desk, plant: Plant, spots: readonly Spot[], above: number, count: number): RatedSpot[] {
  return spots
    .flatMap((spot): RatedSpot[] => {
      const score = takes(desk, spot, plant) ? scoreUnder(desk, plant, desk.conditions.get(spot.id)!) : null;
      return score !== null && score > above + WORTH_IT ? [{ spot, score }] : [];
    })
    .sort((p, q) => q.score - p.score || (p.spot.id < q.spot.id ? -1 : 1))
    .slice(0, count);
}

/** Every carry that would do a plant good by the light as it stands: to free spots, in exchange, in a chain. */
export function carries(desk: Desk, plant: Plant): Prospect[] {
  const before = scoreNow(desk, plant);
  const effect = { plantId: plant.id, before };
  const free = ratedSpots(desk, plant, desk.free, before, SPOTS_TRIED);
  const moves = free.map(({ spot, score }): Prospect => {
    const remedy: Remedy = { kind: 'move', plantId: plant.id, spotId: spot.id };
    return { remedy, effects: [{ ...effect, after: score }], after: desk.conditions.get(spot.id)! };
  });
  const own = desk.facts.spots.find(({ id }) => id === plant.spotId);
  if (!own) return moves;
  const taken = desk.facts.spots.filter(({ id }) => id !== own.id && desk.occupants.get(id)?.length === 1);
  const exchanges = ratedSpots(desk, plant, taken, before, TAKEN_TRIED).flatMap(({ spot, score }): Prospect[] => {
    const [other] = desk.occupants.get(spot.id)!;
    const otherBefore = scoreNow(desk, other!);
    const carry = { plantId: plant.id, spotId: spot.id, otherPlantId: other!.id };
    const after = desk.conditions.get(spot.id)!;
    const both = (otherAfter: number) => [
      { ...effect, after: score },
      { plantId: other!.id, before: otherBefore, after: otherAfter },
    ];
    const here = takes(desk, own, other!) ? scoreUnder(desk, other!, desk.conditions.get(own.id)!) : null;
    const [elsewhere] = ratedSpots(desk, other!, desk.free, otherBefore - MOST_LOST - WORTH_IT, 1);
    return [
      ...(here === null ? [] : [{ remedy: { kind: 'swap' as const, ...carry }, effects: both(here), after }]),
      ...(elsewhere
        ? [
            {
              remedy: { kind: 'chain' as const, ...carry, otherSpotId: elsewhere.spot.id },
              effects: both(elsewhere.score),
              after,
            },
          ]
        : []),
    ];
  });
  return [...moves, ...exchanges];
}

export const isUnderLamps = ({ facts }: Desk, spotId: string): boolean => {
  const tierId = facts.spots.find(({ id }) => id === spotId)?.tierId;
  return facts.lamps.some((lamp) => lamp.tierId === tierId);
};

/**
 * A carry worked out with the plant where it would stand, and for who stands on the same board in its shade; null where
 * that is not worked out in this answer any more.
 */
export function carriedOut(
  desk: Desk,
  remedy: Extract<Remedy, { kind: 'move' | 'swap' | 'chain' }>,
  how: 'alone' | 'with-next' | 'with-board',
): Prospect | null {
  const { engine, facts, conditions, when, left } = desk;
  const taken = [...desk.occupants.keys()];
  const boards = [remedy.spotId, ...(remedy.kind === 'chain' ? [remedy.otherSpotId] : [])];
  const asked =
    how === 'alone'
      ? [remedy.spotId]
      : [
          ...new Set(
            boards.flatMap((spotId) => besideOn(facts, spotId, taken, how === 'with-next' ? NEXT_M : Infinity)),
          ),
        ];
  if (asked.length > left.elsewhere) return null;
  left.elsewhere -= asked.length;
  const changed = applied(facts, changesOf(remedy, facts, `${when.year}-01-01`))!;
  const anew = engine.conditionsAt(changed, asked, when.year, facts);
  const effects = changed.plants.flatMap((plant): Effect[] => {
    const was = facts.plants.find(({ id }) => id === plant.id)!;
    if (plant.spotId === null || (plant.spotId === was.spotId && !anew.has(plant.spotId))) return [];
    const year = anew.get(plant.spotId) ?? conditions.get(plant.spotId);
    const after = year ? scoreUnder(desk, plant, year) : null;
    return after === null ? [] : [{ plantId: plant.id, before: scoreNow(desk, was), after }];
  });
  return { remedy, effects, after: anew.get(remedy.spotId) ?? conditions.get(remedy.spotId)! };
}
