import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { handActSaid, JUDGED, type HandAct, type TableVerdict } from '@bunkhouse/core';
import { useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { REASONS } from '../../acts/reasons';
import { useEntryForm } from '../../acts/useEntryForm';
import { whenAndWhy, WhenItWas, type WhenSaid } from '../../acts/WhenItWas';
import { WhichPieces } from '../../acts/WhichPieces';
import type { Batch } from '../../data/batches';
import { FormChoice, FormWords } from '../../kit/form/fields';
import { SaveOrLeave } from '../../kit/form/SaveOrLeave';
import { SavingForm } from '../../kit/form/SavingForm';
import { Only } from '../../kit/Only';
import { ReasonChips } from '../../kit/ReasonChips';
import { useSay } from '../../reader/reader';
import { JUDGED_WORDS, SAID_OF } from '../../reader/words/tableWords';
import { looks } from '../../theme/looks';
import { paired } from '../../theme/surfaces';

interface Tasted extends TableVerdict, WhenSaid {
  /** all of them when none is named */
  pieces: string[];
  /** what to do next time */
  reason: string;
}

/** Opens from a word once it is eaten: how it was, and what to do next time. */
export function AtTable({ batch }: { batch: Batch }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Only right="record">
      {isOpen ? <TableForm batch={batch} onDone={() => setOpen(false)} /> : <Button onClick={() => setOpen(true)}>Say how it was at table</Button>}
    </Only>
  );
}

function TableForm({ batch, onDone }: { batch: Batch; onDone: () => void }) {
  const say = useSay();
  const codes = batch.state.pieces.map(({ code }) => code);
  const of = useEntryForm<Tasted>(batch, {
    first: { pieces: [], reason: '', at: '', about: false, salt: undefined, firmness: undefined, smoke: undefined, doneness: undefined },
    said: (typed) => ({
      kind: 'act',
      event: actOf(typed),
      ...whenAndWhy(typed),
    }),
    what: (typed) => say(handActSaid(actOf(typed))),
    also: (typed) =>
      JUDGED.some((judged) => typed[judged] !== undefined) || typed.reason.trim() !== ''
        ? []
        : [{ field: 'reason', message: 'Say how it was, or what to do.' }],
    onDone,
  });
  return (
    <SavingForm of={of} label="How it was at table" sx={looks.besideForm} acts={<SaveOrLeave busy={of.busy} word="Log how it was" onLeave={onDone} />}>
      <h3>How it was at table</h3>
      {codes.length > 1 && <WhichPieces codes={codes} legend="Pieces, none ticked for all" />}
      <Box sx={paired}>
        <FormChoice<Tasted, keyof typeof SAID_OF.salt> name="salt" label={JUDGED_WORDS.salt} options={SAID_OF.salt} />
        <FormChoice<Tasted, keyof typeof SAID_OF.firmness> name="firmness" label={JUDGED_WORDS.firmness} options={SAID_OF.firmness} />
        <FormChoice<Tasted, keyof typeof SAID_OF.smoke> name="smoke" label={JUDGED_WORDS.smoke} options={SAID_OF.smoke} />
        <FormChoice<Tasted, keyof typeof SAID_OF.doneness> name="doneness" label={JUDGED_WORDS.doneness} options={SAID_OF.doneness} />
      </Box>
      <NextTime />
      <WhenItWas />
    </SavingForm>
  );
}

const actOf = ({ pieces, salt, firmness, smoke, doneness }: Tasted): HandAct => ({
  act: 'table',
  ...(pieces.length === 0 ? {} : { pieces }),
  ...(salt === undefined ? {} : { salt }),
  ...(firmness === undefined ? {} : { firmness }),
  ...(smoke === undefined ? {} : { smoke }),
  ...(doneness === undefined ? {} : { doneness }),
});

/** Stands on the page of the next batch of its kind. */
function NextTime() {
  const { control, setValue } = useFormContext<Tasted>();
  const reason = useWatch({ control, name: 'reason' });
  return (
    <>
      <FormWords<Tasted> name="reason" label="What to do next time" rows={2} maxLength={1000} />
      <ReasonChips reasons={REASONS.nextTime} written={reason} onWrite={(written) => setValue('reason', written, { shouldValidate: true })} />
    </>
  );
}
