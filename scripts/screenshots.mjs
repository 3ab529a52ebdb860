// Pictures of each main view, from the made-up house, for README. Needs a house that runs: BUNKHOUSE_PORT as for npm start.
import { chromium } from '@playwright/test';
import { join } from 'node:path';
import { ROOT } from './places.mjs';
import { CHROMIUM } from './setUp.mjs';

const base = `http://127.0.0.1:${process.env.BUNKHOUSE_PORT || 4180}`;
const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu'] });

async function picture(name, path, { width = 1280, height = 800, scheme = 'light', before } = {}) {
  const page = await browser.newPage({ viewport: { width, height }, colorScheme: scheme, reducedMotion: 'reduce' });
  await page.addInitScript(() => localStorage.setItem('bunkhouse.preferences', JSON.stringify({ system: 'metric', temperature: 'C' })));
  await page.goto(base + path);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await before?.(page);
  await page.waitForTimeout(500);
  await page.screenshot({ path: join(ROOT, 'docs/screenshots', `${name}.png`) });
  await page.close();
}

const live = await (await fetch(`${base}/api/batches`)).json();
const lastStep = (batch) => batch.entries.findLast((entry) => entry.stepId !== undefined)?.stepId ?? '';
const at = (product, stepId) => `/batches/${live.find((batch) => batch.design.product === product && lastStep(batch) === stepId).id}`;
const curing = at('ham-bone-in', 'repump');

const weighed = async (page) => {
  await page.getByLabel('Weight', { exact: true }).fill('6900');
  await page.getByRole('region', { name: 'At the pull' }).waitFor({ timeout: 30_000 });
};

await picture('today', '/');
await picture('today-phone', '/', { width: 390, height: 844 });
await picture('new-batch', '/new', { before: weighed });
await picture('batch-cure', curing, {
  before: (page) =>
    page
      .getByRole('heading', { name: 'The cure inside the meat' })
      .waitFor()
      .then(() => page.getByText(/^Working out where/).waitFor({ state: 'detached', timeout: 60_000 })),
});
await picture('batch-mixing', at('canadian-bacon', 'weigh'));
await picture('batch-chill', at('canadian-bacon', 'into-cold'), {
  before: async (page) => {
    await page.getByRole('img', { name: /^Core since/ }).waitFor({ timeout: 30_000 });
    await page.getByRole('region', { name: 'Chill', exact: true }).evaluate((panel) => panel.scrollIntoView());
  },
});
const inside = (name) => async (page) => {
  await page.getByRole('img', { name: /^Section at day/ }).waitFor({ timeout: 30_000 });
  await page.getByRole('button', { name, exact: true }).click();
  await page.getByRole('region', { name: 'The cure inside the meat' }).evaluate((panel) => panel.scrollIntoView());
};
await picture('section', curing, { before: inside('Salt') });
await picture('sign-in', '/', {
  width: 1180,
  height: 820,
  before: async (page) => {
    await page.getByRole('button', { name: 'Wren on' }).click();
    await page.getByRole('button', { name: 'Somebody else' }).click();
    await page.getByRole('button', { name: 'Abel', exact: true }).click();
  },
});
await picture('house', '/house', { before: (page) => page.getByText('Inspector Rowan').waitFor() });
await picture('calendar', '/calendar', { height: 1200, before: (page) => page.getByRole('region', { name: 'Clashes' }).waitFor({ timeout: 30_000 }) });
const spoons = new URLSearchParams({
  product: 'canadian-bacon',
  door: 'have',
  use: 'even',
  text: '2 1/4 cups coarse salt\n1 gal water\n2 tbsp pink cure #1\n3/4 cup brown sugar, packed\n2 tbsp peppercorns',
  'answer.gallon': 'us',
  'answer.spoons': 'level',
  'answer.coarse-salt': 'coarse-salt-flake',
});
await picture('bench', '/bench');
await picture('bench-audit', `/bench?${spoons.toString()}`);
// The forecast comes from a worker, after the rest.
const forecast = (page) => page.getByText(/^\d\d:\d\d to \d\d:\d\d$/).waitFor({ timeout: 30_000 });
await picture('pit', '/pit', { before: forecast });
await picture('pit-phone', '/pit', { width: 390, height: 844, scheme: 'dark', before: forecast });
await picture('ledger', '/ledger');
const { rows } = await (await fetch(`${base}/api/ledger?product=canadian-bacon&sort=endedAt`)).json();
const [saltier, other] = [rows.find(({ taste }) => taste === 'salty') ?? rows[0], rows.find(({ taste }) => taste === 'right') ?? rows[1]];
await picture('compare', `/ledger/compare?ids=${saltier.id},${other.id}`, { before: (page) => page.getByRole('region', { name: 'Side by side' }).waitFor() });
await picture('record', `/batches/${rows[0].id}/record`, { height: 1100, before: (page) => page.getByText('Cure #1, no.').waitFor() });
await picture('recipe', '/recipes/canadian-bacon-pumped');
await picture('stores', '/stores', {
  height: 1250,
  before: async (page) => {
    await page.getByRole('button', { name: 'Which batches hold Cure #1, no. K 2431?' }).click();
    await page
      .getByRole('region', { name: /^Batches that hold/ })
      .getByRole('listitem')
      .first()
      .waitFor();
  },
});
await browser.close();
