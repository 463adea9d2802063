/** Every screen, light and dark, against axe's rules, with nothing cut off at the side. */
import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, lookingTest, settled, test } from './dulvan';

const SCREENS = [
  '/',
  '/rooms',
  '/rooms/galley',
  '/stands/rack',
  '/spots/bench-1b',
  '/plants',
  '/plants/p-kalanchoe',
  '/plants/add',
  '/place',
  '/place/rooms/loft',
  '/place/windows/east',
  '/place/stands/rack',
  '/place/lamps/rack-panel',
  '/why?figure=dli&spot=bench-1b&month=11',
  '/why?figure=fit&plant=p-moth&month=11',
  '/settings',
  '/nowhere',
  '/catalogue',
  '/catalogue/euphorbia-trigona',
  '/catalogue/compare?one=crassula-ovata&other=portulacaria-afra',
  '/catalogue/no-label',
  '/catalogue/knowledge',
  '/catalogue/own',
  '/light/day/loft',
  '/light/year/bench-1b',
  '/light/beside/sill-2',
  '/light/tier/rack-2',
  '/light/reading/sill-2',
  '/light/readings',
  '/light/files',
  '/place/lamps/galley-bar',
];

/** What axe finds grave on the page as it stands. */
async function graveFindings(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  const grave = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  return grave.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`);
}

const paperColour = (page: Page) =>
  page.getByRole('main').evaluate((main) => {
    let part: Element | null = main;
    while (part && /^(rgba\(0, 0, 0, 0\)|transparent)$/.test(getComputedStyle(part).backgroundColor)) {
      part = part.parentElement;
    }
    return part ? getComputedStyle(part).backgroundColor : 'none';
  });

for (const screen of SCREENS) {
  lookingTest(`no serious or critical finding on ${screen}, light or dark`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: 'light' });
    await page.goto(screen);
    await settled(page);
    expect(await graveFindings(page)).toEqual([]);
    const sideways = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(sideways, 'scrolls sideways').toBeLessThanOrEqual(0);
    // Colours do not depend on the width: the dark ones are looked at on the phone.
    if (lookingTest.info().project.name !== 'phone') return;
    const light = await paperColour(page);
    await page.emulateMedia({ colorScheme: 'dark' });
    await expect.poll(() => paperColour(page)).not.toBe(light);
    expect(await graveFindings(page)).toEqual([]);
  });
}

test('the keyboard reaches the navigation and the month', async ({ page }) => {
  await page.goto('/rooms');
  const slider = page.getByRole('slider', { name: 'Month' });
  await slider.focus();
  const before = await slider.getAttribute('aria-valuenow');
  await page.keyboard.press('ArrowRight');
  await expect(slider).not.toHaveAttribute('aria-valuenow', before!);
  await page.getByRole('navigation').getByRole('link', { name: 'Plants' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Plants', level: 1 })).toBeVisible();
});

test('keys lead about, search, take back and keep, and rest while something is typed', async ({ page }) => {
  await page.goto('/plants/p-pothos');
  const before = await page.getByTestId('plant-whole').textContent();
  await page
    .getByRole('button', { name: /^Move here/ })
    .first()
    .click();
  await expect(page.getByTestId('plant-whole')).not.toHaveText(before!);
  await page.getByRole('button', { name: 'Close this message' }).click();
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('plant-whole')).toHaveText(before!);
  await page.keyboard.press('c');
  await expect(page.getByRole('heading', { name: 'Catalogue', level: 1 })).toBeVisible();
  await page.keyboard.press('f');
  await page.keyboard.type('tarp');
  await expect(page.getByLabel('Any name')).toHaveValue('tarp');
  await page.keyboard.press('Tab');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Take back the last change');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden();
});
