import { whatIfs } from '../course/whatIf.js';
import { withDraft } from '../check/entryDraft.js';
import type { DesignChanges } from '../log/designChanges.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord, BatchState } from '../batch/batchState.js';
import type { Resource, Variant } from '../schedule/scheduleTypes.js';
import { schedulable } from './schedulable.js';

/** Another way to make a batch, and what it changes of its plan beside the hours. */
export interface PlanVariant extends Variant {
  changes: DesignChanges;
}

/** What else might be done with a batch that is in the way: pump it, or let the meat come sooner. Only what its log still lets it. */
export function planVariants(record: BatchRecord, state: BatchState, resources: readonly Resource[], now: number): PlanVariant[] {
  const found: PlanVariant[] = [];
  const pump = whatIfs(record, state, now).find(({ id, open }) => id === 'pump' && open);
  if (pump !== undefined && (pump.changes.cureDays ?? Infinity) < state.design.cureDays) {
    const at = new Date(now).toISOString();
    const pumped = withDraft(record, { id: 'pump', kind: 'replanned', changes: pump.changes, reason: pump.title, by: '', at });
    const made = schedulable(pumped, replay(pumped, now), resources);
    // Hours were planned for the other way: these follow the process again.
    found.push({ name: 'pump', changes: pump.changes, batch: { ...made, steps: made.steps.map(({ plannedAt: _plannedAt, ...step }) => step) } });
  }
  const first = state.steps.find((step) => step.spec.after.step === 'start');
  if (first !== undefined && first.closing === null && Date.parse(state.design.startsAt) > now) {
    const made = schedulable(record, state, resources);
    const steps = made.steps.map((step) => (step.id === first.spec.id ? { ...step, earliest: new Date(now).toISOString() } : step));
    found.push({ name: 'sooner', changes: {}, batch: { ...made, steps } });
  }
  return found;
}
