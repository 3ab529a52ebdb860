import { DAY_MS } from '@bunkhouse/core';
import type { Page } from '@playwright/test';
import { writeMoment } from './moment.js';
import { expect, test } from './test.js';

const bring = (page: Page) => page.getByRole('region', { name: 'Bring readings in' });
const choose = (page: Page, name: string, text: string) =>
  page.getByLabel('File', { exact: true }).setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

const two = (n: number) => String(n).padStart(2, '0');

test('a logger’s file in °F, month first, with a byte order mark and bad lines: looked at, picked apart, brought in, and out again', async ({ page }) => {
  await page.goto('/readings');
  // A few days ago, at noon, by the clocks of Denver.
  const day = new Date(Date.now() - 4 * DAY_MS);
  const date = `${two(day.getUTCMonth() + 1)}/${two(day.getUTCDate())}/${day.getUTCFullYear()}`;
  const lines = Array.from(
    { length: 3000 },
    (_, i) => `${date} ${two(12 + Math.floor(i / 600))}:${two(Math.floor(i / 10) % 60)}:${two((i % 10) * 6)},225.5,${(41 + i / 100).toFixed(1)}`,
  );
  lines.splice(100, 0, `${date} 12:10:03,9999,41.2`, `${date} 12:10:04,,`, 'the end of the wor');
  await choose(page, 'Back porch.csv', `\ufeffLogger 7,,\nTime,Pit °F,Meat °F\n${lines.join('\n')}\n`);
  const panel = bring(page);
  await expect(panel.getByText(/3\u202f003 lines, 6\u202f001 readings/)).toBeVisible({ timeout: 20_000 });
  await expect(panel).toContainText('2 lines are refused');
  await expect(panel).toContainText('Line 103: 9999 is nothing that a probe can read.');
  await expect(panel).toContainText('"the end of the wor" is no time as the others are.');
  // Its clock hung in Denver, wherever the house is.
  await panel.getByRole('combobox', { name: 'By the clocks of' }).selectOption('America/Denver');
  // 225.5 °F are 107.5 °C; the meat begins at 5 °C.
  const first = panel.getByRole('row').nth(1);
  await expect(first).toContainText('107.5 °C');
  await expect(first).toContainText('5.0 °C');
  await expect(first).toContainText('12:00:00');
  await panel.getByRole('button', { name: /^Bring in the 6\s001 good readings, leave out 2 lines/ }).click();
  await expect(panel).toContainText(/6\u202f001 readings are in/, { timeout: 30_000 });
  // Once more: nothing is doubled.
  await panel.getByRole('button', { name: /^Bring in the/ }).click();
  await expect(panel).toContainText(/0 readings are in\. 6\u202f001 were there already/, { timeout: 30_000 });

  const out = page.getByRole('region', { name: 'Take readings out' });
  await out.getByRole('combobox', { name: 'Of' }).selectOption('Back porch');
  await writeMoment(out, 'From', `${day.toISOString().slice(0, 10)}T00:00`);
  const waiting = page.waitForEvent('download');
  await out.getByRole('link', { name: 'Every reading, as CSV' }).click();
  const stream = await (await waiting).createReadStream();
  let text = '';
  for await (const part of stream) text += String(part);
  const rows = text.trim().split('\r\n');
  expect(rows).toHaveLength(6002);
  expect(rows[1]).toMatch(/T(18|19):00:00\.000Z,Back porch,Pit °F,1,107\.50,107\.50$/);
});

test('what is no log is said to be none; a comma for a point, day or month, and a start are asked about', async ({ page }) => {
  await page.goto('/readings');
  const panel = bring(page);
  await choose(page, 'shopping.csv', 'Item,Price\nSalt,2.50\nSugar,1.10\n');
  await expect(panel.getByRole('alert')).toContainText('no column of times was found');
  await choose(page, 'nothing.csv', '');
  await expect(panel.getByRole('alert')).toContainText('is empty');
  await choose(page, 'kern.csv', 'Zeit;Kern\n03.04.2026 10:00;4,6\n03.04.2026 10:01;4,7\n');
  await expect(panel).toContainText('Day or month first?');
  await expect(panel).toContainText('does not say whether it is °C or °F');
  await expect(panel.getByRole('row').nth(1)).toContainText('3 Apr 2026');
  await expect(panel.getByRole('row').nth(1)).toContainText('4.6 °C');
  await panel.getByRole('combobox', { name: 'Written' }).selectOption({ label: 'month first: 11/20/2026 07:30' });
  await expect(panel.getByRole('row').nth(1)).toContainText('4 Mar 2026');
  await panel.getByRole('button', { name: '°F', exact: true }).click();
  await expect(panel.getByRole('row').nth(1)).toContainText('\u221215.2 °C');
  await choose(page, 'run.csv', 's,core\n0,5.0\n10,5.1\n20,5.2\n');
  await expect(panel.getByRole('alert')).toContainText('when was that?');
  await writeMoment(panel, 'Started', '2026-10-05T07:00');
  await expect(panel.getByRole('row').nth(2)).toContainText('5 Oct 2026, 07:00:10');
});

test('a file of several megabytes is counted to its end and brought in piece by piece: nothing is lost between the pieces', async ({ page }) => {
  const start = Date.now() - 3 * DAY_MS;
  const lines = Array.from({ length: 90_000 }, (_, i) => `${new Date(start + i * 1000).toISOString()},${80 + (i % 9)}.5,${5 + (i % 50)}.2`);
  await page.goto('/readings');
  await choose(page, 'Long night.csv', `Time,Pit C,Meat C\n${lines.join('\n')}\n`);
  const panel = bring(page);
  await panel.getByRole('button', { name: /^Bring in 180\s000 readings/ }).click({ timeout: 60_000 });
  await expect(panel).toContainText(/180\u202f000 readings are in/, { timeout: 90_000 });
});
