import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import { usualRequest, type BatchResponse, type RecipeResponse } from '@bunkhouse/api';
import { processOf, STARTER_RECIPES, type Recipe } from '@bunkhouse/core';
import { openTestHouse, type TestHouse } from '../testing/testHouse.js';

let house: TestHouse;
const http = () => house.http();
beforeAll(async () => {
  house = await openTestHouse();
}, 60_000);
afterAll(() => house.close());

const loin = STARTER_RECIPES.find(({ id }) => id === 'canadian-bacon')?.recipe as Recipe;
const keep = (asked: object) =>
  http()
    .post('/api/recipes')
    .send({ id: randomUUID(), after: 0, recipe: loin, by: 'Wren', ...asked });
const message = ({ body }: { body: unknown }) => (body as { message: string }).message;
const all = async () => (await http().get('/api/recipes')).body as RecipeResponse[];

describe('recipes', () => {
  test('a house begins with the starters, and a second start of the server adds none', async () => {
    const recipes = await all();
    expect(recipes.map(({ id }) => id).sort()).toEqual(STARTER_RECIPES.map(({ id }) => id).sort());
    expect(recipes.every(({ versions }) => versions.length === 1)).toBe(true);
  });

  test('a new version stands before the old one; a batch keeps the version that it was made by', async () => {
    const id = randomUUID();
    await keep({ id, recipe: { ...loin, name: 'Ours' } });
    const start = { ...usualRequest('canadian-bacon', { id: randomUUID(), by: 'Wren', startsAt: new Date().toISOString() }), recipe: { id, version: 1 } };
    const batch = (await http().post('/api/batches').send(start)).body as BatchResponse;
    expect(batch.process).toEqual({ ...processOf({ ...loin, name: 'Ours' }), recipe: { id, version: 1 } });
    const changed = await keep({ id, after: 1, recipe: { ...loin, name: 'Ours', soakH: 2 }, reason: 'Too salty' });
    expect((changed.body as RecipeResponse).versions.map(({ version, reason }) => [version, reason])).toEqual([
      [2, 'Too salty'],
      [1, ''],
    ]);
    expect((await http().get(`/api/batches/${batch.id}`)).body).toEqual(batch);
  });

  test('sent twice it is kept once; what another wrote in between is not written over; a version has its reason', async () => {
    const id = randomUUID();
    const asked = { id, recipe: { ...loin, name: 'Twice' } };
    expect(((await keep(asked)).body as RecipeResponse).versions).toHaveLength(1);
    expect(((await keep(asked)).body as RecipeResponse).versions).toHaveLength(1);
    const change = (saltPercent: number) => keep({ id, after: 1, recipe: { ...loin, name: 'Twice', saltPercent }, reason: 'Saltier', by: 'Juno' });
    const both = await Promise.all([change(2.4), change(2.6)]);
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
    const late = both.find(({ status }) => status === 409);
    expect(late === undefined ? '' : message(late)).toMatch(/Juno wrote version 2 in the meantime/);
    const silent = await keep({ id, after: 2, recipe: { ...loin, name: 'Twice', saltPercent: 3 } });
    expect([silent.status, message(silent)]).toEqual([400, expect.stringMatching(/what you changed/)]);
    expect((await keep({ id, after: 9, recipe: loin, reason: 'From nowhere' })).status).toBe(400);
  });

  test('put away it is still there for its batches, and is taken out again', async () => {
    const away = await http().post('/api/recipes/picnic/put-away').send({ putAway: true });
    expect((away.body as RecipeResponse).putAway).toBe(true);
    expect((await http().post('/api/recipes/picnic/put-away').send({ putAway: false })).body).toMatchObject({ putAway: false });
    expect((await http().post('/api/recipes/nothing/put-away').send({ putAway: true })).status).toBe(404);
  });

  test('what nobody may do is refused with the reason: nitrate in a bacon, salted meat into a slow smoke', async () => {
    const nitrate = await keep({ recipe: { ...loin, cure: { name: 'Both', nitritePercent: 6, nitratePercent: 4, saltPercent: 90 } } });
    expect([nitrate.status, message(nitrate)]).toEqual([400, expect.stringMatching(/no bacon may have/)]);
    const [smoke, ...rest] = loin.program;
    const salted = await keep({ recipe: { ...loin, nitritePpm: 0, program: [{ ...smoke, chamberC: 22 }, ...rest] } });
    expect([salted.status, message(salted)]).toEqual([400, expect.stringMatching(/not cured is not smoked cold/)]);
  });

  test.each<[string, object, number]>([
    ['a recipe that is none', { recipe: { name: 'x' } }, 400],
    ['a recipe that is a list', { recipe: [] }, 400],
    ['an id that is none', { id: '../../etc' }, 400],
    ['a number that is text', { recipe: { ...loin, saltPercent: '2' } }, 400],
  ])('%s is refused', async (_what, asked, status) => {
    expect((await keep(asked)).status).toBe(status);
  });

  test('a batch of a version that is not there, or of another product, is refused', async () => {
    const start = (recipe: object) =>
      http()
        .post('/api/batches')
        .send({ ...usualRequest('canadian-bacon', { id: randomUUID(), by: 'Wren', startsAt: new Date().toISOString() }), recipe });
    expect(message(await start({ id: 'canadian-bacon', version: 77 }))).toMatch(/no such version/);
    expect(message(await start({ id: 'picnic', version: 1 }))).toMatch(/makes something else/);
    expect((await start({ id: 'canadian-bacon' })).status).toBe(400);
  });

  test('every version stays as it was written: the database refuses a change', async () => {
    await expect(house.database.query(`UPDATE recipe_version SET by = 'nobody'`)).rejects.toThrow(/append-only/);
    await expect(house.database.query(`DELETE FROM recipe_version`)).rejects.toThrow(/append-only/);
  });
});
