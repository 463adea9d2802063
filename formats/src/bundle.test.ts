import { BUNDLE_VERSION, bundlePaths, type HomeRecord, type NewSeries } from '@dulvan/contract';
import fc from 'fast-check';
import { planSettingsOf } from '@dulvan/core';
import { buffer } from 'node:stream/consumers';
import { smallHome } from '../../core/src/home/small-home.fixture';
import { BundleRefused, readBundle, writeBundle, type BundlePart, type BundledEntry, type BundledHome } from './bundle';
import { unzipped, zipped } from './zip';

const EXPORTED_AT = '2026-11-23T10:00:00.000Z';
const ID = smallHome.home.id;
const KEY = 'a'.repeat(64);
const PICTURE = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 1, 2, 3]);

const entry = (revision: number): BundledEntry => ({
  id: `e${revision}`,
  homeId: ID,
  revision,
  at: revision,
  kind: 'change',
  summary: `Change ${revision}`,
  undoes: null,
  touched: 1,
  changes: [{ list: 'plants', id: 'p', before: { name: 'A' }, after: { name: 'B' } }],
});

const record = (i: number): HomeRecord => ({
  id: `r${i}`,
  at: i,
  writtenAt: i,
  withdrawnAt: null,
  kind: 'note',
  plantId: 'p',
  spotId: null,
  roomId: null,
  body: { text: `Two\nlines, and a comma: ${i}` },
});

const SERIES: NewSeries = {
  id: 's',
  name: 'Shelf',
  quantity: 'temperature',
  roomId: null,
  spotId: null,
  plantId: null,
};
const SAMPLES = { at: [0, 1500, 90_000_000], values: [20.5, Math.fround(21.1), -3].map(Math.fround) };

const HOME: BundledHome = {
  facts: smallHome,
  journal: [[entry(1)], [entry(2), entry(3)]],
  records: [[record(1), record(2)]],
  series: [{ ...SERIES, samples: [SAMPLES] }],
  files: [{ key: KEY, kind: 'png', content: () => PICTURE }],
};

async function partsIn(bytes: Uint8Array): Promise<BundlePart[]> {
  const parts: BundlePart[] = [];
  for await (const part of readBundle(bytes)) parts.push(part);
  return parts;
}

async function reason(bytes: Uint8Array): Promise<string> {
  try {
    await partsIn(bytes);
  } catch (error) {
    if (error instanceof BundleRefused) return error.message;
    throw error;
  }
  return 'read';
}

const written = (homes: readonly BundledHome[] = [HOME]) => buffer(writeBundle(EXPORTED_AT, homes));

async function filesOf(): Promise<Map<string, Uint8Array[]>> {
  const files = new Map<string, Uint8Array[]>();
  for await (const { path, bytes } of unzipped(await written(), () => true)) {
    files.set(path, [...(files.get(path) ?? []), bytes]);
  }
  return files;
}

const zipOf = (files: readonly (readonly [string, Uint8Array[]])[]) =>
  buffer(zipped(files.map(([path, content]) => ({ path, packing: 'deflate', content }))));

/** The bundle with one of its files rewritten. */
async function withFile(path: string, change: (text: string) => string): Promise<Uint8Array> {
  const files = await filesOf();
  const text = change(Buffer.concat(files.get(path) ?? []).toString('utf8'));
  files.set(path, [new TextEncoder().encode(text)]);
  return zipOf([...files]);
}

describe('the bundle', () => {
  it('is read back as it was written', async () => {
    const parts = await partsIn(await written());
    const of = <W extends BundlePart['what']>(what: W) =>
      parts.filter((part): part is Extract<BundlePart, { what: W }> => part.what === what);
    expect(parts[0]).toMatchObject({
      what: 'manifest',
      manifest: { version: BUNDLE_VERSION, exportedAt: EXPORTED_AT },
    });
    expect(of('facts')).toEqual([{ what: 'facts', homeId: ID, facts: smallHome }]);
    expect(of('journal').flatMap(({ entries }) => entries)).toEqual([1, 2, 3].map(entry));
    expect(of('records').flatMap(({ records }) => records)).toEqual([1, 2].map(record));
    expect(of('series').flatMap(({ series }) => series)).toEqual([SERIES]);
    const [samples] = of('samples');
    expect({ ...samples!.samples, values: samples!.samples.values.map(Math.fround) }).toEqual(SAMPLES);
    const [file] = of('file');
    expect(file).toMatchObject({ key: KEY, kind: 'png' });
    expect([...file!.content]).toEqual([...PICTURE]);
  });

  it('of a home with everything a home may have is read again', async () => {
    const many = <T extends { id: string }>(one: T, count: number) =>
      Array.from({ length: count }, (_, i) => ({ ...one, id: `${one.id}-${i}` }));
    const facts = { ...smallHome, plants: many({ ...smallHome.plants[0]!, note: 'x'.repeat(400) }, 5000) };
    const parts = await partsIn(await written([{ ...HOME, facts }]));
    expect(parts.find((part) => part.what === 'facts')).toEqual({ what: 'facts', homeId: ID, facts });
  });

  it('names the file, the line and the reason when one line is broken', async () => {
    const broken = (path: string, at: number, line: string) =>
      withFile(path, (text) => {
        const lines = text.split('\n');
        lines[at - 1] = line;
        return lines.join('\n');
      });
    const told = async (path: string, at: number, line: string) => reason(await broken(path, at, line));
    expect(await told(bundlePaths.journal(ID), 2, '{"id":')).toBe(
      `homes/${ID}/journal.ndjson, line 2: Not whole JSON. Nothing was changed.`,
    );
    const bad = JSON.stringify({ ...record(2), body: { text: '' } });
    expect(await told(bundlePaths.records(ID), 2, bad)).toMatch(/records\.ndjson, line 2: body › text: /);
    expect(await told(bundlePaths.samples(ID, 's'), 3, 'soon,21')).toMatch(/s\.csv, line 3: A time in ISO 8601/);
    expect(await told(bundlePaths.samples(ID, 's'), 1, 'value,time')).toMatch(/line 1: The first line must be/);
  });

  it('is refused with the place of a fact that does not fit', async () => {
    const changed = async (change: (facts: typeof smallHome) => object) =>
      reason(
        await withFile(bundlePaths.facts(ID), (text) => JSON.stringify(change(JSON.parse(text) as typeof smallHome))),
      );
    expect(await changed((facts) => ({ ...facts, home: { ...facts.home, latitude: 95 } }))).toContain(
      'home › latitude: From -90 to 90',
    );
    expect(await changed((facts) => ({ ...facts, rooms: [] }))).toMatch(/facts\.json › \w+ › /);
    expect(await changed((facts) => ({ ...facts, home: { ...facts.home, id: 'other' } }))).toContain('another home');
  });

  it('of version 4 is read with the brightness it could not say, in its journal too; today’s must say it', async () => {
    const bare = (entry: object) =>
      Object.fromEntries(Object.entries(entry).filter(([field]) => !/^(revealR|r)eflectance$/.test(field)));
    const { facts, windows, stands } = { facts: smallHome, windows: smallHome.windows, stands: smallHome.stands };
    const files = await filesOf();
    const put = (path: string, text: string) => files.set(path, [new TextEncoder().encode(text)]);
    put(bundlePaths.facts(ID), JSON.stringify({ ...facts, windows: windows.map(bare), stands: stands.map(bare) }));
    const removed = { list: 'stands' as const, id: 'shelf', before: bare(stands[1]!), after: null };
    put(bundlePaths.journal(ID), `${JSON.stringify({ ...entry(1), changes: [removed] })}\n`);
    expect(await reason(await zipOf([...files]))).toMatch(/revealReflectance/);
    const manifest = JSON.parse(Buffer.concat(files.get(bundlePaths.manifest) ?? []).toString('utf8')) as object;
    put(bundlePaths.manifest, JSON.stringify({ ...manifest, version: 4 }));
    const parts = await partsIn(await zipOf([...files]));
    const read = parts.find((part) => part.what === 'facts');
    expect(read).toMatchObject({
      facts: { windows: [{ revealReflectance: 0.7 }], stands: [{ reflectance: 0.4 }, {}, {}] },
    });
    const journal = parts.find((part) => part.what === 'journal');
    expect(journal).toMatchObject({ entries: [{ changes: [{ before: { id: 'shelf', reflectance: 0.4 } }] }] });
  });

  /** The facts of a bundle that says less, as of today and as of an earlier version. */
  async function saidLess(facts: object, version: number) {
    const files = await filesOf();
    const put = (path: string, text: string) => files.set(path, [new TextEncoder().encode(text)]);
    put(bundlePaths.facts(ID), JSON.stringify(facts));
    const refused = await reason(await zipOf([...files]));
    const manifest = JSON.parse(Buffer.concat(files.get(bundlePaths.manifest) ?? []).toString('utf8')) as object;
    put(bundlePaths.manifest, JSON.stringify({ ...manifest, version }));
    const read = (await partsIn(await zipOf([...files]))).find((part) => part.what === 'facts');
    return { refused, read };
  }
  const bare = (unsaid: RegExp) => (entry: object) =>
    Object.fromEntries(Object.entries(entry).filter(([field]) => !unsaid.test(field)));

  it('of version 5 is read with the goals and outcomes that it could not say; one of today must say them', async () => {
    const { outcomes: _later, ...facts } = smallHome;
    const plants = facts.plants.map(bare(/^(goal|stageSeenOn|cameFromSpotId|movedOn)$/));
    const { refused, read } = await saidLess({ ...facts, plants }, 5);
    expect(refused).toMatch(/goal|outcomes/);
    expect(read).toMatchObject({ facts: { plants: smallHome.plants, outcomes: [] } });
  });

  it('of version 7 is read with plain timers and nothing planned; one of today must say both', async () => {
    const { supplies: _s, tariffs: _t, planSettings: _p, wishes: _w, plans: _l, planSteps: _e, ...facts } = smallHome;
    const circuits = facts.circuits.map(bare(/^(programme|freedom|fadeMinutes|limitW|supplyId)$/));
    const { refused, read } = await saidLess({ ...facts, circuits }, 7);
    expect(refused).toMatch(/programme|supplies/);
    expect(read).toMatchObject({ facts: { circuits: smallHome.circuits, tariffs: [], wishes: [], planSteps: [] } });
  });

  it('of version 8 is read with quiet stands, plans at the usual pace; one of today must say both', async () => {
    const settings = { ...planSettingsOf(smallHome), arrangements: 2 as const };
    const stands = smallHome.stands.map(bare(/^(traffic|wall)$/));
    const { refused, read } = await saidLess(
      { ...smallHome, stands, planSettings: [bare(/^hardening$/)(settings)] },
      8,
    );
    expect(refused).toMatch(/traffic|hardening/);
    expect(read).toMatchObject({ facts: { stands: smallHome.stands, planSettings: [settings] } });
  });

  it('of version 9 lets a plan change curtains and humidifiers; one of today must say so', async () => {
    const settings = { ...planSettingsOf(smallHome), moves: 'few' as const };
    const { refused, read } = await saidLess(
      { ...smallHome, planSettings: [bare(/^(curtains|humidifiers)$/)(settings)] },
      9,
    );
    expect(refused).toMatch(/curtains|humidifiers/);
    expect(read).toMatchObject({ facts: { planSettings: [settings] } });
  });

  it('is refused when it is foreign, newer, or lacks its manifest', async () => {
    const manifest = (change: object) =>
      withFile(bundlePaths.manifest, (text) => JSON.stringify({ ...(JSON.parse(text) as object), ...change }));
    expect(await reason(await manifest({ format: 'something' }))).toContain('not a Dulvan bundle');
    expect(await reason(await manifest({ version: BUNDLE_VERSION + 1 }))).toContain('newer Dulvan');
    const other = await buffer(zipped([{ path: 'photo.jpg', packing: 'store', content: [new Uint8Array([1, 2, 3])] }]));
    expect(await reason(other)).toContain('a file manifest.json is missing');
  });

  it('is refused wherever it is cut off', async () => {
    const bytes = await written();
    await fc.assert(
      fc.asyncProperty(fc.nat(bytes.length - 1), async (cut) => {
        expect(await reason(bytes.subarray(0, cut))).not.toBe('read');
      }),
      { numRuns: 60 },
    );
  });

  it('is refused or reads what was written when one of its bytes is another', async () => {
    const bytes = await written();
    const asWritten = await partsIn(bytes);
    const tableAt = bytes.indexOf(Buffer.from([0x50, 0x4b, 1, 2]));
    await fc.assert(
      fc.asyncProperty(fc.nat(bytes.length - 1), fc.integer({ min: 1, max: 255 }), async (at, flip) => {
        const changed = Uint8Array.from(bytes);
        changed[at]! ^= flip;
        if ((await reason(changed)) !== 'read') return;
        const parts = await partsIn(changed);
        // The table of contents may lose an entry at its end; nothing is read otherwise than it was written.
        expect(asWritten).toEqual(at < tableAt ? parts : expect.arrayContaining(parts));
      }),
      { numRuns: 300 },
    );
  });

  it('is refused when the facts of a home are missing', async () => {
    const files = [...(await filesOf())].filter(([path]) => path !== bundlePaths.facts(ID));
    expect(await reason(await zipOf(files))).toBe(`A file homes/${ID}/facts.json is missing. Nothing was changed.`);
  });
});
