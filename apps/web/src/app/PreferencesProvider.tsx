import { USUAL_SETTINGS } from '@bunkhouse/api';
import { useHouse } from '../data/batches';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { Opening } from './Opening';
import { FIRST_PREFERENCES, PreferencesContext, type Chosen } from '../reader/preferences';
import { readerHere, setReader } from '../reader/here';
import { setLanguage } from '../reader/language';
import { useWho } from '../data/who';

const KEY = 'bunkhouse.preferences';
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
    () => ({ ...FIRST_PREFERENCES, system, temperature, ruleSet, ...chosen, name, change: (part: Chosen) => setChosen((now) => ({ ...now, ...part })) }),
    [chosen, name, system, temperature, ruleSet],
  );
  if (house === undefined && error === undefined) return <Opening />;
  // Everything is written anew in another language.
  return (
    <PreferencesContext key={`${decimal} ${dates} ${clock}`} value={value}>
      {children}
    </PreferencesContext>
  );
}

function read(): Chosen {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Chosen;
    return {
      ...(kept.system === 'us' || kept.system === 'metric' ? { system: kept.system } : {}),
      ...(kept.temperature === 'F' || kept.temperature === 'C' ? { temperature: kept.temperature } : {}),
      ...(typeof kept.thermometer === 'string' ? { thermometer: kept.thermometer } : {}),
      ...(typeof kept.keys === 'boolean' ? { keys: kept.keys } : {}),
    };
  } catch {
    return {};
  }
}
