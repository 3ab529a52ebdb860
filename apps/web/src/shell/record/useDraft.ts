import { useCallback, useState } from 'react';

/** What is typed into a form, kept on this device until it is sent: closing the page loses nothing. */
export function useDraft<T extends object>(key: string, make: () => T): [T, (part: Partial<T>) => void, () => void] {
  const name = `bunkhouse.draft.${key}`;
  const [draft, setDraft] = useState<T>(() => ({ ...make(), ...read<T>(name) }));
  const change = useCallback(
    (part: Partial<T>) =>
      setDraft((before) => {
        const after = { ...before, ...part };
        keep(name, after);
        return after;
      }),
    [name],
  );
  const clear = () => {
    localStorage.removeItem(name);
    setDraft(make());
  };
  return [draft, change, clear];
}

function read<T>(name: string): Partial<T> {
  try {
    return JSON.parse(localStorage.getItem(name) ?? '{}') as Partial<T>;
  } catch {
    return {};
  }
}

function keep(name: string, draft: object) {
  try {
    localStorage.setItem(name, JSON.stringify(draft));
  } catch {
    // The device is full: the form still works, it is only not kept.
  }
}
