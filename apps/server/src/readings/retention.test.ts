import { DAY_MS, HOUR_MS } from '@bunkhouse/core';
import 'reflect-metadata';
import { USUAL_SETTINGS, type DeviceTokenResponse, type SeriesResponse } from '@bunkhouse/api';
import { Clock } from '../clock.js';
import { openTestHouse, type TestHouse } from '../testing/testHouse.js';
import { Retention } from './retention.js';

let house: TestHouse;
let device: string;
beforeAll(async () => {
  house = await openTestHouse();
  device = (
    (
      await house
        .http()
        .post('/api/devices')
        .send({ name: 'Four', kind: 'thermometer', channels: [{ channel: 1, name: 'Core' }], by: 'x' })
    ).body as DeviceTokenResponse
  ).device.id;
  for (const daysAgo of [60, 10, 0]) {
    const fromMs = Math.floor((Date.now() - daysAgo * DAY_MS - HOUR_MS) / 300_000) * 300_000;
    const readings = Array.from({ length: 300 }, (_, i) => ({
      channel: 1,
      at: new Date(fromMs + i * 10_000).toISOString(),
      C: Math.round((4 + i / 10 + 0.03 * Math.sin(i)) * 100) / 100,
    }));
    expect((await house.http().post(`/api/devices/${device}/readings`).send({ readings, by: 'x' })).body).toMatchObject({ taken: 300 });
  }
}, 60_000);
afterAll(() => house.close());

const settings = (rawDays: number | null) =>
  house
    .http()
    .post('/api/house')
    .send({ name: 'Alder Bend', ...USUAL_SETTINGS, rawDays });
const curve = async (daysAgo: number) =>
  (
    (
      await house
        .http()
        .get('/api/readings')
        .query({
          channels: `${device}:1`,
          from: new Date(Date.now() - daysAgo * DAY_MS - 2 * HOUR_MS).toISOString(),
          to: new Date(Date.now() - daysAgo * DAY_MS).toISOString(),
          every: '10',
        })
    ).body as SeriesResponse
  ).channels[0] ?? { at: [], C: [] };

test('nothing is thinned unless the house says after how many days', async () => {
  expect(await house.app.get(Retention).thin()).toBeNull();
  expect((await curve(60)).C).toHaveLength(300);
});

test.each([[5], [-3], [2.5], ['many']])('%s days are refused', async (rawDays) => {
  expect((await settings(rawDays as number)).status).toBe(400);
});

test('older readings become those that draw the same curve; newer ones and the log stay; a second time nothing changes', async () => {
  const before = await curve(60);
  expect((await settings(30)).status).toBe(200);
  const logBefore: unknown = await house.database.query('SELECT count(*), max(seq) FROM log_entry');
  expect(await house.app.get(Retention).thin()).toBeGreaterThan(5);
  const after = await curve(60);
  expect(after.C.length).toBeLessThan(60);
  for (const [i, at] of before.at.entries()) {
    const next = after.at.findIndex((other) => other >= at);
    const [a, b] = [Math.max(0, next - 1), next];
    const share = a === b ? 0 : (at - (after.at[a] ?? 0)) / ((after.at[b] ?? 0) - (after.at[a] ?? 0));
    const line = (after.C[a] ?? 0) + share * ((after.C[b] ?? 0) - (after.C[a] ?? 0));
    expect(Math.abs((before.C[i] ?? 0) - line)).toBeLessThan(0.11);
  }
  expect((await curve(10)).C).toHaveLength(300);
  expect(await house.database.query('SELECT count(*), max(seq) FROM log_entry')).toEqual(logBefore);
  expect(await house.app.get(Retention).thin()).toBe(0);
});

test('a clock that ran ahead by years makes nothing old', async () => {
  const clock = house.app.get(Clock);
  const now = jest.spyOn(clock, 'now').mockReturnValue(Date.now() + 3650 * DAY_MS);
  await house.app.get(Retention).thin();
  now.mockRestore();
  expect((await curve(10)).C).toHaveLength(300);
  expect((await curve(0)).C).toHaveLength(300);
});

test('two servers at it at once do it once', async () => {
  await house.database.query('UPDATE house SET thinned_until = NULL');
  const both = await Promise.all([house.app.get(Retention).thin(), house.app.get(Retention).thin()]);
  expect(both.filter((done) => done === null).length).toBeLessThanOrEqual(1);
  expect((await curve(10)).C).toHaveLength(300);
});
