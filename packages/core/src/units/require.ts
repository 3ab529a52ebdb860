import { InputError } from '../inputError.js';

/** What a number must satisfy to be computed with. Bounds are inclusive unless the name says otherwise. */
export interface NumberRule {
  min?: number;
  max?: number;
  /** the value must lie strictly above this */
  above?: number;
  unit?: string;
}

/**
 * Answers the number itself, or throws {@link InputError} naming `field`.
 * Every public function of core passes its inputs through here, so that none of them ever returns NaN.
 *
 * @example requireNumber('meatG', 7000, { above: 0, unit: 'g' }) // 7000
 */
export function requireNumber(field: string, value: unknown, rule: NumberRule = {}): number {
  if (typeof value !== 'number' || !Number.isFinite(value)) {
    throw new InputError(field, `${field} must be a number.`);
  }
  const fault = numberFault(value, rule);
  if (fault !== null) throw new InputError(field, `${field} ${fault}, not ${value}.`);
  return value;
}

/**
 * Answers the thing itself, or throws {@link InputError} where something that is no thing at all was given.
 *
 * @example requireThing('cure', CURE_1, 'Which cure is it?') // CURE_1
 */
export function requireThing<T extends object>(field: string, value: T, question: string): T {
  if (typeof value !== 'object' || (value as unknown) === null) throw new InputError(field, question);
  return value;
}

/** The fault of a finite number against a rule, as the end of a sentence, or null. */
export function numberFault(value: number, { min, max, above, unit }: NumberRule): string | null {
  const of = (n: number) => (unit === undefined ? `${n}` : `${n} ${unit}`);
  if (above !== undefined && value <= above) return `must be more than ${of(above)}`;
  if (min !== undefined && value < min) return `must be at least ${of(min)}`;
  if (max !== undefined && value > max) return `must be at most ${of(max)}`;
  return null;
}
