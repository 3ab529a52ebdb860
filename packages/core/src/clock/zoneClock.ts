import { MINUTE_MS, HOUR_MS, DAY_MS } from './spans.js';
import { offsetMinutes } from './localTime.js';

/**
 * Turns what a wall clock showed into instants, many in a row: what is asked of the zone is kept for each hour. An hour that comes twice is
 * the first of the two, unless that would run back behind the time before it.
 *
 * @returns ms for the wall's time, as ms if it were universal; null for a time that the change of the clocks leaves out
 */
export function zoneClock(timeZone: string): (wallMs: number, previousAt: number | null) => number | null {
  const known = new Map<number, readonly number[]>();
  const offsetsOf = (hour: number): readonly number[] => {
    const kept = known.get(hour);
    if (kept !== undefined) return kept;
    const wall = hour * HOUR_MS;
    const offsets = [...new Set([offsetMinutes(wall - DAY_MS, timeZone), offsetMinutes(wall + DAY_MS, timeZone)])];
    known.set(hour, offsets);
    return offsets;
  };
  return (wallMs, previousAt) => {
    const offsets = offsetsOf(Math.floor(wallMs / HOUR_MS));
    const [only] = offsets;
    if (offsets.length === 1 && only !== undefined) return wallMs - only * MINUTE_MS;
    const fits = offsets
      .map((offset) => ({ at: wallMs - offset * MINUTE_MS, offset }))
      .filter(({ at, offset }) => offsetMinutes(at, timeZone) === offset)
      .map(({ at }) => at)
      .sort((a, b) => a - b);
    const [first, second] = fits;
    if (first === undefined) return null;
    return second !== undefined && previousAt !== null && first <= previousAt ? second : first;
  };
}
