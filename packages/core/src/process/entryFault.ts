import { InputError } from '../inputError.js';
import type { TemperatureFault } from '../safety/temperatureBounds.js';
import type { NewLogEntry, StandingEntry } from './logEntry.js';
import type { BatchRecord } from './replay.js';

/** A fault of an entry at one of its fields: `at`, `reason`, `values.NAME`, `changes.NAME`, or `entry` for the whole. */
export interface EntryFault {
  field: string;
  message: string;
  /** of a temperature that cannot be: the screen says it in the reader's unit */
  temperature?: TemperatureFault;
}

/** An entry on its way into the log. */
export type EntryDraft = NewLogEntry;

export function reasonFault(reason: string | undefined, length: number, message: string): EntryFault[] {
  return reason !== undefined && reason.trim().length >= length ? [] : [{ field: 'reason', message }];
}

/** The record as it would be with the entry written. */
export function withDraft(record: BatchRecord, draft: EntryDraft): BatchRecord {
  const seq = record.entries.length + 1;
  return { ...record, entries: [...record.entries, { ...draft, seq, recordedAt: draft.at }] };
}

/** The record as if an act, with its corrections, had never been written. */
export const withoutAct = (record: BatchRecord, act: StandingEntry): BatchRecord => ({
  ...record,
  entries: record.entries.filter((entry) => entry.id !== act.id && !(entry.kind === 'correction' && act.corrections.some(({ id }) => id === entry.id))),
});

/** What a computation answers, or its refusal as a fault. */
export function attempt<T>(work: () => T, field?: string): { value: T } | { fault: EntryFault } {
  try {
    return { value: work() };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { fault: { field: field ?? error.field, message: error.message } };
  }
}
