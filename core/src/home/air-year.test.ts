/** The air of a home's rooms, held to laws: what leaks, wets, warms and joins them moves it the way it must. */
import fc from 'fast-check';
import { airByHour, dayMean, humidityRatio, measuredDay, nightMean, outdoorDay, pressureAt } from '../air';
import { YEAR_HOURS, type HomeFacts, type Room } from '../facts';
import { climateWith, thingWith } from './air-things.fixture';
import { joinedRooms, zonesOf } from './air-zones';
import { outdoorsOf } from './home-outdoors';
import type { RoomAirMonth } from './room-air-month';
import { HomeEngine } from './engine';
import { AttachmentShelf } from './knowledge';
import { smallHome, smallKnowledge } from './small-home.fixture';

const engine = new HomeEngine(smallKnowledge);
const YEAR = 2026;
const bare: HomeFacts = { ...smallHome, air: [] };

const air = (given: Partial<HomeFacts>, roomId = 'r') => engine.roomAirOf({ ...bare, ...given }, YEAR).get(roomId)!;
const january = (given: Partial<HomeFacts>, roomId?: string) => air(given, roomId)[0]!;
const ratio = ({ dayC, dayRh }: RoomAirMonth) => humidityRatio(dayC, dayRh, pressureAt(bare.home.elevationM));
const outdoorRatio = outdoorsOf(
  { facts: bare, sources: engine.sources, sky: engine.lit.sky(bare, YEAR) },
  0,
  'typical',
)!.ratio.reduce((sum, one) => sum + one / 24, 0);

describe('the air of a room', () => {
  it('is warm where it is heated, and drier than outdoors in winter', () => {
    const month = january({ climates: [climateWith({ dayC: 21, nightC: 16 })] });
    expect(month.basis).toBe('computed');
    // Sun and a lamp may warm it beyond what is set; the heating sees that it is no colder.
    expect(Math.min(...month.celsius.slice(10, 20))).toBeGreaterThan(20.4);
    expect(month.dayC).toBeLessThan(25);
    expect(month.nightC).toBeGreaterThan(15.5);
    expect(month.nightC).toBeLessThan(month.dayC);
    expect(month.dayRh).toBeLessThan(75);
    expect(month.heatingKWh).toBeGreaterThan(1);
  });

  it('comes nearer to outdoors the more it is aired', () => {
    const beyond = (['closed', 'leaky', 'tilted', 'fan'] as const).map(
      (airing) => ratio(january({ climates: [climateWith({ airing })] })) - outdoorRatio,
    );
    beyond.slice(1).forEach((one, i) => expect(one).toBeLessThan(beyond[i]!));
    expect(Math.min(...beyond)).toBeGreaterThan(0);
    const cold = (['closed', 'leaky', 'tilted', 'fan'] as const).map(
      (airing) => january({ climates: [climateWith({ heating: 'none', airing })] }).dayC,
    );
    cold.slice(1).forEach((one, i) => expect(one).toBeLessThan(cold[i]!));
  });

  it('is never dried by a humidifier, and never wetted by a dehumidifier', () => {
    const without = january({}).dayRh;
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 900 }), fc.integer({ min: 30, max: 90 }), (gramsH, setRh) => {
        const given = { gramsH, setRh } as const;
        expect(january({ airThings: [thingWith({ kind: 'humidifier', ...given })] }).dayRh).toBeGreaterThan(
          without - 0.3,
        );
        expect(january({ airThings: [thingWith({ kind: 'dehumidifier', ...given })] }).dayRh).toBeLessThan(
          without + 0.3,
        );
      }),
      { numRuns: 8 },
    );
    const sizes = [50, 150, 400].map(
      (gramsH) => january({ airThings: [thingWith({ kind: 'humidifier', gramsH, setRh: 90 })] }).dayRh,
    );
    expect(sizes[1]!).toBeGreaterThan(sizes[0]!);
    expect(sizes[2]!).toBeGreaterThan(sizes[1]!);
  });

  it('is drier the warmer it is, with the same water', () => {
    const rh = [17, 20, 23].map((c) => january({ climates: [climateWith({ dayC: c, nightC: c })] }).dayRh);
    expect(rh[1]!).toBeLessThan(rh[0]!);
    expect(rh[2]!).toBeLessThan(rh[1]!);
  });

  it('is moister for people, laundry, cooking, showers and plants', () => {
    const plain = ratio(january({ climates: [climateWith({ peopleHours: 0 })] }));
    for (const given of [{ peopleHours: 12 }, { laundryLoadsWeek: 4 }, { mealsDay: 2 }, { showersDay: 2 }])
      expect(ratio(january({ climates: [climateWith({ peopleHours: 0, ...given })] }))).toBeGreaterThan(plain);
    expect(ratio(january({ plants: [] }))).toBeLessThan(ratio(january({})));
  });

  it('is warmed by lamps and the sun where nothing heats it', () => {
    const free = climateWith({ heating: 'none' });
    const dark = january({ climates: [free], lamps: [] }).dayC;
    expect(january({ climates: [free] }).dayC).toBeGreaterThan(dark);
    const shut = [{ curtainId: 'blackout', months: [6], fromMinute: 0, toMinute: 1440 }];
    const shaded = bare.windows.map((window) => ({ ...window, curtains: shut }));
    expect(air({ climates: [free], windows: shaded })[5]!.highC).toBeLessThan(air({ climates: [free] })[5]!.highC);
  });

  it('has the water that goes in come out again, over a day', () => {
    for (const { water } of air({ climates: [climateWith({ airing: 'closed' })] })) {
      const parts = Object.values(water);
      const sum = parts.reduce((all, one) => all + one, 0);
      expect(Math.abs(sum)).toBeLessThan(0.01 * Math.max(...parts.map(Math.abs)) + 1);
    }
  });

  it('has its windows opened when it would grow too warm, and says so', () => {
    const hot = { ...bare, windows: bare.windows.map((window) => ({ ...window, widthM: 3, heightM: 1.6 })) };
    const months = air({ ...hot, climates: [climateWith({ airing: 'closed', envelope: 'insulated' })] });
    expect(Math.max(...months.map(({ openedH }) => openedH))).toBeGreaterThan(0);
    expect(months.every(({ highC }) => highC < 32)).toBe(true);
  });
});

describe('a cabinet', () => {
  const sealed = climateWith({ roomId: 'box', heating: 'none', airing: 'closed' });
  const moss = thingWith({ kind: 'open-water', roomId: 'box', areaM2: 0.2, xM: 0.3, yM: 0.2, zM: 0.1 });

  it('that is shut over wet moss is nearly full of water, and settles toward its room when aired', () => {
    const wet = january({ climates: [sealed], airThings: [moss] }, 'box');
    expect(wet.dayRh).toBeGreaterThan(88);
    const aired = january({ climates: [{ ...sealed, airing: 'fan' }], airThings: [moss] }, 'box');
    expect(aired.dayRh).toBeLessThan(wet.dayRh);
    expect(Math.abs(aired.dayC - january({}).dayC)).toBeLessThan(1);
  });

  it('has the warmth of its room by night', () => {
    expect(Math.abs(january({}, 'box').nightC - january({}).nightC)).toBeLessThan(1);
  });
});

describe('two rooms', () => {
  const other: Room = { ...bare.rooms[0]!, id: 's', name: 'Store' };
  const rooms = [...bare.rooms, other];
  const climates = [climateWith({ dayC: 22, nightC: 20 }), climateWith({ roomId: 's', heating: 'none' })];
  const door = { id: 'd', roomId: 'r', toRoomId: 's', widthM: 0.9, heightM: 2, stands: 'open' } as const;

  it('with an open door lie between what each was', () => {
    const apart = ['r', 's'].map((id) => january({ rooms, climates }, id));
    const joined = ['r', 's'].map((id) => january({ rooms, climates, doorways: [door] }, id));
    expect(joined[1]!.dayC).toBeGreaterThan(apart[1]!.dayC);
    expect(joined[1]!.dayC).toBeLessThan(apart[0]!.dayC);
    expect(ratio(joined[1]!)).toBeLessThan(Math.max(...apart.map(ratio)) * 1.02);
    expect(ratio(joined[1]!)).toBeGreaterThan(Math.min(...apart.map(ratio)) * 0.98);
  });

  it('share air only where a doorway or a cabinet joins them', () => {
    expect(joinedRooms({ rooms, doorways: [] }).map((group) => group.map(({ id }) => id).sort())).toEqual([
      ['box', 'r'],
      ['s'],
    ]);
    expect(joinedRooms({ rooms, doorways: [door] })).toHaveLength(1);
  });
});

it('changes by less than 1 % when its steps are halved', () => {
  const inputs = {
    facts: { ...bare, climates: [climateWith({ airing: 'twice-a-day' })] },
    sources: engine.sources,
    pressurePa: pressureAt(20),
    month: 1,
    sunOf: () => Array.from({ length: 24 }, (_, hour) => (hour > 8 && hour < 16 ? 300 : 0)),
    vpdOf: () => 1,
  };
  const [rooms] = joinedRooms(inputs.facts);
  const { zones, links } = zonesOf(inputs, rooms!);
  const outdoors = outdoorDay({ dayC: 5, nightC: 0, rh: 80 }, 'typical', {
    sunriseH: 8,
    pressurePa: inputs.pressurePa,
  });
  const [coarse, fine] = [6, 12].map((steps) =>
    airByHour({ pressurePa: inputs.pressurePa, days: 1, outdoors, zones, links, start: 'periodic' }, steps),
  );
  coarse!.forEach((zone, z) => {
    for (const mean of [dayMean, nightMean]) {
      expect(Math.abs(mean(zone.celsius) / mean(fine![z]!.celsius) - 1)).toBeLessThan(0.01);
      expect(Math.abs(mean(zone.rh) / mean(fine![z]!.rh) - 1)).toBeLessThan(0.01);
    }
  });
});

describe('what the grower measured', () => {
  it('stands for its month, and moves the others by its difference', () => {
    const computed = air({});
    const months = air({ air: smallHome.air });
    expect(months[0]).toMatchObject({ basis: 'stated', dayC: 21, nightC: 18, dayRh: 55, nightRh: 60 });
    expect(months[6]!.basis).toBe('corrected');
    expect(months[6]!.dayC - computed[6]!.dayC).toBeCloseTo(21 - computed[0]!.dayC, 9);
    expect(dayMean(months[0]!.celsius)).toBeCloseTo(21, 6);
    expect(nightMean(months[0]!.rh)).toBeCloseTo(60, 6);
  });

  it('is all there is where the outdoors is not known', () => {
    const nowhere = { home: { ...bare.home, climateId: 'unknown' } };
    expect(air(nowhere).every(({ basis }) => basis === 'assumed')).toBe(true);
    expect(air({ ...nowhere, air: smallHome.air })[5]).toMatchObject({ basis: 'between', dayC: 21 });
  });
});

describe('the air of a weather file', () => {
  const hours = Array.from({ length: YEAR_HOURS }, (_, i) => ({
    global: i % 50,
    dni: 0,
    dhi: i % 50,
    celsius: -12 + 6 * Math.sin(i / 4),
    rh: 80,
  }));
  const shelf = new AttachmentShelf();
  shelf.putHours('light-and-air', hours);
  shelf.putHours(
    'light',
    hours.map(({ global, dni, dhi }) => ({ global, dni, dhi })),
  );
  const filed = new HomeEngine(smallKnowledge, shelf);
  const withFile = (fileKey: string): HomeFacts => ({
    ...bare,
    climates: [climateWith({ heating: 'none' })],
    weathers: [
      {
        id: 'w',
        homeId: 'h',
        name: 'Station',
        latitude: 52,
        longitude: 0,
        elevationM: 20,
        utcOffsetH: 0,
        years: '2020',
        fileKey,
      },
    ],
  });
  const rooms = (fileKey: string) => filed.roomAirOf(withFile(fileKey), YEAR).get('r')!;

  it('is used where the file tells it, and the climate’s where it does not', () => {
    expect(rooms('light-and-air')[0]!.dayC).toBeLessThan(rooms('light')[0]!.dayC - 3);
    const typical = measuredDay(hours.slice(0, 31 * 24), 'typical', pressureAt(20));
    expect(rooms('light-and-air')[0]!.outdoorC).toEqual(typical.celsius);
  });
});
