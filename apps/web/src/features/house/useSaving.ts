import { useState } from 'react';
import { Refusal } from '../../data/request';

/** Sends a form and says what the house would not have, at its fields. */
export function useSaving(): {
  save: (work: () => Promise<unknown>) => Promise<boolean>;
  busy: boolean;
  at: (field: string) => string | undefined;
  fault: string | null;
} {
  const [busy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const save = async (work: () => Promise<unknown>) => {
    if (busy) return false;
    setBusy(true);
    setRefusal(null);
    try {
      await work();
      return true;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setRefusal(error);
      return false;
    } finally {
      setBusy(false);
    }
  };
  return {
    save,
    busy,
    at: (field) => refusal?.errors.find((own) => own.field === field)?.message,
    fault: refusal === null || refusal.errors.length > 0 ? null : refusal.message,
  };
}
