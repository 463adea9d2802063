/** Air as a grower works with it: said, computed, measured, and remedied. */
import { ON_PHONE, ON_WIDE, choose, expect, test } from './dulvan';

test('says how a room is heated and aired, and sees its air move', ON_PHONE, async ({ page, dulvan }) => {
  await page.goto('/air/galley');
  await expect(page.getByText(/A typical day in/)).toBeVisible();
  await page.getByRole('link', { name: 'Change its heating, its airing and what stands in it' }).click();
  await page.getByRole('link', { name: /^Heating and airing/ }).click();
  await page.getByLabel('Set by night, °C').fill('60');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('From 5 to 35 °C.')).toBeVisible();
  await page.getByLabel('Set by night, °C').fill('12');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('link', { name: /^Heating and airing/ })).toContainText('20 / 12 °C');
  await dulvan.restart();
  await page.reload();
  await expect(page.getByRole('link', { name: /^Heating and airing/ })).toContainText('20 / 12 °C');
});

test('puts a humidifier into a room: what it is decides what is asked', ON_WIDE, async ({ page }) => {
  await page.goto('/place/rooms/galley');
  await page.getByRole('link', { name: 'Add a radiator, fan or humidifier' }).click();
  await choose(page, 'What it is', /^Humidifier$/);
  await page.getByLabel('Name').fill('Mist maker');
  await page.getByRole('button', { name: /^Add this/ }).click();
  await expect(page.getByText('How much water it gives: more than 0 g/h.')).toBeVisible();
  await page.getByLabel('Water it gives or takes at most, g/h').fill('200');
  await page.getByRole('button', { name: /^Add this/ }).click();
  await expect(page.getByRole('link', { name: /^Mist maker/ })).toContainText('Humidifier');
  await page.goto('/air/galley');
  await expect(page.getByText('Humidifier', { exact: true })).toBeVisible();
});

test('sees a room’s air by the year, day and plan, and asks where it is driest', ON_WIDE, async ({ page }) => {
  await page.goto('/rooms/loft');
  await page.getByRole('link', { name: 'Its air through the year and the day' }).click();
  await page.getByRole('radio', { name: 'Moisture' }).click();
  await expect(page.getByRole('img', { name: 'Moisture by hour of the day and month' })).toBeVisible();
  await expect(page.getByText(/The darker, the colder by night/)).toBeVisible();
  await page.getByRole('radio', { name: 'Dry days' }).click();
  await expect(page.getByText(/The darker, the drier by day/)).toBeVisible();
  await page.getByRole('button', { name: 'Month by month' }).click();
  await expect(page.getByRole('table', { name: 'Month by month' })).toContainText('December');
});

test('compares remedies: a larger humidifier moistens more, and costs more', ON_WIDE, async ({ page }) => {
  await page.goto('/air/remedies/loft');
  const humidifier = page.getByTestId('remedy-humidifier');
  await expect(humidifier.getByText(/^[\d. to]+ kWh a day$/)).toBeVisible();
  const litres = async () => Number(/[\d.]+/.exec((await humidifier.getByText(/l a day$/).textContent())!)![0]);
  const before = await litres();
  const slider = humidifier.getByRole('slider');
  await slider.focus();
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight');
  await expect(humidifier.getByText('300 g/h all day')).toBeVisible();
  await expect.poll(litres).toBeGreaterThan(before * 1.8);
  await page.getByLabel('Price of a kWh, in your money').fill('0.30');
  await expect(humidifier.getByText('Cost')).toBeVisible();
});

test(
  'tries a case at a spot: shut and wet it is moist, by a fan it is drier; it says how soon the sun overheats it',
  ON_PHONE,
  async ({ page }) => {
    await page.goto('/air/loft');
    await page.getByRole('link', { name: 'Try a cabinet, dome or bag' }).click();
    const table = page.getByRole('table', { name: 'Try a cabinet, dome or bag' });
    const byDay = async () =>
      Number(/([\d.]+) \/ /.exec((await table.getByRole('row', { name: /^Humidity/ }).textContent())!)![1]);
    await expect(table).toContainText('Water runs down its shell');
    const shut = await byDay();
    expect(shut).toBeGreaterThan(80);
    await page.getByRole('radio', { name: 'A small fan' }).click();
    await expect.poll(byDay).toBeLessThan(shut - 5);
    const highest = page.getByRole('slider', { name: 'The most its plants survive' });
    await highest.focus();
    await page.keyboard.press('Home');
    await page.getByRole('slider', { name: 'Lamps inside it' }).focus();
    for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowRight');
    await page.getByRole('radio', { name: 'Shut tight' }).click();
    await expect(
      page.getByRole('alert').getByText(/takes it past 25 °C within \d+ min: shade it or open it/),
    ).toBeVisible();
  },
);
