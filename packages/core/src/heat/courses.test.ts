import { courseOfSolid, type CookedSolid, type Weather } from '../testing/cookedSolid.js';
import { COURSE_KINDS, madeCourse, type CourseKind, type MadeCourse } from '../testing/courses.js';
import { forecastCore } from './forecastCore.js';

/** What is left at the middle of a slab of half thickness 1 whose film is `biot` [P: Carslaw and Jaeger]. */
function slabLeft(biot: number, fourier: number): number {
  let left = 0;
  for (let n = 0; n < 30; n += 1) {
    // z tan z = biot, between n pi and n pi + pi / 2.
    let [low, high] = [n * Math.PI, n * Math.PI + Math.PI / 2];
    for (let i = 0; i < 60; i += 1) {
      const z = (low + high) / 2;
      if (z * Math.sin(z) < biot * Math.cos(z) === (n % 2 === 0)) low = z;
      else high = z;
    }
    const z = (low + high) / 2;
    left += ((2 * Math.sin(z)) / (z + Math.sin(z) * Math.cos(z))) * Math.exp(-z * z * fourier);
  }
  return left;
}

describe('the other code by which forecasts are judged', () => {
  const solid: CookedSolid = {
    sizeMm: [75, 98, 130],
    isRound: false,
    diffusivity: 1.3e-7,
    conductivity: 0.48,
    startC: 5,
    rimAboveC: 0,
    driedKg: 0,
  };
  const film: Weather = { airC: 85, wallC: 85, convection: () => 20, emissivity: 0, vapourPa: null, coverM2K: 0, frontPerKg: 0 };

  test('a block in air of a constant film is the product of its three slabs [P: Newman], within 0.7 °C of eighty', () => {
    const course = courseOfSolid(
      solid,
      () => film,
      () => false,
      3 * 3600,
    );
    for (const minute of [45, 90, 170]) {
      const left = solid.sizeMm.reduce((all, mm) => all * slabLeft((20 * mm) / 2000 / 0.48, (1.3e-7 * minute * 60) / (mm / 2000) ** 2), 1);
      expect(Math.abs((course[minute]?.C ?? 0) - (85 - 80 * left))).toBeLessThan(0.7);
    }
  });

  test('what dries stays near the wet bulb until its front has sunk in', () => {
    const wet = (frontPerKg: number) =>
      courseOfSolid(
        solid,
        () => ({ ...film, vapourPa: 1200, frontPerKg }),
        () => false,
        4 * 3600,
      ).at(-1)?.C ?? 0;
    // Air of 85 °C with a dew point of 10 °C: a psychrometric chart gives a wet bulb near 32 °C.
    expect(wet(0)).toBeGreaterThan(29);
    expect(wet(0)).toBeLessThan(36);
    expect(wet(20)).toBeGreaterThan(wet(0) + 10);
  });
});

/** Others than those by which the doubts of the model were chosen. */
const FIRST_SEED = 5000;
const COURSES = 32;
const STAGES = [0, 1 / 3, 2 / 3];

function coursesOf(kind: CourseKind): MadeCourse[] {
  const made: MadeCourse[] = [];
  for (let seed = FIRST_SEED; made.length < COURSES; seed += 1) {
    const course = madeCourse(kind, seed);
    if (course !== null) made.push(course);
  }
  return made;
}

/** Whether a course ends sooner than its forecast says, within it, or later, when so much of its time is over. */
function told({ known, readings, chamber, thereS }: MadeCourse, stage: number): 'sooner' | 'inside' | 'later' {
  const until = <R extends { s: number }>(list: readonly R[]) => (stage === 0 ? [] : list.filter(({ s }) => s <= thereS * stage));
  const { lowS, highS } = forecastCore({ ...known, readings: until(readings), chamber: until(chamber) });
  if (thereS < lowS) return 'sooner';
  return thereS > highS ? 'later' : 'inside';
}

describe(`${COURSES * COURSE_KINDS.length} courses of other code, each foretold before it begins and twice on its way`, () => {
  const all: Record<string, number> = { sooner: 0, inside: 0, later: 0 };

  test.each(COURSE_KINDS)('%s: three quarters to nine tenths lie inside the range', (kind) => {
    const courses = coursesOf(kind);
    const count: Record<string, number> = { sooner: 0, inside: 0, later: 0 };
    for (const stage of STAGES) {
      let inside = 0;
      for (const course of courses) {
        const where = told(course, stage);
        count[where] = (count[where] ?? 0) + 1;
        if (where === 'inside') inside += 1;
      }
      // No part of its time for itself is much worse.
      expect(inside / COURSES).toBeGreaterThan(0.6);
    }
    for (const [where, times] of Object.entries(count)) all[where] = (all[where] ?? 0) + times;
    const share = (count.inside ?? 0) / (COURSES * STAGES.length);
    expect(share).toBeGreaterThanOrEqual(0.75);
    expect(share).toBeLessThanOrEqual(0.9);
  });

  test('all of them, and neither side is forgotten', () => {
    const { sooner = 0, inside = 0, later = 0 } = all;
    const share = inside / (sooner + inside + later);
    expect(share).toBeGreaterThanOrEqual(0.75);
    expect(share).toBeLessThanOrEqual(0.9);
    expect(Math.min(sooner, later) / (sooner + later)).toBeGreaterThan(0.2);
  });
});
