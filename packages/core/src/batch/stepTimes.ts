import { HOUR_MS } from '../clock/spans.js';
import { afterH } from '../steps/afterH.js';
import type { PlannedStepId, StepInstants } from '../log/stepId.js';
import type { Anchor, StepSpec } from '../steps/step.js';

/** What is known of a step when its time is worked out. */
export interface StepFact {
  /** ms; when it was done or left out */
  closedAt?: number;
  /** ms; when a look that left it open asks for the next */
  againAt?: number;
}

/** Jobs planned for an instant, ISO, by step, and the fewest days that a cure may be cut to by it. */
export interface CalendarWord {
  stepAt?: Readonly<StepInstants>;
  leastCureDays?: number;
}

/**
 * When each step falls due, ms since the epoch, by id: after its anchor, and not before the steps that it needs. A step that was
 * done counts from when it really was; one that is late pushes what follows it to now.
 *
 * @param steps in the order of the work
 * @param calendar what the Calendar has planned: it holds in place of the usual hours
 */
export function stepTimes(
  steps: readonly StepSpec[],
  startsAt: number,
  cureDays: number,
  facts: ReadonlyMap<PlannedStepId, StepFact>,
  now: number,
  calendar: CalendarWord = {},
): Map<PlannedStepId, number> {
  const planned = calendar.stepAt ?? {};
  const due = new Map<PlannedStepId, number>();
  const from = (id: PlannedStepId | 'start'): number => {
    if (id === 'start') return startsAt;
    return facts.get(id)?.closedAt ?? Math.max(due.get(id) ?? startsAt, now);
  };
  for (const step of steps) {
    const word = Object.hasOwn(planned, step.id) ? Date.parse(planned[step.id] ?? '') : Number.NaN;
    const anchor = from(step.after.step);
    // The Calendar’s word was given for what was planned before it: where that slips, the least that must lie between them still does.
    const wished = Number.isFinite(word) ? Math.max(word, anchor + leastMs(step, calendar.leastCureDays ?? cureDays)) : anchor + afterMs(step.after, cureDays);
    due.set(step.id, facts.get(step.id)?.againAt ?? Math.max(wished, ...step.needs.map(from)));
  }
  return due;
}

const afterMs = (after: Anchor, cureDays: number): number => afterH(after, cureDays) * HOUR_MS;

function leastMs({ after, stretch }: StepSpec, leastCureDays: number): number {
  if ('h' in after) return Math.min(after.h, stretch?.leastH ?? after.h) * HOUR_MS;
  return after.cureShare === 1 ? afterMs(after, leastCureDays) : 0;
}

/** The plan as it was made: nothing done yet, nothing late. */
export const plannedTimes = (steps: readonly StepSpec[], startsAt: number, cureDays: number, calendar: CalendarWord = {}): Map<PlannedStepId, number> =>
  stepTimes(steps, startsAt, cureDays, new Map(), -Infinity, calendar);
