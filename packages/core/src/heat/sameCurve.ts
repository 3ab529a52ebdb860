import { InputError } from '../inputError.js';
import { inputSays } from '../say/english/inputs.js';

/**
 * The readings that draw the same curve: each one that is left out lies within `withinC` of the straight line between those kept before and
 * after it. The first and the last stay. Where it is hot enough to count for lethality they stay near each other as well: of two the lower
 * counts, and what lies far apart proves nothing. Thinning what is thin already leaves it as it is.
 *
 * Source: line simplification after Ramer (1972) and Douglas and Peucker (1973), with the distance taken in °C alone.
 *
 * @param readings in order of time, s and °C
 * @param withinC °C, 0 or more
 * @returns those kept, in their order
 * @throws InputError where `withinC` is no number of 0 or more
 * @example sameCurve([{ s: 0, C: 2 }, { s: 10, C: 2.05 }, { s: 20, C: 2 }], 0.1).length // 2
 */
export function sameCurve<R extends { s: number; C: number }>(readings: readonly R[], withinC: number): R[] {
  if (!(withinC >= 0)) throw new InputError('withinC', inputSays('no-breadth'));
  const kept = new Set<number>([0, readings.length - 1]);
  const spans: [number, number][] = [[0, readings.length - 1]];
  for (let span = spans.pop(); span !== undefined; span = spans.pop()) {
    const [from, to] = span;
    const farthest = farthestOff(readings, from, to);
    if (farthest === null || farthest.offC <= withinC) continue;
    kept.add(farthest.at);
    spans.push([from, farthest.at], [farthest.at, to]);
  }
  keepNear(readings, kept, withinC);
  return readings.filter((_, i) => kept.has(i));
}

/** From here on readings that follow each other differ by little more than the tolerance, and lie no further apart than this, °C and s. */
const COUNTS_FROM_C = 50;
const NEAR_S = 600;

function keepNear(readings: readonly { s: number; C: number }[], kept: Set<number>, withinC: number): void {
  let last = 0;
  for (let i = 1; i < readings.length; i += 1) {
    const [from, before, here] = [readings[last], readings[i - 1], readings[i]];
    if (from === undefined || before === undefined || here === undefined) continue;
    const isHot = Math.max(from.C, here.C) >= COUNTS_FROM_C;
    if (isHot && i - 1 > last && (Math.abs(here.C - from.C) > 1.4 * withinC || here.s - from.s > NEAR_S)) {
      kept.add(i - 1);
      last = i - 1;
    }
    if (kept.has(i)) last = i;
  }
}

/** The reading between two that lies farthest beside the line between them. */
function farthestOff(readings: readonly { s: number; C: number }[], from: number, to: number): { at: number; offC: number } | null {
  const [first, last] = [readings[from], readings[to]];
  if (first === undefined || last === undefined) return null;
  let farthest: { at: number; offC: number } | null = null;
  for (let i = from + 1; i < to; i += 1) {
    const reading = readings[i];
    if (reading === undefined) continue;
    const share = last.s === first.s ? 0 : (reading.s - first.s) / (last.s - first.s);
    const offC = Math.abs(reading.C - first.C - share * (last.C - first.C));
    if (farthest === null || offC > farthest.offC) farthest = { at: i, offC };
  }
  return farthest;
}
