/** Several tabs on one home, and workers and servers that stop in the middle. */
import type { Page } from '@playwright/test';
import { ON_PHONE, ON_WIDE, expect, expectsRefusal, openForm, test } from './dulvan';

const verdictsOf = (page: Page) => page.getByText(/\d+ of \d+ plants|Nothing is wrong|plants? (is|are) /).first();

test('what one tab saves the other shows, without a word lost in either', ON_WIDE, async ({ page, context }) => {
  const other = await context.newPage();
  await openForm(page, '/place/rooms/galley');
  await openForm(other, '/place/rooms/galley');
  await other.getByLabel('Name').fill('Galley of the other tab');
  await page.getByLabel(/^Length of wall A/).fill('310');
  await other.getByRole('button', { name: 'Save' }).click();
  await expect(other.getByText('Changed the room Galley of the other tab').first()).toBeVisible();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Galley of the other tab');
  await expect(page.getByLabel(/^Length of wall A/)).toHaveValue('310');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Changed the room Galley of the other tab').first()).toBeVisible();
  const { facts } = (await (await page.request.get('/api/homes/sail-loft')).json()) as {
    facts: { rooms: { id: string; name: string; widthM: number }[] };
  };
  expect(facts.rooms.find(({ id }) => id === 'galley')).toMatchObject({
    name: 'Galley of the other tab',
    widthM: 3.1,
  });
});

test(
  'the same field in two tabs: both values are shown, and the grower decides',
  ON_PHONE,
  async ({ page, context }) => {
    expectsRefusal();
    const other = await context.newPage();
    await openForm(page, '/place/rooms/galley');
    await openForm(other, '/place/rooms/galley');
    await page.getByLabel('Name', { exact: true }).fill('Mine');
    await other.getByLabel('Name').fill('Theirs');
    await other.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('Changed elsewhere', { exact: false })).toBeVisible();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Mine');
    await expect(page.getByText('Theirs').first()).toBeVisible();
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('alert')).toContainText('save again to put yours in their place');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Mine');
    await page.getByRole('button', { name: 'Save' }).click();
    await page.goto('/rooms');
    await expect(page.getByRole('radio', { name: 'Mine' })).toBeVisible();
  },
);

test(
  'a worker that stops in the middle is started again, and the answer comes all the same',
  ON_WIDE,
  async ({ page }) => {
    await page.goto('/light/day/loft');
    await expect.poll(() => page.workers().length).toBeGreaterThan(0);
    const [first] = page.workers();
    // It ends itself without a word, as a browser short of memory ends it.
    void first!.evaluate(() => self.close()).catch(() => undefined);
    await expect.poll(() => page.workers().includes(first!)).toBe(false);
    await expect(page.getByText('Its patch on the floor')).toBeVisible();
  },
);

test('another home opened in the middle of an answer is never shown the first one’s', ON_PHONE, async ({ page }) => {
  await page.goto('/settings');
  await page.getByRole('radio', { name: 'Shop back room' }).click();
  await page.getByRole('radio', { name: 'The sail loft' }).click();
  await page.getByRole('radio', { name: 'Shop back room' }).click();
  await page.goto('/');
  await expect(page.getByText('Shop back room').first()).toBeVisible();
  await expect(verdictsOf(page)).toBeVisible();
  const { facts } = (await (await page.request.get('/api/homes/sail-loft')).json()) as {
    facts: { plants: { name: string }[] };
  };
  const named = facts.plants.map(({ name }) => name).filter((name) => name !== '');
  const words = await page.locator('body').innerText();
  for (const name of named) expect(words).not.toContain(name);
});

test(
  'a server that was killed and started again is followed, and what was typed is saved',
  ON_PHONE,
  async ({ page, dulvan }) => {
    expectsRefusal();
    await openForm(page, '/place/rooms/galley');
    await page.getByLabel('Name', { exact: true }).fill('After the crash');
    await dulvan.killAndStart();
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('Changed the room After the crash').first()).toBeVisible();
  },
);
