import { batchSays } from '../say/english/batch.js';
import type { Message } from '../say/message.js';
import { HOUR_S } from '../clock/spans.js';
import type { TimedReading } from './coreReadings.js';
import { requireReadings } from './coreReadings.js';
import { requireNumber } from '../units/require.js';

/** What spores that outlived the heat may have grown to while a piece cooled, log10 of their number. */
export interface ChillGrowth {
  /** with the temperature between two readings as a core falls */
  log10: number;
  /** at the worst that the readings leave open, and for a strain that grows a quarter faster */
  mostLog10: number;
}

export interface ChillGrowthParams {
  readings: readonly TimedReading[];
  /** s; when the heat ended, where that is known: until the first reading it fell from there */
  heatOffS?: number;
  /** salt of the piece, % of its weight */
  saltPercent: number;
  /** ingoing nitrite, mg/kg; 0 for meat that is not cured */
  nitritePpm: number;
}

/** More than this is not to be had by slow cooling, log10 [P: FSIS Appendix B, for Clostridium perfringens; value from memory]. */
const MOST_GROWTH_LOG10 = 1;

/**
 * Growth rate of Clostridium perfringens in cooked meat without salt: square root of 1/h, by temperature [P: Ratkowsky's extended
 * square-root model; coefficients M, so that it is fastest near 44 °C, at nearly four e-folds an hour: values from memory].
 */
const LEAST_C = 10.5;
const MOST_C = 51.5;
const SLOPE = 0.077;
const BEND = 0.2;
/** How awake the spores are as they come off the fire: the lag [P: Baranyi and Roberts' model; value from memory]. */
const AWAKE = 0.0137;
/** Water-phase salt and ingoing nitrite at which nothing would grow any more, by a straight line [M]; a finished piece is so much water, %. */
const SALT_ENDS_PERCENT = 8;
const NITRITE_ENDS_PPM = 350;
const WATER_PERCENT = 68;
/** What grows stops at so much, log10. */
const FULL_LOG10 = 6;
const FASTER = 1.25;
/** As hot as a piece is at least as its heat ends, °C: nothing grows there. */
const OFF_C = 60;
/** Straight pieces between two readings. */
const PIECES = 48;

const rate = (C: number): number => (C <= LEAST_C || C >= MOST_C ? 0 : (SLOPE * (C - LEAST_C) * (1 - Math.exp(BEND * (C - MOST_C)))) ** 2);

/**
 * Growth over a chill, from the end of the heat to its last reading: rates summed up, less the lag. Held against the guideline's own courses: those
 * that just pass stay below one log (chillGrowth.test.ts). A model for a decision, never a release.
 *
 * @throws InputError where readings, salt or nitrite cannot be
 * @example chillGrowth({ readings: [{ s: 0, C: 60 }, { s: 18_000, C: 27 }], saltPercent: 2.2, nitritePpm: 150 })
 */
export function chillGrowth(p: ChillGrowthParams): ChillGrowth {
  const read = requireReadings(p.readings);
  const [first] = read;
  const readings = first === undefined || p.heatOffS === undefined || p.heatOffS >= first.s ? read : [{ s: p.heatOffS, C: Math.max(OFF_C, first.C) }, ...read];
  const salt = requireNumber('saltPercent', p.saltPercent, { min: 0, max: 30, unit: '%' });
  const nitrite = requireNumber('nitritePpm', p.nitritePpm, { min: 0, max: 100_000, unit: 'ppm' });
  const inWater = (100 * salt) / (salt + WATER_PERCENT);
  const left = Math.max(0.05, 1 - inWater / SALT_ENDS_PERCENT) * Math.max(0.3, 1 - nitrite / NITRITE_ENDS_PPM);
  let folds = 0;
  let most = 0;
  readings.slice(1).forEach((to, i) => {
    const from = readings[i] ?? to;
    const hours = (to.s - from.s) / HOUR_S;
    const rates = Array.from({ length: PIECES }, (_, k) => rate(falling(from.C, to.C, (k + 0.5) / PIECES)));
    folds += (hours * rates.reduce((sum, one) => sum + one, 0)) / PIECES;
    most += hours * Math.max(...rates);
  });
  return { log10: logOf(folds * left), mostLog10: logOf(most * left * FASTER) };
}

/** A core between two readings falls towards the cold, ever slower; it rises straight. */
const AROUND_C = 2;
function falling(from: number, to: number, share: number): number {
  if (to >= from || to <= AROUND_C) return from + (to - from) * share;
  return AROUND_C + (from - AROUND_C) * ((to - AROUND_C) / (from - AROUND_C)) ** share;
}

/** Baranyi and Roberts: so many e-folds at the full rate, less the lag. */
const logOf = (folds: number): number => Math.min(FULL_LOG10, Math.log10((1 + AWAKE * Math.exp(Math.min(folds, 700))) / (1 + AWAKE)));

/** What a model of growth says of a missed gate: to be thrown away only over one log. */
export function growthWords({ log10, mostLog10 }: ChillGrowth): Message {
  const grew = batchSays('spores-grew', { log10, mostLog10, allowed: MOST_GROWTH_LOG10 });
  if (log10 > MOST_GROWTH_LOG10) return batchSays('grew-too-much', { grew });
  return batchSays(mostLog10 > MOST_GROWTH_LOG10 ? 'growth-not-shown' : 'grew-little', { grew });
}
