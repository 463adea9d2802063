import { ON_PHONE, ON_WIDE, choose, expect, test } from './dulvan';

const dli = (text: string | null) => Number(/[\d.]+/.exec(text ?? '')![0]);

test(
  'turns lamp hours and sees the months change, before and after keeping them',
  ON_PHONE,
  async ({ page, dulvan }) => {
    await page.goto('/stands/rack');
    const figure = page.getByTestId('dli-rack-mid-1');
    await expect(figure).toHaveText(/[\d.]+ mol/);
    const before = await figure.textContent();
    const earlier = page.getByRole('button', { name: 'Rack timer off earlier' });
    for (let i = 0; i < 6; i++) await earlier.click();
    await expect(page.getByText('Rack timer: 7.0 h a day')).toBeVisible();
    await expect(page.getByText('Working …')).toBeHidden();
    await expect(figure).not.toHaveText(before!);
    const shorter = await figure.textContent();
    expect(dli(shorter)).toBeLessThan(dli(before));
    await page.reload();
    await expect(page.getByRole('region', { name: 'Not kept yet' }), 'a trial survives a reload').toBeVisible();
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByRole('region', { name: 'Not kept yet' })).toBeHidden();
    await dulvan.restart();
    await page.reload();
    await expect(page.getByText('Rack timer: 7.0 h a day')).toBeVisible();
    await expect(figure).toHaveText(shorter!);
  },
);

test('shuts a curtain, sees the light fall, and puts it back', ON_WIDE, async ({ page }) => {
  await page.goto('/rooms/loft');
  await page.getByRole('slider', { name: 'Month' }).focus();
  for (let i = 0; i < 7; i++) await page.keyboard.press('ArrowRight');
  const sill = page.getByRole('link', { name: /^Sill, left/ });
  await expect(sill).toContainText(/[\d.]+ mol/);
  const month = page.getByRole('slider', { name: 'Month' });
  await expect(month).toHaveAttribute('aria-valuetext', /\w+/);
  const before = dli((await sill.textContent())!.match(/[\d.]+ mol/)![0]);
  await choose(page, 'Curtain at the gable window', 'Blackout');
  await expect(async () => {
    const now = dli((await sill.textContent())!.match(/[\d.]+ mol/)![0]);
    expect(now).toBeLessThan(before / 2);
  }).toPass();
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(async () => {
    const now = dli((await sill.textContent())!.match(/[\d.]+ mol/)![0]);
    expect(now).toBeCloseTo(before, 1);
  }).toPass();
});

test('shows the room under the light of a month, and a spot’s year as chart and table', async ({ page }) => {
  await page.goto('/rooms');
  await expect(page.getByRole('img', { name: 'Plan of Loft room, wall A below' })).toBeVisible();
  await expect(page.getByText('mol a day and more, 80 cm above the floor')).toBeVisible();
  await page.getByRole('link', { name: /^Bench, middle/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Bench, middle');
  await page.getByRole('button', { name: 'Show as a table' }).click();
  const table = page.getByRole('table', { name: /Light by month and source/ });
  await expect(table.getByRole('row')).toHaveCount(13);
  await expect(page.getByText('Would do best here')).toBeVisible();
});
