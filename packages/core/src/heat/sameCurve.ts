import { InputError } from '../inputError.js';

/**
 * The readings that draw the same curve: each one that is left out lies within `withinC` of the straight line between those kept before and
 * after it. The first and the last stay. Thinning what is thin already leaves it as it is.
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
  if (!(withinC >= 0)) throw new InputError('withinC', 'How far may a reading lie beside the line? A number of 0 or more is missing.');
  const kept = new Set<number>([0, readings.length - 1]);
  const spans: [number, number][] = [[0, readings.length - 1]];
  for (let span = spans.pop(); span !== undefined; span = spans.pop()) {
    const [from, to] = span;
    const farthest = farthestOff(readings, from, to);
    if (farthest === null || farthest.offC <= withinC) continue;
    kept.add(farthest.at);
    spans.push([from, farthest.at], [farthest.at, to]);
  }
  return readings.filter((_, i) => kept.has(i));
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
