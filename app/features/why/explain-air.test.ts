/** What the warmth and moisture of a spot were made from: every part named, and what was assumed. */
import { knowledge } from '@dulvan/catalogue';
import { HomeEngine, ask, type HomeFacts } from '@dulvan/core';
import { climateWith, thingWith } from '../../../core/src/home/air-things.fixture';
import { smallHome } from '../../../core/src/home/small-home.fixture';
import { degrees } from '../../parts/words';
import { explain } from './explain';

const units = { temperature: 'C', length: 'cm', light: 'ppfd' } as const;
const engine = new HomeEngine(knowledge);
const base: HomeFacts = {
  ...smallHome,
  home: { ...smallHome.home, climateId: 'cool-ocean' },
  windows: smallHome.windows.map((window) => ({ ...window, glazingId: 'double' })),
  air: [],
};
const explained = (facts: HomeFacts, spotId: string, month: number, figure: 'air' | 'vpd') => {
  const answer = ask(engine, facts, 'home', { year: 2026, month }).spots.find((spot) => spot.spotId === spotId)!;
  const asked = { facts, spotId, answer, month, units, climate: knowledge.climate('cool-ocean') };
  return { told: explain(asked, figure), air: answer.conditions[month - 1]!.air };
};

it('tells day and night as the condition has them', () => {
  const { told, air } = explained(base, 'bright', 1, 'air');
  expect(told.value).toBe(`${degrees(air.dayC, units)} by day, ${degrees(air.nightC, units)} by night`);
  expect(told.parts[0]![1]).toContain(`${Math.round(air.dayRh)} %`);
});

it('names the pane and a radiator among what parts a spot from its room, with what each does', () => {
  const radiator = thingWith({ kind: 'radiator', xM: 2, yM: 0.3, zM: 0.5 });
  const { told, air } = explained({ ...base, airThings: [radiator] }, 'bright', 1, 'air');
  const parts = air.steps.map(({ from }) => from);
  expect(parts).toEqual(expect.arrayContaining(['pane', 'radiator']));
  const texts = told.inputs.map(([, text]) => text);
  for (const { nightK } of air.steps)
    expect(texts.some((text) => text.includes(`${Math.abs(nightK).toFixed(1)} K by night`))).toBe(true);
});

it('says what is assumed of a room of which nothing was said, and no longer once it was', () => {
  const silent = explained(base, 'dim', 1, 'vpd').told;
  expect(silent.assumptions[0]).toMatch(/Nothing was said/);
  const said = explained({ ...base, climates: [climateWith()] }, 'dim', 1, 'vpd').told;
  expect(said.assumptions.join(' ')).not.toMatch(/Nothing was said/);
});

it('tells how well it is known, by the spread of the answer', () => {
  const { told, air } = explained(base, 'dim', 1, 'air');
  expect(told.doubt).toContain(`${air.spread.celsius.toFixed(1)} K`);
  expect(told.doubt).toContain(`${Math.round(air.spread.rhAbove)} more`);
});
