import { fromFahrenheit, LIMIT_C } from '../safety/fahrenheit.js';

/** Cold enough for meat and brine: 40 °F exactly, °C [T: no meat into brine above it]. */
export const COLD_GATE_C = LIMIT_C.cold;

/** Safe core for whole muscle, 145 °F exactly, °C, with 3 min rest [USDA consumer guidance, value from memory]. */
export const SAFE_CORE_C = fromFahrenheit(145);

/** A thermometer that shows whole degrees Fahrenheit is at its target when it shows it: half of one less counts as there, °C. */
export const SHOWN_C = 0.28;
