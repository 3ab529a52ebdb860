import { useSyncExternalStore } from 'react';

/** Since when the house gives no answer, ms; null while it does. */
let lostAt: number | null = null;
const listeners = new Set<() => void>();
const ASK_AGAIN_MS = 4000;
let asking: ReturnType<typeof setTimeout> | undefined;

function set(next: number | null): void {
  if ((lostAt === null) === (next === null)) return;
  lostAt = next;
  for (const listener of [...listeners]) listener();
}

/** An answer came, whatever it said. */
export const noteReached = (): void => set(null);

/** No answer came. The house is asked again until one does. */
export function noteLost(): void {
  set(lostAt ?? Date.now());
  asking ??= setTimeout(() => void askAgain(), ASK_AGAIN_MS);
}

async function askAgain(): Promise<void> {
  asking = undefined;
  try {
    const { ok } = await fetch('/api/health', { cache: 'no-store' });
    if (ok) noteReached();
    else noteLost();
  } catch {
    noteLost();
  }
}

export const isLost = (): boolean => lostAt !== null;

/** Tells of every change; answers how to stop. */
export function onConnection(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Since when there is no connection, ms; null while there is one. */
export const useLostSince = (): number | null => useSyncExternalStore(onConnection, () => lostAt);

// The system knows sooner that a cable was pulled, or is in again.
if (typeof window !== 'undefined') {
  window.addEventListener('offline', noteLost);
  window.addEventListener('online', () => void askAgain());
}
