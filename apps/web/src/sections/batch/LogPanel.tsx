import { ownReason, planSaid, inputNames, type LogEntry, type StandingEntry, type StepInput, type StepValues, MINUTE_MS } from '@bunkhouse/core';
import Dialog from '@mui/material/Dialog';
import { useState } from 'react';
import type { Batch } from '../../data/batches';
import { Glyph } from '../../shell/glyphs';
import { pitEventTitle } from '../../shell/pit/eventTitle';
import { quantityOf } from '../../shell/record/quantityOf';
import { usePreferences, type Preferences } from '../../shell/preferences';
import { inWords } from '../../shell/quantities';
import { RecordStep } from '../../shell/record/RecordStep';
import { dayAndTime } from '../../shell/times';
import { readWithWords } from '../../shell/toolWords';
import { useNow } from '../../shell/useNow';
import { WordsForm } from './LeaveOut';
import { LOT_WORDS } from '../../shell/lotWords';
import { pieceEventTitle } from './pieceWords';
import { Only } from '../../shell/Only';
import { nameHere } from '../../shell/here';
import { useSay } from '../../shell/reader';

/** Everything that was written, the last first. A correction stands beside what it corrects. */
export function LogPanel({ batch }: { batch: Batch }) {
  const { record, state } = batch;
  const [correcting, setCorrecting] = useState<StandingEntry | null>(null);
  const [writing, setWriting] = useState<'note' | 'ended' | null>(null);
  const standing = new Map(state.standing.map((entry) => [entry.id, entry]));
  const lastStanding = state.standing.at(-1);
  return (
    <section className="panel log" aria-label="Log">
      <div className="ph">
        <h2>Log</h2>
        <span className="aside">{record.entries.length === 1 ? '1 entry' : `${record.entries.length} entries`}, none is ever erased</span>
      </div>
      {record.entries.length === 0 && <p className="empty">Nothing is logged yet. The first job stands above.</p>}
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
        <div className="log-foot">
          {writing === null ? (
            <>
              <button type="button" className="btn" onClick={() => setWriting('note')}>
                Write a note
              </button>
              {state.outcome === 'live' && (
                <Only right="plan">
                  <button type="button" className="btn quiet" onClick={() => setWriting('ended')}>
                    Throw the batch away
                  </button>
                </Only>
              )}
            </>
          ) : (
            <WordsForm
              key={writing}
              batch={batch}
              act={{ kind: writing }}
              label={writing === 'note' ? 'Note' : 'Why the batch is thrown away'}
              button={writing === 'note' ? 'Log the note' : 'Log that it is thrown away'}
              onDone={() => setWriting(null)}
            />
          )}
        </div>
      </Only>
      <CorrectionSheet batch={batch} entry={correcting} onClose={() => setCorrecting(null)} />
    </section>
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
    <li className={superseded ? 'superseded' : undefined}>
      <span className="at">{dayAndTime(entry.at, now)}</span>
      <div className="said">
        <b>{heading(entry, replaced, batch, preferences)}</b>
        {'values' in entry && (
          <span className="values">
            {valuesInWords(entry.kind === 'done' ? entry.stepId : stepOf(replaced, record.entries), entry.values, batch, preferences)}
          </span>
        )}
        {'read' in entry && entry.read !== undefined && <small>{readWithWords(entry.read, preferences)}.</small>}
        {entry.kind === 'replanned' && <span className="values">{say(planSaid(entry.changes, batch.state.steps))}</span>}
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
      </div>
      <span className="by">
        {entry.by}
        {entry.sentBy !== undefined && <small> handed in by {entry.sentBy}</small>}
      </span>
      <span className="acts">
        {standing?.kind === 'done' && Object.keys(standing.values).length > 0 && (
          <button type="button" className="lnk" onClick={() => onCorrect(standing)} aria-label={`Correct ${heading(entry, undefined, batch, preferences)}`}>
            Correct
          </button>
        )}
        {last && !takingBack && standing !== undefined && (
          <button type="button" className="lnk" onClick={() => setTakingBack(true)} aria-label={`Take back ${heading(entry, undefined, batch, preferences)}`}>
            Take back
          </button>
        )}
      </span>
    </li>
  );
}

function heading(entry: LogEntry, replaced: LogEntry | undefined, batch: Batch, shown: Preferences): string {
  const titleOf = (stepId: string) => nameHere(batch.state.steps.find((step) => step.spec.id === stepId)?.spec.title ?? stepId);
  switch (entry.kind) {
    case 'done':
      return titleOf(entry.stepId);
    case 'skipped':
      return `${titleOf(entry.stepId)}, left out`;
    case 'correction':
      return `Correction: ${titleOf(stepOf(replaced, batch.record.entries))}`;
    case 'withdrawn':
      return `Taken back: ${replaced === undefined ? '' : heading(replaced, undefined, batch, shown)}`;
    case 'ended':
      return 'Thrown away';
    case 'replanned':
      return 'New plan';
    case 'pit':
      return pitEventTitle(entry.event, shown);
    case 'pieces':
      return pieceEventTitle(entry.event, shown);
    case 'lot':
      return `${LOT_WORDS[entry.draw.of]} from a lot, ${inWords(entry.draw.g, entry.draw.of === 'cure' ? 'smallMass' : 'mass', shown)}`;
    case 'note':
      return 'Note';
  }
}

/** The step behind an entry, through corrections of corrections. */
function stepOf(entry: LogEntry | undefined, entries: readonly LogEntry[]): string {
  if (entry === undefined) return '';
  if ('stepId' in entry) return entry.stepId;
  return 'replaces' in entry
    ? stepOf(
        entries.find((other) => other.id === entry.replaces),
        entries,
      )
    : '';
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
        <div className="correct">
          <h2 id="correct-title" className="head">
            <Glyph name="pencil" /> Correct: {nameHere(step.spec.title)}
          </h2>
          <p className="note">The first entry stays readable. Every figure follows the correction.</p>
          <RecordStep batch={batch} step={step} corrects={{ id: entry.id, at: entry.at, values: entry.values }} first={false} onDone={onClose} />
          <button type="button" className="btn quiet" onClick={onClose}>
            Close
          </button>
        </div>
      )}
    </Dialog>
  );
}
