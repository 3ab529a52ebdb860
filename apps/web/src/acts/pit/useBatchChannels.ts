import { channelsOf, pitLog, type ChannelReadings } from '@bunkhouse/core';
import { useMemo } from 'react';
import type { Batch } from '../../data/batches';
import { useChannels } from '../../data/readings';

/** Readings of every channel that hung in a batch's cook; undefined until the house has answered. */
export function useBatchChannels({ record, state }: Batch): ChannelReadings[] | undefined {
  const log = useMemo(() => pitLog(state, record.process), [state, record.process]);
  const channels = useMemo(() => channelsOf(log.hung), [log]);
  return useChannels(channels, log.onAt);
}
