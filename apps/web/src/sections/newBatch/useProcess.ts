import type { BatchRequest } from '@bunkhouse/api';
import { processFor, type Process } from '@bunkhouse/core';
import { useMemo } from 'react';
import { processOfVersion, useRecipes } from '../../data/recipes';

/** The process of the recipe that a form asks for; the starter of its product while the house has not said. */
export function useProcess({ product, recipe }: Pick<BatchRequest, 'product' | 'recipe'>): Process {
  const { recipes } = useRecipes();
  return useMemo(() => {
    const versions = recipes.find(({ id }) => id === recipe?.id)?.versions;
    const version = versions?.find((one) => one.version === recipe?.version);
    return recipe === undefined || version === undefined || version.recipe.product !== product ? processFor(product) : processOfVersion(recipe.id, version);
  }, [recipes, product, recipe]);
}
