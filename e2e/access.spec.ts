/** Every screen, light and dark, against axe's rules, with nothing cut off at the side. */
import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { ON_PHONE, ON_WIDE, expect, lookingTest, settled, test, unfold } from './dulvan';

/** Screens laid out in columns where there is room: looked at on both sizes. */
const IN_COLUMNS = [
  '/',
  '/rooms/galley',
  '/stands/rack',
  '/spots/bench-1b',
  '/plants',
  '/plants/p-kalanchoe',
  '/place',
  '/place/rooms/loft',
  '/place/windows/east',
  '/settings',
  '/catalogue',
  '/catalogue/euphorbia-trigona',
  '/light/day/loft',
  '/light/beside/sill-2',
  '/air/loft',
  '/air/remedies/loft',
  '/air/enclosure/loft',
  '/plan',
  '/plan/walk',
  '/plan/prices',
  '/plan/compare',
  '/loggers',
  '/plugs',
  '/loggers/loft-logger-temperature',
];

/** Screens that are one column at any width. */
const OF_ONE_COLUMN = [
  '/rooms',
  '/plants/add',
  '/place/stands/rack',
  '/place/lamps/rack-panel',
  '/why?figure=dli&spot=bench-1b&month=11',
  '/why?figure=fit&plant=p-moth&month=11',
  '/plan/what-if',
  '/nowhere',
  '/catalogue/compare?one=crassula-ovata&other=portulacaria-afra',
  '/catalogue/no-label',
  '/catalogue/knowledge',
  '/catalogue/own',
  '/light/year/bench-1b',
  '/light/tier/rack-2',
  '/light/tier/galley-shelf-2',
  '/light/reading/sill-2',
  '/light/readings',
  '/light/files',
  '/loggers/import',
  '/place/lamps/galley-bar',
  '/place/home/sail-loft',
  '/place/circuits/rack-timer',
  '/place/programme/rack-timer',
  '/changes',
  '/plants/p-moth?open=edit',
  '/plants/p-kalanchoe?open=spots',
];

/** What axe finds grave on the page as it stands. */
async function graveFindings(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  const grave = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  return grave.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`);
}

/** Sheets that open over a screen, each with the button that opens it. */
const SHEETS = [
  ['/place/windows/gable', /^Pane: /],
  ['/plants/p-moth', /^What the signs mean$/],
  ['/place/circuits/rack-timer', /^Timer runs in: /],
  ['/place/circuits/rack-timer', /^Lamps on at: /],
  ['/light/reading/sill-2', /^Another time$/],
  ['/light/beside/sill-2', /^Other spots: /],
] as const;

const paperColour = (page: Page) =>
  page.getByRole('main').evaluate((main) => {
    let part: Element | null = main;
    while (part && /^(rgba\(0, 0, 0, 0\)|transparent)$/.test(getComputedStyle(part).backgroundColor)) {
      part = part.parentElement;
    }
    return part ? getComputedStyle(part).backgroundColor : 'none';
  });

for (const screen of [...IN_COLUMNS, ...OF_ONE_COLUMN]) {
  const where = IN_COLUMNS.includes(screen) ? {} : ON_PHONE;
  lookingTest(`no serious or critical finding on ${screen}, light or dark`, where, async ({ page }) => {
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

for (const [screen, opener] of SHEETS) {
  lookingTest(
    `no serious or critical finding on the sheet ${String(opener)} of ${screen}`,
    ON_PHONE,
    async ({ page }) => {
      await page.goto(screen);
      await settled(page);
      if (opener.source.startsWith('^Another')) {
        await page.getByRole('radio', { name: opener }).click();
        await page.getByRole('button', { name: /^Day: / }).click();
      } else await page.getByRole('button', { name: opener }).click();
      await expect(page.getByRole('dialog')).toBeVisible();
      // Seen on the clock: the hand lies over a number of the inner ring, which axe takes for its ground.
      const rules = opener.source.startsWith('^Lamps on') ? ['color-contrast'] : [];
      const { violations } = await new AxeBuilder({ page }).disableRules(rules).analyze();
      expect(
        violations.filter(({ impact }) => impact === 'serious' || impact === 'critical').map(({ id }) => id),
      ).toEqual([]);
    },
  );
}

test('the keyboard reaches the navigation and the month', ON_WIDE, async ({ page }) => {
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

test('keys lead about, search, take back and keep, and rest while something is typed', ON_WIDE, async ({ page }) => {
  await page.goto('/plants/p-pothos?open=spots');
  const before = await page.getByTestId('plant-whole').textContent();
  await page
    .getByRole('button', { name: /^Move here/ })
    .first()
    .click();
  const taken = page.getByRole('button', { name: 'Both on this spot' });
  if (await taken.isVisible()) await taken.click();
  await expect(page.getByTestId('plant-whole')).not.toHaveText(before!);
  await page.getByRole('button', { name: 'Close this message' }).click();
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('plant-whole')).toHaveText(before!);
  await page.keyboard.press('c');
  await expect(page.getByRole('heading', { name: 'Catalogue', level: 1 })).toBeVisible();
  await page.keyboard.press('f');
  await page.keyboard.type('tarp');
  await expect(page.getByRole('searchbox', { name: 'Any name' })).toHaveValue('tarp');
  await page.keyboard.press('Tab');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Undo the last change');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden();
});

/** Presses Tab until what has the focus bears a name. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let presses = 0; presses < 150; presses++) {
    await page.keyboard.press('Tab');
    const focused = await page.evaluate(
      () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? '',
    );
    if (name.test(focused)) return;
  }
  throw new Error(`The keyboard does not reach ${String(name)}.`);
}

test('adds a plant by the keyboard alone', ON_WIDE, async ({ page }) => {
  await page.goto('/plants/add');
  await page.getByRole('searchbox', { name: 'What is it called?' }).waitFor();
  await page.keyboard.type('zebra plant');
  await page.getByRole('button', { name: /Haworthiopsis attenuata/ }).waitFor();
  await tabTo(page, /Haworthiopsis attenuata/);
  await page.keyboard.press('Enter');
  await tabTo(page, /^Stage: Grown/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('radio', { name: 'Grown' })).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Space');
  await tabTo(page, /^Add it without a spot/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Zebra plant' })).toBeVisible();
  await expect(page.getByText('Haworthiopsis attenuata · Juvenile')).toBeVisible();
});

test('adds a window by the keyboard alone', ON_WIDE, async ({ page }) => {
  await page.goto('/place/rooms/galley');
  await page.getByRole('heading', { level: 1 }).waitFor();
  await tabTo(page, /^Add a window/);
  await page.keyboard.press('Enter');
  await tabTo(page, /^A, /);
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: /^B, / })).toBeChecked();
  await tabTo(page, /^Width of the opening/);
  await page.keyboard.type('90');
  await tabTo(page, /^More exactly/);
  await page.keyboard.press('Enter');
  await tabTo(page, /^Add this window/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: /^Window 2/ })).toBeVisible();
});

test('adds a lamp by the keyboard alone, and leaves a sheet with Escape', ON_WIDE, async ({ page }) => {
  await page.goto('/place/stands/rack');
  await page.getByRole('heading', { level: 1 }).waitFor();
  await tabTo(page, /^Add a lamp/);
  await page.keyboard.press('Enter');
  await tabTo(page, /^More exactly/);
  await page.keyboard.press('Enter');
  await tabTo(page, /^Colour: /);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Colour' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(page.getByRole('button', { name: /^Colour: / })).toBeFocused();
  await tabTo(page, /^Add this lamp/);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Added the lamp Lamp/).first()).toBeVisible();
});

test('moves nothing for who asked for less motion', ON_PHONE, async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto('/plants/p-moth');
  await settled(page);
  await unfold(page, 'What it is');
  await page.getByRole('button', { name: 'What the signs mean' }).click();
  await expect(page.getByRole('dialog', { name: 'What the signs mean' })).toBeVisible();
  const running = await page.evaluate(() =>
    document
      .getAnimations()
      .filter((animation) => Number(animation.effect?.getComputedTiming().duration ?? 0) > 0)
      .map((animation) => String(animation.effect?.getComputedTiming().duration)),
  );
  expect(running).toEqual([]);
});

/** Words that reach beyond the screen, or that their own box cuts off. */
const cutOff = (page: Page) =>
  page.evaluate(() =>
    Array.from(document.querySelectorAll<HTMLElement>('[role=main] *, [role=navigation] *'))
      .filter((element) => {
        const { left, right, width } = element.getBoundingClientRect();
        const isText =
          element.childNodes.length > 0 && Array.from(element.childNodes).every((node) => node.nodeType === 3);
        if (!isText || width === 0 || element.closest('svg')) return false;
        return right > window.innerWidth + 1 || left < -1 || element.scrollWidth > element.clientWidth + 2;
      })
      .map((element) => `${element.textContent} (${Math.round(element.getBoundingClientRect().right)} px)`),
  );

/** Sets the browser's text to twice its size. */
const doubleText = (page: Page) =>
  page.addInitScript(() => {
    addEventListener('DOMContentLoaded', () => document.documentElement.style.setProperty('font-size', '200%'));
  });

const LARGE_TEXT = ['/', '/rooms/loft', '/plants', '/plants/p-moth', '/place/windows/gable', '/settings', '/catalogue'];

for (const screen of LARGE_TEXT) {
  lookingTest(`text of twice the size is whole on ${screen}`, async ({ page }) => {
    await doubleText(page);
    await page.goto(screen);
    await settled(page);
    const size = await page
      .getByRole('heading', { level: 1 })
      .first()
      .evaluate((heading) => getComputedStyle(heading).fontSize);
    expect(size).toBe('60px');
    expect(await cutOff(page)).toEqual([]);
  });
}

/** Words of tables that do not stand on one line. */
const brokenWords = (page: Page) =>
  page.getByRole('table').evaluateAll((tables) =>
    tables.flatMap((table) => {
      const broken: string[] = [];
      const texts = document.createTreeWalker(table, NodeFilter.SHOW_TEXT);
      for (let text = texts.nextNode(); text; text = texts.nextNode())
        for (const { 0: word, index } of (text.textContent ?? '').matchAll(/[\p{L}\d.]+/gu)) {
          const range = document.createRange();
          range.setStart(text, index);
          range.setEnd(text, index + word.length);
          const lines = new Set(Array.from(range.getClientRects(), ({ top }) => Math.round(top)));
          if (lines.size > 1) broken.push(word);
        }
      return broken;
    }),
  );

for (const screen of ['/spots/bench-1b', '/why?figure=dli&spot=bench-1b&month=11', '/place/home/sail-loft']) {
  lookingTest(`text of twice the size breaks no word in the tables of ${screen}`, ON_PHONE, async ({ page }) => {
    await doubleText(page);
    await page.goto(screen);
    await settled(page);
    await expect(page.getByRole('table').first()).toBeVisible();
    expect(await brokenWords(page)).toEqual([]);
  });
}

const LONG = 'Donaudampfschifffahrtsgesellschaftskapitänspflanze von der Fensterbank gegenüber';

test('long names are whole in every row', async ({ page }) => {
  const home = '/api/homes/sail-loft';
  await page.goto('/');
  const { revision } = (await (await page.request.get(home)).json()) as { revision: number };
  const patch = (list: string, id: string) => ({ op: 'patch', list, id, fields: { name: LONG } });
  const changes = [
    patch('plants', 'p-moth'),
    patch('rooms', 'loft'),
    patch('spots', 'bench-1b'),
    patch('stands', 'bench'),
    patch('windows', 'gable'),
    patch('circuits', 'rack-timer'),
  ];
  const saved = await page.request.post(`${home}/changes`, {
    headers: { Origin: new URL(page.url()).origin },
    data: { base: revision, key: 'long-names-0001', summary: 'Long names', changes },
  });
  expect(saved.status()).toBe(200);
  for (const screen of ['/', '/plants', '/plants/p-moth', '/rooms/loft', '/spots/bench-1b', '/stands/rack', '/place']) {
    await page.goto(screen);
    await settled(page);
    expect(await cutOff(page), screen).toEqual([]);
  }
});
