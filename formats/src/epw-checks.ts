/** Whether a year of hourly weather can be true: its light against the sun of the place it names, and its columns. */
import { sunPosition, type WeatherHour } from '@dulvan/core';
import { Broken } from './parsed';

/** What an EPW file tells of its station. */
export interface EpwHead {
  readonly name: string;
  readonly latitude: number;
  readonly longitude: number;
  readonly utcOffsetH: number;
  readonly elevationM: number;
}

/** Eight lines of heading come before it. */
const FIRST_HOUR_LINE = 9;

/** Sine of the sun's elevation in the middle of an hour of the file's clock; 0 below the horizon. */
export function sinMidHour({ month, day, hour }: { month: number; day: number; hour: number }, head: EpwHead): number {
  const atMs =
    Date.UTC(2025, month - 1, month === 2 && day === 29 ? 28 : day, 0, (hour - 0.5) * 60) - head.utcOffsetH * 3_600_000;
  return Math.max(0, Math.sin((sunPosition(atMs, head).elevationDeg * Math.PI) / 180));
}

/**
 * Light in the night says that place and clock do not belong together. Share of the year's light that may fall in it.
 */
const MOST_BY_NIGHT = 0.02;

export function checkClock(hours: readonly WeatherHour[], head: EpwHead): void {
  let all = 0;
  let byNight = 0;
  hours.forEach(({ global }, i) => {
    all += global;
    const date = new Date(Date.UTC(2025, 0, 1) + Math.floor(i / 24) * 86_400_000);
    const middle = { month: date.getUTCMonth() + 1, day: date.getUTCDate(), hour: (i % 24) + 1 };
    const ends = [middle.hour - 0.5, middle.hour + 0.5].every((hour) => sinMidHour({ ...middle, hour }, head) === 0);
    if (ends && sinMidHour(middle, head) === 0) byNight += global;
  });
  if (all === 0) throw new Broken(FIRST_HOUR_LINE, 'No hour of the year has any light.');
  if (byNight > MOST_BY_NIGHT * all) {
    throw new Broken(
      1,
      `${Math.round((byNight / all) * 100)} % of its light falls while the sun is down at the place it names: ` +
        'latitude, longitude or time zone must be wrong.',
    );
  }
}

/** Sines of the sun's height between which an hour may be light or dark. */
const SURELY_DARK = -0.03;
const SURELY_LIGHT = 0.09;
/** Global light from which an hour counts as light, W m-2. */
const LIGHT_W = 4;
/** So many hours of the year must be light or dark against the sun, and so many times fewer on a clock an hour off. */
const LEAST_AGAINST = 120;
const FEWER_ELSEWHERE = 3;

/** A clock that is off by an hour leaves mornings dark and evenings light: the sun's own hours show it. */
export function checkHour(hours: readonly WeatherHour[], head: EpwHead): void {
  const against = (shiftH: number) => {
    const place = { ...head, utcOffsetH: head.utcOffsetH + shiftH };
    return hours.filter(({ global }, i) => {
      const sine = sineMidHour(i, place);
      return global > LIGHT_W ? sine < SURELY_DARK : sine > SURELY_LIGHT;
    }).length;
  };
  const here = against(0);
  if (here < LEAST_AGAINST) return;
  const shift = [-1, 1].find((shiftH) => against(shiftH) * FEWER_ELSEWHERE < here);
  if (shift === undefined) return;
  const named = (offset: number) => `UTC${offset < 0 ? '−' : '+'}${Math.abs(offset)}`;
  throw new Broken(
    1,
    `Its clock is off by an hour: ${here} hours are light or dark against the sun on ${named(head.utcOffsetH)}, ` +
      `the time zone it names; its light fits ${named(head.utcOffsetH + shift)}.`,
  );
}

/** Sine of the sun's elevation in the middle of an hour of the year, also below the horizon. */
function sineMidHour(i: number, head: EpwHead): number {
  const atMs = Date.UTC(2025, 0, 1) + (i + 0.5 - head.utcOffsetH) * 3_600_000;
  return Math.sin((sunPosition(atMs, head).elevationDeg * Math.PI) / 180);
}

/**
 * Beam on level ground and diffuse light make the global light: a year may miss it by this share, and is doubted
 * above that.
 */
const MOST_UNCLOSED = 0.25;
const DOUBTED_UNCLOSED = 0.08;
/** Diffuse light is part of the global: a year of it may pass the whole by no more than rounding. */
const MOST_DIFFUSE = 1.05;

/** Holds the three columns of light against each other over the year. */
export function checkClosure(hours: readonly WeatherHour[], head: EpwHead, remarks: string[]): void {
  let global = 0;
  let diffuse = 0;
  let summed = 0;
  hours.forEach((hour, i) => {
    const date = new Date(Date.UTC(2025, 0, 1) + Math.floor(i / 24) * 86_400_000);
    const sin = sinMidHour({ month: date.getUTCMonth() + 1, day: date.getUTCDate(), hour: (i % 24) + 1 }, head);
    global += hour.global;
    diffuse += hour.dhi;
    summed += hour.dhi + hour.dni * Math.max(0, sin);
  });
  const kwh = (wattHours: number) => `${Math.round(wattHours / 1000)} kWh/m²`;
  if (diffuse > MOST_DIFFUSE * global) {
    throw new Broken(
      FIRST_HOUR_LINE,
      `Diffuse light of the year is ${kwh(diffuse)}, more than the global ${kwh(global)} that it is a part of.`,
    );
  }
  const off = Math.abs(summed / global - 1);
  const told = `beam and diffuse light make ${kwh(summed)} in the year where global light is ${kwh(global)}`;
  if (off > MOST_UNCLOSED) throw new Broken(FIRST_HOUR_LINE, `The columns of light contradict each other: ${told}.`);
  if (off > DOUBTED_UNCLOSED) remarks.push(`The columns of light do not quite agree: ${told}.`);
}
