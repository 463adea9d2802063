/** What lamps draw and cost, and what wiring may carry. */
import { PLAIN_TIMER, type Circuit, type TariffBand } from '../facts';
import { ALL_MONTHS } from '../units';
import { burningIn, circuitHours, fullHours, isBurning } from './burning';
import { DAYS_OF_MONTHS, loadWarnings, priceOver, tariffFlaws, timerEnergy } from './energy';

const timer: Circuit = {
  ...PLAIN_TIMER,
  id: 'c',
  homeId: 'h',
  name: 'Timer',
  onMinute: 480,
  offMinute: 1080,
  months: ALL_MONTHS,
};
const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];
const band = (fromMinute: number, toMinute: number, pricePerKwh: number, weekdays = EVERY_DAY): TariffBand => ({
  ...{ id: `${fromMinute}`, homeId: 'h', weekdays, fromMinute, toMinute, pricePerKwh },
});
const FLAT = [band(0, 1440, 2)];

describe('when a timer burns', () => {
  const programme = [
    {
      months: [12, 1],
      spans: [
        { onMinute: 360, offMinute: 480 },
        { onMinute: 960, offMinute: 1200 },
      ],
      level: 0.5,
    },
    { months: [6], spans: [], level: 1 },
  ];
  it('a programme rules instead of one time for all months; months it does not name are off', () => {
    const programmed = { ...timer, programme };
    expect(circuitHours(timer, 1)).toBe(10);
    expect(circuitHours(programmed, 1)).toBe(6);
    expect(fullHours(programmed, 1)).toBe(3);
    expect(circuitHours(programmed, 6)).toBe(0);
    expect(burningIn(programmed, 3).spans).toEqual([]);
  });

  it('a split day is dark between its parts', () => {
    const programmed = { ...timer, programme };
    expect([400, 600, 1000, 1200].map((minute) => isBurning(programmed, 12, minute))).toEqual([
      true,
      false,
      true,
      false,
    ]);
  });
});

describe('energy', () => {
  it('a year of 100 W for ten hours a day is 365 kWh', () => {
    const load = { watts: 100, lamps: 0, tariff: FLAT };
    const months = ALL_MONTHS.map((month) => timerEnergy(timer, { ...load, month }));
    expect(months.reduce((sum, { kWh }) => sum + kWh, 0)).toBeCloseTo(365, 9);
    expect(months.reduce((sum, { cost }) => sum + cost!, 0)).toBeCloseTo(730, 9);
    expect(months[1]!.kWh).toBeCloseTo(DAYS_OF_MONTHS[1], 9);
  });

  it('a driver draws while nothing burns', () => {
    const off = { ...timer, months: [] };
    const { kWh } = timerEnergy(off, { watts: 100, lamps: 2, month: 1, tariff: [] });
    expect(kWh).toBeGreaterThan(0);
    expect(kWh).toBeLessThan(2);
  });

  it('hours in the cheap part of the day cost the cheap price, and no price is no cost', () => {
    const tariff = [band(0, 360, 1), band(360, 1440, 3)];
    expect(priceOver(tariff, [{ onMinute: 0, offMinute: 360 }])).toBe(1);
    expect(priceOver(tariff, [{ onMinute: 300, offMinute: 420 }])).toBe(2);
    expect(priceOver([], [{ onMinute: 0, offMinute: 60 }])).toBeNull();
  });

  it('weekends count for two days of seven', () => {
    const tariff = [band(0, 1440, 7, [1, 2, 3, 4, 5]), band(0, 1440, 0, [6, 7])];
    expect(priceOver(tariff, [{ onMinute: 600, offMinute: 660 }])).toBeCloseTo(5, 9);
  });
});

describe('a tariff', () => {
  it('that covers every hour once is whole, and so is none at all', () => {
    expect(tariffFlaws(FLAT)).toEqual([]);
    expect(tariffFlaws([])).toEqual([]);
    expect(tariffFlaws([band(0, 360, 1), band(360, 1440, 2)])).toEqual([]);
  });

  it('with a gap or an overlap says where', () => {
    expect(tariffFlaws([band(0, 360, 1), band(420, 1440, 2)])[0]).toEqual({
      ...{ kind: 'gap', weekday: 1, fromMinute: 360, toMinute: 420 },
    });
    expect(tariffFlaws([band(0, 800, 1), band(700, 1440, 2)])[0]).toMatchObject({ kind: 'overlap', fromMinute: 700 });
    expect(tariffFlaws([band(0, 1440, 1, [1, 2, 3, 4, 5, 6])])).toEqual([
      { kind: 'gap', weekday: 7, fromMinute: 0, toMinute: 1440 },
    ]);
  });
});

describe('loads', () => {
  const lamps = [{ circuitId: 'c', powerW: 90 }] as never;
  const none = { circuits: [timer], lamps, supplies: [] };
  it('are told when a timer carries more than it may, or nearly as much', () => {
    expect(loadWarnings(none)).toEqual([]);
    const limited = (limitW: number) => loadWarnings({ ...none, circuits: [{ ...timer, limitW }] });
    expect(limited(80)[0]).toMatchObject({ what: 'timer', state: 'over', loadW: 90 });
    expect(limited(100)[0]).toMatchObject({ state: 'near' });
    expect(limited(200)).toEqual([]);
  });

  it('of all timers on one electrical circuit count together, with what else hangs on it', () => {
    const supplies = [{ id: 's', homeId: 'h', name: 'Kitchen', limitW: 2300, alsoW: 2250 }];
    const [told] = loadWarnings({ ...none, circuits: [{ ...timer, supplyId: 's' }], supplies });
    expect(told).toMatchObject({ what: 'supply', loadW: 2340, state: 'over' });
  });
});
