import Box from '@mui/material/Box';
import { unseen } from '../theme/surfaces';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import type { CureDays, PullWindow } from '@bunkhouse/core';
import { memo } from 'react';
import { digits } from '../reader/quantities';
import type { PullWindows } from '../workers/sectionMessages';
import { ColumnHeads } from '../kit/ColumnHeads';
import { looks } from '../theme/looks';
import { t } from '../theme/tokens';
import { worded } from '../theme/type';

const styles = {
  pullDays: {
    margin: '6px 0',
    '& td': { whiteSpace: 'nowrap', paddingBlock: '5px' },
    '& small': { display: 'block', font: worded(13, 16, 400), color: t.ink2 },
    '& th': { paddingBlock: '5px' },
  },
} as const;

/** Earliest, best and latest day to pull by the model, each with its doubt, and the trade's days beside them. */
export const PullDays = memo(function PullDays({ windows, days, isPumped }: { windows: PullWindows; days: CureDays | undefined; isPumped: boolean }) {
  const { likely } = windows;
  return (
    <Table sx={[looks.book, styles.pullDays]}>
      <Box component="caption" sx={unseen}>
        Days of the pull
      </Box>
      <ColumnHeads columns={['Pull', { numbers: 'model, day' }, { numbers: 'trade' }]} />
      <TableBody>
        <TableRow>
          <TableCell component="th" scope="row">
            Earliest <small>coloured to the middle</small>
          </TableCell>
          <TableCell align="right">{dayWords(likely.earliestH, windows.fast.earliestH, windows.slow.earliestH, likely.lookedH)}</TableCell>
          <TableCell align="right">{days === undefined ? '' : digits(days.shortest, 0)}</TableCell>
        </TableRow>
        <TableRow>
          <TableCell component="th" scope="row">
            {isPumped ? 'Even' : 'Best'} <small>{isPumped ? 'need not be waited for' : 'even'}</small>
          </TableCell>
          <TableCell align="right">{dayWords(likely.bestH, windows.fast.bestH, windows.slow.bestH, likely.lookedH)}</TableCell>
          <TableCell align="right">{days === undefined ? '' : digits(days.usual, 0)}</TableCell>
        </TableRow>
        <TableRow>
          <TableCell component="th" scope="row">
            Latest <small>{likely.latestH === null ? 'cannot over-salt' : 'saltier than aimed at'}</small>
          </TableCell>
          <TableCell align="right">
            {likely.latestH === null ? 'none' : dayWords(likely.latestH, windows.fast.latestH, windows.slow.latestH, likely.lookedH)}
          </TableCell>
          <TableCell align="right">{days === undefined ? '' : digits(days.longest, 0)}</TableCell>
        </TableRow>
      </TableBody>
    </Table>
  );
});

/** `16.5 (13 to 21)`. */
function dayWords(likelyH: number | null, fastH: number | null, slowH: number | null, lookedH: number): string {
  const looked = digits(lookedH / 24, 0);
  if (likelyH === null) return fastH === null ? `over ${looked}` : `over ${looked} (from ${day(fastH)})`;
  return `${day(likelyH)} (${fastH === null ? looked : day(fastH)} to ${slowH === null ? `over ${looked}` : day(slowH)})`;
}

const day = (h: number): string => digits(h / 24, h < 24 * 20 ? 1 : 0);

/** When to pull, in a sentence. */
export function windowWords({ earliestH, bestH, lookedH }: PullWindow, pullH: number, isPumped: boolean): string {
  const day = (h: number) => `day ${digits(h / 24, 1)}`;
  if (earliestH === null) return `By the model the middle does not take colour within ${digits(lookedH / 24, 0)} days. Pump it.`;
  const best = bestH === null ? `not even within ${digits(lookedH / 24, 0)} days` : `even from ${day(bestH)}`;
  if (isPumped && (bestH === null || pullH < bestH) && pullH >= earliestH)
    return `Coloured to the middle from ${day(earliestH)}: the needle brought the cure there. Planned for ${day(pullH)}: coloured.`;
  const planned =
    pullH < earliestH
      ? `Planned for ${day(pullH)}, before that: the middle would stay grey.`
      : bestH !== null && pullH >= bestH
        ? `Planned for ${day(pullH)}: even by then.`
        : `Planned for ${day(pullH)}: coloured, not yet even.`;
  return `Coloured to the middle from ${day(earliestH)}, ${best}. ${planned}`;
}
