import { MINUTE_MS } from '@bunkhouse/core';
import dayjs, { type Dayjs } from 'dayjs';
import { languageHere, patternIn } from './language';

/** A day or an hour as this house writes it: `D MMM, HH:mm` is `17 Oct, 15:30` here and `Oct 17, 3:30 pm` there. */
export const writtenTime = (at: Dayjs | number | string, pattern: string): string => dayjs(at).format(patternIn(pattern, languageHere()));

/** `Sat 17, 09:30`; with the month where it is not this one. */
export function dayAndTime(at: number | string, now: number): string {
  const day = dayjs(at);
  if (day.isSame(now, 'day')) return `today ${writtenTime(day, 'HH:mm')}`;
  return writtenTime(day, day.isSame(now, 'month') ? 'ddd D, HH:mm' : 'ddd D MMM, HH:mm');
}

/** As short as a ticket has room for: `09:30` today, `Sat 17 09:30` else. */
export const ticketTime = (at: number, now: number): string => writtenTime(at, dayjs(at).isSame(now, 'day') ? 'HH:mm' : 'ddd D HH:mm');

export const clockTime = (at: number | string): string => writtenTime(at, 'HH:mm');
export const dayOf = (at: number | string): string => writtenTime(at, 'ddd D MMM');
export const dayWithYear = (at: number | string): string => writtenTime(at, 'D MMM YYYY');

/** For a date and time field. */
export const fieldTime = (at: number | string): string => dayjs(at).format('YYYY-MM-DDTHH:mm');

/** How far off: `now`, `12 min`, `3 h 42`, `6 d 4 h`. */
export function span(ms: number): string {
  const minutes = Math.floor(Math.abs(ms) / MINUTE_MS);
  if (minutes < 1) return 'now';
  if (minutes < 60) return `${minutes} min`;
  const hours = Math.floor(minutes / 60);
  if (hours < 24) return `${hours} h ${String(minutes % 60).padStart(2, '0')}`;
  return `${Math.floor(hours / 24)} d ${hours % 24} h`;
}
