import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import { inputSays } from '../say/english/inputs.js';

/** A core temperature so many seconds after the first. */
export interface TimedReading {
  s: number;
  C: number;
}

/** A core temperature at an instant. */
export interface CoreReading {
  /** ms since the epoch */
  at: number;
  C: number;
}

/** Readings further apart than this leave a gap, s. */
export const GAP_S = 900;

/**
 * Readings in order of time, each instant once.
 *
 * @throws InputError for readings that are none, or run backwards
 */
export function requireReadings(readings: readonly TimedReading[]): readonly TimedReading[] {
  readings.forEach(({ s, C }, i) => {
    requireNumber(`readings.${i}.s`, s, { min: -1e10, max: 1e10, unit: 's' });
    requireNumber(`readings.${i}.C`, C, { min: -40, max: 300, unit: '°C' });
    if (i > 0 && s <= (readings[i - 1]?.s ?? -Infinity)) throw new InputError(`readings.${i}.s`, inputSays('readings-backwards'));
  });
  return readings;
}

/** Two readings that follow each other without a gap, or with one. */
export interface ReadingPair {
  from: TimedReading;
  to: TimedReading;
  isGap: boolean;
}

/** Readings two by two. What nobody read between two of them is a gap. */
export function readingPairs(readings: readonly TimedReading[], mostGapS = GAP_S): ReadingPair[] {
  const pairs = readings.slice(1).flatMap((to, i): Omit<ReadingPair, 'isGap'>[] => {
    const from = readings[i];
    return from === undefined ? [] : [{ from, to }];
  });
  return pairs.map((pair) => ({ ...pair, isGap: pair.to.s - pair.from.s > mostGapS }));
}

/** A logger that reads seldom by its nature leaves a gap after three times its usual distance, s; never more than two hours are taken for read. */
export function loggerGapS(readings: readonly TimedReading[]): number {
  const long = readings
    .slice(1)
    .map(({ s }, i) => s - (readings[i]?.s ?? s))
    .sort((a, b) => a - b);
  const usual = long[Math.floor((long.length - 1) / 2)] ?? 0;
  return Math.min(LONGEST_GAP_S, Math.max(GAP_S, GAP_SHARE * usual));
}

const GAP_SHARE = 3;
const LONGEST_GAP_S = 7200;
