import Box from '@mui/material/Box';
import { acts } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { LogEntryRequest } from '@bunkhouse/api';
import { useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { REASONS } from '../../acts/reasons';
import { ReasonChips } from '../../kit/ReasonChips';
import { FormMoment, FormWords } from '../../kit/form/fields';
import { SavingForm } from '../../kit/form/SavingForm';
import { useRequestForm } from '../../kit/form/useRequestForm';
import { writeEntry, type Batch } from '../../data/batches';
import { houseTime } from '../../data/serverClock';
import { usePreferences } from '../../reader/preferences';
import { Tick } from '../../kit/Tick';
import { useTellLogged } from '../../kit/JustLogged';
import { Only } from '../../kit/Only';
import { newId } from '../../data/newId';
import { looks } from '../../theme/looks';

type Act = { kind: 'skipped'; stepId: string } | { kind: 'note' } | { kind: 'withdrawn'; replaces: string };

/** Writes an entry that needs words and no numbers. */
export function WordsForm({
  batch,
  act,
  label,
  button,
  told,
  onDone,
}: {
  batch: Batch;
  act: Act;
  label: string;
  button: string;
  /** what is told to have been logged, with the way back; where one tap is enough to log it */
  told?: string;
  onDone: () => void;
}) {
  const { name } = usePreferences();
  const tellLogged = useTellLogged();
  const [id] = useState(() => newId());
  const now = () => new Date(houseTime()).toISOString();
  // What was written, and what was left out, may have been so for hours. Throwing away and taking back are done now.
  const mayBeEarlier = act.kind === 'note' || act.kind === 'skipped';
  const [isEarlier, setEarlier] = useState(false);
  const of = useRequestForm(LogEntryRequest, {
    first: { id, ...act, at: now(), by: name, reason: '', seen: batch.record.entries.length },
    // It is written with the time at which it is sent, and over what is known of the batch by then.
    send: async (entry) => {
      const at = isEarlier ? entry.at : now();
      await writeEntry(batch.record.id, { ...entry, at, seen: batch.record.entries.length });
      if (told !== undefined) tellLogged({ entries: [{ batchId: batch.record.id, entryId: id }], what: `${told}, ${batch.record.code}`, at });
    },
    onDone,
  });
  return (
    <SavingForm
      of={of}
      sx={looks.wordsForm}
      acts={
        <Box sx={acts}>
          <Button type="submit" aria-disabled={of.busy}>
            {button}
          </Button>
          <Button variant="quiet" onClick={onDone}>
            Do not
          </Button>
        </Box>
      }
    >
      <FormWords<LogEntryRequest> name="reason" label={label} rows={2} maxLength={1000} />
      {act.kind !== 'note' && <Reasons kind={act.kind} {...(act.kind === 'skipped' && !isEarlier ? { onReady: () => void of.submit() } : {})} />}
      {mayBeEarlier && <When isEarlier={isEarlier} onEarlier={setEarlier} />}
    </SavingForm>
  );
}

/** With the time now, until somebody says that it was earlier. */
function When({ isEarlier, onEarlier }: { isEarlier: boolean; onEarlier: (isEarlier: boolean) => void }) {
  const { control, setValue } = useFormContext<LogEntryRequest>();
  const about = useWatch({ control, name: 'about' });
  if (!isEarlier) {
    return (
      <Typography variant="note" component="div">
        With the time now.{' '}
        <Button variant="text" onClick={() => onEarlier(true)}>
          It was earlier
        </Button>
      </Typography>
    );
  }
  return (
    <>
      <FormMoment<LogEntryRequest> name="at" label="When it was" />
      <Tick label="About then: nobody looked at the clock" checked={about === true} onChange={(isAbout) => setValue('about', isAbout)} />
    </>
  );
}

/** A ready reason is enough: where nothing else was written, its tap logs it. */
function Reasons({ kind, onReady }: { kind: Exclude<Act['kind'], 'note'>; onReady?: () => void }) {
  const { control, setValue } = useFormContext<LogEntryRequest>();
  const written = useWatch({ control, name: 'reason' }) ?? '';
  const write = (reason: string) => {
    const isAll = written.trim() === '';
    setValue('reason', reason, { shouldValidate: !isAll || onReady === undefined });
    if (isAll) onReady?.();
  };
  return <ReasonChips reasons={REASONS[kind]} written={written} onWrite={write} />;
}

/** A step that is not needed is left out with a reason. */
export function LeaveOut({ batch, stepId, title }: { batch: Batch; stepId: string; title: string }) {
  const [open, setOpen] = useState(false);
  if (!open) {
    return (
      <Only right="plan">
        <Button variant="text" onClick={() => setOpen(true)}>
          Leave this step out
        </Button>
      </Only>
    );
  }
  return (
    <WordsForm
      batch={batch}
      act={{ kind: 'skipped', stepId }}
      label={`Why ${title.toLowerCase()} is left out`}
      button="Log it as left out"
      told={`${title} left out`}
      onDone={() => setOpen(false)}
    />
  );
}
