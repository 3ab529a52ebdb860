import { HOUR_S } from '../clock/spans.js';
import { requireNumber } from '../units/require.js';
import { thicknessMm, type Section } from './section.js';

/** Salt and nitrite in lean meat at 3 °C, m²/s [M: docs/science.md, “The cure inside the meat”; range 2 to 5 × 10^-10]. */
export const LEAN_DIFFUSIVITY = 3e-10;

/** Diffusivity at which the most is reckoned: the usual one, and the fast end, m²/s. */
export interface UptakeRates {
  value: number;
  high: number;
}

/** The usual [M: 3 × 10^-10 m²/s; one piece in ten is faster than the second]. */
export const USUAL_RATES: UptakeRates = { value: LEAN_DIFFUSIVITY, high: 4.02e-10 };

/** The slow end beside the two. */
export interface UptakeRange extends UptakeRates {
  low: number;
}
export const HANDBOOK_RATES: UptakeRange = { ...USUAL_RATES, low: 2.24e-10 };

const TERMS = 60;
/** A term of a series that no longer matters. */
const NOTHING = 1e-12;

/**
 * How much of what an endless brine would give in the end has entered after some hours, 0 to 1, as a mean over the section: the
 * classical series for a constant edge [P: Crank, The Mathematics of Diffusion]. An ellipse is taken as round with its smaller
 * diameter, so that it is never less than the truth. Bone and fat, which slow it, are left out.
 *
 * @param hours 0 and more
 * @param diffusivity m²/s
 * @example uptakeFraction({ shape: 'slab', thicknessMm: 40 }, 168) // 0.74
 */
export function uptakeFraction(section: Section, hours: number, diffusivity = LEAN_DIFFUSIVITY): number {
  const seconds = requireNumber('hours', hours, { min: 0, max: 24 * 365, unit: 'h' }) * HOUR_S;
  requireNumber('diffusivity', diffusivity, { above: 0, max: 1e-7, unit: 'm²/s' });
  if (seconds === 0) return 0;
  const fourier = (halfMm: number) => (diffusivity * seconds) / (halfMm / 1000) ** 2;
  const closed = section.closedSide === undefined ? 1 : 2;
  switch (section.shape) {
    case 'slab':
      return slab(fourier((thicknessMm(section) * closed) / 2));
    case 'rectangle':
      return 1 - (1 - slab(fourier(section.widthMm / 2))) * (1 - slab(fourier((section.heightMm * closed) / 2)));
    default:
      return cylinder(fourier(thicknessMm(section) / 2));
  }
}

/** Density of meat, g per mm³ [M: lean]. */
const MEAT_G_PER_MM3 = 1.05e-3;

/** A piece with as much of its size as is known: what is not known of it is worked out from its weight. */
export interface SizedPiece {
  section: Section;
  lengthMm?: number;
  massG?: number;
}

/** How long a piece is and, a slab, how wide, mm: Infinity where neither size nor weight says it. */
export function lengthAndWidthMm({ section, lengthMm, massG }: SizedPiece): { lengthMm: number; widthMm: number } {
  const volume = massG === undefined ? Infinity : massG / MEAT_G_PER_MM3;
  if (section.shape === 'slab') {
    const plan = volume / thicknessMm(section);
    return { lengthMm: lengthMm ?? Math.sqrt(plan), widthMm: lengthMm === undefined ? Math.sqrt(plan) : plan / lengthMm };
  }
  const across = section.shape === 'round' ? [section.diameterMm, section.diameterMm] : [section.widthMm, section.heightMm];
  const area = (section.shape === 'rectangle' ? 1 : Math.PI / 4) * (across[0] ?? 1) * (across[1] ?? 1);
  return { lengthMm: lengthMm ?? volume / area, widthMm: Infinity };
}

/**
 * The same for a whole piece, which takes up through its ends and edges as well: what is left out of each direction multiplied [P: Newman's
 * product rule, in Carslaw and Jaeger, Conduction of Heat in Solids]. Never less than the truth for an ellipse, for bone and fat.
 *
 * @example pieceUptake({ section: { shape: 'slab', thicknessMm: 75 }, lengthMm: 130, massG: 1003 }, 168) // 0.72, of a slab without end 0.41
 */
export function pieceUptake(piece: SizedPiece, hours: number, diffusivity = LEAN_DIFFUSIVITY): number {
  const { lengthMm, widthMm } = lengthAndWidthMm(piece);
  const left = [lengthMm, widthMm].reduce((share, mm) => share * (1 - (Number.isFinite(mm) ? slab((diffusivity * hours * HOUR_S) / (mm / 2000) ** 2) : 0)), 1);
  return 1 - (1 - uptakeFraction(piece.section, hours, diffusivity)) * left;
}

/** Steps in which a bath that gives up what the meat takes is followed. */
const BATH_STEPS = 48;

/**
 * What a piece has taken from a bath of limited volume, as a share of the bath's first strength: what the bath loses the meat gains, so it
 * comes to bath ÷ (meat + bath) in the end. Duhamel's sum over the falling strength of the bath [P: Carslaw and Jaeger].
 *
 * @param meatPerBath weight of all that lies in it ÷ weight of the bath
 */
export function uptakeFromBath(piece: SizedPiece, hours: number, meatPerBath: number, diffusivity = LEAN_DIFFUSIVITY): number {
  if (hours <= 0) return 0;
  const step = hours / BATH_STEPS;
  const whole = Array.from({ length: BATH_STEPS + 1 }, (_, k) => pieceUptake(piece, k * step, diffusivity));
  const half = Array.from({ length: BATH_STEPS }, (_, k) => pieceUptake(piece, (k + 0.5) * step, diffusivity));
  const bath = [1];
  let taken = 0;
  for (let i = 1; i <= BATH_STEPS; i += 1) {
    let sum = whole[i] ?? 0;
    for (let j = 1; j < i; j += 1) sum += ((bath[j] ?? 0) - (bath[j - 1] ?? 0)) * (half[i - j] ?? 0);
    const [before, now] = [bath[i - 1] ?? 1, half[0] ?? 0];
    taken = (sum + (1 - before) * now) / (1 + meatPerBath * now);
    bath.push(1 - meatPerBath * taken);
  }
  return taken;
}

/** Plane sheet, mean: 1 − Σ 8 ÷ ((2n+1)²π²) · exp(−(2n+1)²π²Fo ÷ 4). */
function slab(fo: number): number {
  if (fo < 0.01) return 2 * Math.sqrt(fo / Math.PI);
  let left = 0;
  for (let n = 0; n < TERMS; n += 1) {
    const k = (2 * n + 1) * Math.PI;
    const term = (8 / k ** 2) * Math.exp((-(k ** 2) * fo) / 4);
    left += term;
    if (term < NOTHING) break;
  }
  return 1 - left;
}

/** Zeros of the Bessel function J0: the first [P: Abramowitz and Stegun], and by McMahon's expansion the rest, worked out once. */
const J0_FIRST = [2.404825558, 5.52007811, 8.653727913, 11.79153444];
const J0_ZEROS = Array.from({ length: TERMS }, (_, i) => {
  const b = (i + 0.75) * Math.PI;
  return J0_FIRST[i] ?? b + 1 / (8 * b) - 124 / (3 * (8 * b) ** 3);
});

/** Long cylinder, mean: 1 − Σ 4 ÷ αn² · exp(−αn² Fo), αn the zeros of J0. */
function cylinder(fo: number): number {
  if (fo < 0.01) return 4 * Math.sqrt(fo / Math.PI) - fo;
  let left = 0;
  for (const zero of J0_ZEROS) {
    const term = (4 / zero ** 2) * Math.exp(-(zero ** 2) * fo);
    left += term;
    if (term < NOTHING) break;
  }
  return 1 - left;
}
