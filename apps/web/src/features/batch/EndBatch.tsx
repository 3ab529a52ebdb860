import Button from '@mui/material/Button';
import { isEaten, type Ending } from '@bunkhouse/core';
import { useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { REASONS } from '../../acts/reasons';
import { useEntryForm } from '../../acts/useEntryForm';
import { whenOf, WhenItWas, type WhenSaid } from '../../acts/WhenItWas';
import type { Batch } from '../../data/batches';
import { FormChoice, FormFault, FormWords } from '../../kit/form/fields';
import { SaveOrLeave } from '../../kit/form/SaveOrLeave';
import { SavingForm } from '../../kit/form/SavingForm';
import { Only } from '../../kit/Only';
import { ReasonChips } from '../../kit/ReasonChips';
import { ENDING_WORDS } from '../../reader/words/endingWords';

interface End extends WhenSaid {
  how: Ending;
  reason: string;
  /** what stands in the way of any end */
  entry: '';
}

/** Opens from a word: it is not packed but served, given away, spoilt or thrown away. */
export function EndBatch({ batch }: { batch: Batch }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Only right="plan">
      {isOpen ? (
        <EndForm batch={batch} onDone={() => setOpen(false)} />
      ) : (
        <Button variant="quiet" onClick={() => setOpen(true)}>
          It ends without being packed
        </Button>
      )}
    </Only>
  );
}

function EndForm({ batch, onDone }: { batch: Batch; onDone: () => void }) {
  const of = useEntryForm<End>(batch, {
    first: { how: 'served', reason: '', entry: '', at: '', about: false },
    said: (typed) => ({ kind: 'ended', how: typed.how, reason: typed.reason.trim(), ...whenOf(typed) }),
    what: ({ how }) => ENDING_WORDS[how],
    onDone,
  });
  return (
    <SavingForm of={of} label="How it ends" acts={<SaveOrLeave busy={of.busy} word="Log the end" onLeave={onDone} />}>
      <FormChoice<End, Ending> name="how" label="How it ends" options={ENDING_WORDS} />
      <Why />
      <FormFault<End> name="entry" />
      <WhenItWas />
    </SavingForm>
  );
}

/** Nobody asks why something was eaten, unless what was read does not show that it may be. */
function Why() {
  const { control, setValue } = useFormContext<End>();
  const [how, reason] = useWatch({ control, name: ['how', 'reason'] });
  return (
    <>
      <FormWords<End> name="reason" label={isEaten(how) ? 'To whom, how it was' : 'What was wrong with it'} rows={2} maxLength={1000} />
      {!isEaten(how) && <ReasonChips reasons={REASONS.ended} written={reason} onWrite={(written) => setValue('reason', written, { shouldValidate: true })} />}
    </>
  );
}
