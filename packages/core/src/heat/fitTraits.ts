import type { TimedReading } from '../safety/coreReadings.js';
import { cookCourse, courseAt, type CookCase } from './cookCourse.js';
import type { HeatTraits } from './heatBody.js';

/** The logarithms of the traits' multiples: what is fitted. */
type Place = readonly number[];

/** In the order of a place; how much pieces and smokers differ: one standard deviation of the logarithm [M]. */
const NAMES = ['film', 'diffusivity', 'supply', 'reserve'] as const satisfies readonly (keyof HeatTraits)[];
const SPREAD: Place = [0.25, 0.1, 0.45, 0.4];

/** Readings that are compared, at most, and how far the model may be off, °C: the older the further. */
const MOST_COMPARED = 40;
const OFF_C = 1;
const AGE_S = 3 * 3600;
/** A reading that is off by more than so many times that counts less: the probe was moved, the door was open. */
const FAR = 2.5;
const MOST_ROUNDS = 10;
const STEP = 0.02;

export interface TraitFit {
  traits: HeatTraits;
  /** as many sets as traits, a standard deviation away, each along a way in which the readings leave it open */
  doubts: HeatTraits[];
  /** the last reading less the fitted course, °C */
  lastOffC: number;
}

const at = (place: Place): HeatTraits => {
  const [film = 1, diffusivity = 1, supply = 1, reserve = 1] = place.map(Math.exp);
  return { film, diffusivity, supply, reserve };
};

/**
 * The traits that are likeliest for a usual piece with these readings, and the doubt that they leave, after Gauss, Newton and Levenberg.
 */
export function fitTraits(cook: CookCase, readings: readonly TimedReading[]): TraitFit {
  const compared = thinned(readings);
  const lastS = compared.at(-1)?.s ?? 0;
  const offs = (place: Place): number[] => {
    const { core } = cookCourse(cook, at(place), lastS);
    return compared.map(({ s, C }) => (courseAt(core, s) - C) / (OFF_C * (1 + (lastS - s) / AGE_S)));
  };
  let place: Place = NAMES.map(() => 0);
  let off = offs(place);
  let damping = 0.01;
  let normal = precision(off, [], place);
  for (let round = 0; round < MOST_ROUNDS && compared.length > 0; round += 1) {
    const slopes = columns(offs, place, off);
    normal = precision(off, slopes, place);
    const change = solved(normal.matrix, normal.pull, damping);
    const next = place.map((x, k) => clamp(x - (change[k] ?? 0)));
    const nextOff = offs(next);
    if (cost(nextOff, next) < cost(off, place)) {
      const gain = cost(off, place) - cost(nextOff, next);
      [place, off, damping] = [next, nextOff, damping / 5];
      if (gain < 1e-3) break;
    } else if (damping > 100) break;
    else damping *= 10;
  }
  if (compared.length > 0) normal = precision(off, columns(offs, place, off), place);
  const ways = inverseRoot(normal.matrix);
  const last = compared.at(-1);
  const { core } = cookCourse(cook, at(place), lastS);
  return {
    traits: at(place),
    doubts: ways.map((way) => at(place.map((x, k) => x + (way[k] ?? 0)))),
    lastOffC: last === undefined ? 0 : last.C - courseAt(core, lastS),
  };
}

const clamp = (x: number): number => Math.max(-1.8, Math.min(1.8, x));

/** Some of many readings, evenly over the time, the last among them. */
export function thinned(readings: readonly TimedReading[]): TimedReading[] {
  const [first, last] = [readings[0], readings.at(-1)];
  if (first === undefined || last === undefined || readings.length <= MOST_COMPARED) return [...readings];
  const each = (last.s - first.s) / (MOST_COMPARED - 1);
  let next = first.s;
  const kept = readings.filter(({ s }) => {
    if (s < next) return false;
    next = Math.max(next + each, s);
    return true;
  });
  return kept.at(-1) === last ? kept : [...kept, last];
}

const weightOf = (off: number): number => Math.min(1, FAR / Math.max(1e-9, Math.abs(off)));

/** After Huber: beyond FAR it grows straight. */
const cost = (off: readonly number[], place: Place): number =>
  off.reduce((sum, o) => sum + (Math.abs(o) <= FAR ? (o * o) / 2 : FAR * (Math.abs(o) - FAR / 2)), 0) +
  SPREAD.reduce((sum, spread, k) => sum + ((place[k] ?? 0) / spread) ** 2 / 2, 0);

/** How the offs change with each trait. */
const columns = (offs: (place: Place) => number[], place: Place, off: readonly number[]): number[][] =>
  place.map((_, k) => {
    const moved = place.map((x, i) => (i === k ? x + STEP : x));
    return offs(moved).map((o, i) => (o - (off[i] ?? 0)) / STEP);
  });

interface Normal {
  matrix: number[][];
  pull: number[];
}

function precision(off: readonly number[], slopes: readonly number[][], place: Place): Normal {
  const sum = (a: readonly number[], b: readonly number[]) => a.reduce((all, x, i) => all + x * (b[i] ?? 0) * weightOf(off[i] ?? 0), 0);
  const matrix = SPREAD.map((spread, k) => SPREAD.map((_, l) => sum(slopes[k] ?? [], slopes[l] ?? []) + (k === l ? 1 / spread ** 2 : 0)));
  return { matrix, pull: SPREAD.map((spread, k) => sum(slopes[k] ?? [], off) + (place[k] ?? 0) / spread ** 2) };
}

function solved(matrix: readonly number[][], pull: readonly number[], damping: number): number[] {
  const root = choleskyRoot(matrix.map((row, i) => row.map((x, j) => (i === j ? x * (1 + damping) : x))));
  return upperSolve(root, lowerSolve(root, pull));
}

/** Columns of the inverse's root: steps of one standard deviation that are independent of each other. */
function inverseRoot(matrix: readonly number[][]): number[][] {
  const root = choleskyRoot(matrix);
  return matrix.map((_, k) =>
    upperSolve(
      root,
      matrix.map((_row, i) => (i === k ? 1 : 0)),
    ),
  );
}

function choleskyRoot(matrix: readonly number[][]): number[][] {
  const root: number[][] = [];
  matrix.forEach((row, i) => {
    const made: number[] = [];
    root.push(made);
    for (let j = 0; j <= i; j += 1) {
      let rest = row[j] ?? 0;
      for (let k = 0; k < j; k += 1) rest -= cell(root, i, k) * cell(root, j, k);
      made[j] = i === j ? Math.sqrt(Math.max(rest, 1e-12)) : rest / cell(root, j, j);
    }
  });
  return root;
}

const cell = (matrix: readonly (readonly number[])[], i: number, j: number): number => matrix[i]?.[j] ?? 0;

function lowerSolve(root: readonly number[][], known: readonly number[]): number[] {
  const x: number[] = [];
  known.forEach((value, i) => {
    const rest = x.reduce((left, solvedBefore, k) => left - cell(root, i, k) * solvedBefore, value);
    x.push(rest / cell(root, i, i));
  });
  return x;
}

function upperSolve(root: readonly number[][], known: readonly number[]): number[] {
  const x = known.map(() => 0);
  for (let i = known.length - 1; i >= 0; i -= 1) {
    let rest = known[i] ?? 0;
    for (let k = i + 1; k < known.length; k += 1) rest -= cell(root, k, i) * (x[k] ?? 0);
    x[i] = rest / cell(root, i, i);
  }
  return x;
}
