import { expect, test } from '@playwright/test';
import { loinAtThePull } from './cook.js';

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
  await page.keyboard.press('PageUp');
  await expect(pull).toHaveAttribute('aria-valuetext', /Enter sets it down/);
  await page.keyboard.press('Enter');
  await expect(page.getByText(new RegExp(`New plan, ${code}: Pull to`))).toBeVisible();
  await expect(pull).not.toHaveAttribute('aria-valuetext', before ?? '');
  await page.getByRole('button', { name: 'Undo' }).click();
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

test('clashes are named with who takes part; a smaller smoker makes one, a proposal does away with it', async ({ page }) => {
  await page.goto('/calendar');
  await page.getByRole('button', { name: 'Hours and stores' }).click();
  const form = page.getByRole('form', { name: 'Hours and stores' });
  await form.getByLabel('Refrigerator holds', { exact: true }).fill('0');
  await form.getByRole('button', { name: 'Keep hours and stores' }).click();
  await expect(form.getByRole('alert')).toContainText('holds nothing');
  await form.getByLabel('Refrigerator holds', { exact: true }).fill('12');
  await form.getByRole('button', { name: 'Keep hours and stores' }).click();
  await expect(page.getByRole('group', { name: 'Refrigerator overfull' }).first()).toContainText(/\d+(\.\d)? L of 12/, { timeout: 30_000 });
  await page.getByRole('button', { name: 'Hours and stores' }).click();
  await form.getByLabel('Refrigerator holds', { exact: true }).fill('400');
  await form.getByLabel('Monday from', { exact: true }).fill('06:30');
  await form.getByRole('button', { name: 'Keep hours and stores' }).click();
  await expect(page.getByRole('group', { name: 'Refrigerator overfull' })).toHaveCount(0, { timeout: 30_000 });

  // Other clashes of the made-up house have proposals; one of them is looked at and taken.
  const proposal = page.locator('.proposal').first();
  await expect(proposal).toBeVisible({ timeout: 30_000 });
  await proposal.getByRole('button', { name: 'Show it' }).click();
  await expect(page.locator('.weeks .moved').first()).toBeAttached();
  const count = await page.locator('.proposal').count();
  await proposal.getByRole('button', { name: /^Move / }).click();
  await expect(page.getByText(/^New plan, /)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => page.locator('.proposal').count(), { timeout: 30_000 }).toBe(count);
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
