import type { HoldName } from '../log/batchDesign.js';
import type { SingleStepId, StepId } from '../log/stepId.js';
import { STEPS } from './steps.js';
import type { StepDefinition } from './defineStep.js';

/** With which step a batch begins to hold something of the house, and after which it no longer does. */
export function heldFor(hold: HoldName): { from: SingleStepId; until: SingleStepId } {
  const all = Object.entries(STEPS) as [StepId, StepDefinition][];
  const [from] = all.find(([, step]) => step.takes?.includes(hold)) ?? [];
  const [until] = all.find(([, step]) => step.frees?.includes(hold)) ?? [];
  if (from === undefined || until === undefined || from === 'turn' || until === 'turn') throw new Error(`No step takes and frees "${hold}".`);
  return { from, until };
}
