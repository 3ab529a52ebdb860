import { inputSays } from '../say/english/inputs.js';
import { InputError } from '../inputError.js';
import { nitriteShare, type CureMix } from '../ingredients/cureMix.js';
import { requireNumber } from '../units/require.js';

/** Pick-up of a covered piece when it was not weighed, % of green weight [P: FSIS Processing Inspectors' Calculations Handbook]. */
export const USUAL_PICK_UP_PERCENT = 10;

/** How ingoing nitrite is counted (docs/science.md, “Ingoing nitrite”). Weights in g; meat is green weight; brine is everything in the bucket. */
export type NitriteBasis =
  | { basis: 'pumped'; brineG: number; pumpPercent: number }
  | { basis: 'pickUp'; brineG: number; pickUpPercent?: number }
  | { basis: 'equilibrium'; brineG: number; meatG: number }
  | { basis: 'dry'; meatG: number };

/**
 * Ingoing nitrite by one of the inspectors' four methods, ppm (mg NaNO2 per kg green weight; for equilibrium per kg of everything).
 * [P: USDA FSIS Processing Inspectors' Calculations Handbook, Directive 7620.3; from memory]
 *
 * @throws InputError when a weight or percentage is missing, not positive or absurd
 * @example ingoingNitrite({ basis: 'pumped', nitriteG: 1.2, brineG: 1000, pumpPercent: 10 }) // 120
 */
export function ingoingNitrite(p: NitriteBasis & { nitriteG: number }): number {
  const nitriteG = requireNumber('nitriteG', p.nitriteG, { min: 0, max: 1e6, unit: 'g' });
  if ('brineG' in p && nitriteG > p.brineG) throw new InputError('nitriteG', inputSays('more-nitrite-than-brine'));
  return (nitriteG / basisWeightG(p)) * 1e6;
}

/**
 * Grams of a cure mix that bring the ingoing figure to a target: the exact inverse of {@link ingoingNitrite} for a brine whose
 * weight is known.
 *
 * @throws InputError as ingoingNitrite, and when the mix holds no nitrite or the brine would have to be more than all cure
 * @example cureForNitrite({ basis: 'pumped', targetPpm: 120, brineG: 1000, pumpPercent: 10, cure: CURE_1 }) // 19.2
 */
export function cureForNitrite(p: NitriteBasis & { targetPpm: number; cure: CureMix }): number {
  const targetPpm = requireNumber('targetPpm', p.targetPpm, { min: 0, max: 1e6, unit: 'ppm' });
  const cureG = ((targetPpm / 1e6) * basisWeightG(p)) / nitriteShare(p.cure);
  if ('brineG' in p && cureG > p.brineG) {
    throw new InputError('targetPpm', inputSays('cure-too-weak', { cure: p.cure.name, targetPpm, cureG: Math.ceil(cureG), brineG: p.brineG }));
  }
  return cureG;
}

/** The weight that the nitrite is counted against. */
function basisWeightG(p: NitriteBasis): number {
  switch (p.basis) {
    case 'pumped':
      return brine(p.brineG) / (requireNumber('pumpPercent', p.pumpPercent, { above: 0, max: 100, unit: '%' }) / 100);
    case 'pickUp':
      return brine(p.brineG) / (requireNumber('pickUpPercent', p.pickUpPercent ?? USUAL_PICK_UP_PERCENT, { above: 0, max: 100, unit: '%' }) / 100);
    case 'equilibrium':
      return brine(p.brineG) + meat(p.meatG);
    case 'dry':
      return meat(p.meatG);
    default:
      throw new InputError('basis', inputSays('unknown-basis', { basis: String((p as { basis: unknown }).basis) }));
  }
}

const brine = (brineG: number) => requireNumber('brineG', brineG, { above: 0, max: 1e7, unit: 'g' });
const meat = (meatG: number) => requireNumber('meatG', meatG, { above: 0, max: 1e7, unit: 'g' });
