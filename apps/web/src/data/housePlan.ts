import type { HousePlanRequest } from '@bunkhouse/api';
import type { HousePlan } from '@bunkhouse/core';
import useSWR, { mutate } from 'swr';
import { request } from './request';

const PLAN = '/api/house/plan';

/** When the house works and what it has. `undefined` until the first answer. */
export const useHousePlan = (): HousePlan | undefined => useSWR<HousePlan, Error>(PLAN, request, { revalidateOnFocus: false }).data;

export async function changeHousePlan(asked: HousePlanRequest): Promise<void> {
  await mutate(PLAN, await request<HousePlan>(PLAN, asked), { revalidate: false });
}

/** The plan as it stands, to be asked for with a change. */
export const asAsked = ({ hours, resources }: HousePlan, by: string): HousePlanRequest => ({
  timeZone: hours.timeZone,
  week: hours.week.map(([span]) => span ?? { fromMin: 0, toMin: 0 }),
  daysOff: [...hours.daysOff],
  hands: hours.hands,
  nightWatch: [...hours.nightWatch],
  resources: resources.map(({ closed = [], ...resource }) => ({ ...resource, closed: closed.map((one) => ({ ...one })) })),
  by,
});
