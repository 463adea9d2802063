/** Everything out and in again, while others write. */
import { BundleRefused, readBundle, writeBundle, type BundlePart, type BundledEntry } from '@dulvan/formats/bundle';
import { buffer } from 'node:stream/consumers';
import { patch, put } from '@dulvan/core';
import { demoParts } from '../demo/bundle';
import { sailLoft } from '../demo/sail-loft';
import { HOME, NOW, keptStore, newKey, refusal, type Kept } from './kept.fixture';
import type { Store } from './store';

let kept: Kept;
beforeEach(async () => {
  kept = await keptStore();
});
afterEach(() => kept.remove());

const imported = (store: Store, bytes: Uint8Array) => store.import(readBundle(bytes));

const SERIES = { id: 's', name: 'Shelf', quantity: 'temperature', roomId: null, spotId: null, plantId: null } as const;
const PICTURE = new Uint8Array([0xff, 0xd8, 0xff, 1, 2, 3]);

/** Something of everything in the sail loft. */
async function filled(): Promise<void> {
  const { store } = kept;
  const about = { at: NOW, plantId: 'p-moth', spotId: null, roomId: null };
  const records = Array.from({ length: 400 }, (_, i) => ({ ...about, kind: 'note' as const, body: { text: `n${i}` } }));
  await store.appendRecords(HOME, records, newKey());
  await store.addSeries(HOME, SERIES);
  const at = Array.from({ length: 3000 }, (_, i) => NOW + i * 600_000);
  const values = at.map((_, i) => 20 + (i % 7) / 3);
  await store.appendSamples(HOME, 's', { at, values });
  await store.addFile(HOME, 'jpeg', PICTURE);
  await kept.save([patch('plants', 'p-moth', { name: 'Before export' })]);
}

it('another Dulvan has the same after an import, and nothing twice after a second one', async () => {
  await filled();
  const bytes = await buffer(kept.store.export());
  const other = await keptStore('nothing');
  await imported(other.store, bytes);
  expect(told(await other.restarted())).toEqual(told(kept.store));
  const before = other.store.home(HOME).revision;
  await imported(other.store, bytes);
  expect(other.store.home(HOME).revision).toBe(before);
  expect(told(other.store)).toEqual(told(kept.store));
  other.remove();
});

/** What a store tells of the sail loft; its journal ends with the import itself, which is left out. */
function told(store: Store) {
  const journal = store.journal(HOME, { limit: 200 }).filter(({ kind }) => kind !== 'import');
  return {
    facts: store.home(HOME).facts,
    journal: journal.map(({ revision: _revision, ...entry }) => entry),
    states: journal.map(({ id }) => store.states(HOME, id)),
    records: store.records(HOME, { limit: '200' }).records,
    series: store.series(HOME),
    samples: store.samples(HOME, 's', { from: 0, to: NOW * 2, step: 'raw' }).toString('base64'),
  };
}

it('an export is of one moment, whatever is written while it goes out', async () => {
  await filled();
  const before = told(kept.store);
  const pieces: Uint8Array[] = [];
  let write = 0;
  for await (const piece of kept.store.export()) {
    pieces.push(piece);
    if (write < 20) await kept.save([patch('plants', 'p-moth', { name: `Written ${(write += 1)}` })]);
  }
  expect(write).toBeGreaterThan(0);
  const other = await keptStore('nothing');
  await imported(other.store, Buffer.concat(pieces));
  expect(told(other.store)).toEqual(before);
  other.remove();
});

it('a file whose content is not what its name says is refused, and nothing of the bundle is stored', async () => {
  const facts = { ...sailLoft, home: { ...sailLoft.home, name: 'Imported' } };
  const files = [{ key: 'b'.repeat(64), kind: 'jpeg' as const, content: () => PICTURE }];
  const bytes = await buffer(
    writeBundle(new Date(NOW).toISOString(), [{ facts, journal: [], records: [], series: [], files }]),
  );
  expect((await refusal(() => imported(kept.store, bytes))).refusal.message).toMatch(/not what its name says/);
  expect(kept.store.home(HOME)).toEqual({ revision: 1, facts: sailLoft });
});

it('a forged entry of an imported journal cannot be taken back into what was never allowed', async () => {
  const [plant] = sailLoft.plants;
  const forged: BundledEntry = {
    id: 'forged',
    homeId: HOME,
    revision: 1,
    at: NOW,
    kind: 'change',
    summary: 'Forged',
    undoes: null,
    touched: 1,
    changes: [{ list: 'plants', id: plant!.id, before: { potCm: -5e9 }, after: { potCm: plant!.potCm } }],
  };
  const home = { facts: sailLoft, journal: [[forged]], records: [], series: [], files: [] };
  const other = await keptStore('nothing');
  await imported(other.store, await buffer(writeBundle(new Date(NOW).toISOString(), [home])));
  const { status } = await refusal(() => other.store.undo(HOME, ['forged'], newKey()));
  expect(status).toBe(422);
  expect(other.store.home(HOME).facts).toEqual(sailLoft);
  other.remove();
});

it('an import that breaks off in the middle leaves nothing of itself', async () => {
  function* parts(): Generator<BundlePart> {
    yield* demoParts().map((part): BundlePart =>
      part.what === 'facts' ? { ...part, facts: { ...part.facts, home: { ...part.facts.home, name: 'Half' } } } : part,
    );
    throw new BundleRefused('Broken off.');
  }
  expect((await refusal(() => kept.store.import(parts()))).status).toBe(422);
  expect((await kept.restarted()).home(HOME)).toEqual({ revision: 1, facts: sailLoft });
});

it('imports, on both sides, a change that was taken back twice', async () => {
  const first = await kept.save([patch('plants', 'p-moth', { name: 'Renamed' })]);
  const undone = await kept.store.undo(HOME, [first.entry!.id], newKey());
  await kept.store.undo(HOME, [undone.entry!.id], newKey());
  const other = await keptStore('nothing');
  await imported(other.store, await buffer(kept.store.export()));
  for (const { store } of [kept, other]) {
    const entries = store.journal(HOME, { limit: 9 });
    expect(entries.filter(({ kind }) => kind === 'undo')).toHaveLength(2);
    expect((await refusal(() => store.undo(HOME, [undone.entry!.id], newKey()))).status).toBe(409);
    await store.undo(HOME, [first.entry!.id], newKey());
    expect(store.home(HOME).facts.plants).toEqual(sailLoft.plants);
  }
  other.remove();
});

it('an import over what is here says what it did, and can be taken back', async () => {
  await kept.save([put('ownTaxa', own)]);
  const { entries } = await kept.store.import(demoParts());
  expect(entries).toMatchObject([{ homeId: HOME, kind: 'import' }]);
  expect(kept.store.home(HOME).facts).toEqual(sailLoft);
  await kept.store.undo(HOME, [entries[0]!.id], newKey());
  expect(kept.store.home(HOME).facts.ownTaxa).toEqual([own]);
});

const own = { id: 'own-1', homeId: HOME, name: 'Hoya', common: [], synonyms: [], basedOn: 'hoya-carnosa', key: '' };
