import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { get } from 'node:http';
import { join } from 'node:path';
import { dataFolder, ROOT } from './places.mjs';
import { portIsFree, startPostgres, startServer } from './postgres.mjs';
import { build, postgresPrograms, setUpPackages, setUpPostgres } from './setUp.mjs';
import { growingPause } from './growingPause.mjs';
import { ended, holdFolder, portAsked } from './holding.mjs';
import { giveUp, Plain, step } from './steps.mjs';

/** Where it listens when nothing else is asked for. */
const USUAL_PORT = 4180;
const demo = process.argv.includes('--empty') ? '0' : (process.env.BUNKHOUSE_DEMO ?? '1');
/** So often the database is looked at, ms. */
const LOOK_MS = 2000;
const stops = [];
let stopping = null;
let database = null;

function stop(code) {
  stopping ??= (async () => {
    for (const work of stops.reverse()) await work();
    process.exit(code);
  })();
  return stopping;
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => stop(0));

try {
  if (Number(process.versions.node.split('.')[0]) < 20) throw new Plain(`Node.js 20.19 or newer is needed; this is ${process.version}.`);
  const port = portAsked(USUAL_PORT);
  await askForPort(port);
  await setUpPackages();
  const own = !process.env.DATABASE_URL;
  if (own) await setUpPostgres();
  await build();
  const databaseUrl = own ? await openOwnDatabase() : process.env.DATABASE_URL;
  await keepBeforeMigrations(databaseUrl);
  const standInKey = randomBytes(24).toString('base64url');
  const open = () =>
    startServer(ROOT, {
      DATABASE_URL: databaseUrl,
      BUNKHOUSE_PG_BIN: postgresPrograms() ?? '',
      BUNKHOUSE_PORT: String(port),
      BUNKHOUSE_DEMO: demo,
      BUNKHOUSE_STAND_IN_KEY: standInKey,
    });
  let server;
  await step('Opening the house', async () => {
    server = await open();
  });
  stops.push(() => ended(server.child));
  // Whatever dies is started again, after a pause that grows while it goes on dying.
  keepAlive('The server', server.child, async () => {
    server = await open();
    return server.child;
  });
  if (database !== null) watchDatabase(database);
  // Simulated devices: clients of the open door like any other. Without them the house goes on.
  const openDevices = () =>
    spawn(process.execPath, [join(ROOT, 'apps/devices/dist/run.js'), `http://127.0.0.1:${port}`], {
      stdio: 'ignore',
      env: { ...process.env, BUNKHOUSE_STAND_IN_KEY: standInKey },
    });
  let devices = openDevices();
  stops.push(() => ended(devices));
  keepAlive('The simulated devices', devices, () => (devices = openDevices()));
  console.log(`\n${server.said}\nCtrl-C stops it.`);
} catch (error) {
  await Promise.all(stops.map((work) => work()));
  giveUp(error);
}

function wait(ms) {
  return new Promise((resolve) => setTimeout(resolve, ms));
}

/** Starts a child again whenever it ends by itself. */
function keepAlive(what, child, openAgain, pause = growingPause()) {
  child.once('exit', async (code, signal) => {
    for (;;) {
      if (stopping !== null) return;
      const ms = pause();
      console.error(`${what} ended (${signal ?? `code ${code}`}). It is started again in ${ms / 1000} s.`);
      await wait(ms);
      if (stopping !== null) return;
      try {
        const next = await openAgain();
        console.error(`${what} runs again.`);
        return keepAlive(what, next, openAgain, pause);
      } catch (error) {
        console.error(`${what} could not be started: ${error.message}`);
      }
    }
  });
}

/** Looks after the database that was started here: one that died is started again at the same address, and the server finds it there. */
async function watchDatabase(own) {
  const pause = growingPause();
  for (;;) {
    await wait(LOOK_MS);
    if (stopping !== null) return;
    if (own.isRunning()) continue;
    console.error('The database ended. It is started again.');
    if (own.revive()) console.error('The database runs again.');
    else await wait(pause());
  }
}

/** A house of an older version is kept as it is before its tables are changed. */
async function keepBeforeMigrations(url) {
  const { pendingMigrations } = await import('./pending.mjs');
  const pending = await pendingMigrations(url);
  if (pending === 0) return;
  const { backUp } = await import('./dump.mjs');
  const folder = join(dataFolder(), 'backups');
  mkdirSync(folder, { recursive: true });
  const file = join(folder, `before-migration-${new Date().toISOString().replace(/[-:.]/g, '').slice(0, 15)}.dump`);
  await step(`Keeping the house as it is in ${file}`, () => `${(backUp(url, file) / 1e6).toFixed(1)} MB`);
}

async function askForPort(port) {
  if (await portIsFree(port)) return;
  if (await answersAsOurs(port)) throw new Plain(`Bunkhouse is already running at http://127.0.0.1:${port}`);
  throw new Plain(`Port ${port} is busy. Stop the other program, or choose another port: BUNKHOUSE_PORT=${port + 1} npm start`);
}

/** Whether a Bunkhouse listens there. */
function answersAsOurs(on) {
  return new Promise((resolve) => {
    const asked = get({ host: '127.0.0.1', port: on, path: '/api/health', timeout: 2000 }, (answer) => {
      let body = '';
      answer.on('data', (data) => (body += data));
      answer.on('end', () => resolve(/"database":/.test(body)));
    });
    asked.on('timeout', () => asked.destroy());
    asked.on('error', () => resolve(false));
  });
}

async function openOwnDatabase() {
  const folder = dataFolder();
  await step(`Starting the database in ${folder}`, async () => {
    mkdirSync(folder, { recursive: true });
    stops.push(holdFolder(folder));
    database = await startPostgres(folder);
  });
  stops.push(() => database.stop());
  return database.url;
}
