/** How much daily clearness differs from day to day within a month, and how a day's light is spread over its hours. */

/** Which share of days is darker than each of the day types that stand for a month. */
export const DAY_TYPE_QUANTILES = [0.1, 0.3, 0.5, 0.7, 0.9] as const;
export const DAY_TYPES = DAY_TYPE_QUANTILES.length;

const DARKEST = 0.05;

/**
 * Daily clearness of the five day types of a month, from the darkest to the brightest; their mean is the month's.
 * @param monthlyClearness mean daily clearness index, 0.1..0.8
 * Source: Bendt, Collares-Pereira and Rabl 1981; largest clearness after Hollands and Huget 1983; fit of gamma after Herzog 1985.
 */
export function dayTypeClearness(monthlyClearness: number): number[] {
  const brightest = 0.6313 + 0.267 * monthlyClearness - 11.9 * (monthlyClearness - 0.75) ** 8;
  const spread = (brightest - DARKEST) / (brightest - monthlyClearness);
  const gamma = -1.498 + (1.184 * spread - 27.182 * Math.exp(-1.5 * spread)) / (brightest - DARKEST);
  const atDarkest = Math.exp(gamma * DARKEST);
  const atBrightest = Math.exp(gamma * brightest);
  const raw = DAY_TYPE_QUANTILES.map((share) =>
    Math.abs(gamma) < 1e-6
      ? DARKEST + share * (brightest - DARKEST)
      : Math.log(atDarkest - share * (atDarkest - atBrightest)) / gamma,
  );
  // Five points do not average exactly to the distribution's mean; what is lacking is given back in proportion.
  const mean = raw.reduce((sum, value) => sum + value, 0) / raw.length;
  return raw.map((value) => (value * monthlyClearness) / mean);
}

/**
 * How clearness runs through a day: a + b cos(hour angle), to be scaled so that the day's total holds.
 * @param sunsetHourAngle radians, 0..pi
 * Source: Collares-Pereira and Rabl 1979.
 */
export function clearnessProfile(sunsetHourAngle: number): { a: number; b: number } {
  const shifted = Math.sin(sunsetHourAngle - Math.PI / 3);
  return { a: 0.409 + 0.5016 * shifted, b: 0.6609 - 0.4767 * shifted };
}
