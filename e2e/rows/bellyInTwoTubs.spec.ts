import { expect, test } from '../test.js';
import { CookAtWork } from './cookAtWork.js';

// A belly trimmed square, in two tubs with one brine poured by eye, turned every second day, out as the weekend falls, over wood that is
// put on by the clock of the hand: a day as it goes, common practice. On a telephone, in °F and pounds.
test('a belly in two tubs, poured by eye, out when the weekend falls, tended with one thermometer; on a telephone, in °F', async ({ page }) => {
  test.slow();
  await page.setViewportSize({ width: 390, height: 844 });
  const cook = await CookAtWork.begins(page, 'Belly in two tubs', 14, { system: 'us', temperature: 'F' });
  await cook.choose('Recipe', 'Belly bacon, in a bag');
  await cook.write('Weight', '5.9');
  await cook.tap('Add a piece');
  await cook.write('Weight', '5.6', page.getByRole('group', { name: 'Piece B' }));
  await cook.write('Water', '6');
  await cook.tap('In tubs');
  await cook.tap('Start the batch');
  await cook.sees('Trim and weigh');
  cook.costOf('start');

  await cook.write('Green weight, piece A', '5.8');
  await cook.write('Green weight, piece B', '5.5');
  await cook.tap('Log green weight');
  await cook.sees('Mix the brine');
  await cook.did('Trimmings into the freezer', { values: { Weight: '0.3' } });
  await cook.weighsAsPlanned('Log brine as weighed');
  await cook.sees('Meat in');
  await cook.wait(3);
  await cook.write('Brine temperature', '37');
  await cook.tap('Log meat in');
  await cook.sees('Turn 1');

  // Poured by eye: the figure says how much that leaves open.
  const tubs = page.getByRole('region', { name: 'Tubs and bags' });
  await cook.tap('They lie otherwise', tubs);
  const lying = page.getByRole('form', { name: 'What lies where' });
  await cook.tap('By the meat, by eye', lying);
  await cook.tap('Log what lies where', lying);
  await expect(lying).toHaveCount(0);
  await expect(tubs).toContainText(/119 ppm \(107 to 131\)/);
  await cook.did('Held under', { words: 'A plate on each, they float' });
  cook.costOf('into the tubs');

  await cook.wait(48);
  await cook.tap('Log turn 2');
  await cook.wait(24 * 4 + 2);
  const ticket = page.getByRole('region', { name: 'Ticket' });
  await cook.tap(/Pull/, ticket);
  await cook.write('Weight, piece A', '5.9');
  await cook.write('Weight, piece B', '5.6');
  await cook.tap('Firm all over');
  await cook.tap('Fresh');
  await cook.tap('Log pull');
  // Too soon for what it has taken up: said where he stands, and it goes back for three days.
  await expect(cook.next.getByText(/Put it back/).first()).toBeVisible();
  await cook.did('Held under', { words: 'Back for three days' });
  await cook.wait(72);
  await cook.tap('Log pull');
  await cook.sees('Fry test');
  cook.costOf('turn and pull');
  await cook.leavesOut('Not needed for this piece', 'Into fresh water');
  await cook.leavesOut('Tasted right', 'Pat dry and rack');
  await cook.driesAndLights(4);
  await cook.write('Smoker', '203');
  await cook.write('Core', '41');
  await cook.tap('Log meat on');
  await cook.sees('Raise the heat');
  cook.costOf('soak, dry, fire lit');
  // One thermometer in the hand and a clock on the wrist: the Pit goes by what he reads.
  for (const F of ['205', '200', '208']) {
    await cook.wait(0.75);
    await cook.did('Wood put on', { values: { Temperature: F } });
  }
  await cook.leavesOut('Not needed for this piece', 'Instant-read check');
  await cook.wait(1);
  const cores = async (F: string) => {
    for (const piece of ['A', 'B']) for (const place of ['thick end', 'middle', 'thin end']) await cook.write(`Instant-read, ${place}, piece ${piece}`, F);
    await cook.tap('Log core readings');
  };
  // Typed as it would be in °C: it is seen as it was logged, taken back, and read again.
  await cores('67');
  await expect(page.getByText(/^Instant-read check, BB-\d+ logged/)).toBeVisible();
  await cook.tap('Undo');
  await cook.sees('Instant-read check');
  await cores('153');
  await cook.sees('Into the cold');
  await expect(page.getByRole('region', { name: 'What each piece has shown' })).not.toContainText('not counted');
  await cook.wait(0.5);
  cook.costOf('fire');
  for (const piece of ['A', 'B']) await cook.write(`Core, piece ${piece}`, '128');
  await cook.tap('Log into the cold');
  await cook.sees('First chill gate');
  await cook.wait(3);
  for (const piece of ['A', 'B']) await cook.write(`Core, piece ${piece}`, '75');
  await cook.tap('Log core at 1st gate');
  await cook.sees('Second chill gate');
  await cook.wait(6);
  for (const piece of ['A', 'B']) await cook.write(`Core, piece ${piece}`, '39');
  await cook.tap('Log core at 2nd gate');
  await cook.sees('Wrap, to even out');
  await cook.leavesOut('Not needed for this piece', 'Into the freezer');
  await cook.tap('Log into the freezer');
  await cook.sees('Slice and pack');
  await cook.wait(0.5);
  for (const piece of ['A', 'B']) await cook.write(`Core before slicing, piece ${piece}`, '36');
  await cook.write('Packed weight, all packs', '9.6');
  await cook.tap('Log packed weight');
  await expect(page.getByRole('group', { name: 'The batch' })).toContainText('Packed');
  cook.costOf('chill and pack');
  await cook.reads(
    'Trimmings into the freezer, 0.3 lb',
    'Where it lies: tub 1: A, brine by eye; tub 2: B, brine by eye',
    'Turns 1, 3–8 not logged',
    'Instant-read check taken back',
    'Held under: Back for three days',
    'Wood put on, 208 °F',
    'Raise the heat left out',
    'Not needed for this piece',
  );
  await expect(page.getByRole('main')).not.toContainText('°C');
  cook.tells();
});
