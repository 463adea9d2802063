import { seasonalMonth, targetOf, type Taxon } from '@dulvan/core';
import fc from 'fast-check';
import { z } from 'zod';
import { climates, curtains, glazings, knowledge, suggestedClimate, taxa, taxonFinder } from './index';
import { climateSchema, curtainSchema, glazingSchema, taxonSchema } from './schema';

describe('the catalogue', () => {
  it.each([
    ['taxa', taxonSchema, taxa],
    ['climates', climateSchema, climates],
    ['glazings', glazingSchema, glazings],
    ['curtains', curtainSchema, curtains],
  ] as const)('holds only %s that obey their schema', (_name, schema, entries) => {
    expect(entries.length).toBeGreaterThan(2);
    for (const entry of entries) expect(z.safeParse(schema, entry).error?.message).toBeUndefined();
  });

  it('holds at least 30 taxa, each once', () => {
    expect(taxa.length).toBeGreaterThanOrEqual(30);
    expect(new Set(taxa.map((taxon) => taxon.id)).size).toBe(taxa.length);
    expect(new Set(taxa.map((taxon) => taxon.name)).size).toBe(taxa.length);
  });

  it('has no synonym that is another taxon’s accepted name', () => {
    const names = new Set(taxa.map((taxon) => taxon.name));
    for (const taxon of taxa) for (const synonym of taxon.synonyms) expect(names.has(synonym)).toBe(false);
  });

  it('states a critical night below half a day’s worth of doubt', () => {
    for (const { day } of taxa) if (day.criticalNightH !== null) expect(day.criticalNightH).toBeLessThanOrEqual(14);
  });

  it('has about a dozen climate families, each suggested somewhere or at least reachable by key', () => {
    expect(climates.length).toBeGreaterThanOrEqual(12);
    expect(climates.map((climate) => climate.id)).toContain(suggestedClimate(56.4));
    expect(suggestedClimate(56.4)).toBe('cool-ocean');
    expect(suggestedClimate(-56.4)).toBe('cool-ocean');
    for (const latitude of [0, 15, 35, 50, 70, 90]) expect(knowledge.climate(suggestedClimate(latitude))).not.toBeNull();
  });

  it('takes no curtain for no curtain', () => {
    expect(knowledge.curtain('none')).toBeNull();
    expect(curtains.every((curtain) => curtain.id === 'none' || knowledge.curtain(curtain.id) !== null)).toBe(true);
    expect(knowledge.taxon('no-such-taxon')).toBeNull();
  });
});

describe('search that forgives', () => {
  const finder = taxonFinder(taxa);
  it.each([
    ['spathifilum', 'spathiphyllum-wallisii'],
    ['falenopsis', 'phalaenopsis-hybrid'],
    ['Sansevieria', 'dracaena-trifasciata'],
    ['saintpaulia', 'streptocarpus-ionanthus'],
    ['christmass cactus thanksgiving', 'schlumbergera-truncata'],
    ['snake plnat', 'dracaena-trifasciata'],
    ['nefrolepis', 'nephrolepis-exaltata'],
    ['zz', 'zamioculcas-zamiifolia'],
    ['kentya', 'howea-forsteriana'],
    ['african viol', 'streptocarpus-ionanthus'],
    ['Calathea orbifolia', 'goeppertia-orbifolia'],
  ])('%s finds %s among the first three', (typed, wanted) => {
    expect(finder.find(typed, 3).map((taxon) => taxon.id)).toContain(wanted);
  });

  it('finds nothing for nothing and survives anything typed', () => {
    expect(finder.find('')).toEqual([]);
    fc.assert(fc.property(fc.string({ maxLength: 200 }), (text) => finder.find(text).length <= 12));
  });
});

describe('targets', () => {
  const target = (taxon: Taxon, month: number, latitude = 50, given: Partial<Parameters<typeof targetOf>[0]> = {}) =>
    targetOf({ stage: 'adult', growthState: 'by-season', ...given }, taxon, month, latitude);
  const jade = knowledge.taxon('crassula-ovata')!;
  const kalanchoe = knowledge.taxon('kalanchoe-blossfeldiana')!;

  it('in the south are those of the north half a year away, in every figure', () => {
    for (const taxon of taxa) {
      for (let month = 1; month <= 12; month++) {
        const south = target(taxon, month, -35);
        const north = target(taxon, seasonalMonth(month, -35), 35);
        expect({ ...south, month: 0 }).toEqual({ ...north, month: 0 });
      }
    }
  });

  it('never ask more of a young plant’s leaf than of a grown one’s', () => {
    for (const taxon of taxa) {
      const young = target(taxon, 6, 50, { stage: 'seedling' });
      expect(young.light.thrivesTo).toBeLessThan(taxon.light.thrivesTo);
      expect(young.moisture.thrivesFrom).toBeGreaterThanOrEqual(taxon.moisture.thrivesFrom);
    }
  });

  it('let what the grower saw rule over the calendar', () => {
    expect(target(jade, 1).phase).toBe('resting');
    expect(target(jade, 1, 50, { growthState: 'growing' }).phase).not.toBe('resting');
    expect(target(jade, 7, 50, { growthState: 'resting' }).phase).toBe('resting');
    expect(target(jade, 1, 50, { stage: 'just-arrived' }).phase).toBe('growing');
  });

  it('ask a short-day plant’s long nights only in its weeks of induction', () => {
    expect(target(kalanchoe, 11).phase).toBe('inducing');
    expect(target(kalanchoe, 11).day.maxH).toBe(12);
    expect(target(kalanchoe, 6).day.maxH).toBeGreaterThanOrEqual(18);
  });
});
