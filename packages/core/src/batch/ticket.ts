import type { SingleStepId } from '../log/stepId.js';
import type { Closing, StepState, Ticket } from './batchState.js';

/** The steps of a batch, to be asked for by their ids. */
export function ticketOf(steps: StepState[]): Ticket {
  const byId = new Map(steps.map((step) => [step.spec.id, step]));
  // What stands in a log under a step's id was measured at it: its names are checked when it is written.
  const closing = <Id extends SingleStepId>(id: Id) => (byId.get(id)?.closing ?? null) as Closing<Id> | null;
  return {
    steps,
    step: (id) => byId.get(id) ?? null,
    closing,
    closedAt: (id) => {
      const entry = closing(id);
      return entry === null ? null : Date.parse(entry.at);
    },
  };
}
