import type { BatchRequest, BatchResponse, FamilyMember, HouseResponse, LedgerResponse, LogEntryRequest, SettingsRequest, TrendPoint } from '@bunkhouse/api';
import { replay, type BatchState } from '@bunkhouse/core';
import { useMemo } from 'react';
import useSWR, { mutate } from 'swr';
import { tellTime, useNow } from './useNow';
import { learnAgain } from './learnt';
import { isLost } from './connection';
import { lastKnown } from './lastKnown';
import { keepWaiting, mayWait, openOutbox, sendWaiting, useWaiting, waitingNow, withWaiting } from './outbox';
import { Refusal, request } from './request';

const LIVE = '/api/batches';
const LEDGER = '/api/ledger';
const batchKey = (id: string) => `${LIVE}/${id}`;

/** A batch and what follows from it at this minute. */
export interface Batch {
  record: BatchResponse;
  state: BatchState;
}

/** Every live batch, derived for now. `undefined` until the first answer. */
export function useLiveBatches(): { batches: Batch[] | undefined; failed: boolean } {
  const { data, error } = useSWR<BatchResponse[], Error>(LIVE, request, { refreshInterval: 8000, keepPreviousData: true });
  const now = useNow();
  const waiting = useWaiting();
  const batches = useMemo(
    () =>
      data
        ?.map((known) => withWaiting(known, waiting))
        .map((record) => ({ record, state: replay(record, now) }))
        .filter(({ state }) => state.outcome === 'live'),
    [data, now, waiting],
  );
  return { batches, failed: error !== undefined };
}

export function useBatch(id: string): { batch: Batch | undefined; error: Error | undefined } {
  const { data, error } = useSWR<BatchResponse, Error>(batchKey(id), request, { refreshInterval: 8000, shouldRetryOnError: false });
  const now = useNow();
  const waiting = useWaiting();
  const batch = useMemo(() => {
    if (data === undefined) return undefined;
    const record = withWaiting(data, waiting);
    return { record, state: replay(record, now) };
  }, [data, now, waiting]);
  return { batch, error };
}

/** Every batch that was cut from the same one; asked for only where there was a cut. */
export const useFamily = (id: string | null) => useSWR<FamilyMember[], Error>(id === null ? null : `${batchKey(id)}/family`, request).data;

/** What of the Ledger is asked for, in the words of an address: `product=pastrami&sort=yieldPercent`. */
export const useLedger = (query: string) =>
  useSWR<LedgerResponse, Error>(query === '' ? LEDGER : `${LEDGER}?${query}`, request, { refreshInterval: 30000, keepPreviousData: true });

export const useTrends = (query: string) =>
  useSWR<TrendPoint[], Error>(`${LEDGER}/trends${query === '' ? '' : `?${query}`}`, request, { keepPreviousData: true });

/** Several batches whole, in the order of their ids. */
export function useBatches(ids: readonly string[]): { batches: (Batch | undefined)[]; failed: boolean } {
  const { data, error } = useSWR<BatchResponse[], Error>(ids.length === 0 ? null : ['batches', ...ids], () =>
    Promise.all(ids.map((id) => request<BatchResponse>(batchKey(id)))),
  );
  const now = useNow();
  const batches = useMemo(() => ids.map((_, i) => (data?.[i] === undefined ? undefined : { record: data[i], state: replay(data[i], now) })), [data, ids, now]);
  return { batches, failed: error !== undefined };
}

export const useHouse = () => useSWR<HouseResponse, Error>('/api/house', request, { revalidateOnFocus: false });

export async function changeSettings(asked: SettingsRequest): Promise<void> {
  await mutate('/api/house', await request<HouseResponse>('/api/house', asked), { revalidate: false });
  void mutate('/api/session');
}

/** Writes an entry and shows what follows from it at once, everywhere. */
export async function writeEntry(batchId: string, entry: LogEntryRequest): Promise<BatchResponse> {
  const after = await told(batchId, entry);
  await refresh(after);
  return after;
}

/**
 * Several entries, one after the other. The screen follows once, when all are told or one is refused: after each of twenty it would work out the
 * whole house twenty times.
 *
 * @param onTold with the number of each that the house has
 */
export async function writeEntries(
  entries: readonly { batchId: string; entry: LogEntryRequest }[],
  onTold: (i: number) => void = () => undefined,
): Promise<void> {
  const after: BatchResponse[] = [];
  try {
    for (const [i, { batchId, entry }] of entries.entries()) {
      after.push(await told(batchId, entry));
      onTold(i);
    }
  } finally {
    if (after.length > 0) await refreshAll(after);
  }
}

/** The batch as it is once the house was told; or as it will be, where there is no connection and the entry waits here. */
async function told(batchId: string, entry: LogEntryRequest): Promise<BatchResponse> {
  try {
    // What waits comes first: the house is told in the order in which it was done.
    if (waitingNow().some((own) => own.batchId === batchId && own.refusal === null))
      throw new Refusal(0, { message: 'It waits for what was logged before it.' });
    return await request<BatchResponse>(`${batchKey(batchId)}/log`, entry);
  } catch (error) {
    if (!(error instanceof Refusal) || !error.offline || !mayWait(entry)) throw error;
    const known = (await lastKnown(batchKey(batchId))) as BatchResponse | undefined;
    if (known === undefined) throw error;
    await keepWaiting(known, entry);
    if (!isLost()) void sendWaiting();
    return known;
  }
}

/** What waited on this device when the page was closed is sent, and whatever will wait. */
export const openBook = (): Promise<void> => openOutbox(refresh);

export async function startBatch(asked: BatchRequest): Promise<BatchResponse> {
  const batch = await request<BatchResponse>(LIVE, asked);
  await refresh(batch);
  return batch;
}

/** Looks again: somebody else was quicker. */
export const lookAgain = (batchId: string) => Promise.all([mutate(LIVE), mutate(batchKey(batchId))]);

const refresh = (batch: BatchResponse): Promise<void> => refreshAll([batch]);

/** @param after as they were told, the last word of each last */
async function refreshAll(after: readonly BatchResponse[]): Promise<void> {
  tellTime();
  const now = new Map(after.map((batch) => [batch.id, batch]));
  await Promise.all([...now].map(([id, batch]) => mutate(batchKey(id), batch, { revalidate: false })));
  await mutate<BatchResponse[]>(
    LIVE,
    (live) =>
      live === undefined ? undefined : [...live.filter(({ id }) => !now.has(id)), ...now.values()].sort((a, b) => a.createdAt.localeCompare(b.createdAt)),
    { revalidate: false },
  );
  void mutate(LIVE);
  void mutate((key) => typeof key === 'string' && key.startsWith(LEDGER));
  learnAgain();
}
