import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { useColorScheme } from '@mui/material/styles';
import { useState } from 'react';
import { Link } from 'react-router';
import { Refusal } from '../data/request';
import { signOut, useSession } from '../data/session';
import { Choice } from './Choice';
import { usePreferences, type Preferences } from './preferences';
import { ROLE_WORDS, useWho } from './who';

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
      slotProps={{ paper: { className: 'leaf', role: 'dialog', 'aria-label': 'On duty and display' } }}
    >
      <div className="duty-menu">
        <p>
          <b className="head">{name}</b>
          <span className="note">
            {ROLE_WORDS[role]}. Signs everything that is logged on this device.
            {session?.demo === true && ' In the made-up house everybody at this machine comes in as she does.'}
          </span>
        </p>
        <Button variant="outlined" onClick={() => void leave()}>
          {session?.tablet === null && !session.demo ? 'Sign out' : 'Somebody else'}
        </Button>
        {fault !== null && <p className="fault">{fault}</p>}
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
        <Link className="btn quiet" to="/house" onClick={close}>
          {role === 'head' ? 'Crew and settings' : 'Your PIN and devices'}
        </Link>
        <Button variant="outlined" onClick={close}>
          Close
        </Button>
      </div>
    </Popover>
  );
}

function LightChoice() {
  const { mode, setMode } = useColorScheme();
  return <Choice label="Light" value={mode ?? 'system'} options={{ light: 'Day', dark: 'Night shift', system: 'As the device' }} onChange={setMode} />;
}
