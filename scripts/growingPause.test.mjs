import { growingPause } from './growingPause.mjs';

test('the pause doubles while something goes on dying, is a minute at the most, and begins anew after a calm', () => {
  let at = 0;
  const pause = growingPause(() => at);
  const pauses = Array.from({ length: 10 }, () => {
    const ms = pause();
    at += ms + 100;
    return ms;
  });
  expect(pauses.slice(0, 4)).toEqual([500, 1000, 2000, 4000]);
  expect(pauses.at(-1)).toBe(60_000);
  at += 200_000;
  expect(pause()).toBe(500);
});
