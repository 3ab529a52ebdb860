import type { Chance } from './chance.js';

export interface ChamberOptions {
  startC: number;
  /** what the cook sets it to, from each time on, s */
  settings: { fromS: number; C: number }[];
  /** when a door is opened, s; for two minutes */
  doorsS: number[];
  /** the fuel dies at this time and is filled up again at that, s */
  fuelOut?: { fromS: number; toS: number };
}

const WARMS_S = 900;
const DIES_S = 3000;
const DOOR_OPEN_S = 120;
const OUTSIDE_C = 18;

/** A wood-fired chamber: it follows its setting slowly, swings with every log, falls when the door stands open or the fuel dies. */
export class SimulatedChamber {
  C: number;
  /** multiple of the usual film: wind comes and goes */
  wind = 1;
  private s = 0;
  private readonly habitC: number;
  private readonly swing: { C: number; everyS: number; from: number };

  constructor(
    private readonly options: ChamberOptions,
    private readonly by: Chance,
  ) {
    this.C = options.startC;
    this.habitC = by.between(-3, 3);
    this.swing = { C: by.between(1.5, 4), everyS: by.between(2400, 3600), from: by.share() * 6.28 };
  }

  advance(seconds: number): void {
    this.s += seconds;
    const { settings, doorsS, fuelOut } = this.options;
    const setC = settings.findLast(({ fromS }) => fromS <= this.s)?.C ?? settings[0]?.C ?? OUTSIDE_C;
    const isDead = fuelOut !== undefined && this.s >= fuelOut.fromS && this.s < fuelOut.toS;
    const isOpen = doorsS.some((fromS) => this.s >= fromS && this.s < fromS + DOOR_OPEN_S);
    const aimC = isDead ? OUTSIDE_C + 25 : setC + this.habitC + this.swing.C * Math.sin((this.s * 6.28) / this.swing.everyS + this.swing.from);
    const follow = 1 - Math.exp(-seconds / (isDead ? DIES_S : WARMS_S / 3));
    this.C += (aimC - this.C) * follow;
    if (isOpen) this.C += (OUTSIDE_C + 20 - this.C) * (1 - Math.exp(-seconds / 150));
    this.wind = Math.max(0.6, Math.min(1.5, this.wind + (1 - this.wind) * (seconds / 1800) + this.by.noise() * 0.05 * Math.sqrt(seconds / 60)));
  }
}
