import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { SettingsRequest, type HouseResponse } from '@bunkhouse/api';
import { Link } from 'react-router';
import { CountingFields } from '../../acts/CountingFields';
import { Panel } from '../../kit/Panel';
import { FormNumber, FormWords } from '../../kit/form/fields';
import { SavingForm } from '../../kit/form/SavingForm';
import { useRequestForm } from '../../kit/form/useRequestForm';
import { changeSettings } from '../../data/batches';
import { useHousePlan } from '../../data/housePlan';
import { padded } from '../../theme/surfaces';
import { TimeZoneField } from './TimeZoneField';

/** How the house counts and shows, what it goes by, and how long it keeps every reading. */
export function SettingsForm({ house }: { house: HouseResponse }) {
  const plan = useHousePlan();
  const settings = useRequestForm(SettingsRequest, {
    first: { name: house.name, ...house.settings },
    send: async (asked) => {
      await changeSettings(asked);
      settings.form.reset(asked);
    },
  });
  const { isDirty } = settings.form.formState;
  return (
    <>
      <Panel title="The house">
        <SavingForm
          of={settings}
          label="Settings of the house"
          sx={padded}
          acts={
            <Button type="submit" variant="contained" disabled={settings.busy || !isDirty} sx={{ justifySelf: 'start' }}>
              {isDirty ? 'Keep these settings' : 'Kept'}
            </Button>
          }
        >
          <FormWords<SettingsRequest> name="name" label="Name" maxLength={60} />
          <CountingFields<SettingsRequest> />
          <FormNumber<SettingsRequest>
            name="lockMin"
            label="A tablet of the crew locks after"
            sign="min"
            decimals={0}
            hint="It goes on showing and ringing, and asks for a PIN before it logs."
          />
          <FormNumber<SettingsRequest>
            name="rawDays"
            label="Keep every single reading for"
            sign="days"
            decimals={0}
            empty={null}
            placeholder="always"
            hint="Older ones are thinned to what draws the same curve within a tenth of a degree. The log is never touched. Empty: every one stays."
          />
        </SavingForm>
      </Panel>
      {plan !== undefined && (
        <Panel title="Clocks and hours">
          <Box sx={padded}>
            <TimeZoneField key={plan.hours.timeZone} plan={plan} />
            <p>
              <Button variant="text" component={Link} to="/calendar?open=hours">
                Work hours, days off and stores
              </Button>
            </p>
          </Box>
        </Panel>
      )}
    </>
  );
}
