import { pitSays } from '../say/english/pit.js';
import { HOUR_S } from '../clock/spans.js';
import { GAP_S, loggerGapS, readingPairs, requireReadings, type TimedReading } from '../safety/coreReadings.js';
import { LIMIT_C } from '../safety/fahrenheit.js';
import type { PitAlarm } from './chamberAlarms.js';

/** Meat that cures, dries or waits lies at this or colder, 40 °F exactly, °C [T]. */
export const COLD_MOST_C = LIMIT_C.cold;
/** In all it may be warmer for so long before somebody must decide, s [T: the rule of four hours, common practice]. */
export const WARM_MOST_S = 4 * HOUR_S;
/** A door that is opened warms the air for minutes; longer than this it is told, s [M]. */
const TOLD_S = 1800;

/** What a refrigerator's log says of the time that meat lay in it. Times in s as in the readings. */
export interface ColdWatch {
  /** time over 4 °C: in all, and the longest spell */
  warmS: number;
  longestS: number;
  warmestC: number | null;
  last: TimedReading | null;
  /** time that nobody read: neither cold nor warm */
  unreadS: number;
  /** since when it is warm, if it is warm now */
  warmSinceS: number | null;
  /** `over` once the whole time is more than four hours */
  state: 'cold' | 'warm' | 'over';
}

/**
 * Adds up the time over 4 °C between two times; between two readings the temperature runs straight. A gap adds nothing and is told.
 *
 * @throws InputError for readings that cannot be
 * @example coldWatch([{ s: 0, C: 2 }, { s: 600, C: 6 }], 0, 600).warmS // 300
 */
export function coldWatch(readings: readonly TimedReading[], fromS: number, toS: number): ColdWatch {
  requireReadings(readings);
  const within = readings.filter(({ s }) => s >= fromS && s <= toS);
  let [warmS, longestS, run, unreadS] = [0, 0, 0, Math.max(0, (within[0]?.s ?? toS) - fromS)];
  let warmSinceS: number | null = (within[0]?.C ?? 0) > COLD_MOST_C ? (within[0]?.s ?? null) : null;
  for (const { from, to, isGap } of readingPairs(within, loggerGapS(within))) {
    if (isGap) {
      unreadS += to.s - from.s;
      [run, warmSinceS] = [0, to.C > COLD_MOST_C ? to.s : null];
      continue;
    }
    const [begins, ends] = warmPart(from, to);
    warmS += ends - begins;
    run = (begins === from.s ? run : 0) + (ends - begins);
    longestS = Math.max(longestS, run);
    if (to.C <= COLD_MOST_C) warmSinceS = null;
    else warmSinceS ??= begins;
    if (to.C <= COLD_MOST_C) run = 0;
  }
  const last = within.at(-1) ?? null;
  const sinceLastS = last === null ? 0 : toS - last.s;
  if (sinceLastS > GAP_S) unreadS += sinceLastS;
  return {
    warmS,
    longestS,
    warmestC: within.length === 0 ? null : Math.max(...within.map(({ C }) => C)),
    last,
    unreadS,
    warmSinceS,
    state: warmS > WARM_MOST_S ? 'over' : warmSinceS !== null || longestS > TOLD_S ? 'warm' : 'cold',
  };
}

/** The part of a straight way that lies over 4 °C. */
function warmPart(from: TimedReading, to: TimedReading): [begins: number, ends: number] {
  const [a, b] = [from.C > COLD_MOST_C, to.C > COLD_MOST_C];
  if (a && b) return [from.s, to.s];
  if (!a && !b) return [to.s, to.s];
  const crosses = from.s + ((to.s - from.s) * (COLD_MOST_C - from.C)) / (to.C - from.C);
  return a ? [from.s, crosses] : [crosses, to.s];
}

/** What somebody must hear of a refrigerator that is warm, or was for too long. */
export function coldAlarms(watch: ColdWatch, store: { id: string; name: string }): PitAlarm[] {
  const base = { key: `cold:${store.id}`, kind: 'cold', subject: store.id, untilS: null } as const;
  const { last, warmSinceS, warmS } = watch;
  if (watch.state === 'over')
    return [
      {
        ...base,
        sinceS: overSince(watch),
        level: 'danger',
        fact: pitSays('cold-over', { store: store.name, mostC: COLD_MOST_C, ...hours(warmS) }),
        order: pitSays('cold-over-order'),
      },
    ];
  if (warmSinceS === null || last === null || last.s - warmSinceS < TOLD_S) return [];
  return [
    {
      ...base,
      sinceS: warmSinceS + TOLD_S,
      level: 'caution',
      fact: pitSays('cold-warm', { store: store.name, coldC: last.C, mostC: COLD_MOST_C, min: (last.s - warmSinceS) / 60 }),
      order: pitSays('cold-warm-order'),
    },
  ];
}

/** When it came to be too long at the latest: what is warm beyond the limit lies before its last reading. */
const overSince = ({ last, warmS }: ColdWatch): number => Math.max(0, (last?.s ?? 0) - Math.max(0, warmS - WARM_MOST_S));

const hours = (s: number) => ({ h: Math.floor(s / HOUR_S), min: String(Math.floor((s % HOUR_S) / 60)).padStart(2, '0') });
