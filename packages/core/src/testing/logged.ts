import { HOUR_MS } from '../clock/spans.js';
import type { PlannedStepId } from '../log/stepId.js';
import type { DoneEntry, StepValues } from '../log/logEntry.js';

/** For tests: entries of a log whose hour nought is `start`, ms, written down at once. */
export const loggedFrom =
  (start: number) =>
  (seq: number, stepId: PlannedStepId, hours: number, values: StepValues): DoneEntry => {
    const at = new Date(start + hours * HOUR_MS).toISOString();
    return { id: `e${seq}`, seq, kind: 'done', stepId, values, by: 'Juno', at, recordedAt: at };
  };
