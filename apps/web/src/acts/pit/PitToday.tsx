import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { MINUTE_MS } from '@bunkhouse/core';
import { Link } from 'react-router';
import { Panel } from '../../kit/Panel';
import type { Batch } from '../../data/batches';
import { useNow } from '../../data/useNow';
import { PitJobRow } from './PitJobRow';
import { isOnFire, usePitWatch } from './usePitWatch';
import { useTend } from './useTend';
import { looks } from '../../theme/looks';

/** So soon a job at the pit belongs on the day sheet, ms. */
const SOON_MS = 30 * MINUTE_MS;

/** What the fires ask for now and soon, beside the batches' own steps. */
export function PitToday({ batches }: { batches: readonly Batch[] }) {
  const fires = batches.filter(isOnFire);
  return fires.map((batch) => <FireToday key={batch.record.id} batch={batch} />);
}

function FireToday({ batch }: { batch: Batch }) {
  const now = useNow();
  const { watch } = usePitWatch(batch);
  const { tend, busy, fault } = useTend(batch);
  const jobs = (watch?.jobs ?? []).filter(({ dueAt }) => dueAt !== null && dueAt < now + SOON_MS);
  if (jobs.length === 0) return null;
  return (
    <Panel
      title="At the pit"
      label={`At the pit, ${batch.record.code}`}
      aside={
        <Button variant="text" component={Link} to={`/pit/${batch.record.id}`}>
          {batch.record.code}
        </Button>
      }
    >
      <ol>
        {jobs.map((job) => (
          <PitJobRow key={`${job.act}${job.atCoreC ?? ''}`} job={job} now={now} first={false} busy={busy} onDone={() => void tend({ act: job.act })} />
        ))}
      </ol>
      {fault !== null && (
        <Typography variant="fault" sx={looks.inset} role="alert">
          {fault}
        </Typography>
      )}
    </Panel>
  );
}
