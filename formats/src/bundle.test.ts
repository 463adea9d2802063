import { BUNDLE_FORMAT, BUNDLE_VERSION, type Bundle } from '@dulvan/contract';
import fc from 'fast-check';
import { readBundle, writeBundle } from './index';

const bundle: Bundle = {
  format: BUNDLE_FORMAT,
  version: BUNDLE_VERSION,
  exportedAt: '2026-11-23T10:00:00.000Z',
  homes: [
    {
      home: {
        id: 'h',
        name: 'Home',
        latitude: 10,
        longitude: 20,
        elevationM: 0,
        timeZone: 'UTC',
        climateId: 'wet-tropics',
        restSchool: null,
        lightAim: 'whole',
        snowMonths: [],
      },
      rooms: [],
      windows: [],
      stands: [],
      tiers: [],
      spots: [],
      circuits: [],
      lamps: [],
      plants: [],
      air: [],
      ownTaxa: [],
      corrections: [],
      obstructions: [],
      blocks: [],
      photometries: [],
      weathers: [],
      readings: [],
    },
  ],
  journal: [],
};

/** As the first version wrote it: no traits, parents, schools or own knowledge. */
function asVersion1(): unknown {
  const {
    home,
    ownTaxa: _own,
    corrections: _corrections,
    obstructions: _outside,
    blocks: _blocks,
    photometries: _files,
    weathers: _weathers,
    readings: _readings,
    ...lists
  } = bundle.homes[0]!;
  const { restSchool: _school, lightAim: _aim, snowMonths: _snow, ...oldHome } = home;
  const plant = {
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
  return { ...bundle, version: 1, homes: [{ ...lists, home: oldHome, plants: [plant] }] };
}

/** As the second version wrote it: no light outside the window's own words, no readings, no files. */
function asVersion2(): unknown {
  const {
    obstructions: _outside,
    blocks: _blocks,
    photometries: _files,
    weathers: _weathers,
    readings: _readings,
    home,
    ...lists
  } = bundle.homes[0]!;
  const { snowMonths: _snow, ...oldHome } = home;
  const room = {
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
  const window = {
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
    curtainId: 'none',
    curtainMonths: [1],
    curtainFromMinute: 0,
    curtainToMinute: 60,
    outsideKind: 'open',
    outsideDeg: 0,
    outsideReflectance: 0.1,
    groundReflectance: 0.2,
  };
  return { ...bundle, version: 2, homes: [{ ...lists, home: oldHome, rooms: [room], windows: [window] }] };
}

it('of the second version is read, its windows without reveal, overhang or second curtain', () => {
  const read = readBundle(JSON.stringify(asVersion2()));
  if (!read.ok) throw new Error(read.message);
  const [home] = read.bundle.homes;
  expect(home!.windows[0]).toMatchObject({ revealM: 0, overhangM: 0, secondCurtainId: 'none' });
  expect(home!.rooms[0]).toMatchObject({ eveningLux: 0 });
  expect(home).toMatchObject({
    readings: [],
    weathers: [],
    photometries: [],
    obstructions: [],
    blocks: [],
    home: { snowMonths: [] },
  });
});

const reason = (text: string) => {
  const reading = readBundle(text);
  return reading.ok ? 'read' : reading.message;
};

describe('the bundle', () => {
  it('is read back as it was written', () => {
    expect(readBundle(writeBundle(bundle))).toEqual({ ok: true, bundle });
  });

  it('is refused with line and character when it is not whole', () => {
    expect(reason('{\n "format": "dulvan-bundle",\n "version": }')).toMatch(/line 3, character 13/);
  });

  it('is refused when it is foreign, newer or of an unknown version', () => {
    expect(reason('[1, 2]')).toContain('not a Dulvan bundle');
    expect(reason(JSON.stringify({ ...bundle, version: 4 }))).toContain('newer Dulvan');
    expect(reason(JSON.stringify({ ...bundle, version: 0 }))).toContain('version 0');
  });

  it('is refused with the place of what does not fit', () => {
    const latitude = { ...bundle, homes: [{ ...bundle.homes[0]!, home: { ...bundle.homes[0]!.home, latitude: 95 } }] };
    expect(reason(JSON.stringify(latitude))).toContain('homes › 0 › home › latitude: From -90 to 90');
    const stray = {
      ...bundle,
      homes: [
        {
          ...bundle.homes[0]!,
          circuits: [{ id: 'c', homeId: 'other', name: 'C', onMinute: 0, offMinute: 60, months: [1] }],
        },
      ],
    };
    expect(reason(JSON.stringify(stray))).toContain('names another home');
    const backwards = {
      ...bundle,
      homes: [
        {
          ...bundle.homes[0]!,
          circuits: [{ id: 'c', homeId: 'h', name: 'C', onMinute: 600, offMinute: 60, months: [1] }],
        },
      ],
    };
    expect(reason(JSON.stringify(backwards))).toContain('must go off after they come on');
  });

  it('never crashes on anything', () => {
    fc.assert(fc.property(fc.string(), (text) => readBundle(text).ok === false));
    fc.assert(fc.property(fc.json(), (text) => readBundle(text).ok === false));
    const whole = writeBundle(bundle);
    fc.assert(fc.property(fc.nat({ max: whole.length - 3 }), (cut) => readBundle(whole.slice(0, cut)).ok === false));
  });

  it('of the first version is read, what it could not say left unsaid', () => {
    const reading = readBundle(JSON.stringify(asVersion1()));
    expect(reading).toMatchObject({
      ok: true,
      bundle: {
        homes: [
          {
            home: { restSchool: null, lightAim: 'whole', snowMonths: [] },
            ownTaxa: [],
            corrections: [],
            obstructions: [],
            blocks: [],
            photometries: [],
            weathers: [],
            readings: [],
            plants: [{ growthState: 'resting', parents: [], traits: [], stateSeenOn: null, restSchool: null }],
          },
        ],
      },
    });
  });

  it('of the first version is still held to everything else', () => {
    const broken = asVersion1() as { homes: { plants: { potCm: number }[] }[] };
    broken.homes[0]!.plants[0]!.potCm = -4;
    expect(reason(JSON.stringify(broken))).toContain('potCm');
    expect(reason(JSON.stringify({ ...(asVersion1() as object), homes: 'none' }))).toContain('homes');
  });
});
