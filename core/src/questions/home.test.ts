import { ALL_MONTHS } from '../units';
import type { HomeFacts } from '../facts';
import { HomeEngine, problemsOf } from '../home';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import { ask } from './index';

const YEAR = 2026;
const engine = new HomeEngine(smallKnowledge);
const answers = ask(engine, smallHome, 'home', { year: YEAR, month: 11 });
const spot = (id: string, facts: HomeFacts = smallHome) =>
  ask(engine, facts, 'home', { year: YEAR, month: 11 }).spots.find((answer) => answer.spotId === id)!;
const plant = (id: string, facts: HomeFacts = smallHome) =>
  ask(engine, facts, 'home', { year: YEAR, month: 11 }).plants.find((answer) => answer.plantId === id)!;
const withCircuit = (given: object): HomeFacts => ({
  ...smallHome,
  circuits: smallHome.circuits.map((circuit) => ({ ...circuit, ...given })),
});

describe('the light of a small home', () => {
  it('is the sum of its shares, at every spot in every month', () => {
    for (const { conditions } of answers.spots) {
      for (const { dli, shares } of conditions) {
        const { lamps, ...daylight } = shares;
        const sum = [...Object.values(daylight), ...Object.values(lamps)].reduce((all, share) => all + share, 0);
        expect(Math.abs(sum - dli)).toBeLessThan(1e-6 + dli * 1e-6);
      }
    }
  });

  it('is brightest on the sill and darkest under a board far from the window', () => {
    expect(spot('bright').conditions[5]!.dli).toBeGreaterThan(5);
    expect(spot('dim').conditions[5]!.shares.sky).toBeLessThan(spot('bright').conditions[5]!.shares.sky / 10);
  });

  it('keeps a lamp under a board from the tier above it', () => {
    expect(spot('dim').conditions[0]!.shares.lamps.l).toBeGreaterThan(1);
    // What walls and ceiling throw back is all that gets past the board.
    expect(spot('top').conditions[0]!.shares.lamps.l).toBeLessThan(spot('dim').conditions[0]!.shares.lamps.l! / 20);
  });

  it('gives lamp light in proportion to hours, dimming and photons', () => {
    const base = spot('dim').conditions[0]!.shares.lamps.l!;
    expect(spot('dim', withCircuit({ offMinute: 720 })).conditions[0]!.shares.lamps.l).toBeCloseTo(base / 2, 9);
    const dimmed = { ...smallHome, lamps: smallHome.lamps.map((lamp) => ({ ...lamp, dimming: 0.25 })) };
    expect(spot('dim', dimmed).conditions[0]!.shares.lamps.l).toBeCloseTo(base / 4, 9);
  });

  it('leaves nothing but lamps behind a blackout', () => {
    const shut = {
      ...smallHome,
      windows: smallHome.windows.map((window) => ({
        ...window,
        curtains: [{ curtainId: 'blackout', months: ALL_MONTHS, fromMinute: 0, toMinute: 1440 }],
      })),
    };
    const { lamps, ...daylight } = spot('bright', shut).conditions[5]!.shares;
    expect(Object.values(daylight).reduce((sum, part) => sum + part, 0)).toBe(0);
    expect(spot('bright', shut).conditions[5]!.dli).toBeCloseTo(lamps.l!, 9);
    expect(spot('dim', shut).conditions[5]!.dli).toBeCloseTo(spot('dim').conditions[5]!.shares.lamps.l!, 9);
  });

  it('gives a cabinet that is black inside the room’s light less what its shell takes', () => {
    const boxed = (shellTransmittance: number, pale: number) =>
      spot('boxed', {
        ...smallHome,
        lamps: [],
        rooms: smallHome.rooms.map((room) =>
          room.id === 'box'
            ? { ...room, shellTransmittance, floorReflectance: pale, wallReflectance: pale, ceilingReflectance: pale }
            : room,
        ),
      }).conditions[5]!.dli;
    // The shell shades the room's walls a little, too.
    expect(boxed(0.6, 0) / boxed(1, 0)).toBeLessThanOrEqual(0.6);
    expect(boxed(0.6, 0) / boxed(1, 0)).toBeGreaterThan(0.59);
    // What its sides throw back comes on top: no more than a closed box of that brightness would hold.
    expect(boxed(0.6, 0.4)).toBeGreaterThan(boxed(0.6, 0) * 1.1);
    expect(boxed(0.6, 0.4)).toBeLessThan(boxed(1, 0));
    // And what passes them is not thrown back.
    expect(boxed(1, 0.9)).toBeLessThan(boxed(1, 0) * 1.35);
  });

  it('makes the day longer while a lamp burns into the dark', () => {
    const late = spot('dim', withCircuit({ offMinute: 1320 })).conditions[0]!;
    expect(late.dayH).toBeGreaterThan(spot('dim').conditions[0]!.dayH + 4);
    expect(late.dayH + late.longestNightH).toBeCloseTo(24, 6);
  });

  it('ranges from dull day over dull year, typical and good year to bright day', () => {
    const { dliDullDay, dliPoorYear, dli, dliGoodYear, dliBrightDay } = spot('bright').conditions[3]!;
    expect([dliDullDay, dliPoorYear, dli, dliGoodYear, dliBrightDay]).toEqual(
      [dliDullDay, dliPoorYear, dli, dliGoodYear, dliBrightDay].sort((p, q) => p - q),
    );
  });

  it('washes the plan brighter by the window than at the back', () => {
    const { columns, rows, dli } = ask(engine, smallHome, 'sunlightMap', { roomId: 'r', year: YEAR })!;
    const at = (column: number, row: number) => dli[5 * columns * rows + row * columns + column]!;
    expect(at(Math.floor(columns / 2), 0)).toBeGreaterThan(at(Math.floor(columns / 2), rows - 1) * 2);
    expect(ask(engine, smallHome, 'sunlightMap', { roomId: 'nowhere', year: YEAR })).toBeNull();
  });
});

describe('plants in a small home', () => {
  it('fare as their spot gives', () => {
    expect(plant('q').fit!.troubles[0]).toMatchObject({ factor: 'light', direction: 'too-little', severity: 'danger' });
    expect(plant('q').fit!.verdict).toMatchObject({ life: 'months', decidedBy: 'reserve' });
  });

  it('ranks a plant under lamps at its own height: close under them it has more light than one on the board', () => {
    const free: HomeFacts = { ...smallHome, plants: [] };
    const lightAt = (heightCm: number) => {
      const plant = { ...smallHome.plants[0]!, taxonId: 'sun', spotId: null, heightCm };
      const ranked = ask(engine, free, 'rank', { plant, year: YEAR, month: 11 });
      const { months } = ranked.find(({ spotId }) => spotId === 'dim')!.fit;
      return months[0]!.factors.find(({ aspect }) => aspect === 'dli')!.gets;
    };
    expect(lightAt(45)).toBeGreaterThan(lightAt(12) * 1.2);
  });

  it('are refused where they are too tall or too wide, whatever the fit', () => {
    const ranked = ask(engine, smallHome, 'rank', {
      plant: { ...smallHome.plants[0]!, heightCm: 40, potCm: 25 },
      year: YEAR,
      month: 11,
    });
    expect(ranked.at(-1)).toMatchObject({ spotId: 'top', refusal: 'too-tall', occupants: ['q'] });
  });

  it('without a known taxon or a spot are answered as such', () => {
    const stray = { ...smallHome, plants: smallHome.plants.map((each) => ({ ...each, taxonId: 'unheard-of' })) };
    expect(plant('p', stray)).toMatchObject({ fit: null, targets: [] });
    const homeless = { ...smallHome, plants: smallHome.plants.map((each) => ({ ...each, spotId: null })) };
    expect(plant('p', homeless).fit).toBeNull();
  });
});

describe('a reserve', () => {
  const since = (given: Partial<HomeFacts['plants'][number]>): HomeFacts => ({
    ...smallHome,
    plants: smallHome.plants.map((each) => (each.id === 'q' ? { ...each, ...given } : each)),
  });

  it('has been drawn on since the plant came to stand there, where that is known', () => {
    const fresh = plant('q', since({ arrivedOn: '2026-11-20' }));
    const before = plant('q', since({ arrivedOn: '2026-09-20' }));
    expect(fresh.reserveLeft).toBe(1);
    expect(before.reserveLeft).toBeLessThan(1);
    expect(before.fit!.verdict.weeks).toBeLessThan(fresh.fit!.verdict.weeks!);
    expect(plant('q', since({ arrivedOn: '2026-09-20', movedOn: '2026-11-20' })).reserveLeft).toBe(1);
  });

  it('that should have been used up long ago is taken for full: the plant that stands there knows better', () => {
    expect(plant('q', since({ arrivedOn: '2023-09-20' })).reserveLeft).toBe(1);
  });
});

describe('contradictions in a home', () => {
  const change = <L extends 'windows' | 'stands' | 'tiers' | 'spots' | 'circuits' | 'lamps' | 'rooms' | 'plants'>(
    list: L,
    id: string,
    given: object,
  ): HomeFacts => ({
    ...smallHome,
    [list]: (smallHome[list] as readonly { id: string }[]).map((entry) =>
      entry.id === id ? { ...entry, ...given } : entry,
    ),
  });
  const found = (facts: HomeFacts) => problemsOf(facts).map(({ list, id, field }) => `${list}/${id}/${field}`);

  it('are none in a home that can be', () => expect(problemsOf(smallHome)).toEqual([]));

  it.each([
    ['a window wider than its wall', change('windows', 'w', { widthM: 5 }), 'windows/w/widthM'],
    ['a window past the end of its wall', change('windows', 'w', { offsetM: 3 }), 'windows/w/offsetM'],
    ['a window through the ceiling', change('windows', 'w', { heightM: 2 }), 'windows/w/heightM'],
    ['a stand through the wall', change('stands', 'shelf', { yM: 3.8 }), 'stands/shelf/yM'],
    ['a tier above the ceiling', change('tiers', 'shelf-2', { heightM: 2.49 }), 'tiers/shelf-2/heightM'],
    ['a spot outside its stand', change('spots', 'dim', { alongM: 1.4 }), 'spots/dim/alongM'],
    ['a spot higher than the ceiling', change('spots', 'top', { freeHeightM: 2 }), 'spots/top/freeHeightM'],
    ['lamps that go off before they come on', change('circuits', 'c', { offMinute: 300 }), 'circuits/c/offMinute'],
    ['a lamp above the ceiling', change('lamps', 'l', { aboveM: 2 }), 'lamps/l/aboveM'],
    ['a lamp on no circuit', change('lamps', 'l', { circuitId: 'none' }), 'lamps/l/circuitId'],
    ['a panel without breadth', change('lamps', 'l', { form: 'panel', breadthM: 0 }), 'lamps/l/breadthM'],
    [
      'lumens that are rated by and not told',
      change('lamps', 'l', { ratedBy: 'lumens', lumens: null }),
      'lamps/l/lumens',
    ],
    ['a lamp with a file that is gone', change('lamps', 'l', { photometryId: 'gone' }), 'lamps/l/photometryId'],
    [
      'a second curtain that opens the minute it is shut',
      change('windows', 'w', {
        curtains: [
          { curtainId: 'net', months: [1], fromMinute: 0, toMinute: 60 },
          { curtainId: 'sheer', months: [1], fromMinute: 900, toMinute: 900 },
        ],
      }),
      'windows/w/curtains',
    ],
    [
      'a room’s light that goes out before it comes on',
      change('rooms', 'r', { eveningLux: 80, eveningFromMinute: 1300, eveningToMinute: 1200 }),
      'rooms/r/eveningToMinute',
    ],
    [
      'a cupboard through the wall',
      {
        ...smallHome,
        blocks: [
          {
            id: 'k',
            roomId: 'r',
            name: 'K',
            xM: 3.8,
            yM: 1,
            zM: 0,
            widthM: 0.5,
            depthM: 0.5,
            heightM: 1,
            reflectance: 0.4,
          },
        ],
      },
      'blocks/k/xM',
    ],
    [
      'a tree before no room',
      {
        ...smallHome,
        obstructions: [
          {
            id: 't',
            roomId: 'gone',
            name: 'T',
            kind: 'evergreen' as const,
            fromBearing: 0,
            toBearing: 9,
            heightDeg: 9,
            reflectance: 0,
            leafMonths: [],
          },
        ],
      },
      'obstructions/t/roomId',
    ],
    ['a cabinet that sticks out of its room', change('rooms', 'box', { insideXM: 3.8 }), 'rooms/box/insideXM'],
    ['a room inside itself', change('rooms', 'r', { insideRoomId: 'r' }), 'rooms/r/insideRoomId'],
    ['a plant on a spot that is gone', change('plants', 'p', { spotId: 'gone' }), 'plants/p/spotId'],
    [
      'a month stated twice',
      { ...smallHome, air: [...smallHome.air, { ...smallHome.air[0]!, id: 'b' }] },
      'air/b/month',
    ],
  ])('%s', (_what, facts, problem) => expect(found(facts)).toContain(problem));
});
