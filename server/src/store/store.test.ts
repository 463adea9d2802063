import {
  BUNDLE_FORMAT,
  BUNDLE_VERSION,
  FACT_LISTS,
  applied,
  changesBetween,
  type Bundle,
  type Change,
} from '@dulvan/contract';
import type { HomeFacts, Plant } from '@dulvan/core';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { demoBundle } from '../demo/bundle';
import { sailLoft } from '../demo/sail-loft';
import { openStore, type OpenStore } from './open';
import { Refused, Store } from './store';

let folder: string;
let open: OpenStore;
let store: Store;
const HOME = 'sail-loft';

beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'dulvan-store-'));
  open = await openStore(path.join(folder, 'home.sqlite'));
  store = new Store(open.database, () => 1_800_000_000_000);
  await store.importAll(demoBundle());
});

afterEach(() => {
  open.close();
  rmSync(folder, { recursive: true, force: true });
});

const plant = (facts: HomeFacts, id: string): Plant => facts.plants.find((candidate) => candidate.id === id)!;
const sorted = (facts: HomeFacts) => ({
  ...facts,
  ...Object.fromEntries(
    FACT_LISTS.map((list) => [
      list,
      [...(facts[list] as readonly { id: string }[])].sort((p, q) => (p.id < q.id ? -1 : 1)),
    ]),
  ),
});

async function refusal(work: Promise<unknown>): Promise<Refused> {
  try {
    await work;
  } catch (error) {
    if (error instanceof Refused) return error;
    throw error;
  }
  throw new Error('It was not refused.');
}

describe('keeping the grower’s own knowledge', () => {
  const own = {
    id: 'own-1',
    homeId: HOME,
    name: 'Pane hoya',
    common: ['left one'],
    synonyms: [],
    basedOn: 'hoya-carnosa',
    key: 'Never turn it.',
  };
  const correction = {
    id: 'k1',
    homeId: HOME,
    taxonId: 'own-1',
    plantId: null,
    figure: 'light.thrivesFrom' as const,
    value: 5.5,
    reason: 'Buds at this',
    on: '2026-05-01',
  };

  it('gives back own taxa, corrections, parents and traits as they were given, and takes them back in one', async () => {
    const before = await store.facts(HOME);
    const hybrid: Plant = {
      ...plant(before, 'p-moth'),
      parents: [
        { taxonId: 'own-1', share: 0.25 },
        { taxonId: 'hoya-carnosa', share: 0.75 },
      ],
      traits: ['variegated', 'mounted'],
      restSchool: 'hard',
    };
    const changes: Change[] = [
      { list: 'ownTaxa', id: own.id, after: own },
      { list: 'corrections', id: correction.id, after: correction },
      { list: 'plants', id: hybrid.id, after: hybrid },
    ];
    const { facts, entry } = await store.change(HOME, { summary: 'Learnt', changes });
    expect(facts!.ownTaxa).toEqual([own]);
    expect(facts!.corrections).toContainEqual(correction);
    expect(plant(facts!, 'p-moth')).toEqual(hybrid);
    await store.undo(HOME, entry.id);
    expect(await store.facts(HOME)).toEqual(before);
  });

  it('refuses a correction of a plant that is not there, and parents that are no whole, and stores neither', async () => {
    const before = await store.facts(HOME);
    const lost = await refusal(
      store.change(HOME, {
        summary: 'Lost',
        changes: [
          { list: 'corrections', id: 'k2', after: { ...correction, id: 'k2', taxonId: null, plantId: 'gone' } },
        ],
      }),
    );
    expect(lost.refusal.problems).toMatchObject([{ list: 'corrections', field: 'plantId' }]);
    const half: Plant = { ...plant(before, 'p-moth'), parents: [{ taxonId: 'hoya-carnosa', share: 0.5 }] };
    const short = await refusal(
      store.change(HOME, {
        summary: 'Half',
        changes: [
          { list: 'ownTaxa', id: own.id, after: own },
          { list: 'plants', id: half.id, after: half },
        ],
      }),
    );
    expect(short.refusal.problems).toMatchObject([{ list: 'plants', field: 'parents' }]);
    expect(await store.facts(HOME)).toEqual(before);
  });

  it('does not let a plant go and leave its correction behind', async () => {
    const ofPlant = { ...correction, taxonId: null, plantId: 'p-moth' };
    await store.change(HOME, { summary: 'Corrected', changes: [{ list: 'corrections', id: 'k1', after: ofPlant }] });
    await refusal(store.change(HOME, { summary: 'Out', changes: [{ list: 'plants', id: 'p-moth', after: null }] }));
    const { facts } = await store.change(HOME, {
      summary: 'Out',
      changes: [
        { list: 'corrections', id: 'k1', after: null },
        { list: 'plants', id: 'p-moth', after: null },
      ],
    });
    expect(facts!.plants.some(({ id }) => id === 'p-moth')).toBe(false);
  });
});

describe('keeping a home', () => {
  it('gives back exactly the facts it was given', async () => {
    expect(sorted(await store.facts(HOME))).toEqual(sorted(sailLoft));
  });

  it('moves a plant, journals it with both states, and takes it back', async () => {
    const before = await store.facts(HOME);
    const moved = { ...plant(before, 'p-moth'), spotId: 'sill-4' };
    const saved = await store.change(HOME, {
      summary: 'Moved',
      changes: [{ list: 'plants', id: 'p-moth', after: moved }],
    });
    expect(plant(saved.facts!, 'p-moth').spotId).toBe('sill-4');
    const [entry] = await store.journal(HOME, { plantId: 'p-moth', limit: 1 });
    expect(entry).toMatchObject({
      summary: 'Moved',
      at: 1_800_000_000_000,
      changes: [{ before: { spotId: 'bench-1b' }, after: { spotId: 'sill-4' } }],
    });
    await store.undo(HOME, entry!.id);
    expect(await store.facts(HOME)).toEqual(before);
  });

  it('refuses to take back what was changed since, and the same thing twice', async () => {
    const facts = await store.facts(HOME);
    const move = (spotId: string) =>
      store.change(HOME, {
        summary: 'Moved',
        changes: [{ list: 'plants', id: 'p-moth', after: { ...plant(facts, 'p-moth'), spotId } }],
      });
    const first = await move('sill-4');
    const second = await move('cab-top-2');
    expect((await refusal(store.undo(HOME, first.entry.id))).status).toBe(409);
    await store.undo(HOME, second.entry.id);
    expect((await refusal(store.undo(HOME, second.entry.id))).status).toBe(409);
    await store.undo(HOME, first.entry.id);
    expect(plant(await store.facts(HOME), 'p-moth').spotId).toBe('bench-1b');
  });

  it('stores nothing of a change of which one part cannot be', async () => {
    const before = await store.facts(HOME);
    const changes: Change[] = [
      { list: 'plants', id: 'p-moth', after: { ...plant(before, 'p-moth'), name: 'Half-stored' } },
      {
        list: 'windows',
        id: 'gable',
        after: { ...before.windows.find((window) => window.id === 'gable')!, curtainMonths: [1], widthM: 9 },
      },
    ];
    const refused = await refusal(store.change(HOME, { summary: 'Both', changes }));
    expect(refused.refusal.problems[0]).toMatchObject({ list: 'windows', id: 'gable', field: 'widthM' });
    expect(await store.facts(HOME)).toEqual(before);
  });

  it('refuses a stand taken out from under its tiers', async () => {
    expect(
      (await refusal(store.change(HOME, { summary: 'Out', changes: [{ list: 'stands', id: 'rack', after: null }] })))
        .status,
    ).toBe(422);
  });

  it('takes a whole home out and brings it back', async () => {
    const before = await store.facts(HOME);
    const { entry, facts } = await store.wipe(HOME);
    expect(facts).toBeNull();
    expect((await store.homes()).map((home) => home.id)).toEqual(['back-room']);
    await store.undo(HOME, entry.id);
    expect(await store.facts(HOME)).toEqual(before);
  });

  it('keeps writes that come at once in line', async () => {
    const facts = await store.facts(HOME);
    await Promise.all(
      facts.plants.map((each) =>
        store.change(HOME, {
          summary: 'Noted',
          changes: [{ list: 'plants', id: each.id, after: { ...each, note: `seen ${each.id}` } }],
        }),
      ),
    );
    expect((await store.facts(HOME)).plants.every((each) => each.note === `seen ${each.id}`)).toBe(true);
    expect(await store.journal(HOME, { limit: 999 })).toHaveLength(facts.plants.length + 1);
  });

  it('does not let one home’s change touch another’s', async () => {
    const facts = await store.facts(HOME);
    const stray = { ...plant(facts, 'p-moth'), homeId: 'back-room' };
    expect(
      (
        await refusal(
          store.change(HOME, { summary: 'Stray', changes: [{ list: 'plants', id: 'p-moth', after: stray }] }),
        )
      ).status,
    ).toBe(422);
    const taken = { ...plant(await store.facts('back-room'), 'b-lithops'), homeId: HOME, spotId: null };
    expect(
      (
        await refusal(
          store.change(HOME, { summary: 'Taken', changes: [{ list: 'plants', id: 'b-lithops', after: taken }] }),
        )
      ).status,
    ).toBe(409);
  });

  it('exports and imports the same home, journal and all, once', async () => {
    await store.addNote(HOME, 'p-moth', 'A spike');
    const bundle: Bundle = {
      format: BUNDLE_FORMAT,
      version: BUNDLE_VERSION,
      exportedAt: '2026-11-23T00:00:00.000Z',
      ...(await store.exportAll()),
    };
    await store.wipe(HOME);
    await store.importAll(bundle);
    const again = await store.exportAll();
    expect(again.homes).toEqual(bundle.homes);
    expect(again.journal.filter((entry) => entry.summary === 'A spike')).toHaveLength(1);
    expect(await store.importAll(bundle)).toEqual([]);
  });

  it('opens again what it kept, and keeps a backup only when there is something to migrate', async () => {
    open.close();
    open = await openStore(path.join(folder, 'home.sqlite'));
    expect(open.backup).toBeNull();
    expect((await new Store(open.database).homes()).length).toBe(2);
  });
});

describe('changes', () => {
  it('between two states lead from one to the other', () => {
    const changed: HomeFacts = {
      ...sailLoft,
      plants: sailLoft.plants.slice(3).map((each, i) => (i === 0 ? { ...each, name: 'New name' } : each)),
    };
    expect(sorted(applied(sailLoft, changesBetween(sailLoft, changed))!)).toEqual(sorted(changed));
    expect(sorted(applied(changed, changesBetween(changed, sailLoft))!)).toEqual(sorted(sailLoft));
    expect(applied(sailLoft, changesBetween(sailLoft, null))).toBeNull();
    expect(changesBetween(sailLoft, sailLoft)).toEqual([]);
  });
});

describe('light that was measured or imported', () => {
  const hours = '00c800640064'.repeat(8760);
  const weather = {
    id: 'w-1',
    homeId: HOME,
    name: 'Station',
    latitude: 56,
    longitude: -3,
    elevationM: 4,
    utcOffsetH: 0,
    years: '2019',
    hours,
  };
  const photometry = {
    id: 'f-1',
    homeId: HOME,
    name: 'Bar',
    lumens: 900,
    powerW: 9,
    lengthM: 0.5,
    breadthM: 0.05,
    planes: [0],
    angles: [0, 90],
    candela: [280, 0],
  };

  it('is kept with the home, outlives a spot, and comes back with an undo', async () => {
    const saved = await store.change(HOME, {
      summary: 'Files',
      changes: [
        { list: 'weathers', id: 'w-1', after: weather },
        { list: 'photometries', id: 'f-1', after: photometry },
      ],
    });
    const kept = await store.facts(HOME);
    expect(kept.weathers).toEqual([weather]);
    expect(kept.photometries).toEqual([photometry]);
    const reading = kept.readings[0]!;
    const change: Change[] = [
      ...kept.plants
        .filter((each) => each.spotId === reading.spotId)
        .map((each): Change => ({ list: 'plants', id: each.id, after: { ...each, spotId: null } })),
      { list: 'spots', id: reading.spotId, after: null },
    ];
    await store.change(HOME, { summary: 'Spot gone', changes: change });
    expect((await store.facts(HOME)).readings.map((each) => each.id)).toContain(reading.id);
    await store.undo(HOME, saved.entry.id);
    expect(await store.facts(HOME)).toMatchObject({ weathers: [], photometries: [] });
  });

  it('is held to one year of weather a home, and to files that are there', async () => {
    const two = await refusal(
      store.change(HOME, {
        summary: 'Two',
        changes: [
          { list: 'weathers', id: 'w-1', after: weather },
          { list: 'weathers', id: 'w-2', after: { ...weather, id: 'w-2' } },
        ],
      }),
    );
    expect(two.status).toBe(413);
    const lamp = sailLoft.lamps[0]!;
    const stray = await refusal(
      store.change(HOME, {
        summary: 'Stray',
        changes: [{ list: 'lamps', id: lamp.id, after: { ...lamp, photometryId: 'gone' } }],
      }),
    );
    expect(stray.refusal.problems[0]).toMatchObject({ list: 'lamps', field: 'photometryId' });
  });
});
