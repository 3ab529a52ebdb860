import { latest, useRecipes } from '../data/recipes';

/** The recipes that are not put away, as options of a list. */
export function RecipeOptions() {
  const { recipes } = useRecipes();
  return recipes
    .filter(({ putAway }) => !putAway)
    .map((one) => (
      <option key={one.id} value={one.id}>
        {latest(one).recipe.name}
      </option>
    ));
}
