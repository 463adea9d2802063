/** A hybrid's needs from its parents': each figure their weighted mean, its season from the parent that rules. */
import { ALL_MONTHS } from '../units';
import {
  FIGURE_KEYS,
  figureOf,
  withFigure,
  EATERS,
  HARMS,
  type Certainty,
  type DayNeed,
  type Harm,
  type Hazard,
  type RestNeed,
  type Taxon,
} from '../taxon';

export interface Part {
  readonly taxon: Taxon;
  /** Share of the make-up; shares are scaled so that they sum to 1. */
  readonly share: number;
}

/** A parent with at least this share rules rest and season. Growers' rule of thumb. */
export const RULING_SHARE = 0.8;

/** A mix is a conclusion, so at best inferred. */
const sure: Certainty = 'inferred';

/** The mean of a figure over the parents, each by its share. */
const meanOf = (shares: readonly Part[], read: (taxon: Taxon) => number) =>
  shares.reduce((sum, { taxon, share }) => sum + share * read(taxon), 0);

/**
 * Mixes parents. Figures are weighted means; words (substrate, habit) come from the largest share; hazards are the
 * worst of any parent; a mix is never surer than inferred. Where no parent rules, months of rest are those in which
 * parents of at least half the make-up rest, and the rest is as deep as their mean.
 * @param parts at least one, each share above 0
 */
export function mixOf(parts: readonly Part[], name: string, id: string): Taxon {
  const total = parts.reduce((sum, part) => sum + part.share, 0);
  const shares = parts.map(({ taxon, share }) => ({ taxon, share: share / total })).sort((p, q) => q.share - p.share);
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
    warmth: { ...mixed.warmth, sure },
    moisture: { ...mixed.moisture, sure },
    rest: { ...(ruling ? first.rest : mixedRest(shares, mixed.rest.lightShare)), sure },
    care: { ...mixed.care, feedEvery: Math.round(meanOf(shares, (taxon) => taxon.care.feedEvery)), sure },
    hazard: worstHazard(shares.map(({ taxon }) => taxon.hazard)),
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
  const resting = (month: number) => meanOf(shares, ({ rest }) => (rest.months.includes(month) ? 1 : 0));
  const months = ALL_MONTHS.filter((month) => resting(month) >= 0.5);
  const largest = shares.find(({ taxon }) => taxon.rest.trigger !== 'none')?.taxon.rest;
  if (months.length === 0 || !largest)
    return {
      ...shares[0]!.taxon.rest,
      trigger: 'none',
      months: [],
      lightShare,
      dayC: null,
      nightC: null,
      water: 'usual',
      feed: 'usual',
    };
  return {
    ...largest,
    months,
    lightShare,
    dayC: meanOf(shares, ({ rest, warmth }) => rest.dayC ?? warmth.dayFrom),
    nightC: meanOf(shares, ({ rest, warmth }) => rest.nightC ?? warmth.nightFrom),
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
