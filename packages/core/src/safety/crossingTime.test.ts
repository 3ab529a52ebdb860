import fc from 'fast-check';
import { crossingTime } from './crossingTime.js';

const HOUR = 3_600_000;
/** Newton's law of cooling towards 2 °C, the analytic solution. */
const newton = (startC: number, perH: number) => (h: number) => 2 + (startC - 2) * Math.exp(-perH * h);

describe('crossingTime', () => {
  test('on a curve of Newton cooling the crossing is exact between two readings', () => {
    fc.assert(
      fc.property(fc.double({ min: 56, max: 90, noNaN: true }), fc.double({ min: 0.1, max: 1, noNaN: true }), (startC, perH) => {
        const core = newton(startC, perH);
        const exact = Math.log((startC - 2) / (54 - 2)) / perH;
        const readings = [
          { at: 0, C: startC },
          { at: (exact + 2) * HOUR, C: core(exact + 2) },
        ];
        expect((crossingTime(readings, 54) ?? 0) / HOUR).toBeCloseTo(exact, 6);
      }),
    );
  });

  test('nothing is credited before a reading at or below', () => {
    expect(
      crossingTime(
        [
          { at: 0, C: 60 },
          { at: HOUR, C: 55 },
        ],
        54,
      ),
    ).toBeNull();
    expect(crossingTime([{ at: 0, C: 50 }], 54)).toBeNull();
    expect(crossingTime([], 54)).toBeNull();
  });

  test('a reading on the line is the crossing', () => {
    expect(
      crossingTime(
        [
          { at: 0, C: 60 },
          { at: HOUR, C: 27 },
        ],
        27,
      ),
    ).toBeCloseTo(HOUR, 3);
  });

  test('a core colder than the cold room it was thought to be in still gives a time', () => {
    const at = crossingTime(
      [
        { at: 0, C: 10 },
        { at: HOUR, C: 0 },
      ],
      4,
    );
    expect(at).toBeGreaterThan(0);
    expect(at).toBeLessThan(HOUR);
  });
});
