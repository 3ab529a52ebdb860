import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import type { LotResponse } from '@bunkhouse/api';
import { Link } from 'react-router';
import { useHolders } from '../../data/lots';
import { lotName } from '../../reader/words/lotWords';
import { usePreferences } from '../../reader/preferences';
import { inWords } from '../../reader/quantities';
import { writtenTime } from '../../reader/times';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';
import { worded } from '../../theme/type';

const styles = {
  holders: {
    '& ul': { listStyle: 'none' },
    '& li': { minHeight: '44px', display: 'flex', flexWrap: 'wrap', gap: '4px 6px', alignItems: 'center', font: worded(16, 22, 400) },
  },
} as const;

const OUTCOMES = { live: 'on the rail', finished: 'packed or eaten', thrownAway: 'thrown away' } as const;

/** Which batches hold a lot: what a recall asks. */
export function Holders({ lot }: { lot: LotResponse }) {
  const { data, error } = useHolders(lot.id);
  const preferences = usePreferences();
  if (data === undefined) return <Typography variant="note">{error === undefined ? 'Reading the logs...' : 'The logs cannot be read just now.'}</Typography>;
  if (data.length === 0) return <Typography variant="note">No batch was made with {lotName(lot)}.</Typography>;
  return (
    <Box component="section" aria-label={`Batches that hold ${lotName(lot)}`} sx={styles.holders}>
      <Box component="p" sx={looks.lead}>
        {data.length === 1 ? '1 batch holds' : `${data.length} batches hold`} {lotName(lot)}:
      </Box>
      <ul>
        {data.map(({ id, code, name, outcome, g, at, by }) => (
          <li key={id}>
            <Button variant="text" component={Link} to={`/batches/${id}`}>
              {code}
            </Button>{' '}
            {name}, {inWords(g, lot.kind === 'cure' ? 'smallMass' : 'mass', preferences)} on {writtenTime(at, 'D MMM YYYY')} by {by}: <b>{OUTCOMES[outcome]}</b>
          </li>
        ))}
      </ul>
    </Box>
  );
}
