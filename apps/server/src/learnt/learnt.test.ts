import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import type { LearntResponse } from '@bunkhouse/api';
import { HANDBOOK_DIFFUSIVITY, type HousePlan, HOUR_MS } from '@bunkhouse/core';
import { openTestHouse, type TestHouse } from '../testing/testHouse.js';

let house: TestHouse;
beforeAll(async () => {
  house = await openTestHouse();
}, 60_000);
afterAll(() => house.close());

const inBrine = Date.now() - 9 * 24 * HOUR_MS;
const at = (hours: number) => new Date(inBrine + hours * HOUR_MS).toISOString();
const learnt = async () => (await house.http().get('/api/learnt').expect(200)).body as LearntResponse;

/** A loin pulled after eight days with a cut face, and a slice fried. */
async function pulledLoin(colouredMm: number, taste: string): Promise<string> {
  const id = randomUUID();
  const post = (path: string, body: object) => house.http().post(path).send(body).expect(201);
  await post('/api/batches', {
    id,
    product: 'canadian-bacon',
    pieces: [{ greenG: 2600, shape: 'round', thicknessMm: 98, lengthMm: 400 }],
    school: 'equilibrium',
    waterG: 1200,
    saltPercent: 2.3,
    sugarPercent: 1,
    nitritePpm: 150,
    ruleSet: 'us',
    cureDays: 8,
    meatScaleStepG: 5,
    cureScaleStepG: 0.1,
    startsAt: at(-4),
    by: 'Juno',
  });
  const log = (stepId: string, hours: number, values: object) =>
    post(`/api/batches/${id}/log`, { id: randomUUID(), kind: 'done', stepId, at: at(hours), by: 'Juno', values });
  await log('weigh', -3.5, { 'greenG:A': 2600 });
  await log('mix', -3, { waterG: 1200, saltG: 78.9, sugarG: 38, cureG: 9.1 });
  await log('meat-in', 0, { brineC: 3 });
  await log('pull', 192, { 'pulledG:A': 2680, firmness: 'firm', smell: 'fresh', 'colouredMm:A': colouredMm });
  await log('fry', 193, { taste });
  return id;
}

describe('what the house has learnt', () => {
  test('nothing yet: the usual figures', async () => {
    expect(await learnt()).toMatchObject({ diffusivity: HANDBOOK_DIFFUSIVITY, cutFaces: [], tasted: [], atTable: [], taste: { percent: 2.3, verdicts: 0 } });
  });

  test('a grey middle makes brine slower, a salty slice the target lower; left out it counts for nothing, and again when it is taken back in', async () => {
    const id = await pulledLoin(25, 'salty');
    const after = await learnt();
    expect(after.diffusivity.value).toBeLessThan(HANDBOOK_DIFFUSIVITY.value);
    expect(after.cutFaces).toMatchObject([{ batchId: id, colouredMm: 25, halfMm: 49, leftOut: false, by: 'Juno', name: 'Canadian bacon' }]);
    expect(after.tasted).toMatchObject([{ batchId: id, verdict: 'salty', leftOut: false }]);
    expect(after.tasted[0]?.impliedPercent).toBeCloseTo((after.tasted[0]?.edgePercent ?? 0) - 0.4, 9);

    const face = after.cutFaces[0]?.id ?? '';
    const leave = (leftOut: boolean) => house.http().post('/api/learnt/left-out').send({ id: face, leftOut, by: 'Juno' }).expect(200);
    const without = (await leave(true)).body as LearntResponse;
    expect(without.diffusivity).toEqual(HANDBOOK_DIFFUSIVITY);
    expect(without.cutFaces[0]?.leftOut).toBe(true);
    expect(without.taste.verdicts).toBe(1);
    expect(((await leave(true)).body as LearntResponse).diffusivity.cutFaces).toBe(0);
    expect(((await leave(false)).body as LearntResponse).diffusivity).toEqual(after.diffusivity);
  });

  test('a correction is learnt from at once, in place of what it corrects', async () => {
    const before = await learnt();
    const [face] = before.cutFaces;
    const [entry] = (face?.id ?? '').split(':');
    const correction = {
      id: randomUUID(),
      kind: 'correction',
      replaces: entry,
      at: at(192),
      by: 'Juno',
      reason: 'Read the wrong side',
      values: { 'pulledG:A': 2680, firmness: 'firm', smell: 'fresh', 'colouredMm:A': 49 },
    };
    await house
      .http()
      .post(`/api/batches/${face?.batchId ?? ''}/log`)
      .send(correction)
      .expect(201);
    const after = await learnt();
    expect(after.cutFaces[0]?.colouredMm).toBe(49);
    expect(after.diffusivity.value).toBeGreaterThan(before.diffusivity.value);
  });

  test.each([
    ['an observation that is none', { id: `${randomUUID()}:A`, leftOut: true, by: 'Juno' }],
    ['no id', { leftOut: true, by: 'Juno' }],
    ['a path for an id', { id: '../../etc:A', leftOut: true, by: 'Juno' }],
    ['no decision', { id: `${randomUUID()}:A`, by: 'Juno' }],
  ])('%s is refused in a sentence', async (_what, body) => {
    const { body: said } = await house.http().post('/api/learnt/left-out').send(body).expect(400);
    expect((said as { message: string }).message).toMatch(/[a-z].*\.$/);
  });
});

test('what was said at table is kept with what to do next time, moves the taste of the house, and is taken back like any entry', async () => {
  const id = await pulledLoin(40, 'right');
  const before = await learnt();
  const said = {
    id: randomUUID(),
    kind: 'act',
    event: { act: 'table', salt: 'too-salty', firmness: 'right' },
    at: at(194),
    by: 'Tess',
    reason: 'Soak an hour',
  };
  await house
    .http()
    .post(`/api/batches/${id}/log`)
    .send({ ...said, event: { act: 'table', salt: 'fine' } })
    .expect(400);
  await house.http().post(`/api/batches/${id}/log`).send(said).expect(201);
  const after = await learnt();
  expect(after.atTable[0]).toEqual({
    id: said.id,
    batchId: id,
    code: after.tasted.find(({ batchId }) => batchId === id)?.code,
    name: 'Canadian bacon',
    product: 'canadian-bacon',
    by: 'Juno',
    at: at(194),
    verdict: { salt: 'too-salty', firmness: 'right' },
    nextTime: 'Soak an hour',
  });
  expect(after.taste.verdicts).toBe(before.taste.verdicts + 1);
  expect(after.taste.percent).toBeLessThan(before.taste.percent);
  const back = { id: randomUUID(), kind: 'withdrawn', replaces: said.id, at: at(195), by: 'Juno', reason: 'Another batch' };
  await house.http().post(`/api/batches/${id}/log`).send(back).expect(201);
  expect(await learnt()).toEqual(before);
});

describe('a plan that is changed', () => {
  test('days are changed by an entry; what cannot be is refused with the place', async () => {
    const id = await pulledLoin(49, 'right');
    const replan = (changes: object) =>
      house
        .http()
        .post(`/api/batches/${id}/log`)
        .send({ id: randomUUID(), kind: 'replanned', changes, reason: 'A test', at: at(194), by: 'Juno' });
    const { body } = await replan({ soakMin: 40 }).expect(201);
    expect((body as { entries: { kind: string }[] }).entries.at(-1)).toMatchObject({ kind: 'replanned', changes: { soakMin: 40 } });
    await replan({ cureDays: 12 }).expect(400);
    await replan({ soakMin: 'forty' }).expect(400);
    await replan({ nitritePpm: 900 }).expect(400);
    await replan(JSON.parse('{"__proto__":{"soakMin":40}}') as object).expect(400);
    const { body: said } = await replan({}).expect(400);
    expect((said as { message: string }).message).toContain('Nothing is given');
  });
});

describe('when the house works and what it has', () => {
  const plan = async () => (await house.http().get('/api/house/plan').expect(200)).body as HousePlan;
  const asked = async (part: object = {}) => {
    const { hours, resources } = await plan();
    const week = hours.week.map(([span]) => span ?? { fromMin: 0, toMin: 0 });
    return { timeZone: hours.timeZone, week, daysOff: hours.daysOff, hands: hours.hands, nightWatch: hours.nightWatch, resources, by: 'Juno', ...part };
  };

  test('the usual until it is changed; changed, it stays', async () => {
    expect((await plan()).resources.map(({ id }) => id)).toEqual(['refrigerator', 'smoker']);
    await house
      .http()
      .post('/api/house/plan')
      .send(await asked({ hands: 3, daysOff: ['2026-12-25'] }))
      .expect(200);
    expect((await plan()).hours).toMatchObject({ hands: 3, daysOff: ['2026-12-25'] });
  });

  test.each([
    ['a time zone that is none', { timeZone: 'Mars/Olympus' }],
    ['a day upside down', { week: Array.from({ length: 7 }, () => ({ fromMin: 900, toMin: 300 })) }],
    ['six days', { week: Array.from({ length: 6 }, () => ({ fromMin: 0, toMin: 0 })) }],
    ['a refrigerator of no size', { resources: [{ id: 'a', name: 'A', kind: 'refrigerator', capacity: 0 }] }],
    ['a day that is none', { daysOff: ['2026-13-45'] }],
    ['two of one name', { resources: ['a', 'a'].map((id) => ({ id, name: 'A', kind: 'smoker', capacity: 2 })) }],
  ])('%s is refused in a sentence, and nothing changes', async (_what, part) => {
    const before = await plan();
    const { body } = await house
      .http()
      .post('/api/house/plan')
      .send(await asked(part))
      .expect(400);
    expect((body as { message: string }).message).toMatch(/\.$/);
    expect(await plan()).toEqual(before);
  });
});
