import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { startPostgres } from '../scripts/postgres.mjs';
import { loinAtThePull } from './cook.js';
import { emptyDatabase, ownHouse } from './ownHouse.js';
import { atTestTime, expect, test } from './test.js';

const PASSWORD = 'four words are enough';

async function firstStart(address: string): Promise<void> {
  const first = await fetch(`${address}/api/session/first`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ house: 'Tamarack Fork', name: 'Juno', password: PASSWORD }),
  });
  expect(first.status).toBe(200);
}

test('a tablet that comes by plain http under a name of the house works, and is told what it cannot do', async ({ launchOptions }) => {
  const house = await ownHouse(await emptyDatabase());
  await firstStart(house.address);
  const port = new URL(house.address).port;
  const browser = await chromium.launch({ ...launchOptions, args: [...(launchOptions.args ?? []), '--host-resolver-rules=MAP bunk.test 127.0.0.1'] });
  const context = await browser.newContext({ viewport: { width: 820, height: 1180 } });
  await atTestTime(context);
  const page = await context.newPage();
  const broke: string[] = [];
  page.on('pageerror', (error) => broke.push(error.message));
  await page.goto(`http://bunk.test:${port}/`);
  expect(await page.evaluate(() => [window.isSecureContext, typeof crypto.randomUUID])).toEqual([false, 'undefined']);
  await expect(page.getByRole('note')).toContainText('This page came by plain http.');
  await page.getByLabel('Name').fill('Juno');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('link', { name: 'New batch' })).toBeVisible();
  for (const path of ['/', '/calendar', '/bench', '/pit', '/recipes', '/stores', '/ledger', '/guide', '/house', '/new']) {
    await page.goto(`http://bunk.test:${port}${path}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(page.getByText('This page broke')).toHaveCount(0);
  }
  // A batch is started and its first step logged: ids come without a secure page.
  await page.getByLabel('Weight', { exact: true }).fill('7400');
  await page.getByRole('button', { name: 'Start the batch' }).click();
  await expect(page).toHaveURL(/\/batches\//, { timeout: 60_000 });
  await page.getByLabel('Green weight', { exact: true }).fill('7400');
  await page.getByRole('button', { name: 'Log green weight' }).click();
  await expect(page.getByRole('heading', { level: 2, name: /^Mix the/ })).toBeVisible();
  expect(broke).toEqual([]);
  await browser.close();
  await house.close();
});

test('a telephone that throws at every notice goes on, while an alarm stands', async ({ page, context }) => {
  await context.grantPermissions(['notifications']);
  await page.addInitScript(() => {
    localStorage.setItem('bunkhouse.remind', 'yes');
    class Thrower {
      static permission = 'granted';
      static requestPermission = () => Promise.resolve('granted');
      constructor() {
        throw new TypeError('Failed to construct: illegal constructor.');
      }
    }
    Object.assign(window, { Notification: Thrower });
  });
  const broke: string[] = [];
  page.on('pageerror', (error) => broke.push(error.message));
  for (const path of ['/', '/pit', '/calendar']) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.waitForTimeout(1500);
    await expect(page.getByText('This page broke')).toHaveCount(0);
  }
  expect(broke).toEqual([]);
});

test('a part that breaks keeps to itself: the rest of the batch is there and can be logged', async ({ page }) => {
  const id = await loinAtThePull(page, { days: 9, loggedDays: 5, thicknessMm: 80 });
  // The drawing of the section gives up: a canvas without a context.
  await page.addInitScript(() => {
    HTMLCanvasElement.prototype.getContext = () => {
      throw new Error('no context on this device');
    };
  });
  await page.goto(`/batches/${id}`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByText('This page broke')).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Log turn/ })).toBeVisible();
});

test('with the database stopped a reload shows what was known, what is logged waits, and goes off when it is back', async ({ browser }) => {
  test.setTimeout(180_000);
  const folder = mkdtempSync(join(tmpdir(), 'bunkhouse-away-'));
  const database = await startPostgres(folder);
  const house = await ownHouse(database.url);
  await firstStart(house.address);
  const context = await browser.newContext({ baseURL: house.address });
  const page = await context.newPage();
  await page.goto('/');
  await page.getByLabel('Name').fill('Juno');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('button', { name: 'Juno on' })).toBeVisible();
  const id = await loinAtThePull(page, { days: 9, loggedDays: 5, thicknessMm: 80 });
  await page.goto(`/batches/${id}`);
  const turn = page.getByRole('button', { name: /^Log turn/ });
  await expect(turn).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.goto(`/batches/${id}`);
  await expect(turn).toBeVisible();

  database.stop();
  const health = await page.request.get('/api/health');
  expect([health.status(), ((await health.json()) as { status: string }).status]).toEqual([503, 'down']);
  await page.reload();
  await expect(page.getByText('This device was not signed in')).toHaveCount(0);
  await expect(page.getByRole('status').filter({ hasText: 'No connection' })).toBeVisible({ timeout: 30_000 });
  await page.getByLabel('Refrigerator (if read)', { exact: true }).fill('3');
  await turn.click();
  await expect(page.getByText(/1 entry kept here/)).toBeVisible();

  expect(database.revive()).toBe(true);
  await expect(page.getByText(/1 entry kept here/)).toHaveCount(0, { timeout: 60_000 });
  // What is on the way is no longer kept here, and not yet there.
  const last = async () => {
    const { entries } = (await (await page.request.get(`/api/batches/${id}`)).json()) as { entries: { stepId?: string; values?: { coldC?: number } }[] };
    return entries.at(-1);
  };
  await expect.poll(last, { timeout: 60_000 }).toMatchObject({ stepId: 'turn-5', values: { coldC: 3 } });
  await context.close();
  await house.close();
  database.stop();
  rmSync(folder, { recursive: true, force: true });
});
