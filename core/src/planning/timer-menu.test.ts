/** What a timer may be set to. */
import { PLAIN_TIMER, type Circuit } from '../facts';
import { fullHours, hoursOf } from '../lamp';
import { ALL_MONTHS } from '../units';
import { EARLIEST_MINUTE, LATEST_MINUTE, burnsAsNow, programmeOf, timerMenu } from './timer-menu';

const circuit: Circuit = {
  ...{ id: 'c', homeId: 'h', name: 'Timer', onMinute: 480, offMinute: 960, months: [...ALL_MONTHS] },
  ...PLAIN_TIMER,
};
const NORTH = 52;
const SOUTH = -34;

const hoursIn = ({ ways, years }: ReturnType<typeof timerMenu>, year: number, month: number) =>
  hoursOf(ways[years[year]![month - 1]!]!.spans);

it('begins with the timer as it is', () => {
  const menu = timerMenu({ ...circuit, months: [11, 12, 1] }, NORTH);
  expect(ALL_MONTHS.map((month) => hoursIn(menu, 0, month))).toEqual([8, 0, 0, 0, 0, 0, 0, 0, 0, 0, 8, 8]);
});

it('has nothing else where the grower lets nothing be changed', () => {
  const menu = timerMenu({ ...circuit, freedom: 'nothing' }, NORTH);
  expect(menu.years).toHaveLength(1);
  expect(menu.ways).toHaveLength(1);
});

it('has no year twice, and every way lies in the hours in which people are up', () => {
  for (const at of [0, 300, 900]) {
    const menu = timerMenu({ ...circuit, onMinute: at, offMinute: at + 500, freedom: 'hours-and-level' }, NORTH);
    expect(new Set(menu.years.map((year) => year.join())).size).toBe(menu.years.length);
    const made = menu.ways.filter((_, way) => !menu.years[0]!.includes(way)).flatMap(({ spans }) => spans);
    for (const { onMinute, offMinute } of made) {
      expect(onMinute).toBeGreaterThanOrEqual(EARLIEST_MINUTE);
      expect(offMinute).toBeLessThanOrEqual(LATEST_MINUTE);
    }
  }
});

it('dims only where that is allowed', () => {
  const levels = (freedom: Circuit['freedom']) =>
    [...new Set(timerMenu({ ...circuit, freedom }, NORTH).ways.map(({ level }) => level))].sort();
  expect(levels('hours')).toEqual([1]);
  expect(levels('hours-and-level')).toEqual([0.5, 0.75, 1]);
});

it('burns longer in the dark half of the year, which is the other half in the south', () => {
  const following = (latitude: number) => {
    const menu = timerMenu(circuit, latitude);
    return menu.years.flatMap((_, year) => {
      const [january, july] = [hoursIn(menu, year, 1), hoursIn(menu, year, 7)];
      return year > 0 && january !== july ? [Math.sign(january - july)] : [];
    });
  };
  expect(new Set(following(NORTH))).toEqual(new Set([1]));
  expect(new Set(following(SOUTH))).toEqual(new Set([-1]));
});

it('hangs its lamps anew only where that is allowed, and all year alike', () => {
  const raised = (freedom: Circuit['freedom']) => {
    const { ways, years } = timerMenu({ ...circuit, freedom }, NORTH, [-0.1, 0.1]);
    return years.map((year) => [...new Set(year.map((way) => ways[way]!.raiseM))]);
  };
  expect(raised('hours-and-level').flat()).toEqual(raised('hours-and-level').map(() => 0));
  const all = raised('hours-level-and-height');
  expect(all.every((raises) => raises.length === 1)).toBe(true);
  expect(new Set(all.flat())).toEqual(new Set([0, -0.1, 0.1]));
});

it('knows a year that burns as now, however high its lamps hang', () => {
  const menu = timerMenu({ ...circuit, freedom: 'hours-level-and-height' }, NORTH, [0.1]);
  const asNow = menu.years.filter((year) => burnsAsNow(menu, year));
  expect(asNow.map((year) => menu.ways[year[0]!]!.raiseM)).toEqual([0, 0.1]);
});

it('writes a year as a programme that says the same of every month', () => {
  const menu = timerMenu({ ...circuit, freedom: 'hours-and-level' }, NORTH);
  for (const year of menu.years) {
    const programme = programmeOf(menu, year);
    expect(programme.flatMap(({ months }) => months).sort((p, q) => p - q)).toEqual([...ALL_MONTHS]);
    for (const month of ALL_MONTHS) {
      const { spans, level } = menu.ways[year[month - 1]!]!;
      expect(fullHours({ ...circuit, programme }, month)).toBeCloseTo(hoursOf(spans) * level, 9);
    }
  }
});
