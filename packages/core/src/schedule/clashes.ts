import type { Clash, SchedulableBatch } from './scheduleTypes.js';
import { handsSlots, type Timeline, type Times } from './timeline.js';

/** Everything that a plan runs into, as it stands, in order of time: what is full, chambers with two programs, too few hands, nights, lateness. */
export function clashesOf(batches: readonly SchedulableBatch[], plan: ReadonlyMap<string, Times>, timeline: Timeline): Clash[] {
  return [
    ...timeline.resources.flatMap(({ id }) => [...fullSpans(id, batches, plan, timeline), ...strangeSpans(id, batches, plan, timeline)]),
    ...handsSpans(batches, plan, timeline),
    ...batches.flatMap((batch) => ownClashes(batch, plan.get(batch.id), timeline)),
  ].sort((a, b) => startOf(a).localeCompare(startOf(b)));
}

const startOf = (clash: Clash): string => ('from' in clash ? clash.from : 'at' in clash ? clash.at : '');

/** Runs of slots for which something holds. */
function runs(timeline: Timeline, holds: (slot: number) => boolean): { from: number; to: number }[] {
  const found: { from: number; to: number }[] = [];
  let from = -1;
  for (let slot = 0; slot <= timeline.slots; slot += 1) {
    const here = slot < timeline.slots && holds(slot);
    if (here && from < 0) from = slot;
    if (!here && from >= 0) {
      found.push({ from, to: slot });
      from = -1;
    }
  }
  return found;
}

const iso = (timeline: Timeline, slot: number): string => new Date(timeline.instantOf(slot)).toISOString();

/** Who holds something in a span. */
function holders(resource: string, span: { from: number; to: number }, batches: readonly SchedulableBatch[], plan: ReadonlyMap<string, Times>): string[] {
  return batches
    .filter((batch) =>
      batch.holds.some((hold) => {
        const times = plan.get(batch.id);
        return hold.resource === resource && (times?.get(hold.from) ?? Infinity) < span.to && (times?.get(hold.until) ?? -Infinity) > span.from;
      }),
    )
    .map(({ id }) => id);
}

function fullSpans(resource: string, batches: readonly SchedulableBatch[], plan: ReadonlyMap<string, Times>, timeline: Timeline): Clash[] {
  const used = timeline.usedOf(resource);
  const capacity = timeline.resources.find(({ id }) => id === resource)?.capacity ?? 0;
  return runs(timeline, (slot) => (used[slot] ?? 0) > capacity * (1 + 1e-9)).map((span): Clash => {
    const most = used.subarray(span.from, span.to).reduce((a, b) => Math.max(a, b), 0);
    return {
      kind: 'full',
      resource,
      from: iso(timeline, span.from),
      to: iso(timeline, span.to),
      most,
      capacity,
      batches: holders(resource, span, batches, plan),
    };
  });
}

function strangeSpans(resource: string, batches: readonly SchedulableBatch[], plan: ReadonlyMap<string, Times>, timeline: Timeline): Clash[] {
  const programs = timeline.programsOf(resource);
  return runs(timeline, (slot) => programs.filter((used) => (used[slot] ?? 0) > 0).length > 1).map((span): Clash => ({
    kind: 'programs',
    resource,
    from: iso(timeline, span.from),
    to: iso(timeline, span.to),
    batches: holders(resource, span, batches, plan),
  }));
}

function handsSpans(batches: readonly SchedulableBatch[], plan: ReadonlyMap<string, Times>, timeline: Timeline): Clash[] {
  const { hands } = timeline.hours;
  return runs(timeline, (slot) => (timeline.busy[slot] ?? 0) > hands).map((span): Clash => {
    const working = batches.filter((batch) =>
      batch.steps.some((step) => {
        const slot = plan.get(batch.id)?.get(step.id);
        return step.doneAt === undefined && slot !== undefined && slot < span.to && slot + handsSlots(step) > span.from;
      }),
    );
    const most = timeline.busy.subarray(span.from, span.to).reduce((a, b) => Math.max(a, b), 0);
    return { kind: 'hands', from: iso(timeline, span.from), to: iso(timeline, span.to), most, batches: working.map(({ id }) => id) };
  });
}

/** Jobs at night and a batch that comes too late. */
function ownClashes(batch: SchedulableBatch, times: Times | undefined, timeline: Timeline): Clash[] {
  if (times === undefined) return [];
  const found: Clash[] = [];
  for (const step of batch.steps) {
    const slot = times.get(step.id);
    if (step.doneAt !== undefined || slot === undefined || slot < 0 || slot >= timeline.slots) continue;
    if (timeline.open[slot] === 0 && !timeline.hours.nightWatch.includes(step.station))
      found.push({ kind: 'night', batch: batch.id, step: step.id, at: iso(timeline, slot) });
  }
  const last = times.get(batch.steps.filter((step) => step.beside === undefined).at(-1)?.id ?? '');
  if (batch.readyBy !== undefined && last !== undefined && timeline.instantOf(last) > Date.parse(batch.readyBy))
    found.push({ kind: 'late', batch: batch.id, readyBy: batch.readyBy, at: iso(timeline, last) });
  return found;
}
