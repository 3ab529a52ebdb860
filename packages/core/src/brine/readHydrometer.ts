import { inputSays } from '../say/english/inputs.js';
import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import { brineDensity, MOST_SUGAR_PERCENT, waterDensity } from './brineDensity.js';
import { salometerToSaltPercent, saltPercentToSalometer, SATURATED_SALT_PERCENT } from './salometer.js';

/** 60 °F, at which brine hydrometers are made to be right, °C. */
export const SIXTY_F_C = (60 - 32) / 1.8;

/** Modulus of the Baumé scale for liquids heavier than water [P]. */
const BAUME_MODULUS = 145;

/** How far a corrected reading may be off, % salt, from the tables and the corrections alone [M]. */
const HYDROMETER_ACCURACY_PERCENT = 0.2;

export type HydrometerScale = 'sg60F' | 'salometer' | 'baume';

export interface HydrometerReading {
  scale: HydrometerScale;
  reading: number;
  /** temperature of the sample, 0 to 40 */
  sampleC: number;
  /** temperature at which the instrument is right; 60 °F when not given */
  calibrationC?: number;
  /** sugar in the brine, % w/w of the brine */
  sugarPercent?: number;
}

export interface HydrometerAnswer {
  /** % w/w of the brine, corrected */
  saltPercent: number;
  low: number;
  high: number;
  /** what the scale says when temperature and sugar are not thought of */
  uncorrectedSaltPercent: number;
  /** g/mL at the sample’s temperature */
  density: number;
}

/** Degrees Baumé of a specific gravity at 60 °F/60 °F. @example specificGravityToBaume(1.098) // 12.94 */
export const specificGravityToBaume = (sg: number): number => BAUME_MODULUS - BAUME_MODULUS / requireNumber('sg', sg, { above: 0.5, max: 2 });

/** Specific gravity at 60 °F/60 °F of degrees Baumé. */
export const baumeToSpecificGravity = (degrees: number): number => BAUME_MODULUS / (BAUME_MODULUS - requireNumber('degrees', degrees, { min: -5, max: 70 }));

/**
 * Specific gravity at 60 °F/60 °F of a brine.
 *
 * @example specificGravity({ saltPercent: 13.2 }) // 1.0975, the salometer table has 1.098 at 50 °
 */
export const specificGravity = (b: { saltPercent: number; sugarPercent?: number }): number =>
  brineDensity({ ...b, temperatureC: SIXTY_F_C }) / waterDensity(SIXTY_F_C);

/** What a float shows in a sample: on all three scales, as if all that it feels were salt in a brine at its calibration temperature. */
export interface FloatReading {
  sg: number;
  baume: number;
  /** null beyond the top of the scale */
  salometer: number | null;
}

/**
 * Where an instrument floats in a brine: the inverse of {@link readHydrometer}.
 *
 * @example floatReading({ saltPercent: 13.2, sugarPercent: 4, sampleC: 15.56 }) // sg 1.114, 58 ° salometer instead of 50 °
 */
export function floatReading(b: { saltPercent: number; sugarPercent?: number; sampleC: number; calibrationC?: number }): FloatReading {
  const calibrationC = requireCalibration(b.calibrationC);
  const density = brineDensity({ saltPercent: b.saltPercent, sugarPercent: b.sugarPercent ?? 0, temperatureC: requireSample(b.sampleC) });
  const sg = density / waterDensity(calibrationC);
  const asSalt = saltOfDensity(density, 0, calibrationC);
  return {
    sg,
    baume: specificGravityToBaume(sg),
    salometer: asSalt === 'tooDense' ? null : saltPercentToSalometer(asSalt === 'tooLight' ? 0 : asSalt),
  };
}

/**
 * The salt in a brine from a hydrometer, corrected for the temperature of the sample and for its sugar (docs/science.md, “Strength”).
 * The instrument feels a density; the answer is the salt that gives this density with this sugar at this temperature.
 *
 * @throws InputError when the reading is off its scale, lighter than the water with its sugar, or heavier than saturated brine
 * @example readHydrometer({ scale: 'salometer', reading: 58, sampleC: 25, sugarPercent: 4 }) // about 13.9 % instead of 15.3 %
 */
export function readHydrometer(r: HydrometerReading): HydrometerAnswer {
  const sampleC = requireSample(r.sampleC);
  const calibrationC = requireCalibration(r.calibrationC);
  const sugarPercent = requireNumber('sugarPercent', r.sugarPercent ?? 0, { min: 0, max: MOST_SUGAR_PERCENT, unit: '%' });
  const density = densityFelt(r, calibrationC);
  const naive = saltOfDensity(density, 0, calibrationC);
  if (naive === 'tooLight') throw new InputError('reading', inputSays('lighter-than-water'));
  const salt = saltOfDensity(density, sugarPercent, sampleC);
  if (salt === 'tooLight') {
    throw new InputError('sugarPercent', inputSays('sugar-reads-higher', { sugarPercent, sampleC }));
  }
  if (salt === 'tooDense' || naive === 'tooDense') {
    throw new InputError('reading', inputSays('heavier-than-saturated', { saturatedPercent: SATURATED_SALT_PERCENT }));
  }
  return {
    saltPercent: salt,
    low: Math.max(0, salt - HYDROMETER_ACCURACY_PERCENT),
    high: Math.min(SATURATED_SALT_PERCENT, salt + HYDROMETER_ACCURACY_PERCENT),
    uncorrectedSaltPercent: naive,
    density,
  };
}

/** The density that the instrument stands in, g/mL. */
function densityFelt({ scale, reading }: HydrometerReading, calibrationC: number): number {
  switch (scale) {
    case 'salometer':
      return brineDensity({
        saltPercent: salometerToSaltPercent(requireNumber('reading', reading, { min: 0, max: 100, unit: '°' })),
        temperatureC: calibrationC,
      });
    case 'sg60F':
      return requireNumber('reading', reading, { min: 0.98, max: 1.3 }) * waterDensity(calibrationC);
    case 'baume':
      return baumeToSpecificGravity(requireNumber('reading', reading, { min: -3, max: 33, unit: '°Bé' })) * waterDensity(calibrationC);
    default:
      throw new InputError('scale', inputSays('unknown-scale', { scale: String(scale) }));
  }
}

/** A density is found to this, g/mL: a millionth of a percent of salt. */
const CLOSE = 1e-10;

/**
 * The salt that gives a density. Density rises with salt at every sugar and temperature, nearly straight, so the false position rule
 * (Illinois) finds it in a handful of steps.
 */
function saltOfDensity(density: number, sugarPercent: number, temperatureC: number): number | 'tooLight' | 'tooDense' {
  const off = (saltPercent: number) => brineDensity({ saltPercent, sugarPercent, temperatureC }) - density;
  const ROUNDING = 2e-4;
  let [low, lowOff] = [0, off(0)];
  let [high, highOff] = [SATURATED_SALT_PERCENT, off(SATURATED_SALT_PERCENT)];
  if (lowOff >= 0) return lowOff > ROUNDING ? 'tooLight' : 0;
  if (highOff <= 0) return highOff < -ROUNDING ? 'tooDense' : SATURATED_SALT_PERCENT;
  for (let i = 0; i < 80; i += 1) {
    const salt = high - (highOff * (high - low)) / (highOff - lowOff);
    const saltOff = off(salt);
    if (Math.abs(saltOff) < CLOSE) return salt;
    if (saltOff < 0) {
      [low, lowOff] = [salt, saltOff];
      highOff /= 2;
    } else {
      [high, highOff] = [salt, saltOff];
      lowOff /= 2;
    }
  }
  return (low + high) / 2;
}

const requireSample = (sampleC: number) => requireNumber('sampleC', sampleC, { min: 0, max: 40, unit: '°C' });
const requireCalibration = (calibrationC?: number) => requireNumber('calibrationC', calibrationC ?? SIXTY_F_C, { min: 4, max: 30, unit: '°C' });
