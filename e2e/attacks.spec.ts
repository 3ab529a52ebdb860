import { readFileSync } from 'node:fs';
import { request as httpRequest } from 'node:http';
import { crc32, deflateSync, gzipSync } from 'node:zlib';
import type { APIRequestContext } from '@playwright/test';
import pg from 'pg';
import { emptyDatabase, ownHouse } from './ownHouse.js';
import { expect, test } from './test.js';

/** What one request may cost the others: loopback only, a handful of requests, each bounded in time. */
let house: Awaited<ReturnType<typeof ownHouse>>;
let url: string;
let cookie: string;

test.beforeAll(async () => {
  url = await emptyDatabase();
  house = await ownHouse(url);
  const first = await fetch(`${house.address}/api/session/first`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ house: 'Tamarack Fork', name: 'Juno', password: 'four words are enough' }),
  });
  expect(first.status).toBe(200);
  cookie = first.headers
    .getSetCookie()
    .map((one) => one.split(';')[0])
    .join('; ');
});
test.afterAll(() => house.close());

interface Answer {
  status: number;
  message: string;
  ms: number;
}

/** Sends bytes as they are, by a plain program. */
function send(path: string, bytes: Uint8Array, headers: Record<string, string>): Promise<Answer> {
  const from = performance.now();
  return new Promise((resolve, reject) => {
    const asked = httpRequest(
      `${house.address}${path}`,
      { method: 'POST', headers: { 'content-length': String(bytes.length), ...headers }, timeout: 60_000 },
      (answer) => {
        let said = '';
        answer.on('data', (data: Buffer) => (said += data.toString()));
        answer.on('end', () =>
          resolve({ status: answer.statusCode ?? 0, message: (JSON.parse(said || '{}') as { message?: string }).message ?? '', ms: performance.now() - from }),
        );
      },
    );
    // Refused before it was read to its end: the answer is there all the same.
    asked.on('error', (error) => reject(error));
    asked.end(bytes);
  });
}

/** The slowest answer of the house's health while something goes on, and how long that took, ms. */
async function healthWhile<T>(work: () => Promise<T>): Promise<{ worst: number; took: number; result: T }> {
  let [worst, going] = [0, true];
  const began = performance.now();
  const asking = (async () => {
    while (going) {
      const from = performance.now();
      expect((await fetch(`${house.address}/api/health`)).status).toBe(200);
      worst = Math.max(worst, performance.now() - from);
      await new Promise((resolve) => setTimeout(resolve, 15));
    }
  })();
  const result = await work();
  const took = performance.now() - began;
  going = false;
  await asking;
  return { worst, took, result };
}

/** Whoever is held up waits as long as the work takes: a third of it, or four times what an idle house takes, and nobody is. */
const PART_OF_WORK = 1 / 3;
const OF_IDLE = 4;
/** A wait that nobody notices, ms. */
const UNNOTICED_MS = 200;

async function idleWorst(): Promise<number> {
  const { worst } = await healthWhile(() => new Promise((resolve) => setTimeout(resolve, 1500)));
  return worst;
}

const nobodyWaited = ({ worst, took }: { worst: number; took: number }, idle: number) =>
  expect(worst).toBeLessThan(Math.max(UNNOTICED_MS, OF_IDLE * idle, PART_OF_WORK * took));

const memoryMB = () => Number(/VmHWM:\s+(\d+) kB/.exec(readFileSync(`/proc/${house.pid}/status`, 'utf8'))?.[1] ?? 0) / 1000;

test('nesting that unfolds is refused to nobody before it is read, to the head cook as it comes; the house answers meanwhile', async () => {
  const nested = Buffer.from(`${'['.repeat(20_000_000)}${']'.repeat(20_000_000)}`);
  const packed = gzipSync(nested);
  expect(packed.length).toBeLessThan(60_000);
  const idle = await idleWorst();
  const { result, ...waits } = await healthWhile(async () => [
    await send('/api/exchange/import', packed, { 'content-type': 'application/json', 'content-encoding': 'gzip' }),
    await send('/api/exchange/import', packed, { 'content-type': 'application/json', 'content-encoding': 'gzip', cookie }),
    await send('/api/exchange/import', nested, { 'content-type': 'application/json', cookie }),
  ]);
  expect(result.map(({ status }) => status)).toEqual([401, 415, 400]);
  expect(result[2]?.message).toMatch(/nested too deep/);
  nobodyWaited(waits, idle);
});

test('a large book is read beside the others: forty megabytes of parts hold nobody up', async () => {
  const part = `{"hello":[${Array.from({ length: 1000 }, (_, i) => i).join(',')}]}`;
  const large = Buffer.from(`{"format":"bunkhouse-book","version":2,"batches":[${Array.from({ length: 9000 }, () => part).join(',')}]}`);
  expect(large.length).toBeGreaterThan(30_000_000);
  const idle = await idleWorst();
  const { result, ...waits } = await healthWhile(() => send('/api/exchange/preview', large, { 'content-type': 'application/json', cookie }));
  expect(result.status).toBe(400);
  nobodyWaited(waits, idle);
});

/** A part of a PNG. */
function part(kind: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(kind, 'latin1'), data]);
  const [long, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
  long.writeUInt32BE(data.length);
  sum.writeUInt32BE(crc32(body));
  return Buffer.concat([long, body, sum]);
}
const SIGN = Buffer.from('89504e470d0a1a0a', 'hex');
function head(width: number, height: number, interlaced = 0): Buffer {
  const data = Buffer.alloc(13);
  data.writeUInt32BE(width, 0);
  data.writeUInt32BE(height, 4);
  data.set([8, 6, 0, 0, interlaced], 8);
  return part('IHDR', data);
}

test('pictures that are made to hurt are refused in a thread of their own, with no more memory than a picture takes', async ({ request }) => {
  const batch = await someBatch(request);
  const path = () =>
    `/api/batches/${batch}/pictures?id=${crypto.randomUUID()}&piece=A&at=${encodeURIComponent(new Date(Date.now() - 1000).toISOString())}&by=Juno`;
  const hand = (bytes: Buffer, type = 'image/png') => send(path(), bytes, { 'content-type': type, cookie });
  const bomb = Buffer.concat([SIGN, head(4000, 4000, 1), part('IDAT', deflateSync(Buffer.alloc(900_000_000), { level: 9 })), part('IEND', Buffer.alloc(0))]);
  const twoHeads = Buffer.concat([SIGN, head(64, 64), head(20_000, 20_000), part('IDAT', deflateSync(Buffer.alloc(20_000))), part('IEND', Buffer.alloc(0))]);
  const idle = await idleWorst();
  const before = memoryMB();
  const { result, ...waits } = await healthWhile(async () => [await hand(Buffer.alloc(11_500_000), 'image/jpeg'), await hand(twoHeads), await hand(bomb)]);
  expect(result.map(({ status }) => status)).toEqual([400, 400, 400]);
  expect(result.map(({ message }) => message)).toEqual([
    expect.stringMatching(/no picture/),
    expect.stringMatching(/more than one head|cannot be opened/),
    expect.stringMatching(/cannot be opened/),
  ]);
  nobodyWaited(waits, idle);
  expect(memoryMB() - before).toBeLessThan(700);
  // Nobody who may not hand one in makes the house read one.
  expect((await send(path(), Buffer.alloc(11_500_000), { 'content-type': 'image/jpeg' })).status).toBe(401);
});

async function someBatch(request: APIRequestContext): Promise<string> {
  const id = crypto.randomUUID();
  const answer = await request.post(`${house.address}/api/batches`, {
    headers: { cookie },
    data: {
      id,
      product: 'canadian-bacon',
      pieces: [{ greenG: 2600, shape: 'round', thicknessMm: 90, lengthMm: 420 }],
      school: 'equilibrium',
      waterG: 1200,
      saltPercent: 2.3,
      sugarPercent: 1.1,
      nitritePpm: 150,
      ruleSet: 'us',
      cureDays: 9,
      meatScaleStepG: 5,
      cureScaleStepG: 0.1,
      startsAt: new Date(Date.now() - 60_000).toISOString(),
      by: 'Juno',
    },
  });
  expect(answer.status(), await answer.text()).toBe(201);
  return id;
}

test('a table that is locked is said in a sentence within five seconds, and the house goes on', async ({ request }) => {
  const holder = new pg.Client({ connectionString: url });
  await holder.connect();
  await holder.query('BEGIN');
  await holder.query('LOCK TABLE batch IN ACCESS EXCLUSIVE MODE');
  const from = performance.now();
  const answers = await Promise.all(
    ['/api/batches', '/api/batches', '/api/batches'].map((path) => request.get(`${house.address}${path}`, { headers: { cookie } })),
  );
  const took = performance.now() - from;
  await holder.query('ROLLBACK');
  await holder.end();
  for (const answer of answers) {
    expect(answer.status()).toBe(503);
    expect(((await answer.json()) as { message: string }).message).toMatch(/Try again in a moment/);
  }
  expect(took).toBeLessThan(6000);
  expect((await request.get(`${house.address}/api/batches`, { headers: { cookie } })).status()).toBe(200);
});
