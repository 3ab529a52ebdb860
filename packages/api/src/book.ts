import type { BatchDesign, HousePlan, LogEntry, Process } from '@bunkhouse/core';
import type { LotResponse, RecipeResponse } from './responses.js';

/** A batch in a book: what is its own of the log. */
export interface BookBatch {
  id: string;
  code: string;
  createdBy: string;
  createdAt: string;
  design: BatchDesign;
  process: Process;
  cutFrom?: string;
  cutAfter?: number;
  entries: LogEntry[];
}

export interface BookDevice {
  id: string;
  name: string;
  kind: string;
  channels: { channel: number; name: string }[];
  store?: string | null;
  simulated: boolean;
  createdBy: string;
  createdAt: string;
}

/** Five minutes of a channel. */
export interface BookReadings {
  device: string;
  channel: number;
  from: string;
  /** s from `from` */
  s: number[];
  C: number[];
}

/** A whole book as it is exported; one batch or one recipe is a book with nothing else in it. */
export interface Book {
  format: 'bunkhouse-book';
  version: 1;
  exportedAt: string;
  house: string;
  plan?: HousePlan | null;
  recipes: RecipeResponse[];
  devices: BookDevice[];
  lots: Omit<LotResponse, 'takenG' | 'batches'>[];
  leftOut: { id: string; by: string; at: string }[];
  batches: BookBatch[];
  readings?: BookReadings[];
}

/** What a part of a book would become here. */
export type BookFate = 'new' | 'known' | 'longer' | 'differs';

/** What an import would write, or wrote. Nothing that is here is changed by it. */
export interface ImportResponse {
  /** false for a preview */
  written: boolean;
  house: string;
  recipes: { id: string; name: string; fate: BookFate }[];
  /** `as`: the code that it gets here, where its own is taken */
  batches: { id: string; code: string; name: string; fate: BookFate; as?: string }[];
  devices: number;
  lots: number;
  readings: number;
}
