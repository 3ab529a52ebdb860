import { CURE_MIXES, type CureMix } from '../ingredients/cureMix.js';
import { MEASURE_WEIGHTS } from '../ingredients/ingredient.js';
import { measureToGrams } from '../ingredients/measureToGrams.js';
import { unitKind } from '../units/convert.js';
import type { Unit } from '../measures/unit.js';
import { exactly, scaled, type Measured } from '../units/measured.js';
import { requireNumber } from '../units/require.js';

/** What stands in one line of a recipe, in any measure. */
export interface RecipeLine {
  /** one of the known ingredients, the name of a cure mix, or anything else: then it is kept as flavouring */
  ingredient: string;
  amount: number;
  unit: Unit;
  /** where a range was written, its ends */
  amountLow?: number;
  amountHigh?: number;
  /** smallest step of the scale, g; a weight without one is taken as exact */
  stepG?: number;
  /** a spoon that was not levelled */
  heaped?: boolean;
  /** in the cook’s own words */
  name?: string;
  /** other ways to read it, while a question about it is open */
  alternatives?: readonly RecipeLine[];
}

/** What a line brings into the bucket, g, with its doubt. */
export interface LineContents {
  grams: Measured;
  water: Measured;
  salt: Measured;
  sugar: Measured;
  nitrite: Measured;
  nitrate: Measured;
  /** grams of cure mix, nothing for other lines */
  cure: Measured;
}

/** Shares by weight. What is missing from 1 is solids without effect on the figures. */
interface Composition {
  water: number;
  salt: number;
  sugar: number;
  nitrite: number;
  nitrate: number;
  isCure: boolean;
}

const NOTHING: Composition = { water: 0, salt: 0, sugar: 0, nitrite: 0, nitrate: 0, isCure: false };
const WATER: Composition = { ...NOTHING, water: 1 };
const SALT: Composition = { ...NOTHING, salt: 1 };
const SUGAR: Composition = { ...NOTHING, sugar: 1 };

/** What ingredients are made of [M: syrups from memory of food tables: honey 82 % sugar, molasses 75 %, maple syrup 67 %]. */
const COMPOSITIONS: Readonly<Record<string, Composition>> = {
  water: WATER,
  ice: WATER,
  'other-liquid': { ...NOTHING, water: 0.95 },
  'table-salt': SALT,
  'pickling-salt': SALT,
  'fine-sea-salt': SALT,
  'coarse-salt-flake': SALT,
  'coarse-salt-rolled': SALT,
  'coarse-salt-unknown': SALT,
  'rock-salt': SALT,
  'white-sugar': SUGAR,
  'brown-sugar': { ...NOTHING, sugar: 0.97, water: 0.03 },
  molasses: { ...NOTHING, sugar: 0.75, water: 0.22 },
  honey: { ...NOTHING, sugar: 0.82, water: 0.17 },
  'maple-syrup': { ...NOTHING, sugar: 0.67, water: 0.32 },
};

/** A heaped spoon holds this many times a level one [M]: low, typical, high. */
const HEAPED: Measured = { value: 1.5, low: 1.2, high: 2 };

/** The mix that an ingredient is, by its name: the cook’s own labels first. Null for what is no cure. */
export function cureMixOf(ingredient: string, own: readonly CureMix[] = []): CureMix | null {
  const named = own.find((cure) => cure.name.toLowerCase() === ingredient.toLowerCase());
  if (named !== undefined) return named;
  return Object.hasOwn(CURE_MIXES, ingredient) ? (CURE_MIXES[ingredient] ?? null) : null;
}

/** Whether an ingredient bears on strength or nitrite; all else is flavouring. */
export const isFlavouring = (ingredient: string, own: readonly CureMix[] = []): boolean =>
  cureMixOf(ingredient, own) === null && !Object.hasOwn(COMPOSITIONS, ingredient);

/**
 * Grams of a line, with the doubt of its spoon, its range or its scale.
 *
 * @throws InputError for an amount that is negative, absurd or no number, or a unit that measures neither weight nor volume
 * @example lineGrams({ ingredient: 'cure-1', amount: 1, unit: 'tsp' }) // 5.6 g, 4.8 to 6.2
 */
function lineGrams(line: RecipeLine, own: readonly CureMix[] = []): Measured {
  const ingredient = Object.hasOwn(MEASURE_WEIGHTS, line.ingredient) ? line.ingredient : cureMixOf(line.ingredient, own) === null ? 'flavouring' : 'cure-1';
  const grams = (amount: number) => measureToGrams({ ingredient, amount, unit: line.unit });
  const { grams: value } = grams(line.amount);
  let measured: Measured = {
    value,
    low: grams(line.amountLow ?? line.amount).low,
    high: grams(line.amountHigh ?? line.amount).high,
  };
  if (line.heaped === true && unitKind(line.unit) === 'volume') {
    measured = { value: measured.value * HEAPED.value, low: measured.low * HEAPED.low, high: measured.high * HEAPED.high };
  }
  const half = unitKind(line.unit) === 'mass' ? requireNumber('stepG', line.stepG ?? 0, { min: 0, max: 5000, unit: 'g' }) / 2 : 0;
  return { value: measured.value, low: Math.max(0, measured.low - half), high: measured.high + half };
}

/** What a line brings. While a question is open, the doubt spans every way to read it. */
export function lineContents(line: RecipeLine, own: readonly CureMix[] = []): LineContents {
  const readings = [line, ...(line.alternatives ?? [])].map((reading) => contentsOf(reading, own));
  const [first = contentsOf(line, own)] = readings;
  if (readings.length < 2) return first;
  const hull = (key: keyof LineContents): Measured => ({
    value: first[key].value,
    low: Math.min(...readings.map((reading) => reading[key].low)),
    high: Math.max(...readings.map((reading) => reading[key].high)),
  });
  return {
    grams: hull('grams'),
    water: hull('water'),
    salt: hull('salt'),
    sugar: hull('sugar'),
    nitrite: hull('nitrite'),
    nitrate: hull('nitrate'),
    cure: hull('cure'),
  };
}

function contentsOf(line: RecipeLine, own: readonly CureMix[]): LineContents {
  const grams = lineGrams(line, own);
  const made = compositionOf(line.ingredient, own);
  return {
    grams,
    water: scaled(grams, made.water),
    salt: scaled(grams, made.salt),
    sugar: scaled(grams, made.sugar),
    nitrite: scaled(grams, made.nitrite),
    nitrate: scaled(grams, made.nitrate),
    cure: made.isCure ? grams : exactly(0),
  };
}

function compositionOf(ingredient: string, own: readonly CureMix[]): Composition {
  const mix = cureMixOf(ingredient, own);
  if (mix !== null) {
    return {
      water: 0,
      salt: mix.saltPercent / 100,
      sugar: (mix.sugarPercent ?? 0) / 100,
      nitrite: mix.nitritePercent / 100,
      nitrate: mix.nitratePercent / 100,
      isCure: true,
    };
  }
  return COMPOSITIONS[ingredient] ?? NOTHING;
}
