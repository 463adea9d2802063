/** The grower's own knowledge over the catalogue's. */
import { knownPlant, knownTaxon, plantTargets } from './known';
import { problemsOf } from './problems';
import { missingFacts } from './missing';
import { smallHome, smallKnowledge } from './small-home.fixture';
import type { Correction, HomeFacts, OwnTaxon, Plant } from '../facts';

const [plant] = smallHome.plants as [Plant];
const correction = (given: Partial<Correction>): Correction => ({
  id: 'k',
  homeId: 'h',
  taxonId: 'shade',
  plantId: null,
  figure: 'light.thrivesFrom',
  value: 4.5,
  reason: 'Pale below this',
  on: '2026-03-01',
  ...given,
});
const own: OwnTaxon = {
  id: 'own-1',
  homeId: 'h',
  name: 'Umbra mea',
  common: ['my shade plant'],
  synonyms: [],
  basedOn: 'shade',
  key: '',
};
const home = (given: Partial<HomeFacts>): HomeFacts => ({ ...smallHome, ...given });

describe('a correction', () => {
  it('of a taxon moves all its plants, with the reason beside the figure, and leaves the rest', () => {
    const known = knownPlant(home({ corrections: [correction({})] }), plant, smallKnowledge)!;
    expect(known.taxon.light).toMatchObject({ thrivesFrom: 4.5, thrivesTo: 8 });
    expect(known.before.light.thrivesFrom).toBe(3);
    expect(known.rules.join()).toContain('Pale below this');
    expect(knownTaxon(home({ corrections: [correction({})] }), 'sun', smallKnowledge)!.corrections).toEqual([]);
  });

  it('of one plant comes after its taxon’s and moves no other', () => {
    const facts = home({
      corrections: [correction({}), correction({ id: 'k2', taxonId: null, plantId: plant.id, value: 6 })],
    });
    expect(knownPlant(facts, plant, smallKnowledge)!.taxon.light.thrivesFrom).toBe(6);
    expect(knownPlant(facts, { ...plant, id: 'another' }, smallKnowledge)!.taxon.light.thrivesFrom).toBe(4.5);
  });

  it('withdrawn leaves the catalogue’s figure', () => {
    expect(knownPlant(home({ corrections: [] }), plant, smallKnowledge)!.taxon.light.thrivesFrom).toBe(3);
  });

  it('that crosses another figure says what was lifted', () => {
    const known = knownPlant(home({ corrections: [correction({ value: 10 })] }), plant, smallKnowledge)!;
    expect(known.taxon.light).toMatchObject({ thrivesFrom: 10, thrivesTo: 10 });
    expect(known.rules.join()).toMatch(/figures cross/);
  });

  it('is of one taxon or one plant, and of a plant that is there', () => {
    const fields = (given: Partial<Correction>) =>
      problemsOf(home({ corrections: [correction(given)] })).map((problem) => problem.field);
    expect(fields({})).toEqual([]);
    expect(fields({ plantId: plant.id })).toEqual(['taxonId']);
    expect(fields({ taxonId: null })).toEqual(['taxonId']);
    expect(fields({ taxonId: null, plantId: 'gone' })).toEqual(['plantId']);
  });
});

describe('an own taxon', () => {
  const facts = home({ ownTaxa: [own], plants: [{ ...plant, taxonId: 'own-1' }] });

  it('begins as what it is based on, inferred, its harm not known', () => {
    const known = knownTaxon(facts, 'own-1', smallKnowledge)!;
    expect(known).toMatchObject({
      origin: 'own',
      taxon: {
        name: 'Umbra mea',
        light: { thrivesFrom: 3, sure: 'inferred' },
        hazard: { people: 'unknown', cats: 'unknown' },
      },
    });
    expect(plantTargets(facts, facts.plants[0]!, smallKnowledge, 2026)).toHaveLength(12);
  });

  it('may not be based on another own one, nor share its name', () => {
    const problems = problemsOf(
      home({
        ownTaxa: [
          own,
          { ...own, id: 'own-2', name: 'UMBRA MEA' },
          { ...own, id: 'own-3', name: 'Third', basedOn: 'own-1' },
        ],
      }),
    );
    expect(problems.map(({ id, field }) => [id, field])).toEqual([
      ['own-2', 'name'],
      ['own-3', 'basedOn'],
    ]);
  });
});

describe('a plant of stated parents', () => {
  const cross: Plant = {
    ...plant,
    parents: [
      { taxonId: 'shade', share: 0.5 },
      { taxonId: 'sun', share: 0.5 },
    ],
  };

  it('is planned from their mix, shown as such', () => {
    const known = knownPlant(smallHome, cross, smallKnowledge)!;
    expect(known).toMatchObject({
      origin: 'mix',
      taxon: { name: 'Hybrid of Umbra facilis and Sol facilis', light: { thrivesFrom: 5 } },
    });
    expect(known.rules[0]).toBe('A mix of its parents: 50 % Umbra facilis, 50 % Sol facilis');
  });

  it('leaves out a parent that nobody knows, and says so', () => {
    const known = knownPlant(
      smallHome,
      {
        ...cross,
        parents: [
          { taxonId: 'shade', share: 0.5 },
          { taxonId: 'mystery', share: 0.5 },
        ],
      },
      smallKnowledge,
    )!;
    expect(known.taxon.light.thrivesFrom).toBe(3);
    expect(known.rules[0]).toContain('left out');
  });

  it('must add up to the whole, each parent once', () => {
    const fields = (parents: Plant['parents']) =>
      problemsOf(home({ plants: [{ ...plant, parents }] })).map((problem) => problem.message);
    expect(fields(cross.parents)).toEqual([]);
    expect(fields([{ taxonId: 'shade', share: 0.5 }])[0]).toContain('50 %');
    expect(
      fields([
        { taxonId: 'shade', share: 0.5 },
        { taxonId: 'shade', share: 0.5 },
      ])[0],
    ).toContain('once');
  });
});

describe('what is missing of a collection', () => {
  const asked = (given: Partial<Plant>) =>
    missingFacts(home({ plants: [{ ...plant, ...given }] }), smallKnowledge, Date.parse('2026-11-23')).map(
      (question) => question.missing,
    );

  it('is nothing for a plant of which all is known', () => {
    expect(asked({})).toEqual([]);
  });

  it.each([
    [{ taxonId: 'mystery' }, ['known-taxon']],
    [{ taxonId: 'group-ferns' }, ['known-taxon', 'name']],
    [{ spotId: null, potCm: null, heightCm: null }, ['spot', 'pot', 'height']],
    [{ potCm: null, traits: ['mounted'] as const }, []],
    [{ stage: 'just-arrived', arrivedOn: '2026-11-08' }, []],
    [{ stage: 'just-arrived', arrivedOn: '2026-06-01' }, ['settled']],
    [{ growthState: 'growing', stateSeenOn: '2026-10-30' }, []],
    [{ growthState: 'growing', stateSeenOn: '2026-05-30' }, ['state']],
    [{ growthState: 'resting', stateSeenOn: null }, ['state']],
  ] as const)('for %j is %j', (given, wanted) => {
    expect(asked(given as Partial<Plant>)).toEqual(wanted);
  });
});
