import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { sum, type VesselState } from '@bunkhouse/core';
import { usePreferences } from '../reader/preferences';
import { digits, inWords } from '../reader/quantities';
import { dayAndTime } from '../reader/times';
import { vesselName } from '../reader/words/vesselWords';
import { useNow } from '../data/useNow';
import { fold } from '../theme/folds';
import { ColumnHeads } from './ColumnHeads';

const styles = {
  whole: {
    overflowX: 'auto',
    '& td, & th': { whiteSpace: 'nowrap' },
    [fold.narrow]: { '& td, & th': { padding: '6px 5px' }, '& td small': { display: 'block' } },
  },
} as const;

const VERDICTS = { ok: 'within', over: 'over the limit', under: 'under the floor' } as const;

/** What lies where: the meat, its part of the brine and of the cure, and what that comes to. */
export function VesselsTable({ vessels, isRub }: { vessels: readonly VesselState[]; isRub: boolean }) {
  const preferences = usePreferences();
  const now = useNow();
  const mass = (g: number) => inWords(g, 'mass', preferences);
  return (
    <Box sx={styles.whole}>
      <Table size="small">
        <ColumnHeads columns={['In', 'Pieces', { numbers: 'Meat' }, { numbers: isRub ? 'Rub' : 'Brine' }, { numbers: 'Cure' }, { numbers: 'Nitrite' }]} />
        <TableBody>
          {vessels.map(({ vessel, n, facts, figures, brineG, untilMs }, i) => {
            const { applies, judgement } = figures.nitrite;
            return (
              <TableRow key={i}>
                <TableCell component="th" scope="row">
                  {vesselName(vessel, n)}
                  {untilMs !== null && <small> until {dayAndTime(untilMs, now)}</small>}
                </TableCell>
                <TableCell>{vessel.pieces.filter((code) => facts.greenG[code] !== undefined).join(', ')}</TableCell>
                <TableCell align="right">{mass(sum(facts.greenG))}</TableCell>
                <TableCell align="right">{mass(brineG)}</TableCell>
                <TableCell align="right">
                  {inWords(
                    facts.brines.reduce((g, { cureG }) => g + cureG, 0),
                    'smallMass',
                    preferences,
                  )}
                </TableCell>
                <TableCell align="right">
                  <b>{digits(applies.value, 0)} ppm</b>
                  {applies.high - applies.low > WIDE_PPM && <small> ({`${digits(applies.low, 0)} to ${digits(applies.high, 0)}`})</small>}
                  <small> {VERDICTS[judgement.verdict]}</small>
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </Box>
  );
}

/** A doubt of less is that of the scales. */
const WIDE_PPM = 8;
