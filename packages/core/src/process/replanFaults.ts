import { attempt, withDraft, withoutAct, type EntryDraft, type EntryFault } from './entryFault.js';
import { MIX_STEP_BRINE } from './batchFacts.js';
import type { StandingEntry } from './logEntry.js';
import { changedDesign, LATE_CHANGES, type DesignChanges } from './replan.js';
import { replay, type BatchRecord, type BatchState } from './replay.js';

const named = (changes: DesignChanges): (keyof DesignChanges)[] =>
  (Object.keys(changes) as (keyof DesignChanges)[]).filter((name) => changes[name] !== undefined);

/** Why a plan may not be changed so, or nothing. What is done stays done; meat and brine that have met cannot be decided anew. */
export function replanFaults(record: BatchRecord, state: BatchState, draft: Extract<EntryDraft, { kind: 'replanned' }>, now: number): EntryFault[] {
  const tried = attempt(() => changedDesign(state.design, record.process, draft.changes));
  if ('fault' in tried) return [tried.fault];
  const asked = named(draft.changes);
  const isClosed = (id: string) => state.steps.some((step) => step.spec.id === id && step.closing !== null);
  if (asked.some((name) => !LATE_CHANGES.includes(name)) && Object.keys(MIX_STEP_BRINE).some(isClosed)) {
    return [{ field: 'entry', message: 'The brine is mixed: only the days of cure, the cold and the soak can still be planned anew.' }];
  }
  const moved = stepAtFaults(state, draft.changes);
  if (moved.length > 0) return moved;
  if (asked.some((name) => name !== 'soakMin' && name !== 'stepAt') && isClosed('pull'))
    return [{ field: 'entry', message: 'It is pulled: the cure cannot be planned anew.' }];
  if (asked.includes('soakMin') && isClosed('soak-out')) return [{ field: 'entry', message: 'The soak is over: it cannot be planned anew.' }];
  return futureFaults(state, withDraft(record, draft), now);
}

/** Jobs that are not there, or done, cannot be moved; nothing is moved a year away. */
function stepAtFaults(state: BatchState, { stepAt = {} }: DesignChanges): EntryFault[] {
  for (const [id, at] of Object.entries(stepAt)) {
    const step = state.steps.find((candidate) => candidate.spec.id === id);
    if (step === undefined) return [{ field: 'changes.stepAt', message: 'This batch has no such step.' }];
    if (step.closing !== null) return [{ field: 'changes.stepAt', message: `${step.spec.title} is done already: it does not move.` }];
    if (Math.abs(Date.parse(at) - step.dueAt) > 366 * 86_400_000) return [{ field: 'changes.stepAt', message: 'More than a year away: look at the date.' }];
  }
  return [];
}

/** Why a change of the plan may not be taken back. */
export function withdrawnPlanFaults(record: BatchRecord, state: BatchState, target: StandingEntry & { kind: 'replanned' }, now: number): EntryFault[] {
  const mixed = state.steps.some((step) => Object.hasOwn(MIX_STEP_BRINE, step.spec.id) && step.closing !== null);
  if (mixed && named(target.changes).some((name) => !LATE_CHANGES.includes(name))) {
    return [{ field: 'entry', message: 'The brine is mixed by this plan: it cannot be taken back.' }];
  }
  return futureFaults(state, withoutAct(record, target), now);
}

/** The other plan must hold every step that is done, and hurt nobody. */
function futureFaults(state: BatchState, other: BatchRecord, now: number): EntryFault[] {
  const tried = attempt(() => replay(other, now), 'entry');
  if ('fault' in tried) return [tried.fault];
  const after = tried.value;
  const lost = state.steps.find((step) => step.closing !== null && !after.steps.some((kept) => kept.spec.id === step.spec.id));
  if (lost !== undefined) return [{ field: 'entry', message: `${lost.spec.title} is logged already: the plan cannot be so short.` }];
  const stop = after.findings.find((finding) => finding.level === 'stop' && !state.findings.some((known) => known.code === finding.code));
  return stop === undefined ? [] : [{ field: 'entry', message: stop.message }];
}
