import { DAY_MS } from '@bunkhouse/core';
import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import { USUAL_SETTINGS, type PersonResponse, type SessionResponse } from '@bunkhouse/api';
import request from 'supertest';
import { openTestHouse, type TestAgent, type TestHouse } from '../testing/testHouse.js';
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
  house.database.query(`UPDATE session SET seen_at = $1 WHERE person_id = (SELECT id FROM person WHERE name = $2)`, [
    new Date(Date.now() - minutes * 60_000),
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
    const inspector = await member({ role: 'reader', endsAt: new Date(Date.now() + DAY_MS).toISOString() });
    const at = device();
    await signIn(at, inspector.name, { password: PASSWORD });
    expect((await at.get('/api/ledger')).status).toBe(200);
    await house.database.query(`UPDATE person SET ends_at = $2 WHERE id = $1`, [inspector.id, new Date(Date.now() - 1000)]);
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
    expect(answers.map(({ status }) => status).sort()).toEqual([200, ...Array.from({ length: 19 }, () => 409)]);
    const made = answers.find(({ status }) => status === 200)?.body as SessionResponse;
    expect(made).toMatchObject({ house: 'Alder Bend', first: null, person: { role: 'head' } });
    expect((await first('Late')).status).toBe(409);
    await other.close();
  }, 60_000);

  test('the house counts from its first minute as it was told to; a zone that there is not makes nobody', async () => {
    const other = await openTestHouse();
    await other.database.query('DELETE FROM session');
    await other.database.query('DELETE FROM person');
    const asked = { house: 'Alder Bend', name: 'Mallow', password: PASSWORD, settings: { ...USUAL_SETTINGS, system: 'us', decimal: 'comma' } };
    const first = (more: object) =>
      other
        .nobody()
        .post('/api/session/first')
        .send({ ...asked, ...more });
    const nowhere = await first({ timeZone: 'Nowhere/At_All' });
    expect(nowhere.status).toBe(400);
    expect(nowhere.body).toMatchObject({ errors: [{ field: 'timeZone' }] });
    expect((await first({ settings: { ...asked.settings, system: 'stones' } })).status).toBe(400);
    expect((await other.nobody().get('/api/session')).body).toMatchObject({ first: 'here' });
    expect((await first({ timeZone: 'America/Halifax' })).status).toBe(200);
    expect(await other.database.query('SELECT name, settings FROM house')).toMatchObject([
      { name: 'Alder Bend', settings: { system: 'us', decimal: 'comma' } },
    ]);
    expect(await other.database.query('SELECT plan, changed_by FROM house_plan')).toMatchObject([
      { plan: { hours: { timeZone: 'America/Halifax' } }, changed_by: 'Mallow' },
    ]);
    await other.close();
  }, 60_000);
});
