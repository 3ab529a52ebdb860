/** @jest-environment node */
import { whileWatched } from './whileWatched';

test('it is begun for the first who watches and ended after the last, and again for the next', () => {
  const told: string[] = [];
  const watch = whileWatched(() => {
    told.push('begun');
    return () => void told.push('ended');
  });
  const [one, other] = [watch(), watch()];
  expect(told).toEqual(['begun']);
  one();
  expect(told).toEqual(['begun']);
  other();
  expect(told).toEqual(['begun', 'ended']);
  watch()();
  expect(told).toEqual(['begun', 'ended', 'begun', 'ended']);
});
