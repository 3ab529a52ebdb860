import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { LearntAtTable } from '@bunkhouse/api';
import { atTableSaid, type Product } from '@bunkhouse/core';
import { Link } from 'react-router';
import { useLearnt } from '../../data/learnt';
import { useSay } from '../../reader/reader';
import { dayWithYear } from '../../reader/times';

/** What was said at table of the last of its kind, where the next one is begun. */
export function LastTime({ product }: { product: Product }) {
  const last = useLearnt()?.atTable.find((said) => said.product === product);
  return last === undefined ? null : <Said last={last} />;
}

function Said({ last: { batchId, code, by, at, pieces, verdict, nextTime } }: { last: LearntAtTable }) {
  const say = useSay();
  const said = atTableSaid(verdict, nextTime);
  if (said === null) return null;
  return (
    <Typography variant="note" role="note" aria-label="Last time at table">
      Last at table:{' '}
      <Button variant="text" component={Link} to={`/batches/${batchId}`}>
        {code}
      </Button>
      {pieces === undefined ? '' : `, ${pieces.join(', ')}`}, {dayWithYear(at)}, {by}: <b>{say(said)}</b>
    </Typography>
  );
}
