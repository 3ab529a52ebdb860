import type { TimedReading } from '../safety/coreReadings.js';

/** A probe may lie so much higher than the lowest place of a check and still be believed, °C [M]. */
const BELIEVED_C = 1;

/** What a check says of a probe: seconds after the meat went on. */
export interface ProbeCheck {
  s: number;
  lowestC: number;
  /** what the probe read then; read from the curve when it was not written down */
  probeC: number;
}

/** How much too high a probe was found at each check, °C; 0 where it may be believed. Never less than nothing: the lowest decides. */
export const readsHighC = ({ probeC, lowestC }: ProbeCheck): number => (probeC - lowestC > BELIEVED_C ? probeC - lowestC : 0);

/**
 * The core as it counts: what the probe read, less what the nearest check found it too high. A check speaks for all that was read
 * since the check before it, and, until the next one, for what is read after it: a probe that lies is not believed until it was checked again.
 *
 * @param checks in order of time
 * @param startC what the core had when it went on: counted readings do not fall under it by the correction alone
 */
export function countedCore(readings: readonly TimedReading[], checks: readonly ProbeCheck[], startC: number): TimedReading[] {
  if (checks.length === 0) return [...readings];
  return readings.map(({ s, C }) => {
    const next = checks.find((check) => check.s >= s);
    const last = checks.findLast((check) => check.s < s);
    // Between two checks the worse of them holds: nobody knows when the probe slipped.
    const off = Math.max(
      next === undefined ? 0 : readsHighC(next),
      last === undefined || (next !== undefined && readsHighC(last) === 0) ? 0 : readsHighC(last),
    );
    return { s, C: Math.min(C, Math.max(startC, C - off)) };
  });
}

/** What a curve read at a time, by the nearest reading within five minutes; null where there is none. */
export function readAt(readings: readonly TimedReading[], s: number): number | null {
  let best: TimedReading | null = null;
  for (const reading of readings) if (best === null || Math.abs(reading.s - s) < Math.abs(best.s - s)) best = reading;
  return best === null || Math.abs(best.s - s) > 300 ? null : best.C;
}
