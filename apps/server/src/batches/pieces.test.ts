import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import { usualRequest, type BatchResponse, type FamilyMember, type LedgerResponse } from '@bunkhouse/api';
import { replay, DAY_MS } from '@bunkhouse/core';
import { playBatch } from '@bunkhouse/demo';
import { LogService } from '../log/logService.js';
import { openTestHouse, type TestHouse } from '../testing/testHouse.js';

let house: TestHouse;
const http = () => house.http();
beforeAll(async () => {
  house = await openTestHouse();
}, 60_000);
afterAll(() => house.close());

const now = Date.now();
const batchOf = async (id: string) => (await http().get(`/api/batches/${id}`)).body as BatchResponse;
const family = async (id: string) => (await http().get(`/api/batches/${id}/family`)).body as FamilyMember[];
const log = (id: string, said: object) =>
  http()
    .post(`/api/batches/${id}/log`)
    .send({ id: randomUUID(), by: 'Wren', at: new Date(now).toISOString(), ...said });

/** A brisket that was worked up to a step. */
async function brisket(stopBefore: string): Promise<BatchResponse> {
  const request = usualRequest('pastrami', { id: randomUUID(), by: 'Wren', startsAt: new Date(now - 20 * DAY_MS).toISOString() });
  const { entries } = playBatch(request, { seed: 3, cooks: ['Wren'], idOf: () => randomUUID(), stopBefore, until: now });
  await http().post('/api/batches').send(request);
  await house.app.get(LogService).writeAll(
    request.id,
    entries.map((entry) => ({ request: entry, now: Date.parse(entry.at) })),
  );
  return batchOf(request.id);
}

async function cut(batch: BatchResponse, recipe?: { id: string; version: number }): Promise<{ parent: BatchResponse; child: BatchResponse }> {
  const greenG = Object.values(replay(batch, now).facts.keptGreenG).reduce((a, b) => a + b, 0);
  const to = randomUUID();
  const event = { act: 'split', piece: 'A', staysG: Math.round(greenG * 0.6), goesG: Math.round(greenG * 0.4), to };
  const answer = await log(batch.id, { kind: 'pieces', event, ...(recipe === undefined ? {} : { recipe }) });
  expect(answer.status).toBe(201);
  return { parent: answer.body as BatchResponse, child: await batchOf(to) };
}

describe('a batch that is cut in two', () => {
  test('the part is a batch of its own, by its own recipe, whose log begins with that of the whole', async () => {
    const { parent, child } = await cut(await brisket('fry'), { id: 'cured-beef', version: 1 });
    expect(child.code).toBe(`${parent.code}b`);
    expect(child.process.recipe).toEqual({ id: 'cured-beef', version: 1 });
    expect(child.origin).toMatchObject({ batchId: parent.id, code: parent.code, sharedEntries: parent.entries.length });
    expect(child.entries.map(({ id }) => id)).toEqual(parent.entries.map(({ id }) => id));
    const live = (await http().get('/api/batches')).body as BatchResponse[];
    expect(live.filter(({ id }) => id === child.id)).toEqual([child]);
    const states = [parent, child].map((batch) => replay(batch, now));
    expect((states[1]?.facts.keptGreenG.A ?? 0) / (states[0]?.facts.keptGreenG.A ?? 1)).toBeCloseTo(0.4 / 0.6, 2);
    expect((await family(child.id)).map(({ code, from }) => [code, from])).toEqual([
      [parent.code, null],
      [child.code, parent.id],
    ]);
    expect(await family(parent.id)).toEqual(await family(child.id));
  });

  test('each goes on alone; what is corrected before the cut is corrected in both, in the Ledger as well', async () => {
    const { parent, child } = await cut(await brisket('freezer'));
    await log(child.id, { kind: 'done', stepId: 'freezer', values: {} });
    const packed = await log(child.id, { kind: 'done', stepId: 'pack', values: { coreC: 2.5, packedG: 900 } });
    expect(packed.status).toBe(201);
    expect((await batchOf(parent.id)).entries).toHaveLength(parent.entries.length);
    const rowOf = async () => ((await http().get('/api/ledger')).body as LedgerResponse).rows.find(({ id }) => id === child.id);
    const before = await rowOf();
    expect(before?.packedG).toBe(900);
    const weigh = parent.entries.find((entry) => entry.kind === 'done' && entry.stepId === 'weigh');
    const greenG = weigh?.kind === 'done' ? Number(weigh.values['greenG:A']) : 0;
    const values = { 'greenG:A': greenG + 100 };
    const fromChild = await log(child.id, { kind: 'correction', replaces: weigh?.id, values, reason: 'Misread the scale', at: weigh?.at });
    expect([fromChild.status, (fromChild.body as { message: string }).message]).toEqual([400, expect.stringContaining(parent.code)]);
    expect((await log(parent.id, { kind: 'correction', replaces: weigh?.id, values, reason: 'Misread the scale', at: weigh?.at })).status).toBe(201);
    expect((await batchOf(child.id)).entries.filter(({ kind }) => kind === 'correction')).toHaveLength(1);
    expect(((await rowOf())?.greenG ?? 0) / (before?.greenG ?? 1)).toBeCloseTo((greenG + 100) / greenG, 6);
  });

  test('sent twice it is cut once; a part of a part is one more of the family', async () => {
    const batch = await brisket('rack');
    const greenG = replay(batch, now).facts.greenG.A ?? 0;
    const entry = { id: randomUUID(), kind: 'pieces', event: { act: 'split', piece: 'A', staysG: greenG / 2, goesG: greenG / 2, to: randomUUID() } };
    const both = [await log(batch.id, entry), await log(batch.id, entry)];
    expect(both.map(({ status }) => status)).toEqual([201, 201]);
    const child = await batchOf(entry.event.to);
    const again = await cut(child);
    expect((await family(batch.id)).map(({ code }) => code)).toEqual([batch.code, `${batch.code}b`, `${batch.code}bb`]);
    expect(replay(again.child, now).facts.keptGreenG.A).toBeCloseTo(greenG * 0.5 * 0.4, 0);
  });

  test('one half with nitrite, one without, as a trial: cut before the brine the part has a brine of its own', async () => {
    const { parent, child } = await cut(await brisket('mix'), { id: 'salt-beef', version: 1 });
    expect(replay(child, now).facts.brines[0]?.cureG).toBe(0);
    expect(replay(child, now).findings.map(({ code }) => code)).toContain('no-cure');
    expect(replay(parent, now).figures.nitrite.applies.value).toBeCloseTo(150, 6);
  });

  test('nobody is hurt by a cut: salted meat does not become a smoked one, and nothing is left of the try', async () => {
    const batch = await brisket('fry');
    const to = randomUUID();
    const greenG = replay(batch, now).facts.greenG.A ?? 0;
    const event = { act: 'split', piece: 'A', staysG: greenG / 2, goesG: greenG / 2, to };
    const refused = await log(batch.id, { kind: 'pieces', event, recipe: { id: 'nothing', version: 1 } });
    expect(refused.status).toBe(400);
    expect((await http().get(`/api/batches/${to}`)).status).toBe(404);
    expect((await batchOf(batch.id)).entries).toHaveLength(batch.entries.length);
  });
});

/** Two briskets that lie in their brine. */
async function two(stopBefore: string): Promise<BatchResponse> {
  const usual = usualRequest('pastrami', { id: randomUUID(), by: 'Wren', startsAt: new Date(now - 6 * DAY_MS).toISOString() });
  const [piece] = usual.pieces;
  if (piece === undefined) throw new Error('a piece');
  const request = { ...usual, pieces: [piece, { ...piece, greenG: 2000 }] };
  const { entries } = playBatch(request, { seed: 5, cooks: ['Wren'], idOf: () => randomUUID(), stopBefore, until: now });
  expect((await http().post('/api/batches').send(request)).status).toBe(201);
  await house.app.get(LogService).writeAll(
    request.id,
    entries.map((entry) => ({ request: entry, now: Date.parse(entry.at) })),
  );
  return batchOf(request.id);
}

describe('whole pieces that go their own way', () => {
  test('one is a batch of its own from then on, with what was logged before; sent twice it goes once; nothing strange is taken', async () => {
    const batch = await two('pull');
    const event = { act: 'parted', pieces: ['B'], to: randomUUID() };
    expect((await log(batch.id, { kind: 'pieces', event: { ...event, pieces: 'B' } })).status).toBe(400);
    expect((await log(batch.id, { kind: 'pieces', event: { ...event, pieces: ['A', 'B'] } })).status).toBe(400);
    expect((await log(batch.id, { kind: 'pieces', event: { ...event, to: batch.id } })).status).toBe(409);
    const entry = { id: randomUUID(), kind: 'pieces', event: { ...event, sugar: 3 } };
    expect((await log(batch.id, entry)).status).toBe(201);
    expect((await log(batch.id, entry)).status).toBe(201);
    const [parent, child] = [await batchOf(batch.id), await batchOf(event.to)];
    expect(child.code).toBe(`${parent.code}b`);
    expect(parent.entries.at(-1)).toMatchObject({ event });
    expect([parent, child].map((one) => replay(one, now).pieces.map(({ code }) => code))).toEqual([['A'], ['B']]);
    expect((await family(child.id)).map(({ code }) => code)).toEqual([parent.code, child.code]);
  });

  test('before the brine it has one of its own, for its own weight', async () => {
    const batch = await two('mix');
    const event = { act: 'parted', pieces: ['B'], to: randomUUID() };
    expect((await log(batch.id, { kind: 'pieces', event, recipe: { id: 'salt-beef', version: 1 } })).status).toBe(201);
    const child = await batchOf(event.to);
    expect(child.design.school.waterG).toBeLessThan(batch.design.school.waterG);
    expect(replay(child, now).facts.brines[0]?.cureG).toBe(0);
  });
});

test('what lies in which tub is written as it is said, with nothing beside it, and goes out and comes back with the book', async () => {
  const batch = await two('pull');
  const vessels = [
    { kind: 'tub', pieces: ['A'], brineG: 1500 },
    { kind: 'bag', pieces: ['B'], part: 2 },
  ];
  const entry = { id: randomUUID(), kind: 'vessels', vessels: vessels.map((vessel) => ({ ...vessel, lid: true })) };
  expect((await log(batch.id, entry)).status).toBe(201);
  // Sent again it is the same; another of the same id is refused.
  expect((await log(batch.id, entry)).status).toBe(201);
  expect((await log(batch.id, { ...entry, vessels: [{ kind: 'tub', pieces: ['A', 'B'] }] })).status).toBe(409);
  const written = await batchOf(batch.id);
  expect(written.entries.at(-1)).toMatchObject({ kind: 'vessels', vessels });
  expect(written.entries.at(-1)).not.toHaveProperty('vessels.0.lid');
  for (const wrong of [
    undefined,
    'two',
    [],
    [null],
    [{ kind: 'bucket', pieces: ['A', 'B'] }],
    Array.from({ length: 13 }, () => ({ kind: 'tub', pieces: ['A'] })),
  ])
    expect((await log(batch.id, { kind: 'vessels', vessels: wrong })).status).toBe(400);
});

test('a family of one, and of nobody', async () => {
  const batch = await brisket('mix');
  expect((await family(batch.id)).map(({ id }) => id)).toEqual([batch.id]);
  expect((await http().get(`/api/batches/${randomUUID()}/family`)).status).toBe(404);
});
