import { bestBefore } from './bestBefore.js';
import { inSlots, isOverdue, jobWindows, lineOf, readySlot } from './jobWindows.js';
import { besideCosts, endCost, jobCosts, storesCost, usualWeight } from './placeCost.js';
import type { Hold, SchedulableBatch, SchedulableStep, Wish } from './scheduleTypes.js';
import type { Timeline, Times } from './timeline.js';

/** A batch in its place, with the stores that it holds there. */
export interface Place {
  batch: SchedulableBatch;
  times: Times;
}

/** A place and what it costs; or the wishes that contradict each other. */
export type Placed = (Place & { cost: number }) | { conflict: Wish[] };

/** So many ways to choose stores are tried at once. */
const MOST_CHOICES = 24;

type Windows = ReadonlyMap<string, { from: number; to: number }>;

/**
 * The best place for a batch beside everything that is booked: exact for its line, by dynamic programming over the slots of its jobs.
 * What lies between two jobs is never stretched beyond its limits; full stores, lateness, nights and unusual times are weighed. Where
 * other stores would do, each choice of them is tried until none can be better.
 */
export function placeBatch(batch: SchedulableBatch, timeline: Timeline): Placed {
  const found = jobWindows(batch, timeline);
  if ('conflict' in found) return found;
  const choices = storeChoices(batch.holds);
  // Nothing can be better than the batch on its own.
  const bare = choices.length === 1 ? -Infinity : costAlone(batch, found.windows, timeline);
  let best: Placed | null = null;
  for (const holds of choices) {
    const chosen = holds === batch.holds ? batch : { ...batch, holds: [...holds] };
    const extra = storesCost(chosen, batch);
    if (best !== null && best.cost <= bare + extra + 1e-9) continue;
    const placed = placeWith(chosen, found.windows, timeline);
    if (placed !== null && (best === null || placed.cost + extra < best.cost - 1e-9)) best = { ...placed, cost: placed.cost + extra };
  }
  return best ?? { conflict: [{ kind: 'noTimeLeft' }] };
}

const costAlone = (batch: SchedulableBatch, windows: Windows, timeline: Timeline): number =>
  placeWith({ ...batch, holds: [] }, windows, timeline)?.cost ?? Infinity;

/** Every way to choose stores, the planned one first. */
function storeChoices(holds: readonly Hold[]): (readonly Hold[])[] {
  let found: (readonly Hold[])[] = [holds];
  holds.forEach((hold, i) => {
    const others = (hold.orElse ?? []).filter((other) => other !== hold.resource);
    found = [...found, ...others.flatMap((resource) => found.map((so) => so.map((own, k) => (k === i ? { ...own, resource } : own))))].slice(0, MOST_CHOICES);
  });
  return found;
}

function placeWith(batch: SchedulableBatch, windows: Windows, timeline: Timeline): (Place & { cost: number }) | null {
  const line = lineOf(batch);
  const windowOf = (step: SchedulableStep) => windows.get(step.id) ?? { from: 0, to: 0 };
  const held = heldBetween(batch, line, windows, timeline);
  const ready = readySlot(batch, timeline);
  let costs: Float64Array = new Float64Array(0);
  const ways: Int32Array[] = [];
  line.forEach((step, k) => {
    const window = windowOf(step);
    const width = window.to - window.from + 1;
    const way = new Int32Array(width).fill(-1);
    const own = jobCosts(step, window.from, width, timeline);
    if (k === line.length - 1) for (let i = 0; i < width; i += 1) own[i] = (own[i] as number) + endCost(window.from + i, ready);
    const before = line[k - 1];
    let next: Float64Array = own;
    if (before !== undefined) {
      next = new Float64Array(width).fill(Infinity);
      if (step.doneAt !== undefined) way.fill(stillWay(costs, next));
      else {
        const { leastH, usualH, mostH } = step.after ?? { leastH: 0, usualH: 0, mostH: Infinity };
        const usual = inSlots(usualH);
        const most = isOverdue(before, mostH, timeline) ? Infinity : inSlots(mostH);
        const link = { costs, from: windowOf(before).from, window, least: inSlots(leastH), usual, most, weight: usualWeight(usual) };
        bestBefore({ ...link, held: held[k] ?? null, next, way });
      }
      for (let i = 0; i < width; i += 1) next[i] = (next[i] as number) + (own[i] as number);
    }
    costs = next;
    ways.push(way);
  });
  return readBack(batch, line, windowOf, costs, ways, timeline);
}

/** What is overfull of what is held on the way to each job of the line, summed up slot by slot; null where nothing is held. */
function heldBetween(batch: SchedulableBatch, line: readonly SchedulableStep[], windows: Windows, timeline: Timeline): (Float64Array | null)[] {
  const overloads = batch.holds.flatMap((hold) => {
    const [first, last] = [line.findIndex(({ id }) => id === hold.from), line.findIndex(({ id }) => id === hold.until)];
    if (first < 0 || last < 0) return [];
    const sums = timeline.overloadOf(hold, windows.get(hold.from)?.from ?? 0, windows.get(hold.until)?.to ?? timeline.slots);
    return sums === null ? [] : [{ first, last, sums }];
  });
  return line.map((_, k) => together(overloads.filter(({ first, last }) => first < k && k <= last).map(({ sums }) => sums)));
}

/** Several sums as one. */
function together(sums: readonly Float64Array[]): Float64Array | null {
  const [first, ...others] = sums;
  if (first === undefined || others.length === 0) return first ?? null;
  const all = first.slice();
  for (const other of others) for (let i = 0; i < all.length; i += 1) all[i] = (all[i] as number) + (other[i] as number);
  return all;
}

/** A job that is done costs nothing more than the best way to it. */
function stillWay(costs: Float64Array, next: Float64Array): number {
  const best = leastAt(costs);
  next.fill(costs[best] ?? Infinity);
  return best;
}

function leastAt(costs: Float64Array): number {
  let best = 0;
  for (let i = 1; i < costs.length; i += 1) if ((costs[i] as number) < (costs[best] as number)) best = i;
  return best;
}

function readBack(
  batch: SchedulableBatch,
  line: readonly SchedulableStep[],
  windowOf: (step: SchedulableStep) => { from: number; to: number },
  costs: Float64Array,
  ways: readonly Int32Array[],
  timeline: Timeline,
): (Place & { cost: number }) | null {
  let best = leastAt(costs);
  const cost = costs[best] ?? Infinity;
  if (!Number.isFinite(cost)) return null;
  const times = new Map<string, number>();
  for (let k = line.length - 1; k >= 0; k -= 1) {
    const step = line[k];
    if (step === undefined) continue;
    times.set(step.id, windowOf(step).from + best);
    best = ways[k]?.[best] ?? 0;
  }
  return { batch, times, cost: cost + placeBeside(batch, times, timeline) };
}

/** Jobs beside the line, each at its best hour within its limits; answers what they cost. */
function placeBeside(batch: SchedulableBatch, times: Map<string, number>, timeline: Timeline): number {
  let all = 0;
  for (const step of batch.steps) {
    if (step.beside === undefined) continue;
    if (step.doneAt !== undefined) {
      times.set(step.id, timeline.slotOf(Date.parse(step.doneAt)));
      continue;
    }
    const anchor = times.get(step.beside.step) ?? 0;
    const from = Math.max(0, anchor + inSlots(step.beside.leastH));
    const to = Math.max(from, anchor + inSlots(step.beside.mostH));
    const costs = besideCosts(step, from, to - from + 1, anchor, timeline);
    const best = leastAt(costs);
    all += costs[best] as number;
    times.set(step.id, from + best);
  }
  return all;
}
