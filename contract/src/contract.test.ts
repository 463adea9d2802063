import { smallHome } from '../../core/src/home/small-home.fixture';
import {
  FACT_LISTS,
  applied,
  changeSchema,
  changeSetSchema,
  changesBetween,
  endpoints,
  factSchemas,
  homeFactsSchema,
  homeSchema,
  isoDate,
  minuteOfDay,
  months,
  name,
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

describe('changes', () => {
  it('put an entry of a list under its own schema', () => {
    expect(changeSchema.safeParse({ list: 'rooms', id: 'r', after: smallHome.rooms[0] }).success).toBe(true);
    expect(changeSchema.safeParse({ list: 'rooms', id: 'r', after: smallHome.windows[0] }).success).toBe(false);
    expect(changeSchema.safeParse({ list: 'rooms', id: 'r', after: null }).success).toBe(true);
    expect(changeSetSchema.safeParse({ summary: '', changes: [] }).success).toBe(false);
  });

  it('leave the facts they were applied to as they were', () => {
    const before = structuredClone(smallHome);
    applied(smallHome, [{ list: 'plants', id: 'p', after: null }]);
    expect(smallHome).toEqual(before);
  });

  it('found a home from nothing, and end one', () => {
    const founded = applied(null, changesBetween(null, smallHome))!;
    expect(founded.home).toEqual(smallHome.home);
    for (const list of FACT_LISTS) expect(founded[list]).toHaveLength(smallHome[list].length);
    expect(applied(smallHome, changesBetween(smallHome, null))).toBeNull();
    expect(applied(null, [])).toBeNull();
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
  const wrong = (
    schema: {
      safeParse(entry: unknown): { error?: { issues: readonly { path: readonly PropertyKey[] }[] } | undefined };
    },
    entry: unknown,
  ) => schema.safeParse(entry).error?.issues.map((issue) => issue.path.join('.')) ?? [];

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
    planes: [0, 90],
    angles: [0, 45, 90],
    candela: [3, 2, 0, 3, 1, 0],
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
    hours: '0'.repeat(8760 * 12),
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

  it('a distribution has one intensity for each plane and angle, both rising', () => {
    expect(photometries.safeParse(photometry).success).toBe(true);
    expect(issues(photometries.safeParse({ ...photometry, candela: [1, 2] }))).toEqual([
      'candela: One intensity for each plane and angle.',
    ]);
    expect(issues(photometries.safeParse({ ...photometry, angles: [0, 90, 45] }))).toEqual([
      'angles: Angles must rise.',
    ]);
    expect(issues(photometries.safeParse({ ...photometry, candela: [3, 2, 0, 3, 1, -1] }))[0]).toContain('From 0 to');
  });

  it('a year of weather has all its hours and nothing else in them', () => {
    expect(weathers.safeParse(weather).success).toBe(true);
    expect(issues(weathers.safeParse({ ...weather, hours: '0'.repeat(12) }))[0]).toContain('8760 hours');
    expect(weathers.safeParse({ ...weather, hours: 'g'.repeat(8760 * 12) }).success).toBe(false);
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
