import type { Reader } from '@bunkhouse/core';

/** What somebody chose of how they read. */
interface Chosen {
  system: 'metric' | 'us';
  temperature: 'C' | 'F';
  decimal: 'point' | 'comma';
  dates: 'dayFirst' | 'monthFirst';
  clock: '24' | '12';
}

/** Whoever reads by such choices, where the clocks go by a zone. */
export const readerOf = ({ system, temperature, decimal, dates, clock }: Chosen, timeZone: string): Reader => ({
  system,
  temperature,
  decimal: decimal === 'comma' ? ',' : '.',
  gap: '\u202f',
  clock: clock === '12' ? 12 : 24,
  dates,
  timeZone,
});
