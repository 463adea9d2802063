/** Tables of a logger: which column is what, in which units and order of dates; and its lines as samples. */
import { instantOfWallClock, fahrenheitToCelsius } from '@dulvan/core';
import Papa from 'papaparse';
import { quoted } from './parsed';

/** What a column holds. */
export const COLUMN_KINDS = [
  'ignore',
  'time',
  'date',
  'clock',
  'temperature',
  'humidity',
  'ppfd',
  'illuminance',
] as const;
export type ColumnKind = (typeof COLUMN_KINDS)[number];
export const MEASURED = ['temperature', 'humidity', 'ppfd', 'illuminance'] as const satisfies readonly ColumnKind[];
export type Measured = (typeof MEASURED)[number];

export const DATE_ORDERS = ['ymd', 'dmy', 'mdy'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

/** How a table is to be read. What is recognised of it is the grower's to confirm or change. */
export interface TableReading {
  readonly delimiter: string;
  /** Lines before the first sample: its heading, and what stands above it. */
  readonly headLines: number;
  readonly columns: readonly ColumnKind[];
  readonly dateOrder: DateOrder;
  readonly decimal: '.' | ',';
  readonly temperatureUnit: 'C' | 'F';
  /** Whose clock it was written by: an IANA name. A time that tells its own offset needs none. */
  readonly timeZone: string;
}

/** The beginning of a table as it was recognised. */
export interface RecognisedTable {
  readonly reading: TableReading;
  /** The columns by name; empty where the table has no heading. */
  readonly names: readonly string[];
  /** Its first lines of samples, cell by cell. */
  readonly rows: readonly (readonly string[])[];
}

const LINES_LOOKED_AT = 60;
const ROWS_SHOWN = 6;
const DELIMITERS = ['\t', ';', ',', '|'] as const;

const cellsOf = (line: string, delimiter: string): string[] =>
  (Papa.parse<string[]>(line, { delimiter }).data[0] ?? []).map((cell) => cell.trim());

const NUMBER = /^[-+−]?\d+(?:[.,]\d+)?$/;
const CLOCK = /^\d{1,2}:\d{2}(?::\d{2}(?:[.,]\d+)?)?(?: ?[AaPp]\.?[Mm]\.?)?$/;
const DATE = /^(\d{1,4})[-/.](\d{1,2})[-/.](\d{1,4})$/;
const isNumber = (cell: string) => NUMBER.test(cell);
const isDate = (cell: string) => DATE.test(cell);
const isTime = (cell: string) => {
  const [date, ...rest] = cell.split(/[T ]+/);
  return (
    isDate(date ?? '') &&
    CLOCK.test(
      rest
        .join(' ')
        .replace(/(?:Z|[+-]\d{2}:?\d{2})$/, '')
        .trim(),
    )
  );
};

/** A line of samples holds a moment and a number. */
const isSample = (cells: readonly string[]) =>
  cells.some((cell) => isTime(cell) || isDate(cell)) && cells.some((cell) => isNumber(cell) && !isDate(cell));

const KIND_NAMES: readonly (readonly [Measured, RegExp])[] = [
  ['humidity', /hum|feucht|moist|\brh\b|rel\.?\s*h|%|umid|humed/i],
  ['temperature', /temp|°\s*[cf]|\b[cf]\b|celsius|fahrenheit/i],
  ['ppfd', /ppfd|\bpar\b|µmol|umol/i],
  ['illuminance', /lux|lx|illum|licht|light/i],
];

/** What a logger tells of itself. */
const OF_ITSELF = /batt|akku|signal|rssi|volt/i;

/** Recognises a table by its beginning; a reason where there is no line of samples in it. */
export function recogniseTable(
  beginning: string,
  timeZone: string,
): { readonly ok: true; readonly table: RecognisedTable } | { readonly ok: false; readonly message: string } {
  const lines = beginning
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\n|\r/)
    .slice(0, LINES_LOOKED_AT);
  const rated = DELIMITERS.map((delimiter) => {
    const first = lines.findIndex((line) => isSample(cellsOf(line, delimiter)));
    return { delimiter, first, cells: first < 0 ? [] : cellsOf(lines[first]!, delimiter) };
  }).filter(({ first }) => first >= 0);
  if (rated.length === 0)
    return {
      ok: false,
      message: `No line with a date and a number was found in the first ${LINES_LOOKED_AT} lines.`,
    };
  // The one that parts most: a comma inside numbers parts a few cells more, but then not each line alike.
  const evenly = rated.filter(({ delimiter, first, cells }) =>
    lines
      .slice(first, first + ROWS_SHOWN)
      .filter((line) => line.trim() !== '')
      .every((line) => cellsOf(line, delimiter).length === cells.length),
  );
  const [best] = [...(evenly.length > 0 ? evenly : rated)].sort(
    (p, q) => DELIMITERS.indexOf(p.delimiter) - DELIMITERS.indexOf(q.delimiter),
  );
  const { delimiter, first } = best!;
  const rows = lines
    .slice(first)
    .filter((line) => line.trim() !== '')
    .map((line) => cellsOf(line, delimiter));
  const head = first > 0 ? cellsOf(lines[first - 1]!, delimiter) : [];
  const names = head.length === rows[0]!.length ? head : [];
  const columns = columnsOf(rows, names);
  return {
    ok: true,
    table: {
      reading: {
        delimiter,
        headLines: first,
        columns,
        dateOrder: dateOrderOf(rows, columns),
        decimal: rows.some((cells) => cells.some((cell) => /^-?\d+,\d+$/.test(cell))) ? ',' : '.',
        temperatureUnit: names.some((name, i) => columns[i] === 'temperature' && /°\s*f|fahr|\(f\)/i.test(name))
          ? 'F'
          : 'C',
        timeZone,
      },
      names,
      rows: rows.slice(0, ROWS_SHOWN),
    },
  };
}

function columnsOf(rows: readonly (readonly string[])[], names: readonly string[]): ColumnKind[] {
  const [first] = rows;
  const known: ColumnKind[] = first!.map((cell) =>
    isTime(cell) ? 'time' : isDate(cell) ? 'date' : CLOCK.test(cell) ? 'clock' : 'ignore',
  );
  // A column of whole moments needs no other.
  if (known.includes('time')) known.forEach((kind, i) => (known[i] = kind === 'time' ? kind : 'ignore'));
  const taken = new Set<Measured>();
  const isMeasured = (i: number) => rows.some((cells) => isNumber(cells[i] ?? ''));
  first!.forEach((_, i) => {
    if (known[i] !== 'ignore' || !isMeasured(i) || OF_ITSELF.test(names[i] ?? '')) return;
    const found = KIND_NAMES.find(([kind, words]) => !taken.has(kind) && words.test(names[i] ?? ''));
    if (!found) return;
    known[i] = found[0];
    taken.add(found[0]);
  });
  if (taken.size > 0 || names.length > 0) return known;
  // Without a heading: the first number is taken for warmth, the second for humidity, as most loggers write.
  const guesses: Measured[] = ['temperature', 'humidity'];
  first!.forEach((cell, i) => {
    if (known[i] === 'ignore' && isNumber(cell) && guesses.length > 0 && !/^\d+$/.test(cell))
      known[i] = guesses.shift()!;
  });
  return known;
}

/** The order of day, month and year: by a year of four digits first, else by a part that can be no month. */
function dateOrderOf(rows: readonly (readonly string[])[], columns: readonly ColumnKind[]): DateOrder {
  const at = columns.findIndex((kind) => kind === 'time' || kind === 'date');
  const parts = rows.flatMap((cells) => {
    const match = DATE.exec((cells[at] ?? '').split(/[T ]/)[0] ?? '');
    return match ? [match.slice(1, 4)] : [];
  });
  if (parts.some(([first]) => first!.length === 4)) return 'ymd';
  if (parts.some(([first]) => Number(first) > 12)) return 'dmy';
  return parts.some(([, second]) => Number(second) > 12) ? 'mdy' : 'dmy';
}

/** Values of one line; those that are missing are left out. */
export interface LoggedLine {
  /** UTC epoch milliseconds. */
  readonly at: number;
  readonly values: Readonly<Partial<Record<Measured, number>>>;
}

/** A line that cannot be read, with the reason. */
export class UnreadLine extends Error {}

/** What can be measured; outside it a line is refused. */
const POSSIBLE: Readonly<Record<Measured, readonly [from: number, to: number, unit: string]>> = {
  temperature: [-60, 90, '°C'],
  humidity: [0, 100, '%'],
  ppfd: [0, 5000, 'µmol/m²s'],
  illuminance: [0, 300_000, 'lx'],
};
/** Sensors in fog tell a little more than full. */
const FOG_RH = 105;
const EMPTY = /^(?:|-+|n\/?a|nan|null|none|err(?:or)?|overrange|---)$/i;
const EARLIEST_YEAR = 1970;
const LATEST_YEAR = 2100;

/** Reads lines of a table; the days of one zone are worked out once. */
export function lineReader({ columns, dateOrder, decimal, temperatureUnit, timeZone }: TableReading) {
  const at = (kind: ColumnKind) => columns.indexOf(kind);
  const [time, date, clock] = [at('time'), at('date'), at('clock')];
  const measured = MEASURED.map((kind) => [kind, at(kind)] as const).filter(([, column]) => column >= 0);
  const hours = new Map<string, number>();
  /** The first instant of an hour of a day, remembered: a file has sixty lines of each or more. */
  const hourOf = (year: number, month: number, day: number, hour: number): number => {
    const key = `${year}-${month}-${day} ${hour}`;
    let instant = hours.get(key);
    if (instant === undefined) {
      if (hours.size > 5000) hours.clear();
      hours.set(key, (instant = instantOfWallClock({ year, month, day }, hour * 60, timeZone)));
    }
    return instant;
  };
  const numberOf = (cell: string, kind: Measured): number | null => {
    if (EMPTY.test(cell)) return null;
    const text = (decimal === ',' ? cell.replace(',', '.') : cell)
      .replace('−', '-')
      .replace(/\s*(?:°?[CF]|%|lx|lux)$/, '');
    const value = /^[-+]?\d+(?:\.\d+)?(?:e[-+]?\d+)?$/i.test(text) ? Number(text) : NaN;
    if (Number.isNaN(value)) throw new UnreadLine(`${quoted(cell)} is no number.`);
    const inUnit = kind === 'temperature' && temperatureUnit === 'F' ? fahrenheitToCelsius(value) : value;
    const [from, to, unit] = POSSIBLE[kind];
    if (kind === 'humidity' && inUnit > to && inUnit <= FOG_RH) return to;
    if (inUnit < from || inUnit > to)
      throw new UnreadLine(`${quoted(cell)} cannot be: from ${from} to ${to} ${unit} is possible.`);
    return inUnit;
  };
  const instantOf = (cells: readonly string[]): number => {
    const whole =
      time >= 0 ? (cells[time] ?? '') : `${cells[date] ?? ''} ${clock >= 0 ? (cells[clock] ?? '') : '0:00'}`;
    const match = MOMENT.exec(whole.trim());
    if (!match) throw new UnreadLine(`${quoted(whole.trim())} is no date and time.`);
    const [, one, two, three, hour = '0', minute = '0', second = '0', half, offset] = match;
    const [year, month, day] = orderedDate([one!, two!, three!], dateOrder);
    const clockHour = half ? (Number(hour) % 12) + (/p/i.test(half) ? 12 : 0) : Number(hour);
    const days = new Date(Date.UTC(year, month, 0)).getUTCDate();
    if (month < 1 || month > 12 || day < 1 || day > days || year < EARLIEST_YEAR || year >= LATEST_YEAR)
      throw new UnreadLine(`${quoted(whole.trim())} is no day with the order of dates as it is set.`);
    if (clockHour > 23 || Number(minute) > 59 || Number(second) > 59)
      throw new UnreadLine(`${quoted(whole.trim())} is no time of day.`);
    const within = (Number(minute) * 60 + Math.floor(Number(second))) * 1000;
    if (offset) return Date.UTC(year, month - 1, day, clockHour) + within - offsetMs(offset);
    return hourOf(year, month, day, clockHour) + within;
  };
  /** @throws UnreadLine */
  return (cells: readonly string[]): LoggedLine => {
    const values: Partial<Record<Measured, number>> = {};
    for (const [kind, column] of measured) {
      const value = numberOf((cells[column] ?? '').trim(), kind);
      if (value !== null) values[kind] = value;
    }
    return { at: instantOf(cells), values };
  };
}

const MOMENT =
  /^(\d{1,4})[-/.](\d{1,2})[-/.](\d{1,4})(?:[T ]+(\d{1,2}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?)?(?: ?([AaPp])\.?[Mm]\.?)?(?: ?(Z|[+-]\d{2}:?\d{2}))?$/;

function orderedDate([one, two, three]: readonly [string, string, string], order: DateOrder) {
  const [year, month, day] = { ymd: [one, two, three], dmy: [three, two, one], mdy: [three, one, two] }[order].map(
    Number,
  ) as [number, number, number];
  return [year < 100 ? 2000 + year : year, month, day] as const;
}

function offsetMs(offset: string): number {
  if (offset === 'Z') return 0;
  const sign = offset.startsWith('-') ? -1 : 1;
  const digits = offset.slice(1).replace(':', '');
  return sign * (Number(digits.slice(0, 2)) * 60 + Number(digits.slice(2))) * 60_000;
}
