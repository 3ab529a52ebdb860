import type { PlannedStepId } from '../log/stepId.js';
import type { DoneEntry, StepValues } from '../log/logEntry.js';

const HOUR_MS = 3_600_000;

/** For tests: entries of a log whose hour nought is `start`, ms, written down at once. */
export const loggedFrom =
  (start: number) =>
  (seq: number, stepId: PlannedStepId, hours: number, values: StepValues): DoneEntry => {
    const at = new Date(start + hours * HOUR_MS).toISOString();
    return { id: `e${seq}`, seq, kind: 'done', stepId, values, by: 'Juno', at, recordedAt: at };
  };
