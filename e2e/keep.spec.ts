/** What is kept stays kept: export and import, restart, sudden death. */
import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { smallHome } from '../core/src/home/small-home.fixture';
import { ON_PHONE, ON_WIDE, expect, expectsRefusal, openForm, test } from './dulvan';

/** The facts of a home as the server tells them. */
async function factsOf(page: Page, homeId: string): Promise<unknown> {
  const home = (await (await page.request.get(`/api/homes/${homeId}`)).json()) as { facts: unknown };
  return home.facts;
}

test('exports everything, takes the home out, imports it again: the same home', ON_PHONE, async ({ page }) => {
  const before = await factsOf(page, 'sail-loft');
  await page.goto('/settings');
  const downloading = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save everything' }).click();
  const file = await (await downloading).path();
  expect(readFileSync(file).subarray(0, 2).toString()).toBe('PK');
  await page.getByRole('button', { name: 'Take out The sail loft' }).click();
  await page.getByRole('button', { name: 'Yes, take out The sail loft' }).click();
  await expect(page.getByRole('radio', { name: 'The sail loft' })).toBeHidden();
  await page.getByLabel('Saved file', { exact: true }).setInputFiles(file);
  await expect(page.getByText('Imported one home')).toBeVisible();
  await expect(page.getByRole('radio', { name: 'The sail loft' })).toBeVisible();
  expect(await factsOf(page, 'sail-loft')).toEqual(before);
});

test('a wiped home comes back by undo', ON_WIDE, async ({ page }) => {
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Take out The sail loft' }).click();
  await page.getByRole('button', { name: 'Yes, take out The sail loft' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('radio', { name: 'The sail loft' })).toBeVisible();
});

/** Two homes as the third version wrote them, one of them with a note in its journal. */
function thirdVersion(): string {
  const { windows, ...lists } = smallHome;
  const earlier = windows.map(({ curtains: _curtains, ...window }) => ({
    ...window,
    glazingId: 'double',
    curtainId: 'none',
    curtainMonths: [1],
    curtainFromMinute: 600,
    curtainToMinute: 900,
    secondCurtainId: 'none',
    secondCurtainMonths: [1],
    secondCurtainFromMinute: 600,
    secondCurtainToMinute: 900,
  }));
  const plants = smallHome.plants.map((each) => ({ ...each, taxonId: 'aloe-vera' }));
  const home = { ...smallHome.home, climateId: 'cool-ocean' };
  const entry = { id: 'n1', homeId: 'h', at: 1_700_000_000_000, undoes: null, changes: [] };
  const other = { ...home, id: 'h2', name: 'Second small home' };
  const empty = Object.fromEntries(Object.keys(lists).map((list) => [list, []]));
  return JSON.stringify({
    format: 'dulvan-bundle',
    version: 3,
    exportedAt: '2026-06-01T00:00:00.000Z',
    homes: [
      { ...lists, home, plants, windows: earlier },
      { ...empty, windows: [], home: other },
    ],
    journal: [{ ...entry, kind: 'note', summary: 'A new leaf', plantId: plants[0]!.id }],
  });
}

test('an import of an earlier version’s homes is undone as one', ON_PHONE, async ({ page }) => {
  await page.goto('/settings');
  const file = { name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(thirdVersion()) };
  await page.getByLabel('Saved file', { exact: true }).setInputFiles(file);
  await expect(page.getByText('Imported 2 homes')).toBeVisible();
  await expect(page.getByRole('radio', { name: 'Second small home' })).toBeVisible();
  const records = (await (await page.request.get('/api/homes/h/records')).json()) as { records: object[] };
  expect(records.records).toMatchObject([{ kind: 'note', body: { text: 'A new leaf' } }]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('radio', { name: 'Second small home' })).toBeHidden();
  await expect(page.getByRole('radio', { name: 'The sail loft', exact: true })).toBeVisible();
});

test('an old change is taken back from the place’s history', ON_WIDE, async ({ page }) => {
  await openForm(page, '/place/rooms/galley');
  await page.getByLabel('Name').fill('Old galley');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.goto('/changes');
  await page.getByRole('button', { name: 'Undo: Changed the room Old galley' }).click();
  await expect(page.getByText('Undone', { exact: true })).toBeVisible();
  await page.goto('/place');
  await expect(page.getByRole('link', { name: 'Galley', exact: true })).toBeVisible();
});

test(
  'refuses broken, foreign and other versions’ bundles with the place and the reason',
  ON_PHONE,
  async ({ page }) => {
    expectsRefusal();
    await page.goto('/settings');
    const give = async (text: string) =>
      page
        .getByLabel('Saved file', { exact: true })
        .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(text) });
    await give('{ "format": "dulvan-bundle",\n "version": 1, ');
    await expect(page.getByRole('alert')).toContainText('neither a zip nor whole JSON (line 2');
    await give('{"format":"something-else","version":1}');
    await expect(page.getByRole('alert')).toContainText('not a Dulvan bundle');
    await give('{"format":"dulvan-bundle","version":99}');
    await expect(page.getByRole('alert')).toContainText('written by a newer Dulvan');
    await give(
      '{"format":"dulvan-bundle","version":1,"exportedAt":"2026-01-01T00:00:00.000Z",' +
        '"journal":[],"homes":[{"home":{"id":"x"}}]}',
    );
    await expect(page.getByRole('alert')).toContainText('At homes › 0 › home › name');
  },
);

test('a confirmed save survives a sudden death of the server', ON_WIDE, async ({ page, dulvan }) => {
  expectsRefusal();
  await openForm(page, '/place/rooms/galley');
  await page.getByLabel('Name').fill('Galley with the new stove');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Changed the room Galley with the new stove').first()).toBeVisible();
  await page.getByRole('heading', { name: 'The sail loft', level: 1 }).waitFor();
  await dulvan.killAndStart();
  await page.goto('/rooms');
  await expect(page.getByRole('radio', { name: 'Galley with the new stove' })).toBeVisible();
});

test('a save that fails says so and keeps what was typed', ON_PHONE, async ({ page }) => {
  await openForm(page, '/place/rooms/galley');
  await page.getByLabel('Name').fill('Galley two');
  await page.route('**/api/homes/*/changes', (route) =>
    route.fulfill({ status: 500, json: { message: 'Something failed here, and nothing was stored.', problems: [] } }),
  );
  test.info().annotations.push({ type: 'expects-refusal' });
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('alert')).toContainText('nothing was stored');
  await page.unroute('**/api/homes/*/changes');
  await page.reload();
  await expect(page.getByLabel('Name')).toHaveValue('Galley two');
});
