import { expect, test } from './test.js';
import { Cook, sevenOClock } from './cook.js';

// Hand-worked figures for this ham:
//   150 ppm of green weight by a pump of 10 % + 2 % is 1250 ppm of the pickle: 20 g of cure #1 per kg.
//   Green 7400 g as planned: pickle 7400 × 0.12 × 1.15 = 1021.2 g with 20.4 g of cure.
//   Green 7600 g as weighed: pickle 1048.8 g with 20.976 g of cure, 21.0 on a 0.1 g scale.
//   Pumped 7600 → 8360 g is 10.0 %; re-pump 8400 → 8560 g is 160 / 7600 = 2.105 %; together 12.105 %.
//   Cure 21.0 g in the pickle as weighed: 21.0 × 0.0625 / (845 + 125 + 55 + 21) × 0.12105 = 151.9 ppm, with the big scale in 5 g steps.
test('a bone-in ham from New batch to Pack, in a cook’s hands', async ({ page }) => {
  const start = sevenOClock(13);
  const cook = await Cook.onDuty(page, start);
  await page.goto('/new');

  await expect(page.getByLabel('Recipe')).toHaveValue('ham-bone-in');
  await cook.type('Weight', '7400');
  const gauge = page.getByRole('region', { name: 'Ingoing nitrite' });
  await expect(gauge).toContainText('150ppm');
  await expect(gauge).toContainText('If left until even: 150.0 ppm');
  const pickle = page.getByRole('region', { name: 'Pump pickle' });
  await expect(pickle.getByRole('row', { name: 'Cure #1' })).toContainText('20.4 g');
  await expect(pickle.getByRole('row', { name: 'Together' })).toContainText('1\u202f021 g');
  // 14 % of saturation at 26.395 % is 53 °.
  await expect(pickle).toContainText('14.0 % salt53 ° salometer');
  await expect(page.getByRole('region', { name: 'Pump', exact: true })).toContainText('740 g');
  await expect(page.getByRole('region', { name: 'Salt and weights' })).toContainText('2.40%');

  await page.getByRole('button', { name: 'Start the batch' }).click();
  await cook.expectNext('Trim and weigh');
  const ticket = page.getByRole('region', { name: 'Ticket' });

  await cook.log('Log green weight', { 'Green weight': '7600' }, 'Mix the pump pickle');
  await expect(page.getByRole('region', { name: 'Pump pickle' }).getByRole('row', { name: 'Cure #1' })).toContainText('21.0 g');
  await cook.wait(0.5);
  await cook.mixAsPlanned('Log pickle as weighed', 'Mix the cover brine');
  await cook.mixAsPlanned('Log cover as weighed', 'Pump');
  await cook.wait(3);

  // A pumped weight below the green weight is refused at its field, and nothing typed is lost.
  await cook.type('Pickle temperature', '3.2');
  await cook.type('Weight after pumping', '7300');
  await cook.press('Log pumped weight');
  await expect(page.getByText(/weighed 7\s600 g before pumping: it cannot weigh 7\s300 g after/)).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Pickle temperature', { exact: true })).toHaveValue('3.2');
  await cook.log('Log pumped weight', { 'Weight after pumping': '8360' }, 'Meat in');
  await expect(page.getByRole('region', { name: 'Pump', exact: true })).toContainText('12.0');

  // Warm brine: no meat in without a written reason.
  await cook.wait(0.5);
  await cook.type('Brine temperature', '6,5');
  await cook.press('Log meat in');
  await expect(page.getByText(/The brine is warmer than 4 °C/)).toBeVisible();
  await cook.log('Log meat in', { 'Brine temperature': '3.4' }, 'Turn 1');
  await expect(ticket.getByText('Turn 6')).toBeVisible();

  // The re-pump half-way stands on the fourth day at the hour of the turn, not in the night before.
  for (const turn of [1, 2, 3, 4]) {
    await cook.wait(24);
    await cook.log(`Log turn ${turn}`, { 'Refrigerator (if read)': '2.8' }, turn === 4 ? 'Re-pump' : `Turn ${turn + 1}`);
  }
  await cook.log('Log re-pump', { 'Weight before': '8400', 'Weight after': '8560' }, 'Turn 5');
  const pump = page.getByRole('region', { name: 'Pump', exact: true });
  await expect(pump).toContainText('12.1');
  await expect(gauge).toContainText('152ppm');
  await gauge.getByRole('button', { name: 'Working' }).click();
  await expect(gauge).toContainText('151.9 ppm of green weight');
  await expect(gauge).toContainText('nitrite ÷ pickle × pump % × 1 000 000');

  // Turn 5 is forgotten: once turn 6 is due it is missed, and the plan goes on.
  await cook.wait(48);
  await cook.expectNext('Turn 6');
  await expect(ticket.getByRole('listitem').filter({ hasText: 'Turn 5' })).toContainText('missed');
  await cook.log('Log turn 6', {}, 'Pull');
  await cook.wait(24);
  await cook.type('Weight', '8420');
  await cook.press('Firm all over');
  await cook.press('Fresh');
  await cook.log('Log pull', {}, 'Fry test');
  await cook.press('Salty');
  await cook.log('Log fry test', {}, 'Into fresh water');
  await cook.log('Log into fresh water', {}, 'Out of the water');
  await cook.wait(3);
  await cook.press('Right');
  await cook.log('Log out of the water', {}, 'Pat dry and rack');
  await cook.log('Log on the rack', {}, 'Pellicle check');
  await cook.wait(12);
  await cook.press('Not yet');
  await cook.press('Log surface');
  await expect(page.getByText(/not ready yet/)).toBeVisible();
  await cook.wait(2);
  await cook.press('Tacky and dull');
  await cook.log('Log surface', {}, 'Light the smoker');
  await cook.log('Log smoker lit', {}, 'Meat on');
  await cook.wait(0.75);

  // Typed in °F, kept in °C, shown in either at once everywhere.
  await page.getByRole('button', { name: 'Smoker is in °C: switch unit' }).click();
  await cook.log('Log meat on', { Smoker: '203', Core: '41' }, 'Raise the heat');
  const log = page.getByRole('region', { name: 'Log' });
  await expect(log).toContainText('Smoker 203.0 °F, Core 41.0 °F');
  await page.getByRole('button', { name: 'Smoker is in °F: switch unit' }).click();
  await expect(log).toContainText('Smoker 95.0 °C, Core 5.0 °C');
  await cook.wait(5);
  await cook.log('Log smoker and core', { Smoker: '121', Core: '51' }, 'Instant-read check');
  await cook.wait(4);
  await cook.log(
    'Log core readings',
    { 'Probe (if read)': '69', 'Instant-read, thick end': '67.5', 'Instant-read, middle': '66.2', 'Instant-read, thin end': '68' },
    'Into the cold',
  );
  await cook.wait(0.75);
  await cook.log('Log into the cold', { Core: '63' }, 'First chill gate');
  await cook.wait(4);
  await cook.log('Log core at 1st gate', { Core: '24' }, 'Second chill gate');
  await expect(page.getByRole('region', { name: 'Chill', exact: true })).toContainText('passed');
  await cook.wait(7.5);
  await cook.log('Log core at 2nd gate', { Core: '3.4' }, 'Wrap, to even out');
  await cook.log('Log wrapped', {}, 'Into the freezer');
  await cook.wait(23.5);
  await cook.log('Log into the freezer', {}, 'Slice and pack');
  await cook.wait(0.5);
  await cook.type('Core before slicing', '2.9');
  await cook.type('Packed weight, all packs', '6840');
  await cook.press('Log packed weight');
  await expect(page.getByRole('group', { name: 'The batch' })).toContainText('Packed');
  // 6840 / 7600 = 90.0 %
  await expect(page.getByRole('region', { name: 'Salt and weights' })).toContainText('90.0 %');

  // A wrong entry is corrected by a further one; the first stays readable; figures follow.
  await page.getByRole('button', { name: 'Correct Slice and pack' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Packed weight, all packs', { exact: true }).fill('6460');
  await sheet.getByLabel('What was wrong with it').fill('One pack was weighed twice');
  await sheet.getByRole('button', { name: 'Log the correction' }).click();
  await expect(page.getByRole('region', { name: 'Salt and weights' })).toContainText('85.0 %');
  await expect(log).toContainText('Corrected, see above.');
  await expect(log).toContainText('Packed weight, all packs 6\u202f840 g');

  // Found again in the Ledger, after a reload of a deep link.
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^HB-\d{3}$/);
  const code = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
  await page.getByRole('link', { name: 'Ledger', exact: true }).click();
  await page.getByLabel('Find').fill(code);
  const row = page.getByRole('row').filter({ hasText: code });
  await expect(row).toContainText('85.0 %');
  await expect(row).toContainText('12.1 %');
  await expect(row).toContainText('151.9 ppm');
});
