import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, test } from './test.js';
import { DAY_MS, HOUR_MS } from '@bunkhouse/core';
import { Cook } from './cook.js';

/** A brisket that was pulled a quarter of an hour ago, through the API. */
async function pulledBrisket(page: Page): Promise<{ id: string; code: string }> {
  const pulledAt = Date.now() - HOUR_MS / 4;
  const at = (hours: number) => new Date(pulledAt + hours * HOUR_MS).toISOString();
  const id = crypto.randomUUID();
  const post = async (path: string, data: object) => {
    const answer = await page.request.post(path, { data });
    expect(answer.status(), await answer.text()).toBe(201);
    return (await answer.json()) as { id: string; code: string };
  };
  await post('/api/batches', {
    id,
    product: 'pastrami',
    pieces: [{ greenG: 4000, shape: 'slab', thicknessMm: 55, lengthMm: 380 }],
    school: 'equilibrium',
    waterG: 2000,
    saltPercent: 2.2,
    sugarPercent: 0.8,
    nitritePpm: 150,
    ruleSet: 'us',
    cureDays: 9,
    meatScaleStepG: 5,
    cureScaleStepG: 0.1,
    startsAt: at(-9 * 24 - 4),
    by: 'Tess',
  });
  const log = (stepId: string, hours: number, values: object) =>
    post(`/api/batches/${id}/log`, { id: crypto.randomUUID(), kind: 'done', stepId, at: at(hours), by: 'Tess', values });
  await log('weigh', -9 * 24 - 3.8, { 'greenG:A': 4000 });
  await log('mix', -9 * 24 - 3, { waterG: 2000, saltG: 118, sugarG: 48, cureG: 14.8 });
  await log('meat-in', -9 * 24 - 0.2, { brineC: 3 });
  return log('pull', 0, { 'pulledG:A': 4160, firmness: 'firm', smell: 'fresh' });
}

test('a brisket is cut when it is pulled: one half is boiled, the other smoked, both packed, in the Ledger with what was cut from what', async ({ page }) => {
  test.slow();
  const { id, code } = await pulledBrisket(page);
  const cook = await Cook.onDuty(page, new Date());
  await page.goto(`/batches/${id}`);
  await page.getByRole('button', { name: 'Cut in two: piece A' }).click();
  await page.getByLabel('What stays weighs', { exact: true }).fill('12');
  await page.getByLabel('What goes weighs', { exact: true }).fill('1560');
  await page.getByLabel('What goes is made by').selectOption({ label: 'Boiled cured beef' });
  await page.getByRole('button', { name: 'Log the cut' }).click();
  await expect(page.getByText(/What stays must be at least 50 g/)).toBeVisible();
  await page.getByLabel('What stays weighs', { exact: true }).fill('2600');
  await page.getByRole('button', { name: 'Log the cut' }).click();
  const lineage = page.getByRole('navigation', { name: 'What was cut from what' });
  await expect(lineage.getByRole('link')).toHaveCount(2);
  await lineage.getByRole('link', { name: `${code}b` }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(`${code}b`);
  await expect(page.getByRole('link', { name: /Boiled cured beef, version 1/ })).toBeVisible();

  // The boiled half: no rack, no smoke.
  const soakOut = async () => {
    await cook.expectNext('Fry test');
    await page.getByRole('button', { name: 'Right', exact: true }).click();
    await page.getByRole('button', { name: 'Log fry test' }).click();
    await cook.expectNext('Into fresh water');
    await page.getByRole('button', { name: 'Leave this step out' }).click();
    await page.getByLabel('Why into fresh water is left out').fill('It tasted right');
    await page.getByRole('button', { name: 'Log it as left out' }).click();
  };
  await soakOut();
  await cook.expectNext('Heat the water');
  await cook.log('Log water hot', {}, 'Meat into the water');
  await cook.log('Log meat in the water', { Water: '90', Core: '6' }, 'Change the water');
  await expect(page.getByRole('region', { name: 'Pieces' })).toContainText(`${code}b A`);

  // The other half goes on by its own recipe.
  await page.goto(`/batches/${id}`);
  await soakOut();
  await cook.expectNext('Pat dry and rack');
  await page.goto('/ledger');
  for (const [batch, packedG] of [
    [id, 1500],
    [(await familyOf(page, id))[1]?.id ?? '', 1050],
  ] as const)
    await finish(page, batch, packedG);
  await page.goto(`/ledger?find=${code}`);
  await expect(page.getByRole('row', { name: new RegExp(`${code}b of ${code}`) })).toContainText('Boiled cured beef');
  await expect(page.getByRole('row').filter({ hasText: 'Pastrami brisket' })).toContainText('60.0 %');

  // Side by side.
  for (const one of [code, `${code}b`]) await page.getByRole('checkbox', { name: `Compare ${one}`, exact: true }).check();
  await page.getByRole('button', { name: 'Compare 2' }).click();
  await expect(page.getByRole('row', { name: /Recipe/ })).toContainText('Boiled cured beef, version 1');
  await expect(page.getByRole('row', { name: /Nitrite, ingoing/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Everything' }).click();
  await expect(page.getByRole('row', { name: /Nitrite, ingoing/ })).toBeVisible();
  await page.getByRole('button', { name: `Like ${code}, with changes` }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'New batch' })).toBeVisible();
  await expect(page.getByLabel('Weight', { exact: true })).toHaveValue('4000');
});

const familyOf = async (page: Page, id: string) => (await (await page.request.get(`/api/batches/${id}/family`)).json()) as { id: string; code: string }[];

/** The rest of a batch through the API, each step at its time. */
async function finish(page: Page, id: string, packedG: number): Promise<void> {
  const { entries, process } = (await (await page.request.get(`/api/batches/${id}`)).json()) as {
    entries: { stepId?: string; at: string }[];
    process: { steps: { id: string; only?: string; repeatEveryH?: number; inputs: { name: string }[] }[] };
  };
  const done = new Set(entries.map(({ stepId }) => stepId));
  const values: Record<string, object> = {
    pellicle: { surface: 'tacky' },
    'meat-on': { chamberC: 95, coreC: 5 },
    raise: { chamberC: 98, coreC: 60 },
    core: { probeC: 95, instant1C: 94, instant2C: 94, instant3C: 93.5 },
    'into-cold': { coreC: 60 },
    'gate-first': { coreC: 25 },
    'gate-second': { coreC: 3 },
    pack: { coreC: 2.5, packedG },
  };
  const asked = ['rack', 'pellicle', 'light', 'meat-on', 'raise', 'core', 'into-cold', 'gate-first', 'gate-second', 'even-out', 'freezer', 'pack'];
  for (const stepId of asked.filter((step) => !done.has(step) && process.steps.some((one) => one.id === step))) {
    const answer = await page.request.post(`/api/batches/${id}/log`, {
      data: {
        id: crypto.randomUUID(),
        kind: 'done',
        stepId,
        at: new Date().toISOString(),
        by: 'Tess',
        values: values[stepId] ?? {},
        reason: 'Logged afterwards, from paper',
      },
    });
    expect(answer.status(), `${stepId}: ${await answer.text()}`).toBe(201);
  }
}

test('the Ledger by keys: sorted by the house, a column put away and kept, and a batch of it opened', async ({ page }) => {
  await page.goto('/ledger');
  const head = page.getByRole('columnheader', { name: 'Yield' });
  await head.focus();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/sort=yieldPercent&order=down/);
  await expect(head).toHaveAttribute('aria-sort', 'descending');
  const yields = async () =>
    (await page.locator('[role="gridcell"][data-field="yieldPercent"]').allTextContents()).map(Number.parseFloat).filter(Number.isFinite);
  await expect.poll(async () => (await yields()).toSorted((a, b) => b - a).join() === (await yields()).join()).toBe(true);
  expect((await yields()).length).toBeGreaterThan(5);
  await page.getByRole('button', { name: 'Columns' }).click();
  await page.getByRole('checkbox', { name: 'Pump', exact: true }).uncheck();
  await page.keyboard.press('Escape');
  await page.reload();
  await expect(head).toHaveAttribute('aria-sort', 'descending');
  await expect(page.getByRole('columnheader', { name: 'Pump' })).toHaveCount(0);
  await page
    .getByRole('checkbox', { name: /^Compare / })
    .first()
    .focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/batches\//);
  await page.goBack();
  await expect(page).toHaveURL(/sort=yieldPercent/);
});

test('a recall: which batches hold this bag of cure; one that is past its date asks why', async ({ page }) => {
  await page.goto('/stores');
  const row = page.getByRole('row', { name: /K 2431/ });
  const count = Number(await row.getByRole('gridcell').nth(-2).textContent());
  expect(count).toBeGreaterThan(5);
  await page.getByRole('button', { name: 'Which batches hold Cure #1, no. K 2431?' }).click();
  await expect(page.getByText(`${count} batches hold Cure #1, no. K 2431:`)).toBeVisible();
  await expect(page.getByRole('region', { name: /^Batches that hold/ }).getByRole('listitem')).toHaveCount(count);
  await expect(page.getByRole('row', { name: /K 2207/ }).first()).toContainText('past its date');
  await page
    .getByRole('region', { name: /^Batches that hold/ })
    .getByRole('link')
    .first()
    .click();
  const lots = page.getByRole('region', { name: 'Lots' });
  await expect(lots).toContainText('Cure #1, no. K 2431');
  if ((await lots.getByRole('button', { name: 'Write a lot down' }).count()) === 0) return;
  await lots.getByRole('button', { name: 'Write a lot down' }).click();
  await lots.getByLabel(/^What/).selectOption('cure');
  await page.getByLabel('From which lot').selectOption({ label: 'Cure #1, no. K 2207, past its date' });
  await page.getByRole('button', { name: 'Log the lot' }).click();
  await expect(page.getByRole('alert')).toContainText('was best before');
});

test('a recipe is changed into another version; what differs is named; a batch that was made keeps its own', async ({ page }) => {
  await page.goto('/recipes/pastrami-bath');
  await page.getByRole('button', { name: 'Change it' }).click();
  await page.getByLabel('Salt, of meat and water', { exact: true }).fill('2,0');
  await page.getByLabel('Nitrite aimed at', { exact: true }).fill('900');
  await expect(page.getByRole('alert')).toContainText('Nitrite aimed at must be at most 700 ppm');
  await page.reload();
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByLabel('Nitrite aimed at', { exact: true })).toHaveValue('900');
  await page.getByLabel('Nitrite aimed at', { exact: true }).fill('150');
  await page.getByRole('button', { name: 'Save version 2' }).click();
  await expect(page.getByRole('alert')).toContainText('Write what you changed');
  await page.getByLabel('What was changed, and why').fill('Saltier than the crew likes');
  await page.getByRole('button', { name: 'Save version 2' }).click();
  await expect(page.getByText(/Version 2 by/)).toBeVisible();
  const differs = page.getByRole('region', { name: 'What differs' });
  await expect(differs.getByRole('row')).toHaveCount(2);
  await expect(differs).toContainText('2.2 %');
  await page.getByRole('button', { name: 'Start a batch with this' }).click();
  await expect(page.getByLabel('Recipe')).toHaveValue('pastrami-bath');
  await expect(page.getByLabel('Salt, of meat and water', { exact: true })).toHaveValue('2');
});

test('on paper: record, mixing card, labels and day sheet keep their pages, say what they must, and fit A4 and Letter', async ({ page }) => {
  const { rows } = (await (await page.request.get('/api/ledger?product=ham-bone-in&outcome=finished')).json()) as {
    rows: { id: string; code: string; packedG: number }[];
  };
  const [ham] = rows;
  if (ham === undefined) throw new Error('a ham in the Ledger');
  const folder = mkdtempSync(join(tmpdir(), 'paper-'));
  const printed = async (path: string, holds: string): Promise<{ text: string; pages: number; size: string }> => {
    await page.goto(path);
    // What comes from the house after the batch is there, too.
    await expect(page.locator('.sheet')).toContainText(holds);
    await expect(page.locator('.sheet-head')).toContainText('Tamarack Fork');
    const file = join(folder, 'page.pdf');
    writeFileSync(file, await page.pdf({ preferCSSPageSize: true, printBackground: false }));
    const info = execFileSync('pdfinfo', [file], { encoding: 'utf8' });
    return {
      text: execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }),
      pages: Number(/Pages:\s+(\d+)/.exec(info)?.[1]),
      size: /Page size:.*\((\w+)\)/.exec(info)?.[1] ?? '',
    };
  };
  const record = await printed(`/batches/${ham.id}/record`, 'Cure #1, no.');
  expect(record).toMatchObject({ size: 'A4' });
  expect(record.pages).toBeGreaterThanOrEqual(2);
  expect(record.pages).toBeLessThanOrEqual(4);
  for (const words of [
    `Batch record ${ham.code}`,
    'floor 120, limit 200 ppm',
    'Deviations and corrections',
    'The log, as it was written',
    'Pump',
    'Cure #1, no.',
    'your inspector',
  ])
    expect(record.text).toContain(words);
  // The house's beam, sections and buttons are no part of it.
  expect(record.text).not.toContain('Wren on');
  expect(record.text).not.toContain('New batch');

  const card = await printed(`/batches/${ham.id}/mixing-card`, 'Cover brine');
  for (const words of ['Pump pickle', 'Cover brine', 'on its own scale', 'sites of']) expect(card.text).toContain(words);
  expect(card.pages).toBeLessThanOrEqual(2);

  await page.goto(`/batches/${ham.id}/labels`);
  await page.getByRole('button', { name: 'Letter' }).click();
  const labels = await printed(`/batches/${ham.id}/labels`, 'Use by');
  expect(labels).toMatchObject({ size: 'letter', pages: 1 });
  expect(labels.text.match(/Ingredients: pork, water, salt/g)).toHaveLength(6);
  expect(labels.text).toContain('Use by');
  expect(labels.text).toContain('sodium nitrite (preservative)');
  await expect(page.getByRole('img', { name: 'The address of the batch' })).toHaveCount(6);

  const day = await printed('/day-sheet', 'Measured');
  expect(day.text).toContain('Day sheet');
  expect(day.text).toMatch(/First chill gate|Turn|Soak|Pellicle/);
});

test('the book as a file: what is torn is refused, what is here is known, nothing is written before it was seen', async ({ page }) => {
  await page.goto('/ledger/file');
  const choose = (name: string, content: string) =>
    page.getByLabel('Choose a book').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) });
  await choose('torn.json', '{"format": "bunkhouse-bo');
  await expect(page.getByRole('alert')).toContainText('That file is no JSON');
  await choose('other.json', '{"recipes": []}');
  await expect(page.getByRole('alert')).toContainText('no book of ours');
  const book = await (await page.request.get('/api/exchange/book.json?readings=no')).text();
  await choose('book.json', book);
  await expect(page.getByRole('status').filter({ hasText: '0 batches come in' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Nothing of it is new' })).toBeDisabled();
  const changed = JSON.parse(book) as { recipes: { id: string; versions: object[] }[]; batches: object[] };
  const [first] = changed.recipes;
  if (first === undefined) throw new Error('a recipe');
  await choose('one.json', JSON.stringify({ ...changed, batches: [], recipes: [{ ...first, id: `from-elsewhere-${Date.now()}` }] }));
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Taken in' })).toBeVisible();
});

test('trends: a mark for each batch of a product, each leads to its batch', async ({ page }) => {
  await page.goto('/ledger/trends?product=pastrami');
  const yields = page.getByRole('figure', { name: 'Yield over the seasons' });
  const first = yields.getByRole('link').first();
  await expect(first).toHaveAccessibleName(/^Pastrami PB-\d+.*%$/);
  expect(Date.now() - DAY_MS).toBeGreaterThan(0);
  await first.press('Enter');
  await expect(page).toHaveURL(/\/batches\//);
});
