import type { Page } from '@playwright/test';
import { expect, test } from './test.js';
import { mixedLoin } from './mixedLoin.js';
import { emptyDatabase, ownHouse, query } from './ownHouse.js';

const PINS: Record<string, string> = { Wren: '7204', Juno: '3961', Abel: '5183', 'Inspector Rowan': '8427' };
const demo = process.env.BUNKHOUSE_TEST_DATABASE ?? '';

/** Presses a PIN on the pad, as with a wet finger. */
async function press(page: Page, pin: string): Promise<void> {
  for (const digit of pin) await page.getByRole('group', { name: 'Digits' }).getByRole('button', { name: digit, exact: true }).click();
  await page.getByRole('button', { name: 'In', exact: true }).click();
}

/** Somebody else takes over at this device. */
async function takeOver(page: Page, name: string): Promise<void> {
  await page.getByRole('banner').getByRole('button', { name: / on$/ }).click();
  await page.getByRole('button', { name: 'Somebody else' }).click();
  await page.getByRole('button', { name, exact: true }).click();
  await press(page, PINS[name] ?? '');
  await expect(page.getByRole('button', { name: `${name} on` })).toBeVisible();
}

test('by name and PIN: a wrong one says so; a helper logs under their own name and does not plan; a reader only looks', async ({ page }) => {
  await page.goto('/');
  const { id } = await mixedLoin(page);
  await page.getByRole('button', { name: 'Wren on' }).click();
  await page.getByRole('button', { name: 'Somebody else' }).click();
  await page.getByRole('button', { name: 'Abel', exact: true }).click();
  await press(page, '9051');
  await expect(page.getByText('That is not the PIN of this name.')).toBeVisible();
  // The keys of a keyboard do as well.
  await page.keyboard.type('5183');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Abel on' })).toBeVisible();

  await expect(page.getByRole('link', { name: 'New batch' })).toHaveCount(0);
  await page.goto('/new');
  await expect(page.getByText(/A cook plans and decides/)).toBeVisible();
  await page.goto(`/batches/${id}`);
  await expect(page.getByRole('button', { name: 'It ends without being packed' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Leave this step out' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Write a note' }).click();
  await page.getByRole('textbox').last().fill('Turned it over');
  await page.getByRole('button', { name: 'Log the note' }).click();
  await expect(page.getByRole('region', { name: 'Log' }).getByText('Abel').first()).toBeVisible();
  // What the screen does not offer the house does not take either.
  const refused = await page.request.post('/api/house', { data: { name: 'Mine' } });
  expect(refused.status()).toBe(403);

  await takeOver(page, 'Inspector Rowan');
  await page.goto(`/batches/${id}`);
  await expect(page.getByText(/You look in as a reader/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Write a note' })).toHaveCount(0);
  await page.goto('/ledger');
  await expect(page.getByRole('grid')).toBeVisible();
});

test('a tablet that nobody touched is locked: it goes on showing, and what is logged then waits for a PIN and bears that name', async ({ page }) => {
  const { id } = await mixedLoin(page);
  await page.goto('/');
  await takeOver(page, 'Juno');
  await page.goto(`/batches/${id}`);
  await page.getByRole('button', { name: 'Write a note' }).click();
  await page.getByRole('textbox').last().fill('Ice is low');
  await query(demo, `UPDATE session SET seen_at = $1 WHERE person_id = (SELECT id FROM person WHERE name = 'Juno')`, [new Date(Date.now() - 11 * 60_000)]);
  await page.getByRole('button', { name: 'Log the note' }).click();
  const who = page.getByRole('dialog', { name: 'Who is it?' });
  await expect(who).toBeVisible();
  await who.getByRole('button', { name: 'Abel', exact: true }).click();
  await press(page, PINS.Abel ?? '');
  await expect(who).toHaveCount(0);
  const log = page.getByRole('region', { name: 'Log' });
  // Until the answer is there, the words stand in the form too.
  await expect(log.getByRole('listitem').filter({ hasText: 'Ice is low' })).toContainText('Abel');
  await expect(page.getByRole('button', { name: 'Abel on' })).toBeVisible();

  await query(demo, `UPDATE session SET seen_at = $1 WHERE person_id = (SELECT id FROM person WHERE name = 'Abel')`, [new Date(Date.now() - 11 * 60_000)]);
  await page.reload();
  await expect(page.getByRole('button', { name: /Locked/ })).toBeVisible();
  await expect(log.getByText('Ice is low')).toBeVisible();
  await page.getByRole('button', { name: /Locked/ }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Abel', exact: true }).click();
  await press(page, PINS.Abel ?? '');
  await expect(page.getByRole('button', { name: /Locked/ })).toHaveCount(0);
});

/** Writes who opens a house, and what it is called; it is not opened yet. */
async function writeFirst(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await page.getByLabel('Name of the house').fill('Alder Bend');
  await page.getByLabel('Your name').fill('Mallow');
  await page.getByLabel('Password').fill('three brown crocks');
}

test('a house of one’s own: the head cook is made at the first start, takes a helper in, puts a tablet up, and the helper signs in on it', async ({ page }) => {
  test.slow();
  const house = await ownHouse(await emptyDatabase());
  try {
    await page.goto(house.address);
    await expect(page.getByRole('heading', { name: 'The first start' })).toBeVisible();
    await page.getByLabel('Name of the house').fill('Alder Bend');
    await page.getByLabel('Your name').fill('Mallow');
    await page.getByLabel('Password').fill('short');
    await page.getByRole('button', { name: 'Open the house' }).click();
    await expect(page.getByText(/ten letters or more|10 letters or more/i).first()).toBeVisible();
    await page.getByLabel('Password').fill('three brown crocks');
    await page.getByRole('button', { name: 'Open the house' }).click();
    await expect(page.getByRole('button', { name: 'Mallow on' })).toBeVisible();

    await page.goto(`${house.address}/house`);
    await page.getByRole('button', { name: 'Take somebody in' }).click();
    const form = page.getByRole('form', { name: 'Take somebody in' });
    await form.getByLabel('Name', { exact: true }).fill('Pim');
    await form.getByLabel('PIN').fill('1234');
    await form.getByRole('button', { name: 'Take in' }).click();
    await expect(form.getByText(/first that anybody tries/)).toBeVisible();
    await form.getByLabel('PIN').fill('6402');
    await form.getByRole('button', { name: 'Take in' }).click();
    await expect(page.getByRole('listitem').filter({ hasText: 'Pim' })).toContainText('Helper');
    await page.getByLabel('Put this device up for the crew, as').fill('By the sink');
    await page.getByRole('button', { name: 'Put it up' }).click();
    await expect(page.getByText('This device is By the sink.')).toBeVisible();

    await page.getByRole('button', { name: 'Mallow on' }).click();
    await page.getByRole('button', { name: 'Somebody else' }).click();
    await expect(page.getByRole('heading', { name: 'Alder Bend' })).toBeVisible();
    await page.getByRole('button', { name: 'Pim', exact: true }).click();
    await press(page, '6402');
    await expect(page.getByRole('button', { name: 'Pim on' })).toBeVisible();
    await page.goto(`${house.address}/house`);
    await expect(page.getByRole('button', { name: 'Take somebody in' })).toHaveCount(0);

    // Elsewhere the PIN opens nothing, and nobody is told who works here.
    const other = await page.context().browser()?.newContext();
    const phone = await other?.newPage();
    await phone?.goto(house.address);
    await expect(phone?.getByLabel('Name') ?? page.locator('none')).toBeVisible();
    await expect(phone?.getByText('Pim') ?? page.locator('none')).toHaveCount(0);
    await phone?.getByLabel('Name').fill('mallow');
    await phone?.getByLabel('Password').fill('three brown crocks');
    await phone?.getByRole('button', { name: 'Sign in' }).click();
    await expect(phone?.getByRole('button', { name: 'Mallow on' }) ?? page.locator('none')).toBeVisible();
    await other?.close();
  } finally {
    await house.close();
  }
});

test('a house that writes with a comma and the month first does so everywhere, and reads it so', async ({ page }) => {
  const house = await ownHouse(await emptyDatabase());
  try {
    await writeFirst(page, house.address);
    await page.getByRole('button', { name: 'Open the house' }).click();
    await page.getByRole('button', { name: 'Mallow on' }).click();
    await page.getByRole('link', { name: 'Crew and settings' }).click();
    const settings = page.getByRole('form', { name: 'Settings of the house' });
    await settings.getByRole('button', { name: '3,5 %' }).click();
    await settings.getByRole('button', { name: 'Oct 17', exact: true }).click();
    await settings.getByRole('button', { name: '3:30 pm' }).click();
    await settings.getByLabel('Rules for nitrite in a new batch').selectOption('eu');
    await settings.getByLabel('Keep every single reading for').fill('12');
    await settings.getByRole('button', { name: 'Keep these settings' }).click();
    await expect(settings.getByText(/At least 30 days/)).toBeVisible();
    await settings.getByLabel('Keep every single reading for').fill('400');
    await settings.getByRole('button', { name: 'Keep these settings' }).click();
    await expect(settings.getByRole('button', { name: 'Kept' })).toBeVisible();
    await page.goto(`${house.address}/new`);
    await expect(page.getByLabel('Whose rules')).toHaveValue('eu');
    await expect(page.getByLabel('Salt, of meat and water', { exact: true })).toHaveValue(/^\d+(,\d+)?$/);
    await page.getByLabel('Weight', { exact: true }).fill('7400');
    await page.getByRole('button', { name: /^The brine/ }).click();
    await page.getByLabel('Salt, of meat and water', { exact: true }).fill('2,35');
    await expect(page.getByText(/2,3\d? ?%|2,35/).first()).toBeVisible();
    await expect(page.locator('.clock .num')).toHaveText(/[ap]m$/);
  } finally {
    await house.close();
  }
});

test('the first minute of an empty house: it is asked how it counts, there are three ways to begin, and a look round that can be left and found again', async ({
  page,
}) => {
  const house = await ownHouse(await emptyDatabase());
  try {
    await writeFirst(page, house.address);
    // As usual in a kitchen whose browser speaks British English.
    await expect(page.getByLabel('Rules for nitrite in a new batch')).toHaveValue('uk');
    await expect(page.getByLabel('Time zone of the house')).toHaveValue('America/Denver');
    await page.getByRole('button', { name: 'lb, in' }).click();
    await page.getByRole('button', { name: '°F', exact: true }).click();
    await page.getByLabel('Time zone of the house').selectOption('America/Halifax');
    await page.getByRole('button', { name: 'Open the house' }).click();
    const ways = page.getByRole('region', { name: 'How it begins' });
    await expect(ways.getByRole('link')).toHaveText([/With a piece of meat/, /With a figure/, /With a book from before/]);
    expect(await (await page.request.get(`${house.address}/api/house`)).json()).toMatchObject({
      name: 'Alder Bend',
      settings: { system: 'us', temperature: 'F', ruleSet: 'uk' },
    });
    expect(await (await page.request.get(`${house.address}/api/house/plan`)).json()).toMatchObject({ hours: { timeZone: 'America/Halifax' } });

    await ways.getByRole('button', { name: /look round first/ }).click();
    const round = page.getByRole('region', { name: 'A look round' });
    for (const next of ['New batch', 'Bench', 'Calendar']) {
      await round.getByRole('button', { name: `Next: ${next}` }).press('Enter');
      await expect(page).toHaveTitle(`${next} · Bunkhouse`);
      await expect(round.getByRole('heading', { name: next })).toBeVisible();
    }
    await round.getByRole('button', { name: 'Leave it' }).click();
    await expect(round).toHaveCount(0);
    await page.goto(`${house.address}/guide`);
    await page.getByRole('button', { name: /Look round the house/ }).click();
    await expect(round.getByRole('heading', { name: 'Today' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(round).toHaveCount(0);
    await ways.getByRole('link', { name: /With a piece of meat/ }).click();
    await expect(page.getByRole('button', { name: 'Weight is in lb: switch unit' })).toBeVisible();
  } finally {
    await house.close();
  }
});
