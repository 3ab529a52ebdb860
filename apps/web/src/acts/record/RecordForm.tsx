import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import {
  asWritten,
  bathOf,
  brineOf,
  checkEntry,
  closesStep,
  COLD_MOST_C,
  type EntryFault,
  failedGates,
  inputNames,
  isDoneByBath,
  isPumped,
  isReadByBath,
  isReadOfEach,
  piecesAt,
  readSoFar,
  readValues,
  type StepState,
  type StepValues,
  unreadPieces,
  wordsOfStep,
} from '@bunkhouse/core';
import { Fragment, useState, type ReactNode } from 'react';
import type { FieldErrors } from 'react-hook-form';
import { WordsField } from '../../kit/WordsField';
import type { Batch } from '../../data/batches';
import { lookAgain, writeEntry } from '../../data/batches';
import { Refusal } from '../../data/request';
import { NumberField } from '../../kit/NumberField';
import { Choice } from '../../kit/Choice';
import { ReasonChips } from '../../kit/ReasonChips';
import { Strip } from '../../kit/Strip';
import { REASONS } from '../reasons';
import { Glyph } from '../../kit/glyphs';
import { useTellLogged } from '../../kit/JustLogged';
import { usePreferences } from '../../reader/preferences';
import { inWords } from '../../reader/quantities';
import { fieldTime } from '../../reader/times';
import { useNow } from '../../data/useNow';
import { FromScale } from './FromScale';
import { MixLines } from './MixLines';
import { ReadWith, useThermometers } from './ReadWith';
import { asNumber } from './typed';
import { useDraft } from './useDraft';
import { byPiece, emptyDraft, entryOf, wasTyped, without, type Draft } from './draft';
import { WhenField } from './WhenField';
import { newId } from '../../data/newId';
import { useSay } from '../../reader/reader';
import { quantityOf } from './quantityOf';
import { nameHere } from '../../reader/here';
import Box from '@mui/material/Box';
import { styles } from './recordStyles';

/** A depth on a section, to be drawn. */
interface DrawnField {
  name: string;
  label: string;
  value: number | undefined;
  onChange: (value: number | undefined) => void;
  error: string | undefined;
}

export interface RecordStepProps {
  batch: Batch;
  step: StepState;
  /** what to correct; absent for a first entry */
  corrects?: { id: string; at: string; values: StepValues };
  /** draws the field of a depth; without it the depth is typed */
  drawn?: (field: DrawnField) => ReactNode;
  /** the filled button of the screen */
  first: boolean;
  /** begins as its button alone: what may be read beside it is asked for when somebody wants to write it */
  folded?: boolean;
  onDone?: () => void;
}

/** Asks for the numbers that matter at a step and logs them with the real time. */
export function RecordForm({ batch, step, corrects, first, folded = false, onDone, drawn }: RecordStepProps) {
  const { record, state } = batch;
  const { spec } = step;
  const preferences = usePreferences();
  const say = useSay();
  const now = useNow();
  const tellLogged = useTellLogged();
  const { own } = useThermometers();
  const readWith = corrects === undefined && spec.inputs.some((input) => input.kind === 'temperature') ? own : null;
  const checked = (typed: Draft) => {
    const entry = entryOf(typed, spec.id, corrects?.id, preferences.name, now, corrects?.at);
    // What is checked is what it truly was; what is sent is what was shown, for the house to correct.
    const truly = readWith !== null && entry.kind === 'done' ? { ...entry, ...readValues(readWith, spec.inputs, entry.values, Date.parse(entry.at)) } : entry;
    return { entry, truly, faults: checkEntry(record, truly, now) };
  };
  const { form, draft, change, clear } = useDraft<Draft>(
    `${record.id}.${corrects?.id ?? spec.id}`,
    () => (corrects === undefined ? emptyDraft() : { ...emptyDraft(), values: corrects.values, at: fieldTime(corrects.at) }),
    (typed) => {
      const wrong = checked(typed).faults;
      return wrong.length === 0
        ? { values: typed, errors: {} }
        : { values: {}, errors: Object.fromEntries(wrong.map(({ field, code }) => [field, { type: code }])) as FieldErrors<Draft> };
    },
  );
  const { isSubmitted: tried, isSubmitting: busy } = form.formState;
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [isUnfolded, setUnfolded] = useState(!folded);
  // A correction is of the pieces that were there then.
  const pieces = corrects === undefined ? state.pieces : piecesAt(state, Date.parse(corrects.at));
  const { entry, truly, faults } = checked(draft);
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
  // What nobody read is written as that: the form asks why, once somebody wants to log it.
  const isUnread = tried && faults.some(({ code }) => code === 'input-unread' || code === 'none-read');
  const wasUnread = REASONS.unread.some((reason) => draft.reason.includes(reason));
  const asksReason = corrects !== undefined || draft.reason !== '' || mayClose || isUnread || faults.some((fault) => fault.field === 'reason');
  const setValue = (name: string, value: number | string | undefined) => {
    setRefusal(null);
    change({ values: without(draft.values, name, value) });
  };

  const send = form.handleSubmit(async () => {
    setRefusal(null);
    try {
      await writeEntry(record.id, { ...entry, ...(readWith === null ? {} : { readWith: readWith.id }), seen: record.entries.length });
      if (corrects === undefined)
        tellLogged({ entries: [{ batchId: record.id, entryId: entry.id }], what: `${nameHere(spec.title)}, ${record.code}`, at: entry.at });
      clear();
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
    }
  });

  const isShort = spec.inputs.length <= 2 && corrects === undefined;
  // What was begun before stays in sight.
  const isFolded = !isUnfolded && draft.at === '' && Object.keys(draft.values).length === 0;
  const hasFields = !isFolded && (brineOf(spec.id) === null || corrects !== undefined);
  const inputs = byPiece(spec.inputs, pieces);
  const inRows = inputs.some(({ startsRow }) => startsRow);
  return (
    <Box component="form" sx={[styles.record, isShort && styles.short]} onSubmit={(event) => (busy ? event.preventDefault() : void send(event))} noValidate>
      {brineOf(spec.id) !== null && corrects === undefined && (
        <MixLines batch={batch} stepId={spec.id} values={draft.values} setValue={setValue} faultAt={faultAt} />
      )}
      {hasFields && (
        <Box sx={[styles.fields, inRows && styles.fieldsInRows, isShort && styles.fieldsShort]}>
          {inputs.map(({ input, name, startsRow }, i) => {
            const value = draft.values[name];
            const label =
              'each' in input && input.each === 'piece' && pieces.length > 1 ? `${nameHere(input.label)}, piece ${name.split(':')[1]}` : nameHere(input.label);
            if (input.kind === 'choice') {
              return (
                <div key={name}>
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
              <Box key={name} sx={[styles.weighable, startsRow && styles.weighableRow]}>
                <NumberField
                  big
                  label={label + (input.optional || isReadOfEach(input, pieces) ? OPTIONAL[input.kind] : '')}
                  quantity={quantityOf(name)}
                  value={asNumber(value)}
                  onChange={(typed) => setValue(name, typed)}
                  error={faultAt(`values.${name}`)}
                  hint={hintFor(batch, name, preferences)}
                  autoFocus={i === 0 && ((first && corrects !== undefined) || (folded && isUnfolded))}
                />
                {input.kind === 'mass' && <FromScale label={label} onTake={(g) => setValue(name, g)} />}
              </Box>
            );
          })}
        </Box>
      )}
      {!isFolded && corrects === undefined && spec.inputs.some((input) => input.kind === 'temperature') && (
        <ReadWith
          shown={spec.inputs.flatMap((input) => (input.kind === 'temperature' ? inputNames(input, pieces).map((name) => asNumber(draft.values[name])) : []))}
          at={Date.parse(entry.at)}
        />
      )}
      {leavesOpen !== undefined && (
        <Typography variant="note" sx={styles.leavesOpen} role="status">
          {unread.length === 0
            ? say(wordsOfStep(spec, record.process).gates[spec.gates.indexOf(leavesOpen)] ?? asWritten(leavesOpen.say))
            : `Piece ${unread.join(', ')} was not read: what another showed does not count for it. It stays open until it is.`}
          {mayClose && (unread.length === 0 ? ' To take it off all the same, write why.' : ' To go on without, write why: it will be called not shown.')}
        </Typography>
      )}
      {asksReason && (
        <>
          <WordsField
            label={corrects === undefined ? 'Reason, kept in the log' : 'What was wrong with it'}
            rows={2}
            maxLength={1000}
            value={draft.reason}
            onChange={(text) => change({ reason: text })}
            error={
              faults
                .filter((fault) => fault.field === 'reason')
                .map(said)
                .join(' ') || undefined
            }
          />
          <ReasonChips
            reasons={corrects !== undefined ? REASONS.corrected : isUnread || wasUnread ? REASONS.unread : spec.id === 'pull' ? REASONS.early : []}
            written={draft.reason}
            onWrite={(text) => change({ reason: text })}
          />
        </>
      )}
      {!isFolded && (
        <WhenField
          isShort={isShort}
          at={draft.at}
          now={now}
          about={draft.about === true}
          onChange={(at, about) => change({ at, about })}
          fault={faultAt('at') ?? (draft.at === '' ? undefined : said(faults.find((fault) => fault.field === 'at')))}
        />
      )}
      {refusal !== null && (
        <Strip level="caution" role="alert" word="Not logged">
          {refusal.message}
        </Strip>
      )}
      <Fault text={tried ? said(faults.find((fault) => fault.field === 'entry')) : undefined} />
      <Box sx={[styles.recordAct, isFolded && styles.folded, isShort && hasFields && spec.inputs.length > 0 && styles.actBeside]}>
        <Button type="submit" size="large" variant={first ? 'contained' : 'outlined'} aria-disabled={busy}>
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
        </Button>
        {isFolded && (
          <Button variant="text" onClick={() => setUnfolded(true)}>
            Read, or earlier
          </Button>
        )}
      </Box>
    </Box>
  );
}

const OPTIONAL = { mass: ' (if weighed)', temperature: ' (if read)', depth: ', coloured so deep (if cut)' } as const;

const Fault = ({ text }: { text: string | undefined }) =>
  text === undefined ? null : (
    <Typography variant="fault" role="alert">
      {text}
    </Typography>
  );

function hintFor({ state }: Batch, name: string, preferences: ReturnType<typeof usePreferences>): string | undefined {
  const [what, code = ''] = name.split(':');
  const greenG = state.facts.greenG[code];
  const grams = (g: number) => inWords(g, 'mass', preferences);
  const { school } = state.design;
  if (what === 'greenG' && greenG !== undefined) return `Planned ${grams(greenG)}`;
  if (what === 'pumpedG' && greenG !== undefined && isPumped(school) && (state.facts.pumpings[code] ?? []).length === 0)
    return `Aim at ${grams(greenG * (1 + school.pumpPercent / 100))}`;
  if (what === 'pumpedG' && greenG !== undefined && isPumped(school)) return `Aim at ${grams((greenG * school.repumpPercent) / 100)} more than before`;
  if (what === 'pulledG' && greenG !== undefined) return `Green ${grams(greenG)}`;
  if (what === 'pickleC' || what === 'brineC') return `At most ${inWords(COLD_MOST_C, 'temperature', preferences, 0)}`;
  return undefined;
}
