import { expect, test } from './dulvan';

test('sees what is wrong, and mends it by moving the plant', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByTestId('sun-today')).toContainText('Sun up');
  const summary = page.getByTestId('today-summary');
  await expect(summary).toContainText('of 24 plants lack something');
  const before = Number(/^(\d+)/.exec((await summary.textContent())!)![1]);
  expect(before).toBeGreaterThan(0);
  const worst = page
    .getByRole('group')
    .filter({ has: page.getByRole('button', { name: /^Move / }) })
    .first();
  await expect(worst).toContainText(/gets .* wants|gets .* tolerates/);
  const name = (await worst.getByRole('link').first().textContent())!;
  const move = worst.getByRole('button', { name: /^Move / });
  const place = (await move.textContent())!.replace('Move to ', '');
  await move.click();
  await expect(page.getByText(`Moved ${name} to ${place}`)).toBeVisible();
  await page.goto('/plants');
  await page.getByLabel('Search').fill(name);
  await expect(page.getByRole('link', { name, exact: true })).toContainText(place);
});

test('tries the lamp hours that Today proposes, and keeps them', async ({ page }) => {
  await page.goto('/');
  const show = page.getByRole('button', { name: /^Show the other/ });
  await show.click();
  const proposal = page.getByRole('button', { name: /^Try .* timer/ }).first();
  await proposal.click();
  const bar = page.getByRole('region', { name: 'Not kept yet' });
  await expect(bar).toContainText(/timer: \d+:\d\d to \d+:\d\d/);
  await bar.getByRole('button', { name: 'Keep' }).click();
  await expect(bar).toBeHidden();
});

test('undo brings a taken-out plant back', async ({ page }) => {
  await page.goto('/plants/p-violet');
  await page.getByRole('button', { name: 'Take out Grandmother’s violet' }).click();
  await expect(page.getByTestId('plant-count')).toHaveText('23 of 23');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('plant-count')).toHaveText('24 of 24');
});
