import { create } from 'zustand';
import { registerSW } from 'virtual:pwa-register';

const useShell = create<{ take: (() => void) | null }>(() => ({ take: null }));

/** Keeps the app on this device, so that it opens without a network. A newer one waits until it is asked for. */
export function openShell(): void {
  if (!('serviceWorker' in navigator)) return;
  const update = registerSW({
    onNeedRefresh: () => useShell.setState({ take: () => void update(true) }),
    onRegisterError: () => undefined,
  });
}

/** How to take the newer app that came, or null. */
export const useNewerApp = (): (() => void) | null => useShell(({ take }) => take);
