import { nameHere, sayHere } from '../reader/here';
import { MINUTE_MS, wordsOfStep } from '@bunkhouse/core';
import { useEffect } from 'react';
import { create } from 'zustand';
import { useLiveBatches, type Batch } from '../data/batches';
import { showNotice } from '../kit/notice';
import { useNow } from '../data/useNow';

const ON = 'bunkhouse.remind';
const TOLD = 'bunkhouse.reminded';
const MOST_TOLD = 300;
/** A job that fell due longer ago than this is on Today, not news, ms. */
const NEWS_MS = 30 * MINUTE_MS;

/** Whether jobs are told on this device when they fall due. */
export type Reminding = 'on' | 'off' | 'denied' | 'unknown';

function current(): Reminding {
  if (!('Notification' in window)) return 'unknown';
  if (Notification.permission === 'denied') return 'denied';
  return localStorage.getItem(ON) === 'yes' && Notification.permission === 'granted' ? 'on' : 'off';
}

const useAsked = create<{ state: Reminding }>(() => ({ state: current() }));
const look = () => useAsked.setState({ state: current() });

/** Reminders of this device: the browser is asked only when somebody wants them. */
export function useReminding(): { state: Reminding; turnOn: () => Promise<void>; turnOff: () => Promise<void> } {
  // The browser may have been told otherwise since.
  useEffect(look, []);
  const state = useAsked(({ state: now }) => now);
  return {
    state,
    turnOn: async () => {
      const given = await Notification.requestPermission().catch(() => 'denied' as const);
      if (given === 'granted') localStorage.setItem(ON, 'yes');
      look();
    },
    turnOff: async () => {
      localStorage.removeItem(ON);
      look();
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
