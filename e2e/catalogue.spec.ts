import { expect, test } from './dulvan';

test('finds a dangerous plant by half a word and by another language, and reads its cautions first', async ({
  page,
}) => {
  await page.goto('/catalogue');
  await page.getByLabel('Any name').fill('oleand');
  await page.getByRole('link', { name: 'oleander, Nerium oleander' }).click();
  const [cautions, success] = [page.getByText('⚠ With care'), page.getByText('What decides success')];
  await expect(cautions).toBeVisible();
  await expect(page.getByText(/people, cats, dogs, birds, small mammals: toxic/)).toBeVisible();
  expect((await cautions.boundingBox())!.y).toBeLessThan((await success.boundingBox())!.y);
  await page.goto('/catalogue');
  await page.getByLabel('Any name').fill('langue de belle mère');
  await expect(page.getByRole('link', { name: 'snake plant, Dracaena trifasciata' })).toBeVisible();
});

test('tells where in this home a taxon’s light is met, and follows to the spot', async ({ page }) => {
  await page.goto('/catalogue/streptocarpus-ionanthus');
  await expect(page.getByText(/^Survives from 2\.5 mol a day/)).toBeVisible();
  const places = page.getByRole('list', { name: 'Where its light is met in your home' });
  await expect(places.getByRole('listitem')).toHaveCount(4);
  const first = places.getByRole('link').first();
  const name = (await first.textContent())!;
  await first.click();
  await expect(page.getByRole('heading', { name })).toBeVisible();
});

test('does not take a plant from a rest it would die without', async ({ page }) => {
  await page.goto('/catalogue/dionaea-muscipula');
  await page.getByRole('radio', { name: 'No rest' }).click();
  await expect(page.getByText(/It dies when it is kept from its rest/)).toBeVisible();
  await expect(page.getByText('November to February: rests')).toBeVisible();
});
