import type { TemperatureFault } from '../safety/temperatureBounds.js';
import type { NewLogEntry } from './logEntry.js';

/** A fault of an entry at one of its fields: `at`, `reason`, `values.NAME`, `changes.NAME`, or `entry` for the whole. */
export interface EntryFault {
  field: string;
  message: string;
  /** of a temperature that cannot be: the screen says it in the reader's unit */
  temperature?: TemperatureFault;
}

/** An entry on its way into the log. */
export type EntryDraft = NewLogEntry;
