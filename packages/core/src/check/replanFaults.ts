import { isPumped } from '../batch/design.js';
import { HOUR_MS, DAY_MS } from '../clock/spans.js';
import type { PlannedStepId, SingleStepId } from '../log/stepId.js';
import { attempt, withDraft, withoutAct } from './entryDraft.js';
import { faultAt, type EntryDraft, type EntryFault } from '../log/entryFault.js';
import { checkSays } from '../say/english/check.js';
import type { Message } from '../say/message.js';
import type { Quantity } from '../say/quantity.js';
import { titleOf } from '../steps/titleOf.js';
import { MIX_STEPS } from '../steps/mixSteps.js';
import { requireProgram } from '../recipes/cookProgram.js';
import { slowSmokeFault } from '../batch/slowSmoke.js';
import { gapLimits } from '../batch/gapLimits.js';
import type { StandingEntry } from '../log/standingEntries.js';
import { changedDesign, LATE_CHANGES } from '../batch/replan.js';
import type { DesignChanges } from '../log/designChanges.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord, BatchState, StepState } from '../batch/batchState.js';

/** What may be planned anew after the pull, too. */
const AFTER_PULL: readonly (keyof DesignChanges)[] = ['soakMin', 'stepAt', 'readyBy', 'stores', 'program'];

const named = (changes: DesignChanges): (keyof DesignChanges)[] =>
  (Object.keys(changes) as (keyof DesignChanges)[]).filter((name) => changes[name] !== undefined);

/** Why a plan may not be changed so, or nothing. What is done stays done; meat and brine that have met cannot be decided anew. */
export function replanFaults(record: BatchRecord, state: BatchState, draft: Extract<EntryDraft, { kind: 'replanned' }>, now: number): EntryFault[] {
  const tried = attempt(() => changedDesign(state.design, record.process, draft.changes));
  if ('fault' in tried) return [tried.fault];
  const asked = named(draft.changes);
  const isClosed = (id: SingleStepId) => state.closing(id) !== null;
  if (asked.some((name) => !LATE_CHANGES.includes(name)) && Object.values(MIX_STEPS).some(isClosed)) {
    return [faultAt('entry', checkSays('brine-is-mixed'))];
  }
  // A pump so small that its pickle cannot be made is refused here, not found out later.
  const pumped = attempt(() => schooled(record, state, draft, now), 'changes.pumpPercent');
  if ('fault' in pumped) return [pumped.fault];
  const moved = stepAtFaults(record, pumped.value, draft.changes, now);
  if (moved.length > 0) return moved;
  if (asked.includes('startsAt') && state.steps.some((step) => step.closing !== null)) return [faultAt('entry', checkSays('work-has-begun'))];
  if (asked.some((name) => !AFTER_PULL.includes(name)) && isClosed('pull')) return [faultAt('entry', checkSays('is-pulled'))];
  if (asked.includes('soakMin') && isClosed('soak-out')) return [faultAt('entry', checkSays('soak-is-over'))];
  if (asked.includes('program') && isClosed('core')) return [faultAt('entry', checkSays('off-the-fire'))];
  const uncured =
    draft.changes.program === undefined
      ? null
      : slowSmokeFault(
          requireProgram(draft.changes.program),
          state.cured.every(({ isCured }) => isCured),
          state.pieces,
        );
  if (uncured !== null) return [faultAt('changes.program', uncured)];
  return futureFaults(state, withDraft(record, draft), now);
}

/** Where the school changes, its jobs and limits are those of the other school, its days the usual ones. */
function schooled(record: BatchRecord, state: BatchState, draft: Extract<EntryDraft, { kind: 'replanned' }>, now: number): BatchState {
  const { pumpPercent, pickleSaltPercent } = draft.changes;
  if (pumpPercent === undefined || isPumped(state.design.school)) return state;
  const cureDays = record.process.cureDays.pumpAndCover.usual;
  return replay(withDraft(record, { ...draft, changes: { pumpPercent, pickleSaltPercent, cureDays } }), now);
}

/** Jobs that are not there, or done, cannot be moved; nothing is moved a year away. */
function stepAtFaults(record: BatchRecord, state: BatchState, { stepAt = {} }: DesignChanges, now: number): EntryFault[] {
  const at = (id: PlannedStepId) => Date.parse(stepAt[id] ?? '');
  for (const id of Object.keys(stepAt) as PlannedStepId[]) {
    const step = state.step(id);
    if (step === null) return [faultAt('changes.stepAt', checkSays('no-such-step'))];
    if (step.closing !== null) return [faultAt('changes.stepAt', checkSays('done-already', { step: titleOf(step.spec) }))];
    if (Math.abs(at(id) - step.dueAt) > 366 * DAY_MS) return [faultAt('changes.stepAt', checkSays('a-year-away'))];
    const limit = limitFault(record, state, step, at(id), now, (other) => (stepAt[other] === undefined ? null : at(other)));
    if (limit !== null) return [faultAt('changes.stepAt', limit)];
  }
  return [];
}

/** Plans are made to the quarter of an hour. */
const SLACK_MS = 900_000;

/** Why a job may not lie so soon or so late after the one that it counts from: its limits are those of its process. */
function limitFault(
  { process }: BatchRecord,
  { design, step: stepAt }: BatchState,
  { spec }: StepState,
  at: number,
  now: number,
  movedTo: (stepId: PlannedStepId) => number | null,
): Message | null {
  const anchor = spec.after.step === 'start' ? null : stepAt(spec.after.step);
  if (anchor === null) return null;
  const from = anchor.closing === null ? (movedTo(anchor.spec.id) ?? anchor.dueAt) : Date.parse(anchor.closing.at);
  const { leastH: least, mostH: most } = gapLimits(spec, process, design);
  const span = (h: number): Quantity => (h >= 48 ? { value: Number((h / 24).toFixed(1)), unit: 'days' } : { value: h, unit: 'h' });
  const between = (h: number) => ({ step: titleOf(spec), span: span(h), anchor: titleOf(anchor.spec) });
  if (at < from + least * HOUR_MS - SLACK_MS) return checkSays('not-sooner', between(least));
  // How late something is that is overdue nobody knows yet: what follows it may wait for it.
  if (anchor.closing === null && movedTo(anchor.spec.id) === null && anchor.dueAt < now) return null;
  // What is late already cannot be on time: it is only not put off further.
  if (at > Math.max(from + most * HOUR_MS, stepAt(spec.id)?.dueAt ?? 0) + SLACK_MS) return checkSays('not-later', between(most));
  return null;
}

/** Why a change of the plan may not be taken back. */
export function withdrawnPlanFaults(record: BatchRecord, state: BatchState, target: StandingEntry & { kind: 'replanned' }, now: number): EntryFault[] {
  const mixed = Object.values(MIX_STEPS).some((id) => state.closing(id) !== null);
  if (mixed && named(target.changes).some((name) => !LATE_CHANGES.includes(name))) {
    return [faultAt('entry', checkSays('mixed-by-this-plan'))];
  }
  return futureFaults(state, withoutAct(record, target), now);
}

/** The other plan must hold every step that is done, and hurt nobody. */
function futureFaults(state: BatchState, other: BatchRecord, now: number): EntryFault[] {
  const tried = attempt(() => replay(other, now), 'entry');
  if ('fault' in tried) return [tried.fault];
  const after = tried.value;
  const lost = state.steps.find((step) => step.closing !== null && !after.steps.some((kept) => kept.spec.id === step.spec.id));
  if (lost !== undefined) return [faultAt('entry', checkSays('plan-too-short', { step: titleOf(lost.spec) }))];
  const stop = after.findings.find((finding) => finding.level === 'stop' && !state.findings.some((known) => known.code === finding.code));
  return stop === undefined ? [] : [faultAt('entry', stop)];
}
