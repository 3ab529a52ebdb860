import type { BatchRequest, LogEntryRequest } from '@bunkhouse/api';
import { checkEntry, DAY_MS, HOUR_MS, localMinute, MINUTE_MS, replay, type BatchRecord, type EntryDraft } from '@bunkhouse/core';
import { toDesign } from '@bunkhouse/api';
import { processOfRequest } from './demoRecipes.js';
import { measure } from './measure.js';
import { seeded } from './random.js';

export interface PlayedBatch {
  request: BatchRequest;
  entries: LogEntryRequest[];
}

export interface PlayOptions {
  seed: number;
  cooks: readonly string[];
  idOf: (n: number) => string;
  /** the step to leave open, and everything after it */
  stopBefore?: string;
  /** ms; nothing is logged after it */
  until: number;
  /** where the cook sleeps at night; absent: awake at every hour */
  timeZone?: string;
}

const RISES_MIN = 6.25 * 60;
const GOES_TO_BED_MIN = 21.75 * 60;

/** What can wait is done by day: a turn or a re-pump that falls into the night comes the evening before, or in the morning, whichever is nearer. */
function byDay(at: number, since: number, timeZone: string): number {
  const minute = localMinute(at, timeZone);
  if (minute >= RISES_MIN && minute <= GOES_TO_BED_MIN) return at;
  const evening = at - (((minute - GOES_TO_BED_MIN) * MINUTE_MS + DAY_MS) % DAY_MS);
  const morning = at + (((RISES_MIN - minute) * MINUTE_MS + DAY_MS) % DAY_MS);
  return at - evening < morning - at && evening > since + HOUR_MS ? evening : morning;
}

const tastedRight = ({ entries }: BatchRecord): boolean => entries.some((entry) => entry.kind === 'done' && entry.values.taste === 'right');

/** A made-up cook works through a batch: every entry passes the same checks as a real one. */
export function playBatch(request: BatchRequest, options: PlayOptions): PlayedBatch & { record: BatchRecord } {
  const random = seeded(options.seed);
  const process = processOfRequest(request);
  let record: BatchRecord = { id: request.id, code: '', design: toDesign(request), process, entries: [] };
  const entries: LogEntryRequest[] = [];
  let clock = Date.parse(request.startsAt);
  for (let n = 0; n < 200; n += 1) {
    const state = replay(record, clock);
    const { next } = state;
    const ready = Math.max(clock, next?.dueAt ?? 0) + Math.round(1 + random() * 8) * MINUTE_MS;
    const canWait = next !== null && (next.spec.missable === true || next.spec.id === 'repump');
    const at = canWait && options.timeZone !== undefined ? byDay(ready, clock, options.timeZone) : ready;
    if (next === null || next.spec.id === options.stopBefore || at > options.until) break;
    const by = options.cooks[Math.floor(random() * options.cooks.length)] ?? 'Cook';
    const written = { id: options.idOf(n), stepId: next.spec.id, at: new Date(at).toISOString(), by };
    const draft: EntryDraft =
      next.spec.id === 'soak-in' && tastedRight(record) && options.stopBefore !== 'soak-out'
        ? { ...written, kind: 'skipped', reason: 'The fry test tasted right' }
        : { ...written, kind: 'done', values: measure(record, state, next.spec, at, random) };
    const faults = checkEntry(record, draft, at);
    if (faults.length > 0) throw new Error(`${request.product} ${next.spec.id}: ${faults.map((fault) => fault.message).join(' ')}`);
    entries.push(draft);
    record = { ...record, entries: [...record.entries, { ...draft, seq: n + 1, recordedAt: draft.at }] };
    clock = at;
  }
  return { request, entries, record };
}
