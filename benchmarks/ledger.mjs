// The Ledger of ten years: any filter and any sort of 3000 batches beside the bare SQL that finds the same, the points of the trends, and
// a whole book written out beside a bare COPY of the same rows, with the memory that it takes. Everything on loopback, and bounded.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { ROOT } from '../scripts/places.mjs';
import { freePort, startPostgres, startServer } from '../scripts/postgres.mjs';
import { writeBatches } from './house/years.mjs';

const BATCHES = 3000;
const ROUNDS = 12;

const folder = mkdtempSync(join(tmpdir(), 'bunkhouse-bench-'));
const database = await startPostgres(folder);
const port = await freePort();
const server = await startServer(ROOT, { DATABASE_URL: database.url, BUNKHOUSE_PORT: String(port), BUNKHOUSE_DEMO: '1' });
const base = `http://127.0.0.1:${port}`;
const sql = new pg.Client({ connectionString: database.url });
await sql.connect();
const percentile = (list, share) => [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))];
const ms = (value) => `${value.toFixed(1)} ms`;

async function timed(work) {
  const before = performance.now();
  await work();
  return performance.now() - before;
}

try {
  await writeBatches(sql, BATCHES);
  await sql.query('ANALYZE');
  const { rows } = await sql.query('SELECT (SELECT count(*) FROM batch) AS batches, (SELECT count(*) FROM log_entry) AS entries');
  console.log(`${rows[0].batches} batches, ${rows[0].entries} entries`);
  await lookups();
  await trends();
  await wholeBook();
} finally {
  await sql.end();
  server.child.kill('SIGTERM');
  await new Promise((resolve) => server.child.once('exit', resolve));
  database.stop();
  rmSync(folder, { recursive: true, force: true });
}

async function lookups() {
  const sorts = [
    'endedAt',
    'startedAt',
    'code',
    'name',
    'greenG',
    'packedG',
    'yieldPercent',
    'nitritePpm',
    'pumpPercent',
    'saltPercent',
    'cureDays',
    'deviations',
    'by',
  ];
  const asked = [
    ...sorts.flatMap((sort) => [`sort=${sort}`, `sort=${sort}&order=up`]),
    'find=ham',
    'find=pastrami%20wren',
    'find=nothing-like-it',
    'product=pastrami&taste=right',
    'outcome=finished&sort=yieldPercent&skip=900',
    'deviating=yes',
    'from=2020-01-01T00:00:00Z&to=2022-01-01T00:00:00Z',
  ];
  const times = [];
  for (let round = 0; round < ROUNDS; round += 1)
    for (const query of asked)
      times.push(
        await timed(async () => {
          const answer = await fetch(`${base}/api/ledger?${query}`);
          if (!answer.ok) throw new Error(`${query}: ${answer.status}`);
          await answer.json();
        }),
      );
  const bare = [];
  for (let round = 0; round < ROUNDS; round += 1)
    for (const sort of sorts) bare.push(await timed(() => sql.query(`SELECT row FROM ledger_line ORDER BY row->>$1 DESC NULLS LAST LIMIT 100`, [sort])));
  const [own, plain] = [percentile(times, 0.95), percentile(bare, 0.95)];
  console.log(
    `any filter or sort, 95 in 100 within ${ms(own)} (aim 100 ms), half within ${ms(percentile(times, 0.5))}; bare SQL ${ms(plain)}: ratio ${(own / plain).toFixed(1)}`,
  );
}

async function trends() {
  const times = [];
  for (let round = 0; round < ROUNDS * 2; round += 1) times.push(await timed(async () => (await fetch(`${base}/api/ledger/trends`)).json()));
  const ids = (await sql.query('SELECT batch_id FROM ledger_line LIMIT 5')).rows.map((row) => row.batch_id);
  const compared = [];
  for (let round = 0; round < ROUNDS * 2; round += 1)
    compared.push(await timed(() => Promise.all(ids.map(async (id) => (await fetch(`${base}/api/batches/${id}`)).json()))));
  console.log(
    `trends of all, 95 in 100 within ${ms(percentile(times, 0.95))} (aim 300 ms); five batches to compare within ${ms(percentile(compared, 0.95))} (aim 300 ms)`,
  );
}

async function wholeBook() {
  const memory = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.child.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
  const before = memory();
  let most = before;
  let bytes = 0;
  const own = await timed(async () => {
    const answer = await fetch(`${base}/api/exchange/book.json`);
    for await (const part of answer.body) {
      bytes += part.length;
      most = Math.max(most, memory());
    }
  });
  const bare = await timed(() => sql.query(`COPY (SELECT * FROM batch) TO '/dev/null'; COPY (SELECT * FROM log_entry) TO '/dev/null'`));
  console.log(
    `whole book ${(bytes / 1e6).toFixed(0)} MB in ${ms(own)}, memory ${before.toFixed(0)} to ${most.toFixed(0)} MB; a bare COPY of its rows ${ms(bare)}: ratio ${(own / bare).toFixed(1)}`,
  );
}
