/** Schemas of a home's facts, as they cross the wire and stand in the bundle. */
import {
  FIGURES,
  FIGURE_KEYS,
  GROWTH_STATES,
  LIGHT_AIMS,
  SCHOOLS,
  TRAITS,
  type AirStatement,
  type Circuit,
  type Correction,
  type FactList,
  type Home,
  type HomeFacts,
  type Lamp,
  type OwnTaxon,
  type Plant,
  type Room,
  type Spot,
  type Stand,
  type Tier,
  type Window,
} from '@dulvan/core';
import { z } from 'zod';
import { NAME_LIMIT, id, isoDate, metres, minuteOfDay, months, name, note, share, timeZone, wholeWithin, within } from './fields';

/** A taxon of the catalogue, a group of it, or an own one; the catalogue's keys are longer than others. */
const taxonKey = z.string().regex(/^[A-Za-z0-9_-]{1,60}$/, 'Not a valid key.');

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
  airMovement: z.enum(['still', 'gentle', 'brisk']),
  insideRoomId: id.nullable(),
  insideXM: metres(0, 30),
  insideYM: metres(0, 30),
  insideZM: metres(0, 10),
  shellTransmittance: share(0, 1),
}) satisfies z.ZodType<Room>;

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
  curtainId: id,
  curtainMonths: months,
  curtainFromMinute: minuteOfDay,
  curtainToMinute: minuteOfDay,
  outsideKind: z.enum(['open', 'ring', 'row']),
  outsideDeg: within(0, 85, 'degrees'),
  outsideReflectance: share(0, 0.9),
  groundReflectance: share(0, 0.9),
}) satisfies z.ZodType<Window>;

export const standSchema = z.strictObject({
  id,
  roomId: id,
  name,
  kind: z.enum(['sill', 'shelf', 'table', 'trolley', 'floor', 'rail', 'board']),
  xM: metres(0, 30),
  yM: metres(0, 30),
  widthM: metres(0.05, 20),
  depthM: metres(0.05, 20),
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

export const circuitSchema = z.strictObject({
  id,
  homeId: id,
  name,
  onMinute: minuteOfDay,
  offMinute: minuteOfDay,
  months,
}) satisfies z.ZodType<Circuit>;

export const lampSchema = z.strictObject({
  id,
  circuitId: id,
  tierId: id,
  name,
  form: z.enum(['point', 'bar', 'panel']),
  ppf: within(0.1, 5000, 'µmol/s'),
  powerW: within(0.1, 3000, 'W'),
  spectrum: z.enum(['daylight', 'white-warm', 'white-neutral', 'white-cool', 'sodium', 'red-blue']),
  beamDeg: within(5, 170, 'degrees'),
  lengthM: metres(0, 5),
  breadthM: metres(0, 5),
  alongM: metres(0, 20),
  acrossM: metres(0, 20),
  aboveM: metres(0.02, 8),
  dimming: share(0, 1),
}) satisfies z.ZodType<Lamp>;

export const plantSchema = z.strictObject({
  id,
  homeId: id,
  taxonId: taxonKey,
  parents: z.array(z.strictObject({ taxonId: taxonKey, share: within(0.01, 1, 'of the whole') })).max(8, 'At most 8 parents.').readonly(),
  traits: z.array(z.enum(TRAITS)).max(TRAITS.length).refine((list) => new Set(list).size === list.length, 'Each trait once.').readonly(),
  name: z.string().trim().max(NAME_LIMIT, `At most ${NAME_LIMIT} characters.`),
  stage: z.enum([
    'seed', 'cutting', 'rooted-cutting', 'seedling', 'juvenile', 'adult', 'in-bud', 'in-bloom', 'recovering', 'just-arrived',
  ]),
  growthState: z.enum(GROWTH_STATES),
  stateSeenOn: isoDate.nullable(),
  restSchool: z.enum(SCHOOLS).nullable(),
  potCm: within(1, 200, 'cm').nullable(),
  heightCm: within(0.5, 800, 'cm').nullable(),
  spotId: id.nullable(),
  arrivedOn: isoDate.nullable(),
  note,
}) satisfies z.ZodType<Plant>;

export const airSchema = z.strictObject({
  id,
  roomId: id,
  month: wholeWithin(1, 12, ''),
  dayC: within(-10, 50, '°C'),
  nightC: within(-10, 50, '°C'),
  dayRh: within(1, 100, '%'),
  nightRh: within(1, 100, '%'),
}) satisfies z.ZodType<AirStatement>;

const names = z.array(z.string().trim().min(2, 'At least 2 characters.').max(NAME_LIMIT, `At most ${NAME_LIMIT} characters.`)).max(20, 'At most 20 names.').readonly();

export const ownTaxonSchema = z.strictObject({
  id: z.string().regex(/^own-[A-Za-z0-9_-]{1,36}$/, 'Not a valid key.'),
  homeId: id,
  name,
  common: names,
  synonyms: names,
  basedOn: taxonKey,
  key: z.string().trim().max(200, 'At most 200 characters.'),
}) satisfies z.ZodType<OwnTaxon>;

export const correctionSchema = z
  .strictObject({
    id,
    homeId: id,
    taxonId: taxonKey.nullable(),
    plantId: id.nullable(),
    figure: z.enum(FIGURE_KEYS, 'No such figure.'),
    value: z.number('A number.'),
    reason: z.string().trim().min(1, 'Say why: it stands beside the figure.').max(400, 'At most 400 characters.'),
    on: isoDate,
  })
  .superRefine(({ figure, value }, context) => {
    const { from, to, unit } = FIGURES[figure];
    if (value < from || value > to) context.addIssue({ code: 'custom', path: ['value'], message: `From ${from} to ${to} ${unit}.` });
  }) satisfies z.ZodType<Correction>;

/** Fields that came with later versions, as they stand for what was written before: nothing was said. */
export const UNSAID: Readonly<Partial<Record<FactList | 'home', Readonly<Record<string, unknown>>>>> = {
  home: { restSchool: null, lightAim: 'whole' },
  plants: { parents: [], traits: [], stateSeenOn: null, restSchool: null },
};

/** The schema of each list, and how many entries a home may have of it. */
export const factSchemas = {
  rooms: roomSchema,
  windows: windowSchema,
  stands: standSchema,
  tiers: tierSchema,
  spots: spotSchema,
  circuits: circuitSchema,
  lamps: lampSchema,
  plants: plantSchema,
  air: airSchema,
  ownTaxa: ownTaxonSchema,
  corrections: correctionSchema,
} as const satisfies Record<FactList, z.ZodType>;

export const FACT_LIMITS: Record<FactList, number> = {
  rooms: 40,
  windows: 200,
  stands: 200,
  tiers: 600,
  spots: 2000,
  circuits: 100,
  lamps: 500,
  plants: 5000,
  air: 480,
  ownTaxa: 3000,
  corrections: 20000,
};

/** In the order in which they may be written: what is referred to comes first. */
export const FACT_LISTS = Object.keys(factSchemas) as FactList[];

const listOf = <S extends z.ZodType>(list: FactList, schema: S) =>
  z.array(schema).max(FACT_LIMITS[list], `At most ${FACT_LIMITS[list]} ${list}.`);

export const homeFactsSchema = z.strictObject({
  home: homeSchema,
  rooms: listOf('rooms', roomSchema),
  windows: listOf('windows', windowSchema),
  stands: listOf('stands', standSchema),
  tiers: listOf('tiers', tierSchema),
  spots: listOf('spots', spotSchema),
  circuits: listOf('circuits', circuitSchema),
  lamps: listOf('lamps', lampSchema),
  plants: listOf('plants', plantSchema),
  air: listOf('air', airSchema),
  ownTaxa: listOf('ownTaxa', ownTaxonSchema),
  corrections: listOf('corrections', correctionSchema),
}) satisfies z.ZodType<HomeFacts>;
