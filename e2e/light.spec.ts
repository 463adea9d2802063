/** Light as a grower works with it: readings, a room through a day, a tier's lamps, trees, weather and lamp files. */
import { readFileSync } from 'node:fs';
import { writeLm63 } from '../formats/src/lm63';
import { madeEpw } from '../formats/src/made-epw.fixture';
import { ON_PHONE, ON_WIDE, expect, test, tick, unfold } from './dulvan';

const firstNumber = (text: string | null) => Number(/[\d.]+/.exec(text ?? '')![0]);

test(
  'takes a reading at the shelf in four taps and a number, sees it correct the spot, and withdraws it',
  ON_PHONE,
  async ({ page, dulvan }) => {
    await page.goto('/spots/bench-1a');
    await expect(page.getByTestId('figure-dli')).toHaveText(/[\d.]+ mol/);
    const before = await page.getByTestId('figure-dli').textContent();
    await page.getByRole('link', { name: 'Take a reading' }).click();
    await page.getByLabel('The meter shows').fill('160');
    await page.getByRole('radio', { name: 'µmol/m²s' }).click();
    await page.getByRole('radio', { name: 'Dark: lamps alone' }).click();
    await page.getByRole('button', { name: 'Keep the reading' }).click();
    await expect(page.getByText(/^Lamp light as measured: /)).toBeVisible();
    await expect(page.getByTestId('figure-dli')).not.toHaveText(before!);
    const corrected = await page.getByTestId('figure-dli').textContent();
    await dulvan.restart();
    await page.reload();
    await expect(page.getByTestId('figure-dli')).toHaveText(corrected!);
    await page.getByRole('link', { name: 'Its readings' }).click();
    await page.getByRole('button', { name: 'Withdraw 160 µmol/m²s' }).click();
    await expect(page.getByText(/^Withdrawn on /)).toBeVisible();
    await page.goto('/spots/bench-1a');
    await expect(page.getByTestId('figure-dli')).toHaveText(before!);
  },
);

test(
  'plays a room’s day: the sun’s patch falls on the floor at noon and is gone at night',
  ON_WIDE,
  async ({ page }) => {
    await page.goto('/rooms/loft');
    await page.getByRole('link', { name: 'Through a day, hour by hour' }).click();
    await expect(page.getByText('Its patch on the floor is outlined.')).toBeVisible();
    const noon = firstNumber(await page.getByTestId('now-sill-2').textContent());
    await page.getByRole('radio', { name: 'Overcast' }).click();
    await expect(page.getByText('No patch of it on the floor.')).toBeVisible();
    await expect(async () =>
      expect(firstNumber(await page.getByTestId('now-sill-2').textContent())).toBeLessThan(noon),
    ).toPass();
    const time = page.getByRole('slider', { name: 'Time of day' });
    await time.focus();
    await page.keyboard.press('Home');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^0:00/);
    await expect(page.getByText(/The sun is down/)).toBeVisible();
    await page.getByRole('button', { name: 'Play the day' }).click();
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(/^0:00/);
  },
);

test('finds the height and hours for a wanted light, and hangs the lamps there', ON_WIDE, async ({ page }) => {
  await page.goto('/stands/rack');
  await page.getByRole('link', { name: 'Lamps over the tier at 90 cm' }).click();
  await expect(page.getByTestId('lamp-plan')).toHaveText(
    /^Hang them \d+ cm above the board and run them [\d.]+ h a day\.$/,
  );
  const mean = firstNumber(await page.getByTestId('tier-mean').textContent());
  await page.getByRole('button', { name: 'Try that height and those hours' }).click();
  await expect(page.getByRole('region', { name: 'Not kept yet' })).toContainText('Lamps over Sail rack at');
  await expect(async () =>
    expect(firstNumber(await page.getByTestId('tier-mean').textContent())).not.toBe(mean),
  ).toPass();
  await page.getByLabel('Wanted light, mol a day').fill('a lot');
  await expect(page.getByTestId('error-Wanted light')).toHaveText(/From 0.1 to 60 mol a day/);
  await page.getByLabel('Wanted light, mol a day').fill('55');
  await expect(page.getByTestId('lamp-plan')).toHaveText(/^No height will do/);
});

test('shows a spot’s year by day and hour, and holds it beside other places', ON_PHONE, async ({ page }) => {
  await page.goto('/spots/sill-2');
  await page.getByRole('link', { name: 'Every day and hour' }).click();
  await expect(page.getByRole('table', { name: 'Light by month' }).getByRole('row')).toHaveCount(13);
  await page.goBack();
  await page.getByRole('link', { name: 'Compare with other spots' }).click();
  const places = page.getByRole('list', { name: /^Light in / });
  await expect(places.getByRole('listitem').first()).toContainText('Sill, left');
  await expect(places).toContainText('50 cm farther from it');
  const before = await places.getByRole('listitem').count();
  await tick(page, 'Other spots', /^Bench, middle/);
  await expect(places.getByRole('listitem')).toHaveCount(before + 1);
});

test('says what is lost on the way to a leaf', ON_PHONE, async ({ page }) => {
  await page.goto('/why?figure=dli&spot=galley-sill-a&month=6');
  const lost = page.getByRole('table', { name: 'Daylight lost on the way, reflected light not counted' });
  await expect(lost.getByRole('row')).toHaveCount(5);
  await expect(lost).toContainText(/To curtains, blinds and films[\d.]+ mol, [1-9]/);
});

test('plants a tree before the windows and sees the room darken', ON_WIDE, async ({ page }) => {
  await page.goto('/spots/galley-sill-a');
  await expect(page.getByTestId('figure-dli')).toHaveText(/[\d.]+ mol/);
  const before = firstNumber(await page.getByTestId('figure-dli').textContent());
  await page.goto('/place/rooms/galley');
  await page.getByRole('link', { name: 'Add a house, hill or tree' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Holm oak');
  await page.getByRole('radio', { name: 'Evergreen tree' }).click();
  await page.getByLabel('Its left edge, by compass, °').fill('20');
  await page.getByLabel('Its right edge, by compass, °').fill('160');
  await page.getByLabel('Its top above the horizon, °').fill('95');
  await page.getByRole('button', { name: /^Save|^Keep|^Add/ }).click();
  await expect(page.getByText(/From 1 to 85 degrees/)).toBeVisible();
  await page.getByLabel('Its top above the horizon, °').fill('60');
  await page.getByRole('button', { name: /^Save|^Keep|^Add/ }).click();
  await expect(page.getByRole('link', { name: 'Holm oak' })).toBeVisible();
  await page.goto('/spots/galley-sill-a');
  await expect(async () =>
    expect(firstNumber(await page.getByTestId('figure-dli').textContent())).toBeLessThan(before),
  ).toPass();
});

test('imports a year of weather, refuses a broken one with its line, and takes it back', ON_WIDE, async ({ page }) => {
  await page.goto('/light/files');
  const chooser = page.getByLabel('Choose an EPW file, file');
  const file = (text: string) => ({ name: 'year.epw', mimeType: 'text/plain', buffer: Buffer.from(text) });
  await chooser.setInputFiles(file(madeEpw({ instead: { 500: 'broken' } })));
  await expect(page.getByText(/Line 500: .* Nothing was changed\./)).toBeVisible();
  await chooser.setInputFiles(file(madeEpw()));
  await expect(page.getByText('Now: file of Herring Sound', { exact: false })).toBeVisible();
  await page.goto('/why?figure=dli&spot=bench-1b&month=11');
  await expect(page.getByText('file of Herring Sound', { exact: false })).toBeVisible();
  await page.goto('/light/files');
  await page.getByRole('button', { name: 'Take the file out' }).click();
  await expect(page.getByText('Now: cool coast', { exact: false })).toBeVisible();
});

test('reads a lamp file, hangs it on a lamp, and writes it out again', ON_PHONE, async ({ page }) => {
  const lamp = {
    name: 'Own bar',
    lumens: 1800,
    powerW: 18,
    lengthM: 0.9,
    breadthM: 0.04,
    planes: [0, 90],
    angles: [0, 30, 60, 90],
    candela: [700, 550, 260, 0, 700, 500, 150, 0],
  };
  await page.goto('/light/files');
  await page
    .getByLabel('Choose a lamp file, file')
    .setInputFiles({ name: 'bar.ies', mimeType: 'text/plain', buffer: Buffer.from(writeLm63(lamp)) });
  await expect(page.getByText(/^1800 lm, 18 W, 2 planes of 4 angles; no lamp uses it$/)).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save Own bar as LM-63' }).click();
  const path = await (await saved).path();
  expect(readFileSync(path, 'utf8')).toBe(writeLm63(lamp));
  await page.goto('/place/lamps/galley-bar');
  await unfold(page, 'More exactly');
  await page.getByRole('radio', { name: 'Own bar' }).click();
  await page.getByRole('button', { name: /^Save|^Keep/ }).click();
  await page.goto('/light/files');
  await expect(page.getByText(/used by Galley bar$/)).toBeVisible();
});

test('draws a spot along its stand and sees its light follow, before it is kept', async ({ page }) => {
  await page.goto('/spots/bench-1a');
  await expect(page.getByTestId('figure-dli')).toHaveText(/[\d.]+ mol/);
  const before = await page.getByTestId('figure-dli').textContent();
  const slider = page.getByRole('slider', { name: 'From its end toward wall D' });
  await slider.scrollIntoViewIfNeeded();
  const box = (await slider.boundingBox())!;
  await page.mouse.move(box.x + box.width * 0.2, box.y + box.height / 2);
  await page.mouse.down();
  for (let share = 0.2; share < 0.75; share += 0.05)
    await page.mouse.move(box.x + box.width * share, box.y + box.height / 2);
  await page.mouse.up();
  await expect(page.getByRole('region', { name: 'Not kept yet' })).toContainText('along');
  await expect(page.getByTestId('figure-dli')).not.toHaveText(before!);
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(page.getByTestId('figure-dli')).toHaveText(before!);
});

test('keeps a drawing as a picture, its title above it', ON_WIDE, async ({ page }) => {
  await page.goto('/light/year/sill-4');
  await expect(page.getByRole('table', { name: 'Light by month' })).toBeVisible();
  const saving = page.waitForEvent('download');
  await page
    .getByRole('button', { name: 'Save as a picture: The sail loft, Sill, starboard end: what shines, day by day' })
    .click();
  const saved = await saving;
  expect(saved.suggestedFilename()).toBe('the-sail-loft-sill-starboard-end-what-shines-day-by-day.png');
  const told = await page.evaluate(
    async (base64) => {
      const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
      const image = await createImageBitmap(new Blob([bytes], { type: 'image/png' }));
      const pen = new OffscreenCanvas(image.width, image.height).getContext('2d', { willReadFrequently: true })!;
      pen.drawImage(image, 0, 0);
      // What differs from the paper in the corner, in the band of the title and below it.
      const drawnShare = (top: number, bottom: number) => {
        const { data } = pen.getImageData(0, top, image.width, bottom - top);
        let drawn = 0;
        for (let i = 0; i < data.length; i += 4)
          if (
            Math.abs(data[i]! - data[0]!) + Math.abs(data[i + 1]! - data[1]!) + Math.abs(data[i + 2]! - data[2]!) >
            30
          )
            drawn++;
        return drawn / (data.length / 4);
      };
      return {
        width: image.width,
        height: image.height,
        title: drawnShare(0, 84),
        below: drawnShare(84, image.height),
      };
    },
    readFileSync(await saved.path()).toString('base64'),
  );
  const drawing = (await page.getByRole('img', { name: /^What shines on this spot/ }).boundingBox())!;
  expect(told.width).toBe(2 * Math.round(drawing.width + 32));
  expect(told.height).toBeGreaterThan(2 * drawing.height);
  expect(told.title).toBeGreaterThan(0.02);
  expect(told.below).toBeGreaterThan(0.3);
});
