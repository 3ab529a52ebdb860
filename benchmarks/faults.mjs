// Bad days. The server is killed in the middle of writes, many times; PostgreSQL loses its power under load; two servers write one log; the
// line drops every second answer; the disk is full; the server's clock is set back; a first start and the migration of an older house are cut off. After each: every entry that was acknowledged
// is there once, in its writer's order, and each log is counted from 1 with none left out. Loopback only, bounded in count and time.
import { spawn, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { createConnection, createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import pg from 'pg';
import { DataSource } from 'typeorm';
import { ROOT } from '../scripts/places.mjs';
import { admit, COOKIE } from './house/admit.mjs';
import { freePort, startPostgres, startServer } from '../scripts/postgres.mjs';

const short = process.argv.includes('--short');
const TIMES = short
  ? { kills: 3, crashes: 1, drops: 24, cutOff: 1, together: 40, full: 1, back: 2, migrations: 2 }
  : { kills: 200, crashes: 12, drops: 600, cutOff: 20, together: 1200, full: 3, back: 12, migrations: 40 };
const WRITERS = 4;
const GIVE_UP_MS = 600_000;

const folder = mkdtempSync(join(tmpdir(), 'bunkhouse-faults-'));
const database = await startPostgres(folder);
const servers = new Set();
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
let faults = 0;

async function open(url, port, env = {}) {
  const { child } = await startServer(ROOT, { DATABASE_URL: url, BUNKHOUSE_PORT: String(port), BUNKHOUSE_DEMO: '0', ...env });
  await admit(url);
  servers.add(child);
  child.once('exit', () => servers.delete(child));
  return child;
}
const ended = (child, signal) =>
  child.exitCode !== null || child.signalCode !== null
    ? undefined
    : new Promise((resolve) => {
        child.once('exit', resolve);
        child.kill(signal);
      });

/** An empty database of its own. */
async function emptyDatabase(name) {
  const admin = new pg.Client({ connectionString: database.url });
  await admin.connect();
  await admin.query(`CREATE DATABASE ${name}`);
  await admin.end();
  return database.url.replace(/\/[^/]*$/, `/${name}`);
}

/** Asks until there is an answer that can be read; the same body each time. Counts the answers that were none. */
async function told(base, path, body, count) {
  const until = Date.now() + GIVE_UP_MS;
  for (;;) {
    try {
      const answer = await fetch(`${base()}${path}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', cookie: COOKIE },
        body: JSON.stringify(body),
      });
      const said = await answer.json();
      if (answer.status < 300) return said;
      if (answer.status < 500) throw new Error(`${answer.status}: ${said.message}`, { cause: 'refused' });
      if (!/try again|Nothing was written/i.test(said.message)) throw new Error(`not a plain answer: ${said.message}`, { cause: 'refused' });
      count.plain += 1;
    } catch (error) {
      if (error.cause === 'refused') throw error;
      count.none += 1;
    }
    if (Date.now() > until) throw new Error('no answer for ten minutes');
    await wait(25);
  }
}

const loin = () => ({
  id: randomUUID(),
  product: 'canadian-bacon',
  pieces: [{ greenG: 2500, shape: 'round', thicknessMm: 85, lengthMm: 400 }],
  school: 'equilibrium',
  waterG: 1250,
  saltPercent: 2.3,
  sugarPercent: 1,
  nitritePpm: 150,
  ruleSet: 'us',
  cureDays: 14,
  meatScaleStepG: 5,
  cureScaleStepG: 0.1,
  startsAt: new Date(Date.now() - 3 * 86_400_000).toISOString(),
  by: 'Wren',
});

/** Writers that go on until they are told to stop, each with notes that it counts, into batches that they share. */
async function writing(base, batches, until, timeOf = () => new Date().toISOString()) {
  const acknowledged = [];
  const count = { none: 0, plain: 0 };
  await Promise.all(
    Array.from({ length: WRITERS }, async (_, writer) => {
      for (let n = 0; !until(acknowledged.length); n += 1) {
        const batch = batches[n % batches.length];
        const entry = { id: randomUUID(), kind: 'note', at: timeOf(), by: `Writer ${writer}`, reason: `note ${n}` };
        await told(base, `/api/batches/${batch}/log`, entry, count);
        acknowledged.push({ id: entry.id, batch, writer, n });
      }
    }),
  );
  return { acknowledged, count };
}

/** What stands in the logs, held against what was acknowledged. */
async function whole(url, batches, acknowledged) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const wrong = [];
  for (const batch of batches) {
    const { rows } = await client.query('SELECT id, seq, body FROM log_entry WHERE batch_id = $1 ORDER BY seq', [batch]);
    if (rows.some(({ seq }, i) => seq !== i + 1)) wrong.push(`the log of ${batch} has a hole`);
    const place = new Map(rows.map(({ id }, i) => [id, i]));
    const own = acknowledged.filter((entry) => entry.batch === batch);
    for (const { id } of own) if (!place.has(id)) wrong.push(`entry ${id} is lost`);
    for (let writer = 0; writer < WRITERS; writer += 1) {
      const places = own
        .filter((entry) => entry.writer === writer)
        .sort((a, b) => a.n - b.n)
        .map(({ id }) => place.get(id));
      if (places.some((at, i) => i > 0 && at <= places[i - 1])) wrong.push(`writer ${writer} is out of order`);
    }
    if (new Set(rows.map(({ id }) => id)).size !== rows.length) wrong.push('an entry stands twice');
  }
  await client.end();
  return wrong;
}

function tell(what, { acknowledged, count }, wrong) {
  if (wrong.length > 0) faults += 1;
  const unanswered = `${count.none} times no answer, ${count.plain} times "try again"`;
  console.log(
    `${what}: ${acknowledged.length} entries acknowledged, ${unanswered}; ${wrong.length === 0 ? 'nothing lost, nothing twice, in order' : wrong.slice(0, 3).join('; ')}`,
  );
}

async function batchesOf(base, many = 3) {
  const made = [];
  for (let i = 0; i < many; i += 1) made.push((await told(base, '/api/batches', loin(), { none: 0, plain: 0 })).id);
  return made;
}

async function killedServer() {
  const url = await emptyDatabase('killed');
  const port = await freePort();
  const base = () => `http://127.0.0.1:${port}`;
  let child = await open(url, port);
  const batches = await batchesOf(base);
  let isOver = false;
  const work = writing(base, batches, () => isOver);
  for (let i = 0; i < TIMES.kills; i += 1) {
    await wait(300 + Math.random() * 600);
    await ended(child, 'SIGKILL');
    child = await open(url, port);
  }
  isOver = true;
  const done = await work;
  tell(`server killed ${TIMES.kills} times`, done, await whole(url, batches, done.acknowledged));
  await ended(child, 'SIGTERM');
}

async function crashedDatabase() {
  const url = await emptyDatabase('crashed');
  const port = await freePort();
  const base = () => `http://127.0.0.1:${port}`;
  const child = await open(url, port);
  const batches = await batchesOf(base);
  let isOver = false;
  const work = writing(base, batches, () => isOver);
  for (let i = 0; i < TIMES.crashes; i += 1) {
    await wait(1200);
    database.crash();
  }
  await wait(1500);
  isOver = true;
  const done = await work;
  tell(`PostgreSQL without power ${TIMES.crashes} times`, done, await whole(url, batches, done.acknowledged));
  await ended(child, 'SIGTERM');
}

async function twoServers() {
  const url = await emptyDatabase('together');
  const ports = [await freePort(), await freePort()];
  const children = [await open(url, ports[0]), await open(url, ports[1])];
  let turn = 0;
  const base = () => `http://127.0.0.1:${ports[(turn += 1) % 2]}`;
  const batches = await batchesOf(base, 1);
  const done = await writing(base, batches, (written) => written >= TIMES.together);
  tell('two servers, one log', done, await whole(url, batches, done.acknowledged));
  for (const child of children) await ended(child, 'SIGTERM');
}

/** A line that lets every question through and drops every second answer. */
function dropping(port) {
  let answers = 0;
  const server = createServer((socket) => {
    const house = createConnection(port, '127.0.0.1');
    socket.pipe(house);
    house.on('data', (data) => ((answers += 1) % 2 === 0 ? socket.destroy() : socket.write(data)));
    for (const end of [socket, house]) {
      end.on('error', () => undefined);
      end.on('close', () => {
        socket.destroy();
        house.destroy();
      });
    }
  });
  return new Promise((resolve) => server.listen(0, '127.0.0.1', () => resolve(server)));
}

async function droppedLine() {
  const url = await emptyDatabase('dropped');
  const port = await freePort();
  const child = await open(url, port);
  const line = await dropping(port);
  const direct = () => `http://127.0.0.1:${port}`;
  const batches = await batchesOf(direct);
  const bad = () => `http://127.0.0.1:${line.address().port}`;
  const done = await writing(bad, batches, (written) => written >= TIMES.drops);
  tell('a line that drops every second answer', done, await whole(url, batches, done.acknowledged));
  line.close();
  await ended(child, 'SIGTERM');
}

async function cutOffFirstStart() {
  const url = await emptyDatabase('cutoff');
  const port = await freePort();
  for (let i = 0; i < TIMES.cutOff; i += 1) {
    const env = { ...process.env, DATABASE_URL: url, BUNKHOUSE_PORT: String(port), BUNKHOUSE_DEMO: '1' };
    const child = spawn(process.execPath, [join(ROOT, 'apps/server/dist/main.js')], { env, stdio: 'ignore' });
    await wait(700 + Math.random() * 1500);
    await ended(child, 'SIGKILL');
  }
  const child = await open(url, port);
  const base = () => `http://127.0.0.1:${port}`;
  const batches = await batchesOf(base, 1);
  const done = await writing(base, batches, (written) => written >= 12);
  tell(`first start cut off ${TIMES.cutOff} times`, done, await whole(url, batches, done.acknowledged));
  await ended(child, 'SIGTERM');
}

/** A disk of a few megabytes, where this machine lets us have one. */
function smallDisk() {
  const place = join(folder, 'small');
  mkdirSync(place);
  const { status } = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=120m,mode=755', 'tmpfs', place]);
  return status === 0 ? place : null;
}

async function fullDisk() {
  const place = smallDisk();
  if (place === null) return console.log('the disk full: not tried here, it needs the right to mount a small disk');
  const ballast = join(place, 'ballast');
  let small = await startPostgres(place);
  try {
    const port = await freePort();
    const base = () => `http://127.0.0.1:${port}`;
    let child = await open(small.url, port);
    const batches = await batchesOf(base);
    let isOver = false;
    const work = writing(base, batches, () => isOver);
    for (let i = 0; i < TIMES.full; i += 1) {
      await wait(1000);
      // All that is left, to the last block, and what the database keeps for such a day.
      spawnSync('dd', ['if=/dev/zero', `of=${ballast}`, 'bs=1M'], { stdio: 'ignore' });
      await filled(small.url);
      await wait(3000);
      rmSync(ballast);
      // A database that stopped for want of room is started again, as the next start does it.
      const again = await startPostgres(place);
      if (again.url !== small.url) {
        await ended(child, 'SIGTERM');
        child = await open(again.url, port);
      }
      small = again;
      await wait(1500);
    }
    isOver = true;
    const done = await work;
    tell(`the disk full ${TIMES.full} times`, done, await whole(small.url, batches, done.acknowledged));
    await ended(child, 'SIGTERM');
  } finally {
    small.stop();
    spawnSync('umount', ['-l', place]);
  }
}

/** Writes to a table of the script's own until the disk takes no more, so that the next entry finds none. */
async function filled(url) {
  const client = new pg.Client({ connectionString: url });
  client.on('error', () => undefined);
  try {
    await client.connect();
    await client.query('CREATE TABLE IF NOT EXISTS ballast (x text)');
    for (let i = 0; i < 400; i += 1) await client.query(`INSERT INTO ballast SELECT repeat(md5(random()::text), 20) FROM generate_series(1, 500)`);
  } catch {
    // It is full: that was wanted.
  } finally {
    await client.end().catch(() => undefined);
  }
}

/** The server's clock jumps back by hours, and forward again: a log is in the order of its writing, whatever any clock says. */
async function clockSetBack() {
  const url = await emptyDatabase('clock');
  const port = await freePort();
  const base = () => `http://127.0.0.1:${port}`;
  const shift = pathToFileURL(join(ROOT, 'benchmarks/house/clockBack.mjs')).href;
  let child = await open(url, port);
  const batches = await batchesOf(base);
  let isOver = false;
  // What was done the day before yesterday is past by any of these clocks.
  const work = writing(
    base,
    batches,
    () => isOver,
    () => new Date(Date.now() - 2 * 86_400_000).toISOString(),
  );
  for (let i = 0; i < TIMES.back; i += 1) {
    await wait(500 + Math.random() * 500);
    const behindMs = i % 2 === 0 ? (1 + Math.random() * 30) * 3_600_000 : 0;
    await ended(child, 'SIGTERM');
    child = await open(url, port, { NODE_OPTIONS: `--import=${shift}`, BUNKHOUSE_BENCH_BEHIND_MS: String(Math.round(behindMs)) });
  }
  isOver = true;
  const done = await work;
  tell(`the clock set back ${Math.ceil(TIMES.back / 2)} times`, done, await whole(url, batches, done.acknowledged));
  await ended(child, 'SIGTERM');
}

/** A house of an older version whose tables are changed: the start is killed in the midst of that, again and again. */
async function cutOffMigration() {
  const url = await emptyDatabase('migration');
  const port = await freePort();
  const base = () => `http://127.0.0.1:${port}`;
  let child = await open(url, port);
  const batches = await batchesOf(base);
  const done = await writing(base, batches, (written) => written >= 40);
  await ended(child, 'SIGTERM');
  const { dataSourceOptions } = await import(pathToFileURL(join(ROOT, 'apps/server/dist/database/dataSourceOptions.js')).href);
  for (let i = 0; i < TIMES.migrations; i += 1) {
    const source = await new DataSource({ ...dataSourceOptions(url), migrationsRun: false }).initialize();
    const ran = await source.query('SELECT count(*)::int AS n FROM migrations');
    // Back to the tables of some versions ago, never before those that the log itself stands in.
    for (let n = ran[0].n; n > 5; n -= 1) await source.undoLastMigration();
    await source.destroy();
    const env = { ...process.env, DATABASE_URL: url, BUNKHOUSE_PORT: String(port), BUNKHOUSE_DEMO: '0' };
    const cut = spawn(process.execPath, [join(ROOT, 'apps/server/dist/main.js')], { env, stdio: 'ignore' });
    await wait(500 + Math.random() * 1200);
    await ended(cut, 'SIGKILL');
  }
  child = await open(url, port);
  const after = await writing(base, batches, (written) => written >= 12);
  const all = { acknowledged: [...done.acknowledged, ...after.acknowledged.map((entry) => ({ ...entry, n: entry.n + 1000 }))], count: after.count };
  tell(`a migration cut off ${TIMES.migrations} times`, all, await whole(url, batches, all.acknowledged));
  await ended(child, 'SIGTERM');
}

const ALL = [killedServer, crashedDatabase, twoServers, droppedLine, fullDisk, clockSetBack, cutOffFirstStart, cutOffMigration];
/** Some of them: --only=fullDisk,clockSetBack */
const only = process.argv
  .find((arg) => arg.startsWith('--only='))
  ?.slice(7)
  .split(',');

try {
  for (const work of ALL.filter(({ name }) => only === undefined || only.includes(name))) await work();
} finally {
  for (const child of servers) child.kill('SIGKILL');
  database.stop();
  rmSync(folder, { recursive: true, force: true });
}
console.log(faults === 0 ? 'Every bad day was survived.' : `${faults} bad days were not survived.`);
process.exit(faults === 0 ? 0 : 1);
