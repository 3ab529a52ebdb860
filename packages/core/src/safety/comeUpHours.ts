import { HOUR_S } from '../clock/spans.js';
import { requireReadings, type TimedReading } from './coreReadings.js';
import { LIMIT_C, ROUNDING_C } from './fahrenheit.js';
import { lethality } from './lethality.js';

/** The come-up of a core: from 50 to 130 °F in at most 6 h [P: FSIS Cooking Guideline, from memory]. */
export const COME_UP = { fromC: LIMIT_C.f50, toC: LIMIT_C.lethal, mostH: 6 } as const;

/** How long a core was between the two, all rises and falls together, as far as its readings prove. Times in s of the readings. */
export interface ComeUp {
  /** when the clock began: the last that was read cold before it, or the first reading */
  startS: number;
  /** when the core was first read at the upper temperature; null before */
  endS: number | null;
  /** the hours that its readings prove at the least, and allow at the most */
  leastH: number;
  mostH: number;
  /** whether it was read cold before: a core that was warm when it was first read may have been so for long */
  isBegunCold: boolean;
  /** when its readings prove that it was too long, s; null where they do not */
  failedAtS: number | null;
}

/**
 * Hours between 50 and 130 °F, added up over every rise and fall until it is done: a fire that goes out does not begin them anew.
 *
 * @param readings in order of time, those that count
 * @param doneS when lethality was met: what comes after is chilling
 * @returns null before the core was read warmer than 50 °F
 */
export function comeUp(readings: readonly TimedReading[], doneS: number | null): ComeUp | null {
  const [COLD, HOT] = [COME_UP.fromC + ROUNDING_C, COME_UP.toC - ROUNDING_C];
  const first = readings.findIndex(({ C }) => C > COLD);
  const warm = readings[first];
  if (warm === undefined) return null;
  const before = readings[first - 1];
  const endS = readings.find(({ C }) => C >= HOT)?.s ?? null;
  let [leastS, mostS] = [0, 0];
  let failedAtS: number | null = null;
  readings.slice(1).forEach((to, i) => {
    const from = readings[i];
    if (from === undefined || (doneS !== null && from.s >= doneS)) return;
    const seconds = Math.min(to.s, doneS ?? Infinity) - from.s;
    const isOutside = (from.C <= COLD && to.C <= COLD) || (from.C >= HOT && to.C >= HOT);
    const isInside = from.C > COLD && from.C < HOT && to.C > COLD && to.C < HOT;
    if (!isOutside) mostS += seconds;
    if (isInside) leastS += seconds;
    if (leastS > COME_UP.mostH * HOUR_S) failedAtS ??= from.s + seconds - (leastS - COME_UP.mostH * HOUR_S);
  });
  return { startS: before?.s ?? warm.s, endS, leastH: leastS / HOUR_S, mostH: mostS / HOUR_S, isBegunCold: before !== undefined, failedAtS };
}

/**
 * Hours that a core was between 10 and 54.44 °C (50 and 130 °F) until it was done, at the most that its readings allow.
 *
 * @returns null until it is at 54.44 °C
 * @throws InputError for readings that cannot be
 * @example comeUpHours([{ s: 0, C: 5 }, { s: 60, C: 10 }, { s: 4 * 3600, C: 40 }, { s: 6 * 3600, C: 60 }]) // 5.98
 */
export function comeUpHours(readings: readonly TimedReading[]): number | null {
  requireReadings(readings);
  const [first] = readings;
  if (first === undefined) return null;
  const up = comeUp(readings, lethality(readings).reachedAtS);
  if (up === null || up.endS === null) return null;
  return up.mostH;
}
