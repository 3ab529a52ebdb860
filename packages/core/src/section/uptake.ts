import { requireNumber } from '../units/require.js';
import { thicknessMm, type Section } from './section.js';

/** Salt and nitrite in lean meat at 3 °C, m²/s [M: handbook part 9; range 2 to 5 × 10^-10]. */
export const LEAN_DIFFUSIVITY = 3e-10;

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
  const seconds = requireNumber('hours', hours, { min: 0, max: 24 * 365, unit: 'h' }) * 3600;
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

/** First zeros of the Bessel function J0 [P: Abramowitz and Stegun]; McMahon's expansion gives the rest. */
const J0_ZEROS = [2.404825558, 5.52007811, 8.653727913, 11.79153444];

/** Long cylinder, mean: 1 − Σ 4 ÷ αn² · exp(−αn² Fo), αn the zeros of J0. */
function cylinder(fo: number): number {
  if (fo < 0.01) return 4 * Math.sqrt(fo / Math.PI) - fo;
  let left = 0;
  for (let n = 1; n <= TERMS; n += 1) {
    const b = (n - 0.25) * Math.PI;
    const zero = J0_ZEROS[n - 1] ?? b + 1 / (8 * b) - 124 / (3 * (8 * b) ** 3);
    const term = (4 / zero ** 2) * Math.exp(-(zero ** 2) * fo);
    left += term;
    if (term < NOTHING) break;
  }
  return 1 - left;
}
