import type { Message } from '../say/message.js';
import { pitSays } from '../say/english/pit.js';
import { HOUR_S } from '../clock/spans.js';
import type { TimedReading } from '../safety/coreReadings.js';
import { COME_UP, type ComeUp } from '../safety/comeUpHours.js';
import type { PitAlarm } from './chamberAlarms.js';

/** So near the target the cook is told, °C [T]. */
const NEAR_C = 3;
/** A core stands where it rises by less than so much an hour while it is looked at for so long, s. */
const STALL_C_PER_H = 3;
const STALL_S = 2700;
/** It stands in the range in which water leaves a surface fast, and under a chamber that is hotter by so much, °C [M]. */
const STALL_FROM_C = 52;
const STALL_TO_C = 85;
const STALL_CHAMBER_C = 18;
/** No reading for so long is no reading, s; or three times the usual distance. */
const SILENT_S = 240;
const SILENT_SHARE = 3;

export interface WatchedCore {
  piece: string;
  /** as it counts */
  counted: readonly TimedReading[];
  targetC: number;
  /** how much too high the probe was found at the last check, °C */
  readsHighC: number;
  checkedS: number | null;
  wrappedS: number | null;
  comeUp: ComeUp | null;
}

/** What a piece's core says: near, there, standing, too slow, not to be believed. */
export function coreAlarms(core: WatchedCore, chamberAt: (s: number) => number | null): PitAlarm[] {
  const { piece, counted, targetC } = core;
  const base = { subject: piece, untilS: null };
  const first = (C: number) => counted.find((reading) => reading.C >= C);
  const alarms: PitAlarm[] = [];
  const there = first(targetC);
  const near = first(targetC - NEAR_C);
  if (near !== undefined)
    alarms.push({
      ...base,
      key: `near:${piece}`,
      kind: 'near',
      sinceS: near.s,
      untilS: there?.s ?? null,
      level: 'news',
      fact: pitSays('near-target', { piece, nearC: NEAR_C, targetC }),
      order: pitSays('near-order'),
    });
  if (there !== undefined)
    alarms.push({
      ...base,
      key: `reached:${piece}`,
      kind: 'reached',
      sinceS: there.s,
      level: 'caution',
      fact: pitSays('target-reached', { piece, targetC }),
      order: pitSays('reached-order'),
    });
  if (core.readsHighC > 0 && core.checkedS !== null)
    alarms.push({
      ...base,
      key: `reads-high:${piece}`,
      kind: 'reads-high',
      sinceS: core.checkedS,
      level: 'caution',
      fact: pitSays('reads-high', { piece, highC: core.readsHighC }),
      order: pitSays('reads-high-order'),
    });
  return [...alarms, ...stalls(core, chamberAt), ...slowComeUp(core)];
}

function stalls({ piece, counted, wrappedS }: WatchedCore, chamberAt: (s: number) => number | null): PitAlarm[] {
  const found: PitAlarm[] = [];
  let open: PitAlarm | null = null;
  let j = 0;
  counted.forEach((reading) => {
    while (j < counted.length - 1 && (counted[j + 1]?.s ?? Infinity) <= reading.s - STALL_S) j += 1;
    const before = counted[j];
    const long = before === undefined ? 0 : reading.s - before.s;
    const rate = before === undefined || long < STALL_S * 0.8 ? Infinity : ((reading.C - before.C) / long) * HOUR_S;
    const warmBy = (chamberAt(reading.s) ?? -Infinity) - reading.C;
    const stands = rate < STALL_C_PER_H && reading.C >= STALL_FROM_C && reading.C <= STALL_TO_C && warmBy >= STALL_CHAMBER_C;
    if (stands && open === null && before !== undefined) {
      open = {
        key: `stall:${piece}`,
        kind: 'stall',
        subject: piece,
        sinceS: before.s,
        untilS: null,
        level: 'news',
        fact: pitSays('stall', { piece, coreC: reading.C }),
        order: pitSays(wrappedS === null ? 'stall-order' : 'stall-wrapped-order'),
      };
      found.push(open);
    } else if (!stands && open !== null && rate > STALL_C_PER_H * 1.5) {
      open.untilS = reading.s;
      open = null;
    }
  });
  return found;
}

function slowComeUp({ piece, comeUp }: WatchedCore): PitAlarm[] {
  if (comeUp === null || comeUp.failedAtS === null) return [];
  return [
    {
      key: `come-up:${piece}`,
      kind: 'come-up',
      subject: piece,
      sinceS: comeUp.failedAtS,
      untilS: null,
      level: 'danger',
      fact: pitSays('come-up-over', { piece, ...COME_UP }),
      order: pitSays('decide-order'),
    },
  ];
}

/** A channel that says nothing although it did before. */
export function silence(subject: string, probe: Message, readings: readonly TimedReading[], nowS: number): PitAlarm[] {
  const last = readings.at(-1);
  if (last === undefined) return [];
  const apart = readings.slice(-12).map(({ s }, i, list) => s - (list[i - 1]?.s ?? s));
  const usual = apart.sort((a, b) => a - b)[Math.floor(apart.length / 2)] ?? 0;
  const most = Math.max(SILENT_S, SILENT_SHARE * usual);
  if (nowS - last.s <= most) return [];
  return [
    {
      key: `no-data:${subject}`,
      kind: 'no-data',
      subject,
      sinceS: last.s + most,
      untilS: null,
      level: 'danger',
      fact: pitSays('no-data', { probe, min: (nowS - last.s) / 60 }),
      order: pitSays('no-data-order'),
    },
  ];
}
