import type { BatchResponse } from '@bunkhouse/api';
import type { Page } from '@playwright/test';
import { expect, test } from './test.js';
import { Cook } from './cook.js';
import { mixedLoin } from './mixedLoin.js';

test.use({ serviceWorkers: 'allow' });

/** Opens a page, and waits until the app is kept on the device. */
async function opened(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await page.reload();
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
}

const logOf = async (page: Page, id: string) => ((await (await page.request.get(`/api/batches/${id}`)).json()) as BatchResponse).entries;

test('in the cold room: the app opens without a network, what is logged is kept with its time, and sent once, in order', async ({ page, context }) => {
  test.slow();
  await Cook.onDuty(page, new Date());
  const { id, code } = await mixedLoin(page);
  await opened(page, `/batches/${id}`);
  await expect(page.getByRole('region', { name: /^Next: / })).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('link', { name: new RegExp(code) }).first()).toBeVisible();

  await context.setOffline(true);
  await expect(page.getByText('No connection').first()).toBeVisible();
  await page.reload();
  // The day sheet as it was known last, and the batch.
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page
    .getByRole('link', { name: new RegExp(code) })
    .first()
    .click();
  const present = page.getByRole('region', { name: /^Next: / });
  await present.getByRole('textbox').first().fill('2.8');
  const before = Date.now();
  await present.getByRole('button', { name: /^Log / }).click();
  await expect(page.getByText(/kept on this device/).first()).toBeVisible();
  await expect(page.getByText(/1 entry kept here/)).toBeVisible();
  // The next step has come, from what is known here alone.
  await expect(page.getByRole('region', { name: /^Next: Turn/ })).toBeVisible();
  await page.getByRole('button', { name: 'Write a note' }).click();
  await page.getByRole('textbox').last().fill('Shelf by the door is warm');
  await page.getByRole('button', { name: 'Log the note' }).click();
  await expect(page.getByText(/2 entries kept here/)).toBeVisible();

  // The page is closed and opened again, still without a network.
  await page.reload();
  await expect(page.getByText(/2 entries kept here/)).toBeVisible();
  await expect(page.getByRole('region', { name: /^Next: Turn/ })).toBeVisible();
  await page.getByRole('link', { name: 'Look at them' }).click();
  await expect(page.locator('#main').getByRole('listitem').filter({ hasText: code })).toHaveCount(2);
  expect(await logOf(page, id)).toHaveLength(2);
  await page.waitForTimeout(2500);

  await context.setOffline(false);
  await expect(page.getByText('Nothing waits: the house has all of it.')).toBeVisible({ timeout: 20_000 });
  const entries = await logOf(page, id);
  expect(entries.map(({ kind }) => kind)).toEqual(['done', 'done', 'done', 'note']);
  const [, , sent] = entries;
  expect(Math.abs(Date.parse(sent?.at ?? '') - before)).toBeLessThan(60_000);
  expect(Date.parse(sent?.recordedAt ?? '')).toBeGreaterThan(Date.parse(sent?.at ?? '') + 1500);
  await page.reload();
  await page.waitForTimeout(1000);
  expect(await logOf(page, id)).toHaveLength(4);
});

test('somebody else logged the same step meanwhile: both are shown for a decision, and neither is lost', async ({ page, context }) => {
  test.slow();
  await Cook.onDuty(page, new Date());
  const { id } = await mixedLoin(page);
  await opened(page, `/batches/${id}`);
  const present = page.getByRole('region', { name: /^Next: / });
  await expect(present).toBeVisible();
  await context.setOffline(true);
  await present.getByRole('textbox').first().fill('3.4');
  await present.getByRole('button', { name: /^Log / }).click();
  await expect(page.getByText(/1 entry kept here/)).toBeVisible();
  const theirs = {
    id: crypto.randomUUID(),
    kind: 'done',
    stepId: 'meat-in',
    at: new Date().toISOString(),
    by: 'Abel',
    values: { brineC: 1.9 },
  };
  expect((await page.request.post(`/api/batches/${id}/log`, { data: theirs })).status()).toBe(201);
  await context.setOffline(false);
  await expect(page.getByText('To decide')).toBeVisible({ timeout: 20_000 });
  await page.getByRole('link', { name: 'Decide' }).click();
  await expect(page.getByText(/3\.4\s°C/)).toBeVisible();
  await expect(page.getByText(/1\.9\s°C.*Abel/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep theirs, write mine as a note' }).click();
  await expect(page.getByText('Nothing waits: the house has all of it.')).toBeVisible();
  const entries = await logOf(page, id);
  expect(entries.filter((entry) => 'stepId' in entry && entry.stepId === 'meat-in')).toHaveLength(1);
  expect(entries.at(-1)).toMatchObject({ kind: 'note' });
  expect(entries.at(-1)?.reason).toMatch(/Logged without a connection and not taken/);
});
