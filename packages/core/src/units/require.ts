import { InputError } from '../inputError.js';
import { unitSays } from '../say/english/units.js';
import type { Message } from '../say/message.js';
import type { Quantity, QuantityStyle } from '../say/quantity.js';

/** The units of what is typed or given, and how they are said. */
const STYLE_OF_UNIT = {
  g: 'g',
  kg: 'kg',
  '%': 'percent',
  '°C': 'C',
  mm: 'mm',
  ppm: 'ppm',
  h: 'h',
  mL: 'mL',
  days: 'days',
  min: 'min',
  'g/mL': 'gPerMl',
  'm²/s': 'diffusivity',
  '°': 'degrees',
  s: 's',
  'g/kg': 'gPerKg',
  '°Bé': 'baume',
  m: 'm',
} as const satisfies Record<string, QuantityStyle>;

/** What a number must satisfy to be computed with. Bounds are inclusive unless the name says otherwise. */
export interface NumberRule {
  min?: number;
  max?: number;
  /** the value must lie strictly above this */
  above?: number;
  unit?: keyof typeof STYLE_OF_UNIT;
}

/**
 * Answers the number itself, or throws {@link InputError} naming `field`.
 * Every public function of core passes its inputs through here, so that none of them ever returns NaN.
 *
 * @example requireNumber('meatG', 7000, { above: 0, unit: 'g' }) // 7000
 */
export function requireNumber(field: string, value: unknown, rule: NumberRule = {}): number {
  if (typeof value !== 'number' || !Number.isFinite(value)) {
    throw new InputError(field, unitSays('no-number', { field }));
  }
  const fault = numberFault(value, rule, field);
  if (fault !== null) throw new InputError(field, fault);
  return value;
}

/**
 * Answers the thing itself, or throws {@link InputError} where something that is no thing at all was given.
 *
 * @example requireThing('cure', CURE_1, inputSays('which-cure')) // CURE_1
 */
export function requireThing<T extends object>(field: string, value: T, question: Message): T {
  if (typeof value !== 'object' || (value as unknown) === null) throw new InputError(field, question);
  return value;
}

/** The fault of a finite number against a rule, or null. `field` is what it is called in the sentence. */
export function numberFault(value: number, { min, max, above, unit }: NumberRule, field: string | Message): Message | null {
  const of = (n: number): Quantity => ({ value: n, unit: unit === undefined ? 'n' : STYLE_OF_UNIT[unit] });
  if (above !== undefined && value <= above) return unitSays('not-above', { field, least: of(above), value: of(value) });
  if (min !== undefined && value < min) return unitSays('too-small', { field, least: of(min), value: of(value) });
  if (max !== undefined && value > max) return unitSays('too-large', { field, most: of(max), value: of(value) });
  return null;
}
