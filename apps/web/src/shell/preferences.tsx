import { USUAL_SETTINGS, type HouseSettings } from '@bunkhouse/api';
import { useHouse } from '../data/batches';
import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { readerHere, setReader } from './here';
import { setLanguage } from './language';
import { useWho } from './who';

/** How this device shows quantities, and whose hands it is in. */
export interface Preferences {
  /** weights, lengths and volumes */
  system: 'metric' | 'us';
  temperature: 'C' | 'F';
  /** who is signed in here; signs what is logged */
  name: string;
  /** id of the thermometer in this cook's hand; empty where none was chosen */
  thermometer: string;
  /** the rules by which this house begins a batch */
  ruleSet: HouseSettings['ruleSet'];
}

/** What a device keeps of it; the rest is the house's. */
type Chosen = Partial<Omit<Preferences, 'name' | 'ruleSet'>>;

interface PreferencesContext extends Preferences {
  change: (part: Chosen) => void;
}

const KEY = 'bunkhouse.preferences';
const FIRST: Preferences = { system: 'metric', temperature: 'C', name: '', thermometer: '', ruleSet: USUAL_SETTINGS.ruleSet };
const Context = createContext<PreferencesContext>({ ...FIRST, change: () => undefined });

export const usePreferences = () => useContext(Context);

export function PreferencesProvider({ children }: { children: ReactNode }) {
  const { name } = useWho();
  const { data: house, error } = useHouse();
  const [chosen, setChosen] = useState(read);
  useEffect(() => {
    localStorage.setItem(KEY, JSON.stringify(chosen));
  }, [chosen]);
  useEffect(() => {
    const follow = (event: StorageEvent) => event.key === KEY && setChosen(read());
    window.addEventListener('storage', follow);
    return () => window.removeEventListener('storage', follow);
  }, []);
  const { system, temperature, decimal, dates, clock, ruleSet } = house?.settings ?? USUAL_SETTINGS;
  setLanguage({ decimal, dates, clock });
  setReader(readerHere({ system: chosen.system ?? system, temperature: chosen.temperature ?? temperature }));
  const value = useMemo(
    () => ({ ...FIRST, system, temperature, ruleSet, ...chosen, name, change: (part: Chosen) => setChosen((now) => ({ ...now, ...part })) }),
    [chosen, name, system, temperature, ruleSet],
  );
  if (house === undefined && error === undefined) return null;
  // Everything is written anew in another language.
  return (
    <Context key={`${decimal} ${dates} ${clock}`} value={value}>
      {children}
    </Context>
  );
}

function read(): Chosen {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Chosen;
    return {
      ...(kept.system === 'us' || kept.system === 'metric' ? { system: kept.system } : {}),
      ...(kept.temperature === 'F' || kept.temperature === 'C' ? { temperature: kept.temperature } : {}),
      ...(typeof kept.thermometer === 'string' ? { thermometer: kept.thermometer } : {}),
    };
  } catch {
    return {};
  }
}
