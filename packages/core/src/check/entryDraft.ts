import { InputError } from '../inputError.js';
import type { StandingEntry } from '../log/standingEntries.js';
import type { BatchRecord } from '../batch/batchState.js';
import { faultAt, type EntryFault, type EntryDraft } from '../log/entryFault.js';
import type { Message } from '../say/message.js';

/** A reason of fewer signs says nothing. */
export const REASON_LENGTH = 8;

export const hasReason = (reason: string | undefined): boolean => reason !== undefined && reason.trim().length >= REASON_LENGTH;

export function reasonFault(reason: string | undefined, length: number, said: Message): EntryFault[] {
  return reason !== undefined && reason.trim().length >= length ? [] : [faultAt('reason', said)];
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
    return { fault: faultAt(field ?? error.field, error.said) };
  }
}
