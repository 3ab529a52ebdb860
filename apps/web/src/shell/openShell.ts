import { useSyncExternalStore } from 'react';
import { registerSW } from 'virtual:pwa-register';

let take: (() => void) | null = null;
const listeners = new Set<() => void>();

/** Keeps the app on this device, so that it opens without a network. A newer one waits until it is asked for. */
export function openShell(): void {
  if (!('serviceWorker' in navigator)) return;
  const update = registerSW({
    onNeedRefresh: () => {
      take = () => void update(true);
      for (const listener of [...listeners]) listener();
    },
    onRegisterError: () => undefined,
  });
}

/** How to take the newer app that came, or null. */
export const useNewerApp = (): (() => void) | null =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => take,
  );
