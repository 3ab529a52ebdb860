import type { LotBatch, LotRequest, LotResponse } from '@bunkhouse/api';
import useSWR, { mutate } from 'swr';
import { request } from './request';

const LOTS = '/api/lots';

export const useLots = () => useSWR<LotResponse[], Error>(LOTS, request, { revalidateOnFocus: false });

/** Which batches hold a lot. */
export const useHolders = (id: string | null) => useSWR<LotBatch[], Error>(id === null ? null : `${LOTS}/${id}/batches`, request);

export async function keepLot(lot: LotRequest): Promise<void> {
  await mutate(LOTS, await request<LotResponse[]>(LOTS, lot), { revalidate: false });
}

/** Something was taken. */
export const lookAtLots = (): void => void mutate((key) => typeof key === 'string' && key.startsWith(LOTS));
