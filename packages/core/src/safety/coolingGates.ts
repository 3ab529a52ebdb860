import { requireReadings, type TimedReading } from './coreReadings.js';
import { crossingTime } from './crossingTime.js';

export type CoolingRule = 'cured' | 'notCured' | 'foodCode';

export interface GatePassage {
  /** °C */
  from: number;
  to: number;
  limitS: number;
  /** s of the readings; when its clock began, null before */
  startS: number | null;
  /** null while it runs, or has not begun */
  tookS: number | null;
  state: 'pass' | 'fail' | 'running' | 'notStarted';
}

const HOUR_S = 3600;

/** The two gates of each rule [P: FSIS Appendix B for the first two, values from memory; common practice of retail codes for the third]. */
export const COOLING_RULES: Readonly<Record<CoolingRule, readonly { from: number; to: number; limitS: number }[]>> = {
  cured: [
    { from: 54, to: 27, limitS: 5 * HOUR_S },
    { from: 27, to: 7, limitS: 10 * HOUR_S },
  ],
  notCured: [
    { from: 54, to: 27, limitS: 1.5 * HOUR_S },
    { from: 27, to: 4, limitS: 5 * HOUR_S },
  ],
  foodCode: [
    { from: 57, to: 21, limitS: 2 * HOUR_S },
    { from: 21, to: 5, limitS: 4 * HOUR_S },
  ],
};

/** A core that falls and was first read between the two: its clock began with that reading at the latest. */
function begunUnread(readings: readonly TimedReading[], from: number, to: number): number | null {
  const [first, last] = [readings[0], readings.at(-1)];
  const falls = first !== undefined && last !== undefined && last.C <= first.C && readings.every(({ C }) => C <= from);
  return falls && first.C > to ? first.s * 1000 : null;
}

/**
 * A core on its way down through the gates. A gate's clock begins when the core passed its upper temperature, reckoned between two
 * readings; it ends with a reading at or below the lower one, never with a reckoning: what nobody read in time was not there in time.
 *
 * @throws InputError for readings or a rule that cannot be
 */
export function coolingGates(readings: readonly TimedReading[], rule: CoolingRule): GatePassage[] {
  requireReadings(readings);
  const timed = readings.map(({ s, C }) => ({ at: s * 1000, C }));
  const last = readings.at(-1);
  return COOLING_RULES[rule].map(({ from, to, limitS }): GatePassage => {
    const begun = crossingTime(timed, from) ?? begunUnread(readings, from, to);
    if (begun === null || last === undefined) return { from, to, limitS, startS: null, tookS: null, state: 'notStarted' };
    const startS = begun / 1000;
    const there = readings.find(({ s, C }) => s >= startS && C <= to);
    if (there !== undefined) {
      const tookS = there.s - startS;
      return { from, to, limitS, startS, tookS, state: tookS <= limitS + 1e-6 ? 'pass' : 'fail' };
    }
    return { from, to, limitS, startS, tookS: null, state: last.s - startS > limitS ? 'fail' : 'running' };
  });
}
