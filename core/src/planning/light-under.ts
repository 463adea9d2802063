/** What spots give under each way their timers may burn. */
import { applied, roomIdOfSpot, type HomeFacts } from '../facts';
import type { Condition } from '../fit';
import { leafPlaceOf, sceneOf, topPlaceOf, type HomeEngine, type Steps } from '../home';
import { DAY_THRESHOLD_PPFD } from '../light';
import type { PlacedSpot } from '../room';
import { changesAllYear, isTimer, type Menu } from './menu';
import type { TimerYear } from './timer-menu';

/** A spot's months under each way of its timers and curtains, the first's slowest. */
export interface SpotLight {
  /** Indices of the menus that light it: up to two timers, and after them a curtain. */
  readonly timers: readonly number[];
  /** Twelve months by combination of ways. */
  readonly years: readonly (readonly Condition[])[];
}

/**
 * A spot follows the two timers that light it most, the second where it does more than just be noticed; what others
 * give it is taken as it is now. With them it follows the curtain that its room has on a menu.
 */
const TIMERS_OF_A_SPOT = 2;
const SECOND_FROM_PPFD = 2;

/** The timers that a plant on each spot notices and that can be set, the strongest first, and its room's curtain. */
export function menusOfSpots(
  engine: HomeEngine,
  facts: HomeFacts,
  {
    year,
    spots,
    menus,
  }: { readonly year: number; readonly spots: readonly PlacedSpot[]; readonly menus: readonly Menu[] },
): number[][] {
  const scene = sceneOf(facts, engine.sources);
  const sky = engine.lit.sky(facts, year);
  const indexOf = new Map(menus.flatMap((menu, i) => (isTimer(menu) ? [[menu.circuit.id, i] as const] : [])));
  const curtainOf = new Map(menus.flatMap((menu, i) => (isTimer(menu) ? [] : [[menu.window.roomId, i] as const])));
  return spots.map((placed) => {
    const place = leafPlaceOf(scene, placed);
    const ppfd = new Map<number, number>();
    for (const lamp of engine.lit.lampsAt(scene, place, sky, topPlaceOf(place, placed))) {
      const menu = indexOf.get(lamp.circuit.id)!;
      ppfd.set(menu, (ppfd.get(menu) ?? 0) + lamp.ppfd);
    }
    const room = facts.rooms.find(({ id }) => id === roomIdOfSpot(facts, placed.spot.id));
    const curtain = curtainOf.get(room?.insideRoomId ?? room?.id ?? '');
    const timers = [...ppfd]
      .filter(([menu, light]) => light >= DAY_THRESHOLD_PPFD && menus[menu]!.ways.length > 1)
      .sort((p, q) => q[1] - p[1])
      .filter(([, light], i) => i === 0 || light >= SECOND_FROM_PPFD)
      .slice(0, TIMERS_OF_A_SPOT)
      .map(([menu]) => menu);
    return [...timers, ...(curtain === undefined ? [] : [curtain])];
  });
}

export interface LightAsked {
  readonly year: number;
  readonly menus: readonly Menu[];
  /** Spots and the timers each follows. */
  readonly spotIds: readonly string[];
  readonly timers: readonly (readonly number[])[];
  /** The home whose rooms' air is taken. */
  readonly airOf: HomeFacts;
}

/** The light of spots under all ways of their timers, in the order they were asked for. */
export function* lightUnder(engine: HomeEngine, facts: HomeFacts, asked: LightAsked): Steps<SpotLight[]> {
  const { year, menus, spotIds, timers, airOf } = asked;
  const groups = new Map<string, number[]>();
  timers.forEach((own, i) => {
    const key = own.join();
    groups.set(key, [...(groups.get(key) ?? []), i]);
  });
  const years: (readonly Condition[])[][] = spotIds.map(() => []);
  let done = 0;
  for (const members of groups.values()) {
    const own = timers[members[0]!]!;
    const ids = members.map((i) => spotIds[i]!);
    for (const combination of combinations(own.map((menu) => menus[menu]!.ways.length))) {
      yield done / groups.size;
      const set = combination.flatMap((way, i) => changesAllYear(facts, menus[own[i]!]!, way));
      const home = applied(facts, set)!;
      const conditions = engine.conditionsAt(home, ids, year, airOf, facts);
      for (const i of members) years[i]!.push(conditions.get(spotIds[i]!)!);
    }
    done += 1;
  }
  return spotIds.map((_, i) => ({ timers: timers[i]!, years: years[i]! }));
}

/** Which of a spot's combinations burns in a month (0..11). @param years the year of each timer, by menu */
export const wayIn = (
  { timers }: Pick<SpotLight, 'timers'>,
  menus: readonly Menu[],
  years: readonly TimerYear[],
  month0: number,
): number => timers.reduce((way, menu) => way * menus[menu]!.ways.length + years[menu]![month0]!, 0);

/** All combinations of so many choices each, the last fastest; one empty combination of none. */
export function combinations(counts: readonly number[]): number[][] {
  return counts.reduce<number[][]>(
    (all, count) => all.flatMap((before) => Array.from({ length: count }, (_, i) => [...before, i])),
    [[]],
  );
}
