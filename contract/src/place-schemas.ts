/** Schemas of the place: the home, its rooms and what stands in and before them. */
import {
  AIRINGS,
  AIR_MOVEMENTS,
  AIR_THING_KINDS,
  DOORWAY_STATES,
  ENVELOPES,
  HEATINGS,
  LIGHT_AIMS,
  MOST_CURTAINS,
  OBSTRUCTION_KINDS,
  SCHOOLS,
  SHELL_KINDS,
  STAND_TRAFFIC,
  STAND_WALLS,
  type AirThing,
  type Block,
  type Doorway,
  type Home,
  type LearntAir,
  type HungCurtain,
  type Obstruction,
  type Room,
  type RoomClimate,
  type Spot,
  type Stand,
  type Tier,
  type Window,
} from '@dulvan/core';
import { z } from 'zod';
import { id, metres, minuteOfDay, months, name, share, timeZone, wholeWithin, within } from './fields';

export const homeSchema = z.strictObject({
  id,
  name,
  latitude: within(-90, 90, 'degrees, south negative'),
  longitude: within(-180, 180, 'degrees, west negative'),
  elevationM: within(-400, 5000, 'm'),
  timeZone,
  climateId: id,
  restSchool: z.enum(SCHOOLS).nullable(),
  lightAim: z.enum(LIGHT_AIMS),
  snowMonths: months,
}) satisfies z.ZodType<Home>;

export const roomSchema = z.strictObject({
  id,
  homeId: id,
  name,
  widthM: metres(0.2, 30),
  depthM: metres(0.2, 30),
  heightM: metres(0.2, 10),
  wallABearing: within(0, 360, 'degrees'),
  floorReflectance: share(0, 0.95),
  wallReflectance: share(0, 0.95),
  ceilingReflectance: share(0, 0.95),
  airMovement: z.enum(AIR_MOVEMENTS),
  insideRoomId: id.nullable(),
  insideXM: metres(0, 30),
  insideYM: metres(0, 30),
  insideZM: metres(0, 10),
  shellTransmittance: share(0, 1),
  eveningLux: within(0, 2000, 'lux'),
  eveningFromMinute: minuteOfDay,
  eveningToMinute: minuteOfDay,
}) satisfies z.ZodType<Room>;

const hungCurtainSchema = z.strictObject({
  curtainId: id,
  months,
  fromMinute: minuteOfDay,
  toMinute: minuteOfDay,
}) satisfies z.ZodType<HungCurtain>;

export const curtainsSchema = z
  .array(hungCurtainSchema)
  .max(MOST_CURTAINS, `At most ${MOST_CURTAINS} curtains.`)
  .readonly();

export const windowSchema = z.strictObject({
  id,
  roomId: id,
  name,
  side: z.enum(['a', 'b', 'c', 'd']),
  offsetM: metres(0, 30),
  insetM: metres(0, 30),
  sillM: metres(0, 10),
  widthM: metres(0.1, 20),
  heightM: metres(0.1, 10),
  slopeDeg: within(5, 90, 'degrees'),
  glazingId: id,
  frameShare: share(0, 0.9),
  dirtShare: share(0, 0.9),
  curtains: curtainsSchema,
  outsideKind: z.enum(['open', 'ring', 'row']),
  outsideDeg: within(0, 85, 'degrees'),
  outsideReflectance: share(0, 0.9),
  groundReflectance: share(0, 0.9),
  revealM: metres(0, 1.5),
  revealReflectance: share(0, 0.95),
  overhangM: metres(0, 6),
  overhangAboveM: metres(0, 4),
}) satisfies z.ZodType<Window>;

const bearing = within(0, 360, 'degrees');

export const obstructionSchema = z.strictObject({
  id,
  roomId: id,
  name,
  kind: z.enum(OBSTRUCTION_KINDS),
  fromBearing: bearing,
  toBearing: bearing,
  heightDeg: within(1, 85, 'degrees'),
  reflectance: share(0, 0.9),
  leafMonths: months,
}) satisfies z.ZodType<Obstruction>;

export const blockSchema = z.strictObject({
  id,
  roomId: id,
  name,
  xM: metres(0, 30),
  yM: metres(0, 30),
  zM: metres(0, 10),
  widthM: metres(0.02, 20),
  depthM: metres(0.02, 20),
  heightM: metres(0.02, 10),
  reflectance: share(0, 0.95),
}) satisfies z.ZodType<Block>;

export const standSchema = z.strictObject({
  id,
  roomId: id,
  name,
  kind: z.enum(['sill', 'shelf', 'table', 'trolley', 'floor', 'rail', 'board']),
  // Less than 0 in the reveal of a window.
  xM: metres(-1.5, 30),
  yM: metres(-1.5, 30),
  widthM: metres(0.05, 20),
  depthM: metres(0.05, 20),
  reflectance: share(0, 0.95),
  traffic: z.enum(STAND_TRAFFIC),
  wall: z.enum(STAND_WALLS),
}) satisfies z.ZodType<Stand>;

export const tierSchema = z.strictObject({
  id,
  standId: id,
  heightM: metres(0, 8),
  board: z.enum(['solid', 'open']),
}) satisfies z.ZodType<Tier>;

export const spotSchema = z.strictObject({
  id,
  tierId: id,
  name,
  alongM: metres(0, 20),
  acrossM: metres(0, 20),
  sizeM: metres(0.03, 3),
  freeHeightM: metres(0.03, 8),
  loadKg: within(0.1, 500, 'kg'),
  reach: z.enum(['easy', 'step', 'hard']),
}) satisfies z.ZodType<Spot>;

export const climateSchema = z.strictObject({
  id,
  roomId: id,
  heating: z.enum(HEATINGS),
  dayC: within(5, 35, '°C'),
  nightC: within(5, 35, '°C'),
  dayFromMinute: minuteOfDay,
  dayToMinute: minuteOfDay,
  envelope: z.enum(ENVELOPES),
  airing: z.enum(AIRINGS),
  peopleHours: within(0, 500, 'hours a day'),
  laundryLoadsWeek: within(0, 50, 'loads a week'),
  mealsDay: within(0, 20, 'meals a day'),
  showersDay: within(0, 20, 'showers a day'),
  shell: z.enum(SHELL_KINDS),
}) satisfies z.ZodType<RoomClimate>;

/** Humidity that a humidifier or dehumidifier is set to. */
export const setRh = wholeWithin(20, 95, '%');

export const airThingSchema = z.strictObject({
  id,
  roomId: id,
  name,
  kind: z.enum(AIR_THING_KINDS),
  xM: metres(0, 30),
  yM: metres(0, 30),
  zM: metres(0, 10),
  powerW: within(0, 10_000, 'W'),
  gramsH: within(0, 5000, 'g/h'),
  setRh: setRh.nullable(),
  areaM2: within(0, 20, 'm²'),
  airM3H: within(0, 2000, 'm³/h'),
  toward: z.enum(['a', 'b', 'c', 'd']),
  fromMinute: minuteOfDay,
  toMinute: minuteOfDay,
  months,
}) satisfies z.ZodType<AirThing>;

export const doorwaySchema = z.strictObject({
  id,
  roomId: id,
  toRoomId: id,
  widthM: metres(0.2, 10),
  heightM: metres(0.2, 5),
  stands: z.enum(DOORWAY_STATES),
}) satisfies z.ZodType<Doorway>;

const factor = within(0.05, 20, '');
const doubt = within(0, 5, '');

export const learntAirSchema = z.strictObject({
  id,
  roomId: id,
  airing: factor,
  water: factor,
  walls: factor,
  sun: factor,
  holds: factor,
  dayK: within(-15, 15, 'K'),
  nightK: within(-15, 15, 'K'),
  airingSpread: doubt,
  waterSpread: doubt,
  wallsSpread: doubt,
  sunSpread: doubt,
  holdsSpread: doubt,
  dayKSpread: doubt,
  nightKSpread: doubt,
  days: wholeWithin(1, 40_000, 'days'),
  heatingThen: z.enum(HEATINGS),
  airingThen: z.enum(AIRINGS),
  envelopeThen: z.enum(ENVELOPES),
}) satisfies z.ZodType<LearntAir>;
