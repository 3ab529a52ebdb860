import type { DeviceResponse } from '@bunkhouse/api';
import { coldLying, coldPlaces, pitLog, type ColdLying, DAY_MS } from '@bunkhouse/core';
import { useMemo } from 'react';
import type { Batch } from '../../data/batches';
import { useHousePlan } from '../../data/housePlan';
import { useChannels, useDevices } from '../../data/readings';
import { useNow } from '../../data/useNow';

/** Air of a refrigerator is gathered by five minutes, for the longest cure: a door is no news. */
const COLD = { everyS: 300, longestMs: 61 * DAY_MS };
/** Batches that came in within the same days are read together, ms. */
const TOGETHER_MS = 5 * DAY_MS;

export type ColdView = ColdLying & { isSimulated: boolean };

/** What the loggers say of the refrigerators that a batch lay in; null where none hangs there. */
export function useColdLying({ record, state }: Batch): ColdView | null {
  const now = useNow();
  const plan = useHousePlan();
  const { data: devices } = useDevices();
  const places = useMemo(() => (plan === undefined ? [] : coldPlaces(state, plan.resources)), [plan, state]);
  const loggers = useMemo(() => loggersOf(devices ?? [], new Set(places.map(({ store }) => store.id))), [devices, places]);
  const channels = useMemo(() => loggers.map(({ id, channels: [first] }) => ({ device: id, channel: first?.channel ?? 1 })), [loggers]);
  const fromMs = places[0]?.fromMs ?? null;
  const readings = useChannels(channels, fromMs === null ? null : Math.floor(fromMs / TOGETHER_MS) * TOGETHER_MS, COLD);
  return useMemo(() => {
    if (readings === undefined || loggers.length === 0) return null;
    const logged = new Map(loggers.map(({ id, store }) => [store ?? '', readings.find(({ device }) => device === id)?.readings ?? []]));
    const lying = coldLying(state, places, logged, pitLog(state, record.process), now);
    return lying.places.length === 0 ? null : { ...lying, isSimulated: loggers.some(({ simulated }) => simulated) };
  }, [readings, loggers, places, state, record.process, now]);
}

/** A logger that was heard so long ago hangs there no more, ms. */
const FRESH_MS = 1_800_000;

/** One logger for each of some stores: of those that are heard the warmest, else the one that was heard last. */
function loggersOf(devices: readonly DeviceResponse[], stores: ReadonlySet<string>): DeviceResponse[] {
  const heardMs = ({ heardAt }: DeviceResponse) => (heardAt === null ? -Infinity : Date.parse(heardAt));
  const newest = Math.max(...devices.map(heardMs));
  const warmest = ({ channels }: DeviceResponse) => Math.max(-Infinity, ...channels.map(({ last }) => last?.C ?? -Infinity));
  const isFresh = (device: DeviceResponse) => heardMs(device) > newest - FRESH_MS;
  const better = (a: DeviceResponse, b: DeviceResponse) =>
    Number(isFresh(b)) - Number(isFresh(a)) || (isFresh(a) ? warmest(b) - warmest(a) : heardMs(b) - heardMs(a));
  return [...stores].flatMap((store) =>
    devices
      .filter((device) => device.kind === 'refrigerator' && device.store === store)
      .sort(better)
      .slice(0, 1),
  );
}
