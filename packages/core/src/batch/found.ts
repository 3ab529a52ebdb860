import type { BatchDesign } from '../log/batchDesign.js';
import type { StandingEntry } from '../log/standingEntries.js';
import type { Process } from '../recipes/process.js';
import type { BatchFacts } from './batchFacts.js';
import type { BatchFigures } from './batchFigures.js';
import type { PieceCure, Ticket } from './batchState.js';
import type { VesselState } from './vessels.js';
import type { CoolingState } from './coreEvidence.js';

/** What is known of a batch when its findings are gathered. */
export interface Found {
  design: BatchDesign;
  process: Process;
  facts: BatchFacts;
  figures: BatchFigures;
  vessels: readonly VesselState[];
  standing: readonly StandingEntry[];
  closing: Ticket['closing'];
  cured: readonly PieceCure[];
  cooling: readonly CoolingState[];
}
