import { brineWeight, type BrineWeights } from '../brine/brineStrength.js';
import { equilibriumBrine } from '../brine/equilibriumBrine.js';
import { pickle, type NitriteTarget, type Pickle } from '../brine/pickle.js';
import { pumpAndCoverBrines } from '../brine/pumpAndCoverBrines.js';
import { cureForNitrite, USUAL_PICK_UP_PERCENT } from '../cure/ingoingNitrite.js';
import { rulesOf } from '../cure/judgeNitrite.js';
import { nitriteLimit, type NitriteMethod } from '../cure/ruleSet.js';
import { nitriteFraction, nitriteShare, type CureMix } from '../ingredients/cureMix.js';
import { InputError } from '../inputError.js';
import type { BatchDesign, Dose, OwnLine, PumpedSchool } from '../log/batchDesign.js';
import type { Process, Spice } from '../recipes/process.js';
import { inputSays } from '../say/english/inputs.js';
import { LEAN_DIFFUSIVITY, pieceUptake, uptakeFromBath } from '../section/uptake.js';
import type { BrineId } from '../steps/brine.js';
import { isByTheClock, isPumped, sizeOf } from './design.js';

/** What each brine is called; a rub is no brine. */
const BRINE_NAMES: Record<BrineId, string> = { brine: 'Brine', pickle: 'Pump pickle', cover: 'Cover brine' };
export const brineName = (id: BrineId, { kind }: BatchDesign['school']): string => (kind === 'dryRub' ? 'Rub' : BRINE_NAMES[id]);

/** A brine to be mixed, or as it was; what is rubbed on is one without water. */
export interface SheetBrine extends BrineWeights {
  id: BrineId;
  brineG: number;
  /** ascorbate or erythorbate, g; where it is planned */
  acceleratorG?: number;
  /** the cook's own lines, in their order; they count in `brineG` */
  own?: OwnLine[];
  /** true once it was weighed out */
  weighed: boolean;
  /** how much of what was weighed this is, of one: what lies in one of several tubs */
  share?: number;
}

/** What the cook's own lines bring of something, g. */
export const ownOf = ({ own = [] }: Pick<SheetBrine, 'own'>, what: 'saltPercent' | 'sugarPercent' | 'waterPercent'): number =>
  own.reduce((g, line) => g + (line.g * (line[what] ?? 0)) / 100, 0);

/** The brine that the needle takes: its own, or the one that the meat lies in too. */
export const needleBrine = (brines: readonly SheetBrine[], school: BatchDesign['school']): SheetBrine | undefined =>
  isPumped(school) ? brines.find(({ id }) => id === (school.kind === 'pumpSame' ? 'brine' : 'pickle')) : undefined;

/** The name of the n-th own line among what a mixing step measures: `ownG1`. */
export const OWN_LINE = 'ownG';

/**
 * The brines to mix for so much meat, in grams.
 *
 * @throws InputError when strength, pump and target contradict each other
 */
export function mixingSheet(design: BatchDesign, greenG: number): SheetBrine[] {
  const sheet = plainSheet(design, greenG)
    .map((brine) => ({ ...brine, ...acceleratorOf(brine, design) }))
    .map((brine) => (design.nitritePpm > 0 ? weighable(brine, design, greenG) : brine));
  return design.ownLines === undefined ? sheet : sheet.map((brine) => (brine.id === 'pickle' ? brine : withOwn(brine, design.ownLines ?? [])));
}

/** The cook's own lines are weighed as they were written; what they bring of salt and water is counted where the figures are. */
const withOwn = (brine: SheetBrine, own: readonly OwnLine[]): SheetBrine => ({
  ...brine,
  own: [...own],
  brineG: brine.brineG + own.reduce((g, line) => g + line.g, 0),
});

function plainSheet(design: BatchDesign, greenG: number): SheetBrine[] {
  const { school, saltPercent, sugarPercent, nitritePpm, cure, dose } = design;
  if (dose !== undefined) return [sheetOf('brine', dosed(design, dose, greenG))];
  switch (school.kind) {
    case 'equilibrium': {
      const strong = school.strongSaltPercent;
      if (strong !== undefined) return [sheetOf('brine', strongPickle(design, greenG, school.waterG, strong))];
      const even = equilibriumBrine({ meatG: greenG, waterG: school.waterG, saltPercent, sugarPercent, nitritePpm, cure });
      return [sheetOf('brine', { ...even, waterG: school.waterG })];
    }
    case 'pumpSame':
      return [sheetOf('brine', brineForBoth(design, greenG, school))];
    case 'dryRub':
      return [sheetOf('brine', rub(design, greenG))];
    case 'pumpAndCover': {
      const brines = pumpAndCoverBrines({
        meatG: greenG,
        coverWaterG: school.waterG,
        pumpPercent: school.pumpPercent + school.repumpPercent,
        pickleSaltPercent: school.pickleSaltPercent,
        saltPercent,
        sugarPercent,
        nitritePpm,
        cure,
      });
      return [
        { ...sheetOf('pickle', brines.pickle), brineG: brines.pickle.brineG },
        { ...sheetOf('cover', brines.cover), brineG: brines.cover.brineG },
      ];
    }
  }
}

function sheetOf(id: BrineId, { waterG, saltG, sugarG, cureG }: BrineWeights): SheetBrine {
  const weights = { waterG, saltG, sugarG, cureG };
  return { id, ...weights, brineG: brineWeight(weights), weighed: false };
}

/** The cure by its label, or as the whole salt: the salt decides, and the nitrite follows. */
function dosed({ school, saltPercent, sugarPercent, cure }: BatchDesign, dose: Dose, meatG: number): BrineWeights {
  const { waterG } = school;
  if (dose.by === 'written') return { waterG, saltG: dose.saltG, sugarG: dose.sugarG, cureG: dose.cureG };
  if (dose.by === 'label') return { waterG, saltG: 0, sugarG: 0, cureG: (dose.gPerKg * (dose.per === 'meat' ? meatG : waterG)) / 1000 };
  if (nitriteShare(cure) > MOST_OF_WHOLE_SALT) throw new InputError('cure', inputSays('too-strong-for-whole-salt', { cure: cure.name, percent: saltPercent }));
  const baseG = meatG + waterG;
  return { waterG, saltG: 0, sugarG: (sugarPercent / 100) * baseG, cureG: ((saltPercent / 100) * baseG) / (cure.saltPercent / 100) };
}

/** A mix with more nitrite than this is no salt to salt by [T]. */
const MOST_OF_WHOLE_SALT = 0.02;

/** Rubbed on: salt and sugar of the meat's weight, the cure by the inspectors' dry method. */
function rub({ saltPercent, sugarPercent, nitritePpm: targetPpm, cure }: BatchDesign, meatG: number): BrineWeights {
  const cureG = targetPpm > 0 ? cureForNitrite({ basis: 'dry', targetPpm, meatG, cure }) : 0;
  const saltG = (saltPercent / 100) * meatG - (cureG * cure.saltPercent) / 100;
  if (saltG < -ROUNDING_G) {
    throw new InputError('saltPercent', inputSays('cure-brings-salt', { saltG: (cureG * cure.saltPercent) / 100, percent: saltPercent }));
  }
  return { waterG: 0, saltG: Math.max(0, saltG), sugarG: (sugarPercent / 100) * meatG, cureG };
}

const ROUNDING_G = 1e-3;

/**
 * A strong pickle to be left in time. What 10 % pick-up would allow is far more than a piece takes up in days, so the dose is the one at
 * which the model's figure of the piece that takes up fastest comes to the target at the pull as planned, and never more than pick-up allows.
 */
function strongPickle(design: BatchDesign, meatG: number, waterG: number, saltPercentOfBrine: number): Pickle {
  const { pieces, cureDays, nitritePpm: ppm, diffusivity } = design;
  const of = (target: NitriteTarget) => pickleOf(design, waterG, saltPercentOfBrine, target);
  const taken = 100 * Math.max(...pieces.map((piece) => pieceUptake(sizeOf(piece), cureDays * 24, diffusivity?.value ?? LEAN_DIFFUSIVITY)));
  const byPickUp = of({ ppm, basis: 'pickUp' });
  const endless = of({ ppm, basis: 'pickUp', pickUpPercent: Math.max(USUAL_PICK_UP_PERCENT, taken) });
  const even = of({ ppm, basis: 'equilibrium', meatG });
  const byModel = endless.cureG > even.cureG ? endless : even;
  return byModel.cureG < byPickUp.cureG ? byModel : byPickUp;
}

/** One brine for needle and tub: the dose at which both together come to the target at the pull, by the model, in the piece that takes up fastest. */
function brineForBoth(design: BatchDesign, meatG: number, school: PumpedSchool): Pickle {
  const { pieces, cureDays, nitritePpm: ppm, diffusivity } = design;
  const share = (school.pumpPercent + school.repumpPercent) / 100;
  const of = (pumpPercent: number) => pickleOf(design, school.waterG, school.pickleSaltPercent, { ppm, basis: 'pumped', pumpPercent });
  const byPump = of(share * 100);
  let brine = byPump;
  // What the tub gives up hangs on its weight, and that, a little, on the cure in it.
  for (let i = 0; i < DOSE_ROUNDS; i += 1) {
    const tubG = brine.brineG - share * meatG;
    if (tubG <= 0) return byPump;
    const taken = Math.max(
      ...pieces.map((piece) => uptakeFromBath(sizeOf(piece), cureDays * 24, (meatG * (1 + share)) / tubG, diffusivity?.value ?? LEAN_DIFFUSIVITY)),
    );
    const inMeat = share / (1 + share);
    brine = of(100 * Math.max(share, inMeat + (1 - inMeat) * taken));
  }
  return brine.cureG < byPump.cureG ? brine : byPump;
}

const DOSE_ROUNDS = 6;

const pickleOf = ({ sugarPercent, cure }: { sugarPercent: number; cure: CureMix }, waterG: number, saltPercentOfBrine: number, target: NitriteTarget): Pickle =>
  pickle({ waterG, saltPercentOfBrine, sugarPercentOfBrine: sugarPercent, cure, target });

/**
 * A brine whose cure can be weighed: down to a step of its scale that stays under the limit even where the other lines are weighed half
 * a step short. So where floor and limit are one, as for a belly in the US, the sheet never leads over it. Further from the limit
 * nothing is changed, and nothing where a label says how much.
 */
function weighable(brine: SheetBrine, design: BatchDesign, meatG: number): SheetBrine {
  const step = design.cureScaleStepG;
  if (brine.cureG < step || isByTheClock(design.school) || design.dose !== undefined) return brine;
  const skinOn = design.pieces.some(({ section }) => section.closedSide !== undefined);
  const isRub = design.school.kind === 'dryRub';
  const method: NitriteMethod = isRub ? 'dry' : 'immersion';
  const limit = nitriteLimit(rulesOf(design.ruleSet, design.house), design.product, method, skinOn);
  const shareOf = isRub ? meatG : brine.id === 'brine' ? brine.brineG + meatG : brine.brineG;
  const halfSteps = isRub ? design.pieces.length / 2 : HALF_STEPS;
  const mostG = (brine.cureG * (limit / design.nitritePpm) * (shareOf - halfSteps * design.meatScaleStepG)) / shareOf;
  const nearestG = Math.round(brine.cureG / step) * step;
  if (design.nitritePpm > limit || Math.max(nearestG, brine.cureG) <= mostG) return brine;
  const weights = { waterG: brine.waterG, saltG: brine.saltG, sugarG: brine.sugarG, cureG: Number((Math.floor(mostG / step) * step).toFixed(6)) };
  return { ...brine, ...weights, brineG: brineWeight(weights) };
}

/** It goes the way of the nitrite: as much of it for each gram of that as of the meat's share. */
const acceleratorOf = ({ cureG }: SheetBrine, { acceleratorPpm = 0, nitritePpm, cure }: BatchDesign): Pick<SheetBrine, 'acceleratorG'> =>
  acceleratorPpm > 0 && nitritePpm > 0 ? { acceleratorG: (cureG * nitriteFraction(cure) * acceleratorPpm) / nitritePpm } : {};

/** Half a step each of water, salt and sugar. */
const HALF_STEPS = 1.5;

/** What a dose by its label, or a salt that is the whole salt, comes to: the salt and the nitrite that the batch is then planned for. */
export function doseAims(design: BatchDesign): Pick<BatchDesign, 'saltPercent' | 'nitritePpm'> {
  const { dose, cure, school } = design;
  if (dose === undefined) return { saltPercent: design.saltPercent, nitritePpm: design.nitritePpm };
  const meatG = design.pieces.reduce((g, { greenG }) => g + greenG, 0);
  const { waterG, saltG, cureG, sugarG } = dosed(design, dose, meatG);
  const allWaterG = waterG + (cureG * (cure.waterPercent ?? 0)) / 100;
  return {
    // What is pulled by the clock is not left until it is even: the salt that is wanted in it stands.
    saltPercent: isByTheClock(school) && dose.by === 'written' ? design.saltPercent : (saltG * 100 + cureG * cure.saltPercent) / (meatG + allWaterG),
    nitritePpm: ((cureG * nitriteFraction(cure)) / (school.kind === 'dryRub' ? meatG : meatG + waterG + saltG + sugarG + cureG)) * 1e6,
  };
}

/** The spices that go in: those of the recipe, unless the cook leaves them out. */
export const spicesOf = ({ usual }: Process, { withoutSpices = false }: BatchDesign): readonly Spice[] => (withoutSpices ? [] : (usual.spices ?? []));

/** One line of a brine or a rub, as it is to be weighed or was. */
export interface SheetLine {
  /** as the mixing step measures it */
  name: 'waterG' | 'saltG' | 'sugarG' | 'cureG' | 'acceleratorG' | `ownG${number}`;
  label: string;
  g: number;
  scale: 'meat' | 'cure';
}

/** Less than this nobody weighs, g. */
const NOTHING_G = 0.005;

/** The lines of a brine or a rub in the order of the work; what is not in it is no line. */
export function sheetLines(brine: SheetBrine, { lineNames = {}, cure, school }: BatchDesign): SheetLine[] {
  const hasOwnNames = brine.id !== 'pickle';
  const named = (name: 'saltG' | 'sugarG', usual: string): string => (hasOwnNames ? (lineNames[name] ?? usual) : usual);
  const lines: SheetLine[] = [
    { name: 'waterG', label: 'Water and ice', g: brine.waterG, scale: 'meat' },
    { name: 'saltG', label: named('saltG', 'Salt'), g: brine.saltG, scale: 'meat' },
    { name: 'sugarG', label: named('sugarG', 'Sugar'), g: brine.sugarG, scale: 'meat' },
    ...(brine.own ?? []).map((line, i): SheetLine => ({ name: `ownG${i + 1}`, label: line.name, g: line.g, scale: 'meat' })),
    { name: 'cureG', label: cure.name, g: brine.cureG, scale: 'cure' },
    { name: 'acceleratorG', label: 'Ascorbate or erythorbate', g: brine.acceleratorG ?? 0, scale: 'cure' },
  ];
  return lines.filter(({ name, g }) => (name === 'waterG' && school.kind !== 'dryRub' && brine.waterG > 0) || g > NOTHING_G);
}
