import { DAY_MS, type Message } from '@bunkhouse/core';
import type { BatchRequest } from './batchRequest.js';
import { apiSays } from './say/ruleWords.js';

/** Dates that cannot be meant, as a sentence by its code, or null. */
export function datesFault({ startsAt, readyBy }: Pick<BatchRequest, 'startsAt' | 'readyBy'>, now: number): Message | null {
  const days = (Date.parse(startsAt) - now) / DAY_MS;
  if (Number.isNaN(days)) return apiSays('start-missing');
  if (days > 366) return apiSays('start-far-ahead');
  if (days < -366) return apiSays('start-long-ago');
  if (readyBy === undefined) return null;
  const left = (Date.parse(readyBy) - now) / DAY_MS;
  if (Number.isNaN(left)) return apiSays('ready-by-none');
  if (left < 0) return apiSays('ready-by-past');
  if (left > 366) return apiSays('ready-by-far-ahead');
  if (Date.parse(readyBy) <= Date.parse(startsAt)) return apiSays('ready-by-before-start');
  return null;
}
