import type { Message } from '../say/message.js';
import { pitSays } from '../say/english/pit.js';
import { HOUR_S } from '../clock/spans.js';
import type { TimedReading } from '../safety/coreReadings.js';

/** Something at the pit that somebody must hear. Times in s after the meat went on. */
export interface PitAlarm {
  /** what it is and whom it concerns: the same for as long as it lasts */
  key: string;
  kind: 'no-data' | 'gate' | 'cold' | 'door' | 'fuel-out' | 'drift' | 'too-warm' | 'near' | 'reached' | 'stall' | 'reads-high' | 'come-up';
  /** `chamber`, or the code of a piece */
  subject: string;
  /** since when it holds */
  sinceS: number;
  /** until when it held; null while it lasts */
  untilS: number | null;
  level: 'danger' | 'caution' | 'news';
  /** the fact, then the order */
  fact: Message;
  order: Message;
}

/** The chamber may lie so far beside its program, °C, for so long, before somebody is called, s [M]. */
const DRIFT_C = 12;
const DRIFT_S = 900;
/** It takes so long to come to a new setting, s [T]. */
const SETTLES_S = 2700;
/** A door: so far down within so long; over when half of it is back. */
const DOOR_C = 15;
const DOOR_S = 240;
/** Fuel runs out: the chamber falls without a door, so fast, for so long, and is under its program. */
const FUEL_FALL_C_PER_H = 20;
const FUEL_S = 900;
const FUEL_UNDER_C = 12;
const DRAWN_S = 60;

/**
 * What a chamber's curve says beside its program: doors, fuel, drift. Each spell once, with its beginning and its end.
 *
 * @param plannedC what the chamber is set to at a time, °C, and since when; null where nothing is planned
 */
export function chamberAlarms(chamber: readonly TimedReading[], plannedC: (s: number) => { C: number; sinceS: number } | null): PitAlarm[] {
  return [...doors(chamber), ...fuelOut(chamber, plannedC), ...drifts(chamber, plannedC)];
}

function doors(chamber: readonly TimedReading[]): PitAlarm[] {
  return spells(
    chamber,
    (reading, i) => {
      const before = highestWithin(chamber, i, DOOR_S);
      return before !== null && before - reading.C >= DOOR_C ? true : null;
    },
    (reading, begunC) => reading.C >= begunC + DOOR_C / 2,
  ).map(({ fromS, toS, C }) => ({
    key: 'door:chamber',
    kind: 'door',
    subject: 'chamber',
    sinceS: fromS,
    untilS: toS,
    level: 'caution',
    fact: pitSays('door-open', { chamberC: C }),
    order: pitSays('door-order'),
  }));
}

function fuelOut(chamber: readonly TimedReading[], plannedC: (s: number) => { C: number; sinceS: number } | null): PitAlarm[] {
  let from = 0;
  return spells(
    chamber,
    (reading, i) => {
      while ((chamber[from]?.s ?? Infinity) < reading.s - FUEL_S) from += 1;
      const set = plannedC(reading.s);
      if (set === null || reading.C > set.C - FUEL_UNDER_C || reading.s < set.sinceS + SETTLES_S) return null;
      const earlier = chamber.slice(from, i + 1);
      const first = earlier[0];
      if (first === undefined || reading.s - first.s < FUEL_S * 0.8) return null;
      const fall = ((first.C - reading.C) / (reading.s - first.s)) * HOUR_S;
      // A door falls at once; fuel that dies falls step by step.
      const steepest = Math.max(...earlier.slice(1).map(({ s, C }, j) => ((earlier[j]?.C ?? C) - C) / Math.max(1, s - (earlier[j]?.s ?? s - 1)))) * 60;
      return fall >= FUEL_FALL_C_PER_H && steepest < DOOR_C / 4 ? true : null;
    },
    (reading, begunC, previous) => reading.C > begunC + 3 && reading.C > previous,
  ).map(({ fromS, toS, C }) => ({
    key: 'fuel-out:chamber',
    kind: 'fuel-out',
    subject: 'chamber',
    sinceS: fromS,
    untilS: toS,
    level: 'danger',
    fact: pitSays('fuel-out', { chamberC: C }),
    order: pitSays('fuel-order'),
  }));
}

function drifts(chamber: readonly TimedReading[], plannedC: (s: number) => { C: number; sinceS: number } | null): PitAlarm[] {
  const beside = (reading: TimedReading): number => {
    const set = plannedC(reading.s);
    if (set === null || reading.s < set.sinceS + SETTLES_S) return 0;
    return Math.abs(reading.C - set.C) > DRIFT_C ? reading.C - set.C : 0;
  };
  const alarms: PitAlarm[] = [];
  let from: TimedReading | null = null;
  const close = (untilS: number | null, last: TimedReading) => {
    if (from === null || last.s - from.s < DRIFT_S) return;
    const off = beside(last) || beside(from);
    alarms.push({
      key: 'drift:chamber',
      kind: 'drift',
      subject: 'chamber',
      sinceS: from.s,
      untilS,
      level: 'caution',
      fact: pitSays(off < 0 ? 'drift-under' : 'drift-over', { offC: Math.abs(off), min: (last.s - from.s) / 60 }),
      order: pitSays(off < 0 ? 'drift-under-order' : 'drift-over-order'),
    });
  };
  chamber.forEach((reading, i) => {
    if (beside(reading) !== 0) from ??= reading;
    else if (from !== null) {
      close(reading.s, chamber[i - 1] ?? reading);
      from = null;
    }
  });
  const last = chamber.at(-1);
  if (last !== undefined) close(null, last);
  return alarms;
}

/** Spells from where `begins` says so until `ends`; the lowest temperature of each. */
function spells(
  readings: readonly TimedReading[],
  begins: (reading: TimedReading, i: number) => true | null,
  ends: (reading: TimedReading, lowestC: number, previousC: number) => boolean,
): { fromS: number; toS: number | null; C: number }[] {
  const found: { fromS: number; toS: number | null; C: number }[] = [];
  let open: { fromS: number; toS: number | null; C: number } | null = null;
  readings.forEach((reading, i) => {
    if (open === null) {
      if (begins(reading, i) === null) return;
      open = { fromS: reading.s, toS: null, C: reading.C };
      found.push(open);
    } else if (ends(reading, open.C, readings[i - 1]?.C ?? reading.C) && reading.s - open.fromS >= DRAWN_S) {
      open.toS = reading.s;
      open = null;
    } else open.C = Math.min(open.C, reading.C);
  });
  return found;
}

function highestWithin(readings: readonly TimedReading[], i: number, seconds: number): number | null {
  const here = readings[i];
  if (here === undefined) return null;
  let highest: number | null = null;
  for (let j = i - 1; j >= 0; j -= 1) {
    const reading = readings[j];
    if (reading === undefined || here.s - reading.s > seconds) break;
    highest = Math.max(highest ?? -Infinity, reading.C);
  }
  return highest;
}
