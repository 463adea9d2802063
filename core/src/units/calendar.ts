/** Civil days of a place: which UTC instants a local date and hour are, daylight saving and all. */

/** Milliseconds in a minute, an hour and a day. */
export const MINUTE_MS = 60_000;
export const HOUR_MS = 60 * MINUTE_MS;
export const DAY_MS = 24 * HOUR_MS;

/** A date in a home's own calendar. `month` is 1..12. */
export interface CivilDate {
  readonly year: number;
  readonly month: number;
  readonly day: number;
}

/** January to December: what holds all year. */
export const ALL_MONTHS: readonly number[] = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

const formatters = new Map<string, Intl.DateTimeFormat>();

function formatterFor(timeZone: string): Intl.DateTimeFormat {
  let formatter = formatters.get(timeZone);
  if (!formatter) {
    formatter = new Intl.DateTimeFormat('en-US', {
      timeZone,
      hourCycle: 'h23',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    });
    formatters.set(timeZone, formatter);
  }
  return formatter;
}

/** Whether this runtime knows the IANA time zone of that name. */
export function isTimeZone(name: string): boolean {
  try {
    formatterFor(name);
    return true;
  } catch {
    return false;
  }
}

/**
 * How far local time is ahead of UTC at an instant.
 * @param instantMs UTC epoch milliseconds
 * @param timeZone IANA name; an unknown one throws RangeError
 * @returns minutes, positive east of Greenwich
 */
export function utcOffsetMinutes(instantMs: number, timeZone: string): number {
  const part: Record<string, number> = {};
  for (const { type, value } of formatterFor(timeZone).formatToParts(instantMs)) part[type] = Number(value);
  const local = Date.UTC(part.year!, part.month! - 1, part.day!, part.hour!, part.minute!, part.second!);
  return Math.round((local - Math.floor(instantMs / 1000) * 1000) / MINUTE_MS);
}

/** The local date of an instant. */
export function civilDateOf(instantMs: number, timeZone: string): CivilDate {
  const shifted = new Date(instantMs + utcOffsetMinutes(instantMs, timeZone) * MINUTE_MS);
  return { year: shifted.getUTCFullYear(), month: shifted.getUTCMonth() + 1, day: shifted.getUTCDate() };
}

/**
 * The instant a local day begins (its first local midnight or, where that is skipped, the moment after).
 * @returns UTC epoch milliseconds
 */
export function startOfCivilDay(date: CivilDate, timeZone: string): number {
  const asUtc = Date.UTC(date.year, date.month - 1, date.day);
  const key = `${timeZone} ${asUtc}`;
  let start = dayStarts.get(key);
  if (start === undefined) {
    if (dayStarts.size >= DAY_STARTS_KEPT) dayStarts.clear();
    dayStarts.set(key, (start = findStart(asUtc, timeZone)));
  }
  return start;
}

/** Time zones are slow to ask; a year's days are asked for again and again. */
const DAY_STARTS_KEPT = 2000;
const dayStarts = new Map<string, number>();

/**
 * The first instant of a date: midnight by the offset before or after a change of the clock, whichever is the date's
 * own.
 */
function findStart(asUtc: number, timeZone: string): number {
  const starts = [asUtc - DAY_MS, asUtc + DAY_MS]
    .map((near) => asUtc - utcOffsetMinutes(near, timeZone) * MINUTE_MS)
    .sort((p, q) => p - q);
  const { year, month, day } = civilDateOf(starts[0]!, timeZone);
  return Date.UTC(year, month - 1, day) === asUtc ? starts[0]! : starts[1]!;
}

/**
 * What the clock on the wall shows at an instant.
 * @returns whole minutes after midnight, 0..1439; an hour that is lived twice shows the same minutes twice
 */
export function minuteOfCivilDay(instantMs: number, timeZone: string): number {
  const localMs = instantMs + utcOffsetMinutes(instantMs, timeZone) * MINUTE_MS;
  return Math.floor((((localMs % DAY_MS) + DAY_MS) % DAY_MS) / MINUTE_MS);
}

/**
 * The instant at which the clock on the wall shows a minute of a date: the first one where it shows it twice, and the
 * moment the clock jumps over it where it never does.
 * @param minute after midnight, 0..1440, whole or not
 */
export function instantOfWallClock(date: CivilDate, minute: number, timeZone: string): number {
  const startMs = startOfCivilDay(date, timeZone);
  const plainMs = startMs + minute * MINUTE_MS;
  if (startOfCivilDay(nextCivilDate(date), timeZone) - startMs === DAY_MS) return plainMs;
  const asUtc = Date.UTC(date.year, date.month - 1, date.day) + minute * MINUTE_MS;
  const before = asUtc - utcOffsetMinutes(startMs, timeZone) * MINUTE_MS;
  const after = asUtc - utcOffsetMinutes(startMs + DAY_MS, timeZone) * MINUTE_MS;
  const shows = (instantMs: number) => instantMs + utcOffsetMinutes(instantMs, timeZone) * MINUTE_MS === asUtc;
  if (shows(before)) return before;
  return shows(after) ? after : Math.max(before, after);
}

/** The date after a date. */
export function nextCivilDate(date: CivilDate): CivilDate {
  const next = new Date(Date.UTC(date.year, date.month - 1, date.day + 1));
  return { year: next.getUTCFullYear(), month: next.getUTCMonth() + 1, day: next.getUTCDate() };
}

/** A month's share in a date, the shares of a date adding up to 1. */
export interface MonthShare {
  /** 0..11. */
  readonly month0: number;
  readonly share: number;
}

/**
 * The two months between whose middles a date lies, by nearness: figures known by month are drawn through the year
 * without a step where a month ends.
 * @example monthShares({ year: 2026, month: 3, day: 1 }) // March 0.53, February 0.47
 */
export function monthShares({ year, month, day }: CivilDate): readonly [MonthShare, MonthShare] {
  const middle = (daysInMonth(year, month) + 1) / 2;
  const step = day < middle ? -1 : 1;
  const other0 = (month - 1 + step + 12) % 12;
  const apart = (daysInMonth(year, month) + daysInMonth(year, other0 + 1)) / 2;
  const share = Math.abs(day - middle) / apart;
  return [
    { month0: month - 1, share: 1 - share },
    { month0: other0, share },
  ];
}

/** How many days a month has. `month` is 1..12. */
export function daysInMonth(year: number, month: number): number {
  return new Date(Date.UTC(year, month, 0)).getUTCDate();
}
