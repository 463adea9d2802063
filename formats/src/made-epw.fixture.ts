/** A made-up year of weather in the EPW format, written by rule: a station on an invented coast. */
import { sunPosition } from '@dulvan/core';

export interface MadeYear {
  readonly leap?: 'yes';
  /** Put in place of a line, by its number from 1. */
  readonly instead?: Readonly<Record<number, string>>;
  readonly latitude?: number;
  readonly longitude?: number;
  readonly utcOffsetH?: number;
}

const HEADER_LINES = 8;

/** The text of a file: clear days and dull ones by turns. */
export function madeEpw({
  leap,
  instead = {},
  latitude = 56.4,
  longitude = -2.7,
  utcOffsetH = 0,
}: MadeYear = {}): string {
  const lines = [
    `LOCATION,Herring Sound,-,-,invented,000000,${latitude},${longitude},${utcOffsetH},8`,
    'DESIGN CONDITIONS,0',
    'TYPICAL/EXTREME PERIODS,0',
    'GROUND TEMPERATURES,0',
    'HOLIDAYS/DAYLIGHT SAVINGS,No,0,0,0',
    'COMMENTS 1,made up',
    'COMMENTS 2,',
    'DATA PERIODS,1,1,Data,Sunday, 1/ 1,12/31',
  ];
  const year = leap ? 2024 : 2025;
  const days = leap ? 366 : 365;
  for (let day = 0; day < days; day++) {
    for (let hour = 1; hour <= 24; hour++) {
      const date = new Date(Date.UTC(year, 0, 1 + day));
      const atMs = Date.UTC(year, 0, 1 + day, 0, (hour - 0.5) * 60) - utcOffsetH * 3_600_000;
      const sin = Math.max(0, Math.sin((sunPosition(atMs, { latitude, longitude }).elevationDeg * Math.PI) / 180));
      const clear = day % 3 === 0;
      const dhi = Math.round(sin * (clear ? 90 : 220));
      const dni = clear && sin > 0.03 ? Math.round(800 * (1 - Math.exp(-6 * sin))) : 0;
      const global = Math.round(dhi + dni * sin);
      lines.push(
        [
          2001 + (date.getUTCMonth() % 5),
          date.getUTCMonth() + 1,
          date.getUTCDate(),
          hour,
          60,
          '?9',
          10,
          6,
          75,
          101300,
          Math.round(1361 * sin),
          1361,
          300,
          global,
          dni,
          dhi,
          0,
          0,
          0,
          0,
          180,
          3,
          5,
          5,
          10,
          77777,
          9,
          999999999,
          100,
          0.1,
          0,
          88,
          0.2,
          0,
          1,
        ].join(','),
      );
    }
  }
  for (const [line, text] of Object.entries(instead)) lines[Number(line) - 1] = text;
  return `${lines.join('\r\n')}\r\n`;
}

/** The number of the line that holds an hour of a day (both from 1) of a plain year. */
export const lineOf = (dayOfYear: number, hour: number) => HEADER_LINES + (dayOfYear - 1) * 24 + hour;
