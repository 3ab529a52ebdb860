import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import {
  may,
  ROLES,
  type BatchResponse,
  type PersonResponse,
  type PersonalRight,
  type Right,
  type Role,
  type SessionResponse,
  usualRequest,
} from '@bunkhouse/api';
import request from 'supertest';
import { createApp } from '../createApp.js';
import { emptyDatabase, openTestHouse, type TestAgent, type TestHouse } from '../testing/testHouse.js';
import { isFromElsewhere, isHere } from './asked.js';
import { hashSecret, isSecret, weakPin } from './secrets.js';

let house: TestHouse;
beforeAll(async () => {
  house = await openTestHouse();
}, 60_000);
afterAll(() => house.close());

const PASSWORD = 'three brown crocks';
const person = (over: object) => ({ id: randomUUID(), name: `P ${randomUUID().slice(0, 8)}`, role: 'cook', putAway: false, password: PASSWORD, ...over });
const kept = (over: object) => house.http().post('/api/crew').send(person(over));
const messageOf = ({ body }: { body: unknown }) => (body as { message: string }).message;
/** A device of its own, with its own cookies. */
const device = () => request.agent(house.app.getHttpServer());
const signIn = (at: TestAgent, name: string, secret: { pin?: string; password?: string }) => at.post('/api/session').send({ name, ...secret });

async function member(over: object): Promise<{ id: string; name: string }> {
  const asked = person(over);
  const answer = await house.http().post('/api/crew').send(asked);
  expect(answer.status).toBe(200);
  return asked;
}

/** A tablet of the crew. */
async function tablet(): Promise<TestAgent> {
  const head = await member({ role: 'head' });
  const at = device();
  expect((await signIn(at, head.name, { password: PASSWORD })).status).toBe(200);
  expect((await at.post('/api/tablets').send({ name: 'By the sink' })).status).toBe(200);
  await at.post('/api/session/end').send({});
  return at;
}

const back = (minutes: number, name: string) =>
  house.database.query(`UPDATE session SET seen_at = now() - $1 * interval '1 minute' WHERE person_id = (SELECT id FROM person WHERE name = $2)`, [
    minutes,
    name,
  ]);

describe('secrets', () => {
  test('are kept as slow hashes, each with a salt of its own; nothing of them stands in the database', async () => {
    const [one, two] = [await hashSecret('7204'), await hashSecret('7204')];
    expect(one).not.toBe(two);
    expect(one).toMatch(/^scrypt\$32768\$8\$3\$/);
    expect([await isSecret('7204', one), await isSecret('7205', one), await isSecret('7204', null)]).toEqual([true, false, false]);
    const { name } = await member({ pin: '8351' });
    const rows: unknown[] = await house.database.query('SELECT * FROM person WHERE name = $1', [name]);
    expect(JSON.stringify(rows)).not.toMatch(/8351"|three brown/);
    const answer = await house.http().get('/api/crew');
    expect(answer.text).not.toMatch(/scrypt|hash"/i);
  });

  test.each(['0000', '1234', '9876', '7890', '1985', '4747'])('the PIN %s is refused: it is tried first', async (pin) => {
    expect(weakPin(pin)).not.toBeNull();
    expect((await kept({ pin })).status).toBe(400);
  });

  test.each([
    [{ pin: '12' }, /4 to 8 digits/],
    [{ pin: '72o4' }, /4 to 8 digits/],
    [{ password: 'short' }, /10 letters or more/],
    [{ name: 'Aldous', password: 'aldousaldous' }, /own name/],
    [{ name: '' }, /begins with a letter/],
    [{ name: '<b>x</b>' }, /begins with a letter/],
    [{ role: 'king' }, /Head cook, cook/],
    [{ role: 'reader' }, /until when/i],
    [{ role: 'reader', endsAt: '2020-01-01T00:00:00Z' }, /past/],
    [{ role: 'head', password: undefined, pin: '8351' }, /needs a password/],
    [{ password: undefined }, /By what do they sign in/],
  ])('%j is refused in a sentence', async (over, message) => {
    const answer = await kept(over);
    expect(answer.status).toBe(400);
    expect(messageOf(answer)).toMatch(message);
  });
});

describe('signing in', () => {
  // One address may try so often a minute: a house for each of these.
  beforeEach(async () => {
    await house.close();
    house = await openTestHouse();
  }, 30_000);

  test('by password anywhere; the cookie is out of reach of scripts and of other sites; signing out ends it', async () => {
    const { name } = await member({});
    const at = device();
    const answer = await signIn(at, name.toUpperCase(), { password: PASSWORD });
    expect(answer.status).toBe(200);
    expect((answer.body as SessionResponse).person).toMatchObject({ name, role: 'cook' });
    const cookie = String(answer.headers['set-cookie']);
    expect(cookie).toMatch(/bunkhouse_session_\d+=[\w-]{43};.*HttpOnly;.*SameSite=Strict/);
    const token = /bunkhouse_session_\d+=([\w-]+)/.exec(cookie)?.[1] ?? '';
    expect((await at.get('/api/batches')).status).toBe(200);
    await at.post('/api/session/end').send({});
    expect((await at.get('/api/batches')).status).toBe(401);
    // Nor does the old cookie open anything.
    expect((await house.nobody().get('/api/batches').set('Cookie', `bunkhouse_session=${token}`)).status).toBe(401);
  });

  test('a PIN is good on a tablet of the crew alone, and not for people, settings and backups', async () => {
    const { name } = await member({ role: 'head', pin: '8351' });
    const stranger = await signIn(device(), name, { pin: '8351' });
    expect(stranger.status).toBe(403);
    expect(messageOf(stranger)).toMatch(/not put up for the crew/);
    const at = await tablet();
    const before = (await at.get('/api/session')).body as SessionResponse;
    expect(before).toMatchObject({ tablet: 'By the sink', person: null });
    expect(before.people.map((own) => own.name)).toContain(name);
    expect((await signIn(at, name, { pin: '8351' })).status).toBe(200);
    expect((await at.get('/api/batches')).status).toBe(200);
    const people = await at.get('/api/crew');
    expect(people.status).toBe(403);
    expect(messageOf(people)).toMatch(/by password/);
    // A device that is nobody's does not say who works here.
    expect(((await house.nobody().get('/api/session')).body as SessionResponse).people).toEqual([]);
  });

  test('the name that is wrong and the password that is wrong are answered alike', async () => {
    const { name } = await member({});
    const wrong = await signIn(device(), name, { password: 'not this one' });
    const nobody = await signIn(device(), 'Nobody Here', { password: 'not this one' });
    expect([wrong.status, nobody.status]).toEqual([401, 401]);
    expect(messageOf(wrong)).toBe(messageOf(nobody));
  });

  test('after some wrong tries one has to wait, a hundred at once are not a hundred guesses, and a PIN is closed in the end', async () => {
    const { id, name } = await member({ pin: '8351' });
    const at = await tablet();
    // Each address may try so often a minute; here it is the person's own count that is looked at.
    const answers = await Promise.all(Array.from({ length: 12 }, () => signIn(at, name, { pin: '9999' })));
    expect(answers.filter(({ status }) => status === 401).length).toBeLessThanOrEqual(5);
    expect(answers.filter(({ status }) => status === 429).length).toBeGreaterThanOrEqual(7);
    const right = await signIn(at, name, { pin: '8351' });
    expect(right.status).toBe(429);
    expect(messageOf(right)).toMatch(/looked at in \d+ s/);
    await house.database.query('UPDATE person SET wait_until = NULL WHERE id = $1', [id]);
    expect((await signIn(at, name, { pin: '8351' })).status).toBe(200);
    await house.database.query('UPDATE person SET tries = 20 WHERE id = $1', [id]);
    const closed = await signIn(at, name, { pin: '8351' });
    expect(closed.status).toBe(403);
    expect(messageOf(closed)).toMatch(/PIN is closed/);
    const listed = ((await house.http().get('/api/crew')).body as PersonResponse[]).find((own) => own.id === id);
    expect(listed).toMatchObject({ pinClosed: true });
    await house.http().post('/api/crew').send({ id, name, role: 'cook', putAway: false, pin: '6402' });
    expect((await signIn(at, name, { pin: '6402' })).status).toBe(200);
  });

  test('an address that tries name after name is told to wait', async () => {
    const other = await openTestHouse();
    const at = request.agent(other.app.getHttpServer());
    const answers: number[] = [];
    for (let i = 0; i < 32; i += 1) answers.push((await at.post('/api/session').send({ name: `Name ${i}`, password: 'not this one' })).status);
    expect(answers.slice(0, 30)).not.toContain(429);
    expect(answers.slice(30)).toEqual([429, 429]);
    await other.close();
  }, 60_000);

  test('a tablet that nobody touched is locked: it shows, and logs nothing until a PIN is given; later it is signed out', async () => {
    const { name } = await member({ pin: '8351', password: undefined, role: 'helper' });
    const at = await tablet();
    await signIn(at, name, { pin: '8351' });
    await back(9, name);
    expect(((await at.post('/api/session/here').send({})).body as SessionResponse).locked).toBe(false);
    await back(11, name);
    // What a screen asks by itself keeps nothing open.
    expect((await at.get('/api/batches')).status).toBe(200);
    expect(((await at.get('/api/session')).body as SessionResponse).locked).toBe(true);
    const written = await at.post('/api/session/here').send({});
    expect(written.status).toBe(401);
    expect(messageOf(written)).toMatch(/locked/);
    expect((await signIn(at, name, { pin: '8351' })).status).toBe(200);
    expect(((await at.get('/api/session')).body as SessionResponse).locked).toBe(false);
    await back(17 * 60, name);
    expect((await at.get('/api/batches')).status).toBe(401);
  });

  test('sessions are listed to those they belong to, and ended; a tablet that is lost ends its own', async () => {
    const { name } = await member({ pin: '8351' });
    const [phone, at] = [device(), await tablet()];
    await signIn(phone, name, { password: PASSWORD });
    await signIn(at, name, { pin: '8351' });
    const own = (await phone.get('/api/sessions')).body as { id: string; name: string; here: boolean; by: string; tablet: string | null }[];
    expect(own.map((session) => session.name)).toEqual([name, name]);
    expect(own.find(({ here }) => here)).toMatchObject({ by: 'password', tablet: null });
    const there = own.find(({ here }) => !here);
    expect(there).toMatchObject({ by: 'pin', tablet: 'By the sink' });
    const stranger = await house.as('cook');
    expect((await stranger.post(`/api/sessions/${there?.id}/end`).send({})).status).toBe(404);
    expect((await phone.post(`/api/sessions/${there?.id}/end`).send({})).status).toBe(200);
    expect((await at.get('/api/batches')).status).toBe(401);
    await signIn(at, name, { pin: '8351' });
    const tablets = (await house.http().get('/api/tablets')).body as { id: string }[];
    await house
      .http()
      .post(`/api/tablets/${tablets.at(-1)?.id}/end`)
      .send({});
    expect((await at.get('/api/batches')).status).toBe(401);
    expect((await signIn(at, name, { pin: '8351' })).status).toBe(403);
  });

  test('an inspector’s time ends by itself; who is put away is out at once, and stays in the book by a name that nobody else gets', async () => {
    const inspector = await member({ role: 'reader', endsAt: new Date(Date.now() + 86_400_000).toISOString() });
    const at = device();
    await signIn(at, inspector.name, { password: PASSWORD });
    expect((await at.get('/api/ledger')).status).toBe(200);
    await house.database.query(`UPDATE person SET ends_at = now() - interval '1 second' WHERE id = $1`, [inspector.id]);
    expect((await at.get('/api/ledger')).status).toBe(401);
    expect((await signIn(at, inspector.name, { password: PASSWORD })).status).toBe(401);
    const gone = await member({});
    const theirs = device();
    await signIn(theirs, gone.name, { password: PASSWORD });
    await house
      .http()
      .post('/api/crew')
      .send({ ...gone, password: undefined, putAway: true });
    expect((await theirs.get('/api/batches')).status).toBe(401);
    const again = await kept({ name: gone.name.toLowerCase() });
    expect(messageOf(again)).toMatch(/one person, for ever/);
    expect(messageOf(await kept({ id: gone.id, name: 'Somebody Else' }))).toMatch(/name is not changed/);
  });

  test('one’s own PIN and password: only with the one of now, and every other session ends', async () => {
    const { name } = await member({ pin: '8351' });
    const [here, there] = [device(), device()];
    await signIn(here, name, { password: PASSWORD });
    await signIn(there, name, { password: PASSWORD });
    expect((await here.post('/api/session/secret').send({ current: 'guess', pin: '6402' })).status).toBe(400);
    // Who looked over a shoulder at a PIN does not get at the password.
    expect((await here.post('/api/session/secret').send({ current: '8351', password: 'another long one' })).status).toBe(400);
    expect((await here.post('/api/session/secret').send({ current: PASSWORD, password: 'another long one', pin: '6402' })).status).toBe(200);
    expect((await here.get('/api/batches')).status).toBe(200);
    expect((await there.get('/api/batches')).status).toBe(401);
    expect((await signIn(there, name, { password: PASSWORD })).status).toBe(401);
    expect((await signIn(there, name, { password: 'another long one' })).status).toBe(200);
  });

  test('there is always a head cook', async () => {
    const other = await openTestHouse();
    const [{ id }] = (await other.http().get('/api/crew')).body as [PersonResponse];
    for (const over of [{ role: 'cook' }, { role: 'head', putAway: true }, { role: 'head', endsAt: new Date(Date.now() + 1e9).toISOString() }]) {
      const answer = await other
        .http()
        .post('/api/crew')
        .send({ id, name: 'Juno', putAway: false, password: PASSWORD, ...over });
      expect(messageOf(answer)).toMatch(/has to be head cook/);
    }
    await other.close();
  }, 30_000);
});

describe('the first start', () => {
  test('makes the head cook once, at the machine itself; of twenty at once one is', async () => {
    const other = await openTestHouse();
    await other.database.query('DELETE FROM session');
    await other.database.query('DELETE FROM person');
    const first = (name: string) => other.nobody().post('/api/session/first').send({ house: 'Alder Bend', name, password: PASSWORD });
    expect((await other.nobody().get('/api/session')).body).toMatchObject({ first: 'here', person: null });
    const through = await other
      .nobody()
      .post('/api/session/first')
      .set('X-Forwarded-For', '203.0.113.9')
      .send({ house: 'Alder Bend', name: 'Mallow', password: PASSWORD });
    expect(through.status).toBe(403);
    const rebound = await other
      .nobody()
      .post('/api/session/first')
      .set('Host', 'elsewhere.example')
      .send({ house: 'Alder Bend', name: 'Mallow', password: PASSWORD });
    expect(rebound.status).toBe(403);
    const answers = await Promise.all(Array.from({ length: 20 }, (_, i) => first(`Cook ${String.fromCharCode(65 + i)}`)));
    expect(answers.filter(({ status }) => status === 200)).toHaveLength(1);
    expect(answers.filter(({ status }) => status === 409)).toHaveLength(19);
    const made = answers.find(({ status }) => status === 200)?.body as SessionResponse;
    expect(made).toMatchObject({ house: 'Alder Bend', first: null, person: { role: 'head' } });
    expect((await first('Late')).status).toBe(409);
    await other.close();
  }, 60_000);
});

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
        .send(usualRequest('canadian-bacon', { id: randomUUID(), by: 'Anybody', startsAt: new Date(Date.now() - 3_600_000).toISOString() }))
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
        .send(usualRequest('canadian-bacon', { id: randomUUID(), by: 'x', startsAt: new Date(Date.now() - 3_600_000).toISOString() }))
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
