import { expect, test } from './test.js';

test('a cook is read at a time by keys, looked at from nearer, and copied from a table', async ({ page }) => {
  // The made-up house's own cook; nobody reads it while the tests run, so what its thermometer would have read is brought in.
  interface Entry {
    stepId?: string;
    at: string;
    event?: { act: string; probes?: { device: string; channel: number; reads: string }[] };
  }
  const live = (await (await page.request.get('/api/batches')).json()) as { id: string; createdAt: string; entries: Entry[] }[];
  const onFire = live.filter(({ entries }) => entries.findLast(({ stepId }) => stepId !== undefined)?.stepId === 'raise');
  const cook = onFire.sort((a, b) => a.createdAt.localeCompare(b.createdAt))[0];
  const probes = cook?.entries.findLast(({ event }) => event?.act === 'probes')?.event?.probes ?? [];
  const onMs = Date.parse(cook?.entries.find(({ stepId }) => stepId === 'meat-on')?.at ?? '');
  const readings = [];
  for (let at = onMs + 60_000; at < Date.now() - 60_000; at += 120_000) {
    const hours = (at - onMs) / 3_600_000;
    for (const { channel, reads } of probes)
      readings.push({ channel, at: new Date(at).toISOString(), C: reads === 'chamber' ? 107 + 3 * Math.sin(hours * 5) : 5.2 + 9 * hours });
  }
  const brought = await page.request.post(`/api/devices/${probes[0]?.device ?? ''}/readings`, { data: { by: 'Wren', readings } });
  expect(brought.status(), await brought.text()).toBe(200);
  await page.goto(`/pit/${cook?.id ?? ''}`);
  const cursor = page.getByRole('slider', { name: 'Read the cook at a time' });
  await cursor.focus();
  // What was read comes after the page.
  await expect(cursor).toHaveAttribute('aria-valuetext', /Core [\d.]+ °C/, { timeout: 30_000 });
  const read = /^\d\d:\d\d, Chamber [\d.]+ °C, Set to [\d.]+ °C, Core [\d.]+ °C/;
  await expect(async () => {
    if (!read.test((await cursor.getAttribute('aria-valuetext')) ?? '')) await page.keyboard.press('ArrowLeft');
    expect(await cursor.getAttribute('aria-valuetext')).toMatch(read);
  }).toPass({ timeout: 30_000, intervals: [50] });
  const now = (await cursor.getAttribute('aria-valuetext')) ?? '';
  const core = (text: string) => Number(/Core ([\d.]+)/.exec(text)?.[1]);
  for (let i = 0; i < 24; i++) await page.keyboard.press('ArrowLeft');
  const before = (await cursor.getAttribute('aria-valuetext')) ?? '';
  // Two hours earlier the meat was colder.
  expect(core(before)).toBeLessThan(core(now) - 2);
  await page.keyboard.press('Home');
  await expect(cursor).toHaveAttribute('aria-valuenow', '0');
  await page.keyboard.press('End');
  await expect(cursor).toHaveAttribute('aria-valuetext', /Chamber not read/);

  const axis = page
    .getByRole('img', { name: /^Cook since/ })
    .locator('text')
    .filter({ hasText: /^\d\d:\d\d$/ });
  const whole = await axis.allTextContents();
  await page.keyboard.press('Home');
  await page.keyboard.press('+');
  await page.keyboard.press('+');
  await expect.poll(() => axis.allTextContents()).not.toEqual(whole);
  await page.getByRole('button', { name: 'All of it' }).first().click();
  await expect.poll(() => axis.allTextContents()).toEqual(whole);

  await page.getByRole('button', { name: 'As a table' }).first().click();
  const table = page.getByRole('region', { name: /^Cook since .*, as a table$/ });
  await expect(table.getByRole('columnheader')).toContainText(['Time', 'Chamber', 'Set to', 'Core']);
  expect(await table.getByRole('row').count()).toBeGreaterThan(20);
  await page.getByRole('button', { name: /^Copy all \d+ rows$/ }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Copied.' })).toBeVisible();
});

test('a cure is read by a finger on a telephone, and the section follows', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, ...(baseURL === undefined ? {} : { baseURL }) });
  const page = await context.newPage();
  await page.goto('/');
  const batch = ((await (await page.request.get('/api/batches')).json()) as { id: string; code: string }[]).find(({ code }) => code.startsWith('HB-024'));
  await page.goto(`/batches/${batch?.id ?? ''}`);
  const cursor = page.getByRole('slider', { name: 'Read the cure at a time' });
  await cursor.scrollIntoViewIfNeeded({ timeout: 60_000 });
  const section = page.getByRole('img', { name: /^Section at day/ });
  const box = await cursor.boundingBox();
  if (box === null) throw new Error('a curve to touch');
  await page.touchscreen.tap(box.x + 4, box.y + box.height / 2);
  await expect(section).toHaveAccessibleName(/^Section at day 0/);
  await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
  await expect(section).not.toHaveAccessibleName(/^Section at day 0/);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
  await context.close();
});
