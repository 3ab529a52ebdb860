import { useEffect } from 'react';
import { create } from 'zustand';
import { houseTime } from './serverClock';
import { whileWatched } from './whileWatched';

const TICK_MS = 10_000;
const useClock = create<{ now: number }>(() => ({ now: houseTime() }));

/** Moves it at once: after something was logged. */
export const tellTime = (): void => useClock.setState({ now: houseTime() });

const watch = whileWatched(() => {
  tellTime();
  const timer = setInterval(tellTime, TICK_MS);
  document.addEventListener('visibilitychange', tellTime);
  return () => {
    clearInterval(timer);
    document.removeEventListener('visibilitychange', tellTime);
  };
});

/** The clock on the wall, ms; moves every ten seconds, for every screen at once. */
export function useNow(): number {
  useEffect(watch, []);
  return useClock(({ now }) => now);
}
