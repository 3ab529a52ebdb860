import { InputError } from '../inputError.js';
import { convert, unitKind } from '../units/convert.js';
import type { Unit } from '../measures/unit.js';
import { requireNumber } from '../units/require.js';
import { MEASURE_WEIGHTS, type Ingredient, type MeasureWeights } from './ingredient.js';
import { inputSays } from '../say/english/inputs.js';

const TEASPOON_ML = convert(1, 'tsp', 'mL');
const CUP_ML = convert(1, 'cup', 'mL');

/**
 * How many grams a measure of an ingredient holds, with the range that a level measure may hold (docs/science.md, “Spoons and cups”).
 * A mass has no doubt here: the doubt of a scale is the scale's. From half a cup up the cup's weight is used, below it the
 * teaspoon's.
 *
 * @param m.amount in `m.unit`, 0 or more
 * @returns grams: typical, lowest, highest
 * @throws InputError for an unknown ingredient, a negative or absurd amount, or a unit that is neither mass nor volume
 * @example measureToGrams({ ingredient: 'cure-1', amount: 1, unit: 'tsp' }) // { grams: 5.6, low: 4.8, high: 6.2 }
 */
export function measureToGrams(m: { ingredient: string; amount: number; unit: Unit }): { grams: number; low: number; high: number } {
  const weights = weightsOf(m.ingredient);
  requireNumber('amount', m.amount, { min: 0, max: 1e7 });
  const kind = unitKind(m.unit);
  if (kind === 'mass') {
    const grams = convert(m.amount, m.unit, 'g');
    return { grams, low: grams, high: grams };
  }
  if (kind !== 'volume') throw new InputError('unit', inputSays('no-such-measure', { unit: m.unit }));
  const mL = convert(m.amount, m.unit, 'mL');
  const byCup = weights.cup !== undefined && mL >= CUP_ML / 2;
  const [low, typical, high] = byCup && weights.cup ? weights.cup : weights.teaspoon;
  const measures = mL / (byCup ? CUP_ML : TEASPOON_ML);
  return { grams: measures * typical, low: measures * low, high: measures * high };
}

function weightsOf(ingredient: string): MeasureWeights {
  if (!Object.hasOwn(MEASURE_WEIGHTS, ingredient)) {
    throw new InputError('ingredient', inputSays('no-weight-per-spoon', { ingredient }));
  }
  return MEASURE_WEIGHTS[ingredient as Ingredient];
}
