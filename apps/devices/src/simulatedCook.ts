import { chance, type Chance } from './chance.js';
import { SimulatedChamber, type ChamberOptions } from './simulatedChamber.js';
import { SimulatedMeat } from './simulatedMeat.js';

export interface SimulatedCookOptions extends ChamberOptions {
  seed: number;
  diameterMm: number;
  coreC: number;
  /** channel 2 sits short of the middle from the start on: as a share of the way to the rim; 0 where it sits well */
  shallow: number;
  /** it is pushed to the middle at this time, s */
  reseatedS?: number;
  /** the piece is wrapped at this time, s */
  wrappedS?: number;
  /** nothing is heard between these times, s */
  silent?: { fromS: number; toS: number };
}

/** What the four channels read: chamber, core, thin end, and just under the surface; null where a channel drops out. */
export interface CookReading {
  s: number;
  C: (number | null)[];
}

const DROP_OUT = 0.004;
const NOISE_C = 0.15;

/** A cook with weather in it, as its thermometer sees it. */
export class SimulatedCook {
  private s = 0;
  private readonly by: Chance;
  private readonly chamber: SimulatedChamber;
  private readonly thick: SimulatedMeat;
  private readonly thin: SimulatedMeat;

  constructor(private readonly options: SimulatedCookOptions) {
    this.by = chance(options.seed);
    this.chamber = new SimulatedChamber(options, this.by);
    this.thick = new SimulatedMeat({ diameterMm: options.diameterMm, startC: options.coreC }, this.by);
    this.thin = new SimulatedMeat({ diameterMm: options.diameterMm * 0.86, startC: options.coreC }, this.by);
  }

  /** Goes on by so many seconds and reads all four channels. */
  next(seconds: number): CookReading {
    const { wrappedS = Infinity, reseatedS = Infinity, shallow, silent } = this.options;
    for (let left = seconds; left > 0; left -= 10) {
      const step = Math.min(10, left);
      this.s += step;
      this.thick.isWrapped = this.thin.isWrapped = this.s >= wrappedS;
      this.chamber.advance(step);
      this.thick.advance(step, this.chamber.C, this.chamber.wind);
      this.thin.advance(step, this.chamber.C, this.chamber.wind);
    }
    const place = this.s < reseatedS ? shallow : 0;
    const isSilent = silent !== undefined && this.s >= silent.fromS && this.s < silent.toS;
    const read = (C: number) => (isSilent || this.by.share() < DROP_OUT ? null : Math.round((C + this.by.noise() * NOISE_C) * 10) / 10);
    return { s: this.s, C: [read(this.chamber.C), read(this.thick.at(place)), read(this.thin.at(0)), read(this.thick.at(0.85))] };
  }

  /** What an instant-read thermometer finds in the middle, without its own error. */
  trueCoreC(): number {
    return this.thick.at(0);
  }
}
