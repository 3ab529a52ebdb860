import { toDraft, type BatchResponse, type LogEntryRequest, type ToolResponse } from '@bunkhouse/api';
import { isParting, readEvent, readValues, replay, type EntryDraft, type PieceEvent } from '@bunkhouse/core';
import { createStore, get, set } from 'idb-keyval';
import { create } from 'zustand';
import { isLost, noteLost, onConnection } from './connection';
import { lastKnown } from './lastKnown';
import { request, Refusal } from './request';

/** An entry that waits on this device, with its real time. */
export interface Waiting {
  batchId: string;
  /** the batch's code, for whoever reads it here */
  code: string;
  entry: LogEntryRequest;
  /** as it will stand in the log, as far as this device knows */
  draft: EntryDraft;
  /** ms */
  keptAt: number;
  /** what the house said against it; null while it was not asked */
  refusal: string | null;
}

const KEY = 'waiting';
const store = typeof indexedDB === 'undefined' ? null : createStore('bunkhouse-outbox', 'entries');
const useOutbox = create<{ waiting: readonly Waiting[] }>(() => ({ waiting: [] }));

async function change(next: readonly Waiting[]): Promise<void> {
  useOutbox.setState({ waiting: next });
  if (store !== null) await set(KEY, next, store);
}

export const useWaiting = (): readonly Waiting[] => useOutbox(({ waiting }) => waiting);
export const waitingNow = (): readonly Waiting[] => useOutbox.getState().waiting;

/** Whether an entry can wait: a cut makes another batch, and its code is the house's to give. */
export const mayWait = ({ kind, event }: LogEntryRequest): boolean => kind !== 'pieces' || !isParting(event as PieceEvent);

/**
 * Keeps an entry on this device until the house answers. It was checked by the same rules that the house has.
 *
 * @returns the batch as it will stand
 */
export async function keepWaiting(record: BatchResponse, entry: LogEntryRequest): Promise<BatchResponse> {
  const before = waitingNow().filter(({ batchId }) => batchId === record.id);
  // What waits here is no entry that somebody else wrote: it is not counted as seen.
  const seen = entry.seen === undefined ? {} : { seen: Math.max(0, entry.seen - before.length) };
  const kept: Waiting = {
    batchId: record.id,
    code: record.code,
    entry: { ...entry, ...seen },
    draft: await asItWillStand(record, entry),
    keptAt: Date.now(),
    refusal: null,
  };
  await change([...waitingNow().filter(({ entry: { id } }) => id !== entry.id), kept]);
  return withWaiting(record, waitingNow());
}

/** An entry with its temperatures corrected as the house will do it. */
async function asItWillStand(record: BatchResponse, entry: LogEntryRequest): Promise<EntryDraft> {
  const draft = toDraft(entry);
  if (entry.readWith === undefined) return draft;
  const tools = ((await lastKnown('/api/tools')) ?? []) as ToolResponse[];
  const tool = tools.find(({ id }) => id === entry.readWith);
  if (tool === undefined) return draft;
  const at = Date.parse(draft.at);
  if (draft.kind === 'pit') return { ...draft, ...readEvent(tool, draft.event, at) };
  if (draft.kind !== 'done') return draft;
  const step = replay(record, at).step(draft.stepId);
  return { ...draft, ...readValues(tool, step?.spec.inputs ?? [], draft.values, at) };
}

/** A batch with what waits for it, as far as that can be: what the house refused stands beside it, not in it. */
export function withWaiting(record: BatchResponse, all: readonly Waiting[]): BatchResponse {
  const own = all.filter(({ batchId, refusal, entry }) => batchId === record.id && refusal === null && !record.entries.some(({ id }) => id === entry.id));
  if (own.length === 0) return record;
  const last = record.entries.at(-1)?.seq ?? 0;
  const entries = own.map(({ draft, keptAt }, i) => ({ ...draft, seq: last + i + 1, recordedAt: new Date(keptAt).toISOString() }));
  const whole = { ...record, entries: [...record.entries, ...entries] };
  try {
    replay(whole, Date.now());
    return whole;
  } catch {
    // Somebody wrote what contradicts it: the house will say so when it is asked.
    return record;
  }
}

/** Takes an entry back before it was sent. Answers whether it was still here. */
export async function takeWaiting(entryId: string): Promise<boolean> {
  if (!waitingNow().some(({ entry }) => entry.id === entryId)) return false;
  await change(waitingNow().filter(({ entry }) => entry.id !== entryId));
  // What was built on it may go now.
  if (!isLost()) void sendWaiting();
  return true;
}

type Sent = (batch: BatchResponse) => Promise<void>;
/** Who is told of a batch once an entry of it was taken. */
let tellSent: Sent = () => Promise.resolve();

/** Sends what waits, in its order, each batch's until the house refuses one: what was built on that waits for the decision. One page at a time. */
export async function sendWaiting(): Promise<void> {
  if (waitingNow().every(({ refusal }) => refusal !== null)) return;
  await alone(async () => {
    // Another page of this device may have sent some of it.
    if (store !== null) await change((await get<Waiting[]>(KEY, store)) ?? []);
    const stuck = new Set(
      waitingNow()
        .filter(({ refusal }) => refusal !== null)
        .map(({ batchId }) => batchId),
    );
    for (const { batchId, entry } of waitingNow()) {
      if (stuck.has(batchId)) continue;
      try {
        const batch = await request<BatchResponse>(`/api/batches/${batchId}/log`, entry, { quietly: true });
        await change(waitingNow().filter((own) => own.entry.id !== entry.id));
        await tellSent(batch);
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        if (error.offline || error.status >= 500) return noteLostAfter(error);
        // Nobody is signed in just now: it goes off when somebody is.
        if (error.status === 401) return;
        stuck.add(batchId);
        await change(waitingNow().map((own) => (own.entry.id === entry.id ? { ...own, refusal: error.message } : own)));
      }
    }
  });
}

/** One page of this device at a time; where the browser keeps no locks, on a page that came by plain http, one sending at a time in this page. */
async function alone(work: () => Promise<void>): Promise<void> {
  if ('locks' in navigator)
    return navigator.locks.request('bunkhouse-outbox', { ifAvailable: true }, async (lock) => {
      if (lock !== null) await work();
    });
  if (isSending) return;
  isSending = true;
  try {
    await work();
  } finally {
    isSending = false;
  }
}
let isSending = false;

/** A house that is there but cannot write just now is asked again, too. */
function noteLostAfter(error: Refusal): void {
  if (!error.offline) noteLost();
}

/** Asks the house once more after a decision. */
export async function sendAgain(entryId: string): Promise<void> {
  await change(waitingNow().map((own) => (own.entry.id === entryId ? { ...own, refusal: null, entry: unseen(own.entry) } : own)));
  if (!isLost()) await sendWaiting();
}

/** The cook has seen by now what the others wrote. */
const unseen = ({ seen: _seen, ...entry }: LogEntryRequest): LogEntryRequest => entry;

/** What was kept when the page was closed; and from then on, whatever waits is sent when there is a connection again. */
export async function openOutbox(sent: Sent): Promise<void> {
  tellSent = sent;
  if (store !== null) await change((await get<Waiting[]>(KEY, store).catch(() => undefined)) ?? []);
  const send = () => {
    if (!isLost()) void sendWaiting();
  };
  onConnection(send);
  // Another page of this device may have kept something.
  window.addEventListener('focus', send);
  send();
}
