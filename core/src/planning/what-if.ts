/** Questions that begin with "what if", as changes that are tried and not stored. */
import { saturationPressure } from '../air';
import {
  clearedBy,
  drop,
  fallenWith,
  put,
  type AirStatement,
  type Change,
  type FactKey,
  type HomeFacts,
  type Plant,
} from '../facts';

/** A home without one of its facts: what goes with it, and what pointed at it points at nothing. */
export function without(facts: HomeFacts, taken: FactKey): Change[] {
  const { gone, cleared } = fallenWith(facts, [taken]);
  return [...cleared.map(clearedBy), ...gone.map(({ list, id }) => drop(list, id))];
}

export interface MovingIn {
  readonly changes: readonly Change[];
  /** Plants of kinds that only the other home knows: they stay there. */
  readonly left: readonly Plant[];
}

/** The plants of another home come into this one, each without a spot. @param newId of each */
export function movingIn(facts: HomeFacts, other: HomeFacts, newId: () => string): MovingIn {
  const own = new Set(other.ownTaxa.map(({ id }) => id));
  const isOwn = ({ taxonId, parents }: Plant) => own.has(taxonId) || parents.some((parent) => own.has(parent.taxonId));
  const unplaced = { homeId: facts.home.id, spotId: null, cameFromSpotId: null, movedOn: null };
  return {
    changes: other.plants
      .filter((plant) => !isOwn(plant))
      .map((plant) => put('plants', { ...plant, ...unplaced, id: newId() })),
    left: other.plants.filter(isOwn),
  };
}

/** A month of a room's air, by day and by night. */
export type RoomMonth = Omit<AirStatement, 'id' | 'roomId'>;

/** How much hotter than in its hottest month a room without cooling gets in a heat wave, K. Judgement. */
const HEAT_WAVE = { day: 6, night: 5 } as const;

/** Humidity of the same air once it is warmer, per cent. */
const warmed = (rh: number, fromC: number, toC: number): number =>
  Math.round((rh * saturationPressure(fromC)) / saturationPressure(toC));

/**
 * A heat wave: the hottest month of each room as hot as ten bad days make it, its vapour the same.
 * @param airOf twelve months of each room's air as it is; a room without is left alone
 */
export function heatWave(
  facts: HomeFacts,
  airOf: ReadonlyMap<string, readonly RoomMonth[]>,
  newId: () => string,
): Change[] {
  return facts.rooms.flatMap(({ id: roomId }): Change[] => {
    const months = airOf.get(roomId) ?? [];
    const [first] = months;
    if (!first) return [];
    const { month, dayC, nightC, dayRh, nightRh } = months.reduce((p, q) => (q.dayC > p.dayC ? q : p), first);
    const hot: AirStatement = {
      ...{ id: newId(), roomId, month, dayC: dayC + HEAT_WAVE.day, nightC: nightC + HEAT_WAVE.night },
      dayRh: warmed(dayRh, dayC, dayC + HEAT_WAVE.day),
      nightRh: warmed(nightRh, nightC, nightC + HEAT_WAVE.night),
    };
    const said = facts.air.filter((one) => one.roomId === roomId && one.month === month);
    return [...said.map(({ id }) => drop('air', id)), put('air', hot)];
  });
}
