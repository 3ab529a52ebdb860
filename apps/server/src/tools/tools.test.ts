import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import { usualRequest, type BatchResponse, type DeviceTokenResponse, type SeriesResponse, type ToolResponse } from '@bunkhouse/api';
import { boilingPointC, replay, MINUTE_MS, HOUR_MS } from '@bunkhouse/core';
import { openTestHouse, type TestHouse } from '../testing/testHouse.js';

let house: TestHouse;
const http = () => house.http();
beforeAll(async () => {
  house = await openTestHouse();
}, 60_000);
afterAll(() => house.close());

const ago = (min: number) => new Date(Date.now() - min * MINUTE_MS).toISOString();
const tool = (over: object = {}) => ({ id: randomUUID(), kind: 'thermometer', name: 'Red probe', stepC: 0.1, putAway: false, by: 'Wren', ...over });
const keep = (asked: object) => http().post('/api/tools').send(asked);
const check = (id: string, said: object) =>
  http()
    .post(`/api/tools/${id}/checks`)
    .send({ id: randomUUID(), at: ago(30), by: 'Wren', ...said });
const one = async (id: string) => ((await http().get('/api/tools')).body as ToolResponse[]).find((own) => own.id === id);
const message = ({ body }: { body: unknown }) => (body as { message: string }).message;

describe('tools', () => {
  test.each([
    [
      { kind: 'thermometer', stepC: 0.1 },
      { kind: 'thermometer', stepC: 0.1 },
    ],
    [
      { kind: 'hydrometer', scale: 'salometer', calibrationC: 15.6 },
      { kind: 'hydrometer', scale: 'salometer', calibrationC: 15.6 },
    ],
    [
      { kind: 'scale', stepG: 0.1, mostG: 500 },
      { kind: 'scale', stepG: 0.1, mostG: 500 },
    ],
    [
      { kind: 'needle', lengthMm: 120, holes: 12 },
      { kind: 'needle', lengthMm: 120, holes: 12 },
    ],
  ])('%j is kept, and what its kind has no use for is left behind', async (asked, size) => {
    const own = tool({ stepC: undefined, ...asked, ...(asked.kind === 'scale' ? { holes: 4 } : {}) });
    expect((await keep(own)).status).toBe(200);
    expect(await one(own.id)).toMatchObject({ name: 'Red probe', size, checks: [] });
  });

  test.each([
    [{ name: '' }, 'name'],
    [{ stepC: 0 }, 'stepC'],
    [{ kind: 'spoon' }, 'kind'],
    [{ kind: 'scale', mostG: 500 }, 'stepG'],
    [{ kind: 'needle', lengthMm: 5, holes: 1 }, 'lengthMm'],
    [{ kind: 'hydrometer', scale: 'proof', calibrationC: 20 }, 'scale'],
    [{ device: randomUUID(), channel: 1 }, 'device'],
    [{ device: randomUUID() }, 'channel'],
    [{ more: 1 }, 'more'],
  ])('%j is refused at %s', async (over, field) => {
    const answer = await keep(tool(over));
    expect(answer.status).toBe(400);
    expect((answer.body as { errors: { field: string }[] }).errors[0]?.field).toBe(field);
  });

  test('a thermometer does not become a scale, and what was checked stays what it was checked as', async () => {
    const float = tool({ kind: 'hydrometer', scale: 'salometer', calibrationC: 15.6 });
    await keep(float);
    expect(message(await keep({ ...float, kind: 'scale', stepG: 1, mostG: 100 }))).toMatch(/cannot become a scale/);
    expect((await check(float.id, { waterReads: 1, waterC: 15.6 })).status).toBe(200);
    expect(message(await keep({ ...float, scale: 'baume' }))).toMatch(/put it away/);
    expect((await keep({ ...float, name: 'Tall one' })).status).toBe(200);
  });

  test('a check that is far off, to come, or of another kind is refused; the same twice is one', async () => {
    const own = tool();
    await keep(own);
    expect(message(await check(own.id, { iceC: 5 }))).toMatch(/5 °C off 0 °C/);
    expect(message(await check(own.id, {}))).toMatch(/ice and water/);
    expect(message(await check(own.id, { iceC: 0.2, at: new Date(Date.now() + HOUR_MS).toISOString() }))).toMatch(/still to come/);
    expect((await check(randomUUID(), { iceC: 0.2 })).status).toBe(404);
    expect((await check('x', { iceC: 0.2 })).status).toBe(400);
    const id = randomUUID();
    const at = ago(5);
    await check(own.id, { id, at, iceC: 0.2 });
    expect((await check(own.id, { id, at, iceC: 0.2 })).status).toBe(200);
    expect((await check(own.id, { id, at, iceC: 0.3 })).status).toBe(409);
    expect((await one(own.id))?.checks).toHaveLength(1);
    await expect(house.database.query('UPDATE tool_check SET at = now()')).rejects.toThrow(/append-only/);
    await expect(house.database.query('DELETE FROM tool_check')).rejects.toThrow(/append-only/);
  });
});

describe('a channel of a device', () => {
  test('is corrected from its check on, in curves, in what was read last, and beside what it handed in', async () => {
    const asked = { name: 'Four', kind: 'thermometer', channels: [1, 2].map((channel) => ({ channel, name: `Probe ${channel}` })), by: 'Wren' };
    const { device, token } = (await http().post('/api/devices').send(asked)).body as DeviceTokenResponse;
    const readings = [50, 40, 20, 10].map((min) => ({ channel: 1, at: ago(min), C: 60 }));
    await http().post('/api/readings').set('authorization', `Bearer ${token}`).send({ readings });
    const own = tool({ name: 'Probe 1', device: device.id, channel: 1 });
    expect((await keep(own)).status).toBe(200);
    expect(message(await keep(tool({ name: 'Other', device: device.id, channel: 1 })))).toMatch(/Probe 1 is on that channel/);
    expect(message(await keep(tool({ device: device.id, channel: 9 })))).toMatch(/no such channel/);
    await check(own.id, { iceC: 1, boilC: 95, altitudeM: 1500 });
    const range = { channels: `${device.id}:1`, from: ago(60), to: ago(0) };
    const curve = ((await http().get('/api/readings').query(range)).body as SeriesResponse).channels[0];
    const truly = (59 / 94) * boilingPointC(1500);
    expect(curve?.C.map((C) => Math.abs(C - 60) < 0.005)).toEqual([true, true, false, false]);
    for (const C of [curve?.C[2], curve?.low[3], curve?.high[3]]) expect(Math.abs((C ?? 0) - truly)).toBeLessThan(0.01);
    const csv = (await http().get('/api/readings.csv').query(range)).text
      .trim()
      .split('\r\n')
      .map((line) => line.split(',').slice(-2));
    expect(csv).toEqual([
      ['C', 'trueC'],
      ['60.00', '60.00'],
      ['60.00', '60.00'],
      ['60.00', truly.toFixed(2)],
      ['60.00', truly.toFixed(2)],
    ]);
    const devices = (await http().get('/api/devices')).body as { id: string; channels: { last: { C: number } | null }[] }[];
    expect(devices.find(({ id }) => id === device.id)?.channels[0]?.last?.C).toBeCloseTo(truly, 1);
  });
});

describe('a thermometer in the hand', () => {
  const started = async () =>
    (
      await http()
        .post('/api/batches')
        .send(usualRequest('canadian-bacon', { id: randomUUID(), by: 'Wren', startsAt: ago(600) }))
    ).body as BatchResponse;
  const write = (batch: string, said: object) =>
    http()
      .post(`/api/batches/${batch}/log`)
      .send({ id: randomUUID(), by: 'Wren', at: ago(10), ...said });

  test('what it showed is kept beside what it truly was; sent again it is written once', async () => {
    const own = tool({ name: 'Blue hand probe' });
    await keep(own);
    await check(own.id, { iceC: 0.7 });
    const batch = await started();
    const event = { act: 'check', piece: 'A', placesC: [63.6, 64.2] };
    const entry = { id: randomUUID(), kind: 'pit', event, readWith: own.id };
    const answer = await write(batch.id, entry);
    expect(answer.status).toBe(201);
    const kept = (answer.body as BatchResponse).entries.at(-1);
    expect(kept).toMatchObject({ event: { placesC: [62.9, 63.5] }, read: { tool: own.id, name: 'Blue hand probe', shown: { place1: 63.6, place2: 64.2 } } });
    await check(own.id, { iceC: -0.5, at: ago(12) });
    expect(((await write(batch.id, entry)).body as BatchResponse).entries).toHaveLength(batch.entries.length + 1);
    expect((await write(batch.id, { ...entry, event: { ...event, placesC: [62.9, 63.5] } })).status).toBe(409);
  });

  test('the gate of a step is asked by what it truly was: 4.3 shown by a warm one passes, 3.8 by a cold one does not', async () => {
    const [warm, cold] = [tool({ name: 'Warm' }), tool({ name: 'Cold' })];
    for (const each of [warm, cold]) await keep(each);
    await check(warm.id, { iceC: 0.4 });
    await check(cold.id, { iceC: -0.9 });
    const { id, design } = await started();
    await write(id, { kind: 'done', stepId: 'weigh', values: { 'greenG:A': design.pieces[0]?.greenG } });
    const brine = replay((await http().get(`/api/batches/${id}`)).body as BatchResponse, Date.now()).facts.brines[0];
    const mixed = { waterG: brine?.waterG, saltG: brine?.saltG, sugarG: brine?.sugarG, cureG: brine?.cureG };
    expect((await write(id, { kind: 'done', stepId: 'mix', values: mixed })).status).toBe(201);
    const into = (readWith: string, brineC: number) => write(id, { kind: 'done', stepId: 'meat-in', values: { brineC }, readWith });
    expect((await into(cold.id, 3.8)).status).toBe(400);
    const { body, status } = await into(warm.id, 4.3);
    expect(status).toBe(201);
    expect((body as BatchResponse).entries.at(-1)).toMatchObject({ values: { brineC: 3.9 }, read: { name: 'Warm', shown: { brineC: 4.3 } } });
  });

  test('no such thermometer, or a scale: refused', async () => {
    const batch = await started();
    const scale = tool({ kind: 'scale', stepG: 1, mostG: 100 });
    await keep(scale);
    const event = { act: 'check', piece: 'A', placesC: [63] };
    for (const readWith of [randomUUID(), scale.id]) expect(message(await write(batch.id, { kind: 'pit', event, readWith }))).toMatch(/no such thermometer/);
    expect((await write(batch.id, { kind: 'pit', event, readWith: 'x' })).status).toBe(400);
  });
});
