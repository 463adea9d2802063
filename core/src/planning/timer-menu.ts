/** What each timer may be set to: ways to burn in a month, and years made of them. */
import type { Circuit, TimerSpan } from '../facts';
import { burningFor, burningIn, type Burning } from '../lamp';
import { ALL_MONTHS } from '../units';
import { seasonalMonth } from '../taxon';

/** A year of a timer: the way it burns in each month, January first. */
export type TimerYear = readonly number[];

/** How a timer's lamps burn in a month, and how much higher than now they hang, m; less than 0 is lower. */
export interface TimerWay extends Burning {
  readonly raiseM: number;
}

export interface TimerMenu {
  readonly kind: 'timer';
  readonly circuit: Circuit;
  readonly ways: readonly TimerWay[];
  /** The first is as it is now. */
  readonly years: readonly TimerYear[];
}

const HOURS_TRIED = [6, 8, 10, 12, 14, 16] as const;
const LEVELS_TRIED = [1, 0.75, 0.5] as const;
/** Of lamps that are hung anew fewer hours are tried. */
const RAISED_HOURS_TRIED = [8, 12, 16] as const;
/** Hours fewer in the bright half of the year, where hours follow the sun. */
const FEWER_IN_SUMMER = 4;
/** The dark half of the year on the northern calendar. */
const DARK_MONTHS: ReadonlySet<number> = new Set([10, 11, 12, 1, 2, 3]);
/** Lamps burn within these hours, about the middle that the timer has now: someone sleeps at other times. */
export const EARLIEST_MINUTE = 5 * 60;
export const LATEST_MINUTE = 23 * 60;
const NOON = { onMinute: 720, offMinute: 720 } as const;

const sameWay = (p: TimerWay, q: TimerWay): boolean => JSON.stringify(p) === JSON.stringify(q);

/**
 * The settings of a timer that a plan may choose from.
 * @param raises by how much higher all its lamps could hang, m, where its grower lets them be hung anew
 */
export function timerMenu(circuit: Circuit, latitude: number, raises: readonly number[] = []): TimerMenu {
  const ways: TimerWay[] = [];
  const wayOf = ({ spans, level, raiseM }: TimerWay): number => {
    const way = { spans, level, raiseM };
    const known = ways.findIndex((other) => sameWay(other, way));
    return known >= 0 ? known : ways.push(way) - 1;
  };
  const now = ALL_MONTHS.map((month) => wayOf({ ...burningIn(circuit, month), raiseM: 0 }));
  if (circuit.freedom === 'nothing') return { kind: 'timer', circuit, ways, years: [now] };
  const off = wayOf({ spans: [], level: 1, raiseM: 0 });
  const middle = middleOf(circuit);
  const burning = (hours: number, level: number, raiseM = 0) =>
    wayOf({ spans: [byDay(burningFor(middle, hours))], level, raiseM });
  const byHalf = (dark: number, bright: number): TimerYear =>
    ALL_MONTHS.map((month) => (DARK_MONTHS.has(seasonalMonth(month, latitude)) ? dark : bright));
  const years: TimerYear[] = [now, byHalf(off, off)];
  const levels = circuit.freedom === 'hours' ? [1] : LEVELS_TRIED;
  for (const level of levels)
    for (const hours of HOURS_TRIED) {
      const way = burning(hours, level);
      years.push(byHalf(way, way), byHalf(way, off));
      if (hours - FEWER_IN_SUMMER >= HOURS_TRIED[0]) years.push(byHalf(way, burning(hours - FEWER_IN_SUMMER, level)));
    }
  if (circuit.freedom === 'hours-level-and-height')
    for (const raiseM of raises) {
      years.push(ALL_MONTHS.map((month) => wayOf({ ...burningIn(circuit, month), raiseM })));
      years.push(...RAISED_HOURS_TRIED.map((hours) => byHalf(burning(hours, 1, raiseM), burning(hours, 1, raiseM))));
    }
  return {
    kind: 'timer',
    circuit,
    ways,
    years: years.filter((year, i) => years.findIndex((one) => `${one}` === `${year}`) === i),
  };
}

/** Shifted into the hours in which people are up. */
function byDay({ onMinute, offMinute }: TimerSpan): TimerSpan {
  const late = Math.max(0, offMinute - LATEST_MINUTE);
  const early = Math.max(0, EARLIEST_MINUTE - (onMinute - late));
  return { onMinute: onMinute - late + early, offMinute: offMinute - late + early };
}

/** The middle of the day as the timer has it now. */
function middleOf(circuit: Circuit): TimerSpan {
  const spans = ALL_MONTHS.flatMap((month) => burningIn(circuit, month).spans);
  const longest = spans.reduce<TimerSpan>(
    (p, q) => (q.offMinute - q.onMinute > p.offMinute - p.onMinute ? q : p),
    NOON,
  );
  return longest === NOON ? circuit : longest;
}

/** A timer's year as it is kept: months of the same way together. */
export function programmeOf({ ways }: Pick<TimerMenu, 'ways'>, year: TimerYear): Circuit['programme'] {
  return [...new Set(year)].map((way) => {
    const { spans, level } = ways[way]!;
    return { months: ALL_MONTHS.filter((month) => year[month - 1] === way), spans, level };
  });
}

/** Whether a year burns as the timer does now, however high its lamps hang. */
export const burnsAsNow = ({ ways, years }: Pick<TimerMenu, 'ways' | 'years'>, year: TimerYear): boolean =>
  year.every((way, month0) => {
    const [now, then] = [ways[years[0]![month0]!]!, ways[way]!];
    return sameWay({ ...now, raiseM: 0 }, { ...then, raiseM: 0 });
  });
