import { chance, type Chance } from './chance.js';

export interface SimulatedRefrigeratorOptions {
  seed: number;
  /** the compressor fails at this time, s */
  failsS?: number;
}

const ROOM_C = 19;
/** The thermostat starts and stops the compressor at these, °C. */
const ON_C = 3.4;
const OFF_C = 1.9;
/** How fast it cools while it runs, and warms while it does not: time constants, s. */
const COOLS_S = 1500;
const WARMS_S = 16_000;
const COLDEST_C = -4;
const DOOR_S = { often: 9000, open: 90 } as const;
const NOISE_C = 0.08;

/** A refrigerator as its logger sees it: a thermostat, doors that are opened now and then, and perhaps a compressor that fails. */
export class SimulatedRefrigerator {
  private s = 0;
  private C = 2.6;
  private isRunning = false;
  private doorUntilS = -1;
  private readonly by: Chance;

  constructor(private readonly options: SimulatedRefrigeratorOptions) {
    this.by = chance(options.seed);
  }

  /** Goes on by so many seconds and reads the air; null where the reading drops out. */
  next(seconds: number): { s: number; C: (number | null)[] } {
    for (let left = seconds; left > 0; left -= 10) this.step(Math.min(10, left));
    const read = this.by.share() < 0.002 ? null : Math.round((this.C + this.by.noise() * NOISE_C) * 10) / 10;
    return { s: this.s, C: [read] };
  }

  private step(seconds: number): void {
    this.s += seconds;
    const isDead = this.s >= (this.options.failsS ?? Infinity);
    if (this.C >= ON_C) this.isRunning = true;
    else if (this.C <= OFF_C) this.isRunning = false;
    const [towards, slow] = this.isRunning && !isDead ? [COLDEST_C, COOLS_S] : [ROOM_C, WARMS_S];
    this.C += (towards - this.C) * (1 - Math.exp(-seconds / slow));
    if (this.by.share() < seconds / DOOR_S.often) this.doorUntilS = this.s + DOOR_S.open;
    if (this.s < this.doorUntilS) this.C += (ROOM_C - this.C) * (1 - Math.exp(-seconds / 900));
  }
}
