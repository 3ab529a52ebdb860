import { guessTimeStyle, type TimeStyle } from './loggerTime.js';

/** How a file of somebody’s logger is to be read. Columns are counted from 0. */
export interface LoggerFormat {
  /** lines before the first reading */
  headLines: number;
  timeColumn: number;
  /** where the clock stands in a column beside the date */
  clockColumn: number | null;
  timeStyle: TimeStyle;
  /** for times by a wall clock */
  timeZone: string;
  /** for times since the start: when that was, ms */
  startAt: number | null;
  decimal: '.' | ',';
  unit: 'C' | 'F';
  /** columns that hold temperatures, and the channel that each becomes */
  columns: { column: number; channel: number }[];
}

export interface GuessedFormat {
  format: LoggerFormat;
  /** the words above each column, where there are some */
  titles: string[];
  /** what could be otherwise and must be looked at */
  doubts: ('dayOrMonth' | 'unit' | 'start')[];
}

const MOST_HEAD_LINES = 40;
const NUMBER = /^[+-]?\d{1,4}([.,]\d+)?\s*(°?\s?[CF])?$/i;

/** A cell as a number, or null. */
export function readNumberCell(text: string, decimal: '.' | ','): number | null {
  const plain = text.trim().replace(/\s*°?\s?[CF]$/i, '');
  const point = decimal === ',' ? plain.replace(',', '.') : plain;
  return /^[+-]?\d+(\.\d+)?$/.test(point) ? Number(point) : null;
}

const isNumberLike = (text: string): boolean => NUMBER.test(text.trim());

/**
 * How the first lines of a file are most likely to be read; null where no column holds times beside temperatures.
 *
 * @param rows cells of the first lines, titles included
 * @param timeZone that of the house, for times by a wall clock
 * @param now ms since the epoch: what is still to come was not logged
 */
export function guessLoggerFormat(rows: readonly (readonly string[])[], timeZone: string, now?: number): GuessedFormat | null {
  for (let head = 0; head < Math.min(MOST_HEAD_LINES, rows.length); head += 1) {
    const found = guessFrom(rows, head, timeZone, now);
    if (found !== null) return found;
  }
  return null;
}

const MOST_LOOKED_AT = 60;

function guessFrom(rows: readonly (readonly string[])[], head: number, timeZone: string, now: number | undefined): GuessedFormat | null {
  const body = rows.slice(head, head + MOST_LOOKED_AT).filter((row) => row.some((cell) => cell.trim() !== ''));
  const [first] = body;
  if (first === undefined) return null;
  // A line or two may be broken anywhere: most of them must be readable.
  const texts = (column: number) => body.map((row) => row[column] ?? '');
  const titles = head === 0 ? [] : [...(rows[head - 1] ?? [])].map((title) => title.trim());
  for (let column = 0; column < first.length; column += 1) {
    const alone = styleOf(texts(column), now);
    const paired =
      alone === null || !hasClock(texts(column))
        ? styleOf(
            body.map((row) => `${row[column] ?? ''} ${row[column + 1] ?? ''}`),
            now,
          )
        : null;
    const isPaired = paired !== null && (paired.style === 'ymd' || paired.style === 'dmy' || paired.style === 'mdy');
    const time = isPaired ? paired : alone;
    if (time === null) continue;
    const clockColumn = isPaired ? column + 1 : null;
    const measured = first.flatMap((_, other) => (other === column || other === clockColumn || !isMeasured(texts(other)) ? [] : [other]));
    if (measured.length === 0) continue;
    // A count of the lines is no time since the start where something else is.
    if (
      time.style === 'elapsed' &&
      isCount(texts(column)) &&
      first.some((_, other) => other > column && styleOf(texts(other), now) !== null && !isMeasured(texts(other)))
    )
      continue;
    const cells = measured.flatMap(texts);
    const unit = unitOf([...measured.map((other) => titles[other] ?? ''), ...cells.slice(0, 20)]);
    return {
      format: {
        headLines: head,
        timeColumn: column,
        clockColumn,
        timeStyle: time.style,
        timeZone,
        startAt: null,
        decimal: cells.some((cell) => /\d,\d/.test(cell)) ? ',' : '.',
        unit: unit ?? 'C',
        columns: measured.map((other, i) => ({ column: other, channel: i + 1 })),
      },
      titles,
      doubts: [
        ...(time.isSure ? [] : (['dayOrMonth'] as const)),
        ...(unit === null ? (['unit'] as const) : []),
        ...(time.style === 'elapsed' ? (['start'] as const) : []),
      ],
    };
  }
  return null;
}

const READABLE = 0.8;

/** The style of most of some texts: broken lines are left aside. The first line must be one that can be read. */
function styleOf(texts: readonly string[], now: number | undefined): ReturnType<typeof guessTimeStyle> {
  const whole = guessTimeStyle(texts, now);
  if (whole !== null) return whole;
  const [first = ''] = texts;
  const ofFirst = guessTimeStyle([first]);
  if (ofFirst === null) return null;
  const like = texts.filter((text) => guessTimeStyle([text]) !== null);
  return like.length >= texts.length * READABLE ? guessTimeStyle(like, now) : null;
}

const hasClock = (texts: readonly string[]): boolean =>
  texts.some((text) => /\d:\d\d/.test(text) || /^\d{9,13}(\.\d+)?$/.test(text.trim()) || isNumberLike(text));

const isMeasured = (texts: readonly string[]): boolean =>
  isNumberLike(texts.find((text) => text.trim() !== '') ?? '') &&
  texts.filter((text) => isNumberLike(text) || text.trim() === '').length >= texts.length * READABLE;

const isCount = (texts: readonly string[]): boolean => texts.every((text, i) => i === 0 || Number(text) === Number(texts[i - 1]) + 1);

/** The unit that a title or a cell names, or null. */
function unitOf(texts: readonly string[]): 'C' | 'F' | null {
  const named = (unit: RegExp) => texts.some((text) => unit.test(text));
  if (named(/°\s?F|\bF\b|fahrenheit/i)) return 'F';
  return named(/°\s?C|\bC\b|celsius/i) ? 'C' : null;
}
