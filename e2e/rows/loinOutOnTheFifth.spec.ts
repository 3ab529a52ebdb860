import { expect, test } from '../test.js';
import { CookAtWork } from './cookAtWork.js';

// A loin pumped with the brine that lies around it, out before its days, soaked by the clock of a guess, stalled, mistrusted, a touch salty:
// a day as it goes, common practice.
test('a loin in one brine, out on the fifth day of seven; ten minutes in water that were to be twenty; a probe that is not believed', async ({ page }) => {
  test.slow();
  const cook = await CookAtWork.begins(page, 'Loin, out on the fifth', 12);
  await cook.choose('Recipe', 'Canadian bacon');
  await cook.choose('How it is cured', 'One brine for needle and tub');
  await cook.write('First pump, of green', '7');
  await cook.write('Days of cure', '7');
  await cook.write('Weight', '2240');
  await cook.tap('Start the batch');
  await cook.sees('Trim and weigh');
  cook.costOf('start');

  await cook.write('Green weight', '2240');
  await cook.tap('Log green weight');
  await cook.sees('Mix the brine');
  await cook.weighsAsPlanned('Log brine as weighed');
  await cook.sees('Pump');
  await cook.wait(2);
  await cook.write('Weight after pumping', '2396');
  await cook.write('Pickle temperature', '3');
  await cook.tap('Log pumped weight');
  await cook.sees('Meat in');
  await cook.write('Brine temperature', '3.4');
  await cook.tap('Log meat in');
  await cook.sees('Turn 1');
  cook.costOf('into the brine');
  for (const turn of [1, 2, 3, 4]) {
    await cook.wait(24);
    await cook.tap(`Log turn ${turn}`);
    expect(cook.costOf(`turn ${turn}`).fields).toBe(0);
    await cook.sees(`Turn ${turn + 1}`);
  }
  await cook.wait(22);
  // It is wanted: out before its days, with what they would have been for.
  const ticket = page.getByRole('region', { name: 'Ticket' });
  await cook.tap(/Pull/, ticket);
  await cook.write('Weight', '2360');
  await cook.tap('Firm all over');
  await cook.tap('Fresh');
  await cook.tap('Log pull');
  await expect(cook.next.getByText(/before the shortest days of cure/)).toBeVisible();
  await cook.tap('Needed for the table', cook.next);
  await cook.tap('Log pull');
  await cook.sees('Fry test');
  cook.costOf('pull before time');
  await cook.leavesOut('Tool not at hand', 'Into fresh water');
  expect(cook.costOf('skip')).toEqual({ taps: 2, fields: 0 });
  // One tap logs it, one takes it back.
  await expect(page.getByText(/^Fry test left out, CB-\d+ logged/)).toBeVisible();
  await cook.tap('Log into fresh water');
  await cook.sees('Out of the water');
  await cook.wait(10 / 60);
  await cook.tap('Log out of the water');
  await cook.tap('Not tasted', cook.next);
  await cook.tap('Log out of the water');
  await cook.sees('Pat dry and rack');
  await cook.driesAndLights(11);
  await cook.write('Smoker', '80');
  await cook.write('Core', '5');
  await cook.tap('Log meat on');
  await cook.sees('Raise the heat');
  await cook.wait(1);
  await cook.did('Chips put on', { values: { Temperature: '81' } });
  await cook.wait(2.5);
  await cook.write('Smoker', '93');
  await cook.write('Core', '60');
  await cook.tap('Log smoker and core');
  await cook.sees('Instant-read check');
  await cook.wait(1);
  // The probe says 65, the thermometer in the hand 54: it is pushed in deeper, and goes on.
  await cook.write('Probe', '65');
  await cook.write('Instant-read, thick end', '54');
  await cook.write('Instant-read, middle', '56');
  await cook.write('Instant-read, thin end', '58');
  await cook.tap('Log core readings');
  await expect(cook.next.getByText(/64/).first()).toBeVisible();
  await cook.sees('Instant-read check');
  await cook.wait(1);
  await cook.write('Probe', '66');
  await cook.write('Instant-read, thick end', '66.2');
  await cook.write('Instant-read, middle', '66');
  await cook.write('Instant-read, thin end', '67.4');
  await cook.tap('Log core readings');
  await cook.sees('Into the cold');
  await cook.wait(0.5);
  // Nobody read the core of it: that is a fact, not a reason to stand still.
  await cook.tap('Log into the cold');
  await cook.tap('No thermometer at hand', cook.next);
  await cook.tap('Log into the cold');
  await cook.sees('First chill gate');
  await cook.wait(3);
  await cook.write('Core', '20');
  await cook.tap('Log core at 1st gate');
  await cook.sees('Second chill gate');
  await cook.wait(4);
  await cook.write('Core', '3.8');
  await cook.tap('Log core at 2nd gate');
  await cook.sees('Wrap, to even out');
  cook.costOf('fire and chill');
  await cook.did('Bagged', { words: 'Two days, for the smoke' });
  await cook.tap('Log wrapped');
  await cook.wait(48);
  await cook.sees('Into the freezer');
  await cook.leavesOut('Not needed for this piece', 'Slice and pack');
  await cook.write('Core before slicing', '3');
  await cook.write('Packed weight, all packs', '1960');
  await cook.tap('Log packed weight');
  cook.costOf('pack');

  // At table: a touch salty.
  await cook.tap('Say how it was at table');
  const table = page.getByRole('form', { name: 'How it was at table' });
  await cook.tap('Log how it was', table);
  await expect(table.getByText('Say how it was, or what to do.')).toBeVisible();
  await cook.tap('Salty', table.getByRole('group', { name: 'Salt' }));
  await cook.tap('Right', table.getByRole('group', { name: 'Smoke' }));
  await cook.tap('Soak an hour', table);
  await cook.tap('Log how it was', table);
  await expect(table).toHaveCount(0);
  await expect(cook.log.getByRole('listitem').first()).toContainText('Tasted at table, salty, smoke right');
  cook.costOf('at table');

  const code = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
  await cook.reads(
    'Pulled after 4.9 days, 7 days planned',
    'Needed for the table',
    'Fry test left out',
    'Tool not at hand',
    'Chips put on, 81 °C',
    /Into the cold, not read: Core/,
    'Bagged: Two days, for the smoke',
    'Tasted at table, salty, smoke right: Soak an hour',
  );
  // The next one of its kind is begun with it.
  await page.goto('/new');
  await page.getByLabel('Recipe').selectOption({ label: 'Canadian bacon' });
  await expect(page.getByRole('note', { name: 'Last time at table' })).toContainText(`${code}, `);
  await expect(page.getByRole('note', { name: 'Last time at table' })).toContainText('salty, smoke right. Next time: Soak an hour');
  await page.goto('/learnt');
  await expect(page.getByRole('region', { name: 'Said at table' }).getByRole('row').filter({ hasText: code })).toContainText('Soak an hour');
  cook.tells();
});
