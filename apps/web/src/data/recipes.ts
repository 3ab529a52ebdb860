import type { RecipeRequest, RecipeResponse, RecipeVersion } from '@bunkhouse/api';
import { processOf, type Process } from '@bunkhouse/core';
import { useMemo } from 'react';
import useSWR, { mutate } from 'swr';
import { request } from './request';

const RECIPES = '/api/recipes';

const NONE: RecipeResponse[] = [];

/** The house's recipes, by name; put away ones last. Until the house has said what it has there are none: no other stands in for them. */
export function useRecipes(): { recipes: RecipeResponse[]; isKnown: boolean; failed: boolean } {
  const { data, error } = useSWR<RecipeResponse[], Error>(RECIPES, request, { revalidateOnFocus: false });
  const recipes = useMemo(
    () => [...(data ?? NONE)].sort((a, b) => Number(a.putAway) - Number(b.putAway) || latest(a).recipe.name.localeCompare(latest(b).recipe.name)),
    [data],
  );
  return { recipes, isKnown: data !== undefined, failed: error !== undefined && data === undefined };
}

/** The version that is used now. */
export function latest({ id, versions }: RecipeResponse): RecipeVersion {
  const [last] = versions;
  if (last === undefined) throw new Error(`recipe ${id} has no version`);
  return last;
}

/** The process of a version of a recipe, as a batch would keep it. */
export function processOfVersion(id: string, { recipe, version }: RecipeVersion): Process {
  return { ...processOf(recipe), recipe: { id, version } };
}

/** Keeps a new recipe, or another version of one. */
export async function keepRecipe(asked: RecipeRequest): Promise<RecipeResponse> {
  const kept = await request<RecipeResponse>(RECIPES, asked);
  await replace(kept);
  return kept;
}

export async function putAway(id: string, away: boolean): Promise<void> {
  await replace(await request<RecipeResponse>(`${RECIPES}/${id}/put-away`, { putAway: away }));
}

const replace = (kept: RecipeResponse) =>
  mutate<RecipeResponse[]>(RECIPES, (all) => [...(all ?? []).filter(({ id }) => id !== kept.id), kept], { revalidate: true });
