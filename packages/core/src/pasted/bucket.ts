import { brineDensity, MOST_SUGAR_PERCENT } from '../brine/brineDensity.js';
import { floatReading, specificGravity, specificGravityToBaume, type FloatReading } from '../brine/readHydrometer.js';
import { saltBases, type SaltBases } from '../brine/saltBases.js';
import { saltPercentToSalometer, SATURATED_SALT_PERCENT } from '../brine/salometer.js';
import type { CureMix } from '../ingredients/cureMix.js';
import { figureSays } from '../say/english/figures.js';
import { asFigure, SALT_SOURCE, STRENGTH_SOURCE, type Figure } from '../units/figure.js';
import { over, plus, scaled, type Measured } from '../units/measured.js';
import { lineContents, type LineContents, type RecipeLine } from './recipeLine.js';

/** Everything in a bucket added up, g with doubt. */
export interface Bucket extends Record<Exclude<keyof LineContents, 'grams'>, Measured> {
  lines: LineContents[];
  all: Measured;
}

export function bucketOf(lines: readonly RecipeLine[], cures: readonly CureMix[] = []): Bucket {
  const contents = lines.map((line) => lineContents(line, cures));
  const total = (key: keyof LineContents) => plus(...contents.map((line) => line[key]));
  return {
    lines: contents,
    all: total('grams'),
    water: total('water'),
    salt: total('salt'),
    sugar: total('sugar'),
    nitrite: total('nitrite'),
    nitrate: total('nitrate'),
    cure: total('cure'),
  };
}

/** A brine by every measure of strength. */
export interface Strength {
  /** % w/w of the brine */
  saltPercent: Figure;
  sugarPercent: number;
  bases: SaltBases;
  /** of the salt alone; null beyond saturation */
  salometer: number | null;
  specificGravity: number;
  baume: number;
  /** at 4 °C, g/mL */
  density: number;
  /** at 4 °C */
  brineML: number;
  /** what a float shows in it at 15.6 °C: sugar lifts it */
  float: FloatReading;
  /** salt that the water cannot hold, g */
  undissolvedG: number;
}

/** Temperature of a brine when it is used, °C. */
const COLD_C = 4;

/** How strong the brine in a bucket is; null where there is no water in it. */
export function strengthOf(bucket: Bucket, meatG: number): Strength | null {
  const { water, salt, sugar, all } = bucket;
  if (water.value <= 0 || all.low <= 0) return null;
  const mostG = (water.value * SATURATED_SALT_PERCENT) / (100 - SATURATED_SALT_PERCENT);
  const saltPercent = (salt.value / all.value) * 100;
  const sugarPercent = (sugar.value / all.value) * 100;
  const known = { saltPercent: Math.min(saltPercent, SATURATED_SALT_PERCENT), sugarPercent: Math.min(sugarPercent, MOST_SUGAR_PERCENT) };
  const density = brineDensity({ ...known, temperatureC: COLD_C });
  const range = scaled(over(salt, all), 100);
  return {
    saltPercent: asFigure({ ...range, high: Math.min(100, range.high) }, { id: 'strength', unit: '%', source: STRENGTH_SOURCE }, () => ({
      label: figureSays('fig-strength'),
      base: figureSays('of-brine-by-weight'),
      formula: figureSays('by-strength'),
      working: figureSays('sum-percent', { partG: salt.value, allG: all.value }),
    })),
    sugarPercent,
    bases: saltBases({ saltG: salt.value, waterG: water.value, brineG: all.value, meatG }),
    salometer: saltPercent > SATURATED_SALT_PERCENT ? null : saltPercentToSalometer(saltPercent),
    specificGravity: specificGravity(known),
    baume: specificGravityToBaume(specificGravity(known)),
    density,
    brineML: all.value / density,
    float: floatReading({ ...known, sampleC: (60 - 32) / 1.8 }),
    undissolvedG: Math.max(0, salt.value - mostG),
  };
}

/** Salt when meat and water are even, % of both together. */
export function saltWhenEven(salt: Measured, water: Measured, meat: Measured): Figure {
  return asFigure(scaled(over(salt, plus(meat, water)), 100), { id: 'salt-even', unit: '%', source: SALT_SOURCE }, () => ({
    label: figureSays('fig-salt-even'),
    base: figureSays('of-meat-and-water'),
    formula: figureSays('by-salt-of-all'),
    working: figureSays('sum-percent-of-two', { partG: salt.value, meatG: meat.value, waterG: water.value }),
  }));
}
