import { expect, test } from '../test.js';
import { CookAtWork } from './cookAtWork.js';

// A brisket left over the fire through the night with nobody there, wrapped by its core, hotter at the end, rested on the board and eaten
// warm: nothing is chilled, nothing packed. A day as it goes, common practice.
test('a brisket over the fire through the night with nobody there, wrapped, rested, and served warm: it ends without a chill', async ({ page }) => {
  test.slow();
  const cook = await CookAtWork.begins(page, 'Brisket through the night', 14);
  await cook.choose('Recipe', 'Pastrami brisket');
  await cook.write('Weight', '4600');
  await cook.tap('Start the batch');
  await cook.sees('Trim and weigh');
  cook.costOf('start');
  await cook.write('Green weight', '4600');
  await cook.tap('Log green weight');
  await cook.sees('Mix the brine');
  await cook.weighsAsPlanned('Log brine as weighed');
  await cook.sees('Meat in');
  await cook.wait(4);
  await cook.write('Brine temperature', '3');
  await cook.tap('Log meat in');
  await cook.sees('Turn 1');
  cook.costOf('into the brine');
  // Ten days; it is turned once.
  await cook.wait(24 * 5);
  await cook.tap(/^Log turn /);
  await cook.wait(24 * 5);
  await cook.tap(/Pull/, page.getByRole('region', { name: 'Ticket' }));
  await cook.tap('Firm all over');
  await cook.tap('Fresh');
  await cook.tap('Log pull');
  // Nobody weighed it.
  await cook.tap('No scale at hand', cook.next);
  await cook.tap('Log pull');
  await cook.sees('Fry test');
  cook.costOf('cure');
  await cook.leavesOut('Not needed for this piece', 'Into fresh water');
  await cook.did('Rinsed', { values: { For: '2' } });
  await cook.leavesOut('Not needed for this piece', 'Pat dry and rack');
  await cook.leavesOut('Wet on purpose', 'Pellicle check');
  await cook.leavesOut('Wet on purpose', 'Light the smoker');
  await cook.did('Rubbed', { words: 'Pepper and coriander, no salt' });
  await cook.wait(9);
  await cook.tap('Log smoker lit');
  await cook.sees('Meat on');
  await cook.wait(0.75);
  await cook.write('Smoker', '120');
  await cook.tap('Log meat on');
  // The core was not read as it went on: a fact.
  await cook.tap('No thermometer at hand', cook.next);
  await cook.tap('Log meat on');
  await cook.sees('Wrap');
  cook.costOf('onto the fire');
  // Nobody was there before the morning.
  await cook.wait(9);
  await cook.write('Smoker', '135');
  await cook.write('Core', '78');
  await cook.tap(/^Log /, cook.next);
  await cook.sees('Instant-read check');
  await cook.wait(4);
  await cook.write('Instant-read, thick end', '95');
  await cook.tap('Log core readings');
  await cook.tap('Nobody was here', cook.next);
  await cook.tap('Log core readings');
  await cook.sees('Into the cold');
  await cook.did('Rested', { values: { For: '120' }, words: 'On the board, to 60' });
  await cook.did('Carved', { words: 'Warm, for sandwiches' });
  cook.costOf('fire');
  // It is eaten: what was read shows that it may be, so nobody asks why, and no chill is owed.
  await cook.tap('It ends without being packed');
  const end = page.getByRole('form', { name: 'How it ends' });
  await cook.tap('Served', end);
  await cook.tap('Log the end', end);
  await expect(page.getByRole('group', { name: 'The batch' })).toContainText('Served');
  cook.costOf('end');
  await cook.tap('Say how it was at table');
  const table = page.getByRole('form', { name: 'How it was at table' });
  await cook.tap('Tough', table.getByRole('group', { name: 'Firmness' }));
  await cook.tap('Longer on the fire', table);
  await cook.tap('Log how it was', table);
  await expect(table).toHaveCount(0);
  await cook.reads(
    'served',
    'Pull, not read: Weight',
    /Turns [0-9, –]+ not logged/,
    'Rinsed, 2 min',
    'Rubbed: Pepper and coriander, no salt',
    'Wet on purpose',
    'Meat on, not read: Core',
    'Rested, 120 min: On the board, to 60',
    'Tasted at table, tough: Longer on the fire',
  );
  cook.tells();
});
