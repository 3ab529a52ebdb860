import type { PlannedStepId, StepInstants } from '../log/stepId.js';
import type { DesignChanges } from '../log/designChanges.js';
import type { BatchState, StepState } from '../batch/batchState.js';
import { movedPlan } from './movedPlan.js';

const isTurn = (step: StepState): boolean => step.spec.missable === true;

/** All that is still to come of a batch, so much later or earlier. Turns go with the meat: one that has a time of its own keeps its distance. */
export function shiftedPlan(state: BatchState, byMs: number): DesignChanges {
  return movedPlan(state, shifted(state, byMs, 0, true));
}

/** One job set down at another instant; what follows it keeps its distance, as far as it has a time of its own. */
export function draggedPlan(state: BatchState, stepId: PlannedStepId, at: string): DesignChanges {
  const index = state.steps.findIndex((step) => step.spec.id === stepId);
  const step = state.steps[index];
  if (step === undefined || isTurn(step)) return movedPlan(state, { [stepId]: at });
  return movedPlan(state, { ...shifted(state, Date.parse(at) - step.dueAt, index + 1, false), [stepId]: at });
}

/** Where the open jobs from one on would lie; all of them, or only those with a time of their own. */
function shifted(state: BatchState, byMs: number, from: number, all: boolean): StepInstants {
  const lies = state.closing('meat-in') !== null;
  const own = state.design.stepAt ?? {};
  const moving = state.steps
    .slice(from)
    .filter((step) => step.closing === null && step.status !== 'missed')
    .filter((step) => (isTurn(step) ? !lies && own[step.spec.id] !== undefined : all || own[step.spec.id] !== undefined));
  return Object.fromEntries(moving.map((step) => [step.spec.id, new Date(step.dueAt + byMs).toISOString()]));
}
