import { toDesign, type BatchRequest } from '@bunkhouse/api';
import { schedulable, type Clash, type HousePlan, type Schedule } from '@bunkhouse/core';
import { useMemo } from 'react';
import { useLiveBatches, type Batch } from '../../data/batches';
import { useHousePlan } from '../../data/housePlan';
import { useNow } from '../../data/useNow';
import { usePullWindows } from '../../workers/usePullWindows';
import type { ScheduleAsk } from '../../workers/schedule.worker';
import { useAsk } from '../../workers/useSchedule';
import { quarterOf, useScheduleParams } from '../../workers/useScheduleParams';
import { planOf } from './planOf';
import { useProcess } from './useProcess';

/** From when the meat comes on, back from the table, or between the two; at the usual hours of each job, or in those of the house. */
export type Direction = 'forwards' | 'backwards' | 'both';

/** What the house makes of a plan. */
export interface Fit {
  /** the fields that it asks for; null while nothing is known */
  fields: Pick<BatchRequest, 'startsAt' | 'stepAt' | 'stores'> | null;
  clashes: Clash[];
  /** what its jobs are called */
  titles: ReadonlyMap<string, string>;
  working: boolean;
  fault: string | null;
  plan: HousePlan;
}

/** Where the batch would fit in beside everything that stands. Null while it is not asked for, or the form is not whole. */
export function useFit(request: BatchRequest, direction: Direction, inHours: boolean): Fit | null {
  const { batches } = useLiveBatches();
  const plan = useHousePlan();
  const wanted = direction !== 'forwards' || inHours;
  return useFitted(wanted && batches !== undefined && plan !== undefined ? { batches, plan } : null, request, direction);
}

const NO_PLAN: HousePlan = { hours: { timeZone: 'UTC', week: [[], [], [], [], [], [], []], daysOff: [], hands: 1, nightWatch: [] }, resources: [] };
const NO_BATCHES: Batch[] = [];

function useFitted(house: { batches: Batch[]; plan: HousePlan } | null, request: BatchRequest, direction: Direction): Fit | null {
  const now = useNow();
  const process = useProcess(request);
  const { stepAt: _stepAt, stores: _stores, startsAt, readyBy, ...rest } = request;
  const quarter = quarterOf(now);
  const asked = useMemo(() => {
    const said = { ...rest, startsAt: direction === 'backwards' ? quarter : startsAt, ...(direction === 'forwards' ? {} : { readyBy }) } as BatchRequest;
    const planned = house === null ? null : planOf(said, process);
    return planned !== null && 'state' in planned
      ? [{ record: { id: request.id, code: 'This batch', design: toDesign(said), process, entries: [] }, state: planned.state }]
      : [];
    // `rest` is what its letters say.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [JSON.stringify(rest), direction, direction === 'backwards' ? quarter : startsAt, readyBy, house === null, request.id, process]);
  const windows = usePullWindows(asked);
  const { params } = useScheduleParams(house?.batches ?? NO_BATCHES, house?.plan ?? NO_PLAN, now);
  const ask = useMemo((): ScheduleAsk | null => {
    const [one] = asked;
    if (house === null || one === undefined || (direction !== 'forwards' && readyBy === undefined)) return null;
    const pull = windows.get(request.id);
    const made = schedulable(one.record, one.state, house.plan.resources, {
      ...(pull === undefined ? {} : { pull }),
      ...(direction === 'backwards' ? { anyStartFrom: quarter } : {}),
    });
    // It stands nowhere yet: no hour is dearer than another for having been planned.
    const steps = made.steps.map(({ plannedAt: _plannedAt, ...step }) => step);
    return { kind: 'fit', params: { ...params, variants: {} }, batch: { ...made, steps } };
  }, [asked, direction, house, params, quarter, readyBy, request.id, windows]);
  const { answer, stale, fault } = useAsk(ask);
  return useMemo(() => {
    if (house === null) return null;
    const { plan } = house;
    if (ask === null || answer === null) return { fields: null, clashes: [], titles: new Map(), working: ask !== null && fault === null, fault, plan };
    const titles = new Map(answer.moved.flatMap(({ moves }) => moves.map(({ step, title }): [string, string] => [step, title])));
    return { fields: fieldsOf(answer), clashes: answer.clashes, titles, working: stale, fault, plan };
  }, [house, ask, answer, stale, fault]);
}

/** The first job is when the meat comes on; turns keep their own time, too. */
function fieldsOf({ moved, steps }: Schedule): Fit['fields'] {
  const [first] = steps;
  if (first === undefined) return null;
  const stores = moved[0]?.stores ?? {};
  return {
    startsAt: first.at,
    stepAt: Object.fromEntries(steps.map(({ step, at }) => [step, at])),
    ...(Object.keys(stores).length === 0 ? {} : { stores }),
  };
}
