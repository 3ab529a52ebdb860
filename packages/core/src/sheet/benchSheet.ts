import { MEAT_DENSITY } from '../brine/coverBrine.js';
import type { HydrometerScale } from '../brine/readHydrometer.js';
import type { SaltBases } from '../brine/saltBases.js';
import { productOf, type Product } from '../products/product.js';
import type { RuleSetId } from '../cure/ruleSet.js';
import { CURE_1, type CureMix } from '../ingredients/cureMix.js';
import type { CureMethod } from '../pasted/nitriteOfRecipe.js';
import type { Answers } from '../pasted/words.js';
import type { Section } from '../section/section.js';

/** Every way that cooks dose a cure (docs/science.md, “Ways of dosing”). */
export const BENCH_SCHOOLS = ['equilibrium', 'bag', 'pumpAndCover', 'pumpSame', 'clock', 'lowStrength', 'readyMix', 'floatTest', 'saltOnly', 'dryRub'] as const;
export type BenchSchool = (typeof BENCH_SCHOOLS)[number];

export type TubShape = 'rectangular' | 'round' | 'bag';

/**
 * One sheet on the bench: what the cook wants, or what he has, and what it is made in. Weights g, lengths mm, temperatures °C.
 * A number may be missing or NaN while it is typed.
 */
export interface BenchSheet {
  /** `want`: a recipe is worked out; `have`: one is held against the rules */
  door: 'want' | 'have';
  product: Product;
  ruleSet: RuleSetId;
  /** the cook’s own limits, ppm, for the rule set `house` */
  houseLimit: number;
  houseFloor: number;
  greenG: number;
  shape: 'round' | 'slab';
  thicknessMm: number;
  lengthMm: number;
  pieces: number;
  skinOn: boolean;
  cure: CureMix;
  aimPpm: number;
  meatStepG: number;
  cureStepG: number;

  school: BenchSchool;
  waterG: number;
  saltPercent: number;
  saltBase: keyof SaltBases;
  countCureSalt: boolean;
  sugarPercent: number;
  /** of the cover pickle by the clock, degrees */
  salometer: number;
  pumpPercent: number;
  /** % of the brine that is pumped */
  pickleSaltPercent: number;
  /** what the label says: grams of mix per kg of meat or of water */
  labelGPerKg: number;
  labelPer: 'meat' | 'water';
  days: number;

  text: string;
  answers: Answers;
  use: CureMethod;
  /** days that it lies in the recipe that he has; not said when not given */
  lyingDays?: number;
  /** the scale of a line, g, by its number in the text; the big scale’s or the cure scale’s when not given */
  lineSteps: Readonly<Record<number, number>>;

  concentratePercent: number;
  hotC: number;
  coldC: number;
  targetC: number;
  potML: number;

  tub: TubShape;
  /** length or diameter, width, height inside */
  tubLengthMm: number;
  tubWidthMm: number;
  tubHeightMm: number;
  coverMm: number;
  shelfMm: number;

  syringeML: number;
  spacingMm: number;
  /** all pieces after the needle, g; not weighed when not given */
  pumpedG?: number;
  /** all pieces when they are pulled, g; not weighed when not given */
  pulledG?: number;

  floatScale: HydrometerScale;
  /** what the house’s own instrument shows too much in plain water, in its degrees */
  floatOff: number;
  /** °C at which it is made to be right */
  floatCalibrationC: number;
  floatReading?: number;
  floatC: number;
  floatSugarPercent: number;
}

/** Water that usually goes with so much meat, as a share of its weight [T]. */
const WATER_PER_MEAT = 0.5;
/** In a close-fitting bag, where only a little lies with it [T]. */
const WATER_IN_BAG = 0.15;

/** Water for a school and a weight, g, to 50 g. */
export const benchWaterG = (school: BenchSchool, greenG: number): number =>
  Math.max(100, Math.round(((school === 'bag' ? WATER_IN_BAG : WATER_PER_MEAT) * greenG) / 50) * 50);

/** A sheet with a product’s usual values. */
export function usualSheet(product: Product = 'canadian-bacon'): BenchSheet {
  const { limits, usual } = productOf(product);
  const { days, school, ...piece } = usual;
  return {
    door: 'want',
    product,
    ruleSet: 'us',
    houseLimit: 150,
    houseFloor: 100,
    ...piece,
    pieces: 1,
    skinOn: false,
    cure: CURE_1,
    aimPpm: limits === 'belly' ? 120 : 150,
    meatStepG: 5,
    cureStepG: 0.1,
    school,
    waterG: benchWaterG(school, piece.greenG),
    saltPercent: 2.3,
    saltBase: 'ofMeatAndWater',
    countCureSalt: true,
    sugarPercent: 1,
    salometer: 45,
    pumpPercent: 10,
    pickleSaltPercent: 14,
    labelGPerKg: 40,
    labelPer: 'meat',
    days,
    text: '',
    answers: {},
    use: 'immersion',
    lineSteps: {},
    concentratePercent: 30,
    hotC: 95,
    coldC: 12,
    targetC: 3,
    potML: 8000,
    tub: 'bag',
    tubLengthMm: Math.ceil((piece.lengthMm * 1.1) / 10) * 10,
    tubWidthMm: 240,
    tubHeightMm: 250,
    coverMm: 30,
    shelfMm: 320,
    syringeML: 60,
    spacingMm: 25,
    floatScale: 'salometer',
    floatOff: 0,
    floatCalibrationC: 15.6,
    floatC: 15.6,
    floatSugarPercent: 0,
  };
}

/** The section of one piece on a sheet. */
export function sheetSection({ product, shape, thicknessMm }: Pick<BenchSheet, 'product' | 'shape' | 'thicknessMm'>): Section {
  const { boneMm: diameterMm } = productOf(product);
  const bone = diameterMm === undefined || diameterMm > thicknessMm / 2 ? {} : { bone: { diameterMm } };
  return shape === 'slab' ? { shape, thicknessMm, ...bone } : { shape, diameterMm: thicknessMm, ...bone };
}

/** Density of a product’s meat, g/mL [M]. */
export const meatDensity = (product: Product): number => MEAT_DENSITY[productOf(product).flesh];
