import { spawnSync } from 'node:child_process';
import { chmodSync, existsSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { postgresPrograms } from './setUp.mjs';
import { DISK_FULL, Plain } from './steps.mjs';

/** PostgreSQL's own file, packed: pg_restore looks through it before anything is written. */
const FORMAT = ['--format=custom', '--no-owner', '--no-privileges', '--schema=public'];

/** A program of PostgreSQL that talks to a server over its address: no right of the system's is needed. The password goes by the environment, where no list of processes shows it. */
function program(name, args, url, options = {}) {
  const { hostname, port, username, password, pathname } = new URL(url);
  const bin = postgresPrograms();
  const env = {
    ...process.env,
    PGHOST: hostname,
    PGPORT: port || '5432',
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: pathname.slice(1),
  };
  return { path: bin === null ? name : join(bin, name), args, options: { env, ...options } };
}

/**
 * Writes a backup of a house that may be in use: as it was at one instant. The file is there whole, or not at all.
 *
 * @returns its size in bytes
 */
export function backUp(url, file) {
  const making = `${file}.making`;
  const { path, args, options } = program('pg_dump', [...FORMAT, `--file=${making}`], url, { encoding: 'utf8' });
  const made = spawnSync(path, args, options);
  if (made.status !== 0) {
    rmSync(making, { force: true });
    throw new Plain(faultOf(made, 'The backup could not be made'));
  }
  requireBackup(making);
  // It holds what devices and feeds are known by: for nobody else on this machine.
  chmodSync(making, 0o600);
  renameSync(making, file);
  return statSync(file).size;
}

/** Looks a backup through; nothing is written. */
export function requireBackup(file) {
  if (!existsSync(file)) throw new Plain(`There is no file ${file}.`);
  const bin = postgresPrograms();
  const read = spawnSync(bin === null ? 'pg_restore' : join(bin, 'pg_restore'), ['--list', file], { encoding: 'utf8' });
  if (read.status !== 0 || !/TABLE public log_entry/.test(read.stdout)) throw new Plain(`${file} is no backup of a Bunkhouse, or not all of it is there.`);
}

/** How many batches a database holds; null where it holds no house. */
export async function batchesIn(url) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const { rows } = await client.query(`SELECT to_regclass('public.batch') IS NOT NULL AS house`);
    if (!rows[0].house) return null;
    return Number((await client.query('SELECT count(*) FROM batch')).rows[0].count);
  } finally {
    await client.end();
  }
}

/**
 * Brings a backup into a house that is empty: all of it or nothing.
 *
 * @throws Plain where the house is not empty, or the file is torn
 */
export async function restore(url, file) {
  requireBackup(file);
  const batches = await batchesIn(url);
  if (batches !== null && batches > 0)
    throw new Plain(`This house holds ${batches} batches. A backup goes into an empty one: set BUNKHOUSE_DATA to another folder, and nothing here is lost.`);
  const { path, args, options } = program('pg_restore', ['--single-transaction', '--exit-on-error', '--no-owner', '--clean', '--if-exists', file], url, {
    encoding: 'utf8',
  });
  // `--clean` of an empty house: what a first start laid out is replaced.
  const done = spawnSync(path, [...args, `--dbname=${options.env.PGDATABASE}`], options);
  if (done.status !== 0) throw new Plain(faultOf(done, 'The backup could not be brought in, and nothing was written'));
}

function faultOf({ stderr = '', error }, what) {
  const said = `${stderr}${error?.message ?? ''}`.trim();
  if (/No space left/i.test(said)) return DISK_FULL;
  return `${what}: ${said.split('\n').slice(-3).join(' ') || 'PostgreSQL said nothing'}`;
}
