import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { ownReason, planSaid, inputNames, type LogEntry, type StandingEntry, type StepInput, type StepValues, MINUTE_MS } from '@bunkhouse/core';
import Dialog from '@mui/material/Dialog';
import { useState } from 'react';
import { Panel } from '../../kit/Panel';
import type { Batch } from '../../data/batches';
import { Glyph } from '../../kit/glyphs';
import { entryTitle } from '../../reader/words/entryTitle';
import { quantityOf } from '../../acts/record/quantityOf';
import { usePreferences, type Preferences } from '../../reader/preferences';
import { inWords } from '../../reader/quantities';
import { RecordStep } from '../../acts/record/RecordStep';
import { dayAndTime } from '../../reader/times';
import { readWithWords } from '../../reader/words/toolWords';
import { useNow } from '../../data/useNow';
import { EndBatch } from './EndBatch';
import { WordsForm } from './LeaveOut';
import { AtTable } from './AtTable';
import { OtherAct } from './OtherAct';
import { Only } from '../../kit/Only';
import { nameHere } from '../../reader/here';
import { useSay } from '../../reader/reader';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

const styles = {
  log: {
    '& ol': { maxHeight: 'none' },
    '& li': {
      display: 'grid',
      gridTemplateColumns: '130px 1fr auto auto',
      gap: '4px 14px',
      padding: '10px 12px',
      borderBottom: `1px solid ${t.hair}`,
      alignItems: 'start',
    },
    '& q': { fontStyle: 'italic', quotes: 'none', borderLeft: `3px solid ${t.hair2}`, paddingLeft: '8px' },
    [fold.phone]: { '& li': { gridTemplateColumns: '1fr auto' } },
  },
  logFoot: { display: 'flex', flexWrap: 'wrap', gap: '10px', padding: '12px' },
  at: { font: signed(16, 20, 600) },
  said: { display: 'grid', gap: '2px', '& b': { font: signed(17, 20, 600) }, [fold.phone]: { gridColumn: '1 / -1', justifyContent: 'flex-start' } },
  values: { color: t.ink2 },
  superseded: { textDecoration: 'line-through' },
  by: { font: signed(16, 20, 500), color: t.ink2 },
  acts: { display: 'flex', gap: '18px', minWidth: '60px', justifyContent: 'flex-end', [fold.phone]: { gridColumn: '1 / -1', justifyContent: 'flex-start' } },
  correct: { padding: '20px', display: 'grid', gap: '14px' },
} as const;

/** Everything that was written, the last first. A correction stands beside what it corrects. */
export function LogPanel({ batch }: { batch: Batch }) {
  const { record, state } = batch;
  const [correcting, setCorrecting] = useState<StandingEntry | null>(null);
  const [writing, setWriting] = useState(false);
  const standing = new Map(state.standing.map((entry) => [entry.id, entry]));
  const lastStanding = state.standing.at(-1);
  return (
    <Panel
      title="Log"
      aside={<>{record.entries.length === 1 ? '1 entry' : `${record.entries.length} entries`}, none is ever erased</>}
      sx={styles.log}
      label="Log"
    >
      {record.entries.length === 0 && (
        <Box component="p" sx={looks.empty}>
          Nothing is logged yet. The first job stands above.
        </Box>
      )}
      <ol>
        {[...record.entries].reverse().map((entry) => (
          <LogLine
            key={entry.id}
            batch={batch}
            entry={entry}
            standing={standing.get(entry.id)}
            last={lastStanding?.id === entry.id}
            onCorrect={setCorrecting}
          />
        ))}
      </ol>
      <Only right="record">
        <Box sx={styles.logFoot}>
          {writing ? (
            <WordsForm batch={batch} act={{ kind: 'note' }} label="Note" button="Log the note" onDone={() => setWriting(false)} />
          ) : (
            <>
              <Button onClick={() => setWriting(true)}>Write a note</Button>
              {state.outcome === 'finished' && <AtTable batch={batch} />}
              {state.outcome === 'finished' && <OtherAct batch={batch} />}
              {state.outcome === 'live' && <EndBatch batch={batch} />}
            </>
          )}
        </Box>
      </Only>
      <CorrectionSheet batch={batch} entry={correcting} onClose={() => setCorrecting(null)} />
    </Panel>
  );
}

function LogLine({
  batch,
  entry,
  standing,
  last,
  onCorrect,
}: {
  batch: Batch;
  entry: LogEntry;
  standing: StandingEntry | undefined;
  last: boolean;
  onCorrect: (entry: StandingEntry) => void;
}) {
  const preferences = usePreferences();
  const now = useNow();
  const say = useSay();
  const why = ownReason(entry, batch.state.steps);
  const [takingBack, setTakingBack] = useState(false);
  const { record } = batch;
  const replaced = entry.kind === 'correction' || entry.kind === 'withdrawn' ? record.entries.find((other) => other.id === entry.replaces) : undefined;
  const superseded = entry.kind === 'done' && (standing === undefined || standing.corrections.length > 0);
  const late = Date.parse(entry.recordedAt) - Date.parse(entry.at) > 10 * MINUTE_MS && entry.kind !== 'correction';
  return (
    <li>
      <Box component="span" sx={styles.at}>
        {entry.about === true && 'about '}
        {dayAndTime(entry.at, now)}
      </Box>
      <Box sx={[looks.said, styles.said]}>
        <b>{heading(entry, replaced, batch, preferences)}</b>
        {'values' in entry && (
          <Box component="span" sx={[styles.values, superseded && styles.superseded]}>
            {valuesInWords(entry.kind === 'done' ? entry.stepId : stepOf(replaced, record.entries), entry.values, batch, preferences)}
          </Box>
        )}
        {'read' in entry && entry.read !== undefined && <small>{readWithWords(entry.read, preferences)}.</small>}
        {entry.kind === 'replanned' && (
          <Box component="span" sx={[styles.values, superseded && styles.superseded]}>
            {say(planSaid(entry.changes, batch.state.steps))}
          </Box>
        )}
        {why !== undefined && <q>{why}</q>}
        {superseded && <small>{standing === undefined ? 'Taken back, see above.' : 'Corrected, see above.'}</small>}
        {late && <small>Written down {dayAndTime(entry.recordedAt, now)}.</small>}
        {takingBack && (
          <WordsForm
            batch={batch}
            act={{ kind: 'withdrawn', replaces: entry.id }}
            label="Why it is taken back"
            button="Take it back"
            onDone={() => setTakingBack(false)}
          />
        )}
      </Box>
      <Box component="span" sx={styles.by}>
        {entry.by}
        {entry.sentBy !== undefined && <small> handed in by {entry.sentBy}</small>}
      </Box>
      <Box component="span" sx={styles.acts}>
        {standing?.kind === 'done' && Object.keys(standing.values).length > 0 && (
          <Button variant="text" onClick={() => onCorrect(standing)} aria-label={`Correct ${heading(entry, undefined, batch, preferences)}`}>
            Correct
          </Button>
        )}
        {last && !takingBack && standing !== undefined && (
          <Button variant="text" onClick={() => setTakingBack(true)} aria-label={`Take back ${heading(entry, undefined, batch, preferences)}`}>
            Take back
          </Button>
        )}
      </Box>
    </li>
  );
}

/** What an entry is called in this batch, what it corrects by the name of its step. */
function heading(entry: LogEntry, replaced: LogEntry | undefined, { state, record }: Batch, shown: Preferences): string {
  const root = entry.kind === 'correction' ? record.entries.find(({ id }) => id === rootOf(replaced, record.entries)) : replaced;
  return entryTitle(entry, (stepId) => state.steps.find((step) => step.spec.id === stepId)?.spec.title, shown, root);
}

/** The first entry behind a correction of corrections. */
function rootOf(entry: LogEntry | undefined, entries: readonly LogEntry[]): string | undefined {
  return entry !== undefined && 'replaces' in entry
    ? rootOf(
        entries.find((other) => other.id === entry.replaces),
        entries,
      )
    : entry?.id;
}

/** The step behind an entry. */
function stepOf(entry: LogEntry | undefined, entries: readonly LogEntry[]): string {
  const root = entries.find(({ id }) => id === rootOf(entry, entries));
  return root !== undefined && 'stepId' in root ? root.stepId : '';
}

function valuesInWords(stepId: string, values: StepValues, { state }: Batch, preferences: Preferences): string {
  const inputs = state.steps.find((step) => step.spec.id === stepId)?.spec.inputs ?? [];
  const words = inputs.flatMap((input) =>
    inputNames(input, state.design.pieces).flatMap((name) => {
      const value = values[name];
      if (value === undefined) return [];
      const piece = name.includes(':') && state.design.pieces.length > 1 ? ` ${name.split(':')[1]}` : '';
      return [`${nameHere(input.label)}${piece} ${inputWords(input, value, preferences)}`];
    }),
  );
  return words.join(', ');
}

function inputWords(input: StepInput, value: number | string, preferences: Preferences): string {
  if (typeof value === 'string')
    return input.kind === 'choice' ? nameHere(input.options.find((option) => option.value === value)?.label ?? String(value)).toLowerCase() : value;
  return inWords(value, quantityOf(input.name), preferences);
}

function CorrectionSheet({ batch, entry, onClose }: { batch: Batch; entry: StandingEntry | null; onClose: () => void }) {
  const step = entry?.kind === 'done' ? batch.state.step(entry.stepId) : null;
  return (
    <Dialog open={step !== null} onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="correct-title">
      {step !== null && entry?.kind === 'done' && (
        <Box sx={styles.correct}>
          <Box component="h2" id="correct-title" sx={looks.head}>
            <Glyph name="pencil" /> Correct: {nameHere(step.spec.title)}
          </Box>
          <Typography variant="note">The first entry stays readable. Every figure follows the correction.</Typography>
          <RecordStep batch={batch} step={step} corrects={{ id: entry.id, at: entry.at, values: entry.values }} first={false} onDone={onClose} />
          <Button variant="quiet" onClick={onClose}>
            Close
          </Button>
        </Box>
      )}
    </Dialog>
  );
}
