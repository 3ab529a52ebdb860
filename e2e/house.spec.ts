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
  const jobs = page.locator('.job');
  await expect(jobs.first()).toContainText('late');
  await late.click();
  await expect(page.getByRole('heading', { level: 2, name: 'First chill gate' })).toBeVisible();
});

test('light and night shift, °C and °F, metric and US, at once everywhere and kept', async ({ page }) => {
  await page.goto('/ledger');
  await expect(page.getByRole('table')).toContainText(' g');
  await page.getByRole('button', { name: 'Wren on' }).click();
  const menu = page.getByRole('dialog', { name: 'On duty and display' });
  await menu.getByRole('button', { name: 'lb, in' }).click();
  await menu.getByRole('button', { name: '°F' }).click();
  await menu.getByRole('button', { name: 'Night shift' }).click();
  await menu.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('table')).toContainText(' lb');
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

test('the first load is under 300 kB of compressed script, and nothing is asked of another host', async ({ page, baseURL }) => {
  const elsewhere: string[] = [];
  page.on('request', (request) => {
    if (!request.url().startsWith(baseURL ?? '') && !request.url().startsWith('data:')) elsewhere.push(request.url());
  });
  await page.goto('/');
  await expect(page.locator('.job').first()).toBeVisible();
  const scripts = await page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
      .filter((entry) => entry.name.endsWith('.js'))
      .map((entry) => entry.encodedBodySize),
  );
  expect(scripts.length).toBeGreaterThan(0);
  expect(Math.min(...scripts)).toBeGreaterThan(0);
  expect(scripts.reduce((a, b) => a + b, 0)).toBeLessThan(300_000);
  expect(elsewhere).toEqual([]);
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
      await expect(page.locator('#main .page')).toBeVisible();
      // The picture of the section comes from a worker, after the rest.
      if ([cure, dry, prep].includes(path)) await expect(page.getByRole('slider', { name: 'Time in the cure' })).toBeVisible({ timeout: 30_000 });
      // Rail and sections are the same on every screen: they are looked at once.
      // In the page itself and without its copy of the style sheets: the same faults in half of the time.
      const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'], preload: false });
      const { violations } = await (path === '/' ? axe : axe.include('#main')).analyze();
      const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
      expect(serious.map(({ id, nodes }) => `${path} ${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`)).toEqual([]);
      const overflow = await page.evaluate(() => (document.getElementById('main')?.scrollWidth ?? 0) - (document.getElementById('main')?.clientWidth ?? 0));
      expect(overflow, `${path} is wider than the screen`).toBeLessThanOrEqual(0);
    }
  });
}

test('nothing runs off the side of a tablet, by day or by night', async ({ page }) => {
  await page.setViewportSize({ width: 820, height: 1180 });
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  const batches = [await firstBatch(page, 'Cure'), await firstBatch(page, 'Dry'), await firstBatch(page, 'Chill')];
  for (const path of ['/', '/new', '/bench', HAVE, '/ledger', '/guide', '/learnt', '/calendar', '/pit', ...batches]) {
    await page.emulateMedia({ colorScheme: path.length % 2 === 0 ? 'dark' : 'light', reducedMotion: 'reduce' });
    await page.goto(path);
    await expect(page.locator('#main .page')).toBeVisible();
    if (batches.slice(0, 2).includes(path)) await expect(page.getByRole('slider', { name: 'Time in the cure' })).toBeVisible({ timeout: 30_000 });
    const overflow = await page.evaluate(() => (document.getElementById('main')?.scrollWidth ?? 0) - (document.getElementById('main')?.clientWidth ?? 0));
    expect(overflow, `${path} is wider than the screen`).toBeLessThanOrEqual(0);
  }
});
