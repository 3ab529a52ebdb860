import { PROBE_RANGE_C, DAY_MS } from '@bunkhouse/core';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsString, MaxLength, MinLength } from 'class-validator';
import { isInstant } from './isInstant.js';
import { Amount, Count, Instant, MayBe, type RuleContext } from './shapes/rules.js';

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
  @ArrayMinSize(1, { message: 'No reading was handed in.' })
  @ArrayMaxSize(MOST_POSTED, { message: `At most ${MOST_POSTED} readings at once.` })
  @IsArray({ message: 'Readings are a list.', context: { part: () => PostedReading } satisfies RuleContext })
  readings: unknown[];
}

/** Readings that somebody brings in by hand, from another logger's file. */
export class BroughtReadingsRequest extends ReadingsRequest {
  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'Who brings them? A name is missing.' })
  @IsString({ message: 'Who brings them? A name is missing.' })
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
): { reading: CheckedReading } | { reason: string } {
  if (typeof line !== 'object' || line === null) return { reason: 'That is no reading: channel, at and C are asked for.' };
  const { channel, at, C, F } = line as Record<string, unknown>;
  if (typeof channel !== 'number' || !channels.has(channel)) return { reason: 'This device has no such channel.' };
  if (!isInstant(at)) return { reason: 'The time is none: an ISO instant with its offset is asked for, such as 2026-10-05T07:00:00Z.' };
  const time = Date.parse(at as string);
  if (time > now + AHEAD_MS) return { reason: 'The time is still to come: the device’s clock is fast.' };
  if (time < now - oldestMs) return { reason: 'The time is too long ago: the clock that wrote it is wrong.' };
  const given = C === undefined && typeof F === 'number' ? ((F - 32) * 5) / 9 : C;
  if (typeof given !== 'number' || !Number.isFinite(given)) return { reason: 'The temperature must be a number.' };
  if (given < PROBE_RANGE_C.min || given > PROBE_RANGE_C.max)
    return { reason: `${Number(given.toFixed(1))} °C is nothing that a probe here can read: it is broken, or not plugged in.` };
  return { reading: { channel, at: time, C: given } };
}
