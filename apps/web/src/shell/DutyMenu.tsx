import Popover from '@mui/material/Popover';
import { useColorScheme } from '@mui/material/styles';
import { useState } from 'react';
import { Choice } from './Choice';
import { usePreferences, type Preferences } from './preferences';

/** Who is on duty here, and how this device shows things. */
export function DutyMenu() {
  const preferences = usePreferences();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <button type="button" className="duty" aria-haspopup="dialog" aria-expanded={anchor !== null} onClick={(event) => setAnchor(event.currentTarget)}>
        {preferences.name === '' ? 'Who is on?' : `${preferences.name} on`}
      </button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
        slotProps={{ paper: { className: 'sheet', role: 'dialog', 'aria-label': 'On duty and display' } }}
      >
        <div className="duty-menu">
          <label className="field">
            <span className="label">On duty</span>
            <input
              className="box"
              value={preferences.name}
              maxLength={40}
              autoComplete="off"
              placeholder="First name"
              onChange={(event) => preferences.change({ name: event.target.value })}
            />
            <span className="note">Signs everything that is logged on this device.</span>
          </label>
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
          <button type="button" className="btn" onClick={() => setAnchor(null)}>
            Close
          </button>
        </div>
      </Popover>
    </>
  );
}

function LightChoice() {
  const { mode, setMode } = useColorScheme();
  return <Choice label="Light" value={mode ?? 'system'} options={{ light: 'Day', dark: 'Night shift', system: 'As the device' }} onChange={setMode} />;
}
