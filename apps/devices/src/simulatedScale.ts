import { chance, type Chance } from './chance.js';

export interface SimulatedScaleOptions {
  seed: number;
  /** its smallest step, g */
  stepG: number;
}

/** Two thirds of the way to a new load take so long, s. */
const SETTLES_S = 0.8;
const STILL_S = 0.25;

/** A bench scale: it swings in on a new load, shows steps, can be set to nought. */
export class SimulatedScale {
  private loadG = 0;
  private shownG = 0;
  private tareG = 0;
  private readonly by: Chance;

  constructor(private readonly options: SimulatedScaleOptions) {
    this.by = chance(options.seed);
  }

  /** Puts something on it, in place of what lay there. */
  load(g: number): void {
    this.loadG = g;
  }

  /** What lies on it now counts as nothing. */
  tare(): void {
    this.tareG = this.loadG;
  }

  /** Goes on by so many seconds and shows what it shows: rounded to its step, stable once it has swung in. */
  next(seconds: number): { g: number; stable: boolean } {
    const follow = 1 - Math.exp(-seconds / SETTLES_S);
    const before = this.shownG;
    this.shownG += (this.loadG - this.shownG) * follow;
    const { stepG } = this.options;
    const isStable = Math.abs(this.shownG - this.loadG) < stepG / 2 && Math.abs(this.shownG - before) < stepG;
    // A little to and fro while it swings, less than a step once it is still.
    const swing = isStable ? this.by.noise() * stepG * 0.05 : this.by.noise() * (STILL_S + Math.abs(this.loadG - this.shownG) * 0.05);
    return { g: Math.round((this.shownG - this.tareG + swing) / stepG) * stepG, stable: isStable };
  }
}
