import { planVariants, replay, schedulable, type BatchRecord, type BatchState, type HousePlan, type PlanVariant, type ScheduleParams } from '@bunkhouse/core';
import { useMemo } from 'react';
import { usePullWindows } from './usePullWindows';

/** Plans are made to the quarter of an hour. */
const QUARTER_MS = 900_000;

export const quarterOf = (now: number): string => new Date(Math.floor(now / QUARTER_MS) * QUARTER_MS).toISOString();

export interface HouseSchedule {
  params: ScheduleParams;
  /** other ways to make a batch, by its id */
  variants: Readonly<Record<string, PlanVariant[]>>;
}

/** What is late moves on with the clock: plans are read as they stood at the quarter, or at the last entry since, so that nothing is asked anew every few seconds. */
const standsAt = ({ entries }: BatchRecord, quarter: number): number => Math.max(quarter, Date.parse(entries.at(-1)?.recordedAt ?? '1970-01-01'));

/** The plans of all batches as the scheduler reads them: to the quarter of an hour, each pull within its window. */
export function useScheduleParams(batches: readonly { record: BatchRecord; state: BatchState }[], plan: HousePlan, now: number): HouseSchedule {
  const windows = usePullWindows(batches);
  const quarter = quarterOf(now);
  return useMemo(() => {
    const { resources, hours } = plan;
    const at = Date.parse(quarter);
    const standing = batches.map(({ record }) => ({ record, state: replay(record, standsAt(record, at)) }));
    const variants = Object.fromEntries(
      standing.flatMap(({ record, state }): [string, PlanVariant[]][] => {
        const found = planVariants(record, state, resources, at);
        return found.length === 0 ? [] : [[record.id, found]];
      }),
    );
    const plain = Object.fromEntries(Object.entries(variants).map(([id, found]) => [id, found.map(({ name, batch }) => ({ name, batch }))]));
    return {
      variants,
      params: {
        batches: standing.map(({ record, state }) => {
          const pull = windows.get(record.id);
          return schedulable(record, state, resources, pull === undefined ? {} : { pull });
        }),
        resources,
        hours,
        now: quarter,
        variants: plain,
      },
    };
  }, [batches, plan, quarter, windows]);
}
