import { HOUR_S } from '../clock/spans.js';
import type { Section } from '../section/section.js';
import { ASSUMED, countedReadings, fastestCPerMin, type Around } from './countedReadings.js';
import { requireReadings, type TimedReading } from './coreReadings.js';
import { LIMIT_C, ROUNDING_C } from './fahrenheit.js';

export type CoolingRule = 'cured' | 'notCured' | 'foodCode';

/**
 * `notShown`: nobody read its beginning or its end, or so far apart that it may have passed or failed. It is no pass.
 * `running`: it was not read at its end yet, and its time may not be over.
 */
export type GateState = 'pass' | 'fail' | 'running' | 'notStarted' | 'notShown';

export interface GatePassage {
  /** °C */
  from: number;
  to: number;
  limitS: number;
  /** s of the readings; when its clock began at the earliest, null where nobody knows */
  startS: number | null;
  /** s; estimated between its bounds, null where neither pass nor fail is proven */
  tookS: number | null;
  /** s that its readings prove at the least, and allow at the most; null where nothing bounds it */
  leastS: number;
  mostS: number | null;
  state: GateState;
}

export interface CoolingParams {
  /** when the heat ended: where nobody read the core above the gate's start its clock began then, s of the readings */
  heatOffS?: number;
  /** the piece; a slab 40 mm thick when not given */
  section?: Section;
  /** what is around it at a time; anything between ice and the hottest fire when not given */
  around?: (s: number) => Around;
  /** the thermometer's doubt, °C: added to every reading */
  doubtC?: number;
  /** when the probe was seated anew, s */
  seatedS?: readonly number[];
  /** it was sliced, warmed or served then: what is read later takes no pass back, s */
  untilS?: number;
}

/** A later reading so far above the gate's end takes its pass back, °C [M]. */
const BACK_C = 1;

/** The two gates of each rule [P: FSIS Appendix B for the first two, values from memory; common practice of retail codes for the third]. */
export const COOLING_RULES: Readonly<Record<CoolingRule, readonly { from: number; to: number; limitS: number }[]>> = {
  cured: [
    { from: LIMIT_C.lethal, to: LIMIT_C.f80, limitS: 5 * HOUR_S },
    { from: LIMIT_C.f80, to: LIMIT_C.f45, limitS: 10 * HOUR_S },
  ],
  notCured: [
    { from: LIMIT_C.lethal, to: LIMIT_C.f80, limitS: 1.5 * HOUR_S },
    { from: LIMIT_C.f80, to: LIMIT_C.cold, limitS: 5 * HOUR_S },
  ],
  // To 41 °F within six hours in all.
  foodCode: [
    { from: LIMIT_C.f135, to: LIMIT_C.f70, limitS: 2 * HOUR_S },
    { from: LIMIT_C.f135, to: LIMIT_C.f41, limitS: 6 * HOUR_S },
  ],
};

/**
 * A core on its way down through the gates, as far as its readings prove: while it cools, it lies between two of them. At most it took
 * from the last reading at or above the gate's start, and what no core falls faster, to the first at or below its end; at least from the first below the start to the last
 * above the end. The most within the limit is a pass, the least beyond it a fail, all else is not shown. A later reading above the end
 * takes a pass back, and a clock that began does not begin anew. A jump that no core makes is not counted; of two series the warmer counts.
 *
 * @param readings in order of time
 * @throws InputError for readings that cannot be
 * @example coolingGates([{ s: 0, C: 60 }, { s: 14400, C: 25 }, { s: 43200, C: 6 }], 'cured').map(({ state }) => state) // pass, pass
 */
export function coolingGates(readings: readonly TimedReading[], rule: CoolingRule, p: CoolingParams = {}): GatePassage[] {
  requireReadings(readings);
  const { counted } = countedReadings(readings, {
    favours: 'higher',
    ...(p.section === undefined ? {} : { section: p.section }),
    ...(p.around === undefined ? {} : { around: p.around }),
    ...(p.seatedS === undefined ? {} : { seatedS: p.seatedS }),
  });
  const doubtC = p.doubtC ?? 0;
  const sure = counted.filter(({ s }) => s <= (p.untilS ?? Infinity)).map(({ s, C }) => ({ s, C: C + doubtC }));
  return COOLING_RULES[rule].map((gate) => passage(gate, wayDown(sure, gate.from, p.heatOffS), p.heatOffS ?? null, doubtC, p.section ?? ASSUMED));
}

/** The readings of the way down: since the heat ended; where nobody says when, since the core was first read at the start, else at its hottest. */
function wayDown(readings: readonly TimedReading[], fromC: number, heatOffS: number | undefined): readonly TimedReading[] {
  if (heatOffS !== undefined) return readings.filter(({ s }) => s >= heatOffS);
  const there = readings.findIndex(({ C }) => C >= fromC - ROUNDING_C);
  if (there !== -1) return readings.slice(there);
  const hottest = readings.reduce((at, { C }, i) => (C >= (readings[at]?.C ?? -Infinity) ? i : at), 0);
  // A last reading that is warmer than those before it is a core that warms.
  return hottest > 0 && hottest === readings.length - 1 ? [] : readings.slice(hottest);
}

function passage(
  gate: { from: number; to: number; limitS: number },
  down: readonly TimedReading[],
  heatOffS: number | null,
  doubtC: number,
  section: Section,
): GatePassage {
  const { from, to, limitS } = gate;
  const below = down.findIndex(({ C }) => C < from - ROUNDING_C);
  const firstBelow = down[below];
  if (firstBelow === undefined) return { ...gate, startS: null, tookS: null, leastS: 0, mostS: null, state: 'notStarted' };
  // Above the start for sure, whichever way the thermometer errs; and no core falls from there at once.
  const above = down.findLast(({ C }, i) => i < below && C - 2 * doubtC >= from - ROUNDING_C);
  const startS = above === undefined ? heatOffS : Math.min(firstBelow.s, above.s + quickestS(section, above.C - 2 * doubtC, from));
  const backAt = down.findLastIndex(({ C }) => C > to + BACK_C);
  const endAt = down.findIndex(({ C }, i) => i >= below && i > backAt && C <= to + ROUNDING_C);
  const end = down[endAt];
  const lastAbove = down.findLast(({ C }, i) => C > to + ROUNDING_C && i >= below && (endAt === -1 || i < endAt));
  const leastS = lastAbove === undefined ? 0 : lastAbove.s - firstBelow.s;
  const mostS = end === undefined || startS === null ? null : end.s - startS;
  const state: GateState = leastS > limitS + 1e-6 ? 'fail' : end === undefined ? 'running' : mostS !== null && mostS <= limitS + 1e-6 ? 'pass' : 'notShown';
  const estimate = end === undefined ? leastS : Math.max(leastS, Math.min(mostS ?? Infinity, estimated(down, below, endAt, from, to) ?? leastS));
  return { ...gate, startS, tookS: state === 'pass' || (state === 'fail' && end !== undefined) ? estimate : null, leastS, mostS, state };
}

/** The soonest that a core can have fallen from one temperature to another, in ice water say, s. */
function quickestS(section: Section, fromC: number, toC: number): number {
  const rate = fastestCPerMin(section, fromC, true);
  return rate <= 0 ? 0 : (Math.max(0, fromC - toC) / rate) * 60;
}

/** From crossing to crossing, along straight ways between readings, s; null where one of the two has no reading before it. */
function estimated(down: readonly TimedReading[], below: number, endAt: number, from: number, to: number): number | null {
  const crosses = (i: number, C: number): number | null => {
    const [a, b] = [down[i - 1], down[i]];
    return a === undefined || b === undefined || a.C === b.C ? null : a.s + ((b.s - a.s) * (a.C - C)) / (a.C - b.C);
  };
  const [begun, ended] = [crosses(below, from), crosses(endAt, to)];
  return begun === null || ended === null ? null : ended - begun;
}
