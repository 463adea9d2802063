import { ON_PHONE, ON_WIDE, expect, test } from './dulvan';

test('sees what must be done and how soon, and mends it by moving the plant', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByTestId('sun-today')).toContainText('Sun up');
  await expect(page.getByTestId('today-summary')).toHaveText(
    /^Need something: .*\. \d+ of 24 plants do as you want\.$/,
  );
  const needy = page
    .getByRole('group')
    .filter({ has: page.getByRole('button', { name: /^Do it: Move to / }) })
    .first();
  await expect(needy).toContainText(/Will decline within about|Lives on|In danger/);
  await expect(needy).toContainText(/It .* then: \d+\s%, now \d+\s%/);
  const name = (await needy.getByRole('link').first().textContent())!;
  const place = (await needy.getByTestId('mend').textContent())!.replace('Move to ', '');
  await needy.getByRole('button', { name: /^Do it: Move to / }).click();
  await expect(page.getByText(`${name}: Move to ${place}`).first()).toBeVisible();
  await page.goto('/plants');
  await page.getByRole('searchbox', { name: 'Search' }).fill(name);
  await expect(page.getByRole('link', { name, exact: true })).toContainText(place);
});

test('tries the setting that Today proposes, and keeps it', ON_WIDE, async ({ page }) => {
  await page.goto('/');
  const proposal = page.getByRole('button', { name: /^Try it: / }).first();
  const label = (await proposal.getAttribute('aria-label'))!;
  await proposal.click();
  const bar = page.getByRole('region', { name: 'Not kept yet' });
  await expect(bar).toContainText(/^Try it: (.*), for/.exec(label)![1]!);
  await bar.getByRole('button', { name: 'Keep' }).click();
  await expect(bar).toBeHidden();
});

test('opens what could be a little better only when asked', ON_PHONE, async ({ page }) => {
  await page.goto('/');
  const mild = page.getByRole('button', { name: /could do a little better$/ });
  await expect(mild).toBeVisible();
  await expect(page.getByText('Hide what could be a little better')).toBeHidden();
  await mild.click();
  await expect(page.getByText('Hide what could be a little better')).toBeVisible();
});

test('undo brings a taken-out plant back', ON_PHONE, async ({ page }) => {
  await page.goto('/plants/p-violet?open=edit');
  await page.getByRole('button', { name: 'Take out Grandmother’s violet' }).click();
  await expect(page.getByTestId('plant-count')).toHaveText('23 of 23');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('plant-count')).toHaveText('24 of 24');
});
