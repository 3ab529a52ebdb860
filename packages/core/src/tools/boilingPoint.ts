import { requireNumber } from '../units/require.js';

/** Air pressure at sea level and how it falls with height [P: international standard atmosphere, ISO 2533, constants from memory]. */
const SEA_HPA = 1013.25;
const PER_M = 2.25577e-5;
const POWER = 5.25588;

/** Water from 1 to 100 °C, mmHg and °C [P: Antoine equation, constants from memory]. */
const ANTOINE = { a: 8.07131, b: 1730.63, c: 233.426 } as const;
const MMHG_PER_HPA = 760 / SEA_HPA;

/** Highest place that is reckoned with, m: nobody smokes a ham above it. */
export const MOST_ALTITUDE_M = 5000;

/** The usual pressure of the air at a height, hPa. @example airPressureHpa(1500) // 845.6 */
export const airPressureHpa = (altitudeM: number): number =>
  SEA_HPA * (1 - PER_M * requireNumber('altitudeM', altitudeM, { min: -450, max: MOST_ALTITUDE_M, unit: 'm' })) ** POWER;

/**
 * Where water boils at a height above the sea, °C, in the usual pressure of the air there. Weather moves it by up to half a degree.
 *
 * @throws InputError where nobody lives
 * @example boilingPointC(1500) // 95.0
 */
export function boilingPointC(altitudeM: number): number {
  const mmHg = airPressureHpa(altitudeM) * MMHG_PER_HPA;
  return ANTOINE.b / (ANTOINE.a - Math.log10(mmHg)) - ANTOINE.c;
}
