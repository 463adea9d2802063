/** Sequences of dull and bright days, drawn from a seed: how much the means of single months differ from year to year. */
import { DAY_TYPES, DAY_TYPE_QUANTILES } from './clearness';

/** How much of a day's clearness carries over to the next. Graham, Hollands and Huget 1988 find 0.29 for daily clearness. */
const CARRIED_OVER = 0.29;

/** Years drawn: enough that the tenth percentile stands within a tenth of the spread. */
const YEARS = 120;

const MONTH_DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/** The share of each day type in each month of each drawn year, `(month0 * years + year) * DAY_TYPES + type`. */
export interface SeededYears {
  readonly years: number;
  readonly shares: Float64Array;
}

/** A small generator of even numbers in 0..1. Mulberry32, public domain. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** Standard normal distribution function, within 1.5e-7. Abramowitz and Stegun 7.1.26. */
function normalShare(value: number): number {
  const x = Math.abs(value) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const tail =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
    Math.exp(-x * x);
  return value >= 0 ? 1 - tail / 2 : tail / 2;
}

/** Draws years of days; the same seed gives the same years. */
export function seededYears(seed: number): SeededYears {
  const random = seeded(seed);
  const shares = new Float64Array(12 * YEARS * DAY_TYPES);
  const fresh = Math.sqrt(1 - CARRIED_OVER ** 2);
  let yesterday = 0;
  for (let year = 0; year < YEARS; year++) {
    for (let month0 = 0; month0 < 12; month0++) {
      const days = MONTH_DAYS[month0]!;
      const base = (month0 * YEARS + year) * DAY_TYPES;
      for (let day = 0; day < days; day++) {
        const gauss = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
        yesterday = CARRIED_OVER * yesterday + fresh * gauss;
        addDay(shares, base, normalShare(yesterday), 1 / days);
      }
    }
  }
  return { years: YEARS, shares };
}

/** A day of a certain rank among its month's days lies between two day types. */
function addDay(shares: Float64Array, base: number, rank: number, weight: number): void {
  const first = DAY_TYPE_QUANTILES[0];
  const step = DAY_TYPE_QUANTILES[1] - first;
  const at = Math.max(0, Math.min(DAY_TYPES - 1, (rank - first) / step));
  const low = Math.min(DAY_TYPES - 2, Math.floor(at));
  shares[base + low]! += weight * (1 - (at - low));
  shares[base + low + 1]! += weight * (at - low);
}

/**
 * A month's mean in each of the drawn years, held together to the month's own mean: what was drawn is too few days to meet
 * it by itself (up to 3 % off).
 * @param byType what a day of each type gives, from dull to bright; each stands for as many days
 */
export function drawnMeans(
  { years, shares }: SeededYears,
  month0: number,
  byType: readonly number[],
): Float64Array<ArrayBuffer> {
  const means = new Float64Array(years);
  let drawn = 0;
  for (let year = 0; year < years; year++) {
    const base = (month0 * years + year) * DAY_TYPES;
    let mean = 0;
    for (let type = 0; type < DAY_TYPES; type++) mean += shares[base + type]! * byType[type]!;
    means[year] = mean;
    drawn += mean / years;
  }
  const own = byType.reduce((sum, day) => sum + day, 0) / byType.length;
  const scale = drawn > 0 ? own / drawn : 1;
  for (let year = 0; year < years; year++) means[year]! *= scale;
  return means;
}

/** Tenth, fiftieth and ninetieth percentile of a month's mean over the drawn years; parameters as for `drawnMeans`. */
export function monthPercentiles(
  drawn: SeededYears,
  month0: number,
  byType: readonly number[],
): { poor: number; typical: number; good: number } {
  const means = drawnMeans(drawn, month0, byType).sort();
  const at = (share: number) => means[Math.round(share * (means.length - 1))]!;
  return { poor: at(0.1), typical: at(0.5), good: at(0.9) };
}
