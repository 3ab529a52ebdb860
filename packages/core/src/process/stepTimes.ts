import type { Anchor, StepSpec } from './step.js';

const HOUR_MS = 3_600_000;

/** What is known of a step when its time is worked out. */
export interface StepFact {
  /** ms; when it was done or left out */
  closedAt?: number;
  /** ms; when a look that left it open asks for the next */
  againAt?: number;
}

/**
 * When each step falls due, ms since the epoch, by id: after its anchor, and not before the steps that it needs. A step that was
 * done counts from when it really was; one that is late pushes what follows it to now.
 *
 * @param steps in the order of the work
 * @param planned ISO instants for which the Calendar has planned a job, by step: they hold in place of the usual hours
 */
export function stepTimes(
  steps: readonly StepSpec[],
  startsAt: number,
  cureDays: number,
  facts: ReadonlyMap<string, StepFact>,
  now: number,
  planned: Readonly<Record<string, string>> = {},
): Map<string, number> {
  const due = new Map<string, number>();
  const from = (id: string): number => {
    if (id === 'start') return startsAt;
    return facts.get(id)?.closedAt ?? Math.max(due.get(id) ?? startsAt, now);
  };
  for (const step of steps) {
    const word = Object.hasOwn(planned, step.id) ? Date.parse(planned[step.id] ?? '') : Number.NaN;
    const usual = from(step.after.step) + afterMs(step.after, cureDays);
    due.set(step.id, facts.get(step.id)?.againAt ?? Math.max(Number.isFinite(word) ? word : usual, ...step.needs.map(from)));
  }
  return due;
}

const afterMs = (after: Anchor, cureDays: number): number => ('h' in after ? after.h : after.cureShare * cureDays * 24) * HOUR_MS;

/** The plan as it was made: nothing done yet, nothing late. */
export const plannedTimes = (
  steps: readonly StepSpec[],
  startsAt: number,
  cureDays: number,
  planned: Readonly<Record<string, string>> = {},
): Map<string, number> => stepTimes(steps, startsAt, cureDays, new Map(), -Infinity, planned);
