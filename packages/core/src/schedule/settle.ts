import { clashesOf, type Plan } from './clashes.js';
import { jobWindows } from './jobWindows.js';
import { placeBatch, type Place } from './placeBatch.js';
import { costOf, storesCost } from './placeCost.js';
import type { SchedulableBatch } from './scheduleTypes.js';
import type { Timeline, Times } from './timeline.js';

/** Two that want one store: the first leaves it so many slots before or after their clash begins or ends. */
const CUTS = [-16, -8, -4, 0, 4, 8, 16] as const;
/** So long a store is kept from the first of two, slots. */
const KEPT = 96 * 3;
/** So many orders of two are tried in all: a count, not a clock, so that the same question has the same answer. */
const MOST_TRIES = 200;
/** So many pairs that are in each other's way are placed anew in a round. */
const MOST_PAIRS = 40;
const EPSILON = 1e-6;

/** A batch that was put elsewhere, and the slots that this touched. */
interface Change {
  batch: string;
  from: number;
  to: number;
}

/** Betters a plan until a round changes nothing: each batch by itself, then two by two those that are in each other's way. Never worse than before. */
export function settle(batches: readonly SchedulableBatch[], plan: Map<string, Place>, timeline: Timeline, rounds: number): void {
  const asked = new Map(batches.map((batch) => [batch.id, batch]));
  const changes: Change[] = [];
  const looked = new Map<string, number>();
  const budget = { tries: MOST_TRIES };
  for (let round = 0; round < rounds; round += 1) {
    const alone = oneByOne(batches, plan, timeline, changes, looked);
    if (alone && round < rounds - 1) continue;
    if (!twoByTwo(asked, plan, timeline, changes, budget)) return;
  }
}

/** Takes each batch out and puts it back in its best place. Where nothing near it changed since it was last looked at, it lies well. */
function oneByOne(batches: readonly SchedulableBatch[], plan: Map<string, Place>, timeline: Timeline, changes: Change[], looked: Map<string, number>): boolean {
  let moved = false;
  for (const batch of batches) {
    const place = plan.get(batch.id);
    const seen = looked.get(batch.id);
    if (place === undefined || (seen !== undefined && !isTouched(batch, changes.slice(seen), timeline))) continue;
    timeline.book(place.batch, place.times, -1);
    const placed = placeBatch(batch, timeline);
    const stays = 'conflict' in placed || placed.cost >= costHere(place, batch, timeline) - EPSILON;
    const next = stays ? place : placed;
    if (!stays) changes.push(changeOf(batch.id, [place.times, next.times]));
    looked.set(batch.id, changes.length);
    moved ||= !stays;
    plan.set(batch.id, next);
    timeline.book(next.batch, next.times, 1);
  }
  return moved;
}

/** Takes two that run into each other out and puts them back one after the other, either first; where that does not help, the first has to leave sooner. */
function twoByTwo(
  asked: ReadonlyMap<string, SchedulableBatch>,
  plan: Map<string, Place>,
  timeline: Timeline,
  changes: Change[],
  budget: { tries: number },
): boolean {
  let moved = false;
  for (const pair of pairsOf(plan, timeline)) {
    if (budget.tries <= 0) break;
    const [a, b] = [plan.get(pair.ids[0]), plan.get(pair.ids[1])];
    const [askedA, askedB] = [asked.get(pair.ids[0]), asked.get(pair.ids[1])];
    if (a === undefined || b === undefined || askedA === undefined || askedB === undefined) continue;
    timeline.book(b.batch, b.times, -1);
    const withA = costHere(b, askedB, timeline);
    timeline.book(a.batch, a.times, -1);
    const before = withA + costHere(a, askedA, timeline);
    let best: Both | null = null;
    const offer = (both: Both | null) => {
      budget.tries -= 1;
      if (both !== null && both.cost < (best?.cost ?? before - EPSILON)) best = both;
    };
    for (const [first, second] of [[askedA, askedB] as const, [askedB, askedA] as const]) {
      offer(inOrder(first, second, timeline));
      const { resource, from, to } = pair;
      if (resource === undefined) continue;
      for (const cut of new Set(CUTS.flatMap((off) => [from + off, to + off]))) offer(inOrder(first, second, timeline, { resource, cut }));
    }
    const places: Both['places'] = (best as Both | null)?.places ?? [a, b];
    for (const place of places) {
      const { id } = place.batch;
      if (best !== null) changes.push(changeOf(id, [plan.get(id)?.times ?? new Map<string, number>(), place.times]));
      plan.set(id, place);
      timeline.book(place.batch, place.times, 1);
    }
    moved ||= best !== null;
  }
  return moved;
}

interface Both {
  cost: number;
  places: readonly Place[];
}

/** Two that are not booked, the first in its best place, the second in the best that is left. Nothing stays booked. */
function inOrder(first: SchedulableBatch, second: SchedulableBatch, timeline: Timeline, leaves?: { resource: string; cut: number }): Both | null {
  if (leaves !== undefined) timeline.block(leaves.resource, leaves.cut, leaves.cut + KEPT, 1);
  const one = placeBatch(first, timeline);
  if (leaves !== undefined) timeline.block(leaves.resource, leaves.cut, leaves.cut + KEPT, -1);
  if ('conflict' in one) return null;
  const cost = leaves === undefined ? one.cost : costHere(one, first, timeline);
  timeline.book(one.batch, one.times, 1);
  const other = placeBatch(second, timeline);
  timeline.book(one.batch, one.times, -1);
  return 'conflict' in other ? null : { cost: cost + other.cost, places: [one, other] };
}

interface Pair {
  ids: readonly [string, string];
  /** what both want, and the slots of their clash */
  resource?: string;
  from: number;
  to: number;
}

/** Batches that are in each other's way, each pair once: those that clash, then those that share their time with one of these or with one whose work lies at night. */
function pairsOf(plan: Plan, timeline: Timeline): Pair[] {
  const found = new Map<string, Pair>();
  const add = (one: string, other: string, more: Omit<Pair, 'ids'>) => {
    const known = found.has(`${one} ${other}`) || found.has(`${other} ${one}`);
    if (found.size < MOST_PAIRS && !known && one !== other) found.set(`${one} ${other}`, { ids: [one, other], ...more });
  };
  const clashes = clashesOf(plan, timeline);
  for (const clash of clashes) {
    if (!('batches' in clash)) continue;
    const [from, to] = [timeline.slotOf(Date.parse(clash.from)), timeline.slotOf(Date.parse(clash.to))];
    const about = 'resource' in clash ? { resource: clash.resource, from, to } : { from, to };
    clash.batches.forEach((one, i) => clash.batches.slice(i + 1).forEach((other) => add(one, other, about)));
  }
  // What holds one of them up may be a third that it does not clash with.
  const held = new Set(clashes.flatMap((clash) => ('batches' in clash ? clash.batches : clash.kind === 'night' && isBeside(plan, clash) ? [] : [clash.batch])));
  for (const one of held) for (const other of besides(one, plan)) add(one, other, { from: 0, to: 0 });
  return [...found.values()];
}

/** A turn at night is nobody else's fault. */
const isBeside = (plan: Plan, { batch, step }: { batch: string; step: string }): boolean =>
  plan.get(batch)?.batch.steps.find(({ id }) => id === step)?.beside !== undefined;

/** A batch, and those whose time it shares. */
function besides(id: string, plan: Plan): string[] {
  const span = spanOf(plan.get(id)?.times);
  const others = [...plan].filter(([other, { times }]) => other !== id && spanOf(times).from < span.to && spanOf(times).to > span.from);
  return [id, ...others.map(([other]) => other)];
}

function spanOf(times: Times | undefined): { from: number; to: number } {
  const slots = [...(times?.values() ?? [])];
  return { from: Math.min(...slots), to: Math.max(...slots) };
}

/** A job keeps hands for some slots after its own. */
const changeOf = (batch: string, times: readonly Times[]): Change => {
  const spans = times.filter(({ size }) => size > 0).map(spanOf);
  return { batch, from: Math.min(...spans.map(({ from }) => from)), to: Math.max(...spans.map(({ to }) => to)) + 96 };
};

/** Whether something changed where a batch may come to lie. */
function isTouched(batch: SchedulableBatch, changes: readonly Change[], timeline: Timeline): boolean {
  const others = changes.filter((change) => change.batch !== batch.id);
  if (others.length === 0) return false;
  const found = jobWindows(batch, timeline);
  if ('conflict' in found) return false;
  const windows = [...found.windows.values()];
  const beside = batch.steps.reduce((most, step) => Math.max(most, step.beside?.mostH ?? 0), 0);
  const from = Math.min(...windows.map((window) => window.from));
  const to = Math.max(...windows.map((window) => window.to)) + beside * 4 + 96;
  return others.some((change) => change.from <= to && change.to >= from);
}

/** What a batch that is not booked costs where it lies. */
const costHere = ({ batch, times }: Place, asked: SchedulableBatch, timeline: Timeline): number => costOf(batch, times, timeline) + storesCost(batch, asked);

/** What a whole plan costs: each batch beside all others. */
export function planCost(batches: readonly SchedulableBatch[], plan: Plan, timeline: Timeline): number {
  let sum = 0;
  for (const asked of batches) {
    const place = plan.get(asked.id);
    if (place === undefined) continue;
    timeline.book(place.batch, place.times, -1);
    sum += costHere(place, asked, timeline);
    timeline.book(place.batch, place.times, 1);
  }
  return sum;
}
