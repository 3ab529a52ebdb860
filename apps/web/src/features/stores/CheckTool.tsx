import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { acts } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { ToolCheckRequest, toToolReading, type ToolResponse } from '@bunkhouse/api';
import { airPressureHpa, boilingPointC, checkFaults, checkPoints, corrected } from '@bunkhouse/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { houseTime } from '../../data/serverClock';
import { checkTool } from '../../data/tools';
import { FormNumber } from '../../kit/form/fields';
import { SavingForm } from '../../kit/form/SavingForm';
import { useRequestForm } from '../../kit/form/useRequestForm';
import { usePreferences } from '../../reader/preferences';
import { digits, inWords } from '../../reader/quantities';
import { useSay } from '../../reader/reader';
import { degreesApart } from '../../reader/words/toolWords';
import { newId } from '../../data/newId';
import { writtenTime } from '../../reader/times';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { worded } from '../../theme/type';

const styles = {
  whole: { display: 'grid', gap: '12px', padding: '12px' },
  fields: { display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(200px, 1fr))', gap: '12px', alignItems: 'start' },
  checksBefore: { listStyle: 'none', borderTop: `1px solid ${t.hair}`, paddingTop: '8px', '& li': { minHeight: '30px', font: worded(16, 22, 400) } },
} as const;

const ALTITUDE = 'bunkhouse.altitude';
const keptAltitude = (): number | undefined => {
  const m = Number.parseFloat(localStorage.getItem(ALTITUDE) ?? '');
  return Number.isFinite(m) ? m : undefined;
};

/** A tool is held against what is known: ice and water, boiling water, plain water. */
export const CheckTool = ({ tool, onDone }: CheckProps) => (
  <Box sx={styles.whole}>
    <CheckForm tool={tool} onDone={onDone} />
    <ChecksBefore tool={tool} />
  </Box>
);

interface CheckProps {
  tool: ToolResponse;
  onDone: () => void;
}

function CheckForm({ tool, onDone }: CheckProps) {
  const { name } = usePreferences();
  const say = useSay();
  const [id] = useState(() => newId());
  const now = () => new Date(houseTime()).toISOString();
  const readingOf = (request: ToolCheckRequest) => toToolReading(tool.size.kind === 'hydrometer' ? 'hydrometer' : 'thermometer', request);
  const altitudeM = keptAltitude();
  const of = useRequestForm(ToolCheckRequest, {
    first: { id, at: now(), by: name, ...(altitudeM === undefined ? {} : { altitudeM }) },
    also: (request) => checkFaults(tool.size, readingOf(request)).map((fault) => ({ field: fault.field, message: say(fault) })),
    send: async (request) => {
      const { kind: _kind, ...read } = readingOf(request);
      await checkTool(tool.id, { id: request.id, at: now(), by: request.by, ...read });
      if (request.altitudeM !== undefined) localStorage.setItem(ALTITUDE, String(request.altitudeM));
    },
    onDone,
  });
  const typed = useWatch({ control: of.form.control }) as ToolCheckRequest;
  const reading = readingOf(typed);
  const points = checkFaults(tool.size, reading).length === 0 ? checkPoints(tool.size, reading) : [];
  return (
    <SavingForm
      of={of}
      acts={
        <Box sx={acts}>
          <Button type="submit" variant="contained" aria-disabled={of.busy}>
            {of.busy ? 'Logging...' : 'Log the check'}
          </Button>
          <Button variant="quiet" onClick={onDone}>
            Leave it
          </Button>
        </Box>
      }
    >
      {tool.size.kind === 'hydrometer' ? <InWater scale={tool.size.scale} /> : <InIce altitudeM={typed.altitudeM} />}
      {points.length > 0 && <Counts points={points} kind={tool.size.kind} />}
    </SavingForm>
  );
}

function InIce({ altitudeM }: { altitudeM: number | undefined }) {
  const preferences = usePreferences();
  return (
    <>
      <Typography variant="note">
        Crushed ice with just enough water to fill the gaps, stirred, in a tall glass; the tip in the middle, off the wall, until it stands still. Then, if it
        reads that far, in water at a rolling boil.
      </Typography>
      <Box sx={styles.fields}>
        <FormNumber<ToolCheckRequest> name="iceC" big label="In ice and water" quantity="temperature" autoFocus />
        <FormNumber<ToolCheckRequest> name="boilC" label="In boiling water (if tried)" quantity="temperature" />
        <FormNumber<ToolCheckRequest> name="altitudeM" label="The house lies above the sea" sign="m" decimals={0} hint={boilHint(altitudeM, preferences)} />
      </Box>
    </>
  );
}

const InWater = ({ scale }: { scale: string }) => (
  <>
    <Typography variant="note">Clean of fat, in plain water, distilled if you have it, at the temperature that stands on the stem.</Typography>
    <Box sx={styles.fields}>
      <FormNumber<ToolCheckRequest> name="waterReads" big label="In plain water it reads" decimals={scale === 'sg60F' ? 4 : 1} autoFocus />
      <FormNumber<ToolCheckRequest> name="waterC" label="The water has" quantity="temperature" />
    </Box>
  </>
);

/** What the check comes to: what counts from now on. */
function Counts({ points, kind }: { points: ReturnType<typeof checkPoints>; kind: ToolResponse['size']['kind'] }) {
  const preferences = usePreferences();
  const counts = corrected(points, SHOWS_C);
  const off = (points[0]?.shown ?? 0) - (points[0]?.should ?? 0);
  return (
    <Box component="p" sx={looks.lead} role="status">
      {kind === 'thermometer' && Math.abs(counts - SHOWS_C) < 0.05
        ? `It is right: ${inWords(SHOWS_C, 'temperature', preferences)} counts as it shows.`
        : kind === 'thermometer'
          ? `Where it shows ${inWords(SHOWS_C, 'temperature', preferences)}, ${inWords(counts, 'temperature', preferences)} counts from now on: ${degreesApart(Math.abs(counts - SHOWS_C), preferences)} ${counts < SHOWS_C ? 'less' : 'more'}.`
          : `From now on ${digits(Math.abs(off), 3)} are ${off > 0 ? 'taken off' : 'added'}.`}
    </Box>
  );
}

function ChecksBefore({ tool }: { tool: ToolResponse }) {
  const preferences = usePreferences();
  return (
    <>
      {tool.checks.length > 0 && (
        <Box component="ul" sx={styles.checksBefore}>
          {[...tool.checks].reverse().map((check) => (
            <li key={check.id}>
              {writtenTime(check.at, 'D MMM YYYY HH:mm')}, {check.by}:{' '}
              {check.reading.kind === 'thermometer'
                ? [
                    check.reading.iceC === undefined ? '' : `${inWords(check.reading.iceC, 'temperature', preferences)} in ice`,
                    check.reading.boilC === undefined
                      ? ''
                      : `${inWords(check.reading.boilC, 'temperature', preferences)} in boiling water at ${check.reading.altitudeM ?? 0} m`,
                  ]
                    .filter(Boolean)
                    .join(', ')
                : `${check.reading.waterReads} in water at ${inWords(check.reading.waterC, 'temperature', preferences)}`}
            </li>
          ))}
        </Box>
      )}
    </>
  );
}

/** The reading that is spoken of: at which most pieces are done, °C. */
const SHOWS_C = 63;

function boilHint(altitudeM: number | undefined, preferences: ReturnType<typeof usePreferences>): string {
  if (altitudeM === undefined || !(altitudeM >= -450 && altitudeM <= 5000)) return 'asked for with boiling water';
  return `water boils at ${inWords(boilingPointC(altitudeM), 'temperature', preferences)} there, in ${digits(airPressureHpa(altitudeM), 0)} hPa`;
}
