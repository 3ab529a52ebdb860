import { inputSays } from '../say/english/inputs.js';
import { equilibriumBrine } from '../brine/equilibriumBrine.js';
import { pickle, type NitriteTarget } from '../brine/pickle.js';
import { pumpAndCoverBrines } from '../brine/pumpAndCoverBrines.js';
import { saltForBase } from '../brine/saltBases.js';
import { brineWeight, type BrineWeights } from '../brine/brineStrength.js';
import { cureForNitrite } from '../cure/ingoingNitrite.js';
import { InputError } from '../inputError.js';
import { nitriteShare } from '../ingredients/cureMix.js';
import { requireNumber } from '../units/require.js';
import type { CureMethod } from '../pasted/nitriteOfRecipe.js';
import type { RecipeLine } from '../pasted/recipeLine.js';
import { pieceUptake, uptakeFromBath } from '../section/uptake.js';
import { sheetSection, type BenchSheet } from './benchSheet.js';

/** A recipe in grams, and how it is used. */
export interface AskedRecipe {
  lines: RecipeLine[];
  coverLines?: RecipeLine[];
  method: CureMethod;
  pumpPercent?: number;
}

/** Salt in a brine in which an egg or a potato just floats, % [T: SG about 1.07 to 1.10]. */
const FLOAT_TEST = { low: 10, typical: 12, high: 14 } as const;

/**
 * The recipe for what is wanted, by the school that is chosen (docs/science.md, “Strength”, “Making it”).
 *
 * @throws InputError where a wish cannot be, saying what is possible
 */
export function askRecipe(sheet: BenchSheet): AskedRecipe {
  requireNumber('greenG', sheet.greenG, { min: 50, max: 1e6, unit: 'g' });
  if (sheet.school !== 'dryRub') requireNumber('waterG', sheet.waterG, { min: 10, max: 1e6, unit: 'g' });
  switch (sheet.school) {
    case 'equilibrium':
    case 'bag':
      return { lines: weighed(sheet, evenBrine(sheet)), method: 'even' };
    case 'pumpAndCover':
      return pumpAndCover(sheet);
    case 'pumpSame':
      return { lines: weighed(sheet, pumpSame(sheet)), method: 'pumpAndCover', pumpPercent: sheet.pumpPercent };
    case 'clock':
      return { lines: weighed(sheet, clockPickle(sheet, { salometer: sheet.salometer })), method: 'clock' };
    case 'lowStrength':
      return { lines: lowStrength(sheet), method: 'even' };
    case 'readyMix':
      return { lines: byLabel(sheet), method: 'even' };
    case 'floatTest':
      return { lines: floatTest(sheet), method: 'clock' };
    case 'saltOnly':
      return { lines: saltOnly(sheet), method: 'even' };
    case 'dryRub':
      return { lines: dryRub(sheet), method: 'dry' };
  }
}

/** The salt that is wanted, as % of meat + water, whatever base it was named on. */
function saltOfMeatAndWater({ saltPercent, saltBase, waterG, greenG, sugarPercent }: BenchSheet): number {
  requireNumber('saltPercent', saltPercent, { min: 0, max: 40, unit: '%' });
  if (saltBase === 'ofMeatAndWater') return saltPercent;
  const otherG = (sugarPercent / 100) * (greenG + waterG);
  return (saltForBase({ percent: saltPercent, base: saltBase, waterG, otherG, meatG: greenG }) / (greenG + waterG)) * 100;
}

function evenBrine(sheet: BenchSheet): BrineWeights {
  const { greenG, waterG, sugarPercent, cure, aimPpm, countCureSalt } = sheet;
  const saltPercent = saltOfMeatAndWater(sheet);
  const brine = equilibriumBrine({ meatG: greenG, waterG, saltPercent, sugarPercent, cure, nitritePpm: aimPpm, countCureSalt });
  return { ...brine, waterG };
}

function pumpAndCover(sheet: BenchSheet): AskedRecipe {
  const { greenG, waterG, pumpPercent, pickleSaltPercent, sugarPercent, aimPpm, cure } = sheet;
  const made = pumpAndCoverBrines({
    meatG: greenG,
    coverWaterG: waterG,
    pumpPercent: requireNumber('pumpPercent', pumpPercent, { above: 0, max: 60, unit: '%' }),
    pickleSaltPercent,
    saltPercent: saltOfMeatAndWater(sheet),
    sugarPercent,
    nitritePpm: aimPpm,
    cure,
  });
  return { lines: weighed(sheet, made.pickle), coverLines: weighed(sheet, made.cover), method: 'pumpAndCover', pumpPercent };
}

/** One brine for the needle and the tub: the dose at which both together come to the target at the pull, by the model. */
function pumpSame(sheet: BenchSheet): BrineWeights {
  const { aimPpm: ppm, greenG, days, pickleSaltPercent } = sheet;
  const strength = { saltPercentOfBrine: pickleSaltPercent };
  const share = requireNumber('pumpPercent', sheet.pumpPercent, { above: 0, max: 60, unit: '%' }) / 100;
  const hours = requireNumber('days', days, { min: 0.1, max: 120, unit: 'days' }) * 24;
  const piece = { section: sheetSection(sheet), lengthMm: sheet.lengthMm, massG: greenG };
  const byPump = strongPickle(sheet, { ppm, basis: 'pumped', pumpPercent: sheet.pumpPercent }, strength);
  let brine = byPump;
  // What the tub gives up hangs on its weight, and that, a little, on the cure in it.
  for (let i = 0; i < DOSE_ROUNDS; i += 1) {
    const tubG = brineWeight(brine) - share * greenG;
    if (tubG <= 0) return byPump;
    const taken = uptakeFromBath(piece, hours, (greenG * (1 + share)) / tubG);
    const inMeat = share / (1 + share);
    brine = strongPickle(sheet, { ppm, basis: 'pumped', pumpPercent: 100 * Math.max(share, inMeat + (1 - inMeat) * taken) }, strength);
  }
  return brine.cureG < byPump.cureG ? brine : byPump;
}

const DOSE_ROUNDS = 6;

/**
 * A strong pickle to be left in time. What 10 % pick-up would allow is far more than the meat takes up in days, so the dose is the
 * one at which the model's figure at the pull reaches the target.
 */
function clockPickle(sheet: BenchSheet, strength: { salometer: number } | { saltPercentOfBrine: number }): BrineWeights {
  const { aimPpm: ppm, greenG: meatG, days } = sheet;
  const byPickUp = strongPickle(sheet, { ppm, basis: 'pickUp' }, strength);
  const hours = requireNumber('days', days, { min: 0.1, max: 120, unit: 'days' }) * 24;
  const takenPercent = Math.max(0.1, pieceUptake({ section: sheetSection(sheet), lengthMm: sheet.lengthMm, massG: meatG }, hours) * 100);
  const endless = strongPickle(sheet, { ppm, basis: 'pickUp', pickUpPercent: takenPercent }, strength);
  const even = strongPickle(sheet, { ppm, basis: 'equilibrium', meatG }, strength);
  const byModel = endless.cureG > even.cureG ? endless : even;
  return byModel.cureG < byPickUp.cureG ? byModel : byPickUp;
}

function strongPickle(sheet: BenchSheet, target: NitriteTarget, strength: { salometer: number } | { saltPercentOfBrine: number }): BrineWeights {
  return pickle({ waterG: sheet.waterG, ...strength, sugarPercentOfBrine: sheet.sugarPercent, cure: sheet.cure, target });
}

/** The curing salt is the whole salt: the salt decides, and the nitrite follows. */
function lowStrength(sheet: BenchSheet): RecipeLine[] {
  const { cure, waterG, greenG } = sheet;
  const share = nitriteShare(cure);
  if (share > 0.02) {
    throw new InputError('cure', inputSays('too-strong-for-whole-salt', { cure: cure.name, percent: sheet.saltPercent }));
  }
  const baseG = greenG + waterG;
  const cureG = ((saltOfMeatAndWater(sheet) / 100) * baseG) / (cure.saltPercent / 100);
  return weighed(sheet, { waterG, saltG: 0, sugarG: (sheet.sugarPercent / 100) * baseG, cureG });
}

function byLabel(sheet: BenchSheet): RecipeLine[] {
  const perKg = requireNumber('labelGPerKg', sheet.labelGPerKg, { above: 0, max: 500, unit: 'g/kg' });
  const kg = (sheet.labelPer === 'meat' ? sheet.greenG : sheet.waterG) / 1000;
  return weighed(sheet, { waterG: sheet.waterG, saltG: 0, sugarG: 0, cureG: perKg * kg });
}

/** Salt until an egg floats: its weight is only known as a range, and so is the brine. */
function floatTest(sheet: BenchSheet): RecipeLine[] {
  const of = (percent: number) => clockPickle(sheet, { saltPercentOfBrine: percent });
  const [low, typical, high] = [of(FLOAT_TEST.low), of(FLOAT_TEST.typical), of(FLOAT_TEST.high)];
  return weighed(sheet, typical).map((line) =>
    line.ingredient === 'table-salt' ? { ...line, amountLow: low.saltG, amountHigh: high.saltG, name: 'Salt, until an egg floats' } : line,
  );
}

function saltOnly(sheet: BenchSheet): RecipeLine[] {
  const baseG = sheet.greenG + sheet.waterG;
  return weighed(sheet, { waterG: sheet.waterG, saltG: (saltOfMeatAndWater(sheet) / 100) * baseG, sugarG: (sheet.sugarPercent / 100) * baseG, cureG: 0 });
}

/** Rubbed on: everything is counted against the meat alone. */
function dryRub(sheet: BenchSheet): RecipeLine[] {
  const { greenG, cure, aimPpm } = sheet;
  const cureG = cureForNitrite({ basis: 'dry', targetPpm: aimPpm, meatG: greenG, cure });
  const carriedG = sheet.countCureSalt ? (cureG * cure.saltPercent) / 100 : 0;
  const saltG = (requireNumber('saltPercent', sheet.saltPercent, { min: 0, max: 20, unit: '%' }) / 100) * greenG - carriedG;
  if (saltG < 0) {
    throw new InputError('saltPercent', inputSays('cure-brings-share', { saltG: carriedG, percent: (carriedG / greenG) * 100 }));
  }
  return weighed(sheet, { waterG: 0, saltG, sugarG: (sheet.sugarPercent / 100) * greenG, cureG });
}

/** Four weights as lines, each with the scale that it is weighed on; what weighs nothing is left out. */
function weighed({ cure, meatStepG, cureStepG }: BenchSheet, b: BrineWeights): RecipeLine[] {
  const line = (ingredient: string, name: string, amount: number, stepG: number): RecipeLine => ({ ingredient, name, amount, unit: 'g', stepG });
  return [
    line('water', 'Water', b.waterG, meatStepG),
    line('table-salt', 'Salt', b.saltG, meatStepG),
    line('white-sugar', 'Sugar', b.sugarG, meatStepG),
    line(cure.name, cure.name, b.cureG, cureStepG),
  ].filter(({ amount }) => amount > 0);
}
