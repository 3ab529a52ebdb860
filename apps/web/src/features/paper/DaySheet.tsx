import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { ColumnHeads } from '../../kit/ColumnHeads';
import { Task } from '../../kit/Task';
import { STATION_NAMES, DAY_MS } from '@bunkhouse/core';
import { useLiveBatches } from '../../data/batches';
import { usePreferences } from '../../reader/preferences';
import { tagWeight } from '../../reader/quantities';
import { useNow } from '../../data/useNow';
import { Sheet } from './Sheet';
import { writtenTime } from '../../reader/times';
import { nameHere } from '../../reader/here';

/** The jobs of a day over all batches, with room to write down what was measured. */
export function DaySheet() {
  const { batches = [] } = useLiveBatches();
  const preferences = usePreferences();
  const now = useNow();
  const jobs = batches
    .flatMap((batch) =>
      batch.state.steps
        .filter(({ closing, status, dueAt }) => closing === null && status !== 'missed' && dueAt < now + DAY_MS)
        .map((step) => ({ batch, step })),
    )
    .sort((a, b) => a.step.dueAt - b.step.dueAt);
  return (
    <Sheet title="Day sheet" aside={writtenTime(now, 'dddd D MMMM YYYY, HH:mm')} back={{ to: '/', word: 'To Today' }}>
      {jobs.length === 0 ? (
        <p>Nothing is due until this time tomorrow.</p>
      ) : (
        <Table size="small" className="day-jobs">
          <ColumnHeads columns={[{ aloud: 'Done' }, 'When', 'Batch', 'What', 'Measured', 'Done at, by']} />
          <TableBody>
            {jobs.map(({ batch, step }) => (
              <TableRow key={`${batch.record.id} ${step.spec.id}`}>
                <TableCell className="box-cell" aria-label="to tick" />
                <TableCell>
                  {writtenTime(step.dueAt, 'ddd HH:mm')}
                  {step.urgency === 'overdue' ? ', late' : ''}
                </TableCell>
                <TableCell component="th" scope="row">
                  {batch.record.code},{' '}
                  {tagWeight(
                    Object.values(batch.state.facts.keptGreenG).reduce((a, b) => a + b, 0),
                    preferences,
                  )}
                </TableCell>
                <TableCell>
                  <b>
                    {STATION_NAMES[step.spec.station]}: {nameHere(step.spec.title)}.
                  </b>{' '}
                  <Task spec={step.spec} process={batch.record.process} />
                </TableCell>
                <TableCell className="to-write">{step.spec.inputs.map(({ label }) => label).join(', ')}</TableCell>
                <TableCell className="to-write" />
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
    </Sheet>
  );
}
