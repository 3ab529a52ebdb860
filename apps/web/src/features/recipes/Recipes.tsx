import { daysOf } from '@bunkhouse/core';
import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import type { Recipe } from '@bunkhouse/core';
import type { RecipeResponse } from '@bunkhouse/api';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { Grid, Within, type GridColumn } from '../../kit/Grid';
import { Title } from '../../kit/Title';
import { WordsField } from '../../kit/WordsField';
import { latest, useRecipes } from '../../data/recipes';
import { useHouse } from '../../data/batches';
import { usePreferences, type Preferences } from '../../reader/preferences';
import { inWords, fewDigits } from '../../reader/quantities';
import { PRODUCT_NAMES, SCHOOL_WORDS } from '../../reader/words/tradeWords';
import { Only } from '../../kit/Only';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';

/** `of` is what a column is sorted by, `shown` what is written there. */
const said = (
  field: string,
  headerName: string,
  of: (recipe: Recipe) => string | number,
  shown = (recipe: Recipe) => String(of(recipe)),
  more: Partial<GridColumn<RecipeResponse>> = {},
) => ({
  field,
  headerName,
  minWidth: 90,
  flex: 1,
  valueGetter: (_: never, row: RecipeResponse) => of(latest(row).recipe),
  renderCell: ({ row }: { row: RecipeResponse }) => shown(latest(row).recipe),
  ...more,
});

const NUMBERS = { align: 'right', headerAlign: 'right', type: 'number', flex: 0.6 } as const;

const columnsFor = (preferences: Preferences): GridColumn<RecipeResponse>[] => [
  said('name', 'Recipe', ({ name }) => name, undefined, {
    flex: 2,
    minWidth: 170,
    hideable: false,
    onPhone: true,
    renderCell: ({ row }) => (
      <Within>
        <Button variant="text" component={Link} to={`/recipes/${row.id}`}>
          {latest(row).recipe.name}
        </Button>
        {row.putAway && <small> put away</small>}
      </Within>
    ),
  }),
  said('makes', 'Makes', ({ product }) => PRODUCT_NAMES[product], undefined, { flex: 1.6, minWidth: 140 }),
  said('school', 'School', ({ school }) => SCHOOL_WORDS[school][0], undefined, { flex: 1.4, minWidth: 130 }),
  said(
    'salt',
    'Salt',
    ({ saltPercent }) => saltPercent,
    ({ saltPercent }) => `${fewDigits(saltPercent)} %`,
    { ...NUMBERS, onPhone: true },
  ),
  said(
    'nitrite',
    'Nitrite',
    ({ nitritePpm }) => nitritePpm,
    ({ nitritePpm }) => (nitritePpm === 0 ? 'none' : `${nitritePpm} ppm`),
    { ...NUMBERS, onPhone: true },
  ),
  said('days', 'Days', ({ cureDays, school }) => daysOf(cureDays, school).usual, undefined, NUMBERS),
  said(
    'core',
    'Core',
    ({ coreTargetC }) => coreTargetC,
    ({ coreTargetC }) => inWords(coreTargetC, 'temperature', preferences, 0),
    NUMBERS,
  ),
  { field: 'version', headerName: 'Version', ...NUMBERS, minWidth: 80, valueGetter: (_, row) => latest(row).version },
  { field: 'by', headerName: 'By', flex: 0.7, minWidth: 90, valueGetter: (_, row) => latest(row).by },
];

/** Every recipe of the house, as it is now. */
export function Recipes() {
  const { recipes, isKnown, failed } = useRecipes();
  const { data: house } = useHouse();
  const preferences = usePreferences();
  const columns = useMemo(() => columnsFor(preferences), [preferences]);
  const [sought, setSought] = useState('');
  const shown = recipes.filter((recipe) => {
    const { recipe: said } = latest(recipe);
    return `${said.name} ${PRODUCT_NAMES[said.product]} ${said.note}`.toLowerCase().includes(sought.trim().toLowerCase());
  });
  return (
    <Box sx={looks.page}>
      <Box sx={looks.pageHead}>
        <div>
          <Title>Recipes</Title>
          <Typography variant="note">
            {house?.name ?? 'The house'}: {recipes.filter(({ putAway }) => !putAway).length} in use. A batch keeps the version that it was made by.
          </Typography>
        </div>
        <WordsField label="Find" type="search" value={sought} placeholder="name, product" onChange={setSought} sx={looks.seek} />
        <Only right="plan">
          <Button variant="contained" component={Link} to="/recipes/new">
            Write a recipe
          </Button>
        </Only>
      </Box>
      {failed && <Typography variant="fault">The recipes cannot be read just now.</Typography>}
      {shown.length === 0 ? (
        <Box component="p" sx={looks.lead}>
          {isKnown ? 'No recipe says that.' : failed ? '' : 'Looking for the recipes of the house...'}
        </Box>
      ) : (
        <Grid<RecipeResponse> name="recipes" label="Recipes" columns={columns} rows={shown} />
      )}
    </Box>
  );
}
