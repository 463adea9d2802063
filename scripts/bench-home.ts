/** A home of four rooms, eight windows, 120 spots and 40 lamps: what the speed of the light engine is measured on. */
import { NOTHING_PLANNED, type HomeFacts, type HungCurtain, type Window } from '@dulvan/core';
import { sailLoft } from '../server/src/demo/sail-loft';

const ROOMS = 4;
const STANDS = 2;
const TIERS = 3;
const SPOTS = 5;
const ALL_YEAR = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

const curtainOf = (curtainId: string): HungCurtain => ({
  curtainId,
  months: ALL_YEAR,
  fromMinute: 600,
  toMinute: 960,
});

/** A window with another curtain, or with none. */
export const curtained = (window: Window, curtainId: string): Window => ({
  ...window,
  curtains: curtainId === 'none' ? [] : [curtainOf(curtainId)],
});

const range = (count: number) => Array.from({ length: count }, (_, i) => i);

/**
 * Rooms of 5 by 4 m, each with a window in walls A and B and two racks of three tiers with five spots and five lamps
 * among them.
 */
export function benchHome(): HomeFacts {
  const [room] = sailLoft.rooms;
  const [window] = sailLoft.windows;
  const [stand] = sailLoft.stands;
  const [tier] = sailLoft.tiers;
  const [spot] = sailLoft.spots;
  const [lamp] = sailLoft.lamps;
  const rooms = range(ROOMS).map((r) => ({
    ...room!,
    id: `r${r}`,
    name: `Room ${r}`,
    widthM: 5,
    depthM: 4,
    heightM: 2.6,
    wallABearing: 180 + 20 * r,
    insideRoomId: null,
  }));
  const stands = rooms.flatMap(({ id }) =>
    range(STANDS).map((s) => ({
      ...stand!,
      id: `${id}s${s}`,
      roomId: id,
      xM: 0.5 + 2 * s,
      yM: 0.4 + 1.2 * s,
      widthM: 1.2,
      depthM: 0.4,
    })),
  );
  const tiers = stands.flatMap(({ id }) =>
    range(TIERS).map((t) => ({
      ...tier!,
      id: `${id}t${t}`,
      standId: id,
      heightM: 0.3 + 0.5 * t,
      board: 'solid' as const,
    })),
  );
  const spots = tiers.flatMap(({ id }) =>
    range(SPOTS).map((p) => ({
      ...spot!,
      id: `${id}p${p}`,
      tierId: id,
      alongM: 0.12 + 0.24 * p,
      acrossM: 0.2,
      sizeM: 0.2,
    })),
  );
  const lampTiers = tiers.flatMap((t, i) => (i % 3 === 0 ? [t, t] : [t]));
  const lamps = [...lampTiers, ...tiers].slice(0, 40).map(({ id }, i) => ({
    ...lamp!,
    id: `l${i}`,
    tierId: id,
    circuitId: sailLoft.circuits[0]!.id,
    alongM: 0.3 + 0.3 * (i % 3),
    acrossM: 0.2,
    aboveM: 0.42,
  }));
  return {
    ...sailLoft,
    rooms,
    windows: rooms.flatMap(({ id }) => [
      {
        ...window!,
        id: `${id}a`,
        roomId: id,
        side: 'a' as const,
        offsetM: 1.2,
        insetM: 0,
        slopeDeg: 90,
        sillM: 0.9,
        widthM: 1.8,
        heightM: 1.3,
        curtains: [curtainOf('net')],
      },
      {
        ...window!,
        id: `${id}b`,
        roomId: id,
        side: 'b' as const,
        offsetM: 1,
        insetM: 0,
        slopeDeg: 90,
        sillM: 0.9,
        widthM: 1.2,
        heightM: 1.3,
        curtains: [],
      },
    ]),
    stands,
    tiers,
    spots,
    lamps,
    plants: sailLoft.plants.map((plant, i) => ({ ...plant, spotId: spots[i * 5]?.id ?? null })),
    air: [],
  };
}

/** The same with 300 plants on it, most of them where they should not be: what mends are measured on. */
export function crowdedHome(): HomeFacts {
  const home = benchHome();
  const plants = range(300).map((i) => ({
    ...sailLoft.plants[i % sailLoft.plants.length]!,
    id: `crowd${i}`,
    heightCm: 10 + ((i * 7) % 60),
    spotId: home.spots[(i * 7) % 110]!.id,
  }));
  return { ...home, plants };
}

const FULL = { rooms: 40, windows: 200, stands: 200, tiersAStand: 3, spots: 2000, lamps: 500, plants: 5000 };

/** A home with all that a home may have: 40 rooms, 200 windows, 2000 spots, 500 lamps, 5000 plants. */
export function fullHome(): HomeFacts {
  const base = benchHome();
  const home = { ...sailLoft.home, id: 'full', name: 'Full home' };
  const of = <T extends object>(list: readonly T[], i: number): T => list[i % list.length]!;
  const rooms = range(FULL.rooms).map((i) => ({
    ...of(base.rooms, i),
    id: `r${i}`,
    homeId: home.id,
    name: `Room ${i}`,
  }));
  const windows = range(FULL.windows).map((i) => {
    const room = i % FULL.rooms;
    const side = (['a', 'b', 'c', 'd'] as const)[Math.floor(i / FULL.rooms) % 4]!;
    const second = i >= FULL.rooms * 4;
    return {
      ...of(base.windows, i),
      id: `w${i}`,
      roomId: `r${room}`,
      side,
      offsetM: second ? 2.4 : 0.3,
      widthM: 1.2,
    };
  });
  const stands = range(FULL.stands).map((i) => ({
    ...of(base.stands, 0),
    id: `s${i}`,
    roomId: `r${i % FULL.rooms}`,
    xM: 0.3 + 1.3 * (Math.floor(i / FULL.rooms) % 3),
    yM: 0.4 + 1.2 * Math.floor(i / FULL.rooms / 3),
  }));
  const tiers = stands.flatMap(({ id }) =>
    range(FULL.tiersAStand).map((t) => ({
      ...of(base.tiers, 0),
      id: `${id}t${t}`,
      standId: id,
      heightM: 0.3 + 0.5 * t,
    })),
  );
  const spots = range(FULL.spots).map((i) => ({
    ...of(base.spots, 0),
    id: `p${i}`,
    tierId: tiers[i % tiers.length]!.id,
    alongM: 0.12 + 0.24 * (Math.floor(i / tiers.length) % 5),
  }));
  const circuit = { ...sailLoft.circuits[0]!, homeId: home.id };
  const lamps = range(FULL.lamps).map((i) => ({
    ...of(base.lamps, 0),
    id: `l${i}`,
    tierId: tiers[i % tiers.length]!.id,
    circuitId: circuit.id,
  }));
  const plants = range(FULL.plants).map((i) => ({
    ...of(sailLoft.plants, i),
    id: `plant-${i}`,
    homeId: home.id,
    spotId: i < FULL.spots ? `p${i}` : null,
  }));
  const empty = {
    air: [],
    ownTaxa: [],
    corrections: [],
    obstructions: [],
    blocks: [],
    photometries: [],
    climates: [],
    airThings: [],
    doorways: [],
    learntAir: [],
    spotAir: [],
    ...NOTHING_PLANNED,
  };
  return {
    ...empty,
    home,
    rooms,
    windows,
    stands,
    tiers,
    spots,
    circuits: [circuit],
    lamps,
    plants,
    weathers: [],
    readings: [],
    outcomes: [],
  };
}
