import { STARTER_RECIPES } from '@bunkhouse/core';
import { useNavigate } from 'react-router';
import { EditRecipe } from './EditRecipe';

/** A recipe from the beginning: with the numbers of a loin until others are typed. */
export function NewRecipe() {
  const navigate = useNavigate();
  const usual = STARTER_RECIPES.find(({ id }) => id === 'canadian-bacon')?.recipe;
  return usual === undefined ? null : (
    <EditRecipe from={{ ...usual, name: 'A recipe of ours', spices: [], note: '' }} of={null} onDone={() => void navigate('/recipes')} />
  );
}
