import { HOUR_S } from '../clock/spans.js';
import { KEPT_FORECASTS, rounded } from './rounded.js';
import { LIMIT_C } from '../safety/fahrenheit.js';
import type { SizedPiece } from '../section/uptake.js';
import { lately } from '../units/lately.js';
import { COURSE_STEP_S, cookCourse, type CookCase } from './cookCourse.js';
import type { CookPhase } from './cookPhase.js';
import { USUAL_TRAITS } from './fitTraits.js';

/** A core as it comes out of the cold, °C. */
const FROM_COLD_C = 4;
const LOOKED_S = 24 * HOUR_S;

/**
 * Hours that the core of a piece takes from 50 to 130 °F under a program, by the model; Infinity where it does not come there in a day.
 *
 * @example comeUpForecastH({ section: { shape: 'slab', thicknessMm: 40 }, phases: [{ chamberC: 105 }] }) // under 2
 */
export const comeUpForecastH = (cook: SizedPiece & { phases: readonly CookPhase[] }): number => worked({ ...cook, ...rounded(cook) });

const worked = lately(({ phases, ...piece }: SizedPiece & { phases: readonly CookPhase[] }): number => {
  if (phases.length === 0) return 0;
  const cook: CookCase = { ...piece, startC: FROM_COLD_C, phases, chamber: [], chamberOffC: 0, wrappedAtS: Infinity };
  const { core } = cookCourse(cook, USUAL_TRAITS, LOOKED_S, (C) => C >= LIMIT_C.lethal);
  const begun = core.findIndex((C) => C >= LIMIT_C.f50);
  return (core.at(-1) ?? 0) < LIMIT_C.lethal || begun === -1 ? Infinity : ((core.length - 1 - begun) * COURSE_STEP_S) / HOUR_S;
}, KEPT_FORECASTS);
