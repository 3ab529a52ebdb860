import { clashesOf, readyAt, type Plan } from './clashes.js';
import { placeBatch, type Place } from './placeBatch.js';
import { clashKey, type Clash, type Move, type Proposal, type SchedulableBatch, type SchedulableStep, type Variant } from './scheduleTypes.js';
import type { Timeline } from './timeline.js';

/** Clashes but for jobs at night, which are a matter of taste. */
const graveOf = (clashes: readonly Clash[]): Clash[] => clashes.filter((clash) => clash.kind !== 'night');

interface Try {
  kind: Proposal['kind'];
  variant?: string;
  batch: SchedulableBatch;
}

/**
 * For each batch that takes part in a clash: its best other hours, other stores, and other ways to make it, all other batches staying;
 * of these what does away with any clash and makes none worse.
 */
export function proposalsFor(
  clashes: readonly Clash[],
  batches: readonly SchedulableBatch[],
  plan: Plan,
  timeline: Timeline,
  variantsOf: (batch: SchedulableBatch) => readonly Variant[],
): Proposal[] {
  const grave = graveOf(clashes);
  const taking = new Set(grave.flatMap((clash) => ('batches' in clash ? clash.batches : [clash.batch])));
  // For a few hands too few nobody makes a batch in another way.
  const crowded = new Set(grave.filter(({ kind }) => kind !== 'hands').flatMap((clash) => ('batches' in clash ? clash.batches : [clash.batch])));
  return batches
    .filter((batch) => taking.has(batch.id))
    .flatMap((batch) => {
      const place = plan.get(batch.id);
      if (place === undefined) return [];
      const tries: Try[] = [
        { kind: 'hours', batch: { ...batch, holds: batch.holds.map(({ orElse: _orElse, ...hold }) => hold) } },
        ...(batch.holds.some(({ orElse = [] }) => orElse.length > 0) ? [{ kind: 'stores' as const, batch }] : []),
        ...(crowded.has(batch.id) ? variantsOf(batch) : []).map(({ name, batch: other }): Try => ({ kind: 'variant', variant: name, batch: other })),
      ];
      timeline.book(place.batch, place.times, -1);
      const found = tries.flatMap((one) => proposalFor(one, place, grave, plan, timeline));
      timeline.book(place.batch, place.times, 1);
      // Another store that changes none is the same as other hours.
      return found.filter((one) => one.kind !== 'stores' || Object.keys(one.stores).length > 0);
    })
    .sort((a, b) => b.solves - a.solves || Number(a.kind === 'variant') - Number(b.kind === 'variant') || a.moves.length - b.moves.length);
}

/** What becomes of a plan when a batch that is not booked is put elsewhere; nothing where that helps nothing. */
function proposalFor({ kind, variant, batch }: Try, before: Place, grave: readonly Clash[], plan: Plan, timeline: Timeline): Proposal[] {
  const placed = placeBatch(batch, timeline);
  if ('conflict' in placed) return [];
  timeline.book(placed.batch, placed.times, 1);
  const after = graveOf(clashesOf(new Map([...plan, [batch.id, placed]]), timeline));
  timeline.book(placed.batch, placed.times, -1);
  const solves = grave.length - after.length;
  if (solves <= 0) return [];
  const left = new Set(after.map(clashKey));
  const ready = (place: Place) => new Date(readyAt(place, timeline) ?? timeline.from).toISOString();
  return [
    {
      batch: batch.id,
      kind,
      ...(variant === undefined ? {} : { variant }),
      stores: otherStores(before, placed),
      moves: movesOf(before, placed, timeline),
      at: openTimes(placed, timeline),
      solves,
      gone: grave.map(clashKey).filter((key) => !left.has(key)),
      readyAt: ready(placed),
      readyWas: ready(before),
    },
  ];
}

/** The holds that lie in another store than before. */
export const otherStores = (before: Place, after: Place): Record<string, string> =>
  Object.fromEntries(
    after.batch.holds.flatMap((hold) => {
      const was = before.batch.holds.find(({ id }) => id === hold.id);
      return hold.id === undefined || was?.resource === hold.resource || was === undefined ? [] : [[hold.id, hold.resource]];
    }),
  );

/** What is done, or due already: no plan makes it less late. */
const isSettled = ({ doneAt, plannedAt }: SchedulableStep, timeline: Timeline): boolean =>
  doneAt !== undefined || (plannedAt !== undefined && Date.parse(plannedAt) < timeline.from);

/** The jobs that lie elsewhere than before. */
export function movesOf(before: Place, after: Place, timeline: Timeline): Move[] {
  const at = (slot: number) => new Date(timeline.instantOf(slot)).toISOString();
  return after.batch.steps.flatMap((step): Move[] => {
    const [was, now] = [before.times.get(step.id), after.times.get(step.id)];
    if (isSettled(step, timeline) || now === undefined || was === now) return [];
    return [{ batch: after.batch.id, step: step.id, title: step.title, at: at(now), was: was === undefined ? null : at(was) }];
  });
}

/** When every job that is still to fall due lies, ISO by step. */
export const openTimes = ({ batch, times }: Place, timeline: Timeline): Record<string, string> =>
  Object.fromEntries(
    batch.steps.flatMap((step): [string, string][] => {
      const slot = times.get(step.id);
      return isSettled(step, timeline) || slot === undefined ? [] : [[step.id, new Date(timeline.instantOf(slot)).toISOString()]];
    }),
  );
