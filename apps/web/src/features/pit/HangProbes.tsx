import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { acts } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { CHAMBER, type PitEvent, type Probe } from '@bunkhouse/core';
import { useWatch } from 'react-hook-form';
import type { Batch } from '../../data/batches';
import { useDevices } from '../../data/readings';
import { FormNumber, FormPick } from '../../kit/form/fields';
import { SavingForm } from '../../kit/form/SavingForm';
import { Glyph } from '../../kit/glyphs';
import { AddDevice } from '../../acts/pit/AddDevice';
import { useEntryForm } from '../../acts/useEntryForm';
import { pitEventTitle } from '../../reader/words/eventTitle';
import { usePreferences } from '../../reader/preferences';
import { inWords } from '../../reader/quantities';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';

const styles = {
  hangRow: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr) 190px',
    gap: '10px',
    alignItems: 'center',
    '& label b, & label small': { display: 'block' },
    [fold.phone]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
} as const;

const keyOf = ({ device, channel }: { device: string; channel: number }) => `${device}:${channel}`;

interface Hung {
  /** by channel: the chamber, a piece, or nowhere */
  places: Record<string, string>;
  /** by piece: the core at which it is done */
  targets: Record<string, number | undefined>;
}

/** What two channels read both, where there is such a thing. */
const readTwice = (used: readonly string[]): string | undefined => used.find((reads, i) => reads !== '' && used.indexOf(reads) !== i);

/** Which channel hangs where: in the chamber, or in a piece. All of them at once, from now on. */
export function HangProbes({ batch, hung, onDone }: { batch: Batch; hung: readonly Probe[]; onDone: () => void }) {
  const { data: devices = [] } = useDevices();
  const preferences = usePreferences();
  const { pieces } = batch.state.design;
  const channels = devices
    .filter(({ kind }) => kind === 'thermometer')
    .flatMap((device) => device.channels.map((channel) => ({ device, ...channel, key: keyOf({ device: device.id, channel: channel.channel }) })));
  const eventOf = ({ places, targets }: Hung): PitEvent => ({
    act: 'probes',
    probes: channels.flatMap(({ device, channel, key }): Probe[] => {
      const reads = places[key] ?? '';
      if (reads === '') return [];
      const targetC = reads === CHAMBER ? undefined : targets[reads];
      return [{ device: device.id, channel, reads, ...(targetC === undefined ? {} : { targetC }) }];
    }),
  });
  const saidTwice = (reads: string) => `Two channels cannot both ${reads === CHAMBER ? 'be the chamber’s' : `read piece ${reads}`}: leave one out.`;
  const of = useEntryForm<Hung>(batch, {
    first: {
      places: Object.fromEntries(hung.map((probe) => [keyOf(probe), probe.reads])),
      targets: Object.fromEntries(hung.map((probe) => [probe.reads, probe.targetC])),
    },
    said: (typed) => ({ kind: 'pit', event: eventOf(typed) }),
    what: (typed) => pitEventTitle(eventOf(typed), preferences),
    also: ({ places }) => {
      const twice = readTwice(Object.values(places));
      return twice === undefined ? [] : [{ field: 'probes', message: saidTwice(twice) }];
    },
    onDone,
  });
  const used = useWatch({ control: of.form.control, name: channels.map(({ key }) => `places.${key}` as const) }).map(
    (reads: string | undefined) => reads ?? '',
  );
  const twice = readTwice(used);
  return (
    <Box sx={looks.keys}>
      <SavingForm
        of={{ ...of, fault: twice === undefined ? of.fault : saidTwice(twice) }}
        acts={
          <Box sx={acts}>
            <Button type="submit" variant="contained" aria-disabled={of.busy || twice !== undefined}>
              {of.busy ? 'Logging...' : 'Log the probes'}
            </Button>
            <Button onClick={onDone}>Not now</Button>
          </Box>
        }
      >
        <Box component="h2" id="hang-title" sx={looks.head}>
          <Glyph name="probe" />
          Where each probe hangs
        </Box>
        {channels.length === 0 && <Typography variant="note">The house has no thermometer yet. Add one below: a simulated one, or your own.</Typography>}
        {channels.map(({ key, device, channel, name, last }) => (
          <Box key={key} role="group" aria-label={`${device.name}, ${channel} ${name}`} sx={styles.hangRow}>
            <label htmlFor={`hang-${key}`}>
              <b>
                {channel} {name}
              </b>
              <small>
                {device.name}
                {device.simulated && ', simulated'}
                {last !== null && `, ${inWords(last.C, 'temperature', preferences)}`}
              </small>
            </label>
            <FormPick<Hung> name={`places.${key}`} quiet label={`${channel} ${name}`} id={`hang-${key}`}>
              <option value="">not in this cook</option>
              <option value={CHAMBER}>in the chamber</option>
              {pieces.map(({ code }) => (
                <option key={code} value={code}>
                  in piece {code}
                </option>
              ))}
            </FormPick>
          </Box>
        ))}
        {pieces
          .filter(({ code }) => used.includes(code))
          .map(({ code }) => (
            <FormNumber<Hung>
              key={code}
              name={`targets.${code}`}
              label={`Core at which piece ${code} is done`}
              quantity="temperature"
              placeholder={inWords(batch.record.process.coreTargetC, 'temperature', preferences, 0).replace(/ .*/, '')}
            />
          ))}
      </SavingForm>
      <AddDevice kinds={['thermometer']} />
    </Box>
  );
}
