import { afterH } from './afterH.js';

const half = { step: 'meat-in', cureShare: 0.5 } as const;

test('a re-pump half-way falls on the hour at which the meat went in, on the fourth day of seven', () => {
  expect(afterH(half, 7)).toBe(4 * 24);
  expect(afterH(half, 6)).toBe(3 * 24);
  expect(afterH(half, 2.5)).toBe(24);
});

test('where no whole day lies between, it is half of the time', () => {
  expect(afterH(half, 1)).toBe(12);
  expect(afterH(half, 0.8)).toBeCloseTo(9.6);
});

test('a pull is at the end of the days, to the hour, and hours are hours', () => {
  expect(afterH({ step: 'meat-in', cureShare: 1 }, 6.5)).toBe(156);
  expect(afterH({ step: 'start', h: 0.25 }, 7)).toBe(0.25);
});
