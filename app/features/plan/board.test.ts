/** Plants against spots: what a drop would do is what the table says, and two change places. */
import { applied, type FitTable } from '@dulvan/core';
import { shadePlant, shownHome, sunPlant } from '../../testing/shown-home';
import { dropChanges, dropEffect, refusalAt, standing, verdictAt } from './board';

const table: FitTable = {
  plantIds: [shadePlant.id, sunPlant.id],
  spotIds: ['bright', 'dim', 'top'],
  now: Float32Array.from([0.3, 0.8, 0.5, 0.9, 0.2, -1]),
  planned: Float32Array.from([0.4, 0.9, 0.6, 1, 0.3, -1]),
  refusals: [null, null, null, null, null, 'too-wide'],
};

it('knows where each plant stands', () => {
  expect(standing(shownHome, table)).toEqual([1, 2]);
  expect(verdictAt(table, 'now', { plant: 1, spot: 2 })).toBeNull();
  expect(refusalAt(table, { plant: 1, spot: 2 })).toBe('too-wide');
});

it('a free spot moves the plant alone', () => {
  const effect = dropEffect(shownHome, table, 'now', { plant: 1, spot: 0 });
  expect(effect).toMatchObject({ plantId: sunPlant.id, spotId: 'bright', refusal: null, before: null, other: null });
  expect(effect.after).toBeCloseTo(0.9);
  const home = applied(shownHome, dropChanges(shownHome, effect, '2026-11-30'))!;
  expect(home.plants.find(({ id }) => id === sunPlant.id)).toMatchObject({
    spotId: 'bright',
    cameFromSpotId: sunPlant.spotId,
    movedOn: '2026-11-30',
  });
});

it('on a taken spot two change places, and what the other gets is told', () => {
  const effect = dropEffect(shownHome, table, 'planned', { plant: 1, spot: 1 });
  expect(effect.other).toMatchObject({ plantId: shadePlant.id, refusal: null });
  expect(effect.other!.before).toBeCloseTo(0.9);
  expect(effect.other!.after).toBeCloseTo(0.6);
  const home = applied(shownHome, dropChanges(shownHome, effect, '2026-11-30'))!;
  const spots = Object.fromEntries(home.plants.map(({ id, spotId }) => [id, spotId]));
  expect(spots).toEqual({ [shadePlant.id]: sunPlant.spotId, [sunPlant.id]: shadePlant.spotId });
});
