import { inputSays } from '../say/english/inputs.js';
import { InputError } from '../inputError.js';
import { nitriteShare, requireCureMix, type CureMix } from '../ingredients/cureMix.js';
import { requireNumber } from '../units/require.js';
import { brineStrength, type BrineStrength } from './brineStrength.js';

export interface EquilibriumBrineParams {
  meatG: number;
  waterG: number;
  /** salt wanted at the end, % of `saltBase` */
  saltPercent: number;
  /** default `meatPlusWater` */
  saltBase?: 'meatPlusWater' | 'everything';
  /** whether the salt in the cure mix counts towards `saltPercent`; default true */
  countCureSalt?: boolean;
  /** % of the same base as the salt; default 0 */
  sugarPercent?: number;
  cure: CureMix;
  /** target on the base "everything in the bucket", as inspectors count it */
  nitritePpm?: number;
  /** the kitchen rule instead: grams of cure mix per kg of meat + water */
  cureGPerKg?: number;
}

export interface EquilibriumBrine extends BrineStrength {
  saltG: number;
  sugarG: number;
  cureG: number;
  brineG: number;
  nitritePpmMeatPlusWater: number;
  nitritePpmEverything: number;
}

/** A curing salt may be the whole salt: then no more than rounding is left to weigh. Far below what a scale shows, g. */
const ROUNDING_G = 1e-3;

/**
 * The brine in which a piece may lie until everything is even and then has the salt that was asked for (docs/science.md, “Strength”, “Ingoing nitrite”).
 * With brine B = water + salt + sugar + cure and meat M, the nitrite N = target × (M + B); B depends on N through the cure, so the
 * pair is solved exactly rather than by trial.
 *
 * @throws InputError when a weight is not positive, both or neither of `nitritePpm` and `cureGPerKg` are given, the brine would be
 * beyond saturation, or the cure alone brings more salt than was asked for
 * @example equilibriumBrine({ meatG: 4000, waterG: 2000, saltPercent: 2.5, cure: CURE_1, cureGPerKg: 2.5 }) // cureG 15, 156.25 ppm of meat + water
 */
export function equilibriumBrine(p: EquilibriumBrineParams): EquilibriumBrine {
  const meatG = requireNumber('meatG', p.meatG, { above: 0, max: 1e6, unit: 'g' });
  const waterG = requireNumber('waterG', p.waterG, { above: 0, max: 1e6, unit: 'g' });
  const salt = requireNumber('saltPercent', p.saltPercent, { min: 0, max: 30, unit: '%' }) / 100;
  const sugar = requireNumber('sugarPercent', p.sugarPercent ?? 0, { min: 0, max: 30, unit: '%' }) / 100;
  requireCureMix(p.cure);
  const counted = (p.countCureSalt ?? true) ? p.cure.saltPercent / 100 : 0;
  const everything = p.saltBase === 'everything';
  const dose = requireDose(p);
  // Salted meat without a cure has none to share out.
  const share = dose.amount === 0 ? 1 : nitriteShare(p.cure);

  const meatPlusWaterG = meatG + waterG;
  // B = water + (salt − counted·cure) + sugar + cure, with cure either known or target × (M + B) / share.
  const cureKnownG = dose.kind === 'cureGPerKg' ? (dose.amount * meatPlusWaterG) / 1000 : 0;
  const perEverything = dose.kind === 'nitritePpm' ? dose.amount / 1e6 / share : 0;
  const solids = salt + sugar;
  const ofEverything = perEverything * (1 - counted) + (everything ? solids : 0);
  const fixed = waterG + cureKnownG * (1 - counted) + (everything ? 0 : solids * meatPlusWaterG);
  if (ofEverything >= 1) throw new InputError('nitritePpm', inputSays('more-than-everything'));
  const brineG = (fixed + ofEverything * meatG) / (1 - ofEverything);

  const base = everything ? meatG + brineG : meatPlusWaterG;
  const cureG = cureKnownG + perEverything * (meatG + brineG);
  const saltG = salt * base - counted * cureG;
  if (saltG < -ROUNDING_G) {
    throw new InputError('saltPercent', inputSays('cure-brings-salt', { saltG: counted * cureG, percent: p.saltPercent }));
  }
  const nitriteG = cureG * share;
  const brine = { waterG, saltG: Math.max(0, saltG), sugarG: sugar * base, cureG };
  return {
    ...brine,
    brineG,
    ...brineStrength(brine, p.cure),
    nitritePpmMeatPlusWater: (nitriteG / meatPlusWaterG) * 1e6,
    nitritePpmEverything: (nitriteG / (meatG + brineG)) * 1e6,
  };
}

function requireDose(p: EquilibriumBrineParams): { kind: 'nitritePpm' | 'cureGPerKg'; amount: number } {
  if ((p.nitritePpm === undefined) === (p.cureGPerKg === undefined)) {
    throw new InputError('nitritePpm', inputSays('nitrite-or-dose'));
  }
  if (p.nitritePpm !== undefined) {
    return { kind: 'nitritePpm', amount: requireNumber('nitritePpm', p.nitritePpm, { min: 0, max: 20000, unit: 'ppm' }) };
  }
  return { kind: 'cureGPerKg', amount: requireNumber('cureGPerKg', p.cureGPerKg, { min: 0, max: 500, unit: 'g/kg' }) };
}
