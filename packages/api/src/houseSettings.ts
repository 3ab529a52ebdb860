import type { RULE_SETS } from '@bunkhouse/core';

/** How this house shows numbers, what it goes by, how long it keeps every reading. */
export interface HouseSettings {
  /** weights, lengths and volumes on a device where nobody chose otherwise */
  system: 'metric' | 'us';
  temperature: 'C' | 'F';
  /** the sign between whole and part */
  decimal: 'point' | 'comma';
  /** 17 Oct or Oct 17 */
  dates: 'dayFirst' | 'monthFirst';
  /** 15:30 or 3:30 pm */
  clock: '24' | '12';
  /** of a new batch */
  ruleSet: keyof typeof RULE_SETS;
  /** a shared tablet asks for the PIN again after so many minutes */
  lockMin: number;
  /** days for which every single reading is kept; null for ever. Older ones are thinned to what draws the same curve */
  rawDays: number | null;
}

export const USUAL_SETTINGS: HouseSettings = {
  system: 'metric',
  temperature: 'C',
  decimal: 'point',
  dates: 'dayFirst',
  clock: '24',
  ruleSet: 'us',
  lockMin: 10,
  rawDays: null,
};

/** What a house has chosen, and the usual for the rest. Before the clock was a choice of its own it went by the order of the days. */
export const settingsOf = (chosen: Partial<HouseSettings> | undefined): HouseSettings => ({
  ...USUAL_SETTINGS,
  ...(chosen?.dates === 'monthFirst' ? { clock: '12' as const } : {}),
  ...chosen,
});
