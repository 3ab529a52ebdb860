/** How a cell is shown: a sum of the values of cells with meat, each times its weight. */
interface Fill {
  cell: number;
  from: { cell: number; weight: number }[];
}

/** How the rim runs through the cells: depth of a place under it, in cells, negative outside. Rows and columns as they count. */
export type Depth = (column: number, row: number) => number;

/** Cells so near under the rim are smoothed along it, and so far outside the values go on as they fall or rise. */
const UNDER = 2.5;
const OUTSIDE = -1;
/** Cells that count for one: out to here, falling off along the rim and across it. */
const REACH = 4;
const ALONG = 1.6;
const ACROSS = 1;

/**
 * How to show a field beside a round rim, so that contours run along it instead of following the steps of the cells: the cells near by
 * are fitted with a straight line in their depth under the rim. The plan holds for every field of the same section.
 *
 * @param field one value a cell, NaN where there is no meat
 */
export function fillPlan(field: Float32Array, width: number, height: number, depth: Depth): Fill[] {
  const fills: Fill[] = [];
  for (let row = 0; row < height; row += 1) {
    for (let column = 0; column < width; column += 1) {
      const under = depth(column, row);
      const cell = row * width + column;
      if (under > UNDER) continue;
      const from = fitted(field, width, height, depth, column, row, Math.max(OUTSIDE, under));
      if (from.length > 0) fills.push({ cell, from });
    }
  }
  return fills;
}

/** Weights of a straight line in depth through the meat near a cell, read off at a depth: weighted least squares. */
function fitted(field: Float32Array, width: number, height: number, depth: Depth, column: number, row: number, at: number): Fill['from'] {
  // A corner of the frame lies far from any meat: there the nearest cells towards the middle stand for it.
  const [toX, toY] = [(width - 1) / 2 - column, (height - 1) / 2 - row];
  const out = Math.max(0, at - depth(column, row)) / (Math.hypot(toX, toY) || 1);
  const [x, y] = [column + toX * out, row + toY * out];
  const near: { cell: number; off: number; weight: number }[] = [];
  for (let r = Math.max(0, Math.floor(y - REACH)); r <= Math.min(height - 1, Math.ceil(y + REACH)); r += 1) {
    for (let c = Math.max(0, Math.floor(x - REACH)); c <= Math.min(width - 1, Math.ceil(x + REACH)); c += 1) {
      const cell = r * width + c;
      if (Number.isNaN(field[cell] ?? Number.NaN)) continue;
      const off = depth(c, r) - at;
      const along2 = Math.max(0, (c - x) ** 2 + (r - y) ** 2 - off ** 2);
      near.push({ cell, off, weight: Math.exp(-along2 / ALONG ** 2 - (off / ACROSS) ** 2) });
    }
  }
  const sum = (power: number) => near.reduce((all, { off, weight }) => all + weight * off ** power, 0);
  const [s0, s1, s2] = [sum(0), sum(1), sum(2)];
  const spread = s0 * s2 - s1 * s1;
  if (s0 < 1e-12) return [];
  if (spread < 1e-9 * s0 * s0) return near.map(({ cell, weight }) => ({ cell, weight: weight / s0 }));
  return near.map(({ cell, off, weight }) => ({ cell, weight: (weight * (s2 - s1 * off)) / spread }));
}

/** A field with its plan carried out; what has no plan and no meat, as a bone, is nothing. */
export function filled(field: Float32Array, plan: readonly Fill[]): Float32Array {
  const values = field.slice();
  for (let i = 0; i < values.length; i += 1) if (Number.isNaN(values[i])) values[i] = 0;
  for (const { cell, from } of plan) {
    let sum = 0;
    for (const part of from) sum += (field[part.cell] ?? 0) * part.weight;
    values[cell] = Math.max(0, sum);
  }
  return values;
}
