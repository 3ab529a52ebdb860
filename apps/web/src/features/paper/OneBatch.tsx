import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { Title } from '../../kit/Title';
import { useBatch, type Batch } from '../../data/batches';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';

/** The batch that an address names, or why it is not there. */
export function OneBatch({ children }: { children: (batch: Batch) => ReactNode }) {
  const { id = '' } = useParams();
  const { batch, error } = useBatch(id);
  if (batch !== undefined) return children(batch);
  return (
    <Box sx={looks.page}>
      <Title>{error === undefined ? 'Paper' : 'No such batch'}</Title>
      {error !== undefined && (
        <Box component="p" sx={looks.lead}>
          {error.message} <Link to="/ledger">To the Ledger</Link>
        </Box>
      )}
    </Box>
  );
}
