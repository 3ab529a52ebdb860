import { readingPairs, requireReadings, type TimedReading } from './coreReadings.js';

/** The come-up of a core: from 10 to 54 °C (50 to 130 °F) in at most 6 h [P: FSIS Cooking Guideline, from memory]. */
export const COME_UP = { fromC: 10, toC: 54, mostH: 6 } as const;

/**
 * Hours that a core takes from 10 to 54 °C: from the last time it was at 10 °C or below, or from its first reading where that was
 * warmer already, to the first time at 54 °C or above.
 *
 * @returns null until it is at 54 °C
 * @throws InputError for readings that cannot be
 */
export function comeUpHours(readings: readonly TimedReading[]): number | null {
  requireReadings(readings);
  const [first] = readings;
  if (first === undefined) return null;
  if (first.C >= COME_UP.toC) return 0;
  let from = first.s;
  for (const { from: a, to: b } of readingPairs(readings)) {
    const crosses = (C: number) => a.s + ((b.s - a.s) * (C - a.C)) / (b.C - a.C);
    if (b.C <= COME_UP.fromC) from = b.s;
    else if (a.C <= COME_UP.fromC) from = crosses(COME_UP.fromC);
    // What rose while nobody read is counted until it was read.
    if (b.C >= COME_UP.toC) return (Math.min(b.s, crosses(COME_UP.toC)) - from) / 3600;
  }
  return null;
}
