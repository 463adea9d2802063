/**
 * Light of whole homes: readings, cabinets that throw light back, neighbours, the room's own light, and the questions
 * screens ask.
 */
import { ALL_MONTHS } from '../units';
import { AttachmentShelf, HomeEngine } from '../home';
import type { HomeFacts, Plant, Reading, WeatherFile } from '../facts';
import { DAY_FRAMES, YEAR_ROWS, ask } from './index';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';

const YEAR = 2026;
const shelf = new AttachmentShelf();
const engine = new HomeEngine(smallKnowledge, shelf);
const at = (spotId: string, facts: HomeFacts = smallHome) =>
  ask(engine, facts, 'home', { year: YEAR, month: 11 }).spots.find((spot) => spot.spotId === spotId)!;
const dli = (spotId: string, month: number, facts: HomeFacts = smallHome) =>
  at(spotId, facts).conditions[month - 1]!.dli;

const reading = (given: Partial<Reading>): Reading => ({
  id: 'm',
  homeId: 'h',
  spotId: 'bright',
  atMs: Date.UTC(2026, 5, 21, 11),
  value: 100,
  unit: 'ppfd',
  sky: 'clear',
  outdoorValue: null,
  curtains: 'open',
  lamps: 'off',
  note: '',
  withdrawnOn: null,
  ...given,
});
const compared = (taken: Reading) => ask(engine, smallHome, 'compareReading', { reading: taken, year: YEAR });
const withReadings = (...readings: Reading[]): HomeFacts => ({ ...smallHome, readings });

describe('a reading', () => {
  const computed = compared(reading({}))!.computedPpfd;

  it('as computed changes next to nothing, twice as much corrects its spot, and less so none on another stand', () => {
    expect(at('bright', withReadings(reading({ value: computed }))).calibration!.daylight!.factor).toBeCloseTo(1, 6);
    const twice = withReadings(reading({ value: computed * 2 }));
    const { factor } = at('bright', twice).calibration!.daylight!;
    expect(factor).toBeGreaterThan(1.5);
    const [before, after] = [at('bright').conditions[5]!.shares, at('bright', twice).conditions[5]!.shares];
    expect(after.sky).toBeCloseTo(before.sky * factor, 9);
    expect(after.lamps).toEqual(before.lamps);
    expect(at('dim', twice).calibration).toBeNull();
  });

  it('corrects a neighbour on the same stand with less weight', () => {
    const home: HomeFacts = {
      ...smallHome,
      spots: [...smallHome.spots, { ...smallHome.spots[0]!, id: 'beside', alongM: 1.3 }],
      readings: [reading({ value: computed * 2 })],
    };
    const own = at('bright', home).calibration!.daylight!.factor;
    const beside = at('beside', home).calibration!.daylight!.factor;
    expect(beside).toBeGreaterThan(1.02);
    expect(beside).toBeLessThan(own);
  });

  it('says the same in lux and foot-candles', () => {
    const ppfd = compared(reading({ value: 100 }))!.measuredPpfd;
    expect(compared(reading({ value: 5550, unit: 'lux' }))!.measuredPpfd).toBeCloseTo(ppfd, 6);
    expect(compared(reading({ value: 5550 / 10.764, unit: 'fc' }))!.measuredPpfd).toBeCloseTo(ppfd, 6);
  });

  it('beside one outdoors no longer depends on the cloud', () => {
    const pair = compared(reading({ sky: 'overcast', value: 60, outdoorValue: 400 }))!;
    const darker = compared(reading({ sky: 'overcast', value: 30, outdoorValue: 200 }))!;
    expect(pair.measuredPpfd / pair.computedPpfd).toBeCloseTo(darker.measuredPpfd / darker.computedPpfd, 9);
    expect(pair.doubt).toBeLessThan(compared(reading({ sky: 'overcast', value: 60 }))!.doubt);
  });

  it('in the dark corrects lamps and leaves daylight alone', () => {
    const dark = reading({ spotId: 'dim', sky: 'dark', lamps: 'on', curtains: 'shut' });
    const lamps = compared(dark)!;
    expect(lamps.of).toBe('lamps');
    const home = withReadings({ ...dark, value: lamps.computedPpfd * 0.8 });
    const { conditions, calibration } = at('dim', home);
    const before = at('dim').conditions[0]!.shares;
    expect(calibration!.lamps!.factor).toBeLessThan(0.85);
    expect(conditions[0]!.shares.sky).toBeCloseTo(before.sky, 9);
    expect(conditions[0]!.shares.lamps.l! / before.lamps.l!).toBeCloseTo(calibration!.lamps!.factor, 9);
  });

  it('taken with open curtains is not held against curtains that were hung since', () => {
    const home = withReadings(reading({ value: computed * 1.2 }));
    const shut: HomeFacts = {
      ...home,
      windows: home.windows.map((window) => ({
        ...window,
        curtains: [{ curtainId: 'blackout', months: ALL_MONTHS, fromMinute: 0, toMinute: 1440 }],
      })),
    };
    expect(at('bright', shut).calibration!.daylight!.factor).toBeCloseTo(
      at('bright', home).calibration!.daylight!.factor,
      9,
    );
  });

  it('withdrawn corrects nothing and stays in the record', () => {
    const home = withReadings(reading({ value: computed * 2, withdrawnOn: '2026-07-01' }));
    expect(at('bright', home).calibration).toBeNull();
    expect(ask(engine, home, 'home', { year: YEAR, month: 11 }).readings).toEqual([]);
  });

  it('of a spot that is gone, or by night without lamps, is left aside', () => {
    expect(compared(reading({ spotId: 'gone' }))).toBeNull();
    expect(compared(reading({ atMs: Date.UTC(2026, 5, 21, 0, 30) }))).toBeNull();
  });
});

describe('a reflecting cabinet', () => {
  it('raises the light of a lamp in it, the brighter its walls the more', () => {
    const boxed = (wallReflectance: number): HomeFacts => ({
      ...smallHome,
      rooms: smallHome.rooms.map((room) =>
        room.id === 'box'
          ? {
              ...room,
              shellTransmittance: 0,
              wallReflectance,
              floorReflectance: wallReflectance,
              ceilingReflectance: wallReflectance,
            }
          : room,
      ),
      lamps: [{ ...smallHome.lamps[0]!, tierId: 'box-1', lengthM: 0.4, alongM: 0.3, acrossM: 0.2, aboveM: 0.5 }],
    });
    const lampDli = (reflectance: number) => at('boxed', boxed(reflectance)).conditions[0]!.shares.lamps.l!;
    const black = lampDli(0);
    expect(lampDli(0.5)).toBeGreaterThan(black * 1.2);
    expect(lampDli(0.9)).toBeGreaterThan(lampDli(0.5) * 1.3);
    // No more than a closed box of that reflectance could hold: direct light over (1 - reflectance).
    expect(lampDli(0.9)).toBeLessThan(black * 10);
  });
});

describe('a tall neighbour', () => {
  const tall = (given: Partial<Plant>): HomeFacts => ({
    ...smallHome,
    spots: [...smallHome.spots, { ...smallHome.spots[0]!, id: 'beside', alongM: 1.3 }],
    plants: [{ ...smallHome.plants[0]!, spotId: 'beside', heightCm: 90, foliage: 'dense', ...given }],
  });

  it('dims the plants beside it by its leaves above them, and not itself', () => {
    expect(dli('bright', 6, tall({}))).toBeLessThan(dli('bright', 6, tall({ heightCm: 10 })) * 0.99);
    expect(dli('bright', 6, tall({ foliage: 'sparse' }))).toBeGreaterThan(dli('bright', 6, tall({})));
    expect(dli('beside', 6, tall({}))).toBeCloseTo(dli('beside', 6, tall({ foliage: 'sparse' })), 9);
  });
});

describe('a cabinet in the room', () => {
  const shell = (shellTransmittance: number, given: object = {}): HomeFacts => ({
    ...smallHome,
    rooms: smallHome.rooms.map((room) =>
      room.id === 'box'
        ? { ...room, shellTransmittance, insideXM: 0.2, insideYM: 2, insideZM: 0, heightM: 2, widthM: 0.9, ...given }
        : room,
    ),
  });
  const dimmest = (facts: HomeFacts) => dli('dim', 6, { ...facts, lamps: [] });

  it('dims what stands behind it, a wooden one more than a glazed one', () => {
    expect(dimmest(shell(0.8))).toBeLessThan(dimmest(shell(1)));
    expect(dimmest(shell(0))).toBeLessThan(dimmest(shell(0.8)));
  });

  it('does not stand in its own light', () => {
    const black = { floorReflectance: 0, wallReflectance: 0, ceilingReflectance: 0 };
    const unlit = (shellTransmittance: number) => ({ ...shell(shellTransmittance, black), lamps: [] });
    const share = dli('boxed', 6, unlit(0.8)) / dli('boxed', 6, unlit(1));
    // It shades the walls behind it a little, and no more.
    expect(share).toBeLessThanOrEqual(0.8);
    expect(share).toBeGreaterThan(0.78);
  });

  it('lets its lamp shine into the room through what is clear of its shell', () => {
    const lit = (shellTransmittance: number): HomeFacts => ({
      ...shell(shellTransmittance, { insideXM: 1.5, insideYM: 2.6, heightM: 1.6 }),
      lamps: [{ ...smallHome.lamps[0]!, tierId: 'box-1', lengthM: 0.4, alongM: 0.3, acrossM: 0.2, aboveM: 1.4 }],
    });
    const fromLamp = (shellTransmittance: number) =>
      at('dim', lit(shellTransmittance)).conditions[0]!.shares.lamps.l ?? 0;
    expect(fromLamp(0)).toBe(0);
    expect(fromLamp(0.4)).toBeGreaterThan(0.005);
    expect(fromLamp(0.8) / fromLamp(0.4)).toBeCloseTo(2, 1);
    // In the cabinet it is counted once.
    const inside = (shellTransmittance: number) => at('boxed', lit(shellTransmittance)).conditions[0]!.shares.lamps.l!;
    expect(inside(1)).toBeLessThan(inside(0.01));
  });
});

describe('the room’s own light', () => {
  it('lengthens the day of what stands in it and counts in its light', () => {
    const lit: HomeFacts = {
      ...smallHome,
      rooms: smallHome.rooms.map((room) => ({
        ...room,
        eveningLux: 136,
        eveningFromMinute: 1080,
        eveningToMinute: 1380,
      })),
    };
    const before = at('bright').conditions[11]!;
    const after = at('bright', lit).conditions[11]!;
    expect(after.dayH).toBeGreaterThan(before.dayH + 3);
    expect(after.shares.roomLight).toBeCloseTo((2 * 5 * 3600) / 1e6, 6);
    expect(after.dli - before.dli).toBeCloseTo(after.shares.roomLight, 9);
  });

  it('too faint for a leaf leaves the day as it was', () => {
    const faint: HomeFacts = { ...smallHome, rooms: smallHome.rooms.map((room) => ({ ...room, eveningLux: 10 })) };
    expect(at('bright', faint).conditions[11]!.dayH).toBeCloseTo(at('bright').conditions[11]!.dayH, 9);
  });
});

describe('an imported year of weather', () => {
  it('takes the climate family’s place', () => {
    shelf.putHours(
      'grey',
      Array.from({ length: 8760 }, (_, i) =>
        i % 24 >= 9 && i % 24 < 16 ? { global: 60, dni: 0, dhi: 60 } : { global: 0, dni: 0, dhi: 0 },
      ),
    );
    const weather: WeatherFile = {
      id: 'x',
      homeId: 'h',
      name: 'Always grey',
      latitude: 52,
      longitude: 0,
      elevationM: 0,
      utcOffsetH: 0,
      years: '2020',
      fileKey: 'grey',
    };
    const grey = at('bright', { ...smallHome, weathers: [weather] }).conditions[5]!;
    expect(grey.shares.sun).toBe(0);
    expect(grey.dli).toBeLessThan(dli('bright', 6) * 0.5);
    expect(grey.dliGoodYear - grey.dliPoorYear).toBeLessThan(0.01);
  });
});

describe('a room through a day', () => {
  const day = ask(engine, smallHome, 'roomDay', {
    roomId: 'r',
    date: { year: YEAR, month: 3, day: 21 },
    sky: 'clear',
  })!;
  const sum = (frame: number) =>
    day.ppfd
      .subarray(frame * day.columns * day.rows, (frame + 1) * day.columns * day.rows)
      .reduce((all, value) => all + value, 0);

  it('is brightest by day, dark at midnight but for lamps, with the sun’s patch only while it shines in', () => {
    expect(day.patches).toHaveLength(DAY_FRAMES);
    expect(sum(48)).toBeGreaterThan(sum(2) * 20);
    expect(day.patches[48]!.length).toBe(1);
    expect(day.patches[2]).toEqual([]);
    for (const outline of day.patches.flat())
      for (const { x, y } of outline) expect(x >= -1e-9 && x <= 4 + 1e-9 && y >= -1e-9 && y <= 4 + 1e-9).toBe(true);
  });

  it('has no patch under an overcast sky', () => {
    const dull = ask(engine, smallHome, 'roomDay', {
      roomId: 'r',
      date: { year: YEAR, month: 3, day: 21 },
      sky: 'overcast',
    })!;
    expect(dull.patches.flat()).toEqual([]);
    expect(
      ask(engine, smallHome, 'roomDay', { roomId: 'no-room', date: { year: YEAR, month: 3, day: 21 }, sky: 'clear' }),
    ).toBeNull();
  });
});

describe('a light year', () => {
  const year = ask(engine, smallHome, 'lightYear', { spotId: 'dim', year: YEAR })!;

  it('adds up to the months’ light within 3 %', () => {
    const perMonth = Array.from({ length: 12 }, (_, month0) => {
      const from = year.monthStarts[month0]!;
      const to = year.monthStarts[month0 + 1] ?? year.days;
      return (
        (year.ppfd.subarray(from * YEAR_ROWS, to * YEAR_ROWS).reduce((sum, value) => sum + value, 0) * 1800e-6) /
        (to - from)
      );
    });
    perMonth.forEach((mean, month0) => expect(Math.abs(mean / dli('dim', month0 + 1) - 1)).toBeLessThan(0.03));
  });

  it('has no step where a month ends', () => {
    const seasonal = new HomeEngine({
      ...smallKnowledge,
      climate: (id) => {
        const plain = smallKnowledge.climate(id);
        return (
          plain && { ...plain, clearness: ALL_MONTHS.map((month) => 0.4 - 0.15 * Math.cos((month * Math.PI) / 6)) }
        );
      },
    });
    const unlit = ask(seasonal, { ...smallHome, lamps: [] }, 'lightYear', { spotId: 'bright', year: YEAR })!;
    const sums = Array.from({ length: unlit.days }, (_, day) =>
      unlit.ppfd.subarray(day * YEAR_ROWS, (day + 1) * YEAR_ROWS).reduce((sum, value) => sum + value, 0),
    );
    const mean = (days: readonly number[]) => days.reduce((sum, value) => sum + value, 0) / days.length;
    const change = (day: number) => Math.abs(mean(sums.slice(day, day + 3)) / mean(sums.slice(day - 3, day)) - 1);
    for (const start of unlit.monthStarts.slice(1))
      expect(change(start)).toBeLessThan(Math.max(change(start - 10), change(start + 10)) + 0.02);
  });

  it('shows the lamp while it burns in winter, and night after it', () => {
    const row = (hour: number) => year.source[5 * YEAR_ROWS + hour * 2]!;
    expect(row(15)).toBe(3);
    expect(row(22)).toBe(0);
  });
});

describe('places side by side', () => {
  it('hold a spot beside nearer and farther ones, a curtain, and others', () => {
    const list = ask(engine, smallHome, 'beside', { spotId: 'dim', others: ['bright'], year: YEAR });
    expect(list.map((entry) => entry.what)).toEqual(['here', 'nearer', 'farther', 'curtain', 'spot']);
    const by = (what: string) => {
      const entry = list.find((candidate) => candidate.what === what)!;
      return entry.dli[5]! - entry.lampDli[5]!;
    };
    expect(by('nearer')).toBeGreaterThan(by('here'));
    expect(by('spot')).toBeGreaterThan(by('here'));
    expect(by('curtain')).toBeLessThan(by('here'));
  });

  it('leave out what would lie beyond a wall', () => {
    expect(
      ask(engine, smallHome, 'beside', { spotId: 'bright', others: [], year: YEAR }).map((entry) => entry.what),
    ).not.toContain('nearer');
  });
});

describe('what is lost on the way', () => {
  it('adds up, and each loss is where its cause is', () => {
    const clouded: HomeFacts = {
      ...smallHome,
      windows: smallHome.windows.map((window) => ({
        ...window,
        curtains: [{ curtainId: 'sheer', months: ALL_MONTHS, fromMinute: 0, toMinute: 1440 }],
        outsideKind: 'ring',
        outsideDeg: 15,
      })),
    };
    const lost = ask(engine, clouded, 'losses', { spotId: 'dim', year: YEAR })!;
    for (const part of [lost.outside, lost.glass, lost.curtain]) expect(part[5]!).toBeGreaterThan(0);
    const clear = smallHome.rooms.map((room) => ({ ...room, shellTransmittance: 1 }));
    expect(
      ask(
        engine,
        { ...smallHome, plants: [], tiers: smallHome.tiers.map((tier) => ({ ...tier, board: 'open' as const })) },
        'losses',
        { spotId: 'dim', year: YEAR },
      )!.shade[5]!,
    ).toBeGreaterThan(0);
    const plain = ask(
      engine,
      {
        ...smallHome,
        rooms: clear,
        tiers: smallHome.tiers.map((tier) => ({ ...tier, board: 'open' as const })),
        plants: [],
      },
      'losses',
      { spotId: 'dim', year: YEAR },
    )!;
    expect(plain.outside[5]!).toBeCloseTo(0, 6);
    expect(plain.shade[5]!).toBeCloseTo(0, 6);
    expect(plain.curtain[5]!).toBeCloseTo(0, 6);
    expect(plain.glass[5]! / (plain.glass[5]! + plain.arrives[5]!)).toBeGreaterThan(0.3);
  });
});
