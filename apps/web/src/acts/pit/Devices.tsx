import Button from '@mui/material/Button';
import type { DeviceResponse } from '@bunkhouse/api';
import { useState } from 'react';
import { Panel } from '../../kit/Panel';
import { WordsField } from '../../kit/WordsField';
import { endToken, renewToken, useDevices } from '../../data/readings';
import { Refusal } from '../../data/request';
import { usePreferences } from '../../reader/preferences';
import { inWords } from '../../reader/quantities';
import { dayAndTime } from '../../reader/times';
import { useNow } from '../../data/useNow';
import { AddDevice } from './AddDevice';
import { Only } from '../../kit/Only';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

const styles = {
  devices: {
    '& > li': { padding: '10px 12px', borderTop: `1px solid ${t.hair}`, display: 'flex', flexWrap: 'wrap', gap: '4px 12px', alignItems: 'baseline' },
    '& > li > ul': { flexBasis: '100%', display: 'flex', flexWrap: 'wrap', gap: '2px 18px', color: t.ink2 },
    '& b': { font: signed(17, 20, 600) },
    '& :is(.MuiStack-root, .MuiFormControl-root)': { flexBasis: '100%', maxWidth: '560px' },
  },
  deviceActs: { marginLeft: 'auto', display: 'flex', gap: '20px' },
} as const;

/** The devices of the house, what was last heard of them, and their tokens. */
export function Devices() {
  const { data: devices = [] } = useDevices();
  return (
    <Panel title="Devices of the house" aside={devices.length} label="Devices of the house">
      <Box component="ul" sx={styles.devices}>
        {devices.map((device) => (
          <Device key={device.id} device={device} />
        ))}
      </Box>
      <Box sx={looks.pad}>
        <AddDevice />
      </Box>
    </Panel>
  );
}

function Device({ device: { id, name, simulated, heardAt, channels, weight, kind } }: { device: DeviceResponse }) {
  const preferences = usePreferences();
  const now = useNow();
  const [token, setToken] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const by = preferences.name;
  const doing = (work: () => Promise<void>) => () => {
    setSaid(null);
    work().catch((error: unknown) => {
      if (!(error instanceof Refusal)) throw error;
      setSaid(error.message);
    });
  };
  return (
    <li>
      <b>{name}</b>
      {simulated && (
        <Box component="span" sx={looks.simulated}>
          Simulated
        </Box>
      )}
      <small>{heardAt === null ? 'never heard' : `heard ${dayAndTime(heardAt, now)}`}</small>
      <Box component="span" sx={styles.deviceActs}>
        {!simulated && (
          <>
            <Only right="plan">
              <Button variant="text" onClick={doing(async () => setToken((await renewToken(id, by)).token))}>
                New token
              </Button>
            </Only>
            <Only right="plan">
              <Button
                variant="text"
                onClick={doing(async () => {
                  await endToken(id, by);
                  setToken(null);
                  setSaid('Its token is ended: it hands nothing in any more. What it read stays.');
                })}
              >
                End its token
              </Button>
            </Only>
          </>
        )}
      </Box>
      <ul>
        {channels.map(({ channel, name: own, last }) => (
          <li key={channel}>
            {channel} {own}:{' '}
            {kind === 'scale'
              ? weight === null
                ? 'nothing yet'
                : inWords(weight.g, 'mass', preferences)
              : last === null
                ? 'nothing yet'
                : inWords(last.C, 'temperature', preferences)}
          </li>
        ))}
      </ul>
      {token !== null && (
        <WordsField label="Its new token, shown only now; the one before it is ended" readOnly value={token} onFocus={(event) => event.target.select()} />
      )}
      {said !== null && <p role="status">{said}</p>}
    </li>
  );
}
