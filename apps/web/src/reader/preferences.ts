import { USUAL_SETTINGS, type HouseSettings } from '@bunkhouse/api';
import { createContext, useContext } from 'react';

/** How this device shows quantities, and whose hands it is in. */
export interface Preferences {
  /** weights, lengths and volumes */
  system: 'metric' | 'us';
  temperature: 'C' | 'F';
  /** who is signed in here; signs what is logged */
  name: string;
  /** id of the thermometer in this cook's hand; empty where none was chosen */
  thermometer: string;
  /** single letters lead to screens */
  keys: boolean;
  /** the rules by which this house begins a batch */
  ruleSet: HouseSettings['ruleSet'];
}

/** What a device keeps of it; the rest is the house's. */
export type Chosen = Partial<Omit<Preferences, 'name' | 'ruleSet'>>;

interface PreferencesHere extends Preferences {
  change: (part: Chosen) => void;
}

export const FIRST_PREFERENCES: Preferences = { system: 'metric', temperature: 'C', name: '', thermometer: '', keys: true, ruleSet: USUAL_SETTINGS.ruleSet };
export const PreferencesContext = createContext<PreferencesHere>({ ...FIRST_PREFERENCES, change: () => undefined });

export const usePreferences = () => useContext(PreferencesContext);
