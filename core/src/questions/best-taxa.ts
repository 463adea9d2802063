/** What would do best on a spot: taxa ranked for it. */
import type { HomeFacts } from '../facts';
import { fitYear, type YearFit } from '../fit';
import { knownTaxon, waysOf, type HomeEngine } from '../home';
import { heightFree } from '../match';
import { yearTargets } from '../plant';

export interface BestTaxaParams {
  readonly spotId: string;
  /** Of the catalogue or own ones. */
  readonly taxonIds: readonly string[];
  readonly count: number;
  readonly year: number;
  /** 1..12, the month that is on. */
  readonly month: number;
}

export interface TaxonFit {
  readonly taxonId: string;
  readonly fit: YearFit;
}

/** The taxa that suit a spot's whole year best, grown plants that fit under what is above it, best first. */
export function bestTaxa(
  engine: HomeEngine,
  facts: HomeFacts,
  { spotId, taxonIds, count, year, month }: BestTaxaParams,
): TaxonFit[] {
  const conditions = engine.conditionsOf(facts, spotId, year);
  if (conditions.length === 0) return [];
  const spot = facts.spots.find(({ id }) => id === spotId);
  const freeCm = spot ? 100 * heightFree(facts, spot) : Infinity;
  const ways = waysOf(facts.home, null);
  return taxonIds
    .flatMap((taxonId) => {
      const taxon = knownTaxon(facts, taxonId, engine.sources)?.taxon;
      if (!taxon || taxon.care.matureHeightCm > freeCm) return [];
      const targets = yearTargets({ stage: 'adult', growthState: 'by-season' }, taxon, ways);
      return [{ taxonId, fit: fitYear(targets, conditions, month) }];
    })
    .sort((p, q) => q.fit.verdict.score - p.fit.verdict.score)
    .slice(0, count);
}
