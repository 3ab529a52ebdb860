import { daysOf } from '../log/school.js';
import { HOUR_MS, DAY_MS } from '../clock/spans.js';
import { checkSays } from '../say/english/check.js';
import { asWritten } from '../say/asWritten.js';
import { titleOf } from '../steps/titleOf.js';
import type { CoolingState } from '../batch/coreEvidence.js';
import { attempt, hasReason, withDraft } from './entryDraft.js';
import { faultAt, type EntryDraft, type EntryFault } from '../log/entryFault.js';
import { closesStep, failedGates, readSoFar } from '../steps/gates.js';
import { piecesAt } from '../batch/pieces.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord, BatchState, StepState } from '../batch/batchState.js';
import type { Gate } from '../steps/step.js';
import { wordsOfStep } from '../batch/wordsOfStep.js';

type DoneDraft = Extract<EntryDraft, { kind: 'done' }>;

/** Gates that are not passed, a pull that comes too early, a chill that is not shown: a stop, or a reason that is to be written. */
export function gateFaults(record: BatchRecord, state: BatchState, step: StepState, draft: DoneDraft, at: number): EntryFault[] {
  const { values, reason } = draft;
  const written = hasReason(reason);
  const pieces = piecesAt(state, at);
  const read = readSoFar(step.spec, step.read, values);
  const failed = failedGates(step.spec, read, pieces);
  const words = wordsOfStep(step.spec, record.process);
  const saidOf = (gate: Gate) => words.gates[step.spec.gates.indexOf(gate)] ?? asWritten(gate.say);
  const stop = failed.find((gate) => gate.onFail === 'stop');
  if (stop !== undefined) return [faultAt(`values.${stop.inputs[0] ?? ''}`, saidOf(stop))];
  if (written) return [];
  const faults = failed.filter((gate) => gate.onFail === 'reason').map((gate) => faultAt('reason', saidOf(gate)));
  const early = step.spec.notBeforeCureShare;
  const from = early === undefined ? null : state.step(early.step)?.closing;
  if (early !== undefined && from) {
    const shortestMs = daysOf(record.process.cureDays, state.design.school.kind).shortest * early.share * DAY_MS;
    // Fewer days that were decided at the start were warned of then; a plan that was shortened on the way does not excuse a pull.
    const isEarly = at < Date.parse(from.at) + Math.min(shortestMs, record.design.cureDays * DAY_MS) - HOUR_MS;
    const short = reachFaults(record, draft, at);
    faults.push(...(short.length === 0 && isEarly ? [faultAt('reason', words.early ?? asWritten(early.say))] : short));
  }
  if (step.spec.cooling !== undefined && closesStep(step.spec, read, 'as if', pieces)) faults.push(...coolingFaults(record, step, draft, at));
  if (step.spec.id === 'pack') faults.push(...undecidedFaults(state));
  return faults;
}

/** A gate that was not met, or that may well not have been: what was decided is to be written. */
function coolingFaults(record: BatchRecord, { spec }: StepState, draft: EntryDraft, at: number): EntryFault[] {
  const own = replay(withDraft(record, draft), at).cooling.filter(({ stepId }) => stepId === spec.id);
  if (own.some(({ state }) => state === 'fail')) return [faultAt('reason', wordsOfStep(spec, record.process).missed ?? asWritten(''))];
  // At the most: to its end, or, where the thermometer's doubt leaves that open, to now.
  const mostOf = ({ state, mostH, startedAt }: CoolingState): number | null =>
    state === 'notShown' ? mostH : state === 'running' && startedAt !== null ? (at - startedAt) / HOUR_MS : null;
  const doubtful = own.find((gate) => (mostOf(gate) ?? 0) > gate.limitH);
  if (doubtful === undefined) return [];
  const { piece, limitH } = doubtful;
  const shown = { gate: titleOf(spec), mostH: mostOf(doubtful) ?? 0, limitH };
  return [faultAt('reason', own.length > 1 ? checkSays('gate-not-shown-of', { ...shown, piece }) : checkSays('gate-not-shown', shown))];
}

/** Whatever a recipe or a rule of thumb says: meat that is pulled before the cure is in its middle asks for a decision. */
function reachFaults(record: BatchRecord, draft: DoneDraft, at: number): EntryFault[] {
  const tried = attempt(() => replay(withDraft(record, draft), at).findings);
  const short = 'value' in tried ? tried.value.find(({ code }) => code === 'not-cured') : undefined;
  return short === undefined ? [] : [faultAt('reason', checkSays('pulled-too-soon', { why: short }))];
}

/** Gates that were not met and of which nobody wrote what was decided: a correction does not decide. */
export function undecidedFaults({ cooling, standing, step }: BatchState): EntryFault[] {
  const open = cooling.filter(({ state, stepId, piece }) => {
    if (state !== 'fail') return false;
    const closing = step(stepId)?.closing;
    const isWritten = closing?.kind === 'done' && closing.corrections.length === 0 && hasReason(closing.reason);
    const key = `:${piece}`;
    return (
      !isWritten &&
      !standing.some(
        (entry) => entry.kind === 'pit' && entry.event.act === 'decided' && entry.event.alarm.startsWith('gate-') && entry.event.alarm.endsWith(key),
      )
    );
  });
  const [first] = open;
  if (first === undefined) return [];
  return [faultAt('reason', checkSays('gate-undecided', { piece: first.piece }))];
}
