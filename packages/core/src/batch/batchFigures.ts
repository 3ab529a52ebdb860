import { brineDensity } from '../brine/brineDensity.js';
import { brineStrength } from '../brine/brineStrength.js';
import type { NitriteFigures } from '../cure/nitriteFigure.js';
import { saltPercentToSalometer } from '../brine/salometer.js';
import { pumpPlan, type PumpPlan } from '../pump/pumpPlan.js';
import { over, plus, scaled, weighed, type Measured } from '../units/measured.js';
import type { BatchDesign } from '../log/batchDesign.js';
import { inBrine, sum, type BatchFacts, type SheetBrine } from './batchFacts.js';
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
    brines: facts.brines.map((brine) => brineFigures(design, brine)),
    salt: saltAtTheEnd(design, facts),
    pump: pumpFigures(design, facts),
    yield: yieldFigure(design, facts),
  };
}

function brineFigures(design: BatchDesign, brine: SheetBrine): BrineFigures {
  const { brineSaltPercent } = brineStrength(brine, design.cure);
  const step = design.meatScaleStepG;
  const salt = plus(weighed(brine.saltG, step), scaled(weighed(brine.cureG, design.cureScaleStepG), design.cure.saltPercent / 100));
  const all = plus(weighed(brine.waterG, step), weighed(brine.sugarG, step), weighed(brine.saltG, step), weighed(brine.cureG, design.cureScaleStepG));
  const doubt = scaled(over(salt, all), 100);
  return {
    brine,
    salometer: saltPercentToSalometer(brineSaltPercent),
    strength: asFigure(
      { ...doubt, value: brineSaltPercent },
      {
        id: `strength-${brine.id}`,
        label: figureSays(`fig-strength-${brine.id}`),
        unit: '%',
        base: figureSays('of-brine-by-weight'),
        formula: figureSays('by-strength'),
        working: figureSays('sum-percent', { partG: salt.value, allG: all.value }),
        source: STRENGTH_SOURCE,
      },
    ),
  };
}

function saltAtTheEnd(design: BatchDesign, facts: BatchFacts): Figure {
  const meat = sum(facts.greenG);
  let salt = 0;
  let water = 0;
  for (const brine of facts.brines) {
    const used = brine.id === 'pickle' ? injectedG(design, facts) / brine.brineG : 1;
    salt += used * (brine.saltG + (brine.cureG * design.cure.saltPercent) / 100);
    water += used * brine.waterG;
  }
  const halfSteps = (design.meatScaleStepG / 2) * (facts.brines.length + 1);
  const value = (salt / (meat + water)) * 100;
  const spread: Measured = { value, low: ((salt - halfSteps) / (meat + water)) * 100, high: ((salt + halfSteps) / (meat + water)) * 100 };
  return asFigure(
    { ...spread, low: Math.max(0, spread.low) },
    {
      id: 'salt-even',
      label: figureSays('fig-salt-even'),
      unit: '%',
      base: figureSays('of-meat-and-water'),
      formula: figureSays('by-salt-even'),
      working: figureSays('sum-percent-of-two', { partG: salt, meatG: meat, waterG: water }),
      source: SALT_SOURCE,
    },
  );
}

function injectedG(design: BatchDesign, facts: BatchFacts): number {
  const { school } = design;
  if (school.kind !== 'pumpAndCover') return 0;
  return inBrine(design.pieces, facts).reduce((g, { code }) => g + pumpedShare(design, facts, school, code).value * (facts.greenG[code] ?? 0), 0);
}

function pumpFigures(design: BatchDesign, facts: BatchFacts): PiecePump[] {
  const { school } = design;
  const pickle = facts.brines.find((brine) => brine.id === 'pickle');
  if (school.kind !== 'pumpAndCover' || pickle === undefined) return [];
  const saltPercent = brineStrength(pickle, design.cure).brineSaltPercent;
  const density = brineDensity({ saltPercent, sugarPercent: (pickle.sugarG / pickle.brineG) * 100, temperatureC: 4 });
  return inBrine(design.pieces, facts).map((piece) => {
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
      percent: asFigure(scaled(share, 100), {
        id: `pump-${piece.code}`,
        label: figureSays('fig-pump-piece', { piece: piece.code }),
        unit: '%',
        base: figureSays('of-green'),
        formula: figureSays(pumpings.length > 0 ? 'by-pumped' : 'by-pump-plan'),
        working: pumpSum(pumpings.length > 0, { gained, greenG, repumpOpen: facts.repumpOpen, school }),
        source: 'FSIS Processing Inspectors’ Calculations Handbook; value from memory',
      }),
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
  if (facts.packedG === null) return null;
  const green = plus(...Object.values(facts.keptGreenG).map((g) => weighed(g, design.meatScaleStepG)));
  return asFigure(scaled(over(weighed(facts.packedG, design.meatScaleStepG), green), 100), {
    id: 'yield',
    label: figureSays('fig-packed'),
    unit: '%',
    base: figureSays('of-green'),
    formula: figureSays('by-yield'),
    working: figureSays('sum-percent', { partG: facts.packedG, allG: green.value }),
    source: 'Definition',
  });
}
