import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { OwnSecretRequest } from '@bunkhouse/api';
import { useState } from 'react';
import { Panel } from '../../kit/Panel';
import { FormWords } from '../../kit/form/fields';
import { SavingForm } from '../../kit/form/SavingForm';
import { useRequestForm } from '../../kit/form/useRequestForm';
import { changeSecret } from '../../data/session';
import { acts, padded, paired } from '../../theme/surfaces';
import { SecretField } from './SecretField';

/** One's own PIN and password. */
export function OwnSecret() {
  const [shown, setShown] = useState<'closed' | 'open' | 'changed'>('closed');
  return (
    <Panel title="Your PIN and password">
      <Box sx={padded}>
        {shown === 'open' ? (
          <OwnSecretForm onDone={() => setShown('changed')} onLeave={() => setShown('closed')} />
        ) : (
          <>
            {shown === 'changed' && <p role="status">Changed. Everywhere else you are signed out.</p>}
            <Button sx={{ justifySelf: 'start' }} onClick={() => setShown('open')}>
              Change mine
            </Button>
          </>
        )}
      </Box>
    </Panel>
  );
}

function OwnSecretForm({ onDone, onLeave }: { onDone: () => void; onLeave: () => void }) {
  const form = useRequestForm(OwnSecretRequest, { first: { current: '' }, send: changeSecret, onDone });
  return (
    <SavingForm
      of={form}
      sx={{ maxWidth: 720 }}
      acts={
        <Box sx={acts}>
          <Button type="submit" variant="contained" disabled={form.busy}>
            Change it
          </Button>
          <Button variant="quiet" onClick={onLeave}>
            Leave it
          </Button>
        </Box>
      }
    >
      <FormWords<OwnSecretRequest> name="current" label="PIN or password of now" type="password" autoComplete="current-password" maxLength={200} />
      <Box sx={paired}>
        <SecretField kind="pin" has />
        <SecretField kind="password" has />
      </Box>
    </SavingForm>
  );
}
