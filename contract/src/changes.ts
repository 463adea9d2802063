/** Changes to a home as they cross the wire, what came of them, and the journal of them. */
import { FACT_LISTS, type Change, type ChangeList, type Conflict, type EntryChange } from '@dulvan/core';
import { z } from 'zod';
import { factSchemas } from './facts';
import { NAME_LIMIT, id, instant, line } from './fields';
import { homeSchema } from './place-schemas';

/** Most entries that one change may touch. */
export const MOST_CHANGES = 20_000;

const CHANGE_LISTS: readonly ChangeList[] = ['home', ...FACT_LISTS];

const changeList = z.enum(CHANGE_LISTS as [ChangeList, ...ChangeList[]]);

/** Own taxa have longer keys than the rest. */
const entryId = z.string().regex(/^[A-Za-z0-9_-]{1,60}$/, 'Not a valid key.');

/** The schema of a whole entry of a list. */
export const entrySchema = (list: ChangeList) => (list === 'home' ? homeSchema : factSchemas[list]);

/** An entry whole, under its own schema. */
const putOf = (list: ChangeList) =>
  z.strictObject({ op: z.literal('put'), list: z.literal(list), entry: entrySchema(list) });

/** Some fields of an entry; its key and the home it is in stay. */
function patchOf(list: ChangeList) {
  const { id: _id, homeId: _homeId, ...fields } = entrySchema(list).shape as Record<string, z.ZodType>;
  const some = z
    .strictObject(fields)
    .partial()
    .refine((given) => Object.keys(given).length > 0, 'Name a field to change.');
  return z.strictObject({ op: z.literal('patch'), list: z.literal(list), id: entryId, fields: some });
}

const dropSchema = z.strictObject({ op: z.literal('drop'), list: changeList, id: entryId });

type Several<T> = [T, ...T[]];

export const changeSchema = z.discriminatedUnion('op', [
  z.discriminatedUnion('list', CHANGE_LISTS.map(putOf) as Several<ReturnType<typeof putOf>>),
  z.discriminatedUnion('list', CHANGE_LISTS.map(patchOf) as Several<ReturnType<typeof patchOf>>),
  dropSchema,
]) as unknown as z.ZodType<Change>;

/** A key that its sender makes up, by which a request that is sent twice counts once. */
export const requestKey = z.string().regex(/^[A-Za-z0-9_-]{8,40}$/, 'Not a valid key.');

const summary = line(NAME_LIMIT * 3).min(1, 'Say what was done.');

export const changeSetSchema = z.strictObject({
  /** The home's revision that the changes were made on; 0 for a home that is not there yet. */
  base: z.number().int().min(0),
  key: requestKey,
  /** What was done, in a few words, for the journal. */
  summary,
  changes: z.array(changeSchema).min(1).max(MOST_CHANGES, `At most ${MOST_CHANGES} changes at once.`),
});
export type ChangeSet = z.infer<typeof changeSetSchema>;

export const undoSchema = z.strictObject({
  key: requestKey,
  /** Journal entries to take back together, in the order in which they are taken back. */
  entries: z.array(id).min(1).max(100),
});

/** One line of the journal: what was done and when, without the states. */
export const journalEntrySchema = z.strictObject({
  id,
  homeId: id,
  /** The home's revision that it led to. */
  revision: z.number().int().min(0),
  at: instant,
  kind: z.enum(['change', 'undo', 'import']),
  summary: z.string(),
  /** For an undo: the entry it takes back. */
  undoes: id.nullable(),
  /** How many entries of the home it touched. */
  touched: z.number().int().min(0),
});
export type JournalEntry = z.infer<typeof journalEntrySchema>;

/** A home that was taken out: its name as it was, and the entry that brings it back when it is taken back. */
export const takenOutSchema = z.strictObject({ name: z.string(), entry: journalEntrySchema });
export type TakenOut = z.infer<typeof takenOutSchema>;

const fields = z.record(z.string(), z.unknown()).nullable();

/** What one journal entry did to one entry of the home. */
export const entryChangeSchema = z.strictObject({
  list: changeList,
  id: entryId,
  before: fields,
  after: fields,
}) satisfies z.ZodType<EntryChange>;

export const conflictSchema = z.strictObject({
  list: changeList,
  id: entryId,
  field: z.string(),
  theirs: z.unknown(),
  mine: z.unknown(),
  message: z.string(),
}) as z.ZodType<Conflict>;
