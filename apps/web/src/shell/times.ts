import { MINUTE_MS } from '@bunkhouse/core';
import dayjs from 'dayjs';

/** `Sat 17, 09:30`; with the month where it is not this one. */
export function dayAndTime(at: number | string, now: number): string {
  const day = dayjs(at);
  if (day.isSame(now, 'day')) return `today ${day.format('HH:mm')}`;
  return day.format(day.isSame(now, 'month') ? 'ddd D, HH:mm' : 'ddd D MMM, HH:mm');
}

/** As short as a ticket has room for: `09:30` today, `Sat 17 09:30` else. */
export const ticketTime = (at: number, now: number): string => dayjs(at).format(dayjs(at).isSame(now, 'day') ? 'HH:mm' : 'ddd D HH:mm');

export const clockTime = (at: number | string): string => dayjs(at).format('HH:mm');
export const dayOf = (at: number | string): string => dayjs(at).format('ddd D MMM');
export const dayWithYear = (at: number | string): string => dayjs(at).format('D MMM YYYY');

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
