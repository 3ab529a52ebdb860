import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { useBatch, type Batch } from '../../data/batches';

/** The batch that an address names, or why it is not there. */
export function OneBatch({ children }: { children: (batch: Batch) => ReactNode }) {
  const { id = '' } = useParams();
  const { batch, error } = useBatch(id);
  if (batch !== undefined) return children(batch);
  return (
    <div className="page">
      <h1 className="title">{error === undefined ? 'Paper' : 'No such batch'}</h1>
      {error !== undefined && (
        <p className="lead">
          {error.message} <Link to="/ledger">To the Ledger</Link>
        </p>
      )}
    </div>
  );
}
