/** Something that holds so much at a time. Capacity in L for a refrigerator, racks for a smoker, pieces else. */
export interface Resource {
  id: string;
  name: string;
  kind: 'refrigerator' | 'smoker' | 'tub';
  capacity: number;
  /** when it is out of order; ISO */
  closed?: { from: string; to: string; why: string }[];
}

/** What a batch holds from one job to another. */
export interface Hold {
  /** its name within the batch */
  id?: string;
  /** the store that it is planned for */
  resource: string;
  /** other stores that would do as well */
  orElse?: string[];
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

/** Another way to make a batch, in place of the one that is planned. */
export interface Variant {
  /** what is different, for whoever proposes it */
  name: string;
  batch: SchedulableBatch;
}

/** What somebody wishes of a batch, or what already is so. */
export type Wish =
  | { kind: 'done'; step: string; title: string }
  | { kind: 'notBeforeNow' }
  | { kind: 'gap'; step: string; title: string; before: string; leastH: number; mostH: number }
  | { kind: 'notBefore'; step: string; title: string; at: string }
  | { kind: 'notAfter'; step: string; title: string; at: string }
  | { kind: 'readyBy'; at: string }
  | { kind: 'noTimeLeft' };

/** A job with its time. */
export interface ScheduledStep {
  batch: string;
  step: string;
  /** ISO */
  at: string;
}

export type Clash =
  | { kind: 'full'; resource: string; from: string; to: string; most: number; capacity: number; batches: string[] }
  | { kind: 'closed'; resource: string; from: string; to: string; why: string; batches: string[] }
  | { kind: 'programs'; resource: string; from: string; to: string; batches: string[] }
  | { kind: 'hands'; from: string; to: string; most: number; batches: string[] }
  | { kind: 'night'; batch: string; step: string; at: string }
  /** `wishes` where no other time for it would help: they contradict each other, and each of them left out the rest can be had */
  | { kind: 'late'; batch: string; readyBy: string; at: string; wishes?: Wish[] }
  | { kind: 'impossible'; batch: string; wishes: Wish[] };

/** A job that moves; one that was not there before stood nowhere. */
export type Move = ScheduledStep & { title: string; was: string | null };

/** Another place for one batch that does away with clashes, and what it costs. */
export interface Proposal {
  batch: string;
  /** at other hours only, in other stores, or made in another way */
  kind: 'hours' | 'stores' | 'variant';
  /** the name of the variant */
  variant?: string;
  /** the stores that it is moved to, by hold */
  stores: Record<string, string>;
  moves: Move[];
  /** when every job that is still to fall due lies then, ISO by step: what does not move is to stay where it is, too */
  at: Record<string, string>;
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
