import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import { usualRequest, type BatchResponse, type Book, type ImportResponse, type LedgerResponse } from '@bunkhouse/api';
import { BOOK_SCHEMA } from '@bunkhouse/api/schema';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import fc from 'fast-check';
import { Jimp } from 'jimp';
import { DemoHouse } from '../demo/demoHouse.js';
import { HouseEntity } from '../house/houseEntity.js';
import { openTestHouse, type TestHouse } from '../testing/testHouse.js';

let full: TestHouse;
let empty: TestHouse;
let book: Book;

const exported = async (house: TestHouse, path = '/api/exchange/book.json'): Promise<Book> => (await house.http().get(path)).body as Book;
const send = (house: TestHouse, to: 'preview' | 'import', document: unknown) =>
  house
    .http()
    .post(`/api/exchange/${to}`)
    .send(document as object);
const bare = ({ exportedAt: _exportedAt, ...rest }: Book) => rest;
const counts = async (house: TestHouse) =>
  (
    await house.database.query<{ batches: string; entries: string; recipes: string }[]>(
      'SELECT (SELECT count(*) FROM batch) AS batches, (SELECT count(*) FROM log_entry) AS entries, (SELECT count(*) FROM recipe_version) AS recipes',
    )
  )[0];

/** Books as this program wrote them at each of its earlier shapes. */
const KEPT = join(import.meta.dirname, '../../../../demo/kept');
const kept = (name: string): Book => JSON.parse(readFileSync(join(KEPT, name), 'utf8')) as Book;

beforeAll(async () => {
  [full, empty] = [await openTestHouse(), await openTestHouse()];
  await full.app.get(DemoHouse).openIfEmpty();
  // A part that was cut off, and a reading, so that the book holds one of everything.
  const live = (await full.http().get('/api/batches')).body as BatchResponse[];
  const pulled = live.find(
    ({ process, entries }) => process.product === 'pastrami' && entries.some((entry) => entry.kind === 'done' && entry.stepId === 'meat-on'),
  );
  const event = { act: 'split', piece: 'A', staysG: 2000, goesG: 1900, to: randomUUID() };
  const cut = await full
    .http()
    .post(`/api/batches/${pulled?.id ?? ''}/log`)
    .send({ id: randomUUID(), kind: 'pieces', event, by: 'Wren', at: new Date().toISOString() });
  expect(cut.status).toBe(201);
  const probed = live.flatMap(({ entries }) => entries).find((entry) => entry.kind === 'pit' && entry.event.act === 'probes');
  if (probed?.kind !== 'pit' || probed.event.act !== 'probes') throw new Error('a cook with a thermometer');
  const device = probed.event.probes[0]?.device ?? '';
  const readings = [0, 1, 2].map((s) => ({ channel: 1, at: new Date(Date.parse(probed.at) + s * 1000).toISOString(), C: 95 + s / 10 }));
  await full.http().post(`/api/devices/${device}/readings`).send({ by: 'Wren', readings });
  const tool = { id: randomUUID(), kind: 'thermometer', name: 'Probe 1', stepC: 0.1, device, channel: 1, putAway: false, by: 'Wren' };
  await full.http().post('/api/tools').send(tool);
  await full
    .http()
    .post(`/api/tools/${tool.id}/checks`)
    .send({ id: randomUUID(), at: new Date().toISOString(), by: 'Wren', iceC: 0.4, boilC: 96, altitudeM: 1400 });
  const picture = await new Jimp({ width: 90, height: 60, color: 0xcd7876ff }).getBuffer('image/png');
  const query = { id: randomUUID(), piece: 'A', at: new Date().toISOString(), by: 'Wren' };
  expect(
    (
      await full
        .http()
        .post(`/api/batches/${pulled?.id ?? ''}/pictures`)
        .query(query)
        .set('content-type', 'image/png')
        .send(picture)
    ).status,
  ).toBe(200);
  book = await exported(full);
}, 240_000);

afterAll(async () => {
  await full.close();
  await empty.close();
});

describe('a whole book', () => {
  test('is valid by its own schema, for a validator from outside, too', () => {
    const ajv = new Ajv2020({ strict: false });
    (addFormats as unknown as (to: Ajv2020) => void)(ajv);
    const isBook = ajv.compile(BOOK_SCHEMA);
    expect(isBook(book) ? [] : isBook.errors).toEqual([]);
    expect(book.batches.length).toBeGreaterThan(20);
    expect(book.readings?.[0]?.C).toEqual([95, 95.1, 95.2]);
    expect(book.batches.filter(({ cutFrom }) => cutFrom !== undefined)).toHaveLength(1);
  });

  test('goes into an empty house and comes out the same; the preview said so and wrote nothing; a second time nothing is new', async () => {
    const before = await counts(empty);
    const preview = (await send(empty, 'preview', book)).body as ImportResponse;
    expect(await counts(empty)).toEqual(before);
    expect(new Set(preview.batches.map(({ fate }) => fate))).toEqual(new Set(['new']));
    const taken = (await send(empty, 'import', book)).body as ImportResponse;
    expect(taken).toMatchObject({ written: true, readings: 1, tools: book.tools.length, pictures: 1 });
    const again = await exported(empty);
    expect(bare(again)).toEqual(bare(book));
    const ledger = async (house: TestHouse) => ((await house.http().get('/api/ledger?sort=code&order=up')).body as LedgerResponse).rows;
    expect(await ledger(empty)).toEqual(await ledger(full));
    const second = (await send(empty, 'import', book)).body as ImportResponse;
    expect(new Set(second.batches.map(({ fate }) => fate))).toEqual(new Set(['known']));
    expect(bare(await exported(empty))).toEqual(bare(book));
    // The next batch of the house is numbered after those that came.
    const next = (
      await empty
        .http()
        .post('/api/batches')
        .send(usualRequest('picnic', { id: randomUUID(), by: 'Wren', startsAt: new Date().toISOString() }))
    ).body as BatchResponse;
    expect(Number(next.code.split('-')[1])).toBeGreaterThan(Math.max(...book.batches.map(({ code }) => Number(/\d+/.exec(code)?.[0] ?? 0))));
  });

  test('a book of the first version is taken as if it had said that there are no tools and no pictures', async () => {
    const house = await openTestHouse();
    const { tools: _tools, pictures: _pictures, ...rest } = book;
    const batches = rest.batches.slice(0, 1);
    expect((await send(house, 'import', { ...rest, version: 1, batches, readings: [] })).body).toMatchObject({ written: true, tools: 0, pictures: 0 });
    await house.close();
  }, 60_000);

  test('a book of each earlier shape is read as it was written, and the oldest goes in and comes out with every entry', async () => {
    const house = await openTestHouse();
    for (const name of readdirSync(KEPT).filter((file) => file.startsWith('book-'))) {
      const preview = (await send(house, 'preview', kept(name))).body as ImportResponse;
      expect(preview.batches.map(({ fate }) => fate)).toEqual(kept(name).batches.map(() => 'new'));
    }
    const oldest = kept('book-1.json');
    expect((await send(house, 'import', oldest)).body).toMatchObject({ written: true });
    const entries = ({ batches }: Book) => Object.fromEntries(batches.map((batch) => [batch.id, batch.entries]));
    expect(entries(await exported(house))).toEqual(entries(oldest));
    await house.close();
  }, 60_000);

  test('one batch with what it was cut from is a book of its own, with its readings', async () => {
    const part = book.batches.find(({ cutFrom }) => cutFrom !== undefined);
    const own = await exported(full, `/api/exchange/batches/${part?.id ?? ''}`);
    expect(own.batches.map(({ code }) => code).sort()).toEqual([part?.code, part?.code.slice(0, -1)].sort());
    const probed = book.batches.find(({ entries }) => entries.some((entry) => entry.kind === 'pit' && entry.event.act === 'probes'));
    const cook = await exported(full, `/api/exchange/batches/${probed?.id ?? ''}`);
    expect(cook.readings).toHaveLength(1);
    expect((await full.http().get(`/api/exchange/batches/${randomUUID()}`)).status).toBe(404);
    const recipe = await exported(full, '/api/exchange/recipes/canadian-bacon-pumped');
    expect(recipe.recipes.map(({ versions }) => versions.length)).toEqual([2]);
  });
});

describe('a book into a house that has some of it', () => {
  test('a code that is taken is another one here; a log that went on grows; what says something else stays as it is', async () => {
    const house = await openTestHouse();
    const [first, second] = book.batches.filter(({ cutFrom, entries }) => cutFrom === undefined && entries.length > 4);
    if (first === undefined || second === undefined) throw new Error('two batches');
    await house
      .http()
      .post('/api/batches')
      .send(usualRequest('pastrami', { id: randomUUID(), by: 'Juno', startsAt: new Date().toISOString() }));
    const taken = (await house.http().get('/api/batches')).body as BatchResponse[];
    const short = {
      ...book,
      devices: [],
      leftOut: [],
      readings: [],
      pictures: [],
      recipes: [],
      batches: [{ ...first, code: taken[0]?.code ?? '', entries: first.entries.slice(0, 2) }],
    };
    const answer = (await send(house, 'import', short)).body as ImportResponse;
    expect(answer.batches[0]?.as).toMatch(/^[A-Z]+-\d{3}$/);
    const longer = (await send(house, 'import', { ...short, batches: [{ ...first, entries: first.entries }] })).body as ImportResponse;
    expect(longer.batches.map(({ fate }) => fate)).toEqual(['longer']);
    expect(((await house.http().get(`/api/batches/${first.id}`)).body as BatchResponse).entries).toHaveLength(first.entries.length);
    const other = { ...first, entries: first.entries.map((entry, i) => (i === 0 ? { ...entry, by: 'Somebody' } : entry)) };
    const differing = (await send(house, 'import', { ...short, batches: [other, { ...second, entries: second.entries }] })).body as ImportResponse;
    expect(differing.batches.map(({ fate }) => fate)).toEqual(['differs', 'new']);
    expect(((await house.http().get(`/api/batches/${first.id}`)).body as BatchResponse).entries[0]?.by).toBe(first.entries[0]?.by);
    await house.close();
  }, 60_000);
});

const nested = (depth: number): unknown => (depth === 0 ? 1 : { a: nested(depth - 1) });

describe('what is no book of ours', () => {
  const small = (): Book => ({ ...book, readings: [], pictures: [], batches: book.batches.slice(0, 1) });
  const [batch] = [() => small().batches[0] as Book['batches'][number]];
  const hostile: [string, () => unknown, RegExp][] = [
    ['a list', () => [], /no book of ours/],
    ['something else', () => ({ hello: 1 }), /no book of ours/],
    ['a newer version', () => ({ ...small(), version: 3 }), /newer Bunkhouse/],
    ['a version that never was', () => ({ ...small(), version: 0 }), /never was a version 0/],
    ['an older version with what it had not', () => ({ ...small(), version: 1 }), /Version 1 had no "tools"/],
    [
      'a thermometer that is ten degrees off',
      () => ({
        ...small(),
        tools: book.tools.map((tool) => ({ ...tool, checks: tool.checks.map((check) => ({ ...check, reading: { kind: 'thermometer', iceC: 10 } })) })),
      }),
      /10 °C off 0 °C/,
    ],
    ['a picture of nothing', () => ({ ...small(), pictures: [{ ...book.pictures[0], batch: randomUUID() }] }), /not in this book/],
    [
      'a picture that is none',
      () => ({ ...book, readings: [], pictures: [{ ...book.pictures[0], jpeg: Buffer.from('<svg/>').toString('base64') }] }),
      /no picture/,
    ],
    [
      'a picture that unfolds to gigabytes',
      () => ({
        ...book,
        readings: [],
        pictures: [{ ...book.pictures[0], id: randomUUID(), jpeg: `iVBORw0KGgoAAAANSUhEUgAA6mAAAOpgCAYAAAA${'A'.repeat(40)}` }],
      }),
      /3600 million points/,
    ],
    [
      'a picture that is torn',
      () => ({ ...book, readings: [], pictures: [{ ...book.pictures[0], id: randomUUID(), jpeg: book.pictures[0]?.jpeg.slice(0, 880) ?? '' }] }),
      /cannot be opened/,
    ],
    ['half a book', () => ({ format: 'bunkhouse-book', version: 2 }), /"exportedAt" is missing/],
    ['something beside', () => ({ ...small(), extra: 1 }), /"extra" does not belong there/],
    ['prototype keys', () => JSON.parse(JSON.stringify(small()).replace('{', '{"__proto__":{"admin":1},')) as unknown, /does not belong there/],
    ['a deep well', () => ({ ...small(), plan: nested(60) }), /nested too deep/],
    ['a path for a code', () => ({ ...small(), batches: [{ ...batch(), code: '../../etc' }] }), /batches\/0\/code/],
    ['a step of code', () => ({ ...small(), batches: [{ ...batch(), process: { ...batch().process, steps: [{ id: 'x' }] } }] }), /steps\/0/],
    [
      'a hole in the log',
      () => ({ ...small(), batches: [{ ...batch(), entries: batch().entries.filter((_, i) => i !== 1) }] }),
      /Entry 2 of the log is missing/,
    ],
    ['a log twice', () => ({ ...small(), batches: [batch(), batch()] }), /stands in it twice/],
    ['a part without its whole', () => ({ ...small(), batches: [{ ...batch(), cutFrom: randomUUID(), cutAfter: 2 }] }), /not in this book/],
    ['no pieces', () => ({ ...small(), batches: [{ ...batch(), design: { ...batch().design, pieces: [] } }] }), /pieces/],
    [
      'a recipe that cannot be',
      () => ({
        ...small(),
        recipes: [
          {
            id: 'x',
            putAway: false,
            versions: [{ version: 1, recipe: { ...book.recipes[0]?.versions[0]?.recipe, program: [] }, reason: '', by: 'W', at: book.exportedAt }],
          },
        ],
      }),
      /between 1 and 12 phases/,
    ],
    [
      'a version missing',
      () => ({ ...small(), recipes: [{ ...book.recipes[0], versions: book.recipes[0]?.versions.map((one) => ({ ...one, version: 3 })) }] }),
      /counted from 1/,
    ],
    [
      'more times than temperatures',
      () => ({ ...small(), readings: [{ device: randomUUID(), channel: 1, from: book.exportedAt, s: [1, 2], C: [3] }] }),
      /2 times for 1/,
    ],
  ];
  test.each(hostile)('%s is refused with the place and the reason, and nothing is written', async (_what, make, message) => {
    const before = await counts(empty);
    const answer = await send(empty, 'import', make());
    expect([answer.status, (answer.body as { message: string }).message]).toEqual([400, expect.stringMatching(message)]);
    expect(await counts(empty)).toEqual(before);
  });

  test('fifty megabytes are refused, and bytes that are no JSON', async () => {
    const large = await empty
      .http()
      .post('/api/exchange/preview')
      .set('content-type', 'application/json')
      .send(`{"a":"${'x'.repeat(50 * 1024 * 1024)}"}`);
    expect([large.status, (large.body as { message: string }).message]).toEqual([413, expect.stringMatching(/48 MB/)]);
    const torn = await empty.http().post('/api/exchange/preview').set('content-type', 'application/json').send(JSON.stringify(small()).slice(0, 5000));
    expect(torn.status).toBe(400);
  });

  test('a book with anything in it changed at random is taken or refused in a sentence, never broken on', async () => {
    const text = JSON.stringify(small());
    const places = [...text.matchAll(/(?<=[:[,])(?:-?\d+(?:\.\d+)?|"[^"]{0,40}"|true|null)(?=[,}\]])/g)].map(
      (found) => [found.index, found[0].length] as const,
    );
    await fc.assert(
      fc.asyncProperty(
        fc.nat(places.length - 1),
        fc.constantFrom('null', '-1', '1e308', '""', '"x"', '[]', '{}', 'true', '"2020-01-01T00:00:00Z"'),
        async (i, other) => {
          const [at, length] = places[i] ?? [0, 0];
          const answer = await empty
            .http()
            .post('/api/exchange/preview')
            .set('content-type', 'application/json')
            .send(text.slice(0, at) + other + text.slice(at + length));
          expect([200, 400]).toContain(answer.status);
        },
      ),
      { numRuns: 150 },
    );
  }, 60_000);
});

test('the name of the house comes along into one that has none', async () => {
  const house = await empty.database.getRepository(HouseEntity).findOneBy({ id: 1 });
  expect(house).toMatchObject({ name: book.house, demo: false });
});
