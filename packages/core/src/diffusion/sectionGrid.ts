import { InputError } from '../inputError.js';
import { thicknessMm, type Section } from '../section/section.js';
import { requireNumber } from '../units/require.js';
import { boneDistance, distanceTowards, isMeat, leanness, liesAt, outline, requireBone, rimDistances, sliceShare, type Outline } from './sectionOutline.js';
import { inputSays } from '../say/english/inputs.js';

/**
 * A cross-section cut into square cells. Cells whose middle lies clear of the rim are meat; a cell beside the rim reaches out to it, so
 * that its width, and with it its weight, is the true one. Rows run from the top down.
 */
export interface SectionGrid {
  cellMm: number;
  width: number;
  height: number;
  /** 1 where there is meat */
  meat: Uint8Array;
  /** area of each cell, mm² */
  area: Float64Array;
  /** conductance to the cell at the right and below, and to the brine, as a multiple of the diffusivity */
  right: Float64Array;
  below: Float64Array;
  rim: Float64Array;
  /** the part of `rim` that lies at the top or at the bottom of the piece */
  rimOf: Record<'top' | 'bottom', Float64Array>;
  /** cells of meat, by index */
  cells: Int32Array;
  /** those of them that are lean: fat takes no colour, and is not waited for */
  lean: Int32Array;
  /** the lean cell that lies furthest from the brine */
  core: number;
  /** cells beside the brine */
  edge: Int32Array;
  /** area of each cell within {@link SLICE_MM} of a rim that is open to the brine, mm² */
  slice: Float64Array;
  areaMm2: number;
  /** left upper corner, mm from the middle of the piece */
  leftMm: number;
  topMm: number;
}

/** A middle nearer to the rim than this share of a cell belongs to its neighbour. */
const CLEAR = 0.25;

/** Most cells of one section. */
const MOST_CELLS = 60_000;

/** Cells across the thickness where nothing is said, and their bounds, mm [M]. */
const CELLS_ACROSS = 60;

/** The cell that suits a section, mm. */
export const usualCellMm = (section: Section): number => Math.min(4, Math.max(0.5, thicknessMm(section) / CELLS_ACROSS));

/**
 * @throws InputError where the geometry cannot be, or the cells are too many
 */
export function sectionGrid(section: Section, cellMm = usualCellMm(section)): SectionGrid {
  requireNumber('cellMm', cellMm, { min: 0.1, max: 50, unit: 'mm' });
  const shape = outline(section);
  requireBone(section, shape);
  const width = Math.max(1, Math.ceil(shape.widthMm / cellMm - 1e-9));
  const height = Math.max(1, Math.ceil(shape.heightMm / cellMm - 1e-9));
  if (width * height > MOST_CELLS) {
    throw new InputError('cellMm', inputSays('too-many-cells', { cellMm, n: width * height, leastMm: cellMm * 2 }));
  }
  const leftMm = (-width * cellMm) / 2;
  const topMm = (-height * cellMm) / 2;
  const xOf = (column: number) => leftMm + (column + 0.5) * cellMm;
  const yOf = (row: number) => topMm + (row + 0.5) * cellMm;
  const meat = new Uint8Array(width * height);
  for (let row = 0; row < height; row += 1) {
    for (let column = 0; column < width; column += 1) {
      if (isMeat(shape, section, xOf(column), yOf(row), cellMm * CLEAR)) meat[row * width + column] = 1;
    }
  }
  const grid = conductances(shape, section, { cellMm, width, height, leftMm, topMm, meat });
  if (grid.cells.length === 0) throw new InputError('cellMm', inputSays('cells-too-large'));
  return grid;
}

function conductances(shape: Outline, section: Section, frame: Pick<SectionGrid, 'cellMm' | 'width' | 'height' | 'leftMm' | 'topMm' | 'meat'>): SectionGrid {
  const { cellMm, width, height, leftMm, topMm, meat } = frame;
  const size = width * height;
  const isAt = (column: number, row: number) => column >= 0 && row >= 0 && column < width && row < height && meat[row * width + column] === 1;
  const [wide, high] = [new Float64Array(size), new Float64Array(size)];
  const lean = new Float64Array(size);
  const cells: number[] = [];
  const each = (work: (i: number, column: number, row: number, x: number, y: number) => void) => {
    for (let row = 0; row < height; row += 1) {
      for (let column = 0; column < width; column += 1) {
        const i = row * width + column;
        if (meat[i] === 1) work(i, column, row, leftMm + (column + 0.5) * cellMm, topMm + (row + 0.5) * cellMm);
      }
    }
  };
  // Reach to each side: half a cell to a neighbour, all the way to the rim, half a cell to the bone.
  const reach = (column: number, row: number, dx: number, dy: number, x: number, y: number): number => {
    if (shape.kind === 'slab' && dx !== 0) return cellMm / 2;
    if (isAt(column + dx, row + dy) || boneDistance(section, x + dx * cellMm, y + dy * cellMm) <= 0) return cellMm / 2;
    const [toX, toY] = rimDistances(shape, x, y);
    return dx !== 0 ? distanceTowards(toX, x, dx) : distanceTowards(toY, y, dy);
  };
  // Length of the face to the right (0) or below (1) at its own place: out to the rim where no cell stands on either side of its end.
  const faceMm = (column: number, row: number, way: 0 | 1, x: number, y: number): number => {
    if (shape.kind === 'slab') return cellMm;
    const [toX, toY] = rimDistances(shape, x, y);
    const half = (end: -1 | 1): number => {
      const past = way === 0 ? isAt(column, row + end) || isAt(column + 1, row + end) : isAt(column + end, row) || isAt(column + end, row + 1);
      if (past || boneDistance(section, x + (way === 1 ? end * cellMm : 0), y + (way === 0 ? end * cellMm : 0)) <= 0) return cellMm / 2;
      return Math.max(0, way === 0 ? distanceTowards(toY, y, end) : distanceTowards(toX, x, end));
    };
    return half(-1) + half(1);
  };
  each((i, column, row, x, y) => {
    wide[i] = reach(column, row, -1, 0, x, y) + reach(column, row, 1, 0, x, y);
    high[i] = reach(column, row, 0, -1, x, y) + reach(column, row, 0, 1, x, y);
    lean[i] = leanness(section, shape, y);
    cells.push(i);
  });
  const area = trueAreas(shape, section, frame);
  const [right, below, rim] = [new Float64Array(size), new Float64Array(size), new Float64Array(size)];
  const rimOf = { top: new Float64Array(size), bottom: new Float64Array(size) };
  const edge: number[] = [];
  const slice = new Float64Array(size);
  let areaMm2 = 0;
  each((i, column, row, x, y) => {
    areaMm2 += at(area, i);
    if (isAt(column + 1, row)) right[i] = (between(lean, i, i + 1) * faceMm(column, row, 0, x + cellMm / 2, y)) / cellMm;
    if (isAt(column, row + 1)) below[i] = (between(lean, i, i + width) * faceMm(column, row, 1, x, y + cellMm / 2)) / cellMm;
    for (const [dx, dy] of SIDES) {
      if ((shape.kind === 'slab' && dx !== 0) || isAt(column + dx, row + dy)) continue;
      if (boneDistance(section, x + dx * cellMm, y + dy * cellMm) <= 0) continue;
      const side = liesAt('top', shape, x, y, dx, dy) ? 'top' : liesAt('bottom', shape, x, y, dx, dy) ? 'bottom' : null;
      // Skin or silver skin: no brine passes.
      if (side !== null && side === section.closedSide) continue;
      const across = dx !== 0 ? at(high, i) : at(wide, i);
      const through = (at(lean, i) * across) / reach(column, row, dx, dy, x, y);
      rim[i] = at(rim, i) + through;
      if (side !== null) rimOf[side][i] = at(rimOf[side], i) + through;
    }
    if (at(rim, i) > 0) edge.push(i);
    slice[i] = at(area, i) * sliceShare(shape, section, x, y, cellMm);
  });
  const grid = {
    ...frame,
    area,
    right,
    below,
    rim,
    rimOf,
    cells: Int32Array.from(cells),
    lean: leanOf(cells, lean),
    edge: Int32Array.from(edge),
    slice,
    areaMm2,
    core: 0,
  };
  return { ...grid, core: furthest(grid) };
}

/** Lean cells; of a piece that is all fat, all. */
function leanOf(cells: readonly number[], lean: Float64Array): Int32Array {
  const found = cells.filter((i) => at(lean, i) === 1);
  return Int32Array.from(found.length > 0 ? found : cells);
}

const SIDES = [
  [-1, 0],
  [1, 0],
  [0, -1],
  [0, 1],
] as const;

const at = (values: Float64Array, i: number): number => values[i] ?? 0;

/** Points along each side of a cell by which its area is counted. */
const POINTS = 8;

/** The area of meat that each cell stands for: its own square, and what lies beside it in squares that are no cells. */
function trueAreas(
  shape: Outline,
  section: Section,
  { cellMm, width, height, leftMm, topMm, meat }: Pick<SectionGrid, 'cellMm' | 'width' | 'height' | 'leftMm' | 'topMm' | 'meat'>,
): Float64Array {
  const area = new Float64Array(width * height);
  const part = cellMm / POINTS;
  const nearest = (column: number, row: number, x: number, y: number): number => {
    if (meat[row * width + column] === 1) return row * width + column;
    let [best, bestFar] = [-1, Infinity];
    for (let r = Math.max(0, row - 1); r <= Math.min(height - 1, row + 1); r += 1) {
      for (let c = Math.max(0, column - 1); c <= Math.min(width - 1, column + 1); c += 1) {
        const far = Math.hypot(leftMm + (c + 0.5) * cellMm - x, topMm + (r + 0.5) * cellMm - y);
        if (meat[r * width + c] === 1 && far < bestFar) [best, bestFar] = [r * width + c, far];
      }
    }
    return best;
  };
  for (let row = 0; row < height; row += 1) {
    for (let column = 0; column < width; column += 1) {
      if (isWhole(shape, section, leftMm + column * cellMm, topMm + row * cellMm, cellMm)) {
        area[row * width + column] = at(area, row * width + column) + cellMm * cellMm;
        continue;
      }
      for (let k = 0; k < POINTS * POINTS; k += 1) {
        const x = leftMm + column * cellMm + ((k % POINTS) + 0.5) * part;
        const y = topMm + row * cellMm + (Math.floor(k / POINTS) + 0.5) * part;
        const [toX, toY] = rimDistances(shape, x, y);
        if (toX < 0 || toY < 0 || boneDistance(section, x, y) <= 0) continue;
        const i = nearest(column, row, x, y);
        if (i >= 0) area[i] = at(area, i) + part * part;
      }
    }
  }
  return area;
}

/** Whether a square lies in the meat with all its corners, clear of bone and rim. */
function isWhole(shape: Outline, section: Section, x: number, y: number, side: number): boolean {
  if (boneDistance(section, x + side / 2, y + side / 2) < side) return false;
  return [0, side].every((dx) => [0, side].every((dy) => Math.min(...rimDistances(shape, x + dx, y + dy)) > side * CLEAR));
}

/** Two layers in a row let through as the harmonic mean of theirs. */
const between = (lean: Float64Array, i: number, j: number): number => (2 * at(lean, i) * at(lean, j)) / (at(lean, i) + at(lean, j));

/** The cell furthest from the brine, by steps straight and across; the middle one of several. */
function furthest({ cells, lean, edge, width, height }: Pick<SectionGrid, 'cells' | 'lean' | 'edge' | 'width' | 'height'>): number {
  const far = new Float64Array(width * height).fill(Infinity);
  for (const i of edge) far[i] = 0;
  const pull = (i: number, column: number, row: number, turn: 1 | -1) => {
    for (const [dx, dy, step] of [
      [-turn, 0, 1],
      [0, -turn, 1],
      [-turn, -turn, Math.SQRT2],
      [turn, -turn, Math.SQRT2],
    ] as const) {
      const [c, r] = [column + dx, row + dy];
      if (c >= 0 && c < width && r >= 0 && r < height) far[i] = Math.min(at(far, i), at(far, r * width + c) + step);
    }
  };
  for (const i of cells) pull(i, i % width, Math.floor(i / width), 1);
  for (let k = cells.length - 1; k >= 0; k -= 1) {
    const i = cells[k] ?? 0;
    pull(i, i % width, Math.floor(i / width), -1);
  }
  let [best, bestScore] = [lean[0] ?? 0, -Infinity];
  for (const i of lean) {
    const score = at(far, i) - 1e-3 * Math.hypot((i % width) - (width - 1) / 2, Math.floor(i / width) - (height - 1) / 2);
    if (score > bestScore) [best, bestScore] = [i, score];
  }
  return best;
}
