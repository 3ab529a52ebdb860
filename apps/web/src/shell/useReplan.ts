import type { DesignChanges } from '@bunkhouse/core';
import { useState } from 'react';
import { writeEntry, type Batch } from '../data/batches';
import { Refusal } from '../data/request';
import { houseTime } from '../data/serverClock';
import { useTellLogged } from './JustLogged';
import { usePreferences } from './preferences';

/** Takes a change over into the plan of a batch, with one tap; it can be taken back as fast. Answers whether it was written. */
export function useReplan({ record }: Batch): { replan: (changes: DesignChanges, why: string) => Promise<boolean>; busy: boolean; fault: string | null } {
  const { name } = usePreferences();
  const tellLogged = useTellLogged();
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const replan = async (changes: DesignChanges, why: string) => {
    if (busy) return false;
    setBusy(true);
    setFault(null);
    const id = crypto.randomUUID();
    const at = new Date(houseTime()).toISOString();
    try {
      await writeEntry(record.id, {
        id,
        kind: 'replanned',
        changes,
        reason: why,
        at,
        by: name.trim() === '' ? 'Cook' : name.trim(),
        seen: record.entries.length,
      });
      tellLogged({ batchId: record.id, entryId: id, what: `New plan, ${record.code}: ${why}`, at });
      return true;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.message);
      return false;
    } finally {
      setBusy(false);
    }
  };
  return { replan, busy, fault };
}
