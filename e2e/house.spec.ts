import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './test.js';

/** The Bench with a recipe that asks questions. */
const HAVE = '/bench?product=ham-bone-in&door=have&text=1+gal+water%2C+1+cup+salt%2C+3+tsp+cure';

async function firstBatch(page: Page, station: string): Promise<string> {
  const link = page.getByRole('navigation', { name: 'Batches on the rail' }).getByRole('link', { name: new RegExp(`at ${station},`) });
  return (await link.first().getAttribute('href')) ?? '/';
}

test('the made-up house opens with a batch at every station, one job due, one late', async ({ page }) => {
  await page.goto('/');
  const rail = page.getByRole('navigation', { name: 'Batches on the rail' });
  for (const station of ['Prep', 'Cure', 'Soak', 'Dry', 'Smoke', 'Cook', 'Chill', 'Pack']) {
    await expect(rail.getByRole('link', { name: new RegExp(`at ${station},`) }).first()).toBeVisible();
  }
  // Other tests may have left batches of their own on the rail.
  const late = rail.getByRole('link', { name: /at Chill, First chill gate .* late, overdue$/ });
  await expect(late).toHaveCount(1);
  await expect(rail.getByRole('link', { name: /, due$/ }).first()).toBeVisible();
  const jobs = page.getByRole('list', { name: 'Jobs to do now' }).locator('> li');
  await expect(jobs.first()).toContainText('late');
  await late.click();
  await expect(page.getByRole('heading', { level: 2, name: 'First chill gate' })).toBeVisible();
});

test('light and night shift, °C and °F, metric and US, at once everywhere and kept', async ({ page }) => {
  await page.goto('/ledger');
  await expect(page.getByRole('grid')).toContainText(' g');
  await page.getByRole('button', { name: 'Wren on' }).click();
  const menu = page.getByRole('dialog', { name: 'On duty and display' });
  await menu.getByRole('button', { name: 'lb, in' }).click();
  await menu.getByRole('button', { name: '°F' }).click();
  await menu.getByRole('button', { name: 'Night shift' }).click();
  await menu.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('grid')).toContainText(' lb');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await page.keyboard.press('b');
  await expect(page.getByRole('button', { name: /°F: switch unit/ }).first()).toBeVisible();
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await expect(page.getByRole('button', { name: 'Wren on' })).toBeVisible();
});

test('by keyboard alone: sections by their keys, the keys shown by ?', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('l');
  await expect(page).toHaveURL(/\/ledger$/);
  await page.keyboard.press('g');
  await expect(page.getByRole('heading', { name: 'Guide' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('n');
  await expect(page.getByRole('heading', { name: 'New batch' })).toBeVisible();
});

/** Goes on by Tab until what is named has the focus. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let i = 0; i < 120; i++) {
    await page.keyboard.press('Tab');
    const at = await page.evaluate(() => {
      const here = document.activeElement;
      const label = here instanceof HTMLInputElement || here instanceof HTMLSelectElement ? here.labels?.[0]?.textContent : here?.textContent;
      return here?.getAttribute('aria-label') ?? label ?? '';
    });
    if (name.test(at.trim())) return;
  }
  throw new Error(`nothing called ${String(name)} is reached by Tab`);
}

test('by keyboard alone: a turn is logged from Today without a reading, and a batch begun', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('button', { name: /^Log turn/ }).first()).toBeVisible();
  await tabTo(page, /^Log turn/);
  const written = page.waitForResponse((answer) => answer.request().method() === 'POST' && answer.url().endsWith('/log'));
  await page.keyboard.press('Enter');
  expect((await written).status()).toBe(201);

  await page.goto('/');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByRole('heading', { level: 1, name: 'New batch' })).toBeFocused();
  await tabTo(page, /^Recipe$/);
  await page.keyboard.type('Canadian');
  await tabTo(page, /^Weight$/);
  await page.keyboard.type('2500');
  await tabTo(page, /^Start the batch$/);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/batches\/[0-9a-f-]{36}$/);
  await expect(page.getByRole('heading', { level: 1, name: /^CB-\d{3}$/ })).toBeVisible();
});

test('Today is read within 245 kB of compressed script and style, the form of its first job stands behind it, all in 15 requests of this house', async ({
  page,
  baseURL,
}) => {
  const elsewhere: string[] = [];
  page.on('request', (request) => {
    if (!request.url().startsWith(baseURL ?? '') && !request.url().startsWith('data:')) elsewhere.push(request.url());
  });
  await page.goto('/');
  await expect(page.getByRole('list', { name: 'Jobs to do now' }).locator('> li').first()).toBeVisible();
  await expect(page.locator('#main form').first()).toBeVisible();
  const asked = await page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[]).map(({ name, encodedBodySize }) => ({ name, size: encodedBodySize })),
  );
  const code = asked.filter(({ name }) => /\.(js|css)$/.test(name));
  expect(Math.min(...code.map(({ size }) => size))).toBeGreaterThan(0);
  const together = (some: typeof code) => some.reduce((sum, { size }) => sum + size, 0);
  const isForm = ({ name }: { name: string }) => /\/form-/.test(name);
  expect(code.filter(isForm)).toHaveLength(1);
  expect(together(code.filter((file) => !isForm(file)))).toBeLessThan(245_000);
  expect(together(code)).toBeLessThan(290_000);
  // With the page itself. What the screen asks the house for comes behind its first job.
  expect(asked.filter(({ name }) => !name.includes('/api/')).length + 1).toBeLessThanOrEqual(15);
  expect(elsewhere).toEqual([]);
});

test('on a slow line the first second is not white: the rail and its name stand before the script is there, by night too', async ({ browser, baseURL }) => {
  for (const colorScheme of ['light', 'dark'] as const) {
    const context = await browser.newContext({ colorScheme, ...(baseURL === undefined ? {} : { baseURL }) });
    const page = await context.newPage();
    const line = await context.newCDPSession(page);
    await line.send('Network.emulateNetworkConditions', { offline: false, latency: 100, downloadThroughput: 50_000, uploadThroughput: 50_000 });
    await page.goto('/', { waitUntil: 'commit' });
    await expect(page.locator('.opening')).toBeVisible();
    expect(await page.evaluate(() => performance.getEntriesByType('resource').some(({ name }) => /index.*\.js$/.test(name)))).toBe(false);
    const ground = (element: string) => page.locator(element).evaluate((node) => getComputedStyle(node).backgroundColor);
    expect(await ground('.opening')).toBe(colorScheme === 'light' ? 'rgb(14, 59, 46)' : 'rgb(11, 47, 37)');
    expect(await ground('html')).toBe(colorScheme === 'light' ? 'rgb(237, 241, 240)' : 'rgb(11, 21, 19)');
    await expect(page.getByRole('list', { name: 'Jobs to do now' }).locator('> li').first()).toBeVisible({ timeout: 60_000 });
    await context.close();
  }
});

test('each screen has its name in the title and takes the focus to its heading; back is where it was left', async ({ page }) => {
  await page.goto('/');
  await expect(page).toHaveTitle('Today · Bunkhouse');
  await page.getByRole('link', { name: 'Guide', exact: true }).click();
  await expect(page).toHaveTitle('Guide · Bunkhouse');
  await expect(page.getByRole('heading', { name: 'Guide', exact: true })).toBeFocused();
  const main = page.locator('#main');
  await main.evaluate((element) => element.scrollTo(0, 900));
  await expect.poll(() => main.evaluate((element) => element.scrollTop)).toBe(900);
  await page.getByRole('link', { name: 'Ledger', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Ledger', exact: true })).toBeFocused();
  expect(await main.evaluate((element) => element.scrollTop)).toBe(0);
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Guide', exact: true })).toBeVisible();
  await expect.poll(() => main.evaluate((element) => element.scrollTop)).toBe(900);
});

test('an address that leads nowhere says so', async ({ page }) => {
  await page.goto('/batches/3b241101-e2bb-4255-8caf-4136c566a962');
  await expect(page.getByText('There is no such batch.')).toBeVisible();
  await page.goto('/nowhere');
  await expect(page.getByText('There is nothing here')).toBeVisible();
});

test('a slip of the finger is undone at once, and stays readable', async ({ page }) => {
  await page.goto('/');
  await page.goto(await firstBatch(page, 'Soak'));
  await expect(page.getByRole('heading', { level: 2, name: 'Out of the water' })).toBeVisible();
  await page.getByRole('button', { name: 'Bland', exact: true }).click();
  await page.getByRole('button', { name: 'Log out of the water' }).click();
  await expect(page.getByRole('heading', { level: 2, name: 'Pat dry and rack' })).toBeFocused();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('heading', { level: 2, name: 'Out of the water' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Log' })).toContainText('Taken back: Out of the water');
});

test('a house that gives no answer: what was logged is kept on the device, and sent when it answers', async ({ page }) => {
  await page.goto('/');
  const path = await firstBatch(page, 'Smoke');
  await page.goto(path);
  await page.getByLabel('Smoker', { exact: true }).fill('108');
  await page.getByLabel('Core', { exact: true }).fill('54');
  await page.route('**/api/**', (route) => route.abort());
  await page.getByRole('button', { name: 'Log smoker and core' }).click();
  await expect(page.getByText(/kept on this device/).first()).toBeVisible();
  await expect(page.getByText(/1 entry kept here, sent when the house answers/)).toBeVisible();
  // The work goes on.
  await expect(page.getByRole('heading', { level: 2, name: 'Instant-read check' })).toBeVisible();
  await page.unroute('**/api/**');
  await expect(page.getByText(/kept here|on the way/)).toHaveCount(0, { timeout: 20_000 });
  const { entries } = (await (await page.request.get(`/api${path}`)).json()) as { entries: { values?: Record<string, number> }[] };
  expect(Object.values(entries.at(-1)?.values ?? {})).toEqual(expect.arrayContaining([108, 54]));
});

/** No fault of access, however slight, and nothing beyond the side. */
async function isInOrder(page: Page, path: string): Promise<void> {
  // Rail and sections are the same on every screen: they are looked at once.
  // In the page itself and without its copy of the style sheets: the same faults in half of the time.
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'], preload: false });
  const { violations } = await (path === '/' ? axe : axe.include('#main')).analyze();
  expect(violations.map(({ id, nodes }) => `${path} ${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`)).toEqual([]);
  const overflow = await page.evaluate(() => (document.getElementById('main')?.scrollWidth ?? 0) - (document.getElementById('main')?.clientWidth ?? 0));
  expect(overflow, `${path} is wider than the screen`).toBeLessThanOrEqual(0);
}

// Colours are those of the scheme and parts those of the width: each scheme and each end of the widths is looked at once.
for (const [scheme, width, height] of [
  ['light', 1280, 800],
  ['dark', 390, 844],
] as const) {
  test(`no serious fault of access on any screen, ${scheme}, ${width} wide, and nothing runs off the side`, async ({ page }) => {
    test.slow();
    await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' });
    await page.setViewportSize({ width, height });
    await page.goto('/');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    const batches = [await firstBatch(page, 'Cure'), await firstBatch(page, 'Dry'), await firstBatch(page, 'Prep'), await firstBatch(page, 'Chill')];
    const [cure = '', dry = '', prep = '', chill = ''] = batches;
    const toPit = (path: string) => path.replace('batches', 'pit');
    // The parts of a batch's page stand on two of them each: every part is looked at in either scheme, each page in one.
    const book =
      scheme === 'light'
        ? ['/recipes', '/recipes/new', '/stores', `${chill}/record`, '/ledger/trends']
        : ['/recipes', '/recipes/canadian-bacon', '/stores', `${dry}/labels`, '/ledger/file', '/day-sheet'];
    const own = scheme === 'light' ? [cure, chill, toPit(dry)] : [dry, prep, toPit(chill)];
    for (const path of ['/', '/new', '/bench', HAVE, '/ledger', '/guide', '/learnt', '/calendar', '/pit', '/readings', '/house', ...book, ...own]) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await expect(page.locator('#main h1')).toBeVisible();
      // The picture of the section comes from a worker, after the rest.
      if ([cure, dry, prep].includes(path)) await expect(page.getByRole('slider', { name: 'Time in the cure' })).toBeVisible({ timeout: 30_000 });
      await isInOrder(page, path);
    }
  });
}

// A tablet, and a laptop at twice the size: half as wide and half as high.
for (const [what, width, height, deviceScaleFactor] of [
  ['a tablet', 820, 1180, 1],
  ['a laptop at 200 %', 640, 400, 2],
] as const)
  test(`no fault of access on ${what}, by day or by night, and nothing runs off the side`, async ({ browser, baseURL }) => {
    test.slow();
    const page = await browser.newPage({ baseURL: baseURL ?? '', viewport: { width, height }, deviceScaleFactor, reducedMotion: 'reduce' });
    await page.goto('/');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    const batches = [await firstBatch(page, 'Cure'), await firstBatch(page, 'Dry'), await firstBatch(page, 'Chill')];
    for (const path of ['/', '/new', '/bench', HAVE, '/ledger', '/recipes', '/stores', '/guide', '/learnt', '/calendar', '/pit', '/house', ...batches]) {
      // Each screen by day on one of the two, by night on the other.
      await page.emulateMedia({ colorScheme: (path.length + deviceScaleFactor) % 2 === 0 ? 'dark' : 'light', reducedMotion: 'reduce' });
      await page.goto(path);
      await expect(page.locator('#main h1')).toBeVisible();
      if (batches.slice(0, 2).includes(path)) await expect(page.getByRole('slider', { name: 'Time in the cure' })).toBeVisible({ timeout: 30_000 });
      await isInOrder(page, path);
    }
    await page.close();
  });
