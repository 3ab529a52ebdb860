import { HOUR_S } from '../clock/spans.js';
import { cookCourse, COURSE_STEP_S } from './cookCourse.js';
import { USUAL_TRAITS } from './fitTraits.js';
import type { Section } from '../section/section.js';
import { lately } from '../units/lately.js';
import { requireReadings, type TimedReading } from '../safety/coreReadings.js';

/** A bath proves a core where it is so hot, °C, and read so often, s [M: docs/science.md, “Safe by temperature”]. */
const LEAST_BATH_C = 55;
const BATH_GAP_S = 12 * HOUR_S;
/** The core comes so near to the water, °C. */
const UNDER_BATH_C = 0.5;
/** Slow meat, a thicker piece than was measured, a loose bag: shares of what is usual [M]. */
const SLOW_DIFFUSIVITY = 1.1 / 1.3;
const THICKER = 1.1;
const LOOSE_FILM = 0.5;
/** As cold as a piece may go in, °C. */
const GOES_IN_C = 4;
const LONGEST_S = 48 * HOUR_S;
/** What it proves is told so often, s: near enough for the sum of lethality. */
const TOLD_EVERY_S = 600;

/**
 * s that a core takes to come within half a degree of a bath, slow as it may be: without its ends.
 *
 * @example bathHeatsS({ section: { shape: 'round', diameterMm: 100 }, bathC: 60 }) / HOUR_S // about 8
 */
export const bathHeatsS = lately(({ section, bathC }: { section: Section; bathC: number }): number => {
  const { core } = cookCourse(
    { section: thicker(section), startC: GOES_IN_C, phases: [{ chamberC: bathC, medium: 'water' }], chamber: [], chamberOffC: 0, wrappedAtS: 0 },
    { ...USUAL_TRAITS, diffusivity: SLOW_DIFFUSIVITY, film: LOOSE_FILM },
    LONGEST_S,
    (C) => C >= bathC - UNDER_BATH_C,
  );
  return (core.at(-1) ?? 0) >= bathC - UNDER_BATH_C ? (core.length - 1) * COURSE_STEP_S : Infinity;
}, 32);

function thicker(section: Section): Section {
  switch (section.shape) {
    case 'slab':
      return { shape: 'slab', thicknessMm: section.thicknessMm * THICKER };
    case 'round':
      return { shape: 'round', diameterMm: section.diameterMm * THICKER };
    default:
      return { shape: section.shape, widthMm: section.widthMm * THICKER, heightMm: section.heightMm * THICKER };
  }
}

/**
 * What the water of a bath proves of the core of a piece that is sealed and held under in it: from the modelled time after the first reading
 * to the last the core is half a degree under the coldest that was read. Readings more than twelve hours apart, or under 55 °C, prove nothing.
 *
 * @param reads of the water, s and °C, in order of time
 * @returns readings of the core as they follow, in order of time
 * @throws InputError for readings that cannot be
 */
export function bathCore({ section, reads }: { section: Section; reads: readonly TimedReading[] }): TimedReading[] {
  const proven: TimedReading[] = [];
  let run: TimedReading[] = [];
  const close = () => {
    const [first, last] = [run[0], run.at(-1)];
    if (first !== undefined && last !== undefined && run.length > 1) {
      const coldest = Math.min(...run.map(({ C }) => C));
      const C = coldest - UNDER_BATH_C;
      const heatedS = first.s + bathHeatsS({ section, bathC: coldest });
      for (let s = heatedS; s < last.s; s += TOLD_EVERY_S) proven.push({ s, C });
      if (heatedS <= last.s) proven.push({ s: last.s, C });
    }
    run = [];
  };
  for (const read of requireReadings(reads)) {
    if (read.C < LEAST_BATH_C || read.s - (run.at(-1)?.s ?? read.s) > BATH_GAP_S) close();
    if (read.C >= LEAST_BATH_C) run.push(read);
  }
  close();
  return proven;
}

/** A core that was read so far under what its bath proves says that it lies otherwise, °C. */
const BELIED_C = 1;

/** What was read of a core, and what its bath proves of it, as one series. A bath that a reading belies proves nothing. */
export function withBath(counted: readonly TimedReading[], bath: readonly TimedReading[]): TimedReading[] {
  const [first, last] = [bath[0], bath.at(-1)];
  if (first === undefined || last === undefined || counted.some(({ s, C }) => s >= first.s && s <= last.s && C < first.C - BELIED_C)) return [...counted];
  const at = new Map([...bath, ...counted].map(({ s, C }) => [s, C]));
  return [...at].map(([s, C]) => ({ s, C })).sort((a, b) => a.s - b.s);
}
