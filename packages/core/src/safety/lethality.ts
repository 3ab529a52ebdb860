import { HOUR_S } from '../clock/spans.js';
import { thicknessMm, type Section } from '../section/section.js';
import { requireNumber } from '../units/require.js';
import { GAP_S, requireReadings, type TimedReading } from './coreReadings.js';
import { ANY_FIRE, ASSUMED_MM, countedReadings, type Around, type NotCounted } from './countedReadings.js';
import { safetySays } from '../say/english/safety.js';
import type { Message } from '../say/message.js';

export interface Lethality {
  /** 1 is done, by the table: 6.5 log Salmonella by the FSIS one */
  sum: number;
  /** s of the readings; when the sum came to 1, null before */
  reachedAtS: number | null;
  /** times that nobody read: nothing is counted for them */
  gaps: { fromS: number; toS: number }[];
  /** the sum at each counted reading */
  course: { s: number; sum: number }[];
  /** readings that are kept and prove nothing, with the reason */
  notCounted: NotCounted[];
}

export interface LethalityParams {
  /** the piece; a slab 40 mm thick when not given */
  section?: Section;
  /** what is around it, as it was read: a chamber that stays hotter than the core proves the time between two readings */
  chamber?: readonly TimedReading[];
  /** when the heat ended; from then on each reading counts for a rest as well. The heat is on throughout when not given, and no rest counts */
  heatOnUntilS?: number;
  /** the rest ended so, in the cold or in a bath; a quarter of an hour of rest counts when not given */
  restUntilS?: number;
  /** a thermostat holds the heat: four hours between two readings instead of one */
  isThermostat?: boolean;
  /** the thermometer's doubt, °C: taken off every reading */
  doubtC?: number;
  /** readings at most so far apart prove the time between them by themselves, s */
  maxGapS?: number;
  /** when the probe was seated anew */
  seatedS?: readonly number[];
  /** by which times it is done; the FSIS table when not given */
  table?: LethalityTable;
}

/** Seconds by temperature, °F, in rising order; from `atOnceF` on it is done at once. Between two of the table log t is linear in T. */
export interface LethalityTable {
  readonly secondsByF: readonly (readonly [F: number, seconds: number])[];
  readonly atOnceF: number;
  /** what a sum of 1 is: 6.5 log */
  readonly standsFor: Message;
  readonly source: string;
}

/** Seconds at a core temperature, °F, for 6.5 log Salmonella [P: FSIS Cooking Guideline, revised Appendix A; values from memory]. */
const MINUTES: readonly (readonly [F: number, minutes: number])[] = [
  [130, 112],
  [131, 89],
  [132, 71],
  [133, 56],
  [134, 45],
  [135, 36],
  [136, 28],
  [137, 23],
  [138, 18],
  [139, 15],
  [140, 12],
  [141, 9],
  [142, 8],
  [143, 6],
  [144, 5],
  [145, 4],
];
const SECONDS: readonly (readonly [F: number, seconds: number])[] = [
  [146, 169],
  [147, 134],
  [148, 107],
  [149, 85],
  [150, 67],
  [151, 54],
  [152, 43],
  [153, 34],
  [154, 27],
  [155, 22],
  [156, 17],
  [157, 14],
];
export const LETHALITY_TABLE: readonly (readonly [F: number, seconds: number])[] = [...MINUTES.map(([F, minutes]) => [F, minutes * 60] as const), ...SECONDS];
/** What a sum of 1 stands for, log Salmonella. */
const LETHALITY_LOG = 6.5;
/** From here on it is done at once, °F. */
const AT_ONCE_F = 158;
export const FSIS_TABLE: LethalityTable = {
  secondsByF: LETHALITY_TABLE,
  atOnceF: AT_ONCE_F,
  standsFor: safetySays('stands-for-log', { log10: LETHALITY_LOG }),
  source: 'FSIS Cooking Guideline, revised Appendix A: time at core temperature for 6.5 log Salmonella. Values from memory.',
};

const fahrenheit = (C: number): number => (C * 9) / 5 + 32;
/** Readings are given to a hundredth: 54.44 °C is 130 °F. */
const ROUNDING_F = 0.01;

/** Seconds that it takes at a core temperature; Infinity under the table's first, 0 where it is done at once. */
export function lethalSeconds(C: number, { secondsByF, atOnceF }: LethalityTable = FSIS_TABLE): number {
  const F = fahrenheit(C) + ROUNDING_F;
  const [first] = secondsByF;
  if (first === undefined || F < first[0]) return F >= atOnceF ? 0 : Infinity;
  if (F >= atOnceF) return 0;
  const i = secondsByF.findLastIndex(([at]) => at <= F);
  const [lowF, low] = secondsByF[i] ?? first;
  // After the last of the table its own time holds, until it is done at once.
  const [highF, high] = secondsByF[i + 1] ?? [lowF + 1, low];
  return Math.exp(Math.log(low) + ((Math.log(high) - Math.log(low)) * Math.max(0, F - ROUNDING_F - lowF)) / (highF - lowF));
}

/** A core that fell under this before the sum was 1 begins anew, °C. */
const BEGINS_ANEW_C = 46;
/** A chamber proves what nobody read of the core while it is hotter by so much, with readings so far apart, s. */
const HOTTER_BY_C = 5;
const CHAMBER_GAP_S = 3600;
const THERMOSTAT_GAP_S = 4 * HOUR_S;
/** A chamber's reading belongs to a time that lies so near, s. */
const NEAR_S = 600;
/** Off the heat a core falls no faster than this times (core − air) ÷ thickness, °C/min for cm, for so long [M]. */
const REST_RATE = 0.06;
const REST_S = 900;
/** The coldest air that a piece rests in, °C [M]. */
const REST_AIR_C = 15;
const REST_STEP_S = 5;

/**
 * The lethality sum of a core: dt / t(T) added up over what its readings prove, never over what lies between them by chance. Between two
 * readings that are near, or under a chamber that was read hotter throughout, the lower of the two counts; after the heat each reading
 * counts for a rest that falls no faster than its thickness lets it. Nothing counts below the table, for a time that nobody read, or of a
 * reading that no core makes; under 46 °C before it is done, the sum begins anew.
 *
 * @param readings in order of time, °C; [P: FSIS Cooking Guideline, revised Appendix A; values from memory]
 * @throws InputError for readings that cannot be
 * @example lethality([{ s: 0, C: 60 }, { s: 720, C: 60 }]).sum // 1: twelve minutes at 140 °F
 */
export function lethality(readings: readonly TimedReading[], p: LethalityParams = {}): Lethality {
  requireReadings(readings);
  const { section, chamber = [], heatOnUntilS = Infinity, maxGapS = GAP_S, seatedS = [], table = FSIS_TABLE } = p;
  const doubtC = requireNumber('doubtC', p.doubtC ?? 0, { min: 0, max: 20, unit: '°C' });
  const { counted, notCounted } = countedReadings(readings, {
    favours: 'lower',
    seatedS,
    ...(section === undefined ? {} : { section }),
    ...(chamber.length === 0 ? {} : { around: aroundOf(chamber) }),
  });
  const sure = counted.map(({ s, C }) => ({ s, C: C - doubtC }));
  const gaps: Lethality['gaps'] = [];
  const course: Lethality['course'] = [];
  let sum = 0;
  let reachedAtS: number | null = null;
  const add = (fromS: number, seconds: number, C: number) => {
    const needed = lethalSeconds(C, table);
    if (needed === 0) [sum, reachedAtS] = [Math.max(sum, 1), reachedAtS ?? fromS];
    else if (Number.isFinite(needed)) {
      const before = sum;
      sum += seconds / needed;
      if (reachedAtS === null && sum >= 1 - 1e-9) reachedAtS = fromS + Math.min(seconds, Math.max(0, (1 - before) * needed));
    }
  };
  const cm = (section === undefined ? ASSUMED_MM : thicknessMm(section)) / 10;
  const restUntilS = p.restUntilS ?? Infinity;
  sure.forEach((from, i) => {
    if (reachedAtS === null && from.C < BEGINS_ANEW_C) sum = 0;
    add(from.s, 0, from.C);
    course.push({ s: from.s, sum });
    const to = sure[i + 1];
    const isProven = to !== undefined && (to.s - from.s <= maxGapS || staysHotter(chamber, from, to, heatOnUntilS, p.isThermostat === true));
    if (to !== undefined && isProven) return add(from.s, to.s - from.s, Math.min(from.C, to.C));
    if (to !== undefined) gaps.push({ fromS: from.s, toS: to.s });
    if (from.s < heatOnUntilS) return;
    const endS = Math.min(from.s + REST_S, restUntilS, to?.s ?? Infinity);
    for (let s = from.s, { C } = from; s < endS; s += REST_STEP_S) {
      const seconds = Math.min(REST_STEP_S, endS - s);
      C -= ((REST_RATE * Math.max(0, C - REST_AIR_C)) / cm) * (seconds / 60);
      add(s, seconds, C);
    }
  });
  return { sum, reachedAtS, gaps, course, notCounted };
}

/** What is around a piece by the readings of its chamber: the hottest that was read up to then, and ice; any fire where nobody reads it. */
export function aroundOf(chamber: readonly TimedReading[]): (s: number) => Around {
  let i = 0;
  let hottestC = ANY_FIRE.coldestC;
  const [firstS, lastS] = [chamber[0]?.s ?? Infinity, chamber.at(-1)?.s ?? -Infinity];
  return (s) => {
    if (s < firstS || s > lastS + NEAR_S) return ANY_FIRE;
    for (; i < chamber.length && (chamber[i]?.s ?? Infinity) <= s + NEAR_S; i += 1) hottestC = Math.max(hottestC, chamber[i]?.C ?? hottestC);
    return { ...ANY_FIRE, hottestC };
  };
}

/** Whether a chamber was read hotter than the core from one reading to the next, without a fall between: then the core does not fall. */
function staysHotter(chamber: readonly TimedReading[], from: TimedReading, to: TimedReading, heatOnUntilS: number, isThermostat: boolean): boolean {
  if (to.s > heatOnUntilS || to.s - from.s > (isThermostat ? THERMOSTAT_GAP_S : CHAMBER_GAP_S)) return false;
  const within = chamber.filter(({ s }) => s >= from.s - NEAR_S && s <= to.s + NEAR_S);
  const [first, last] = [within[0], within.at(-1)];
  if (first === undefined || last === undefined || first.s > from.s + NEAR_S || last.s < to.s - NEAR_S) return false;
  return within.every(({ C }) => C >= Math.max(from.C, to.C) + HOTTER_BY_C);
}
