import { HOUR_MS } from '../clock/spans.js';
import fc from 'fast-check';
import { addDays, instantOf, localDay, offsetMinutes } from '../clock/localTime.js';
import { requireHours, workSpans, type WorkingHours } from './workingHours.js';

const hours: WorkingHours = {
  timeZone: 'UTC',
  week: Array.from({ length: 7 }, (_, day) => (day === 0 ? [] : [{ fromMin: 7 * 60, toMin: 18 * 60 }])),
  daysOff: [],
  hands: 1,
  nightWatch: ['chill'],
};

describe('clocks of a place', () => {
  test.each([
    ['2026-03-08', 'America/Denver', 23],
    ['2026-11-01', 'America/Denver', 25],
    ['2027-03-28', 'Europe/Zurich', 23],
    ['2026-10-05', 'Asia/Kolkata', 24],
  ])('%s in %s has %d hours', (date, zone, length) => {
    expect((instantOf(addDays(date, 1), 0, zone) - instantOf(date, 0, zone)) / HOUR_MS).toBe(length);
  });

  test('a time that is left out is that much later, one that comes twice is the first', () => {
    expect(new Date(instantOf('2026-03-08', 150, 'America/Denver')).toISOString()).toBe('2026-03-08T09:30:00.000Z');
    expect(new Date(instantOf('2026-11-01', 90, 'America/Denver')).toISOString()).toBe('2026-11-01T07:30:00.000Z');
  });

  test('whatever the instant and the place: its clock leads back to it, but in the hour that comes twice', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: Date.parse('2026-01-01'), max: Date.parse('2030-01-01') }),
        fc.constantFrom('America/Denver', 'Europe/Zurich', 'Asia/Kolkata', 'Australia/Lord_Howe', 'UTC'),
        (ms, zone) => {
          const instant = Math.floor(ms / 60_000) * 60_000;
          const { date } = localDay(instant, zone);
          const minute = (instant + offsetMinutes(instant, zone) * 60_000 - Date.parse(`${date}T00:00:00Z`)) / 60_000;
          const back = instantOf(date, minute, zone);
          expect(Math.abs(back - instant)).toBeLessThanOrEqual(HOUR_MS);
          expect(back + offsetMinutes(back, zone) * 60_000).toBe(instant + offsetMinutes(instant, zone) * 60_000);
        },
      ),
    );
  });

  test('a day’s work is from seven to six on the night when the clocks change, too; a day off has none', () => {
    const ranch = { ...hours, timeZone: 'America/Denver', week: hours.week.map(() => [{ fromMin: 420, toMin: 1080 }]), daysOff: ['2026-11-02'] };
    const spans = workSpans(ranch, Date.parse('2026-10-31T06:00:00Z'), Date.parse('2026-11-03T07:00:00Z'));
    expect(spans.map((span) => new Date(span.from).toISOString())).toEqual(['2026-10-31T13:00:00.000Z', '2026-11-01T14:00:00.000Z']);
    expect(spans.every((span) => span.to - span.from === 11 * HOUR_MS)).toBe(true);
  });

  test('zones and spans that are none are refused', () => {
    expect(() => instantOf('2026-10-05', 0, 'Mars/Olympus')).toThrow(/no time zone/);
    expect(() => instantOf('soon', 0, 'UTC')).toThrow(/no date/);
    expect(() => requireHours({ ...hours, week: hours.week.map(() => [{ fromMin: 900, toMin: 400 }]) })).toThrow(/ends before it begins/);
  });
});
