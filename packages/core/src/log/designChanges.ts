import type { StepInstants } from './stepId.js';
import type { HoldName } from './batchDesign.js';
import type { CookProgram } from './cookProgram.js';

/** What may be decided anew on the way: figures only, each on its own. */
export interface DesignChanges {
  cureDays?: number;
  /** °C */
  coldC?: number;
  soakMin?: number;
  /** ISO instants for jobs, by step; those given before for other jobs stay */
  stepAt?: StepInstants;
  /** ISO; when the meat comes on, until it is weighed */
  startsAt?: string;
  /** ISO; when it is wanted on the table */
  readyBy?: string;
  /** other stores of the house; those given before for what else is held stay */
  stores?: Partial<Record<HoldName, string>>;
  /** how it is smoked and cooked from now on */
  program?: CookProgram;
  /** pump so much before it lies, % of green. This and what follows only until a brine is mixed */
  pumpPercent?: number;
  /** % of the brine */
  pickleSaltPercent?: number;
  /** % of meat + water */
  saltPercent?: number;
  /** every piece so much of its thickness */
  thicknessShare?: number;
  /** skin or silver skin stays on one side */
  skinOn?: boolean;
}
