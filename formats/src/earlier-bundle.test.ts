/** Bundles of versions 1 to 3 are read on: one JSON document each. */
import { BUNDLE_VERSION } from '@dulvan/contract';
import fc from 'fast-check';
import { createHash } from 'node:crypto';
import { readIntensities, readWeatherHours } from './attachments';
import { BundleRefused, type BundlePart } from './bundle';
import { earlierBundleParts } from './earlier-bundle';

const keyOf = (content: Uint8Array) => createHash('sha256').update(content).digest('hex');

const HOME = {
  id: 'h',
  name: 'Home',
  latitude: 10,
  longitude: 20,
  elevationM: 0,
  timeZone: 'UTC',
  climateId: 'wet-tropics',
};
const LISTS = ['rooms', 'windows', 'stands', 'tiers', 'spots', 'circuits', 'lamps', 'plants', 'air'];
const bundle = (version: number, home: object) => ({
  format: 'dulvan-bundle',
  version,
  exportedAt: '2026-03-01T10:00:00.000Z',
  homes: [{ ...Object.fromEntries(LISTS.map((list) => [list, []])), home: HOME, ...home }],
  journal: [] as object[],
});

const PLANT = {
  id: 'p',
  homeId: 'h',
  taxonId: 'aloe-vera',
  name: '',
  stage: 'adult',
  growthState: 'resting',
  potCm: 10,
  heightCm: 20,
  spotId: null,
  arrivedOn: null,
  note: '',
};
const ROOM = {
  id: 'r',
  homeId: 'h',
  name: 'Room',
  widthM: 4,
  depthM: 3,
  heightM: 2.5,
  wallABearing: 0,
  floorReflectance: 0.3,
  wallReflectance: 0.6,
  ceilingReflectance: 0.8,
  airMovement: 'gentle',
  insideRoomId: null,
  insideXM: 0,
  insideYM: 0,
  insideZM: 0,
  shellTransmittance: 1,
};
const WINDOW = {
  id: 'w',
  roomId: 'r',
  name: 'Window',
  side: 'a',
  offsetM: 1,
  insetM: 0,
  sillM: 0.9,
  widthM: 1,
  heightM: 1,
  slopeDeg: 90,
  glazingId: 'double',
  frameShare: 0.1,
  dirtShare: 0.1,
  curtainId: 'sheer',
  curtainMonths: [1],
  curtainFromMinute: 0,
  curtainToMinute: 60,
  outsideKind: 'open',
  outsideDeg: 0,
  outsideReflectance: 0.1,
  groundReflectance: 0.2,
};

const first = bundle(1, { plants: [PLANT] });
const second = bundle(2, { rooms: [ROOM], windows: [WINDOW], ownTaxa: [], corrections: [] });
const hours = Array.from({ length: 8760 }, (_, i) => (i % 24 === 12 ? '012c00c80064' : '000000000000')).join('');
const station = { id: 'w-1', homeId: 'h', name: 'Station', latitude: 10, longitude: 20, elevationM: 4 };
const bar = { id: 'f-1', homeId: 'h', name: 'Bar', lumens: 900, powerW: 9, lengthM: 0.5, breadthM: 0.05 };
const third = bundle(3, {
  weathers: [{ ...station, utcOffsetH: 0, years: '2019', hours }],
  photometries: [{ ...bar, planes: [0], angles: [0, 90], candela: [280, 0] }],
});

const read = (given: unknown) => earlierBundleParts(typeof given === 'string' ? given : JSON.stringify(given), keyOf);
const part = <W extends BundlePart['what']>(given: unknown, what: W) =>
  read(given).filter((each): each is Extract<BundlePart, { what: W }> => each.what === what);

function reason(given: unknown): string {
  try {
    read(given);
  } catch (error) {
    if (error instanceof BundleRefused) return error.message;
    throw error;
  }
  return 'read';
}

describe('a bundle of an earlier version', () => {
  it('1 is read, what it could not say left unsaid', () => {
    const [{ facts }] = part(first, 'facts') as [Extract<BundlePart, { what: 'facts' }>];
    expect(facts.home).toMatchObject({ restSchool: null, lightAim: 'whole', snowMonths: [] });
    expect(facts).toMatchObject({ ownTaxa: [], corrections: [], obstructions: [], readings: [] });
    expect(facts.plants).toMatchObject([{ growthState: 'resting', parents: [], traits: [], stateSeenOn: null }]);
  });

  it('2 is read, its windows without reveal or overhang, its curtain the first of a list', () => {
    const [{ facts }] = part(second, 'facts') as [Extract<BundlePart, { what: 'facts' }>];
    expect(facts.windows[0]).toMatchObject({
      revealM: 0,
      overhangM: 0,
      curtains: [{ curtainId: 'sheer', months: [1], fromMinute: 0, toMinute: 60 }],
    });
    expect(facts.rooms[0]).toMatchObject({ eveningLux: 0 });
  });

  it('3 is read, its weather and its lamp file beside the facts, each under its own hash', () => {
    const [{ facts }] = part(third, 'facts') as [Extract<BundlePart, { what: 'facts' }>];
    const files = part(third, 'file');
    const text = (key: string) => new TextDecoder().decode(files.find((file) => file.key === key)!.content);
    expect(files.every(({ key, content }) => keyOf(content) === key)).toBe(true);
    const weather = readWeatherHours(text(facts.weathers[0]!.fileKey));
    expect(weather.ok && weather.value[12]).toEqual({ global: 300, dni: 200, dhi: 100 });
    const lamp = readIntensities(text(facts.photometries[0]!.fileKey));
    expect(lamp).toMatchObject({ ok: true, value: { planes: [0], angles: [0, 90], candela: [280, 0] } });
  });

  it('has its notes among the records, and in its journal only the fields that were changed', () => {
    const about = { homeId: 'h', at: 5, plantId: 'p', undoes: null };
    const journal = [
      { ...about, id: 'n', kind: 'note', summary: 'A pup', changes: [] },
      {
        ...about,
        id: 'e',
        kind: 'change',
        summary: 'Renamed',
        changes: [{ list: 'plants', id: 'p', before: { ...PLANT, name: 'Aloe' }, after: PLANT }],
      },
    ];
    const given = { ...first, journal };
    expect(part(given, 'records')).toMatchObject([{ records: [{ kind: 'note', body: { text: 'A pup' } }] }]);
    expect(part(given, 'journal')).toMatchObject([
      { entries: [{ id: 'e', revision: 1, changes: [{ before: { name: 'Aloe' }, after: { name: '' } }] }] },
    ]);
  });

  it('is held to everything that holds today, with the place', () => {
    const plant = (change: object) => bundle(1, { plants: [{ ...PLANT, ...change }] });
    expect(reason(plant({ potCm: -4 }))).toContain('homes › 0 › plants › 0 › potCm');
    expect(reason(plant({ homeId: 'other' }))).toContain('names another home');
    expect(reason({ ...first, homes: 'none' })).toContain('homes');
    expect(reason({ ...first, homes: [...first.homes, ...first.homes] })).toContain('twice');
    expect(reason({ ...third, homes: [{ ...third.homes[0], weathers: [{ ...station, hours: 'zz' }] }] })).toContain(
      'hexadecimal digits',
    );
  });

  it('is refused when it is not whole, foreign, newer or of an unknown version', () => {
    expect(reason('{\n "format": "dulvan-bundle",\n "version": }')).toMatch(/line 3, character 13/);
    expect(reason('[1, 2]')).toContain('not a Dulvan bundle');
    expect(reason({ ...first, version: BUNDLE_VERSION + 1 })).toContain('newer Dulvan');
    expect(reason({ ...first, version: 0 })).toContain('version 0');
  });

  it('is refused, never crashed on, whatever it is', () => {
    fc.assert(fc.property(fc.string(), (text) => expect(reason(text)).not.toBe('read')));
    fc.assert(fc.property(fc.json(), (text) => expect(reason(text)).not.toBe('read')));
    const text = JSON.stringify(second);
    fc.assert(
      fc.property(fc.nat({ max: text.length - 3 }), (cut) => expect(reason(text.slice(0, cut))).not.toBe('read')),
    );
  });
});
