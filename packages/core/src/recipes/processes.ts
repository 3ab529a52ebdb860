import { PRODUCTS, type Product } from '../products/product.js';
import { InputError } from '../inputError.js';
import type { Process } from './process.js';
import { processOf } from './recipe.js';
import { STARTER_RECIPES } from './starterRecipes.js';
import { inputSays } from '../say/english/inputs.js';

/** The process of the first starter recipe of each product. */
export const PROCESSES: readonly Process[] = PRODUCTS.flatMap((product) => {
  const starter = STARTER_RECIPES.find(({ recipe }) => recipe.product === product);
  return starter === undefined ? [] : [{ ...processOf(starter.recipe), recipe: { id: starter.id, version: 1 } }];
});

/** Products that a batch may be started of. */
export const PLANNED_PRODUCTS: readonly Product[] = PRODUCTS;

/** @throws InputError when no process is kept for a product */
export function processFor(product: string): Process {
  const found = PROCESSES.find((process) => process.product === product);
  if (found === undefined) throw new InputError('product', inputSays('no-process', { product }));
  return found;
}
