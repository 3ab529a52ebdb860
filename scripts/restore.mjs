import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { requireBackup, restore } from './dump.mjs';
import { dataFolder } from './places.mjs';
import { startPostgres } from './postgres.mjs';
import { setUpPackages, setUpPostgres } from './setUp.mjs';
import { giveUp, Plain, step } from './steps.mjs';

let database = null;
try {
  const [, , given] = process.argv;
  if (given === undefined) throw new Plain('Which backup? npm run restore -- FILE');
  const file = resolve(given);
  await setUpPackages();
  await setUpPostgres();
  requireBackup(file);
  const folder = dataFolder();
  const url = process.env.DATABASE_URL ?? (await opened(folder));
  await step(`Bringing ${file} in`, () => restore(url, file));
  console.log('All of it is back. npm start opens the house.');
} catch (error) {
  database?.stop();
  giveUp(error);
}
database?.stop();

/** A house that is open is not written over. */
async function opened(folder) {
  const lock = join(folder, 'start.pid');
  if (existsSync(lock) && existsSync(`/proc/${readFileSync(lock, 'utf8').trim()}`)) throw new Plain(`The house in ${folder} is open. Stop it first.`);
  mkdirSync(folder, { recursive: true });
  database = await startPostgres(folder);
  return database.url;
}
