import type { BatchRequest, BatchResponse, FamilyMember, HouseResponse, LedgerResponse, LogEntryRequest, TrendPoint } from '@bunkhouse/api';
import { replay, type BatchState } from '@bunkhouse/core';
import { useMemo } from 'react';
import useSWR, { mutate } from 'swr';
import { tellTime, useNow } from '../shell/useNow';
import { learnAgain } from './learnt';
import { request } from './request';

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
  const batches = useMemo(() => data?.map((record) => ({ record, state: replay(record, now) })).filter(({ state }) => state.outcome === 'live'), [data, now]);
  return { batches, failed: error !== undefined };
}

export function useBatch(id: string): { batch: Batch | undefined; error: Error | undefined } {
  const { data, error } = useSWR<BatchResponse, Error>(batchKey(id), request, { refreshInterval: 8000, shouldRetryOnError: false });
  const now = useNow();
  const batch = useMemo(() => (data === undefined ? undefined : { record: data, state: replay(data, now) }), [data, now]);
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

/** Writes an entry and shows what follows from it at once, everywhere. */
export async function writeEntry(batchId: string, entry: LogEntryRequest): Promise<BatchResponse> {
  const after = await request<BatchResponse>(`${batchKey(batchId)}/log`, entry);
  await refresh(after);
  return after;
}

export async function startBatch(asked: BatchRequest): Promise<BatchResponse> {
  const batch = await request<BatchResponse>(LIVE, asked);
  await refresh(batch);
  return batch;
}

/** Looks again: somebody else was quicker. */
export const lookAgain = (batchId: string) => Promise.all([mutate(LIVE), mutate(batchKey(batchId))]);

async function refresh(batch: BatchResponse): Promise<void> {
  tellTime();
  await mutate(batchKey(batch.id), batch, { revalidate: false });
  await mutate<BatchResponse[]>(
    LIVE,
    (live) =>
      live === undefined ? undefined : [...live.filter((other) => other.id !== batch.id), batch].sort((a, b) => a.createdAt.localeCompare(b.createdAt)),
    { revalidate: false },
  );
  void mutate(LIVE);
  void mutate((key) => typeof key === 'string' && key.startsWith(LEDGER));
  learnAgain();
}
