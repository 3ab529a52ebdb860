import Typography from '@mui/material/Typography';
import { Panel } from '../../kit/Panel';
import { FileButton } from '../../kit/FileButton';
import Button from '@mui/material/Button';
import type { DeviceResponse, TakenResponse } from '@bunkhouse/api';
import { guessLoggerFormat, type GuessedFormat, type LoggerFormat } from '@bunkhouse/core';
import Papa from 'papaparse';
import { useState } from 'react';
import { Pick } from '../../kit/Pick';
import { useHousePlan } from '../../data/housePlan';
import { addDevice, bringReadings, useDevices } from '../../data/readings';
import { saidHere } from '../../data/request';
import { usePreferences } from '../../reader/preferences';
import { digits } from '../../reader/quantities';
import { useBring } from '../../workers/useLoggerFile';
import { FormatPicker } from './FormatPicker';
import { FilePreview } from './FilePreview';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';

const styles = {
  pad: { justifyItems: 'stretch', '& > .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { justifySelf: 'start' } },
  bringing: { display: 'flex', gap: '14px', alignItems: 'center', '& progress': { flex: 1, height: '14px', accentColor: t.ink } },
} as const;

const HEAD_BYTES = 65_536;

interface Chosen {
  file: File;
  rows: string[][];
  guessed: GuessedFormat;
}

/** A file of somebody else's logger: looked at, picked apart, previewed, and only then brought in. */
export function BringIn() {
  const { name: by } = usePreferences();
  const plan = useHousePlan();
  const { data: devices = [] } = useDevices();
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [format, setFormat] = useState<LoggerFormat | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [target, setTarget] = useState<string>('');
  const [sum, setSum] = useState<Sum>(NOTHING);
  const zone = plan?.hours.timeZone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
  const who = by;
  const { bring, stop, state, share, fault: broken } = useBring();
  const choose = async (file: File) => {
    setChosen(null);
    setFormat(null);
    setFault(null);
    setSum(NOTHING);
    if (file.size === 0) return setFault(`${file.name} is empty.`);
    const head = await file.slice(0, HEAD_BYTES).text();
    // The last line of the head may be cut off.
    const whole = file.size > HEAD_BYTES ? head.slice(0, head.lastIndexOf('\n') + 1) : head;
    const rows = Papa.parse<string[]>(whole, { skipEmptyLines: 'greedy' }).data;
    const guessed = guessLoggerFormat(rows, zone, Date.now());
    if (guessed === null)
      return setFault(
        `In ${file.name} no column of times was found beside one of temperatures. Is it a logger’s file, with commas, semicolons or tabs between?`,
      );
    setChosen({ file, rows, guessed });
    setFormat(guessed.format);
  };
  const start = async (whole: LoggerFormat, file: File) => {
    setSum(NOTHING);
    setFault(null);
    try {
      const device = target === '' ? await newDevice(file.name, whole, chosen?.guessed.titles ?? [], who) : target;
      setTarget(device);
      bring(file, whole, async (readings) => {
        const lines = readings.map(({ channel, at, C }) => ({ channel, at: new Date(at).toISOString(), C: Number(C.toFixed(2)) }));
        const taken = await bringReadings(device, lines, who);
        setSum((before) => added(before, taken));
      });
    } catch (error) {
      setFault(error instanceof Error ? error.message : 'The device could not be added.');
    }
  };
  return (
    <Panel title="Bring readings in" aside="CSV of any logger" label="Bring readings in">
      <Box sx={[looks.pad, styles.pad]}>
        <Typography variant="note">
          Choose the file: its columns, times and units are guessed and shown first, and nothing is written before you have seen it. It stays on this device
          until then.
        </Typography>
        <FileButton accept=".csv,.txt,.tsv,text/csv,text/plain" name="File" onFile={(file) => void choose(file)}>
          {chosen === null ? 'Choose the file' : chosen.file.name}
        </FileButton>
        {fault !== null && (
          <Typography variant="fault" role="alert">
            {fault}
          </Typography>
        )}
        {chosen !== null && format !== null && (
          <>
            <FormatPicker format={format} rows={chosen.rows} titles={chosen.guessed.titles} doubts={chosen.guessed.doubts} onChange={setFormat} />
            <FilePreview file={chosen.file} rows={chosen.rows} format={format}>
              {(tally) => (
                <>
                  <IntoDevice devices={devices} format={format} target={target} onChange={setTarget} />
                  {state !== 'running' ? (
                    <Button variant="contained" size="large" disabled={tally.readings === 0} onClick={() => void start(format, chosen.file)}>
                      {tally.refusedLines === 0
                        ? `Bring in ${digits(tally.readings, 0)} readings`
                        : `Bring in the ${digits(tally.readings, 0)} good readings, leave out ${digits(tally.refusedLines, 0)} lines`}
                    </Button>
                  ) : (
                    <Box sx={styles.bringing} role="status">
                      <progress max={1} value={share} aria-label="Brought in" />
                      <span>{digits(sum.taken + sum.known, 0)} so far</span>
                      <Button onClick={stop}>Stop</Button>
                    </Box>
                  )}
                </>
              )}
            </FilePreview>
            <Outcome state={state} sum={sum} broken={broken} />
          </>
        )}
      </Box>
    </Panel>
  );
}

interface Sum {
  taken: number;
  known: number;
  refused: number;
  reason: string | null;
}
const NOTHING: Sum = { taken: 0, known: 0, refused: 0, reason: null };

const added = (before: Sum, { taken, known, refused }: TakenResponse): Sum => ({
  taken: before.taken + taken,
  known: before.known + known,
  refused: before.refused + refused.length,
  reason: before.reason ?? (refused[0] === undefined ? null : saidHere({ ...refused[0], message: refused[0].reason })),
});

function Outcome({ state, sum, broken }: { state: 'idle' | 'running' | 'done' | 'broken'; sum: Sum; broken: string | null }) {
  if (state === 'broken')
    return (
      <Typography variant="fault" role="alert">
        {broken} {digits(sum.taken, 0)} readings are in and stay. Bring the file in again: those are then known.
      </Typography>
    );
  if (state !== 'done') return null;
  return (
    <p role="status">
      <b>{digits(sum.taken, 0)} readings are in.</b>
      {sum.known > 0 && ` ${digits(sum.known, 0)} were there already.`}
      {sum.refused > 0 && ` ${digits(sum.refused, 0)} were refused: ${sum.reason ?? ''}`}
    </p>
  );
}

/** A device of the house that has the channels, or a new one named after the file. */
function IntoDevice({
  devices,
  format,
  target,
  onChange,
}: {
  devices: readonly DeviceResponse[];
  format: LoggerFormat;
  target: string;
  onChange: (id: string) => void;
}) {
  const fitting = devices.filter((device) => format.columns.every(({ channel }) => device.channels.some((own) => own.channel === channel)));
  return (
    <Pick label="Into" value={fitting.some(({ id }) => id === target) ? target : ''} onChange={onChange}>
      <option value="">a new device, named after the file</option>
      {fitting.map(({ id, name, simulated }) => (
        <option key={id} value={id}>
          {name}
          {simulated ? ' (simulated)' : ''}
        </option>
      ))}
    </Pick>
  );
}

async function newDevice(fileName: string, format: LoggerFormat, titles: readonly string[], by: string): Promise<string> {
  const name = fileName.replace(/\.\w{1,5}$/, '').slice(0, 40) || 'Logger';
  const { device } = await addDevice({
    name,
    kind: 'thermometer',
    channels: format.columns.map(({ column, channel }) => ({ channel, name: (titles[column] ?? '').slice(0, 40) || `Channel ${channel}` })),
    by,
  });
  return device.id;
}
