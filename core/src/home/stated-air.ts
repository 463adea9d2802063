/** A room's year of air as the grower's own figures correct it, or make it where nothing else is known. */
import { airYear, dayShare, possibleRh, spellShape, statedLine, type AirMonth, type AirSpread } from '../air';
import type { AirStatement, HomeFacts } from '../facts';
import { KNOWN_TO, type RoomAirMonth, type WaterDay } from './room-air-month';

const HOURS = 24;

/** What is stated is known to about this, until a logger says better. */
const STATED_SPREAD: AirSpread = { celsius: 1, rhBelow: 5, rhAbove: 5 };

/** A month by day and by night. */
export type MonthOfAir = Pick<AirStatement, 'month' | 'dayC' | 'nightC' | 'dayRh' | 'nightRh'>;

/** What a month is moved by: K and points of humidity. */
export interface Correction {
  readonly dayK: number;
  readonly nightK: number;
  readonly dayPoints: number;
  readonly nightPoints: number;
  /** Whether the month itself was stated. */
  readonly isStated: boolean;
}

/** What each month is moved by: each difference holds for its month, and between stated months what lies between. */
export function correctionsOf(computed: readonly MonthOfAir[], statements: readonly MonthOfAir[]): Correction[] {
  const line = statedLine(
    statements.map(({ month, dayC, nightC, dayRh, nightRh }) => {
      const own = computed[month - 1]!;
      const values = [dayC - own.dayC, nightC - own.nightC, dayRh - own.dayRh, nightRh - own.nightRh];
      return { month, values };
    }),
  );
  return computed.map(({ month }) => {
    const [dayK, nightK, dayPoints, nightPoints] = line(month) as [number, number, number, number];
    return { dayK, nightK, dayPoints, nightPoints, isStated: statements.some((one) => one.month === month) };
  });
}

/** How well a month is known that was stated, or that lies between such. */
export const correctedSpread = (computed: AirSpread, { isStated }: Correction): AirSpread =>
  isStated
    ? STATED_SPREAD
    : {
        celsius: (STATED_SPREAD.celsius + computed.celsius) / 2,
        rhBelow: (STATED_SPREAD.rhBelow + computed.rhBelow) / 2,
        rhAbove: (STATED_SPREAD.rhAbove + computed.rhAbove) / 2,
      };

/** A room's computed year, corrected by what the grower stated of some months. */
export function correctedYear(
  computed: readonly RoomAirMonth[],
  statements: HomeFacts['air'],
): readonly RoomAirMonth[] {
  if (statements.length === 0) return computed;
  const corrections = correctionsOf(computed, statements);
  return computed.map((month, month0) => {
    const correction = corrections[month0]!;
    const { dayK, nightK, dayPoints, nightPoints } = correction;
    const at = (hour: number, day: number, night: number) => night + (day - night) * dayShare(hour);
    return {
      ...month,
      basis: correction.isStated ? 'stated' : 'corrected',
      dayC: month.dayC + dayK,
      nightC: month.nightC + nightK,
      dayRh: possibleRh(month.dayRh + dayPoints),
      nightRh: possibleRh(month.nightRh + nightPoints),
      celsius: month.celsius.map((one, hour) => one + at(hour, dayK, nightK)),
      rh: month.rh.map((one, hour) => possibleRh(one + at(hour, dayPoints, nightPoints))),
      lowC: month.lowC + nightK,
      highC: month.highC + dayK,
      coldNightC: month.coldNightC + nightK,
      hotDayC: month.hotDayC + dayK,
      spread: correctedSpread(month.spread, correction),
    };
  });
}

const statedDay = ({ dayC, nightC }: Pick<AirMonth, 'dayC' | 'nightC'>): number[] =>
  Array.from({ length: HOURS }, (_, hour) => nightC + (dayC - nightC) * dayShare(hour));

/** What is known of a room's air where the outdoors is not: what was stated, or what is assumed of a heated room. */
export function statedYear(statements: HomeFacts['air']): readonly RoomAirMonth[] {
  return airYear(statements).map((month) => ({
    ...month,
    celsius: statedDay(month),
    rh: Array.from({ length: HOURS }, (_, hour) => month.nightRh + (month.dayRh - month.nightRh) * dayShare(hour)),
    outdoorC: [],
    lowC: month.nightC,
    highC: month.dayC,
    coldNightC: month.nightC - COLD_SPELL_INDOORS_K,
    hotDayC: month.dayC + HOT_SPELL_INDOORS_K,
    coldSpell: spellShape(statedDay(month), 'coldest'),
    hotSpell: spellShape(statedDay(month), 'hottest'),
    coldNightOutdoorC: month.nightC - COLD_SPELL_INDOORS_K,
    heatingShare: 0,
    heatingKWh: 0,
    openedH: 0,
    water: NO_WATER,
    paneWetH: 0,
    mouldH: 0,
    spread:
      month.basis === 'assumed' ? { celsius: KNOWN_TO.set.guessed.celsius, rhBelow: 12, rhAbove: 15 } : STATED_SPREAD,
  }));
}

/** A heated room's coldest night and hottest afternoon beside the means of its month, K. */
const COLD_SPELL_INDOORS_K = 2;
const HOT_SPELL_INDOORS_K = 3;

const NO_WATER: WaterDay = {
  sourcesG: 0,
  evaporationG: 0,
  humidifierG: 0,
  dehumidifierG: 0,
  condensationG: 0,
  airingG: 0,
  linksG: 0,
};
