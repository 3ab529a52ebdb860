import type { PlannedStepId } from './stepId.js';
import type { LotDraw } from './lotDraw.js';
import type { PieceEvent } from './pieceEvent.js';
import type { PitEvent } from './pitEvent.js';
import type { HandAct } from './handAct.js';
import type { ReadWith } from './readWith.js';
import type { Ending } from './ending.js';
import type { DesignChanges } from './designChanges.js';
import type { Vessel } from './vessel.js';

/** What was measured in a step: grams, °C, or the value of a choice. Per piece: `name:CODE`. */
export type StepValues = Record<string, number | string>;

interface Written {
  /** made by whoever writes it, so that sending it twice writes it once */
  id: string;
  /** order in the batch's log, from 1 */
  seq: number;
  /** who */
  by: string;
  /** who was signed in on the device that handed it in, where that was somebody else */
  sentBy?: string;
  /** ISO instant of the act */
  at: string;
  /** nobody looked at the clock */
  about?: boolean;
  /** ISO instant of the writing */
  recordedAt: string;
}

/** A step was done, or looked at and left open. */
export type DoneEntry = Written & { kind: 'done'; stepId: PlannedStepId; values: StepValues; reason?: string; read?: ReadWith };
/** A step is left out. */
export type SkippedEntry = Written & { kind: 'skipped'; stepId: PlannedStepId; reason: string };
/** What an earlier entry should have said. The earlier one stays readable. `at` of the act, not of the writing. */
export type CorrectionEntry = Written & { kind: 'correction'; replaces: string; values: StepValues; reason: string };
/** An earlier entry should not be there at all. */
type WithdrawnEntry = Written & { kind: 'withdrawn'; replaces: string; reason: string };
/** The batch ended without being packed; it was thrown away where nothing is said. */
export type EndedEntry = Written & { kind: 'ended'; how?: Ending; reason: string };
/** The plan was changed on the way. What was decided at the start stays readable. */
export type ReplannedEntry = Written & { kind: 'replanned'; changes: DesignChanges; reason: string };
/** Something happened at the pit that is no step of its own. */
export type PitEntry = Written & { kind: 'pit'; event: PitEvent; reason?: string; read?: ReadWith };
/** Something was done to a piece beside the steps, or it left. */
export type PieceEntry = Written & { kind: 'pieces'; event: PieceEvent; reason?: string };
/** Hands did something that no plan asked for. */
export type ActEntry = Written & { kind: 'act'; event: HandAct; reason?: string };
/** What each piece lies in from now on, and how much of the brine is with it. */
export type VesselsEntry = Written & { kind: 'vessels'; vessels: readonly Vessel[]; reason?: string };
/** Something was taken from a lot. */
export type LotEntry = Written & { kind: 'lot'; draw: LotDraw; reason?: string };
/** Something worth keeping. */
type NoteEntry = Written & { kind: 'note'; reason: string };

/** The append-only log of a batch: a closed union. */
export type LogEntry =
  | DoneEntry
  | SkippedEntry
  | CorrectionEntry
  | WithdrawnEntry
  | EndedEntry
  | ReplannedEntry
  | PitEntry
  | PieceEntry
  | VesselsEntry
  | ActEntry
  | LotEntry
  | NoteEntry;
export type LogEntryKind = LogEntry['kind'];
export const LOG_ENTRY_KINDS: readonly LogEntryKind[] = [
  'done',
  'skipped',
  'correction',
  'withdrawn',
  'ended',
  'replanned',
  'pit',
  'pieces',
  'vessels',
  'act',
  'lot',
  'note',
];

/** An entry before it is written. */
export type NewLogEntry = LogEntry extends infer E ? (E extends LogEntry ? Omit<E, 'seq' | 'recordedAt'> : never) : never;
