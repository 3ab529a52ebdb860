import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { acts } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import type { DeviceTokenResponse } from '@bunkhouse/api';
import { useState } from 'react';
import { Pick } from '../../kit/Pick';
import { WordsField } from '../../kit/WordsField';
import { useHousePlan } from '../../data/housePlan';
import { addDevice } from '../../data/readings';
import { Refusal } from '../../data/request';
import { Choice } from '../../kit/Choice';
import { usePreferences } from '../../reader/preferences';
import { Only } from '../../kit/Only';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

const styles = {
  addDevice: {
    borderTop: `1px solid ${t.hair}`,
    paddingTop: '6px',
    '& summary': {
      minHeight: '44px',
      display: 'flex',
      alignItems: 'center',
      font: signed(16, 20, 600),
      textDecoration: 'underline',
      textUnderlineOffset: '3px',
      cursor: 'pointer',
    },
  },
  addIn: { display: 'grid', gap: '10px' },
} as const;

const CHANNELS = { thermometer: ['Grate', 'Core, thick end', 'Core, thin end', 'Spare'], refrigerator: ['Air, middle shelf'], scale: ['Pan'] } as const;
const KIND_WORDS = { thermometer: 'Thermometer', refrigerator: 'Refrigerator’s logger', scale: 'Scale' } as const;
type Kind = keyof typeof KIND_WORDS;
const PLACES: Readonly<Record<Kind, string>> = { thermometer: 'By the small smoker', refrigerator: 'Top shelf', scale: 'By the sink' };
const SIMULATED: Readonly<Record<Kind, string>> = { thermometer: 'Simulated thermometer', refrigerator: 'Simulated logger', scale: 'Simulated scale' };
const READS: Readonly<Record<Kind, string>> = {
  thermometer: 'It reads as soon as it hangs in a cook that is on.',
  refrigerator: 'It reads in a moment.',
  scale: 'Its weight stands beside every field for a weight, once it settles.',
};

/** Adds a device: a simulated one, or one of the cook’s own, which then needs its token. */
export function AddDevice(props: { kinds?: readonly Kind[] }) {
  return (
    <Only right="plan">
      <AddForm {...props} />
    </Only>
  );
}

function AddForm({ kinds = ['thermometer', 'refrigerator', 'scale'] }: { kinds?: readonly Kind[] }) {
  const { name: by } = usePreferences();
  const plan = useHousePlan();
  const refrigerators = plan?.resources.filter((resource) => resource.kind === 'refrigerator') ?? [];
  const [kind, setKind] = useState<Kind>(kinds[0] ?? 'thermometer');
  const [store, setStore] = useState('');
  const [name, setName] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [added, setAdded] = useState<DeviceTokenResponse | null>(null);
  const hangsIn = store === '' ? refrigerators[0]?.id : store;
  const add = async (simulated: boolean, usual: string) => {
    setBusy(true);
    setFault(null);
    try {
      setAdded(
        await addDevice({
          name: name.trim() === '' ? usual : name.trim(),
          kind,
          channels: CHANNELS[kind].map((channel, i) => ({ channel: i + 1, name: channel })),
          ...(kind === 'refrigerator' && hangsIn !== undefined ? { store: hangsIn } : {}),
          simulated,
          by,
        }),
      );
      setName('');
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Box component="details" sx={styles.addDevice}>
      <summary>Add a device</summary>
      <Box sx={styles.addIn}>
        {kinds.length > 1 && <Choice label="What it is" value={kind} options={KIND_WORDS} onChange={setKind} />}
        <WordsField label="Its name" maxLength={40} value={name} onChange={setName} placeholder={PLACES[kind]} />
        {kind === 'refrigerator' && (
          <Pick label="It hangs in" value={hangsIn ?? ''} onChange={setStore}>
            {refrigerators.map(({ id, name: own }) => (
              <option key={id} value={id}>
                {own}
              </option>
            ))}
          </Pick>
        )}
        <Box sx={acts}>
          <Button disabled={busy} onClick={() => void add(false, KIND_WORDS[kind])}>
            Add my own
          </Button>
          <Button disabled={busy} onClick={() => void add(true, SIMULATED[kind])}>
            Add a simulated one
          </Button>
          {kind === 'refrigerator' && (
            <Button disabled={busy} onClick={() => void add(true, 'Simulated, compressor fails')}>
              Simulated, its compressor fails
            </Button>
          )}
        </Box>
        {fault !== null && (
          <Typography variant="fault" role="alert">
            {fault}
          </Typography>
        )}
        {added !== null && <Added added={added} />}
      </Box>
    </Box>
  );
}

function Added({ added: { device, token } }: { added: DeviceTokenResponse }) {
  const many = device.channels.length === 1 ? 'one channel' : `${device.channels.length} channels`;
  if (device.simulated)
    return (
      <p role="status">
        <b>{device.name}</b> is added, with {many}. {READS[device.kind]}
      </p>
    );
  return (
    <div role="status">
      <p>
        <b>{device.name}</b> is added, with {many}. It hands its readings in with this token, which is shown only now:
      </p>
      <WordsField quiet readOnly label="Token of the device" value={token} onFocus={(event) => event.target.select()} />
      <Typography variant="note">
        POST {location.origin}
        {device.kind === 'scale' ? '/api/weights' : '/api/readings'} with the header Authorization: Bearer and the token, and a body such as{' '}
        {device.kind === 'scale' ? '{ "g": 2840, "stable": true }' : '{ "readings": [{ "channel": 1, "at": "2026-10-05T07:00:00Z", "C": 94.5 }] }'}. Nothing
        else can be done with it.
      </Typography>
    </div>
  );
}
