import { useSyncExternalStore } from 'react';
import { houseTime } from '../data/serverClock';

const TICK_MS = 10_000;
const listeners = new Set<() => void>();
let now = houseTime();
let timer: ReturnType<typeof setInterval> | undefined;

function tick() {
  now = houseTime();
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  if (timer === undefined) {
    tick();
    timer = setInterval(tick, TICK_MS);
    document.addEventListener('visibilitychange', tick);
  }
  return () => {
    listeners.delete(listener);
    if (listeners.size > 0) return;
    clearInterval(timer);
    timer = undefined;
    document.removeEventListener('visibilitychange', tick);
  };
}

/** The clock on the wall, ms; moves every ten seconds, for every screen at once. */
export const useNow = (): number => useSyncExternalStore(subscribe, () => now);

/** Moves it at once: after something was logged. */
export const tellTime = tick;
