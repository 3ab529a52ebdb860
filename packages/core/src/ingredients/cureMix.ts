import { InputError } from '../inputError.js';
import { requireNumber, requireThing } from '../units/require.js';
import { inputSays } from '../say/english/inputs.js';

/** A cure mix by its label: percent by weight. The rest, if any, is carrier without effect on the figures. */
export interface CureMix {
  name: string;
  /** NaNO2, % */
  nitritePercent: number;
  /** NaNO3, % */
  nitratePercent: number;
  /** NaCl, % */
  saltPercent: number;
  /** sugar, %; none when not given */
  sugarPercent?: number;
  /** water, %: of a brine that is bought ready; none when not given */
  waterPercent?: number;
  /** false where the label forbids pumping it */
  mayPump?: boolean;
}

/** Cure #1: 6.25 % sodium nitrite on salt (docs/science.md, “Cures”). */
export const CURE_1: CureMix = { name: 'Cure #1', nitritePercent: 6.25, nitratePercent: 0, saltPercent: 93.75, mayPump: true };

/** Cure #2: nitrite and nitrate. For long dry cures only. */
export const CURE_2: CureMix = { name: 'Cure #2', nitritePercent: 6.25, nitratePercent: 4, saltPercent: 89.75, mayPump: true };

/** Low-strength curing salts: nitrite on salt, used as the whole salt of a cure. */
export const CURING_SALT_05: CureMix = { name: 'Curing salt 0.5 %', nitritePercent: 0.5, nitratePercent: 0, saltPercent: 99.5, mayPump: true };
export const CURING_SALT_06: CureMix = { name: 'Curing salt 0.6 %', nitritePercent: 0.6, nitratePercent: 0, saltPercent: 99.4, mayPump: true };

/** A ready mix as its label usually says [T]: salt, sugar, nitrite and nitrate. The label in the cook's hand decides. */
export const READY_MIX: CureMix = { name: 'Ready mix', nitritePercent: 0.5, nitratePercent: 0.5, saltPercent: 69, sugarPercent: 30, mayPump: false };

/** Salted meat: nothing that cures goes in. */
export const NO_CURE: CureMix = { name: 'No cure', nitritePercent: 0, nitratePercent: 0, saltPercent: 0 };

/** Sodium nitrite itself, which no kitchen should hold, and saltpetre, KNO3, as the NaNO3 that it amounts to (85.0 ÷ 101.1). */
const SODIUM_NITRITE: CureMix = { name: 'Sodium nitrite', nitritePercent: 100, nitratePercent: 0, saltPercent: 0 };
const SALTPETRE: CureMix = { name: 'Saltpetre', nitritePercent: 0, nitratePercent: 84.1, saltPercent: 0 };

/** The mixes behind the names of ingredients. */
export const CURE_MIXES: Readonly<Record<string, CureMix>> = {
  'cure-1': CURE_1,
  'cure-2': CURE_2,
  'curing-salt-0.5': CURING_SALT_05,
  'curing-salt-0.6': CURING_SALT_06,
  'ready-mix': READY_MIX,
  'sodium-nitrite': SODIUM_NITRITE,
  saltpetre: SALTPETRE,
};

/** @throws InputError when a label's figures cannot be */
export function requireCureMix(cure: CureMix): CureMix {
  requireThing('cure', cure, inputSays('which-cure'));
  const parts = [
    requireNumber('cure.nitritePercent', cure.nitritePercent, { min: 0, max: 100, unit: '%' }),
    requireNumber('cure.nitratePercent', cure.nitratePercent, { min: 0, max: 100, unit: '%' }),
    requireNumber('cure.saltPercent', cure.saltPercent, { min: 0, max: 100, unit: '%' }),
    requireNumber('cure.sugarPercent', cure.sugarPercent ?? 0, { min: 0, max: 100, unit: '%' }),
    requireNumber('cure.waterPercent', cure.waterPercent ?? 0, { min: 0, max: 100, unit: '%' }),
  ];
  if (parts.reduce((a, b) => a + b, 0) > 100.000001) {
    throw new InputError('cure', inputSays('label-over-hundred', { cure: cure.name }));
  }
  return cure;
}

/** The nitrite share of a mix as a fraction. @throws InputError when the mix holds none */
export function nitriteShare(cure: CureMix): number {
  requireCureMix(cure);
  if (cure.nitritePercent <= 0) throw new InputError('cure', inputSays('no-nitrite-in-cure', { cure: cure.name }));
  return cure.nitritePercent / 100;
}

/** The nitrite of a mix as a fraction; nothing for salted meat. */
export const nitriteFraction = (cure: CureMix): number => requireCureMix(cure).nitritePercent / 100;
