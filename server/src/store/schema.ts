/**
 * The tables: facts and the journal of their changes, records, series, files, and what may be worked out anew at any
 * time.
 */
import type { ChangeList, EntryChange, PlugTold } from '@dulvan/core';
import type { FileKind, HomeRecord, JournalEntry, Plug, Quantity, RecordKind } from '@dulvan/contract';
import { blob, index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

type Fields = Readonly<Record<string, unknown>>;

/**
 * Every fact of every home, one row each, the home itself among them: a kind of fact needs no table of its own. What
 * may stand in it is the contract's to say, what belongs to what the table of kinds'.
 */
export const facts = sqliteTable(
  'facts',
  {
    /** Order in which they were put in, which is the order of the lists. */
    sequence: integer().primaryKey({ autoIncrement: true }),
    homeId: text().notNull(),
    list: text().$type<ChangeList>().notNull(),
    id: text().notNull(),
    body: text({ mode: 'json' }).$type<Fields>().notNull(),
  },
  (table) => [uniqueIndex('facts_key').on(table.homeId, table.list, table.id)],
);

/** Append-only: what was changed and when. A home's last revision is its revision. Outlives the homes it tells of. */
export const journal = sqliteTable(
  'journal',
  {
    sequence: integer().primaryKey({ autoIncrement: true }),
    id: text().notNull().unique(),
    homeId: text().notNull(),
    revision: integer().notNull(),
    at: integer().notNull(),
    kind: text().$type<JournalEntry['kind']>().notNull(),
    summary: text().notNull(),
    undoes: text(),
    touched: integer().notNull(),
  },
  (table) => [
    uniqueIndex('journal_revision').on(table.homeId, table.revision),
    index('journal_undoes').on(table.undoes),
  ],
);

/** What each journal entry did to each entry of its home. */
export const journalChanges = sqliteTable(
  'journal_changes',
  {
    sequence: integer()
      .notNull()
      .references(() => journal.sequence),
    place: integer().notNull(),
    list: text().$type<ChangeList>().notNull(),
    id: text().notNull(),
    before: text({ mode: 'json' }).$type<EntryChange['before']>(),
    after: text({ mode: 'json' }).$type<EntryChange['after']>(),
  },
  (table) => [
    primaryKey({ columns: [table.sequence, table.place] }),
    index('journal_changes_entry').on(table.list, table.id, table.sequence),
  ],
);

/** What happened. Appended and withdrawn, never changed or deleted. */
export const records = sqliteTable(
  'records',
  {
    sequence: integer().primaryKey({ autoIncrement: true }),
    id: text().notNull(),
    homeId: text().notNull(),
    kind: text().$type<RecordKind>().notNull(),
    at: integer().notNull(),
    plantId: text(),
    spotId: text(),
    roomId: text(),
    body: text({ mode: 'json' }).$type<HomeRecord['body']>().notNull(),
    writtenAt: integer().notNull(),
    withdrawnAt: integer(),
  },
  (table) => [
    uniqueIndex('records_id').on(table.homeId, table.id),
    index('records_at').on(table.homeId, table.at),
    index('records_plant').on(table.homeId, table.plantId, table.at),
    index('records_spot').on(table.homeId, table.spotId, table.at),
    index('records_room').on(table.homeId, table.roomId, table.at),
    index('records_kind').on(table.homeId, table.kind, table.at),
  ],
);

/** What is measured where. */
export const series = sqliteTable(
  'series',
  {
    sequence: integer().primaryKey({ autoIncrement: true }),
    id: text().notNull(),
    homeId: text().notNull(),
    name: text().notNull(),
    quantity: text().$type<Quantity>().notNull(),
    roomId: text(),
    spotId: text(),
    plantId: text(),
  },
  (table) => [uniqueIndex('series_id').on(table.homeId, table.id)],
);

/** Samples of a series, a row for each UTC day: packed one by one, and summed by hour. */
export const samples = sqliteTable(
  'samples',
  {
    series: integer()
      .notNull()
      .references(() => series.sequence),
    /** Days since 1970. */
    day: integer().notNull(),
    count: integer().notNull(),
    firstAt: integer().notNull(),
    lastAt: integer().notNull(),
    packed: blob({ mode: 'buffer' }).notNull(),
    hours: blob({ mode: 'buffer' }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.series, table.day] })],
);

/** Loggers that send by themselves. Their tokens are kept as hashes alone. */
export const devices = sqliteTable(
  'devices',
  {
    id: text().primaryKey(),
    homeId: text().notNull(),
    name: text().notNull(),
    roomId: text(),
    spotId: text(),
    tokenHash: text().notNull(),
    madeAt: integer().notNull(),
    lastSeenAt: integer(),
    battery: real(),
  },
  (table) => [uniqueIndex('devices_token').on(table.tokenHash), index('devices_home').on(table.homeId, table.madeAt)],
);

/** Timer plugs and what each told last. They stand in no bundle: a plug is armed where it is plugged in. */
export const plugs = sqliteTable(
  'plugs',
  {
    id: text().primaryKey(),
    homeId: text().notNull(),
    name: text().notNull(),
    circuitId: text().notNull(),
    address: text().notNull(),
    armed: integer({ mode: 'boolean' }).notNull(),
    madeAt: integer().notNull(),
    triedAt: integer(),
    toldAt: integer(),
    told: text({ mode: 'json' }).$type<PlugTold>(),
    sentAt: integer(),
    trouble: text().$type<Plug['trouble'] & string>(),
    reason: text(),
  },
  (table) => [
    uniqueIndex('plugs_timer').on(table.homeId, table.circuitId),
    uniqueIndex('plugs_address').on(table.address),
  ],
);

/** Files by the SHA-256 of their content. */
export const files = sqliteTable(
  'files',
  {
    homeId: text().notNull(),
    key: text().notNull(),
    kind: text().$type<FileKind>().notNull(),
    bytes: integer().notNull(),
    addedAt: integer().notNull(),
    content: blob({ mode: 'buffer' }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.homeId, table.key] })],
);

/**
 * Requests that have been carried out, by the key their sender made up: sent again, they are answered, not repeated.
 */
export const requests = sqliteTable(
  'requests',
  {
    homeId: text().notNull(),
    key: text().notNull(),
    at: integer().notNull(),
    /** Keys of what it led to: a journal entry, or records. */
    made: text({ mode: 'json' }).$type<readonly string[]>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.homeId, table.key] }), index('requests_at').on(table.at)],
);

/** Answers worked out already. May be emptied at any time. */
export const answers = sqliteTable(
  'answers',
  {
    homeId: text().notNull(),
    revision: integer().notNull(),
    engine: text().notNull(),
    /** The question with what it takes. */
    question: text().notNull(),
    /** JSON, compressed. */
    body: blob({ mode: 'buffer' }).notNull(),
    /** How much it was last asked for: the time. */
    usedAt: real().notNull(),
  },
  (table) => [primaryKey({ columns: [table.homeId, table.revision, table.engine, table.question] })],
);
