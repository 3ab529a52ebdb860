import { requireNumber } from '../units/require.js';

/** Salt in a saturated brine at 60 °F (15.6 °C), % w/w: 100 ° salometer [P: salometer tables for sodium chloride brine]. */
export const SATURATED_SALT_PERCENT = 26.395;

/**
 * Salometer degrees of a brine of salt and water (docs/science.md, “Strength”).
 *
 * @param saltPercent % w/w of the brine, 0 to saturation
 * @example saltPercentToSalometer(15) // 56.8
 */
export function saltPercentToSalometer(saltPercent: number): number {
  requireNumber('saltPercent', saltPercent, { min: 0, max: SATURATED_SALT_PERCENT, unit: '%' });
  return (saltPercent / SATURATED_SALT_PERCENT) * 100;
}

/**
 * Salt, % w/w of the brine, at so many salometer degrees.
 *
 * @param degrees 0 to 100
 * @example salometerToSaltPercent(60) // 15.837
 */
export function salometerToSaltPercent(degrees: number): number {
  requireNumber('degrees', degrees, { min: 0, max: 100, unit: '°' });
  return (degrees / 100) * SATURATED_SALT_PERCENT;
}
