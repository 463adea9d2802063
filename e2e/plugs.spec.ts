/** Timer plugs as a grower meets them: added, looked at, armed after a warning, held against their timer, let go. */
import { MINUTE_MS } from '@dulvan/core';
import { PlugSimulator, type PlugManner } from '../simulators/src/plugs';
import { ON_PHONE, ON_WIDE, choose, expect, expectsRefusal, test } from './dulvan';
import type { Page } from '@playwright/test';

/** A stand-in plug of the demo's zone, and how far its clock has run ahead. */
async function plugIn(manner: PlugManner) {
  const ahead = { ms: 0 };
  const plug = new PlugSimulator(
    { name: 'Shelf', manner, timeZone: 'Europe/London', watts: 62 },
    () => Date.now() + ahead.ms,
  );
  return { ahead, address: await plug.listen(0), plug };
}

async function add(page: Page, { name, timer, address }: { name: string; timer: RegExp; address: string }) {
  await page.getByLabel('What you call it').fill(name);
  await choose(page, 'Its timer', timer);
  await page.getByLabel('Its address').fill(address);
  await page.getByRole('button', { name: 'Add it' }).click();
}

const arm = async (page: Page, name: string) => {
  await page.getByRole('button', { name: `Arm ${name}` }).click();
  await expect(page.getByText(/Only lamps hang on it/)).toBeVisible();
  await page.getByRole('button', { name: 'Arm it', exact: true }).click();
};

test('a plug is asked, armed after a warning, set to its timer, and follows it', ON_PHONE, async ({ page, dulvan }) => {
  const { plug, address } = await plugIn('honest');
  await page.goto('/place');
  await page.getByRole('link', { name: 'Timer plugs on your network' }).click();
  await page.getByLabel('Its address').fill('http://example.com');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByText(/An address in your own network/)).toBeVisible();
  await add(page, { name: 'Cabinet plug', timer: /^Cabinet timer$/, address });
  const shown = page.getByRole('group', { name: 'Cabinet plug' });
  await expect(shown).toContainText('It keeps another programme than its timer here, all year.');
  await expect(shown).toContainText('Not armed: nothing is sent to it.');
  expect(plug.told().programme).toEqual([]);
  await arm(page, 'Cabinet plug');
  await expect(shown).toContainText('✓ As its timer says.');
  await expect(shown).toContainText('It keeps 8:00–20:00.');
  expect(plug.told().programme).toHaveLength(1);
  await dulvan.restart();
  await page.reload();
  await expect(shown).toContainText(/Armed\. Last set/);
  await page.goto('/place/programme/cabinet-timer');
  await page.getByLabel('On', { exact: true }).fill('6:00-10:00, 16:00-20:00');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.goto('/plugs');
  await page.getByRole('button', { name: 'Check Cabinet plug now' }).click();
  await expect(shown).toContainText('It keeps 6:00–10:00, 16:00–20:00.');
  await page.getByRole('button', { name: 'Disarm Cabinet plug' }).click();
  await expect(shown).toContainText('Not armed');
  await plug.close();
});

test('plugs that refuse, talk nonsense or are away are told for what they are', ON_WIDE, async ({ page }) => {
  expectsRefusal();
  const [refusing, mad, away] = [await plugIn('refusing'), await plugIn('talking-nonsense'), await plugIn('honest')];
  await page.goto('/plugs');
  await add(page, { name: 'Stubborn', timer: /^Cabinet timer$/, address: refusing.address });
  const stubborn = page.getByRole('group', { name: 'Stubborn' });
  await expect(stubborn).toBeVisible();
  await add(page, { name: 'Mad', timer: /^Bench timer$/, address: mad.address });
  await expect(page.getByRole('group', { name: 'Mad' })).toContainText('makes no sense');
  await arm(page, 'Mad');
  await expect(page.getByRole('group', { name: 'Mad' })).toContainText('It does not answer as a plug does.');
  await arm(page, 'Stubborn');
  await expect(stubborn).toContainText('It says: “Locked by the switch on its side.”');
  await away.plug.close();
  await add(page, { name: 'Away', timer: /^Galley timer$/, address: away.address });
  await expect(page.getByRole('group', { name: 'Away' })).toContainText('It does not answer');
  await page.goto('/');
  const alarm = page.getByRole('alert').filter({ hasText: 'Stubborn' });
  await expect(alarm).toContainText('It takes no programme');
  await expect(alarm).not.toContainText('Mad');
  await page.goto('/plugs');
  await page.getByRole('button', { name: 'Forget Stubborn' }).click();
  await expect(stubborn).toBeHidden();
  for (const { plug } of [refusing, mad]) await plug.close();
});

test('a clock that runs ahead is told, and put right once the plug is armed', ON_WIDE, async ({ page }) => {
  const { plug, address, ahead } = await plugIn('drifting');
  ahead.ms = 20 * MINUTE_MS;
  await page.goto('/plugs');
  await add(page, { name: 'Drifter', timer: /^Cabinet timer$/, address });
  const shown = page.getByRole('group', { name: 'Drifter' });
  await expect(shown).toContainText(/Its clock is 2[01] minutes ahead/);
  await arm(page, 'Drifter');
  await expect(shown).toContainText('✓ As its timer says.');
  await plug.close();
});
