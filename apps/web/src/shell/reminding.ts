import { nameHere, sayHere } from './here';
import { MINUTE_MS, wordsOfStep } from '@bunkhouse/core';
import { useEffect, useSyncExternalStore } from 'react';
import { useLiveBatches, type Batch } from '../data/batches';
import { showNotice } from './notice';
import { useNow } from './useNow';

const ON = 'bunkhouse.remind';
const TOLD = 'bunkhouse.reminded';
const MOST_TOLD = 300;
/** A job that fell due longer ago than this is on Today, not news, ms. */
const NEWS_MS = 30 * MINUTE_MS;

const listeners = new Set<() => void>();
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};
const tell = () => listeners.forEach((listener) => listener());

/** Whether jobs are told on this device when they fall due. */
export type Reminding = 'on' | 'off' | 'denied' | 'unknown';

function current(): Reminding {
  if (!('Notification' in window)) return 'unknown';
  if (Notification.permission === 'denied') return 'denied';
  return localStorage.getItem(ON) === 'yes' && Notification.permission === 'granted' ? 'on' : 'off';
}

/** Reminders of this device: the browser is asked only when somebody wants them. */
export function useReminding(): { state: Reminding; turnOn: () => Promise<void>; turnOff: () => Promise<void> } {
  const state = useSyncExternalStore(subscribe, current);
  return {
    state,
    turnOn: async () => {
      const given = await Notification.requestPermission().catch(() => 'denied' as const);
      if (given === 'granted') localStorage.setItem(ON, 'yes');
      tell();
    },
    turnOff: async () => {
      localStorage.removeItem(ON);
      tell();
      await Promise.resolve();
    },
  };
}

/** Tells each job once when it falls due, while the page is open, if this device was asked to. */
export function useReminders(): void {
  const { batches } = useLiveBatches();
  const now = useNow();
  const { state } = useReminding();
  useEffect(() => {
    if (state !== 'on' || batches === undefined) return;
    const told = readTold();
    const due = batches.flatMap((batch) => dueJobs(batch, now)).filter(({ key }) => !told.includes(key));
    if (due.length === 0) return;
    localStorage.setItem(TOLD, JSON.stringify([...told, ...due.map(({ key }) => key)].slice(-MOST_TOLD)));
    for (const { key, title, body, path } of due) {
      void showNotice({ title, body, tag: key, path });
    }
  }, [batches, now, state]);
}

const dueJobs = ({ record, state }: Batch, now: number) =>
  state.next !== null && state.next.dueAt <= now && now - state.next.dueAt < NEWS_MS
    ? [
        {
          key: `${record.id} ${state.next.spec.id} ${Math.round(state.next.dueAt / MINUTE_MS)}`,
          title: `${nameHere(state.next.spec.title)}, ${record.code}`,
          body: sayHere(wordsOfStep(state.next.spec, record.process).task),
          path: `/batches/${record.id}`,
        },
      ]
    : [];

function readTold(): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(TOLD) ?? '[]');
    return Array.isArray(kept) ? kept.filter((key): key is string => typeof key === 'string') : [];
  } catch {
    return [];
  }
}
