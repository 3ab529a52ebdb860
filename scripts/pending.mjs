import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import pg from 'pg';
import { ROOT } from './places.mjs';

/** How many migrations a house still has before it: 0 for an empty database, which has nothing to lose. */
export async function pendingMigrations(url) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const { rows } = await client.query(`SELECT to_regclass('public.migrations') IS NOT NULL AS house`);
    if (!rows[0].house) return 0;
    const done = new Set((await client.query('SELECT name FROM migrations')).rows.map(({ name }) => name));
    const { dataSourceOptions } = await import(pathToFileURL(join(ROOT, 'apps/server/dist/database/dataSourceOptions.js')).href);
    return dataSourceOptions(url).migrations.filter(({ name }) => !done.has(name)).length;
  } finally {
    await client.end();
  }
}
