import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import type { ReactNode } from 'react';
import { SavingForm } from '../../kit/form/SavingForm';
import type { RequestForm } from '../../kit/form/useRequestForm';
import { acts } from '../../theme/surfaces';

/** A form of something that the house has in its book: saved, put away, taken out again, or left. */
export function BookedForm<T extends { putAway: boolean }>({
  of,
  what,
  putAway,
  onLeave,
  children,
}: {
  of: RequestForm<T>;
  /** `the lot` */
  what: string;
  /** null for what is not in the book yet */
  putAway: boolean | null;
  onLeave: () => void;
  children: ReactNode;
}) {
  return (
    <Paper sx={{ marginBottom: '10px' }}>
      <SavingForm
        of={of}
        sx={{ padding: '12px' }}
        acts={
          <Box sx={acts}>
            <Button type="submit" disabled={of.busy}>
              {of.busy ? 'Saving...' : `Save ${what}`}
            </Button>
            {putAway !== null && (
              <Button variant="quiet" disabled={of.busy} onClick={() => void of.submit({ putAway: !putAway } as Partial<T>)}>
                {putAway ? 'Take it out again' : 'Put it away'}
              </Button>
            )}
            <Button variant="quiet" onClick={onLeave}>
              Leave it
            </Button>
          </Box>
        }
      >
        {children}
      </SavingForm>
    </Paper>
  );
}
