/** What a timer plug tells of itself, held against what its timer should do. */
import type { Circuit, TimerMonths } from '../facts';
import { ALL_MONTHS } from '../units';
import { burningIn, isBurning, type TimerTimes } from './burning';

/** What the clock on the wall shows: month 1..12, minutes after midnight 0..1439. */
export interface WallClock {
  readonly month: number;
  readonly minute: number;
}

/** What a plug tells when it is asked. */
export interface PlugTold {
  readonly clock: WallClock;
  /** Whether it lets current through. */
  readonly on: boolean;
  /** What flows through it, W; null where it cannot measure. */
  readonly watts: number | null;
  /** Month by month, as it keeps it; none where it keeps nothing. */
  readonly programme: readonly TimerMonths[];
}

/** One way in which a plug is not as its timer says. */
export type PlugFinding =
  /** Positive where its clock is ahead: its lamps come on too early. */
  | { readonly what: 'clock'; readonly minutesAhead: number }
  /** Months in which it would burn otherwise. */
  | { readonly what: 'programme'; readonly months: readonly number[] }
  /** It is on where its own programme and clock say off, or the other way round: switched by hand, or stuck. */
  | { readonly what: 'switched'; readonly is: 'on' | 'off' }
  /** It is on, and far less flows than its lamps draw: one is dead, or unplugged. */
  | { readonly what: 'load'; readonly watts: number; readonly expectedW: number };

/** Plugs keep time to a minute or two; what is further off shifts the plants' night. */
const CLOCK_TOLERANCE_MINUTES = 3;
/** So near to a switch it may just have happened. */
const SWITCH_MINUTES = 2;
/** Plugs measure to about a tenth, and lamps draw a little less once warm; half of it is missing lamps. */
const LEAST_LOAD_SHARE = 0.6;
/** Below this a plug measures nothing. */
const LEAST_MEASURED_W = 5;

const DAY_MINUTES = 1440;

/** Minutes by which one clock is ahead of another, the short way round midnight: -720..719. */
export function minutesAhead(clock: Pick<WallClock, 'minute'>, than: Pick<WallClock, 'minute'>): number {
  const apart = (((clock.minute - than.minute) % DAY_MINUTES) + DAY_MINUTES) % DAY_MINUTES;
  return apart >= DAY_MINUTES / 2 ? apart - DAY_MINUTES : apart;
}

const wayOf = (timer: TimerTimes, month: number): string => {
  const { spans, level } = burningIn(timer, month);
  return JSON.stringify([spans.map(({ onMinute, offMinute }) => [onMinute, offMinute]), spans.length > 0 ? level : 1]);
};

/** A plug's programme as a timer's; one that keeps nothing never burns. */
const asTimer = (programme: readonly TimerMonths[]): TimerTimes => ({
  onMinute: 0,
  offMinute: 0,
  months: [],
  programme,
});

export interface PlugAsked {
  readonly timer: TimerTimes & Pick<Circuit, 'id'>;
  /** What its lamps draw at full power as they are dimmed, W. */
  readonly watts: number;
  readonly now: WallClock;
}

/** All in which a plug is not as its timer says, what shifts the plants' days first. None where all is well. */
export function plugFindings({ timer, watts, now }: PlugAsked, told: PlugTold): PlugFinding[] {
  const findings: PlugFinding[] = [];
  const months = ALL_MONTHS.filter((month) => wayOf(timer, month) !== wayOf(asTimer(told.programme), month));
  if (months.length > 0) findings.push({ what: 'programme', months });
  const ahead = minutesAhead(told.clock, now);
  if (Math.abs(ahead) > CLOCK_TOLERANCE_MINUTES) findings.push({ what: 'clock', minutesAhead: ahead });
  else if (told.clock.month !== now.month && !isAboutMidnight(now))
    findings.push({ what: 'clock', minutesAhead: ahead });
  const own = asTimer(told.programme);
  const states = [-SWITCH_MINUTES, 0, SWITCH_MINUTES].map((away) =>
    isBurning(own, told.clock.month, (told.clock.minute + away + DAY_MINUTES) % DAY_MINUTES),
  );
  if (states.every((state) => state !== told.on)) findings.push({ what: 'switched', is: told.on ? 'on' : 'off' });
  const expectedW = watts * burningIn(own, told.clock.month).level;
  if (told.on && told.watts !== null && expectedW >= LEAST_MEASURED_W && told.watts < LEAST_LOAD_SHARE * expectedW)
    findings.push({ what: 'load', watts: told.watts, expectedW });
  return findings;
}

const isAboutMidnight = ({ minute }: WallClock): boolean =>
  Math.min(minute, DAY_MINUTES - minute) <= CLOCK_TOLERANCE_MINUTES;

/** Whether a finding is mended by sending clock and programme to the plug. */
export const isMendedBySending = ({ what }: PlugFinding): boolean => what === 'clock' || what === 'programme';
