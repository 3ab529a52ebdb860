import { HOUR_S } from '../clock/spans.js';
import { KEPT_FORECASTS, rounded } from './rounded.js';
import { LIMIT_C } from '../safety/fahrenheit.js';
import type { SizedPiece } from '../section/uptake.js';
import { lately } from '../units/lately.js';
import { COURSE_STEP_S, cookCourse, type CookCase } from './cookCourse.js';
import type { Medium } from './evaporation.js';
import { USUAL_TRAITS } from './fitTraits.js';

/** Where a piece lies to chill. */
export interface ChillPlace extends SizedPiece {
  /** of the core as it comes off the fire, °C */
  fromC: number;
  placeC: number;
  medium: Extract<Medium, 'cold' | 'water'>;
  /** in foil or a bag */
  isWrapped?: boolean;
}

const LOOKED_S = 48 * HOUR_S;

/**
 * Hours that a core takes from 130 to 80 °F and on to 45 °F where it lies, by the model with its usual film; Infinity where it does not come
 * there in two days. Said before the cook: what the house's refrigerator will do to a whole ham.
 *
 * @example chillForecastH({ section: { shape: 'round', diameterMm: 90 }, fromC: 65, placeC: 3, medium: 'cold' }) // [2.7, 6.6]
 */
export const chillForecastH = (place: ChillPlace): [firstH: number, secondH: number] => worked({ ...place, ...rounded(place) });

const worked = lately(({ fromC, placeC, medium, isWrapped = false, ...piece }: ChillPlace): [firstH: number, secondH: number] => {
  const cook: CookCase = { ...piece, startC: fromC, phases: [{ chamberC: placeC, medium }], chamber: [], chamberOffC: 0, wrappedAtS: isWrapped ? 0 : Infinity };
  const { core } = cookCourse(cook, USUAL_TRAITS, LOOKED_S, (C) => C <= LIMIT_C.f45);
  const at = (C: number) => {
    const minute = core.findIndex((value) => value <= C);
    return minute === -1 ? Infinity : (minute * COURSE_STEP_S) / HOUR_S;
  };
  return [at(LIMIT_C.f80) - at(LIMIT_C.lethal), at(LIMIT_C.f45) - at(LIMIT_C.f80)];
}, KEPT_FORECASTS);
