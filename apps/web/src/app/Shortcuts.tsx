import { lazy, Suspense, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';

const KeysDialog = lazy(async () => ({ default: (await import('./KeysDialog')).KeysDialog }));

/** The few keys, shown by `?`. */
export function Shortcuts() {
  const [open, setOpen] = useState(false);
  useHotkeys('?', () => setOpen((was) => !was), { useKey: true });
  return <Suspense>{open && <KeysDialog onClose={() => setOpen(false)} />}</Suspense>;
}
