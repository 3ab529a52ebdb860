import type { BatchState } from '../batch/batchState.js';
import type { Resource } from '../schedule/scheduleTypes.js';

type Planned = { design: Pick<BatchState['design'], 'stores'> };

/** The smoker that a batch goes into: the planned one, else the house's first; null where the house has none. */
export function smokerOf({ design }: Planned, resources: readonly Resource[]): string | null {
  const smokers = resources.filter(({ kind }) => kind === 'smoker');
  return (smokers.find(({ id }) => id === design.stores?.smoke) ?? smokers[0])?.id ?? null;
}

/**
 * Whether two batches stand over one fire: what is put on it is put on for both.
 *
 * @example sameFire(whole, part, [{ id: 'smoker', name: 'Smoker', kind: 'smoker', capacity: 4 }]) // true
 */
export function sameFire(one: Planned, other: Planned, resources: readonly Resource[]): boolean {
  const smoker = smokerOf(one, resources);
  return smoker !== null && smoker === smokerOf(other, resources);
}
