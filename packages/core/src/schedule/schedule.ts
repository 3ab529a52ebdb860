import { DAY_MS } from '../clock/spans.js';
import { clashesOf, type Plan } from './clashes.js';
import { placeBatch, type Place, type Placed } from './placeBatch.js';
import { COST } from './placeCost.js';
import { movesOf, openTimes, otherStores, proposalsFor } from './proposals.js';
import { planCost, settle } from './settle.js';
import { isWithinLimits } from './jobWindows.js';
import { requireSchedule } from './requireSchedule.js';
import type { Clash, Move, Proposal, Resource, SchedulableBatch, SchedulableStep, ScheduledStep, Variant } from './scheduleTypes.js';
import { Timeline, type Times } from './timeline.js';
import type { WorkingHours } from './workingHours.js';

/** A job that has no wish about its end is planned so far ahead, days. */
const AHEAD_DAYS = 90;
/** Rounds in which each batch is taken out and put back in its best place. */
const ROUNDS = 4;
/** The first plan stretches nothing by more than this, h, where it need not. */
const NEAR_H = 36;
/** Where a plan is only to be mended, a move weighs so much more. */
const STEADY = 3;

export interface ScheduleParams {
  batches: readonly SchedulableBatch[];
  resources: readonly Resource[];
  hours: WorkingHours;
  /** ISO */
  now: string;
  /** rounds of betterment; 0 gives the first plan. The same input gives the same plan */
  rounds?: number;
  /** the plan that stands is mended: what runs into nothing stays where it is */
  mend?: boolean;
  /** other ways to make a batch, by its id, for proposals */
  variants?: Readonly<Record<string, readonly Variant[]>>;
}

/** What becomes of one batch against how it stood. */
export interface Moved {
  batch: string;
  moves: Move[];
  /** when every job that is still to fall due lies then, ISO by step */
  at: Record<string, string>;
  /** other stores than planned, by hold */
  stores: Record<string, string>;
}

export interface Schedule {
  steps: ScheduledStep[];
  clashes: Clash[];
  proposals: Proposal[];
  /** the batches that lie elsewhere than they stood */
  moved: Moved[];
  /** what it costs, by `COST`; less is better */
  cost: number;
}

/**
 * Places every batch: windows of safety are kept always; then nothing is overfull and everything is ready in time, then the cook's hours,
 * then what is usual, then what stood before. Running batches first, then those that are wanted soonest.
 *
 * @throws InputError where resources, hours or batches cannot be
 */
export function schedule(p: ScheduleParams): Schedule {
  const timeline = opened(p);
  const plan = new Map<string, Place>();
  const impossible: Clash[] = [];
  const stood = p.mend === true ? standing(p.batches, timeline) : new Map<string, Place>();
  for (const batch of inTurn(p.batches)) {
    const place = stood.get(batch.id);
    // What stands within its limits is where mending begins.
    const placed = place !== undefined && isWithinLimits(place, timeline) ? place : placeSoon(batch, timeline);
    if ('conflict' in placed) impossible.push({ kind: 'impossible', batch: batch.id, wishes: placed.conflict });
    else {
      plan.set(batch.id, placed);
      timeline.book(placed.batch, placed.times, 1);
    }
  }
  settle(p.batches, plan, timeline, p.rounds ?? ROUNDS);
  return {
    steps: stepsOf(plan, timeline),
    clashes: [...impossible, ...clashesOf(plan, timeline)],
    proposals: [],
    moved: movedFrom(standing(p.batches, timeline), plan, timeline),
    cost: planCost(p.batches, plan, timeline),
  };
}

/**
 * Looks at a plan as it stands: what it runs into, and for each batch that takes part where else it might lie, all others staying.
 * Jobs without a planned time are left out.
 *
 * @throws InputError where resources, hours or batches cannot be
 */
export function lookAtPlan(p: ScheduleParams): Schedule {
  const timeline = opened({ ...p, mend: true });
  const plan = booked(p.batches, timeline);
  const clashes = clashesOf(plan, timeline);
  return {
    steps: stepsOf(plan, timeline),
    clashes,
    proposals: proposalsFor(clashes, p.batches, plan, timeline, ({ id }) => p.variants?.[id] ?? []),
    moved: [],
    cost: planCost(p.batches, plan, timeline),
  };
}

/**
 * Puts one more batch in its best place beside plans that stand, and tells what it would run into there; or the wishes that contradict
 * each other.
 *
 * @throws InputError where resources, hours or batches cannot be
 */
export function fitIn(p: ScheduleParams, batch: SchedulableBatch): Schedule {
  const timeline = opened({ ...p, batches: [...p.batches, batch] });
  const plan = booked(p.batches, timeline);
  const placed = placeBatch(batch, timeline);
  if ('conflict' in placed)
    return { steps: [], clashes: [{ kind: 'impossible', batch: batch.id, wishes: placed.conflict }], proposals: [], moved: [], cost: 0 };
  plan.set(batch.id, placed);
  timeline.book(placed.batch, placed.times, 1);
  const takesPart = (clash: Clash) => ('batches' in clash ? clash.batches.includes(batch.id) : clash.batch === batch.id);
  const nowhere: Place = { batch: placed.batch, times: new Map() };
  return {
    steps: stepsOf(new Map([[batch.id, placed]]), timeline),
    clashes: clashesOf(plan, timeline).filter(takesPart),
    proposals: [],
    moved: [
      { batch: batch.id, moves: movesOf(nowhere, placed, timeline), at: openTimes(placed, timeline), stores: otherStores({ ...nowhere, batch }, placed) },
    ],
    cost: placed.cost,
  };
}

function opened(p: ScheduleParams): Timeline {
  requireSchedule(p.batches);
  const at = Date.parse(p.now);
  let until = at + AHEAD_DAYS * DAY_MS;
  for (const { steps, readyBy } of p.batches)
    for (const { latest, earliest, plannedAt } of steps)
      for (const when of [latest, earliest, plannedAt, readyBy]) if (when !== undefined) until = Math.max(until, Date.parse(when) + 14 * DAY_MS);
  return new Timeline(p.resources, p.hours, at, until, p.mend === true ? STEADY : 1);
}

/** A good place at once: near what is usual where that runs into nothing, else anywhere. */
function placeSoon(batch: SchedulableBatch, timeline: Timeline): Placed {
  const near = placeBatch({ ...batch, steps: batch.steps.map(nearUsual) }, timeline);
  return 'cost' in near && near.cost < COST.late ? { ...near, batch: { ...near.batch, steps: batch.steps } } : placeBatch(batch, timeline);
}

function nearUsual(step: SchedulableStep): SchedulableStep {
  if (step.after === undefined) return step;
  const { leastH, usualH, mostH } = step.after;
  return { ...step, after: { leastH: Math.max(leastH, usualH - NEAR_H), usualH, mostH: Math.min(mostH, usualH + NEAR_H) } };
}

/** Where batches stand; jobs without a time left out. */
function standing(batches: readonly SchedulableBatch[], timeline: Timeline): Map<string, Place> {
  return new Map(
    batches.map((batch): [string, Place] => {
      const times: Times = new Map(
        batch.steps.flatMap((step): [string, number][] => {
          const at = step.doneAt ?? step.plannedAt;
          return at === undefined ? [] : [[step.id, timeline.slotOf(Date.parse(at))]];
        }),
      );
      return [batch.id, { batch, times }];
    }),
  );
}

function booked(batches: readonly SchedulableBatch[], timeline: Timeline): Map<string, Place> {
  const plan = standing(batches, timeline);
  for (const { batch, times } of plan.values()) timeline.book(batch, times, 1);
  return plan;
}

/** Running ones first, then by when they are wanted, then as they were given. */
const inTurn = (batches: readonly SchedulableBatch[]): SchedulableBatch[] =>
  batches
    .map((batch, i) => ({ batch, i }))
    .sort((a, b) => Number(isRunning(b.batch)) - Number(isRunning(a.batch)) || (a.batch.readyBy ?? '9').localeCompare(b.batch.readyBy ?? '9') || a.i - b.i)
    .map(({ batch }) => batch);

const isRunning = (batch: SchedulableBatch): boolean => batch.steps.some((step) => step.doneAt !== undefined);

const stepsOf = (plan: Plan, timeline: Timeline): ScheduledStep[] =>
  [...plan.values()].flatMap(({ batch, times }) =>
    batch.steps.flatMap((step): ScheduledStep[] => {
      const slot = times.get(step.id);
      if (slot === undefined) return [];
      return [{ batch: batch.id, step: step.id, at: step.doneAt ?? new Date(timeline.instantOf(slot)).toISOString() }];
    }),
  );

/** What lies elsewhere than it stood, batch by batch. */
const movedFrom = (before: Plan, after: Plan, timeline: Timeline): Moved[] =>
  [...after].flatMap(([batch, place]): Moved[] => {
    const stood = before.get(batch);
    if (stood === undefined) return [];
    const moves = movesOf(stood, place, timeline);
    const stores = otherStores(stood, place);
    return moves.length === 0 && Object.keys(stores).length === 0 ? [] : [{ batch, moves, at: openTimes(place, timeline), stores }];
  });
