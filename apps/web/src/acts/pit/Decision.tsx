import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Batch } from '../../data/batches';
import { FormWords } from '../../kit/form/fields';
import { SavingForm } from '../../kit/form/SavingForm';
import { usePreferences } from '../../reader/preferences';
import { pitEventTitle } from '../../reader/words/eventTitle';
import { useEntryForm } from '../useEntryForm';
import { acts } from '../../theme/surfaces';
import { looks } from '../../theme/looks';

/** What was decided where a rule was not kept, and by whom. */
export function Decision({ batch, alarm, onDone }: { batch: Batch; alarm: string; onDone: () => void }) {
  const preferences = usePreferences();
  const event = { act: 'decided', alarm } as const;
  const of = useEntryForm<{ reason: string }>(batch, {
    first: { reason: '' },
    said: ({ reason }) => ({ kind: 'pit', event, reason }),
    what: () => pitEventTitle(event, preferences),
    onDone,
  });
  return (
    <SavingForm
      of={of}
      sx={looks.wordsForm}
      acts={
        <Box sx={acts}>
          <Button type="submit" aria-disabled={of.busy}>
            Log the decision
          </Button>
          <Button variant="quiet" onClick={onDone}>
            Not now
          </Button>
        </Box>
      }
    >
      <FormWords<{ reason: string }> name="reason" label="What was decided, and by whom" rows={2} maxLength={1000} autoFocus />
    </SavingForm>
  );
}
