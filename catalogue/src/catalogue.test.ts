import { FIGURE_KEYS, figureOf, wrongOrder, type Taxon } from '@dulvan/core';
import { z } from 'zod';
import {
  climates,
  curtains,
  glazings,
  groups,
  knowledge,
  likelyGroups,
  lookAlikes,
  plausibleGroups,
  suggestedClimate,
  taxa,
  TRAITS_BY_PART,
  VISIBLE_TRAITS,
} from './index';
import { climateSchema, curtainSchema, glazingSchema, groupSchema } from './schema';

const names = (taxon: Taxon) => [taxon.name, ...taxon.synonyms];

describe('the catalogue', () => {
  it.each([
    ['groups', groupSchema, groups],
    ['climates', climateSchema, climates],
    ['glazings', glazingSchema, glazings],
    ['curtains', curtainSchema, curtains],
  ] as const)('holds only %s that obey their schema', (_name, schema, entries) => {
    expect(entries.length).toBeGreaterThan(2);
    for (const entry of entries) expect(z.safeParse(schema, entry).error?.message).toBeUndefined();
  });

  it('holds at least 560 taxa, each once', () => {
    expect(taxa.length).toBeGreaterThanOrEqual(560);
    expect(new Set(taxa.map((taxon) => taxon.id)).size).toBe(taxa.length);
    expect(new Set(taxa.map((taxon) => taxon.name)).size).toBe(taxa.length);
  });

  it('keeps every band in order once a taxon is laid over its group', () => {
    for (const taxon of taxa) expect([taxon.id, wrongOrder(taxon)]).toEqual([taxon.id, null]);
    for (const group of groups) expect(wrongOrder(knowledge.taxon(`group-${group.id}`)!)).toBeNull();
  });

  it('has no synonym that is another taxon’s accepted name, and none that two taxa claim', () => {
    const accepted = new Set(taxa.map((taxon) => taxon.name.toLowerCase()));
    const claimed = new Map<string, string>();
    for (const taxon of taxa) {
      for (const synonym of taxon.synonyms) {
        const folded = synonym.toLowerCase();
        expect([taxon.id, synonym, accepted.has(folded)]).toEqual([taxon.id, synonym, false]);
        expect([synonym, claimed.get(folded) ?? taxon.id]).toEqual([synonym, taxon.id]);
        claimed.set(folded, taxon.id);
      }
      expect(new Set(names(taxon)).size).toBe(names(taxon).length);
    }
  });

  it('strays no further than fourfold from its group’s middle in its light, but for the known strangers', () => {
    // Kept apart on purpose: gathered by look or family, not by light.
    const strangers = new Set([
      'beaucarnea-recurvata',
      'ficus-pumila',
      'ledebouria-socialis',
      'ficus-carica',
      'aspidistra-elatior',
      'cymbidium-hybrid',
      'sphagnum-palustre',
    ]);
    for (const taxon of taxa) {
      if (strangers.has(taxon.id)) continue;
      const group = groups.find((candidate) => candidate.id === taxon.group)!;
      const middle = (light: Taxon['light']) => Math.sqrt(light.thrivesFrom * light.thrivesTo);
      const ratio = middle(taxon.light) / middle(group.profile.light);
      expect([taxon.id, ratio > 1 / 4 && ratio < 4]).toEqual([taxon.id, true]);
    }
  });

  it('gives day-neutral plants no critical night, others one with its weeks and months', () => {
    for (const { id, day } of taxa) {
      const decided = day.criticalNightH !== null && day.inductionWeeks !== null && day.inductionMonths.length > 0;
      expect([id, day.kind === 'neutral' ? day.criticalNightH === null : decided]).toEqual([id, true]);
      if (day.criticalNightH !== null) expect(day.criticalNightH).toBeLessThanOrEqual(14);
    }
  });

  it('gives a rest months exactly where it has a trigger', () => {
    for (const { id, rest } of taxa) expect([id, rest.months.length > 0]).toEqual([id, rest.trigger !== 'none']);
  });

  it('builds hybrids of parents that are there, in shares that make a whole', () => {
    const hybrids = taxa.filter((taxon) => taxon.parents.length > 0);
    expect(hybrids.length).toBeGreaterThan(0);
    for (const hybrid of hybrids) {
      expect(hybrid.parents.reduce((sum, parent) => sum + parent.share, 0)).toBeCloseTo(1, 6);
      for (const { taxonId } of hybrid.parents) expect(knowledge.taxon(taxonId)).not.toBeNull();
    }
  });

  it('tells look-alikes apart in words, each pair once and of taxa it knows', () => {
    const pairs = lookAlikes.map(({ one, other }) => [one, other].sort().join(' '));
    expect(new Set(pairs).size).toBe(pairs.length);
    for (const { one, other, tell, care } of lookAlikes) {
      expect(knowledge.taxon(one) && knowledge.taxon(other)).toBeTruthy();
      expect(one).not.toBe(other);
      expect(tell.length).toBeGreaterThan(20);
      expect(care.length).toBeGreaterThan(8);
    }
  });

  it('states all figures as numbers in every taxon', () => {
    for (const taxon of taxa) for (const key of FIGURE_KEYS) expect(Number.isFinite(figureOf(taxon, key))).toBe(true);
  });

  it('has about a dozen climate families, each suggested somewhere or at least reachable by key', () => {
    expect(climates.length).toBeGreaterThanOrEqual(12);
    expect(suggestedClimate(56.4)).toBe('cool-ocean');
    expect(suggestedClimate(-56.4)).toBe('cool-ocean');
    for (const latitude of [0, 15, 35, 50, 70, 90])
      expect(knowledge.climate(suggestedClimate(latitude))).not.toBeNull();
  });

  it('takes no curtain for no curtain', () => {
    expect(knowledge.curtain('none')).toBeNull();
    expect(curtains.every((curtain) => curtain.id === 'none' || knowledge.curtain(curtain.id) !== null)).toBe(true);
    expect(knowledge.taxon('no-such-taxon')).toBeNull();
  });
});

describe('a plant without a label', () => {
  it.each([
    [['spines', 'round-body', 'leafless-stem'], 'desert-cacti'],
    [['fronds', 'thin-leaf'], 'ferns'],
    [['pseudobulb', 'strap-leaf'], 'orchids-intermediate'],
    [['stone-like'], 'living-stones'],
    [['milky-sap', 'spines'], 'euphorbias'],
    [['swollen-stem'], 'caudex'],
    [['big-leaf', 'climbs'], 'aroids'],
    [['tank', 'rosette'], 'bromeliads'],
    [['palm-fan'], 'palms'],
    [['silvered', 'no-soil', 'rosette'], 'air-plants'],
    [['fragrant-leaf', 'thin-leaf'], 'herbs'],
    [['jointed', 'leafless-stem', 'trails'], 'forest-cacti'],
  ] as const)('seen with %j is most likely of the group %s', (seen, wanted) => {
    expect(likelyGroups(seen, groups)[0]!.group.id).toBe(wanted);
  });

  it('is looked at part by part, each trait at one part of it', () => {
    const byPart = Object.values(TRAITS_BY_PART).flat();
    expect([...byPart].sort()).toEqual(Object.keys(VISIBLE_TRAITS).sort());
  });

  it('is as likely of one group as of another while nothing was seen, and shares always make a whole', () => {
    const blank = likelyGroups([], groups);
    expect(new Set(blank.map(({ likelihood }) => likelihood.toFixed(9))).size).toBe(1);
    for (const seen of [[], ['spines'], ['thick-leaf', 'rosette', 'powdery']] as const) {
      expect(likelyGroups(seen, groups).reduce((sum, { likelihood }) => sum + likelihood, 0)).toBeCloseTo(1, 9);
      const kept = plausibleGroups(likelyGroups(seen, groups));
      expect(kept.length).toBeLessThanOrEqual(3);
      expect(kept.reduce((sum, { likelihood }) => sum + likelihood, 0)).toBeCloseTo(1, 9);
    }
  });

  it('is treated as harmful until its name is known', () => {
    for (const group of groups) {
      const { hazard } = knowledge.taxon(`group-${group.id}`)!;
      expect([hazard.people, hazard.cats, hazard.dogs]).not.toContain('none-known');
    }
  });
});
