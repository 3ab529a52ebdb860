import type { BatchResponse } from '@bunkhouse/api';
import type { LogEntry, Origin } from '@bunkhouse/core';
import type { BatchEntity } from './batchEntity.js';

/** A batch with what is its own in its log. */
export interface OwnLog {
  batch: BatchEntity;
  entries: readonly LogEntry[];
}

/**
 * A batch with its whole log: of a part that was cut off the log up to the cut is that of the whole, with every correction that was
 * written to it since; then comes what is its own. Entries count from 1 in that order.
 *
 * @param known every batch that it was cut from, and itself
 */
export function withSharedLog(id: string, known: ReadonlyMap<string, OwnLog>): BatchResponse {
  const own = known.get(id);
  if (own === undefined) throw new Error(`batch ${id} was not read`);
  const { batch } = own;
  const response: BatchResponse = {
    id: batch.id,
    code: batch.code,
    design: batch.design,
    process: batch.process,
    createdBy: batch.createdBy,
    createdAt: batch.createdAt.toISOString(),
    entries: [...own.entries],
  };
  if (batch.cutFrom === null || batch.cutAfter === null) return response;
  const whole = withSharedLog(batch.cutFrom, known);
  const shared = whole.entries.slice(0, batch.cutAfter);
  const later = correctionsOf(shared, whole.entries.slice(batch.cutAfter));
  const after = [...later, ...own.entries].sort((a, b) => a.recordedAt.localeCompare(b.recordedAt));
  const origin: Origin = {
    batchId: whole.id,
    code: whole.code,
    sharedEntries: shared.length,
    line: [whole.id, ...(whole.origin?.line ?? [])],
  };
  return { ...response, origin, entries: [...shared, ...after].map((entry, i) => ({ ...entry, seq: i + 1 })) };
}

/** What was put right or taken back of some entries, and of what put them right. */
function correctionsOf(entries: readonly LogEntry[], later: readonly LogEntry[]): LogEntry[] {
  const ids = new Set(entries.map(({ id }) => id));
  return later.filter((entry) => {
    if (!('replaces' in entry) || !ids.has(entry.replaces)) return false;
    ids.add(entry.id);
    return true;
  });
}
