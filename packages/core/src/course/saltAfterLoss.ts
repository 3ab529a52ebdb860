import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import { inputSays } from '../say/english/inputs.js';

/**
 * Salt of a piece that lost water: the salt stays, the weight goes (docs/science.md, “What keeps it”).
 *
 * @param p.saltPercent before, % of the meat
 * @returns % of what is left
 * @throws InputError where a weight cannot be, or there would be more salt than meat
 * @example saltAfterLoss({ saltPercent: 2, beforeG: 1000, afterG: 800 }) // 2.5
 */
export function saltAfterLoss(p: { saltPercent: number; beforeG: number; afterG: number }): number {
  const salt = requireNumber('saltPercent', p.saltPercent, { min: 0, max: 26.4, unit: '%' });
  const before = requireNumber('beforeG', p.beforeG, { above: 0, max: 1e6, unit: 'g' });
  const after = requireNumber('afterG', p.afterG, { above: 0, max: 1e6, unit: 'g' });
  if (after < (salt / 100) * before) throw new InputError('afterG', inputSays('less-than-its-salt'));
  return (salt * before) / after;
}
