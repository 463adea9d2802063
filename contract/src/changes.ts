/** A change to a home: entries put in or taken out, all together or not at all. */
import type { FactList, Home, HomeFacts } from '@dulvan/core';
import { z } from 'zod';
import { FACT_LISTS, factSchemas, homeSchema } from './facts';
import { id, note, NAME_LIMIT } from './fields';

const entryChange = <L extends FactList>(list: L) =>
  z.strictObject({ list: z.literal(list), id, after: factSchemas[list].nullable() });

/** One entry after the change: its new state, or null when it is taken out. */
export const changeSchema = z.discriminatedUnion('list', [
  z.strictObject({ list: z.literal('home'), id, after: homeSchema.nullable() }),
  entryChange('rooms'),
  entryChange('windows'),
  entryChange('stands'),
  entryChange('tiers'),
  entryChange('spots'),
  entryChange('circuits'),
  entryChange('lamps'),
  entryChange('plants'),
  entryChange('air'),
  entryChange('ownTaxa'),
  entryChange('corrections'),
  entryChange('obstructions'),
  entryChange('blocks'),
  entryChange('photometries'),
  entryChange('weathers'),
  entryChange('readings'),
]);
export type Change = z.infer<typeof changeSchema>;

export const changeSetSchema = z.strictObject({
  /** What was done, in a few words, for the journal. */
  summary: z
    .string()
    .trim()
    .min(1)
    .max(NAME_LIMIT * 3),
  changes: z.array(changeSchema).min(1).max(20000),
});
export type ChangeSet = z.infer<typeof changeSetSchema>;

const state = z.record(z.string(), z.unknown()).nullable();

export const journalEntrySchema = z.strictObject({
  id,
  homeId: id,
  /** UTC epoch milliseconds. */
  at: z.number().int(),
  kind: z.enum(['change', 'undo', 'import', 'note']),
  summary: z.string(),
  /** The plant a note is about. */
  plantId: id.nullable(),
  /** For an undo: the entry it takes back. */
  undoes: id.nullable(),
  changes: z.array(z.strictObject({ list: z.enum(['home', ...FACT_LISTS]), id, before: state, after: state })),
});
export type JournalEntry = z.infer<typeof journalEntrySchema>;

export const noteSchema = z.strictObject({ plantId: id, text: note.trim().min(1, 'Write something first.') });

/** A fact with a key, whatever its list. */
type Entry = { readonly id: string };

/** The facts of a home after a change. A home taken out gives null; so does a change to a home that is not there and is not put in. */
export function applied(facts: HomeFacts | null, changes: readonly Change[]): HomeFacts | null {
  let home: Home | null = facts?.home ?? null;
  const lists = new Map(
    FACT_LISTS.map((list) => [list, new Map((facts?.[list] ?? []).map((entry: Entry) => [entry.id, entry]))]),
  );
  for (const change of changes) {
    if (change.list === 'home') home = change.after;
    else if (change.after === null) lists.get(change.list)!.delete(change.id);
    else lists.get(change.list)!.set(change.id, change.after);
  }
  if (!home) return null;
  const all = Object.fromEntries(FACT_LISTS.map((list) => [list, [...lists.get(list)!.values()]]));
  return { home, ...all } as unknown as HomeFacts;
}

/** The changes that lead from one state of a home to another; either may be null for no home at all. */
export function changesBetween(before: HomeFacts | null, after: HomeFacts | null): Change[] {
  const changes: Change[] = [];
  const put = (list: string, key: string, entry: unknown) => changes.push({ list, id: key, after: entry } as Change);
  if (after && JSON.stringify(before?.home) !== JSON.stringify(after.home)) put('home', after.home.id, after.home);
  for (const list of FACT_LISTS) {
    const old = new Map((before?.[list] ?? []).map((entry: Entry) => [entry.id, entry]));
    for (const entry of (after?.[list] ?? []) as readonly Entry[]) {
      if (JSON.stringify(old.get(entry.id)) !== JSON.stringify(entry)) put(list, entry.id, entry);
      old.delete(entry.id);
    }
    for (const key of old.keys()) put(list, key, null);
  }
  if (before && !after) put('home', before.home.id, null);
  return changes;
}
