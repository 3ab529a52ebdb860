import { InputError } from '../inputError.js';
import { nitriteShare, type CureMix } from '../ingredients/cureMix.js';
import { requireNumber, requireThing } from '../units/require.js';
import { brineStrength, type BrineStrength } from './brineStrength.js';
import { salometerToSaltPercent } from './salometer.js';
import type { Message } from '../say/message.js';
import { inputSays } from '../say/english/inputs.js';

/** What the nitrite of a pickle is aimed at: the ingoing figure by one of the inspectors' bases (docs/science.md, “Ingoing nitrite”). */
export interface NitriteTarget {
  ppm: number;
  basis: 'pumped' | 'pickUp' | 'equilibrium' | 'dry';
  pumpPercent?: number;
  /** 10 when not weighed */
  pickUpPercent?: number;
  meatG?: number;
}

export interface PickleParams {
  waterG: number;
  /** salt, that of the cure included, % w/w of the whole brine; or give `salometer` */
  saltPercentOfBrine?: number;
  salometer?: number;
  sugarPercentOfBrine?: number;
  cure: CureMix;
  target: NitriteTarget;
}

export interface Pickle extends BrineStrength {
  waterG: number;
  saltG: number;
  sugarG: number;
  cureG: number;
  brineG: number;
  /** NaNO2 in the brine, mg per kg of brine */
  brineNitritePpm: number;
}

/**
 * A pickle of a given strength whose cure gives the ingoing nitrite that is aimed at (docs/science.md, “Strength”, “Ingoing nitrite”).
 *
 * @throws InputError when strength or target are missing, impossible, or beyond what the cure can give
 * @example pickle({ waterG: 10000, saltPercentOfBrine: 15, cure: CURE_1, target: { ppm: 120, basis: 'pumped', pumpPercent: 10 } }) // 19.2 g cure per kg
 */
export function pickle(p: PickleParams): Pickle {
  const waterG = requireNumber('waterG', p.waterG, { above: 0, max: 1e6, unit: 'g' });
  const salt = strengthPercent(p) / 100;
  const sugar = requireNumber('sugarPercentOfBrine', p.sugarPercentOfBrine ?? 0, { min: 0, max: 60, unit: '%' }) / 100;
  const share = nitriteShare(p.cure);
  const carriedSalt = p.cure.saltPercent / 100;

  // Cure = perBrine × B + fixedCureG; B = water + salt·B + sugar·B + (1 − carriedSalt) × cure.
  const { perBrine, fixedG } = nitriteWanted(p.target);
  const rest = 1 - salt - sugar - ((1 - carriedSalt) * perBrine) / share;
  if (rest <= 0) throw new InputError('target.ppm', inputSays('no-room-for-water', { most: mostPossible(p, salt) }));
  const brineG = (waterG + ((1 - carriedSalt) * fixedG) / share) / rest;
  const cureG = (perBrine * brineG + fixedG) / share;
  const saltG = salt * brineG - carriedSalt * cureG;
  if (saltG < -1e-9) {
    const strength = ((carriedSalt * cureG) / brineG) * 100;
    throw new InputError('saltPercentOfBrine', inputSays('cure-makes-strength', { percent: strength, most: mostPossible(p, salt) }));
  }
  const brine = { waterG, saltG: Math.max(0, saltG), sugarG: sugar * brineG, cureG };
  return { ...brine, brineG, ...brineStrength(brine, p.cure), brineNitritePpm: ((cureG * share) / brineG) * 1e6 };
}

/** The most nitrite that the mix can give while it brings no more salt than is asked for, in words. */
function mostPossible({ cure, target: t }: PickleParams, salt: number): Message | string {
  if (cure.saltPercent <= 0 || salt <= 0 || (t.basis !== 'pumped' && t.basis !== 'pickUp')) return '';
  const taken = (t.basis === 'pumped' ? (t.pumpPercent ?? 0) : (t.pickUpPercent ?? 10)) / 100;
  const most = ((salt / (cure.saltPercent / 100)) * cure.nitritePercent * taken * 1e6) / 100;
  return inputSays('most-at-this-strength', { cure: cure.name, most: Math.floor(most) });
}

function strengthPercent(p: PickleParams): number {
  if ((p.saltPercentOfBrine === undefined) === (p.salometer === undefined)) {
    throw new InputError('saltPercentOfBrine', inputSays('strength-or-degrees'));
  }
  if (p.salometer !== undefined) return salometerToSaltPercent(p.salometer);
  return requireNumber('saltPercentOfBrine', p.saltPercentOfBrine, { min: 0, max: 30, unit: '%' });
}

/** Nitrite that the target asks for: a fraction of the brine plus a fixed weight. */
function nitriteWanted(t: NitriteTarget): { perBrine: number; fixedG: number } {
  requireThing('target', t, inputSays('which-aim'));
  const fraction = requireNumber('target.ppm', t.ppm, { min: 0, max: 20000, unit: 'ppm' }) / 1e6;
  const meatG = () => requireNumber('target.meatG', t.meatG, { above: 0, max: 1e6, unit: 'g' });
  switch (t.basis) {
    case 'pumped':
      return { perBrine: fraction / (requireNumber('target.pumpPercent', t.pumpPercent, { above: 0, max: 100, unit: '%' }) / 100), fixedG: 0 };
    case 'pickUp':
      return { perBrine: fraction / (requireNumber('target.pickUpPercent', t.pickUpPercent ?? 10, { above: 0, max: 100, unit: '%' }) / 100), fixedG: 0 };
    case 'equilibrium':
      return { perBrine: fraction, fixedG: fraction * meatG() };
    case 'dry':
      return { perBrine: 0, fixedG: fraction * meatG() };
    default:
      throw new InputError('target.basis', inputSays('unknown-basis', { basis: String(t.basis) }));
  }
}
