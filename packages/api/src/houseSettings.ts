import type { RULE_SETS } from '@bunkhouse/core';

/** How this house shows numbers, what it goes by, how long it keeps every reading. */
export interface HouseSettings {
  /** weights, lengths and volumes on a device where nobody chose otherwise */
  system: 'metric' | 'us';
  temperature: 'C' | 'F';
  /** the sign between whole and part */
  decimal: 'point' | 'comma';
  /** 17 Oct, 15:30 or Oct 17, 3:30 pm */
  dates: 'dayFirst' | 'monthFirst';
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
  ruleSet: 'us',
  lockMin: 10,
  rawDays: null,
};
