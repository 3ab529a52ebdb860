import { inputSays } from '../say/english/inputs.js';
import { InputError } from '../inputError.js';
import { requireCureMix, type CureMix } from '../ingredients/cureMix.js';
import { requireNumber } from '../units/require.js';
import { saltPercentToSalometer, SATURATED_SALT_PERCENT } from './salometer.js';

/** The four weights that make a brine. */
export interface BrineWeights {
  waterG: number;
  saltG: number;
  sugarG: number;
  cureG: number;
}

export interface BrineStrength {
  /** salt, that of the cure included, % w/w of everything in the brine */
  brineSaltPercent: number;
  /** degrees of the salt alone: a float in a sugared brine stands higher */
  salometer: number;
}

/**
 * How strong a brine is, from what was weighed into it. The salt in the cure mix is salt.
 *
 * @throws InputError when more salt is asked of the water than it can hold (26.4 % w/w at 15.6 °C)
 * @example brineStrength({ waterG: 850, saltG: 150, sugarG: 0, cureG: 0 }, CURE_1) // 15 %, 56.8 °
 */
export function brineStrength(brine: BrineWeights, cure: CureMix): BrineStrength {
  requireCureMix(cure);
  const { saltG, sugarG, cureG } = brine;
  requireNumber('waterG', brine.waterG, { min: 0, unit: 'g' });
  const waterG = requireNumber('waterG', brine.waterG + (cureG * (cure.waterPercent ?? 0)) / 100, { above: 0, unit: 'g' });
  for (const [field, grams] of Object.entries({ saltG, sugarG, cureG })) requireNumber(field, grams, { min: 0, unit: 'g' });
  const salt = saltG + (cureG * cure.saltPercent) / 100;
  const ofSaltAndWater = (salt / (waterG + salt)) * 100;
  if (ofSaltAndWater > SATURATED_SALT_PERCENT) {
    const mostG = (waterG * SATURATED_SALT_PERCENT) / (100 - SATURATED_SALT_PERCENT);
    throw new InputError('saltPercent', inputSays('saturated-brine', { waterG, mostG: Math.floor(mostG), saltG: Math.ceil(salt) }));
  }
  const brineSaltPercent = (salt / brineWeight(brine)) * 100;
  return { brineSaltPercent, salometer: saltPercentToSalometer(brineSaltPercent) };
}

/** Everything in the bucket, g. */
export const brineWeight = (b: BrineWeights): number => b.waterG + b.saltG + b.sugarG + b.cureG;
