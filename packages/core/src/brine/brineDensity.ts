import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import { SATURATED_SALT_PERCENT } from './salometer.js';

type Point = readonly [percent: number, gPerML: number];

/** Density of water at 20 °C, g/mL. */
const WATER_20C = 0.9982;

/** Sodium chloride solutions at 20 °C [P: CRC Handbook of Chemistry and Physics, concentrative properties; values from memory]. */
const SALT_20C: readonly Point[] = [
  [0, WATER_20C],
  [1, 1.0053],
  [5, 1.034],
  [10, 1.0707],
  [15, 1.1085],
  [20, 1.1478],
  [25, 1.1887],
  [SATURATED_SALT_PERCENT, 1.2004],
];

/** Sucrose solutions at 20 °C [P: the same table, values from memory]. */
const SUGAR_20C: readonly Point[] = [
  [0, WATER_20C],
  [5, 1.0178],
  [10, 1.0381],
  [20, 1.081],
  [30, 1.127],
];

/**
 * Density of a brine of salt, sugar and water (handbook part 4).
 * Salt and sugar lift the density each as in its own table; the table is linear between its points. Temperature scales it as it
 * scales water.
 *
 * @param b.saltPercent % w/w of the brine, 0 to saturation
 * @param b.sugarPercent % w/w of the brine, 0 to 30
 * @param b.temperatureC 0 to 40; 20 when not given
 * @returns g/mL, within 0.005 of the tables
 * @example brineDensity({ saltPercent: 10 }) // 1.0707
 */
export function brineDensity(b: { saltPercent: number; sugarPercent?: number; temperatureC?: number }): number {
  requireNumber('saltPercent', b.saltPercent, { min: 0, max: SATURATED_SALT_PERCENT, unit: '%' });
  const sugarPercent = requireNumber('sugarPercent', b.sugarPercent ?? 0, { min: 0, max: 30, unit: '%' });
  const temperatureC = requireNumber('temperatureC', b.temperatureC ?? 20, { min: 0, max: 40, unit: '°C' });
  const at20 = interpolate(SALT_20C, b.saltPercent) + interpolate(SUGAR_20C, sugarPercent) - WATER_20C;
  return (at20 * waterDensity(temperatureC)) / waterDensity(20);
}

/**
 * Density of pure water, g/mL [P: Kell, J. Chem. Eng. Data 20 (1975) 97; values from memory].
 *
 * @param temperatureC 0 to 100
 * @example waterDensity(4) // 0.99997
 */
export function waterDensity(temperatureC: number): number {
  const t = requireNumber('temperatureC', temperatureC, { min: 0, max: 100, unit: '°C' });
  const numerator = 999.83952 + t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 + t * -280.54253e-12))));
  return numerator / (1 + 16.87985e-3 * t) / 1000;
}

function interpolate(points: readonly Point[], percent: number): number {
  for (let i = 1; i < points.length; i += 1) {
    const [x0, y0] = points[i - 1] ?? [0, 0];
    const [x1, y1] = points[i] ?? [0, 0];
    if (percent <= x1) return y0 + ((percent - x0) / (x1 - x0)) * (y1 - y0);
  }
  throw new InputError('percent', `${percent} % lies outside the density table.`);
}
