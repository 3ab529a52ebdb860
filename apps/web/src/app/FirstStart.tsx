import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { FirstRequest } from '@bunkhouse/api';
import { CountingFields } from '../acts/CountingFields';
import { FormPick, FormWords } from '../kit/form/fields';
import { SavingForm } from '../kit/form/SavingForm';
import { useRequestForm } from '../kit/form/useRequestForm';
import { makeFirst } from '../data/session';
import { unseen } from '../theme/surfaces';
import { timeZoneHere, usualFor } from './usualFor';

/** The first start of a house: its name, the head cook, and how it counts. What is usual where this browser is stands there already. */
export function FirstStart() {
  const first = useRequestForm(FirstRequest, {
    first: { house: '', name: '', password: '', settings: usualFor(navigator.language), timeZone: timeZoneHere() },
    send: makeFirst,
  });
  return (
    <SavingForm
      of={first}
      sx={{ width: 'min(960px, 100%)', marginTop: '20px' }}
      acts={
        <Button type="submit" variant="contained" size="large" disabled={first.busy}>
          {first.busy ? 'Opening the house' : 'Open the house'}
        </Button>
      }
    >
      <Typography variant="lead" component="p">
        A new house. You are its head cook: you take the others in, and nobody else can do that.
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' }, gap: '12px 40px', alignItems: 'start' }}>
        <Stack sx={{ gap: '12px' }}>
          <FormWords<FirstRequest> name="house" label="Name of the house" autoComplete="organization" maxLength={60} autoFocus />
          <FormWords<FirstRequest> name="name" label="Your name" autoComplete="username" maxLength={40} hint="It signs what you log, and stays in the book." />
          <FormWords<FirstRequest>
            name="password"
            label="Password"
            type="password"
            autoComplete="new-password"
            maxLength={200}
            hint="Ten letters or more: three or four words, say."
          />
        </Stack>
        <Stack sx={{ gap: '12px' }}>
          <Typography variant="title" component="h2" sx={unseen}>
            How this house counts
          </Typography>
          <CountingFields<FirstRequest> inside="settings" />
          <FormPick<FirstRequest> name="timeZone" label="Time zone of the house" hint="All of this can be changed later, in the settings.">
            {zones().map((zone) => (
              <option key={zone} value={zone}>
                {zone.replaceAll('_', ' ')}
              </option>
            ))}
          </FormPick>
        </Stack>
      </Box>
    </SavingForm>
  );
}

const zones = (): string[] => [...new Set([timeZoneHere(), ...Intl.supportedValuesOf('timeZone'), 'UTC'])];
