import type { Correction, OwnTaxon } from '@dulvan/core';
import fc from 'fast-check';
import { KNOWLEDGE_LIMIT, readKnowledge, writeKnowledgeCsv, writeKnowledgeJson } from './own-knowledge';

const ownTaxa: OwnTaxon[] = [
  {
    id: 'own-1',
    homeId: 'h',
    name: 'Hoya "Greenhouse, left"',
    common: ['left hoya', 'aunt’s'],
    synonyms: [],
    basedOn: 'hoya-carnosa',
    key: '=1+1 is not a formula',
  },
  {
    id: 'own-2',
    homeId: 'h',
    name: 'Begonia number 7',
    common: [],
    synonyms: ['Begonia septem'],
    basedOn: 'group-begonias',
    key: '',
  },
];
const corrections: Correction[] = [
  {
    id: 'c1',
    homeId: 'h',
    taxonId: 'hoya-carnosa',
    plantId: null,
    figure: 'light.thrivesFrom',
    value: 4.5,
    reason: 'Buds at\nthis, "always"',
    on: '2026-05-01',
  },
  {
    id: 'c2',
    homeId: 'h',
    taxonId: null,
    plantId: 'p',
    figure: 'warmth.lowest',
    value: -3,
    reason: '-3 once, and it lived',
    on: '2026-01-20',
  },
];
const all = { ownTaxa, corrections };

describe('own knowledge', () => {
  it.each([
    ['CSV', writeKnowledgeCsv],
    ['JSON', writeKnowledgeJson],
  ] as const)('comes back whole through %s, commas, quotes, line breaks and all', (_name, write) => {
    expect(readKnowledge(write(all), 'h')).toMatchObject({ ...all, refusals: [] });
  });

  it('belongs to the home it is read for', () => {
    expect(readKnowledge(writeKnowledgeJson(all), 'other').ownTaxa[0]!.homeId).toBe('other');
    expect(readKnowledge(writeKnowledgeCsv(all), 'other').corrections[0]!.homeId).toBe('other');
  });

  it('writes no cell that a table program would run', () => {
    for (const line of writeKnowledgeCsv(all).split('\n').slice(1))
      for (const cell of line.split(',')) expect(cell).not.toMatch(/^"?[=+@]/);
  });

  it('takes the good lines and refuses each broken one with its line and reason', () => {
    const csv = [
      'kind,id,taxon,figure,value,reason,on',
      'correction,c1,hoya-carnosa,light.thrivesFrom,4.5,Buds at this,2026-05-01',
      'correction,c2,hoya-carnosa,light.thrivesFrom,900,Too much,2026-05-01',
      'correction,c3,hoya-carnosa,light.colour,4,What,2026-05-01',
      'correction,c4,hoya-carnosa,light.thrivesFrom,four,Words,2026-05-01',
      '',
      'correction,c5,hoya-carnosa,light.thrivesFrom,4,,2026-05-01',
      'correction,c6,hoya-carnosa,light.thrivesFrom,4,Fine,2026-02-30',
      'wish,c7,hoya-carnosa,light.thrivesFrom,4,Fine,2026-05-01',
      'correction,c1,hoya-carnosa,light.scorches,30,Again,2026-05-01',
      'correction,c8,hoya-carnosa,light.scorches,"30,5",Comma,2026-05-01',
    ].join('\n');
    const { corrections: read, refusals } = readKnowledge(csv, 'h');
    expect(read.map(({ id, value }) => [id, value])).toEqual([
      ['c1', 4.5],
      ['c8', 30.5],
    ]);
    expect(refusals.map(({ line }) => line)).toEqual([3, 4, 5, 7, 8, 9, 10]);
    expect(refusals[0]!.reason).toContain('From 0.2 to 40');
    expect(refusals[6]!.reason).toContain('twice');
  });

  it.each([
    ['name,figure\nx,y', 1, 'kind and id'],
    ['kind,id,colour\n', 1, 'colour'],
    ['{"format":"other"}', 1, 'dulvan-own-knowledge'],
    ['{"format":', 1, 'not whole JSON'],
    ['kind,id\nown-taxon,own-1,extra,cells', 2, '4 cells'],
  ])('refuses %j', (text, line, reason) => {
    const [first] = readKnowledge(text, 'h').refusals;
    expect(first!.line).toBe(line);
    expect(first!.reason).toContain(reason);
  });

  it('refuses what is too large, and never throws on anything', () => {
    expect(readKnowledge('x'.repeat(KNOWLEDGE_LIMIT + 1), 'h').refusals).toHaveLength(1);
    fc.assert(fc.property(fc.string({ maxLength: 400 }), (text) => Array.isArray(readKnowledge(text, 'h').refusals)));
    fc.assert(fc.property(fc.json(), (text) => Array.isArray(readKnowledge(text, 'h').refusals)));
  });
});
