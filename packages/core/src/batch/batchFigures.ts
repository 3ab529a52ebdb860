import { brineDensity } from '../brine/brineDensity.js';
import { brineStrength, type BrineWeights } from '../brine/brineStrength.js';
import type { NitriteFigures } from '../cure/nitriteFigure.js';
import { saltPercentToSalometer } from '../brine/salometer.js';
import { pumpPlan, type PumpPlan } from '../pump/pumpPlan.js';
import { over, plus, scaled, weighed, type Measured } from '../units/measured.js';
import type { BatchDesign } from '../log/batchDesign.js';
import { inBrine, judgedIn, sum, type BatchFacts } from './batchFacts.js';
import { isPumped } from './design.js';
import { needleBrine, ownOf, type SheetBrine } from './mixingSheet.js';
import { figureSays } from '../say/english/figures.js';
import type { Message } from '../say/message.js';
import { asFigure, SALT_SOURCE, STRENGTH_SOURCE, type Figure } from '../units/figure.js';
import { nitriteFigures, pumpedShare } from './nitriteFigures.js';

export interface BrineFigures {
  brine: SheetBrine;
  /** % w/w of the brine */
  strength: Figure;
  /** degrees of the salt alone */
  salometer: number;
}

export interface PiecePump {
  code: string;
  plan: PumpPlan;
  /** done so far and still planned, % of green */
  percent: Figure;
  /** true once it was weighed */
  weighed: boolean;
}

/** Every figure of a batch, derived from its design and its facts. */
export interface BatchFigures {
  nitrite: NitriteFigures;
  brines: BrineFigures[];
  /** salt at the end on meat + water, % */
  salt: Figure;
  pump: PiecePump[];
  /** packed weight, % of green */
  yield: Figure | null;
}

/** @throws InputError when the design contradicts itself */
export function batchFigures(design: BatchDesign, facts: BatchFacts): BatchFigures {
  return {
    nitrite: nitriteFigures(design, facts),
    brines: facts.brines.filter(isWet(design)).map((brine) => brineFigures(design, brine)),
    salt: saltAtTheEnd(design, facts),
    pump: pumpFigures(design, facts),
    yield: yieldFigure(design, facts),
  };
}

/** What is rubbed on dry has no strength. */
const isWet =
  ({ cure }: BatchDesign) =>
  (brine: SheetBrine): boolean =>
    brine.waterG + ownOf(brine, 'waterPercent') + (brine.cureG * (cure.waterPercent ?? 0)) / 100 > 0;

/** The weights with what the cook's own lines are made of among them; what has no effect counts as weight alone. */
function withOwn(brine: SheetBrine): BrineWeights {
  const { waterG, saltG, sugarG, cureG, own = [] } = brine;
  if (own.length === 0) return { waterG, saltG, sugarG, cureG };
  const [ownSaltG, ownWaterG] = [ownOf(brine, 'saltPercent'), ownOf(brine, 'waterPercent')];
  const restG = own.reduce((g, line) => g + line.g, 0) - ownSaltG - ownWaterG;
  return { waterG: waterG + ownWaterG, saltG: saltG + ownSaltG, sugarG: sugarG + restG, cureG };
}

function brineFigures(design: BatchDesign, brine: SheetBrine): BrineFigures {
  const { brineSaltPercent } = brineStrength(withOwn(brine), design.cure);
  const step = design.meatScaleStepG;
  const { saltG, waterG, sugarG } = withOwn(brine);
  const salt = plus(weighed(saltG, step), scaled(weighed(brine.cureG, design.cureScaleStepG), design.cure.saltPercent / 100));
  const all = plus(weighed(waterG, step), weighed(sugarG, step), weighed(saltG, step), weighed(brine.cureG, design.cureScaleStepG));
  const doubt = scaled(over(salt, all), 100);
  return {
    brine,
    salometer: saltPercentToSalometer(brineSaltPercent),
    strength: asFigure({ ...doubt, value: brineSaltPercent }, { id: `strength-${brine.id}`, unit: '%', source: STRENGTH_SOURCE }, () => ({
      label: figureSays(`fig-strength-${brine.id}`),
      base: figureSays('of-brine-by-weight'),
      formula: figureSays('by-strength'),
      working: figureSays('sum-percent', { partG: salt.value, allG: all.value }),
    })),
  };
}

function saltAtTheEnd(design: BatchDesign, facts: BatchFacts): Figure {
  const meat = sum(facts.greenG);
  let salt = 0;
  let water = 0;
  for (const brine of facts.brines) {
    const used = brine.id === 'pickle' ? injectedG(design, facts) / brine.brineG : 1;
    salt += used * (brine.saltG + ownOf(brine, 'saltPercent') + (brine.cureG * design.cure.saltPercent) / 100);
    water += used * (brine.waterG + ownOf(brine, 'waterPercent') + (brine.cureG * (design.cure.waterPercent ?? 0)) / 100);
  }
  const halfSteps = (design.meatScaleStepG / 2) * (facts.brines.length + 1);
  const value = (salt / (meat + water)) * 100;
  const spread: Measured = { value, low: ((salt - halfSteps) / (meat + water)) * 100, high: ((salt + halfSteps) / (meat + water)) * 100 };
  return asFigure({ ...spread, low: Math.max(0, spread.low) }, { id: 'salt-even', unit: '%', source: SALT_SOURCE }, () => ({
    label: figureSays('fig-salt-even'),
    base: figureSays('of-meat-and-water'),
    formula: figureSays('by-salt-even'),
    working: figureSays('sum-percent-of-two', { partG: salt, meatG: meat, waterG: water }),
  }));
}

/** All that the needle put in so far and is still to put in, g. */
export function injectedG(design: BatchDesign, facts: BatchFacts): number {
  const { school } = design;
  if (!isPumped(school)) return 0;
  return inBrine(design.pieces, facts).reduce((g, { code }) => g + pumpedShare(design, facts, school, code).value * (facts.greenG[code] ?? 0), 0);
}

function pumpFigures(design: BatchDesign, facts: BatchFacts): PiecePump[] {
  const { school } = design;
  const pickle = needleBrine(facts.brines, school);
  if (!isPumped(school) || pickle === undefined) return [];
  const saltPercent = brineStrength(withOwn(pickle), design.cure).brineSaltPercent;
  const sugarG = pickle.sugarG + ownOf(pickle, 'sugarPercent') + (pickle.cureG * (design.cure.sugarPercent ?? 0)) / 100;
  const density = brineDensity({ saltPercent, sugarPercent: (sugarG / pickle.brineG) * 100, temperatureC: 4 });
  return judgedIn(design.pieces, facts).map((piece) => {
    const greenG = facts.greenG[piece.code] ?? piece.greenG;
    const share = pumpedShare(design, facts, school, piece.code);
    const pumpings = facts.pumpings[piece.code] ?? [];
    const gained = pumpings.reduce((g, p) => g + p.pumpedG - p.beforeG, 0);
    return {
      code: piece.code,
      weighed: pumpings.length > 0,
      plan: pumpPlan({
        greenG,
        pumpPercent: school.pumpPercent,
        brineDensity: density,
        syringeML: school.syringeML,
        spacingMm: school.spacingMm,
        section: piece.section,
        lengthMm: piece.lengthMm,
      }),
      percent: asFigure(
        scaled(share, 100),
        { id: `pump-${piece.code}`, unit: '%', source: 'FSIS Processing Inspectors’ Calculations Handbook; value from memory' },
        () => ({
          label: figureSays('fig-pump-piece', { piece: piece.code }),
          base: figureSays('of-green'),
          formula: figureSays(pumpings.length > 0 ? 'by-pumped' : 'by-pump-plan'),
          working: pumpSum(pumpings.length > 0, { gained, greenG, repumpOpen: facts.repumpOpen, school }),
        }),
      ),
    };
  });
}

function pumpSum(
  isWeighed: boolean,
  { gained, greenG, repumpOpen, school }: { gained: number; greenG: number; repumpOpen: boolean; school: { pumpPercent: number; repumpPercent: number } },
): Message {
  if (!isWeighed) return figureSays('sum-pump-plan', { pump: school.pumpPercent, repump: school.repumpPercent });
  const took = { partG: gained, allG: greenG };
  return repumpOpen ? figureSays('sum-percent-open', { ...took, repump: school.repumpPercent }) : figureSays('sum-percent', took);
}

function yieldFigure(design: BatchDesign, facts: BatchFacts): Figure | null {
  const { packedG } = facts;
  if (packedG === null) return null;
  const green = plus(...Object.values(facts.keptGreenG).map((g) => weighed(g, design.meatScaleStepG)));
  return asFigure(scaled(over(weighed(packedG, design.meatScaleStepG), green), 100), { id: 'yield', unit: '%', source: 'Definition' }, () => ({
    label: figureSays('fig-packed'),
    base: figureSays('of-green'),
    formula: figureSays('by-yield'),
    working: figureSays('sum-percent', { partG: packedG, allG: green.value }),
  }));
}
