import type { DesignChanges } from '../process/replan.js';
import type { BatchState } from '../process/replay.js';

const DAY_MS = 86_400_000;

/**
 * Jobs moved to other instants, as changes of a plan. Where the pull moves, the days of cure move with it, and the turns are counted
 * out anew.
 *
 * @param moves ISO instants, by step
 */
export function movedPlan({ steps }: BatchState, moves: Readonly<Record<string, string>>): DesignChanges {
  const { pull } = moves;
  const meatIn = steps.find((step) => step.spec.id === 'meat-in');
  if (pull === undefined || meatIn === undefined) return { stepAt: { ...moves } };
  const inAt = meatIn.closing?.at ?? moves['meat-in'];
  const days = (Date.parse(pull) - (inAt === undefined ? meatIn.dueAt : Date.parse(inAt))) / DAY_MS;
  const turns = new Set(steps.filter((step) => step.spec.missable === true).map((step) => step.spec.id));
  return {
    stepAt: Object.fromEntries(Object.entries(moves).filter(([id]) => !turns.has(id))),
    cureDays: Math.min(60, Math.max(1, Math.round(days * 10) / 10)),
  };
}
