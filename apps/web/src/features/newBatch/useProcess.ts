import type { BatchRequest } from '@bunkhouse/api';
import { processFor, type Process } from '@bunkhouse/core';
import { useMemo } from 'react';
import { processOfVersion, useRecipes } from '../../data/recipes';

/** The process of the recipe that a form asks for; and whether the house has said what is in it: until then it is the usual one of the product. */
export function useProcess(asked: Pick<BatchRequest, 'product' | 'recipe'>): Process {
  return useKnownProcess(asked).process;
}

export function useKnownProcess({ product, recipe }: Pick<BatchRequest, 'product' | 'recipe'>): { process: Process; isKnown: boolean } {
  const { recipes } = useRecipes();
  return useMemo(() => {
    const versions = recipes.find(({ id }) => id === recipe?.id)?.versions;
    const version = versions?.find((one) => one.version === recipe?.version);
    if (recipe === undefined) return { process: processFor(product), isKnown: true };
    return version === undefined || version.recipe.product !== product
      ? { process: processFor(product), isKnown: false }
      : { process: processOfVersion(recipe.id, version), isKnown: true };
  }, [recipes, product, recipe]);
}
