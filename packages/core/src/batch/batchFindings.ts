import { productOf } from '../products/product.js';
import { worstFirst, type Finding } from '../cure/finding.js';
import { mixFindings } from '../cure/mixFindings.js';
import type { NitriteJudgement } from '../cure/judgeNitrite.js';
import { nitriteFraction } from '../ingredients/cureMix.js';
import { lastDayUnder } from './nitriteAtPull.js';
import { isByTheClock, sizeOf } from './design.js';
import type { BatchDesign } from '../log/batchDesign.js';
import { sum, type BatchFacts } from './batchFacts.js';
import type { BatchFigures } from './batchFigures.js';
import { slowSmokeFault } from './slowSmoke.js';
import { besideBound, inWorking, type Figure } from '../units/figure.js';
import type { CoolingState } from './coreEvidence.js';
import { chillForecastH } from '../heat/chillForecast.js';
import type { StandingEntry } from '../log/standingEntries.js';
import type { Process } from '../recipes/process.js';
import type { Ticket, PieceCure } from './batchState.js';
import { growthWords } from '../safety/chillGrowth.js';
import { LIMIT_C } from '../safety/fahrenheit.js';
import { COLOURED_AT_PPM } from '../diffusion/reachAtPull.js';

/** What is known of a batch when its findings are gathered. */
export interface Found {
  design: BatchDesign;
  process: Process;
  facts: BatchFacts;
  figures: BatchFigures;
  standing: readonly StandingEntry[];
  closing: Ticket['closing'];
  cured: readonly PieceCure[];
  cooling: readonly CoolingState[];
}

/** What a batch's figures say, worst first. */
export function batchFindings(found: Found): Finding[] {
  const { design, process, facts, figures, standing } = found;
  return worstFirst([
    ...mixFindings(design.cure, design.product, design.school.kind === 'pumpAndCover'),
    ...doseFindings(found),
    ...uncuredFindings(found),
    ...(design.nitritePpm > 0 ? reachFindings(found) : []),
    ...cureFindings(design, process, facts),
    ...saltFindings(figures.salt),
    ...pumpFindings(design, facts, figures),
    ...weightFindings(process, facts),
    ...warmFindings(standing),
    ...coolingFindings(found.cooling),
    ...chillAheadFindings(found),
    ...slowChillFindings(found),
    ...(design.nitritePpm > 0 ? acceleratorFindings(found) : []),
    ...humidityFindings(found),
  ]);
}

/** Meat without a cure: what it is not for, and a stop where it is smoked slowly all the same. */
function uncuredFindings({ design, process, cured }: Found): Finding[] {
  const isPlanned = design.nitritePpm > 0;
  const slow = slowSmokeFault(design.program ?? process.program ?? [], isPlanned && cured.every(({ isCured }) => isCured), design.pieces);
  return [
    // Salted meat is stopped here; what was to be cured and falls short of it, at the fire.
    ...(slow === null ? [] : [{ level: isPlanned ? ('warn' as const) : ('stop' as const), code: 'uncured-smoke', message: slow }]),
    ...(isPlanned
      ? []
      : [
          {
            level: 'warn' as const,
            code: 'no-cure',
            message: 'No cure: this is fresh salted meat. Grey, never into a slow smoke, chilled by the shorter gates, and kept days, not weeks.',
          },
        ]),
  ];
}

/** How far the cure comes in each piece, or came: the worst is named. */
function reachFindings({ cured, facts, closing }: Found): Finding[] {
  const isPulled = Object.keys(facts.pulledG).length > 0;
  const isOver = closing('pack') !== null;
  const worst = cured.filter(({ why }) => why === 'middle' || why === 'mean').sort((a, b) => a.leastPpm - b.leastPpm)[0];
  const pale = cured.filter(({ isPale }) => isPale);
  const of = (code: string) => (cured.length > 1 ? `Piece ${code}: ` : '');
  if (worst !== undefined) {
    const least = `${of(worst.code)}by the model the middle ${isPulled ? 'had' : 'has'} ${worst.leastPpm.toFixed(worst.leastPpm < 10 ? 1 : 0)} ppm after ${worst.lainDays.toFixed(1)} days, where ${COLOURED_AT_PPM} leave a colour`;
    const mean = `${of(worst.code)}by the model it ${isPulled ? 'took up' : 'takes up'} ${worst.meanPpm.typical.toFixed(0)} ppm as a mean in ${worst.lainDays.toFixed(1)} days`;
    const fact = worst.why === 'middle' ? least : mean;
    const until =
      worst.why === 'middle' && worst.colouredFromDay !== null
        ? `It is reached on day ${worst.colouredFromDay.toFixed(1)}.`
        : worst.why === 'middle'
          ? 'It is not reached within sixty days: pump it, or cut it thinner.'
          : '';
    const others = cured.filter(({ code, isCured }) => code !== worst.code && !isCured).length;
    const more = others > 0 ? ` ${others === 1 ? 'Another piece is' : `${others} other pieces are`} not there either.` : '';
    return [
      {
        level: 'warn',
        code: isPulled ? 'not-cured' : 'reach-short',
        message: isPulled
          ? `${capital(fact)}: it does not count as cured. The short chill gates hold, it is not smoked slowly, and it keeps as fresh meat does${isOver ? '' : ', unless it goes back into its brine'}.${more}`
          : `${capital(fact)}. ${until} Let it lie longer, pump it, or plan it as meat that is not cured: short chill gates, no slow smoke.${more}`,
      },
    ];
  }
  const first = pale.sort((a, b) => a.leastSlowPpm - b.leastSlowPpm)[0];
  if (first === undefined) return [];
  return [
    {
      level: 'note',
      code: 'reach-pale',
      message: `${capital(`${of(first.code)}cured by the model, with ${first.leastPpm.toFixed(0)} ppm in the middle`)}. If the meat is slow the middle ${isPulled ? 'is' : 'stays'} pale.`,
    },
  ];
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Chill gates that were not met, or that nobody read in time: what was not shown is no pass. */
function coolingFindings(cooling: readonly CoolingState[]): Finding[] {
  const failed = cooling.filter(({ state }) => state === 'fail');
  const unshown = cooling.filter(({ state }) => state === 'notShown');
  const list = (gates: readonly CoolingState[]) => [...new Set(gates.map(({ piece }) => piece))].join(', ');
  return [
    ...(failed.length === 0
      ? []
      : [
          {
            level: 'warn' as const,
            code: 'chill-failed',
            message: `A chill gate was not met by piece ${list(failed)}. ${growthWords(mostGrown(failed).growth)}`,
          },
        ]),
    ...(unshown.length === 0
      ? []
      : [
          {
            level: 'note' as const,
            code: 'chill-not-shown',
            message: `Piece ${list(unshown)}: its readings do not show that a chill gate was met. It is neither passed nor failed; a reading at the gate's beginning and one at its end would have shown it.`,
          },
        ]),
  ];
}

/**
 * Done by time below 145 °F in dry heat: the table holds with one of the guideline's options for humidity, which nobody read here
 * [P: FSIS Cooking Guideline, revised Appendix A; values from memory]. A bath, a pot and steam are such options by themselves.
 */
function humidityFindings({ design, process }: Found): Finding[] {
  const program = design.program ?? process.program ?? [];
  const finish = program.findLast(({ chamberC }) => chamberC >= process.coreTargetC);
  if (process.coreTargetC >= LIMIT_C.f145 - 0.3 || finish === undefined || finish.medium === 'water' || finish.medium === 'steam') return [];
  return [
    {
      level: 'note',
      code: 'humidity-not-shown',
      message:
        'Done by time below 62.8 °C: time and temperature are read, humidity is not shown. The table holds where the piece was in a sealed bag or casing, wrapped, covered or in steam for half the time and at least an hour, or at 90 % relative humidity for a quarter of it and at least an hour. Write down which it was, and check your own code.',
    },
  ];
}

/** Of several pieces the one in which most may have grown. */
const mostGrown = (gates: readonly CoolingState[]) => gates.reduce((worst, gate) => (gate.growth.mostLog10 > worst.growth.mostLog10 ? gate : worst));

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
function slowChillFindings({ cooling, facts, figures, design }: Found): Finding[] {
  const slow = cooling.filter(({ rule, state, tookH, stepId }) => rule === 'cured' && state === 'pass' && (tookH ?? 0) > (stepId === 'gate-first' ? 1.5 : 5));
  const ppm = acceleratorPpm(facts, figures, design);
  if (slow.length === 0 || ppm >= SLOW_CHILL_PPM * ACCELERATOR_SHARE) return [];
  return [
    {
      level: 'note',
      code: 'slow-chill',
      message: `Piece ${[...new Set(slow.map(({ piece }) => piece))].join(', ')}: cooled by the longer gates of cured meat. For these the guideline also wants ${SLOW_CHILL_PPM} ppm ascorbate or erythorbate in it${ppm > 0 ? `, and it has ${ppm.toFixed(0)}` : ''}: the slow chill is not fully met. ${growthWords(mostGrown(slow).growth)}`,
    },
  ];
}

/** Belly bacon that is pumped and sold under the rules of the US. */
function acceleratorFindings({ design, facts, figures }: Found): Finding[] {
  const ppm = acceleratorPpm(facts, figures, design);
  if (
    design.ruleSet !== 'us' ||
    productOf(design.product).limits !== 'belly' ||
    design.school.kind !== 'pumpAndCover' ||
    ppm >= PUMPED_BELLY_PPM * ACCELERATOR_SHARE
  )
    return [];
  return [
    {
      level: 'note',
      code: 'accelerator-missing',
      message: `Pumped belly bacon that is sold in the US has ${PUMPED_BELLY_PPM} ppm ascorbate or erythorbate in it${ppm > 0 ? `; this has ${ppm.toFixed(0)}` : ''}: it keeps nitrosamines down when it is fried. For your own table it is a good habit.`,
    },
  ];
}

/** A cook comes off at about so much, a household refrigerator and stirred ice water stand at so much, °C [M]. */
const OFF_AT_C = 65;
const REFRIGERATOR_C = 4;
const ICE_WATER_C = 1;

/** Before the cook: what a household refrigerator will do to the piece that is slowest to cool, where that is too slow for its gates. */
function chillAheadFindings({ design, cooling }: Found): Finding[] {
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
  const hours = (H: number) => (Number.isFinite(H) ? `about ${H.toFixed(1)} h` : 'more than two days');
  const ice =
    inIceH <= gate.limitH
      ? `In a bag in ice water, stirred, it takes ${hours(inIceH)}; or bone it, or halve it.`
      : 'Ice water is too slow for it as well: bone it, or halve it.';
  return [
    {
      level: 'note',
      code: 'chill-ahead',
      message: `By the model a household refrigerator takes ${hours(takesH)} to cool ${design.pieces.length > 1 ? `piece ${gate.piece}` : 'it'} through the ${i === 0 ? 'first' : 'second'} chill gate, where ${gate.limitH} h are allowed. ${ice}`,
    },
  ];
}

/** What the dose alone says: the part of the findings for which no piece's reach is worked out. */
export function doseFindings({ design, facts, figures: { nitrite } }: Pick<Found, 'design' | 'facts' | 'figures'>): Finding[] {
  if (design.nitritePpm <= 0) return [];
  const { applies, judgement, lowestPumped } = nitrite;
  const ppm = shown(applies);
  if (judgement.verdict === 'over') {
    return [
      {
        level: 'stop',
        code: 'nitrite-over',
        message: `${besideBound(applies.value, judgement.limit)} ppm is over the limit of ${judgement.limit} ppm. ${remedy(design, facts, rightPpm(judgement), applies)}`,
      },
    ];
  }
  const found: Finding[] = [];
  if (judgement.verdict === 'under' && judgement.floor === judgement.limit && judgement.floor - applies.value <= NEAR_STEPS * stepPpm(design, facts, applies)) {
    found.push({
      level: 'note',
      code: 'at-the-limit',
      message: `${ppm} ppm is as near to ${judgement.floor} ppm as this scale can weigh without going over ${judgement.limit} ppm. A finer scale comes nearer.`,
    });
  } else if (judgement.verdict === 'under') {
    found.push({
      level: 'warn',
      code: 'nitrite-under',
      message: `${besideBound(applies.value, judgement.floor)} ppm is under the floor of ${judgement.floor} ppm: it would look cured and not be protected. Aim at ${rightPpm(judgement)} ppm.`,
    });
  } else if (lowestPumped !== null && lowestPumped.value < judgement.floor) {
    found.push({
      level: 'warn',
      code: 'pump-under',
      message: `The needle put in only ${shown(lowestPumped)} ppm${pieceOf(lowestPumped)}, under the floor of ${judgement.floor} ppm. Pump again: the middle has only that until the cover reaches it.`,
    });
  }
  const even = nitrite.others.find(({ id }) => id === 'nitrite-even');
  if (isByTheClock(design.school) && even !== undefined && even.value > judgement.limit && Object.keys(facts.pulledG).length === 0) {
    found.push({
      level: 'warn',
      code: 'by-the-clock',
      message: `Right only if it is pulled in time: left until even it would come to ${shown(even)} ppm, over the limit of ${judgement.limit}.${outBy(design, facts, judgement.limit)}`,
    });
  }
  const pickUp = nitrite.others.find(({ id }) => id === 'nitrite-pick-up');
  if (applies.id === 'nitrite-at-pull' && judgement.verdict === 'ok' && pickUp !== undefined && pickUp.value < judgement.floor) {
    found.push({
      level: 'note',
      code: 'pick-up-under',
      message: `By the pick-up method alone it is ${shown(pickUp)} ppm, under the floor of ${judgement.floor}: an inspector may count it so, and the shorter chill gates hold.`,
    });
  }
  if (judgement.verdict === 'ok' && applies.high > judgement.limit) {
    found.push({
      level: 'warn',
      code: 'doubt-over',
      message: `With the doubt of the scales it may be ${shown({ value: applies.high })} ppm, over the limit. Weigh the cure on a finer scale.`,
    });
  }
  if (judgement.verdict === 'ok' && applies.low < judgement.floor && judgement.floor < judgement.limit) {
    found.push({
      level: 'warn',
      code: 'doubt-under',
      message: `With the doubt of the scales it may be ${shown({ value: applies.low })} ppm, under the floor. Weigh the cure on a finer scale.`,
    });
  }
  return found;
}

/** The last day in the brine by the model, of the piece that takes up fastest. */
function outBy(design: BatchDesign, { brines }: BatchFacts, limit: number): string {
  const brine = brines.find(({ id }) => id === 'brine');
  if (brine === undefined || brine.brineG <= 0) return '';
  const endless = ((brine.cureG * nitriteFraction(design.cure)) / brine.brineG) * 1e6;
  const days = design.pieces.flatMap((piece) => lastDayUnder({ ...piece, massG: piece.greenG }, endless, limit, design.diffusivity?.value) ?? []);
  return days.length === 0 ? '' : ` By the model it must be out by day ${Math.min(...days).toFixed(1)}.`;
}

/** The sheet keeps so many steps of the cure's scale under the limit at the most: one for rounding, one for the other lines. */
const NEAR_STEPS = 2;

/** What one step of the cure's scale comes to, ppm. */
function stepPpm(design: BatchDesign, facts: BatchFacts, applies: Figure): number {
  const brine = facts.brines.find(({ id }) => id === (applies.id === 'nitrite-pumped' ? 'pickle' : id));
  return brine === undefined || brine.cureG <= 0 ? 0 : (applies.value * design.cureScaleStepG) / brine.cureG;
}

/** What would be right: cure to weigh while nothing is mixed or pumped, else what to do with the meat. */
function remedy(design: BatchDesign, facts: BatchFacts, target: number, applies: Figure): string {
  if (applies.id === 'nitrite-at-pull' && facts.lyingH > design.cureDays * 24)
    return Object.keys(facts.pulledG).length > 0
      ? 'It lay too long for this brine: by the model the meat must not be eaten. Throw the batch away.'
      : 'It has lain too long for this brine: pull it now. By the model the meat must not be eaten.';
  if (Object.keys(facts.pulledG).length > 0) return 'If the weights are right, the meat must not be eaten: throw the batch away.';
  const pumped = Object.values(facts.pumpings).some((pumpings) => pumpings.length > 0);
  if (pumped && applies.id === 'nitrite-pumped') return 'Drain the piece, weigh it again and correct the weight. If it stays over, the meat must not be used.';
  const brine = facts.brines.find((candidate) => candidate.id === (applies.id === 'nitrite-pumped' ? 'pickle' : candidate.id));
  if (pumped || brine === undefined || facts.isInBrine) return 'The meat must not go on in this brine: take it out, and decide what becomes of it.';
  const rightG = (brine.cureG * target) / applies.value;
  return `Right would be ${target} ppm: ${(Math.floor(rightG * 10) / 10).toFixed(1)} g of ${design.cure.name} instead of ${brine.cureG.toFixed(1)} g.`;
}

/** A dose that stands well inside the rules: three quarters of the limit, not under the floor. */
const rightPpm = ({ floor, limit }: NitriteJudgement): number => Math.max(floor, Math.floor(limit * 0.75));

const pieceOf = (figure: Figure): string => (figure.label.includes('piece') ? ` into ${figure.label.slice(figure.label.indexOf('piece'))}` : '');

/** Advice for the days of cure: pointless once it is pulled. */
function cureFindings(design: BatchDesign, process: Process, facts: BatchFacts): Finding[] {
  if (Object.keys(facts.pulledG).length > 0) return [];
  const days = process.cureDays[design.school.kind];
  const found: Finding[] = [];
  if (design.cureDays < days.shortest) {
    found.push({
      level: 'warn',
      code: 'cure-short',
      message: `${design.cureDays} days is shorter than the ${days.shortest} days that are usual at the least: the middle may not be cured.`,
    });
  }
  if (design.cureDays > days.longest) {
    found.push({ level: 'warn', code: 'cure-long', message: `${design.cureDays} days is longer than the ${days.longest} days that are usual at the most.` });
  }
  return found;
}

function saltFindings(salt: Figure): Finding[] {
  if (salt.value > 3) return [{ level: 'note', code: 'salty', message: `${salt.value.toFixed(1)} % salt tastes salty to most: plan a soak.` }];
  if (salt.value < 1.5) return [{ level: 'note', code: 'bland', message: `${salt.value.toFixed(1)} % salt tastes bland to most, and keeps less well.` }];
  return [];
}

/** A pump off its plan by more than a fifth is worth a word. */
const PUMP_OFF = 0.2;

function pumpFindings(design: BatchDesign, facts: BatchFacts, figures: BatchFigures): Finding[] {
  const { school } = design;
  if (school.kind !== 'pumpAndCover') return [];
  const planned = school.pumpPercent + school.repumpPercent;
  return figures.pump.flatMap(({ code, percent, weighed }): Finding[] => {
    if (!weighed || (facts.repumpOpen && percent.value >= planned * (1 - PUMP_OFF) && percent.value <= planned * (1 + PUMP_OFF))) return [];
    if (percent.value < planned * (1 - PUMP_OFF)) {
      return [{ level: 'warn', code: 'pump-low', message: `Piece ${code} took ${percent.value.toFixed(1)} % of ${planned} % planned. Pump it again.` }];
    }
    if (percent.value > planned * (1 + PUMP_OFF)) {
      return [
        {
          level: 'warn',
          code: 'pump-high',
          message: `Piece ${code} took ${percent.value.toFixed(1)} %, more than the ${planned} % planned. Drain it and weigh again; expect a longer soak.`,
        },
      ];
    }
    return [];
  });
}

function weightFindings(process: Process, facts: BatchFacts): Finding[] {
  const green = sum(facts.keptGreenG);
  if (!process.notAboveGreen || facts.packedG === null || facts.packedG <= green) return [];
  return [
    {
      level: 'note',
      code: 'above-green',
      message: `Packed weight is above green weight. ${process.name} may not be sold heavier than it was green in some places: check your own code.`,
    },
  ];
}

/** How warm for how long: from there a warning, a decision, thrown away [M]. */
const WARM = [
  { overC: 10, moreH: 4, level: 'stop', what: 'Throw it away: that is the advice for meat that lay so warm.' },
  { overC: 7, moreH: 6, level: 'warn', what: 'Decide with your food-safety plan: throw it away, or write what was decided and by whom.' },
  { overC: LIMIT_C.cold, moreH: 24, level: 'warn', what: 'Bring the refrigerator down, and look at it more often.' },
] as const;
/** A reading speaks for as long until the next at the most, h: a cook who looks once a day reads what was, not what will be. */
const SPEAKS_H = 36;

/** Brine and refrigerator as they were read from meat in to pull: what lay warm between two readings that are both warm. */
function warmFindings(standing: readonly StandingEntry[]): Finding[] {
  const read = standing
    .flatMap((entry) => {
      if (entry.kind !== 'done') return [];
      const C = entry.stepId === 'meat-in' ? entry.values.brineC : entry.values.coldC;
      return typeof C === 'number' ? [{ at: Date.parse(entry.at), C, entry }] : [];
    })
    .sort((a, b) => a.at - b.at);
  const hoursOver = (overC: number) =>
    read.slice(1).reduce((hours, to, i) => {
      const from = read[i];
      return from === undefined || from.C <= overC || to.C <= overC ? hours : hours + Math.min(SPEAKS_H, (to.at - from.at) / 3_600_000);
    }, 0);
  const worst = WARM.find(({ overC, moreH }) => hoursOver(overC) > moreH);
  const into = read.find(({ entry }) => entry.stepId === 'meat-in');
  return [
    ...(worst === undefined
      ? []
      : [
          {
            level: worst.level,
            code: 'warm-cure',
            message: `It lay at more than ${Math.round(worst.overC)} °C for ${hoursOver(worst.overC).toFixed(0)} h while it cured. ${worst.what}`,
          },
        ]),
    ...(into === undefined || into.C <= LIMIT_C.cold
      ? []
      : [
          {
            level: 'note' as const,
            code: 'warm-brine',
            message: `The meat went into brine of ${into.C.toFixed(1)} °C, above 4 °C. Reason kept: ${into.entry.reason ?? 'none'}`,
          },
        ]),
  ];
}

/** A figure in a sentence: one place, never rounded across a bound. */
const shown = ({ value }: { value: number }): string => inWorking(Number(value.toFixed(1)));
