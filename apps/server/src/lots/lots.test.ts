import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import { usualRequest, type BatchResponse, type LotBatch, type LotResponse } from '@bunkhouse/api';
import { openTestHouse, type TestHouse } from '../testing/testHouse.js';

let house: TestHouse;
const http = () => house.http();
beforeAll(async () => {
  house = await openTestHouse();
}, 60_000);
afterAll(() => house.close());

const at = new Date().toISOString();
const today = at.slice(0, 10);
const lot = (over: object = {}) => ({
  id: randomUUID(),
  kind: 'cure',
  name: 'Cure #1',
  number: '17',
  supplier: '',
  receivedOn: today,
  amountG: 100,
  putAway: false,
  by: 'Wren',
  ...over,
});
const keep = (asked: object) => http().post('/api/lots').send(asked);
const all = async () => (await http().get('/api/lots')).body as LotResponse[];
const message = ({ body }: { body: unknown }) => (body as { message: string }).message;

async function started(): Promise<BatchResponse> {
  return (
    await http()
      .post('/api/batches')
      .send({ ...usualRequest('pastrami', { id: randomUUID(), by: 'Wren', startsAt: at }) })
  ).body as BatchResponse;
}
const write = (batch: string, said: object) =>
  http()
    .post(`/api/batches/${batch}/log`)
    .send({ id: randomUUID(), at, by: 'Wren', ...said });
const take = (batch: string, id: string, g: number, more: object = {}) => write(batch, { kind: 'lot', draw: { of: 'cure', lot: id, g }, ...more });

describe('lots', () => {
  test('what batches take is drawn from it; what is taken back is there again', async () => {
    const asked = lot();
    await keep(asked);
    const batch = await started();
    const entry = { id: randomUUID() };
    expect((await take(batch.id, asked.id, 12.5, entry)).status).toBe(201);
    const left = async () => (await all()).find(({ id }) => id === asked.id);
    expect(await left()).toMatchObject({ takenG: 12.5, batches: 1 });
    expect((await write(batch.id, { kind: 'withdrawn', replaces: entry.id, reason: 'Another bag' })).status).toBe(201);
    expect(await left()).toMatchObject({ takenG: 0, batches: 0 });
  });

  test('a recall finds every batch that holds it, and what was cut from it since', async () => {
    const asked = lot();
    await keep(asked);
    const [first, other] = [await started(), await started()];
    await take(first.id, asked.id, 5);
    await write(other.id, { kind: 'note', reason: 'Made with another lot' });
    const greenG = first.design.pieces[0]?.greenG ?? 0;
    const to = randomUUID();
    await write(first.id, { kind: 'done', stepId: 'weigh', values: { 'greenG:A': greenG } });
    expect((await write(first.id, { kind: 'pieces', event: { act: 'split', piece: 'A', staysG: greenG / 2, goesG: greenG / 2, to } })).status).toBe(201);
    const holders = (await http().get(`/api/lots/${asked.id}/batches`)).body as LotBatch[];
    expect(holders.map(({ id }) => id).sort()).toEqual([first.id, to].sort());
    expect((await all()).find(({ id }) => id === asked.id)).toMatchObject({ takenG: 5, batches: 2 });
    expect(holders.every(({ g, outcome }) => g === 5 && outcome === 'live')).toBe(true);
    expect((await http().get(`/api/lots/${randomUUID()}/batches`)).status).toBe(404);
    expect((await http().get('/api/lots/x/batches')).status).toBe(400);
  });

  test('too old, or more than is left, it needs a reason; another kind it is never', async () => {
    const old = lot({ bestBefore: '2020-01-01' });
    const small = lot({ amountG: 10 });
    const salt = lot({ kind: 'salt', name: 'Sea salt' });
    for (const one of [old, small, salt]) await keep(one);
    const batch = await started();
    expect(message(await take(batch.id, old.id, 5))).toMatch(/best before 2020-01-01/);
    expect((await take(batch.id, old.id, 5, { reason: 'Only bag that was left' })).status).toBe(201);
    expect(message(await take(batch.id, small.id, 11))).toMatch(/only 10 g are left/);
    expect(message(await take(batch.id, salt.id, 5))).toMatch(/Sea salt is salt, not cure/);
    expect(message(await take(batch.id, randomUUID(), 5))).toMatch(/no such lot/);
    expect((await take(batch.id, small.id, -1)).status).toBe(400);
    expect((await take(batch.id, small.id, 5, { draw: null })).status).toBe(400);
  });

  test('put right it is another amount; what was taken from cannot become something else', async () => {
    const asked = lot();
    await keep(asked);
    await keep({ ...asked, amountG: 250, bestBefore: today });
    expect((await all()).find(({ id }) => id === asked.id)).toMatchObject({ amountG: 250, bestBefore: today });
    const batch = await started();
    await take(batch.id, asked.id, 5);
    expect(message(await keep({ ...asked, kind: 'salt' }))).toMatch(/cannot become salt/);
  });

  test.each([{ name: '' }, { kind: 'gold' }, { amountG: 0 }, { amountG: '5' }, { receivedOn: 'yesterday' }, { bestBefore: '2026-13-01' }, { extra: 1 }])(
    '%j is refused',
    async (over) => {
      expect((await keep(lot(over))).status).toBe(400);
    },
  );
});
