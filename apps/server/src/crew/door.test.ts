import { HOUR_MS } from '@bunkhouse/core';
import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import { may, ROLES, type BatchResponse, type PersonalRight, type Right, type Role, usualRequest } from '@bunkhouse/api';
import request from 'supertest';
import { createApp } from '../createApp.js';
import { emptyDatabase, openTestHouse, type TestAgent, type TestHouse } from '../testing/testHouse.js';
import { isFromElsewhere, isHere } from './asked.js';

let house: TestHouse;
beforeAll(async () => {
  house = await openTestHouse();
}, 60_000);
afterAll(() => house.close());

describe('who may what', () => {
  const address = (path: string) => path.replace(/\{\w+\}|:\w+/g, randomUUID());
  /** Whether the door let it through: what lies behind it may refuse it all the same. */
  const isLet = ({ status, body }: { status: number; body: unknown }) =>
    status !== 401 && !(status === 403 && /not for you|A reader looks|A helper logs|for the head cook/.test((body as { message?: string }).message ?? ''));

  test('every route of the OpenAPI document, as each role and as nobody, at the door', async () => {
    const described = (await house.nobody().get('/api/openapi.json')).body as { paths: Record<string, Record<string, { 'x-right'?: Right }>> };
    const agents = new Map<Role, TestAgent>(await Promise.all(ROLES.map(async (role) => [role, await house.as(role)] as const)));
    let walked = 0;
    for (const [path, ways] of Object.entries(described.paths)) {
      for (const [method, { 'x-right': right }] of Object.entries(ways)) {
        if (right === undefined) throw new Error(`${method} ${path} does not say who may`);
        if (path === '/api/readings/stream' || path === '/api/session/end') continue;
        const ask = (http: TestAgent) => (method === 'post' ? http.post(address(path)).send({}) : http.get(address(path)));
        const nobody = await ask(house.nobody());
        if (right === 'anybody') expect({ path, let: isLet(nobody) }).toEqual({ path, let: true });
        else expect({ method, path, status: nobody.status }).toEqual({ method, path, status: 401 });
        for (const role of ROLES) {
          const answer = await ask(agents.get(role) as TestAgent);
          const expected = right === 'anybody' || (right !== 'device' && may(role, right));
          expect({ method, path, role, let: isLet(answer) }).toEqual({ method, path, role, let: expected });
          walked += 1;
        }
      }
    }
    expect(walked).toBeGreaterThan(200);
  }, 120_000);

  test('a session that has ended, a made-up token and a device’s token open nothing of a person’s', async () => {
    const { token } = (
      await house
        .http()
        .post('/api/devices')
        .send({ name: 'Four', kind: 'thermometer', channels: [{ channel: 1, name: 'Core' }], by: 'x' })
    ).body as { token: string };
    for (const headers of [{ Cookie: 'bunkhouse_session=out' }, { Cookie: `bunkhouse_session=${token}` }, { authorization: `Bearer ${token}` }])
      for (const path of ['/api/batches', '/api/crew', '/api/backup', '/api/exchange/book.json', '/api/readings/stream', '/api/calendar/feed'])
        expect((await house.nobody().get(path).set(headers)).status).toBe(401);
    const posted = await house
      .nobody()
      .post('/api/readings')
      .set('authorization', `Bearer ${token}`)
      .send({ readings: [{ channel: 1, at: new Date().toISOString(), C: 4 }] });
    expect(posted.status).toBe(200);
  });

  test('the simulated devices beside a server get at their tokens, and at nothing else', async () => {
    const { url, drop } = await emptyDatabase();
    const app = await createApp({
      port: 0,
      host: '127.0.0.1',
      databaseUrl: url,
      demo: false,
      webRoot: null,
      pgBin: null,
      proxy: null,
      standInKey: 'beside-this-server',
    });
    await app.init();
    const ask = (key: string) => request.agent(app.getHttpServer()).set('x-stand-in', key);
    for (const path of ['/api/devices', '/api/batches']) {
      expect((await ask('beside-this-server').get(path)).status).toBe(200);
      expect((await ask('beside-this-serve').get(path)).status).toBe(401);
      expect((await ask('beside-this-server').get(path).set('X-Forwarded-For', '203.0.113.9')).status).toBe(401);
    }
    for (const path of ['/api/ledger', '/api/crew', '/api/backup', '/api/recipes']) expect((await ask('beside-this-server').get(path)).status).toBe(401);
    expect((await ask('beside-this-server').post('/api/batches').send({})).status).toBe(401);
    expect((await ask('beside-this-server').post(`/api/devices/${randomUUID()}/token`).send({ by: 'x' })).status).toBe(404);
    await app.close();
    await drop();
  }, 30_000);

  test('rights grow from reader to head cook, and nobody has one that the next has not', () => {
    const order: Role[] = ['reader', 'helper', 'cook', 'head'];
    const rights: PersonalRight[] = ['look', 'record', 'plan', 'run'];
    expect(order.map((role) => rights.filter((right) => may(role, right)).length)).toEqual([1, 2, 3, 4]);
  });

  test('a helper logs what was done and puts that right, and decides nothing; who did it is who is signed in', async () => {
    const batch = (
      await house
        .http()
        .post('/api/batches')
        .send(usualRequest('canadian-bacon', { id: randomUUID(), by: 'Anybody', startsAt: new Date(Date.now() - HOUR_MS).toISOString() }))
    ).body as BatchResponse;
    expect(batch.createdBy).toBe('Juno');
    const helper = await house.as('helper', 'Odo');
    const log = (http: TestAgent, entry: object) =>
      http.post(`/api/batches/${batch.id}/log`).send({ id: randomUUID(), at: new Date().toISOString(), by: 'Somebody Else', ...entry });
    const done = await log(helper, { kind: 'note', reason: 'Salt is low' });
    expect(done.status).toBe(201);
    expect((done.body as BatchResponse).entries.at(-1)).toMatchObject({ by: 'Odo' });
    expect((done.body as BatchResponse).entries.at(-1)).not.toHaveProperty('sentBy');
    for (const entry of [
      { kind: 'ended', reason: 'Dropped' },
      { kind: 'skipped', stepId: 'weigh', reason: 'No scale' },
      { kind: 'replanned', changes: { cureDays: 15 }, reason: 'Later' },
      { kind: 'pit', event: { act: 'decided', alarm: 'gate' }, reason: 'Kept all the same' },
      { kind: 'pieces', event: { act: 'dropped', piece: 'A' }, reason: 'Fell' },
    ])
      expect({ entry, status: (await log(helper, entry)).status }).toEqual({ entry, status: 403 });
    const decided = (await log(house.http(), { kind: 'replanned', changes: { cureDays: 15 }, reason: 'Later' })).body as BatchResponse;
    const planned = decided.entries.at(-1);
    expect((await log(helper, { kind: 'withdrawn', replaces: planned?.id, reason: 'No' })).status).toBe(403);
    expect((await helper.post('/api/batches').send(usualRequest('pastrami', { id: randomUUID(), by: 'Odo', startsAt: new Date().toISOString() }))).status).toBe(
      403,
    );
  });

  test('what one of the crew logged on a device without a connection stays theirs when another hands it in, and says so', async () => {
    const batch = (
      await house
        .http()
        .post('/api/batches')
        .send(usualRequest('canadian-bacon', { id: randomUUID(), by: 'x', startsAt: new Date(Date.now() - HOUR_MS).toISOString() }))
    ).body as BatchResponse;
    await house.as('helper', 'Pim');
    const entry = { id: randomUUID(), kind: 'note', at: new Date().toISOString(), by: 'Pim', reason: 'Turned in the cold room' };
    const answer = (await house.http().post(`/api/batches/${batch.id}/log`).send(entry)).body as BatchResponse;
    expect(answer.entries.at(-1)).toMatchObject({ by: 'Pim', sentBy: 'Juno' });
  });
});

describe('other sites', () => {
  test('nothing is written at the word of another site’s page, whatever cookies come with it', async () => {
    const elsewhere: Record<string, string>[] = [
      { origin: 'https://evil.example' },
      { 'sec-fetch-site': 'cross-site' },
      { 'sec-fetch-site': 'same-site' },
      { origin: 'null' },
    ];
    for (const headers of elsewhere)
      for (const path of ['/api/batches', '/api/session', '/api/session/end', '/api/crew', '/api/readings']) {
        const answer = await house.http().post(path).set(headers).send({});
        expect({ headers, path, status: answer.status }).toEqual({ headers, path, status: 403 });
      }
    expect(isFromElsewhere({ headers: { origin: 'http://127.0.0.1:4180', host: '127.0.0.1:4180', 'sec-fetch-site': 'same-origin' } })).toBe(false);
    expect(isFromElsewhere({ headers: { host: '127.0.0.1:4180' } })).toBe(false);
    expect(isFromElsewhere({ headers: { host: '127.0.0.1:4180', origin: 'http://127.0.0.1:4181' } })).toBe(true);
  });

  test.each([
    ['127.0.0.1', '127.0.0.1:4180', {}, true],
    ['::1', '[::1]:4180', {}, true],
    ['::ffff:127.0.0.1', 'localhost', {}, true],
    ['192.168.1.7', '192.168.1.2:4180', {}, false],
    ['127.0.0.1', 'ranch.example', {}, false],
    ['127.0.0.1', 'localhost', { 'x-forwarded-for': '203.0.113.9' }, false],
    ['', 'localhost', {}, false],
  ])('%s asking for %s %j is at this machine: %s', (remoteAddress, host, more, here) => {
    expect(isHere({ headers: { host, ...more }, socket: { remoteAddress } } as unknown as Parameters<typeof isHere>[0])).toBe(here);
  });

  test('the policy of every answer: scripts of our own only, none in the page, no frame, no other host', async () => {
    for (const path of ['/api/health', '/api/nothing', '/api/openapi.json']) {
      const { headers } = await house.nobody().get(path);
      const policy = new Map(
        String(headers['content-security-policy'])
          .split(';')
          .map((part) => part.trim().split(' '))
          .map(([name = '', ...sources]) => [name, sources.join(' ')]),
      );
      expect(Object.fromEntries(policy)).toMatchObject({
        'default-src': "'self'",
        'script-src': "'self'",
        'script-src-attr': "'none'",
        'object-src': "'none'",
        'base-uri': "'self'",
        'form-action': "'self'",
        'frame-ancestors': "'none'",
        'connect-src': "'self'",
        'worker-src': "'self'",
      });
      expect([...policy.values()].join(' ')).not.toMatch(/https?:|\*|unsafe-eval/);
      expect(headers).toMatchObject({ 'x-content-type-options': 'nosniff', 'referrer-policy': 'no-referrer', 'cross-origin-resource-policy': 'same-origin' });
      expect(headers).not.toHaveProperty('x-powered-by');
      if (path === '/api/health') expect(headers['cache-control']).toBe('private, no-cache');
    }
  });
});
