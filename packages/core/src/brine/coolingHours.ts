import { inputSays } from '../say/english/inputs.js';
import { HOUR_S } from '../clock/spans.js';
import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';

/** Heat that passes from a pot, W per m² and K [M: still cold air; water and ice that are stirred]. */
const COOLED_BY = { refrigerator: 9, iceBath: 250 } as const;
export type CooledBy = keyof typeof COOLED_BY;

/**
 * Hours that a pot of brine takes to cool (docs/science.md, “Making it”): Newton's law, for a pot as high as it is wide [M].
 *
 * @param p.brineG weight of the brine
 * @param p.byC what it stands in; must be colder than the target
 * @throws InputError when it never gets there
 * @example coolingHours({ brineG: 8000, fromC: 60, toC: 4, byC: 2, by: 'refrigerator' }) // about 14 h
 */
export function coolingHours(p: { brineG: number; fromC: number; toC: number; byC: number; by: CooledBy }): number {
  const brineG = requireNumber('brineG', p.brineG, { above: 0, max: 1e6, unit: 'g' });
  const fromC = requireNumber('fromC', p.fromC, { min: -5, max: 100, unit: '°C' });
  const toC = requireNumber('toC', p.toC, { min: -5, max: 100, unit: '°C' });
  const byC = requireNumber('byC', p.byC, { min: -25, max: 60, unit: '°C' });
  if (fromC <= toC) return 0;
  if (byC >= toC) throw new InputError('byC', inputSays('never-so-cold', { byC, toC }));
  const volumeM3 = brineG / 1.08e6;
  const diameterM = Math.cbrt((4 * volumeM3) / Math.PI);
  const areaM2 = Math.PI * diameterM * diameterM * 1.5;
  const secondsPerE = (brineG * 3.7) / (COOLED_BY[p.by] * areaM2);
  return (secondsPerE * Math.log((fromC - byC) / (toC - byC))) / HOUR_S;
}
