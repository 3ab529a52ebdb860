import type { SchedulableBatch, SchedulableStep } from './scheduleTypes.js';
import { propagate, type Between } from './temporalNetwork.js';
import { handsSlots, SLOT_MIN, type Timeline, type Times } from './timeline.js';

/** What counts how much: safety is never weighed, the rest in this order. A slot of each. */
export const COST = { full: 4000, late: 2000, hands: 600, night: 120, watch: 6, usual: 1, change: 0.4, waiting: 0.05 } as const;

const SLOTS_PER_HOUR = 60 / SLOT_MIN;

/** A batch in its place, and what it costs there; or the wishes that contradict each other. */
export type Placed = { times: Times; cost: number } | { conflict: string[] };

/** Slots within which each job may lie. */
export type JobWindows = { windows: Map<string, { from: number; to: number }> } | { conflict: string[] };

const inSlots = (hours: number): number => Math.round(hours * SLOTS_PER_HOUR);

/** Jobs that follow each other; those beside them hold nothing up. */
const lineOf = (batch: SchedulableBatch): SchedulableStep[] => batch.steps.filter((step) => step.beside === undefined);

/** Earliest and latest slot of every job of the line, by what lies between them, what is done, and when it is wanted. */
export function jobWindows(batch: SchedulableBatch, timeline: Timeline): JobWindows {
  const line = lineOf(batch);
  const constraints = line.flatMap((step, i): Between[] => {
    const before = line[i - 1];
    const found: Between[] = [];
    if (step.doneAt !== undefined) {
      const slot = timeline.slotOf(Date.parse(step.doneAt));
      return [{ from: 0, to: i + 1, least: slot, most: slot, wish: `${step.title} is done` }];
    }
    found.push({ from: 0, to: i + 1, least: 0, most: Infinity, wish: 'Nothing is done before now' });
    if (before !== undefined && step.after !== undefined) {
      const { leastH, mostH } = step.after;
      // What is late already cannot be within its most: then it is due now.
      const late = before.doneAt !== undefined && timeline.slotOf(Date.parse(before.doneAt)) + inSlots(mostH) < 0;
      found.push({
        from: i,
        to: i + 1,
        least: inSlots(leastH),
        most: late ? Infinity : inSlots(mostH),
        wish: `${step.title} ${hoursWords(leastH, mostH)} after ${before.title.toLowerCase()}`,
      });
    }
    if (step.earliest !== undefined)
      found.push({
        from: 0,
        to: i + 1,
        least: Math.max(0, timeline.slotOf(Date.parse(step.earliest))),
        most: Infinity,
        wish: `${step.title} not before ${step.earliest}`,
      });
    if (step.latest !== undefined)
      found.push({ from: 0, to: i + 1, least: -Infinity, most: timeline.slotOf(Date.parse(step.latest)), wish: `${step.title} not after ${step.latest}` });
    return found;
  });
  const answer = propagate(line.length + 1, constraints);
  if ('conflict' in answer) return answer;
  const windows = new Map(
    line.map((step, i): [string, { from: number; to: number }] => [
      step.id,
      { from: answer.earliest[i + 1] ?? 0, to: Math.min(answer.latest[i + 1] ?? Infinity, Math.max(timeline.slots - 1, answer.earliest[i + 1] ?? 0)) },
    ]),
  );
  return { windows };
}

const hoursWords = (least: number, most: number): string => {
  const words = (h: number) => (h >= 48 ? `${Number((h / 24).toFixed(1))} days` : `${Number(h.toFixed(2))} h`);
  return least === most ? words(least) : Number.isFinite(most) ? `${words(least)} to ${words(most)}` : `at least ${words(least)}`;
};

/**
 * The best place for a batch beside everything that is booked: exact for its line, by dynamic programming over the slots of its jobs.
 * What lies between two jobs is never stretched beyond its limits; full stores, lateness, nights and unusual times are weighed.
 */
export function placeBatch(batch: SchedulableBatch, timeline: Timeline): Placed {
  const found = jobWindows(batch, timeline);
  if ('conflict' in found) return found;
  const line = lineOf(batch);
  const windowOf = (step: SchedulableStep) => found.windows.get(step.id) ?? { from: 0, to: 0 };
  const overloads = batch.holds.map((hold) => ({
    hold,
    sums: timeline.overloadOf(hold, found.windows.get(hold.from)?.from ?? 0, found.windows.get(hold.until)?.to ?? timeline.slots),
  }));
  const readySlot = batch.readyBy === undefined ? Infinity : timeline.slotOf(Date.parse(batch.readyBy));
  let costs = new Float64Array(0);
  const ways: Int32Array[] = [];
  line.forEach((step, k) => {
    const window = windowOf(step);
    const width = window.to - window.from + 1;
    const next = new Float64Array(width).fill(Infinity);
    const way = new Int32Array(width).fill(-1);
    const own = jobCosts(step, window.from, width, timeline);
    if (k === line.length - 1) for (let i = 0; i < width; i += 1) own[i] = (own[i] ?? 0) + endCost(window.from + i, readySlot);
    const before = line[k - 1];
    if (before === undefined) next.set(own);
    else {
      const earlier = windowOf(before);
      const held = overloads.filter(({ hold }) => spans(line, hold.from, hold.until, k));
      const { leastH, usualH, mostH } = step.after ?? { leastH: 0, usualH: 0, mostH: Infinity };
      const [least, usual, most] = [inSlots(leastH), inSlots(usualH), inSlots(mostH)];
      const late = before.doneAt !== undefined && earlier.from + most < 0;
      const done = step.doneAt !== undefined;
      const way0 = done ? stillWay(costs, next) : null;
      if (way0 !== null) way.fill(way0);
      else {
        const filled = held.map(({ sums }) => sums);
        bestBefore({
          costs,
          from: earlier.from,
          window,
          least,
          usual,
          most: late ? Infinity : most,
          weight: COST.usual / Math.max(1, Math.sqrt(usual + 1)),
          held: together(filled),
          next,
          way,
        });
      }
      for (let i = 0; i < width; i += 1) next[i] = (next[i] ?? Infinity) + (own[i] ?? 0);
    }
    costs = next;
    ways.push(way);
  });
  return readBack(batch, line, windowOf, costs, ways, timeline);
}

/** Several sums as one. */
function together(sums: readonly Float64Array[]): Float64Array | null {
  const [first, ...others] = sums;
  if (first === undefined || others.length === 0) return first ?? null;
  return first.map((value, slot) => others.reduce((all, other) => all + (other[slot] as number), value));
}

/** A job that is done costs nothing more than the best way to it. */
function stillWay(costs: Float64Array, next: Float64Array): number {
  const best = costs.reduce((least, cost, i) => (cost < (costs[least] ?? Infinity) ? i : least), 0);
  next.fill(costs[best] ?? Infinity);
  return best;
}

interface Step {
  /** costs of the job before, from its first slot on */
  costs: Float64Array;
  from: number;
  /** slots of the job itself, and the gap to the one before */
  window: { from: number; to: number };
  least: number;
  usual: number;
  most: number;
  /** of a slot more or less than usual */
  weight: number;
  /** what is overfull of what is held between the two, summed up to each slot of the timeline; null where nothing is held */
  held: Float64Array | null;
  next: Float64Array;
  way: Int32Array;
}

/**
 * For each slot of a job the best slot of the one before. What lies between costs the difference of two sums and so much for each slot
 * off the usual: on either side of the usual gap the best is the least of a window that slides along, found in one pass.
 */
function bestBefore({ costs, from, window, least, usual, most, weight, held, next, way }: Step): void {
  const count = costs.length;
  const last = held === null ? 0 : held.length - 1;
  const sumTo = (slot: number): number => (held === null ? 0 : COST.full * (held[slot < 0 ? 0 : slot > last ? last : slot] as number));
  const [base, falling, rising] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  for (let i = 0; i < count; i += 1) {
    const value = (costs[i] as number) - sumTo(from + i);
    base[i] = value;
    falling[i] = value - weight * (from + i);
    rising[i] = value + weight * (from + i);
  }
  const longer = new SlidingLeast(falling);
  const shorter = new SlidingLeast(rising);
  for (let slot = window.from; slot <= window.to; slot += 1) {
    const i = slot - window.from;
    const far = longer.among(slot - most - from, slot - Math.max(usual, least) - from);
    const near = shorter.among(slot - Math.min(usual, most) - from, slot - least - from);
    const ofFar = far < 0 ? Infinity : (base[far] as number) + weight * (slot - usual - from - far);
    const ofNear = near < 0 ? Infinity : (base[near] as number) + weight * (from + near + usual - slot);
    next[i] = Math.min(ofFar, ofNear) + sumTo(slot);
    way[i] = ofFar <= ofNear ? far : near;
  }
}

/** The place of the least value in a window whose ends only grow. */
class SlidingLeast {
  private readonly queue: Int32Array;
  private head = 0;
  private tail = 0;
  private seen = 0;

  constructor(private readonly keys: Float64Array) {
    this.queue = new Int32Array(keys.length);
  }

  /** −1 where the window holds none. */
  among(low: number, high: number): number {
    const { keys, queue } = this;
    for (; this.seen <= high && this.seen < keys.length; this.seen += 1) {
      const key = keys[this.seen] as number;
      while (this.tail > this.head && (keys[queue[this.tail - 1] as number] as number) >= key) this.tail -= 1;
      queue[this.tail] = this.seen;
      this.tail += 1;
    }
    while (this.head < this.tail && (queue[this.head] as number) < low) this.head += 1;
    return this.head < this.tail ? (queue[this.head] as number) : -1;
  }
}

/** Whether a hold reaches over the way from job k − 1 to job k. */
function spans(line: readonly SchedulableStep[], from: string, until: string, k: number): boolean {
  const [first, last] = [line.findIndex(({ id }) => id === from), line.findIndex(({ id }) => id === until)];
  return first >= 0 && first < k && k <= last;
}

/** The last job at a slot: too late costs much, waiting for the table a little; without a table the sooner the better. */
export const endCost = (slot: number, ready: number): number =>
  slot > ready ? COST.late * (slot - ready) : COST.waiting * (Number.isFinite(ready) ? ready - slot : Math.max(0, slot));

/** What a job costs at each of so many slots: nobody there, too many jobs at once, another time than it stood. */
export function jobCosts(step: SchedulableStep, from: number, width: number, timeline: Timeline): Float64Array {
  const costs = new Float64Array(width);
  if (step.doneAt !== undefined) return costs;
  const { open, busy, slots, hours } = timeline;
  const night = hours.nightWatch.includes(step.station) ? COST.watch : COST.night;
  const long = handsSlots(step);
  const stood = step.plannedAt === undefined ? null : timeline.slotOf(Date.parse(step.plannedAt));
  for (let i = 0; i < width; i += 1) {
    const slot = from + i;
    let cost = 0;
    for (let s = Math.max(0, slot); s < slot + long && s < slots; s += 1) {
      if (open[s] === 0) cost += night;
      if ((busy[s] as number) >= hours.hands) cost += COST.hands;
    }
    costs[i] = stood === null ? cost : cost + COST.change * Math.sqrt(Math.min(96, Math.abs(slot - stood)));
  }
  return costs;
}

/** What a job costs at one slot. */
export const jobCost = (step: SchedulableStep, slot: number, timeline: Timeline): number => jobCosts(step, slot, 1, timeline)[0] ?? 0;

function readBack(
  batch: SchedulableBatch,
  line: readonly SchedulableStep[],
  windowOf: (step: SchedulableStep) => { from: number; to: number },
  costs: Float64Array,
  ways: readonly Int32Array[],
  timeline: Timeline,
): Placed {
  let best = 0;
  costs.forEach((cost, i) => {
    if (cost < (costs[best] ?? Infinity)) best = i;
  });
  const cost = costs[best] ?? Infinity;
  if (!Number.isFinite(cost)) return { conflict: ['No time is left for it within the days that are planned'] };
  const times = new Map<string, number>();
  for (let k = line.length - 1; k >= 0; k -= 1) {
    const step = line[k];
    if (step === undefined) continue;
    times.set(step.id, windowOf(step).from + best);
    best = ways[k]?.[best] ?? 0;
  }
  return { times, cost: cost + placeBeside(batch, times, timeline) };
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
    const usual = anchor + inSlots(step.beside.usualH);
    const from = Math.max(0, anchor + inSlots(step.beside.leastH));
    const to = Math.max(from, anchor + inSlots(step.beside.mostH));
    let [best, least] = [Math.max(from, Math.min(to, usual)), Infinity];
    for (let slot = from; slot <= to; slot += 1) {
      const cost = jobCost(step, slot, timeline) + (COST.usual * Math.abs(slot - usual)) / 10;
      if (cost < least) [best, least] = [slot, cost];
    }
    times.set(step.id, best);
    all += least;
  }
  return all;
}
