import type { StepInput } from '@bunkhouse/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useBatch, writeEntry } from '../../data/batches';
import { sendAgain, takeWaiting, useWaiting, type Waiting } from '../../data/outbox';
import { Refusal } from '../../data/request';
import { houseTime } from '../../data/serverClock';
import { usePreferences, type Preferences } from '../../shell/preferences';
import { inWords } from '../../shell/quantities';
import { dayAndTime, writtenTime } from '../../shell/times';
import { useNow } from '../../shell/useNow';
import { newId } from '../../data/newId';
import { nameHere } from '../../shell/here';

/** What waits on this device, in its order; and what the house would not take, for a decision. */
export function KeptEntries() {
  const waiting = useWaiting();
  return (
    <div className="page kept-entries">
      <h1 className="title">Kept on this device</h1>
      {waiting.length === 0 && (
        <p className="lead">
          Nothing waits: the house has all of it. <Link to="/">To Today</Link>
        </p>
      )}
      <ol>
        {waiting.map((own) => (
          <li key={own.entry.id} className="panel">
            {own.refusal === null ? <OneWaiting own={own} /> : <Clash own={own} refusal={own.refusal} />}
          </li>
        ))}
      </ol>
    </div>
  );
}

function OneWaiting({ own }: { own: Waiting }) {
  const now = useNow();
  const said = useSaid(own);
  return (
    <div className="pad">
      <p className="lead">
        <b>{own.code}</b> {said}
      </p>
      <p className="note">
        {dayAndTime(own.entry.at, now)}, {own.entry.by}. It waits, and is sent with this time.
      </p>
      <div className="words-act">
        <button type="button" className="btn quiet" onClick={() => void takeWaiting(own.entry.id)}>
          Take it back
        </button>
      </div>
    </div>
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
    <div className="pad">
      <p className="lead">
        <b>{own.code}</b> {said}
      </p>
      <p className="fault" role="alert">
        {refusal}
      </p>
      <dl className="clash">
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
      </dl>
      {fault !== null && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
      <div className="words-act">
        <button type="button" className="btn" disabled={busy} onClick={() => void asNote()}>
          Keep theirs, write mine as a note
        </button>
        <button type="button" className="btn quiet" disabled={busy} onClick={() => void sendAgain(own.entry.id)}>
          Try mine once more
        </button>
        <Link className="lnk" to={`/batches/${own.batchId}`}>
          To the batch
        </Link>
      </div>
    </div>
  );
}

/** What it says, in a few words. */
function useSaid({ batchId, draft }: Waiting): string {
  const { batch } = useBatch(batchId);
  const preferences = usePreferences();
  if ('stepId' in draft) {
    const title = nameHere(batch?.state.steps.find(({ spec }) => spec.id === draft.stepId)?.spec.title ?? draft.stepId);
    return draft.kind === 'skipped' ? `${title}, left out` : title;
  }
  if (draft.kind === 'lot') return `${inWords(draft.draw.g, 'mass', preferences)} from a lot`;
  return { note: 'Note', pit: 'At the pit', correction: 'Correction', withdrawn: 'Taken back', ended: 'Thrown away', replanned: 'New plan', pieces: 'Pieces' }[
    draft.kind
  ];
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
