import type { Page } from '@playwright/test';
import { ON_PHONE, ON_WIDE, choose, expect, test, unfold } from './dulvan';

/** A spot may be taken: both may stand there. */
async function shareIfTaken(page: Page): Promise<void> {
  const share = page.getByRole('button', { name: 'Both on this spot' });
  if (await share.isVisible()) await share.click();
}

test('adds a plant by a misspelt name, on the spot proposed', async ({ page }) => {
  await page.goto('/plants/add');
  await page.getByRole('searchbox', { name: 'What is it called?' }).fill('spathifilum');
  await page.getByRole('button', { name: /Spathiphyllum wallisii/ }).click();
  await expect(page.getByText(/Eaten: cats, dogs, birds: toxic; people: irritates/)).toBeVisible();
  await page.getByLabel(/Your name for it/).fill('Kitchen lily');
  await page
    .getByRole('button', { name: /^Put it here/ })
    .first()
    .click();
  await shareIfTaken(page);
  await expect(page.getByRole('heading', { name: 'Kitchen lily' })).toBeVisible();
  await expect(page.getByTestId('plant-whole')).toHaveText(/\d+\s%/);
  await expect(page.getByText(/^Added Kitchen lily to/).first()).toBeVisible();
  await page.goto('/plants');
  await expect(page.getByTestId('plant-count')).toHaveText('25 of 25');
});

test('moves a plant to a better spot, and takes the move back', ON_PHONE, async ({ page }) => {
  await page.goto('/plants/p-pothos?open=spots');
  const before = await page.getByTestId('plant-whole').textContent();
  const stands = page.getByText('Rack top, near · Loft room', { exact: true }).first();
  await expect(stands).toBeVisible();
  await expect(page.getByTestId('plant-trouble').first()).toContainText('Too dim all year');
  await page
    .getByRole('button', { name: /^Move here/ })
    .first()
    .click();
  await shareIfTaken(page);
  // The message with its button goes by itself: it is pressed before anything that may take time.
  await expect(page.getByText(/^Moved Marbled pothos to/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(stands).toBeVisible();
  await expect(page.getByTestId('plant-whole')).toHaveText(before!);
});

test('finds the unhappy, and writes in a plant’s journal', ON_PHONE, async ({ page }) => {
  await page.goto('/plants');
  await expect(page.getByRole('link', { name: 'Jewel orchid' })).toContainText('Thrives');
  await page.getByRole('button', { name: 'Filter and sort' }).click();
  await choose(page, 'Show', 'Air movement wrong');
  await expect(page.getByRole('link', { name: 'Jewel orchid' })).toBeHidden();
  await page.goto('/plants/p-jewel');
  await page.getByLabel('Write down what you see').fill('A new leaf, <b>dark</b> & whole');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByLabel('Write down what you see')).toHaveValue('');
  await page.reload();
  await expect(page.getByText('A new leaf, <b>dark</b> & whole')).toBeVisible();
});

test(
  'says that a plant is well where it should starve: it is believed, visibly, until that is taken back',
  ON_WIDE,
  async ({ page }) => {
    await page.goto('/plants/p-pothos?open=came-of-it');
    const verdict = page.getByTestId('plant-verdict');
    await expect(verdict).toContainText('Will decline within about');
    const before = (await verdict.textContent())!;
    await page.getByRole('button', { name: 'Has stood here and is well' }).click();
    await page.getByRole('button', { name: '3 years' }).click();
    await expect(verdict).not.toHaveText(before);
    const after = (await verdict.textContent())!;
    await page.reload();
    await expect(verdict).toHaveText(after);
    await page.getByRole('link', { name: 'Why this verdict' }).click();
    await expect(page.getByText(/^You saw it well after 3\.0 years in .* times the light of its kind$/)).toBeVisible();
    await page.goBack();
    await unfold(page, 'What came of it here');
    await page.getByRole('button', { name: /^Withdraw: was well on/ }).click();
    await expect(verdict).toHaveText(before);
  },
);

test('wants a plant to live, no more: what is trouble for it changes with that', ON_WIDE, async ({ page }) => {
  await page.goto('/plants/p-jade');
  await expect(page.getByText('What you want of it: that it grows well.')).toBeVisible();
  await unfold(page, 'Edit');
  await page.getByRole('radio', { name: 'That it flowers' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('What you want of it: that it flowers.')).toBeVisible();
});

test('opens a figure to its inputs and its method', ON_PHONE, async ({ page }) => {
  await page.goto('/spots/bench-1b');
  await page.getByRole('link', { name: 'Why this number: Light' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/Light: [\d.]+ mol a day/);
  await expect(page.getByText('Bench lamp', { exact: true })).toBeVisible();
  await expect(page.getByText(/judged at their middle, 29 cm above the board/)).toBeVisible();
  await page.goto('/plants/p-moth');
  await page.getByRole('link', { name: 'Why this verdict' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/· \d+\s%$/);
  await expect(page.getByText(/The verdict is the least of four/)).toBeVisible();
});
