/** Schemas of a home's facts, as they cross the wire and stand in the bundle. */
import {
  FILE_HOURS,
  FIGURES,
  FIGURE_KEYS,
  GROWTH_STATES,
  FOLIAGES,
  LAMP_FORMS,
  LAMP_RATINGS,
  LIGHT_AIMS,
  OBSTRUCTION_KINDS,
  READING_SKIES,
  READING_UNITS,
  SCHOOLS,
  TRAITS,
  type AirStatement,
  type Block,
  type Circuit,
  type Correction,
  type FactList,
  type Home,
  type HomeFacts,
  type Lamp,
  type Obstruction,
  type OwnTaxon,
  type Photometry,
  type Plant,
  type Reading,
  type Room,
  type Spot,
  type Stand,
  type Tier,
  type WeatherFile,
  type Window,
} from '@dulvan/core';
import { z } from 'zod';
import {
  NAME_LIMIT,
  id,
  isoDate,
  metres,
  minuteOfDay,
  months,
  name,
  note,
  share,
  timeZone,
  wholeWithin,
  within,
} from './fields';

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
  airMovement: z.enum(['still', 'gentle', 'brisk']),
  insideRoomId: id.nullable(),
  insideXM: metres(0, 30),
  insideYM: metres(0, 30),
  insideZM: metres(0, 10),
  shellTransmittance: share(0, 1),
  eveningLux: within(0, 2000, 'lux'),
  eveningFromMinute: minuteOfDay,
  eveningToMinute: minuteOfDay,
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
  revealM: metres(0, 1.5),
  overhangM: metres(0, 6),
  overhangAboveM: metres(0, 4),
  secondCurtainId: id,
  secondCurtainMonths: months,
  secondCurtainFromMinute: minuteOfDay,
  secondCurtainToMinute: minuteOfDay,
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
  form: z.enum(LAMP_FORMS),
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
  ratedBy: z.enum(LAMP_RATINGS),
  lumens: within(1, 400_000, 'lm').nullable(),
  tiltDeg: within(0, 90, 'degrees'),
  tiltToward: z.enum(['a', 'b', 'c', 'd']),
  burntHours: within(0, 200_000, 'h'),
  lifeHours: within(100, 200_000, 'h').nullable(),
  photometryId: id.nullable(),
}) satisfies z.ZodType<Lamp>;

export const plantSchema = z.strictObject({
  id,
  homeId: id,
  taxonId: taxonKey,
  parents: z
    .array(z.strictObject({ taxonId: taxonKey, share: within(0.01, 1, 'of the whole') }))
    .max(8, 'At most 8 parents.')
    .readonly(),
  traits: z
    .array(z.enum(TRAITS))
    .max(TRAITS.length)
    .refine((list) => new Set(list).size === list.length, 'Each trait once.')
    .readonly(),
  name: z.string().trim().max(NAME_LIMIT, `At most ${NAME_LIMIT} characters.`),
  stage: z.enum([
    'seed',
    'cutting',
    'rooted-cutting',
    'seedling',
    'juvenile',
    'adult',
    'in-bud',
    'in-bloom',
    'recovering',
    'just-arrived',
  ]),
  growthState: z.enum(GROWTH_STATES),
  stateSeenOn: isoDate.nullable(),
  restSchool: z.enum(SCHOOLS).nullable(),
  potCm: within(1, 200, 'cm').nullable(),
  heightCm: within(0.5, 800, 'cm').nullable(),
  foliage: z.enum(FOLIAGES),
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

const names = z
  .array(z.string().trim().min(2, 'At least 2 characters.').max(NAME_LIMIT, `At most ${NAME_LIMIT} characters.`))
  .max(20, 'At most 20 names.')
  .readonly();

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
    if (value < from || value > to)
      context.addIssue({ code: 'custom', path: ['value'], message: `From ${from} to ${to} ${unit}.` });
  }) satisfies z.ZodType<Correction>;

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
}) satisfies z.ZodType<Block>;

/** Most intensities a photometric file may hold: every degree round and down. */
export const MOST_INTENSITIES = 70_000;
const rising = (list: readonly number[]) => list.every((value, i) => i === 0 || value > list[i - 1]!);

export const photometrySchema = z
  .strictObject({
    id,
    homeId: id,
    name,
    lumens: within(0, 1_000_000, 'lm'),
    powerW: within(0, 10_000, 'W'),
    lengthM: metres(0, 10),
    breadthM: metres(0, 10),
    planes: z
      .array(within(0, 360, 'degrees'))
      .min(1)
      .max(361)
      .refine(rising, 'Planes must rise.')
      .readonly(),
    angles: z
      .array(within(0, 180, 'degrees'))
      .min(2)
      .max(361)
      .refine(rising, 'Angles must rise.')
      .readonly(),
    candela: z
      .array(within(0, 10_000_000, 'cd'))
      .max(MOST_INTENSITIES, `At most ${MOST_INTENSITIES} intensities.`)
      .readonly(),
  })
  .refine(({ planes, angles, candela }) => candela.length === planes.length * angles.length, {
    path: ['candela'],
    message: 'One intensity for each plane and angle.',
  }) satisfies z.ZodType<Photometry>;

export const weatherSchema = z.strictObject({
  id,
  homeId: id,
  name,
  latitude: within(-90, 90, 'degrees, south negative'),
  longitude: within(-180, 180, 'degrees, west negative'),
  elevationM: within(-400, 9000, 'm'),
  utcOffsetH: within(-12, 14, 'h'),
  years: z.string().trim().min(1).max(200),
  hours: z
    .string()
    .regex(/^[0-9a-f]*$/, 'Hexadecimal digits.')
    .length(FILE_HOURS * 12, `${FILE_HOURS} hours of twelve digits.`),
}) satisfies z.ZodType<WeatherFile>;

export const readingSchema = z.strictObject({
  id,
  homeId: id,
  spotId: id,
  atMs: z.number().int().min(0).max(4_102_444_800_000, 'A time before 2100.'),
  value: within(0, 200_000, ''),
  unit: z.enum(READING_UNITS),
  sky: z.enum(READING_SKIES),
  outdoorValue: within(0.01, 200_000, '').nullable(),
  curtains: z.enum(['open', 'shut']),
  lamps: z.enum(['on', 'off']),
  note,
  withdrawnOn: isoDate.nullable(),
}) satisfies z.ZodType<Reading>;

/** Fields that came with later versions, as they stand for what was written before: nothing was said. */
export const UNSAID: Readonly<Partial<Record<FactList | 'home', Readonly<Record<string, unknown>>>>> = {
  home: { restSchool: null, lightAim: 'whole', snowMonths: [] },
  rooms: { eveningLux: 0, eveningFromMinute: 1080, eveningToMinute: 1320 },
  windows: {
    revealM: 0,
    overhangM: 0,
    overhangAboveM: 0,
    secondCurtainId: 'none',
    secondCurtainMonths: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12],
    secondCurtainFromMinute: 600,
    secondCurtainToMinute: 1080,
  },
  lamps: {
    ratedBy: 'ppf',
    lumens: null,
    tiltDeg: 0,
    tiltToward: 'a',
    burntHours: 0,
    lifeHours: null,
    photometryId: null,
  },
  plants: { parents: [], traits: [], stateSeenOn: null, restSchool: null, foliage: 'medium' },
};

/** The schema of each list, and how many entries a home may have of it. */
export const factSchemas = {
  rooms: roomSchema,
  windows: windowSchema,
  stands: standSchema,
  tiers: tierSchema,
  spots: spotSchema,
  circuits: circuitSchema,
  photometries: photometrySchema,
  lamps: lampSchema,
  plants: plantSchema,
  air: airSchema,
  ownTaxa: ownTaxonSchema,
  corrections: correctionSchema,
  obstructions: obstructionSchema,
  blocks: blockSchema,
  weathers: weatherSchema,
  readings: readingSchema,
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
  obstructions: 200,
  blocks: 400,
  photometries: 20,
  weathers: 1,
  readings: 2000,
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
  obstructions: listOf('obstructions', obstructionSchema),
  blocks: listOf('blocks', blockSchema),
  photometries: listOf('photometries', photometrySchema),
  weathers: listOf('weathers', weatherSchema),
  readings: listOf('readings', readingSchema),
}) satisfies z.ZodType<HomeFacts>;
