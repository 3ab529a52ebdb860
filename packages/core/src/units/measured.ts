import { InputError } from '../inputError.js';
import { inputSays } from '../say/english/inputs.js';

/**
 * A number with its doubt: the truth lies between `low` and `high` if every scale reads within half its step.
 * Doubt is carried by interval arithmetic: never too narrow, at the price of sometimes too wide [M].
 */
export interface Measured {
  value: number;
  low: number;
  high: number;
}

/** A number without doubt, a label's figure say. */
export const exactly = (value: number): Measured => ({ value, low: value, high: value });

/**
 * A weighing on a scale that shows steps of `step`: half a step of doubt either way, never below nothing.
 *
 * @example weighed(4, 1) // { value: 4, low: 3.5, high: 4.5 }, that is ±12 %
 */
export const weighed = (value: number, step: number): Measured => ({
  value,
  low: Math.max(0, value - step / 2),
  high: value + step / 2,
});

export const plus = (...terms: Measured[]): Measured => ({
  value: total(terms, 'value'),
  low: total(terms, 'low'),
  high: total(terms, 'high'),
});

export const minus = (a: Measured, b: Measured): Measured => ({
  value: a.value - b.value,
  low: a.low - b.high,
  high: a.high - b.low,
});

export function times(a: Measured, b: Measured): Measured {
  const corners = [a.low * b.low, a.low * b.high, a.high * b.low, a.high * b.high];
  return { value: a.value * b.value, low: Math.min(...corners), high: Math.max(...corners) };
}

/** @throws InputError when the divisor's range holds zero */
export function over(a: Measured, b: Measured): Measured {
  if (b.low <= 0 && b.high >= 0) throw new InputError('divisor', inputSays('doubt-as-large'));
  const corners = [a.low / b.low, a.low / b.high, a.high / b.low, a.high / b.high];
  return { value: a.value / b.value, low: Math.min(...corners), high: Math.max(...corners) };
}

export const scaled = (a: Measured, factor: number): Measured => times(a, exactly(factor));

function total(terms: Measured[], key: keyof Measured): number {
  return terms.reduce((sum, term) => sum + term[key], 0);
}
