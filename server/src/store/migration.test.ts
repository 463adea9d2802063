/** An older file is carried over: what it held stays, what it could not say is unsaid, and a copy of it is kept. */
import { createClient } from '@libsql/client';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { openStore } from './open';
import { Store } from './store';

const FOUNDING = path.join(__dirname, '../../drizzle/0000_founding.sql');
const META = path.join(__dirname, '../../drizzle/meta/_journal.json');

let folder: string;
let file: string;

/** A file as the first version left it, with a home, a plant and a change of it in the journal. */
async function oldFile(): Promise<void> {
  const client = createClient({ url: pathToFileURL(file).href });
  for (const statement of readFileSync(FOUNDING, 'utf8').split('--> statement-breakpoint'))
    await client.execute(statement);
  const { entries } = JSON.parse(readFileSync(META, 'utf8')) as { entries: { when: number }[] };
  await client.execute(
    'CREATE TABLE __drizzle_migrations (id INTEGER PRIMARY KEY, hash text NOT NULL, created_at numeric)',
  );
  await client.execute({
    sql: 'INSERT INTO __drizzle_migrations (hash, created_at) VALUES (?, ?)',
    args: ['founding', entries[0]!.when],
  });
  await client.execute("INSERT INTO homes VALUES ('h', 'Old home', 50, 0, 10, 'Europe/London', 'cool-ocean')");
  await client.execute(
    "INSERT INTO plants VALUES ('p', 'h', 'aloe-vera', 'Old aloe', 'adult', 'resting', 14, 30, NULL, NULL, 'kept')",
  );
  const written = {
    id: 'p',
    homeId: 'h',
    taxonId: 'aloe-vera',
    name: 'Old aloe',
    stage: 'adult',
    growthState: 'resting',
    potCm: 14,
    heightCm: 30,
    spotId: null,
    arrivedOn: null,
    note: 'kept',
  };
  const changes = JSON.stringify([{ list: 'plants', id: 'p', before: { ...written, name: 'Aloe' }, after: written }]);
  await client.execute({
    sql: "INSERT INTO journal (id, home_id, at, kind, summary, plant_id, undoes, changes) VALUES ('e', 'h', 1, 'change', 'Renamed', NULL, NULL, ?)",
    args: [changes],
  });
  client.close();
}

beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'dulvan-migration-'));
  file = path.join(folder, 'home.sqlite');
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

it('keeps its plants and says nothing it did not know', async () => {
  await oldFile();
  const open = await openStore(file);
  const facts = await new Store(open.database).facts('h');
  expect(facts.plants).toEqual([
    expect.objectContaining({
      id: 'p',
      name: 'Old aloe',
      growthState: 'resting',
      note: 'kept',
      parents: [],
      traits: [],
      stateSeenOn: null,
      restSchool: null,
    }),
  ]);
  expect(facts.home).toMatchObject({ name: 'Old home', restSchool: null, lightAim: 'whole' });
  expect(facts).toMatchObject({ ownTaxa: [], corrections: [] });
  open.close();
});

it('is copied before it is touched, and not again when nothing is left to do', async () => {
  await oldFile();
  const first = await openStore(file);
  expect(first.backup).toBe(`${file}.before-migration`);
  expect(existsSync(first.backup!)).toBe(true);
  first.close();
  const again = await openStore(file);
  expect(again.backup).toBeNull();
  again.close();
});

it('lets a change be taken back that was written before there were traits and parents', async () => {
  await oldFile();
  const open = await openStore(file);
  const store = new Store(open.database);
  const saved = await store.undo('h', 'e');
  expect(saved.facts!.plants[0]).toMatchObject({ name: 'Aloe', parents: [], traits: [] });
  open.close();
});
