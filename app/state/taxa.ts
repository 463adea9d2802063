/** All taxa as this home knows them: the catalogue's with the grower's corrections, and the grower's own. */
import { knowledge, taxa as catalogueTaxa, taxonFinder, type TaxonFinder } from '@dulvan/catalogue';
import { knownTaxon, type HomeFacts, type Known, type Taxon } from '@dulvan/core';
import { useMemo } from 'react';
import { useFacts } from './home';

function allTaxa(facts: HomeFacts | null): readonly Taxon[] {
  if (!facts || (facts.ownTaxa.length === 0 && facts.corrections.length === 0)) return catalogueTaxa;
  const corrected = new Set(facts.corrections.map((correction) => correction.taxonId));
  const known = (id: string) => knownTaxon(facts, id, knowledge)?.taxon;
  return [
    ...catalogueTaxa.map((taxon) => (corrected.has(taxon.id) ? (known(taxon.id) ?? taxon) : taxon)),
    ...facts.ownTaxa.flatMap((own) => known(own.id) ?? []),
  ];
}

export function useTaxa(): readonly Taxon[] {
  const facts = useFacts();
  // A plant moved or a lamp turned leaves the taxa as they are.
  const ownTaxa = facts?.ownTaxa;
  const corrections = facts?.corrections;
  // eslint-disable-next-line react-hooks/exhaustive-deps
  return useMemo(() => allTaxa(facts), [ownTaxa, corrections]);
}

const finders = new WeakMap<readonly Taxon[], TaxonFinder<Taxon>>();

/** The search over all taxa; its index is built once for each list. */
export function useTaxonFinder(): TaxonFinder<Taxon> {
  const taxa = useTaxa();
  let finder = finders.get(taxa);
  if (!finder) finders.set(taxa, (finder = taxonFinder(taxa)));
  return finder;
}

/** A taxon of the catalogue, a group of it or an own one, with what the grower corrected. */
export function useKnownTaxon(taxonId: string): Known | null {
  const facts = useFacts();
  return useMemo(() => (facts ? knownTaxon(facts, taxonId, knowledge) : null), [facts, taxonId]);
}
