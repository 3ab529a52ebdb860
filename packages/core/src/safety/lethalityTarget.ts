import type { ProductRecord } from '../products/productRecord.js';
import { productOf, type Product } from '../products/product.js';
import type { RuleSetId } from '../cure/ruleSet.js';
import { FSIS_TABLE, type LethalityTable } from './lethality.js';
import { safetySays } from '../say/english/safety.js';

const inF = (C: number): number => (C * 9) / 5 + 32;

/** 70 °C for 2 min, or the same by time [P: UK guidance on cooking; values from memory]. */
const SEVENTY_FOR_TWO: LethalityTable = {
  secondsByF: [
    [inF(60), 45 * 60],
    [inF(65), 10 * 60],
    [inF(70), 2 * 60],
    [inF(75), 30],
  ],
  atOnceF: inF(80),
  standsFor: safetySays('stands-for-minutes', { coreC: 70, n: 2 }),
  source: 'UK guidance on cooking: 70 °C for 2 min, or the same by time. Values from memory.',
};

/** Pork at 71 °C [P: Canadian cooking advice; value from memory]: no time at less stands for it. */
const SEVENTY_ONE: LethalityTable = {
  secondsByF: [],
  atOnceF: inF(71),
  standsFor: safetySays('stands-for-core', { coreC: 71 }),
  source: 'Canadian cooking advice for pork: 71 °C. Value from memory.',
};

/**
 * By which times a product is done under a rule set, and where that stands. Game or poultry has a line of its own when it
 * comes: without one it does not compile.
 */
const TARGETS: Readonly<Record<ProductRecord['meat'], Readonly<Record<RuleSetId, LethalityTable>>>> = {
  pork: { us: FSIS_TABLE, house: FSIS_TABLE, canada: SEVENTY_ONE, uk: SEVENTY_FOR_TWO, eu: SEVENTY_FOR_TWO },
  beef: { us: FSIS_TABLE, house: FSIS_TABLE, canada: FSIS_TABLE, uk: SEVENTY_FOR_TWO, eu: SEVENTY_FOR_TWO },
};

/** The lethality table of a product under a rule set. */
export const lethalityTable = (ruleSet: RuleSetId, product: Product): LethalityTable => TARGETS[productOf(product).meat][ruleSet];
