import { expect, test } from './test.js';
import { loinAtThePull } from './cook.js';

test('what no plan asked for is written as it happened: by its name, about then, with what was read, and taken back', async ({ page }) => {
  const id = await loinAtThePull(page, { days: 9, loggedDays: 3, thicknessMm: 90 });
  await page.goto(`/batches/${id}`);
  const next = page.getByRole('region', { name: /^Next: / });
  await next.getByRole('button', { name: 'Something else was done' }).click();
  const form = page.getByRole('form', { name: 'Something else was done' });
  // Nothing chosen: told at its field, nothing is sent.
  await form.getByRole('button', { name: 'Log what was done' }).click();
  await expect(form.getByText('Say what was done.')).toBeVisible();
  // At the station where it hangs, one tap; the time only about.
  await form.getByRole('button', { name: 'Massaged', exact: true }).click();
  await expect(form.getByText('Say what was done.')).toHaveCount(0);
  await form.getByRole('button', { name: 'It was earlier' }).click();
  await form.getByLabel('About then: nobody looked at the clock').check();
  await form.getByRole('button', { name: 'Log what was done' }).click();
  await expect(form).toHaveCount(0);
  const ticket = page.getByRole('region', { name: 'Ticket' });
  const row = ticket.getByRole('listitem').filter({ hasText: 'Massaged' });
  await expect(row).toContainText('about');
  const log = page.getByRole('region', { name: 'Log', exact: true });
  await expect(log.getByRole('listitem').first()).toContainText(/about .*Massaged/);

  // By the list, with what was read; a wrong number is told and nothing lost.
  await next.getByRole('button', { name: 'Something else was done' }).click();
  await form.getByLabel('What was done').selectOption({ label: 'Hung in the air' });
  await form.getByLabel('Temperature', { exact: true }).fill('11');
  await form.getByLabel('Humidity of the air', { exact: true }).fill('140');
  await form.getByLabel('With what, or what was seen').fill('In the wind of the north door');
  await form.getByRole('button', { name: 'Log what was done' }).click();
  await expect(form.getByText(/The humidity must be at most 100/)).toBeVisible();
  await form.getByLabel('Humidity of the air', { exact: true }).fill('75');
  await form.getByRole('button', { name: 'Log what was done' }).click();
  await expect(log.getByRole('listitem').first()).toContainText('Hung in the air, 11 °C, 75 % humidity');
  await expect(log.getByRole('listitem').first()).toContainText('In the wind of the north door');

  await page.goto(`/batches/${id}/record`);
  const written = page.getByRole('table').filter({ hasText: 'Written down' });
  await expect(written.getByRole('row').filter({ hasText: 'Massaged' })).toContainText('about');
  await expect(written.getByRole('row').filter({ hasText: 'Hung in the air, 11 °C, 75 % humidity: In the wind of the north door' })).toBeVisible();

  await page.goto(`/batches/${id}`);
  await log.getByRole('button', { name: /^Take back Hung in the air/ }).click();
  await log.getByLabel('Why it is taken back').fill('Another batch');
  await log.getByRole('button', { name: 'Take it back' }).click();
  await expect(ticket.getByRole('listitem').filter({ hasText: 'Hung in the air' })).toHaveCount(0);
});

test('what nobody weighed is written as that: a fault, a reason by one tap, logged; the record names it', async ({ page }) => {
  const id = await loinAtThePull(page, { days: 7, thicknessMm: 60 });
  await page.goto(`/batches/${id}`);
  const next = page.getByRole('region', { name: /^Next: / });
  await expect(next.getByRole('heading', { name: 'Pull' })).toBeVisible();
  await next.getByRole('button', { name: 'Firm all over' }).click();
  await next.getByRole('button', { name: 'Fresh' }).click();
  await next.getByRole('button', { name: 'Log pull' }).click();
  await expect(next.getByText('Weight is missing. If nobody read it, write why.')).toBeVisible();
  await next.getByRole('button', { name: 'No scale at hand' }).click();
  await expect(next.getByText('Weight is missing.')).toHaveCount(0);
  await next.getByRole('button', { name: 'Log pull' }).click();
  await expect(next.getByRole('heading', { name: 'Fry test' })).toBeVisible();
  await page.goto(`/batches/${id}/record`);
  await expect(page.getByRole('row').filter({ hasText: 'Pull, not read: Weight' })).toContainText('No scale at hand');
});

test('on a telephone every section is a thumb away: four of nine behind one word, and the page ends with the bar', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/');
  const bar = page.getByRole('navigation', { name: 'Sections' });
  await expect(bar.getByRole('link', { name: 'Pit' })).toBeInViewport();
  expect(await page.evaluate(() => document.documentElement.scrollHeight - innerHeight)).toBeLessThanOrEqual(1);
  await bar.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Ledger' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Ledger' })).toBeVisible();
  await expect(page.getByRole('menu')).toHaveCount(0);
});

test('a note bears the time at which it was so, or about it', async ({ page }) => {
  const id = await loinAtThePull(page, { days: 7, thicknessMm: 60 });
  await page.goto(`/batches/${id}`);
  const log = page.getByRole('region', { name: 'Log', exact: true });
  await log.getByRole('button', { name: 'Write a note' }).click();
  await log.getByLabel('Note').fill('The door stood open');
  await log.getByRole('button', { name: 'It was earlier' }).click();
  await log.getByLabel('About then: nobody looked at the clock').check();
  await log.getByRole('button', { name: 'Log the note' }).click();
  await expect(log.getByRole('listitem').first()).toContainText(/about .*The door stood open/);
});
