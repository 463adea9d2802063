/** Opens the SQLite file for this one server: a lock against a second one, a copy before a migration, then the migrations. */
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import Driver from 'libsql';
import { copyFile, mkdir, readFile, rm } from 'node:fs/promises';
import { existsSync, rmSync } from 'node:fs';
import path from 'node:path';
import { codeOf } from '../error-code';
import { connect, type Connection } from './database';
import { moveEarlierData } from './earlier-data';

export interface OpenStore extends Connection {
  readonly file: string;
  /** Where the state before a migration was copied to; null when nothing had to be migrated. */
  readonly backup: string | null;
}

const MIGRATIONS = path.join(__dirname, '../../drizzle');

/** Held as long as a server uses a file. */
export interface FileLock {
  release(): void;
}

/**
 * Takes a file for this process alone. The lock is the system's own on a file beside it, so that it falls with the process
 * that holds it, however that ends.
 * @throws Error in plain words when another server has the file
 */
export async function lockFile(file: string): Promise<FileLock> {
  await mkdir(path.dirname(file), { recursive: true });
  const lock = new Driver(`${file}.lock`);
  try {
    lock.pragma('journal_mode = DELETE');
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if (codeOf(error).startsWith('SQLITE_BUSY'))
      throw new Error(`Another Dulvan has ${path.basename(file)} open. Stop it first, or use its address.`);
    throw error;
  }
  return {
    release: () => {
      lock.close();
      rmSync(`${file}.lock`, { force: true });
    },
  };
}

/**
 * Opens and migrates the database in a file.
 * @throws when it is no database, was written by a newer program, or a migration fails; the copy before it then stands
 */
export async function openStore(file: string): Promise<OpenStore> {
  await mkdir(path.dirname(file), { recursive: true });
  const existed = existsSync(file);
  const connection = connect(file);
  try {
    const pending = await pendingMigrations(connection);
    const backup = existed && pending > 0 ? await backUp(connection, file) : null;
    if (pending > 0) migrate(connection.database as never, { migrationsFolder: MIGRATIONS });
    moveEarlierData(connection);
    return { ...connection, file, backup, close: () => closed(connection) };
  } catch (error) {
    connection.close();
    throw error;
  }
}

/** Leaves one file behind that can be copied as it is. */
function closed({ client, close }: Connection): void {
  client.pragma('wal_checkpoint(TRUNCATE)');
  close();
}

async function pendingMigrations({ client }: Connection): Promise<number> {
  const { entries } = JSON.parse(await readFile(path.join(MIGRATIONS, 'meta/_journal.json'), 'utf8')) as {
    entries: { when: number }[];
  };
  const table = client.prepare("SELECT 1 FROM sqlite_master WHERE name = '__drizzle_migrations'").get();
  if (!table) return entries.length;
  const last = client.prepare('SELECT MAX(created_at) AS at FROM __drizzle_migrations').get() as { at: number | null };
  const at = Number(last.at ?? 0);
  if (at > Math.max(...entries.map((entry) => entry.when))) {
    throw new Error(
      'This file was written by a newer Dulvan. Update this one, or choose another file with DULVAN_DATA.',
    );
  }
  return entries.filter((entry) => entry.when > at).length;
}

async function backUp({ client }: Connection, file: string): Promise<string> {
  client.pragma('wal_checkpoint(TRUNCATE)');
  const copy = `${file}.before-migration`;
  await rm(copy, { force: true });
  await copyFile(file, copy);
  return copy;
}
