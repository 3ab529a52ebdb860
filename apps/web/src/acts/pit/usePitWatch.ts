import { channelsOf, chillWatch, pitLog, pitWatch, replay, type BatchState, type ChannelReadings, type ChillWatch, type PitWatch } from '@bunkhouse/core';
import { useMemo } from 'react';
import type { Batch } from '../../data/batches';
import { useChannels } from '../../data/readings';
import { useNow } from '../../data/useNow';

/** Whether a batch is on the fire, or rests: its meat went on, and it is not in the cold. */
export const isOnFire = ({ state }: Batch): boolean => state.outcome === 'live' && state.closing('meat-on') !== null && state.closing('into-cold') === null;

/** Whether a batch goes down through the gates. */
export const isChilling = ({ state }: Batch): boolean =>
  state.outcome === 'live' && state.closing('into-cold') !== null && state.closing('gate-second') === null;

/** Whether a cook’s probes hang anywhere. */
export const isProbed = ({ record }: Batch): boolean => record.entries.some((entry) => entry.kind === 'pit' && entry.event.act === 'probes');

/** What is at the pit, in the order in which it is shown: fires with probes in them, other fires, then what cools. */
export const atThePit = (batches: readonly Batch[]): Batch[] => [
  ...batches.filter(isOnFire).sort((a, b) => Number(isProbed(b)) - Number(isProbed(a))),
  ...batches.filter(isChilling),
];

export interface PitView {
  /** null before its meat is on */
  watch: PitWatch | null;
  /** null before it is off the fire */
  chill: ChillWatch | null;
  /** false until its curves were asked for */
  heard: boolean;
  /** the batch as of the instant that is looked at */
  state: BatchState;
  /** ms; the instant that is looked at */
  at: number;
  /** what its probes read */
  channels: readonly ChannelReadings[];
}

const NOTHING_READ: readonly ChannelReadings[] = [];

/** The clock on the wall moves every ten seconds, a reading comes at once: what was just read is now, ms. */
const TICK_MS = 15_000;
const newestOf = (readings: readonly ChannelReadings[]): number => Math.max(-Infinity, ...readings.map((channel) => channel.readings.at(-1)?.at ?? -Infinity));

/**
 * What is to be seen of a cook now, or, played again, at an instant of it.
 *
 * @param playedAt ms; null for now
 */
export function usePitWatch({ record, state }: Batch, playedAt: number | null = null): PitView {
  const now = useNow();
  const log = useMemo(() => pitLog(state, record.process), [state, record.process]);
  const channels = useMemo(() => channelsOf(log.hung), [log]);
  const readings = useChannels(channels, log.onAt);
  return useMemo(() => {
    const at = playedAt ?? Math.max(now, Math.min(newestOf(readings ?? []), now + TICK_MS));
    const then = playedAt === null ? state : replay({ ...record, entries: record.entries.filter((entry) => Date.parse(entry.at) <= at) }, at);
    const watch = pitWatch(then, record.process, readings ?? [], at);
    return {
      watch,
      chill: chillWatch(then, record.process, readings ?? [], watch, at),
      heard: readings !== undefined,
      state: then,
      at,
      channels: readings ?? NOTHING_READ,
    };
  }, [record, state, readings, now, playedAt]);
}
