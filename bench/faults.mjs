// Bad days. The server is killed in the middle of writes, many times; PostgreSQL loses its power under load; two servers write one log; the
// line drops every second answer; a first start is cut off while it lays out the tables. After each: every entry that was acknowledged
// is there once, in its writer's order, and each log is counted from 1 with none left out. Loopback only, bounded in count and time.
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { createConnection, createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { ROOT } from '../scripts/places.mjs';
import { freePort, startPostgres, startServer } from '../scripts/postgres.mjs';

const short = process.argv.includes('--short');
const TIMES = short ? { kills: 3, crashes: 1, drops: 24, cutOff: 1, together: 40 } : { kills: 200, crashes: 12, drops: 600, cutOff: 20, together: 1200 };
const WRITERS = 4;
const GIVE_UP_MS = 600_000;

const folder = mkdtempSync(join(tmpdir(), 'bunkhouse-faults-'));
const database = await startPostgres(folder);
const servers = new Set();
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
let faults = 0;

async function open(url, port) {
  const { child } = await startServer(ROOT, { DATABASE_URL: url, BUNKHOUSE_PORT: String(port), BUNKHOUSE_DEMO: '0' });
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
      const answer = await fetch(`${base()}${path}`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
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
  startsAt: new Date(Date.now() - 3_600_000).toISOString(),
  by: 'Wren',
});

/** Writers that go on until they are told to stop, each with notes that it counts, into batches that they share. */
async function writing(base, batches, until) {
  const acknowledged = [];
  const count = { none: 0, plain: 0 };
  await Promise.all(
    Array.from({ length: WRITERS }, async (_, writer) => {
      for (let n = 0; !until(acknowledged.length); n += 1) {
        const batch = batches[n % batches.length];
        const entry = { id: randomUUID(), kind: 'note', at: new Date().toISOString(), by: `Writer ${writer}`, reason: `note ${n}` };
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

try {
  for (const work of [killedServer, crashedDatabase, twoServers, droppedLine, cutOffFirstStart]) await work();
} finally {
  for (const child of servers) child.kill('SIGKILL');
  database.stop();
  rmSync(folder, { recursive: true, force: true });
}
console.log(faults === 0 ? 'Every bad day was survived.' : `${faults} bad days were not survived.`);
process.exit(faults === 0 ? 0 : 1);
