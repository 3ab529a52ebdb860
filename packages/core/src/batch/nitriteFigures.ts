import { InputError } from '../inputError.js';
import { judgeNitrite, type NitriteJudgement } from '../cure/judgeNitrite.js';
import { USUAL_PICK_UP_PERCENT } from '../cure/ingoingNitrite.js';
import { evenFigure, pickUpFigure, pumpedFigure, type NitriteFigures, type NitriteInBrine } from '../cure/nitriteFigure.js';
import { nitriteFraction } from '../ingredients/cureMix.js';
import { exactly, minus, over, plus, scaled, times, weighed, type Measured } from '../units/measured.js';
import { atPull, coveredFigure } from './nitriteAtPull.js';
import { HANDBOOK_RATES, USUAL_RATES } from '../section/uptake.js';
import { isByTheClock } from './design.js';
import type { BatchDesign } from '../log/batchDesign.js';
import type { BrineId } from '../steps/brine.js';
import { inBrine, sum, type BatchFacts, type SheetBrine } from './batchFacts.js';
import { because } from '../cure/nitriteFigure.js';
import { figureSays } from '../say/english/figures.js';
import { inputSays } from '../say/english/inputs.js';

/** Figures that differ by less are the same figure, ppm. */
const ROUNDING_PPM = 1e-6;

/** Which figure is judged, and what bounds it (docs/science.md, “Ingoing nitrite”). */
export function nitriteFigures(design: BatchDesign, facts: BatchFacts): NitriteFigures {
  if (isByTheClock(design.school)) return clockFigures(design, facts);
  return design.school.kind === 'equilibrium' ? equilibriumFigures(design, facts) : pumpAndCoverFigures(design, facts, design.school);
}

/** Pulled by the clock: the pick-up, or the most that the model says has gone in by then, whichever is more; if left until even beside it. */
function clockFigures(design: BatchDesign, facts: BatchFacts): NitriteFigures {
  const brine = brineDoubt(design, facts, 'brine');
  const meat = meatDoubt(design, facts);
  const even = evenFigure(brine.nitrite, plus(meat, brine.brine));
  const pickUp = pickUpPercent(facts);
  const byPickUp = pickUpFigure(
    brine,
    pickUp.percent,
    pickUp.weighed ? figureSays('fig-pick-up-weighed', { percent: pickUp.percent }) : figureSays('fig-pick-up-taken', { percent: USUAL_PICK_UP_PERCENT }),
  );
  const pieces = inBrine(design.pieces, facts);
  const atPulls = (pieces.length > 0 ? pieces : design.pieces).map((piece) =>
    atPull(
      { ...piece, massG: facts.greenG[piece.code] ?? piece.greenG },
      facts.lyingH,
      { nitrite: brine.nitrite, all: brine.brine },
      meat,
      design.diffusivity ?? USUAL_RATES,
    ),
  );
  const model = atPulls.reduce((a, b) => (b.value > a.value ? b : a));
  const modelDecides = model.value > byPickUp.value;
  const applies = modelDecides ? model : byPickUp;
  return {
    applies,
    judgement: judged(design, applies.value, 'immersion'),
    ...because(figureSays(modelDecides ? 'because-clock-model' : 'because-clock')),
    others: [modelDecides ? byPickUp : model, even],
    lowestPumped: null,
  };
}

function equilibriumFigures(design: BatchDesign, facts: BatchFacts): NitriteFigures {
  const brine = brineDoubt(design, facts, 'brine');
  const meat = meatDoubt(design, facts);
  const even = evenFigure(brine.nitrite, plus(meat, brine.brine));
  const pickUp = pickUpPercent(facts);
  const early = pickUpFigure(
    brine,
    pickUp.percent,
    pickUp.weighed ? figureSays('fig-pick-up-weighed', { percent: pickUp.percent }) : figureSays('fig-pick-up-least'),
  );
  return {
    applies: even,
    judgement: judged(design, even.value, 'immersion'),
    ...because(figureSays('because-even')),
    others: [early],
    lowestPumped: null,
  };
}

function pumpAndCoverFigures(design: BatchDesign, facts: BatchFacts, school: Extract<BatchDesign['school'], { kind: 'pumpAndCover' }>): NitriteFigures {
  const pickle = brineDoubt(design, facts, 'pickle');
  const cover = brineDoubt(design, facts, 'cover');
  const perG = over(pickle.nitrite, pickle.brine);
  const pieces = inBrine(design.pieces, facts).map(({ code }) => ({ code, share: pumpedShare(design, facts, school, code) }));
  const injected = pieces.map(({ code, share }) => times(share, weighed(facts.greenG[code] ?? 0, design.meatScaleStepG)));
  const allInjected = plus(...injected);
  const even = evenFigure(plus(times(perG, allInjected), cover.nitrite), plus(meatDoubt(design, facts), allInjected, cover.brine));
  const pumped: NonNullable<NitriteFigures['lowestPumped']>[] = pieces.map(({ code, share }) =>
    pieces.length > 1 ? { ...pumpedFigure(pickle, share, figureSays('fig-from-pump-piece', { piece: code })), piece: code } : pumpedFigure(pickle, share),
  );
  const highest = pumped.reduce((a, b) => (b.value > a.value ? b : a));
  const lowest = pumped.reduce((a, b) => (b.value < a.value ? b : a));
  const covered = inBrine(design.pieces, facts).map((piece, i) =>
    coveredFigure(
      { ...piece, massG: facts.greenG[piece.code] ?? piece.greenG },
      facts.lyingH,
      { pickle, share: pieces[i]?.share ?? exactly(0) },
      { cover, meat: plus(meatDoubt(design, facts), allInjected) },
      design.diffusivity ?? HANDBOOK_RATES,
      pieces.length > 1 ? piece.code : undefined,
    ),
  );
  const most = covered.reduce((a, b) => (b.value > a.value ? b : a), highest);
  const pumpedDecides = highest.value >= most.value - ROUNDING_PPM;
  const applies = pumpedDecides ? highest : most;
  return {
    applies,
    judgement: judged(design, applies.value, pumpedDecides ? 'pumped' : 'immersion'),
    ...because(figureSays(pumpedDecides ? 'because-cover-less' : 'because-cover-more')),
    others: [even, ...(pumpedDecides ? [] : [highest])],
    lowestPumped: lowest,
  };
}

function judged(design: BatchDesign, ppm: number, method: 'pumped' | 'immersion'): NitriteJudgement {
  const { product, ruleSet, house, pieces } = design;
  // Skin takes nothing up: where some is left on, the limit of the whole weight is lower.
  const skinOn = pieces.some(({ section }) => section.closedSide !== undefined);
  return judgeNitrite({ ppm, product, ruleSet, method, skinOn, ...(house === undefined ? {} : { house }) });
}

/** What was pumped into a piece so far plus what is still planned, as a share of its green weight. */
export function pumpedShare(design: BatchDesign, facts: BatchFacts, school: Extract<BatchDesign['school'], { kind: 'pumpAndCover' }>, code: string): Measured {
  const pumpings = facts.pumpings[code] ?? [];
  if (pumpings.length === 0) return exactly((school.pumpPercent + (facts.repumpOpen ? school.repumpPercent : 0)) / 100);
  const step = design.meatScaleStepG;
  const gained = pumpings.map(({ beforeG, pumpedG }) => minus(weighed(pumpedG, step), weighed(beforeG, step)));
  if (pumpings.some(({ beforeG, pumpedG }) => pumpedG < beforeG)) {
    throw new InputError(`greenG:${code}`, inputSays('pumped-lighter', { piece: code }));
  }
  const done = over(plus(...gained), weighed(facts.greenG[code] ?? 0, step));
  const planned = facts.repumpOpen ? exactly(school.repumpPercent / 100) : exactly(0);
  const share = plus(done, planned);
  return { ...share, low: Math.max(0, share.low) };
}

/** A brine's weight and its nitrite with the doubt of the two scales. */
function brineDoubt(design: BatchDesign, facts: BatchFacts, id: BrineId): NitriteInBrine {
  const brine = facts.brines.find((candidate): candidate is SheetBrine => candidate.id === id);
  if (brine === undefined) throw new Error(`no ${id} in this batch`);
  const cure = weighed(brine.cureG, design.cureScaleStepG);
  const step = design.meatScaleStepG;
  const all = plus(weighed(brine.waterG, step), weighed(brine.saltG, step), weighed(brine.sugarG, step), cure);
  return { brine: all, nitrite: scaled(cure, nitriteFraction(design.cure)) };
}

const meatDoubt = (design: BatchDesign, facts: BatchFacts): Measured =>
  plus(...Object.values(facts.greenG).map((g) => weighed(g, design.meatScaleStepG)), exactly(facts.carriedOffG));

function pickUpPercent(facts: BatchFacts): { percent: number; weighed: boolean } {
  const green = sum(facts.greenG);
  const pulled = sum(facts.pulledG);
  const all = Object.keys(facts.pulledG).length === Object.keys(facts.greenG).length;
  if (!all || pulled <= green) return { percent: USUAL_PICK_UP_PERCENT, weighed: false };
  return { percent: ((pulled - green) / green) * 100, weighed: true };
}
