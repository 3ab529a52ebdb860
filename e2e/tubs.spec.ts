import { expect, test } from './test.js';
import { Cook, sevenOClock } from './cook.js';

test('two loins in two tubs, the same of the brine in each, poured otherwise, and the smaller pulled days before the other', async ({ page }) => {
  test.slow();
  const cook = await Cook.onDuty(page, sevenOClock(9));
  await page.goto('/new');
  await page.getByLabel('Recipe').selectOption({ label: 'Canadian bacon' });
  await page.getByLabel('How it is cured').selectOption('equilibrium');
  await cook.type('Weight', '2900');
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByRole('group', { name: 'Piece B' }).getByLabel('Weight', { exact: true }).fill('2100');
  const tubs = page.getByRole('region', { name: 'Tubs and bags' });
  await expect(tubs).toHaveCount(0);
  await page.getByRole('button', { name: 'In tubs' }).click();
  await expect(tubs.getByRole('row')).toHaveCount(3);
  const ppmOf = async (name: string) => Number(/(\d+) ppm/.exec((await tubs.getByRole('row').filter({ hasText: name }).textContent()) ?? '')?.[1]);
  await expect(tubs.getByRole('row').filter({ hasText: 'Tub 1' })).toContainText(/2\D900 g/);
  expect(await ppmOf('Tub 1')).toBe(await ppmOf('Tub 2'));
  await page.getByRole('button', { name: 'The same in each' }).click();
  await expect(tubs.getByRole('row').filter({ hasText: 'Tub 2' })).not.toContainText(`${await ppmOf('Tub 1')} ppm`);
  expect(await ppmOf('Tub 2')).toBeGreaterThan(await ppmOf('Tub 1'));
  await page.getByRole('button', { name: 'Start the batch' }).click();

  await cook.expectNext('Trim and weigh');
  await expect(tubs.getByRole('row').filter({ hasText: 'Tub 2' })).toContainText('B');
  await cook.log('Log green weight', { 'Green weight, piece A': '2900', 'Green weight, piece B': '2100' }, 'Mix the brine');
  await cook.mixAsPlanned('Log brine as weighed', 'Meat in');
  await cook.wait(4);
  await cook.log('Log meat in', { 'Brine temperature': '2' }, 'Turn 1');

  // It was poured otherwise: a weight that cannot be is told at the form, and nothing is lost.
  await tubs.getByRole('button', { name: 'They lie otherwise' }).click();
  const form = page.getByRole('form', { name: 'What lies where' });
  await form.getByRole('button', { name: 'Bags' }).click();
  await form.getByRole('button', { name: 'Weighed' }).click();
  await form.getByLabel('Brine in bag 1', { exact: true }).fill('90000');
  await form.getByRole('button', { name: 'Log what lies where' }).click();
  await expect(form.getByText(/One of the two is wrong: weigh again/)).toBeVisible();
  await form.getByLabel('Brine in bag 1', { exact: true }).fill('1500');
  await form.getByRole('button', { name: 'Log what lies where' }).click();
  await expect(form).toHaveCount(0);
  await expect(tubs.getByRole('row').filter({ hasText: 'Bag 1' })).toContainText(/1\D500 g/);
  const log = page.getByRole('region', { name: 'Log', exact: true });
  await expect(log.getByRole('listitem').first()).toContainText('Where it lies: bag 1: A, with 1');

  // What is asked of the batch is a tap away, wherever the page is read.
  await page.getByRole('navigation', { name: 'On this page' }).getByRole('link', { name: 'Log' }).click();
  await expect(log.getByRole('listitem').first()).toBeInViewport();
  await page.getByRole('navigation', { name: 'On this page' }).getByRole('link', { name: 'Now' }).click();

  // The smaller one goes its own way after five days: all of them cannot.
  await cook.wait(5 * 24);
  const next = page.getByRole('region', { name: /^Next: / });
  await next.getByRole('button', { name: 'Only some of the pieces' }).click();
  const apart = page.getByRole('form', { name: 'Only some of the pieces' });
  await apart.getByRole('button', { name: 'They go their own way' }).click();
  await expect(apart.getByText(/pieces/i).last()).toBeVisible();
  await apart.getByLabel('A', { exact: true }).check();
  await apart.getByLabel('B', { exact: true }).check();
  await apart.getByRole('button', { name: 'They go their own way' }).click();
  await expect(apart.getByText(/All of them stay one batch/)).toBeVisible();
  await apart.getByLabel('A', { exact: true }).uncheck();
  const whole = page.url().replace(/#.*/, '');
  await apart.getByRole('button', { name: 'They go their own way' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^CB-\d{3}b$/);
  await expect(page.getByRole('region', { name: 'Pieces' }).getByRole('listitem').first()).toContainText(' B');
  const ticket = page.getByRole('region', { name: 'Ticket' });
  await ticket.getByRole('button', { name: /Pull/ }).first().click();
  await page.getByRole('button', { name: 'Firm all over' }).click();
  await page.getByRole('button', { name: 'Fresh', exact: true }).click();
  await cook.type('Weight', '2180');
  await page.getByRole('button', { name: 'Log pull' }).click();
  await expect(next.getByText(/before the shortest days of cure/)).toBeVisible();
  await next.getByRole('button', { name: 'Thinner than planned' }).click();
  await page.getByRole('button', { name: 'Log pull' }).click();
  await expect(page.getByRole('heading', { level: 2, name: 'Fry test' })).toBeVisible();

  // The other lies on.
  await page.goto(whole);
  await expect(page.getByRole('region', { name: 'Pieces' }).getByRole('listitem').first()).toContainText(' A');
  await expect(ticket.getByRole('button', { name: /Pull/ }).first()).toBeVisible();
  await page.goto(`${whole}/record`);
  await expect(page.getByRole('heading', { name: 'Tubs and bags' })).toBeVisible();
  await expect(page.getByRole('table').filter({ hasText: 'Written down' })).toContainText('Piece B goes its own way');
});
