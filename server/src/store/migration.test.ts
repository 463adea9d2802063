/** An older file is carried over: what it held stays, what it could not say is unsaid, and a copy of it is kept. */
import { knowledge } from '@dulvan/catalogue';
import { FACT_LISTS, type FactList, type HomeFacts, PLAIN_STEP, planSettingsOf, type PlanStep } from '@dulvan/core';
import { readWeatherHours } from '@dulvan/formats';
import Driver from 'libsql';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { smallHome } from '../../../core/src/home/small-home.fixture';
import { lockFile, openStore } from './open';
import { Store } from './store';

const DRIZZLE = path.join(__dirname, '../../drizzle');
const { entries: MIGRATIONS } = JSON.parse(readFileSync(path.join(DRIZZLE, 'meta/_journal.json'), 'utf8')) as {
  entries: { when: number; tag: string }[];
};

let folder: string;
let file: string;

beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'dulvan-migration-'));
  file = path.join(folder, 'home.sqlite');
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** Puts a row into a table of an earlier version. */
function row(client: Driver.Database, table: string, values: Readonly<Record<string, unknown>>): void {
  const columns = Object.keys(values);
  client
    .prepare(`INSERT INTO ${table} (${columns.join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`)
    .run(...Object.values(values));
}

/** A file as the first versions left it, after so many migrations. */
function earlierFile(migrations: number, fill: (client: Driver.Database) => void): void {
  const client = new Driver(file);
  client.exec('CREATE TABLE __drizzle_migrations (id INTEGER PRIMARY KEY, hash text NOT NULL, created_at numeric)');
  for (const { tag, when } of MIGRATIONS.slice(0, migrations)) {
    const statements = readFileSync(path.join(DRIZZLE, `${tag}.sql`), 'utf8').split('--> statement-breakpoint');
    for (const statement of statements) client.exec(statement);
    row(client, '__drizzle_migrations', { hash: tag, created_at: when });
  }
  fill(client);
  client.close();
}

/** Tables that later migrations made. */
const MADE = [
  ['0006_devices', 'devices'],
  ['0008_plugs', 'plugs'],
] as const;

/** Takes back a migration and those after it, as if they had never been. */
function takenBack(client: Driver.Database, from: string): void {
  const { when } = MIGRATIONS.find(({ tag }) => tag === from)!;
  client.prepare('DELETE FROM __drizzle_migrations WHERE created_at >= ?').run(when);
  for (const [tag, table] of MADE) if (tag >= from) client.exec(`DROP TABLE ${table}`);
}

const HOME = {
  id: 'h',
  name: 'Old home',
  latitude: 50,
  longitude: 0,
  elevation_m: 10,
  time_zone: 'Europe/London',
  climate_id: 'cool-ocean',
};

const PLANT = {
  id: 'p',
  home_id: 'h',
  taxon_id: 'aloe-vera',
  name: 'Old aloe',
  stage: 'adult',
  growth_state: 'resting',
  pot_cm: 14,
  height_cm: 30,
  note: 'kept',
};

const camel = (name: string) => name.replace(/_([a-z])/g, (_, letter: string) => letter.toUpperCase());
const asFact = (given: Readonly<Record<string, unknown>>) =>
  Object.fromEntries(Object.entries(given).map(([name, value]) => [camel(name), value]));

/** A home, a plant, a change of its name and a note on it, as the first version kept them. */
function foundingFile(): void {
  earlierFile(1, (client) => {
    row(client, 'homes', HOME);
    row(client, 'plants', PLANT);
    const after = { ...asFact(PLANT), spotId: null, arrivedOn: null };
    const changes = [{ list: 'plants', id: 'p', before: { ...after, name: 'Aloe' }, after }];
    const entry = { home_id: 'h', undoes: null };
    row(client, 'journal', {
      ...entry,
      id: 'e',
      at: 1,
      kind: 'change',
      summary: 'Renamed',
      plant_id: null,
      changes: JSON.stringify(changes),
    });
    row(client, 'journal', { ...entry, id: 'n', at: 5, kind: 'note', summary: 'A pup', plant_id: 'p', changes: '[]' });
  });
}

/** A room with a window and its two curtains, a year of weather and a lamp's file, as the third version kept them. */
function thirdFile(): void {
  earlierFile(3, (client) => {
    row(client, 'homes', HOME);
    row(client, 'rooms', {
      id: 'r',
      home_id: 'h',
      name: 'Room',
      width_m: 4,
      depth_m: 3,
      height_m: 2.5,
      wall_a_bearing: 0,
      floor_reflectance: 0.3,
      wall_reflectance: 0.6,
      ceiling_reflectance: 0.8,
      air_movement: 'gentle',
      inside_xm: 0,
      inside_ym: 0,
      inside_zm: 0,
      shell_transmittance: 1,
    });
    row(client, 'windows', {
      id: 'w',
      room_id: 'r',
      name: 'Window',
      side: 'a',
      offset_m: 1,
      inset_m: 0,
      sill_m: 0.9,
      width_m: 1,
      height_m: 1,
      slope_deg: 90,
      glazing_id: 'double',
      frame_share: 0.1,
      dirt_share: 0.1,
      curtain_id: 'sheer',
      curtain_months: '[6,7]',
      curtain_from_minute: 600,
      curtain_to_minute: 900,
      second_curtain_id: 'none',
      outside_kind: 'open',
      outside_deg: 0,
      outside_reflectance: 0.1,
      ground_reflectance: 0.2,
    });
    const station = { id: 'w-1', home_id: 'h', name: 'Station', latitude: 50, longitude: 0, elevation_m: 4 };
    const hours = Array.from({ length: 8760 }, (_, i) => (i % 12 === 0 ? '00c800640064' : '000000000000')).join('');
    row(client, 'weathers', { ...station, utc_offset_h: 0, years: '2019', hours });
    row(client, 'photometries', {
      id: 'f-1',
      home_id: 'h',
      name: 'Bar',
      lumens: 900,
      power_w: 9,
      length_m: 0.5,
      breadth_m: 0.05,
      planes: '[0]',
      angles: '[0,90]',
      candela: '[280,0]',
    });
  });
}

async function carried() {
  const open = await openStore(file);
  return { open, store: new Store(open, { knowledge }) };
}

describe('a file of the first version', () => {
  it('keeps its plants and says nothing it did not know', async () => {
    foundingFile();
    const { open, store } = await carried();
    const { facts } = store.home('h');
    expect(facts.plants).toMatchObject([
      {
        id: 'p',
        name: 'Old aloe',
        growthState: 'resting',
        note: 'kept',
        parents: [],
        traits: [],
        stateSeenOn: null,
        restSchool: null,
      },
    ]);
    expect(facts.home).toMatchObject({ name: 'Old home', restSchool: null, lightAim: 'whole' });
    expect(facts).toMatchObject({ ownTaxa: [], corrections: [] });
    open.close();
  });

  it('has its notes among the records, and its journal without them', async () => {
    foundingFile();
    const { open, store } = await carried();
    expect(store.records('h', { plantId: 'p' }).records).toMatchObject([
      { kind: 'note', at: 5, plantId: 'p', body: { text: 'A pup' } },
    ]);
    expect(store.journal('h', { limit: 9 })).toMatchObject([{ id: 'e', summary: 'Renamed', revision: 1 }]);
    open.close();
  });

  it('lets a change be taken back that was written before there were traits and parents', async () => {
    foundingFile();
    const { open, store } = await carried();
    await store.undo('h', ['e'], 'request-old');
    expect(store.home('h').facts.plants[0]).toMatchObject({ name: 'Aloe', parents: [], traits: [] });
    open.close();
  });

  it('is copied before it is touched, and not again when nothing is left to do', async () => {
    foundingFile();
    const first = await openStore(file);
    expect(first.backup).toBe(`${file}.before-migration`);
    expect(existsSync(first.backup!)).toBe(true);
    first.close();
    const again = await openStore(file);
    expect(again.backup).toBeNull();
    again.close();
  });
});

describe('a file of the third version', () => {
  it('has its windows’ curtains in a list, and its weather and lamp files beside the facts', async () => {
    thirdFile();
    const { open, store } = await carried();
    const { facts } = store.home('h');
    expect(facts.windows[0]!.curtains).toMatchObject([{ curtainId: 'sheer', months: [6, 7] }]);
    const hours = readWeatherHours(store.file('h', facts.weathers[0]!.fileKey).content.toString());
    expect(hours).toMatchObject({ ok: true });
    if (hours.ok) expect(hours.value.slice(11, 14)).toEqual([none, { global: 200, dni: 100, dhi: 100 }, none]);
    const lamp = store.file('h', facts.photometries[0]!.fileKey).content.toString();
    expect(JSON.parse(lamp)).toMatchObject({ planes: [0], angles: [0, 90], candela: [280, 0] });
    expect(JSON.stringify(facts).length).toBeLessThan(10_000);
    open.close();
  });
});

/** A list of the small home as it was kept before a migration: without some fields, its first entry taken out. */
interface Before {
  readonly migration: string;
  readonly list: 'stands' | 'plants' | 'circuits' | 'planSettings';
  readonly unsaid: RegExp;
  /** The small home where nothing else is said. */
  readonly home?: HomeFacts;
  /** Lists that are empty, since they hang on what was taken out. */
  readonly without?: readonly FactList[];
}

async function fileBefore({ migration, list, unsaid, home = smallHome, without = [] }: Before): Promise<void> {
  (await openStore(file)).close();
  const client = new Driver(file);
  takenBack(client, migration);
  const bare = (entry: object) =>
    JSON.stringify(Object.fromEntries(Object.entries(entry).filter(([field]) => !unsaid.test(field))));
  const [out, ...left]: readonly { readonly id: string }[] = home[list];
  const empty = Object.fromEntries(without.map((one) => [one, []]));
  const facts: HomeFacts = { ...home, ...empty, [list]: left };
  row(client, 'facts', { home_id: 'h', list: 'home', id: 'h', body: bare(facts.home) });
  for (const each of FACT_LISTS)
    for (const entry of facts[each])
      row(client, 'facts', { home_id: 'h', list: each, id: entry.id, body: bare(entry) });
  const entry = { id: 'e', home_id: 'h', revision: 1, at: 1, kind: 'change', summary: 'Taken out', touched: 1 };
  row(client, 'journal', entry);
  row(client, 'journal_changes', { sequence: 1, place: 0, list, id: out!.id, before: bare(out!), after: null });
  client.close();
}

describe('a file of before surfaces had a brightness', () => {
  it('has the usual ones put in, and what was taken out can be brought back', async () => {
    await fileBefore({
      ...{ migration: '0004_brightness', list: 'stands', unsaid: /^(revealR|r)eflectance$/ },
      without: ['tiers', 'spots', 'lamps', 'plants'],
    });
    const { open, store } = await carried();
    const { facts } = store.home('h');
    expect(facts.windows[0]!.revealReflectance).toBe(0.7);
    expect(facts.stands.map(({ reflectance }) => reflectance)).toEqual([0.4, 0.4]);
    await store.undo('h', ['e'], 'request-dull');
    expect(store.home('h').facts.stands.find(({ id }) => id === 'sill')).toEqual(smallHome.stands[0]);
    open.close();
  });
});

describe('a file of before plants had a goal', () => {
  it('has the usual one put in, and a plant that was taken out can be brought back', async () => {
    const unsaid = /^(goal|stageSeenOn|cameFromSpotId|movedOn)$/;
    await fileBefore({ migration: '0005_goals', list: 'plants', unsaid });
    const { open, store } = await carried();
    expect(store.home('h').facts.plants).toEqual([smallHome.plants[1]]);
    await store.undo('h', ['e'], 'request-goal');
    expect(store.home('h').facts.plants).toContainEqual(smallHome.plants[0]);
    open.close();
  });
});

describe('a file of before timers had programmes', () => {
  const unsaid = /^(programme|freedom|fadeMinutes|limitW|supplyId)$/;
  const before: Before = { migration: '0007_programmes', list: 'circuits', unsaid };

  it('has plain timers, and nothing that was planned', async () => {
    await fileBefore({ ...before, list: 'plants' });
    const { open, store } = await carried();
    const { facts } = store.home('h');
    expect(facts.circuits).toEqual(smallHome.circuits);
    for (const list of ['supplies', 'tariffs', 'planSettings', 'wishes', 'plans', 'planSteps'] as const)
      expect(facts[list]).toEqual([]);
    open.close();
  });

  it('lets a timer that was taken out be brought back', async () => {
    await fileBefore({ ...before, without: ['lamps'] });
    const { open, store } = await carried();
    expect(store.home('h').facts.circuits).toEqual([]);
    await store.undo('h', ['e'], 'request-timer');
    expect(store.home('h').facts.circuits).toEqual(smallHome.circuits);
    open.close();
  });
});

describe('a file of before stands told who passes them', () => {
  it('has quiet stands with walls for any plant, and one that was taken out can be brought back', async () => {
    await fileBefore({
      ...{ migration: '0009_plan_details', list: 'stands', unsaid: /^(traffic|wall|hardening)$/ },
      without: ['tiers', 'spots', 'lamps', 'plants'],
    });
    const { open, store } = await carried();
    expect(store.home('h').facts.stands).toEqual(smallHome.stands.slice(1));
    await store.undo('h', ['e'], 'request-stand');
    expect(store.home('h').facts.stands).toContainEqual(smallHome.stands[0]);
    open.close();
  });
});

describe('a file of before a plan might draw curtains', () => {
  it('lets them be drawn, and steps of earlier plans name none', async () => {
    const settings = { ...planSettingsOf(smallHome), id: 'settings' };
    const step: PlanStep = {
      ...{ ...PLAIN_STEP, id: 's', planId: 'x', order: 0, on: '2026-11-30', kind: 'shade', plantId: 'p' },
      doneOn: null,
    };
    const planned = { planSettings: [settings], planSteps: [step] };
    await fileBefore({
      ...{ migration: '0010_other_settings', list: 'planSettings', home: { ...smallHome, ...planned } },
      unsaid: /^(humidifiers|fromCurtains|windowId|airThingId|setRh|curtains)$/,
      // They have curtains of their own.
      without: ['windows'],
    });
    const { open, store } = await carried();
    expect(store.home('h').facts.planSteps).toEqual([step]);
    await store.undo('h', ['e'], 'request-settings');
    expect(store.home('h').facts.planSettings).toEqual([settings]);
    open.close();
  });
});

const none = { global: 0, dni: 0, dhi: 0 };

describe('a file that is not for this program', () => {
  it('is left alone when a newer one wrote it', async () => {
    const open = await openStore(file);
    open.close();
    const client = new Driver(file);
    row(client, '__drizzle_migrations', { hash: 'of-the-future', created_at: 9_000_000_000_000 });
    client.close();
    await expect(openStore(file)).rejects.toThrow(/newer Dulvan/);
  });

  it('is left alone while another has it', async () => {
    const lock = await lockFile(file);
    await expect(lockFile(file)).rejects.toThrow(/Another Dulvan has home.sqlite open/);
    lock.release();
    (await lockFile(file)).release();
  });
});
