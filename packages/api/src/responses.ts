import type { BatchDesign, LogEntry, Process } from '@bunkhouse/core';

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
