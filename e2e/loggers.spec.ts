/** Loggers as a grower meets them: a file taken in, looked at, and let correct its room. */
import { ON_PHONE, ON_WIDE, choose, expect, test } from './dulvan';

/** A month of a table with decimal commas, two things odd in it. */
function table(broken: 'no' | 'yes'): string {
  const start = Date.UTC(2026, 1, 1);
  const lines = Array.from({ length: 28 * 24 }, (_, i) => {
    const at = new Date(start + i * 3_600_000).toISOString();
    const [date, time] = [at.slice(0, 10).split('-').reverse().join('.'), at.slice(11, 16)];
    const hour = i % 24;
    const celsius = hour >= 8 && hour < 20 ? '23,5' : '14,5';
    return `${i + 1};${date} ${time};${broken === 'yes' && i === 99 ? 'warm' : celsius};${hour < 8 ? 61 : 44}`;
  });
  lines.splice(200, 12);
  return ['Serial 42', 'Nr;Zeit;Temperatur °C;Feuchte %', ...lines].join('\r\n');
}
const file = (broken: 'no' | 'yes') => ({
  name: 'loft february.csv',
  mimeType: 'text/csv',
  buffer: Buffer.from(table(broken)),
});

test(
  'imports a logger’s file with a preview, is told what is odd, and lets it correct the room',
  ON_WIDE,
  async ({ page }) => {
    await page.goto('/loggers');
    await page.getByRole('link', { name: 'Import a logger’s file' }).click();
    await page.getByLabel('Choose a file, file').setInputFiles(file('yes'));
    await expect(page.getByRole('table', { name: 'As it will be read' })).toContainText('14,5');
    await choose(page, 'Where it hangs', /^Galley$/);
    await page.getByRole('button', { name: 'Import it' }).click();
    await expect(page.getByText(/^✕ Line 102: “warm” is no number\. Nothing was imported\.$/)).toBeVisible();
    await page.getByLabel('Choose a file, file').setInputFiles(file('no'));
    await choose(page, 'Where it hangs', /^Galley$/);
    await page.getByLabel('Name of the logger').fill('Kitchen meter');
    await page.getByRole('button', { name: 'Import it' }).click();
    await expect(page.getByText(/^660 lines imported, from 1 Feb 2026, 0:00/)).toBeVisible();
    await expect(page.getByText(/Warmth: 1 gap, the longest 13\.0 h/)).toBeVisible();
    await page.getByRole('link', { name: 'See the loggers' }).click();
    await page.getByRole('link', { name: /^Kitchen meter/ }).click();
    await expect(page.getByRole('img', { name: 'Warmth over time' })).toBeVisible();
    const months = page.getByRole('table', { name: 'Months it measured' });
    await expect(months).toContainText('23.5 / 14.5');
    await page.getByRole('button', { name: 'Let it correct the air of Galley' }).click();
    await expect(page.getByText('The air of Galley is as it was measured.')).toBeVisible();
    await expect(page.getByRole('table', { name: 'What it taught of the room' })).toContainText(/Heating by day/);
    await expect(months.getByRole('columnheader', { name: 'Learnt' })).toBeVisible();
    await page.goto('/air/galley');
    await page.getByRole('slider', { name: 'Month' }).focus();
    while ((await page.getByRole('slider', { name: 'Month' }).getAttribute('aria-valuetext')) !== 'February')
      await page.keyboard.press('ArrowRight');
    await expect(page.getByText(/As you measured it/)).toBeVisible();
  },
);

test('finds a logger that drifts among the demo’s, by another in its room', ON_PHONE, async ({ page, dulvan }) => {
  await page.goto('/place');
  await page.getByRole('link', { name: 'Loggers of warmth and humidity' }).click();
  await page.getByRole('link', { name: /^Bench logger/ }).click();
  await expect(page.getByText(/^It differs from Loft logger in the same room/)).toBeVisible();
  await expect(page.getByText(/one of them drifts\.$/)).toBeVisible();
  await page.getByRole('radio', { name: 'A year' }).click();
  await expect(page.getByRole('table', { name: 'Warmth' })).toContainText('Most');
  await dulvan.restart();
  await page.reload();
  await expect(page.getByText(/one of them drifts\.$/)).toBeVisible();
});

test('refuses a file without a date and a number', ON_PHONE, async ({ page }) => {
  await page.goto('/loggers/import');
  await page
    .getByLabel('Choose a file, file')
    .setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('watered the fern\n') });
  await expect(page.getByText(/No line with a date and a number was found/)).toBeVisible();
});

test(
  'lets a logger in, hears it, sees what it sent after a restart, and shuts it out',
  ON_WIDE,
  async ({ page, dulvan }) => {
    await page.goto('/loggers');
    await page.getByRole('button', { name: /^Let a logger in/ }).click();
    await page.getByLabel('What you call it').fill('Shelf sender');
    await page.getByRole('button', { name: 'Make its key' }).click();
    const token = (await page.getByTestId('token').textContent())!;
    await expect(page.getByText(/has sent nothing yet$/)).toBeVisible();
    const send = (key: string) =>
      page.request.post(`${dulvan.url}/api/devices/samples`, {
        headers: { Authorization: `Bearer ${key}` },
        data: { battery: 77, samples: [{ at: Date.now() - 60_000, temperature: 19.4, humidity: 48 }] },
      });
    expect((await send(token)).status()).toBe(200);
    await dulvan.restart();
    await page.reload();
    await expect(page.getByText(/battery 77 %/)).toBeVisible();
    await page.getByRole('link', { name: /^Shelf sender/ }).click();
    await expect(page.getByRole('table', { name: 'Warmth' })).toContainText('19.4 °C');
    await page.goto('/loggers');
    await page.getByRole('button', { name: 'Shut out Shelf sender' }).click();
    await expect(page.getByText(/battery 77 %/)).toBeHidden();
    expect((await send(token)).status()).toBe(401);
    await expect(page.getByRole('link', { name: /^Shelf sender/ })).toBeVisible();
  },
);

test('a logger at a spot corrects that spot alone, and is taken back', ON_PHONE, async ({ page }) => {
  await page.goto('/loggers');
  await page.getByRole('link', { name: /^Bench logger/ }).click();
  await page.getByRole('button', { name: 'Let it correct its own spot' }).click();
  await expect(page.getByText(/^The air of .* is as it was measured there\.$/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Let it correct the air of Loft room' })).toBeVisible();
  await page.getByRole('button', { name: 'Let its spot follow the room again' }).click();
  await expect(page.getByRole('button', { name: 'Let it correct its own spot' })).toBeVisible();
});

test('air that harms plants now is told on Today, until it is right again', ON_PHONE, async ({ page, dulvan }) => {
  const { token } = await (
    await page.request.post(`${dulvan.url}/api/homes/sail-loft/devices`, {
      data: { name: 'Night watch', roomId: 'loft', spotId: null },
    })
  ).json();
  const now = Date.now();
  const send = (samples: readonly object[]) =>
    page.request.post(`${dulvan.url}/api/devices/samples`, {
      headers: { Authorization: `Bearer ${token}` },
      data: { battery: 80, samples },
    });
  const cold = Array.from({ length: 24 }, (_, i) => ({ at: now - (24 - i) * 900_000, temperature: 2, humidity: 55 }));
  expect((await send(cold)).status()).toBe(200);
  await page.goto('/');
  const alarm = page.getByRole('alert').filter({ hasText: 'Night watch' });
  await expect(alarm).toContainText(/as cold as 2 °C for \d hours, below .* cannot wait: warm it or move it now\./);
  await alarm.getByRole('link', { name: 'What Night watch measured' }).click();
  await expect(page.getByRole('table', { name: 'Warmth' })).toContainText('2.0 °C');
});
