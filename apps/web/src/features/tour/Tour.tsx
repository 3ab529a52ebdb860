import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { may } from '@bunkhouse/api';
import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { useTour } from '../../acts/tour';
import { useWho } from '../../data/who';
import { PLACES } from './places';

/** Stands before the work without shutting it: every control of the screen that it speaks of can be tried meanwhile. */
const IN_THE_CORNER = {
  position: 'fixed',
  right: { xs: 8, md: 16 },
  bottom: { xs: 74, md: 16 },
  width: { xs: 'calc(100vw - 16px)', md: 420 },
  border: '2px solid',
  borderColor: 'ink',
  padding: '14px 16px',
  display: 'grid',
  gap: '10px',
  zIndex: 4,
} as const;

/** Two minutes round the house: a word of each screen, on that screen. */
export function Tour() {
  const { at, go, leave } = useTour();
  const { role } = useWho();
  const navigate = useNavigate();
  const places = PLACES.filter(({ right }) => right === undefined || may(role, right));
  const place = at === null ? undefined : places[at];
  const to = place?.to;
  useEffect(() => {
    if (to !== undefined) void navigate(to);
  }, [to, navigate]);
  if (at === null || place === undefined) return null;
  const isLast = at === places.length - 1;
  return (
    <Paper
      component="section"
      aria-label="A look round"
      sx={IN_THE_CORNER}
      onKeyDown={(event) => {
        if (event.key === 'Escape') leave();
      }}
    >
      <LinearProgress variant="determinate" value={((at + 1) / places.length) * 100} aria-label={`Place ${at + 1} of ${places.length}`} />
      <Box aria-live="polite">
        <Typography variant="title" component="h2" sx={{ fontSize: '24px' }}>
          {place.name}
        </Typography>
        <Typography sx={{ fontSize: '17px', lineHeight: '24px', marginTop: '4px' }}>{place.says}</Typography>
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: '8px', alignItems: 'center' }}>
        <Button variant="contained" autoFocus onClick={() => (isLast ? leave() : go(at + 1))}>
          {isLast ? 'That was all' : `Next: ${places[at + 1]?.name ?? ''}`}
        </Button>
        {at > 0 && (
          <Button variant="quiet" onClick={() => go(at - 1)}>
            Back
          </Button>
        )}
        {!isLast && (
          <Button variant="quiet" sx={{ marginLeft: 'auto' }} onClick={leave}>
            Leave it
          </Button>
        )}
      </Box>
    </Paper>
  );
}
