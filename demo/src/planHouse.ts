import { toDesign, type LogEntryRequest } from '@bunkhouse/api';
import {
  checkEntry,
  lookAtPlan,
  movedPlan,
  replay,
  schedulable,
  schedule,
  shiftedPlan,
  type BatchRecord,
  type BatchState,
  type DesignChanges,
  type HousePlan,
  type LogEntry,
  HOUR_MS,
} from '@bunkhouse/core';
import type { PlayedBatch } from './playBatch.js';
import { processOfRequest } from './demoRecipes.js';
import { idFrom } from './random.js';

/** What falls due so soon stays where it is: it was planned yesterday. */
const SOON_H = 6;
/** Meat goes on at least so far ahead where two batches clash, and so many ways to make them clash are looked at, h. */
const CLASH_AHEAD_H = 30;
const MOST_TRIES = 8;

interface Planned {
  played: PlayedBatch;
  record: BatchRecord;
  state: BatchState;
}

/** A made-up cook has planned what is to come: in working hours, within the stores; but for two batches that he wants to smoke at one time. */
export function planHouse(batches: readonly PlayedBatch[], plan: HousePlan, now: number, by: string): PlayedBatch[] {
  const standing = batches.map((played) => planned(played, now));
  const asked = standing.map(({ record, state }) => fixed(schedulable(record, state, plan.resources), now));
  const { moved } = schedule({ batches: asked, resources: plan.resources, hours: plan.hours, now: new Date(now).toISOString(), mend: true });
  const mended = standing.map((one) => {
    const own = moved.find(({ batch }) => batch === one.record.id);
    if (own === undefined) return one;
    const stores = Object.keys(own.stores).length === 0 ? {} : { stores: own.stores };
    // What falls due soon was only taken as done: it stays where it is, and may still slip.
    const at = Object.fromEntries(Object.entries(own.at).filter(([step]) => one.state.steps.some(({ spec, closing }) => spec.id === step && closing === null)));
    return replanned(one, { ...movedPlan(one.state, at), ...stores }, 'In working hours', now, by) ?? one;
  });
  return clashing(mended, plan, now, by).map(({ played }) => played);
}

function planned(played: PlayedBatch, now: number): Planned {
  const { request, entries } = played;
  const log = entries.map((entry, i) => ({ ...entry, seq: i + 1, recordedAt: entry.at }) as LogEntry);
  const record: BatchRecord = { id: request.id, code: '', design: toDesign(request), process: processOfRequest(request), entries: log };
  return { played, record, state: replay(record, now) };
}

/** What falls due soon as if it were done. */
const fixed = (batch: ReturnType<typeof schedulable>, now: number): ReturnType<typeof schedulable> => ({
  ...batch,
  steps: batch.steps.map((step) => {
    if (step.plannedAt === undefined || Date.parse(step.plannedAt) > now + SOON_H * HOUR_MS) return step;
    const { plannedAt, ...rest } = step;
    return { ...rest, doneAt: plannedAt };
  }),
});

/** The batch with a change of its plan in the log; null where a real cook could not write it. */
function replanned({ played, record }: Planned, changes: DesignChanges, reason: string, now: number, by: string): Planned | null {
  const n = played.entries.length;
  const draft = { id: idFrom(`${record.id} plan ${n}`), kind: 'replanned' as const, changes, reason, by, at: new Date(now - 60_000).toISOString() };
  if (checkEntry(record, draft, now).length > 0) return null;
  const entry: LogEntryRequest = draft;
  return planned({ ...played, entries: [...played.entries, entry] }, now);
}

/** Moves one batch so that its meat goes on when that of another product does: of the ways to do so the one that runs into least else. */
function clashing(batches: readonly Planned[], plan: HousePlan, now: number, by: string): Planned[] {
  const onAt = ({ state }: Planned) => {
    const on = state.step('meat-on');
    return on !== null && on.closing === null && on.dueAt > now + CLASH_AHEAD_H * HOUR_MS ? on.dueAt : Number.NaN;
  };
  const ways = batches
    .flatMap((one) => batches.map((other) => ({ one, other, by: onAt(other) - onAt(one) })))
    .filter((way) => way.one.record.process.product !== way.other.record.process.product && Number.isFinite(way.by))
    .sort((a, b) => Math.abs(a.by) - Math.abs(b.by))
    .slice(0, MOST_TRIES)
    .flatMap((way) => {
      const moved = replanned(way.one, { ...shiftedPlan(way.one.state, way.by), stores: { smoke: 'smoker' } }, 'Both for Saturday’s counter', now, by);
      if (moved === null) return [];
      const house = batches.map((batch) => (batch === way.one ? moved : batch));
      const { clashes, proposals } = look(house, plan, now);
      return proposals.some(({ gone }) => gone.some((key) => key.startsWith('programs'))) ? [{ house, count: clashes.length }] : [];
    })
    .sort((a, b) => a.count - b.count);
  return ways[0]?.house ?? [...batches];
}

const look = (batches: readonly Planned[], { resources, hours }: HousePlan, now: number) =>
  lookAtPlan({ batches: batches.map(({ record, state }) => schedulable(record, state, resources)), resources, hours, now: new Date(now).toISOString() });
