import type { TimedReading } from '../safety/coreReadings.js';
import type { ForecastCoreParams } from '../heat/forecastCore.js';
import { courseOfSolid, type CookedSolid, type Weather } from './cookedSolid.js';

/** Where a made-up piece is cooked or chilled. */
export const COURSE_KINDS = ['smoker', 'oven', 'bath', 'air', 'refrigerator, bare', 'refrigerator, in a bag or foil', 'ice water, in a bag'] as const;
export type CourseKind = (typeof COURSE_KINDS)[number];

/** A course that another computation has made, and what somebody who stands beside it knows of it. */
export interface MadeCourse {
  /** all but the readings, which are as many as are asked for */
  known: ForecastCoreParams;
  chamber: readonly TimedReading[];
  readings: readonly TimedReading[];
  /** s; when the middle is truly there */
  thereS: number;
}

/** For tests: numbers between 0 and 1 that a seed brings, always the same (mulberry32). */
function numbersOf(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t ^= t + Math.imul(t ^ (t >>> 7), 61 | t);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** Sizes in mm of the pieces that are cured: belly, brisket, loin, boned and whole ham, a compact slab, a square roast. */
const PIECES: readonly { sizeMm: [number, number, number]; isRound: boolean }[] = [
  { sizeMm: [40, 230, 280], isRound: false },
  { sizeMm: [58, 200, 340], isRound: false },
  { sizeMm: [75, 98, 130], isRound: false },
  { sizeMm: [105, 150, 220], isRound: false },
  { sizeMm: [88, 88, 380], isRound: true },
  { sizeMm: [130, 130, 250], isRound: true },
  { sizeMm: [175, 175, 310], isRound: true },
];

const LONGEST_S = 44 * 3600;

/**
 * For tests: a course of a kind by {@link courseOfSolid}, with what differs from kitchen to kitchen drawn by the seed: meat, film, walls,
 * wind, damp, drying, how a chamber holds its setting, how well somebody measures and reads. Null where it does not come there in time.
 */
export function madeCourse(kind: CourseKind, seed: number): MadeCourse | null {
  const next = numbersOf(seed * 7919 + COURSE_KINDS.indexOf(kind) * 104_729);
  const between = (low: number, high: number) => low + (high - low) * next();
  const normal = (deviation: number) => deviation * Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
  const piece = PIECES[Math.floor(next() * PIECES.length)] as (typeof PIECES)[number];
  const scale = between(0.88, 1.12);
  const sizeMm = piece.sizeMm.map((mm) => mm * scale) as [number, number, number];
  const isChilled = !['smoker', 'oven', 'bath'].includes(kind);
  const diffusivity = 1.3e-7 * Math.exp(normal(0.08));
  const solid: CookedSolid = {
    sizeMm,
    isRound: piece.isRound,
    diffusivity,
    conductivity: between(0.44, 0.52),
    startC: isChilled ? between(60, 72) : between(2, 8),
    rimAboveC: isChilled ? between(-14, 6) : between(0, 4),
    driedKg: isChilled ? between(1, 3) : 0,
  };
  const scene = SCENES[kind]({ between, normal, next });
  const isThere = (C: number) => (isChilled ? C <= scene.targetC : C >= scene.targetC);
  const course = courseOfSolid(solid, scene.weather, (C) => isThere(C), LONGEST_S);
  const there = course.at(-1);
  if (there === undefined || !isThere(there.C) || there.s < 1200) return null;
  const massG = (((piece.isRound ? Math.PI / 4 : 1) * sizeMm[0] * sizeMm[1] * sizeMm[2]) / 1e9) * between(1030, 1070) * 1000;
  const measured = Math.exp(normal(0.04));
  const readEveryS = isChilled && next() < 0.5 ? between(3600, 7200) : between(240, 600);
  const biasC = normal(0.4);
  const readings: TimedReading[] = [];
  for (let s = 0; s < there.s; s += readEveryS) readings.push({ s, C: (course[Math.round(s / 60)] ?? there).C + biasC + normal(0.25) });
  return {
    known: {
      section: piece.isRound ? { shape: 'round', diameterMm: sizeMm[0] * measured } : { shape: 'slab', thicknessMm: sizeMm[0] * measured },
      ...(next() < 0.7 ? { lengthMm: sizeMm[2] * Math.exp(normal(0.03)) } : {}),
      massG,
      startC: readings[0]?.C ?? solid.startC,
      phases: scene.phases,
      targetC: scene.targetC,
      ...(scene.isWrapped ? { wrappedAtS: 0 } : {}),
    },
    chamber: scene.isRead ? course.filter((_, i) => i % 5 === 0).map(({ s }) => ({ s, C: scene.weather(s).airC + scene.chamberBiasC + normal(1) })) : [],
    readings,
    thereS: there.s,
  };
}

interface Scene {
  phases: ForecastCoreParams['phases'];
  targetC: number;
  isWrapped: boolean;
  isRead: boolean;
  chamberBiasC: number;
  weather: (s: number) => Weather;
}

interface Dice {
  between: (low: number, high: number) => number;
  normal: (deviation: number) => number;
  next: () => number;
}

const SCENES: Readonly<Record<CourseKind, (dice: Dice) => Scene>> = {
  smoker: ({ between, normal, next }) => {
    const [first, second] = [between(85, 115), next() < 0.5 ? between(5, 25) : 0];
    const turnS = between(2, 4) * 3600;
    const [offC, swingC, swingS, wind, dewC] = [normal(4), between(1, 6), between(1500, 5400), between(8, 22), between(28, 50)];
    const [wallsC, front] = [between(-12, 8), Math.exp(Math.log(5) + normal(0.5))];
    const doors = [between(3000, 7000), between(9000, 16_000)];
    return {
      phases:
        second === 0
          ? [{ chamberC: first, medium: 'smoker' }]
          : [
              { chamberC: first, medium: 'smoker', untilS: turnS },
              { chamberC: first + second, medium: 'smoker' },
            ],
      targetC: between(60, 74),
      isWrapped: false,
      isRead: next() < 0.75,
      chamberBiasC: normal(2),
      weather: (s) => {
        const set = first + (s >= turnS ? second * (1 - Math.exp(-(s - turnS) / 1500)) : 0);
        const door = doors.reduce((sum, at) => sum + (s >= at ? 30 * Math.exp(-(s - at) / 500) : 0), 0);
        const airC = set + offC + swingC * Math.sin((2 * Math.PI * s) / swingS) - door;
        return { airC, wallC: airC + wallsC, convection: () => wind, emissivity: 0.9, vapourPa: pa(dewC), coverM2K: 0, frontPerKg: front };
      },
    };
  },
  oven: ({ between, normal, next }) => {
    const set = between(110, 160);
    const [offC, swingC, fan, dewC, wallsC] = [normal(6), between(2, 10), between(6, 22), between(20, 45), between(0, 20)];
    const front = Math.exp(Math.log(5) + normal(0.5));
    const isCovered = next() < 0.25;
    const emissivity = isCovered ? 0.3 : 0.9;
    const coverM2K = isCovered ? between(0.005, 0.03) : 0;
    return {
      phases: [{ chamberC: set, medium: 'oven' }],
      targetC: between(60, 74),
      isWrapped: isCovered,
      isRead: next() < 0.4,
      chamberBiasC: normal(2),
      weather: (s) => {
        const airC = set + offC + swingC * Math.sin((2 * Math.PI * s) / 1300);
        return { airC, wallC: airC + wallsC, convection: () => fan, emissivity, vapourPa: isCovered ? null : pa(dewC), coverM2K, frontPerKg: front };
      },
    };
  },
  bath: ({ between, normal, next }) => {
    const set = between(62, 84);
    const [offC, film, coverM2K, dipC] = [normal(0.6), between(80, 500), between(0.0005, 0.004), between(0, 6)];
    return {
      phases: [{ chamberC: set, medium: 'water' }],
      targetC: Math.min(70, set - between(3, 8)),
      isWrapped: false,
      isRead: next() < 0.5,
      chamberBiasC: normal(0.4),
      weather: (s) => still(set + offC - dipC * Math.exp(-s / 1500), film, coverM2K),
    };
  },
  air: ({ between, normal }) => {
    const set = between(8, 18);
    const [offC, draught, rh] = [normal(1.5), between(2.5, 8), between(0.45, 0.75)];
    const [front, view] = [Math.exp(Math.log(5) + normal(0.5)), between(0.75, 1)];
    return {
      phases: [{ chamberC: set, medium: 'cold' }],
      targetC: 80 / 1.8 - 160 / 9,
      isWrapped: false,
      isRead: false,
      chamberBiasC: 0,
      weather: () => ({
        airC: set + offC,
        wallC: set + offC,
        convection: (d) => view * Math.max(draught, 1.5 * d ** 0.25),
        emissivity: 0.9 * view,
        vapourPa: rh * pa(set + offC),
        coverM2K: 0,
        frontPerKg: front,
      }),
    };
  },
  'refrigerator, bare': (dice) => refrigerator(dice, false),
  'refrigerator, in a bag or foil': (dice) => refrigerator(dice, true),
  'ice water, in a bag': ({ between, normal, next }) => {
    const [offC, film, coverM2K, dipC] = [between(-0.5, 1), between(100, 450), between(0.001, 0.006), Math.abs(normal(2))];
    return {
      phases: [{ chamberC: 1, medium: 'water' }],
      targetC: next() < 0.5 ? 80 / 1.8 - 160 / 9 : 45 / 1.8 - 160 / 9,
      isWrapped: true,
      isRead: false,
      chamberBiasC: 0,
      weather: (s) => still(1 + offC + dipC * Math.exp(-s / 3600), film, coverM2K),
    };
  },
};

/** A household refrigerator: still air or a fan, walls, a load that warms it for hours. */
function refrigerator({ between, normal, next }: Dice, isBagged: boolean): Scene {
  const set = between(2, 4.5);
  const [offC, warmC, warmS, natural, fan] = [normal(0.7), between(0.5, 4), between(2, 5) * 3600, between(1.2, 2), next() < 0.3 ? between(5, 9) : 0];
  const [rh, front, view] = [between(0.55, 0.85), Math.exp(Math.log(5) + normal(0.5)), between(0.75, 1)];
  const isFoil = next() < 0.5;
  const emissivity = (isBagged && isFoil ? 0.15 : 0.9) * view;
  const coverM2K = isBagged ? between(0.003, 0.018) : 0;
  return {
    phases: [{ chamberC: set, medium: 'cold' }],
    targetC: next() < 0.5 ? 80 / 1.8 - 160 / 9 : 45 / 1.8 - 160 / 9,
    isWrapped: isBagged,
    isRead: false,
    chamberBiasC: 0,
    weather: (s) => {
      const airC = set + offC + warmC * Math.exp(-s / warmS) + 0.8 * Math.sin((2 * Math.PI * s) / 2400);
      return {
        airC,
        wallC: airC - 1,
        convection: (d) => view * Math.max(fan, natural * d ** 0.25),
        emissivity,
        vapourPa: isBagged ? null : rh * pa(airC),
        coverM2K,
        frontPerKg: front,
      };
    },
  };
}

const still = (C: number, film: number, coverM2K: number): Weather => ({
  airC: C,
  wallC: C,
  convection: () => film,
  emissivity: 0,
  vapourPa: null,
  coverM2K,
  frontPerKg: 0,
});

/** Pa of saturated vapour at a dew point [Buck, 1981; from memory]. */
const pa = (C: number): number => 611.21 * Math.exp((18.678 - C / 234.5) * (C / (257.14 + C)));
