import { thicknessMm, type Section } from '../section/section.js';
import { lengthAndWidthMm, type SizedPiece } from '../section/uptake.js';
import { surfaceFlow, type Medium, type SurfaceFlow, type WaterSupply } from './evaporation.js';

/** Thermal diffusivity of meat, m²/s [M: docs/science.md, “Heat”]. */
export const HEAT_DIFFUSIVITY = 1.3e-7;
/** W/(m K) and kg/m³ of lean meat [M: middle values of tables, from memory]. */
const CONDUCTIVITY = 0.48;
const DENSITY = 1060;

/** Layers from the middle to the rim. */
const LAYERS = 32;
/** Layers from the middle to an end or an edge. */
const EDGE_LAYERS = 10;
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
  /** what the place lies above what it is said to be, where nobody reads it, °C */
  placeOffC: number;
  /** what its rim lies above its middle as it begins, °C */
  rimAboveC: number;
}

/** Surroundings for a time. `fixed`: the surface has the chamber's temperature, as in the analytic solutions. */
export interface Surroundings {
  chamberC: number;
  medium: Medium | 'fixed';
  isWrapped: boolean;
}

/** The thinnest way through a piece as heat sees it: 1 a slab, 2 a cylinder, and what lies between; with the half thickness that goes with it. */
export interface HeatShape {
  dimension: number;
  halfM: number;
}

/**
 * The body of one dimension that stands for a section. A slab, a rectangle (whose other way is an edge) and a round are what they are; an
 * ellipse has its own rim for its area, which tells how fast a thin one in a still chamber warms, and its slowest decay of a held surface,
 * which tells it of a thick one in a fast one [P: equivalent heat transfer dimension after Cleland and Earle, from memory; the two
 * conditions are ours].
 */
export function heatShape(section: Section): HeatShape {
  const halfM = thicknessMm(section) / 2000;
  if (section.shape === 'slab' || section.shape === 'rectangle') return { dimension: 1, halfM };
  if (section.shape === 'round') return { dimension: 2, halfM };
  const flat = (2000 * halfM) / Math.max(section.widthMm, section.heightMm);
  // Rim of an ellipse of half axes 1 and 1 / flat [P: Ramanujan]; its decay between that of a strip and of a circle [M].
  const a = 1 / flat;
  const rim = (3 * (a + 1) - Math.sqrt((3 * a + 1) * (a + 3))) / a;
  const decay = SLAB + (Math.PI / 2) * flat + (CYLINDER - SLAB - Math.PI / 2) * flat * flat;
  const asked = decay / (rim * rim) - SQUARE;
  const dimension = (LINE + Math.sqrt(LINE * LINE + 4 * CONSTANT * asked)) / (2 * asked);
  return { dimension, halfM: (dimension / rim) * halfM };
}

/** Half of the other ways through a piece, m: to its ends and edges. */
function otherHalvesM(piece: SizedPiece): number[] {
  const { section } = piece;
  const { lengthMm, widthMm } = lengthAndWidthMm(piece);
  const acrossMm = section.shape === 'rectangle' ? Math.max(section.widthMm, section.heightMm) : widthMm;
  return [lengthMm, acrossMm].filter(Number.isFinite).map((mm) => mm / 2000);
}

/** Slowest decay of a slab, a cylinder and a ball of half thickness 1, run through by a parabola: pi²/4, 5.783, pi². */
const [SLAB, CYLINDER, BALL] = [Math.PI ** 2 / 4, 2.404825558 ** 2, Math.PI ** 2];
const SQUARE = (BALL - 2 * CYLINDER + SLAB) / 2;
const LINE = CYLINDER - SLAB - 3 * SQUARE;
const CONSTANT = SLAB - LINE - SQUARE;

/**
 * What is left at the middle between two faces, of a difference of 1: how far ends and edges have come. Where film and surroundings stay as
 * they are, the three ways multiply [P: Newman's product rule, in Carslaw and Jaeger]; of what is left the rate counts, so that it may be
 * kept near 1 for ever.
 */
class Edge {
  private left = new Float64Array(EDGE_LAYERS).fill(1);
  private readonly upper = new Float64Array(EDGE_LAYERS);
  private readonly layerM: number;

  constructor(halfM: number) {
    this.layerM = halfM / EDGE_LAYERS;
  }

  /** How fast it falls at the middle in a step, 1/s. @param film W/(m² K) from the surface out; Infinity where it is held */
  rate(seconds: number, diffusivity: number, conductivity: number, film: number): number {
    const { left, upper, layerM } = this;
    const between = diffusivity / layerM;
    const skin = (2 * conductivity) / layerM;
    const out = ((film === Infinity ? skin : (skin * film) / (skin + film)) * diffusivity) / conductivity;
    const own = layerM / seconds;
    const last = EDGE_LAYERS - 1;
    const middle = left[0] as number;
    for (let i = 0; i <= last; i += 1) {
      const inward = i === 0 ? 0 : between;
      const outward = i === last ? 0 : between;
      const pivot = own + inward + outward + (i === last ? out : 0) - inward * (i === 0 ? 0 : (upper[i - 1] as number));
      upper[i] = outward / pivot;
      left[i] = (own * (left[i] as number) + inward * (i === 0 ? 0 : (left[i - 1] as number))) / pivot;
    }
    for (let i = last - 1; i >= 0; i -= 1) left[i] = (left[i] as number) + (upper[i] as number) * (left[i + 1] as number);
    const fell = (left[0] as number) / middle;
    for (let i = 0; i <= last; i += 1) left[i] = (left[i] as number) / fell;
    return -Math.log(fell) / seconds;
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
  private readonly edges: readonly Edge[];
  private surfaceC: number;
  private endC: number | null = null;
  /** water that has left, kg/m² of rim */
  evaporatedKg = 0;
  /** rim per volume, 1/m */
  readonly rimPerVolume: number;

  constructor(
    piece: SizedPiece,
    startC: number,
    private readonly traits: HeatTraits,
  ) {
    const { dimension, halfM: radius } = heatShape(piece.section);
    const halves = otherHalvesM(piece);
    this.edges = halves.map((halfM) => new Edge(halfM));
    this.layerM = radius / LAYERS;
    this.rimPerVolume = dimension / radius + halves.reduce((sum, halfM) => sum + 1 / halfM, 0);
    this.layers = Float64Array.from({ length: LAYERS }, (_, i) => startC + traits.rimAboveC * ((i + 0.5) / LAYERS) ** 2);
    this.surfaceC = startC + traits.rimAboveC;
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
    const { base, lean, film, endC } =
      around.medium === 'fixed'
        ? { base: skin * around.chamberC, lean: -skin, film: Infinity, endC: around.chamberC }
        : this.rimLine(around, around.medium, skin, outermost);
    // Through ends and edges the whole of it goes towards where it would end.
    const conductivity = CONDUCTIVITY * this.traits.diffusivity;
    const sideways = this.edges.reduce((sum, edge) => sum + edge.rate(seconds, diffusivity, conductivity, film), 0);
    for (let i = 0; i <= last; i += 1) {
      const volume = this.volumes[i] as number;
      const inward = i === 0 ? 0 : between * (this.faces[i - 1] as number);
      const outward = i === last ? 0 : between * (this.faces[i] as number);
      const own = volume / seconds;
      let middle = own + inward + outward + volume * sideways;
      let known = own * (this.layers[i] as number) + volume * sideways * endC;
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

  /** What flows through the rim at a temperature of its own, with as much water as has left so far. */
  private flow({ chamberC, isWrapped }: Surroundings, medium: Medium): (C: number) => SurfaceFlow {
    const { film, supply, reserve } = this.traits;
    const wet: WaterSupply | null = isWrapped
      ? null
      : { at60Kg: SUPPLY_KG * supply * Math.max(CRUST, 1 - this.evaporatedKg / (RESERVE_KG * reserve)), perC: SUPPLY_PER_C };
    return (C) => surfaceFlow(medium, chamberC, C, film, wet);
  }

  private rimLine(around: Surroundings, medium: Medium, skin: number, outermost: number): { base: number; lean: number; film: number; endC: number } {
    const flow = this.flow(around, medium);
    this.surfaceC = rimBalance(this.surfaceC, outermost, skin, flow);
    const { heatW, slope } = flow(this.surfaceC);
    // skin (S - T) = heat + slope (S - S0): solved for S, straight in T.
    const lean = (skin * slope) / (skin - slope);
    // Where nothing flows any more: the chamber, or as hot as a wet surface gets in it.
    this.endC = this.edges.length === 0 ? around.chamberC : rimBalance(this.endC ?? this.surfaceC, 0, 0, flow);
    return { base: (skin * (heatW - slope * this.surfaceC)) / (skin - slope), lean, film: -slope, endC: this.endC };
  }

  private settleRim(seconds: number, around: Surroundings, skin: number): void {
    if (around.medium === 'fixed') {
      this.surfaceC = around.chamberC;
      return;
    }
    const flow = this.flow(around, around.medium);
    this.surfaceC = rimBalance(this.surfaceC, this.layers[LAYERS - 1] ?? 0, skin, flow);
    this.evaporatedKg += flow(this.surfaceC).waterKg * seconds;
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
