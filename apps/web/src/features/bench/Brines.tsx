import Box from '@mui/material/Box';
import { cureMixOf, type BenchSheet, type RecipeAudit, type RecipeLine, type WorkedRecipe } from '@bunkhouse/core';
import { RecipeTable, type RecipeRow } from '../../kit/RecipeTable';

const styles = {
  twoBrines: { display: 'grid', gap: '10px' },
} as const;

/** What is weighed, the dose put right where it was off. */
export function Brines({ sheet, recipe, right }: { sheet: BenchSheet; recipe: WorkedRecipe; right: RecipeAudit['right'] }) {
  const corrected = sheet.door === 'have' && right !== null;
  const rows = (lines: readonly RecipeLine[], from: number): RecipeRow[] =>
    lines.flatMap((line, i): RecipeRow[] => {
      const grams = recipe.audit.grams[from + i];
      if (grams === undefined) return [];
      const mix = cureMixOf(line.ingredient, [sheet.cure]);
      if (!corrected || mix === null || mix.nitritePercent <= 0) return [{ line, grams, cure: mix !== null }];
      const put = grams.value * right.factor;
      return [{ line: { ...line, name: mix.name }, grams: { value: put, low: put, high: put }, cure: true, insteadOfG: grams.value }];
    });
  const { lines, coverLines, method } = recipe;
  const aside = sheet.door === 'want' ? 'to weigh' : corrected ? 'in grams, the dose put right' : 'in grams, as read';
  if (coverLines === null) return <RecipeTable title={method === 'dry' ? 'Rub' : 'Brine'} aside={aside} rows={rows(lines, 0)} />;
  return (
    <Box sx={styles.twoBrines}>
      <RecipeTable title="Pump pickle" aside={aside} rows={rows(lines, 0)} />
      <RecipeTable title="Cover brine" aside={aside} rows={rows(coverLines, lines.length)} />
    </Box>
  );
}
