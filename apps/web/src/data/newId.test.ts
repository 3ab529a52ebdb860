import { newId } from './newId';

test('ids are UUIDs of version 4, each another, where the browser has no randomUUID', () => {
  const has = Object.getOwnPropertyDescriptor(crypto, 'randomUUID');
  Object.defineProperty(crypto, 'randomUUID', { value: undefined, configurable: true });
  const ids = Array.from({ length: 500 }, newId);
  for (const id of ids) expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
  expect(new Set(ids).size).toBe(ids.length);
  if (has !== undefined) Object.defineProperty(crypto, 'randomUUID', has);
});
