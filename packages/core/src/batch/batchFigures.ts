import { brineDensity } from '../brine/brineDensity.js';
import { brineStrength } from '../brine/brineStrength.js';
import type { NitriteFigures } from '../cure/nitriteFigure.js';
import { saltPercentToSalometer } from '../brine/salometer.js';
import { pumpPlan, type PumpPlan } from '../pump/pumpPlan.js';
import { over, plus, scaled, weighed, type Measured } from '../units/measured.js';
import type { BatchDesign } from '../log/batchDesign.js';
import { BRINE_NAMES, inBrine, sum, type BatchFacts, type SheetBrine } from './batchFacts.js';
import { inWorking, type Figure } from '../units/figure.js';
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
    strength: {
      ...doubt,
      value: brineSaltPercent,
      id: `strength-${brine.id}`,
      label: `${BRINE_NAMES[brine.id]} strength`,
      unit: '%',
      base: 'of the brine, by weight; the salt in the cure is counted',
      formula: '(salt + salt in the cure) ÷ everything in the brine × 100',
      working: `${inWorking(salt.value)} g ÷ ${inWorking(all.value)} g × 100`,
      source: 'Definition. 100 ° salometer is 26.395 % salt at 15.6 °C, salometer tables; value from memory',
    },
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
  return {
    ...spread,
    low: Math.max(0, spread.low),
    id: 'salt-even',
    label: 'Salt when even',
    unit: '%',
    base: 'of meat and water together; the salt in the cure is counted',
    formula: 'all salt that stays ÷ (meat + water) × 100',
    working: `${inWorking(salt)} g ÷ (${inWorking(meat)} g + ${inWorking(water)} g) × 100`,
    source: 'Mass balance. Under 1.5 % tastes bland, 2 to 2.5 % is usual, over 3 % salty: common practice',
  };
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
      percent: {
        ...scaled(share, 100),
        id: `pump-${piece.code}`,
        label: `Pump, piece ${piece.code}`,
        unit: '%',
        base: 'of green weight',
        formula: pumpings.length > 0 ? '(weight after − weight before) ÷ green weight × 100' : 'first pump + re-pump, as planned',
        working:
          pumpings.length > 0
            ? `${inWorking(gained)} g ÷ ${inWorking(greenG)} g × 100${facts.repumpOpen ? ` + ${school.repumpPercent} % still planned` : ''}`
            : `${school.pumpPercent} % + ${school.repumpPercent} %`,
        source: 'FSIS Processing Inspectors’ Calculations Handbook; value from memory',
      },
    };
  });
}

function yieldFigure(design: BatchDesign, facts: BatchFacts): Figure | null {
  if (facts.packedG === null) return null;
  const green = plus(...Object.values(facts.keptGreenG).map((g) => weighed(g, design.meatScaleStepG)));
  return {
    ...scaled(over(weighed(facts.packedG, design.meatScaleStepG), green), 100),
    id: 'yield',
    label: 'Packed',
    unit: '%',
    base: 'of green weight',
    formula: 'packed weight ÷ green weight × 100',
    working: `${inWorking(facts.packedG)} g ÷ ${inWorking(green.value)} g × 100`,
    source: 'Definition',
  };
}
