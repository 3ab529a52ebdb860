import type { Message } from '../say/message.js';
import type { LoggerLine } from './loggerRow.js';

/** What a file holds, counted while it is read. */
export interface LoggerTally {
  lines: number;
  readings: number;
  /** lines of which something is refused; the first of them with their number in the file and the reason */
  refusedLines: number;
  refused: { line: number; reason: Message }[];
  /** lines at the time of the line before */
  repeated: number;
  /** lines that run back behind the line before */
  backwards: number;
  /** the longest time that nobody read, ms, and how many are longer than a quarter of an hour */
  longestGapMs: number;
  gaps: number;
  /** ms; null where nothing was read */
  fromAt: number | null;
  toAt: number | null;
}

const MOST_NAMED = 20;
const GAP_MS = 900_000;

export const newTally = (): LoggerTally => ({
  lines: 0,
  readings: 0,
  refusedLines: 0,
  refused: [],
  repeated: 0,
  backwards: 0,
  longestGapMs: 0,
  gaps: 0,
  fromAt: null,
  toAt: null,
});

/** The count with one line more. `lastAt` is the time of the line before it, ms. */
export function tallied(tally: LoggerTally, line: number, { readings, refused }: LoggerLine, lastAt: number | null): LoggerTally {
  const at = readings[0]?.at ?? null;
  const apart = at === null || lastAt === null ? 0 : at - lastAt;
  return {
    lines: tally.lines + 1,
    readings: tally.readings + readings.length,
    refusedLines: tally.refusedLines + (refused === null ? 0 : 1),
    refused: refused === null || tally.refused.length >= MOST_NAMED ? tally.refused : [...tally.refused, { line, reason: refused }],
    repeated: tally.repeated + (at !== null && at === lastAt ? 1 : 0),
    backwards: tally.backwards + (apart < 0 ? 1 : 0),
    longestGapMs: Math.max(tally.longestGapMs, apart),
    gaps: tally.gaps + (apart > GAP_MS ? 1 : 0),
    fromAt: at === null ? tally.fromAt : Math.min(at, tally.fromAt ?? at),
    toAt: at === null ? tally.toAt : Math.max(at, tally.toAt ?? at),
  };
}
