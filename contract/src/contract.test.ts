import { smallHome } from '../../core/src/home/small-home.fixture';
import {
  RECORD_BODIES,
  changeSchema,
  changeSetSchema,
  endpoints,
  factSchemas,
  homeFactsSchema,
  homeSchema,
  isoDate,
  minuteOfDay,
  months,
  name,
  newRecordSchema,
  note,
  sumsIn,
  samplesIn,
  samplesSchema,
  upgradedEntry,
  within,
} from './index';

const issues = (result: { success: boolean; error?: { issues: { path: PropertyKey[]; message: string }[] } }) =>
  result.success ? [] : result.error!.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`);

describe('fields', () => {
  it('name the range and the unit they allow', () => {
    expect(issues(within(1, 5, 'm').safeParse(7))).toEqual([': From 1 to 5 m.']);
    expect(issues(within(1, 5, 'm').safeParse(NaN))[0]).toContain('From 1 to 5 m.');
    expect(within(1, 5, 'm').safeParse(1).success).toBe(true);
  });

  it('trim names and refuse empty and endless ones', () => {
    expect(name.parse('  Loft ')).toBe('Loft');
    expect(name.safeParse('   ').success).toBe(false);
    expect(issues(name.safeParse('x'.repeat(10_000)))).toEqual([': At most 80 characters.']);
  });

  it.each(['2026-02-29', '2026-13-01', '26-01-01', 'yesterday', ''])('refuse the date %j', (text) =>
    expect(isoDate.safeParse(text).success).toBe(false),
  );
  it('take a real date, a time to midnight, months once each', () => {
    expect(isoDate.safeParse('2028-02-29').success).toBe(true);
    expect(minuteOfDay.safeParse(1440).success).toBe(true);
    expect(minuteOfDay.safeParse(1441).success).toBe(false);
    expect(months.safeParse([1, 12]).success).toBe(true);
    expect(months.safeParse([1, 1]).success).toBe(false);
    expect(months.safeParse([0]).success).toBe(false);
  });
});

describe('facts', () => {
  it('of a whole home pass as they stand', () => {
    expect(issues(homeFactsSchema.safeParse(smallHome))).toEqual([]);
  });

  it.each([
    ['latitude', 95],
    ['longitude', -181],
    ['elevationM', 9000],
    ['timeZone', 'Nowhere/Harbour'],
    ['name', ''],
  ])('of a home are refused with %s %j', (field, value) => {
    const found = issues(homeSchema.safeParse({ ...smallHome.home, [field]: value }));
    expect(found).toHaveLength(1);
    expect(found[0]).toMatch(new RegExp(`^${field}: `));
  });

  it.each([
    ['lamps', 'ppf', -1],
    ['lamps', 'dimming', 1.2],
    ['windows', 'slopeDeg', 0],
    ['windows', 'frameShare', 1],
    ['rooms', 'heightM', 0],
    ['spots', 'sizeM', -0.3],
    ['plants', 'stage', 'ancient'],
    ['air', 'dayRh', 0],
    ['air', 'month', 13],
  ] as const)('of %s are refused with %s %j', (list, field, value) => {
    expect(issues(factSchemas[list].safeParse({ ...smallHome[list][0], [field]: value }))[0]).toMatch(
      new RegExp(`^${field}: `),
    );
  });

  it('with fields nobody knows are refused', () => {
    expect(factSchemas.rooms.safeParse({ ...smallHome.rooms[0], colour: 'blue' }).success).toBe(false);
  });
});

describe('text', () => {
  it.each([
    ['a NUL byte', 'Loft\u0000'],
    ['half of a character', 'Loft \ud800'],
    ['an escape', 'Loft \u001b[31m'],
  ])('with %s is refused, in names and notes', (_what, text) => {
    expect(name.safeParse(text).success).toBe(false);
    expect(note.safeParse(text).success).toBe(false);
  });

  it('loses marks that show nothing or turn its direction, so that names that look alike are alike', () => {
    expect(name.parse('Lo\u200bft\u202e \u2066room')).toBe('Loft room');
    expect(name.safeParse('\u200b\u2060').success).toBe(false);
  });

  it('keeps the lines of a note', () => {
    expect(note.parse('One\n\ttwo')).toBe('One\n\ttwo');
  });
});

describe('changes', () => {
  it('put an entry of a list under its own schema', () => {
    expect(changeSchema.safeParse({ op: 'put', list: 'rooms', entry: smallHome.rooms[0] }).success).toBe(true);
    expect(changeSchema.safeParse({ op: 'put', list: 'rooms', entry: smallHome.windows[0] }).success).toBe(false);
    expect(changeSchema.safeParse({ op: 'drop', list: 'rooms', id: 'r' }).success).toBe(true);
    expect(changeSchema.safeParse({ op: 'drop', list: 'dragons', id: 'r' }).success).toBe(false);
  });

  it('patch fields that a fact has, each under its own schema, and never its key or home', () => {
    const patch = (fields: object) => changeSchema.safeParse({ op: 'patch', list: 'plants', id: 'p', fields });
    expect(patch({ potCm: 12 }).success).toBe(true);
    expect(issues(patch({ potCm: -4 }))[0]).toContain('From 1 to 200 cm');
    for (const fields of [{}, { colour: 'red' }, { id: 'q' }, { homeId: 'x' }])
      expect(patch(fields).success).toBe(false);
  });

  it('patch nothing but what is named', () => {
    const read = changeSchema.parse({ op: 'patch', list: 'lamps', id: 'l', fields: { dimming: 0.5 } });
    expect(read).toEqual({ op: 'patch', list: 'lamps', id: 'l', fields: { dimming: 0.5 } });
  });

  it('say what was done, on which revision, under a key', () => {
    const set = { base: 3, key: 'abcdefgh', summary: 'Moved it', changes: [{ op: 'drop', list: 'rooms', id: 'r' }] };
    expect(changeSetSchema.safeParse(set).success).toBe(true);
    for (const wrong of [{ summary: ' ' }, { base: -1 }, { key: 'x' }, { changes: [] }])
      expect(changeSetSchema.safeParse({ ...set, ...wrong }).success).toBe(false);
  });
});

describe('what earlier versions wrote', () => {
  it('a window’s two curtains in eight fields become a list of those that hang', () => {
    const hours = { curtainMonths: [1], curtainFromMinute: 0, curtainToMinute: 60 };
    const second = { secondCurtainMonths: [2], secondCurtainFromMinute: 5, secondCurtainToMinute: 65 };
    const of = (curtainId: string, secondCurtainId: string) =>
      upgradedEntry('windows', { id: 'w', curtainId, ...hours, secondCurtainId, ...second }).curtains;
    expect(of('none', 'none')).toEqual([]);
    expect(of('sheer', 'none')).toEqual([{ curtainId: 'sheer', months: [1], fromMinute: 0, toMinute: 60 }]);
    expect(of('none', 'blind')).toEqual([{ curtainId: 'blind', months: [2], fromMinute: 5, toMinute: 65 }]);
  });

  it('fields that came later are put in as unsaid, but not into a part of an entry', () => {
    expect(upgradedEntry('plants', { id: 'p' })).toMatchObject({ traits: [], parents: [], foliage: 'medium' });
    expect(upgradedEntry('plants', { potCm: 3 }, 'partial')).toEqual({ potCm: 3 });
  });
});

describe('records', () => {
  const about = { at: 1, plantId: 'p', spotId: null, roomId: null };

  it('have a body of their kind', () => {
    expect(newRecordSchema.safeParse({ ...about, kind: 'note', body: { text: 'A new leaf' } }).success).toBe(true);
    expect(newRecordSchema.safeParse({ ...about, kind: 'note', body: { way: 'top', litres: 1 } }).success).toBe(false);
    expect(newRecordSchema.safeParse({ ...about, kind: 'watering', body: { way: 'top', litres: null } }).success).toBe(
      true,
    );
    expect(issues(newRecordSchema.safeParse({ ...about, kind: 'note', body: { text: '  ' } }))[0]).toContain(
      'Write something',
    );
    expect(Object.keys(RECORD_BODIES)).toContain('watering');
  });

  it('are about something', () => {
    const nothing = { ...about, plantId: null, kind: 'note', body: { text: 'x' } };
    expect(issues(newRecordSchema.safeParse(nothing))[0]).toContain('what it is about');
  });
});

describe('samples', () => {
  it('have one value for each time', () => {
    expect(samplesSchema.safeParse({ at: [1, 2], values: [20, 21] }).success).toBe(true);
    expect(samplesSchema.safeParse({ at: [1, 2], values: [20] }).success).toBe(false);
    expect(samplesSchema.safeParse({ at: [1], values: [NaN] }).success).toBe(false);
  });

  it('are read from the bytes of an answer', () => {
    const bytes = Float64Array.from([1000, 20.5, 2000, 21]).buffer;
    expect(samplesIn(bytes)).toEqual([
      { at: 1000, value: 20.5 },
      { at: 2000, value: 21 },
    ]);
    const sums = Float64Array.from([0, 4, 80, 19, 22]).buffer;
    expect(sumsIn(sums, 'hour')).toEqual([{ at: 0, count: 4, mean: 20, least: 19, most: 22 }]);
  });
});

describe('a whole home', () => {
  it('has each key once', () => {
    const twice = { ...smallHome, plants: [...smallHome.plants, smallHome.plants[0]] };
    expect(issues(homeFactsSchema.safeParse(twice))[0]).toContain('Each plant once');
  });
});

describe('endpoints', () => {
  it('have an address and a method each, and parameters for each brace', () => {
    const seen = new Set<string>();
    for (const endpoint of Object.values(endpoints)) {
      const key = `${endpoint.method} ${endpoint.path}`;
      expect(seen.has(key)).toBe(false);
      seen.add(key);
      const braces = [...endpoint.path.matchAll(/\{(\w+)\}/g)].map((match) => match[1]!);
      const given = 'params' in endpoint ? Object.keys(endpoint.params.shape) : [];
      expect(given.sort()).toEqual(braces.sort());
    }
  });
});

/** Where an entry does not fit its schema. */
const wrong = (
  schema: {
    safeParse(entry: unknown): { error?: { issues: readonly { path: readonly PropertyKey[] }[] } | undefined };
  },
  entry: unknown,
) => schema.safeParse(entry).error?.issues.map((issue) => issue.path.join('.')) ?? [];

describe('the grower’s own knowledge at the edge', () => {
  const own = { id: 'own-1', homeId: 'h', name: 'Mine', common: [], synonyms: [], basedOn: 'group-ferns', key: '' };
  const correction = {
    id: 'k',
    homeId: 'h',
    taxonId: 'aloe-vera',
    plantId: null,
    figure: 'light.thrivesFrom',
    value: 5,
    reason: 'Seen',
    on: '2026-01-02',
  };

  it.each([
    [{}, []],
    [{ id: 'mine' }, ['id']],
    [{ name: ' ' }, ['name']],
    [{ name: 'x'.repeat(10_000) }, ['name']],
    [{ common: ['y'] }, ['common.0']],
    [{ basedOn: '../etc' }, ['basedOn']],
    [{ key: 'k'.repeat(201) }, ['key']],
    [{ extra: 1 }, ['']],
  ])('an own taxon with %j is wrong in %j', (given, fields) => {
    expect(wrong(factSchemas.ownTaxa, { ...own, ...given })).toEqual(fields);
  });

  it.each([
    [{}, []],
    [{ figure: 'light.colour' }, ['figure']],
    [{ value: 99 }, ['value']],
    [{ value: NaN }, ['value']],
    [{ reason: '' }, ['reason']],
    [{ on: '2026-02-30' }, ['on']],
    [{ figure: 'warmth.lowest', value: -15 }, []],
    [{ figure: 'rest.lightShare', value: 1.2 }, ['value']],
  ])('a correction with %j is wrong in %j', (given, fields) => {
    expect(wrong(factSchemas.corrections, { ...correction, ...given })).toEqual(fields);
  });

  it('says the range of the figure, with its unit', () => {
    expect(factSchemas.corrections.safeParse({ ...correction, value: 99 }).error!.issues[0]!.message).toBe(
      'From 0.2 to 40 mol a day.',
    );
  });
});

describe('what came of a plant', () => {
  const twelve = (value: number) => Array<number>(12).fill(value);
  const outcome = {
    id: 'o',
    homeId: 'h',
    plantId: 'p',
    spotId: 's',
    taxonId: 'howea-forsteriana',
    kind: 'well',
    since: '2023-10-01',
    on: '2026-10-01',
    dli: twelve(0.4),
    peakPpfd: twelve(20),
    meanC: twelve(19),
  };

  it.each([
    [{}, []],
    [{ kind: 'poorly' }, ['kind']],
    [{ since: '2026-11-01' }, ['since']],
    [{ on: '2026-02-30' }, ['on']],
    [{ dli: [1, 2, 3] }, ['dli']],
    [{ dli: twelve(-1) }, twelve(0).map((_, i) => `dli.${i}`)],
    [{ meanC: twelve(NaN) }, twelve(0).map((_, i) => `meanC.${i}`)],
    [{ note: 'x' }, ['']],
  ])('with %j is wrong in %j', (given, fields) => {
    expect(wrong(factSchemas.outcomes, { ...outcome, ...given })).toEqual(fields);
  });
});

describe('facts of light', () => {
  const { photometries, weathers, readings, obstructions } = factSchemas;
  const photometry = {
    id: 'f',
    homeId: 'h',
    name: 'Bar',
    lumens: 100,
    powerW: 5,
    lengthM: 0.5,
    breadthM: 0.1,
    fileKey: 'a'.repeat(64),
  };
  const weather = {
    id: 'w',
    homeId: 'h',
    name: 'Station',
    latitude: 50,
    longitude: 0,
    elevationM: 5,
    utcOffsetH: 1,
    years: '2019',
    fileKey: 'a'.repeat(64),
  };
  const reading = {
    id: 'm',
    homeId: 'h',
    spotId: 's',
    atMs: 1,
    value: 100,
    unit: 'lux',
    sky: 'clear',
    outdoorValue: null,
    curtains: 'open',
    lamps: 'off',
    note: '',
    withdrawnOn: null,
  };

  it('name their files by the hash of what is in them', () => {
    expect(photometries.safeParse(photometry).success).toBe(true);
    expect(weathers.safeParse(weather).success).toBe(true);
    expect(photometries.safeParse({ ...photometry, fileKey: '../etc/passwd' }).success).toBe(false);
    expect(weathers.safeParse({ ...weather, fileKey: 'A'.repeat(64) }).success).toBe(false);
  });

  it('a reading has a value, a unit and a sky that are known', () => {
    expect(readings.safeParse(reading).success).toBe(true);
    expect(readings.safeParse({ ...reading, value: -1 }).success).toBe(false);
    expect(readings.safeParse({ ...reading, unit: 'stops' }).success).toBe(false);
    expect(readings.safeParse({ ...reading, sky: 'nice' }).success).toBe(false);
    expect(readings.safeParse({ ...reading, withdrawnOn: 'today' }).success).toBe(false);
  });

  it('what stands outside lies between bearings, below the zenith', () => {
    const tree = {
      id: 'o',
      roomId: 'r',
      name: 'Tree',
      kind: 'deciduous',
      fromBearing: 350,
      toBearing: 20,
      heightDeg: 30,
      reflectance: 0.1,
      leafMonths: [5, 6],
    };
    expect(obstructions.safeParse(tree).success).toBe(true);
    expect(issues(obstructions.safeParse({ ...tree, heightDeg: 95 }))).toEqual(['heightDeg: From 1 to 85 degrees.']);
    expect(obstructions.safeParse({ ...tree, leafMonths: [5, 5] }).success).toBe(false);
  });
});
