import { HOUR_S } from '../clock/spans.js';
import { COME_UP } from '../safety/comeUpHours.js';
import { readingPairs, type TimedReading } from '../safety/coreReadings.js';
import { fromFahrenheit } from '../safety/fahrenheit.js';
import type { PieceWatch, PitWatch } from './pitWatch.js';

/** Whole-muscle pork and beef: 145 °F exactly, and rested so long [P: USDA consumer guidance, value from memory]. */
const WHOLE_MUSCLE = { C: fromFahrenheit(145), restS: 180 } as const;

/** A rule by which a piece is safe or not, and how far it has come. Times in s after the meat went on. */
export interface SafetyClock {
  rule: 'lethality' | 'rest' | 'come-up' | 'cold-zone';
  /** `notShown`: it is over, and the readings prove neither */
  state: 'notBegun' | 'running' | 'met' | 'failed' | 'notShown';
  /** how far it has come, and what of: the lethality sum of 1; seconds of the others. No limit where the rule names none */
  value: number;
  of: number | null;
  /** when it was met, or failed; null before */
  atS: number | null;
  /** seconds that nobody read and that are not counted */
  unreadS: number;
}

/**
 * Every clock that runs for a piece: done by time, done by 63 °C and a rest, quick enough through the warm, and, smoked cold, how long in it.
 *
 * @param nowS s after the meat went on
 */
export function safeByTime(watch: PitWatch, piece: PieceWatch, nowS: number): SafetyClock[] {
  const clocks = [lethalityClock(piece), restClock(watch, piece, nowS), comeUpClock(piece)];
  return watch.coldZoneS === null ? clocks : [...clocks, coldZoneClock(watch.coldZoneS, piece)];
}

function lethalityClock({ lethality }: PieceWatch): SafetyClock {
  const { sum, reachedAtS, gaps } = lethality;
  return {
    rule: 'lethality',
    state: reachedAtS !== null ? 'met' : sum > 0 ? 'running' : 'notBegun',
    value: sum,
    of: 1,
    atS: reachedAtS,
    unreadS: gaps.reduce((all, { fromS, toS }) => all + toS - fromS, 0),
  };
}

/** The rest counts while the core is read at 63 °C or more; and off the fire, from a check that found all its places there. */
function restClock({ log }: PitWatch, piece: PieceWatch, nowS: number): SafetyClock {
  const held = longestHeld(piece.counted.map(({ s, C }) => ({ s, C: C - piece.doubtC })));
  const { lastCheck } = piece;
  const isChecked =
    log.onAt !== null && log.offAt !== null && lastCheck !== null && lastCheck.lowestC - piece.doubtC >= WHOLE_MUSCLE.C && lastCheck.at <= log.offAt;
  const offS = isChecked ? ((log.offAt ?? 0) - (log.onAt ?? 0)) / 1000 : null;
  const rested = offS === null ? 0 : Math.max(0, (log.coldAt === null ? nowS : (log.coldAt - (log.onAt ?? 0)) / 1000) - offS);
  const metS = [held.metS, offS !== null && rested >= WHOLE_MUSCLE.restS ? offS + WHOLE_MUSCLE.restS : null].filter((s) => s !== null);
  const value = Math.max(held.longestS, rested);
  return {
    rule: 'rest',
    state: metS.length > 0 ? 'met' : held.hasBegun || offS !== null ? 'running' : 'notBegun',
    value,
    of: WHOLE_MUSCLE.restS,
    atS: metS.length === 0 ? null : Math.min(...metS),
    unreadS: 0,
  };
}

function longestHeld(counted: readonly TimedReading[]): { longestS: number; metS: number | null; hasBegun: boolean } {
  let longestS = 0;
  let metS: number | null = null;
  let run = 0;
  for (const { from, to, isGap } of readingPairs(counted)) {
    run = !isGap && from.C >= WHOLE_MUSCLE.C && to.C >= WHOLE_MUSCLE.C ? run + to.s - from.s : 0;
    longestS = Math.max(longestS, run);
    if (run >= WHOLE_MUSCLE.restS) metS ??= to.s - (run - WHOLE_MUSCLE.restS);
  }
  return { longestS, metS, hasBegun: counted.some(({ C }) => C >= WHOLE_MUSCLE.C) };
}

function comeUpClock({ comeUp, lethality }: PieceWatch): SafetyClock {
  const mostS = COME_UP.mostH * HOUR_S;
  const base = { rule: 'come-up', of: mostS, unreadS: 0 } as const;
  if (comeUp === null) return { ...base, state: 'notBegun', value: 0, atS: null };
  const { leastH, mostH, failedAtS } = comeUp;
  if (failedAtS !== null) return { ...base, state: 'failed', value: leastH * HOUR_S, atS: failedAtS };
  // The hours go on until it is done: a fire that goes out adds to them.
  if (lethality.reachedAtS === null) return { ...base, state: 'running', value: mostH * HOUR_S, atS: null };
  return { ...base, state: mostH * HOUR_S <= mostS + 1 ? 'met' : 'notShown', value: mostH * HOUR_S, atS: comeUp.endS };
}

const coldZoneClock = (zoneS: number, { counted }: PieceWatch): SafetyClock => ({
  rule: 'cold-zone',
  state: counted.length === 0 ? 'notBegun' : 'running',
  value: zoneS,
  of: null,
  atS: null,
  unreadS: 0,
});
