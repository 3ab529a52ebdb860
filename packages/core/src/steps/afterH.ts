import type { Anchor } from './step.js';

/**
 * Hours from a step’s anchor to its usual time. A share of the days of cure falls on the hour at which the meat went in, a whole number of days
 * later: half of seven days is the fourth day by light, not the night before it.
 */
export function afterH(after: Anchor, cureDays: number): number {
  if ('h' in after) return after.h;
  const days = after.cureShare * cureDays;
  const whole = Math.round(days);
  return (after.cureShare < 1 && whole > 0 && whole < cureDays ? whole : days) * 24;
}
