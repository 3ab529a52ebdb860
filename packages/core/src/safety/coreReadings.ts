import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';

/** A core temperature so many seconds after the first. */
export interface TimedReading {
  s: number;
  C: number;
}

/** Readings further apart than this leave a gap, s; where a log is sparser by its nature, three times its usual distance. */
export const GAP_S = 900;
const GAP_SHARE = 3;

/**
 * Readings in order of time, each instant once.
 *
 * @throws InputError for readings that are none, or run backwards
 */
export function requireReadings(readings: readonly TimedReading[]): readonly TimedReading[] {
  readings.forEach(({ s, C }, i) => {
    requireNumber(`readings.${i}.s`, s, { min: -1e10, max: 1e10, unit: 's' });
    requireNumber(`readings.${i}.C`, C, { min: -40, max: 300, unit: '°C' });
    if (i > 0 && s <= (readings[i - 1]?.s ?? -Infinity)) throw new InputError(`readings.${i}.s`, 'Readings run backwards, or two share an instant.');
  });
  return readings;
}

/** Two readings that follow each other without a gap, or with one. */
export interface ReadingPair {
  from: TimedReading;
  to: TimedReading;
  isGap: boolean;
}

/** Readings two by two. What nobody read between two of them is a gap where they lie much further apart than the others. */
export function readingPairs(readings: readonly TimedReading[]): ReadingPair[] {
  const pairs = readings.slice(1).flatMap((to, i): Omit<ReadingPair, 'isGap'>[] => {
    const from = readings[i];
    return from === undefined ? [] : [{ from, to }];
  });
  const long = pairs.map(({ from, to }) => to.s - from.s).sort((a, b) => a - b);
  const usual = long[Math.floor((long.length - 1) / 2)] ?? 0;
  const most = Math.max(GAP_S, GAP_SHARE * usual);
  return pairs.map((pair) => ({ ...pair, isGap: pair.to.s - pair.from.s > most }));
}
