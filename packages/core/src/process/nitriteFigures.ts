import { InputError } from '../inputError.js';
import { judgeNitrite, type NitriteJudgement } from '../cure/judgeNitrite.js';
import { USUAL_PICK_UP_PERCENT } from '../cure/ingoingNitrite.js';
import { nitriteShare } from '../ingredients/cureMix.js';
import { exactly, minus, over, plus, scaled, times, weighed, type Measured } from '../units/measured.js';
import type { BatchDesign } from './batchDesign.js';
import { sum, type BatchFacts, type BrineId, type SheetBrine } from './batchFacts.js';
import { inWorking, type Figure } from './figure.js';

const SOURCE = 'FSIS Processing Inspectors’ Calculations Handbook, Directive 7620.3; value from memory';

/** Figures that differ by less are the same figure, ppm. */
const ROUNDING_PPM = 1e-6;

/** The ingoing nitrite of a batch by every method that bears on it. */
export interface NitriteFigures {
  /** the figure that is judged */
  applies: Figure;
  judgement: NitriteJudgement;
  /** why this one applies */
  because: string;
  /** the other figures, which bound it */
  others: Figure[];
  /** the lowest piece by the pumped method, where pieces are pumped */
  lowestPumped: Figure | null;
}

/** Which figure is judged, and what bounds it (handbook part 7). */
export function nitriteFigures(design: BatchDesign, facts: BatchFacts): NitriteFigures {
  return design.school.kind === 'equilibrium' ? equilibriumFigures(design, facts) : pumpAndCoverFigures(design, facts, design.school);
}

function equilibriumFigures(design: BatchDesign, facts: BatchFacts): NitriteFigures {
  const brine = brineDoubt(design, facts, 'brine');
  const meat = meatDoubt(design, facts);
  const even = evenFigure(brine.nitrite, plus(meat, brine.all));
  const pickUp = pickUpPercent(facts);
  const early: Figure = {
    ...scaled(times(over(brine.nitrite, brine.all), exactly(pickUp.percent / 100)), 1e6),
    id: 'nitrite-pick-up',
    label: pickUp.weighed ? `By the pick-up method, ${inWorking(Number(pickUp.percent.toFixed(1)))} % weighed` : 'At least, if pulled before it is even',
    unit: 'ppm',
    base: 'of green weight, by pick-up',
    formula: 'nitrite ÷ brine × pick-up × 1 000 000',
    working: `${inWorking(brine.nitrite.value)} g ÷ ${inWorking(brine.all.value)} g × ${inWorking(pickUp.percent)} % × 1 000 000`,
    source: SOURCE,
  };
  return {
    applies: even,
    judgement: judged(design, even.value, 'immersion'),
    because: 'It lies in the brine until meat and brine are even, so everything in the tub is counted.',
    others: [early],
    lowestPumped: null,
  };
}

function pumpAndCoverFigures(design: BatchDesign, facts: BatchFacts, school: Extract<BatchDesign['school'], { kind: 'pumpAndCover' }>): NitriteFigures {
  const pickle = brineDoubt(design, facts, 'pickle');
  const cover = brineDoubt(design, facts, 'cover');
  const perG = over(pickle.nitrite, pickle.all);
  const pieces = design.pieces.map(({ code }) => ({ code, share: pumpedShare(design, facts, school, code) }));
  const injected = pieces.map(({ code, share }) => times(share, weighed(facts.greenG[code] ?? 0, design.meatScaleStepG)));
  const allInjected = plus(...injected);
  const even = evenFigure(plus(times(perG, allInjected), cover.nitrite), plus(meatDoubt(design, facts), allInjected, cover.all));
  const pumped = pieces.map(({ code, share }) => pumpedFigure(perG, pickle, share, pieces.length > 1 ? code : null));
  const highest = pumped.reduce((a, b) => (b.value > a.value ? b : a));
  const lowest = pumped.reduce((a, b) => (b.value < a.value ? b : a));
  const pumpedDecides = highest.value >= even.value - ROUNDING_PPM;
  const applies = pumpedDecides ? highest : even;
  return {
    applies,
    judgement: judged(design, applies.value, pumpedDecides ? 'pumped' : 'immersion'),
    because: pumpedDecides
      ? 'What the needle put in is no less than an even share of everything would be, so the pumped figure is judged.'
      : 'It lies in the cover until even, and that comes to more than the needle put in, so the even figure is judged.',
    others: [pumpedDecides ? even : highest],
    lowestPumped: lowest,
  };
}

function judged(design: BatchDesign, ppm: number, method: 'pumped' | 'immersion'): NitriteJudgement {
  return judgeNitrite({ ppm, product: design.product, ruleSet: design.ruleSet, method });
}

function evenFigure(nitrite: Measured, everything: Measured): Figure {
  return {
    ...scaled(over(nitrite, everything), 1e6),
    id: 'nitrite-even',
    label: 'If left until even',
    unit: 'ppm',
    base: 'of meat and brine together',
    formula: 'nitrite × 1 000 000 ÷ (meat + brine)',
    working: `${inWorking(nitrite.value)} g × 1 000 000 ÷ ${inWorking(everything.value)} g`,
    source: SOURCE,
  };
}

function pumpedFigure(perG: Measured, pickle: BrineDoubt, share: Measured, code: string | null): Figure {
  return {
    ...scaled(times(perG, share), 1e6),
    id: 'nitrite-pumped',
    label: code === null ? 'From the pump' : `From the pump, piece ${code}`,
    unit: 'ppm',
    base: 'of green weight',
    formula: 'nitrite ÷ pickle × pump % × 1 000 000',
    working: `${inWorking(pickle.nitrite.value)} g ÷ ${inWorking(pickle.all.value)} g × ${inWorking(share.value * 100)} % × 1 000 000`,
    source: SOURCE,
  };
}

/** What was pumped into a piece so far plus what is still planned, as a share of its green weight. */
export function pumpedShare(design: BatchDesign, facts: BatchFacts, school: Extract<BatchDesign['school'], { kind: 'pumpAndCover' }>, code: string): Measured {
  const pumpings = facts.pumpings[code] ?? [];
  if (pumpings.length === 0) return exactly((school.pumpPercent + (facts.repumpOpen ? school.repumpPercent : 0)) / 100);
  const step = design.meatScaleStepG;
  const gained = pumpings.map(({ beforeG, pumpedG }) => minus(weighed(pumpedG, step), weighed(beforeG, step)));
  if (pumpings.some(({ beforeG, pumpedG }) => pumpedG < beforeG)) {
    throw new InputError(`greenG:${code}`, `Piece ${code} would weigh less after pumping than before it. Look at both weights.`);
  }
  const done = over(plus(...gained), weighed(facts.greenG[code] ?? 0, step));
  const planned = facts.repumpOpen ? exactly(school.repumpPercent / 100) : exactly(0);
  const share = plus(done, planned);
  return { ...share, low: Math.max(0, share.low) };
}

interface BrineDoubt {
  all: Measured;
  nitrite: Measured;
}

/** A brine's weight and its nitrite with the doubt of the two scales. */
function brineDoubt(design: BatchDesign, facts: BatchFacts, id: BrineId): BrineDoubt {
  const brine = facts.brines.find((candidate): candidate is SheetBrine => candidate.id === id);
  if (brine === undefined) throw new Error(`no ${id} in this batch`);
  const cure = weighed(brine.cureG, design.cureScaleStepG);
  const step = design.meatScaleStepG;
  const all = plus(weighed(brine.waterG, step), weighed(brine.saltG, step), weighed(brine.sugarG, step), cure);
  return { all, nitrite: scaled(cure, nitriteShare(design.cure)) };
}

const meatDoubt = (design: BatchDesign, facts: BatchFacts): Measured => plus(...Object.values(facts.greenG).map((g) => weighed(g, design.meatScaleStepG)));

function pickUpPercent(facts: BatchFacts): { percent: number; weighed: boolean } {
  const green = sum(facts.greenG);
  const pulled = sum(facts.pulledG);
  const all = Object.keys(facts.pulledG).length === Object.keys(facts.greenG).length;
  if (!all || pulled <= green) return { percent: USUAL_PICK_UP_PERCENT, weighed: false };
  return { percent: ((pulled - green) / green) * 100, weighed: true };
}
