import { PROBE_RANGE_C, DAY_MS, type Message } from '@bunkhouse/core';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsString, MaxLength, MinLength } from 'class-validator';
import { isInstant } from './isInstant.js';
import { Amount, Count, Instant, MayBe } from './shapes/rules.js';
import { apiSays, told, withSchema } from './say/ruleWords.js';

/** Most readings of one post. */
export const MOST_POSTED = 3000;

/** A reading as a device writes it down: °C or °F. */
export class PostedReading {
  @Count({ min: 1, max: 64 }) channel: number;
  @Instant() at: string;
  @MayBe() @Amount('°C') C?: number;
  @MayBe() @Amount('°F') F?: number;
}

/** Readings as a device hands them in: each line stands for itself. */
export class ReadingsRequest {
  @ArrayMinSize(1, told('readings-readings-count-least'))
  @ArrayMaxSize(MOST_POSTED, told('readings-readings-count-most', { most: MOST_POSTED }))
  @IsArray(withSchema(told('readings-readings-list'), { part: () => PostedReading }))
  readings: unknown[];
}

/** Readings that somebody brings in by hand, from another logger's file. */
export class BroughtReadingsRequest extends ReadingsRequest {
  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('brought-readings-by-missing'))
  @IsString(told('brought-readings-by-missing'))
  by: string;
}

/** A reading that may be kept. */
export interface CheckedReading {
  channel: number;
  /** ms */
  at: number;
  C: number;
}

const AHEAD_MS = 120_000;
/** What a device hands in is of these days; a file may be of years ago. */
export const OLDEST_MS = { device: 60 * DAY_MS, file: 3660 * DAY_MS } as const;

/**
 * A line as a reading, or why it is none.
 *
 * @param channels those that the device has
 * @param now ms
 * @param oldestMs how long ago it may be
 */
export function checkReading(
  line: unknown,
  channels: ReadonlySet<number>,
  now: number,
  oldestMs: number = OLDEST_MS.device,
): { reading: CheckedReading } | { reason: Message } {
  if (typeof line !== 'object' || line === null) return { reason: apiSays('reading-none') };
  const { channel, at, C, F } = line as Record<string, unknown>;
  if (typeof channel !== 'number' || !channels.has(channel)) return { reason: apiSays('reading-no-channel') };
  if (!isInstant(at)) return { reason: apiSays('reading-no-time') };
  const time = Date.parse(at as string);
  if (time > now + AHEAD_MS) return { reason: apiSays('reading-to-come') };
  if (time < now - oldestMs) return { reason: apiSays('reading-long-ago') };
  const given = C === undefined && typeof F === 'number' ? ((F - 32) * 5) / 9 : C;
  if (typeof given !== 'number' || !Number.isFinite(given)) return { reason: apiSays('reading-no-number') };
  if (given < PROBE_RANGE_C.min || given > PROBE_RANGE_C.max) return { reason: apiSays('reading-no-probe', { C: given }) };
  return { reading: { channel, at: time, C: given } };
}
