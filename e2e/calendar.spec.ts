import { HOUR_MS, DAY_MS } from '@bunkhouse/core';
import { writeMoment } from './moment.js';
import { expect, test } from './test.js';
import { loinAtThePull } from './cook.js';

test('a clash in the smoker is named with who takes part; one tap smokes one of them elsewhere, undo and redo follow', async ({ page }) => {
  await page.goto('/calendar');
  // Batches of other tests may clash as well, and not all of them fit into the small one: the first that does is mended.
  const first = page
    .getByRole('group', { name: 'Smoker: two programs' })
    .filter({ has: page.getByRole('button', { name: /in Small smoker$/ }) })
    .first();
  await expect(first).toContainText(/[A-Z]{2}-\d{3}, [A-Z]{2}-\d{3} want different heat/, { timeout: 30_000 });
  const [two = ''] = /[A-Z]{2}-\d{3}, [A-Z]{2}-\d{3}(?= want)/.exec((await first.textContent()) ?? '') ?? [];
  const clash = page.getByRole('group', { name: 'Smoker: two programs' }).filter({ hasText: `${two} want different heat` });
  const other = clash.getByRole('button', { name: /in Small smoker$/ });
  // By the hour at which the tests run nothing else moves, or something by minutes: the price says which, and when it is ready.
  await expect(clash).toContainText(/(nothing moves|instead of .*); ready (as before|[A-Z][a-z]{2} \d)/);
  await other.click();
  await expect(page.getByText(/^New plan, .*small smoker/i)).toBeVisible();
  await expect(clash).toHaveCount(0, { timeout: 30_000 });
  await page.getByRole('button', { name: 'Undo move' }).click();
  await expect(clash).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Redo move' }).click();
  await expect(clash).toHaveCount(0, { timeout: 30_000 });
  await page.keyboard.press('Control+z');
  await expect(clash).toBeVisible({ timeout: 30_000 });
});

test('three weeks of every batch; a job is moved by keys, the rest follows, and one tap takes it back', async ({ page }) => {
  const id = await loinAtThePull(page, { days: 9, loggedDays: 5, thicknessMm: 80 });
  const { code } = (await (await page.request.get(`/api/batches/${id}`)).json()) as { code: string };
  await page.goto('/calendar');
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/ to \d+ [A-Z]/);
  const picture = page.getByRole('group', { name: 'Batches over the days' });
  await expect(picture).toContainText(code);
  await expect(picture).toContainText('Refrigerator');
  await expect(picture).toContainText(/at most, of 4 racks/);
  const pull = picture.getByRole('slider', { name: `Pull, ${code}` });
  const before = await pull.getAttribute('aria-valuetext');
  await pull.focus();
  await page.keyboard.press('Enter');
  await expect(pull).toHaveAttribute('aria-valuetext', /Enter sets it down/);
  await page.keyboard.press('PageUp');
  await expect(pull).toHaveAttribute('aria-valuetext', /Enter sets it down/);
  await page.keyboard.press('Enter');
  await expect(page.getByText(new RegExp(`New plan, ${code}: Pull to`))).toBeVisible();
  await expect(pull).not.toHaveAttribute('aria-valuetext', before ?? '');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(pull).toHaveAttribute('aria-valuetext', before ?? '');
});

test('a job is dragged; Today and the ticket are in step', async ({ page }) => {
  const id = await loinAtThePull(page, { days: 8, loggedDays: 5, thicknessMm: 80 });
  const { code } = (await (await page.request.get(`/api/batches/${id}`)).json()) as { code: string };
  await page.goto('/calendar');
  // The clashes come from a worker and stand above the picture.
  await expect(page.getByRole('region', { name: 'Clashes' })).toBeVisible({ timeout: 30_000 });
  const pull = page.getByRole('slider', { name: `Pull, ${code}` });
  await pull.scrollIntoViewIfNeeded();
  const box = (await pull.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  const said = page.getByText(new RegExp(`New plan, ${code}: Pull to [A-Z][a-z]{2} \\d+, \\d\\d:\\d\\d`));
  await expect(said).toBeVisible();
  const when = /Pull to (\w+ \d+), (\d\d:\d\d)/.exec((await said.textContent()) ?? '') ?? [];
  await page.goto(`/batches/${id}`);
  await expect(page.getByRole('region', { name: 'Ticket' })).toContainText(`${when[1] ?? ''} ${when[2] ?? ''}`);
});

test('hours and stores: bad ones are refused in a sentence, a small refrigerator overfills, a smoker out of order is told and the plan mended', async ({
  page,
}) => {
  // Twice it plans the whole house: on a machine that is busy with more it takes its time.
  test.setTimeout(240_000);
  await page.goto('/calendar');
  const open = () => page.getByRole('button', { name: 'Hours and stores' }).click();
  const form = page.getByRole('form', { name: 'Hours and stores' });
  const keep = form.getByRole('button', { name: 'Keep hours and stores' });
  await open();
  await form.getByLabel('Refrigerator holds', { exact: true }).fill('0');
  await keep.click();
  await expect(form.getByRole('alert')).toContainText('holds nothing');
  await form.getByLabel('Refrigerator holds', { exact: true }).fill('12');
  await form.getByLabel('Reach-in holds', { exact: true }).fill('10');
  await form.getByLabel('Monday from', { exact: true }).fill('6.30');
  await keep.click();
  await expect(page.getByRole('group', { name: /overfull$/ }).first()).toContainText(/\d+(\.\d)? L of 1[02]/, { timeout: 30_000 });
  await open();
  await expect(form.getByLabel('Monday from', { exact: true })).toHaveValue('06:30');
  await form.getByLabel('Refrigerator holds', { exact: true }).fill('400');
  await form.getByRole('button', { name: 'Smoker is out of order for a time', exact: true }).click();
  await writeMoment(form, 'until', '2020-01-01T10:00');
  await keep.click();
  await expect(form.getByRole('alert')).toContainText('until before it is so');
  const fortnight = new Date(Date.now() + 12 * DAY_MS).toISOString().slice(0, 16);
  await writeMoment(form, 'until', fortnight);
  await form.getByLabel('Why', { exact: true }).fill('Fan broken.');
  await keep.click();
  const broken = page.getByRole('group', { name: 'Smoker out of order' }).first();
  await expect(broken).toContainText('Fan broken.', { timeout: 30_000 });
  await page.getByRole('button', { name: 'Mend the plan' }).click();
  const mend = page.getByRole('region', { name: 'Mend the plan' });
  await expect(mend).toContainText(/batches? moves?/, { timeout: 60_000 });
  await expect(mend.getByRole('listitem').first()).toContainText(/→|Small smoker/);
  await mend.getByRole('button', { name: 'Show it' }).first().click();
  await mend.getByRole('button', { name: /^Yes, take all \d+ over$/ }).click();
  await expect(mend).toHaveCount(0, { timeout: 60_000 });
  await page.getByRole('button', { name: 'Undo move' }).click();
  await open();
  await form.getByRole('button', { name: 'Smoker is in order after all' }).click();
  await form.getByLabel('Refrigerator holds', { exact: true }).fill('110');
  await form.getByLabel('Reach-in holds', { exact: true }).fill('45');
  await keep.click();
  await expect(page.getByRole('group', { name: /^Re.* overfull$|out of order$/ })).toHaveCount(0, { timeout: 30_000 });
});

test('a holiday ham is planned backwards from the table: in the house’s hours, over by then, and its jobs stand in the Calendar', async ({ page }) => {
  await page.goto('/new');
  await page.getByLabel('Weight', { exact: true }).fill('7400');
  await page.getByRole('button', { name: 'Back from the table' }).click();
  const table = new Date(Date.now() + 26 * DAY_MS);
  table.setUTCHours(12, 0, 0, 0);
  const local = await page.evaluate((at) => {
    const date = new Date(at);
    return new Date(at - date.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
  }, table.getTime());
  await writeMoment(page.locator('#main'), 'On the table at', local);
  await expect(page.getByText(/^Every job lies in working hours|^Outside working hours/)).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText('working it out', { exact: true })).toHaveCount(0, { timeout: 60_000 });
  await page.getByRole('button', { name: 'Start the batch' }).click();
  await expect(page).toHaveURL(/\/batches\//);
  const id = page.url().split('/').at(-1) ?? '';
  const batch = (await (await page.request.get(`/api/batches/${id}`)).json()) as {
    code: string;
    design: { startsAt: string; readyBy: string; stepAt: Record<string, string>; cureDays: number };
  };
  const { startsAt, readyBy, stepAt, cureDays } = batch.design;
  expect(Date.parse(readyBy)).toBe(table.getTime());
  expect(Date.parse(stepAt.pack ?? '') + HOUR_MS).toBeLessThanOrEqual(Date.parse(readyBy));
  // Soon before it, or before the house's weekend where that lies between.
  expect(Date.parse(stepAt.pack ?? '')).toBeGreaterThan(Date.parse(readyBy) - 6 * DAY_MS);
  expect(cureDays).toBeGreaterThanOrEqual(6);
  expect((Date.parse(stepAt.pull ?? '') - Date.parse(stepAt['meat-in'] ?? '')) / DAY_MS).toBeCloseTo(cureDays, 1);
  expect(Date.parse(startsAt)).toBeGreaterThan(Date.now() + 8 * DAY_MS);
  await page.goto('/calendar');
  await page.getByRole('button', { name: 'Season' }).click();
  await expect(page.getByRole('group', { name: 'Batches over the days' })).toContainText(batch.code);
  await page.request.post(`/api/batches/${id}/log`, {
    data: { id: crypto.randomUUID(), kind: 'ended', reason: 'Only a test.', at: new Date().toISOString(), by: 'Juno' },
  });
});

test('both ends too near: the wishes that contradict each other are told', async ({ page }) => {
  await page.goto('/new');
  await page.getByLabel('Weight', { exact: true }).fill('7400');
  await page.getByRole('button', { name: 'Both', exact: true }).click();
  const soon = await page.evaluate((days) => new Date(Date.now() + days - new Date().getTimezoneOffset() * 60_000).toISOString().slice(0, 16), 3 * DAY_MS);
  await writeMoment(page.locator('#main'), 'On the table at', soon);
  const late = page.getByRole('group', { name: 'Too late for the table' });
  await expect(late).toContainText('These contradict each other', { timeout: 60_000 });
  await expect(late).toContainText(/Pull 6 days to 12 days after meat in/);
  await expect(late).toContainText(/on the table/);
});

test('a whole batch is moved by keys; the picture is zoomed and panned', async ({ page }) => {
  const id = await loinAtThePull(page, { days: 9, loggedDays: 5, thicknessMm: 80 });
  const { code } = (await (await page.request.get(`/api/batches/${id}`)).json()) as { code: string };
  await page.goto('/calendar');
  await expect(page.getByRole('region', { name: 'Clashes' })).toBeVisible({ timeout: 30_000 });
  const whole = page.getByRole('slider', { name: `All that is to come of ${code}` });
  const before = await whole.getAttribute('aria-valuetext');
  await whole.focus();
  await page.keyboard.press('Enter');
  await expect(whole).toHaveAttribute('aria-valuetext', /Enter sets it down/);
  await page.keyboard.press('PageUp');
  await page.keyboard.press('Enter');
  await expect(page.getByText(new RegExp(`New plan, ${code}: all that is to come 1 d 0 h later`))).toBeVisible();
  await expect(whole).not.toHaveAttribute('aria-valuetext', before ?? '');
  // Three weeks more are too much for its cure: refused in a sentence, and nothing moves.
  const stands = await whole.getAttribute('aria-valuetext');
  await whole.focus();
  await page.keyboard.press('Enter');
  await expect(whole).toHaveAttribute('aria-valuetext', /Enter sets it down/);
  for (let i = 0; i < 30; i += 1) await page.keyboard.press('PageUp');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Pull not later than 24 days after “Meat in”/)).toBeVisible();
  await expect(whole).toHaveAttribute('aria-valuetext', stands ?? '');

  const title = page.getByRole('heading', { level: 1 });
  const first = await title.textContent();
  await page.getByRole('button', { name: 'Later days' }).click();
  await expect(title).not.toHaveText(first ?? '');
  await page.getByRole('button', { name: 'Now', exact: true }).click();
  await expect(title).toHaveText(first ?? '');
  const picture = page.getByRole('group', { name: 'Batches over the days' });
  const box = (await picture.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  await page.mouse.move(box.x + box.width - 40, box.y + 16);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width - 340, box.y + 16, { steps: 5 });
  await page.mouse.up();
  await expect(title).not.toHaveText(first ?? '');
  await page.keyboard.down('Control');
  await page.mouse.wheel(0, -200);
  await page.keyboard.up('Control');
  await expect(page.getByRole('button', { name: 'Week', exact: true })).toHaveAttribute('aria-pressed', 'true');
});

test('the feed: an address is made, read as a calendar, renewed; the file is the same', async ({ page }) => {
  await page.goto('/calendar');
  await page.getByRole('button', { name: 'On your telephone' }).click();
  const panel = page.getByRole('region', { name: 'On your telephone' });
  const make = panel.getByRole('button', { name: 'Make an address to subscribe to' });
  const field = panel.getByLabel('Address: add it to your calendar as a subscription');
  await expect(make.or(field)).toBeVisible();
  if (await make.isVisible()) await make.click();
  const address = await field.inputValue();
  const read = await page.request.get(address);
  expect(read.headers()['content-type']).toMatch(/^text\/calendar/);
  expect(await read.text()).toContain('BEGIN:VEVENT');
  await panel.getByRole('button', { name: 'An hour before' }).click();
  await expect.poll(async () => (await page.request.get(address)).text()).toContain('TRIGGER:-PT1H');
  const download = page.waitForEvent('download');
  await panel.getByRole('link', { name: 'Download as a file' }).click();
  expect((await download).suggestedFilename()).toBe('bunkhouse.ics');
  await panel.getByRole('button', { name: 'Renew it: the old one ends' }).click();
  await expect(field).not.toHaveValue(address);
  expect((await page.request.get(address)).status()).toBe(404);
});

test('reminders are asked for, tell a job once when it falls due, and stop', async ({ page, context }) => {
  await context.grantPermissions(['notifications']);
  await page.addInitScript(() => {
    const told: string[] = [];
    class Told {
      static permission = 'granted';
      static requestPermission = () => Promise.resolve('granted');
      onclick: (() => void) | null = null;
      constructor(title: string) {
        told.push(title);
      }
    }
    Object.assign(window, { Notification: Told, told });
  });
  const told = () => page.evaluate(() => (window as unknown as { told: string[] }).told);
  await page.goto('/calendar');
  await page.getByRole('button', { name: 'On your telephone' }).click();
  expect(await told()).toEqual([]);
  await page.getByRole('button', { name: 'Remind me on this device' }).click();
  // The made-up house has one job that is due now.
  await expect.poll(told).toContainEqual(expect.stringMatching(/^Turn \d+, HB-\d{3}$/));
  const all = await told();
  expect(new Set(all).size).toBe(all.length);
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  expect(await told()).toEqual([]);
  await page.getByRole('button', { name: 'On your telephone' }).click();
  await page.getByRole('button', { name: 'Stop reminding me here' }).click();
  await expect(page.getByRole('button', { name: 'Remind me on this device' })).toBeVisible();
});

test('of two who move one plan, the later is told and nothing of his is taken over', async ({ page, context }) => {
  const id = await loinAtThePull(page, { days: 9, loggedDays: 5, thicknessMm: 80 });
  const { code } = (await (await page.request.get(`/api/batches/${id}`)).json()) as { code: string };
  await page.goto('/calendar');
  const pull = page.getByRole('slider', { name: `Pull, ${code}` });
  await pull.focus();
  await page.keyboard.press('Enter');
  await expect(pull).toHaveAttribute('aria-valuetext', /Enter sets it down/);
  await page.keyboard.press('PageUp');
  // Meanwhile another cook moves it: this page has not heard of it yet.
  await context.route('**/api/batches', (route) => route.abort());
  await page.request.post(`/api/batches/${id}/log`, {
    data: { id: crypto.randomUUID(), kind: 'replanned', changes: { coldC: 2 }, reason: 'Colder shelf', at: new Date().toISOString(), by: 'Abel' },
  });
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Abel changed this plan since you looked at it/)).toBeVisible();
});

test('on a phone the same jobs are a list by day', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/calendar');
  const list = page.getByRole('region', { name: 'By day' });
  await expect(list.getByRole('listitem').first()).toContainText(/\d\d:\d\d/);
  await expect(page.getByRole('group', { name: 'Batches over the days' })).toBeHidden();
  await list.getByRole('link').first().click();
  await expect(page).toHaveURL(/\/batches\//);
});
