import { nitriteFraction } from '../ingredients/cureMix.js';
import type { NitriteJudgement } from '../cure/judgeNitrite.js';
import type { NitriteFigures } from '../cure/nitriteFigure.js';
import type { Finding } from '../cure/finding.js';
import type { BatchDesign } from '../log/batchDesign.js';
import { batchSays } from '../say/english/batch.js';
import type { Message } from '../say/message.js';
import type { Quantity } from '../say/quantity.js';
import { beside, type Figure } from '../units/figure.js';
import type { BatchFacts } from './batchFacts.js';
import { isByTheClock, isPumped, sizeOf } from './design.js';
import { lastDayOf } from './nitriteAtPull.js';
import { vesselSaid } from './vesselSaid.js';
import { worstFirstVessels, type VesselState } from './vessels.js';
import type { SheetBrine } from './mixingSheet.js';
import { LEAN_DIFFUSIVITY, pieceUptake, uptakeFromBath, type SizedPiece } from '../section/uptake.js';

/** What is known where the dose is judged. */
interface Dosed {
  design: BatchDesign;
  facts: BatchFacts;
  figures: { nitrite: NitriteFigures };
  vessels?: readonly VesselState[];
}

/** What the dose alone says: the part of the findings for which no piece's reach is worked out. Of several tubs the worst says each. */
export function doseFindings({ vessels = [], ...whole }: Dosed): Finding[] {
  if (whole.design.nitritePpm <= 0) return [];
  if (vessels.length === 0) return findingsOf(whole);
  const found = worstFirstVessels(vessels).flatMap((vessel) => findingsOf(vessel, vessels.length > 1 ? vessel : undefined));
  return found.filter(({ code }, i) => found.findIndex((other) => other.code === code) === i);
}

/** How much there is of something, and in which tub. */
const hasIn = (ppm: number, bound: number, vessel: VesselState | undefined): Quantity | Message =>
  vessel === undefined ? beside(ppm, bound) : batchSays('has-in-vessel', { has: beside(ppm, bound), vessel: vesselSaid(vessel.vessel, vessel.n) });

function findingsOf(dosed: Dosed, vessel?: VesselState): Finding[] {
  const { figures } = dosed;
  const { applies, judgement } = figures.nitrite;
  if (judgement.verdict !== 'over') return [...underFindings(dosed, vessel), ...clockFindings(dosed), ...doubtFindings(figures.nitrite, vessel)];
  const limitPpm = judgement.limit;
  return [
    { level: 'stop', ...batchSays('nitrite-over', { has: hasIn(applies.value, limitPpm, vessel), limitPpm, remedy: remedy(dosed, rightPpm(judgement)) }) },
  ];
}

/** What is not protected by its dose, or by the needle alone. */
function underFindings({ design, facts, figures: { nitrite } }: Dosed, vessel: VesselState | undefined): Finding[] {
  const { applies, judgement, lowestPumped } = nitrite;
  const [floorPpm, limitPpm] = [judgement.floor, judgement.limit];
  const isNear = floorPpm === limitPpm && floorPpm - applies.value <= NEAR_STEPS * stepPpm(design, facts, applies);
  if (judgement.verdict === 'under' && isNear) return [{ level: 'note', ...batchSays('at-the-limit', { ppm: applies.value, floorPpm, limitPpm }) }];
  if (judgement.verdict === 'under')
    return [
      {
        level: 'warn',
        ...batchSays('nitrite-under', {
          has: hasIn(applies.value, floorPpm, vessel),
          floorPpm,
          remedy: batchSays('aim-at', { rightPpm: rightPpm(judgement) }),
        }),
      },
    ];
  if (lowestPumped === null || lowestPumped.value >= floorPpm) return [];
  return [
    { level: 'warn', ...batchSays('pump-under', { ppm: lowestPumped.value, floorPpm, piece: lowestPumped.piece ?? 'none', advice: batchSays('pump-again') }) },
  ];
}

/** What is right only for so long, or by one way of counting. */
function clockFindings({ design, facts, figures: { nitrite } }: Dosed): Finding[] {
  const { applies, judgement, others } = nitrite;
  const [even, pickUp] = [others.find(({ id }) => id === 'nitrite-even'), others.find(({ id }) => id === 'nitrite-pick-up')];
  const found: Finding[] = [];
  if (isByTheClock(design.school) && even !== undefined && even.value > judgement.limit && !facts.isPulled) {
    const until = outBy(design, facts, judgement.limit);
    found.push({ level: 'warn', ...batchSays('by-the-clock', { evenPpm: even.value, limitPpm: judgement.limit, until }) });
  }
  if (applies.id === 'nitrite-at-pull' && judgement.verdict === 'ok' && pickUp !== undefined && pickUp.value < judgement.floor)
    found.push({ level: 'note', ...batchSays('pick-up-under', { ppm: pickUp.value, floorPpm: judgement.floor }) });
  return found;
}

/** What the doubt of the scales leaves open. */
function doubtFindings({ applies, judgement }: NitriteFigures, vessel: VesselState | undefined): Finding[] {
  if (judgement.verdict !== 'ok') return [];
  const found: Finding[] = [];
  const [floorPpm, limitPpm, advice] = [judgement.floor, judgement.limit, finerBy(vessel)];
  if (applies.high > limitPpm) found.push({ level: 'warn', ...batchSays('doubt-over', { ppm: applies.high, limitPpm, isFloor: 'no', advice }) });
  if (applies.low < floorPpm && floorPpm < limitPpm) found.push({ level: 'warn', ...batchSays('doubt-under', { ppm: applies.low, floorPpm, advice }) });
  return found;
}

/** What would narrow the doubt: a finer scale, or, where it was poured by eye, to weigh what is poured. */
const finerBy = (vessel: VesselState | undefined): Message =>
  vessel !== undefined && vessel.share.low < vessel.share.high
    ? batchSays('weigh-what-is-poured', { vessel: vesselSaid(vessel.vessel, vessel.n) })
    : batchSays('finer-cure-scale');

/** The last day in the brine by the model, of the piece that takes up fastest. */
function outBy(design: BatchDesign, { brines }: BatchFacts, limit: number): Message {
  const brine = brines.find(({ id }) => id === 'brine');
  if (brine === undefined || brine.brineG <= 0) return batchSays('nothing');
  const endless = ((brine.cureG * nitriteFraction(design.cure)) / brine.brineG) * 1e6;
  const rate = design.diffusivity?.value ?? LEAN_DIFFUSIVITY;
  const days = design.pieces.flatMap((piece) => lastDayOf(ppmOf(design, brines, sizeOf(piece), endless, rate), limit) ?? []);
  return days.length === 0 ? batchSays('nothing') : batchSays('out-by-day', { day: Math.min(...days) });
}

/** What a piece has after so many days: of an endless brine, or of what its needle left of the same brine, with what the needle put in. */
function ppmOf({ school, pieces }: BatchDesign, [brine]: readonly SheetBrine[], piece: SizedPiece, endless: number, rate: number): (days: number) => number {
  if (!isPumped(school) || brine === undefined) return (days) => endless * pieceUptake(piece, days * 24, rate);
  const share = (school.pumpPercent + school.repumpPercent) / 100;
  const inMeat = share / (1 + share);
  const meatG = pieces.reduce((g, { greenG }) => g + greenG, 0);
  const tubG = Math.max(1, brine.brineG - share * meatG);
  return (days) => endless * (inMeat + (1 - inMeat) * uptakeFromBath(piece, days * 24, (meatG * (1 + share)) / tubG, rate));
}

/** The sheet keeps so many steps of the cure's scale under the limit at the most: one for rounding, one for the other lines. */
const NEAR_STEPS = 2;

/** What one step of the cure's scale comes to, ppm. */
function stepPpm(design: BatchDesign, facts: BatchFacts, applies: Figure): number {
  const brine = facts.brines.find(({ id }) => id === (applies.id === 'nitrite-pumped' ? 'pickle' : id));
  return brine === undefined || brine.cureG <= 0 ? 0 : (applies.value * design.cureScaleStepG * (brine.share ?? 1)) / brine.cureG;
}

/** What would be right: cure to weigh while nothing is mixed or pumped, else what to do with the meat. */
function remedy({ design, facts, figures }: Dosed, targetPpm: number): Message {
  const { applies } = figures.nitrite;
  const isPulled = facts.isPulled;
  if (applies.id === 'nitrite-at-pull' && facts.lyingH > design.cureDays * 24) return batchSays(isPulled ? 'lay-too-long' : 'lies-too-long');
  if (isPulled) return batchSays('not-eaten');
  const pumped = Object.values(facts.pumpings).some((pumpings) => pumpings.length > 0);
  if (pumped && applies.id === 'nitrite-pumped') return batchSays('drain-and-weigh');
  const brine = facts.brines.find((candidate) => candidate.id === (applies.id === 'nitrite-pumped' ? 'pickle' : candidate.id));
  if (pumped || brine === undefined || facts.isInBrine) return batchSays('out-of-this-brine');
  // Down to the step of a scale: rounded up it might be over again.
  const cureG = brine.cureG / (brine.share ?? 1);
  const rightG = Math.floor(((cureG * targetPpm) / applies.value) * 10) / 10;
  return batchSays('right-would-be', { rightPpm: targetPpm, rightG, cure: design.cure.name, cureG });
}

/** A dose that stands well inside the rules: three quarters of the limit, not under the floor. */
const rightPpm = ({ floor, limit }: NitriteJudgement): number => Math.max(floor, Math.floor(limit * 0.75));
