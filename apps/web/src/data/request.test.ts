/** @jest-environment jsdom */
import { isLost } from './connection';
import { speakTo, type HouseLine } from './houseLine';
import { Refusal, request } from './request';

/** What a house answers, as far as a request reads it: jsdom has no Response. */
const answer = (status: number, said: unknown) =>
  ({ ok: status < 400, status, headers: new Headers({ date: 'Tue, 24 Nov 2026 16:20:00 GMT' }), json: () => Promise.resolve(said) }) as unknown as Response;

const asked: { path: string; body: unknown }[] = [];
const house = (ask: HouseLine['ask']): HouseLine => ({
  ask: (path, init) => {
    asked.push({ path, body: init?.body });
    return ask(path, init);
  },
  hear: () => () => undefined,
});

let putBack: () => void;
afterEach(() => {
  putBack();
  asked.splice(0);
});

test('another house can stand in for the server, and is asked in its words', async () => {
  putBack = speakTo(house(() => Promise.resolve(answer(200, [{ id: 'K 1' }]))));
  await expect(request('/api/lots', { number: 'K 1' })).resolves.toEqual([{ id: 'K 1' }]);
  expect(asked).toEqual([{ path: '/api/lots', body: '{"number":"K 1"}' }]);
});

test('what is refused is told with its fields, in the words of whoever asks', async () => {
  putBack = speakTo(house(() => Promise.resolve(answer(422, { message: 'No.', errors: [{ field: 'number', message: 'A lot has a number.' }] }))));
  const refusal: unknown = await request('/api/lots', {}).catch((error: unknown) => error);
  expect(refusal).toBeInstanceOf(Refusal);
  expect(refusal).toMatchObject({ status: 422, message: 'No.', offline: false, errors: [{ field: 'number', message: 'A lot has a number.' }] });
  expect(isLost()).toBe(false);
});

test.each([
  ['no answer', () => Promise.reject(new TypeError('no network'))],
  ['a house whose database is away', () => Promise.resolve(answer(503, { message: 'Away.' }))],
])('%s: told as no connection, and known as lost until it answers', async (_what, ask) => {
  putBack = speakTo(house(ask));
  await expect(request('/api/lots', {})).rejects.toMatchObject({ offline: true });
  expect(isLost()).toBe(true);
  putBack();
  putBack = speakTo(house(() => Promise.resolve(answer(200, []))));
  await request('/api/lots', {});
  expect(isLost()).toBe(false);
});
