import { HOUR_MS, DAY_MS } from '@bunkhouse/core';
import { expect, test } from './test.js';
import { Cook, loinAtThePull, sevenOClock } from './cook.js';

test('Canadian bacon by equilibrium: the sheet, the dates and the day sheet', async ({ page }) => {
  const start = sevenOClock(2);
  const cook = await Cook.onDuty(page, start);
  await page.goto('/new');
  await page.getByLabel('Recipe').selectOption({ label: 'Canadian bacon' });
  await cook.type('Weight', '2600');
  await cook.type('Water', '1200');
  await cook.type('Salt, of meat and water', '2,5');
  await cook.type('Sugar, of meat and water', '1');
  // By hand: everything = 3800 × 1.035 / (1 − 0.00015) = 3933.59 g; cure = 3933.59 × 0.00015 / 0.0625 = 9.44 g;
  // salt = 95 − 0.9375 × 9.44 = 86.1 g; sugar 38 g; brine 1333.6 g with 95 / 1333.6 = 7.1 % salt, 27 ° salometer.
  const brine = page.getByRole('region', { name: 'Brine', exact: true });
  await expect(brine.getByRole('row', { name: 'Cure #1' })).toContainText('9.4 g');
  await expect(brine.getByRole('row', { name: 'Salt' })).toContainText('86 g');
  await expect(brine.getByRole('row', { name: 'Sugar' })).toContainText('38 g');
  await expect(brine.getByRole('row', { name: 'Together' })).toContainText('1\u202f334 g');
  await expect(brine).toContainText('7.1');
  await expect(brine).toContainText('27');
  const gauge = page.getByRole('region', { name: 'Ingoing nitrite' });
  await expect(gauge.getByRole('img')).toHaveAccessibleName(/^150\.0 ppm.*floor 120, target 150, limit 200 ppm$/);

  // In pounds the same meat: 2600 g is 5.73 lb, and the cure is shown in ounces.
  await page.getByRole('button', { name: 'Weight is in g: switch unit' }).click();
  await expect(page.getByLabel('Weight', { exact: true })).toHaveValue('5.73');
  await expect(brine.getByRole('row', { name: 'Cure #1' })).toContainText('0.333 oz');
  await page.getByRole('button', { name: 'Weight is in lb: switch unit' }).click();

  await page.getByRole('button', { name: 'Start the batch' }).click();
  await cook.log('Log green weight', { 'Green weight': '2600' }, 'Mix the brine');
  await cook.wait(0.5);
  await cook.mixAsPlanned('Log brine as weighed', 'Meat in');
  await cook.wait(3);
  await cook.log('Log meat in', { 'Brine temperature': '2.9' }, 'Turn 1');
  const code = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
  // Fourteen days later, at 10:30 by the clock of the house.
  const pull = new Date(start.getTime() + 14 * DAY_MS + 3.5 * HOUR_MS);
  const pullRow = page.getByRole('region', { name: 'Ticket' }).getByRole('listitem').filter({ hasText: 'Pull' });
  await expect(pullRow).toContainText(new Intl.DateTimeFormat('en-US', { weekday: 'short', timeZone: 'America/Denver' }).format(pull));
  // 10:30, or an hour beside it where the clocks change in between: the days of cure are counted in hours.
  await expect(pullRow).toContainText(new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: 'America/Denver' }).format(pull));

  await cook.wait(24.2);
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  const jobs = page.getByRole('list', { name: 'Jobs to do now' });
  // Beside other turns it stands among those of one walk.
  const job = jobs.getByRole('listitem').filter({ hasText: code }).filter({ hasText: 'Log turn 1' }).last();
  await expect(job).toContainText('Turn 1');
  await expect(page.getByRole('link', { name: new RegExp(`^${code} Canadian bacon 2.6 kg, at Cure, Turn 1 now, due`) })).toBeVisible();
  // One tap logs a turn; what was read beside it is asked for when somebody wants to write it.
  const log = job.getByRole('button', { name: 'Log turn 1', exact: true });
  const cold = job.getByLabel('Refrigerator (if read)', { exact: true });
  await expect(log).toBeVisible();
  if (!(await cold.isVisible())) await job.getByRole('button', { name: 'Read, or earlier' }).click();
  await cold.fill('3.1');
  await log.click();
  await expect(job).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Done today' })).toContainText(`Turn 1 ${code}`);
});

test('turns of several batches are one walk: one press logs them all, one takes them back', async ({ page }) => {
  const ids = [
    await loinAtThePull(page, { days: 9, loggedDays: 2, thicknessMm: 90 }),
    await loinAtThePull(page, { days: 12, loggedDays: 3, thicknessMm: 110 }),
  ];
  await page.goto('/');
  const walk = page
    .getByRole('list', { name: 'Jobs to do now' })
    .locator('> li')
    .filter({ hasText: /^Turn \d+ batches/ });
  await expect(walk.getByRole('button', { name: 'Log turn 2', exact: true }).first()).toBeVisible();
  await expect(walk.getByRole('button', { name: 'Log turn 3', exact: true }).first()).toBeVisible();
  const lastOf = async (id: string) => {
    const batch = (await (await page.request.get(`/api/batches/${id}`)).json()) as { entries: { kind: string; stepId?: string; replaces?: string }[] };
    return batch.entries.at(-1);
  };
  await walk.getByRole('button', { name: /^Log all \d+ turns$/ }).click();
  await expect(walk).toHaveCount(0);
  await expect.poll(async () => (await Promise.all(ids.map(lastOf))).map((entry) => entry?.stepId)).toEqual(['turn-2', 'turn-3']);
  const told = page.getByRole('status').filter({ hasText: 'Turned: ' });
  await told.getByRole('button', { name: 'Undo' }).click();
  await expect(walk).toBeVisible();
  await expect.poll(async () => (await Promise.all(ids.map(lastOf))).map((entry) => entry?.kind)).toEqual(['withdrawn', 'withdrawn']);
});

test('an overdose is refused, and what would be right is one tap away', async ({ page }) => {
  const cook = await Cook.onDuty(page, new Date());
  await page.goto('/new');
  await page.getByLabel('Recipe').selectOption({ label: 'Canadian bacon' });
  await cook.type('Weight', '2600');
  await cook.type('Nitrite aimed at', '260');
  const start = page.getByRole('button', { name: 'Start the batch' });
  await expect(start).toBeDisabled();
  const told = page.getByRole('alert').filter({ hasText: '260 ppm is over the limit of 200 ppm. Right would be 150 ppm' }).first();
  await expect(told).toBeVisible();
  // It is said where the cook looks: the field stands far down the form, the reason is in sight all the same.
  await expect(page.getByLabel('Nitrite aimed at', { exact: true })).toBeInViewport();
  await expect(told).toBeInViewport();
  await page.getByRole('button', { name: 'Aim at 150 ppm instead' }).click();
  await expect(start).toBeEnabled();
  await expect(page.getByText('is over the limit')).toHaveCount(0);

  await cook.type('Nitrite aimed at', '80');
  await expect(page.getByText(/80 ppm is under the floor of 120 ppm/).filter({ visible: true })).toHaveCount(1);
  await expect(start).toBeEnabled();

  await cook.type('Weight', '0');
  await expect(page.getByText('Less than 100 g is no piece to cure. Look at the unit.')).toBeVisible();
  await cook.type('Weight', 'heavy');
  await expect(page.getByText('Weigh the piece: a number is missing.')).toBeVisible();
});

test('two tabs log the same step: the second is told, nothing is doubled', async ({ page, context }) => {
  const cook = await Cook.onDuty(page, sevenOClock(1));
  await page.goto('/new');
  await page.getByLabel('Recipe').selectOption({ label: 'Pastrami brisket' });
  await cook.type('Weight', '4300');
  await page.getByRole('button', { name: 'Start the batch' }).click();
  await cook.expectNext('Trim and weigh');
  const second = new Cook(await context.newPage());
  await second.page.goto(page.url());
  await second.expectNext('Trim and weigh');
  await second.page.route('**/api/batches/*', (route) => (route.request().method() === 'GET' ? route.abort() : route.continue()));
  await second.page.route('**/api/batches', (route) => route.abort());
  await cook.log('Log green weight', { 'Green weight': '4200' }, 'Mix the brine');
  await second.type('Green weight', '4300');
  await second.press('Log green weight');
  await expect(second.page.getByText(/Wren already logged this since you opened it/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Log' }).getByRole('listitem')).toHaveCount(1);
});
