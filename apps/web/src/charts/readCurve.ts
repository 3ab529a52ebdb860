import { bisector, group } from 'd3-array';

/** A curve that can be read at a time. */
export interface ReadCurve {
  /** `Chamber`, `Core A` */
  name: string;
  /** in order of time */
  points: readonly { at: number; value: number }[];
  /** with its unit, as the reader reads it */
  say: (value: number) => string;
  /** where a value stands in the picture, px */
  y?: (value: number) => number;
  /** no line is drawn, and nothing is read, between points further apart than this */
  apart?: number;
  /** what stays until it changes, like what an oven is set to */
  steps?: boolean;
}

const byTime = bisector<{ at: number }, number>(({ at }) => at);

/** What a curve says at a time; null before it begins, after it ends and in a gap. */
export function valueAt({ points, apart = Infinity, steps = false }: ReadCurve, at: number): number | null {
  const next = byTime.left(points, at);
  const [before, after] = [points[next - 1], points[next]];
  if (after !== undefined && after.at === at) return after.value;
  if (before === undefined) return null;
  if (steps) return before.value;
  if (after === undefined || after.at - before.at > apart) return null;
  return before.value + ((after.value - before.value) * (at - before.at)) / (after.at - before.at);
}

/** The rows of the table: every time at which one of the curves has a point, with what each has then. */
export function rowsOf(curves: readonly ReadCurve[]): { at: number; values: (number | null)[] }[] {
  const all = curves.flatMap(({ points }, curve) => points.map(({ at, value }) => ({ at, value, curve })));
  return [...group(all, ({ at }) => at)]
    .map(([at, own]) => ({ at, values: curves.map((_, curve) => own.find((point) => point.curve === curve)?.value ?? null) }))
    .sort((a, b) => a.at - b.at);
}

/** So many of the rows, evenly, with the first and the last. */
export function thinned<T>(rows: readonly T[], most: number): T[] {
  if (rows.length <= most) return [...rows];
  return Array.from({ length: most }, (_, i) => rows[Math.round((i * (rows.length - 1)) / (most - 1))] as T);
}
