import { numericQuantity } from 'numeric-quantity';
import { MEASURE_WORDS, NUMBER_WORDS, type Answers, type Measure, type QuestionId } from './words.js';

const FRACTIONS = '¼½¾⅐⅑⅒⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞';
export const NUMBER = `(?:\\d+[ \\u00a0\\u202f]+\\d+\\s*[/⁄]\\s*\\d+|\\d+\\s*[/⁄]\\s*\\d+|\\d*[ \\u00a0\\u202f]?[${FRACTIONS}]|\\d{1,3}(?:[ \\u00a0\\u202f]\\d{3})+(?!\\d)|\\d+(?:[.,]\\d+)*|\\.\\d+)`;
const UNITS = MEASURE_WORDS.map(([pattern]) => pattern).join('|');
const LEVEL = '(?:(level|scant|heaped|heaping|rounded|generous)\\s+)?';
const SYSTEM = '(?:(us|u\\.s\\.|american|imperial|imp\\.?|uk|british)\\s+)?';
export const AMOUNT = new RegExp(`(${NUMBER})(?:\\s*(?:-|–|—|\\bto\\b|\\bor\\b)\\s*(${NUMBER}))?\\s*${LEVEL}${SYSTEM}(?:(${UNITS})(?![\\p{L}])\\.?)?`, 'iu');

/** An amount with its measure, wherever it stands in a line. */
export const MEASURED = new RegExp(`${NUMBER}\\s*${LEVEL}${SYSTEM}(?:${UNITS})(?![\\p{L}])`, 'giu');

/** `2.5 g per kg` says nothing until it is multiplied: never taken as 2.5 g. */
export const RATE =
  /\d[^\n]*(?:\bper\b|[a-z]\s*\/|\beach\b|\bevery\b)\s*(?:\d+\s*)?(?:kg|kilos?|kilograms?|lbs?|pounds?|l|lit(?:er|re)s?|gal(?:lon)?s?|quarts?|qts?)\b/i;

/** One amount of a line, as far as it is certain. */
export interface Amount {
  value: number;
  low: number;
  high: number;
  measure: Measure | null;
  heaped: boolean | null;
  system: 'us' | 'imperial' | null;
}

/** The numbers of a match: one way to read them, or two where a comma is open. */
export function amountsOf(match: RegExpExecArray, answers: Answers, asked: Set<QuestionId>): Amount[] {
  const [whole = '', from = '', to, level, system, unit] = match;
  const measure = measureOf(unit);
  const heaped = level === undefined ? null : !/level|scant/i.test(level);
  const from_ = system === undefined ? null : /us|u\.s|amer/i.test(system) ? ('us' as const) : ('imperial' as const);
  const small = unit === undefined || SMALL.test(unit);
  return numbersOf(from, answers, asked, small).map((value): Amount => {
    const end = to === undefined ? value : (numbersOf(to, answers, asked, small)[0] ?? Number.NaN);
    // `1-1/2` is one and a half, not one to a half.
    const mixed = to !== undefined && /\d\s*-\s*\d+\s*[/⁄]/.test(whole) && end < 1 && Number.isInteger(value);
    const low = mixed ? value + end : Math.min(value, end);
    const high = mixed ? low : Math.max(value, end);
    return { value: (low + high) / 2, low, high, measure, heaped, system: from_ };
  });
}

/** Measures of which a thousand may well be meant. */
const SMALL = /^(?:g|gr|gms?|grams?|grammes?|mls?|cc|millilit(?:er|re)s?)$/i;

function numbersOf(text: string, answers: Answers, asked: Set<QuestionId>, small: boolean): number[] {
  const plain = text
    .replace(/(\d)[\u00a0\u202f]/g, '$1 ')
    .replace(/(\d) (?=\d{3}\b(?!\s*[/⁄]))/g, '$1')
    .replace(/⁄/g, '/');
  const read = (decimalSeparator: '.' | ',') => numericQuantity(plain, { round: false, decimalSeparator });
  if (/^[1-9]\d{0,2},\d{3}$/.test(plain)) {
    asked.add('comma');
    if (answers.comma === 'thousands') return [read('.')];
    if (answers.comma === 'decimal') return [read(',')];
    return [read('.'), read(',')];
  }
  if (small && /^[1-9]\d{0,2}\.\d{3}$/.test(plain)) {
    asked.add('comma');
    if (answers.comma === 'thousands') return [read(',')];
    if (answers.comma === 'decimal') return [read('.')];
    return [read('.'), read(',')];
  }
  const lastComma = plain.lastIndexOf(',');
  return [read(lastComma > plain.lastIndexOf('.') && !/^\d{1,3}(,\d{3})+$/.test(plain) ? ',' : '.')];
}

const MEASURES = MEASURE_WORDS.map(([pattern, measure]) => [new RegExp(`^(?:${pattern})$`, 'i'), measure] as const);

const measureOf = (word: string | undefined): Measure | null => (word === undefined ? null : (MEASURES.find(([pattern]) => pattern.test(word))?.[1] ?? null));

/** `1 lb 4 oz` is a sum; of `1 cup (250 g)` the weight counts. */
function partsJoined(words: string): string {
  const bracketed = /\(([^)]*)\)/.exec(words);
  if (bracketed?.[1] !== undefined && WEIGHT.test(bracketed[1])) {
    const outside = words.replace(bracketed[0], ' ');
    return AMOUNT.test(withoutLabels(outside)) ? outside.replace(AMOUNT, ` ${bracketed[1]} `) : words;
  }
  return words.replace(SECOND_AMOUNT, '$1 + ');
}

const WEIGHT = new RegExp(`${NUMBER}\\s*(?:g|grams?|kgs?|oz|ounces?|lbs?|pounds?)(?![\\p{L}])`, 'iu');
const SECOND_AMOUNT = new RegExp(`((?:${UNITS})(?![\\p{L}])\\.?)\\s+(?=${NUMBER}\\s*(?:${UNITS})(?![\\p{L}]))`, 'giu');

/** `#1` and `0.6 %` name a cure: they are no amounts. */
export const withoutLabels = (part: string): string =>
  part
    .replace(/(#|\bno\.?|\bnr\.?|\bnumber)\s*[12]\b/gi, (found) => '#'.padEnd(found.length, '#'))
    .replace(/\b(cure|curing salt|pink salt)\s+[12]\b/gi, (found) => found.replace(/[12]/, '#'))
    .replace(/\d+(?:[.,]\d+)?\s?(?:%|percent\b)/gi, (found) => ' '.repeat(found.length));

const NUMBER_WORD = new RegExp(`\\b(${Object.keys(NUMBER_WORDS).join('|')})\\b(?=\\s+(?:and|heaped|heaping|level|${UNITS})\\b)`, 'gi');
const ONE_OF = new RegExp(`^\\s*an? (?=(?:heaped |heaping |level |rounded )?(?:${UNITS})\\b)`, 'i');

/** Numbers in words become digits; `t`, `T` and `c` after a number become words. */
function wordsToNumbers(text: string): string {
  return text
    .replace(/[\u2018\u2019]/g, "'")
    .replace(/\bhalf (?:of )?(?:an? )?/gi, '1/2 ')
    .replace(/\b(?:a )?quarter (?:of )?(?:an? )?(?=cup|tea|table|tsp|tbsp|lb|pound|gal|oz|ounce|kilo|kg|lit)/gi, '1/4 ')
    .replace(NUMBER_WORD, (word) => NUMBER_WORDS[word.toLowerCase()] ?? word)
    .replace(/\b(\d+) and (?=\d+\/\d)/g, '$1 ')
    .replace(ONE_OF, '1 ')
    .replace(/(\d\s*)T\b\.?(?=\s)/g, '$1tbsp')
    .replace(/(\d\s*)t\b\.?(?=\s)/g, '$1tsp')
    .replace(/(\d\s*)[cC]\b\.?(?=\s)/g, '$1cup');
}

/** A line with its numbers as digits and its sums joined by ` + `. */
export const amountWords = (text: string): string => partsJoined(wordsToNumbers(text));
