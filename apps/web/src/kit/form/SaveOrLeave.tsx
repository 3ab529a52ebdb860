import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { acts } from '../../theme/surfaces';

/** The two ways out of a form that logs something: log it, or leave it. */
export function SaveOrLeave({ busy, word, onLeave }: { busy: boolean; word: string; onLeave: () => void }) {
  return (
    <Box sx={acts}>
      <Button type="submit" aria-disabled={busy}>
        {busy ? 'Logging...' : word}
      </Button>
      <Button variant="quiet" onClick={onLeave}>
        Leave it
      </Button>
    </Box>
  );
}
