import fc from 'fast-check';
import { lethality } from '../safety/lethality.js';
import { sameCurve } from './sameCurve.js';

const readings = fc
  .array(fc.record({ s: fc.integer({ min: 1, max: 60 }), C: fc.double({ min: -20, max: 120, noNaN: true }) }), { maxLength: 80 })
  .map((steps) => {
    let s = 0;
    return steps.map((step) => ({ s: (s += step.s), C: Math.round(step.C * 100) / 100 }));
  });

test('whatever is left out lies within the tolerance of the line between its neighbours that stay', () => {
  fc.assert(
    fc.property(readings, fc.double({ min: 0, max: 5, noNaN: true }), (all, withinC) => {
      const kept = sameCurve(all, withinC);
      for (const { s, C } of all) {
        const after = kept.findIndex((own) => own.s >= s);
        const [a, b] = [kept[Math.max(0, after - 1)], kept[after]];
        if (a === undefined || b === undefined) throw new Error('the last one is missing');
        const line = b.s === a.s ? b.C : a.C + ((s - a.s) / (b.s - a.s)) * (b.C - a.C);
        expect(Math.abs(C - line)).toBeLessThanOrEqual(withinC + 1e-9);
      }
    }),
  );
});

test('first and last stay; thin is left as it is; with no tolerance only what lies on the line goes', () => {
  fc.assert(
    fc.property(readings, (all) => {
      const kept = sameCurve(all, 0.1);
      expect(kept[0]).toBe(all[0]);
      expect(kept.at(-1)).toBe(all.at(-1));
      expect(sameCurve(kept, 0.1)).toEqual(kept);
    }),
  );
  expect(
    sameCurve(
      [0, 10, 20].map((s) => ({ s, C: s })),
      0,
    ),
  ).toHaveLength(2);
  expect(sameCurve([], 0.1)).toEqual([]);
});

test('a cook that is thinned to 0.1 °C reaches the same lethality within 3 %', () => {
  // 10^(0.1 / 10) is 2.3 %: a tenth of a degree, by the z of 10 °C.
  const cook = Array.from({ length: 720 }, (_, i) => ({ s: i * 10, C: 4 + 62 * (1 - Math.exp(-i / 300)) + 0.04 * Math.sin(i) }));
  const kept = sameCurve(cook, 0.1);
  // While it is hot the readings stay near: of two the lower counts.
  expect(kept.length).toBeLessThan(cook.length / 6);
  const [all, thin] = [lethality(cook).sum, lethality(kept).sum];
  expect(Math.abs(thin / all - 1)).toBeLessThan(0.03);
});

test.each([-1, Number.NaN])('a tolerance of %d is refused', (withinC) => {
  expect(() => sameCurve([], withinC)).toThrow(/withinC|How far/);
});
