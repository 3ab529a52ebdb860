import type { BatchRequest, BatchResponse, FamilyMember, HouseResponse, LedgerRow, LogEntryRequest } from '@bunkhouse/api';
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

export const useLedger = () => useSWR<LedgerRow[], Error>(LEDGER, request, { refreshInterval: 30000 });

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
  void mutate(LEDGER);
  learnAgain();
}
