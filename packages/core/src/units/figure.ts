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

/** A figure as it is before its words: what it is called, its unit and where its formula comes from. */
type FigureKey = Pick<Figure, 'id' | 'unit' | 'source'>;

/**
 * A figure with its words, which are found when somebody first reads them: a batch is worked out a thousand times for each time that a
 * working is read. A class, since getters of a literal cost twenty times as much to make; a copy or a file of it holds its words.
 */
class WorkedFigure implements Figure {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly id: string;
  readonly unit: string;
  readonly source: string;
  readonly #words: () => FigureWords;
  #said: FigureWords | undefined;

  constructor({ value, low, high }: Measured, { id, unit, source }: FigureKey, words: () => FigureWords) {
    this.value = value;
    this.low = low;
    this.high = high;
    this.id = id;
    this.unit = unit;
    this.source = source;
    this.#words = words;
  }

  get said(): FigureWords {
    this.#said ??= this.#words();
    return this.#said;
  }

  get label(): string {
    return this.said.label.message;
  }

  get base(): string {
    return this.said.base.message;
  }

  get formula(): string {
    return this.said.formula.message;
  }

  get working(): string {
    return this.said.working.message;
  }

  toJSON(): Figure {
    const { label, base, formula, working, said } = this;
    return { ...this, label, base, formula, working, said };
  }
}

/**
 * A figure with its words, in plain English too.
 *
 * @param words what is said of it, asked for when it is first read
 */
export const asFigure = (measured: Measured, key: FigureKey, words: () => FigureWords): Figure => new WorkedFigure(measured, key, words);

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
