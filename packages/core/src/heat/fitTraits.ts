import { HOUR_S } from '../clock/spans.js';
import type { TimedReading } from '../safety/coreReadings.js';
import { cookCourse, courseAt, type CookCase } from './cookCourse.js';
import type { Medium } from './evaporation.js';
import type { HeatTraits } from './heatBody.js';

/** What is fitted of a cook: one number each, the logarithm of a multiple, or °C; with how much it differs, one standard deviation [M]. */
type Fitted = readonly { name: keyof HeatTraits; spread: number }[];
type Place = readonly number[];

const MULTIPLES: readonly (keyof HeatTraits)[] = ['film', 'diffusivity', 'supply', 'reserve'];
/** A piece and a place as they usually are. */
export const USUAL_TRAITS: HeatTraits = { film: 1, diffusivity: 1, supply: 1, reserve: 1, placeOffC: 0, rimAboveC: 0 };

/** How much pieces, their measured thickness and their drying differ. */
const DIFFUSIVITY_SPREAD = 0.14;
const SUPPLY_SPREAD = 0.45;
const RESERVE_SPREAD = 0.4;
/** What is not known of a place. */
interface MediumDoubt {
  /** how much its film differs from kitchen to kitchen, and that around what is wrapped: one standard deviation of the logarithm */
  film: number;
  wrappedFilm: number;
  /** what it lies beside what it is said to be, where nobody reads it, °C */
  placeC: number;
  /** what the model itself misses of the time that is left, as a share, and at least, s */
  model: number;
  leastS: number;
}

/** [M: until on the courses of other code in courses.test.ts four in five lay inside the range.] */
export const MEDIUM_DOUBT: Readonly<Record<Medium, MediumDoubt>> = {
  smoker: { film: 0.22, wrappedFilm: 0.3, placeC: 2.5, model: 0.09, leastS: 400 },
  oven: { film: 0.2, wrappedFilm: 0.3, placeC: 4, model: 0.04, leastS: 250 },
  steam: { film: 0.4, wrappedFilm: 0.4, placeC: 2, model: 0.05, leastS: 250 },
  water: { film: 0.4, wrappedFilm: 0.25, placeC: 0.6, model: 0.025, leastS: 180 },
  cold: { film: 0.28, wrappedFilm: 0.4, placeC: 1, model: 0.045, leastS: 250 },
};

/** A piece that has rested is colder at its rim, one that is off the fire hotter. */
const RIM_SPREAD_C = 6;
/** A place that was read lately keeps its habit to within so many °C. */
const READ_PLACE_C = 2;

/** What may differ and makes a difference: in water and in a bag nothing dries; meat from the cold is as cold at its rim as in its middle. */
function fittedOf({ phases, chamber, wrappedAtS, startC }: CookCase): Fitted {
  const media = phases.map(({ medium = 'smoker' }) => medium);
  const widest = (of: (doubt: MediumDoubt) => number) => Math.max(...media.map((medium) => of(MEDIUM_DOUBT[medium])));
  const isWrapped = Number.isFinite(wrappedAtS);
  const dries = media.some((medium) => medium !== 'water') && wrappedAtS > 0;
  const isCooling = (phases[0]?.chamberC ?? 0) < startC;
  const placeC = widest((doubt) => doubt.placeC);
  return [
    { name: 'film', spread: widest(({ film, wrappedFilm }) => (isWrapped ? wrappedFilm : film)) },
    { name: 'diffusivity', spread: DIFFUSIVITY_SPREAD },
    { name: 'placeOffC', spread: chamber.length === 0 ? placeC : Math.min(placeC, READ_PLACE_C) },
    ...(dries ? ([{ name: 'supply', spread: SUPPLY_SPREAD }] as const) : []),
    ...(dries && !isCooling ? ([{ name: 'reserve', spread: RESERVE_SPREAD }] as const) : []),
    ...(isCooling ? ([{ name: 'rimAboveC', spread: RIM_SPREAD_C }] as const) : []),
  ];
}

/** Readings that are compared, at most, and how far the model may be off, °C: the older the further. */
const MOST_COMPARED = 40;
const OFF_C = 1;
const AGE_S = 3 * HOUR_S;
/** A reading that is off by more than so many times that counts less: the probe was moved, the door was open. */
const FAR = 2.5;
const MOST_ROUNDS = 10;
const STEP = 0.02;

export interface TraitFit {
  traits: HeatTraits;
  /** as many pairs as traits, a standard deviation away to either side, each along a way in which the readings leave it open */
  doubts: [HeatTraits, HeatTraits][];
  /** the last reading less the fitted course, °C */
  lastOffC: number;
}

const traitsAt = (fitted: Fitted, place: Place): HeatTraits => ({
  ...USUAL_TRAITS,
  ...Object.fromEntries(fitted.map(({ name }, k) => [name, MULTIPLES.includes(name) ? Math.exp(place[k] ?? 0) : (place[k] ?? 0)])),
});

/**
 * The traits that are likeliest for a usual piece with these readings, and the doubt that they leave, after Gauss, Newton and Levenberg.
 */
export function fitTraits(cook: CookCase, readings: readonly TimedReading[]): TraitFit {
  const compared = thinned(readings);
  const fitted = fittedOf(cook);
  const spread = fitted.map((one) => one.spread);
  const at = (there: Place) => traitsAt(fitted, there);
  const lastS = compared.at(-1)?.s ?? 0;
  const offs = (there: Place): number[] => {
    const { core } = cookCourse(cook, at(there), lastS);
    return compared.map(({ s, C }) => (courseAt(core, s) - C) / (OFF_C * (1 + (lastS - s) / AGE_S)));
  };
  let place: Place = spread.map(() => 0);
  let off = offs(place);
  let damping = 0.01;
  let normal = precision(off, [], place, spread);
  for (let round = 0; round < MOST_ROUNDS && compared.length > 0; round += 1) {
    const slopes = columns(offs, place, off);
    normal = precision(off, slopes, place, spread);
    const change = solved(normal.matrix, normal.pull, damping);
    const next = place.map((x, k) => within(x - (change[k] ?? 0), MOST_SPREADS * (spread[k] ?? 0)));
    const nextOff = offs(next);
    const gain = cost(off, place, spread) - cost(nextOff, next, spread);
    if (gain > 0) {
      [place, off, damping] = [next, nextOff, damping / 5];
      if (gain < 1e-3) break;
    } else if (damping > 100) break;
    else damping *= 10;
  }
  if (compared.length > 0) normal = precision(off, columns(offs, place, off), place, spread);
  const ways = inverseRoot(normal.matrix);
  const last = compared.at(-1);
  const { core } = cookCourse(cook, at(place), lastS);
  return {
    traits: at(place),
    doubts: ways.map((way) => [at(place.map((x, k) => x + (way[k] ?? 0))), at(place.map((x, k) => x - (way[k] ?? 0)))]),
    lastOffC: last === undefined ? 0 : last.C - courseAt(core, lastS),
  };
}

/** No trait is sought further off than so many standard deviations. */
const MOST_SPREADS = 4.5;
const within = (x: number, most: number): number => Math.max(-most, Math.min(most, x));

/** Some of many readings, evenly over the time, the last among them. */
function thinned(readings: readonly TimedReading[]): TimedReading[] {
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
const cost = (off: readonly number[], place: Place, spread: Place): number =>
  off.reduce((sum, o) => sum + (Math.abs(o) <= FAR ? (o * o) / 2 : FAR * (Math.abs(o) - FAR / 2)), 0) +
  spread.reduce((sum, one, k) => sum + ((place[k] ?? 0) / one) ** 2 / 2, 0);

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

function precision(off: readonly number[], slopes: readonly number[][], place: Place, spread: Place): Normal {
  const sum = (a: readonly number[], b: readonly number[]) => a.reduce((all, x, i) => all + x * (b[i] ?? 0) * weightOf(off[i] ?? 0), 0);
  const matrix = spread.map((one, k) => spread.map((_, l) => sum(slopes[k] ?? [], slopes[l] ?? []) + (k === l ? 1 / one ** 2 : 0)));
  return { matrix, pull: spread.map((one, k) => sum(slopes[k] ?? [], off) + (place[k] ?? 0) / one ** 2) };
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
