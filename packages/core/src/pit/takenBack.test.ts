import { HOUR_MS } from '../clock/spans.js';
import type { LogEntry } from '../log/logEntry.js';
import { ON_H, onTheFire } from '../testing/cooked.js';
import { loinFrom } from '../testing/loin.js';
import { takenBack } from './takenBack.js';

const START = Date.parse('2026-10-05T08:00:00Z');
const { done, entries } = onTheFire(START);
const ms = (hours: number) => START + hours * HOUR_MS;
const OFF_H = ON_H + 5;
const chilled: LogEntry[] = [
  done(20, 'raise', ON_H + 2.5, { chamberC: 82, coreC: 45 }),
  done(21, 'core', OFF_H, { instant1C: 66, instant2C: 65, instant3C: 66 }),
  done(22, 'into-cold', OFF_H + 0.4, { coreC: 58 }),
  done(23, 'gate-first', OFF_H + 3, { coreC: 24 }),
];
const back = (more: LogEntry[], hours: number) => takenBack(loinFrom(START)([...entries, ...chilled, ...more]), [], ms(hours));
const corrected = (seq: number, hours: number, replaces: string, values: object): LogEntry =>
  ({ ...done(seq, 'core', hours, {}), id: `c${seq}`, kind: 'correction', replaces, values, reason: 'Read again in the notebook' }) as never;

describe('takenBack', () => {
  test('nothing, while all that was met is met', () => {
    expect(back([], OFF_H + 3.1)).toEqual([]);
    expect(takenBack(loinFrom(START)(), [], ms(1))).toEqual([]);
  });

  test('a gate that a later, warmer reading takes back: with the time that stood, and the entry', () => {
    const warm = done(24, 'gate-second', OFF_H + 4, { coreC: 31 });
    const [gate, ...rest] = back([warm], OFF_H + 4.1);
    expect(rest).toEqual([]);
    expect(gate).toMatchObject({ piece: 'A', of: 'gate-1', entry: { id: warm.id }, at: Date.parse(warm.recordedAt) });
    // Its clock begins at 130 °F, some time after it came off.
    expect((gate?.before ?? 0) / 3600).toBeGreaterThan(1);
    expect((gate?.before ?? 0) / 3600).toBeLessThan(3);
  });

  test('heat that a correction takes back: with the sum that stood, and who corrected it', () => {
    const truth = corrected(25, OFF_H + 3.5, chilled[1]?.id ?? '', { instant1C: 52, instant2C: 51, instant3C: 52 });
    const heat = back([truth], OFF_H + 3.6).find(({ of }) => of === 'heat');
    expect(heat).toMatchObject({ piece: 'A', entry: { id: truth.id, kind: 'correction' } });
    expect(heat?.before).toBeGreaterThanOrEqual(1);
  });

  test('what is put right again is taken back no more', () => {
    const wrong = corrected(25, OFF_H + 3.5, chilled[1]?.id ?? '', { instant1C: 52, instant2C: 51, instant3C: 52 });
    const right = corrected(26, OFF_H + 3.7, wrong.id, { instant1C: 66, instant2C: 65, instant3C: 66 });
    expect(back([wrong, right], OFF_H + 3.8).filter(({ of }) => of === 'heat')).toEqual([]);
  });
});
