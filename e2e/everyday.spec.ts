import { expect, test } from './test.js';
import { Cook, loinAtThePull, sevenOClock } from './cook.js';

test('closing the page in the middle of the form loses nothing', async ({ page }) => {
  const cook = await Cook.onDuty(page, sevenOClock(1));
  await page.goto('/new');
  await page.getByLabel('Recipe').selectOption({ label: 'Pastrami brisket' });
  await cook.type('Weight', '3950');
  await cook.type('Salt, of meat and water', '2.7');
  await page.goto('/');
  await page.goto('/new');
  await expect(page.getByLabel('Recipe')).toHaveValue('pastrami');
  await expect(page.getByLabel('Weight', { exact: true })).toHaveValue('3950');
  await expect(page.getByLabel('Salt, of meat and water', { exact: true })).toHaveValue('2.7');
});

test('the water is proposed from the weight until the cook says otherwise', async ({ page }) => {
  const cook = await Cook.onDuty(page, sevenOClock(1));
  await page.goto('/new');
  await page.getByLabel('Recipe').selectOption({ label: 'Canadian bacon' });
  await cook.type('Weight', '4000');
  // 45 % of 4000 g
  await expect(page.getByLabel('Water', { exact: true })).toHaveValue('1800');
  await cook.type('Water', '2500');
  await cook.type('Weight', '5000');
  await expect(page.getByLabel('Water', { exact: true })).toHaveValue('2500');
  await page.getByRole('button', { name: /^Take 2.300 g, as proposed from the weight$/ }).click();
  await expect(page.getByLabel('Water', { exact: true })).toHaveValue('2300');
});

test('ascorbate is a line of the brine: on the sheet, in the mixing, in the log; too much of it is refused', async ({ page }) => {
  const cook = await Cook.onDuty(page, sevenOClock(1));
  await page.goto('/new');
  await page.getByLabel('Recipe').selectOption({ label: 'Canadian bacon' });
  await cook.type('Weight', '2600');
  await cook.type('Ascorbate or erythorbate', '900');
  await expect(page.getByText('More than 550 ppm ascorbate is allowed nowhere.')).toBeVisible();
  await cook.type('Ascorbate or erythorbate', '500');
  // 500 mg for each kilogram of 2600 g of meat and some 1300 g of brine.
  await expect(page.getByRole('region', { name: 'Brine', exact: true }).getByRole('row', { name: /Ascorbate or erythorbate/ })).toContainText(/(1\.9|2\.0) g/);
  await page.getByRole('button', { name: 'Start the batch' }).click();
  await cook.log('Log green weight', { 'Green weight': '2600' }, 'Mix the brine');
  await page.getByRole('button', { name: /^Ascorbate or erythorbate: weighed so/ }).click();
  await cook.mixAsPlanned('Log brine as weighed', 'Meat in');
  await expect(page.getByRole('region', { name: 'Log', exact: true })).toContainText(/ascorbate or erythorbate (1\.9|2\.0) g/i);
});

test('rules of another country move floor, limit and target', async ({ page }) => {
  const cook = await Cook.onDuty(page, sevenOClock(1));
  await page.goto('/new');
  const gauge = page.getByRole('region', { name: 'Ingoing nitrite' });
  await cook.type('Weight', '7400');
  await page.getByRole('button', { name: /^The rules/ }).click();
  await page.getByLabel('Whose rules').selectOption({ label: 'European Union' });
  await expect(page.getByLabel('Nitrite aimed at', { exact: true })).toHaveValue('115');
  await expect(gauge.getByRole('img')).toHaveAccessibleName(/floor 80, target 115, limit 120 ppm/);
  await cook.type('Nitrite aimed at', '150');
  await expect(page.getByRole('button', { name: 'Start the batch' })).toBeDisabled();
  await page.getByLabel('Whose rules').selectOption({ label: 'United States' });
  await expect(page.getByRole('button', { name: 'Start the batch' })).toBeEnabled();
});

test('what cannot be made is said in a sentence: too little water for the salt, a pump that is too salty', async ({ page }) => {
  const cook = await Cook.onDuty(page, sevenOClock(1));
  await page.goto('/new');
  await page.getByLabel('Recipe').selectOption({ label: 'Canadian bacon' });
  await cook.type('Weight', '2600');
  await cook.type('Water', '200');
  await cook.type('Salt, of meat and water', '5');
  await expect(page.getByRole('alert').filter({ hasText: /200 g of water holds at most 71 g of salt/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start the batch' })).toBeDisabled();
  await page.getByLabel('Recipe').selectOption({ label: 'Bone-in ham' });
  await cook.type('Weight', '7400');
  await cook.type('First pump, of green', '28');
  await cook.type('Water for the cover', '500');
  await expect(page.getByRole('alert').filter({ hasText: /Make the pickle [\d.]+ % or weaker/ })).toBeVisible();
});

test('two pieces, weighed one by one in pounds, pumped, and one of them too little', async ({ page }) => {
  const cook = await Cook.onDuty(page, sevenOClock(2));
  await page.goto('/new');
  await page.getByLabel('Recipe').selectOption({ label: 'Canadian bacon' });
  await page.getByLabel('How it is cured').selectOption('pumpAndCover');
  await cook.type('Weight', '2500');
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await expect(page.getByText('Piece B', { exact: true })).toBeVisible();
  await page.getByRole('group', { name: 'Piece B' }).getByLabel('Weight', { exact: true }).fill('2500');
  await page.getByRole('button', { name: 'Start the batch' }).click();
  await cook.expectNext('Trim and weigh');

  // 5.5 lb = 2494.8 g, 5.25 lb = 2381.4 g
  await page.getByRole('button', { name: 'Green weight, piece A is in g: switch unit' }).click();
  await cook.log('Log green weight', { 'Green weight, piece A': '5.5', 'Green weight, piece B': '5.25' }, 'Mix the pump pickle');
  await expect(page.getByRole('region', { name: 'Log' })).toContainText('Green weight A 5.50 lb, Green weight B 5.25 lb');
  await cook.mixAsPlanned('Log pickle as weighed', 'Mix the cover brine');
  await cook.mixAsPlanned('Log cover as weighed', 'Pump');
  await cook.wait(3);
  // 8 % of 5.5 lb is 5.94 lb; 1 % of 5.25 lb is 5.30 lb.
  await cook.log(
    'Log pumped weight',
    { 'Pickle temperature': '2', 'Weight after pumping, piece A': '5.94', 'Weight after pumping, piece B': '5.30' },
    'Meat in',
  );
  const strips = page.getByRole('status');
  await expect(strips.filter({ hasText: /Piece B took 1 % of 8 % planned. Pump it again/ })).toBeVisible();
  await expect(strips.filter({ hasText: /under the floor of 120 ppm/ })).toBeVisible();

  // Pumped again and corrected: the warning goes.
  await page.getByRole('button', { name: 'Correct Pump' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Weight after pumping, piece B', { exact: true }).fill('5.67');
  await sheet.getByLabel('What was wrong with it').fill('Piece B was pumped again and weighed again');
  await sheet.getByRole('button', { name: 'Log the correction' }).click();
  await expect(strips.filter({ hasText: /Piece B took/ })).toHaveCount(0);
});

test('a step left out with a reason, a note, a batch thrown away', async ({ page }) => {
  const cook = await Cook.onDuty(page, sevenOClock(3));
  await page.goto('/new');
  await page.getByLabel('Recipe').selectOption({ label: 'Pastrami brisket' });
  await cook.type('Weight', '4300');
  await page.getByRole('button', { name: 'Start the batch' }).click();
  await cook.expectNext('Trim and weigh');
  const log = page.getByRole('region', { name: 'Log' });
  await page.getByRole('button', { name: 'Write a note' }).click();
  await page.getByLabel('Note').fill('From the neighbour, two days old');
  await page.getByRole('button', { name: 'Log the note' }).click();
  await expect(log).toContainText('From the neighbour, two days old');

  await cook.log('Log green weight', { 'Green weight': '4300' }, 'Mix the brine');
  // A cure weighed far from the sheet is asked about.
  for (const line of ['Water and ice', 'Salt', 'Sugar']) await page.getByRole('button', { name: `${line}: weighed so` }).click();
  await page.getByLabel('Cure #1, weighed', { exact: true }).fill('1.6');
  await cook.press('Log brine as weighed');
  await expect(page.getByText(/Cure: 1.6 g where the sheet says 1\d.\d g/)).toBeVisible();
  await page.getByLabel('Cure #1, weighed', { exact: true }).fill('30');
  await expect(page.getByText(/is over the limit of 200 ppm.*pour it away and mix again/)).toBeVisible();
  await page.getByRole('button', { name: 'Cure #1: weighed so' }).click();
  await cook.press('Log brine as weighed');
  await cook.expectNext('Meat in');

  await page.getByRole('button', { name: 'It ends without being packed' }).click();
  // Served before its core was read: asked what it is.
  await page.getByRole('button', { name: 'Log the end' }).click();
  await expect(page.getByText(/Its core was not read: that it is done is not shown/)).toBeVisible();
  await page.getByRole('button', { name: 'Thrown away', exact: true }).click();
  await page.getByRole('button', { name: 'Log the end' }).click();
  await expect(page.getByText('Write why the batch is thrown away.')).toBeVisible();
  await page.getByLabel('What was wrong with it').fill('It smelled when the bag was opened');
  await page.getByRole('button', { name: 'Log the end' }).click();
  await expect(page.getByRole('group', { name: 'The batch' })).toContainText('Thrown away');
  const code = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
  await page.getByRole('link', { name: 'Ledger', exact: true }).click();
  await expect(page.getByRole('row').filter({ hasText: code })).toContainText('thrown away');
  await expect(page.getByRole('link', { name: new RegExp(`^${code} `) })).toHaveCount(0);
});

test('a pull before its day is found on the ticket while turns are still to come, and asks why', async ({ page }) => {
  const id = await loinAtThePull(page, { days: 7, loggedDays: 5, thicknessMm: 90 });
  await page.goto(`/batches/${id}`);
  await page.getByRole('region', { name: 'Ticket' }).getByRole('button', { name: 'Pull', exact: true }).click();
  await expect(page.getByRole('heading', { level: 2, name: 'Pull', exact: true })).toBeVisible();
  await page.getByRole('textbox', { name: 'Weight', exact: true }).fill('2690');
  await page.getByText('Firm all over').click();
  await page.getByText('Fresh', { exact: true }).click();
  await page.getByRole('button', { name: 'Log pull' }).click();
  await expect(page.getByText(/write why/i).first()).toBeVisible();
});

test('nothing is weighed for the cook: until the meat was on the scale there is no figure, and Start leads to the scale', async ({ page }) => {
  await page.goto('/new');
  await expect(page.getByLabel('Weight', { exact: true })).toHaveValue('');
  await expect(page.getByText('Weigh the meat: brine, nitrite and days are worked out from it.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Ingoing nitrite' })).toHaveCount(0);
  await expect(page.getByLabel('Water for the cover', { exact: true })).toHaveValue('');
  await page.getByRole('button', { name: 'Start the batch' }).click();
  await expect(page.getByLabel('Weight', { exact: true })).toBeFocused();
  await page.getByLabel('Weight', { exact: true }).fill('6900');
  await expect(page.getByRole('region', { name: 'Ingoing nitrite' })).toBeVisible();
  await page.getByRole('button', { name: 'Add a piece' }).click();
  // The second is of the same shape as the first, and not weighed: what stood here for one piece does not stand for two.
  await expect(page.getByRole('group', { name: 'Piece B' }).getByLabel('Weight', { exact: true })).toBeFocused();
  await expect(page.getByRole('region', { name: 'Ingoing nitrite' })).toHaveCount(0);
});

test('the recipe’s spices go in unless they are left out, and a line of the cook’s own keeps its name from New batch to the mixing', async ({ page }) => {
  const cook = await Cook.onDuty(page, sevenOClock(1));
  await page.goto('/new');
  await page.getByLabel('Recipe').selectOption({ label: 'Canadian bacon' });
  await cook.type('Weight', '2600');
  const brine = page.getByRole('region', { name: 'Brine', exact: true });
  const [recipe] = ((await (await page.request.get('/api/recipes')).json()) as { id: string; versions: { recipe: { spices: { name: string }[] } }[] }[]).filter(
    ({ id }) => id === 'canadian-bacon',
  );
  const spice = recipe?.versions[0]?.recipe.spices[0]?.name ?? '';
  expect(spice).not.toBe('');
  await expect(brine.getByRole('row', { name: spice })).toBeVisible();
  await page.getByRole('button', { name: /^The brine/ }).click();
  await page.getByRole('button', { name: 'Left out', exact: true }).click();
  await expect(brine.getByRole('row', { name: spice })).toHaveCount(0);
  await cook.type('The sugar is called', 'Brown sugar');
  await page.getByRole('button', { name: 'Add a line of your own' }).click();
  await cook.type('Line 1', 'Garlic');
  await cook.type('Weight of it', '15');
  await expect(brine.getByRole('row', { name: /^Garlic/ })).toContainText('15');
  await expect(brine.getByRole('row', { name: /^Brown sugar/ })).toBeVisible();
  await page.getByRole('button', { name: 'Start the batch' }).click();
  await cook.log('Log green weight', { 'Green weight': '2600' }, 'Mix the brine');
  await page.getByRole('button', { name: /^Garlic: weighed so/ }).click();
  await cook.mixAsPlanned('Log brine as weighed', 'Meat in');
  await expect(page.getByRole('region', { name: 'Log', exact: true })).toContainText(/garlic 15/i);
});

test('rubbed on by the label of a ready mix: what the label says is asked for and not made up, and the batch is called what it is', async ({ page }) => {
  const cook = await Cook.onDuty(page, sevenOClock(1));
  await page.goto('/new');
  await page.getByLabel('Recipe').selectOption({ label: 'Pastrami brisket' });
  await cook.type('Weight', '4000');
  await page.getByLabel('How it is cured').selectOption('dryRub');
  await page.getByRole('button', { name: /^The cure mix/ }).click();
  await page.getByLabel('Which cure').selectOption('Ready mix');
  for (const label of ['Nitrite', 'Nitrate', 'Salt', 'The label says']) await expect(page.getByLabel(label, { exact: true })).toHaveValue('');
  await expect(page.getByRole('region', { name: 'Ingoing nitrite' })).toHaveCount(0);
  // The share of cure #1 read off as that of the mix: far over the limit, and told so before anything is weighed.
  for (const [label, value] of Object.entries({ Nitrite: '6.25', Nitrate: '0', Salt: '70', 'The label says': '40' })) await cook.type(label, value);
  const start = page.getByRole('button', { name: 'Start the batch' });
  await expect(start).toBeDisabled();
  await cook.type('Nitrite', '0.6');
  // 40 g a kilogram at 0.6 % is 240 ppm of the meat.
  await expect(page.getByRole('region', { name: 'Ingoing nitrite' })).toContainText('240');
  await start.click();
  await expect(page.getByRole('group', { name: 'The batch' })).toContainText('rubbed on, in a bag');
  await cook.log('Log green weight', { 'Green weight': '4000' }, 'Weigh the rub');
  await page.getByRole('button', { name: /^Ready mix: weighed so/ }).click();
  await page.getByRole('button', { name: 'Log rub as weighed' }).click();
  await cook.expectNext('Rub on');
  await page.getByRole('button', { name: 'Log rubbed on' }).click();
  await cook.expectNext('Turn 1');
});
