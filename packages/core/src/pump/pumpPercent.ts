import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import { inputSays } from '../say/english/inputs.js';

/**
 * What was pumped into a piece, % of its green weight (docs/science.md, “Ingoing nitrite”).
 *
 * @param p.greenG weight before the needle
 * @param p.pumpedG weight after it, drained a few minutes
 * @throws InputError when the pumped weight is below the green weight
 * @example pumpPercent({ greenG: 7000, pumpedG: 7700 }) // 10
 */
export function pumpPercent(p: { greenG: number; pumpedG: number }): number {
  const greenG = requireNumber('greenG', p.greenG, { above: 0, max: 1e6, unit: 'g' });
  const pumpedG = requireNumber('pumpedG', p.pumpedG, { above: 0, max: 1e7, unit: 'g' });
  if (pumpedG < greenG) {
    throw new InputError('pumpedG', inputSays('pumped-below-green', { pumpedG, greenG }));
  }
  return ((pumpedG - greenG) / greenG) * 100;
}
