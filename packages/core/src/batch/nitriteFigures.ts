import { InputError } from '../inputError.js';
import { judgeNitrite, type NitriteJudgement } from '../cure/judgeNitrite.js';
import { USUAL_PICK_UP_PERCENT } from '../cure/ingoingNitrite.js';
import { dryFigure, evenFigure, pickUpFigure, pumpedFigure, type NitriteFigures, type NitriteInBrine } from '../cure/nitriteFigure.js';
import { nitriteFraction } from '../ingredients/cureMix.js';
import { exactly, minus, over, plus, scaled, times, weighed, type Measured } from '../units/measured.js';
import { atPull, coveredFigure } from './nitriteAtPull.js';
import { HANDBOOK_RATES, USUAL_RATES } from '../section/uptake.js';
import { isByTheClock, isPumped } from './design.js';
import type { BatchDesign, Piece, PumpedSchool } from '../log/batchDesign.js';
import type { BrineId } from '../steps/brine.js';
import { inBrine, judgedIn, sum, type BatchFacts } from './batchFacts.js';
import type { SheetBrine } from './mixingSheet.js';
import type { NitriteMethod } from '../cure/ruleSet.js';
import { because } from '../cure/nitriteFigure.js';
import { figureSays } from '../say/english/figures.js';
import { inputSays } from '../say/english/inputs.js';

/** Figures that differ by less are the same figure, ppm. */
const ROUNDING_PPM = 1e-6;

/** Which figure is judged, and what bounds it (docs/science.md, “Ingoing nitrite”). */
export function nitriteFigures(design: BatchDesign, facts: BatchFacts): NitriteFigures {
  const { school } = design;
  if (isPumped(school)) return pumpedFigures(design, facts, school);
  if (school.kind === 'dryRub') return dryFigures(design, facts);
  return isByTheClock(school) ? clockFigures(design, facts) : equilibriumFigures(design, facts);
}

/** Rubbed on: all of it counts against the meat. */
function dryFigures(design: BatchDesign, facts: BatchFacts): NitriteFigures {
  const rubbed = dryFigure(brineDoubt(design, facts, 'brine').nitrite, meatDoubt(design, facts));
  return { applies: rubbed, judgement: judged(design, rubbed.value, 'dry'), ...because(figureSays('because-rubbed-on')), others: [], lowestPumped: null };
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
  const pieces = judgedIn(design.pieces, facts);
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

/** A needle, and what lies around the meat: a cover of its own, or what the needle left of the same brine. */
function pumpedFigures(design: BatchDesign, facts: BatchFacts, school: PumpedSchool): NitriteFigures {
  const isOne = school.kind === 'pumpSame';
  const pickle = brineDoubt(design, facts, isOne ? 'brine' : 'pickle');
  const perG = over(pickle.nitrite, pickle.brine);
  const shareOf = ({ code }: Piece) => ({ code, share: pumpedShare(design, facts, school, code) });
  const pieces = judgedIn(design.pieces, facts).map(shareOf);
  // The brine was for those that left, too.
  const injected = inBrine(design.pieces, facts)
    .map(shareOf)
    .map(({ code, share }) => times(share, weighed(facts.greenG[code] ?? 0, design.meatScaleStepG)));
  const allInjected = plus(...injected);
  const cover = isOne ? leftOf(pickle, allInjected) : brineDoubt(design, facts, 'cover');
  const even = evenFigure(plus(times(perG, allInjected), cover.nitrite), plus(meatDoubt(design, facts), allInjected, cover.brine));
  const pumped: NonNullable<NitriteFigures['lowestPumped']>[] = pieces.map(({ code, share }) =>
    pieces.length > 1
      ? Object.assign(pumpedFigure(pickle, share, figureSays('fig-from-pump-piece', { piece: code })), { piece: code })
      : pumpedFigure(pickle, share),
  );
  const highest = pumped.reduce((a, b) => (b.value > a.value ? b : a));
  const lowest = pumped.reduce((a, b) => (b.value < a.value ? b : a));
  const covered = judgedIn(design.pieces, facts).map((piece, i) =>
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

/** What is left around the meat of the brine that the needle took from: as strong, and so much less. */
function leftOf({ nitrite, brine }: NitriteInBrine, taken: Measured): NitriteInBrine {
  const leastG = LEAST_LEFT * brine.value;
  const left = (g: number) => Math.max(leastG, g);
  const share = left(brine.value - taken.value) / brine.value;
  const rest: Measured = { value: left(brine.value - taken.value), low: left(brine.low - taken.high), high: left(brine.high - taken.low) };
  return { nitrite: scaled(nitrite, share), brine: rest };
}

/** More than there is cannot be pumped: what is weighed says it, and a hundredth is counted as left [M]. */
const LEAST_LEFT = 0.01;

function judged(design: BatchDesign, ppm: number, method: NitriteMethod): NitriteJudgement {
  const { product, ruleSet, house, pieces } = design;
  // Skin takes nothing up: where some is left on, the limit of the whole weight is lower.
  const skinOn = pieces.some(({ section }) => section.closedSide !== undefined);
  return judgeNitrite({ ppm, product, ruleSet, method, skinOn, ...(house === undefined ? {} : { house }) });
}

/** What was pumped into a piece so far plus what is still planned, as a share of its green weight. */
export function pumpedShare(design: BatchDesign, facts: BatchFacts, school: PumpedSchool, code: string): Measured {
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
  // What lies in one of several tubs was weighed with all of it.
  const { share = 1, own = [] } = brine;
  const part = (g: number, step: number): Measured => (share > 0 ? scaled(weighed(g / share, step), share) : exactly(0));
  const cure = part(brine.cureG, design.cureScaleStepG);
  const all = plus(cure, ...[brine.waterG, brine.saltG, brine.sugarG, ...own.map(({ g }) => g)].map((g) => part(g, design.meatScaleStepG)));
  return { brine: all, nitrite: scaled(cure, nitriteFraction(design.cure)) };
}

const meatDoubt = (design: BatchDesign, facts: BatchFacts): Measured =>
  plus(...Object.values(facts.greenG).map((g) => weighed(g, design.meatScaleStepG)), exactly(sum(facts.carriedOffG)));

function pickUpPercent(facts: BatchFacts): { percent: number; weighed: boolean } {
  const green = sum(facts.greenG);
  const pulled = sum(facts.pulledG);
  const all = Object.keys(facts.pulledG).length === Object.keys(facts.greenG).length;
  if (!all || pulled <= green) return { percent: USUAL_PICK_UP_PERCENT, weighed: false };
  return { percent: ((pulled - green) / green) * 100, weighed: true };
}
