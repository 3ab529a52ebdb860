import { thicknessMm, type Section } from '../section/section.js';
import { surfaceFlow, type Medium, type WaterSupply } from './evaporation.js';

/** Thermal diffusivity of meat, m²/s [M: docs/science.md, “Heat”]. */
export const HEAT_DIFFUSIVITY = 1.3e-7;
/** W/(m K) and kg/m³ of lean meat [M: middle values of tables, from memory]. */
const CONDUCTIVITY = 0.48;
const DENSITY = 1060;

/** Layers from the middle to the rim. */
const LAYERS = 32;
/** Water comes up so fast at 60 °C, kg/(m² s), less and less as what there is, kg/m², leaves [M: brined pieces with a pellicle; P: falling rate of drying]. */
const SUPPLY_KG = 2.2e-4;
const RESERVE_KG = 7;
/** A crust lets through so much of it still. */
const CRUST = 0.03;
/** Water moves e times faster in meat that is so much warmer, °C: about 28 kJ/mol [M: moisture diffusivity of foods, from memory]. */
const SUPPLY_PER_C = 33;

/** What differs from piece to piece and smoker to smoker: fitted to the readings. */
export interface HeatTraits {
  /** multiple of the medium's film */
  film: number;
  /** multiple of {@link HEAT_DIFFUSIVITY} */
  diffusivity: number;
  /** multiple of the water that comes up to the surface, and of how much comes before it is dry */
  supply: number;
  reserve: number;
}

/** Surroundings for a time. `fixed`: the surface has the chamber's temperature, as in the analytic solutions. */
export interface Surroundings {
  chamberC: number;
  medium: Medium | 'fixed';
  isWrapped: boolean;
}

/** A section as heat sees it: 1 a slab, 2 a cylinder, 3 a ball, and what lies between; with the half thickness that goes with it. */
export interface HeatShape {
  dimension: number;
  halfM: number;
}

/**
 * The body of one dimension that stands for a section: it has the section's own rim for its area, which tells how fast a thin piece in a
 * still chamber warms, and its slowest decay of a held surface, which tells it of a thick one in a fast one. Exact for both; between
 * them within a few percent [P: equivalent heat transfer dimension after Cleland and Earle, from memory; the two conditions are ours].
 */
export function heatShape(section: Section): HeatShape {
  const halfM = thicknessMm(section) / 2000;
  const { rim, decay } = rimAndDecay(section);
  const asked = decay / (rim * rim) - SQUARE;
  const dimension = (LINE + Math.sqrt(LINE * LINE + 4 * CONSTANT * asked)) / (2 * asked);
  return { dimension, halfM: (dimension / rim) * halfM };
}

/** Slowest decay of a slab, a cylinder and a ball of half thickness 1, run through by a parabola: pi²/4, 5.783, pi². */
const [SLAB, CYLINDER, BALL] = [Math.PI ** 2 / 4, 2.404825558 ** 2, Math.PI ** 2];
const SQUARE = (BALL - 2 * CYLINDER + SLAB) / 2;
const LINE = CYLINDER - SLAB - 3 * SQUARE;
const CONSTANT = SLAB - LINE - SQUARE;

/** Rim per area, and slowest decay with a held surface, of a section of half thickness 1. */
function rimAndDecay(section: Section): { rim: number; decay: number } {
  switch (section.shape) {
    case 'slab':
      return { rim: 1, decay: SLAB };
    case 'round':
      return { rim: 2, decay: CYLINDER };
    case 'rectangle': {
      const flat = Math.min(section.widthMm, section.heightMm) / Math.max(section.widthMm, section.heightMm);
      return { rim: 1 + flat, decay: SLAB * (1 + flat * flat) };
    }
    case 'ellipse': {
      const flat = Math.min(section.widthMm, section.heightMm) / Math.max(section.widthMm, section.heightMm);
      // Rim of an ellipse of half axes 1 and 1 / flat [P: Ramanujan]; its decay between that of a strip and of a circle [M].
      const a = 1 / flat;
      const rim = (3 * (a + 1) - Math.sqrt((3 * a + 1) * (a + 3))) / a;
      return { rim, decay: SLAB + (Math.PI / 2) * flat + (CYLINDER - SLAB - Math.PI / 2) * flat * flat };
    }
  }
}

/** A piece in layers from its middle to its rim. Temperatures are kept in place: one body, one course. */
export class HeatBody {
  private readonly layers: Float64Array;
  /** face towards the rim, as a share of the rim's own; volume of each layer per rim face, m */
  private readonly faces = new Float64Array(LAYERS);
  private readonly volumes = new Float64Array(LAYERS);
  private readonly upper = new Float64Array(LAYERS);
  private readonly right = new Float64Array(LAYERS);
  private readonly layerM: number;
  private surfaceC: number;
  /** water that has left, kg/m² of rim */
  evaporatedKg = 0;
  /** rim per volume, 1/m */
  readonly rimPerVolume: number;

  constructor(
    section: Section,
    startC: number,
    private readonly traits: HeatTraits,
  ) {
    const { dimension, halfM: radius } = heatShape(section);
    this.layerM = radius / LAYERS;
    this.rimPerVolume = dimension / radius;
    this.layers = new Float64Array(LAYERS).fill(startC);
    this.surfaceC = startC;
    for (let i = 0; i < LAYERS; i += 1) {
      const [inner, outer] = [i / LAYERS, (i + 1) / LAYERS];
      this.faces[i] = outer ** (dimension - 1);
      this.volumes[i] = (radius * (outer ** dimension - inner ** dimension)) / dimension;
    }
  }

  /** Temperature at the middle, °C: the innermost layers run on as a parabola. */
  coreC(): number {
    const [first = 0, second = 0] = this.layers;
    return first + (first - second) / 8;
  }

  rimC(): number {
    return this.surfaceC;
  }

  /** One implicit step: stable however long, exact to the first order. */
  step(seconds: number, around: Surroundings): void {
    const diffusivity = HEAT_DIFFUSIVITY * this.traits.diffusivity;
    const between = diffusivity / this.layerM;
    const heatPerKelvin = CONDUCTIVITY / HEAT_DIFFUSIVITY;
    const last = LAYERS - 1;
    const outermost = this.layers[last] ?? 0;
    // Conductance of the outer half layer, W/(m² K).
    const skin = (2 * CONDUCTIVITY * this.traits.diffusivity) / this.layerM;
    // Flow through the rim as a straight line in the outermost layer's temperature: flow = base + lean × T.
    const { base, lean } = around.medium === 'fixed' ? { base: skin * around.chamberC, lean: -skin } : this.rimLine(around, around.medium, skin, outermost);
    for (let i = 0; i <= last; i += 1) {
      const volume = this.volumes[i] as number;
      const inward = i === 0 ? 0 : between * (this.faces[i - 1] as number);
      const outward = i === last ? 0 : between * (this.faces[i] as number);
      const own = volume / seconds;
      let middle = own + inward + outward;
      let known = own * (this.layers[i] as number);
      if (i === last) {
        middle -= lean / heatPerKelvin;
        known += base / heatPerKelvin;
      }
      const pivot = middle - inward * (i === 0 ? 0 : (this.upper[i - 1] as number));
      this.upper[i] = outward / pivot;
      this.right[i] = (known + inward * (i === 0 ? 0 : (this.right[i - 1] as number))) / pivot;
    }
    for (let i = last, outer = 0; i >= 0; i -= 1) {
      outer = (this.right[i] as number) + (this.upper[i] as number) * outer;
      this.layers[i] = outer;
    }
    this.settleRim(seconds, around, skin);
  }

  private supply({ isWrapped }: Surroundings): WaterSupply | null {
    const { supply, reserve } = this.traits;
    return isWrapped ? null : { at60Kg: SUPPLY_KG * supply * Math.max(CRUST, 1 - this.evaporatedKg / (RESERVE_KG * reserve)), perC: SUPPLY_PER_C };
  }

  private rimLine(around: Surroundings, medium: Medium, skin: number, outermost: number): { base: number; lean: number } {
    this.surfaceC = rimBalance(this.surfaceC, outermost, skin, (C) => surfaceFlow(medium, around.chamberC, C, this.traits.film, this.supply(around)));
    const { heatW, slope } = surfaceFlow(medium, around.chamberC, this.surfaceC, this.traits.film, this.supply(around));
    // skin (S - T) = heat + slope (S - S0): solved for S, straight in T.
    const lean = (skin * slope) / (skin - slope);
    return { base: (skin * (heatW - slope * this.surfaceC)) / (skin - slope), lean };
  }

  private settleRim(seconds: number, around: Surroundings, skin: number): void {
    if (around.medium === 'fixed') {
      this.surfaceC = around.chamberC;
      return;
    }
    const { medium, chamberC } = around;
    const supply = this.supply(around);
    this.surfaceC = rimBalance(this.surfaceC, this.layers[LAYERS - 1] ?? 0, skin, (C) => surfaceFlow(medium, chamberC, C, this.traits.film, supply));
    this.evaporatedKg += surfaceFlow(medium, chamberC, this.surfaceC, this.traits.film, supply).waterKg * seconds;
  }
}

const MOST_TRIES = 12;

/** The rim's temperature at which as much flows in from outside as on into the meat, after Newton. */
function rimBalance(from: number, inside: number, skin: number, flow: (C: number) => { heatW: number; slope: number }): number {
  let C = from;
  for (let i = 0; i < MOST_TRIES; i += 1) {
    const { heatW, slope } = flow(C);
    const change = (heatW - skin * (C - inside)) / (skin - slope);
    C += Math.max(-40, Math.min(40, change));
    if (Math.abs(change) < 1e-6) break;
  }
  return C;
}

/** Water that a piece of a weight has lost through its rim, g. */
export const evaporatedG = (body: HeatBody, massG: number): number => Math.min(massG, (body.evaporatedKg * body.rimPerVolume * massG) / DENSITY);
