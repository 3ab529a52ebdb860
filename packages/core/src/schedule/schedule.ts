import { InputError } from '../inputError.js';
import { clashesOf } from './clashes.js';
import { COST, endCost, jobCost, placeBatch } from './placeBatch.js';
import { clashKey, type Clash, type Proposal, type Resource, type SchedulableBatch, type ScheduledStep } from './scheduleTypes.js';
import { Timeline, type Times } from './timeline.js';
import type { WorkingHours } from './workingHours.js';

const DAY_MS = 86_400_000;
/** A job that has no wish about its end is planned so far ahead, days. */
const AHEAD_DAYS = 90;
export const MOST_BATCHES = 1000;
/** Rounds in which each batch is taken out and put back in its best place. */
const ROUNDS = 4;

export interface ScheduleParams {
  batches: readonly SchedulableBatch[];
  resources: readonly Resource[];
  hours: WorkingHours;
  /** ISO */
  now: string;
  /** rounds of betterment; 0 gives the first plan. The same input gives the same plan */
  rounds?: number;
}

export interface Schedule {
  steps: ScheduledStep[];
  clashes: Clash[];
  proposals: Proposal[];
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
  const { timeline, batches } = opened(p);
  const plan = new Map<string, Times>();
  const impossible: Clash[] = [];
  for (const batch of inTurn(batches)) {
    const placed = placeBatch(batch, timeline);
    if ('conflict' in placed) impossible.push({ kind: 'impossible', batch: batch.id, wishes: placed.conflict });
    else {
      plan.set(batch.id, placed.times);
      timeline.book(batch, placed.times, 1);
    }
  }
  better(batches, plan, timeline, p.rounds ?? ROUNDS);
  return {
    steps: stepsOf(batches, plan, timeline),
    clashes: [...impossible, ...clashesOf(batches, plan, timeline)],
    proposals: [],
    cost: planCost(batches, plan, timeline),
  };
}

/**
 * Looks at a plan as it stands: what it runs into, and for each batch that takes part where else it might lie, all others staying.
 * Jobs without a planned time are left out.
 *
 * @throws InputError where resources, hours or batches cannot be
 */
export function lookAtPlan(p: ScheduleParams): Schedule {
  const { timeline, batches } = opened(p);
  const plan = new Map<string, Times>();
  for (const batch of batches) {
    const times: Times = new Map(
      batch.steps.flatMap((step): [string, number][] => {
        const at = step.doneAt ?? step.plannedAt;
        return at === undefined ? [] : [[step.id, timeline.slotOf(Date.parse(at))]];
      }),
    );
    plan.set(batch.id, times);
    timeline.book(batch, times, 1);
  }
  const clashes = clashesOf(batches, plan, timeline);
  return {
    steps: stepsOf(batches, plan, timeline),
    clashes,
    proposals: proposalsFor(clashes, batches, plan, timeline),
    cost: planCost(batches, plan, timeline),
  };
}

function opened({ batches, resources, hours, now }: ScheduleParams): { timeline: Timeline; batches: readonly SchedulableBatch[] } {
  if (batches.length > MOST_BATCHES) throw new InputError('batches', `More than ${MOST_BATCHES} batches at once are not planned.`);
  const ids = new Set<string>();
  const at = Date.parse(now);
  let until = at + AHEAD_DAYS * DAY_MS;
  for (const batch of batches) {
    if (ids.has(batch.id)) throw new InputError('batches', `Two batches are called ${batch.id}.`);
    ids.add(batch.id);
    requireBatch(batch);
    for (const { latest, earliest, plannedAt } of batch.steps)
      for (const when of [latest, earliest, plannedAt, batch.readyBy]) if (when !== undefined) until = Math.max(until, Date.parse(when) + 14 * DAY_MS);
  }
  return { timeline: new Timeline(resources, hours, at, until), batches };
}

function requireBatch({ code, steps, holds, readyBy }: SchedulableBatch): void {
  if (steps.length === 0 || steps.length > 200) throw new InputError('steps', `${code} has no jobs, or too many.`);
  const ids = new Set(steps.map((step) => step.id));
  if (ids.size !== steps.length) throw new InputError('steps', `${code} has two jobs of one name.`);
  for (const step of steps) {
    for (const gap of [step.after, step.beside]) {
      if (gap === undefined) continue;
      if (!(gap.leastH <= gap.usualH && gap.usualH <= gap.mostH))
        throw new InputError('steps', `${step.title} of ${code}: at least, usually and at most are upside down.`);
      if (gap.leastH > 24 * 366) throw new InputError('steps', `${step.title} of ${code} takes longer than a year.`);
    }
    for (const when of [step.earliest, step.latest, step.doneAt, step.plannedAt, readyBy])
      if (when !== undefined && !Number.isFinite(Date.parse(when))) throw new InputError('steps', `${step.title} of ${code} has a time that is none.`);
    if (step.beside !== undefined && !ids.has(step.beside.step))
      throw new InputError('steps', `${step.title} of ${code} stands beside a job that is not there.`);
  }
  for (const hold of holds)
    if (!ids.has(hold.from) || !ids.has(hold.until)) throw new InputError('holds', `${code} holds something from or until a job that is not there.`);
}

/** Running ones first, then by when they are wanted, then as they were given. */
const inTurn = (batches: readonly SchedulableBatch[]): SchedulableBatch[] =>
  [...batches].sort(
    (a, b) => Number(isRunning(b)) - Number(isRunning(a)) || (a.readyBy ?? '9').localeCompare(b.readyBy ?? '9') || batches.indexOf(a) - batches.indexOf(b),
  );

const isRunning = (batch: SchedulableBatch): boolean => batch.steps.some((step) => step.doneAt !== undefined);

/** Takes each batch out and puts it back in its best place, until a round changes nothing. */
function better(batches: readonly SchedulableBatch[], plan: Map<string, Times>, timeline: Timeline, rounds: number): void {
  for (let round = 0; round < rounds; round += 1) {
    let moved = false;
    for (const batch of batches) {
      const times = plan.get(batch.id);
      if (times === undefined) continue;
      timeline.book(batch, times, -1);
      const placed = placeBatch(batch, timeline);
      const next = 'times' in placed && placed.cost < costOf(batch, times, timeline) - 1e-6 ? placed.times : times;
      moved ||= next !== times;
      plan.set(batch.id, next);
      timeline.book(batch, next, 1);
    }
    if (!moved) return;
  }
}

/** What a batch costs at given times, it not being booked. */
export function costOf(batch: SchedulableBatch, times: Times, timeline: Timeline): number {
  let cost = 0;
  for (const hold of batch.holds)
    cost +=
      COST.full *
      timeline.between(timeline.overloadOf(hold, times.get(hold.from) ?? 0, times.get(hold.until) ?? 0), times.get(hold.from) ?? 0, times.get(hold.until) ?? 0);
  const line = batch.steps.filter((step) => step.beside === undefined);
  batch.steps.forEach((step) => {
    const at = times.get(step.id);
    if (at === undefined || step.doneAt !== undefined) return;
    cost += jobCost(step, at, timeline);
    if (step.beside !== undefined) {
      cost += (COST.usual * Math.abs(at - (times.get(step.beside.step) ?? 0) - Math.round(step.beside.usualH * 4))) / 10;
      return;
    }
    const before = line[line.indexOf(step) - 1];
    if (before === undefined || step.after === undefined) return;
    const usual = Math.round(step.after.usualH * 4);
    cost += (COST.usual / Math.max(1, Math.sqrt(usual + 1))) * Math.abs(at - (times.get(before.id) ?? 0) - usual);
  });
  const last = times.get(line.at(-1)?.id ?? '');
  const ready = batch.readyBy === undefined ? Infinity : timeline.slotOf(Date.parse(batch.readyBy));
  return cost + (last === undefined ? 0 : endCost(last, ready));
}

function planCost(batches: readonly SchedulableBatch[], plan: ReadonlyMap<string, Times>, timeline: Timeline): number {
  return batches.reduce((sum, batch) => {
    const times = plan.get(batch.id);
    if (times === undefined) return sum;
    timeline.book(batch, times, -1);
    const cost = costOf(batch, times, timeline);
    timeline.book(batch, times, 1);
    return sum + cost;
  }, 0);
}

const stepsOf = (batches: readonly SchedulableBatch[], plan: ReadonlyMap<string, Times>, timeline: Timeline): ScheduledStep[] =>
  batches.flatMap((batch) =>
    batch.steps.flatMap((step): ScheduledStep[] => {
      const slot = plan.get(batch.id)?.get(step.id);
      if (slot === undefined) return [];
      return [{ batch: batch.id, step: step.id, at: step.doneAt ?? new Date(timeline.instantOf(slot)).toISOString() }];
    }),
  );

/** Clashes but for jobs at night, which are a matter of taste. */
const graveOf = (clashes: readonly Clash[]): number => clashes.filter((clash) => clash.kind !== 'night').length;

/** For each batch that takes part in a clash: its best other place, where that does away with any. */
function proposalsFor(clashes: readonly Clash[], batches: readonly SchedulableBatch[], plan: Map<string, Times>, timeline: Timeline): Proposal[] {
  const taking = new Set(clashes.filter((clash) => clash.kind !== 'night').flatMap((clash) => ('batches' in clash ? clash.batches : [clash.batch])));
  return batches
    .filter((batch) => taking.has(batch.id))
    .flatMap((batch): Proposal[] => {
      const times = plan.get(batch.id);
      if (times === undefined) return [];
      timeline.book(batch, times, -1);
      const placed = placeBatch(batch, timeline);
      const next = 'times' in placed ? placed.times : times;
      timeline.book(batch, next, 1);
      const after = clashesOf(batches, new Map([...plan, [batch.id, next]]), timeline);
      timeline.book(batch, next, -1);
      timeline.book(batch, times, 1);
      const solves = graveOf(clashes) - graveOf(after);
      if (solves <= 0) return [];
      const left = new Set(after.map(clashKey));
      const gone = clashes
        .filter((clash) => clash.kind !== 'night')
        .map(clashKey)
        .filter((key) => !left.has(key));
      const at = (slot: number | undefined) => new Date(timeline.instantOf(slot ?? 0)).toISOString();
      const last = batch.steps.filter((step) => step.beside === undefined).at(-1)?.id ?? '';
      const moves = batch.steps.flatMap((step) => {
        const [was, now] = [times.get(step.id), next.get(step.id)];
        return step.doneAt !== undefined || was === undefined || now === undefined || was === now
          ? []
          : [{ batch: batch.id, step: step.id, at: at(now), was: at(was) }];
      });
      return [{ batch: batch.id, moves, solves, gone, readyAt: at(next.get(last)), readyWas: at(times.get(last)) }];
    })
    .sort((a, b) => b.solves - a.solves || a.moves.length - b.moves.length);
}
