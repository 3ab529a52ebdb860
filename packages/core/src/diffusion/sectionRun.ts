import { HOUR_S } from '../clock/spans.js';
import { SATURATED_SALT_PERCENT } from '../brine/salometer.js';
import { InputError } from '../inputError.js';
import { LEAN_DIFFUSIVITY } from '../section/uptake.js';
import type { Section } from '../section/section.js';
import { requireNumber, requireThing } from '../units/require.js';
import { needleShares } from './needleShares.js';
import { sectionGrid, usualCellMm, type SectionGrid } from './sectionGrid.js';
import {
  MOST_HOURS,
  programHours,
  requireStages,
  USUAL_C,
  warmth,
  type Injection,
  type SectionSimulation,
  type SimulateSectionParams,
  type Stage,
} from './sectionProgram.js';
import { inputSays } from '../say/english/inputs.js';

/** Work that is refused up front: cells times steps. */
const MOST_WORK = 1.2e9;
const SAMPLES = 200;
/** Share of the longest stable step that is taken. */
const STEP_SHARE = 0.9;

/** More samples are a wrong distance between them. */
const MOST_SAMPLES = 5000;

/** The field and all that is kept of its course. */
export class SectionRun {
  readonly grid: SectionGrid;
  readonly salt: Float64Array;
  private readonly diffusivity: number;
  private readonly partition: number;
  private readonly sampleH: number;
  private readonly kept: Float32Array[] = [];
  private readonly course: Omit<SectionSimulation, 'field' | 'width' | 'height' | 'cellMm' | 'saltBalanceError'> = {
    timesH: [],
    core: [],
    mean: [],
    edge: [],
    slice: [],
    bath: [],
  };
  private readonly section: Section;
  private readonly greenG: number;
  /** weight of the meat with what was pumped, g */
  private massG: number;
  private lastBath: { massG: number; percent: number } | null = null;
  private hours = 0;
  private moved = 0;
  private lost = 0;
  private readonly change: Float64Array;
  private readonly inverse: Float64Array;
  private readonly older: Float64Array;
  private readonly newer: Float64Array;
  /** conductance to the brine as it lies now */
  private rim: Float64Array;

  constructor(p: SimulateSectionParams) {
    this.section = requireThing('section', p.section, inputSays('which-section'));
    this.greenG = requireNumber('meatG', p.meatG, { above: 0, max: 1e6, unit: 'g' });
    this.diffusivity = requireNumber('diffusivity', p.diffusivity ?? LEAN_DIFFUSIVITY, { min: 1e-12, max: 1e-8, unit: 'm²/s' });
    this.partition = requireNumber('partition', p.partition ?? 1, { min: 0.3, max: 1.5 });
    const initial = requireNumber('initialSaltPercent', p.initialSaltPercent ?? 0, { min: 0, max: SATURATED_SALT_PERCENT, unit: '%' });
    requireStages(p.stages);
    this.grid = sectionGrid(this.section, p.cellMm ?? usualCellMm(this.section));
    requireWork(this.grid, p.stages, this.diffusivity);
    this.massG = this.greenG;
    // A row more than the section has: the last cells look below themselves, too.
    const size = this.grid.width * (this.grid.height + 1) + 1;
    this.salt = new Float64Array(size);
    this.change = new Float64Array(size);
    this.older = new Float64Array(size);
    this.newer = new Float64Array(size);
    this.rim = this.grid.rim;
    this.inverse = Float64Array.from(this.grid.area, (area) => (area > 0 ? 1 / area : 0));
    for (const i of this.grid.cells) this.salt[i] = initial;
    const total = programHours(p.stages);
    this.sampleH = requireNumber('sampleHours', p.sampleHours ?? Math.max(total / SAMPLES, 1e-3), { above: 0, max: MOST_HOURS, unit: 'h' });
    if (total / this.sampleH > MOST_SAMPLES) throw new InputError('sampleHours', inputSays('too-many-samples', { most: MOST_SAMPLES }));
    if (p.injected !== undefined) this.inject(p.injected);
    this.moved = this.total();
    this.sample(Number.NaN);
  }

  /** Plays a stage to its end, or until `enough` says so after a sample. */
  play(stage: Stage, enough: () => boolean = () => false): void {
    if (stage.kind === 'inject') this.inject(stage);
    else this.wait(stage, enough);
  }

  /** The least salt anywhere in the lean, %: between the needles or at the core. */
  leastSalt(): number {
    let least = Infinity;
    for (const i of this.grid.lean) least = Math.min(least, this.salt[i] ?? 0);
    return least;
  }

  /** Salt, % of meat and bath alike, that all of it would come to in the end in the bath that it lies in. */
  evenSalt(): number {
    const bath = this.lastBath;
    if (bath === null) return this.meanSalt();
    if (bath.massG === Infinity) return bath.percent;
    return (this.total() + bath.percent * bath.massG) / (this.massG + bath.massG);
  }

  /** Hours played. */
  elapsedH(): number {
    return this.hours;
  }

  /** Core ÷ mean. */
  evenness(): number {
    const mean = this.meanSalt();
    return mean <= 0 ? 0 : (this.salt[this.grid.core] ?? 0) / mean;
  }

  simulation(): SectionSimulation {
    const { width, height, cellMm, meat } = this.grid;
    const kept = this.kept;
    return {
      ...this.course,
      width,
      height,
      cellMm,
      saltBalanceError: this.lost / Math.max(this.moved, 1e-300),
      field: (timeIndex) => {
        const values = kept[timeIndex];
        if (values === undefined) throw new InputError('timeIndex', inputSays('no-such-sample', { n: timeIndex }));
        return Float64Array.from(values, (value, i) => (meat[i] === 1 ? value : Number.NaN));
      },
    };
  }

  /** Brine by the needle: it lies along the tracks, and the meat weighs more. */
  private inject(injection: Injection): void {
    const share = requireNumber('injected.pumpPercent', injection.pumpPercent, { min: 0, max: 60, unit: '%' }) / 100;
    const strength = requireNumber('injected.brineSaltPercent', injection.brineSaltPercent, { min: 0, max: SATURATED_SALT_PERCENT, unit: '%' });
    const spacingMm = requireNumber('injected.spacingMm', injection.spacingMm, { min: 5, max: 200, unit: 'mm' });
    const shares = needleShares(this.section, this.grid, spacingMm);
    const addedG = share * this.greenG;
    const before = this.total();
    const massG = this.massG + addedG;
    const { cells, area, areaMm2 } = this.grid;
    for (const i of cells) {
      const cellG = ((area[i] ?? 0) / areaMm2) * massG;
      const saltG = ((this.salt[i] ?? 0) * (area[i] ?? 0) * this.massG) / areaMm2 + strength * addedG * (shares[i] ?? 0);
      this.salt[i] = saltG / cellG;
    }
    this.massG = massG;
    this.lost += Math.abs(this.total() - before - strength * addedG);
    this.moved += strength * addedG;
  }

  /** Steps through a stage, each as long as is stable, ending on every sample. */
  private wait(stage: Exclude<Stage, { kind: 'inject' }>, enough: () => boolean): void {
    const bath = stage.kind === 'bath' ? this.bathOf(stage) : null;
    this.rim = rimOf(this.grid, stage);
    const sampleH = stage.sampleHours ?? this.sampleH;
    const factor = this.diffusivity * 1e6 * warmth(stage.temperatureC ?? USUAL_C);
    const longestS = stableSeconds(this.grid, factor, bath, this.partition, this.massG);
    const before = this.total();
    const bathBefore = bath === null || bath.massG === Infinity ? 0 : bath.percent * bath.massG;
    let given = 0;
    let doneH = 0;
    // A new bath begins with a jump at the rim: short strides first, so that it does not ring.
    let gentle = stage.kind === 'bath' && stage.goesOn === true ? 0 : GENTLE_SAMPLES;
    while (doneH < stage.hours - 1e-9) {
      const nextH = Math.min(stage.hours, doneH + sampleH);
      const seconds = (nextH - doneH) * HOUR_S;
      const [steps, inner] = strides(seconds / longestS, gentle > 0 ? FEW_LOOKS : MOST_LOOKS);
      gentle -= 1;
      for (let step = 0; step < steps; step += 1) {
        const gained = this.stride((factor * seconds) / steps, inner, bath);
        given += gained;
        if (bath !== null && bath.massG !== Infinity) bath.percent -= gained / bath.massG;
      }
      this.hours += nextH - doneH;
      doneH = nextH;
      this.sample(bath?.percent ?? Number.NaN);
      if (enough()) break;
    }
    const bathLost = bath === null || bath.massG === Infinity ? given : bathBefore - bath.percent * bath.massG;
    this.lost += Math.abs(this.total() - before - given) + Math.abs(bathLost - given);
    this.moved += Math.abs(given);
  }

  private bathOf(stage: Extract<Stage, { kind: 'bath' }>): { massG: number; percent: number } {
    if (stage.goesOn !== true || this.lastBath === null)
      this.lastBath = { massG: stage.bathG === 'infinite' ? Infinity : stage.bathG, percent: stage.saltPercent };
    return this.lastBath;
  }

  /**
   * One long stride of `inner` explicit looks, after Legendre (Runge-Kutta-Legendre, first order [P: Meyer, Balsara and Aslam, 2012]):
   * stable over (inner² + inner) ÷ 2 plain steps, and as conservative as they are. Answers what the meat gained, percent × g.
   */
  private stride(fourier: number, inner: number, bath: { massG: number; percent: number } | null): number {
    const { cells } = this.grid;
    const whole = 2 / (inner * inner + inner);
    const gainScale = (fourier * this.massG) / this.grid.areaMm2;
    const edgeAfter = (gained: number) => (bath === null ? 0 : (bath.percent - (bath.massG === Infinity ? 0 : gained / bath.massG)) * this.partition);
    let [older, newer] = [this.older, this.newer];
    older.set(this.salt);
    let [olderGain, newerGain] = [0, whole * gainScale * this.rates(this.salt, bath === null ? null : edgeAfter(0))];
    for (const i of cells) newer[i] = (this.salt[i] as number) + whole * fourier * (this.change[i] as number) * (this.inverse[i] as number);
    for (let j = 2; j <= inner; j += 1) {
      const [mu, nu] = [(2 * j - 1) / j, (1 - j) / j];
      const gained = this.rates(newer, bath === null ? null : edgeAfter(newerGain));
      const weight = mu * whole * fourier;
      for (let k = 0; k < cells.length; k += 1) {
        const i = cells[k] as number;
        older[i] = mu * (newer[i] as number) + nu * (older[i] as number) + weight * (this.change[i] as number) * (this.inverse[i] as number);
      }
      [olderGain, newerGain] = [newerGain, mu * newerGain + nu * olderGain + mu * whole * gainScale * gained];
      [older, newer] = [newer, older];
    }
    this.salt.set(newer);
    return newerGain;
  }

  /** Flows between the cells of a field into `change`; answers the sum of those from the brine. `edge` is null where nothing is exchanged. */
  private rates(salt: Float64Array, edge: number | null): number {
    const { cells, right, below, width, edge: rims } = this.grid;
    const { change, rim } = this;
    change.fill(0);
    const count = cells.length;
    // Conductances are nothing where there is no neighbour: no questions need to be asked in here.
    for (let k = 0; k < count; k += 1) {
      const i = cells[k] as number;
      const here = salt[i] as number;
      const toRight = (right[i] as number) * ((salt[i + 1] as number) - here);
      const toBelow = (below[i] as number) * ((salt[i + width] as number) - here);
      change[i] = (change[i] as number) + toRight + toBelow;
      change[i + 1] = (change[i + 1] as number) - toRight;
      change[i + width] = (change[i + width] as number) - toBelow;
    }
    if (edge === null) return 0;
    let gained = 0;
    for (const i of rims) {
      const flow = (rim[i] as number) * (edge - (salt[i] as number));
      change[i] = (change[i] as number) + flow;
      gained += flow;
    }
    return gained;
  }

  /** All salt in the meat, percent × g. */
  private total(): number {
    return this.meanSalt() * this.massG;
  }

  /** Mean over the section, %. */
  meanSalt(): number {
    const { cells, area, areaMm2 } = this.grid;
    let sum = 0;
    for (const i of cells) sum += (this.salt[i] ?? 0) * (area[i] ?? 0);
    return sum / areaMm2;
  }

  /** Mean of the cells beside the brine, %. */
  edgeSalt(): number {
    const { edge } = this.grid;
    let rim = 0;
    for (const i of edge) rim += this.salt[i] ?? 0;
    return edge.length === 0 ? 0 : rim / edge.length;
  }

  /** Mean of a slice from the edge, as it is fried and tasted, %: whatever the size of the cells. */
  sliceSalt(): number {
    const { cells, slice } = this.grid;
    let [sum, all] = [0, 0];
    for (const i of cells) {
      sum += (this.salt[i] ?? 0) * (slice[i] ?? 0);
      all += slice[i] ?? 0;
    }
    return all === 0 ? 0 : sum / all;
  }

  private sample(bathPercent: number): void {
    const { core } = this.grid;
    this.course.timesH.push(this.hours);
    this.course.core.push(this.salt[core] ?? 0);
    this.course.mean.push(this.meanSalt());
    this.course.edge.push(this.edgeSalt());
    this.course.slice.push(this.sliceSalt());
    this.course.bath.push(bathPercent);
    this.kept.push(Float32Array.from(this.salt.subarray(0, this.inverse.length)));
  }
}

/** Most looks in one stride: longer ones blur the first hours. */
const MOST_LOOKS = 9;
const FEW_LOOKS = 3;
/** Samples after a new bath that are walked in short strides. */
const GENTLE_SAMPLES = 4;

/** So many strides of so many looks each for a time of so many plain steps. */
function strides(plainSteps: number, mostLooks: number): [count: number, looks: number] {
  const count = Math.max(1, Math.ceil(plainSteps / ((mostLooks * mostLooks + mostLooks) / 2)));
  const each = plainSteps / count;
  // The smallest odd number of looks that is stable.
  let looks = Math.max(3, Math.ceil((Math.sqrt(1 + 8 * each) - 1) / 2));
  if (looks % 2 === 0) looks += 1;
  return [count, looks];
}

/** The rim as it lies in a stage: without the side that is closed. */
function rimOf({ rim, rimOf: sides }: SectionGrid, stage: Stage): Float64Array {
  if (stage.kind !== 'bath' || stage.closedSide === undefined) return rim;
  const closed = sides[stage.closedSide];
  return rim.map((through, i) => Math.max(0, through - (closed[i] ?? 0)));
}

/** The longest step that stays stable: no cell, and not the bath, gives away more than it has. */
function stableSeconds(grid: SectionGrid, factor: number, bath: { massG: number } | null, partition: number, massG: number): number {
  const fastest = fastestCell(grid);
  const ofBath = bath === null || bath.massG === Infinity ? 0 : (rimSum(grid) * partition * massG) / (grid.areaMm2 * bath.massG);
  return STEP_SHARE / (factor * (fastest + ofBath));
}

function fastestCell({ cells, right, below, rim, area, width }: SectionGrid): number {
  let fastest = 0;
  for (const i of cells) {
    const out = (right[i] ?? 0) + (below[i] ?? 0) + (rim[i] ?? 0) + (right[i - 1] ?? 0) + (below[i - width] ?? 0);
    fastest = Math.max(fastest, out / (area[i] ?? 1));
  }
  return fastest;
}

const rimSum = ({ cells, rim }: SectionGrid): number => cells.reduce((sum, i) => sum + (rim[i] ?? 0), 0);

function requireWork(grid: SectionGrid, stages: readonly Stage[], diffusivity: number): void {
  const fastest = fastestCell(grid);
  const steps = stages.reduce((sum, stage) => {
    if (stage.kind === 'inject') return sum;
    return sum + (stage.hours * HOUR_S * diffusivity * 1e6 * warmth(stage.temperatureC ?? USUAL_C) * fastest) / STEP_SHARE;
  }, 0);
  if (steps * grid.cells.length > MOST_WORK) {
    throw new InputError('cellMm', inputSays('cells-too-slow', { cellMm: grid.cellMm, leastMm: grid.cellMm * 2 }));
  }
}
