import { planSaid, type DesignChanges } from '@bunkhouse/core';
import type { Batch } from '../data/batches';
import { useWrite } from './useWrite';

/** Takes a change over into the plan of a batch, with one tap, and tells of it by `why`; it can be taken back as fast. Answers whether it was written. */
export function useReplan(batch: Batch): { replan: (changes: DesignChanges, why: string) => Promise<boolean>; busy: boolean; fault: string | null } {
  const { write, ...rest } = useWrite(batch);
  return { ...rest, replan: (changes, why) => write({ kind: 'replanned', changes, reason: planSaid(changes, batch.state.steps).message }, `New plan: ${why}`) };
}
