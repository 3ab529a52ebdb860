import { AMOUNT, MEASURED, NUMBER, RATE } from './readAmount.js';
import { DESCRIBING } from './words.js';

export const MOST_RECIPE_LINES = 60;

/** A line longer than this is no line of a recipe. */
export const LONGEST_LINE = 300;

/**
 * Splits at line ends and semicolons, at commas that are not inside a number, and before a second amount. Stops a little past the most
 * lines that are read: the rest are only counted.
 */
export function segmentsOf(text: string): { segments: string[]; left: number } {
  const found: string[] = [];
  const parts = text.split(/[\n\r;]+|,(?!\d)|(?<!\d),/).filter((part) => part.trim() !== '');
  let next = 0;
  for (; next < parts.length && found.length <= MOST_RECIPE_LINES; next += 1) {
    const words = partWords(parts[next] ?? '');
    if (words === '') continue;
    if (DESCRIBING.test(words.toLowerCase()) && found.length > 0) found[found.length - 1] += `, ${words}`;
    else found.push(...(words.length > LONGEST_LINE ? [words] : splitSums(words)));
  }
  return { segments: found.slice(0, MOST_RECIPE_LINES), left: Math.max(0, found.length - MOST_RECIPE_LINES) + parts.length - next };
}

/** Without pictures, bullets and numbering. */
const partWords = (part: string): string =>
  part
    .slice(0, 2 * LONGEST_LINE)
    .replace(/\p{Extended_Pictographic}|\u200d|\ufe0f/gu, ' ')
    .replace(/^\s*(?:[-–—•*·▪◦☐✓✔]\s*|\d{1,2}[.)]\s+)+(?=\S)/u, '')
    .trim();

/** `2 cups salt and 1 cup sugar` are two lines; `1 cup plus 2 tbsp salt` is one. */
function splitSums(words: string): string[] {
  return splitThings(words).flatMap(sumsOf);
}

function sumsOf(words: string): string[] {
  const parts = words.split(SECOND_THING);
  const lines: string[] = [];
  let carried = '';
  for (const part of parts) {
    const whole = carried === '' ? part : `${carried} + ${part}`;
    const match = AMOUNT.exec(part);
    const rest = match === null ? part : part.slice(match.index + match[0].length);
    if (/\p{L}/u.test(rest) || parts.length === 1) {
      lines.push(whole);
      carried = '';
    } else carried = whole;
  }
  if (carried !== '') lines.push(carried);
  return lines;
}

/** Words between two amounts that join them into one thing. */
const JOINING = /^(?:plus|and|or|to|of|about|roughly|with|by|x|times|a|an|the|up|at|level|heaped|heaping|scant|rounded|us|imperial|uk|american|british)$/i;

/** `4 L water 100 g salt 30 g cure` are three things: a line is cut before each amount with its measure, or after it where the names come first. */
function splitThings(words: string): string[] {
  if (RATE.test(words) || words.includes('(')) return [words];
  const found = [...words.matchAll(MEASURED)];
  const [first] = found;
  if (first === undefined || found.length < 2) return [words];
  const nameFirst = named(words.slice(0, first.index));
  const cuts = found.slice(1).flatMap((match, i) => {
    const before = found[i];
    const end = before === undefined ? 0 : before.index + before[0].length;
    return named(words.slice(end, match.index)) ? [nameFirst ? end : match.index] : [];
  });
  return [0, ...cuts].map((from, i) => words.slice(from, cuts[i]).trim()).filter((part) => part !== '');
}

const named = (text: string): boolean => (text.match(/\p{L}{3,}/gu) ?? []).some((word) => !JOINING.test(word));

const SECOND_THING = new RegExp(`\\s+(?:and|plus|&|\\+)\\s+(?=${NUMBER})`, 'iu');
