/** Something that holds so much at a time. Capacity in L for a refrigerator, racks for a smoker, pieces else. */
export interface Resource {
  id: string;
  name: string;
  kind: 'refrigerator' | 'smoker' | 'tub';
  capacity: number;
}

/** What a batch holds from one job to another. */
export interface Hold {
  resource: string;
  amount: number;
  from: string;
  until: string;
  /** batches share a chamber only while their programs agree; absent where it does not matter */
  program?: string;
}

/** One job of a batch: an instant at which hands are needed. */
export interface SchedulableStep {
  id: string;
  title: string;
  station: string;
  /** how long it keeps somebody, min */
  handsMin: number;
  /** hours after the job before it in the list: at least, usually, at most; the first has none */
  after?: { leastH: number; usualH: number; mostH: number };
  /** a job beside the line, as a turn: hours after this job of the line, which it does not hold up */
  beside?: { step: string; leastH: number; usualH: number; mostH: number };
  /** ISO; not before, not after */
  earliest?: string;
  latest?: string;
  /** ISO; when it was done: it does not move any more */
  doneAt?: string;
  /** ISO; when it stands in the plan so far */
  plannedAt?: string;
}

export interface SchedulableBatch {
  id: string;
  code: string;
  /** in the order of the work */
  steps: SchedulableStep[];
  holds: Hold[];
  /** ISO; when it is wanted on the table */
  readyBy?: string;
}

/** A job with its time. */
export interface ScheduledStep {
  batch: string;
  step: string;
  /** ISO */
  at: string;
}

export type Clash =
  | { kind: 'full'; resource: string; from: string; to: string; most: number; capacity: number; batches: string[] }
  | { kind: 'programs'; resource: string; from: string; to: string; batches: string[] }
  | { kind: 'hands'; from: string; to: string; most: number; batches: string[] }
  | { kind: 'night'; batch: string; step: string; at: string }
  | { kind: 'late'; batch: string; readyBy: string; at: string }
  | { kind: 'impossible'; batch: string; wishes: string[] };

/** Other times for one batch that do away with clashes, and what they cost. */
export interface Proposal {
  batch: string;
  /** the jobs that move, and when they stood */
  moves: (ScheduledStep & { was: string })[];
  /** clashes fewer in all */
  solves: number;
  /** those that are gone, by `clashKey` */
  gone: string[];
  /** when it is ready then, and when it was to be */
  readyAt: string;
  readyWas: string;
}

/** The same clash in two plans: what it is about and who takes part. */
export function clashKey(clash: Clash): string {
  const what = 'resource' in clash ? clash.resource : 'step' in clash ? clash.step : '';
  return `${clash.kind} ${what} ${'batches' in clash ? [...clash.batches].sort().join(' ') : clash.batch}`;
}
