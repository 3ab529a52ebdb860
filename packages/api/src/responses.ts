import type { BatchDesign, Diffusivity, LogEntry, Process, Verdict } from '@bunkhouse/core';

/** Every error of the API. */
export interface ErrorResponse {
  statusCode: number;
  /** a sentence that a cook understands */
  message: string;
  errors?: { field: string; message: string }[];
}

/** A batch with its log; what follows from them is derived by core. */
export interface BatchResponse {
  id: string;
  code: string;
  design: BatchDesign;
  process: Process;
  entries: LogEntry[];
  createdBy: string;
  /** ISO instant */
  createdAt: string;
}

export interface HealthResponse {
  status: 'ok' | 'down';
  database: 'answers' | 'does not answer';
  version: string;
}

export interface HouseResponse {
  name: string;
  /** whether it was opened with the made-up cook-house */
  demo: boolean;
}

/** A finished batch in a line. Weights in g, times ISO. */
export interface LedgerRow {
  id: string;
  code: string;
  name: string;
  startedAt: string;
  endedAt: string;
  outcome: 'finished' | 'thrownAway';
  greenG: number;
  packedG: number | null;
  yieldPercent: number | null;
  nitritePpm: number;
  pumpPercent: number | null;
  by: string;
}

/** Something that a log tells of and that the house learns from, unless it is left out. */
interface LearntFrom {
  /** the entry and the piece */
  id: string;
  batchId: string;
  code: string;
  name: string;
  piece: string;
  by: string;
  /** ISO instant */
  at: string;
  leftOut: boolean;
}

/** What this house has learnt from its own batches, and from what. */
export interface LearntResponse {
  /** how fast brine moves in its meat */
  diffusivity: Diffusivity;
  cutFaces: (LearntFrom & { colouredMm: number; halfMm: number; /** by the model, as learnt now, mm */ expectedMm: number })[];
  /** the salt that its cooks like at the edge, % */
  taste: { percent: number; spread: number; verdicts: number };
  tasted: (LearntFrom & { edgePercent: number; verdict: Verdict; /** what it alone would put the taste at, % */ impliedPercent: number })[];
}
