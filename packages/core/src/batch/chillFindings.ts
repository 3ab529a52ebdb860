import { isPumped } from './design.js';
import { productOf } from '../products/product.js';
import type { Finding } from '../cure/finding.js';
import { chillForecastH } from '../heat/chillForecast.js';
import { nitriteFraction } from '../ingredients/cureMix.js';
import type { BatchDesign } from '../log/batchDesign.js';
import { growthWords } from '../safety/chillGrowth.js';
import { LIMIT_C } from '../safety/fahrenheit.js';
import { batchSays } from '../say/english/batch.js';
import type { Message } from '../say/message.js';
import type { BatchFacts } from './batchFacts.js';
import type { BatchFigures } from './batchFigures.js';
import type { Found } from './found.js';
import type { CoolingState } from './coreEvidence.js';
import { sizeOf } from './design.js';

const piecesOf = (gates: readonly CoolingState[]): string => [...new Set(gates.map(({ piece }) => piece))].join(', ');

/** Of several pieces the one in which most may have grown. */
const mostGrown = (gates: readonly CoolingState[]) => gates.reduce((worst, gate) => (gate.growth.mostLog10 > worst.growth.mostLog10 ? gate : worst));

/** Chill gates that were not met, or that nobody read in time: what was not shown is no pass. */
export function gateFindings(cooling: readonly CoolingState[]): Finding[] {
  const failed = cooling.filter(({ state }) => state === 'fail');
  const unshown = cooling.filter(({ state }) => state === 'notShown');
  const found: Finding[] = [];
  if (failed.length > 0)
    found.push({ level: 'warn', ...batchSays('chill-failed', { pieces: piecesOf(failed), growth: growthWords(mostGrown(failed).growth) }) });
  if (unshown.length > 0) found.push({ level: 'note', ...batchSays('chill-not-shown', { pieces: piecesOf(unshown) }) });
  return found;
}

/**
 * Done by time below 145 °F in dry heat: the table holds with one of the guideline's options for humidity, which nobody read here
 * [P: FSIS Cooking Guideline, revised Appendix A; values from memory]. A bath, a pot and steam are such options by themselves.
 */
export function humidityFindings({ design, process }: Found): Finding[] {
  const program = design.program ?? process.program ?? [];
  const finish = program.findLast(({ chamberC }) => chamberC >= process.coreTargetC);
  if (process.coreTargetC >= LIMIT_C.f145 - 0.3 || finish === undefined || finish.medium === 'water' || finish.medium === 'steam') return [];
  return [{ level: 'note', ...batchSays('humidity-not-shown', { belowC: LIMIT_C.f145 }) }];
}

/** So much is wanted for the longer gates, and in pumped belly bacon under the rules of the US [P: FSIS Appendix B, revised; 9 CFR 424.22(b); values from memory]. */
const SLOW_CHILL_PPM = 250;
const PUMPED_BELLY_PPM = 550;
/** A scale's step below it is still it. */
const ACCELERATOR_SHARE = 0.97;

/** Ascorbate or erythorbate that is in the meat by what was weighed, else as planned, ppm. */
function acceleratorPpm({ brines }: BatchFacts, { nitrite }: BatchFigures, { cure }: BatchDesign): number {
  const brine = brines.find(({ id }) => id === 'brine' || id === 'pickle');
  return brine?.acceleratorG === undefined || brine.cureG === 0 ? 0 : (nitrite.applies.value * brine.acceleratorG) / (brine.cureG * nitriteFraction(cure));
}

/** A chill that is met by the gates of cured meat alone: the guideline wants an accelerator for it as well. */
export function slowChillFindings({ cooling, facts, figures, design }: Found): Finding[] {
  const slow = cooling.filter(({ rule, state, tookH, stepId }) => rule === 'cured' && state === 'pass' && (tookH ?? 0) > (stepId === 'gate-first' ? 1.5 : 5));
  const hasPpm = acceleratorPpm(facts, figures, design);
  if (slow.length === 0 || hasPpm >= SLOW_CHILL_PPM * ACCELERATOR_SHARE) return [];
  const growth = growthWords(mostGrown(slow).growth);
  return [{ level: 'note', ...batchSays('slow-chill', { pieces: piecesOf(slow), wantedPpm: SLOW_CHILL_PPM, hasPpm, growth }) }];
}

/** Belly bacon that is pumped and sold under the rules of the US. */
export function acceleratorFindings({ design, facts, figures }: Found): Finding[] {
  const hasPpm = acceleratorPpm(facts, figures, design);
  const isAsked = design.ruleSet === 'us' && productOf(design.product).limits === 'belly' && isPumped(design.school);
  if (!isAsked || hasPpm >= PUMPED_BELLY_PPM * ACCELERATOR_SHARE) return [];
  return [{ level: 'note', ...batchSays('accelerator-missing', { wantedPpm: PUMPED_BELLY_PPM, hasPpm }) }];
}

/** A cook comes off at about so much, a household refrigerator and stirred ice water stand at so much, °C [M]. */
const OFF_AT_C = 65;
const REFRIGERATOR_C = 4;
const ICE_WATER_C = 1;

/** Before the cook: what a household refrigerator will do to the piece that is slowest to cool, where that is too slow for its gates. */
export function chillAheadFindings({ design, cooling }: Found): Finding[] {
  const slow = design.pieces
    .flatMap((piece) => {
      const gates = cooling.filter((gate) => gate.piece === piece.code);
      if (gates.length === 0 || gates.some(({ state }) => state !== 'notStarted')) return [];
      const inCold = chillForecastH({ ...sizeOf(piece), fromC: OFF_AT_C, placeC: REFRIGERATOR_C, medium: 'cold' });
      return gates.map((gate, i) => ({ gate, piece, i, takesH: inCold[i] ?? 0 })).filter(({ takesH, gate: { limitH } }) => takesH > limitH);
    })
    .sort((a, b) => b.takesH / b.gate.limitH - a.takesH / a.gate.limitH)[0];
  if (slow === undefined) return [];
  const { gate, piece, i, takesH } = slow;
  const inIceH = chillForecastH({ ...sizeOf(piece), fromC: OFF_AT_C, placeC: ICE_WATER_C, medium: 'water' })[i] ?? Infinity;
  const ice = inIceH <= gate.limitH ? batchSays('ice-takes', { takes: about(inIceH) }) : batchSays('ice-too-slow');
  const which = design.pieces.length > 1 ? batchSays('the-piece', { piece: gate.piece }) : batchSays('it');
  return [{ level: 'note', ...batchSays('chill-ahead', { takes: about(takesH), piece: which, gate: i === 0 ? 'first' : 'second', limitH: gate.limitH, ice }) }];
}

const about = (h: number): Message => (Number.isFinite(h) ? batchSays('about-hours', { h }) : batchSays('over-two-days'));
