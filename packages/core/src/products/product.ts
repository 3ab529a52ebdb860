import { cureSays } from '../say/english/cure.js';
import { InputError } from '../inputError.js';
import { bellyBacon } from './bellyBacon.js';
import { canadianBacon } from './canadianBacon.js';
import { curedBeef } from './curedBeef.js';
import { hamBoneIn } from './hamBoneIn.js';
import { hamBoned } from './hamBoned.js';
import { pastrami } from './pastrami.js';
import { picnic } from './picnic.js';
import { shoulderBacon } from './shoulderBacon.js';
import type { ProductRecord } from './productRecord.js';

/** What is being made (docs/science.md, “What is made”): a record each. */
const RECORDS = {
  'belly-bacon': bellyBacon,
  'canadian-bacon': canadianBacon,
  'ham-bone-in': hamBoneIn,
  'ham-boned': hamBoned,
  picnic,
  'shoulder-bacon': shoulderBacon,
  pastrami,
  'cured-beef': curedBeef,
} as const satisfies Record<string, ProductRecord>;

export type Product = keyof typeof RECORDS;

export const PRODUCTS = Object.keys(RECORDS) as Product[];

/**
 * What is true of a product.
 *
 * @throws InputError for one that is not known here
 * @example productOf('picnic').meat // 'pork'
 */
export function productOf(product: Product): ProductRecord {
  if (!Object.hasOwn(RECORDS, product)) throw new InputError('product', cureSays('unknown-product', { product: String(product) }));
  return RECORDS[product];
}
