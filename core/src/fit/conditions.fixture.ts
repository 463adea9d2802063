/** Months of a made-up spot in which the shade plant of the small home has all it wants. */
import type { Condition } from './condition';

/** A day that goes up and down by 6 K, and is within a degree of its end for six hours. */
const USUAL_SPELL = [0, 0.4, 1, 3, 6];

/** A month as it is there, but for what is given. */
export function conditionWith(given: Partial<Condition> = {}, month = 6): Condition {
  return {
    month,
    dli: 5,
    dliPoorYear: 4.5,
    dliTypicalYear: 5,
    dliGoodYear: 5.5,
    dliDullDay: 3,
    dliBrightDay: 8,
    shares: { sun: 0, sky: 5, ground: 0, obstruction: 0, reflected: 0, roomLight: 0, lamps: {} },
    clearDay: Array.from({ length: 24 }, (_, hour) => (hour >= 8 && hour < 18 ? 200 : 0)),
    peakPpfd: 200,
    sunHoursPossible: 0,
    sunHoursLikely: 0,
    dayH: 12,
    longestNightH: 12,
    air: {
      month,
      dayC: 22,
      nightC: 18,
      dayRh: 60,
      nightRh: 65,
      basis: 'stated',
      lowC: 17,
      highC: 23,
      coldNightC: 16,
      hotDayC: 25,
      coldSpell: USUAL_SPELL,
      hotSpell: USUAL_SPELL,
      movement: 'gentle',
      spread: { celsius: 1, rhBelow: 5, rhAbove: 5 },
      steps: [],
    },
    coldNightC: 16,
    hotDayC: 25,
    airMovement: 'gentle',
    vpdDay: 1,
    leafK: 0,
    vpdLeaf: 1,
    byHour: [],
    ...given,
  };
}

/** Twelve of them. @param given of each month, 1..12 */
export const yearWith = (given: (month: number) => Partial<Condition> = () => ({})): Condition[] =>
  Array.from({ length: 12 }, (_, i) => conditionWith(given(i + 1), i + 1));
