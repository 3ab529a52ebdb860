import fc from 'fast-check';
import { exactly, minus, over, plus, times, weighed } from './measured.js';

const measured = fc
  .tuple(fc.double({ min: 1, max: 1e4, noNaN: true }), fc.double({ min: 0, max: 0.9, noNaN: true }))
  .map(([value, step]) => weighed(value, step));

describe('doubt', () => {
  test('a 1 g scale on a 4 g dose is 12 % off either way', () => {
    expect(weighed(4, 1)).toEqual({ value: 4, low: 3.5, high: 4.5 });
  });

  test('half a step below nothing is nothing', () => {
    expect(weighed(0.2, 1).low).toBe(0);
  });

  test('the result lies inside its range, whatever is done with it', () => {
    fc.assert(
      fc.property(measured, measured, (a, b) => {
        for (const m of [plus(a, b), minus(a, b), times(a, b), over(a, b)]) {
          expect(m.low).toBeLessThanOrEqual(m.value + 1e-9);
          expect(m.high).toBeGreaterThanOrEqual(m.value - 1e-9);
        }
      }),
    );
  });

  test('a product is never surer than its least sure part', () => {
    fc.assert(
      fc.property(measured, measured, (a, b) => {
        const product = times(a, b);
        const relative = (m: typeof a) => (m.high - m.low) / m.value;
        expect(relative(product)).toBeGreaterThanOrEqual(Math.max(relative(a), relative(b)) - 1e-9);
      }),
    );
  });

  test('nothing is divided by what may be nothing', () => {
    expect(() => over(exactly(1), weighed(0, 1))).toThrow(/as large as the weight/);
  });
});
