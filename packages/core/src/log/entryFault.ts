import type { TemperatureFault } from '../safety/temperatureBounds.js';
import type { Message } from '../say/message.js';
import type { NewLogEntry } from './logEntry.js';

/** A fault of an entry at one of its fields: `at`, `reason`, `values.NAME`, `changes.NAME`, or `entry` for the whole. */
export interface EntryFault extends Message {
  field: string;
  /** of a temperature that cannot be: what it likely was can be taken with one tap */
  temperature?: TemperatureFault;
}

/** An entry on its way into the log. */
export type EntryDraft = NewLogEntry;

export const faultAt = (field: string, said: Message): EntryFault => ({ field, ...said });
