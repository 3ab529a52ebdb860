import {
  checkEntry,
  closesStep,
  failedGates,
  inputNames,
  isReadOfEach,
  brineOf,
  type PlannedStepId,
  piecesAt,
  readSoFar,
  readValues,
  bathOf,
  isDoneByBath,
  isReadByBath,
  unreadPieces,
  type EntryDraft,
  type StepState,
  type StepValues,
  type StepInput,
  asWritten,
  wordsOfStep,
  type EntryFault,
} from '@bunkhouse/core';
import { Fragment, useState, type FormEvent, type ReactNode } from 'react';
import type { Batch } from '../../data/batches';
import { lookAgain, writeEntry } from '../../data/batches';
import { Refusal } from '../../data/request';
import { NumberField } from '../../instruments/NumberField';
import { Choice } from '../Choice';
import { Glyph } from '../glyphs';
import { useTellLogged } from '../JustLogged';
import { usePreferences } from '../preferences';
import { inWords } from '../quantities';
import { fieldTime } from '../times';
import { useNow } from '../useNow';
import { FromScale } from './FromScale';
import { MixLines } from './MixLines';
import { ReadWith, useThermometers } from './ReadWith';
import { asNumber } from './typed';
import { useDraft } from './useDraft';
import { NotForYou, Only } from '../Only';
import { newId } from '../../data/newId';
import { useSay } from '../reader';
import { quantityOf } from './quantityOf';
import { nameHere } from '../here';

interface Draft {
  /** made with the form, so that sending it twice writes once */
  id: string;
  values: Partial<StepValues>;
  reason: string;
  /** an earlier time, as its field shows it; empty for now */
  at: string;
}

const emptyDraft = (): Draft => ({ id: newId(), values: {}, reason: '', at: '' });

/** A depth on a section, to be drawn. */
interface DrawnField {
  name: string;
  label: string;
  value: number | undefined;
  onChange: (value: number | undefined) => void;
  error: string | undefined;
}

interface RecordStepProps {
  batch: Batch;
  step: StepState;
  /** what to correct; absent for a first entry */
  corrects?: { id: string; at: string; values: StepValues };
  /** draws the field of a depth; without it the depth is typed */
  drawn?: (field: DrawnField) => ReactNode;
  /** the filled button of the screen */
  first: boolean;
  onDone?: () => void;
}

/** What a step asks, in the order in which hands go: where several things are read of each piece, one piece after the other, each in a row of its own. */
function byPiece(inputs: readonly StepInput[], pieces: Parameters<typeof inputNames>[1]): { input: StepInput; name: string; startsRow: boolean }[] {
  const asked = inputs.flatMap((input) => inputNames(input, pieces).map((name) => ({ input, name, startsRow: false })));
  const ofEach = inputs.filter((input) => inputNames(input, pieces).length > 1);
  if (ofEach.length < 2) return asked;
  const pieceOf = (name: string) => name.split(':')[1];
  return [
    ...asked.filter(({ name }) => pieceOf(name) === undefined),
    ...pieces.flatMap(({ code }) => asked.filter(({ name }) => pieceOf(name) === code).map((one, i) => ({ ...one, startsRow: i === 0 }))),
  ];
}

/** Asks for the numbers that matter at a step and logs them with the real time. */
export function RecordStep(props: RecordStepProps) {
  return (
    <Only right="record" otherwise={<NotForYou right="record" />}>
      <RecordForm {...props} />
    </Only>
  );
}

function RecordForm({ batch, step, corrects, first, onDone, drawn }: RecordStepProps) {
  const { record, state } = batch;
  const { spec } = step;
  const preferences = usePreferences();
  const say = useSay();
  const now = useNow();
  const tellLogged = useTellLogged();
  const [draft, change, clear] = useDraft<Draft>(`${record.id}.${corrects?.id ?? spec.id}`, () =>
    corrects === undefined ? emptyDraft() : { ...emptyDraft(), values: corrects.values, at: fieldTime(corrects.at) },
  );
  const [tried, setTried] = useState(false);
  const [busy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  // A correction is of the pieces that were there then.
  const pieces = corrects === undefined ? state.pieces : piecesAt(state, Date.parse(corrects.at));
  const entry = entryOf(draft, spec.id, corrects?.id, preferences.name, now, corrects?.at);
  const { own } = useThermometers();
  const readWith = corrects === undefined && spec.inputs.some((input) => input.kind === 'temperature') ? own : null;
  // What is checked is what it truly was; what is sent is what was shown, for the house to correct.
  const truly = readWith !== null && entry.kind === 'done' ? { ...entry, ...readValues(readWith, spec.inputs, entry.values, Date.parse(entry.at)) } : entry;
  const faults = checkEntry(record, truly, now);
  const trulyValues = 'values' in truly ? truly.values : {};
  const said = (fault: EntryFault | undefined) => (fault === undefined ? undefined : say(fault));
  const faultAt = (field: string) =>
    said((tried ? faults : faults.filter((fault) => wasTyped(fault.field, draft))).find((fault) => fault.field === field)) ??
    refusal?.errors.find((fault) => fault.field === field)?.message;
  const read = readSoFar(spec, step.read, trulyValues);
  const hasRead = Object.keys(trulyValues).length > 0;
  const bath = bathOf(state.standing, state.design, record.process, state.closing);
  const isProven = (code: string) => isReadByBath(spec) && pieces.some((piece) => piece.code === code && isDoneByBath(bath, piece, Date.parse(entry.at)));
  const leavesOpen = corrects === undefined && hasRead ? failedGates(spec, read, pieces, isProven).find((gate) => gate.onFail === 'again') : undefined;
  const unread = leavesOpen === undefined ? [] : unreadPieces(spec, leavesOpen, read, pieces, isProven);
  const mayClose = leavesOpen !== undefined && closesStep(spec, read, 'with a reason', pieces, isProven);
  const asksReason = corrects !== undefined || draft.reason !== '' || mayClose || faults.some((fault) => fault.field === 'reason');
  const setValue = (name: string, value: number | string | undefined) => {
    setRefusal(null);
    change({ values: without(draft.values, name, value) });
  };

  const send = async (event: FormEvent) => {
    event.preventDefault();
    setTried(true);
    if (busy || faults.length > 0) return;
    setBusy(true);
    setRefusal(null);
    try {
      await writeEntry(record.id, { ...entry, ...(readWith === null ? {} : { readWith: readWith.id }), seen: record.entries.length });
      if (corrects === undefined) tellLogged({ batchId: record.id, entryId: entry.id, what: `${nameHere(spec.title)}, ${record.code}`, at: entry.at });
      clear();
      setTried(false);
      onDone?.();
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setRefusal(error);
      // The time of the act is that of the first try, not of the one that gets through.
      if (error.offline && draft.at === '') change({ at: fieldTime(now) });
      if (error.status === 409) {
        change({ id: newId() });
        await lookAgain(record.id);
      }
    } finally {
      setBusy(false);
    }
  };

  return (
    <form className={`record${spec.inputs.length <= 2 && corrects === undefined ? ' short' : ''}`} onSubmit={(event) => void send(event)} noValidate>
      {brineOf(spec.id) !== null && corrects === undefined && (
        <MixLines batch={batch} stepId={spec.id} values={draft.values} setValue={setValue} faultAt={faultAt} />
      )}
      {(brineOf(spec.id) === null || corrects !== undefined) && (
        <div className="record-fields">
          {byPiece(spec.inputs, pieces).map(({ input, name, startsRow }, i) => {
            const value = draft.values[name];
            const label =
              'each' in input && input.each === 'piece' && pieces.length > 1 ? `${nameHere(input.label)}, piece ${name.split(':')[1]}` : nameHere(input.label);
            if (input.kind === 'choice') {
              return (
                <div key={name} className={faultAt(`values.${name}`) ? 'wrong' : undefined}>
                  <Choice
                    label={label}
                    value={typeof value === 'string' ? value : ''}
                    options={Object.fromEntries(input.options.map((option) => [option.value, nameHere(option.label)]))}
                    onChange={(chosen) => setValue(name, chosen)}
                  />
                  <Fault text={faultAt(`values.${name}`)} />
                </div>
              );
            }
            if (input.kind === 'depth' && drawn !== undefined) {
              return (
                <Fragment key={name}>
                  {drawn({ name, label, value: asNumber(value), onChange: (depth) => setValue(name, depth), error: faultAt(`values.${name}`) })}
                </Fragment>
              );
            }
            return (
              <div key={name} className={`weighable${startsRow ? ' row' : ''}`}>
                <NumberField
                  big
                  label={label + (input.optional || isReadOfEach(input, pieces) ? OPTIONAL[input.kind] : '')}
                  quantity={quantityOf(name)}
                  value={asNumber(value)}
                  onChange={(typed) => setValue(name, typed)}
                  error={faultAt(`values.${name}`)}
                  hint={hintFor(batch, name, preferences)}
                  autoFocus={first && i === 0 && corrects !== undefined}
                />
                {input.kind === 'mass' && <FromScale label={label} onTake={(g) => setValue(name, g)} />}
              </div>
            );
          })}
        </div>
      )}
      {corrects === undefined && spec.inputs.some((input) => input.kind === 'temperature') && (
        <ReadWith
          shown={spec.inputs.flatMap((input) => (input.kind === 'temperature' ? inputNames(input, pieces).map((name) => asNumber(draft.values[name])) : []))}
          at={Date.parse(entry.at)}
        />
      )}
      {leavesOpen !== undefined && (
        <p className="note leaves-open" role="status">
          {unread.length === 0
            ? say(wordsOfStep(spec, record.process).gates[spec.gates.indexOf(leavesOpen)] ?? asWritten(leavesOpen.say))
            : `Piece ${unread.join(', ')} was not read: what another showed does not count for it. It stays open until it is.`}
          {mayClose && (unread.length === 0 ? ' To take it off all the same, write why.' : ' To go on without, write why: it will be called not shown.')}
        </p>
      )}
      {asksReason && (
        <label className={`field${faultAt('reason') ? ' wrong' : ''}`}>
          <span className="label">{corrects === undefined ? 'Reason, kept in the log' : 'What was wrong with it'}</span>
          <textarea className="box" rows={2} maxLength={1000} value={draft.reason} onChange={(event) => change({ reason: event.target.value })} />
          <Fault text={said(faults.find((fault) => fault.field === 'reason'))} />
        </label>
      )}
      <WhenField
        at={draft.at}
        now={now}
        onChange={(at) => change({ at })}
        fault={faultAt('at') ?? (draft.at === '' ? undefined : said(faults.find((fault) => fault.field === 'at')))}
      />
      {refusal !== null && (
        <div className="strip warn" role="alert">
          <span className="w">
            <Glyph name="caution" size={22} />
            Not logged
          </span>
          <p>{refusal.message}</p>
        </div>
      )}
      <Fault text={tried ? said(faults.find((fault) => fault.field === 'entry')) : undefined} />
      <div className="record-act">
        <button type="submit" className={`btn xl${first ? ' go' : ''}`} aria-disabled={busy}>
          <Glyph
            name={
              corrects !== undefined
                ? 'pencil'
                : spec.missable
                  ? 'turn'
                  : spec.inputs.some((input) => input.kind === 'temperature')
                    ? 'read'
                    : spec.inputs.some((input) => input.kind === 'mass')
                      ? 'weigh'
                      : 'tick'
            }
          />
          {busy ? 'Logging...' : corrects !== undefined ? 'Log the correction' : nameHere(spec.act)}
        </button>
      </div>
    </form>
  );
}

const OPTIONAL = { mass: ' (if weighed)', temperature: ' (if read)', depth: ', coloured so deep (if cut)' } as const;

const Fault = ({ text }: { text: string | undefined }) =>
  text === undefined ? null : (
    <p className="fault" role="alert">
      {text}
    </p>
  );

function WhenField({ at, now, onChange, fault }: { at: string; now: number; onChange: (at: string) => void; fault: string | undefined }) {
  if (at === '') {
    return (
      <p className="when">
        <span>With the time now.</span>
        <button type="button" className="lnk" onClick={() => onChange(fieldTime(now))}>
          It was earlier
        </button>
      </p>
    );
  }
  return (
    <div className={`field when-field${fault ? ' wrong' : ''}`}>
      <label className="label" htmlFor="when">
        When it was
      </label>
      <div className="box-row">
        <input
          id="when"
          className="box"
          type="datetime-local"
          value={at}
          onChange={(event) => onChange(event.target.value === '' ? fieldTime(now) : event.target.value)}
        />
        <button type="button" className="box-unit" onClick={() => onChange('')}>
          now
        </button>
      </div>
      <Fault text={fault} />
    </div>
  );
}

function hintFor({ state }: Batch, name: string, preferences: ReturnType<typeof usePreferences>): string | undefined {
  const [what, code = ''] = name.split(':');
  const greenG = state.facts.greenG[code];
  const grams = (g: number) => inWords(g, 'mass', preferences);
  const { school } = state.design;
  if (what === 'greenG' && greenG !== undefined) return `Planned ${grams(greenG)}`;
  if (what === 'pumpedG' && greenG !== undefined && school.kind === 'pumpAndCover' && (state.facts.pumpings[code] ?? []).length === 0)
    return `Aim at ${grams(greenG * (1 + school.pumpPercent / 100))}`;
  if (what === 'pumpedG' && greenG !== undefined && school.kind === 'pumpAndCover')
    return `Aim at ${grams((greenG * school.repumpPercent) / 100)} more than before`;
  if (what === 'pulledG' && greenG !== undefined) return `Green ${grams(greenG)}`;
  if (what === 'pickleC' || what === 'brineC') return `At most ${inWords(4, 'temperature', preferences, 0)}`;
  return undefined;
}

function entryOf(draft: Draft, stepId: PlannedStepId, replaces: string | undefined, by: string, now: number, was: string | undefined): EntryDraft {
  const at = draft.at === '' ? now : was !== undefined && fieldTime(was) === draft.at ? Date.parse(was) : Date.parse(draft.at);
  const written = { id: draft.id, by, at: Number.isFinite(at) ? new Date(at).toISOString() : '' };
  const values = draft.values as StepValues;
  if (replaces !== undefined) return { ...written, kind: 'correction', replaces, values, reason: draft.reason };
  return { ...written, kind: 'done', stepId, values, ...(draft.reason.trim() === '' ? {} : { reason: draft.reason }) };
}

/** A fault is shown while typing only where something was typed. */
const wasTyped = (field: string, draft: Draft): boolean => field.startsWith('values.') && draft.values[field.slice('values.'.length)] !== undefined;

function without(values: Partial<StepValues>, name: string, value: number | string | undefined): Partial<StepValues> {
  const { [name]: _before, ...rest } = values;
  return value === undefined ? rest : { ...rest, [name]: value };
}
