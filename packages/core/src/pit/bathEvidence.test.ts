import { HOUR_MS } from '../clock/spans.js';
import { pieceReleases } from './pieceReleases.js';
import { ON_H, onTheFire } from '../testing/cooked.js';
import { loinFrom } from '../testing/loin.js';
import { checkEntry } from '../check/checkEntry.js';
import type { EntryDraft } from '../log/entryFault.js';
import { usualProgram } from '../recipes/cookPrograms.js';
import type { LogEntry } from '../log/logEntry.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';

const START = Date.parse('2026-10-05T08:00:00Z');
const { done, entries, pit } = onTheFire(START);
const ms = (hours: number) => START + hours * HOUR_MS;
/** A loin that is smoked and finished sealed in water. */
function inTheBath(log: LogEntry[]): BatchRecord {
  const record = loinFrom(START)([...entries, ...log]);
  return { ...record, design: { ...record.design, program: usualProgram({ smoke: 'low', finish: 'waterBath', targetC: 62 }) } };
}
const raised = done(30, 'raise', ON_H + 3, { chamberC: 63, coreC: 40 });
const bath = (seq: number, hours: number, waterC: number) => pit(seq, ON_H + hours, { act: 'bath', waterC });
const closing = (log: LogEntry[], hours: number, values: object = {}, reason?: string) => {
  const { seq: _seq, recordedAt: _recordedAt, ...draft } = done(90, 'core', ON_H + hours, values as never);
  return checkEntry(inTheBath([raised, ...log]), { ...draft, ...(reason === undefined ? {} : { reason }) }, ms(ON_H + hours + 0.1));
};
const after = (log: LogEntry[], hours: number) => replay(inTheBath([raised, ...log]), ms(ON_H + hours));

describe('a sealed piece in a bath whose core nobody read', () => {
  test('with its water read at the start and at the end it is done, and comes off without a reason', () => {
    const log = [bath(31, 3.1, 63), bath(32, 13, 63)];
    expect(closing(log, 13.1)).toEqual([]);
    const record = inTheBath([raised, ...log, done(33, 'core', ON_H + 13.1, {})]);
    const state = replay(record, ms(ON_H + 13.2));
    expect(state.steps.find(({ spec }) => spec.id === 'core')?.closing?.id).toBe('e33');
    expect(pieceReleases(record, state, ms(ON_H + 13.2))).toMatchObject([{ piece: 'A', cooked: 'met' }]);
  });

  test.each([
    ['nothing read of the water', [], 13.1],
    ['read once', [bath(31, 3.1, 63)], 13.1],
    ['read too far apart', [bath(31, 3.1, 63), bath(32, 16, 63)], 16.1],
    ['too short', [bath(31, 3.1, 63), bath(32, 7, 63)], 7.1],
    ['too cold', [bath(31, 3.1, 54), bath(32, 13, 54)], 13.1],
    ['read before it lay in it', [bath(31, 0.5, 63), bath(32, 10, 63)], 10.1],
    ['cold in between', [bath(31, 3.1, 63), bath(32, 8, 45), bath(33, 13, 63)], 13.1],
  ])('%s: a core or a reason is asked for, and with the reason it is called not shown', (_, log, hours) => {
    expect(closing(log, hours)).toMatchObject([{ field: 'reason', message: expect.stringMatching(/neither its core nor its water/) as string }]);
    expect(closing(log, hours, {}, 'Sealed since noon, Wren decided')).toEqual([]);
    const record = inTheBath([raised, ...log, { ...done(40, 'core', ON_H + hours, {}), reason: 'Sealed since noon, Wren decided' }]);
    expect(pieceReleases(record, replay(record, ms(ON_H + hours + 0.1)), ms(ON_H + hours + 0.1))[0]?.cooked).not.toBe('met');
  });

  test('a core that was read counts as ever: too low, it stays in', () => {
    expect(closing([], 8, { instant1C: 63, instant2C: 62.5, instant3C: 63 })).toEqual([]);
    expect(
      after([done(31, 'core', ON_H + 8, { instant1C: 50, instant2C: 51, instant3C: 52 })], 8.1).steps.find(({ spec }) => spec.id === 'core')?.closing,
    ).toBeNull();
    // And belies its bath.
    const log = [bath(31, 3.1, 63), done(34, 'core', ON_H + 12.9, { instant1C: 50, instant2C: 51, instant3C: 52 }), bath(32, 13, 63)];
    const record = inTheBath([raised, ...log]);
    expect(pieceReleases(record, replay(record, ms(ON_H + 13.2)), ms(ON_H + 13.2))[0]?.cooked).not.toBe('met');
  });

  test('water that cannot be is asked about, a piece that is not there refused', () => {
    const event = (given: object) => checkEntry(inTheBath([raised]), { id: 'x', kind: 'pit', by: 'Wren', at: new Date(ms(ON_H + 4)).toISOString(), event: { act: 'bath', ...given } } as EntryDraft, ms(ON_H + 4.1)); // prettier-ignore
    expect(event({ waterC: 145 })).toMatchObject([{ field: 'event.waterC', temperature: { likelyC: expect.closeTo(62.8, 1) as number } }]);
    expect(event({ waterC: 'hot' })).toMatchObject([{ field: 'event.waterC' }]);
    expect(event({ waterC: 62, piece: 'Q' })).toMatchObject([{ field: 'event.piece' }]);
    expect(event({ waterC: 62, piece: 'A' })).toEqual([]);
  });

  test('a core that is read is read in three places', () => {
    expect(closing([], 8, { instant1C: 64 })).toMatchObject([{ field: 'reason', message: expect.stringMatching(/three places/) as string }]);
    expect(closing([], 8, { instant1C: 64 }, 'It fell back into the bath')).toEqual([]);
  });

  test('in a smoker the core is read: nothing of this holds there', () => {
    const { seq: _seq, recordedAt: _recordedAt, ...draft } = done(90, 'core', ON_H + 13, {});
    const smoked = loinFrom(START)([...entries, raised, bath(31, 3.1, 63), bath(32, 13, 63)]);
    expect(checkEntry(smoked, draft as EntryDraft, ms(ON_H + 13.1)).map(({ field }) => field)).toContain('values.instant1C');
  });
});
