/** The shape of the catalogue's data files; each is checked against it by the catalogue’s tests. */
import type { ClimateFamily, Taxon } from '@dulvan/core';
import { z } from 'zod';

const certainty = z.enum(['trial', 'practice', 'inferred']);
const harm = z.enum(['none-known', 'irritant', 'toxic', 'unknown']);
const month = z.number().int().min(1).max(12);
const percent = z.number().min(0).max(100);
const celsius = z.number().min(-20).max(60);

const rising = (fields: readonly string[]) => (value: object) => {
  const figures = fields.map((field) => (value as Record<string, number>)[field]!);
  return figures.every((figure, i) => i === 0 || figures[i - 1]! <= figure);
};

export const taxonSchema = z.strictObject({
  id: z.string().regex(/^[a-z0-9-]+$/),
  name: z.string().min(3),
  group: z.string().min(2),
  common: z.array(z.string().min(2)).min(1),
  synonyms: z.array(z.string().min(3)),
  key: z.string().min(20).max(140),
  light: z
    .strictObject({
      survives: z.number().min(0.2).max(30),
      thrivesFrom: z.number().max(40),
      thrivesTo: z.number().max(60),
      scorches: z.number().max(80),
      peakPpfd: z.number().min(50).max(2200),
      sunHoursFresh: z.number().min(0).max(16),
      sunHoursUsed: z.number().min(0).max(16),
      sure: certainty,
    })
    .refine(rising(['survives', 'thrivesFrom', 'thrivesTo', 'scorches']), 'survives <= thrives from <= thrives to <= scorches')
    .refine(rising(['sunHoursFresh', 'sunHoursUsed']), 'sun borne fresh <= sun borne when used to it'),
  day: z
    .strictObject({
      kind: z.enum(['neutral', 'short', 'long']),
      criticalNightH: z.number().min(6).max(16).nullable(),
      inductionWeeks: z.number().min(1).max(20).nullable(),
      inductionMonths: z.array(month),
      minH: z.number().min(6).max(16),
      maxH: z.number().min(8).max(24),
      sure: certainty,
    })
    .refine(rising(['minH', 'maxH']), 'shortest day <= longest day')
    .refine((day) => (day.kind === 'neutral') === (day.criticalNightH === null), 'only day-neutral plants lack a critical night'),
  warmth: z
    .strictObject({
      lowest: celsius,
      nightFrom: celsius,
      nightTo: celsius,
      dayFrom: celsius,
      dayTo: celsius,
      highest: celsius,
      nightDrop: z.number().min(0).max(15),
      sure: certainty,
    })
    .refine(rising(['lowest', 'nightFrom', 'nightTo', 'highest']), 'lowest <= night band <= highest')
    .refine(rising(['lowest', 'dayFrom', 'dayTo', 'highest']), 'lowest <= day band <= highest'),
  moisture: z
    .strictObject({
      survives: percent,
      thrivesFrom: percent,
      thrivesTo: percent,
      tooMoistStill: percent,
      vpdFrom: z.number().min(0).max(2),
      vpdTo: z.number().min(0.2).max(5),
      sure: certainty,
    })
    .refine(rising(['survives', 'thrivesFrom', 'thrivesTo', 'tooMoistStill']), 'survives <= thrives <= too moist'),
  rest: z
    .strictObject({
      trigger: z.enum(['none', 'short-days', 'cool', 'dry', 'after-bloom']),
      months: z.array(month),
      lightShare: z.number().min(0).max(1),
      dayC: celsius.nullable(),
      nightC: celsius.nullable(),
      water: z.enum(['usual', 'less', 'little', 'none']),
      feed: z.enum(['usual', 'less', 'none']),
      sure: certainty,
    })
    .refine((rest) => (rest.trigger === 'none') === (rest.months.length === 0), 'a rest has months, and only a rest'),
  care: z.strictObject({
    waterAtShare: z.number().min(0).max(1),
    feedPpmN: z.number().min(0).max(300),
    feedEvery: z.number().int().min(1).max(12),
    substrate: z.enum(['peaty', 'airy', 'bark', 'gritty', 'mineral', 'moss', 'bog', 'none']),
    growth: z.enum(['slow', 'medium', 'fast']),
    matureHeightCm: z.number().min(1).max(600),
    matureWidthCm: z.number().min(1).max(400),
    habit: z.enum(['upright', 'rosette', 'trailing', 'climbing', 'clump', 'epiphyte', 'tree', 'stone']),
    air: z.enum(['still', 'gentle', 'brisk']),
    sure: certainty,
  }),
  hazard: z.strictObject({ people: harm, cats: harm, dogs: harm, sap: harm, spines: z.enum(['none', 'some', 'many']) }),
}) satisfies z.ZodType<Taxon>;

const twelve = z.array(z.number()).length(12);

export const climateSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  latitudeFrom: z.number().min(0).max(90),
  latitudeTo: z.number().min(0).max(90),
  turbidity: z.number().min(1.5).max(8),
  clearness: z.array(z.number().min(0.1).max(0.8)).length(12),
  dayC: twelve,
  nightC: twelve,
  rh: z.array(percent).length(12),
}) satisfies z.ZodType<ClimateFamily>;

export const glazingSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  panes: z.union([z.literal(1), z.literal(2), z.literal(3)]),
  normalTransmittance: z.number().min(0).max(0.92),
  uValue: z.number().positive(),
});

export const curtainSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  transmittance: z.number().min(0).max(1),
  scatter: z.number().min(0).max(1),
});
