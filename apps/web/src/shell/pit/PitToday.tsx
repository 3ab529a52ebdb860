import { MINUTE_MS } from '@bunkhouse/core';
import { Link } from 'react-router';
import type { Batch } from '../../data/batches';
import { useNow } from '../useNow';
import { PitJobRow } from './PitJobRow';
import { isOnFire, usePitWatch } from './usePitWatch';
import { useTend } from './useTend';

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
    <section className="panel" aria-label={`At the pit, ${batch.record.code}`}>
      <div className="ph">
        <h2>At the pit</h2>
        <Link className="lnk" to={`/pit/${batch.record.id}`}>
          {batch.record.code}
        </Link>
      </div>
      <ol>
        {jobs.map((job) => (
          <PitJobRow key={`${job.act}${job.atCoreC ?? ''}`} job={job} now={now} first={false} busy={busy} onDone={() => void tend({ act: job.act })} />
        ))}
      </ol>
      {fault !== null && (
        <p className="fault inset" role="alert">
          {fault}
        </p>
      )}
    </section>
  );
}
