/** A home of four rooms, eight windows, 120 spots and 40 lamps: what the speed of the light engine is measured on. */
import type { HomeFacts } from '@dulvan/core';
import { sailLoft } from '../server/src/demo/sail-loft';

const ROOMS = 4;
const STANDS = 2;
const TIERS = 3;
const SPOTS = 5;
const ALL_YEAR = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

const range = (count: number) => Array.from({ length: count }, (_, i) => i);

/** Rooms of 5 by 4 m, each with a window in walls A and B and two racks of three tiers with five spots and five lamps among them. */
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
        curtainId: 'net',
        curtainMonths: ALL_YEAR,
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
        curtainId: 'none',
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
