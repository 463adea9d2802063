/** The schema of each kind of fact, and of a whole home, as they cross the wire and stand in the bundle. */
import {
  FACT_LISTS,
  KINDS,
  NOTHING_PLANNED,
  PALE_REVEAL,
  PLAIN_LAMP,
  PLAIN_STAND,
  PLAIN_TIMER,
  PLAIN_WOOD,
  type EntryChange,
  type FactList,
  type FactOf,
  type HomeFacts,
} from '@dulvan/core';
import { z } from 'zod';
import {
  airSchema,
  circuitSchema,
  correctionSchema,
  lampSchema,
  outcomeSchema,
  ownTaxonSchema,
  photometrySchema,
  plantSchema,
  readingSchema,
  spotAirSchema,
  weatherSchema,
} from './growing-schemas';
import {
  airThingSchema,
  blockSchema,
  climateSchema,
  doorwaySchema,
  homeSchema,
  learntAirSchema,
  obstructionSchema,
  roomSchema,
  spotSchema,
  standSchema,
  tierSchema,
  windowSchema,
} from './place-schemas';
import { planSchema, planSettingsSchema, planStepSchema, supplySchema, tariffSchema, wishSchema } from './plan-schemas';

export const factSchemas: { readonly [L in FactList]: z.ZodType<FactOf[L]> & { readonly shape: z.core.$ZodShape } } = {
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
  outcomes: outcomeSchema,
  climates: climateSchema,
  airThings: airThingSchema,
  doorways: doorwaySchema,
  learntAir: learntAirSchema,
  spotAir: spotAirSchema,
  supplies: supplySchema,
  tariffs: tariffSchema,
  planSettings: planSettingsSchema,
  wishes: wishSchema,
  plans: planSchema,
  planSteps: planStepSchema,
};

/** A home with all its lists, each within its limit and each key once. */
export const homeFactsSchema = z.strictObject({
  home: homeSchema,
  ...Object.fromEntries(FACT_LISTS.map((list) => [list, listOf(list)])),
}) as unknown as z.ZodType<HomeFacts>;

function listOf(list: FactList) {
  const { limit, noun } = KINDS[list];
  return z
    .array(factSchemas[list] as z.ZodType<{ readonly id: string }>)
    .max(limit, `At most ${limit} ${list}.`)
    .refine((entries) => new Set(entries.map(({ id }) => id)).size === entries.length, `Each ${noun} once.`);
}

/** What was not asked of a plant until version 6. */
const UNSAID_OF_PLANTS = { goal: 'grow', stageSeenOn: null, cameFromSpotId: null, movedOn: null } as const;

/** What steps could not name until versions 9 and 10. */
const UNSAID_OF_STEPS = {
  ...{ lampId: null, aboveM: null, fromAboveM: null },
  ...{ windowId: null, curtains: [], fromCurtains: null, airThingId: null, setRh: null },
} as const;

/** Fields that came with later versions, as they stand for what was written before: nothing was said. */
const UNSAID: Readonly<Partial<Record<FactList | 'home', Readonly<Record<string, unknown>>>>> = {
  home: { restSchool: null, lightAim: 'whole', snowMonths: [] },
  rooms: { eveningLux: 0, eveningFromMinute: 1080, eveningToMinute: 1320 },
  windows: { revealM: 0, revealReflectance: PALE_REVEAL, overhangM: 0, overhangAboveM: 0 },
  stands: PLAIN_STAND,
  circuits: PLAIN_TIMER,
  blocks: { reflectance: PLAIN_WOOD },
  lamps: PLAIN_LAMP,
  planSettings: { hardening: 'usual', curtains: 'may-change', humidifiers: 'may-change' },
  planSteps: UNSAID_OF_STEPS,
  plants: { parents: [], traits: [], stateSeenOn: null, restSchool: null, foliage: 'medium', ...UNSAID_OF_PLANTS },
};

/** Lists that came with later versions. */
const LATER_LISTS: Readonly<Partial<Record<FactList, readonly unknown[]>>> = {
  outcomes: [],
  climates: [],
  airThings: [],
  doorways: [],
  learntAir: [],
  spotAir: [],
  ...NOTHING_PLANNED,
};

type Fields = Readonly<Record<string, unknown>>;

/**
 * An entry that an earlier version wrote, in today's shape; what is broken is left for the schema to name.
 * @param partial whether it holds some fields only, so that none are put in for those it lacks
 */
export function upgradedEntry(
  list: FactList | 'home',
  entry: Fields,
  completeness: 'whole' | 'partial' = 'whole',
): Fields {
  const shaped = list === 'windows' ? withCurtainList(entry) : entry;
  return completeness === 'whole' ? { ...UNSAID[list], ...shaped } : shaped;
}

/** As `upgradedEntry`, for every entry of what may be a home's facts. */
export function upgradedFacts(facts: unknown): unknown {
  if (typeof facts !== 'object' || facts === null) return facts;
  const isEntry = (entry: unknown): entry is Fields => typeof entry === 'object' && entry !== null;
  const upgraded = (list: FactList | 'home', entry: unknown) => (isEntry(entry) ? upgradedEntry(list, entry) : entry);
  return Object.fromEntries(
    Object.entries({ ...LATER_LISTS, ...facts }).map(([list, held]) => [
      list,
      list === 'home'
        ? upgraded('home', held)
        : Array.isArray(held) && list in KINDS
          ? held.map((entry) => upgraded(list as FactList, entry))
          : held,
    ]),
  );
}

/**
 * A change as an earlier version wrote it: what was put in or taken out is whole, what was changed holds some fields
 * only.
 */
export function upgradedChange(change: EntryChange): EntryChange {
  const { list, before, after } = change;
  if (before !== null && after !== null) return change;
  const upgraded = (entry: EntryChange['before']) => (entry === null ? null : upgradedEntry(list, entry));
  return { ...change, before: upgraded(before), after: upgraded(after) };
}

/** Until version 3 a window had its two curtains in eight fields. */
function withCurtainList(window: Fields): Fields {
  const {
    curtainId,
    curtainMonths,
    curtainFromMinute,
    curtainToMinute,
    secondCurtainId,
    secondCurtainMonths,
    secondCurtainFromMinute,
    secondCurtainToMinute,
    ...rest
  } = window;
  if (curtainId === undefined) return window;
  const first = { curtainId, months: curtainMonths, fromMinute: curtainFromMinute, toMinute: curtainToMinute };
  const second = {
    curtainId: secondCurtainId ?? 'none',
    months: secondCurtainMonths,
    fromMinute: secondCurtainFromMinute,
    toMinute: secondCurtainToMinute,
  };
  return { ...rest, curtains: [first, second].filter((curtain) => curtain.curtainId !== 'none') };
}
