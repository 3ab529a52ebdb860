import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { acts, padded } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import type { StepInput } from '@bunkhouse/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Title } from '../../kit/Title';
import { useBatch, writeEntry } from '../../data/batches';
import { sendAgain, takeWaiting, useWaiting, type Waiting } from '../../data/outbox';
import { Refusal } from '../../data/request';
import { houseTime } from '../../data/serverClock';
import { usePreferences, type Preferences } from '../../reader/preferences';
import { inWords } from '../../reader/quantities';
import { dayAndTime, writtenTime } from '../../reader/times';
import { useNow } from '../../data/useNow';
import { newId } from '../../data/newId';
import { nameHere } from '../../reader/here';
import { entryTitle } from '../../reader/words/entryTitle';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed, worded } from '../../theme/type';

const styles = {
  keptEntries: {
    display: 'grid',
    gap: '12px',
    maxWidth: '860px',
    gridTemplateColumns: 'minmax(0, 1fr)',
    '& ol': { listStyle: 'none', display: 'grid', gap: '10px' },
  },
  clash: {
    display: 'grid',
    gap: '8px',
    gridTemplateColumns: 'repeat(auto-fit, minmax(220px, 1fr))',
    '& dt': { font: signed(13, 16, 600), letterSpacing: '.04em', color: t.ink3 },
    '& dd': { font: worded(16, 23, 400) },
  },
} as const;

/** What waits on this device, in its order; and what the house would not take, for a decision. */
export function KeptEntries() {
  const waiting = useWaiting();
  return (
    <Box sx={[looks.page, styles.keptEntries]}>
      <Title>Kept on this device</Title>
      {waiting.length === 0 && (
        <Box component="p" sx={looks.lead}>
          Nothing waits: the house has all of it. <Link to="/">To Today</Link>
        </Box>
      )}
      <ol>
        {waiting.map((own) => (
          <Box component="li" key={own.entry.id} sx={looks.panel}>
            {own.refusal === null ? <OneWaiting own={own} /> : <Clash own={own} refusal={own.refusal} />}
          </Box>
        ))}
      </ol>
    </Box>
  );
}

function OneWaiting({ own }: { own: Waiting }) {
  const now = useNow();
  const said = useSaid(own);
  return (
    <Box sx={padded}>
      <Box component="p" sx={looks.lead}>
        <b>{own.code}</b> {said}
      </Box>
      <Typography variant="note">
        {dayAndTime(own.entry.at, now)}, {own.entry.by}. It waits, and is sent with this time.
      </Typography>
      <Box sx={acts}>
        <Button variant="quiet" onClick={() => void takeWaiting(own.entry.id)}>
          Take it back
        </Button>
      </Box>
    </Box>
  );
}

/** Somebody else logged the same, or something that this cannot follow: both are shown, and nothing is lost by either choice. */
function Clash({ own, refusal }: { own: Waiting; refusal: string }) {
  const { batch } = useBatch(own.batchId);
  const preferences = usePreferences();
  const { name } = preferences;
  const now = useNow();
  const said = useSaid(own);
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const stepId = 'stepId' in own.draft ? own.draft.stepId : null;
  const inputs = batch?.state.steps.find(({ spec }) => spec.id === stepId)?.spec.inputs ?? [];
  const theirs = batch?.record.entries.filter((entry) => 'stepId' in entry && entry.stepId === stepId && entry.id !== own.entry.id).at(-1);
  const asNote = async () => {
    setBusy(true);
    setFault(null);
    try {
      const reason = `Logged without a connection and not taken: ${said}, ${writtenTime(own.entry.at, 'D MMM YYYY, HH:mm')} by ${own.entry.by}. ${own.entry.reason ?? ''}`;
      const by = name;
      await writeEntry(own.batchId, {
        id: newId(),
        kind: 'note',
        at: new Date(houseTime()).toISOString(),
        by,
        reason: reason.trim().slice(0, 1000),
      });
      await takeWaiting(own.entry.id);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Box sx={padded}>
      <Box component="p" sx={looks.lead}>
        <b>{own.code}</b> {said}
      </Box>
      <Typography variant="fault" role="alert">
        {refusal}
      </Typography>
      <Box component="dl" sx={styles.clash}>
        <div>
          <dt>Logged here</dt>
          <dd>
            {valuesOf(own.draft, inputs, preferences)} {dayAndTime(own.entry.at, now)}, {own.entry.by}
          </dd>
        </div>
        <div>
          <dt>In the house</dt>
          <dd>{theirs === undefined ? 'not logged' : `${valuesOf(theirs, inputs, preferences)} ${dayAndTime(theirs.at, now)}, ${theirs.by}`}</dd>
        </div>
      </Box>
      {fault !== null && (
        <Typography variant="fault" role="alert">
          {fault}
        </Typography>
      )}
      <Box sx={acts}>
        <Button disabled={busy} onClick={() => void asNote()}>
          Keep theirs, write mine as a note
        </Button>
        <Button variant="quiet" disabled={busy} onClick={() => void sendAgain(own.entry.id)}>
          Try mine once more
        </Button>
        <Button variant="text" component={Link} to={`/batches/${own.batchId}`}>
          To the batch
        </Button>
      </Box>
    </Box>
  );
}

/** What it says, in a few words. */
function useSaid({ batchId, draft }: Waiting): string {
  const { batch } = useBatch(batchId);
  const preferences = usePreferences();
  return entryTitle(draft, (stepId) => batch?.state.steps.find(({ spec }) => spec.id === stepId)?.spec.title, preferences);
}

/** What an entry measured, in the words of its step. */
function valuesOf(entry: { values?: Record<string, number | string> } | object, inputs: readonly StepInput[], shown: Preferences): string {
  if (!('values' in entry) || entry.values === undefined) return '';
  return Object.entries(entry.values)
    .map(([key, value]) => {
      const [name = '', piece] = key.split(':');
      const input = inputs.find((one) => one.name === name);
      const label = `${nameHere(input?.label ?? name)}${piece === undefined ? '' : `, ${piece}`}`;
      if (input?.kind === 'choice') return `${label} ${nameHere(input.options.find((option) => option.value === value)?.label ?? String(value))}`;
      return typeof value === 'number' && input !== undefined ? `${label} ${inWords(value, QUANTITY[input.kind], shown)}` : `${label} ${value}`;
    })
    .join(', ');
}

const QUANTITY = { mass: 'mass', temperature: 'temperature', depth: 'length' } as const;
