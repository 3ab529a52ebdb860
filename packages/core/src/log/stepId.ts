/** The steps of the trade, in the order of the work. What each of them is stands in a file of its own in steps/. */
export const STEP_IDS = [
  'weigh',
  'mix',
  'mix-pickle',
  'mix-cover',
  'pump',
  'meat-in',
  'turn',
  'repump',
  'pull',
  'fry',
  'soak-in',
  'soak-out',
  'rack',
  'pellicle',
  'light',
  'meat-on',
  'raise',
  'core',
  'into-cold',
  'gate-first',
  'gate-second',
  'even-out',
  'freezer',
  'pack',
] as const;
export type StepId = (typeof STEP_IDS)[number];

/** A step that is done once in a batch. */
export type SingleStepId = Exclude<StepId, 'turn'>;

/** A step of one batch: the turns through the days of cure are counted, `turn-3`. */
export type PlannedStepId = SingleStepId | `turn-${number}`;

export const isTurn = (id: PlannedStepId): id is `turn-${number}` => id.startsWith('turn-');

/** ISO instants for which jobs are planned, by step. */
export type StepInstants = { [Id in PlannedStepId]?: string };
