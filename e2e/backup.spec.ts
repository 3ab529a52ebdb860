import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdtempSync, readFileSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from './test.js';
import pg from 'pg';
import { Cook } from './cook.js';
import { emptyDatabase, ownHouse } from './ownHouse.js';

const folder = mkdtempSync(join(tmpdir(), 'bunkhouse-backup-'));

const restore = (file: string, url: string) => {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['scripts/restore.mjs', file], {
    encoding: 'utf8',
    env: { ...process.env, DATABASE_URL: url },
  });
  return { status, said: `${stdout}${stderr}` };
};

test('a backup is taken while the house is in use, goes back into an empty house, and that one opens with all of it', async ({ page }) => {
  test.slow();
  await Cook.onDuty(page, new Date());
  await page.goto('/ledger/file');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save a backup' }).click();
  const saved = await download;
  expect(saved.suggestedFilename()).toMatch(/^bunkhouse-\d{8}-\d{4}\.dump$/);
  const file = join(folder, 'house.dump');
  await saved.saveAs(file);

  // What is torn, or none of ours, is seen before anything is written.
  const url = await emptyDatabase();
  const torn = join(folder, 'torn.dump');
  copyFileSync(file, torn);
  truncateSync(torn, 4000);
  const text = join(folder, 'text.dump');
  writeFileSync(text, 'hello');
  for (const bad of [torn, text, join(folder, 'nothing.dump')]) {
    const { status, said } = restore(bad, url);
    expect(status).toBe(1);
    expect(said).toMatch(/is no backup of a Bunkhouse|There is no file/);
    expect(said).not.toMatch(/ at .*\.mjs/);
  }
  const half = join(folder, 'half.dump');
  copyFileSync(file, half);
  truncateSync(half, Math.floor(readFileSync(file).length / 2));
  expect(restore(half, url).status).toBe(1);

  const done = restore(file, url);
  expect(done.said).toMatch(/All of it is back/);
  expect(done.status).toBe(0);
  // A second time it is not written over.
  expect(restore(file, url).said).toMatch(/This house holds \d+ batches/);

  const house = await ownHouse(url);
  try {
    const of = async (base: string, path: string) => (await (await page.request.get(`${base}${path}`)).json()) as Record<string, unknown>;
    const here = new URL(page.url()).origin;
    const there = house.address;
    // Other tests write into the first house meanwhile: what the backup has is there as it was.
    const ledger = (await of(there, '/api/ledger?sort=code&order=up')) as { rows?: { id: string }[] };
    const then = (await of(here, '/api/ledger?sort=code&order=up')) as { rows?: { id: string }[] };
    expect(ledger.rows?.length).toBeGreaterThan(10);
    const before = new Map(then.rows?.map((row) => [row.id, row]));
    for (const row of ledger.rows ?? []) expect(row).toEqual(before.get(row.id));
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    await expect(client.query('DELETE FROM log_entry')).rejects.toThrow(/append-only/);
    // A house of an older version is known by what its tables have still before them; an empty database has nothing to lose.
    const { pendingMigrations } = await import('../scripts/pending.mjs');
    expect(await pendingMigrations(url)).toBe(0);
    await client.query(`DELETE FROM migrations WHERE id = (SELECT max(id) FROM migrations)`);
    expect(await pendingMigrations(url)).toBe(1);
    await client.end();
    expect(await pendingMigrations(await emptyDatabase())).toBe(0);
    await page.goto(`${there}/`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(page.getByText('Tamarack Fork').first()).toBeVisible();
  } finally {
    await house.close();
  }
});
