import { DAY_MS } from '@bunkhouse/core';
import type { DeviceRequest, DeviceResponse, DeviceTokenResponse, ReadingsEvent, SeriesResponse, TakenResponse, WeightEvent } from '@bunkhouse/api';
import type { ChannelReadings } from '@bunkhouse/core';
import { useEffect, useMemo } from 'react';
import useSWR, { mutate } from 'swr';
import { create } from 'zustand';
import { houseLine } from './houseLine';
import { request } from './request';
import { useTools } from './tools';
import { whileWatched } from './whileWatched';

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

interface Heard {
  /** the last that was heard of each channel, by `device:channel` */
  latest: ReadonlyMap<string, { at: number; C: number }>;
  /** what the scales show now, by device */
  weights: ReadonlyMap<string, WeightEvent>;
}
const useHeard = create<Heard>(() => ({ latest: new Map(), weights: new Map() }));

let again: ReturnType<typeof setTimeout> | undefined;
/** Devices whose curves have grown since they were asked for. */
const toAsk = new Set<string>();

function heard({ device, latest: told }: ReadingsEvent): void {
  const next = new Map(useHeard.getState().latest);
  for (const { channel, at, C } of told) {
    const key = `${device}:${channel}`;
    if (at >= (next.get(key)?.at ?? -Infinity)) next.set(key, { at, C });
  }
  useHeard.setState({ latest: next });
  toAsk.add(device);
  again ??= setTimeout(() => {
    again = undefined;
    const heardOf = [...toAsk];
    toAsk.clear();
    void mutate((key) => typeof key === 'string' && key.startsWith(SERIES) && heardOf.some((id) => key.includes(id)));
  }, ASK_AGAIN_MS);
}

const weighed = (event: WeightEvent): void => useHeard.setState(({ weights }) => ({ weights: new Map(weights).set(event.device, event) }));

/** One line to the house for the whole page, open while anybody watches. */
const watchStream = whileWatched(() =>
  houseLine().hear('/api/readings/stream', {
    weight: (said) => weighed(said as WeightEvent),
    readings: (said) => heard(said as ReadingsEvent),
  }),
);

/** What the house's scales show, live. */
export function useWeights(): ReadonlyMap<string, WeightEvent> {
  useEffect(watchStream, []);
  return useHeard(({ weights }) => weights);
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
  useEffect(watchStream, []);
  const last = useHeard(({ latest }) => latest);
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
