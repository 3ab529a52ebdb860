import type { Reader } from './reader.js';

/** How an instant stands in a sentence, `{at, time, moment}`: day and hour, the hour alone, the day alone. */
export const INSTANT_STYLES = ['moment', 'clock', 'day'] as const;
export type InstantStyle = (typeof INSTANT_STYLES)[number];

/**
 * An instant as somebody reads it.
 *
 * @param at ms since the epoch
 * @example writtenInstant(Date.parse('2026-11-16T20:25:50Z'), 'moment', { ...PLAIN, clock: 12, dates: 'monthFirst' }) // 'Nov 16, 8:25 pm'
 */
export function writtenInstant(at: number, style: InstantStyle, { clock, dates, timeZone }: Reader): string {
  const parts = new Map(
    partsIn(timeZone)
      .formatToParts(at)
      .map(({ type, value }) => [type, value]),
  );
  const part = (type: Intl.DateTimeFormatPartTypes): string => parts.get(type) ?? '';
  const day = dates === 'monthFirst' ? `${part('month')} ${part('day')}` : `${part('day')} ${part('month')}`;
  const hour = Number(part('hour'));
  const time = clock === 12 ? `${hour % 12 === 0 ? 12 : hour % 12}:${part('minute')} ${hour < 12 ? 'am' : 'pm'}` : `${part('hour')}:${part('minute')}`;
  return style === 'clock' ? time : style === 'day' ? day : `${day}, ${time}`;
}

const known = new Map<string, Intl.DateTimeFormat>();

function partsIn(timeZone: string): Intl.DateTimeFormat {
  const before = known.get(timeZone);
  if (before !== undefined) return before;
  const made = new Intl.DateTimeFormat('en-GB', { timeZone, month: 'short', day: 'numeric', hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
  known.set(timeZone, made);
  return made;
}
