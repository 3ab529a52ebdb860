import { DAY_MS } from '../clock/spans.js';
import type { StepInstants } from '../log/stepId.js';
import type { DesignChanges } from '../log/designChanges.js';
import type { BatchState } from '../batch/batchState.js';

/**
 * Jobs moved to other instants, as changes of a plan. Where the pull moves, the days of cure move with it, and the turns are counted
 * out anew, those that have a time of their own keeping it; where the first job moves, the meat comes on another day.
 *
 * @param moves ISO instants, by step
 */
export function movedPlan({ steps, step }: BatchState, moves: Readonly<StepInstants>): DesignChanges {
  const { pull } = moves;
  const meatIn = step('meat-in');
  const first = steps.find(({ spec, closing }) => spec.after.step === 'start' && closing === null);
  const startsAt = first === undefined ? undefined : moves[first.spec.id];
  const start = startsAt === undefined ? {} : { startsAt };
  if (pull === undefined || meatIn === null) return { ...start, stepAt: { ...moves } };
  const inAt = meatIn.closing?.at ?? moves['meat-in'];
  const days = (Date.parse(pull) - (inAt === undefined ? meatIn.dueAt : Date.parse(inAt))) / DAY_MS;
  const cureDays = Math.min(60, Math.max(1, Math.round(days * 10) / 10));
  // A turn that the other days of cure have no room for is none.
  const gone = new Set(
    steps.filter(({ spec }) => spec.missable === true && 'h' in spec.after && spec.after.h >= cureDays * 24).map(({ spec }) => spec.id as string),
  );
  return { ...start, stepAt: Object.fromEntries(Object.entries(moves).filter(([id]) => !gone.has(id))), cureDays };
}
