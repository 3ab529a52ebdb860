import { cureCourse, type BatchRecord, type BatchState, type CureCourse, type PullLimits } from '@bunkhouse/core';
import { useEffect, useMemo, useState } from 'react';
import { engage } from './engage';
import type { PullWindowWorker } from './pullWindow.worker';

/** What was worked out on this page, by course. */
const known = new Map<string, PullLimits>();
const MOST_KNOWN = 200;

/** When each batch that still lies, or is to lie, may be pulled by the section model; of its slowest piece. Those not worked out yet are missing. */
export function usePullWindows(batches: readonly { record: BatchRecord; state: BatchState }[]): ReadonlyMap<string, PullLimits> {
  const asks = useMemo(
    () =>
      batches.flatMap(({ record, state }) =>
        state.step('pull')?.closing === null ? state.design.pieces.map((piece) => ({ batch: record.id, ...askOf(record, state, piece.code) })) : [],
      ),
    [batches],
  );
  const wanted = asks.map(({ key }) => key).join('|');
  const [, setCount] = useState(0);
  useEffect(() => {
    const open = asks.filter(({ key }) => !known.has(key));
    if (open.length === 0) return undefined;
    const worker = engage<PullWindowWorker>(new Worker(new URL('./pullWindow.worker.ts', import.meta.url), { type: 'module' }));
    let isAsked = true;
    const workOut = async () => {
      for (const { key, course } of open) {
        const limits = await worker.of(worker.ask.pullLimits(course));
        remember(key, limits);
        if (!isAsked) return;
        setCount((count) => count + 1);
      }
      worker.end();
    };
    // One that dies leaves them missing: what is not worked out is not shown.
    workOut().catch(() => undefined);
    return () => {
      isAsked = false;
      worker.end();
    };
    // The courses are what their keys say.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [wanted]);
  const found = new Map<string, PullLimits>();
  for (const { batch, key } of asks) {
    const limits = known.get(key);
    if (limits !== undefined) found.set(batch, slowest(found.get(batch), limits));
  }
  return useStable(found);
}

function askOf(record: BatchRecord, state: BatchState, code: string): { key: string; course: CureCourse } {
  const course = cureCourse(record, state, code);
  return { key: JSON.stringify([course.section, course.meatG, course.stages, course.aimPercent, course.diffusivity]), course };
}

const slowest = (one: PullLimits | undefined, other: PullLimits): PullLimits =>
  one === undefined
    ? other
    : {
        earliestH: one.earliestH === null || other.earliestH === null ? null : Math.max(one.earliestH, other.earliestH),
        latestH:
          Math.min(one.latestH ?? Infinity, other.latestH ?? Infinity) === Infinity ? null : Math.min(one.latestH ?? Infinity, other.latestH ?? Infinity),
      };

/** The same map for as long as it says the same. */
function useStable(found: Map<string, PullLimits>): ReadonlyMap<string, PullLimits> {
  const said = JSON.stringify([...found]);
  return useMemo(() => new Map(JSON.parse(said) as [string, PullLimits][]), [said]);
}

function remember(key: string, limits: PullLimits): void {
  known.set(key, limits);
  const oldest = known.keys().next().value;
  if (known.size > MOST_KNOWN && oldest !== undefined) known.delete(oldest);
}
