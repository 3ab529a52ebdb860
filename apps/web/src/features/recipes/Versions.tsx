import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { padded } from '../../theme/surfaces';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import type { RecipeResponse } from '@bunkhouse/api';
import { useState } from 'react';
import { Panel } from '../../kit/Panel';
import { Pick } from '../../kit/Pick';
import { ColumnHeads } from '../../kit/ColumnHeads';
import { usePreferences } from '../../reader/preferences';
import { dayWithYear } from '../../reader/times';
import { differences } from './recipeLines';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { worded } from '../../theme/type';

const styles = {
  versions: {
    padding: '4px 12px',
    '& li': {
      display: 'grid',
      gridTemplateColumns: '92px 1fr',
      gap: '10px',
      alignItems: 'center',
      borderTop: `1px solid ${t.hair}`,
      font: worded(15, 21, 400),
    },
    '& li:first-child': { borderTop: 0 },
    '& .MuiButton-text[aria-pressed="true"]': { fontWeight: 600, textDecoration: 'none' },
  },
  differ: { '& td': { whiteSpace: 'normal', fontFamily: 'var(--f-text)' } },
} as const;

/** Every version of a recipe, and what differs between two of them. */
export function Versions({ recipe, shown, onShow }: { recipe: RecipeResponse; shown: number; onShow: (version: number) => void }) {
  const { versions } = recipe;
  const preferences = usePreferences();
  const [other, setOther] = useState<number | null>(null);
  const [now, before] = [versions.find(({ version }) => version === shown), versions.find(({ version }) => version === (other ?? shown - 1))];
  const differing = now === undefined || before === undefined || before === now ? null : differences(before.recipe, now.recipe, preferences);
  return (
    <Panel title="Versions" aside={versions.length} label="Versions">
      <Box component="ol" sx={styles.versions}>
        {versions.map(({ version, by, at, reason }) => (
          <li key={version}>
            <Button variant="text" aria-pressed={version === shown} onClick={() => onShow(version)}>
              Version {version}
            </Button>
            <span>
              {by}
              {at === '' ? '' : `, ${dayWithYear(at)}`}
              {reason === '' ? '' : `: ${reason}`}
            </span>
          </li>
        ))}
      </Box>
      {versions.length > 1 && (
        <Box sx={padded}>
          <Pick label={`Version ${shown} against`} value={String(before?.version ?? '')} onChange={(chosen) => setOther(Number(chosen))}>
            {before === undefined && <option value="">choose one</option>}
            {versions
              .filter(({ version }) => version !== shown)
              .map(({ version }) => (
                <option key={version} value={version}>
                  Version {version}
                </option>
              ))}
          </Pick>
          {differing !== null &&
            (differing.length === 0 ? (
              <Typography variant="note">They say the same.</Typography>
            ) : (
              <Box sx={looks.tableScroll} tabIndex={0} role="region" aria-label="What differs">
                <Table sx={[looks.book, styles.differ]}>
                  <ColumnHeads columns={['What differs', `Version ${before?.version ?? ''}`, `Version ${shown}`]} />
                  <TableBody>
                    {differing.map(({ key, name, before: was, after: is }) => (
                      <TableRow key={key}>
                        <TableCell component="th" scope="row">
                          {name}
                        </TableCell>
                        <TableCell>{was ?? 'not there'}</TableCell>
                        <TableCell>{is ?? 'left out'}</TableCell>
                      </TableRow>
                    ))}
                  </TableBody>
                </Table>
              </Box>
            ))}
        </Box>
      )}
    </Panel>
  );
}
