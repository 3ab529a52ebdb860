import type { PitEvent } from '@bunkhouse/core';
import { useState } from 'react';
import { writeEntry, type Batch } from '../../data/batches';
import { Refusal } from '../../data/request';
import { houseTime } from '../../data/serverClock';
import { useTellLogged } from '../JustLogged';
import { usePreferences } from '../preferences';
import { pitEventTitle } from './words';

/** Logs what happens at the pit, with one tap; it can be taken back as fast. Answers whether it was written. */
export function useTend({ record }: Batch): { tend: (event: PitEvent, reason?: string) => Promise<boolean>; busy: boolean; fault: string | null } {
  const { name } = usePreferences();
  const tellLogged = useTellLogged();
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const tend = async (event: PitEvent, reason?: string) => {
    if (busy) return false;
    setBusy(true);
    setFault(null);
    const id = crypto.randomUUID();
    const at = new Date(houseTime()).toISOString();
    try {
      await writeEntry(record.id, { id, kind: 'pit', event, ...(reason === undefined ? {} : { reason }), at, by: name.trim() === '' ? 'Cook' : name.trim() });
      tellLogged({ batchId: record.id, entryId: id, what: `${pitEventTitle(event)}, ${record.code}`, at });
      return true;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.message);
      return false;
    } finally {
      setBusy(false);
    }
  };
  return { tend, busy, fault };
}
