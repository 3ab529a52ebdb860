import { InputError } from '../inputError.js';
import { requireNumber, requireThing } from '../units/require.js';

/** A cure mix by its label: percent by weight. The rest, if any, is carrier without effect on the figures. */
export interface CureMix {
  name: string;
  /** NaNO2, % */
  nitritePercent: number;
  /** NaNO3, % */
  nitratePercent: number;
  /** NaCl, % */
  saltPercent: number;
  /** false where the label forbids pumping it */
  mayPump?: boolean;
}

/** Cure #1: 6.25 % sodium nitrite on salt (handbook part 6). */
export const CURE_1: CureMix = { name: 'Cure #1', nitritePercent: 6.25, nitratePercent: 0, saltPercent: 93.75, mayPump: true };

/** Cure #2: nitrite and nitrate. For long dry cures only. */
export const CURE_2: CureMix = { name: 'Cure #2', nitritePercent: 6.25, nitratePercent: 4, saltPercent: 89.75, mayPump: true };

/** @throws InputError when a label's figures cannot be */
export function requireCureMix(cure: CureMix): CureMix {
  requireThing('cure', cure, 'Which cure is it? Give its nitrite, nitrate and salt from the label.');
  const parts = [
    requireNumber('cure.nitritePercent', cure.nitritePercent, { min: 0, max: 100, unit: '%' }),
    requireNumber('cure.nitratePercent', cure.nitratePercent, { min: 0, max: 100, unit: '%' }),
    requireNumber('cure.saltPercent', cure.saltPercent, { min: 0, max: 100, unit: '%' }),
  ];
  if (parts.reduce((a, b) => a + b, 0) > 100.000001) {
    throw new InputError('cure', `${cure.name}: salt, nitrite and nitrate together are more than 100 %.`);
  }
  return cure;
}

/** The nitrite share of a mix as a fraction. @throws InputError when the mix holds none */
export function nitriteShare(cure: CureMix): number {
  requireCureMix(cure);
  if (cure.nitritePercent <= 0) throw new InputError('cure', `${cure.name} holds no nitrite: it is not a cure.`);
  return cure.nitritePercent / 100;
}
