import { DAY_MS } from '@bunkhouse/core';
import type { DeviceRequest, DeviceResponse, DeviceTokenResponse, ReadingsEvent, SeriesResponse, TakenResponse, WeightEvent } from '@bunkhouse/api';
import type { ChannelReadings } from '@bunkhouse/core';
import { useMemo, useSyncExternalStore } from 'react';
import useSWR, { mutate } from 'swr';
import { request } from './request';
import { useTools } from './tools';

const DEVICES = '/api/devices';
const SERIES = '/api/readings?';
/** The curves of a cook are gathered by the minute: what alarms and forecasts go by, and more than a screen has pixels for. */
const COOK = { everyS: 60, longestMs: 15 * DAY_MS };
/** The stream may tell much at once: curves are asked for again so often at most, ms. */
const ASK_AGAIN_MS = 2000;

export const useDevices = () => useSWR<DeviceResponse[], Error>(DEVICES, request, { refreshInterval: 15_000 });

export async function addDevice(asked: DeviceRequest): Promise<DeviceTokenResponse> {
  const added = await request<DeviceTokenResponse>(DEVICES, asked);
  await mutate(DEVICES);
  return added;
}

/** Brings readings in by hand, from a file. */
export const bringReadings = (device: string, readings: readonly { channel: number; at: string; C: number }[], by: string): Promise<TakenResponse> =>
  request<TakenResponse>(`${DEVICES}/${device}/readings`, { readings, by });

export const renewToken = (id: string, by: string): Promise<DeviceTokenResponse> => request<DeviceTokenResponse>(`${DEVICES}/${id}/token`, { by });

export const endToken = (id: string, by: string): Promise<DeviceResponse> => request<DeviceResponse>(`${DEVICES}/${id}/end`, { by });

/** The last that was heard of each channel, by `device:channel`. */
let latest: ReadonlyMap<string, { at: number; C: number }> = new Map();
const listeners = new Set<() => void>();
let source: EventSource | null = null;
let again: ReturnType<typeof setTimeout> | undefined;
/** Devices whose curves have grown since they were asked for. */
const toAsk = new Set<string>();

function heard({ device, latest: told }: ReadingsEvent): void {
  const next = new Map(latest);
  for (const { channel, at, C } of told) {
    const key = `${device}:${channel}`;
    if (at >= (next.get(key)?.at ?? -Infinity)) next.set(key, { at, C });
  }
  latest = next;
  for (const listener of listeners) listener();
  toAsk.add(device);
  again ??= setTimeout(() => {
    again = undefined;
    const heardOf = [...toAsk];
    toAsk.clear();
    void mutate((key) => typeof key === 'string' && key.startsWith(SERIES) && heardOf.some((id) => key.includes(id)));
  }, ASK_AGAIN_MS);
}

/** What the scales show now, by device. */
let weights: ReadonlyMap<string, WeightEvent> = new Map();

function weighed(event: WeightEvent): void {
  weights = new Map(weights).set(event.device, event);
  for (const listener of listeners) listener();
}

/** What the house's scales show, live. */
export const useWeights = (): ReadonlyMap<string, WeightEvent> => useSyncExternalStore(subscribe, () => weights);

/** One line to the house for the whole page, open while anybody watches. */
function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  if (source === null) {
    source = new EventSource('/api/readings/stream');
    source.addEventListener('weight', (event) => weighed(JSON.parse((event as MessageEvent<string>).data) as WeightEvent));
    source.addEventListener('readings', (event) => heard(JSON.parse((event as MessageEvent<string>).data) as ReadingsEvent));
  }
  return () => {
    listeners.delete(listener);
    if (listeners.size > 0) return;
    source?.close();
    source = null;
  };
}

/** Readings of some channels from an instant on, live: gathered by the minute unless said otherwise, and the last one as it came. Undefined until the first answer. */
export function useChannels(
  channels: readonly { device: string; channel: number }[],
  fromMs: number | null,
  { everyS, longestMs }: { everyS: number; longestMs: number } = COOK,
): ChannelReadings[] | undefined {
  const isAsked = fromMs !== null && channels.length > 0;
  const query = isAsked
    ? new URLSearchParams({
        channels: channels.map(({ device, channel }) => `${device}:${channel}`).join(','),
        from: new Date(fromMs).toISOString(),
        to: new Date(fromMs + longestMs).toISOString(),
        every: String(everyS),
      }).toString()
    : '';
  const { data } = useSWR<SeriesResponse, Error>(isAsked ? SERIES + query : null, request, { refreshInterval: 60_000, keepPreviousData: true });
  const last = useSyncExternalStore(subscribe, () => latest);
  const { data: tools } = useTools();
  return useMemo(() => {
    if (!isAsked) return [];
    return data?.channels.map(({ device, channel, at, C }) => {
      const readings = at.map((time, i) => ({ at: time, C: C[i] ?? Number.NaN }));
      const now = last.get(`${device}:${channel}`);
      const isChecked =
        tools?.some(({ size, checks }) => size.kind === 'thermometer' && size.device === device && size.channel === channel && checks.length > 0) === true;
      return { device, channel, isChecked, readings: now !== undefined && now.at > (at.at(-1) ?? fromMs ?? 0) ? [...readings, now] : readings };
    });
  }, [data, last, isAsked, fromMs, tools]);
}
