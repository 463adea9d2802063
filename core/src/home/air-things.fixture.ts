/**
 * Heating and airing, and things that change the air, with usual values: for tests that state only what they are
 * about.
 */
import type { AirThing, RoomClimate } from '../facts';
import { ALL_MONTHS } from '../units';
import { ASSUMED_CLIMATE } from './room-climate';

export const climateWith = (given: Partial<RoomClimate> = {}): RoomClimate => ({
  ...ASSUMED_CLIMATE,
  id: `climate-${given.roomId ?? 'r'}`,
  roomId: 'r',
  ...given,
});

export const thingWith = (given: Partial<AirThing> & Pick<AirThing, 'kind'>): AirThing => ({
  id: given.kind,
  roomId: 'r',
  name: given.kind,
  xM: 2,
  yM: 2,
  zM: 1,
  powerW: 0,
  gramsH: 0,
  setRh: null,
  areaM2: 0,
  airM3H: 0,
  toward: 'a',
  fromMinute: 0,
  toMinute: 1440,
  months: ALL_MONTHS,
  ...given,
});
