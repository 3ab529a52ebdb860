import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from './places.mjs';
import { freePort, startPostgres, startServer } from './postgres.mjs';
import { build, postgresPrograms, setUpChromium, setUpPackages, setUpPoppler, setUpPostgres } from './setUp.mjs';
import { giveUp, step } from './steps.mjs';

const unitOnly = process.argv.includes('--unit');
const results = join(ROOT, 'test-results');
const folder = mkdtempSync(join(tmpdir(), 'bunkhouse-test-'));
const counts = { passed: 0, failed: 0 };
let database;

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
  await unitAndServerTests();
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

async function browserTests() {
  const port = await freePort();
  let server;
  await step('Opening the made-up house for the browser', async () => {
    server = await startServer(ROOT, { DATABASE_URL: database.url, BUNKHOUSE_PORT: String(port), BUNKHOUSE_DEMO: '1', BUNKHOUSE_PG_BIN: postgresPrograms() });
  });
  const file = join(results, 'browser.json');
  const code = await shown('npx', ['playwright', 'test'], {
    BUNKHOUSE_TEST_URL: `http://127.0.0.1:${port}`,
    BUNKHOUSE_TEST_DATABASE: database.url,
  });
  server.child.kill('SIGTERM');
  await new Promise((resolve) => server.child.once('exit', resolve));
  if (!existsSync(file)) return void (counts.failed += 1);
  const { stats } = JSON.parse(readFileSync(file, 'utf8'));
  counts.passed += stats.expected + stats.flaky;
  counts.failed += stats.unexpected + (code !== 0 && stats.unexpected === 0 ? 1 : 0);
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
