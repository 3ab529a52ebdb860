import { readingPairs, requireReadings, type TimedReading } from './coreReadings.js';

export interface Lethality {
  /** 1 is done: 6.5 log Salmonella */
  sum: number;
  /** s of the readings; when the sum came to 1, null before */
  reachedAtS: number | null;
  /** times that nobody read: nothing is counted for them */
  gaps: { fromS: number; toS: number }[];
  /** the sum at each reading */
  course: { s: number; sum: number }[];
}

/** Seconds at a core temperature, °F, for 6.5 log Salmonella [P: FSIS Cooking Guideline, revised Appendix A; values from memory]. */
const MINUTES: readonly (readonly [F: number, minutes: number])[] = [
  [130, 112],
  [131, 89],
  [132, 71],
  [133, 56],
  [134, 45],
  [135, 36],
  [136, 28],
  [137, 23],
  [138, 18],
  [139, 15],
  [140, 12],
  [141, 9],
  [142, 8],
  [143, 6],
  [144, 5],
  [145, 4],
];
const SECONDS: readonly (readonly [F: number, seconds: number])[] = [
  [146, 169],
  [147, 134],
  [148, 107],
  [149, 85],
  [150, 67],
  [151, 54],
  [152, 43],
  [153, 34],
  [154, 27],
  [155, 22],
  [156, 17],
  [157, 14],
];
export const LETHALITY_TABLE: readonly (readonly [F: number, seconds: number])[] = [...MINUTES.map(([F, minutes]) => [F, minutes * 60] as const), ...SECONDS];
const FIRST_F = 130;
/** From here on it is done at once. */
const AT_ONCE_F = 158;

const fahrenheit = (C: number): number => (C * 9) / 5 + 32;
/** Readings are given to a hundredth: 54.44 °C is 130 °F. */
const ROUNDING_F = 0.01;

/** Seconds that it takes at a core temperature; Infinity below 130 °F, 0 from 158 °F on. Between two of the table log t is linear in T. */
export function lethalSeconds(C: number): number {
  const F = fahrenheit(C) + ROUNDING_F;
  if (F < FIRST_F) return Infinity;
  if (F >= AT_ONCE_F) return 0;
  const i = Math.min(LETHALITY_TABLE.length - 1, Math.floor(F) - FIRST_F);
  const [lowF, low] = LETHALITY_TABLE[i] ?? [FIRST_F, Infinity];
  // After the last of the table its own time holds, until it is done at once.
  const high = LETHALITY_TABLE[i + 1]?.[1] ?? low;
  return Math.exp(Math.log(low) + (Math.log(high) - Math.log(low)) * Math.max(0, F - ROUNDING_F - lowF));
}

/**
 * The lethality sum of a core: dt / t(T) added up. Between two readings the temperature runs straight, which makes 1 / t an exponential
 * between two temperatures of the table; for that the sum is exact. Nothing is counted below 130 °F, nor for a time that nobody read.
 *
 * @throws InputError for readings that cannot be
 * @example lethality([{ s: 0, C: 60 }, { s: 720, C: 60 }]).sum // 1: twelve minutes at 140 °F
 */
export function lethality(readings: readonly TimedReading[]): Lethality {
  requireReadings(readings);
  const gaps: Lethality['gaps'] = [];
  let sum = 0;
  let reachedAtS: number | null = null;
  const [first] = readings;
  if (first !== undefined && lethalSeconds(first.C) === 0) [sum, reachedAtS] = [1, first.s];
  const course: Lethality['course'] = first === undefined ? [] : [{ s: first.s, sum }];
  for (const { from, to, isGap } of readingPairs(readings)) {
    if (isGap) gaps.push({ fromS: from.s, toS: to.s });
    else {
      for (const { s, seconds, rate } of straightParts(from, to)) {
        if (!Number.isFinite(rate)) {
          // At once.
          reachedAtS ??= s;
          sum = Math.max(sum, 1);
          continue;
        }
        const before = sum;
        sum += seconds * rate;
        if (reachedAtS === null && sum >= 1 - 1e-9) reachedAtS = s + (rate === 0 ? 0 : Math.min(seconds, Math.max(0, (1 - before) / rate)));
      }
    }
    if (lethalSeconds(to.C) === 0 && reachedAtS === null) [sum, reachedAtS] = [Math.max(sum, 1), to.s];
    course.push({ s: to.s, sum });
  }
  return { sum, reachedAtS, gaps, course };
}

/** A straight way between two readings, cut where it passes a temperature of the table; the mean of 1 / t over each part. */
function straightParts(from: TimedReading, to: TimedReading): { s: number; seconds: number; rate: number }[] {
  const [a, b] = [fahrenheit(from.C), fahrenheit(to.C)];
  const cuts = [0, 1];
  if (a !== b) for (let F = FIRST_F; F <= AT_ONCE_F; F += 1) if ((F - a) * (F - b) < 0) cuts.push((F - a) / (b - a));
  cuts.sort((x, y) => x - y);
  const long = to.s - from.s;
  return cuts.slice(1).map((end, i) => {
    const begin = cuts[i] ?? 0;
    const C = (share: number) => from.C + (to.C - from.C) * share;
    const middle = lethalSeconds(C((begin + end) / 2));
    return { s: from.s + long * begin, seconds: long * (end - begin), rate: middle === 0 ? Infinity : meanRate(C(begin), C(end), middle) };
  });
}

/** The mean of 1 / t where log t runs straight from one end to the other: that of the ends' rates, by logarithms. */
function meanRate(fromC: number, toC: number, middle: number): number {
  if (middle === Infinity) return 0;
  const [low, high] = [Math.min(fromC, toC), Math.max(fromC, toC)];
  const [slow, quick] = [lethalSeconds(low), lethalSeconds(high)];
  if (!Number.isFinite(slow) || quick === 0) return 1 / middle;
  const [f, g] = [1 / slow, 1 / quick];
  return Math.abs(Math.log(g / f)) < 1e-9 ? f : (g - f) / Math.log(g / f);
}
