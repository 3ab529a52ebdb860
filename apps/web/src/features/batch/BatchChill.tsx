import type { Batch } from '../../data/batches';
import { ChillPanel } from '../../acts/pit/ChillPanel';
import { usePitWatch } from '../../acts/pit/usePitWatch';

/** The chill on a batch's own page, with what its probes read. */
export function BatchChill({ batch }: { batch: Batch }) {
  const { chill, at } = usePitWatch(batch);
  return chill === null ? null : <ChillPanel batch={batch} chill={chill} at={at} />;
}
