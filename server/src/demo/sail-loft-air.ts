/** How the sail loft is heated and aired, and what warms, wets and moves its air. */
import { ASSUMED_CLIMATE, type AirThing, type RoomClimate } from '@dulvan/core';
import { ALL_YEAR } from './build';

const climate = (roomId: string, given: Partial<RoomClimate>): RoomClimate => ({
  ...ASSUMED_CLIMATE,
  id: `${roomId}-climate`,
  roomId,
  ...given,
});

export const SAIL_LOFT_CLIMATES: readonly RoomClimate[] = [
  climate('loft', { dayC: 20, nightC: 17, envelope: 'usual', airing: 'leaky', peopleHours: 12, laundryLoadsWeek: 2 }),
  climate('galley', { dayC: 20, nightC: 17, airing: 'twice-a-day', peopleHours: 3, mealsDay: 2 }),
  climate('cabinet', { heating: 'none', airing: 'leaky', peopleHours: 0, shell: 'glass' }),
];

const thing = (given: Pick<AirThing, 'id' | 'roomId' | 'name' | 'kind' | 'xM' | 'yM' | 'zM'> & Partial<AirThing>) => ({
  powerW: 0,
  gramsH: 0,
  setRh: null,
  areaM2: 0,
  airM3H: 0,
  toward: 'a' as const,
  fromMinute: 0,
  toMinute: 1440,
  months: ALL_YEAR,
  ...given,
});

export const SAIL_LOFT_AIR_THINGS: readonly AirThing[] = [
  thing({ id: 'gable-radiator', roomId: 'loft', name: 'Gable radiator', kind: 'radiator', xM: 1, yM: 0.1, zM: 0.4 }),
  thing({ id: 'loft-door', roomId: 'loft', name: 'Stair door', kind: 'outer-door', xM: 7.1, yM: 1, zM: 1 }),
  thing({
    id: 'cabinet-moss',
    roomId: 'cabinet',
    name: 'Moss tray',
    kind: 'open-water',
    xM: 0.45,
    yM: 0.22,
    zM: 0.05,
    areaM2: 0.06,
  }),
];
