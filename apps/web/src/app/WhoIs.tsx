import Box from '@mui/material/Box';
import { padded } from '../theme/surfaces';
import type { SessionResponse } from '@bunkhouse/api';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { SignIn } from './SignIn';
import { looks } from '../theme/looks';

/** Asks who it is, over whatever is on the screen. */
export const WhoIs = ({ session, onDone }: { session: SessionResponse; onDone: (name: string | null) => void }) => (
  <Dialog open onClose={() => onDone(null)} aria-labelledby="who-title" maxWidth="sm" fullWidth>
    <Box sx={padded}>
      <Box component="h2" id="who-title" sx={looks.head}>
        Who is it?
      </Box>
      <SignIn session={session} onIn={onDone} isOver />
      <Button variant="quiet" onClick={() => onDone(null)}>
        Not now
      </Button>
    </Box>
  </Dialog>
);
