import type { TimedReading } from '../safety/coreReadings.js';
import type { SizedPiece } from '../section/uptake.js';
import { phaseAt, type CookPhase } from './cookPhase.js';
import { HeatBody, type HeatTraits } from './heatBody.js';

/** What a piece goes through: what was measured of the chamber so far, and the program from there on. */
export interface CookCase extends SizedPiece {
  startC: number;
  phases: readonly CookPhase[];
  /** the chamber as it was read; up to its last reading it counts, from there on the program */
  chamber: readonly TimedReading[];
  /** the program is held by so much more or less, °C */
  chamberOffC: number;
  /** s; from when it is wrapped */
  wrappedAtS: number;
}

/** How often the course is kept, and the longest step, s. */
export const COURSE_STEP_S = 60;

/** A chamber comes to a new setting so slowly, s [T: a quarter of an hour and more for two thirds of the way]. */
const WARMS_S = 900;

/**
 * The core minute by minute, °C, from the start on, until `isEnough` or `untilS`.
 */
export function cookCourse(
  cook: CookCase,
  traits: HeatTraits,
  untilS: number,
  isEnough: (C: number, s: number) => boolean = () => false,
): { core: number[]; body: HeatBody } {
  const body = new HeatBody(cook, cook.startC, traits);
  const chamberAt = chamberReader(cook.chamber);
  const isCooling = (cook.phases[0]?.chamberC ?? 0) < cook.startC;
  const core = [cook.startC];
  let phase = 0;
  let held: number | null = null;
  for (let s = 0; s < untilS; s += COURSE_STEP_S) {
    phase = phaseAt(cook.phases, phase, s, body.coreC(), isCooling);
    const { chamberC = 0, medium = 'smoker' } = cook.phases[phase] ?? {};
    const set = chamberC + cook.chamberOffC + traits.placeOffC;
    held = chamberAt(s) ?? (held === null ? set : set + (held - set) * Math.exp(-COURSE_STEP_S / WARMS_S));
    body.step(COURSE_STEP_S, { chamberC: held, medium, isWrapped: s >= cook.wrappedAtS });
    const C = body.coreC();
    core.push(C);
    if (isEnough(C, s + COURSE_STEP_S)) break;
  }
  return { core, body };
}

/** The chamber between two readings, by straight lines; null before the first and after the last. Asked for ever later times. */
function chamberReader(readings: readonly TimedReading[]): (s: number) => number | null {
  let i = 0;
  return (s) => {
    while (i < readings.length - 1 && (readings[i + 1]?.s ?? Infinity) <= s) i += 1;
    const [from, to] = [readings[i], readings[i + 1]];
    if (from === undefined || to === undefined || s < from.s) return null;
    return from.C + ((to.C - from.C) * (s - from.s)) / (to.s - from.s);
  };
}

/** The course at a time between two of its minutes. */
export function courseAt(core: readonly number[], s: number): number {
  const place = Math.max(0, s / COURSE_STEP_S);
  const i = Math.min(core.length - 1, Math.floor(place));
  const from = core[i] ?? Number.NaN;
  const to = core[i + 1] ?? from;
  return from + (to - from) * Math.min(1, place - i);
}
