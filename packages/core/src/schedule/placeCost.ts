import { inSlots, lineOf, readySlot } from './jobWindows.js';
import type { SchedulableBatch, SchedulableStep } from './scheduleTypes.js';
import { handsSlots, type Timeline, type Times } from './timeline.js';

/**
 * What counts how much: safety is never weighed, the rest in this order. A slot of each; `usual` falls with the root of what is usual,
 * so that a day more or less weighs less in a long cure than in a short drying; `waiting` weighs less than the longest cure.
 */
export const COST = { full: 4000, late: 2000, hands: 600, night: 120, watch: 6, store: 4, usual: 1, change: 0.4, waiting: 0.004 } as const;

/** After so many slots another day is another day. */
const MOST_CHANGE = 96;
/** Turns keep less strictly to their hour. */
const BESIDE_SHARE = 0.1;

/** Costs of a slot more or less than usual. */
export const usualWeight = (usualSlots: number): number => COST.usual / Math.max(1, Math.sqrt(usualSlots + 1));

/** The last job at a slot: too late costs much, waiting for the table a little; without a table the sooner the better. */
export const endCost = (slot: number, ready: number): number =>
  slot > ready ? COST.late * (slot - ready) : COST.waiting * (Number.isFinite(ready) ? ready - slot : Math.max(0, slot));

/** What a job costs at each of so many slots: nobody there, too many jobs at once, another time than it stood. */
export function jobCosts(step: SchedulableStep, from: number, width: number, timeline: Timeline): Float64Array {
  const costs = new Float64Array(width);
  if (step.doneAt !== undefined) return costs;
  const { open, busy, slots, hours, steadiness } = timeline;
  const night = hours.nightWatch.includes(step.station) ? COST.watch : COST.night;
  const long = handsSlots(step);
  const stood = step.plannedAt === undefined ? null : timeline.slotOf(Date.parse(step.plannedAt));
  for (let i = 0; i < width; i += 1) {
    const slot = from + i;
    const last = Math.min(slots, slot + long);
    let cost = 0;
    for (let s = slot < 0 ? 0 : slot; s < last; s += 1) {
      if (open[s] === 0) cost += night;
      if ((busy[s] as number) >= hours.hands) cost += COST.hands;
    }
    costs[i] = stood === null ? cost : cost + COST.change * steadiness * Math.sqrt(Math.min(MOST_CHANGE, Math.abs(slot - stood)));
  }
  return costs;
}

/** What a job costs at one slot. */
const jobCost = (step: SchedulableStep, slot: number, timeline: Timeline): number => jobCosts(step, slot, 1, timeline)[0] ?? 0;

/** What a job beside the line costs at each of so many slots, the job that it counts from lying at `anchor`: it keeps less strictly to its hour. */
export function besideCosts(step: SchedulableStep, from: number, width: number, anchor: number, timeline: Timeline): Float64Array {
  const costs = jobCosts(step, from, width, timeline);
  if (step.doneAt !== undefined) return costs;
  const usual = anchor + inSlots(step.beside?.usualH ?? 0);
  for (let i = 0; i < width; i += 1) costs[i] = (costs[i] as number) + COST.usual * BESIDE_SHARE * Math.abs(from + i - usual);
  return costs;
}

/** What it costs to hold other stores than those that were planned. */
export const storesCost = (batch: SchedulableBatch, planned: SchedulableBatch): number =>
  batch.holds.reduce((sum, { resource }, i) => (resource === planned.holds[i]?.resource ? sum : sum + COST.store), 0);

/** What a batch costs at given times, it not being booked. */
export function costOf(batch: SchedulableBatch, times: Times, timeline: Timeline): number {
  let cost = 0;
  for (const hold of batch.holds) {
    const [from, until] = [times.get(hold.from) ?? 0, times.get(hold.until) ?? 0];
    cost += COST.full * timeline.between(timeline.overloadOf(hold, from, until), from, until);
  }
  const line = lineOf(batch);
  for (const step of batch.steps) {
    const at = times.get(step.id);
    if (at === undefined || step.doneAt !== undefined) continue;
    if (step.beside !== undefined) {
      cost += besideCosts(step, at, 1, times.get(step.beside.step) ?? 0, timeline)[0] ?? 0;
      continue;
    }
    cost += jobCost(step, at, timeline);
    const before = line[line.indexOf(step) - 1];
    if (before === undefined || step.after === undefined) continue;
    const usual = inSlots(step.after.usualH);
    cost += usualWeight(usual) * Math.abs(at - (times.get(before.id) ?? 0) - usual);
  }
  const last = times.get(line.at(-1)?.id ?? '');
  return cost + (last === undefined ? 0 : endCost(last, readySlot(batch, timeline)));
}
