import { requireNumber } from '../units/require.js';
import { MEAT_DENSITY } from './coverBrine.js';

/** More than just enough, for what a piece is fatter than it looks and for the handling [M]. */
export const HOLD_DOWN_MARGIN = 1.3;

/**
 * Weight that holds floating pieces under, g as felt in the brine (docs/science.md, “Making it”): volume × (brine density − meat density) × 1.3 for
 * each piece that floats. A piece that sinks does not hold another down.
 *
 * @param p.brineDensity g/mL
 * @throws InputError when a weight or a density cannot be
 * @example holdDownG({ pieces: [{ massG: 2000, densityGPerML: 0.95 }], brineDensity: 1.07 }) // 328
 */
export function holdDownG(p: { pieces: readonly { massG: number; densityGPerML?: number }[]; brineDensity: number }): number {
  const brineDensity = requireNumber('brineDensity', p.brineDensity, { min: 0.9, max: 1.4, unit: 'g/mL' });
  return p.pieces.reduce((sum, piece, i) => {
    const massG = requireNumber(`pieces.${i}.massG`, piece.massG, { above: 0, max: 1e6, unit: 'g' });
    const density = requireNumber(`pieces.${i}.densityGPerML`, piece.densityGPerML ?? MEAT_DENSITY.lean, { min: 0.8, max: 1.3, unit: 'g/mL' });
    return sum + Math.max(0, (massG / density) * (brineDensity - density)) * HOLD_DOWN_MARGIN;
  }, 0);
}

/**
 * What a thing that weighs `feltG` under brine weighs on the scale: a stone or a jar loses the weight of the brine it pushes away.
 *
 * @param p.weightDensity g/mL; a stone 2.6, a sealed jar of water 1.0 holds nothing down
 */
export function weightInAirG(p: { feltG: number; brineDensity: number; weightDensity: number }): number {
  const density = requireNumber('weightDensity', p.weightDensity, { above: p.brineDensity, max: 20, unit: 'g/mL' });
  return p.feltG / (1 - p.brineDensity / density);
}
