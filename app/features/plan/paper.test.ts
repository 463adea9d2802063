/** The plan on paper: a page a stand, with a drawing, what is carried, and when its timers burn. */
import { ALL_MONTHS, PLAIN_STEP, homeAfter, type HomeFacts, type PlanStep } from '@dulvan/core';
import { useSettings } from '../../state/settings';
import { shadePlant, shownHome, sunPlant } from '../../testing/shown-home';
import { planPaper } from './paper';
import { standDrawing } from './stand-drawing';

const ON = '2026-11-30';
const step = (fields: Partial<PlanStep> & Pick<PlanStep, 'id' | 'kind'>): PlanStep => ({
  ...PLAIN_STEP,
  ...{ planId: 'x', order: 0, on: ON, doneOn: null, ...fields },
});

const carry = step({
  ...{ id: 'carry', kind: 'carry', plantId: sunPlant.id, fromSpotId: sunPlant.spotId, spotId: 'bright', order: 1 },
});
const longer = step({
  ...{ id: 'timer', kind: 'timer', circuitId: 'c', order: 2 },
  programme: [{ months: [...ALL_MONTHS], spans: [{ onMinute: 360, offMinute: 1200 }], level: 0.5 }],
});
const planned: HomeFacts = { ...shownHome, planSteps: [carry, longer] };

/** All that is written in a document, in its order. */
function written(content: unknown): string[] {
  if (typeof content === 'string') return [content];
  if (Array.isArray(content)) return content.flatMap(written);
  if (typeof content !== 'object' || content === null) return [];
  const { text, table, columns } = content as { text?: unknown; table?: { body: unknown }; columns?: unknown };
  return [...written(text), ...written(table?.body), ...written(columns)];
}

const pagesOf = (facts: HomeFacts) => {
  const { content } = planPaper(facts, ON, useSettings.getState().units);
  return { lines: written(content), content: content as unknown as readonly { pageBreak?: string; svg?: string }[] };
};

it('tells each spot’s plant now and by the plan', () => {
  const then = homeAfter(planned, ON);
  expect(then.plants.find(({ id }) => id === sunPlant.id)!.spotId).toBe('bright');
  const { lines } = pagesOf(planned);
  const bright = shownHome.spots.find(({ id }) => id === 'bright')!.name;
  const at = lines.indexOf(bright);
  expect(lines.slice(at, at + 3)).toEqual([bright, '–', sunPlant.name]);
});

it('lists what is to do at a stand, and its timers as they will be', () => {
  const { lines } = pagesOf(planned);
  expect(lines.some((line) => line.startsWith('Monday, 30 November: Carry Sun plant'))).toBe(true);
  expect(lines.some((line) => line.startsWith('Timer: 6:00–20:00'))).toBe(true);
  expect(lines.at(-1)).toMatch(/licensed electrician/);
});

it('begins a page for each stand but the first', () => {
  const { content } = pagesOf(planned);
  const drawings = content.filter(({ svg }) => svg);
  expect(drawings.length).toBeGreaterThan(1);
  expect(content.filter(({ pageBreak }) => pageBreak === 'before')).toHaveLength(drawings.length - 1);
});

it('says so where no stand has a plant', () => {
  expect(pagesOf({ ...shownHome, plants: [] }).lines).toContain('There is no stand with a plant on it.');
});

it('says by which day it is, and the page', () => {
  const { footer } = planPaper(planned, ON, useSettings.getState().units);
  if (typeof footer !== 'function') throw new Error('The footer counts pages.');
  expect(written(footer(2, 3, {} as never))).toEqual(['As of Monday, 30 November · page 2 of 3']);
});

describe('the drawing of a stand', () => {
  const shelf = shownHome.stands.find(({ id }) => id === 'shelf')!;

  it('has a board for each tier, its lamps, and a box for each spot', () => {
    const svg = standDrawing(shownHome, shelf)!;
    const tiers = shownHome.tiers.filter(({ standId }) => standId === 'shelf').map(({ id }) => id);
    const on = (list: readonly { readonly tierId: string }[]) => list.filter(({ tierId }) => tiers.includes(tierId));
    expect(svg.match(/<line /g)).toHaveLength(tiers.length + 1);
    expect(svg.match(/<rect /g)).toHaveLength(on(shownHome.lamps).length + on(shownHome.spots).length);
  });

  it('letters plants where they stand, whatever they are called', () => {
    const spot = shownHome.spots.find(({ id }) => id === shadePlant.spotId)!;
    const wide = { ...spot, sizeM: 2 };
    const facts = {
      ...shownHome,
      spots: shownHome.spots.map((one) => (one.id === spot.id ? wide : one)),
      plants: [{ ...shadePlant, name: '<b>"A" & B</b>' }, sunPlant],
    };
    const { standId } = shownHome.tiers.find(({ id }) => id === spot.tierId)!;
    const svg = standDrawing(
      facts,
      facts.stands.find(({ id }) => id === standId)!,
    )!;
    expect(svg).toContain('&lt;b&gt;&quot;A&quot; &amp; B&lt;/b&gt;');
    expect(svg).not.toContain('<b>');
  });

  it('is none of a stand without boards', () => {
    expect(standDrawing({ ...shownHome, tiers: [] }, shelf)).toBeNull();
  });
});
