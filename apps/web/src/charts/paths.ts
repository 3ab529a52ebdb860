import { area, curveLinearClosed, curveStepAfter, line } from 'd3-shape';

type Along = (value: number) => number;

/** A point of a chart on the clock of its cook: s, °C. */
interface Read {
  s: number;
  C: number;
}

/** Through what was read, in order of time; nothing is drawn where readings lie further apart than `apartS`. */
export function curveThrough(readings: readonly Read[], x: Along, y: Along, apartS = Infinity): string {
  const withGaps = readings.flatMap((reading, i): (Read | null)[] => (reading.s - (readings[i - 1]?.s ?? reading.s) > apartS ? [null, reading] : [reading]));
  const through = line<Read | null>(
    (reading) => x(reading?.s ?? 0),
    (reading) => y(reading?.C ?? 0),
  );
  return through.defined((reading) => reading !== null).digits(1)(withGaps) ?? '';
}

/** What something is set to, each from its time on, the last until the end. */
export function stepsThrough(settings: readonly { fromS: number; C: number }[], endS: number, x: Along, y: Along): string {
  const last = settings.at(-1);
  if (last === undefined) return '';
  const steps = line<{ fromS: number; C: number }>(
    ({ fromS }) => x(Math.min(endS, fromS)),
    ({ C }) => y(C),
  );
  return steps.curve(curveStepAfter).digits(1)([...settings, { fromS: Math.max(endS, last.fromS), C: last.C }]) ?? '';
}

/** Between the low and the high end of what is foreseen. */
export const bandBetween = (curve: readonly { s: number; lowC: number; highC: number }[], x: Along, y: Along): string =>
  area<{ s: number; lowC: number; highC: number }>()
    .x(({ s }) => x(s))
    .y0(({ lowC }) => y(lowC))
    .y1(({ highC }) => y(highC))
    .digits(1)([...curve]) ?? '';

/** What lies under a curve, down to the floor of the chart. */
export const areaUnder = <T>(points: readonly T[], x: (point: T) => number, y: (point: T) => number, floor: number): string =>
  (points.length < 2 ? null : area<T>(x, floor, y).digits(1)([...points])) ?? '';

/** The same of what stays until it changes. */
export const stepsUnder = <T>(points: readonly T[], x: (point: T) => number, y: (point: T) => number, floor: number): string =>
  area<T>(x, floor, y).curve(curveStepAfter).digits(1)([...points]) ?? '';

/** Through points that are on the screen already. */
export const lineThrough = (points: readonly (readonly [x: number, y: number])[]): string =>
  line<readonly [number, number]>(
    ([x]) => x,
    ([, y]) => y,
  ).digits(1)([...points]) ?? '';

/** Round a field of a map, back to its beginning. */
export const ringThrough = (points: readonly (readonly [x: number, y: number])[]): string =>
  line<readonly [number, number]>(
    ([x]) => x,
    ([, y]) => y,
  )
    .curve(curveLinearClosed)
    .digits(1)([...points]) ?? '';

/** Corners of a diamond about a place, for a polygon. */
export const diamond = (x: number, y: number, half: number): string => `${x},${y - half} ${x + half},${y} ${x},${y + half} ${x - half},${y}`;
