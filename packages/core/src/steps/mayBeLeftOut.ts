import { isTurn, type PlannedStepId } from '../log/stepId.js';
import type { StepSpec } from './step.js';

/** Nothing that keeps anybody well hangs on these: the log takes that they were not done, also of batches whose recipe never thought of it. */
const PLAIN: ReadonlySet<PlannedStepId> = new Set(['rack', 'pellicle', 'light', 'even-out']);

/** Whether a step may be left out with a reason. What is read or weighed for dose, core and gates is not left out: it was read, or it was not. */
export const mayBeLeftOut = ({ id, skippable }: Pick<StepSpec, 'id' | 'skippable'>): boolean => skippable === true || isTurn(id) || PLAIN.has(id);
