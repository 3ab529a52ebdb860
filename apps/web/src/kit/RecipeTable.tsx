import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableFooter from '@mui/material/TableFooter';
import TableRow from '@mui/material/TableRow';
import { type Measured, type RecipeLine } from '@bunkhouse/core';
import { Panel } from './Panel';
import { usePreferences } from '../reader/preferences';
import { digits, inWords } from '../reader/quantities';
import { looks } from '../theme/looks';
import { t } from '../theme/tokens';
import { worded } from '../theme/type';

const styles = {
  cure: { '& small': { color: t.nitrite.ink } },
  num: { '&&': { fontSize: '22px', lineHeight: '24px' } },
  ofCure: { '&&': { color: t.nitrite.ink } },
  total: { '&&': { fontSize: '19px' } },
  step: { '&&': { font: worded(13.5, 18, 400), color: t.ink3 } },
} as const;

export interface RecipeRow {
  line: RecipeLine;
  grams: Measured;
  cure: boolean;
  /** grams before it was put right */
  insteadOfG?: number;
}

/** What to weigh out, with the doubt of each line. */
export function RecipeTable({ title, rows, aside }: { title: string; rows: RecipeRow[]; aside?: string }) {
  const preferences = usePreferences();
  const total = rows.reduce((sum, row) => sum + row.grams.value, 0);
  return (
    <Panel sx={looks.brineSheet} title={title} label={title} aside={aside}>
      <Table>
        <TableBody>
          {rows.map(({ line, grams, cure, insteadOfG }, i) => {
            const quantity = cure || grams.value < 100 ? 'smallMass' : 'mass';
            const half = (grams.high - grams.low) / 2;
            return (
              <TableRow key={i} sx={[cure && styles.cure]}>
                <TableCell component="th" scope="row">
                  {line.name ?? line.ingredient}
                </TableCell>
                <TableCell sx={[looks.num, styles.num, cure && styles.ofCure]}>{inWords(grams.value, quantity, preferences)}</TableCell>
                <TableCell sx={styles.step}>
                  {insteadOfG !== undefined
                    ? `not ${inWords(insteadOfG, quantity, preferences)}`
                    : half > 0
                      ? `± ${inWords(half, 'smallMass', preferences, preferences.system === 'us' ? 3 : half < 1 ? 2 : 1)}`
                      : ''}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
        <TableFooter>
          <TableRow>
            <TableCell component="th" scope="row">
              Together
            </TableCell>
            <TableCell sx={[looks.num, styles.num, styles.total]}>{inWords(total, 'mass', preferences)}</TableCell>
            <TableCell sx={styles.step}>{rows.length > 0 ? `${digits(rows.length, 0)} lines` : ''}</TableCell>
          </TableRow>
        </TableFooter>
      </Table>
    </Panel>
  );
}
