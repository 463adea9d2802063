/** Opens the SQLite file: a backup before a migration, then the migrations, then the connection everything goes through. */
import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { copyFile, mkdir, readFile, rm } from 'node:fs/promises';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import * as schema from './schema';

export type Database = LibSQLDatabase<typeof schema>;

export interface OpenStore {
  readonly database: Database;
  /** Where the state before a migration was copied to; null when nothing had to be migrated. */
  readonly backup: string | null;
  close(): void;
}

const MIGRATIONS = path.join(__dirname, '../../drizzle');

/** Opens and migrates the database in a file. Throws when the file is no database or a migration fails; the backup then stands. */
export async function openStore(file: string): Promise<OpenStore> {
  await mkdir(path.dirname(file), { recursive: true });
  const existed = existsSync(file);
  const client = createClient({ url: pathToFileURL(file).href });
  try {
    await client.execute('PRAGMA journal_mode = WAL');
    const backup = existed && (await pendingMigrations(client)) > 0 ? await backUp(client, file) : null;
    const database = drizzle({ client, schema, casing: 'snake_case' });
    await migrate(database, { migrationsFolder: MIGRATIONS });
    return { database, backup, close: () => client.close() };
  } catch (error) {
    client.close();
    throw error;
  }
}

async function pendingMigrations(client: Client): Promise<number> {
  const { entries } = JSON.parse(await readFile(path.join(MIGRATIONS, 'meta/_journal.json'), 'utf8')) as {
    entries: { when: number }[];
  };
  const table = await client.execute("SELECT 1 FROM sqlite_master WHERE name = '__drizzle_migrations'");
  if (table.rows.length === 0) return entries.length;
  const last = await client.execute('SELECT MAX(created_at) AS at FROM __drizzle_migrations');
  const at = Number(last.rows[0]?.at ?? 0);
  return entries.filter((entry) => entry.when > at).length;
}

async function backUp(client: Client, file: string): Promise<string> {
  await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
  const copy = `${file}.before-migration`;
  await rm(copy, { force: true });
  await copyFile(file, copy);
  return copy;
}
