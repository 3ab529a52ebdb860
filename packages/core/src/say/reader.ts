/** How somebody reads numbers, units, days and hours. */
export interface Reader {
  /** weights, lengths and volumes */
  system: 'metric' | 'us';
  temperature: 'C' | 'F';
  decimal: '.' | ',';
  /** between thousands: a thin space, or nothing */
  gap: '' | '\u202f';
  clock: 12 | 24;
  dates: 'dayFirst' | 'monthFirst';
  /** IANA name */
  timeZone: string;
}

/** For other programs: metric, a point, no gaps, days and hours of UTC. */
export const PLAIN: Reader = { system: 'metric', temperature: 'C', decimal: '.', gap: '', clock: 24, dates: 'dayFirst', timeZone: 'UTC' };
