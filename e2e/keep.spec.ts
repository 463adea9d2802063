/** What is kept stays kept: export and import, restart, sudden death. */
import { readFileSync } from 'node:fs';
import { expect, expectsRefusal, test } from './dulvan';

test('exports everything, takes the home out, imports it again: the same home', async ({ page, request, dulvan }) => {
  const before: unknown = await (await request.get(`${dulvan.url}/api/homes/sail-loft`)).json();
  await page.goto('/settings');
  const downloading = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export everything' }).click();
  const file = await (await downloading).path();
  expect(JSON.parse(readFileSync(file, 'utf8'))).toMatchObject({ format: 'dulvan-bundle', version: 3 });
  await page.getByRole('button', { name: 'Take out The sail loft' }).click();
  await page.getByRole('button', { name: 'Yes, take out The sail loft' }).click();
  await expect(page.getByRole('radio', { name: 'The sail loft' })).toBeHidden();
  await page.getByLabel('Bundle file').setInputFiles(file);
  await expect(page.getByText('Imported one home')).toBeVisible();
  await expect(page.getByRole('radio', { name: 'The sail loft' })).toBeVisible();
  const after: unknown = await (await request.get(`${dulvan.url}/api/homes/sail-loft`)).json();
  expect(after).toEqual(before);
});

test('a wiped home comes back by undo', async ({ page }) => {
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Take out The sail loft' }).click();
  await page.getByRole('button', { name: 'Yes, take out The sail loft' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('radio', { name: 'The sail loft' })).toBeVisible();
});

test('an import of several homes is undone as one, and old changes from the place’s history', async ({ page }) => {
  await page.goto('/settings');
  const downloading = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export everything' }).click();
  const bundle = JSON.parse(readFileSync(await (await downloading).path(), 'utf8')) as {
    homes: { home: { name: string } }[];
  };
  for (const { home } of bundle.homes) home.name = `${home.name} again`;
  await page
    .getByLabel('Bundle file')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(bundle)) });
  await expect(page.getByText('Imported 2 homes')).toBeVisible();
  await expect(page.getByRole('radio', { name: 'Shop back room again' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('radio', { name: 'Shop back room', exact: true })).toBeVisible();
  await expect(page.getByRole('radio', { name: 'The sail loft', exact: true })).toBeVisible();

  await page.goto('/place/rooms/galley');
  await page.getByLabel('Name').fill('Old galley');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.goto('/place');
  await page.getByRole('button', { name: 'Take back: Changed the room Old galley' }).click();
  await expect(page.getByRole('link', { name: 'Galley', exact: true })).toBeVisible();
});

test('refuses broken, foreign and other versions’ bundles with the place and the reason', async ({ page }) => {
  expectsRefusal();
  await page.goto('/settings');
  const give = async (text: string) =>
    page
      .getByLabel('Bundle file')
      .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await give('{ "format": "dulvan-bundle",\n "version": 1, ');
  await expect(page.getByRole('alert')).toContainText('not whole JSON (line 2');
  await give('{"format":"something-else","version":1}');
  await expect(page.getByRole('alert')).toContainText('not a Dulvan bundle');
  await give('{"format":"dulvan-bundle","version":7}');
  await expect(page.getByRole('alert')).toContainText('written by a newer Dulvan');
  await give(
    '{"format":"dulvan-bundle","version":1,"exportedAt":"2026-01-01T00:00:00.000Z","journal":[],"homes":[{"home":{"id":"x"}}]}',
  );
  await expect(page.getByRole('alert')).toContainText('At homes › 0 › home › name');
});

test('a confirmed save survives a sudden death of the server', async ({ page, dulvan }) => {
  expectsRefusal();
  await page.goto('/place/rooms/galley');
  await page.getByLabel('Name').fill('Galley with the new stove');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Changed the room Galley with the new stove').first()).toBeVisible();
  await page.getByRole('heading', { name: 'The sail loft', level: 1 }).waitFor();
  await page.waitForLoadState('networkidle');
  await dulvan.killAndStart();
  await page.goto('/rooms');
  await expect(page.getByRole('radio', { name: 'Galley with the new stove' })).toBeVisible();
});

test('a save that fails says so and keeps what was typed', async ({ page }) => {
  await page.goto('/place/rooms/galley');
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
