import type { LeaveOutRequest, LearntResponse } from '@bunkhouse/api';
import useSWR, { mutate } from 'swr';
import { request } from './request';

const LEARNT = '/api/learnt';

/** What the house has learnt from its cut faces and fry tests. `undefined` until the first answer. */
export const useLearnt = (): LearntResponse | undefined =>
  useSWR<LearntResponse, Error>(LEARNT, request, { revalidateOnFocus: false, dedupingInterval: 4000 }).data;

/** Leaves an observation out of it, or takes it back in. */
export async function leaveOut(asked: LeaveOutRequest): Promise<void> {
  await mutate(LEARNT, await request<LearntResponse>(`${LEARNT}/left-out`, asked), { revalidate: false });
}

/** Looks again: something was logged that it may learn from. */
export const learnAgain = (): void => void mutate(LEARNT);
