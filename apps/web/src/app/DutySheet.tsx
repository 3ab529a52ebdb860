import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { useColorScheme } from '@mui/material/styles';
import { useState } from 'react';
import { Link } from 'react-router';
import { Refusal } from '../data/request';
import { signOut, useSession } from '../data/session';
import { Choice } from '../kit/Choice';
import { usePreferences, type Preferences } from '../reader/preferences';
import { ROLE_WORDS, useWho } from '../data/who';
import Box from '@mui/material/Box';
import { looks } from '../theme/looks';

const styles = {
  dutyMenu: { padding: '16px', display: 'grid', gap: '14px', width: '320px', maxWidth: 'calc(100vw - 40px)' },
} as const;

/** Who is on duty here, and how this device shows things: comes when it is asked for. */
export function DutySheet({ anchor, onClose: close }: { anchor: HTMLElement; onClose: () => void }) {
  const preferences = usePreferences();
  const { name, role } = useWho();
  const { data: session } = useSession();
  const [fault, setFault] = useState<string | null>(null);
  const leave = async () => {
    try {
      await signOut();
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.offline ? 'There is no connection: you stay signed in here until there is one.' : error.message);
    }
  };
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={close}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
      transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      slotProps={{ paper: { role: 'dialog', 'aria-label': 'On duty and display' } }}
    >
      <Box sx={styles.dutyMenu}>
        <p>
          <Box component="b" sx={looks.head}>
            {name}
          </Box>
          <Typography variant="note" component="span">
            {ROLE_WORDS[role]}. Signs everything that is logged on this device.
            {session?.demo === true && ' In the made-up house everybody at this machine comes in as she does.'}
          </Typography>
        </p>
        <Button variant="outlined" onClick={() => void leave()}>
          {session?.tablet === null && !session.demo ? 'Sign out' : 'Somebody else'}
        </Button>
        {fault !== null && <Typography variant="fault">{fault}</Typography>}
        <Choice
          label="Weights"
          value={preferences.system}
          options={{ metric: 'g, mm', us: 'lb, in' }}
          onChange={(system: Preferences['system']) => preferences.change({ system })}
        />
        <Choice
          label="Temperatures"
          value={preferences.temperature}
          options={{ C: '°C', F: '°F' }}
          onChange={(temperature: Preferences['temperature']) => preferences.change({ temperature })}
        />
        <LightChoice />
        <Button variant="quiet" component={Link} to="/house" onClick={close}>
          {role === 'head' ? 'Crew and settings' : 'Your PIN and devices'}
        </Button>
        <Button variant="outlined" onClick={close}>
          Close
        </Button>
      </Box>
    </Popover>
  );
}

function LightChoice() {
  const { mode, setMode } = useColorScheme();
  return <Choice label="Light" value={mode ?? 'system'} options={{ light: 'Day', dark: 'Night shift', system: 'As the device' }} onChange={setMode} />;
}
