import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { ColumnHeads } from '../kit/ColumnHeads';
import { copyText } from '../kit/copyText';
import { rowsOf, thinned, type ReadCurve } from './readCurve';

/** So many rows are shown; all are copied. */
const SHOWN = 60;

/** The figures of a chart. */
export function ReadingsTable({ label, curves, sayAt }: { label: string; curves: readonly ReadCurve[]; sayAt: (at: number) => string }) {
  const rows = useMemo(() => rowsOf(curves), [curves]);
  const [copied, setCopied] = useState<boolean | null>(null);
  const written = ({ at, values }: (typeof rows)[number]) => [sayAt(at), ...values.map((value, i) => (value === null ? '' : (curves[i]?.say(value) ?? '')))];
  const copy = async () =>
    setCopied(await copyText([['Time', ...curves.map(({ name }) => name)], ...rows.map(written)].map((cells) => cells.join('\t')).join('\n')));
  return (
    <Box sx={{ display: 'grid', gap: '6px', paddingBottom: '8px' }}>
      <TableContainer tabIndex={0} role="region" aria-label={`${label.split(':')[0] ?? label}, as a table`} sx={{ maxHeight: 320 }}>
        <Table stickyHeader size="small">
          <ColumnHeads columns={['Time', ...curves.map(({ name }) => ({ numbers: name }))]} />
          <TableBody>
            {thinned(rows, SHOWN).map((row) => (
              <TableRow key={row.at}>
                {written(row).map((cell, i) =>
                  i === 0 ? (
                    <TableCell key={i} component="th" scope="row">
                      {cell}
                    </TableCell>
                  ) : (
                    <TableCell key={i} align="right">
                      {cell}
                    </TableCell>
                  ),
                )}
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </TableContainer>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: '4px 14px', alignItems: 'center', padding: '0 4px' }}>
        <Button variant="text" onClick={() => void copy()}>
          Copy {rows.length === 1 ? 'the row' : `all ${rows.length} rows`}
        </Button>
        <Typography variant="note" role="status" sx={{ color: 'ink2' }}>
          {copied === true
            ? 'Copied.'
            : copied === false
              ? 'This browser does not let the page copy.'
              : rows.length > SHOWN
                ? `${SHOWN} of ${rows.length} rows are shown.`
                : ''}
        </Typography>
      </Box>
    </Box>
  );
}
