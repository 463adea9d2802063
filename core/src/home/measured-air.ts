/** What a logger's months say beside what is computed, and as statements of a room's air. */
import { dayShare, meanOf, type AirStep, type MeasuredLight, type MeasuredMonth } from '../air';
import { drop, patch, put, type Change, type HomeFacts } from '../facts';
import { civilDateOf } from '../units';
import type { RoomLesson } from './learn-room';
import type { MonthOfAir } from './stated-air';

/** How far two tellings of the same months lie apart in the mean of day and night, K and points. */
export interface MonthsApart {
  readonly celsius: number;
  readonly rh: number;
}

/** Two tellings of a room's months compared; null where they have no month in common. */
export function monthsApart(months: readonly MonthOfAir[], other: readonly MonthOfAir[]): MonthsApart | null {
  const both = months.flatMap((month) => {
    const beside = other.find((one) => one.month === month.month);
    return beside ? [[month, beside] as const] : [];
  });
  if (both.length === 0) return null;
  const off = (key: 'dayC' | 'nightC' | 'dayRh' | 'nightRh') => both.map(([p, q]) => Math.abs(p[key] - q[key]));
  return { celsius: meanOf([...off('dayC'), ...off('nightC')]), rh: meanOf([...off('dayRh'), ...off('nightRh')]) };
}

/**
 * What was measured at a spot as it would be in its room: what parts the two is taken off.
 * @param steps what parts them in each month, January first
 */
export const takenToRoom = (
  months: readonly MeasuredMonth[],
  steps: readonly (readonly AirStep[])[],
): readonly MeasuredMonth[] =>
  months.map((month) => {
    const off = (key: 'dayK' | 'nightK') => steps[month.month - 1]!.reduce((sum, step) => sum + step[key], 0);
    const [dayK, nightK] = [off('dayK'), off('nightK')];
    const atHour = (hour: number) => nightK + (dayK - nightK) * dayShare(hour);
    return {
      ...month,
      dayC: month.dayC - dayK,
      nightC: month.nightC - nightK,
      celsiusByHour: month.celsiusByHour.map((one, hour) => (one === null ? null : one - atHour(hour))),
    };
  });

/** As a grower would write it down: tenths of a degree, whole per cent. */
const statedOf = ({ dayC, nightC, dayRh, nightRh }: MonthOfAir) => ({
  dayC: Math.round(dayC * 10) / 10,
  nightC: Math.round(nightC * 10) / 10,
  dayRh: Math.round(dayRh),
  nightRh: Math.round(nightRh),
});

/** Changes by which measured months stand for a room; statements of the same months are changed. */
export function statementsFrom(
  facts: HomeFacts,
  roomId: string,
  months: readonly MeasuredMonth[],
  newId: () => string,
): Change[] {
  return months.map((measured) => {
    const { month } = measured;
    const known = facts.air.find((one) => one.roomId === roomId && one.month === month);
    const fields = statedOf(measured);
    return known ? patch('air', known.id, fields) : put('air', { id: newId(), roomId, month, ...fields });
  });
}

/** Changes by which measured months stand for the air of a spot. */
export function spotStatementsFrom(
  facts: HomeFacts,
  spotId: string,
  months: readonly MeasuredMonth[],
  newId: () => string,
): Change[] {
  return months.map((measured) => {
    const { month } = measured;
    const known = facts.spotAir.find((one) => one.spotId === spotId && one.month === month);
    const fields = statedOf(measured);
    return known ? patch('spotAir', known.id, fields) : put('spotAir', { id: newId(), spotId, month, ...fields });
  });
}

/** Changes by which a room is as its record taught: one lesson for each room. */
export function lessonChanges(facts: HomeFacts, roomId: string, lesson: RoomLesson, newId: () => string): Change[] {
  const known = facts.learntAir.find((one) => one.roomId === roomId);
  return [known ? patch('learntAir', known.id, lesson) : put('learntAir', { id: newId(), roomId, ...lesson })];
}

/** Changes by which a room is guessed again, as if none of these months had been measured. */
export const forgottenChanges = (facts: HomeFacts, roomId: string, months: readonly MeasuredMonth[]): Change[] => [
  ...facts.learntAir.filter((one) => one.roomId === roomId).map(({ id }) => drop('learntAir', id)),
  ...facts.air
    .filter((one) => one.roomId === roomId && months.some(({ month }) => month === one.month))
    .map(({ id }) => drop('air', id)),
];

/** Changes by which a spot's air follows from its room's again. */
export const forgottenAtSpot = (facts: HomeFacts, spotId: string): Change[] =>
  facts.spotAir.filter((one) => one.spotId === spotId).map(({ id }) => drop('spotAir', id));

/** A home whose room is known by its lesson alone, or by neither that nor any month: what a record is held against. */
export function withoutMonths(facts: HomeFacts, roomId: string, lesson: 'with-lesson' | 'guessed'): HomeFacts {
  return {
    ...facts,
    air: facts.air.filter((one) => one.roomId !== roomId),
    learntAir: lesson === 'guessed' ? facts.learntAir.filter((one) => one.roomId !== roomId) : facts.learntAir,
  };
}

/** A spot's light by a logger, as readings of whole months. */
export interface LoggedLight {
  readonly spotId: string;
  readonly unit: 'ppfd' | 'lux';
  readonly note: string;
}

const monthReading = ({ readings, home }: HomeFacts, { spotId }: LoggedLight, { month }: MeasuredLight) =>
  readings.find(
    (one) => one.spotId === spotId && one.sky === 'month' && civilDateOf(one.atMs, home.timeZone).month === month,
  );
const asRead = ({ unit }: LoggedLight, { mean, atMs }: MeasuredLight) => ({
  atMs,
  value: Number(mean.toPrecision(3)),
  unit,
  withdrawnOn: null,
});

/** Changes by which a logger's months of light correct its spot, as readings do; those of the same months are changed. */
export function lightReadingsFrom(
  facts: HomeFacts,
  logged: LoggedLight,
  months: readonly MeasuredLight[],
  newId: () => string,
): Change[] {
  return months.map((measured) => {
    const known = monthReading(facts, logged, measured);
    const fields = asRead(logged, measured);
    if (known) return patch('readings', known.id, fields);
    const { spotId, note } = logged;
    const asItRuns = { sky: 'month', outdoorValue: null, curtains: 'open', lamps: 'on' } as const;
    return put('readings', { id: newId(), homeId: facts.home.id, spotId, note, ...asItRuns, ...fields });
  });
}

/** Whether a logger's months of light correct its spot already. */
export const correctsLight = (facts: HomeFacts, logged: LoggedLight, months: readonly MeasuredLight[]): boolean =>
  months.every((measured) => {
    const known = monthReading(facts, logged, measured);
    return known !== undefined && holds(known, asRead(logged, measured));
  });

/** Whether measured months stand for a spot already. */
export const standAtSpot = (facts: HomeFacts, spotId: string, months: readonly MeasuredMonth[]): boolean =>
  months.every((measured) => {
    const known = facts.spotAir.find((one) => one.spotId === spotId && one.month === measured.month);
    return known !== undefined && holds(known, statedOf(measured));
  });

const holds = <F extends object>(known: F, fields: Partial<F>) =>
  (Object.keys(fields) as (keyof F)[]).every((key) => known[key] === fields[key]);

/** Whether measured months stand for a room already. */
export const standFor = (facts: HomeFacts, roomId: string, months: readonly MeasuredMonth[]): boolean =>
  months.every((measured) => {
    const known = facts.air.find((one) => one.roomId === roomId && one.month === measured.month);
    return known !== undefined && holds(known, statedOf(measured));
  });
