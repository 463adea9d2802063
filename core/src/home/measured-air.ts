/** What a logger's months say beside what is computed, and as statements of a room's air. */
import { meanOf, type AirStep, type MeasuredMonth } from '../air';
import { patch, put, type Change, type HomeFacts } from '../facts';

type MonthOfAir = Pick<MeasuredMonth, 'month' | 'dayC' | 'nightC' | 'dayRh' | 'nightRh'>;

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
    return { ...month, dayC: month.dayC - off('dayK'), nightC: month.nightC - off('nightK') };
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

/** Whether measured months stand for a room already. */
export const standFor = (facts: HomeFacts, roomId: string, months: readonly MeasuredMonth[]): boolean =>
  months.every((measured) => {
    const fields = statedOf(measured);
    const known = facts.air.find((one) => one.roomId === roomId && one.month === measured.month);
    return (
      known !== undefined && (Object.keys(fields) as (keyof typeof fields)[]).every((key) => known[key] === fields[key])
    );
  });
