// The house while it is being built: `npm run dev`. The database, a server that is built and started again as files change, a page that takes
// up what changed by itself, in core too, and the made-up house; on a port and in a folder of its own.
import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { ended, holdFolder, portAsked } from './holding.mjs';
import { dataFolder, ROOT } from './places.mjs';
import { freePort, portIsFree, startPostgres, startServer } from './postgres.mjs';
import { postgresPrograms, setUpPackages, setUpPostgres } from './setUp.mjs';
import { giveUp, Plain, step } from './steps.mjs';

const USUAL_PORT = 4185;
const stops = [];
let stopping = null;

function stop(code) {
  stopping ??= (async () => {
    for (const work of stops.reverse()) await work();
    process.exit(code);
  })();
  return stopping;
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => stop(0));

try {
  const port = portAsked(USUAL_PORT);
  if (!(await portIsFree(port))) throw new Plain(`Port ${port} is busy. Choose another port: BUNKHOUSE_PORT=${port + 1} npm run dev`);
  await setUpPackages();
  const databaseUrl = process.env.DATABASE_URL || (await openDatabase());
  const behind = await freePort();
  const house = {
    DATABASE_URL: databaseUrl,
    BUNKHOUSE_PG_BIN: postgresPrograms() ?? '',
    BUNKHOUSE_PORT: String(behind),
    BUNKHOUSE_DEMO: process.env.BUNKHOUSE_DEMO ?? '1',
    BUNKHOUSE_STAND_IN_KEY: randomBytes(24).toString('base64url'),
  };
  await step('Building the server', () => buildAndWatch(house));
  await step('Opening the page', () => openPage(port, behind));
  console.log(`\nBunkhouse is ready at http://127.0.0.1:${port}\nWhat you change is there when it is saved. Ctrl-C stops it.`);
} catch (error) {
  await Promise.all(stops.map((work) => work()));
  giveUp(error);
}

async function openDatabase() {
  await setUpPostgres();
  const folder = process.env.BUNKHOUSE_DATA ? dataFolder() : `${dataFolder()}-dev`;
  let database;
  await step(`Starting the database in ${folder}`, async () => {
    mkdirSync(folder, { recursive: true });
    stops.push(holdFolder(folder));
    database = await startPostgres(folder);
  });
  stops.push(() => database.stop());
  return database.url;
}

/** Builds core, api, demo and server whenever one of them changes; what was built without a fault runs instead of what ran. Ready with the first. */
function buildAndWatch(house) {
  const compiler = spawn(
    process.execPath,
    [join(ROOT, 'node_modules/typescript/lib/tsc.js'), '-b', '-w', '--preserveWatchOutput', join(ROOT, 'tsconfig.build.json')],
    { cwd: ROOT, stdio: ['ignore', 'pipe', 'inherit'] },
  );
  stops.push(() => ended(compiler));
  let running = [];
  stops.push(() => Promise.all(running.map(ended)));
  const restart = async () => {
    await Promise.all(running.map(ended));
    running = [];
    if (stopping !== null) return;
    const { child } = await startServer(ROOT, house);
    running = [child, openDevices(house)];
  };
  return new Promise((resolve, reject) => {
    let ready = Promise.resolve();
    let isFirst = true;
    compiler.once('exit', () => reject(new Plain('The compiler ended.')));
    compiler.stdout.on('data', (data) => {
      const said = String(data);
      if (/error TS/.test(said)) process.stderr.write(said);
      const found = /Found (\d+) errors?\. Watching/.exec(said);
      if (found === null) return;
      if (found[1] !== '0') return void (isFirst && reject(new Plain('The server has errors of type: see above. Mend them and start again.')));
      const asked = isFirst;
      isFirst = false;
      ready = ready.then(restart).then(
        () => (asked ? resolve() : console.log(`${new Date().toTimeString().slice(0, 8)}  The server runs with what you changed.`)),
        (error) => (asked ? reject(error) : console.error(`The server did not start: ${error.message}`)),
      );
    });
  });
}

/** Simulated devices: clients of the open door like any other. */
function openDevices(house) {
  return spawn(process.execPath, [join(ROOT, 'apps/devices/dist/run.js'), `http://127.0.0.1:${house.BUNKHOUSE_PORT}`], {
    stdio: 'ignore',
    env: { ...process.env, BUNKHOUSE_STAND_IN_KEY: house.BUNKHOUSE_STAND_IN_KEY },
  });
}

/** The page out of the sources, with the API behind it. */
async function openPage(port, behind) {
  const { createServer } = await import('vite');
  const page = await createServer({
    root: join(ROOT, 'apps/web'),
    configFile: join(ROOT, 'apps/web/vite.config.mjs'),
    clearScreen: false,
    logLevel: 'warn',
    server: { host: '127.0.0.1', port, strictPort: true, proxy: { '/api': { target: `http://127.0.0.1:${behind}` } } },
  });
  await page.listen();
  stops.push(() => page.close());
}
