import type { BookLine, BookUnit, FaceShares, Message } from '@bunkhouse/core';
import { digits, inWords } from '../quantities';
import type { Preferences } from '../../reader/preferences';
import { SCHOOL_WORDS, VERDICT_WORDS } from './tradeWords';

const QUANTITIES = { g: 'mass', mm: 'length', C: 'temperature' } as const;
const SIGNS: Readonly<Record<Exclude<BookUnit, 'g' | 'mm' | 'C'>, readonly [sign: string, places: number]>> = {
  '%': ['%', 2],
  ppm: ['ppm', 1],
  d: ['days', 1],
  h: ['h', 1],
  min: ['min', 0],
  count: ['', 0],
};

const WORDS: Readonly<Record<string, string>> = {
  ...VERDICT_WORDS,
  ...Object.fromEntries(Object.entries(SCHOOL_WORDS).map(([school, [name]]) => [school, name])),
};

/** A cell of the book: `2 600 g`, `right`, or a dash. */
export function bookCell(value: BookLine['actual'], unit: BookLine['unit'], shown: Preferences, say: (message: Message) => string): string {
  if (value === null) return '–';
  if (typeof value === 'object') return say(value);
  if (typeof value === 'string') return WORDS[value] ?? value;
  if (unit === 'g' || unit === 'mm' || unit === 'C') return inWords(value, QUANTITIES[unit], shown);
  const [sign, places] = unit === null ? ['', 2] : SIGNS[unit];
  return `${digits(value, places)} ${sign}`.trim();
}

/** `24 % grey, 21 to 28`: what lies between the two marks, with its doubt. */
export const greyInWords = ({ greyPercent, low, high }: FaceShares): string =>
  `${digits(greyPercent, 0)} % grey${Math.round(low) === Math.round(high) ? '' : `, ${digits(low, 0)} to ${digits(high, 0)}`}`;

/** Money of the house: two places, no sign, as its lots were written down. */
export const money = (amount: number): string => digits(amount, 2);
