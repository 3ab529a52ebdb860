import 'reflect-metadata';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { randomUUID } from 'node:crypto';
import type { Book, BatchResponse, CalendarFeedResponse, DeviceTokenResponse, LotResponse, RecipeResponse } from '@bunkhouse/api';
import type { OpenAPIObject } from '@nestjs/swagger';
import { openTestHouse, type TestHouse } from '../testing/testHouse.js';

const BOOK = JSON.parse(readFileSync(join(import.meta.dirname, '../../../../demo/kept/book-2-typed-steps.json'), 'utf8')) as Book;
/** Never ends; needs PostgreSQL's programs; is no JSON and asks for a picture (pictures.test.ts). */
const ELSEWHERE = ['/api/readings/stream', '/api/backup', '/api/pictures/{id}'];

let house: TestHouse;
beforeAll(async () => {
  house = await openTestHouse();
}, 60_000);
afterAll(() => house.close());

test('a house with a season in it: what each route answers is as it is described, to the last property', async () => {
  const http = house.http();
  await http.post('/api/exchange/import').set('content-type', 'application/json').send(JSON.stringify(BOOK)).expect(200);
  const { device, token } = (await http.post('/api/devices').send({ name: 'Probe', kind: 'thermometer', channels: [{ channel: 1, name: 'Core' }], by: 'Juno' }))
    .body as DeviceTokenResponse;
  await http
    .post('/api/readings')
    .set('authorization', `Bearer ${token}`)
    .send({ readings: [{ channel: 1, at: new Date().toISOString(), C: 61.2 }] })
    .expect(200);
  const { path: secret } = (await http.post('/api/calendar/feed').send({ alarmMin: 15, renew: true, by: 'Juno' })).body as CalendarFeedResponse;
  const [live] = (await http.get('/api/batches')).body as BatchResponse[];
  const [recipe] = (await http.get('/api/recipes')).body as RecipeResponse[];
  await http
    .post('/api/lots')
    .send({ id: randomUUID(), kind: 'salt', name: 'Sea salt', number: '', supplier: '', receivedOn: '2026-10-01', amountG: 5000, putAway: false, by: 'Juno' });
  const [lot] = (await http.get('/api/lots')).body as LotResponse[];
  await http.get('/api/learnt').expect(200);

  const document = (await http.get('/api/openapi.json')).body as OpenAPIObject;
  const span = { channels: `${device.id}:1`, from: new Date(Date.now() - 3_600_000).toISOString(), to: new Date(Date.now() + 60_000).toISOString() };
  const ids: Record<string, string | undefined> = { '/api/lots': lot?.id, '/api/exchange/recipes': recipe?.id };
  const asked = Object.entries(document.paths).flatMap(([path, { get }]) => (get === undefined || ELSEWHERE.includes(path) ? [] : [path]));
  for (const path of asked) {
    const id = Object.entries(ids).find(([under]) => path.startsWith(under))?.[1] ?? live?.id ?? BOOK.batches[0]?.id ?? '';
    const address = path.replace('{id}', id).replace('/api/feeds/{secret}/bunkhouse.ics', secret ?? '');
    const { status, text } = await http.get(address).query(path.startsWith('/api/readings') ? span : {});
    expect({ address, status, text: status === 200 ? '' : text }).toEqual({ address, status: 200, text: '' });
  }
  expect(house.held.faults).toEqual([]);
  expect(asked.filter((path) => !house.held.seen.has(`get ${path} 200`))).toEqual([]);
  expect(asked.length).toBeGreaterThan(25);
}, 60_000);

test('an answer that is not as it is described is found', async () => {
  await house.database.query(`UPDATE house SET name = $1`, ['x'.repeat(200)]);
  await house.http().get('/api/house');
  expect(house.held.faults).toEqual([expect.stringMatching(/^get \/api\/house 200: \/name must NOT have more than 80 characters/)]);
  house.held.faults.length = 0;
});
