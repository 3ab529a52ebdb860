import { failedGates } from '../steps/gates.js';
import type { LogEntry } from '../log/logEntry.js';
import { piecesAt } from '../batch/pieces.js';
import type { BatchRecord, BatchState } from '../batch/batchState.js';

/** Something that did not go as it should, and what was decided: what an inspector looks for first. */
export interface Deviation {
  entryId: string;
  /** ISO instant */
  at: string;
  by: string;
  kind: 'gate' | 'leftOut' | 'correction' | 'withdrawn' | 'decided' | 'dropped' | 'early' | 'replanned' | 'ended';
  /** what it is about, in a few words */
  what: string;
  /** what was written */
  reason: string;
}

/** Changes of the hours are planning, no deviation. */
const PLANNING = ['stepAt', 'startsAt', 'readyBy', 'stores'];

/** Everything in a log that was not as planned, in the order it was written. */
export function deviations({ entries }: BatchRecord, state: BatchState): Deviation[] {
  const { steps, standing } = state;
  const title = (stepId: string) => steps.find(({ spec }) => spec.id === stepId)?.spec.title ?? stepId;
  const stepOf = (id: string): string => {
    const entry = entries.find((other) => other.id === id);
    if (entry === undefined) return '';
    return 'stepId' in entry ? title(entry.stepId) : 'replaces' in entry ? stepOf(entry.replaces) : '';
  };
  return entries.flatMap((entry): Deviation[] => {
    const deviation = (kind: Deviation['kind'], what: string): Deviation[] => [
      { entryId: entry.id, at: entry.at, by: entry.by, kind, what, reason: entry.reason ?? '' },
    ];
    switch (entry.kind) {
      case 'done': {
        const now = standing.find(({ id }) => id === entry.id);
        const spec = steps.find((step) => step.spec.id === entry.stepId)?.spec;
        if (now?.kind !== 'done' || spec === undefined || entry.reason === undefined) return [];
        return deviation(failedGates(spec, now.values, piecesAt(state, Date.parse(now.at))).length > 0 ? 'gate' : 'early', title(entry.stepId));
      }
      case 'skipped':
        return deviation('leftOut', `${title(entry.stepId)} left out`);
      case 'correction':
        return deviation('correction', `${stepOf(entry.replaces)} corrected`);
      case 'withdrawn':
        return deviation('withdrawn', `${headOf(entries, entry.replaces, stepOf)} taken back`);
      case 'replanned':
        return Object.keys(entry.changes).every((name) => PLANNING.includes(name)) ? [] : deviation('replanned', 'Plan changed');
      case 'pit':
        return entry.event.act === 'decided' ? deviation('decided', `Decided: ${entry.event.alarm}`) : [];
      case 'pieces':
        return entry.event.act === 'dropped' ? deviation('dropped', `Piece ${entry.event.piece} left the batch`) : [];
      case 'ended':
        return deviation('ended', 'Thrown away');
      case 'lot':
        return entry.reason === undefined ? [] : deviation('gate', `Lot of ${entry.draw.of}`);
      case 'note':
        return [];
    }
  });
}

function headOf(entries: readonly LogEntry[], id: string, stepOf: (id: string) => string): string {
  const step = stepOf(id);
  if (step !== '') return step;
  return entries.find((entry) => entry.id === id)?.kind === 'replanned' ? 'A change of plan' : 'An entry';
}
