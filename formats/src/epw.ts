/**
 * Reads a year of hourly weather in the EPW format: checks every hour, fills the few that are missing, refuses the
 * rest with the line.
 */
import { YEAR_HOURS, splitGlobal, type WeatherHour, type WeatherFile } from '@dulvan/core';
import Papa from 'papaparse';
import { checkClock, checkClosure, checkHour, sinMidHour, type EpwHead } from './epw-checks';
import { Broken, parseText, quoted, type ParsedFile } from './parsed';

/** What a file tells of its station and its year; a home and a key make it a fact. */
export interface ParsedWeather extends Omit<WeatherFile, 'id' | 'homeId' | 'fileKey'> {
  readonly hours: readonly WeatherHour[];
}

const HEADER = [
  'LOCATION',
  'DESIGN CONDITIONS',
  'TYPICAL/EXTREME PERIODS',
  'GROUND TEMPERATURES',
  'HOLIDAYS/DAYLIGHT SAVINGS',
  'COMMENTS 1',
  'COMMENTS 2',
  'DATA PERIODS',
];
const LEAP_HOURS = 8784;
const FIELDS = 35;
const MISSING = 9999;

/** Irradiance is kept in whole W m-2, as files state it. */
const wholeWatts = (value: number) => Math.max(0, Math.min(MOST_IRRADIANCE, Math.round(value)));

/** Columns of an hour, from 0. */
const COLUMN = {
  year: 0,
  month: 1,
  day: 2,
  hour: 3,
  celsius: 6,
  rh: 8,
  extraterrestrial: 10,
  global: 13,
  dni: 14,
  dhi: 15,
} as const;

/** Missing air is written so. */
const MISSING_C = 99.9;
const MISSING_RH = 999;
/** Air that can be: C and per cent. Files state up to 110 % where fog wets the gauge; more than full is none. */
const AIR_C = { from: -70, to: 60 } as const;
const MOST_RH = 110;
/** Share of hours whose air may be filled from the hours around them. */
const MOST_AIR_FILLED = 0.05;

/** More light than this never falls on level ground, nor straight from the sun, W m-2. */
const MOST_IRRADIANCE = 1500;

/** Share of daylight hours that may be filled from the days around them. */
const MOST_FILLED = 0.05;

type Light = Pick<WeatherHour, 'global' | 'dni' | 'dhi'>;

interface Hour extends Light {
  /** NaN where it is missing. */
  readonly celsius: number;
  readonly rh: number;
  readonly line: number;
  readonly month: number;
  readonly day: number;
  readonly hour: number;
  readonly year: number;
}

/**
 * Reads an EPW file. Its hours end at the hour they name, so the middle of the first is half past midnight, standard
 * time.
 */
export function readEpw(text: string): ParsedFile<ParsedWeather> {
  return parseText(text, readText);
}

function readText(text: string, remarks: string[]): ParsedWeather {
  const { data: rows } = Papa.parse<string[]>(text, {
    delimiter: ',',
    quoteChar: '\u0000',
    skipEmptyLines: false,
    preview: LEAP_HOURS + HEADER.length + 50,
  });
  const head = headOf(rows);
  const whole = rows
    .slice(HEADER.length)
    .map((cells, i) => ({ cells, line: HEADER.length + 1 + i }))
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  if (whole.length !== YEAR_HOURS && whole.length !== LEAP_HOURS) {
    throw new Broken(
      HEADER.length + whole.length,
      `${whole.length} hours of weather; a year has ${YEAR_HOURS}, a leap year ${LEAP_HOURS}.`,
    );
  }
  const hours = whole.map(({ cells, line }) => hourOf(cells, line, head));
  const year = inOrder(hours, remarks);
  const filled = fillMissing(year, head, remarks);
  checkClock(filled, head);
  checkHour(filled, head);
  checkClosure(filled, head, remarks);
  const years = [...new Set(year.map((hour) => hour.year))].sort((p, q) => p - q);
  return {
    name: head.name,
    latitude: head.latitude,
    longitude: head.longitude,
    elevationM: head.elevationM,
    utcOffsetH: head.utcOffsetH,
    years:
      years.length === 1
        ? String(years[0])
        : `months of ${years.length} years from ${years[0]} to ${years[years.length - 1]}`,
    hours: withAir(
      filled.map(({ global, dni, dhi }) => ({
        global: wholeWatts(global),
        dni: wholeWatts(dni),
        dhi: wholeWatts(dhi),
      })),
      year,
      remarks,
    ),
  };
}

function headOf(rows: readonly string[][]): EpwHead {
  HEADER.forEach((name, i) => {
    const found = (rows[i]?.[0] ?? '').trim().toUpperCase();
    if (found !== name)
      throw new Broken(
        i + 1,
        `Line ${i + 1} of an EPW file opens with ${name}; here stands ${found === '' ? 'nothing' : quoted(found)}.`,
      );
  });
  const place = rows[0]!;
  if (place.length < 10) throw new Broken(1, `LOCATION has ten fields, here are ${place.length}.`);
  const at = (column: number, name: string, from: number, to: number) => numberAt(place[column], 1, name, from, to);
  const periods = rows[HEADER.length - 1]!;
  const count = numberAt(periods[1], HEADER.length, 'The number of data periods', 1, 12);
  const perHour = numberAt(periods[2], HEADER.length, 'The number of records an hour', 1, 60);
  if (perHour !== 1) throw new Broken(HEADER.length, `The file holds ${perHour} records an hour; one an hour is read.`);
  if (count !== 1) throw new Broken(HEADER.length, `The file holds ${count} data periods; one whole year is read.`);
  return {
    name:
      [place[1], place[2], place[3]]
        .map((part) => (part ?? '').trim())
        .filter((part) => part !== '' && part !== '-')
        .join(', ')
        .slice(0, 80) || 'Unnamed station',
    latitude: at(6, 'Latitude', -90, 90),
    longitude: at(7, 'Longitude', -180, 180),
    utcOffsetH: at(8, 'The time zone', -12, 14),
    elevationM: at(9, 'Elevation', -400, 9000),
  };
}

function numberAt(cell: string | undefined, line: number, name: string, from: number, to: number): number {
  const text = (cell ?? '').trim();
  const value = /^[-+]?(\d+\.?\d*|\.\d+)([eE][-+]?\d+)?$/.test(text) ? Number(text) : NaN;
  if (!Number.isFinite(value) || value < from || value > to)
    throw new Broken(line, `${name}: from ${from} to ${to}; here stands ${text === '' ? 'nothing' : quoted(text)}.`);
  return value;
}

function hourOf(cells: readonly string[], line: number, head: EpwHead): Hour {
  if (cells.length < FIELDS - 3) throw new Broken(line, `An hour has ${FIELDS} fields, here are ${cells.length}.`);
  const whole = (column: number, name: string, from: number, to: number) =>
    Math.trunc(numberAt(cells[column], line, name, from, to));
  const light = (column: number, name: string) => {
    const value = numberAt(cells[column], line, name, 0, 99_999);
    if (value >= MISSING) return NaN;
    if (value > MOST_IRRADIANCE)
      throw new Broken(
        line,
        `${name}: from 0 to ${MOST_IRRADIANCE} W/m²; here stands ${value}. ${MISSING} marks a missing value.`,
      );
    return value;
  };
  const hour = {
    line,
    year: whole(COLUMN.year, 'Year', 1800, 2200),
    month: whole(COLUMN.month, 'Month', 1, 12),
    day: whole(COLUMN.day, 'Day', 1, 31),
    hour: whole(COLUMN.hour, 'Hour', 1, 24),
    global: light(COLUMN.global, 'Global horizontal radiation'),
    dni: light(COLUMN.dni, 'Direct normal radiation'),
    dhi: light(COLUMN.dhi, 'Diffuse horizontal radiation'),
  };
  const celsius = numberAt(cells[COLUMN.celsius], line, 'Dry bulb temperature', AIR_C.from, MISSING_C);
  if (celsius > AIR_C.to && celsius < MISSING_C)
    throw new Broken(line, `Dry bulb temperature: from ${AIR_C.from} to ${AIR_C.to} °C; here stands ${celsius}.`);
  const rh = numberAt(cells[COLUMN.rh], line, 'Relative humidity', 0, MISSING_RH);
  if (rh > MOST_RH && rh < MISSING_RH)
    throw new Broken(line, `Relative humidity: from 0 to ${MOST_RH} %; here stands ${rh}.`);
  return {
    ...hour,
    celsius: celsius === MISSING_C ? NaN : celsius,
    rh: rh === MISSING_RH ? NaN : Math.min(100, rh),
    ...completed(
      hour,
      sinMidHour(hour, head),
      numberAt(cells[COLUMN.extraterrestrial], line, 'Extraterrestrial radiation', 0, 99_999),
    ),
  };
}

/**
 * Of global, direct and diffuse light any two give the third; global alone is parted after Erbs. NaN stays where
 * nothing is known.
 */
function completed({ global, dni, dhi }: Light, sin: number, extraterrestrial: number): Light {
  const known = (value: number) => !Number.isNaN(value);
  if (known(global) && known(dni) && known(dhi)) return { global, dni, dhi };
  if (known(dni) && known(dhi)) return { global: dhi + dni * sin, dni, dhi };
  if (sin < 0.02) return { global: known(global) ? global : 0, dni: 0, dhi: known(global) ? global : 0 };
  if (known(global) && known(dhi)) return { global, dhi, dni: Math.max(0, Math.min(1100, (global - dhi) / sin)) };
  if (known(global) && known(dni)) return { global, dni, dhi: Math.max(0, global - dni * sin) };
  if (!known(global)) return { global: NaN, dni: NaN, dhi: NaN };
  const facingSun = extraterrestrial > 0 && extraterrestrial < MISSING ? extraterrestrial / sin : 1361;
  return { global, ...splitGlobal(global, Math.min(1420, facingSun), sin) };
}

/** Holds hours to the calendar, and leaves out 29 February. */
function inOrder(hours: readonly Hour[], remarks: string[]): Hour[] {
  const leap = hours.length === LEAP_HOURS;
  const start = Date.UTC(leap ? 2024 : 2025, 0, 1);
  hours.forEach((hour, i) => {
    const date = new Date(start + Math.floor(i / 24) * 86_400_000);
    const wanted = { month: date.getUTCMonth() + 1, day: date.getUTCDate(), hour: (i % 24) + 1 };
    if (hour.month !== wanted.month || hour.day !== wanted.day || hour.hour !== wanted.hour) {
      throw new Broken(
        hour.line,
        `Hours must run from 1 January, hour 1, without gap: here stands ${hour.day}.${hour.month}. hour ${hour.hour} where ${wanted.day}.${wanted.month}. hour ${wanted.hour} is due.`,
      );
    }
  });
  if (leap) remarks.push('A leap year: 29 February is left out.');
  return hours.filter((hour) => !(hour.month === 2 && hour.day === 29));
}

/** Fills hours of which nothing is known with the mean of the same hour on the nearest days before and after. */
function fillMissing(hours: readonly Hour[], head: EpwHead, remarks: string[]): Light[] {
  const missing = hours.filter((hour) => Number.isNaN(hour.global));
  const daylight = hours.filter((hour) => sinMidHour(hour, head) > 0).length;
  if (missing.length > MOST_FILLED * daylight) {
    throw new Broken(
      missing[0]!.line,
      `Light is missing in ${missing.length} hours, from this line on; at most ${Math.floor(MOST_FILLED * daylight)} can be filled from the days around them.`,
    );
  }
  if (missing.length > 0)
    remarks.push(`${missing.length} hours without light values were filled from the days around them.`);
  return hours.map((hour, i) => {
    if (!Number.isNaN(hour.global)) return hour;
    const before = nearest(hours, i, -24);
    const after = nearest(hours, i, 24);
    const mean = (field: keyof Light) => (before[field] + after[field]) / 2;
    return { global: mean('global'), dni: mean('dni'), dhi: mean('dhi') };
  });
}

/** Puts the air beside the light; where too much of it is missing the file tells of the light alone. */
function withAir(light: readonly Light[], hours: readonly Hour[], remarks: string[]): WeatherHour[] {
  const missing = hours.filter(({ celsius, rh }) => Number.isNaN(celsius) || Number.isNaN(rh)).length;
  if (missing > MOST_AIR_FILLED * hours.length) {
    remarks.push(`Air is missing in ${missing} hours: the light is taken from this file, the air from the climate.`);
    return [...light];
  }
  if (missing > 0)
    remarks.push(`${missing} hours without temperature or humidity were filled from the hours around them.`);
  const celsius = bridged(hours.map((hour) => hour.celsius));
  const rh = bridged(hours.map((hour) => hour.rh));
  return light.map((one, i) => ({ ...one, celsius: tenth(celsius[i]!), rh: Math.round(rh[i]!) }));
}

const tenth = (value: number) => Math.round(value * 10) / 10;

/** Gaps filled along a straight line between the values around them, round the turn of the year. */
function bridged(values: readonly number[]): number[] {
  const count = values.length;
  const known = (from: number, step: number) => {
    let away = 1;
    while (Number.isNaN(values[(from + away * step + count) % count]!)) away++;
    return { away, value: values[(from + away * step + count) % count]! };
  };
  return values.map((value, i) => {
    if (!Number.isNaN(value)) return value;
    const [before, after] = [known(i, -1), known(i, 1)];
    return before.value + ((after.value - before.value) * before.away) / (before.away + after.away);
  });
}

function nearest(hours: readonly Hour[], from: number, step: number): Light {
  for (let tried = 1; tried <= 365; tried++) {
    const hour = hours[(((from + step * tried) % hours.length) + hours.length) % hours.length]!;
    if (!Number.isNaN(hour.global)) return hour;
  }
  return { global: 0, dni: 0, dhi: 0 };
}
