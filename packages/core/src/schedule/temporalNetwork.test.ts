import fc from 'fast-check';
import { propagate, type Between } from './temporalNetwork.js';

describe('windows', () => {
  const chain: Between[] = [
    { from: 0, to: 1, least: 10, most: 20, wish: 'comes on' },
    { from: 1, to: 2, least: 30, most: 60, wish: 'cure' },
    { from: 0, to: 2, least: -Infinity, most: 55, wish: 'table' },
  ];
  test('earliest and latest follow from all that is wished', () => {
    const windows = propagate(3, chain);
    expect(windows).toEqual({ earliest: [0, 10, 40], latest: [0, 20, 55] });
  });

  test('wishes that contradict each other are named, and none of them could stay out', () => {
    const wish = fc.record({
      from: fc.integer({ min: 0, max: 5 }),
      to: fc.integer({ min: 0, max: 5 }),
      least: fc.integer({ min: -40, max: 40 }),
      wide: fc.integer({ min: 0, max: 30 }),
    });
    let met = 0;
    fc.assert(
      fc.property(fc.array(wish, { minLength: 2, maxLength: 14 }), (wishes) => {
        const constraints = wishes.flatMap(({ from, to, least, wide }, i): Between[] =>
          from === to ? [] : [{ from, to, least, most: least + wide, wish: `w${i}` }],
        );
        const answer = propagate(6, constraints);
        if (!('conflict' in answer)) {
          for (const { from, to, least, most } of constraints) {
            const gap = (times: number[]) => (times[to] ?? 0) - (times[from] ?? 0);
            // The earliest times of all together are a solution, where they are bound at all.
            if (Number.isFinite(gap(answer.earliest))) expect(gap(answer.earliest)).toBeGreaterThanOrEqual(least - 1e-9);
            if (Number.isFinite(gap(answer.earliest))) expect(gap(answer.earliest)).toBeLessThanOrEqual(most + 1e-9);
          }
          return;
        }
        met += 1;
        const named = constraints.filter((constraint) => answer.conflict.includes(constraint.wish));
        expect('conflict' in propagate(6, named)).toBe(true);
        for (const left of named)
          expect(
            'conflict' in
              propagate(
                6,
                named.filter((other) => other !== left),
              ),
          ).toBe(false);
      }),
      { numRuns: 400, seed: 7 },
    );
    expect(met).toBeGreaterThan(40);
  });
});
