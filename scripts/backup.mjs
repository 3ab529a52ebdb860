import { existsSync, mkdirSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { backUp, batchesIn } from './dump.mjs';
import { dataFolder } from './places.mjs';
import { startPostgres } from './postgres.mjs';
import { setUpPackages, setUpPostgres } from './setUp.mjs';
import { giveUp, Plain, step } from './steps.mjs';

/** `bunkhouse-20261125-0712.dump` */
const stampOf = (now) => now.toISOString().replace(/[-:]/g, '').replace('T', '-').slice(0, 13);

let database = null;
try {
  await setUpPackages();
  if (!process.env.DATABASE_URL) await setUpPostgres();
  const folder = dataFolder();
  const url = process.env.DATABASE_URL ?? (await opened(folder));
  const file = resolve(process.argv[2] ?? join(folder, 'backups', `bunkhouse-${stampOf(new Date())}.dump`));
  if (existsSync(file)) throw new Plain(`${file} is there already. Give another name.`);
  if ((await batchesIn(url)) === null) throw new Plain('There is no house yet, so there is nothing to keep.');
  mkdirSync(dirname(file), { recursive: true });
  await step(`Writing ${file}`, () => `${(backUp(url, file) / 1e6).toFixed(1)} MB`);
  console.log(`To bring it back into an empty house: npm run restore -- ${file}`);
} catch (error) {
  database?.stop();
  giveUp(error);
}
database?.stop();

/** The cluster of a folder: one that is running stays running. */
async function opened(folder) {
  if (!existsSync(join(folder, 'pgdata', 'PG_VERSION'))) throw new Plain(`There is no house in ${folder}. Set BUNKHOUSE_DATA to where it lies.`);
  const started = await startPostgres(folder);
  if (started.isOurs) database = started;
  return started.url;
}
