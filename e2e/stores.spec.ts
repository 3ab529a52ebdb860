import { writeMoment } from './moment.js';
import { expect, test } from './test.js';
import { Jimp } from 'jimp';
import { DAY_MS } from '@bunkhouse/core';
import { Cook } from './cook.js';
import { mixedLoin } from './mixedLoin.js';

test('a thermometer is held against ice: what it shows counts as what it truly was, from then on, and the log says both', async ({ page }) => {
  await Cook.onDuty(page, new Date());
  await page.goto('/stores');
  await page.getByRole('button', { name: 'Write a tool down' }).click();
  await page.getByRole('button', { name: 'Save the tool' }).click();
  await expect(page.getByText(/needs a name/).first()).toBeVisible();
  const name = `Blue probe ${Date.now() % 100_000}`;
  await page.getByLabel('Its name').fill(name);
  await page.getByRole('button', { name: 'Save the tool' }).click();
  const row = page.getByRole('row', { name: new RegExp(`^${name}`) });
  await expect(row).toContainText('never checked');
  await page.getByRole('button', { name: `Check ${name}` }).click();
  await page.getByLabel('In ice and water', { exact: true }).fill('7');
  await page.getByRole('button', { name: 'Log the check' }).click();
  await expect(page.getByText(/7\s°C off 0\s°C/)).toBeVisible();
  await page.getByLabel('In ice and water', { exact: true }).fill('1,2');
  await expect(page.getByText(/61.8\s°C counts from now on/)).toBeVisible();
  await page.getByRole('button', { name: 'Log the check' }).click();
  await expect(row).toContainText(/1\.2\s°C too high in ice: corrected/);

  const { id } = await mixedLoin(page);
  await page.goto(`/batches/${id}`);
  const present = page.getByRole('region', { name: /^Next:/ });
  await present.getByLabel('Read with').selectOption({ label: name });
  await present.getByRole('textbox').first().fill('4.9');
  await expect(present.getByText(/4\.9\s°C counts as 3\.7\s°C/)).toBeVisible();
  await present.getByRole('button', { name: /^Log / }).click();
  const log = page.getByRole('region', { name: 'Log' });
  await expect(log.getByText(new RegExp(`Read with ${name}, which showed 4\\.9`))).toBeVisible();
  await expect(log.getByText(/3\.7\s°C/).first()).toBeVisible();
  await page.goto(`/batches/${id}/record`);
  await expect(page.getByText(new RegExp(`Read with ${name}`))).toBeVisible();
  await page.goto('/stores');
  await page.getByRole('button', { name: `Change ${name}` }).click();
  await page.getByRole('button', { name: 'Put it away' }).click();
  await expect(row).toContainText('put away');
});

test('a cut face is photographed, read between two marks, and lies beside another batch’s', async ({ page }) => {
  await Cook.onDuty(page, new Date());
  const { id, code } = await mixedLoin(page);
  await page.goto(`/batches/${id}`);
  const panel = page.getByRole('region', { name: 'Cut faces' });
  const file = (buffer: Buffer, mimeType: string) => panel.getByLabel('A picture of a cut face').setInputFiles({ name: 'face', mimeType, buffer });
  await file(Buffer.from('<svg/>'), 'image/png');
  await expect(panel.getByRole('alert')).toContainText('no picture');
  const face = new Jimp({ width: 300, height: 200, color: 0xffffffff });
  face.scan((x, y, i) => {
    const from = Math.hypot((x - 150) / 120, (y - 100) / 80);
    if (from < 1) face.bitmap.data.writeUInt32BE(from < 0.5 ? 0x968476ff : 0xcd7876ff, i);
  });
  await file(await face.getBuffer('image/png'), 'image/png');
  await expect(panel.getByRole('img', { name: /Cut face of piece A/ })).toBeVisible({ timeout: 20_000 });
  await panel.getByRole('button', { name: 'How much is grey?' }).click();
  // The mark for pink is moved by keys, out of the core and back to where it began.
  const pink = panel.getByRole('button', { name: /Surely pink/ });
  await pink.press('ArrowLeft');
  await expect(pink).toHaveAccessibleName(/21 % across/);
  await pink.press('ArrowRight');
  await panel.getByRole('button', { name: 'Read how much is grey' }).click();
  await expect(panel.getByText(/2[456] % grey/)).toBeVisible({ timeout: 20_000 });
  await page.goto(`/batches/${id}/record`);
  await expect(page.getByText(/2[456] % grey, by the camera|2[456] % grey, .* by the camera/)).toBeVisible();
  const other = await mixedLoin(page);
  await page.goto(`/ledger/compare?ids=${id},${other.id}`);
  await expect(page.getByRole('columnheader', { name: new RegExp(code) })).toBeVisible();
  await expect(page.getByRole('img', { name: /Cut face/ })).toBeVisible();
});

test('a lot has a price, and the batch says what it cost', async ({ page }) => {
  await Cook.onDuty(page, new Date());
  await page.goto('/stores');
  await page.getByRole('button', { name: 'A lot has come' }).click();
  const name = `Loin of the week ${Date.now() % 100_000}`;
  await page.getByRole('button', { name: 'Meat', exact: true }).click();
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('How much came', { exact: true }).fill('10000');
  await page.getByLabel('All of it cost', { exact: true }).fill('64');
  await writeMoment(page.locator('#main'), 'Came on', new Date(Date.now() - DAY_MS).toISOString().slice(0, 10));
  await page.getByRole('button', { name: 'Save the lot' }).click();
  await expect(page.getByRole('row', { name: new RegExp(name) })).toContainText('64.00');
  const { id } = await mixedLoin(page);
  await page.goto(`/batches/${id}`);
  const lots = page.getByRole('region', { name: 'Lots' });
  await lots.getByRole('button', { name: 'Write a lot down' }).click();
  await lots.getByLabel(/^What/).selectOption({ label: 'Meat' });
  await lots.getByLabel('From which lot').selectOption({ label: name });
  await lots.getByRole('button', { name: 'Log the lot' }).click();
  await expect(lots.getByText(/Materials 16\.00/)).toBeVisible();
  await expect(lots.getByText(/without cure: no price/)).toBeVisible();
});

test('a figure leads to its paragraph in the Guide; an exercise is checked, a slip is named', async ({ page }) => {
  await Cook.onDuty(page, new Date());
  const { id } = await mixedLoin(page);
  await page.goto(`/batches/${id}`);
  // The picture of the section comes from a worker and moves what stands below it: a tap before that may miss.
  await expect(page.getByRole('slider', { name: 'Time in the cure' })).toBeVisible({ timeout: 30_000 });
  await page.getByRole('link', { name: 'Which figure is judged, in the Guide' }).click();
  await expect(page).toHaveURL(/guide#judged/);
  await expect(page.locator('#judged')).toBeInViewport();
  await page.getByLabel('Find').fill('salometer tables');
  await expect(page.getByText('Strength of a brine')).toBeVisible();
  await expect(page.getByText('Pellicle', { exact: true })).toBeHidden();
  await page.getByLabel('Find').fill('');
  const practice = page.getByRole('region', { name: 'Practice' });
  const [, green = '', after = ''] = /weighed ([\d\s]+) g green and weighs ([\d\s]+) g/.exec((await practice.textContent()) ?? '') ?? [];
  const grams = (shown: string) => Number(shown.replace(/\s/g, ''));
  const percent = (100 * (grams(after) - grams(green))) / grams(green);
  await practice.getByRole('textbox', { name: /Your answer/ }).fill((percent / 100).toFixed(4));
  await practice.getByRole('button', { name: 'Check it' }).click();
  await expect(practice.getByText(/A hundred times off/)).toBeVisible();
  await practice.getByRole('textbox', { name: /Your answer/ }).fill(percent.toFixed(1));
  await practice.getByRole('button', { name: 'Check it' }).click();
  await expect(practice.getByText(/Right\./)).toBeVisible();
  await practice.getByRole('button', { name: 'Another one' }).click();
  await expect(practice.getByText('2 of 7')).toBeVisible();
});
