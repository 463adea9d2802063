import { expect, expectsRefusal, test } from './dulvan';

test('builds a second room from nothing, with a window, a stand, a tier and a spot', async ({ page }) => {
  await page.goto('/place');
  await page.getByRole('link', { name: 'Add a room' }).click();
  await page.getByLabel('Name').fill('Net store');
  await page.getByLabel('Wall A looks toward, °').fill('180');
  await page.getByRole('button', { name: 'Add this room' }).click();
  await page.getByRole('link', { name: 'Add a window' }).click();
  await page.getByRole('button', { name: 'Add this window' }).click();
  await page.getByRole('link', { name: 'Add a stand' }).click();
  await page.getByLabel('Name').fill('Bench under the window');
  await page.getByRole('button', { name: 'Add this stand' }).click();
  await page.getByRole('link', { name: 'Add a tier' }).click();
  await page.getByRole('button', { name: 'Add this tier' }).click();
  await page.getByRole('link', { name: 'Add a spot' }).click();
  await page.getByLabel('Name').fill('By the pane');
  await page.getByRole('button', { name: 'Add this spot' }).click();
  await expect(page.getByRole('link', { name: 'By the pane' })).toBeVisible();
  await page.goto('/rooms');
  await page.getByRole('radio', { name: 'Net store' }).click();
  await expect(page.getByRole('link', { name: /^By the pane/ })).toContainText(/[\d.]+ mol/);
});

test('refuses what cannot be, beside the field, and keeps what was typed', async ({ page }) => {
  await page.goto('/place/windows/gable');
  await page.getByLabel('Width of the opening, cm').fill('900');
  await expect(page.getByTestId('error-Width of the opening')).toContainText('Wider than its wall: at most 7.2 m');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('alert')).toContainText('marked above');
  await page.reload();
  await expect(page.getByLabel('Width of the opening, cm')).toHaveValue('900');
  await page.getByRole('button', { name: 'Start over' }).click();
  await expect(page.getByLabel('Width of the opening, cm')).toHaveValue('260');

  await page.goto('/place/lamps/rack-panel');
  await page.getByLabel('Height above the board, cm').fill('300');
  await expect(page.getByTestId('error-Height above the board')).toContainText('Above the ceiling');
  await page.getByLabel('Photons it gives (PPF), µmol/s').fill('-5');
  await expect(page.getByTestId('error-Photons it gives (PPF)')).toContainText('From 0.1 to 5000');

  await page.goto('/place/home/sail-loft');
  await page.getByLabel('Latitude, °').fill('95');
  await expect(page.getByTestId('error-Latitude')).toContainText('From -90 to 90');

  await page.goto('/place/circuits/rack-timer');
  await page.getByLabel('Lamps off at').fill('6:00');
  await expect(page.getByTestId('error-Lamps off at')).toContainText('must go off after they come on');

  await page.goto('/place/spots/bench-1a');
  await page.getByLabel('Middle, along the stand, cm').fill('400');
  await expect(page.getByTestId('error-Middle, along the stand')).toContainText('Outside Rigger’s bench');
  await page.getByLabel('Name').fill('x'.repeat(10_000));
  await expect(page.getByTestId('error-Name')).toContainText('At most 80 characters');
});

test('shows markup in a name as it was typed', async ({ page }) => {
  await page.goto('/place/rooms/galley');
  await page.getByLabel('Name').fill('<img src=x onerror=alert(1)>');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.goto('/rooms');
  await expect(page.getByRole('radio', { name: '<img src=x onerror=alert(1)>' })).toBeVisible();
});

test('asks where the plants of a stand go before it is taken out, and brings all back', async ({ page }) => {
  await page.goto('/place/stands/bench');
  await page.getByRole('button', { name: 'Take out Rigger’s bench' }).click();
  await expect(page.getByText('Where do its plants go?')).toBeVisible();
  await page
    .getByRole('radiogroup', { name: 'Where White moth goes' })
    .getByRole('radio', { name: /Cabinet top, right/ })
    .click();
  await page.getByRole('button', { name: 'Yes, take out Rigger’s bench' }).click();
  await page.getByRole('button', { name: 'Undo' }).waitFor();
  await page.getByRole('navigation').getByRole('link', { name: 'Plants' }).click();
  await page.getByLabel('Search').fill('moth');
  await expect(page.getByRole('link', { name: 'White moth' })).toContainText('Cabinet top, right');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'White moth' })).toContainText('Bench, middle');
});

test.describe('an empty Dulvan', () => {
  test.use({ startWith: 'nothing' });

  test('asks for a home first, and refuses latitude 95', async ({ page }) => {
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Where do your plants live?' })).toBeVisible();
    await page.getByLabel('Name').fill('Lighthouse');
    await page.getByLabel('Latitude, °').fill('95');
    await page.getByRole('button', { name: 'Add this home' }).click();
    await expect(page.getByTestId('error-Latitude')).toBeVisible();
    await page.getByLabel('Latitude, °').fill('-34,6');
    await page.getByRole('button', { name: 'Add this home' }).click();
    await expect(page.getByText('Your home has no room yet.')).toBeVisible();
  });
});

test('a page of another site cannot write', async ({ request, dulvan }) => {
  expectsRefusal();
  const reply = await request.delete(`${dulvan.url}/api/homes/sail-loft`, {
    headers: { Origin: 'http://elsewhere.example' },
  });
  expect(reply.status()).toBe(403);
  expect((await request.get(`${dulvan.url}/api/homes/sail-loft`)).status()).toBe(200);
});
