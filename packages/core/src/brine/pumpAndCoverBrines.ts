import { InputError } from '../inputError.js';
import { nitriteShare, type CureMix } from '../ingredients/cureMix.js';
import { requireNumber } from '../units/require.js';
import { brineStrength, type BrineStrength, type BrineWeights } from './brineStrength.js';
import { pickle } from './pickle.js';
import { inputSays } from '../say/english/inputs.js';

/** More pickle is made than is pumped, for the jar and the syringe [T]. */
const PICKLE_SPARE = 1.15;

export interface PumpAndCoverParams {
  meatG: number;
  coverWaterG: number;
  /** first pump and re-pump together, % of green weight */
  pumpPercent: number;
  /** % w/w of the pickle */
  pickleSaltPercent: number;
  /** % of meat + all the water that ends up with it */
  saltPercent: number;
  sugarPercent: number;
  nitritePpm: number;
  cure: CureMix;
}

export type MixedBrine = BrineWeights & BrineStrength & { brineG: number };

/**
 * Two brines for "pump and cover": a pump pickle whose cure gives the target by the pumped method, and a cover brine that only
 * holds it there: when everything is even, salt and nitrite are what was asked for (docs/science.md, “Strength”, “Ingoing nitrite”) [M].
 * With the injected pickle I and the cover brine C, the cover's nitrite is target × (I + C).
 *
 * @throws InputError when the pump alone would bring more salt than was asked for
 * @example
 * pumpAndCoverBrines({ meatG: 7000, coverWaterG: 4000, pumpPercent: 12, pickleSaltPercent: 14, saltPercent: 2.4, sugarPercent: 0, nitritePpm: 150, cure: CURE_1 })
 * // pickle with 20 g of cure per kg, cover with 2.9 g per kg
 */
export function pumpAndCoverBrines(p: PumpAndCoverParams): { pickle: MixedBrine; cover: MixedBrine; injectedG: number } {
  const meatG = requireNumber('meatG', p.meatG, { above: 0, max: 1e6, unit: 'g' });
  const waterG = requireNumber('coverWaterG', p.coverWaterG, { above: 0, max: 1e6, unit: 'g' });
  const salt = requireNumber('saltPercent', p.saltPercent, { above: 0, max: 30, unit: '%' }) / 100;
  const sugar = requireNumber('sugarPercent', p.sugarPercent, { min: 0, max: 30, unit: '%' }) / 100;
  const target = requireNumber('nitritePpm', p.nitritePpm, { min: 0, max: 20000, unit: 'ppm' }) / 1e6;
  const share = nitriteShare(p.cure);
  const carriedSalt = p.cure.saltPercent / 100;

  const perKg = pickle({
    waterG: 1000,
    saltPercentOfBrine: p.pickleSaltPercent,
    sugarPercentOfBrine: (p.pickleSaltPercent * sugar) / salt,
    cure: p.cure,
    target: { ppm: p.nitritePpm, basis: 'pumped', pumpPercent: p.pumpPercent },
  });
  const injectedG = (meatG * p.pumpPercent) / 100;
  const injected = injectedG / perKg.brineG;
  const baseG = meatG + waterG + injected * perKg.waterG;
  const pumpedSaltG = injectedG * (p.pickleSaltPercent / 100);
  const coverSaltG = salt * baseG - pumpedSaltG;
  const coverSugarG = Math.max(0, sugar * baseG - injected * perKg.sugarG);
  const carrier = ((1 - carriedSalt) * target) / share;
  const brineG = (waterG + coverSaltG + coverSugarG + carrier * injectedG) / (1 - carrier);
  const cureG = (target * (injectedG + brineG)) / share;
  const saltG = coverSaltG - carriedSalt * cureG;
  if (saltG < 0) {
    const mostPercent = Math.floor(((salt * baseG - carriedSalt * cureG) / injectedG) * 1000) / 10;
    throw new InputError('pickleSaltPercent', inputSays('pump-too-salt', { saltPercent: p.saltPercent, mostPercent }));
  }
  const cover = { waterG, saltG, sugarG: coverSugarG, cureG };
  const made = injected * PICKLE_SPARE;
  return {
    injectedG,
    pickle: {
      ...perKg,
      waterG: perKg.waterG * made,
      saltG: perKg.saltG * made,
      sugarG: perKg.sugarG * made,
      cureG: perKg.cureG * made,
      brineG: injectedG * PICKLE_SPARE,
    },
    cover: { ...cover, brineG, ...brineStrength(cover, p.cure) },
  };
}
