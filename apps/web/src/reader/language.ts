import type { HouseSettings } from '@bunkhouse/api';

/** How this house writes numbers, days and hours. */
export type Language = Pick<HouseSettings, 'decimal' | 'dates' | 'clock'>;

/** One house on a device at a time: everything that is written on the screen goes by it. */
let spoken: Language = { decimal: 'point', dates: 'dayFirst', clock: '24' };

export const setLanguage = ({ decimal, dates, clock }: Language): void => void (spoken = { decimal, dates, clock });

export const languageHere = (): Language => spoken;

/** The sign between whole and part. */
export const decimalSign = (): '.' | ',' => (spoken.decimal === 'comma' ? ',' : '.');

const MONTH_FIRST: readonly [RegExp, string][] = [
  [/\bD (MMMM?) YYYY/g, '$1 D, YYYY'],
  [/\bD (MMMM?)\b/g, '$1 D'],
];

const TWELVE_HOURS: readonly [RegExp, string][] = [
  [/HH:mm:ss/g, 'h:mm:ss a'],
  [/HH:mm/g, 'h:mm a'],
];

/** A pattern of days and hours as this house writes them: `D MMM, HH:mm` becomes `MMM D, h:mm a`. What a machine reads stays as it is. */
export function patternIn(pattern: string, { dates, clock }: Pick<Language, 'dates' | 'clock'>): string {
  if (pattern.includes('YYYY-MM-DD')) return pattern;
  const changes = [...(dates === 'monthFirst' ? MONTH_FIRST : []), ...(clock === '12' ? TWELVE_HOURS : [])];
  return changes.reduce((text, [from, to]) => text.replace(from, to), pattern);
}
