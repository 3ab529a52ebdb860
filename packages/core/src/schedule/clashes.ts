import { contradiction, lineOf } from './jobWindows.js';
import type { Place } from './placeBatch.js';
import type { Clash } from './scheduleTypes.js';
import { handsSlots, type Timeline, type Times } from './timeline.js';

/** Where every batch lies, by its id, in the order in which they were given. */
export type Plan = ReadonlyMap<string, Place>;

interface Span {
  from: number;
  to: number;
}

/** Everything that a plan runs into, as it stands, in order of time: what is full or out of order, chambers with two programs, too few hands, nights, lateness. */
export function clashesOf(plan: Plan, timeline: Timeline): Clash[] {
  return [
    ...timeline.resources.flatMap(({ id, capacity, closed }) => [
      ...fullSpans(id, capacity, plan, timeline),
      ...(closed ?? []).flatMap((one) => closedSpans(id, one, plan, timeline)),
      ...strangeSpans(id, plan, timeline),
    ]),
    ...handsSpans(plan, timeline),
    ...[...plan.values()].flatMap((place) => ownClashes(place, timeline)),
  ].sort((a, b) => startOf(a).localeCompare(startOf(b)));
}

const startOf = (clash: Clash): string => ('from' in clash ? clash.from : 'at' in clash ? clash.at : '');

/** Runs of slots for which something holds. */
function runs(holds: (slot: number) => boolean, from: number, to: number): Span[] {
  const found: Span[] = [];
  let begun = -1;
  for (let slot = from; slot <= to; slot += 1) {
    const here = slot < to && holds(slot);
    if (here && begun < 0) begun = slot;
    if (!here && begun >= 0) {
      found.push({ from: begun, to: slot });
      begun = -1;
    }
  }
  return found;
}

const iso = (timeline: Timeline, slot: number): string => new Date(timeline.instantOf(slot)).toISOString();

/** Who holds something in a span. */
function holders(resource: string, span: Span, plan: Plan): string[] {
  return [...plan.values()]
    .filter(({ batch, times }) =>
      batch.holds.some(
        (hold) => hold.resource === resource && (times.get(hold.from) ?? Infinity) < span.to && (times.get(hold.until) ?? -Infinity) > span.from,
      ),
    )
    .map(({ batch }) => batch.id);
}

function fullSpans(resource: string, capacity: number, plan: Plan, timeline: Timeline): Clash[] {
  const used = timeline.usedOf(resource);
  return runs((slot) => (used[slot] ?? 0) > capacity * (1 + 1e-9), 0, timeline.slots).map((span): Clash => {
    const most = used.subarray(span.from, span.to).reduce((a, b) => Math.max(a, b), 0);
    return { kind: 'full', resource, from: iso(timeline, span.from), to: iso(timeline, span.to), most, capacity, batches: holders(resource, span, plan) };
  });
}

function closedSpans(resource: string, closed: { from: string; to: string; why: string }, plan: Plan, timeline: Timeline): Clash[] {
  const used = timeline.usedOf(resource);
  const clip = (at: string) => Math.min(timeline.slots, Math.max(0, timeline.slotOf(Date.parse(at))));
  return runs((slot) => (used[slot] ?? 0) > 1e-9, clip(closed.from), clip(closed.to)).map((span): Clash => ({
    kind: 'closed',
    resource,
    from: iso(timeline, span.from),
    to: iso(timeline, span.to),
    why: closed.why,
    batches: holders(resource, span, plan),
  }));
}

function strangeSpans(resource: string, plan: Plan, timeline: Timeline): Clash[] {
  const programs = timeline.programsOf(resource);
  if (programs.length < 2) return [];
  const at = new Uint8Array(timeline.slots);
  for (const used of programs) for (let slot = 0; slot < at.length; slot += 1) if ((used[slot] as number) > 0) at[slot] = (at[slot] as number) + 1;
  return runs((slot) => (at[slot] as number) > 1, 0, timeline.slots).map((span): Clash => ({
    kind: 'programs',
    resource,
    from: iso(timeline, span.from),
    to: iso(timeline, span.to),
    batches: holders(resource, span, plan),
  }));
}

function handsSpans(plan: Plan, timeline: Timeline): Clash[] {
  const { hands } = timeline.hours;
  return runs((slot) => (timeline.busy[slot] ?? 0) > hands, 0, timeline.slots).map((span): Clash => {
    const working = [...plan.values()].filter(({ batch, times }) =>
      batch.steps.some((step) => {
        const slot = times.get(step.id);
        return step.doneAt === undefined && slot !== undefined && slot < span.to && slot + handsSlots(step) > span.from;
      }),
    );
    const most = timeline.busy.subarray(span.from, span.to).reduce((a, b) => Math.max(a, b), 0);
    return { kind: 'hands', from: iso(timeline, span.from), to: iso(timeline, span.to), most, batches: working.map(({ batch }) => batch.id) };
  });
}

/** Jobs at night and a batch that comes too late. */
function ownClashes({ batch, times }: Place, timeline: Timeline): Clash[] {
  const found: Clash[] = [];
  for (const step of batch.steps) {
    const slot = times.get(step.id);
    if (step.doneAt !== undefined || slot === undefined || slot < 0 || slot >= timeline.slots) continue;
    if (isAtNight(slot, handsSlots(step), timeline) && !timeline.hours.nightWatch.includes(step.station))
      found.push({ kind: 'night', batch: batch.id, step: step.id, at: iso(timeline, slot) });
  }
  const ready = readyAt({ batch, times }, timeline);
  if (batch.readyBy !== undefined && ready !== null && ready > Date.parse(batch.readyBy)) {
    const wishes = contradiction(batch, timeline);
    found.push({ kind: 'late', batch: batch.id, readyBy: batch.readyBy, at: new Date(ready).toISOString(), ...(wishes === null ? {} : { wishes }) });
  }
  return found;
}

/** Whether any of so many slots lies outside working hours. */
function isAtNight(slot: number, long: number, { open, slots }: Timeline): boolean {
  for (let s = slot; s < Math.min(slots, slot + long); s += 1) if (open[s] === 0) return true;
  return false;
}

/** When the last job of a batch is over, ms; null where it has no time. */
export function readyAt({ batch, times }: { batch: Place['batch']; times: Times }, timeline: Timeline): number | null {
  const last = lineOf(batch).at(-1);
  const slot = last === undefined ? undefined : times.get(last.id);
  return last === undefined || slot === undefined ? null : timeline.instantOf(slot + (last.doneAt === undefined ? handsSlots(last) : 0));
}
