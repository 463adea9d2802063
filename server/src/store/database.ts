/** One connection to the SQLite file: the synchronous driver under Drizzle, with the settings that every connection needs. */
import { BetterSQLiteSession } from 'drizzle-orm/better-sqlite3/session';
import { BaseSQLiteDatabase, SQLiteSyncDialect } from 'drizzle-orm/sqlite-core';
import Driver from 'libsql';
import type * as schema from './schema';

export type Database = BaseSQLiteDatabase<'sync', Driver.RunResult, typeof schema>;
/** What can be read from: a connection, or a transaction on it. */
export type Reader = Pick<Database, 'select' | 'get' | 'all'>;
/** What can be written to. */
export type Writer = Pick<Database, 'select' | 'insert' | 'update' | 'delete' | 'run' | 'get' | 'all'>;

export interface Connection {
  readonly database: Database;
  /** Below Drizzle, for pragmas and for statements that are asked thousands of times. */
  readonly client: Driver.Database;
  close(): void;
}

/** A writer on another connection (an import) is waited for this long; then the request is refused. */
const BUSY_TIMEOUT_MS = 10_000;

const dialect = new SQLiteSyncDialect({ casing: 'snake_case' });

/** Opens a connection. Foreign keys, waiting and the write-ahead log are set on each: SQLite keeps them by connection. */
export function connect(file: string): Connection {
  const client = new Driver(file);
  client.pragma('journal_mode = WAL');
  client.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
  client.pragma('foreign_keys = ON');
  const session = new BetterSQLiteSession(client, dialect, undefined, {});
  const database = new BaseSQLiteDatabase('sync', dialect, session as never, undefined) as Database;
  return { database, client, close: () => client.close() };
}

/** Runs work in one transaction that holds the write lock from its beginning; what throws leaves nothing behind. */
export function inTransaction<T>({ client, database }: Connection, work: (writer: Writer) => T): T {
  client.exec('BEGIN IMMEDIATE');
  try {
    const result = work(database);
    client.exec('COMMIT');
    return result;
  } catch (error) {
    if (client.inTransaction) client.exec('ROLLBACK');
    throw error;
  }
}

/** Rows that one INSERT takes: its parameters stay far below SQLite's 32,766. */
const ROWS_AT_ONCE = 500;

/** Rows in batches of what one INSERT takes; none for no rows, since an INSERT of nothing is none. */
export function* batchesOf<T>(rows: readonly T[]): Generator<T[]> {
  for (let i = 0; i < rows.length; i += ROWS_AT_ONCE) yield rows.slice(i, i + ROWS_AT_ONCE);
}
