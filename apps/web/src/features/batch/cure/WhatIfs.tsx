import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { unseen } from '../../../theme/surfaces';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import ToggleButton from '@mui/material/ToggleButton';
import Button from '@mui/material/Button';
import { requestOf } from '@bunkhouse/api';
import { changedDesign, type CureCourse, type WhatIf } from '@bunkhouse/core';
import { useNavigate } from 'react-router';
import type { Batch } from '../../../data/batches';
import { houseTime } from '../../../data/serverClock';
import { usePreferences } from '../../../reader/preferences';
import { digits } from '../../../reader/quantities';
import type { SectionAnswer } from '../../../workers/sectionMessages';
import { useReplan } from '../../../acts/useReplan';
import { ColumnHeads } from '../../../kit/ColumnHeads';
import { Only } from '../../../kit/Only';
import { newId } from '../../../data/newId';
import { useSay } from '../../../reader/reader';
import { looks } from '../../../theme/looks';
import { t } from '../../../theme/tokens';

const styles = {
  whatIfs: { display: 'grid', gap: '8px', borderTop: `1px solid ${t.hair}`, paddingTop: '10px' },
  ways: { display: 'flex', flexWrap: 'wrap', gap: '8px' },
  compared: { display: 'grid', gap: '10px', justifyItems: 'start', overflowX: 'auto' },
  book: { width: '100%' },
} as const;

/** One way, in a line of the comparison. */
interface Way {
  name: string;
  course: CureCourse;
  answer: SectionAnswer;
}

const QUARTER_MS = 900_000;

/** What else might be done: each a tap, compared with the plan, and taken over with another. */
export function WhatIfs({
  batch,
  offered,
  chosen,
  plan,
  other,
  onChoose,
}: {
  batch: Batch;
  offered: readonly WhatIf[];
  chosen: WhatIf | null;
  plan: Way;
  /** null while it is computed */
  other: Way | null;
  onChoose: (id: string | null) => void;
}) {
  const { replan, busy, fault } = useReplan(batch);
  const navigate = useNavigate();
  const { name } = usePreferences();
  const say = useSay();
  const asNext = (whatIf: WhatIf) => {
    const { record, state } = batch;
    const startsAt = new Date(Math.ceil(houseTime() / QUARTER_MS) * QUARTER_MS).toISOString();
    const design = changedDesign(state.design, record.process, whatIf.changes);
    void navigate('/new', { state: { request: requestOf(design, { id: newId(), by: name, startsAt }) } });
  };
  return (
    <Box sx={styles.whatIfs} role="group" aria-label="What if">
      <Typography variant="label" component="h3">
        What if
      </Typography>
      <Box sx={styles.ways}>
        {offered.map((whatIf) => (
          <ToggleButton
            key={whatIf.id}
            value={whatIf.id}
            selected={chosen?.id === whatIf.id}
            onChange={() => onChoose(chosen?.id === whatIf.id ? null : whatIf.id)}
          >
            {say(whatIf.said)}
          </ToggleButton>
        ))}
      </Box>
      {chosen !== null && (
        <Box sx={styles.compared}>
          <Table sx={[looks.book, styles.book]}>
            <Box component="caption" sx={unseen}>
              The plan and what if
            </Box>
            <ColumnHeads
              columns={['At the pull', { numbers: 'day' }, { numbers: 'core' }, { numbers: 'mean' }, { numbers: 'edge' }, { numbers: 'even from' }]}
            />
            <TableBody>
              <WayLine way={plan} />
              {other === null ? (
                <TableRow>
                  <TableCell component="th" scope="row">
                    {say(chosen.said)}
                  </TableCell>
                  <TableCell colSpan={5} align="right">
                    computing
                  </TableCell>
                </TableRow>
              ) : (
                <WayLine way={other} />
              )}
            </TableBody>
          </Table>
          {chosen.open ? (
            <Only right="plan">
              <Button aria-disabled={busy} onClick={() => void replan(chosen.changes, chosen.title)}>
                {busy ? 'Taking it over...' : 'Take it into the plan'}
              </Button>
            </Only>
          ) : (
            <div>
              <Typography variant="note">Too late for this batch: its brine is mixed. The pale curves show how it would have gone from the start.</Typography>
              <Button onClick={() => asNext(chosen)}>Plan the next batch so</Button>
            </div>
          )}
          {fault !== null && (
            <Typography variant="fault" role="alert">
              {fault}
            </Typography>
          )}
        </Box>
      )}
    </Box>
  );
}

function WayLine({ way: { name, course, answer } }: { way: Way }) {
  const { salt, windows } = answer;
  const found = salt.timesH.findIndex((h) => h >= course.pullH - 1e-6);
  const at = found < 0 ? salt.timesH.length - 1 : found;
  return (
    <TableRow>
      <TableCell component="th" scope="row">
        {name}
      </TableCell>
      <TableCell align="right">{digits(course.pullH / 24, 1)}</TableCell>
      <TableCell align="right">{digits(salt.core[at] ?? 0, 2)} %</TableCell>
      <TableCell align="right">{digits(salt.mean[at] ?? 0, 2)} %</TableCell>
      <TableCell align="right">{digits(salt.edge[at] ?? 0, 2)} %</TableCell>
      <TableCell align="right">{windows.likely.bestH === null ? 'not in 60 d' : `day ${digits(windows.likely.bestH / 24, 1)}`}</TableCell>
    </TableRow>
  );
}
