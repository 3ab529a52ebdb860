import { DAY_MS } from '../clock/spans.js';

/** How a logger writes its times. `local` ones by a wall clock in a zone; `elapsed` ones since it was started. */
export const TIME_STYLES = ['instant', 'ymd', 'dmy', 'mdy', 'epochS', 'epochMs', 'elapsed'] as const;
export type TimeStyle = (typeof TIME_STYLES)[number];

/** Styles that need a zone to be instants. */
export const isLocal = (style: TimeStyle): boolean => style === 'ymd' || style === 'dmy' || style === 'mdy';

const INSTANT = /^\d{4}-\d\d-\d\d[T ]\d\d:\d\d(:\d\d(\.\d{1,9})?)?\s?(Z|[+-]\d\d:?\d\d)$/i;
const WALL = /^(\d{1,4})[-/.](\d{1,2})[-/.](\d{1,4})(?:[T ,]+(\d{1,2}):(\d\d)(?::(\d\d)(?:[.,]\d{1,9})?)?\s*([ap]\.?m\.?)?)?$/i;
const ELAPSED = /^(?:(\d{1,4}):)?(\d{1,4}):(\d\d)(?:[.,]\d{1,9})?$/;

/**
 * A time as it stands in a file: for `local` styles what the wall clock showed, as ms if it were universal; for `elapsed` ones ms since
 * the start; for the others the instant. Null where it is no such time.
 */
export function readTime(text: string, style: TimeStyle): number | null {
  const plain = text.trim();
  switch (style) {
    case 'instant':
      return INSTANT.test(plain) ? finite(Date.parse(plain.replace(/^(\S+) (\d)/, '$1T$2').replace(/\s+(?=[Z+-])/i, ''))) : null;
    case 'epochS':
      return /^\d{9,10}(\.\d+)?$/.test(plain) ? Number(plain) * 1000 : null;
    case 'epochMs':
      return /^\d{12,13}$/.test(plain) ? Number(plain) : null;
    case 'elapsed':
      return readElapsed(plain);
    default:
      return readWall(plain, style);
  }
}

/** Seconds as a number, or hours, minutes and seconds. */
function readElapsed(plain: string): number | null {
  if (/^\d{1,7}([.,]\d+)?$/.test(plain)) return Number(plain.replace(',', '.')) * 1000;
  const match = ELAPSED.exec(plain);
  if (match === null) return null;
  const [, hours = '0', minutes = '0', seconds = '0'] = match;
  return Number(seconds) > 59 ? null : ((Number(hours) * 60 + Number(minutes)) * 60 + Number(seconds)) * 1000;
}

function readWall(plain: string, style: 'ymd' | 'dmy' | 'mdy'): number | null {
  const match = WALL.exec(plain);
  if (match === null) return null;
  const [, first = '', second = '', third = '', hour = '0', minute = '0', seconds = '0', half] = match;
  const [year, month, day] = { ymd: [first, second, third], dmy: [third, second, first], mdy: [third, first, second] }[style] as [string, string, string];
  if (year.length !== 4 && year.length !== 2) return null;
  const fullYear = year.length === 2 ? 2000 + Number(year) : Number(year);
  const hours = hourOf(Number(hour), half);
  const at = Date.UTC(fullYear, Number(month) - 1, Number(day), hours ?? 0, Number(minute), Number(seconds));
  const back = new Date(at);
  // The 31st of a month of thirty, or a 14th month, would roll over.
  const isSame = back.getUTCMonth() === Number(month) - 1 && back.getUTCDate() === Number(day) && back.getUTCFullYear() === fullYear;
  return hours === null || Number(minute) > 59 || Number(seconds) > 59 || !isSame ? null : at;
}

function hourOf(hour: number, half: string | undefined): number | null {
  if (half === undefined) return hour <= 23 ? hour : null;
  if (hour < 1 || hour > 12) return null;
  return (hour % 12) + (/^p/i.test(half) ? 12 : 0);
}

const finite = (at: number): number | null => (Number.isFinite(at) ? at : null);

/**
 * The style in which all of some times can be read: of several the one that runs forwards, is not still to come, and is the latest, since
 * a log is mostly brought in soon. `isSure` is false where day and month could be either.
 *
 * @param now ms since the epoch, for times by a wall clock
 */
export function guessTimeStyle(texts: readonly string[], now = Infinity): { style: TimeStyle; isSure: boolean } | null {
  const given = texts.filter((text) => text.trim() !== '');
  if (given.length === 0) return null;
  const fits = TIME_STYLES.filter((style) => given.every((text) => readTime(text, style) !== null));
  const timesBy = (style: TimeStyle) => given.map((text) => readTime(text, style) ?? 0);
  const forwards = fits.filter((style) => runsForwards(timesBy(style)));
  const latest = (style: TimeStyle) => Math.max(...timesBy(style));
  // A wall clock may be a day ahead of the universal one.
  const been = forwards.filter((style) => !isLocal(style) || latest(style) <= now + DAY_MS);
  const likely = [been, forwards, fits].find((styles) => styles.length > 0) ?? [];
  const [first] = likely;
  if (first === undefined) return null;
  if (first !== 'dmy' && first !== 'mdy') return { style: first, isSure: true };
  const either = likely.filter((style) => style === 'dmy' || style === 'mdy');
  const style = Number.isFinite(now) ? either.reduce((a, b) => (latest(b) > latest(a) ? b : a)) : first;
  return { style, isSure: either.length < 2 };
}

const runsForwards = (times: readonly number[]): boolean => times.every((time, i) => i === 0 || time >= (times[i - 1] ?? -Infinity));
