import type { PlannedStepId, SingleStepId } from '../log/stepId.js';
import type { ValuesOf } from '../steps/values.js';
import type { BatchDesign } from '../log/batchDesign.js';
import type { BatchFacts } from './batchFacts.js';
import type { BatchFigures } from './batchFigures.js';
import type { Finding } from '../cure/finding.js';
import type { CoolingState, HandReading } from './coreEvidence.js';
import type { StandingEntry } from '../log/standingEntries.js';
import type { Ending } from '../log/ending.js';
import type { LogEntry, StepValues } from '../log/logEntry.js';
import type { Origin, PieceFact, PieceNow } from './pieces.js';
import type { Process } from '../recipes/process.js';
import type { Station } from '../steps/station.js';
import type { StepSpec } from '../steps/step.js';
import type { VesselState } from './vessels.js';
import type { PieceReach } from '../diffusion/reachAtPull.js';

/** A batch as it is kept: what was decided, the process it was made by, and what happened. */
export interface BatchRecord {
  id: string;
  code: string;
  design: BatchDesign;
  process: Process;
  entries: LogEntry[];
  /** where it comes from, when it is a part of another batch */
  origin?: Origin;
}

export type StepStatus = 'done' | 'skipped' | 'missed' | 'open' | 'coming';
export type Urgency = 'waiting' | 'due' | 'overdue';
export interface StepState {
  spec: StepSpec;
  status: StepStatus;
  /** ms; the plan as it was made */
  plannedAt: number;
  /** ms; as things stand now */
  dueAt: number;
  urgency: Urgency;
  /** the entry that closed it */
  closing: StandingEntry | null;
  /** entries that left it open, in order */
  looks: StandingEntry[];
  /** what was read of the pieces at all of them: of each what was read last */
  read: StepValues;
}

/** What closed a step: done, with what was measured at it by its names; or left out. */
export type Closing<Id extends SingleStepId> =
  (Omit<Extract<StandingEntry, { kind: 'done' }>, 'stepId' | 'values'> & { stepId: Id; values: ValuesOf<Id> }) | Extract<StandingEntry, { kind: 'skipped' }>;

/** The steps of a batch, and the one way to ask for them. */
export interface Ticket {
  steps: StepState[];
  /** null where this batch has no such step */
  step: (id: PlannedStepId) => StepState | null;
  /** what closed it; null while it is open, or where this batch has no such step */
  closing: <Id extends SingleStepId>(id: Id) => Closing<Id> | null;
  /** when it was closed, ms */
  closedAt: (id: SingleStepId) => number | null;
}

/** Everything that follows from a record at an instant. Nothing of it is stored. */
export interface BatchState extends Ticket {
  /** what was decided, with every change of the plan that stands */
  design: BatchDesign;
  /** the next thing the cook's hands do */
  next: StepState | null;
  station: Station | null;
  outcome: 'live' | 'finished' | 'thrownAway';
  /** how it ended; null while it lives */
  ending: 'packed' | Ending | null;
  /** ms */
  endedAt: number | null;
  standing: StandingEntry[];
  /** what happened to pieces beside the steps */
  pieceFacts: PieceFact[];
  /** what each piece weighed at first, g green */
  firstGreenG: Record<string, number>;
  /** the pieces that are here now */
  pieces: PieceNow[];
  facts: BatchFacts;
  figures: BatchFigures;
  findings: Finding[];
  /** what the pieces lie in, or lay in, each judged by itself; empty where all lie in one */
  vessels: VesselState[];
  /** dose and reach of every piece that lies in the brine, or lay in it */
  cured: PieceCure[];
  /** what hands read of each piece's core from the check on the fire on */
  coreRead: ReadonlyMap<string, readonly HandReading[]>;
  /** what they prove of the chill gates, piece by piece */
  cooling: CoolingState[];
}

/** Dose and reach of a piece: whether it counts as cured, for chill, slow smoke and label. */
export interface PieceCure extends PieceReach {
  /** how long it lay, or will, days */
  lainDays: number;
  isCured: boolean;
  /** cured, and where the meat is slow the middle is pale */
  isPale: boolean;
  why: NotCuredFor | null;
}

/** Why a piece does not count as cured. */
export type NotCuredFor = 'noCure' | 'dose' | 'middle' | 'mean';
