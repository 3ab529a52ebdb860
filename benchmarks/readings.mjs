// The open door and the curves: how fast readings are taken in beside a bare COPY into the same PostgreSQL, how fast any cook of a season is
// drawn, and how fast a reading is at fifty watchers and on the screen. Everything on loopback, and bounded.
/* global document, requestAnimationFrame */
import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { ROOT } from '../scripts/places.mjs';
import { freePort, startPostgres, startServer } from '../scripts/postgres.mjs';
import { CHROMIUM, postgresPrograms } from '../scripts/setUp.mjs';

const folder = mkdtempSync(join(tmpdir(), 'bunkhouse-bench-'));
const database = await startPostgres(folder);
const port = await freePort();
const server = await startServer(ROOT, { DATABASE_URL: database.url, BUNKHOUSE_PORT: String(port), BUNKHOUSE_DEMO: '1' });
const base = `http://127.0.0.1:${port}`;
const sql = new pg.Client({ connectionString: database.url });
await sql.connect();

const json = async (path, body, headers = {}) => {
  const answer = await fetch(
    base + path,
    body === undefined ? {} : { method: 'POST', headers: { 'content-type': 'application/json', ...headers }, body: JSON.stringify(body) },
  );
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
  return answer.json();
};
const channels = Array.from({ length: 8 }, (_, i) => ({ channel: i + 1, name: `Channel ${i + 1}` }));
const added = (name) => json('/api/devices', { name, kind: 'thermometer', channels, simulated: true, by: 'Bench' });
const percentile = (list, share) => [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))];

try {
  await intake();
  await season();
  await watchers();
  if (existsSync(CHROMIUM)) await pixels();
} finally {
  await sql.end();
  server.child.kill('SIGTERM');
  await new Promise((resolve) => server.child.once('exit', resolve));
  database.stop();
  rmSync(folder, { recursive: true, force: true });
}

/** Four devices at once, each a post of 2000 readings after the other. */
async function intake() {
  const devices = await Promise.all([1, 2, 3, 4].map((n) => added(`Intake ${n}`)));
  const posts = 20;
  const each = 2000;
  const start = Math.floor(Date.now() / 1000) * 1000 - 20 * 86_400_000;
  const lines = (post) =>
    Array.from({ length: each }, (_, i) => ({
      channel: (i % 8) + 1,
      at: new Date(start + (post * (each / 8) + Math.floor(i / 8)) * 1000).toISOString(),
      C: 80 + (i % 50) / 10,
    }));
  const before = performance.now();
  await Promise.all(
    devices.map(async ({ token }) => {
      for (let post = 0; post < posts; post += 1) await json('/api/readings', { readings: lines(post) }, { authorization: `Bearer ${token}` });
    }),
  );
  const ourS = (performance.now() - before) / 1000;
  const count = devices.length * posts * each;
  await sql.query('CREATE TABLE bare_reading (device uuid, channel smallint, at timestamptz, c real)');
  const file = join(folder, 'bare.csv');
  writeFileSync(
    file,
    devices
      .flatMap(({ device }) => Array.from({ length: posts }, (_, post) => lines(post).map(({ channel, at, C }) => `${device.id},${channel},${at},${C}`)).flat())
      .join('\n'),
  );
  const copyBefore = performance.now();
  execFileSync(join(postgresPrograms(), 'psql'), [database.url, '-c', `\\copy bare_reading FROM '${file}' CSV`], { stdio: 'ignore' });
  const copyS = (performance.now() - copyBefore) / 1000;
  console.log(
    `Intake, 4 devices, posts of ${each}: ${Math.round(count / ourS)} readings a second; a bare COPY of the same ${count}: ${Math.round(count / copyS)} a second; ratio ${(ourS / copyS).toFixed(1)}`,
  );
}

/** 300 cooks of 8 h, 8 channels, a reading a second, as they are kept: any of them is drawn. */
async function season() {
  const { device } = await added('Season');
  const cooks = 300;
  const hours = 8;
  const block = Buffer.alloc(300 * 4);
  for (let i = 0; i < 300; i += 1) {
    block.writeUInt16LE(i * 10, i * 4);
    block.writeInt16LE(8000 + ((i * 37) % 400), i * 4 + 2);
  }
  const first = Math.floor(Date.now() / 300_000) * 300_000 - 360 * 86_400_000;
  const filled = performance.now();
  await sql.query(
    `INSERT INTO reading_block (device_id, channel, from_at, samples)
     SELECT $1, channel, to_timestamp($2::float8) + cook * interval '1 day' + part * interval '5 minutes', $3
     FROM generate_series(1, 8) AS channel, generate_series(0, $4 - 1) AS cook, generate_series(0, $5 - 1) AS part`,
    [device.id, first / 1000, block, cooks, hours * 12],
  );
  await sql.query('ANALYZE reading_block');
  const size = Number((await sql.query(`SELECT pg_total_relation_size('reading_block') AS size`)).rows[0].size);
  const readings = cooks * hours * 3600 * 8;
  const times = [];
  for (let i = 0; i < 40; i += 1) {
    const from = first + ((i * 97) % cooks) * 86_400_000;
    const query = new URLSearchParams({
      channels: channels.map(({ channel }) => `${device.id}:${channel}`).join(','),
      from: new Date(from).toISOString(),
      to: new Date(from + hours * 3_600_000 - 1000).toISOString(),
    });
    const before = performance.now();
    const { channels: curves } = await json(`/api/readings?${query}`);
    times.push(performance.now() - before);
    if (curves.length !== 8 || curves[0].at.length < 900) throw new Error('A curve is missing.');
  }
  console.log(
    `A season of ${(readings / 1e6).toFixed(0)} million readings (kept in ${(size / readings).toFixed(1)} bytes each, written in ${((performance.now() - filled) / 1000).toFixed(0)} s): a cook's chart of 8 channels in ${percentile(times, 0.5).toFixed(0)} ms, 95 in 100 within ${percentile(times, 0.95).toFixed(0)} ms (aim 200)`,
  );
}

/** Fifty watch; a reading is posted now and then: how long until the last of them has heard it. */
async function watchers() {
  const { device, token } = await added('Watched');
  const stop = new AbortController();
  const lines = await Promise.all(
    Array.from({ length: 50 }, async () => {
      const answer = await fetch(`${base}/api/readings/stream`, { signal: stop.signal });
      return answer.body.getReader();
    }),
  );
  const marks = [];
  const listening = lines.map(async (reader) => {
    const decoder = new TextDecoder();
    let kept = '';
    for (;;) {
      const { value, done } = await reader.read().catch(() => ({ done: true }));
      if (done) return;
      kept += decoder.decode(value, { stream: true });
      for (const mark of marks) if (!mark.seen.has(reader) && kept.includes(mark.text)) mark.seen.set(reader, performance.now());
    }
  });
  const delays = [];
  for (let i = 0; i < 20; i += 1) {
    const C = 50 + i + 0.37;
    const mark = { text: `"C":${C.toFixed(2)}`, seen: new Map(), at: performance.now() };
    marks.push(mark);
    await json(
      '/api/readings',
      { readings: [{ channel: 1, at: new Date(Date.now() - 1000 * (20 - i)).toISOString(), C }] },
      { authorization: `Bearer ${token}` },
    );
    for (let wait = 0; mark.seen.size < 50 && wait < 200; wait += 1) await new Promise((resolve) => setTimeout(resolve, 5));
    if (mark.seen.size < 50) throw new Error(`Only ${mark.seen.size} of 50 heard of ${device.id}.`);
    delays.push(Math.max(...mark.seen.values()) - mark.at);
  }
  stop.abort();
  await Promise.all(listening);
  console.log(`From a post to the last of 50 watchers: ${percentile(delays, 0.5).toFixed(0)} ms, 95 in 100 within ${percentile(delays, 0.95).toFixed(0)} ms`);
}

/** From a post to the number on the Pit's screen. */
async function pixels() {
  const { chromium } = await import('@playwright/test');
  const batches = await json('/api/batches');
  const cook = batches.find(({ entries }) => entries.some(({ event }) => event?.act === 'probes'));
  const probes = cook.entries.findLast(({ event }) => event?.act === 'probes').event.probes;
  const chamber = probes.find(({ reads }) => reads === 'chamber');
  const { token } = await json(`/api/devices/${chamber.device}/token`, { by: 'Bench' });
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu'] });
  const page = await browser.newPage();
  await page.goto(`${base}/pit/${cook.id}`);
  await page.getByRole('region', { name: 'Probes' }).waitFor();
  await page.waitForTimeout(3000);
  const delays = [];
  for (let i = 0; i < 12; i += 1) {
    const C = 111 + i + 0.4;
    const shown = page.evaluate(
      (text) =>
        new Promise((resolve) => {
          const look = () => (document.querySelector('.probes .num')?.textContent === text ? resolve(Date.now()) : requestAnimationFrame(look));
          look();
        }),
      C.toFixed(1),
    );
    const before = Date.now();
    await json('/api/readings', { readings: [{ channel: chamber.channel, at: new Date().toISOString(), C }] }, { authorization: `Bearer ${token}` });
    delays.push((await shown) - before);
    await page.waitForTimeout(700);
  }
  await browser.close();
  console.log(
    `From a post to the number on the Pit's screen: ${percentile(delays, 0.5).toFixed(0)} ms, 95 in 100 within ${percentile(delays, 0.95).toFixed(0)} ms (aim 300)`,
  );
}
