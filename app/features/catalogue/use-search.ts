/**
 * What is searched in the catalogue: typed and chosen, kept while other screens are open, and the taxa that answer it.
 */
import type { Taxon } from '@dulvan/core';
import { useMemo } from 'react';
import { commonName } from '../../parts/words';
import { useDrafts } from '../../state/drafts';
import { useTaxa, useTaxonFinder } from '../../state/taxa';
import { filterOf, suits } from './need-filter';

const DRAFT = 'catalogue/filter';
const EVERYTHING = 5000;

/** By which of its names a taxon stands in the list, and which comes first in its row. */
export type Order = 'common' | 'latin';

/** What is typed and chosen that is no need. */
const KEPT: ReadonlySet<string> = new Set(['text', 'order']);

/** A hybrid genus stands under its letter, not under the sign before it. */
const unmarked = (name: string) => name.replace(/^× /, '');

const sortedBy = (order: Order, taxon: Taxon) => (order === 'latin' ? unmarked(taxon.name) : commonName(taxon));

export type Needs = ReturnType<typeof useNeeds>;

/** What is typed and chosen. */
export function useNeeds() {
  const kept = useDrafts((state) => state.drafts[DRAFT]);
  const draft = useMemo(() => kept ?? {}, [kept]);
  const { put } = useDrafts.getState();
  const text = draft.text ?? '';
  const order: Order = draft.order === 'latin' ? 'latin' : 'common';
  const filter = useMemo(() => filterOf(draft), [draft]);
  return {
    draft,
    text,
    order,
    filter,
    hasNeeds: Object.entries(draft).some(([field, value]) => !KEPT.has(field) && value !== '' && value !== 'any'),
    set: (field: string, value: string) => put(DRAFT, { ...draft, [field]: value }),
    clearNeeds: () => put(DRAFT, { text, order }),
  };
}

export type Searching = ReturnType<typeof useSearch>;

/** And the taxa that answer it, in order. */
export function useSearch() {
  const taxa = useTaxa();
  const finder = useTaxonFinder();
  const needs = useNeeds();
  const { text, order, filter } = needs;
  const rows = useMemo(() => {
    const found = text.trim()
      ? finder.find(text, EVERYTHING)
      : [...taxa].sort((p, q) => sortedBy(order, p).localeCompare(sortedBy(order, q)));
    return found.filter((taxon) => suits(taxon, filter));
  }, [taxa, finder, text, filter, order]);
  return { ...needs, rows, of: taxa.length };
}
