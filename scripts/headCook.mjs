import { randomBytes, randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { dataFolder, ROOT } from './places.mjs';
import { startPostgres } from './postgres.mjs';
import { build, setUpPackages, setUpPostgres } from './setUp.mjs';
import { giveUp, Plain } from './steps.mjs';

// For whoever sits at the machine: makes a head cook, or gives one who forgot it another password. It is shown once.
const name = process.argv.slice(2).join(' ').trim();
let database = null;
try {
  if (!/^[\p{L}\p{M}][\p{L}\p{M}\p{N} .'’-]{0,39}$/u.test(name))
    throw new Plain('Who? npm run head-cook -- NAME (it begins with a letter, 40 letters at most)');
  await setUpPackages();
  if (!process.env.DATABASE_URL) await setUpPostgres();
  await build();
  const password = await given(process.env.DATABASE_URL ?? (await opened(dataFolder())));
  console.log(
    `${name} is head cook. Password: ${password}\nIt is shown this once: sign in and change it under "Crew and settings". Everywhere else ${name} is signed out.`,
  );
} catch (error) {
  database?.stop();
  giveUp(error);
}
database?.stop();

async function given(url) {
  const { hashSecret } = await import(pathToFileURL(join(ROOT, 'apps/server/dist/crew/secrets.js')).href);
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const { rows } = await client.query(`SELECT to_regclass('person') AS people`);
    if (rows[0].people === null) throw new Plain('This house has no tables for people yet: run npm start once, then this.');
    const password = randomBytes(12).toString('base64url');
    const { rows: people } = await client.query(
      `INSERT INTO person (id, name, role, password_hash, put_away, created_by, created_at) VALUES ($1, $2, 'head', $3, false, 'at the machine', now())
       ON CONFLICT (lower(name)) DO UPDATE SET role = 'head', password_hash = $3, put_away = false, ends_at = NULL, tries = 0, wait_until = NULL RETURNING id`,
      [randomUUID(), name, await hashSecret(password)],
    );
    await client.query('DELETE FROM session WHERE person_id = $1', [people[0].id]);
    return password;
  } finally {
    await client.end();
  }
}

/** The cluster of a folder: one that is running stays running. */
async function opened(folder) {
  if (!existsSync(join(folder, 'pgdata', 'PG_VERSION'))) throw new Plain(`There is no house in ${folder}. Set BUNKHOUSE_DATA to where it lies.`);
  const started = await startPostgres(folder);
  if (started.isOurs) database = started;
  return started.url;
}
