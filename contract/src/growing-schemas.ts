/** Schemas of what lights, what grows and what is known of it. */
import {
  FIGURES,
  FIGURE_KEYS,
  FOLIAGES,
  GOALS,
  GROWTH_STATES,
  LAMP_FORMS,
  LAMP_RATINGS,
  OUTCOME_KINDS,
  READING_SKIES,
  READING_UNITS,
  SCHOOLS,
  TIMER_FREEDOMS,
  TRAITS,
  type AirStatement,
  type Circuit,
  type Correction,
  type Lamp,
  type Outcome,
  type OwnTaxon,
  type Photometry,
  type Plant,
  type SpotAirStatement,
  type Reading,
  type WeatherFile,
} from '@dulvan/core';
import { z } from 'zod';
import {
  fileKey,
  id,
  instant,
  isoDate,
  line,
  metres,
  minuteOfDay,
  months,
  name,
  NAME_LIMIT,
  note,
  share,
  text,
  wholeWithin,
  within,
} from './fields';
import { programmeSchema } from './plan-schemas';

/** A taxon of the catalogue, a group of it, or an own one; the catalogue's keys are longer than others. */
const taxonKey = z.string().regex(/^[A-Za-z0-9_-]{1,60}$/, 'Not a valid key.');

export const circuitSchema = z.strictObject({
  id,
  homeId: id,
  name,
  onMinute: minuteOfDay,
  offMinute: minuteOfDay,
  months,
  programme: programmeSchema,
  freedom: z.enum(TIMER_FREEDOMS),
  fadeMinutes: wholeWithin(0, 120, 'minutes'),
  limitW: within(1, 5000, 'W').nullable(),
  supplyId: id.nullable(),
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

export const photometrySchema = z.strictObject({
  id,
  homeId: id,
  name,
  lumens: within(0, 1_000_000, 'lm'),
  powerW: within(0, 10_000, 'W'),
  lengthM: metres(0, 10),
  breadthM: metres(0, 10),
  fileKey,
}) satisfies z.ZodType<Photometry>;

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
  name: line(NAME_LIMIT),
  goal: z.enum(GOALS),
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
  stageSeenOn: isoDate.nullable(),
  growthState: z.enum(GROWTH_STATES),
  stateSeenOn: isoDate.nullable(),
  restSchool: z.enum(SCHOOLS).nullable(),
  potCm: within(1, 200, 'cm').nullable(),
  heightCm: within(0.5, 800, 'cm').nullable(),
  foliage: z.enum(FOLIAGES),
  spotId: id.nullable(),
  cameFromSpotId: id.nullable(),
  movedOn: isoDate.nullable(),
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

const { roomId: _roomId, ...airFields } = airSchema.shape;

export const spotAirSchema = z.strictObject({ ...airFields, spotId: id }) satisfies z.ZodType<SpotAirStatement>;

const twelve = (from: number, to: number, unit: string) =>
  z
    .array(within(from, to, unit))
    .length(12, 'One for each month.')
    .readonly();

export const outcomeSchema = z
  .strictObject({
    id,
    homeId: id,
    plantId: id,
    spotId: id,
    taxonId: taxonKey,
    kind: z.enum(OUTCOME_KINDS),
    since: isoDate,
    on: isoDate,
    dli: twelve(0, 200, 'mol'),
    peakPpfd: twelve(0, 10_000, 'µmol/m²s'),
    meanC: twelve(-10, 50, '°C'),
  })
  .superRefine(({ since, on }, context) => {
    if (since > on) context.addIssue({ code: 'custom', path: ['since'], message: 'It came before it was seen.' });
  }) satisfies z.ZodType<Outcome>;

const names = z.array(line(NAME_LIMIT).min(2, 'At least 2 characters.')).max(20, 'At most 20 names.').readonly();

export const ownTaxonSchema = z.strictObject({
  id: z.string().regex(/^own-[A-Za-z0-9_-]{1,36}$/, 'Not a valid key.'),
  homeId: id,
  name,
  common: names,
  synonyms: names,
  basedOn: taxonKey,
  key: line(200),
}) satisfies z.ZodType<OwnTaxon>;

export const correctionSchema = z
  .strictObject({
    id,
    homeId: id,
    taxonId: taxonKey.nullable(),
    plantId: id.nullable(),
    figure: z.enum(FIGURE_KEYS, 'No such figure.'),
    value: z.number('A number.'),
    reason: text(400).trim().min(1, 'Say why: it stands beside the figure.'),
    on: isoDate,
  })
  .superRefine(({ figure, value }, context) => {
    const { from, to, unit } = FIGURES[figure];
    if (value < from || value > to)
      context.addIssue({ code: 'custom', path: ['value'], message: `From ${from} to ${to} ${unit}.` });
  }) satisfies z.ZodType<Correction>;

export const weatherSchema = z.strictObject({
  id,
  homeId: id,
  name,
  latitude: within(-90, 90, 'degrees, south negative'),
  longitude: within(-180, 180, 'degrees, west negative'),
  elevationM: within(-400, 9000, 'm'),
  utcOffsetH: within(-12, 14, 'h'),
  years: z.string().trim().min(1).max(200),
  fileKey,
}) satisfies z.ZodType<WeatherFile>;

export const readingSchema = z.strictObject({
  id,
  homeId: id,
  spotId: id,
  atMs: instant,
  value: within(0, 200_000, ''),
  unit: z.enum(READING_UNITS),
  sky: z.enum(READING_SKIES),
  outdoorValue: within(0.01, 200_000, '').nullable(),
  curtains: z.enum(['open', 'shut']),
  lamps: z.enum(['on', 'off']),
  note,
  withdrawnOn: isoDate.nullable(),
}) satisfies z.ZodType<Reading>;
