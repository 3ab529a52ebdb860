import { MINUTE_MS, DAY_MIN } from './spans.js';
import { InputError } from '../inputError.js';
import { inputSays } from '../say/english/inputs.js';

const formats = new Map<string, Intl.DateTimeFormat>();

function formatOf(timeZone: string): Intl.DateTimeFormat {
  const known = formats.get(timeZone);
  if (known !== undefined) return known;
  try {
    const made = new Intl.DateTimeFormat('en-US', {
      timeZone,
      hourCycle: 'h23',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    });
    formats.set(timeZone, made);
    return made;
  } catch {
    throw new InputError('timeZone', inputSays('unknown-zone', { timeZone }));
  }
}

/** The clock on the wall at an instant, as ms since the epoch would be if the wall showed universal time. */
function wallMs(at: number, timeZone: string): number {
  const parts: Record<string, number> = {};
  for (const { type, value } of formatOf(timeZone).formatToParts(at)) parts[type] = Number(value);
  const { year = 0, month = 1, day = 1, hour = 0, minute = 0, second = 0 } = parts;
  return Date.UTC(year, month - 1, day, hour, minute, second);
}

/** How far the clocks of a place run ahead of universal time at an instant, min. */
export function offsetMinutes(at: number, timeZone: string): number {
  const whole = Math.floor(at / 1000) * 1000;
  return Math.round((wallMs(whole, timeZone) - whole) / MINUTE_MS);
}

/** A day of a place: `2026-11-23`, and its weekday, 0 for Sunday. */
export function localDay(at: number, timeZone: string): { date: string; weekday: number } {
  const wall = new Date(wallMs(at, timeZone));
  return { date: wall.toISOString().slice(0, 10), weekday: wall.getUTCDay() };
}

/** What the clocks of a place show, min from midnight. */
export const localMinute = (at: number, timeZone: string): number => Math.floor((wallMs(at, timeZone) % (DAY_MIN * MINUTE_MS)) / MINUTE_MS);

/**
 * The instant at which the clocks of a place show a time. A time that a change of the clocks leaves out is that much later; one that
 * comes twice is the first of the two.
 *
 * @param date `2026-11-23`
 * @param minute from midnight, may lie beyond the day
 * @throws InputError for a date or a zone that is none
 */
export function instantOf(date: string, minute: number, timeZone: string): number {
  const midnight = Date.parse(`${date}T00:00:00Z`);
  if (!/^\d{4}-\d\d-\d\d$/.test(date) || !Number.isFinite(midnight) || !Number.isFinite(minute)) throw new InputError('date', inputSays('no-date', { date }));
  const wall = midnight + minute * MINUTE_MS;
  const before = offsetMinutes(wall - DAY_MIN * MINUTE_MS, timeZone);
  const first = wall - before * MINUTE_MS;
  if (offsetMinutes(first, timeZone) === before) return first;
  const after = offsetMinutes(wall + DAY_MIN * MINUTE_MS, timeZone);
  const second = wall - after * MINUTE_MS;
  return offsetMinutes(second, timeZone) === after ? second : first;
}

/** The date so many days after another. */
export const addDays = (date: string, days: number): string =>
  new Date(Date.parse(`${date}T00:00:00Z`) + days * DAY_MIN * MINUTE_MS).toISOString().slice(0, 10);
