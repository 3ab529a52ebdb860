import { cureSays } from '../say/english/cure.js';
import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import { PRODUCTS, type Product, productOf } from '../products/product.js';
import { nitriteLimit, RULE_SETS, withinTheCodes, type NitriteMethod, type RuleSet, type RuleSetId } from './ruleSet.js';

export interface NitriteJudgement {
  verdict: 'under' | 'ok' | 'over';
  /** ppm */
  floor: number;
  /** ppm */
  limit: number;
  source: string;
}

export interface JudgeNitriteParams {
  ppm: number;
  product: Product;
  ruleSet: RuleSetId;
  method: NitriteMethod;
  skinOn?: boolean;
  /** the cook's own limits; needed when `ruleSet` is `house` */
  house?: RuleSet;
}

/** Rounding of the arithmetic, ppm: far below anything a scale can show. */
const ROUNDING_PPM = 1e-6;

/**
 * Holds an ingoing figure against a rule set (docs/science.md, “Ingoing nitrite”). Exactly on a bound is inside it.
 *
 * @param p.ppm ingoing nitrite, mg NaNO2 per kg
 * @throws InputError for an unknown product, rule set or method, a house rule set without its limits, or no number
 * @example judgeNitrite({ ppm: 333, product: 'ham-bone-in', ruleSet: 'us', method: 'immersion' }) // over, floor 120, limit 200
 */
export function judgeNitrite(p: JudgeNitriteParams): NitriteJudgement {
  requireNumber('ppm', p.ppm, { min: 0, unit: 'ppm' });
  if (!PRODUCTS.includes(p.product)) throw new InputError('product', cureSays('unknown-product', { product: String(p.product) }));
  if (!['pumped', 'immersion', 'dry'].includes(p.method)) throw new InputError('method', cureSays('unknown-method', { method: String(p.method) }));
  const rules = rulesOf(p.ruleSet, p.house);
  const limit = nitriteLimit(rules, p.product, p.method, p.skinOn ?? false);
  const floor = Math.min(productOf(p.product).limits === 'belly' ? (rules.bellyFloor ?? rules.floor) : rules.floor, limit);
  const verdict = p.ppm > limit + ROUNDING_PPM ? 'over' : p.ppm < floor - ROUNDING_PPM ? 'under' : 'ok';
  return { verdict, floor, limit, source: rules.source };
}

/** The limits behind an id. @throws InputError when it is unknown, or `house` without limits */
export function rulesOf(id: RuleSetId, house?: RuleSet): RuleSet {
  if (id !== 'house') {
    if (!Object.hasOwn(RULE_SETS, id)) throw new InputError('ruleSet', cureSays('unknown-rule-set', { ruleSet: String(id) }));
    return RULE_SETS[id];
  }
  if (house === undefined) throw new InputError('house', cureSays('house-without-limits'));
  for (const key of ['limit', 'bellyLimit', 'dryLimit', 'dryBellyLimit', 'floor'] as const) {
    requireNumber(`house.${key}`, house[key], { above: 0, max: 2000, unit: 'ppm' });
  }
  return withinTheCodes(house);
}
