import type { LogEntry } from '../log/logEntry.js';
import { processFor } from '../recipes/processes.js';
import type { BatchRecord } from '../batch/batchState.js';
import { usualDesign } from '../recipes/usualDesign.js';
import { loggedFrom } from './logged.js';

/** For tests: a usual loin that begins at `start`, ms, with what is logged of it. */
export const loinFrom =
  (start: number) =>
  (entries: LogEntry[] = []): BatchRecord => ({
    id: 'b',
    code: 'T-1',
    design: usualDesign('canadian-bacon', new Date(start).toISOString()),
    process: processFor('canadian-bacon'),
    entries,
  });

/** Weighed, mixed, and in its brine after four hours. */
export function begunFrom(start: number): LogEntry[] {
  const done = loggedFrom(start);
  return [
    done(1, 'weigh', 0.2, { 'greenG:A': 2600 }),
    done(2, 'mix', 1, { waterG: 1170, saltG: 80, sugarG: 41, cureG: 9 }),
    done(3, 'meat-in', 4, { brineC: 3 }),
  ];
}
