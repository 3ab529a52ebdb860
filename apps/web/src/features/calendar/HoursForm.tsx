import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { padded } from '../../theme/surfaces';
import { Tick } from '../../kit/Tick';
import Button from '@mui/material/Button';
import { HousePlanRequest } from '@bunkhouse/api';
import type { HousePlan } from '@bunkhouse/core';
import { useState } from 'react';
import { useController, useWatch } from 'react-hook-form';
import { FormClock, FormNumber } from '../../kit/form/fields';
import { SavingForm } from '../../kit/form/SavingForm';
import { useRequestForm } from '../../kit/form/useRequestForm';
import { Panel } from '../../kit/Panel';
import { WordsField } from '../../kit/WordsField';
import { asAsked, changeHousePlan } from '../../data/housePlan';
import { usePreferences } from '../../reader/preferences';
import { StoresFields } from './StoresFields';
import { fold } from '../../theme/folds';
import { t } from '../../theme/tokens';

const styles = {
  hoursIn: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)',
    gap: '12px 28px',
    '& fieldset': { border: 0, padding: 0, margin: 0 },
    [fold.narrow]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
  hoursDay: { display: 'grid', gridTemplateColumns: '110px 1fr 1fr', gap: '8px', alignItems: 'center', padding: '2px 0' },
  hoursMore: { display: 'grid', gap: '10px', alignContent: 'start' },
  nights: {
    '& label': { display: 'inline-flex', gap: '6px', alignItems: 'center', minHeight: '44px', marginRight: '18px' },
    '& input': { width: '22px', height: '22px', accentColor: t.ink },
  },
} as const;

const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;
const NIGHTS = ['smoke', 'cook', 'chill'] as const;
/** When the house works and what it has. */
export function HoursForm({ plan, now, onDone }: { plan: HousePlan; now: number; onDone: () => void }) {
  const { name } = usePreferences();
  const of = useRequestForm(HousePlanRequest, {
    first: asAsked(plan, name),
    send: changeHousePlan,
    onDone,
  });
  return (
    <Panel title="Hours and stores" aside={`clocks of ${plan.hours.timeZone.replace('_', ' ')}`}>
      <SavingForm of={of} label="Hours and stores" sx={padded} acts={<Button type="submit">{of.busy ? 'Keeping...' : 'Keep hours and stores'}</Button>}>
        <Box sx={styles.hoursIn}>
          <Week />
          <Box sx={styles.hoursMore}>
            <FormNumber<HousePlanRequest> name="hands" label="People at work at once" />
            <DaysOff />
            <Nights />
            <StoresFields now={now} />
          </Box>
        </Box>
      </SavingForm>
    </Panel>
  );
}

const Week = () => (
  <fieldset>
    <Typography variant="label" component="legend">
      The week
    </Typography>
    {DAYS.map((day, i) => (
      <Day key={day} name={day} i={i} />
    ))}
    <Typography variant="note">From and to alike: a day off.</Typography>
  </fieldset>
);

function Day({ name, i }: { name: string; i: number }) {
  const [from, to] = useWatch<HousePlanRequest, [`week.${number}.fromMin`, `week.${number}.toMin`]>({ name: [`week.${i}.fromMin`, `week.${i}.toMin`] });
  return (
    <Box sx={styles.hoursDay}>
      <span>
        {name}
        {from === to && (
          <Typography variant="note" component="small">
            {' '}
            off
          </Typography>
        )}
      </span>
      <FormClock<HousePlanRequest> name={`week.${i}.fromMin`} label={`${name} from`} />
      <FormClock<HousePlanRequest> name={`week.${i}.toMin`} label={`${name} to`} />
    </Box>
  );
}

/** Days, each kept as one, typed one after the other. */
function DaysOff() {
  const { field, fieldState } = useController<HousePlanRequest, 'daysOff'>({ name: 'daysOff' });
  const [typed, setTyped] = useState(field.value.join(', '));
  const change = (text: string) => {
    setTyped(text);
    field.onChange(text.split(/[,;\s]+/).filter((date) => date !== ''));
  };
  return (
    <WordsField
      label="Days off"
      value={typed}
      placeholder="2026-12-25, 2027-01-01"
      onChange={change}
      inputRef={field.ref}
      error={fieldState.error === undefined ? undefined : (fieldState.error.message ?? fieldState.error.root?.message)}
    />
  );
}

function Nights() {
  const { field } = useController<HousePlanRequest, 'nightWatch'>({ name: 'nightWatch' });
  return (
    <Box component="fieldset" sx={styles.nights}>
      <Typography variant="label" component="legend">
        Jobs done at night, too
      </Typography>
      {NIGHTS.map((station) => (
        <Tick
          key={station}
          label={station}
          checked={field.value.includes(station)}
          onChange={(on) => field.onChange(on ? [...field.value, station] : field.value.filter((other) => other !== station))}
        />
      ))}
    </Box>
  );
}
