import { movedPlan, type BatchState, type DesignChanges, type PlanVariant } from '@bunkhouse/core';

/** What is to change of a plan so that every job lies where it was proposed, those that do not move, too. */
export function changesOf(
  state: BatchState,
  { at, stores }: { at: Readonly<Record<string, string>>; stores: Readonly<Record<string, string>> },
  variant?: PlanVariant,
): DesignChanges {
  return { ...variant?.changes, ...movedPlan(state, at), ...(Object.keys(stores).length === 0 ? {} : { stores: { ...stores } }) };
}
