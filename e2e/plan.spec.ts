import { readFileSync } from 'node:fs';
import { ON_PHONE, ON_WIDE, expect, test } from './dulvan';

/** A plan of the whole demo takes its time on a busy machine. */
const PLANNED = 600_000;

test(
  'makes a plan from Today, question by question, accepts it, walks a step, and finds both after a restart of the page',
  ON_PHONE,
  async ({ page }) => {
    test.setTimeout(2 * PLANNED);
    await page.goto('/');
    await page.getByRole('button', { name: 'Make one plan for all of them' }).click({ timeout: PLANNED });
    await page.getByRole('button', { name: 'Next' }).click();
    await page.getByRole('button', { name: 'Make the plan' }).click();
    const accept = page.getByRole('button', { name: 'Accept the plan' });
    await expect(accept).toBeVisible({ timeout: PLANNED });
    const row = page.getByRole('table', { name: 'What it comes to' }).getByRole('row', { name: /Plants that decline/ });
    const [before, after] = (await row.getByRole('cell').allInnerTexts()).map(Number);
    expect(after!).toBeLessThan(before!);
    await accept.click();
    const steps = page.getByTestId('plan-step');
    await expect(steps.first()).toBeVisible();
    const count = await steps.count();
    const [paper] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'On paper' }).click(),
    ]);
    expect(paper.suggestedFilename()).toBe('plan.pdf');
    expect(
      readFileSync(await paper.path())
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-');
    await page
      .getByRole('button', { name: /^Done: Carry / })
      .first()
      .click();
    await expect(steps).toHaveCount(count - 1);
    await page.reload();
    await expect(steps).toHaveCount(count - 1);
    await page.goto('/');
    await expect(page.getByRole('button', { name: 'Walk the plan' })).toBeVisible();
  },
);

test('draws a curtain otherwise where plants gain by it, leaves it once told to', ON_PHONE, async ({ page }) => {
  test.setTimeout(3 * PLANNED);
  await page.goto('/plan');
  await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('button', { name: 'Make the plan' }).click();
  const curtains = page.getByRole('group', { name: 'Curtains of East window' });
  await expect(curtains).toBeVisible({ timeout: PLANNED });
  await expect(curtains).toContainText('Now: Sheer white curtain drawn from 7:00 to 20:00');
  await expect(curtains).toContainText(/What it alone does: .*\+\d/);
  await page.getByRole('button', { name: 'Accept the plan' }).click();
  await page.getByRole('button', { name: /^Done: Curtains of East window/ }).click();
  await expect(page.getByRole('button', { name: /^Done: Curtains of East window/ })).toHaveCount(0);
  await page.goto('/plan');
  await page.getByRole('radiogroup', { name: 'May curtains be drawn otherwise?' }).getByText('Leave them').click();
  await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('button', { name: 'Make the plan' }).click();
  await expect(page.getByRole('button', { name: 'Accept the plan' })).toBeVisible({ timeout: PLANNED });
  await expect(page.getByText('Curtains and humidifiers')).toHaveCount(0);
});

test('refuses prices that leave hours out, beside the field, and keeps what was typed', ON_PHONE, async ({ page }) => {
  await page.goto('/plan/prices');
  const byDay = page.getByRole('group', { name: 'Price 2' });
  await byDay.getByLabel('Price of a kWh').fill('0,40');
  await byDay.getByLabel('To', { exact: true }).fill('20:00');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(byDay.getByText('No price is said for Monday from 20:00 to 22:00.')).toBeVisible();
  await expect(byDay.getByLabel('Price of a kWh')).toHaveValue('0,40');
  await byDay.getByLabel('To', { exact: true }).fill('22:00');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Prices of electricity set')).toBeVisible();
});

test('holds a plant over other spots with keys, and tries one', ON_WIDE, async ({ page }) => {
  test.setTimeout(2 * PLANNED);
  await page.goto('/plan');
  await page.getByRole('button', { name: 'Make the plan' }).click({ timeout: PLANNED });
  await page.getByRole('button', { name: 'Plants against spots' }).click({ timeout: PLANNED });
  const row = page.getByRole('row', { name: /^White moth/ });
  await row.press('ArrowRight');
  await expect(page.getByTestId('drop-effect')).toHaveText(/^White moth at .+: \d+\s%, where it stands \d+\s%/);
  await row.press('Enter');
  await expect(page.getByText('White moth tried elsewhere')).toBeVisible();
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(page.getByText('White moth tried elsewhere')).toBeHidden();
});
