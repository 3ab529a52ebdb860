// Twenty people and eight devices at work for some minutes on ten years of a busy shop, beside bare SQL for the same answers; the same for one
// year; the memory of the server meanwhile, and how long it takes to start. Everything on loopback, bounded in count and time.
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { ROOT } from '../scripts/places.mjs';
import { freePort, startPostgres, startServer } from '../scripts/postgres.mjs';
import { admit } from './house/admit.mjs';
import { writeYears } from './house/years.mjs';

const short = process.argv.includes('--short');
const { PEOPLE, DEVICES, MINUTES, YEARS } = short
  ? { PEOPLE: 5, DEVICES: 3, MINUTES: 0.2, YEARS: [0.1, 0.2] }
  : { PEOPLE: 20, DEVICES: 8, MINUTES: 3, YEARS: [1, 10] };
/** A person looks at a screen so long before the next one, ms. */
const LOOKS_MS = 2000;
/** A device hands in four channels so often, ms: ten times as often as a real one. */
const POSTS_MS = 1000;
const AIM_MS = 50;

const percentile = (list, share) => [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))] ?? 0;
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const ms = (value) => `${value.toFixed(1)} ms`;

/** What a main screen asks for, and the bare SQL that has the same answers in it. */
function screensOf({ base, sql, ids }) {
  const any = (list) => list[Math.floor(Math.random() * list.length)];
  const hours = (n) => `from=${new Date(Date.now() - n * 3_600_000).toISOString()}&to=${new Date().toISOString()}`;
  const of = (path) => ({ path: () => `${base}${path}` });
  return {
    Today: { ...of('/api/batches'), bare: () => liveOf(sql) },
    Batch: {
      path: () => `${base}/api/batches/${any(ids.batches)}`,
      bare: () =>
        sql.query('SELECT batch.*, (SELECT json_agg(body ORDER BY seq) FROM log_entry WHERE batch_id = batch.id) FROM batch WHERE id = $1', [any(ids.batches)]),
    },
    Calendar: { ...of('/api/house/plan'), bare: () => sql.query('SELECT plan FROM house_plan') },
    Pit: {
      path: () => `${base}/api/readings?channels=${ids.channels.join(',')}&${hours(8)}`,
      bare: () =>
        sql.query(
          `SELECT block.* FROM unnest($1::uuid[], $2::smallint[]) AS asked(device_id, channel)
           JOIN reading_block AS block USING (device_id, channel) WHERE from_at > now() - interval '8 hours'`,
          [ids.channels.map((own) => own.split(':')[0]), ids.channels.map((own) => own.split(':')[1])],
        ),
    },
    Devices: { ...of('/api/devices'), bare: () => lastOf(sql) },
    Recipes: { ...of('/api/recipes'), bare: () => sql.query('SELECT * FROM recipe_version') },
    Stores: {
      ...of('/api/lots'),
      bare: () => sql.query(`SELECT body->'draw'->>'lot', sum((body->'draw'->>'g')::float8) FROM log_entry WHERE kind = 'lot' GROUP BY 1`),
    },
    Ledger: {
      path: () => `${base}/api/ledger?${any(['', 'sort=yieldPercent', 'product=pastrami', 'find=ham', 'deviating=yes'])}`,
      bare: () => sql.query('SELECT row, count(*) OVER () FROM ledger_line ORDER BY ended_at DESC LIMIT 100'),
    },
    Learnt: { ...of('/api/learnt'), bare: null },
  };
}

const liveOf = (sql) =>
  sql.query(
    `SELECT batch.*, (SELECT json_agg(body ORDER BY seq) FROM log_entry WHERE batch_id = batch.id) FROM batch
     WHERE NOT EXISTS (SELECT 1 FROM ledger_line line WHERE line.batch_id = batch.id)`,
  );
const lastOf = (sql) =>
  sql.query(
    `SELECT last.* FROM device, jsonb_array_elements(device.channels) AS own,
     LATERAL (SELECT * FROM reading_block WHERE device_id = device.id AND channel = (own->>'channel')::int ORDER BY from_at DESC LIMIT 1) AS last`,
  );

async function json(url, cookie, body) {
  const answer = await fetch(
    url,
    body === undefined ? { headers: { cookie } } : { method: 'POST', headers: { cookie, 'content-type': 'application/json' }, body: JSON.stringify(body) },
  );
  const said = await answer.json();
  if (!answer.ok) throw new Error(`${url}: ${answer.status} ${said.message}`);
  return said;
}

/** A screen's answer, whole; what a browser makes of it is not the house's time. */
async function looked(url, cookie) {
  const answer = await fetch(url, { headers: { cookie } });
  await answer.arrayBuffer();
  if (!answer.ok) throw new Error(`${url}: ${answer.status}`);
}

/** How much of the time the machine's own host took its processors away, and how much it waited for its disk, %. */
function lostShare(before, after) {
  const spent = after.map((ticks, i) => ticks - (before[i] ?? 0));
  const all = spent.reduce((a, b) => a + b, 0);
  return { iowait: ((spent[4] ?? 0) / all) * 100, steal: ((spent[7] ?? 0) / all) * 100 };
}
const processorTimes = () => readFileSync('/proc/stat', 'utf8').split('\n')[0].split(/\s+/).slice(1, 9).map(Number);

const rssOf = (pid) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

async function measured(years) {
  const folder = mkdtempSync(join(tmpdir(), 'bunkhouse-load-'));
  const database = await startPostgres(folder);
  const sql = new pg.Client({ connectionString: database.url });
  let server;
  try {
    const port = await freePort();
    const open = async () => {
      const before = performance.now();
      server = await startServer(ROOT, { DATABASE_URL: database.url, BUNKHOUSE_PORT: String(port), BUNKHOUSE_DEMO: '1' });
      return performance.now() - before;
    };
    await open();
    await sql.connect();
    const held = await writeYears(sql, years);
    // What was just written is on the disk before anything is measured.
    await sql.query('CHECKPOINT');
    spawnSync('sync');
    // A host that lends its processors takes them back after so much work: it is let rest.
    if (!short) await wait(120_000);
    await ended(server.child);
    const startMs = await open();
    console.log(
      `${years} years: ${held.batches} batches, ${held.entries} entries, ${(held.readings / 1e6).toFixed(1)} M readings, ${(held.bytes / 1e6).toFixed(0)} MB on disk; the server starts in ${(startMs / 1000).toFixed(1)} s`,
    );
    return { ...(await atWork({ base: `http://127.0.0.1:${port}`, sql, url: database.url, pid: server.child.pid })), startMs };
  } finally {
    await sql.end().catch(() => undefined);
    if (server !== undefined) await ended(server.child);
    database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

async function atWork({ base, sql, url, pid }) {
  const cookies = await Promise.all(
    Array.from({ length: PEOPLE }, (_, i) => admit(url, { name: `Cook ${i}`, role: 'cook', token: `load-test-person-${i}-0123456789` })),
  );
  const [head] = [await admit(url)];
  const live = (await json(`${base}/api/batches`, head)).map(({ id }) => id);
  const ended = (await sql.query('SELECT batch_id FROM ledger_line ORDER BY random() LIMIT 200')).rows.map((row) => row.batch_id);
  const devices = await Promise.all(
    Array.from({ length: DEVICES }, (_, i) =>
      json(`${base}/api/devices`, head, {
        name: `Load ${i}`,
        kind: 'thermometer',
        channels: [1, 2, 3, 4].map((channel) => ({ channel, name: `Channel ${channel}` })),
        by: 'x',
      }),
    ),
  );
  const ids = { batches: [...live, ...ended], channels: [1, 2, 3, 4].map((channel) => `${devices[0].device.id}:${channel}`) };
  const screens = screensOf({ base, sql, ids });
  const times = Object.fromEntries(Object.keys(screens).map((name) => [name, []]));
  const bare = Object.fromEntries(Object.keys(screens).map((name) => [name, []]));
  const [written, posted, memory] = [[], [], []];
  const until = Date.now() + MINUTES * 60_000;
  const timed = async (list, work) => {
    const before = performance.now();
    await work();
    list.push(performance.now() - before);
  };
  // What is worked out once and kept is worked out before: a house that is open all day.
  for (const { path } of Object.values(screens)) await json(path(), head);

  const person = async (cookie, i) => {
    await wait((i / PEOPLE) * LOOKS_MS);
    for (let n = 0; Date.now() < until; n += 1) {
      const began = Date.now();
      if (n % 8 === 7) {
        const id = live[(i + n) % live.length];
        await timed(written, () =>
          json(`${base}/api/batches/${id}/log`, cookie, {
            id: randomUUID(),
            kind: 'note',
            at: new Date().toISOString(),
            by: 'x',
            reason: `Looked at it, ${n}`,
          }),
        );
      } else {
        const [name, { path }] = Object.entries(screens)[(i * 5 + n) % Object.keys(screens).length];
        await timed(times[name], () => looked(path(), cookie));
      }
      await wait(Math.max(0, LOOKS_MS - (Date.now() - began)));
    }
  };
  const device = async ({ token }, i) => {
    await wait((i / DEVICES) * POSTS_MS);
    for (let n = 0; Date.now() < until; n += 1) {
      const at = new Date().toISOString();
      const readings = [1, 2, 3, 4].map((channel) => ({ channel, at, C: 60 + channel + (n % 9) / 10 }));
      await timed(posted, async () => {
        const answer = await fetch(`${base}/api/readings`, {
          method: 'POST',
          headers: { authorization: `Bearer ${token}`, 'content-type': 'application/json' },
          body: JSON.stringify({ readings }),
        });
        if (!answer.ok) throw new Error(`a device: ${answer.status}`);
        await answer.arrayBuffer();
      });
      await wait(POSTS_MS);
    }
  };
  /** The same answers from the database itself, in between. */
  const besides = async () => {
    const asked = Object.entries(screens).filter(([, { bare: ask }]) => ask !== null);
    for (let n = 0; Date.now() < until; n += 1) {
      const [name, { bare: ask }] = asked[n % asked.length];
      await timed(bare[name], ask);
      memory.push(rssOf(pid));
      await wait(200);
    }
  };
  const before = processorTimes();
  await Promise.all([...cookies.map(person), ...devices.map(device), besides()]);
  const third = Math.floor(memory.length / 3);
  return {
    times,
    bare,
    written,
    posted,
    lost: lostShare(before, processorTimes()),
    memory: { first: percentile(memory.slice(0, third), 0.5), last: percentile(memory.slice(-third), 0.5), most: Math.max(...memory) },
  };
}

function ended(child) {
  if (child.exitCode !== null || child.signalCode !== null) return undefined;
  return new Promise((resolve) => {
    child.once('exit', resolve);
    child.kill('SIGTERM');
  });
}

const results = [];
for (const years of YEARS) results.push(await measured(years));
const [few, many] = results;
const p95 = (list) => percentile(list, 0.95);
console.log(
  `\n${PEOPLE} people, each at another screen every ${LOOKS_MS / 1000} s, and ${DEVICES} devices, ${MINUTES} min: 95 in 100 within (aim ${AIM_MS} ms)`,
);
console.log(
  '| screen | asked | half within | 95 in 100 | 99 in 100 | bare SQL, 95 | ratio | against one year |\n| --- | --- | --- | --- | --- | --- | --- | --- |',
);
let worst = 0;
for (const [name, list] of [...Object.entries(many.times), ['an entry logged', many.written], ['a device hands in', many.posted]]) {
  const own = p95(list);
  worst = Math.max(worst, own);
  const plain = many.bare[name]?.length > 0 ? p95(many.bare[name]) : null;
  const before = p95(few.times[name] ?? (name === 'an entry logged' ? few.written : few.posted));
  console.log(
    `| ${name} | ${list.length} | ${ms(percentile(list, 0.5))} | ${ms(own)} | ${ms(percentile(list, 0.99))} | ${plain === null ? '–' : ms(plain)} | ${plain === null ? '–' : (own / plain).toFixed(1)} | ${(own / before).toFixed(1)} |`,
  );
}
console.log(
  `memory of the server ${many.memory.first.toFixed(0)} MB in the first third, ${many.memory.last.toFixed(0)} MB in the last, ${many.memory.most.toFixed(0)} MB at most; started in ${(many.startMs / 1000).toFixed(1)} s, with ${YEARS[0]} years in ${(few.startMs / 1000).toFixed(1)} s: ratio ${(many.startMs / few.startMs).toFixed(2)}`,
);
for (const [i, { lost }] of results.entries())
  console.log(
    `${YEARS[i]} years: the machine's host took its processors away for ${lost.steal.toFixed(1)} % of the time, and it waited for its disk for ${lost.iowait.toFixed(1)} %`,
  );
console.log(
  worst <= AIM_MS ? `Every screen answers 95 in 100 within ${AIM_MS} ms.` : `Not every screen answers 95 in 100 within ${AIM_MS} ms: the slowest ${ms(worst)}.`,
);
