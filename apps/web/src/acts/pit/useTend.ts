import { isOfTheFire, isOverFire, sameFire, type PitEvent } from '@bunkhouse/core';
import { useLiveBatches, type Batch } from '../../data/batches';
import { useHousePlan } from '../../data/housePlan';
import { houseTime } from '../../data/serverClock';
import { usePreferences } from '../../reader/preferences';
import { pitEventTitle } from '../../reader/words/eventTitle';
import { useWrite } from '../useWrite';

/**
 * Logs what happens at the pit, with one tap; it can be taken back as fast. What is done to the fire is logged for every batch that stands
 * over it. Answers whether it was written.
 */
export function useTend(batch: Batch): {
  tend: (event: PitEvent, reason?: string, readWith?: string) => Promise<boolean>;
  busy: boolean;
  fault: string | null;
} {
  const { write, ...rest } = useWrite(batch);
  const { batches = [] } = useLiveBatches();
  const plan = useHousePlan();
  const preferences = usePreferences();
  const beside = () =>
    batches.filter(
      ({ record, state }) =>
        record.id !== batch.record.id && isOverFire(state, record.process, houseTime()) && sameFire(batch.state, state, plan?.resources ?? []),
    );
  return {
    ...rest,
    tend: (event, reason, readWith) =>
      write(
        { kind: 'pit', event, ...(reason === undefined ? {} : { reason }), ...(readWith === undefined ? {} : { readWith }) },
        pitEventTitle(event, preferences),
        isOfTheFire(event.act) ? beside() : [],
      ),
  };
}
