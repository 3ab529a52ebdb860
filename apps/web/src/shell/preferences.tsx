import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';

/** How this device shows quantities, and whose hands it is in. */
export interface Preferences {
  /** weights, lengths and volumes */
  system: 'metric' | 'us';
  temperature: 'C' | 'F';
  /** who is on duty; signs what is logged */
  name: string;
  /** id of the thermometer in this cook's hand; empty where none was chosen */
  thermometer: string;
}

interface PreferencesContext extends Preferences {
  change: (part: Partial<Preferences>) => void;
}

const KEY = 'bunkhouse.preferences';
const FIRST: Preferences = { system: 'metric', temperature: 'C', name: '', thermometer: '' };
const Context = createContext<PreferencesContext>({ ...FIRST, change: () => undefined });

export const usePreferences = () => useContext(Context);

export function PreferencesProvider({ children }: { children: ReactNode }) {
  const [preferences, setPreferences] = useState(read);
  useEffect(() => {
    localStorage.setItem(KEY, JSON.stringify(preferences));
  }, [preferences]);
  useEffect(() => {
    const follow = (event: StorageEvent) => event.key === KEY && setPreferences(read());
    window.addEventListener('storage', follow);
    return () => window.removeEventListener('storage', follow);
  }, []);
  const value = useMemo(() => ({ ...preferences, change: (part: Partial<Preferences>) => setPreferences((now) => ({ ...now, ...part })) }), [preferences]);
  return <Context value={value}>{children}</Context>;
}

function read(): Preferences {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Preferences>;
    return {
      system: kept.system === 'us' ? 'us' : 'metric',
      temperature: kept.temperature === 'F' ? 'F' : 'C',
      name: typeof kept.name === 'string' ? kept.name.slice(0, 40) : '',
      thermometer: typeof kept.thermometer === 'string' ? kept.thermometer : '',
    };
  } catch {
    return FIRST;
  }
}
