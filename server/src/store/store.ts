/** Keeps homes: every write is one transaction that changes the facts and adds to the journal, or does neither. */
import {
  applied,
  changesBetween,
  FACT_LISTS,
  type Bundle,
  type Change,
  type ChangeSet,
  type JournalEntry,
  type Refusal,
} from '@dulvan/contract';
import { FACT_LIMITS, UNSAID } from '@dulvan/contract';
import { problemsOf, type FactList, type Home, type HomeFacts } from '@dulvan/core';
import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import type { AnySQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';
import { randomUUID } from 'node:crypto';
import type { Database } from './open';
import * as tables from './schema';

/** An expected refusal: the status to answer with and what to tell the grower. */
export class Refused extends Error {
  constructor(
    readonly status: 404 | 409 | 413 | 422,
    readonly refusal: Refusal,
  ) {
    super(refusal.message);
  }
}

const refuse = (status: Refused['status'], message: string, problems: Refusal['problems'] = []) =>
  new Refused(status, { message, problems });

type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];
type Reader = Database | Transaction;
type FactTable = SQLiteTable & { id: AnySQLiteColumn };

const FACT_TABLES: Record<FactList, FactTable> = {
  rooms: tables.rooms,
  windows: tables.windows,
  stands: tables.stands,
  tiers: tables.tiers,
  spots: tables.spots,
  circuits: tables.circuits,
  lamps: tables.lamps,
  plants: tables.plants,
  air: tables.air,
  ownTaxa: tables.ownTaxa,
  corrections: tables.corrections,
  obstructions: tables.obstructions,
  blocks: tables.blocks,
  photometries: tables.photometries,
  weathers: tables.weathers,
  readings: tables.readings,
};

export interface Saved {
  readonly entry: JournalEntry;
  readonly facts: HomeFacts | null;
}

interface EntryDraft {
  readonly kind: JournalEntry['kind'];
  readonly summary: string;
  readonly plantId?: string;
  readonly undoes?: string;
}

export class Store {
  /** Writes wait for each other here: SQLite has one writer, and a queue is kinder than a busy error. */
  private queue: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly database: Database,
    private readonly now: () => number = Date.now,
  ) {}

  async homes(): Promise<Home[]> {
    return this.database.select().from(tables.homes).orderBy(tables.homes.name);
  }

  async facts(homeId: string): Promise<HomeFacts> {
    const facts = await readFacts(this.database, homeId);
    if (!facts) throw refuse(404, 'This home is not kept here.');
    return facts;
  }

  /** Applies a change set to a home; a set that puts in the home itself founds it. */
  change(homeId: string, set: ChangeSet): Promise<Saved> {
    return this.write(async (tx) => {
      const before = await readFacts(tx, homeId);
      if (!before && !set.changes.some((change) => change.list === 'home' && change.after)) {
        throw refuse(404, 'This home is not kept here.');
      }
      return commit(tx, homeId, before, set.changes, { kind: 'change', summary: set.summary }, this.now());
    });
  }

  wipe(homeId: string): Promise<Saved> {
    return this.write(async (tx) => {
      const before = await readFacts(tx, homeId);
      if (!before) throw refuse(404, 'This home is not kept here.');
      const summary = `Took out the home ${before.home.name}`;
      return commit(tx, homeId, before, changesBetween(before, null), { kind: 'change', summary }, this.now());
    });
  }

  /** Takes an entry back, unless what it left has been changed since. */
  undo(homeId: string, entryId: string): Promise<Saved> {
    return this.write(async (tx) => {
      const [row] = await tx
        .select()
        .from(tables.journal)
        .where(and(eq(tables.journal.id, entryId), eq(tables.journal.homeId, homeId)));
      if (!row || row.changes.length === 0) throw refuse(404, 'There is no such change to take back.');
      const [again] = await tx
        .select({ id: tables.journal.id })
        .from(tables.journal)
        .where(eq(tables.journal.undoes, entryId));
      if (again) throw refuse(409, 'This change was taken back already.');
      const before = await readFacts(tx, homeId);
      for (const change of row.changes) {
        if (!sameState(currentOf(before, change.list, change.id), change.after)) {
          throw refuse(409, 'Something it touched has changed since. Take the later change back first.');
        }
      }
      const changes = row.changes.map(
        (change) =>
          ({
            list: change.list,
            id: change.id,
            after: change.before && { ...UNSAID[change.list], ...change.before },
          }) as Change,
      );
      return commit(
        tx,
        homeId,
        before,
        changes,
        { kind: 'undo', summary: `Took back: ${row.summary}`, undoes: entryId },
        this.now(),
      );
    });
  }

  addNote(homeId: string, plantId: string, text: string): Promise<JournalEntry> {
    return this.write(async (tx) => {
      const facts = await readFacts(tx, homeId);
      if (!facts?.plants.some((plant) => plant.id === plantId)) throw refuse(404, 'This plant is not kept here.');
      return addEntry(tx, homeId, [], { kind: 'note', summary: text, plantId }, this.now());
    });
  }

  async journal(homeId: string, { plantId, limit }: { plantId?: string; limit: number }): Promise<JournalEntry[]> {
    const ofPlant =
      plantId === undefined
        ? undefined
        : inArray(
            tables.journal.sequence,
            this.database
              .select({ sequence: tables.journalPlants.sequence })
              .from(tables.journalPlants)
              .where(eq(tables.journalPlants.plantId, plantId)),
          );
    const rows = await this.database
      .select()
      .from(tables.journal)
      .where(and(eq(tables.journal.homeId, homeId), ofPlant))
      .orderBy(desc(tables.journal.sequence))
      .limit(limit);
    return rows.map(entryOf);
  }

  async exportAll(): Promise<Pick<Bundle, 'homes' | 'journal'>> {
    return this.database.transaction(async (tx) => {
      const homes = await tx.select({ id: tables.homes.id }).from(tables.homes).orderBy(tables.homes.id);
      const all: HomeFacts[] = [];
      for (const { id } of homes) all.push((await readFacts(tx, id))!);
      const rows = await tx.select().from(tables.journal).orderBy(tables.journal.sequence);
      return { homes: all as Bundle['homes'], journal: rows.map(entryOf) };
    });
  }

  /** Puts a bundle's homes in place of those with the same key, and adds the journal entries that are not here yet. */
  importAll(bundle: Bundle): Promise<JournalEntry[]> {
    return this.write(async (tx) => {
      const known = new Set((await tx.select({ id: tables.journal.id }).from(tables.journal)).map((row) => row.id));
      for (const entry of bundle.journal) if (!known.has(entry.id)) await insertEntry(tx, entry);
      const entries: JournalEntry[] = [];
      for (const facts of bundle.homes) {
        const before = await readFacts(tx, facts.home.id);
        const changes = changesBetween(before, facts);
        if (changes.length === 0) continue;
        const draft = { kind: 'import', summary: `Imported the home ${facts.home.name}` } as const;
        entries.push((await commit(tx, facts.home.id, before, changes, draft, this.now())).entry);
      }
      return entries;
    });
  }

  private write<T>(work: (tx: Transaction) => Promise<T>): Promise<T> {
    const turn = this.queue.then(() =>
      this.database.transaction(async (tx) => {
        await tx.run(sql`PRAGMA defer_foreign_keys = ON`);
        return work(tx);
      }),
    );
    this.queue = turn.catch(() => undefined);
    return turn;
  }
}

async function readFacts(reader: Reader, homeId: string): Promise<HomeFacts | null> {
  const [home] = await reader.select().from(tables.homes).where(eq(tables.homes.id, homeId));
  if (!home) return null;
  const ofHome = {
    rooms: eq(tables.rooms.homeId, homeId),
    circuits: eq(tables.circuits.homeId, homeId),
    plants: eq(tables.plants.homeId, homeId),
  };
  const roomIds = reader.select({ id: tables.rooms.id }).from(tables.rooms).where(ofHome.rooms);
  const standIds = reader
    .select({ id: tables.stands.id })
    .from(tables.stands)
    .where(inArray(tables.stands.roomId, roomIds));
  const tierIds = reader
    .select({ id: tables.tiers.id })
    .from(tables.tiers)
    .where(inArray(tables.tiers.standId, standIds));
  return {
    home,
    rooms: await reader.select().from(tables.rooms).where(ofHome.rooms).orderBy(tables.rooms.id),
    windows: await reader
      .select()
      .from(tables.windows)
      .where(inArray(tables.windows.roomId, roomIds))
      .orderBy(tables.windows.id),
    stands: await reader
      .select()
      .from(tables.stands)
      .where(inArray(tables.stands.roomId, roomIds))
      .orderBy(tables.stands.id),
    tiers: await reader
      .select()
      .from(tables.tiers)
      .where(inArray(tables.tiers.standId, standIds))
      .orderBy(tables.tiers.id),
    spots: await reader
      .select()
      .from(tables.spots)
      .where(inArray(tables.spots.tierId, tierIds))
      .orderBy(tables.spots.id),
    circuits: await reader.select().from(tables.circuits).where(ofHome.circuits).orderBy(tables.circuits.id),
    lamps: await reader
      .select()
      .from(tables.lamps)
      .where(inArray(tables.lamps.tierId, tierIds))
      .orderBy(tables.lamps.id),
    plants: await reader.select().from(tables.plants).where(ofHome.plants).orderBy(tables.plants.id),
    air: await reader.select().from(tables.air).where(inArray(tables.air.roomId, roomIds)).orderBy(tables.air.id),
    ownTaxa: await reader
      .select()
      .from(tables.ownTaxa)
      .where(eq(tables.ownTaxa.homeId, homeId))
      .orderBy(tables.ownTaxa.id),
    corrections: await reader
      .select()
      .from(tables.corrections)
      .where(eq(tables.corrections.homeId, homeId))
      .orderBy(tables.corrections.id),
    obstructions: await reader
      .select()
      .from(tables.obstructions)
      .where(inArray(tables.obstructions.roomId, roomIds))
      .orderBy(tables.obstructions.id),
    blocks: await reader
      .select()
      .from(tables.blocks)
      .where(inArray(tables.blocks.roomId, roomIds))
      .orderBy(tables.blocks.id),
    photometries: await reader
      .select()
      .from(tables.photometries)
      .where(eq(tables.photometries.homeId, homeId))
      .orderBy(tables.photometries.id),
    weathers: await reader
      .select()
      .from(tables.weathers)
      .where(eq(tables.weathers.homeId, homeId))
      .orderBy(tables.weathers.id),
    readings: await reader
      .select()
      .from(tables.readings)
      .where(eq(tables.readings.homeId, homeId))
      .orderBy(tables.readings.atMs, tables.readings.id),
  };
}

function currentOf(facts: HomeFacts | null, list: FactList | 'home', id: string): unknown {
  if (!facts) return null;
  if (list === 'home') return facts.home.id === id ? facts.home : null;
  return (facts[list] as readonly { id: string }[]).find((entry) => entry.id === id) ?? null;
}

/** Whether an entry still stands as it was written. Fields that came with a later version are not held against it. */
function sameState(now: unknown, written: unknown): boolean {
  if (now === null || written === null) return now === written;
  const fields = now as Record<string, unknown>;
  return Object.entries(written as object).every(
    ([field, value]) => JSON.stringify(fields[field]) === JSON.stringify(value),
  );
}

/** Checks a change against the whole home, writes it and journals it. */
async function commit(
  tx: Transaction,
  homeId: string,
  before: HomeFacts | null,
  changes: readonly Change[],
  draft: EntryDraft,
  at: number,
): Promise<Saved> {
  for (const change of changes) {
    const after = change.after as { id: string; homeId?: string } | null;
    if (after && after.id !== change.id) throw refuse(422, `The key of a changed entry must stay ${change.id}.`);
    if (change.list === 'home' ? change.id !== homeId : after?.homeId !== undefined && after.homeId !== homeId) {
      throw refuse(422, 'A change must stay within its home.');
    }
  }
  const facts = applied(before, changes);
  if (facts) {
    for (const list of FACT_LISTS) {
      if (facts[list].length > FACT_LIMITS[list])
        throw refuse(413, `A home holds at most ${FACT_LIMITS[list]} ${list}.`);
    }
    const problems = problemsOf(facts);
    if (problems.length > 0) throw refuse(422, problems[0]!.message, problems);
  } else if (changes.some((change) => change.list !== 'home' && change.after !== null)) {
    throw refuse(422, 'A home that is taken out cannot hold anything.');
  }
  const records = changes.map((change) => ({
    list: change.list,
    id: change.id,
    before: currentOf(before, change.list, change.id) as Record<string, unknown> | null,
    after: change.after as Record<string, unknown> | null,
  }));
  await apply(tx, records);
  const entry = await addEntry(tx, homeId, records, draft, at);
  return { entry, facts: await readFacts(tx, homeId) };
}

/** Takes out from the leaves inward and puts in from the root outward, though foreign keys wait for the commit anyway. */
async function apply(tx: Transaction, records: JournalEntry['changes']): Promise<void> {
  const order = ['home', ...FACT_LISTS];
  const sorted = [...records].sort((p, q) => order.indexOf(p.list) - order.indexOf(q.list));
  for (const { list, id, before, after } of [...sorted].reverse()) {
    if (after === null && before !== null) {
      const table = list === 'home' ? tables.homes : FACT_TABLES[list];
      await tx.delete(table).where(eq(table.id, id));
    }
  }
  for (const { list, after } of sorted) {
    if (after === null) continue;
    const table = (list === 'home' ? tables.homes : FACT_TABLES[list]) as FactTable;
    const values = after as never;
    const { id: _key, ...rest } = after;
    const taken = await tx
      .select({ id: table.id })
      .from(table)
      .where(eq(table.id, after.id as string));
    if (taken.length === 0) await tx.insert(table).values(values);
    else if (records.some((record) => record.id === after.id && record.before !== null))
      await tx
        .update(table)
        .set(rest as never)
        .where(eq(table.id, after.id as string));
    else throw refuse(409, 'An entry with this key already stands in another home.');
  }
}

async function addEntry(
  tx: Transaction,
  homeId: string,
  changes: JournalEntry['changes'],
  { kind, summary, plantId, undoes }: EntryDraft,
  at: number,
): Promise<JournalEntry> {
  const entry: JournalEntry = {
    id: randomUUID(),
    homeId,
    at,
    kind,
    summary,
    plantId: plantId ?? null,
    undoes: undoes ?? null,
    changes,
  };
  await insertEntry(tx, entry);
  return entry;
}

async function insertEntry(tx: Transaction, entry: JournalEntry): Promise<void> {
  const [row] = await tx.insert(tables.journal).values(entry).returning({ sequence: tables.journal.sequence });
  const plants = new Set(entry.changes.filter((change) => change.list === 'plants').map((change) => change.id));
  if (entry.plantId) plants.add(entry.plantId);
  if (plants.size > 0) {
    await tx.insert(tables.journalPlants).values([...plants].map((plantId) => ({ sequence: row!.sequence, plantId })));
  }
}

function entryOf({ sequence: _sequence, ...entry }: typeof tables.journal.$inferSelect): JournalEntry {
  return entry;
}
