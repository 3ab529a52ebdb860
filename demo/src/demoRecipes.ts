import type { BatchRequest, RecipeRequest } from '@bunkhouse/api';
import { processFor, processOf, STARTER_RECIPES, type Process, type Recipe } from '@bunkhouse/core';

/** What Tamarack Fork changed in the recipes that it began with. */
const CHANGES: readonly { id: string; changes: Partial<Recipe>; reason: string; by: string }[] = [
  {
    id: 'canadian-bacon-pumped',
    changes: {
      saltPercent: 2.15,
      pumpPercent: 9,
      soakH: 0.5,
      spices: [
        { name: 'Coriander seed, crushed', gPerKg: 1.3 },
        { name: 'Mustard seed', gPerKg: 0.6 },
      ],
      checks: [{ station: 'dry', say: 'Fan on low, door shut.' }],
    },
    reason: 'Three of the crew found it salty: less salt, a little more by the needle, a shorter soak',
    by: 'Wren',
  },
];

/** The house's own versions, each written after the starter. */
export function demoRecipes(): RecipeRequest[] {
  return CHANGES.map(({ id, changes, reason, by }) => {
    const starter = STARTER_RECIPES.find((one) => one.id === id);
    if (starter === undefined) throw new Error(`no starter ${id}`);
    return { id, after: 1, recipe: { ...starter.recipe, ...changes }, reason, by };
  });
}

/** The process that a made-up request asks for. */
export function processOfRequest({ product, recipe }: Pick<BatchRequest, 'product' | 'recipe'>): Process {
  const own = demoRecipes().find(({ id, after }) => id === recipe?.id && after + 1 === recipe.version);
  if (own !== undefined) return { ...processOf(own.recipe), recipe: { id: own.id, version: own.after + 1 } };
  const starter = STARTER_RECIPES.find(({ id }) => id === recipe?.id);
  return starter === undefined ? processFor(product) : { ...processOf(starter.recipe), recipe: { id: starter.id, version: 1 } };
}
