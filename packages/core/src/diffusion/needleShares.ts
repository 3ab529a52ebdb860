import { InputError } from '../inputError.js';
import { pumpMap } from '../pump/pumpMap.js';
import type { Section } from '../section/section.js';
import type { SectionGrid } from './sectionGrid.js';
import { inputSays } from '../say/english/inputs.js';

/**
 * How much of what is pumped each cell gets, shares that add up to 1: every needle gives as much for each mm of its track, to the two
 * columns that it lies between.
 */
export function needleShares(section: Section, grid: SectionGrid, spacingMm: number): Float64Array {
  const shares = new Float64Array(grid.width * grid.height);
  const { section: needles } = pumpMap({ section, lengthMm: spacingMm, spacingMm });
  const { cellMm } = grid;
  let total = 0;
  for (const { xMm, entryYMm, tipYMm } of needles) {
    // Needles are given with y up, rows run down.
    const [from, to] = [Math.min(-entryYMm, -tipYMm), Math.max(-entryYMm, -tipYMm)];
    const met = Array.from(grid.cells).flatMap((i): [number, number][] => {
      const x = grid.leftMm + ((i % grid.width) + 0.5) * cellMm;
      const top = grid.topMm + Math.floor(i / grid.width) * cellMm;
      const beside = section.shape === 'slab' ? 1 : Math.max(0, 1 - Math.abs(xMm - x) / cellMm);
      const along = Math.max(0, Math.min(to, top + cellMm) - Math.max(from, top));
      return beside * along > 0 ? [[i, beside * along]] : [];
    });
    const sum = met.reduce((all, [, weight]) => all + weight, 0);
    for (const [i, weight] of met) shares[i] = (shares[i] ?? 0) + (weight / sum) * (to - from);
    if (met.length > 0) total += to - from;
  }
  if (total <= 0) throw new InputError('injected.spacingMm', inputSays('no-needle-meets-meat'));
  for (const i of grid.cells) shares[i] = (shares[i] ?? 0) / total;
  return shares;
}
