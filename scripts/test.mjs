import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ODD_DAYS } from './oddDays.mjs';
import { ROOT } from './places.mjs';
import { freePort, startPostgres, startServer } from './postgres.mjs';
import { build, postgresPrograms, setUpChromium, setUpPackages, setUpPoppler, setUpPostgres } from './setUp.mjs';
import { giveUp, step } from './steps.mjs';

const unitOnly = process.argv.includes('--unit');
const browserOnly = process.argv.includes('--browser');
const only = process.argv.find((argument) => argument.startsWith('--grep='))?.slice('--grep='.length);
/**
 * The time at which house, browser and tests stand, whatever the day of the run: a Tuesday morning, or `--now=` another one
 * (scripts/oddDays.mjs has the days on which things went wrong).
 */
const USUAL_NOW = '2026-11-24T16:20:00Z';
const NOW = process.argv.find((argument) => argument.startsWith('--now='))?.slice('--now='.length) ?? USUAL_NOW;
const offsetTo = (now) => String(Date.parse(now) - Date.now());
process.env.BUNKHOUSE_TEST_OFFSET_MS = offsetTo(NOW);
const results = join(ROOT, 'test-results');
const folder = mkdtempSync(join(tmpdir(), 'bunkhouse-test-'));
const counts = { passed: 0, failed: 0 };
/** By its time: the database of the house that was made up for it. The houses of that time are copies. */
const madeUp = new Map();
let database;
/** What takes about as long as all the others. */
const RIGHT_HALF = new Set(['house', 'crew', 'offline', 'warm', 'stores', 'readings', 'backup', 'faults', 'plainHttp'].map((name) => `${name}.spec.ts`));
/** How long the house takes to answer is measured with nothing beside it. */
const ALONE = ['attacks.spec.ts'];
/** What hung on the day once, on the two oddest of them; `npm run odd-days` runs everything on all. */
const ON_ODD_DAYS = [
  { name: 'house_friday', now: ODD_DAYS['a Friday afternoon'], files: ['e2e/calendar.spec.ts'], grep: 'planned backwards|both ends too near' },
  {
    name: 'house_clocks',
    now: ODD_DAYS['the night in which clocks go forward'],
    files: ['e2e/house.spec.ts', 'e2e/ham.spec.ts'],
    grep: 'a bone-in ham|made-up house opens',
  },
];

try {
  rmSync(results, { recursive: true, force: true });
  await setUpPackages();
  await setUpPostgres();
  if (!unitOnly) {
    await setUpChromium();
    await setUpPoppler();
  }
  mkdirSync(results, { recursive: true });
  await step('Starting a database for the tests', async () => {
    database = await startPostgres(folder);
  });
  if (!browserOnly) await unitAndServerTests();
  if (!unitOnly) {
    await build();
    await browserTests();
  }
} catch (error) {
  clearAway();
  giveUp(error);
}
clearAway();
console.log(`\n${counts.passed} passed, ${counts.failed} failed`);
process.exit(counts.failed === 0 && counts.passed > 0 ? 0 : 1);

async function unitAndServerTests() {
  const file = join(results, 'unit.json');
  await shown('npx', ['jest', '--json', `--outputFile=${file}`, '--silent=false'], { BUNKHOUSE_TEST_DATABASE: database.url });
  if (!existsSync(file)) return void (counts.failed += 1);
  const report = JSON.parse(readFileSync(file, 'utf8'));
  counts.passed += report.numPassedTests;
  // A file that could not be run at all has no tests to count.
  counts.failed += report.numFailedTests + report.numRuntimeErrorTestSuites;
}

/** Browser tests in two houses side by side, each with a half of the files, one test after the other: what one does to its house the other never sees. */
async function browserTests() {
  const [left, right] = halves();
  await sideBySide([
    { name: 'house_left', files: left, grep: only },
    { name: 'house_right', files: right, grep: only },
  ]);
  await sideBySide([{ name: 'house_alone', files: ALONE.map((file) => `e2e/${file}`), grep: only }]);
  if (only === undefined && NOW === USUAL_NOW) await sideBySide(ON_ODD_DAYS);
}

async function sideBySide(parts) {
  const houses = [];
  await step(`Opening ${parts.length === 1 ? 'a made-up house' : 'two made-up houses'} for the browser`, async () => {
    houses.push(...(await Promise.all(parts.map(async (part) => ({ ...part, ...(await openHouse(part)) })))));
  });
  await Promise.all(houses.map((house) => inHouse(house)));
}

/** A made-up house on a database of its own. */
async function openHouse({ name, now = NOW }) {
  if (!madeUp.has(now)) madeUp.set(now, makeUp(now));
  await createDatabase(name, await madeUp.get(now));
  return startHouse(name, now);
}

/** Lets the server make up a house for this time, and ends it: the name of its database. */
async function makeUp(now) {
  const name = `made_up_${madeUp.size + 1}`;
  await createDatabase(name);
  const { server } = await startHouse(name, now);
  await stopped(server);
  return name;
}

async function startHouse(name, now) {
  const url = database.url.replace(/\/[^/]*$/, `/${name}`);
  const port = await freePort();
  const env = {
    DATABASE_URL: url,
    BUNKHOUSE_PORT: String(port),
    BUNKHOUSE_DEMO: '1',
    BUNKHOUSE_PG_BIN: postgresPrograms(),
    BUNKHOUSE_TEST_OFFSET_MS: offsetTo(now),
  };
  return { url, env, server: await startServer(ROOT, env) };
}

async function createDatabase(name, like = 'template1') {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: database.url });
  await client.connect();
  await client.query(`CREATE DATABASE ${name} TEMPLATE ${like}`);
  await client.end();
}

/** The files of the browser tests in two halves that take about as long. */
function halves() {
  const files = readdirSync(join(ROOT, 'e2e'), { recursive: true }).filter((file) => file.endsWith('.spec.ts') && !ALONE.includes(file));
  const right = files.filter((file) => RIGHT_HALF.has(file) || (file.startsWith('rows') && files.indexOf(file) % 2 === 0));
  return [files.filter((file) => !right.includes(file)), right].map((half) => half.map((file) => `e2e/${file}`));
}

async function inHouse({ name, url, env, server, files, grep }) {
  const file = join(results, `browser-${name}.json`);
  const code = await shown(
    'npx',
    ['playwright', 'test', ...files, ...(grep === undefined ? [] : ['--grep', grep, ...(only === undefined ? [] : ['--pass-with-no-tests'])])],
    {
      BUNKHOUSE_TEST_OFFSET_MS: env.BUNKHOUSE_TEST_OFFSET_MS,
      BUNKHOUSE_TEST_URL: `http://127.0.0.1:${env.BUNKHOUSE_PORT}`,
      BUNKHOUSE_TEST_DATABASE: url,
      BUNKHOUSE_TEST_PART: name,
    },
  );
  await stopped(server);
  if (!existsSync(file)) return void (counts.failed += 1);
  const { stats } = JSON.parse(readFileSync(file, 'utf8'));
  counts.passed += stats.expected + stats.flaky;
  counts.failed += stats.unexpected + (code !== 0 && stats.unexpected === 0 ? 1 : 0);
}

function stopped(server) {
  server.child.kill('SIGTERM');
  return new Promise((resolve) => server.child.once('exit', resolve));
}

/** Runs a program with its output on the screen; answers its code. */
function shown(command, args, env) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: ROOT, env: { ...process.env, ...env }, stdio: ['ignore', 'inherit', 'inherit'] });
    child.on('error', reject);
    child.on('exit', (code) => resolve(code ?? 1));
  });
}

function clearAway() {
  database?.stop();
  rmSync(folder, { recursive: true, force: true });
}
