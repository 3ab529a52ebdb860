import { DAY_MS } from '@bunkhouse/core';
import type { BatchRequest } from './batchRequest.js';

/** Dates that cannot be meant, as a sentence, or null. */
export function datesFault({ startsAt, readyBy }: Pick<BatchRequest, 'startsAt' | 'readyBy'>, now: number): string | null {
  const days = (Date.parse(startsAt) - now) / DAY_MS;
  if (Number.isNaN(days)) return 'The start needs a date and a time.';
  if (days > 366) return 'That start is more than a year away.';
  if (days < -366) return 'That start is more than a year ago.';
  if (readyBy === undefined) return null;
  const left = (Date.parse(readyBy) - now) / DAY_MS;
  if (Number.isNaN(left)) return 'When it is wanted on the table needs a date and a time.';
  if (left < 0) return 'It is wanted on the table at a time that is past.';
  if (left > 366) return 'It is wanted on the table more than a year from now.';
  if (Date.parse(readyBy) <= Date.parse(startsAt)) return 'It is wanted on the table before the meat comes on.';
  return null;
}
