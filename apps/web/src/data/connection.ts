import { create } from 'zustand';
import { houseLine } from './houseLine';

/** Since when the house gives no answer, ms; null while it does. */
const useConnection = create<{ lostAt: number | null }>(() => ({ lostAt: null }));
const ASK_AGAIN_MS = 4000;
let asking: ReturnType<typeof setTimeout> | undefined;

/** An answer came, whatever it said. */
export function noteReached(): void {
  if (isLost()) useConnection.setState({ lostAt: null });
}

/** No answer came. The house is asked again until one does. */
export function noteLost(): void {
  if (!isLost()) useConnection.setState({ lostAt: Date.now() });
  asking ??= setTimeout(() => void askAgain(), ASK_AGAIN_MS);
}

async function askAgain(): Promise<void> {
  asking = undefined;
  try {
    const { ok } = await houseLine().ask('/api/health', { cache: 'no-store' });
    if (ok) noteReached();
    else noteLost();
  } catch {
    noteLost();
  }
}

export const isLost = (): boolean => useConnection.getState().lostAt !== null;

/** Tells of every change; answers how to stop. */
export const onConnection = (listener: () => void): (() => void) => useConnection.subscribe(listener);

/** Since when there is no connection, ms; null while there is one. */
export const useLostSince = (): number | null => useConnection(({ lostAt }) => lostAt);

// The system knows sooner that a cable was pulled, or is in again.
if (typeof window !== 'undefined') {
  window.addEventListener('offline', noteLost);
  window.addEventListener('online', () => void askAgain());
}
