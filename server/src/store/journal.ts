/** The journal of a home as it is read: what was done since a revision, and what each entry did. */
import type { JournalEntry } from '@dulvan/contract';
import {
  drop,
  entryOf,
  patch,
  put,
  type Change,
  type ChangeList,
  type EntryChange,
  type EntryOf,
  type HomeFacts,
} from '@dulvan/core';
import { and, asc, eq, gt } from 'drizzle-orm';
import type { Reader } from './database';
import { refuse } from './refused';
import { journal, journalChanges } from './schema';

/** Longer histories than this are told by the whole home. */
const MOST_CHANGES_TOLD = 2000;

/** What was done to a home after a revision, oldest first. */
export function effectsSince(reader: Reader, homeId: string, since: number, limit?: number): EntryChange[] {
  const query = reader
    .select({
      list: journalChanges.list,
      id: journalChanges.id,
      before: journalChanges.before,
      after: journalChanges.after,
    })
    .from(journalChanges)
    .innerJoin(journal, eq(journal.sequence, journalChanges.sequence))
    .where(and(eq(journal.homeId, homeId), gt(journal.revision, since)))
    .orderBy(asc(journal.revision), asc(journalChanges.place));
  return limit === undefined ? query.all() : query.limit(limit).all();
}

/** The changes that bring a home of an earlier revision to the present one; null for too many. */
export function toldChanges(
  reader: Reader,
  homeId: string,
  facts: HomeFacts,
  { since, revision }: { readonly since: number; readonly revision: number },
): Change[] | null {
  if (since === revision) return [];
  if (since > revision || since === 0) return null;
  const effects = effectsSince(reader, homeId, since, MOST_CHANGES_TOLD + 1);
  if (effects.length > MOST_CHANGES_TOLD) return null;
  const touched = new Map<string, { list: ChangeList; id: string; fields: Set<string> | 'whole' }>();
  for (const { list, id, before, after } of effects) {
    const key = `${list}/${id}`;
    const known = touched.get(key);
    if (!before || !after || known?.fields === 'whole') touched.set(key, { list, id, fields: 'whole' });
    else touched.set(key, { list, id, fields: new Set([...(known?.fields ?? []), ...Object.keys(after)]) });
  }
  return [...touched.values()].map(({ list, id, fields }) => {
    const entry = entryOf(facts, list, id);
    if (!entry) return drop(list, id);
    if (fields === 'whole') return put(list, entry as unknown as EntryOf<ChangeList>);
    return patch(list, id, Object.fromEntries([...fields].map((field) => [field, entry[field]])));
  });
}

export type EntryRow = typeof journal.$inferSelect;

export const entryOfRow = ({ sequence: _sequence, ...entry }: EntryRow): JournalEntry => entry;

/** One entry of a home's journal. */
export function entryRow(reader: Reader, homeId: string, entryId: string): EntryRow {
  const row = reader
    .select()
    .from(journal)
    .where(and(eq(journal.id, entryId), eq(journal.homeId, homeId)))
    .get();
  if (!row) throw refuse(404, 'There is no such change to take back.');
  return row;
}

/** What one entry did, in its order. */
export function statesOf(reader: Reader, sequence: number): EntryChange[] {
  return reader
    .select({
      list: journalChanges.list,
      id: journalChanges.id,
      before: journalChanges.before,
      after: journalChanges.after,
    })
    .from(journalChanges)
    .where(eq(journalChanges.sequence, sequence))
    .orderBy(asc(journalChanges.place))
    .all();
}

/** Whether an entry has been taken back, and that has not been taken back in its turn. */
export function isTakenBack(reader: Reader, entryId: string): boolean {
  const undos = reader.select({ id: journal.id }).from(journal).where(eq(journal.undoes, entryId)).all();
  return undos.some(({ id }) => !isTakenBack(reader, id));
}
