import Typography from '@mui/material/Typography';
import { BatchRequest, datesFault } from '@bunkhouse/api';
import { useEffect, useRef, useState } from 'react';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import { useLocation, useNavigate } from 'react-router';
import { Title } from '../../kit/Title';
import { startBatch } from '../../data/batches';
import { Refusal } from '../../data/request';
import { houseTime } from '../../data/serverClock';
import { usePreferences } from '../../reader/preferences';
import { asFitted } from './asFitted';
import { CurePanel } from './CurePanel';
import { firstRequest, forgetDraft } from './firstRequest';
import { MeatPanel } from './MeatPanel';
import { planOf, stopOf } from './planOf';
import { Result } from './Result';
import { useHouseDiffusivity } from './useHouseDiffusivity';
import { useKnownProcess } from './useProcess';
import { WhenPanel, WORKING } from './WhenPanel';
import { NotForYou, Only } from '../../kit/Only';
import { sayHere } from '../../reader/here';
import { rulesOf } from '../../kit/rulesOf';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';

const styles = {
  newBatch: {
    display: 'grid',
    gridTemplateColumns: 'minmax(360px, 470px) minmax(0, 1fr)',
    gap: '12px',
    alignItems: 'start',
    [fold.tablet]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
  newForm: { display: 'grid', gap: '10px' },
  pageHead: { margin: 0, minHeight: '56px', alignItems: 'center' },
} as const;

/** Who starts a batch while its hours are still worked out, or its recipe is on its way, waits for them, so long at the most. */
const MOST_WAIT_MS = 15_000;
const LOOK_MS = 100;

/** From "I have this piece" to a dated plan, for those who plan. */
export const NewBatch = () => (
  <Only
    right="plan"
    otherwise={
      <Box sx={looks.page}>
        <Title>New batch</Title>
        <NotForYou right="plan" />
      </Box>
    }
  >
    <NewBatchForm />
  </Only>
);

/** Every keystroke works the sheet out again. */
function NewBatchForm() {
  const { name, ruleSet } = usePreferences();
  const navigate = useNavigate();
  const state: unknown = useLocation().state;
  const form = useForm<BatchRequest>({
    resolver: rulesOf(BatchRequest),
    mode: 'onChange',
    defaultValues: fromBench(state) ?? firstRequest(name, ruleSet),
  });
  const { setValue, handleSubmit } = form;
  const [product, recipe] = useWatch({ control: form.control, name: ['product', 'recipe'] });
  const known = useKnownProcess({ product, recipe });
  const latest = useRef(known);
  useEffect(() => {
    latest.current = known;
  }, [known]);
  const [refusal, setRefusal] = useState<string | null>(null);
  useEffect(() => setValue('by', name), [name, setValue]);

  /** why its hours are not known yet, while the house looks where it fits in */
  const notYet = useRef<string | null>(null);
  useHouseDiffusivity(form);

  useEffect(() => {
    // From here on the draft is kept like any other: a reload must not bring the first values back.
    if (state !== null) void navigate('.', { replace: true, state: null });
  }, [state, navigate]);

  const start = async () => {
    const isOnItsWay = () => notYet.current === WORKING || !latest.current.isKnown;
    for (let waited = 0; isOnItsWay() && waited < MOST_WAIT_MS; waited += LOOK_MS) await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
    const asked = asFitted(form.getValues());
    const { process, isKnown } = latest.current;
    const late = (isKnown ? null : 'The recipe has not arrived from the house yet. Try again in a moment.') ?? notYet.current ?? whenFault(asked);
    setRefusal(late);
    if (late !== null || stopOf(planOf(asked, process)) !== null) return;
    try {
      const batch = await startBatch({ ...asked, by: asked.by.trim() });
      forgetDraft();
      void navigate(`/batches/${batch.id}`);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setRefusal(error.message);
    }
  };

  return (
    <FormProvider {...form}>
      <Box component="form" sx={[looks.page, styles.newBatch]} onSubmit={(event) => void handleSubmit(start)(event)} noValidate>
        <Box sx={styles.newForm}>
          <Box sx={[looks.pageHead, styles.pageHead]}>
            <Title>New batch</Title>
          </Box>
          <MeatPanel />
          <CurePanel />
          <WhenPanel notYet={notYet} />
          <Typography variant="note" sx={looks.cautionLine}>
            Nitrite is poisonous in gram amounts: weigh it, label it, lock it away. This tool computes; your local food code, your inspector and the label of
            your cure decide.
          </Typography>
        </Box>
        <Result refusal={refusal} />
      </Box>
    </FormProvider>
  );
}

/** Dates that cannot be meant. */
const whenFault = (asked: BatchRequest): string | null => {
  const fault = datesFault(asked, houseTime());
  return fault === null ? null : sayHere(fault);
};

/** A sheet of the Bench, handed over whole. */
const fromBench = (state: unknown): BatchRequest | null => {
  const request = (state as { request?: BatchRequest } | null)?.request;
  return request === undefined ? null : request;
};
