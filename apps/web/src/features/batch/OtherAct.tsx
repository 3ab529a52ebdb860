import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Stack from '@mui/material/Stack';
import {
  HAND_ACTS,
  HAND_ACT_SPECS,
  handActNamed,
  handActSaid,
  STATION_NAMES,
  STATIONS,
  type HandAct,
  type HandActAmounts,
  type HandActId,
  type Station,
} from '@bunkhouse/core';
import { useState, type ComponentProps } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { useEntryForm } from '../../acts/useEntryForm';
import { whenAndWhy, WhenItWas, type WhenSaid } from '../../acts/WhenItWas';
import { WhichPieces } from '../../acts/WhichPieces';
import type { Batch } from '../../data/batches';
import { FormNumber, FormPick, FormWords } from '../../kit/form/fields';
import { SaveOrLeave } from '../../kit/form/SaveOrLeave';
import { SavingForm } from '../../kit/form/SavingForm';
import { Only } from '../../kit/Only';
import { useSay } from '../../reader/reader';
import { paired } from '../../theme/surfaces';
import { looks } from '../../theme/looks';

const styles = {
  chips: { flexWrap: 'wrap', gap: '8px' },
} as const;

interface Done extends Partial<HandActAmounts>, WhenSaid {
  act: HandActId | '';
  /** all of them when none is named */
  pieces: string[];
  reason: string;
}

const AMOUNTS: Readonly<Record<keyof HandActAmounts, Omit<ComponentProps<typeof FormNumber<Done>>, 'name'>>> = {
  times: { label: 'Times', decimals: 0 },
  g: { label: 'Weight', quantity: 'mass' },
  forMin: { label: 'For', sign: 'min', decimals: 0 },
  C: { label: 'Temperature', quantity: 'temperature' },
  humidityPercent: { label: 'Humidity of the air', sign: '%', decimals: 0 },
};

/** Opens from a word: something was done that stands in no plan. */
export function OtherAct({ batch }: { batch: Batch }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Only right="record">
      {isOpen ? (
        <ActForm batch={batch} onDone={() => setOpen(false)} />
      ) : (
        <Button variant="text" onClick={() => setOpen(true)}>
          Something else was done
        </Button>
      )}
    </Only>
  );
}

/** What was done, as it happened: when, to which pieces, and what was read or weighed at it, if anything was. */
function ActForm({ batch, onDone }: { batch: Batch; onDone: () => void }) {
  const say = useSay();
  const { pieces, station } = batch.state;
  const of = useEntryForm<Done>(batch, {
    first: {
      act: '',
      pieces: [],
      at: '',
      about: false,
      reason: '',
      C: undefined,
      humidityPercent: undefined,
      g: undefined,
      forMin: undefined,
      times: undefined,
    },
    said: (typed) => ({
      kind: 'act',
      event: actOf(typed),
      ...whenAndWhy(typed),
    }),
    what: (typed) => say(handActSaid(actOf(typed))),
    onDone,
  });
  return (
    <SavingForm of={of} label="Something else was done" sx={looks.besideForm} acts={<SaveOrLeave busy={of.busy} word="Log what was done" onLeave={onDone} />}>
      <h3>Something else was done</h3>
      <WhichAct here={station ?? 'pack'} />
      {pieces.length > 1 && <WhichPieces codes={pieces.map(({ code }) => code)} legend="Pieces, none ticked for all" />}
      <Amounts />
      <FormWords<Done> name="reason" label="With what, or what was seen" maxLength={1000} />
      <WhenItWas />
    </SavingForm>
  );
}

const actOf = ({ act, pieces, C, humidityPercent, g, forMin, times }: Done): HandAct => {
  const takes = act === '' ? [] : HAND_ACT_SPECS[act].takes;
  const amounts = Object.fromEntries(
    Object.entries({ C, humidityPercent, g, forMin, times }).filter(([name, value]) => value !== undefined && (takes as readonly string[]).includes(name)),
  );
  // What is missing is asked for by the log.
  return { act: act as HandActId, ...(pieces.length === 0 ? {} : { pieces }), ...amounts };
};

/** A verdict at table has a form of its own. */
const actsAt = (station: Station): HandActId[] =>
  HAND_ACTS.filter((act) => HAND_ACT_SPECS[act].station === station && HAND_ACT_SPECS[act].judges === undefined);

/** Where it hangs now, one tap; every other act by the list. */
function WhichAct({ here }: { here: Station }) {
  const say = useSay();
  const { control, setValue } = useFormContext<Done>();
  const chosen = useWatch({ control, name: 'act' });
  return (
    <>
      <Stack direction="row" role="group" aria-label={`At ${STATION_NAMES[here]}`} sx={styles.chips}>
        {actsAt(here).map((act) => (
          <Chip
            key={act}
            label={say(handActNamed(act))}
            variant={chosen === act ? 'filled' : 'outlined'}
            aria-pressed={chosen === act}
            onClick={() => setValue('act', act, { shouldValidate: true })}
          />
        ))}
      </Stack>
      <FormPick<Done> name="act" label="What was done">
        <option value="">choose</option>
        {STATIONS.map((station) => (
          <optgroup key={station} label={STATION_NAMES[station]}>
            {actsAt(station).map((act) => (
              <option key={act} value={act}>
                {say(handActNamed(act))}
              </option>
            ))}
          </optgroup>
        ))}
      </FormPick>
    </>
  );
}

/** What may have been read at this act; an empty field is no reading. */
function Amounts() {
  const { control } = useFormContext<Done>();
  const act = useWatch({ control, name: 'act' });
  if (act === '' || HAND_ACT_SPECS[act].takes.length === 0) return null;
  return (
    <Box sx={paired}>
      {HAND_ACT_SPECS[act].takes.map((name) => (
        <FormNumber<Done> key={name} name={name} {...AMOUNTS[name]} hint="empty if nobody looked" />
      ))}
    </Box>
  );
}
