/** A hybrid's needs from its parents': each figure their weighted mean, its season from the parent that rules. */
import { ALL_MONTHS } from '../units';
import {
  FIGURE_KEYS,
  figureOf,
  withFigure,
  EATERS,
  HARMS,
  MANNERS,
  TREATMENTS,
  WATERS,
  WATER_FAULTS,
  WET_LEAVES,
  type Certainty,
  type DayNeed,
  type Handling,
  type Harm,
  type Hazard,
  type RestNeed,
  type Taxon,
  type WaterNeed,
} from '../taxon';

export interface Part {
  readonly taxon: Taxon;
  /** Share of the make-up; shares are scaled so that they sum to 1. */
  readonly share: number;
}

/** A parent with at least this share rules rest and season. Growers' rule of thumb. */
export const RULING_SHARE = 0.8;

/** A parent of a smaller share than this does not set what the mix bears at the least. */
const COUNTING_SHARE = 0.25;

/** A mix is a conclusion, so at best inferred. */
const sure: Certainty = 'inferred';

/** The mean of a figure over the parents, each by its share. */
const meanOf = (shares: readonly Part[], read: (taxon: Taxon) => number) =>
  shares.reduce((sum, { taxon, share }) => sum + share * read(taxon), 0);

/** In an order that does not hang on which parent was named first. */
const bySize = (p: Part, q: Part) => q.share - p.share || (p.taxon.id < q.taxon.id ? -1 : 1);

/**
 * Mixes parents. Figures are weighted means, but the tender parent rules how cold it may get and how pure its water must
 * be; words (substrate, habit) come from the largest share; hazards are the worst of any parent; a mix is never surer
 * than inferred. Where no parent rules, it rests when parents of more than half its make-up do, as deep as their mean.
 * @param parts at least one, each share above 0
 */
export function mixOf(parts: readonly Part[], name: string, id: string): Taxon {
  const total = parts.reduce((sum, part) => sum + part.share, 0);
  const shares = parts.map(({ taxon, share }) => ({ taxon, share: share / total })).sort(bySize);
  const first = shares[0]!.taxon;
  if (shares.length === 1) return { ...first, id, name };
  let mixed: Taxon = first;
  for (const key of FIGURE_KEYS) {
    mixed = withFigure(
      mixed,
      key,
      meanOf(shares, (taxon) => figureOf(taxon, key)),
    );
  }
  const ruling = shares[0]!.share >= RULING_SHARE ? first : null;
  return {
    ...mixed,
    id,
    name,
    common: [name],
    synonyms: [],
    cultivars: [],
    parents: shares.map(({ taxon, share }) => ({ taxonId: taxon.id, share })),
    key: ruling ? first.key : `Between its parents; most like ${first.name}: ${first.key}`,
    light: { ...mixed.light, sure },
    day: { ...(ruling ? first.day : mixedDay(shares)), minH: mixed.day.minH, maxH: mixed.day.maxH, sure },
    warmth: { ...mixed.warmth, lowest: tenderest(shares, mixed), sure },
    moisture: { ...mixed.moisture, sure },
    rest: { ...(ruling ? first.rest : mixedRest(shares, mixed.rest.lightShare)), sure },
    care: { ...mixed.care, feedEvery: Math.round(meanOf(shares, (taxon) => taxon.care.feedEvery)), sure },
    water: mixedWater(shares, first.water),
    bloom: { ...first.bloom, sure },
    increase: { ...first.increase, sure },
    handling: mixedHandling(shares),
    hazard: worstHazard(shares.map(({ taxon }) => taxon.hazard)),
  };
}

/** Parents that count for what the mix bears at the least. */
const counting = (shares: readonly Part[]) => shares.filter(({ share }) => share >= COUNTING_SHARE);

function tenderest(shares: readonly Part[], mixed: Taxon): number {
  const lowest = Math.max(mixed.warmth.lowest, ...counting(shares).map(({ taxon }) => taxon.warmth.lowest));
  return Math.min(lowest, mixed.warmth.nightFrom, mixed.warmth.dayFrom);
}

function mixedWater(shares: readonly Part[], largest: WaterNeed): WaterNeed {
  const waters = counting(shares).map(({ taxon }) => taxon.water);
  return {
    ...largest,
    mostDissolvedPpm: Math.min(largest.mostDissolvedPpm, ...waters.map(({ mostDissolvedPpm }) => mostDissolvedPpm)),
    minds: WATER_FAULTS.filter((fault) => waters.some(({ minds }) => minds.includes(fault))),
    wetLeaves: WET_LEAVES.find((word) => waters.some(({ wetLeaves }) => wetLeaves === word)) ?? largest.wetLeaves,
    sure,
  };
}

function mixedHandling(shares: readonly Part[]): Handling {
  const all = shares.map(({ taxon }) => taxon.handling);
  return {
    manners: MANNERS.filter((manner) => all.some(({ manners }) => manners.includes(manner))),
    notWith: TREATMENTS.filter((treatment) => all.some(({ notWith }) => notWith.includes(treatment))),
    sure,
  };
}

/** Parents that answer to day length differently leave the hybrid day-neutral until it shows otherwise. */
function mixedDay(shares: readonly Part[]): DayNeed {
  const first = shares[0]!.taxon.day;
  if (shares.every(({ taxon }) => taxon.day.kind === first.kind)) {
    const mean = (read: (day: DayNeed) => number | null) =>
      first.kind === 'neutral' ? null : meanOf(shares, ({ day }) => read(day) ?? 0);
    return {
      ...first,
      criticalNightH: mean((day) => day.criticalNightH),
      inductionWeeks: mean((day) => day.inductionWeeks),
    };
  }
  return { ...first, kind: 'neutral', criticalNightH: null, inductionWeeks: null, inductionMonths: [] };
}

function mixedRest(shares: readonly Part[], lightShare: number): RestNeed {
  const resters = shares.filter(({ taxon }) => taxon.rest.trigger !== 'none');
  const resting = (month: number) => meanOf(shares, ({ rest }) => (rest.months.includes(month) ? 1 : 0));
  // At exactly one half two different rests would run into one of both lengths.
  const least = resters.length === 1 ? 0.5 - 1e-9 : 0.5 + 1e-9;
  const months = ALL_MONTHS.filter((month) => resting(month) > least);
  const [largest] = resters;
  if (months.length === 0 || !largest)
    return {
      trigger: 'none',
      months: [],
      lightShare,
      dayC: null,
      nightC: null,
      water: 'usual',
      feed: 'usual',
      school: 'taper',
      isObligate: false,
      needsWinter: false,
      sure,
    };
  return {
    ...largest.taxon.rest,
    months,
    lightShare,
    dayC: meanOf(shares, ({ rest, warmth }) => rest.dayC ?? warmth.dayFrom),
    nightC: meanOf(shares, ({ rest, warmth }) => rest.nightC ?? warmth.nightFrom),
    // The part of it that never rests is not left dry.
    water: WATERS[Math.floor(meanOf(shares, ({ rest }) => WATERS.indexOf(rest.water)))]!,
    school: 'taper',
    isObligate: meanOf(shares, ({ rest }) => (rest.isObligate ? 1 : 0)) > 0.5,
    needsWinter: meanOf(shares, ({ rest }) => (rest.needsWinter ? 1 : 0)) > 0.5,
  };
}

/** The more cautious of each. */
function worstHazard(hazards: readonly Hazard[]): Hazard {
  const worst = (harms: readonly Harm[]) => HARMS[Math.max(...harms.map((harm) => HARMS.indexOf(harm)))]!;
  const eaten = Object.fromEntries(
    EATERS.map((eater) => [eater, worst(hazards.map((hazard) => hazard[eater]))]),
  ) as Pick<Hazard, (typeof EATERS)[number]>;
  const spines = ['none', 'some', 'many'] as const;
  return {
    ...eaten,
    sapOnSkin: worst(hazards.map((hazard) => hazard.sapOnSkin)),
    sapInEyes: worst(hazards.map((hazard) => hazard.sapInEyes)),
    spines: spines[Math.max(...hazards.map((hazard) => spines.indexOf(hazard.spines)))]!,
  };
}
