import { DAY_MS } from '@bunkhouse/core';
import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { BatchResponse, LedgerResponse, LogEntryRequest } from '@bunkhouse/api';
import fc from 'fast-check';
import { DataSource } from 'typeorm';
import { dataSourceOptions } from './database/dataSourceOptions.js';
import { LogService } from './log/logService.js';
import { DemoHouse } from './demo/demoHouse.js';
import { emptyDatabase, openTestHouse, type TestHouse } from './testing/testHouse.js';

let app: NestExpressApplication;
let database: DataSource;
let house: TestHouse;
const http = () => house.http();

beforeAll(async () => {
  house = await openTestHouse();
  ({ app, database } = house);
}, 60_000);

afterAll(() => house.close());

const startsAt = new Date(Date.now() - 3 * DAY_MS).toISOString();
const loin = () => ({
  id: randomUUID(),
  product: 'canadian-bacon',
  pieces: [{ greenG: 2600, shape: 'round', thicknessMm: 85, lengthMm: 400 }],
  school: 'equilibrium',
  waterG: 1200,
  saltPercent: 2.3,
  sugarPercent: 1,
  nitritePpm: 150,
  ruleSet: 'us',
  cureDays: 14,
  meatScaleStepG: 5,
  cureScaleStepG: 0.1,
  startsAt,
  by: 'Juno',
});
const weighed = (greenG = 2600) => ({ id: randomUUID(), kind: 'done', stepId: 'weigh', at: startsAt, by: 'Juno', values: { 'greenG:A': greenG } });

async function started(): Promise<BatchResponse> {
  const answer = await http().post('/api/batches').send(loin());
  expect(answer.status).toBe(201);
  return answer.body as BatchResponse;
}

describe('batches', () => {
  test('a cure that may not be pumped, or holds nitrate, is refused for what it is; the house’s limits hold', async () => {
    const ours = { name: 'Ours', nitritePercent: 4, nitratePercent: 1, saltPercent: 95 };
    const refused = await http()
      .post('/api/batches')
      .send({ ...loin(), cure: ours });
    expect(refused.status).toBe(400);
    expect((refused.body as { message: string }).message).toMatch(/nitrate, which no bacon may have/);
    const house = { ...loin(), ruleSet: 'house', houseLimit: 140, houseFloor: 80 };
    const over = await http().post('/api/batches').send(house);
    expect(over.status).toBe(400);
    expect((over.body as { message: string }).message).toMatch(/over the limit of 140/);
    const made = await http()
      .post('/api/batches')
      .send({ ...house, nitritePpm: 110, cure: { ...ours, nitratePercent: 0, saltPercent: 96 } });
    expect(made.status).toBe(201);
    expect((made.body as BatchResponse).design).toMatchObject({ cure: { name: 'Ours' }, house: { limit: 140 } });
  });

  test('a batch is started, coded, listed and found again', async () => {
    const batch = await started();
    expect(batch.code).toMatch(/^CB-\d{3}$/);
    const live = (await http().get('/api/batches')).body as BatchResponse[];
    expect(live.map(({ id }) => id)).toContain(batch.id);
    expect((await http().get(`/api/batches/${batch.id}`)).body).toEqual(batch);
  });

  test('the same request twice makes one batch', async () => {
    const asked = loin();
    const [first, second] = await Promise.all([http().post('/api/batches').send(asked), http().post('/api/batches').send(asked)]);
    expect([first.status, second.status]).toEqual([201, 201]);
    expect(first.body).toEqual(second.body);
  });

  test('the same id with other values is told that it was started already', async () => {
    const asked = loin();
    await http().post('/api/batches').send(asked);
    const again = await http()
      .post('/api/batches')
      .send({ ...asked, waterG: 1500 });
    expect(again.status).toBe(409);
    expect((again.body as { message: string }).message).toMatch(/^CB-\d{3} was already started from this form/);
  });

  test('an overdose is refused with what would be right', async () => {
    const answer = await http()
      .post('/api/batches')
      .send({ ...loin(), nitritePpm: 240 });
    expect(answer.status).toBe(400);
    expect(answer.body).toMatchObject({
      statusCode: 400,
      message: expect.stringMatching(/240 ppm is over the limit of 200 ppm. Right would be 150 ppm: 9\.\d g/),
      errors: [{ field: 'nitritePpm' }],
    });
  });

  test.each([
    [{ pieces: [{ greenG: 0, shape: 'round', thicknessMm: 85, lengthMm: 400 }] }, 'pieces.0.greenG', /Less than 100 g/],
    [{ pieces: [{ greenG: 2600, shape: 'cube', thicknessMm: 85, lengthMm: 400 }] }, 'pieces.0.shape', /round or flat/],
    [{ pieces: [null] }, 'pieces.0', /described/],
    [{ waterG: 300, saltPercent: 6 }, 'saltPercent', /holds at most/],
    [{ startsAt: '2062-01-01T00:00:00Z' }, 'startsAt', /more than a year away/],
    [{ readyBy: '2020-01-01T00:00:00Z' }, 'startsAt', /a time that is past/],
    [{ stores: { cure: 'No store; at all' } }, 'changes.stores', /no such store/],
    [{ price: 5 }, 'price', /not asked for/],
  ])('%j is refused at %s', async (wrong, field, message) => {
    const answer = await http()
      .post('/api/batches')
      .send({ ...loin(), ...wrong });
    expect(answer.status).toBe(400);
    const body = answer.body as { message: string; errors: { field: string; message: string }[] };
    expect(body.errors.map((error) => error.field)).toContain(field);
    expect(body.message).toMatch(message);
  });
});

describe('the log', () => {
  test('an entry is written, answered with the batch, and stays', async () => {
    const batch = await started();
    const answer = await http().post(`/api/batches/${batch.id}/log`).send(weighed());
    expect(answer.status).toBe(201);
    expect((answer.body as BatchResponse).entries).toMatchObject([{ seq: 1, kind: 'done', stepId: 'weigh', by: 'Juno', values: { 'greenG:A': 2600 } }]);
    expect((await http().get(`/api/batches/${batch.id}`)).body).toEqual(answer.body);
  });

  test('the same entry twice is written once', async () => {
    const batch = await started();
    const entry = weighed();
    const both = await Promise.all([1, 2].map(() => http().post(`/api/batches/${batch.id}/log`).send(entry)));
    expect(both.map(({ status }) => status)).toEqual([201, 201]);
    expect(((await http().get(`/api/batches/${batch.id}`)).body as BatchResponse).entries).toHaveLength(1);
  });

  test('the same id with other values is not swallowed: the sender is told', async () => {
    const batch = await started();
    const entry = weighed();
    await http().post(`/api/batches/${batch.id}/log`).send(entry);
    const later = await http()
      .post(`/api/batches/${batch.id}/log`)
      .send({ ...entry, at: new Date(Date.parse(startsAt) + 60_000).toISOString() });
    expect(later.status).toBe(201);
    const other = await http()
      .post(`/api/batches/${batch.id}/log`)
      .send({ ...entry, values: { 'greenG:A': 2700 } });
    expect(other.status).toBe(409);
    expect((other.body as { message: string }).message).toMatch(/already logged, with other values/);
  });

  test('of twenty tabs that log the same step at once one is heard, the others are told', async () => {
    const batch = await started();
    const answers = await Promise.all(
      Array.from({ length: 20 }, (_, i) =>
        http()
          .post(`/api/batches/${batch.id}/log`)
          .send({ ...weighed(2600 + i), seen: 0 }),
      ),
    );
    expect(answers.filter(({ status }) => status === 201)).toHaveLength(1);
    expect(answers.filter(({ status }) => status === 409)).toHaveLength(19);
    expect(answers.find(({ status }) => status === 409)?.body).toMatchObject({ statusCode: 409, message: expect.stringMatching(/already logged/) });
    expect(((await http().get(`/api/batches/${batch.id}`)).body as BatchResponse).entries).toHaveLength(1);
  });

  test.each([
    [{ values: { 'greenG:A': -1 } }, 400, /more than 0/],
    [{ values: { 'greenG:A': 26 } }, 400, /Look at the unit/],
    [{ values: {} }, 400, /missing/],
    [{ at: '2062-01-01T00:00:00Z' }, 400, /still to come/],
    [{ stepId: 'mix' }, 400, /comes first/],
    [{ stepId: 'nonsense' }, 400, /no such step/],
    [{ kind: 'erased' }, 400, /no kind of entry/],
    [{ kind: 'correction', replaces: randomUUID(), reason: 'Nothing to correct' }, 400, /no such entry/],
  ])('%j is answered %d', async (wrong, status, message) => {
    const batch = await started();
    const answer = await http()
      .post(`/api/batches/${batch.id}/log`)
      .send({ ...weighed(), ...wrong });
    expect(answer.status).toBe(status);
    expect((answer.body as { message: string }).message).toMatch(message);
    expect(((await http().get(`/api/batches/${batch.id}`)).body as BatchResponse).entries).toHaveLength(0);
  });

  test('several entries at once are written all or none', async () => {
    const batch = await started();
    const now = Date.now();
    const log = app.get(LogService);
    const good = weighed();
    const bad = { ...weighed(), stepId: 'pack' };
    await expect(
      log.writeAll(
        batch.id,
        [good, bad].map((entry) => ({ request: entry as LogEntryRequest, now })),
      ),
    ).rejects.toThrow();
    expect(((await http().get(`/api/batches/${batch.id}`)).body as BatchResponse).entries).toHaveLength(0);
    const after = await log.writeAll(
      batch.id,
      [good, good].map((entry) => ({ request: entry as LogEntryRequest, now })),
    );
    expect(after.entries).toHaveLength(1);
  });

  test('a batch thrown away goes to the Ledger, and comes back when that is taken back', async () => {
    const batch = await started();
    const end = { id: randomUUID(), kind: 'ended', at: startsAt, by: 'Juno', reason: 'Fell on the floor' };
    expect((await http().post(`/api/batches/${batch.id}/log`).send(end)).status).toBe(201);
    const ids = async (path: string) => {
      const body = (await http().get(path)).body as { id: string }[] | LedgerResponse;
      return (Array.isArray(body) ? body : body.rows).map(({ id }) => id);
    };
    expect(await ids('/api/ledger')).toContain(batch.id);
    expect(await ids('/api/batches')).not.toContain(batch.id);
    await http()
      .post(`/api/batches/${batch.id}/log`)
      .send({ id: randomUUID(), kind: 'withdrawn', replaces: end.id, at: startsAt, by: 'Juno', reason: 'Wrong batch' });
    expect(await ids('/api/ledger')).not.toContain(batch.id);
    expect(await ids('/api/batches')).toContain(batch.id);
  });

  test('the database itself refuses to change or remove what was written', async () => {
    const batch = await started();
    await http().post(`/api/batches/${batch.id}/log`).send(weighed());
    for (const sql of [
      `UPDATE log_entry SET kind = 'note'`,
      `DELETE FROM log_entry`,
      `TRUNCATE log_entry`,
      `UPDATE batch SET code = 'X'`,
      `DELETE FROM batch`,
      `TRUNCATE batch CASCADE`,
    ]) {
      await expect(database.query(sql)).rejects.toThrow(/append-only/);
    }
  });
});

describe('bad questions', () => {
  test.each([
    ['/api/batches/xyz', 400],
    ['/api/batches/3b241101-e2bb-4255-8caf-4136c566a962', 404],
    ['/api/nothing', 404],
    [`/api/batches/${'a'.repeat(5000)}`, 400],
    ["/api/batches/';DROP TABLE batch;--", 400],
  ])('GET %s is %d in the agreed shape', async (path, status) => {
    const answer = await http().get(path);
    expect(answer.status).toBe(status);
    expect(answer.body).toMatchObject({ statusCode: status, message: expect.any(String) });
  });

  test.each(['{', '[]', 'null', '"x"', '{"id":"\\u0000"}', '{"by":"\\ud800"}', '{"pieces":{"length":1e9}}', '{"__proto__":{"x":1}}'])(
    'POST of %s is 400',
    async (body) => {
      const answer = await http().post('/api/batches').set('content-type', 'application/json').send(body);
      expect(answer.status).toBe(400);
      expect(answer.body).toMatchObject({ statusCode: 400, message: expect.any(String) });
    },
  );

  test('too much at once is 413', async () => {
    const answer = await http()
      .post('/api/batches')
      .send({ by: 'x'.repeat(400_000) });
    expect(answer.status).toBe(413);
  });

  test('no values thrown at the log break the server', async () => {
    const batch = await started();
    const value = fc.oneof(fc.string(), fc.double(), fc.constant(null), fc.array(fc.integer()), fc.dictionary(fc.string(), fc.anything()));
    await fc.assert(
      fc.asyncProperty(
        fc.record({
          kind: fc.constantFrom('done', 'skipped', 'correction', 'withdrawn', 'ended', 'note', 'x'),
          stepId: fc.oneof(fc.constantFrom('weigh', 'mix'), fc.string()),
          values: fc.dictionary(fc.constantFrom('greenG:A', 'x', '__proto__'), value),
          reason: value,
        }),
        async (wrong) => {
          const answer = await http()
            .post(`/api/batches/${batch.id}/log`)
            .send({ ...weighed(), ...wrong, id: randomUUID() });
          expect([201, 400, 409]).toContain(answer.status);
        },
      ),
      { numRuns: 150 },
    );
  }, 30_000);
});

describe('the house', () => {
  test('health answers 200 while the database does', async () => {
    const answer = await http().get('/api/health');
    expect(answer.status).toBe(200);
    expect(answer.body).toMatchObject({ status: 'ok' });
  });

  test('the API is described whole: every route, and requests by their own rules', async () => {
    const document = (await http().get('/api/openapi.json')).body as {
      paths: Record<string, object>;
      components: { schemas: Record<string, { properties?: Record<string, { maximum?: number }> }> };
    };
    expect(Object.keys(document.paths).sort()).toEqual([
      '/api/backup',
      '/api/batches',
      '/api/batches/{id}',
      '/api/batches/{id}/calendar.ics',
      '/api/batches/{id}/family',
      '/api/batches/{id}/log',
      '/api/batches/{id}/pictures',
      '/api/calendar/bunkhouse.ics',
      '/api/calendar/feed',
      '/api/crew',
      '/api/devices',
      '/api/devices/{id}/end',
      '/api/devices/{id}/readings',
      '/api/devices/{id}/token',
      '/api/exchange/batches/{id}',
      '/api/exchange/book.json',
      '/api/exchange/import',
      '/api/exchange/preview',
      '/api/exchange/recipes/{id}',
      '/api/exchange/schema.json',
      '/api/feeds/{secret}/bunkhouse.ics',
      '/api/health',
      '/api/house',
      '/api/house/plan',
      '/api/learnt',
      '/api/learnt/left-out',
      '/api/ledger',
      '/api/ledger.csv',
      '/api/ledger/trends',
      '/api/lots',
      '/api/lots/{id}/batches',
      '/api/pictures/{id}',
      '/api/pictures/{id}/readings',
      '/api/readings',
      '/api/readings.csv',
      '/api/readings/stream',
      '/api/recipes',
      '/api/recipes/{id}/put-away',
      '/api/session',
      '/api/session/end',
      '/api/session/first',
      '/api/session/here',
      '/api/session/secret',
      '/api/sessions',
      '/api/sessions/{id}/end',
      '/api/tablets',
      '/api/tablets/{id}/end',
      '/api/tools',
      '/api/tools/{id}/checks',
      '/api/weights',
    ]);
    expect(document.components.schemas.BatchRequest?.properties?.saltPercent?.maximum).toBe(8);
    const refs = [...JSON.stringify(document).matchAll(/"#\/components\/schemas\/(\w+)"/g)].map(([, name]) => name ?? '');
    for (const ref of refs) expect(document.components.schemas).toHaveProperty(ref);
  });

  test('nothing is fetched from elsewhere, by policy', async () => {
    const policy = (await http().get('/api/health')).headers['content-security-policy'];
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toMatch(/https?:/);
  });

  test('migrations leave nothing to be migrated, and go back and forth', async () => {
    const schema = await database.driver.createSchemaBuilder().log();
    expect(schema.upQueries.map(({ query }) => query).filter((sql) => !/CONSTRAINT|INDEX|SEQUENCE/.test(sql))).toEqual([]);
    const other = await emptyDatabase();
    const source = new DataSource(dataSourceOptions(other.url));
    await source.initialize();
    for (const _migration of source.migrations) await source.undoLastMigration();
    await source.runMigrations();
    expect(await source.query(`SELECT count(*)::int AS n FROM batch`)).toEqual([{ n: 0 }]);
    await source.destroy();
    await other.drop();
  });

  test('the demo is not opened where a cook has begun', async () => {
    await started();
    await app.get(DemoHouse).openIfEmpty();
    expect((await http().get('/api/house')).body).toMatchObject({ demo: false });
  });
});
