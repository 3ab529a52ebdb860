import { HOUR_S } from '../clock/spans.js';
import fc from 'fast-check';
import { every } from '../testing/cooked.js';
import { coldAlarms, coldWatch, WARM_MOST_S } from './coldWatch.js';

const STORE = { id: 'refrigerator', name: 'Refrigerator' };

describe('a refrigerator’s log', () => {
  test('time over 4 °C adds up, between two readings by a straight way; at 4 °C it is cold', () => {
    expect(
      coldWatch(
        every(0, 7200, () => 4),
        0,
        7200,
      ),
    ).toMatchObject({ warmS: 0, state: 'cold', warmSinceS: null });
    // Up from 2 to 6 °C in ten minutes and down again: over 40 °F exactly, 1.556 of four degrees, for 233 s of each.
    const door = [...every(0, 3600, () => 2), { s: 4200, C: 6 }, { s: 4800, C: 2 }, ...every(4860, 7200, () => 2)];
    expect(coldWatch(door, 0, 7200)).toMatchObject({ warmestC: 6, state: 'cold' });
    expect(coldWatch(door, 0, 7200).warmS).toBeCloseTo((2 * 600 * (6 - 40 / 9)) / 4, 6);
  });

  test('six doors of ten minutes are an hour in all, and news to nobody; half an hour at once is told', () => {
    const doors = every(0, 6 * HOUR_S, (s) => (s % HOUR_S < 600 ? 7 : 2));
    const watch = coldWatch(doors, 0, 6 * HOUR_S);
    expect(watch.warmS).toBeGreaterThan(5 * 600);
    expect(coldAlarms(coldWatch(doors, 0, 6 * HOUR_S - 60), STORE)).toEqual([]);
    const broken = (minutes: number) =>
      coldAlarms(
        coldWatch(
          every(0, HOUR_S + minutes * 60, (s) => (s < HOUR_S ? 2 : 8)),
          0,
          HOUR_S + minutes * 60,
        ),
        STORE,
      );
    expect(broken(29)).toEqual([]);
    expect(broken(32)).toMatchObject([{ kind: 'cold', level: 'caution', key: 'cold:refrigerator' }]);
  });

  test('four hours in all are still a caution, a minute more asks for a decision', () => {
    const warm = (s: number) =>
      coldWatch(
        every(0, s, () => 8),
        0,
        s,
      );
    expect(warm(WARM_MOST_S).state).toBe('warm');
    expect(warm(WARM_MOST_S + 60).state).toBe('over');
    expect(coldAlarms(warm(WARM_MOST_S + 60), STORE)).toMatchObject([{ level: 'danger', fact: { message: expect.stringMatching(/4 h 01 in all/) as string } }]);
  });

  test('what nobody read is neither cold nor warm: gaps, and the time before the logger hung there', () => {
    const readings = [...every(1800, 3600, () => 3), ...every(3 * HOUR_S, 4 * HOUR_S, () => 3)];
    expect(coldWatch(readings, 0, 4 * HOUR_S)).toMatchObject({ unreadS: 1800 + 2 * HOUR_S, warmS: 0 });
    expect(coldWatch([], 0, HOUR_S)).toMatchObject({ unreadS: HOUR_S, warmestC: null, last: null, state: 'cold' });
  });

  test('two readings five days apart are no log: what lies between them was not read', () => {
    expect(
      coldWatch(
        [
          { s: 0, C: 3 },
          { s: 5 * 24 * HOUR_S, C: 3 },
        ],
        0,
        5 * 24 * HOUR_S,
      ).unreadS,
    ).toBe(5 * 24 * HOUR_S);
  });

  test('only the time that the meat lay in it counts', () => {
    expect(
      coldWatch(
        every(0, 8 * HOUR_S, (s) => (s < 4 * HOUR_S ? 9 : 2)),
        4 * HOUR_S,
        8 * HOUR_S,
      ).warmS,
    ).toBe(0);
  });

  test('warm, cold and unread times never add up to more than the whole; warmer is never less', () => {
    const log = fc.array(fc.record({ s: fc.integer({ min: 0, max: 100_000 }), C: fc.integer({ min: -50, max: 150 }).map((tenth) => tenth / 10) }), {
      maxLength: 60,
    });
    fc.assert(
      fc.property(log, fc.integer({ min: 0, max: 50 }), (list, warmer) => {
        const readings = [...new Map(list.map((reading) => [reading.s, reading])).values()].sort((a, b) => a.s - b.s);
        const { warmS, longestS, unreadS } = coldWatch(readings, 0, 100_000);
        expect(warmS + unreadS).toBeLessThanOrEqual(100_000 + 1e-6);
        expect(longestS).toBeLessThanOrEqual(warmS + 1e-6);
        const more = readings.map(({ s, C }) => ({ s, C: C + warmer / 10 }));
        expect(coldWatch(more, 0, 100_000).warmS).toBeGreaterThanOrEqual(warmS - 1e-6);
      }),
    );
  });
});
