import type { Chance } from './chance.js';

/** A round piece of meat in rings, by plain explicit steps: made to differ from any forecast of it. */
export interface MeatOptions {
  diameterMm: number;
  startC: number;
}

const RINGS = 14;
const STEP_S = 5;
const DENSITY = 1060;
const HEAT_J_PER_KG_K = 3500;
const LATENT_J_PER_KG = 2.35e6;

/** What differs from piece to piece: drawn by chance. */
interface Hidden {
  conductivity: number;
  /** W/(m² K) */
  film: number;
  /** fastest that water comes to the surface at 60 °C, kg/(m² s) */
  supply: number;
  /** water that can leave before the surface is a crust, kg/m² */
  reserve: number;
  dewC: number;
}

/**
 * The stall is made here by how fast water comes to the surface: until the piece is dry enough, as much leaves as arrives, faster the
 * warmer it is; behind that the surface stays near the temperature at which what leaves takes all the heat that comes.
 */
export class SimulatedMeat {
  private readonly rings: number[];
  private readonly hidden: Hidden;
  private readonly ringM: number;
  private lostKg = 0;
  private owedS = 0;
  isWrapped = false;

  constructor({ diameterMm, startC }: MeatOptions, by: Chance) {
    this.rings = Array.from({ length: RINGS }, () => startC);
    this.ringM = diameterMm / 2000 / RINGS;
    this.hidden = {
      conductivity: by.between(0.43, 0.52),
      film: by.between(15, 26),
      supply: by.between(1.6e-4, 4e-4),
      reserve: by.between(5, 9),
      dewC: by.between(25, 45),
    };
  }

  advance(seconds: number, chamberC: number, wind: number): void {
    this.owedS += seconds;
    while (this.owedS >= STEP_S) {
      this.owedS -= STEP_S;
      this.step(chamberC, wind);
    }
  }

  /** At a place between the middle (0) and the rim (1). */
  at(place: number): number {
    const ring = place * RINGS - 0.5;
    const i = Math.max(0, Math.min(RINGS - 2, Math.floor(ring)));
    const part = Math.max(0, Math.min(1, ring - i));
    return (this.rings[i] ?? 0) * (1 - part) + (this.rings[i + 1] ?? 0) * part;
  }

  private step(chamberC: number, wind: number): void {
    const { conductivity, film, dewC } = this.hidden;
    const rim = this.rings[RINGS - 1] ?? 0;
    const leavesKg = this.isWrapped ? 0 : Math.min(this.supplyAt(rim), freeKg(film * wind, rim, dewC));
    this.lostKg += Math.max(0, leavesKg) * STEP_S;
    const flows = this.rings.map((C, i) => {
      const outerM = (i + 1) * this.ringM;
      const next = this.rings[i + 1];
      if (next !== undefined) return (conductivity * (next - C) * outerM) / this.ringM;
      const through = 1 / (1 / (film * wind) + this.ringM / 2 / conductivity);
      return (through * (chamberC - C) - leavesKg * LATENT_J_PER_KG) * outerM;
    });
    this.rings.forEach((C, i) => {
      const [inner, outer] = [i * this.ringM, (i + 1) * this.ringM];
      const gained = (flows[i] ?? 0) - (flows[i - 1] ?? 0);
      this.rings[i] = C + (gained * STEP_S * 2) / (DENSITY * HEAT_J_PER_KG_K * (outer * outer - inner * inner));
    });
  }

  private supplyAt(rimC: number): number {
    const { supply, reserve } = this.hidden;
    return supply * Math.exp((rimC - 60) / 25) * Math.max(0, 1 - this.lostKg / reserve) ** 1.4;
  }
}

/** What would leave a free surface of water, kg/(m² s). */
function freeKg(film: number, rimC: number, dewC: number): number {
  const pascal = (C: number) => 610.94 * Math.exp((17.625 * C) / (C + 243.04));
  return (film * 0.622 * (pascal(rimC) - pascal(dewC))) / (1005 * 0.9 * 101_325);
}
