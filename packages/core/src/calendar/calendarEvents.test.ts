import { HOUR_MS } from '../clock/spans.js';
import type { LogEntry } from '../log/logEntry.js';
import { loggedFrom } from '../testing/logged.js';
import { begunFrom, loinFrom } from '../testing/loin.js';
import { calendarEvents } from './calendarEvents.js';

const START = Date.parse('2026-10-19T15:00:00Z');
const at = (hours: number) => new Date(START + hours * HOUR_MS).toISOString();
const done = loggedFrom(START);
const record = loinFrom(START);
const BEGUN = begunFrom(START);
const find = (entries: LogEntry[], stepId: string, zone = 'America/Denver') =>
  calendarEvents(record(entries), START, zone).find((event) => event.stepId === stepId);

describe('the jobs of a batch for a calendar outside', () => {
  test('nothing hangs on when it is asked: the log alone says it', () => {
    expect(calendarEvents(record(BEGUN), START, 'UTC')).toEqual(calendarEvents(record(BEGUN), START, 'UTC'));
    expect(find(BEGUN, 'pull')).toMatchObject({ sequence: 3, changedAt: START + 4 * HOUR_MS, status: 'planned', minutes: 30 });
    expect(find(BEGUN, 'weigh')).toMatchObject({ status: 'done', at: START + 0.2 * HOUR_MS });
  });

  test('turns keep their hour by the clocks; over the night when these are set back each says its own time', () => {
    // Meat in at 13:00 in Denver on October 19; on November 1 the clocks go back, so that 24 hours later is noon.
    const turn = find(BEGUN, 'turn');
    expect(turn?.series).toMatchObject({ everyDays: 1, count: 13, without: [] });
    const [first] = turn?.series?.moved ?? [];
    expect(first).toEqual({ of: Date.parse('2026-11-01T20:00:00Z'), at: Date.parse('2026-11-01T19:00:00Z') });
    // In a place that sets no clocks nothing moves.
    expect(find(BEGUN, 'turn', 'America/Phoenix')?.series?.moved).toEqual([]);
  });

  test('a turn that was moved stands out, one that was missed is left out, the rest stays', () => {
    const moved: LogEntry = {
      id: 'r',
      seq: 4,
      kind: 'replanned',
      changes: { stepAt: { 'turn-3': at(80) } },
      reason: 'Later',
      by: 'Juno',
      at: at(5),
      recordedAt: at(5),
    };
    const series = (entries: LogEntry[]) => find(entries, 'turn', 'UTC')?.series;
    const third = { of: START + 76 * HOUR_MS, at: START + 80 * HOUR_MS };
    expect(series([...BEGUN, moved])).toMatchObject({ moved: [third], without: [] });
    // The fourth is done, the second and third never were.
    expect(series([...BEGUN, moved, done(5, 'turn-1', 28, {}), done(6, 'turn-4', 101, {})])).toMatchObject({
      moved: [],
      without: [START + 52 * HOUR_MS, third.of],
    });
  });

  test('what an earlier plan had and this one has not is cancelled, not forgotten', () => {
    const pumped: LogEntry = {
      id: 'r',
      seq: 1,
      kind: 'replanned',
      changes: { pumpPercent: 8, cureDays: 6 },
      reason: 'Pump',
      by: 'Juno',
      at: at(0.1),
      recordedAt: at(0.1),
    };
    const back: LogEntry = { id: 'w', seq: 2, kind: 'withdrawn', replaces: 'r', reason: 'No', by: 'Juno', at: at(0.2), recordedAt: at(0.2) };
    expect(find([pumped], 'pump')).toMatchObject({ status: 'planned' });
    expect(find([pumped, back], 'pump')).toMatchObject({ status: 'cancelled', sequence: 2, uid: 'b-pump' });
  });

  test('thrown away, everything that was to come is cancelled, what was done stands', () => {
    const ended: LogEntry = { id: 'e', seq: 4, kind: 'ended', reason: 'Smells', by: 'Juno', at: at(30), recordedAt: at(30) };
    const events = calendarEvents(record([...BEGUN, ended]), START, 'UTC');
    expect(new Set(events.map(({ status }) => status))).toEqual(new Set(['done', 'cancelled']));
    expect(events.find(({ stepId }) => stepId === 'pull')?.status).toBe('cancelled');
  });
});
