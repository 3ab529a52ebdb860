import type { PitEvent } from '@bunkhouse/core';
import type { Batch } from '../../data/batches';
import { usePreferences } from '../../reader/preferences';
import { useWrite } from '../useWrite';
import { pitEventTitle } from '../../reader/words/eventTitle';

/** Logs what happens at the pit, with one tap; it can be taken back as fast. Answers whether it was written. */
export function useTend(batch: Batch): {
  tend: (event: PitEvent, reason?: string, readWith?: string) => Promise<boolean>;
  busy: boolean;
  fault: string | null;
} {
  const { write, ...rest } = useWrite(batch);
  const preferences = usePreferences();
  return {
    ...rest,
    tend: (event, reason, readWith) =>
      write(
        { kind: 'pit', event, ...(reason === undefined ? {} : { reason }), ...(readWith === undefined ? {} : { readWith }) },
        pitEventTitle(event, preferences),
      ),
  };
}
