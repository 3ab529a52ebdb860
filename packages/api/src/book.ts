import type { BatchDesign, HousePlan, LogEntry, Process } from '@bunkhouse/core';
import type { FaceMarks, FaceShares } from '@bunkhouse/core';
import type { LotResponse, RecipeResponse, ToolResponse } from './responses.js';

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

/** A picture of a cut face, with every reading of it. */
export interface BookPicture {
  id: string;
  batch: string;
  piece: string;
  by: string;
  at: string;
  /** base64 */
  jpeg: string;
  readings: { id: string; marks: FaceMarks; shares: FaceShares; by: string; at: string }[];
}

/** A whole book as it is exported; one batch or one recipe is a book with nothing else in it. */
export interface Book {
  format: 'bunkhouse-book';
  version: 2;
  exportedAt: string;
  house: string;
  plan?: HousePlan | null;
  recipes: RecipeResponse[];
  devices: BookDevice[];
  lots: Omit<LotResponse, 'takenG' | 'batches'>[];
  tools: ToolResponse[];
  leftOut: { id: string; by: string; at: string }[];
  batches: BookBatch[];
  pictures: BookPicture[];
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
  tools: number;
  pictures: number;
  readings: number;
}
