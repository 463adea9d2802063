/** The shape of the catalogue's data files; each is checked against it by the catalogue’s tests. */
import {
  BUD_SETTERS,
  FEEDS,
  HARMS,
  KNOWN_BLOCKS,
  MANNERS,
  SCHOOLS,
  TREATMENTS,
  WATERS,
  WATER_FAULTS,
  WAYS_OF_INCREASE,
  WET_LEAVES,
  type ClimateFamily,
} from '@dulvan/core';
import { z } from 'zod';
import { VISIBLE_TRAITS, type VisibleTrait } from './visible-traits';

const certainty = z.enum(['trial', 'practice', 'inferred']);
const harm = z.enum(HARMS);
const month = z.number().int().min(1).max(12);
const percent = z.number().min(0).max(100);
const celsius = z.number().min(-20).max(65);

/** Single figures; the order among them is asked of the whole taxon. */
const blocks = {
  light: {
    survives: z.number().min(0.2).max(30),
    keepsForm: z.number().min(0.2).max(40),
    thrivesFrom: z.number().max(40),
    thrivesTo: z.number().max(60),
    scorches: z.number().max(80),
    peakPpfd: z.number().min(50).max(2200),
    sunHoursFresh: z.number().min(0).max(16),
    sunHoursUsed: z.number().min(0).max(16),
    reserveWeeks: z.number().min(1).max(200),
    sure: certainty,
  },
  day: {
    kind: z.enum(['neutral', 'short', 'long']),
    criticalNightH: z.number().min(6).max(16).nullable(),
    inductionWeeks: z.number().min(1).max(20).nullable(),
    inductionMonths: z.array(month),
    minH: z.number().min(6).max(18),
    maxH: z.number().min(8).max(24),
    sure: certainty,
  },
  warmth: {
    lowest: celsius,
    nightFrom: celsius,
    nightTo: celsius,
    dayFrom: celsius,
    dayTo: celsius,
    highest: celsius,
    nightDrop: z.number().min(0).max(15),
    sure: certainty,
  },
  moisture: {
    survives: percent,
    thrivesFrom: percent,
    thrivesTo: percent,
    tooMoistStill: percent,
    vpdFrom: z.number().min(0).max(2),
    vpdTo: z.number().min(0.2).max(5),
    sure: certainty,
  },
  rest: {
    trigger: z.enum(['none', 'short-days', 'cool', 'dry', 'after-bloom']),
    months: z.array(month),
    lightShare: z.number().min(0).max(1),
    dayC: celsius.nullable(),
    nightC: celsius.nullable(),
    water: z.enum(WATERS),
    feed: z.enum(FEEDS),
    school: z.enum(SCHOOLS),
    isObligate: z.boolean(),
    needsWinter: z.boolean(),
    sure: certainty,
  },
  care: {
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
  },
  water: {
    mostDissolvedPpm: z.number().min(1).max(2000),
    minds: z.array(z.enum(WATER_FAULTS)),
    wetLeaves: z.enum(WET_LEAVES),
    dries: z.enum(['slow', 'medium', 'fast']),
    leafArea: z.enum(['small', 'medium', 'large']),
    stomataOpen: z.enum(['by-day', 'by-night', 'either']),
    sure: certainty,
  },
  bloom: {
    months: z.array(month),
    setBy: z.array(z.enum(BUD_SETTERS)),
    daysFromBud: z.number().min(1).max(400).nullable(),
    sure: certainty,
  },
  increase: {
    ways: z.array(z.enum(WAYS_OF_INCREASE)).min(1),
    daysToRoot: z.number().min(3).max(400).nullable(),
    sure: certainty,
  },
  handling: {
    manners: z.array(z.enum(MANNERS)),
    notWith: z.array(z.enum(TREATMENTS)),
    sure: certainty,
  },
  hazard: {
    people: harm,
    cats: harm,
    dogs: harm,
    birds: harm,
    smallMammals: harm,
    sapOnSkin: harm,
    sapInEyes: harm,
    spines: z.enum(['none', 'some', 'many']),
  },
};

/** The same shape for every block: whole in a group's profile, in part in a taxon's differences from it. */
const profileSchema = z.strictObject({
  light: z.strictObject(blocks.light),
  day: z.strictObject(blocks.day),
  warmth: z.strictObject(blocks.warmth),
  moisture: z.strictObject(blocks.moisture),
  rest: z.strictObject(blocks.rest),
  care: z.strictObject(blocks.care),
  water: z.strictObject(blocks.water),
  bloom: z.strictObject(blocks.bloom),
  increase: z.strictObject(blocks.increase),
  handling: z.strictObject(blocks.handling),
  hazard: z.strictObject(blocks.hazard),
});

const partOf = (block: keyof typeof blocks) => z.strictObject(blocks[block]).partial().optional();

const key = z.string().min(20).max(140);

const rowSchema = z.strictObject({
  id: z.string().regex(/^[a-z0-9-]+$/),
  name: z.string().min(3),
  common: z.array(z.string().min(2)).min(1),
  synonyms: z.array(z.string().min(3)),
  cultivars: z.array(z.string().min(2)),
  parents: z.array(z.strictObject({ taxonId: z.string(), share: z.number().gt(0).lt(1) })).optional(),
  key,
  /** Where a figure differs from what most would say: why. */
  why: z.string().min(20).optional(),
  figures: z.strictObject(
    Object.fromEntries([...KNOWN_BLOCKS, 'hazard' as const].map((block) => [block, partOf(block)])),
  ),
});

const visibleTraits = z.array(z.enum(Object.keys(VISIBLE_TRAITS) as [VisibleTrait, ...VisibleTrait[]]));

/** A group's file: its profile, and its taxa as differences from it. */
export const groupSchema = z.strictObject({
  id: z.string().regex(/^[a-z-]+$/),
  name: z.string().min(3),
  plain: z.string().min(20).max(200),
  seen: z.strictObject({ often: visibleTraits.min(1), sometimes: visibleTraits }),
  profile: profileSchema,
  taxa: z.array(rowSchema).min(1),
});

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
  scatter: z.number().min(0).max(1).optional(),
  uValue: z.number().positive(),
});

export const curtainSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  transmittance: z.number().min(0).max(1),
  scatter: z.number().min(0).max(1),
  /** A film on the pane; all else hangs on the room's side of the reveal. */
  onPane: z.boolean().optional(),
});
