import type { CookProgram } from '../log/cookProgram.js';
import type { TendingAct } from '../log/pitEvent.js';

/** A smoke that is raised once. */
export interface SmokePlan {
  smokeC: number;
  smokeH: number;
  raiseC: number;
  targetC: number;
  /** done once, at a core temperature */
  marks: { act: TendingAct; atCoreC: number }[];
}

/** Wood is added and the surface wetted so often, min [T]. */
export const FUEL_MIN = 50;
export const SPRITZ_MIN = 45;

/** Smoke first, then hotter until the core is there: the same numbers as in the steps. */
export const smokeProgram = ({ smokeC, smokeH, raiseC, targetC, marks }: SmokePlan): CookProgram => [
  {
    name: 'Smoke',
    chamberC: smokeC,
    medium: 'smoker',
    smoke: true,
    pan: true,
    untilMin: smokeH * 60,
    repeats: [
      { act: 'fuel', everyMin: FUEL_MIN },
      { act: 'spritz', everyMin: SPRITZ_MIN },
    ],
    marks: [],
  },
  {
    name: 'Cook',
    chamberC: raiseC,
    medium: 'smoker',
    smoke: false,
    pan: true,
    untilCoreC: targetC,
    repeats: [{ act: 'fuel', everyMin: FUEL_MIN }],
    marks,
  },
];
