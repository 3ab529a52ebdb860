import type { BatchResponse, HouseResponse, LedgerResponse, RecipeResponse } from '@bunkhouse/api';
import type { Page } from '@playwright/test';
import { inSight } from './cook.js';
import { expect, test } from './test.js';

/** Everything that a house can choose of how it writes, the other way round. */
const AMERICAN: Partial<HouseResponse['settings']> = { system: 'us', temperature: 'F', decimal: 'comma', dates: 'monthFirst', clock: '12' };

/** What no screen of such a house may show. */
const WRONG: Record<string, RegExp> = {
  '°C': /°C/,
  'grams or kilograms': /\d\s?(g|kg)\b(?!\/)/,
  'millimetres or centimetres': /\d\s?(mm|cm)\b/,
  litres: /\d\s?(mL|L)\b/,
  'a point between digits': /\d\.\d/,
  'hours to 24': /\b(1[3-9]|2[0-3]):[0-5]\d\b/,
  'the day before the month': /\b\d{1,2} (Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)/,
};

/** What somebody wrote, names a document by its paragraph, or is no quantity, stays as it is. */
const AS_IT_IS = [/9 CFR [\d.]+(\([a-z]\))?(,? (and )?[\d.]+(\([a-z]\))?)*/g, /Source: .*/g, /^FSIS .*/g, /\b\d+\.\d+\.\d+\b/g, /127\.0\.0\.1(:\d+)?/g];

/** The very choices, as the settings of the house name them. */
const CHOICES = ['°C', '3.5 %', '17 Oct', '15:30'];

/** Every line that a screen shows or says to those who do not see it. */
const linesOf = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const said = ['aria-label', 'title', 'placeholder', 'alt'].flatMap((name) =>
      [...document.querySelectorAll(`[${name}]`)].map((element) => element.getAttribute(name) ?? ''),
    );
    const drawn = [...document.querySelectorAll('svg text')].map((element) => element.textContent ?? '');
    const chosen = [...document.querySelectorAll('option')].map((element) => element.textContent ?? '');
    return [...document.body.innerText.split('\n'), ...said, ...drawn, ...chosen];
  });

function faultsIn(lines: readonly string[]): string[] {
  const faults = lines.flatMap((line) => {
    if (CHOICES.includes(line.trim())) return [];
    const text = AS_IT_IS.reduce((rest, pattern) => rest.replace(pattern, ''), line);
    return Object.entries(WRONG).flatMap(([what, pattern]) => (pattern.test(text) ? [`${what}: ${line.trim().slice(0, 160)}`] : []));
  });
  return [...new Set(faults)];
}

const SETTLED_MS = 700;

test('a house that reads °F, pounds, commas, months first and twelve hours finds nothing else on any screen', async ({ page, request }) => {
  test.setTimeout(300_000);
  await page.route('**/api/house', async (route) => {
    if (route.request().method() !== 'GET') return route.continue();
    const house = (await (await route.fetch()).json()) as HouseResponse;
    await route.fulfill({ json: { ...house, settings: { ...house.settings, ...AMERICAN } } });
  });
  const ask = async <T>(path: string): Promise<T> => (await (await request.get(path)).json()) as T;
  const live = await ask<BatchResponse[]>('/api/batches');
  const { rows } = await ask<LedgerResponse>('/api/ledger?sort=endedAt');
  const recipes = await ask<RecipeResponse[]>('/api/recipes');
  const ended = rows.slice(0, 3).map(({ id }) => id);
  const spoons = new URLSearchParams({
    product: 'canadian-bacon',
    door: 'have',
    use: 'even',
    text: '2 1/4 cups coarse salt\n1 gal water\n2 tbsp pink cure #1\n3/4 cup brown sugar, packed',
    'answer.gallon': 'us',
    'answer.spoons': 'level',
    'answer.coarse-salt': 'coarse-salt-flake',
  });
  const paths = [
    '/',
    '/new',
    ...live.map(({ id }) => `/batches/${id}`),
    ...live.slice(0, 2).flatMap(({ id }) => [`/batches/${id}/mixing-card`, `/batches/${id}/labels`]),
    ...live.slice(0, 2).map(({ id }) => `/pit/${id}`),
    ...ended.flatMap((id) => [`/batches/${id}`, `/batches/${id}/record`]),
    '/bench',
    `/bench?${spoons.toString()}`,
    '/pit',
    '/readings',
    '/stores',
    '/recipes',
    '/recipes/new',
    ...recipes.slice(0, 2).map(({ id }) => `/recipes/${id}`),
    '/ledger',
    '/ledger/file',
    `/ledger/compare?ids=${ended.slice(0, 2).join(',')}`,
    '/ledger/trends',
    '/day-sheet',
    '/guide',
    '/calendar',
    '/learnt',
    '/kept',
    '/house',
  ];
  const found: Record<string, string[]> = {};
  for (const path of paths) {
    await page.goto(path);
    await page.getByRole('heading').first().waitFor();
    // What a worker computes comes after the rest.
    await page.waitForTimeout(SETTLED_MS);
    const working = page.getByRole('button', { name: 'Working', exact: true });
    while ((await working.count()) > 0) await working.first().click();
    const faults = faultsIn(await linesOf(page));
    const screen = path.replace(/[0-9a-f-]{36}/g, 'ID').slice(0, 60);
    if (faults.length > 0) found[screen] = [...new Set([...(found[screen] ?? []), ...faults])];
  }
  expect(found).toEqual({});

  // What is printed of the Bench, under a head of its own.
  await page.goto(`/bench?${spoons.toString()}`);
  await page.getByRole('heading').first().waitFor();
  await page.emulateMedia({ media: 'print' });
  await page.waitForTimeout(SETTLED_MS);
  expect(faultsIn(await linesOf(page))).toEqual([]);
  await page.emulateMedia({ media: 'screen' });

  // What a form finds wrong as it is typed.
  await page.goto('/new');
  for (const [label, value] of [
    ['Weight', '0,1'],
    ['Length', '0,5'],
    ['Salt, of meat and water', '0,1'],
  ] as const)
    await (await inSight(page.getByLabel(label, { exact: true }).first())).fill(value);
  await expect(page.getByText('Less than 0,22 lb is no piece to cure. Look at the unit.')).toBeVisible();
  expect(faultsIn(await linesOf(page))).toEqual([]);

  // What comes as a file.
  await page.goto('/ledger');
  const href = await page.getByRole('link', { name: 'Save as CSV' }).getAttribute('href');
  const [head = '', first = ''] = (await (await request.get(href ?? '')).text()).split('\r\n');
  expect(head.split(';')).toEqual(expect.arrayContaining(['green_lb', 'thickness_in', 'core_f', 'materials_per_lb']));
  expect(head).not.toMatch(/_(g|kg|mm|c)\b/);
  expect(first).toMatch(/;\d+,\d+;/);
});
