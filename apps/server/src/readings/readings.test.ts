import { HOUR_MS, DAY_MS } from '@bunkhouse/core';
import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import type { DeviceTokenResponse, ReadingsEvent, SeriesResponse, TakenResponse } from '@bunkhouse/api';
import type { NestExpressApplication } from '@nestjs/platform-express';
import fc from 'fast-check';
import { filter, firstValueFrom, timeout } from 'rxjs';
import { createApp } from '../createApp.js';
import { openTestHouse, type TestHouse } from '../testing/testHouse.js';
import { DEVICE_POSTS } from './deviceThrottle.js';
import { stepFor } from './gather.js';
import { ReadingsStream } from './readingsStream.js';

let house: TestHouse;
const http = () => house.http();

beforeAll(async () => {
  house = await openTestHouse();
}, 60_000);
afterAll(() => house.close());

const FOUR = [1, 2, 3, 4].map((channel) => ({ channel, name: `Channel ${channel}` }));
async function added(): Promise<DeviceTokenResponse> {
  const answer = await http().post('/api/devices').send({ name: 'Four-channel', kind: 'thermometer', channels: FOUR, simulated: true, by: 'Juno' });
  expect(answer.status).toBe(201);
  return answer.body as DeviceTokenResponse;
}
const post = (token: string, readings: unknown) =>
  http().post('/api/readings').set('authorization', `Bearer ${token}`).set('content-type', 'application/json').send(JSON.stringify({ readings }));
const ago = (seconds: number) => new Date(Math.floor(Date.now() / 1000) * 1000 - seconds * 1000).toISOString();
async function series(device: string, channel: number, fromS: number, every?: number): Promise<SeriesResponse> {
  const answer = await http()
    .get('/api/readings')
    .query({ channels: `${device}:${channel}`, from: ago(fromS), to: ago(0), ...(every === undefined ? {} : { every }) });
  expect(answer.status).toBe(200);
  return answer.body as SeriesResponse;
}

describe('devices', () => {
  test('a device is added with a token that is shown once and kept as a hash; what it heard last is listed', async () => {
    const { device, token } = await added();
    expect(token).toMatch(/^[\w-]{32}$/);
    const rows: { token_hash: Buffer }[] = await house.database.query('SELECT token_hash FROM device WHERE id = $1', [device.id]);
    expect(rows[0]?.token_hash.toString('latin1')).not.toContain(token);
    await post(token, [{ channel: 2, at: ago(5), C: 41.25 }]);
    const listed = (await http().get('/api/devices')).body as DeviceTokenResponse['device'][];
    const own = listed.find(({ id }) => id === device.id);
    expect(own).toMatchObject({ simulated: true, createdBy: 'Juno' });
    expect(own?.channels.map(({ last }) => last?.C ?? null)).toEqual([null, 41.25, null, null]);
    expect(own?.heardAt).not.toBeNull();
    expect(JSON.stringify(listed)).not.toContain(token);
  });

  test('a renewed token ends the one before it; an ended device posts no more, what it read stays', async () => {
    const { device, token } = await added();
    await post(token, [{ channel: 1, at: ago(5), C: 80 }]);
    const renewed = (await http().post(`/api/devices/${device.id}/token`).send({ by: 'Wren' })).body as DeviceTokenResponse;
    expect((await post(token, [{ channel: 1, at: ago(4), C: 80 }])).status).toBe(401);
    expect((await post(renewed.token, [{ channel: 1, at: ago(4), C: 80 }])).status).toBe(200);
    expect((await http().post(`/api/devices/${device.id}/end`).send({ by: 'Wren' })).status).toBe(200);
    expect((await post(renewed.token, [{ channel: 1, at: ago(3), C: 80 }])).status).toBe(401);
    expect((await series(device.id, 1, 60, 1)).channels[0]?.C).toEqual([80, 80]);
  });

  test.each([
    [{ name: '', kind: 'thermometer', channels: FOUR, by: 'J' }, 'name'],
    [{ name: 'x', kind: 'radio', channels: FOUR, by: 'J' }, 'kind'],
    [{ name: 'x', kind: 'thermometer', channels: [], by: 'J' }, 'channels'],
    [{ name: 'x', kind: 'thermometer', channels: [{ channel: 0, name: 'a' }], by: 'J' }, 'channels.0.channel'],
    [{ name: 'x', kind: 'thermometer', channels: [FOUR[0], FOUR[0]], by: 'J' }, 'channels'],
    [{ name: 'x', kind: 'thermometer', channels: FOUR }, 'by'],
  ])('%j is refused at %s', async (body, field) => {
    const answer = await http().post('/api/devices').send(body);
    expect(answer.status).toBe(400);
    expect((answer.body as { errors: { field: string }[] }).errors[0]?.field).toBe(field);
  });

  test('no such device is a plain 404', async () => {
    expect((await http().post(`/api/devices/${randomUUID()}/token`).send({ by: 'J' })).status).toBe(404);
    expect((await http().post(`/api/devices/${randomUUID()}/end`).send({ by: 'J' })).status).toBe(404);
  });
});

describe('readings handed in', () => {
  test('the good lines are kept, each bad one is named with its reason', async () => {
    const { device, token } = await added();
    const answer = await post(token, [
      { channel: 1, at: ago(30), C: 80.5 },
      { channel: 1, at: ago(20), C: 900 },
      { channel: 1, at: ago(10), C: 'NaN' },
      { channel: 9, at: ago(10), C: 20 },
      { channel: 2, at: 'yesterday', C: 20 },
      { channel: 2, at: new Date(Date.now() + HOUR_MS).toISOString(), C: 20 },
      { channel: 2, at: new Date(Date.now() - 365 * DAY_MS).toISOString(), C: 20 },
      { channel: 2, at: ago(10), F: 68 },
      null,
      { channel: 1, at: ago(30), C: 80.5 },
      { channel: 1, at: ago(30), C: 81 },
    ]);
    expect(answer.status).toBe(200);
    const { taken, known, refused } = answer.body as TakenResponse;
    expect({ taken, known, lines: refused.map(({ line }) => line) }).toEqual({ taken: 2, known: 1, lines: [1, 2, 3, 4, 5, 6, 8, 10] });
    expect(refused[0]?.reason).toMatch(/900 °C is nothing that a probe/);
    expect(refused.at(-1)?.reason).toMatch(/Another temperature/);
    for (const { reason } of refused) expect(reason).toMatch(/[.]$/);
    expect((await series(device.id, 2, 60, 1)).channels[0]?.C).toEqual([20]);
  });

  test('out of order, over several blocks, twice: kept once, in order', async () => {
    const { device, token } = await added();
    const readings = Array.from({ length: 1200 }, (_, i) => ({ channel: 1, at: ago(1200 - i), C: (5000 + i) / 100 }));
    const shuffled = [...readings].sort((a, b) => a.at.charCodeAt(18) - b.at.charCodeAt(18));
    expect((await post(token, shuffled)).body).toMatchObject({ taken: 1200, known: 0, refused: [] });
    expect((await post(token, readings.slice(100, 900))).body).toMatchObject({ taken: 0, known: 800 });
    const fine = (await series(device.id, 1, 1300, 1)).channels[0];
    expect(fine?.C).toEqual(readings.map(({ C }) => C));
    const coarse = (await series(device.id, 1, 1300, 60)).channels[0];
    expect(coarse?.C.length).toBeLessThanOrEqual(21);
    expect(coarse?.low.every((low, i) => low <= (coarse.C[i] ?? 0))).toBe(true);
    expect(coarse?.high.at(-1)).toBeCloseTo(61.99, 6);
  });

  test('nobody posts without a token; too much at once is refused', async () => {
    expect(
      (
        await http()
          .post('/api/readings')
          .send({ readings: [{}] })
      ).status,
    ).toBe(401);
    expect((await post('x'.repeat(32), [{}])).status).toBe(401);
    const { token } = await added();
    expect((await post(token, [])).status).toBe(400);
    expect((await post(token, 'lots')).status).toBe(400);
    expect(
      (
        await post(
          token,
          Array.from({ length: 3001 }, () => ({})),
        )
      ).status,
    ).toBe(400);
  });

  test('a device that floods is told to wait; another is not held up', async () => {
    const [flood, calm] = [await added(), await added()];
    // All at once: they are counted as they arrive, however long it takes to answer them. There is nothing in them, so that
    // none waits for another's write: two hundred that queue for one device may be told that the house is busy.
    const codes = (await Promise.all(Array.from({ length: DEVICE_POSTS.limit + 60 }, () => post(flood.token, [])))).map(({ status }) => status);
    expect(codes.filter((code) => code === 429).length).toBeGreaterThan(0);
    expect(codes.filter((code) => code !== 400 && code !== 429)).toEqual([]);
    expect((await post(calm.token, [{ channel: 1, at: ago(1), C: 20 }])).status).toBe(200);
  }, 30_000);

  test('two posts at once lose nothing', async () => {
    const { device, token } = await added();
    await Promise.all(
      Array.from({ length: 20 }, (_, k) =>
        post(
          token,
          Array.from({ length: 30 }, (__, i) => ({ channel: 1, at: ago(600 - i * 20 - k), C: k })),
        ),
      ),
    );
    expect((await series(device.id, 1, 700, 1)).channels[0]?.C).toHaveLength(600);
  });

  test('whatever is posted: never a 500, never a stack', async () => {
    const { token } = await added();
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.oneof(fc.anything(), fc.record({ channel: fc.anything(), at: fc.anything(), C: fc.anything() })), { minLength: 1, maxLength: 5 }),
        async (lines) => {
          let body: string;
          try {
            body = JSON.stringify({ readings: lines });
          } catch {
            return;
          }
          const answer = await http().post('/api/readings').set('authorization', `Bearer ${token}`).set('content-type', 'application/json').send(body);
          expect([200, 400]).toContain(answer.status);
          expect(answer.text).not.toMatch(/\.ts:|node_modules/);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('a scale', () => {
  const weigh = (token: string, body: object) => http().post('/api/weights').set('authorization', `Bearer ${token}`).send(body);

  test('shows its weight to whoever asks; only a scale weighs, and only weights', async () => {
    const answer = await http()
      .post('/api/devices')
      .send({ name: 'Bench scale', kind: 'scale', channels: [{ channel: 1, name: 'Pan' }], by: 'Juno' });
    const { device, token } = answer.body as DeviceTokenResponse;
    expect(device.weight).toBeNull();
    expect((await weigh(token, { g: 2840.004, stable: true })).status).toBe(204);
    const listed = (await http().get('/api/devices')).body as DeviceTokenResponse['device'][];
    expect(listed.find(({ id }) => id === device.id)?.weight).toMatchObject({ g: 2840, stable: true });
    expect((await weigh((await added()).token, { g: 1, stable: true })).status).toBe(400);
    expect((await weigh('x'.repeat(32), { g: 1, stable: true })).status).toBe(401);
    for (const body of [{ g: 'much', stable: true }, { g: 1e9, stable: true }, { g: 5 }, { stable: true }]) expect((await weigh(token, body)).status).toBe(400);
  });
});

describe('readings by hand, and out again', () => {
  const bring = (id: string, body: object) => http().post(`/api/devices/${id}/readings`).send(body);
  const yearsAgo = (years: number, s = 0) => new Date(Date.now() - years * 365 * DAY_MS + s * 1000).toISOString();

  test('a file may be of years ago; twice the same is known, another temperature at the same time is refused by its line', async () => {
    const { device } = await added();
    const lines = [0, 60, 120].map((s) => ({
      channel: 1,
      at: new Date(Math.floor(Date.parse(yearsAgo(2)) / 1000) * 1000 + s * 1000).toISOString(),
      C: 40 + s / 60,
    }));
    expect((await bring(device.id, { readings: lines, by: 'Wren' })).body).toEqual({ taken: 3, known: 0, refused: [] });
    const again = await bring(device.id, { readings: [...lines.slice(0, 2), { ...lines[2], C: 99 }, { channel: 1, at: yearsAgo(30), C: 4 }], by: 'Wren' });
    expect(again.body).toMatchObject({ taken: 0, known: 2, refused: [{ line: 2 }, { line: 3 }] });
  });

  test.each([
    [{ readings: [], by: 'W' }, 'readings'],
    [{ readings: 'all', by: 'W' }, 'readings'],
    [{ readings: [{}] }, 'by'],
  ])('%j is refused at %s', async (body, field) => {
    const { device } = await added();
    const answer = await bring(device.id, body);
    expect(answer.status).toBe(400);
    expect((answer.body as { errors: { field: string }[] }).errors[0]?.field).toBe(field);
  });

  test('nobody’s device is a plain 404, an upload that is cut off a plain 400', async () => {
    expect((await bring(randomUUID(), { readings: [{}], by: 'W' })).status).toBe(404);
    const { device } = await added();
    const cut = await http().post(`/api/devices/${device.id}/readings`).set('content-type', 'application/json').send('{"by":"W","readings":[{"chan');
    expect(cut.status).toBe(400);
    expect(cut.text).not.toMatch(/node_modules/);
  });

  test('out as CSV: every reading in order of time over midnight, and a name that begins like a formula is none', async () => {
    const answer = await http()
      .post('/api/devices')
      .send({ name: '=HYPERLINK("x")', kind: 'thermometer', channels: [{ channel: 1, name: '+cmd' }], by: 'Juno' });
    const { device, token } = answer.body as DeviceTokenResponse;
    const start = Math.floor(Date.now() / 1000) * 1000 - 30 * HOUR_MS;
    const at = (i: number) => start + i * 600_000;
    const lines = Array.from({ length: 170 }, (_, i) => ({ channel: 1, at: new Date(at(i)).toISOString(), C: -2 + i / 100 }));
    await post(token, lines);
    const csv = await http()
      .get('/api/readings.csv')
      .query({ channels: `${device.id}:1`, from: new Date(at(0)).toISOString(), to: new Date(at(169)).toISOString() });
    expect(csv.status).toBe(200);
    expect(csv.headers['content-type']).toMatch(/^text\/csv/);
    const [head, ...rows] = csv.text.trim().split('\r\n');
    expect(head).toBe('at,device,name,channel,C,trueC');
    expect(rows).toHaveLength(170);
    expect(rows.map((row) => row.slice(0, 24))).toEqual(lines.map((line) => line.at));
    expect(rows[0]).toBe(`${lines[0]?.at ?? ''},"'=HYPERLINK(""x"")","'+cmd",1,-2.00,-2.00`);
    const american = {
      channels: `${device.id}:1`,
      from: new Date(at(0)).toISOString(),
      to: new Date(at(169)).toISOString(),
      temperature: 'F',
      decimal: 'comma',
    };
    const [f, first] = (await http().get('/api/readings.csv').query(american)).text.split('\r\n');
    expect(f).toBe('at;device;name;channel;F;trueF');
    expect(first).toMatch(/;28,40;28,40$/);
    expect(
      (
        await http()
          .get('/api/readings.csv')
          .query({ ...american, temperature: 'K' })
      ).status,
    ).toBe(400);
  });
});

describe('curves', () => {
  const device = randomUUID();
  test.each([
    [{ from: '2026-01-01T00:00:00Z', to: '2026-01-02T00:00:00Z' }, 'channels'],
    [{ channels: 'x:1', from: '2026-01-01T00:00:00Z', to: '2026-01-02T00:00:00Z' }, 'channels'],
    [{ channels: `${device}:1`, from: 'monday', to: '2026-01-02T00:00:00Z' }, 'from'],
    [{ channels: `${device}:1`, from: '2026-01-03T00:00:00Z', to: '2026-01-02T00:00:00Z' }, 'to'],
    [{ channels: `${device}:1`, from: '2025-01-03T00:00:00Z', to: '2026-01-02T00:00:00Z' }, 'to'],
    [{ channels: `${device}:1`, from: '2026-01-01T00:00:00Z', to: '2026-01-02T00:00:00Z', every: '7' }, 'every'],
    [{ channels: `${device}:1`, from: '2026-01-01T00:00:00Z', to: '2026-01-30T00:00:00Z', every: '1' }, 'every'],
  ])('%j is refused at %s', async (query, field) => {
    const answer = await http().get('/api/readings').query(query);
    expect(answer.status).toBe(400);
    expect((answer.body as { errors: { field: string }[] }).errors[0]?.field).toBe(field);
  });

  test('a channel that nobody ever heard has an empty curve', async () => {
    expect((await series(device, 1, 60)).channels[0]).toMatchObject({ at: [], C: [] });
  });

  test('the finest step that the points allow', () => {
    expect(stepFor(1000 * 1000, 1200)).toBe(1);
    expect(stepFor(8 * HOUR_MS, 1200)).toBe(30);
    expect(stepFor(60 * DAY_MS, 1200)).toBe(3600);
  });
});

describe('the stream', () => {
  let other: NestExpressApplication;
  beforeAll(async () => {
    const { options } = house.database;
    other = await createApp({
      port: 0,
      host: '127.0.0.1',
      databaseUrl: 'url' in options ? (options.url ?? '') : '',
      demo: false,
      webRoot: null,
      pgBin: null,
      proxy: null,
      standInKey: null,
    });
    await other.listen(0, '127.0.0.1');
  }, 60_000);
  afterAll(() => other.close());

  test('another server on the same database hears of readings at once', async () => {
    const { device, token } = await added();
    const heard = firstValueFrom(
      other
        .get(ReadingsStream)
        .watched()
        .pipe(
          filter(({ data }) => (data as ReadingsEvent).device === device.id),
          timeout(5000),
        ),
    );
    const [early, late] = [ago(9), ago(4)];
    await post(token, [
      { channel: 1, at: early, C: 79 },
      { channel: 1, at: late, C: 80 },
      { channel: 2, at: late, C: 41 },
    ]);
    expect((await heard).data).toMatchObject({
      device: device.id,
      from: Date.parse(early),
      latest: [
        { channel: 1, C: 80 },
        { channel: 2, C: 41 },
      ],
    });
  });

  test('it comes over the wire as server-sent events, unpacked', async () => {
    const { token } = await added();
    const port = (other.getHttpServer().address() as AddressInfo).port;
    const stop = new AbortController();
    const answer = await fetch(`http://127.0.0.1:${port}/api/readings/stream`, { signal: stop.signal, headers: { cookie: house.cookie } });
    expect(answer.headers.get('content-type')).toMatch(/^text\/event-stream/);
    expect(answer.headers.get('content-encoding')).toBeNull();
    const reader = answer.body?.getReader();
    await post(token, [{ channel: 3, at: ago(3), C: 33.3 }]);
    let said = '';
    while (!said.includes('33.3')) said += new TextDecoder().decode(((await reader?.read()) as { value?: Uint8Array } | undefined)?.value);
    expect(said).toMatch(/event: readings/);
    stop.abort();
  });
});
