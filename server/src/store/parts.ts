/** Writes the parts of a bundle, and what earlier versions kept, straight into the tables. */
import type { BundlePart, BundledEntry } from '@dulvan/formats/bundle';
import { FACT_LISTS, type ChangeList, type Entry, type EntryChange, type HomeFacts } from '@dulvan/core';
import { and, eq, max } from 'drizzle-orm';
import { batchesOf, type Reader, type Writer } from './database';
import { contentKey } from './files';
import { importRecords } from './records';
import { facts as factRows, files, journal, journalChanges } from './schema';
import { addSeries, appendSamples } from './series';

/** The revision of a home: that of its last journal entry, 0 before the first. */
export function revisionOf(reader: Reader, homeId: string): number {
  const [last] = reader
    .select({ revision: max(journal.revision) })
    .from(journal)
    .where(eq(journal.homeId, homeId))
    .all();
  return last?.revision ?? 0;
}

const keyed = (homeId: string, list: ChangeList, id: string) =>
  and(eq(factRows.homeId, homeId), eq(factRows.list, list), eq(factRows.id, id));

/** Brings the rows of a home to what its facts are after a change: only what the change touched. */
export function writeEffect(writer: Writer, homeId: string, effect: readonly EntryChange[], after: EntryReader): void {
  for (const { list, id, before } of effect) {
    const entry = after(list, id);
    const body = entry as Readonly<Record<string, unknown>>;
    if (!entry)
      writer
        .delete(factRows)
        .where(keyed(homeId, list, id))
        .run();
    else if (before === null) writer.insert(factRows).values({ homeId, list, id, body }).run();
    else
      writer
        .update(factRows)
        .set({ body })
        .where(keyed(homeId, list, id))
        .run();
  }
}

export type EntryReader = (list: ChangeList, id: string) => Entry | null;

/** All facts of a home from its rows, in the order in which they were put in; null when it is not kept. */
export function readFacts(reader: Reader, homeId: string): HomeFacts | null {
  const rows = reader
    .select({ list: factRows.list, body: factRows.body })
    .from(factRows)
    .where(eq(factRows.homeId, homeId))
    .orderBy(factRows.sequence)
    .all();
  const lists = new Map<ChangeList, unknown[]>(FACT_LISTS.map((list) => [list, []]));
  lists.set('home', []);
  for (const { list, body } of rows) lists.get(list)?.push(body);
  const [home] = lists.get('home')!;
  if (!home) return null;
  lists.delete('home');
  return { home, ...Object.fromEntries(lists) } as unknown as HomeFacts;
}

/** Adds an entry to the journal with what it did, and answers its place there. */
export function writeEntry(writer: Writer, { changes, ...entry }: BundledEntry): void {
  const { sequence } = writer.insert(journal).values(entry).returning({ sequence: journal.sequence }).get();
  const rows = changes.map((change, place) => ({ ...change, sequence, place }));
  for (const batch of batchesOf(rows)) writer.insert(journalChanges).values(batch).run();
}

/** Writes facts whole, as the rows of a home that is not there yet. */
function writeFacts(writer: Writer, homeId: string, facts: HomeFacts): void {
  const row = (list: ChangeList, entry: object) => {
    const body = entry as Readonly<Record<string, unknown>>;
    return { homeId, list, id: String(body.id), body };
  };
  const rows = FACT_LISTS.flatMap((list) => facts[list].map((entry) => row(list, entry)));
  for (const batch of batchesOf([row('home', facts.home), ...rows])) writer.insert(factRows).values(batch).run();
}

/** Entries of another Dulvan's journal that are not here yet, after those that are; an undo of what was undone stays a change. */
function writeJournal(writer: Writer, homeId: string, entries: readonly BundledEntry[]): void {
  let revision = revisionOf(writer, homeId);
  for (const entry of entries) {
    const known = writer.select({ id: journal.id }).from(journal).where(eq(journal.id, entry.id)).get();
    if (known) continue;
    revision += 1;
    writeEntry(writer, { ...entry, homeId, revision });
  }
}

/** Writes one part other than facts. */
export function writePart(writer: Writer, part: Exclude<BundlePart, { what: 'manifest' | 'facts' }>): void {
  const { homeId } = part;
  switch (part.what) {
    case 'journal':
      return writeJournal(writer, homeId, part.entries);
    case 'records':
      return importRecords(writer, homeId, part.records);
    case 'series':
      return part.series.forEach((each) => addSeries(writer, homeId, each));
    case 'samples':
      return void appendSamples(writer, homeId, part.seriesId, {
        at: [...part.samples.at],
        values: [...part.samples.values],
      });
    case 'file': {
      const { key, kind, content } = part;
      const row = { homeId, key, kind, bytes: content.length, addedAt: Date.now(), content: Buffer.from(content) };
      return void writer.insert(files).values(row).onConflictDoNothing().run();
    }
  }
}

/** Writes all parts into empty tables. */
export function writeParts(writer: Writer, parts: readonly BundlePart[]): void {
  for (const part of parts) {
    if (part.what === 'facts') writeFacts(writer, part.homeId, part.facts);
    else if (part.what !== 'manifest') writePart(writer, part);
  }
}

/** Whether a file of a bundle is what its name says. */
export const isItself = (part: Extract<BundlePart, { what: 'file' }>) => contentKey(part.content) === part.key;
