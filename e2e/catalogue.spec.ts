/** Knowing the plant: names, needs, a plant without a label, hybrids, seasons, and the grower's own knowledge. */
import { readFileSync } from 'node:fs';
import { ON_PHONE, ON_WIDE, choose, expect, expectsRefusal, test, tick, unfold } from './dulvan';

test('chooses taxa by need, and sets two side by side', async ({ page }) => {
  await page.goto('/catalogue');
  await expect(page.getByTestId('taxon-count')).toHaveText(/^(\d+) of \1 taxa$/);
  // Where there is room, the needs stand beside the list.
  const opener = page.getByRole('button', { name: 'Choose by need' });
  const isFolded = await opener.isVisible();
  if (isFolded) await opener.click();
  await choose(page, 'Light on offer', '3 to 6');
  await page.getByRole('radio', { name: '60 to 80 %' }).click();
  await page.getByRole('checkbox', { name: 'cats' }).click();
  await page.getByRole('radio', { name: 'Up to 50 cm' }).click();
  await expect(page.getByTestId('taxon-count')).toHaveText(/^\d{2,3} of 6\d\d taxa$/);
  if (isFolded) await page.getByRole('button', { name: 'Hide needs' }).click();
  // Name and needs together: the peacock plant fits them, the dumb cane hurts cats.
  await page.getByRole('searchbox', { name: 'Any name' }).fill('dumb cane');
  await expect(page.getByTestId('taxon-count')).toHaveText(/^0 of/);
  await page.getByRole('searchbox', { name: 'Any name' }).fill('peacock plant');
  await expect(page.getByRole('link', { name: /Goeppertia makoyana/ })).toBeVisible();
  await page.getByRole('button', { name: 'Clear the needs' }).click();
  await page.getByRole('searchbox', { name: 'Any name' }).fill('haworhtia atenuata');
  await page.getByRole('link', { name: /Haworthiopsis attenuata/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Zebra plant' })).toBeVisible();
  await expect(page.getByText('Soft teeth along the edge and stems that stack upward are the aloe.')).toBeVisible();
  await page
    .getByRole('link', { name: /Aloe juvenna/ })
    .last()
    .click();
  await expect(page.getByRole('table', { name: /Haworthiopsis attenuata and Aloe juvenna/ })).toBeVisible();
});

test('corrects a figure with a reason, sees it in the target, and withdraws it', ON_PHONE, async ({ page }) => {
  await page.goto('/catalogue/spathiphyllum-wallisii');
  await page.getByRole('button', { name: 'Show, and correct' }).click();
  await page.getByRole('button', { name: 'Correct Light: thrives from' }).click();
  await page.getByLabel('Your figure, mol a day').fill('900');
  await page.getByRole('button', { name: 'Keep this figure' }).click();
  await expect(page.getByText('A number from 0.2 to 40 mol a day.')).toBeVisible();
  await expect(page.getByText('Say why: it stands beside the figure.')).toBeVisible();
  await page.getByLabel('Your figure, mol a day').fill('4,4');
  await page.getByLabel('Why').fill('Mine stop flowering below <b>this</b>');
  await page.getByRole('button', { name: 'Keep this figure' }).click();
  await expect(page.getByText(/yours; before [\d.]+ mol a day/)).toBeVisible();
  await page.goto('/plants/p-peace');
  await unfold(page, 'What it wants in');
  await expect(page.getByText(/thrives at 4\.4 to/)).toBeVisible();
  await expect(
    page.getByText(/Your correction of “Light: thrives from”: Mine stop flowering below <b>this<\/b>/),
  ).toBeVisible();
  await page.goto('/catalogue/knowledge');
  await page.getByRole('button', { name: /^Withdraw Light: thrives from/ }).click();
  await expect(page.getByRole('button', { name: /^Withdraw Light: thrives from/ })).toBeHidden();
  await page.goto('/plants/p-peace');
  await unfold(page, 'What it wants in');
  await expect(page.getByText(/thrives at 4\.4 to/)).toBeHidden();
});

test('plans a plant without a label from what is seen, and names it later', ON_PHONE, async ({ page }) => {
  await page.goto('/catalogue/no-label');
  await tick(page, 'Its leaves', 'Fronds that unroll', 'Thin, soft leaves');
  await expect(page.getByText('Ferns', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Keep it under this for now' }).click();
  await page.getByRole('button', { name: 'Add it without a spot' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Ferns, kind not known' })).toBeVisible();
  await expect(page.getByText('not known, so treat it as harmful', { exact: false }).first()).toBeVisible();
  await page.goto('/');
  await expect(page.getByText(/What is Ferns, kind not known called\?/)).toBeVisible();
  await page.getByRole('link', { name: /What is Ferns, kind not known called\?/ }).click();
  await page.getByRole('button', { name: 'Change its name' }).click();
  await page.getByRole('searchbox', { name: 'Its name' }).fill('adiantum capilus');
  await page.getByRole('button', { name: /Adiantum capillus-veneris/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Venus-hair fern' })).toBeVisible();
});

test('mixes a hybrid from its parents, and refuses shares that are no whole', ON_WIDE, async ({ page }) => {
  expectsRefusal();
  await page.goto('/plants/p-cattleya?open=what');
  await page.getByRole('button', { name: 'A hybrid of …' }).click();
  await page.getByRole('searchbox', { name: 'One parent' }).fill('cattleya walkeriana');
  await page.getByRole('button', { name: /Cattleya walkeriana/ }).click();
  await page.getByRole('searchbox', { name: 'Another parent' }).fill('brasavola nodosa');
  await page.getByRole('button', { name: /Brassavola nodosa/ }).click();
  await page.getByLabel('Cattleya walkeriana, %').fill('80');
  await page.getByRole('button', { name: 'Keep these parents' }).click();
  await expect(page.getByText(/must add up to 100 %; now they make 130 %/)).toBeVisible();
  await page.getByLabel('Brassavola nodosa, %').fill('20');
  await page.getByRole('button', { name: 'Keep these parents' }).click();
  await unfold(page, 'What it wants in');
  await expect(
    page.getByText('A mix of its parents: 80 % Cattleya walkeriana, 20 % Brassavola nodosa', { exact: false }),
  ).toBeVisible();
  await tick(page, 'What you see of it', 'Variegated');
  await expect(
    page.getByText('White or yellow parts: a plant of the shade needs a quarter more light', { exact: false }).first(),
  ).toBeVisible();
});

test(
  'what is seen of growth rules over the calendar, and the home’s school over the usual',
  ON_PHONE,
  async ({ page }) => {
    await page.goto('/plants/p-mammillaria');
    await unfold(page, 'What it wants through the year');
    const year = page.getByRole('list', { name: 'Its year, stretch by stretch' });
    await expect(year).toContainText('November to February: rests');
    await unfold(page, 'Edit');
    await unfold(page, 'More exactly');
    await choose(page, 'What you see', 'A new leaf');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(year).toContainText('You saw a new leaf: it is kept growing');
    await page.goto('/place/home/sail-loft');
    await unfold(page, 'More exactly');
    await page.getByRole('radio', { name: 'No rest' }).click();
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible();
    await page.goto('/plants/p-jade');
    await unfold(page, 'What it wants through the year');
    await expect(page.getByRole('list', { name: 'Its year, stretch by stretch' })).toContainText(
      'this school keeps it growing',
    );
  },
);

test(
  'keeps taxa of the grower’s own, out to a file and in again, each broken line refused by itself',
  ON_WIDE,
  async ({ page, dulvan }) => {
    await page.goto('/catalogue/own');
    await page.getByLabel('Its name').fill('Hoya of the left pane');
    await page.getByRole('searchbox', { name: 'Which is it like?' }).fill('hoya carnoza');
    await page.getByRole('button', { name: /Hoya carnosa/ }).click();
    await page.getByRole('button', { name: 'Add it to the catalogue' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Hoya of the left pane' })).toBeVisible();
    await dulvan.restart();
    await page.goto('/catalogue/knowledge');
    await expect(page.getByRole('link', { name: 'Hoya of the left pane' })).toBeVisible();
    const downloading = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as CSV' }).click();
    const csv = readFileSync(await (await downloading).path(), 'utf8');
    const good = 'own-taxon,own-x,,,Second of mine,,,hoya-carnosa,,,,,';
    const bad = 'own-taxon,bad key!,,,Third,,,hoya-carnosa,,,,,';
    const more = `${csv}${good}\n${bad}\n`;
    await page
      .getByLabel('File of own knowledge')
      .setInputFiles({ name: 'k.csv', mimeType: 'text/csv', buffer: Buffer.from(more) });
    await expect(page.getByText('Added 3 lines; left out 1 line.')).toBeVisible();
    await expect(page.getByText('Line 5: id: Not a valid key.')).toBeVisible();
    await expect(page.getByRole('link', { name: 'Second of mine' })).toBeVisible();
  },
);

test('stays quick with two thousand taxa of the grower’s own', ON_PHONE, async ({ page }) => {
  const ownTaxa = Array.from({ length: 2000 }, (_, i) => ({
    id: `own-${i}`,
    homeId: 'x',
    name: `Seedling number ${i}`,
    common: [],
    synonyms: [],
    basedOn: 'hoya-carnosa',
    key: '',
  }));
  await page.goto('/catalogue/knowledge');
  const file = JSON.stringify({ format: 'dulvan-own-knowledge', version: 1, ownTaxa, corrections: [] });
  await page
    .getByLabel('File of own knowledge')
    .setInputFiles({ name: 'k.json', mimeType: 'application/json', buffer: Buffer.from(file) });
  await expect(page.getByText('Added 2000 lines.')).toBeVisible();
  await page.goto('/catalogue');
  await expect(page.getByTestId('taxon-count')).toHaveText(/^2\d\d\d of 2\d\d\d taxa$/);
  await page.getByRole('searchbox', { name: 'Any name' }).fill('seedling number 1999');
  await expect(page.getByRole('link', { name: /Seedling number 1999/ })).toBeVisible();
});

test(
  'finds a dangerous plant by half a word and by another language, and reads its cautions first',
  ON_PHONE,
  async ({ page }) => {
    await page.goto('/catalogue');
    await page.getByRole('searchbox', { name: 'Any name' }).fill('oleand');
    await page.getByRole('link', { name: 'oleander, Nerium oleander' }).click();
    const [cautions, success] = [page.getByText('⚠ With care'), page.getByText('What decides success')];
    await expect(cautions).toBeVisible();
    await expect(page.getByText(/people, cats, dogs, birds, small mammals: toxic/)).toBeVisible();
    expect((await cautions.boundingBox())!.y).toBeLessThan((await success.boundingBox())!.y);
    await page.goto('/catalogue');
    await page.getByRole('searchbox', { name: 'Any name' }).fill('langue de belle mère');
    await expect(page.getByRole('link', { name: 'snake plant, Dracaena trifasciata' })).toBeVisible();
  },
);

test('tells where in this home a taxon would do best, and follows to the spot', ON_WIDE, async ({ page }) => {
  await page.goto('/catalogue/streptocarpus-ionanthus');
  await expect(page.getByText(/^Survives from 2\.5 mol a day/)).toBeVisible();
  const places = page.getByRole('list', { name: 'Where it would do best in your home' });
  await expect(places.getByRole('listitem')).toHaveCount(4);
  const first = places.getByRole('link').first();
  const name = (await first.textContent())!;
  await first.click();
  await expect(page.getByRole('heading', { name })).toBeVisible();
});

test('does not take a plant from a rest it would die without', ON_PHONE, async ({ page }) => {
  await page.goto('/catalogue/dionaea-muscipula');
  await page.getByRole('radio', { name: 'No rest' }).click();
  await expect(page.getByText(/It dies when it is kept from its rest/)).toBeVisible();
  await expect(page.getByText('November to February: rests')).toBeVisible();
});
