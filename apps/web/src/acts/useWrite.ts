import type { LogEntryRequest } from '@bunkhouse/api';
import { useState } from 'react';
import { writeEntries, type Batch } from '../data/batches';
import { Refusal } from '../data/request';
import { houseTime } from '../data/serverClock';
import { useTellLogged } from '../kit/JustLogged';
import { usePreferences } from '../reader/preferences';
import { newId } from '../data/newId';

/** What an entry says beside who and when. */
export type Said = Omit<LogEntryRequest, 'id' | 'at' | 'by' | 'seen'>;

/** Writes an entry of this moment into a batch's log, and into those of others for which it was done too, and tells of it. Answers whether it was written. */
export function useWrite({ record }: Batch): {
  write: (said: Said, what: string, also?: readonly Batch[]) => Promise<boolean>;
  busy: boolean;
  fault: string | null;
} {
  const { name } = usePreferences();
  const tellLogged = useTellLogged();
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const write = async (said: Said, what: string, also: readonly Batch[] = []) => {
    if (busy) return false;
    setBusy(true);
    setFault(null);
    const at = new Date(houseTime()).toISOString();
    const all = [record, ...also.map((other) => other.record)].map((one) => ({ one, id: newId() }));
    const told: typeof all = [];
    try {
      await writeEntries(
        all.map(({ one, id }) => ({ batchId: one.id, entry: { ...said, id, at, by: name, seen: one.entries.at(-1)?.seq ?? 0 } })),
        (i) => told.push(...all.slice(i, i + 1)),
      );
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.message);
    } finally {
      setBusy(false);
    }
    // Where one of several is refused, what was written of the others stands, and can be taken back.
    if (told.length > 0) {
      tellLogged({
        entries: told.map(({ one, id }) => ({ batchId: one.id, entryId: id })),
        what: `${what}, ${told.map(({ one }) => one.code).join(', ')}`,
        at,
      });
    }
    return told.length > 0;
  };
  return { write, busy, fault };
}
