/** Records of a home: appended, withdrawn, asked for page by page. */
import type { HomeRecord, NewRecord, RecordQuery } from '@dulvan/contract';
import { PAGE_LIMIT } from '@dulvan/contract';
import { and, asc, desc, eq, gt, gte, isNull, lt, lte, or, type SQL } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { batchesOf, type Reader, type Writer } from './database';
import { refuse } from './refused';
import { records } from './schema';

type Row = typeof records.$inferSelect;

const recordOf = ({ sequence: _sequence, homeId: _home, ...record }: Row) => record as HomeRecord;

/** Appends records that have been checked. */
export function appendRecords(writer: Writer, homeId: string, given: readonly NewRecord[], now: number): HomeRecord[] {
  const made = given.map((record): HomeRecord => ({
    ...record,
    id: randomUUID(),
    writtenAt: now,
    withdrawnAt: null,
  }));
  writer
    .insert(records)
    .values(made.map((record) => ({ ...record, homeId })))
    .run();
  return made;
}

/** Records by their keys, in the order in which they were written. */
export function recordsById(reader: Reader, homeId: string, ids: readonly string[]): HomeRecord[] {
  return ids.flatMap((id) => {
    const row = reader.select().from(records).where(keyed(homeId, id)).get();
    return row ? [recordOf(row)] : [];
  });
}

const keyed = (homeId: string, id: string) => and(eq(records.homeId, homeId), eq(records.id, id));

/** Marks a record as withdrawn; it stays. Withdrawing it again changes nothing. */
export function withdrawRecord(writer: Writer, homeId: string, id: string, now: number): HomeRecord {
  const row = writer.select().from(records).where(keyed(homeId, id)).get();
  if (!row) throw refuse(404, 'There is no such record.');
  if (row.withdrawnAt !== null) return recordOf(row);
  return recordOf(writer.update(records).set({ withdrawnAt: now }).where(keyed(homeId, id)).returning().get());
}

/** Where a page ended: the time of its last record, and its place among those of the same time. */
function cursorOf(row: Row): string {
  return `${row.at}.${row.sequence}`;
}

function beyond(after: string): SQL | undefined {
  const [at, sequence] = after.split('.').map(Number) as [number, number];
  return or(lt(records.at, at), and(eq(records.at, at), lt(records.sequence, sequence)));
}

/** A page of records, newest first. */
export function recordPage(
  reader: Reader,
  homeId: string,
  query: RecordQuery,
): { records: HomeRecord[]; after: string | null } {
  const limit = Number(query.limit ?? 50);
  const rows = reader
    .select()
    .from(records)
    .where(
      and(
        eq(records.homeId, homeId),
        query.plantId === undefined ? undefined : eq(records.plantId, query.plantId),
        query.spotId === undefined ? undefined : eq(records.spotId, query.spotId),
        query.roomId === undefined ? undefined : eq(records.roomId, query.roomId),
        query.kind === undefined ? undefined : eq(records.kind, query.kind),
        query.from === undefined ? undefined : gte(records.at, Number(query.from)),
        query.to === undefined ? undefined : lte(records.at, Number(query.to)),
        query.withdrawn === 'without' ? isNull(records.withdrawnAt) : undefined,
        query.after === undefined ? undefined : beyond(query.after),
      ),
    )
    .orderBy(desc(records.at), desc(records.sequence))
    .limit(limit + 1)
    .all();
  const page = rows.slice(0, limit);
  return { records: page.map(recordOf), after: rows.length > limit ? cursorOf(page[page.length - 1]!) : null };
}

/** Every record of a home in the order in which it was written, page by page. */
export function* allRecords(reader: Reader, homeId: string): Generator<HomeRecord[]> {
  for (let last = 0; ;) {
    const rows = reader
      .select()
      .from(records)
      .where(and(eq(records.homeId, homeId), gt(records.sequence, last)))
      .orderBy(asc(records.sequence))
      .limit(PAGE_LIMIT * 5)
      .all();
    if (rows.length === 0) return;
    yield rows.map(recordOf);
    last = rows[rows.length - 1]!.sequence;
  }
}

/** Puts in records as another Dulvan wrote them; those that are here already stay as they are. */
export function importRecords(writer: Writer, homeId: string, given: readonly HomeRecord[]): void {
  for (const rows of batchesOf(given))
    writer
      .insert(records)
      .values(rows.map((record) => ({ ...record, homeId })))
      .onConflictDoNothing()
      .run();
}
