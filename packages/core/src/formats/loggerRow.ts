import { InputError } from '../inputError.js';
import { convert } from '../units/convert.js';
import { readNumberCell, type LoggerFormat } from './loggerFormat.js';
import { isLocal, readTime } from './loggerTime.js';
import { zoneClock } from '../clock/zoneClock.js';
import { inputSays } from '../say/english/inputs.js';
import type { Message } from '../say/message.js';

/** What a probe can read, °C: colder no freezer is, hotter no smoker. */
export const PROBE_RANGE_C = { min: -40, max: 350 } as const;

export interface LoggerReading {
  channel: number;
  /** ms */
  at: number;
  C: number;
}

/** A line of a file: its readings, and what of it cannot be one. A cell that is empty says nothing. */
export interface LoggerLine {
  readings: LoggerReading[];
  /** why something of it is refused, or null */
  refused: Message | null;
}

/**
 * Reads the lines of a logger's file one after the other.
 *
 * @throws InputError for a format that cannot be
 */
export function loggerReader(format: LoggerFormat): (cells: readonly string[]) => LoggerLine {
  const { timeColumn, clockColumn, timeStyle, startAt, decimal, unit, columns } = format;
  if (columns.length === 0) throw new InputError('columns', inputSays('no-temperature-column'));
  if (new Set(columns.map(({ channel }) => channel)).size < columns.length) throw new InputError('columns', inputSays('channel-twice'));
  if (timeStyle === 'elapsed' && startAt === null) throw new InputError('startAt', inputSays('no-start-of-times'));
  const clock = isLocal(timeStyle) ? zoneClock(format.timeZone) : null;
  let previousAt: number | null = null;
  return (cells) => {
    const text = clockColumn === null ? (cells[timeColumn] ?? '') : `${cells[timeColumn] ?? ''} ${cells[clockColumn] ?? ''}`;
    const shown = readTime(text, timeStyle);
    if (shown === null)
      return { readings: [], refused: text.trim() === '' ? inputSays('line-without-time') : inputSays('no-time-like-others', { text: short(text) }) };
    const at: number | null = clock !== null ? clock(shown, previousAt) : timeStyle === 'elapsed' ? shown + (startAt ?? 0) : shown;
    if (at === null) return { readings: [], refused: inputSays('left-out-hour', { text: short(text) }) };
    previousAt = at;
    let refused: Message | null = null;
    const readings = columns.flatMap(({ column, channel }): LoggerReading[] => {
      const cell = cells[column] ?? '';
      if (cell.trim() === '') return [];
      const value = readNumberCell(cell, decimal);
      const C = value === null ? null : unit === 'F' ? convert(value, 'F', 'C') : value;
      if (C !== null && C >= PROBE_RANGE_C.min && C <= PROBE_RANGE_C.max) return [{ channel, at, C }];
      refused = C === null ? inputSays('cell-no-temperature', { text: short(cell) }) : inputSays('cell-no-probe', { text: short(cell) });
      return [];
    });
    return { readings, refused };
  };
}

const SHORT = 30;
const short = (text: string): string => (text.trim().length > SHORT ? `${text.trim().slice(0, SHORT)}…` : text.trim());
