import type { Message } from '../say/message.js';
import type { Quantity } from '../say/quantity.js';
import type { Measured } from './measured.js';

/** A computed number with everything needed to show its working. */
export interface Figure extends Measured {
  id: string;
  label: string;
  unit: string;
  /** what it is a share of, in words */
  base: string;
  /** the formula in words */
  formula: string;
  /** the formula with the numbers put in */
  working: string;
  source: string;
  /** the same words, to be said to whoever reads */
  said: FigureWords;
}

/** What is said of a figure. */
export interface FigureWords {
  label: Message;
  base: Message;
  formula: Message;
  working: Message;
}

/** A figure with its words, in plain English too. */
export const asFigure = (measured: Measured, { id, unit, source, ...said }: Pick<Figure, 'id' | 'unit' | 'source'> & FigureWords): Figure => ({
  value: measured.value,
  low: measured.low,
  high: measured.high,
  id,
  unit,
  source,
  label: said.label.message,
  base: said.base.message,
  formula: said.formula.message,
  working: said.working.message,
  said,
});

/** A number beside a bound that it is not: with as many places as it takes to see on which side it lies. */
function besideBound(value: number, bound: number): string {
  for (let places = 1; places <= 6; places += 1) {
    const text = value.toFixed(places);
    if (Number(text) !== bound) return String(Number(text));
  }
  return inWorking(value);
}

/** The same as a quantity of a sentence, ppm. */
export const beside = (value: number, bound: number): Quantity => ({ value: Number(besideBound(value, bound)), unit: 'ppm' });

/** A number as it stands in a working: no more digits than matter. */
export function inWorking(value: number): string {
  const size = Math.abs(value);
  const digits = size >= 1000 ? 0 : size >= 100 ? 1 : size >= 1 ? 2 : 4;
  return String(Number(value.toFixed(digits)));
}

/** Sources of two figures that a batch and a pasted recipe both have. */
export const STRENGTH_SOURCE = 'Definition. 100 ° salometer is 26.395 % salt at 15.6 °C, salometer tables; value from memory';
export const SALT_SOURCE = 'Mass balance. Under 1.5 % tastes bland, 2 to 2.5 % is usual, over 3 % salty: common practice';
