import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import { SATURATED_SALT_PERCENT } from './salometer.js';
import { inputSays } from '../say/english/inputs.js';

type Point = readonly [percent: number, gPerML: number];

/** Density of water at 20 °C, g/mL. */
const WATER_20C = 0.9982;

/** Most sugar that a brine is computed with, % w/w. */
export const MOST_SUGAR_PERCENT = 30;

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
 * Sodium chloride solutions at 0, 10, 25 and 40 °C, g/mL [P: Perry's Chemical Engineers' Handbook, densities of aqueous inorganic
 * solutions; values from memory]. Used for how a brine expands only: a strong brine expands twice as much as water near 15 °C.
 */
const EXPANSION_C = [0, 10, 25, 40] as const;
const EXPANSION: readonly (readonly [percent: number, ...gPerML: number[]])[] = [
  [0, 0.99984, 0.9997, 0.99705, 0.99222],
  [4, 1.03038, 1.0292, 1.0253, 1.01977],
  [8, 1.06121, 1.05907, 1.05412, 1.04798],
  [12, 1.09244, 1.08946, 1.08365, 1.07699],
  [16, 1.12419, 1.12056, 1.11401, 1.10688],
  [20, 1.15663, 1.15254, 1.14533, 1.13774],
  [24, 1.18999, 1.18557, 1.17776, 1.16971],
  [26.395, 1.21047, 1.20586, 1.19769, 1.18933],
];

/**
 * Density of a brine of salt, sugar and water (docs/science.md, “Strength”).
 * Salt and sugar lift the density each as in its own table at 20 °C; the table is linear between its points. Temperature scales it
 * as it scales a brine of that much salt.
 *
 * @param b.saltPercent % w/w of the brine, 0 to saturation
 * @param b.sugarPercent % w/w of the brine, 0 to 30
 * @param b.temperatureC 0 to 40; 20 when not given
 * @returns g/mL, within 0.001 of the tables
 * @example brineDensity({ saltPercent: 10 }) // 1.0707
 */
export function brineDensity(b: { saltPercent: number; sugarPercent?: number; temperatureC?: number }): number {
  requireNumber('saltPercent', b.saltPercent, { min: 0, max: SATURATED_SALT_PERCENT, unit: '%' });
  const sugarPercent = requireNumber('sugarPercent', b.sugarPercent ?? 0, { min: 0, max: MOST_SUGAR_PERCENT, unit: '%' });
  const temperatureC = requireNumber('temperatureC', b.temperatureC ?? 20, { min: 0, max: 40, unit: '°C' });
  const at20 = interpolate(SALT_20C, b.saltPercent) + interpolate(SUGAR_20C, sugarPercent) - WATER_20C;
  return temperatureC === 20 ? at20 : (at20 * expansion(b.saltPercent, temperatureC)) / expansion(b.saltPercent, 20);
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

/** For each temperature of the table: brine over water by percent, which is nearly straight between the temperatures. */
const OVER_WATER: readonly (readonly [atC: number, quotients: readonly Point[]])[] = EXPANSION_C.map((atC, i) => [
  atC,
  EXPANSION.map(([percent, ...densities]): Point => [percent, (densities[i] ?? 0) / waterDensity(atC)]),
]);

/** How dense a brine is at a temperature, relative to itself: water's own curve (Kell), times the quotient brine over water. */
function expansion(saltPercent: number, temperatureC: number): number {
  const above = Math.max(
    1,
    OVER_WATER.findIndex(([atC]) => temperatureC <= atC),
  );
  const quotients = OVER_WATER.slice(above - 1, above + 1).map(([atC, points]): Point => [atC, interpolate(points, saltPercent)]);
  return waterDensity(temperatureC) * interpolate(quotients, temperatureC);
}

function interpolate(points: readonly Point[], at: number): number {
  for (let i = 1; i < points.length; i += 1) {
    const [x0, y0] = points[i - 1] ?? [0, 0];
    const [x1, y1] = points[i] ?? [0, 0];
    if (at <= x1) return y0 + ((at - x0) / (x1 - x0)) * (y1 - y0);
  }
  throw new InputError('percent', inputSays('off-density-table', { percent: at }));
}
