import { ON_PHONE, ON_WIDE, expect, expectsRefusal, openForm, test, unfold } from './dulvan';

test('builds a second room from nothing, with a window, a stand, a tier and a spot', async ({ page }) => {
  await page.goto('/place');
  await page.getByRole('link', { name: 'Add a room' }).click();
  await page.getByLabel('Name').fill('Net store');
  await page.getByLabel('The window wall (A) faces, °').fill('180');
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

test('refuses what cannot be, beside the field, and keeps what was typed', ON_PHONE, async ({ page }) => {
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
  await page.getByRole('button', { name: /^Lamps off at: / }).click();
  const clock = page.getByRole('dialog');
  await clock.getByRole('button', { name: 'Type it' }).click();
  await clock.getByRole('textbox').nth(0).fill('6');
  await clock.getByRole('textbox').nth(1).fill('00');
  await clock.getByRole('button', { name: 'Take this time' }).click();
  await expect(page.getByTestId('error-Lamps off at')).toContainText('must go off after they come on');

  await page.goto('/place/spots/bench-1a');
  await page.getByLabel('Middle, along the stand, cm').fill('400');
  await expect(page.getByTestId('error-Middle, along the stand')).toContainText('Outside Rigger’s bench');
  await page.getByLabel('Name').fill('x'.repeat(10_000));
  await expect(page.getByTestId('error-Name')).toContainText('At most 80 characters');
});

test('shows markup in a name as it was typed', ON_WIDE, async ({ page }) => {
  await openForm(page, '/place/rooms/galley');
  await page.getByLabel('Name').fill('<img src=x onerror=alert(1)>');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.goto('/rooms');
  await expect(page.getByRole('radio', { name: '<img src=x onerror=alert(1)>' })).toBeVisible();
});

test('asks where the plants of a stand go before it is taken out, and brings all back', ON_PHONE, async ({ page }) => {
  await openForm(page, '/place/stands/bench');
  await page.getByRole('button', { name: 'Take out Rigger’s bench' }).click();
  await expect(page.getByText('Where do its plants go?')).toBeVisible();
  await page
    .getByRole('radiogroup', { name: 'Where White moth goes' })
    .getByRole('radio', { name: /Cabinet top, right/ })
    .click();
  await page.getByRole('button', { name: 'Yes, take out Rigger’s bench' }).click();
  await page.getByRole('button', { name: 'Undo' }).waitFor();
  await page.getByRole('navigation').getByRole('link', { name: 'Plants' }).click();
  await page.getByRole('searchbox', { name: 'Search' }).fill('moth');
  await expect(page.getByRole('link', { name: 'White moth' })).toContainText('Cabinet top, right');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'White moth' })).toContainText('Bench, middle');
});

test.describe('an empty Dulvan', () => {
  test.use({ startWith: 'nothing' });

  test('asks for a home first, and refuses latitude 95', ON_PHONE, async ({ page }) => {
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

test('a page of another site cannot write', ON_PHONE, async ({ request, dulvan }) => {
  expectsRefusal();
  const reply = await request.delete(`${dulvan.url}/api/homes/sail-loft`, {
    headers: { Origin: 'http://elsewhere.example' },
  });
  expect(reply.status()).toBe(403);
  expect((await request.get(`${dulvan.url}/api/homes/sail-loft`)).status()).toBe(200);
});

test('adds a sill under a window, its tier and spots with it, in one tap', ON_WIDE, async ({ page }) => {
  await page.goto('/place/rooms/galley');
  await page.getByRole('link', { name: 'Add a window' }).click();
  await page.getByRole('radio', { name: /^D, / }).click();
  await page.getByRole('button', { name: 'Add this window' }).click();
  await page.getByRole('button', { name: /^Add a sill under Window/ }).click();
  await page.getByRole('link', { name: /^Window \d sill/ }).click();
  await expect(page.getByRole('link', { name: /^Window \d sill 4/ })).toBeVisible();
});

test('sets one thing for several spots of a stand, and takes it back in one', ON_WIDE, async ({ page }) => {
  await page.goto('/place/stands/rack');
  await unfold(page, 'Set one thing for several');
  await page.getByRole('checkbox', { name: /^Rack middle, near/ }).click();
  await page.getByRole('checkbox', { name: /^Rack middle, far/ }).click();
  await page.getByRole('radio', { name: 'Free height above it' }).click();
  await page.getByLabel('Free height above it, cm').fill('41');
  await page.getByRole('button', { name: 'Set it for 2 spots' }).click();
  await expect(page.getByText('Set: Free height above it of 2 spots').first()).toBeVisible();
  await page.goto('/place/spots/rack-mid-1');
  await expect(page.getByLabel('Free height above it, cm')).toHaveValue('41');
});

test('picks dates from a calendar and months from a list', ON_PHONE, async ({ page }) => {
  await page.goto('/plants/p-moth?open=edit');
  await unfold(page, 'More exactly');
  await page.getByRole('button', { name: /^Arrived on: / }).click();
  const calendar = page.getByRole('dialog');
  await calendar.getByRole('button', { name: '1', exact: true }).first().click();
  await calendar.getByRole('button', { name: 'Take this date' }).click();
  await expect(page.getByRole('button', { name: /^Arrived on: 1 [A-Z][a-z]+ \d{4}$/ })).toBeVisible();
  await page.goto('/place/circuits/rack-timer');
  await page.getByRole('button', { name: /^Timer runs in: / }).click();
  const months = page.getByRole('dialog', { name: 'Timer runs in' });
  await months.getByRole('button', { name: 'None' }).click();
  await months.getByRole('checkbox', { name: 'May' }).click();
  await expect(months.getByRole('checkbox', { name: 'May' })).toBeChecked();
  await months.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: 'Timer runs in: May' })).toBeVisible();
});

test('brings a home back that was taken out, from the first screen', ON_PHONE, async ({ page }) => {
  await page.goto('/settings');
  for (const home of ['The sail loft', 'Shop back room']) {
    await page.getByRole('button', { name: `Take out ${home}` }).click();
    await page.getByRole('button', { name: `Yes, take out ${home}` }).click();
    await expect(page.getByRole('button', { name: `Bring back ${home}` })).toBeVisible();
  }
  await page.goto('/');
  await page.reload();
  await page.getByRole('button', { name: 'Bring back The sail loft' }).click();
  await expect(page.getByTestId('today-summary')).toContainText('of 24 plants');
});
