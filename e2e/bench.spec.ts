import { expect, test } from './test.js';
import { Cook, sevenOClock } from './cook.js';

const TEN_THOUSAND = '5 g salt\n'.repeat(10_000);
const SPOONS = '2 1/2 cups coarse salt, 1 gal water\n3 tbsp pink cure #1\n1 cup brown sugar, packed\n5 bay leaves';

test('a pasted spoon recipe with a dangerous dose is asked about, audited, put right and becomes a batch', async ({ page }) => {
  const cook = await Cook.onDuty(page, sevenOClock(1));
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('b');
  await page.getByRole('button', { name: 'What I have' }).click();
  await cook.type('The recipe, a line each or commas between', SPOONS);
  const gauge = page.getByRole('region', { name: 'Ingoing nitrite' });
  await expect(gauge).toContainText('Answer the questions');
  await expect(page.getByRole('button', { name: 'Start a batch' })).toBeDisabled();
  for (const answer of ['US, the smaller ones', 'Level', 'Hollow, light flake']) await page.getByRole('button', { name: answer }).click();
  await page.getByLabel('How it is used', { exact: true }).selectOption('Left until even, or in a bag');
  // By hand: 9 teaspoons at 5.6 g are 50.4 g of cure, 3.15 g nitrite; brine 343 + 3779 + 50.4 + 215 = 4387 g, meat 2600: 451 ppm.
  await expect(gauge).toContainText('451');
  const stop = page.getByRole('alert').filter({ hasText: 'Stop' });
  await expect(stop).toContainText('450.8 ppm is over the limit of 200 ppm');
  await expect(stop).toContainText('tablespoon written where a teaspoon');
  await expect(page.getByText('Not counted, for want of a weight: 5 bay leaves')).toBeVisible();

  await page.getByRole('button', { name: /^Put it right: 16\.\d g of cure, 150 ppm$/ }).click();
  await expect(stop).toHaveCount(0);
  await expect(gauge).toContainText('150');
  // It is kept in the address: a reload loses nothing.
  await expect(page).toHaveURL(/text=.*Cure/);
  // The house's recipes come late: who starts the batch meanwhile waits, and need not tap again.
  await page.route('**/api/recipes', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 6000));
    await route.continue();
  });
  await page.reload();
  await expect(page.getByLabel('The recipe, a line each or commas between')).toHaveValue(/^2 1\/2 cups coarse salt\n1 gal water\n16\.\d g Cure #1/);

  await page.getByRole('button', { name: 'Start a batch' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'New batch' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Brine', exact: true }).getByRole('row', { name: 'Cure #1' })).toContainText(/16\.\d g/);
  await page.getByRole('button', { name: 'Start the batch' }).click();
  await cook.expectNext('Trim and weigh');
  await expect(page.getByRole('region', { name: 'Ingoing nitrite' })).toContainText('150');

  const code = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
  await page.getByRole('link', { name: 'Its sheet on the Bench' }).click();
  await expect(page.getByRole('region', { name: 'Brine', exact: true }).getByRole('row', { name: 'Cure #1' })).toContainText(/16\.\d g/);
  await page.getByRole('link', { name: `Back to ${code}` }).click();
  await cook.expectNext('Trim and weigh');
});

test('a hydrometer in a sugared, warm brine: what it says, and what it would have said', async ({ page }) => {
  await page.goto('/bench');
  const panel = page.getByRole('region', { name: 'Hydrometer reading' });
  await panel.getByLabel('It reads', { exact: true }).fill('58');
  await panel.getByLabel('Sample at', { exact: true }).fill('25');
  await panel.getByLabel('Sugar in it', { exact: true }).fill('4');
  await expect(panel).toContainText('13.8');
  await expect(panel).toContainText('The scale alone says 15.3 %: 1.5 too much.');
  await expect(panel.getByRole('img')).toHaveAccessibleName('Hydrometer: float reads 58 degrees salometer, truly 52 degrees');
  // In degrees Fahrenheit the same sample is at 77.
  await panel.getByRole('button', { name: 'Sample at is in °C: switch unit' }).click();
  await expect(panel.getByLabel('Sample at', { exact: true })).toHaveValue('77');
  await panel.getByLabel('It reads', { exact: true }).fill('150');
  await expect(panel.getByText('The reading must be at most 100').first()).toBeVisible();
});

test('a pump map: grams, strokes, sites; weighed too light it is pumped again', async ({ page }) => {
  await page.goto('/bench?product=ham-bone-in');
  const pump = page.getByRole('region', { name: 'Pump', exact: true });
  await page.getByLabel('Weight, all pieces', { exact: true }).fill('8000');
  await expect(pump).toContainText('800');
  // 180 mm across and 320 mm long every 25 mm: 7 × 13 from both sides.
  await expect(pump.getByRole('img')).toHaveAccessibleName(/7 across, 13 along, from both sides, 182 in all/);
  await pump.getByLabel('A site every', { exact: true }).fill('30');
  await expect(pump.getByRole('img')).toHaveAccessibleName(/6 across, 11 along, from both sides, 132 in all/);
  await pump.getByLabel('Weight after, all pieces', { exact: true }).fill('8480');
  await expect(pump).toContainText('Pump again: 320 g more brings it to 10 %.');
  await expect(pump).toContainText('6.0');
  await pump.getByRole('button', { name: 'Working' }).click();
  await expect(pump).toContainText(/10 % × 8.000 g/);
});

test('every school gives a recipe, and an impossible wish says what is possible', async ({ page }) => {
  await page.goto('/bench?product=pastrami');
  const school = page.getByLabel('How it is cured', { exact: true });
  await expect(school).toBeVisible();
  const words = await school.locator('option').allTextContents();
  expect(words.length).toBe(10);
  for (const word of words) {
    await school.selectOption(word);
    await expect(page.getByRole('region', { name: /^(Brine|Rub|Cover brine)$/ })).toContainText('g');
  }
  await school.selectOption('Strong pickle, by the clock');
  await page.getByLabel('Strength, salometer', { exact: true }).fill('120');
  await expect(page.getByRole('alert').filter({ hasText: 'The pickle must be at most 100' }).first()).toBeVisible();
  await school.selectOption('Salt only, no cure');
  await expect(page.getByText('this is fresh salted meat')).toBeVisible();
  // It is told what it is, and may be started all the same: no way that is worked out here ends here.
  await expect(page.getByRole('button', { name: 'Start a batch' })).toBeEnabled();
});

test('the tub: not enough to cover is said, and one tap takes the water that covers', async ({ page }) => {
  await page.goto('/bench?product=canadian-bacon&tub=round&tubLengthMm=440&tubHeightMm=260');
  const tub = page.getByRole('region', { name: 'Tub or bag' });
  await expect(tub).toContainText('Not covered');
  await tub.getByRole('button', { name: /^Take .* of water, to cover it$/ }).click();
  await expect(tub).not.toContainText('Not covered');
  await expect(tub.getByRole('img')).toHaveAccessibleName(/115 mm are needed/);
  await tub.getByLabel('High', { exact: true }).fill('90');
  await expect(tub).toContainText('It runs over');
});

test('whatever is pasted is read or asked about: nothing breaks and nothing counts as zero', async ({ page }) => {
  const faults: string[] = [];
  page.on('pageerror', (error) => faults.push(error.message));
  await page.goto('/bench?door=have&product=unicorn&greenG=&answer.gallon=sea');
  const box = page.getByLabel('The recipe, a line each or commas between');
  for (const text of [
    '<script>document.title = "broken"</script>',
    '🧂🧂🧂',
    '½ cup ½ cup',
    '1-2 tsp cure #1',
    '1e400 g salt, -3 kg water, nil g cure #1',
    '((((',
    '#1',
    ',,,;;;',
  ]) {
    await box.fill(text);
    await expect(page.getByRole('heading', { level: 1, name: 'Bench' })).toBeVisible();
    await expect(page.locator('#answer')).not.toContainText('NaN');
  }
  // Ten thousand lines at once, as a paste hands them over.
  await box.evaluate((element, text) => {
    Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')?.set?.call(element, text);
    element.dispatchEvent(new Event('input', { bubbles: true }));
  }, TEN_THOUSAND);
  await expect(page.getByText(/^9\s?940 lines are not read/).or(page.getByText('9940 lines are not read'))).toBeVisible();
  await expect(page.getByText('Too long for the address')).toBeVisible();
  await box.fill('2 kg water, 100 g salt, cure #1');
  await expect(page.getByRole('alert').filter({ hasText: 'How much? cure #1' })).toBeVisible();
  await expect(page).not.toHaveTitle('broken');
  expect(faults).toEqual([]);
});

test('typing goes on while the address is written: nothing typed is lost, and a tap on Bench clears nothing', async ({ page }) => {
  await page.goto('/bench?product=pastrami');
  const fields: [string, string][] = [
    ['Weight, all pieces', '4100'],
    ['Water, ice counts', '1900'],
    ['Nitrite aimed at', '141'],
    ['Days in the brine', '11'],
    ['Salt', '2.1'],
    ['Heated', '25'],
  ];
  for (const [label, value] of fields) {
    await page.getByLabel(label, { exact: true }).fill(value);
    // About the time after which the address is written.
    await page.waitForTimeout(235);
  }
  await page.waitForTimeout(700);
  for (const [label, value] of fields) await expect(page.getByLabel(label, { exact: true })).toHaveValue(value);
  await expect(page).toHaveURL(/aimPpm=141/);
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await expect(page.getByLabel('Nitrite aimed at', { exact: true })).toHaveValue('141');
  await expect(page).toHaveURL(/aimPpm=141/);
});

test.describe('a slow line', () => {
  test.use({ serviceWorkers: 'block' });

  test('who leaves the Bench before its address is written is not called back to it', async ({ page }) => {
    let isSlow = false;
    await page.route('**/*.js', async (route) => {
      if (isSlow) await new Promise((wait) => setTimeout(wait, 1200));
      await route.continue();
    });
    await page.goto('/bench');
    await expect(page).toHaveTitle('Bench · Bunkhouse');
    await page.getByLabel('Salt', { exact: true }).first().fill('2.7');
    isSlow = true;
    await page.getByRole('navigation', { name: 'Sections' }).getByRole('link', { name: 'Calendar' }).click();
    await expect(page).toHaveTitle('Calendar · Bunkhouse');
    await expect(page).toHaveURL(/\/calendar$/);
  });
});
