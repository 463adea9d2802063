/** The six spots and the air of reference/verdicts.json as months of conditions. */
import { saturationPressure, type Condition } from '@dulvan/core';
import reference from '../reference/verdicts.json';

export type JudgedSpot = keyof typeof reference.spots;
export const JUDGED_SPOTS = Object.keys(reference.spots) as JudgedSpot[];

/** As the reference states it, month, day C, night C, day RH, night RH; straight lines between its four months. */
const AIR = [
  [1, 20.5, 17, 43, 48],
  [4, 21, 17.5, 47, 52],
  [7, 24.5, 19, 55, 60],
  [10, 21, 17.5, 50, 55],
  [13, 20.5, 17, 43, 48],
] as const;

/** A day that goes evenly up and down: half of it is within half its swing of either end. */
const spellOf = (swing: number) => [0, 1 / 12, 1 / 4, 1 / 2, 1].map((share) => share * swing);

function airIn(month: number): Condition['air'] {
  const next = AIR.findIndex(([at]) => at > month);
  const [before, after] = [AIR[next - 1]!, AIR[next]!];
  const share = (month - before[0]) / (after[0] - before[0]);
  const between = (i: 1 | 2 | 3 | 4) => before[i] + share * (after[i] - before[i]);
  const [dayC, nightC] = [between(1), between(2)];
  return {
    month,
    dayC,
    nightC,
    dayRh: between(3),
    nightRh: between(4),
    basis: 'stated',
    lowC: nightC,
    highC: dayC,
    coldNightC: nightC - 2,
    hotDayC: dayC + 3,
    coldSpell: spellOf(dayC - nightC),
    hotSpell: spellOf(dayC - nightC),
    movement: 'gentle',
    spread: { celsius: 1, rhBelow: 5, rhAbove: 5 },
    steps: [],
  };
}

/** A clear day's sum beside the month's mean: about what a bright day brings at 50 N. */
const CLEAR_TO_MEAN = 1.45;
const MOL_PER_PPFD_HOUR = 0.0036;

/**
 * A clear day with the stated brightest hour: half a sine wave as wide as the day's sum asks for under daylight, level
 * under lamps, whose sum is the same every day.
 */
function clearDayOf(peak: number, dli: number, dayH: number): number[] {
  const isLamps = Math.abs(peak * MOL_PER_PPFD_HOUR * dayH - dli) < 0.05 * dli;
  const width = isLamps ? dayH : Math.min(dayH, (Math.PI / 2) * ((CLEAR_TO_MEAN * dli) / (peak * MOL_PER_PPFD_HOUR)));
  return Array.from({ length: 24 }, (_, hour) => {
    const from = (hour + 0.5 - (12.5 - width / 2)) / width;
    return from <= 0 || from >= 1 ? 0 : isLamps ? peak : peak * Math.sin(Math.PI * from);
  });
}

/** Twelve months of a judged spot. */
export function judgedYear(spot: JudgedSpot): Condition[] {
  const { dli, peak, sun, day } = reference.spots[spot];
  return dli.map((mean, i): Condition => {
    const air = airIn(i + 1);
    return {
      month: i + 1,
      dli: mean,
      dliPoorYear: mean,
      dliTypicalYear: mean,
      dliGoodYear: mean,
      dliDullDay: mean,
      dliBrightDay: mean,
      shares: { sun: 0, sky: mean, ground: 0, obstruction: 0, reflected: 0, roomLight: 0, lamps: {} },
      clearDay: clearDayOf(peak[i]!, mean, day[i]!),
      peakPpfd: peak[i]!,
      sunHoursLikely: sun[i]!,
      sunHoursPossible: 2 * sun[i]!,
      dayH: day[i]!,
      longestNightH: 24 - day[i]!,
      air,
      coldNightC: air.coldNightC,
      hotDayC: air.hotDayC,
      airMovement: air.movement,
      vpdDay: saturationPressure(air.dayC) * (1 - air.dayRh / 100),
      leafK: 0,
      vpdLeaf: saturationPressure(air.dayC) * (1 - air.dayRh / 100),
      byHour: [],
    };
  });
}
