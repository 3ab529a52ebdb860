import type { LogEntryRequest } from '@bunkhouse/api';
import { useState } from 'react';
import { writeEntry, type Batch } from '../data/batches';
import { Refusal } from '../data/request';
import { houseTime } from '../data/serverClock';
import { useTellLogged } from '../kit/JustLogged';
import { usePreferences } from '../reader/preferences';
import { newId } from '../data/newId';

/** What an entry says beside who and when. */
export type Said = Omit<LogEntryRequest, 'id' | 'at' | 'by' | 'seen'>;

/** Writes an entry of this moment into a batch's log, and tells of it. Answers whether it was written. */
export function useWrite({ record }: Batch): { write: (said: Said, what: string) => Promise<boolean>; busy: boolean; fault: string | null } {
  const { name } = usePreferences();
  const tellLogged = useTellLogged();
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const write = async (said: Said, what: string) => {
    if (busy) return false;
    setBusy(true);
    setFault(null);
    const id = newId();
    const at = new Date(houseTime()).toISOString();
    try {
      await writeEntry(record.id, { ...said, id, at, by: name, seen: record.entries.at(-1)?.seq ?? 0 });
      tellLogged({ entries: [{ batchId: record.id, entryId: id }], what: `${what}, ${record.code}`, at });
      return true;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.message);
      return false;
    } finally {
      setBusy(false);
    }
  };
  return { write, busy, fault };
}
