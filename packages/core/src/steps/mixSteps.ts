import type { BrineId } from './brine.js';

/** The step that weighs each brine. */
export const MIX_STEPS = { brine: 'mix', pickle: 'mix-pickle', cover: 'mix-cover' } as const satisfies Record<BrineId, string>;

type MixStepId = (typeof MIX_STEPS)[BrineId];

/** The brine that a step weighs, or null where it weighs none. */
export function brineOf(stepId: string): BrineId | null {
  const found = (Object.entries(MIX_STEPS) as [BrineId, MixStepId][]).find(([, id]) => id === stepId);
  return found === undefined ? null : found[0];
}
