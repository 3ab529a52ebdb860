import { worstFirst, type Finding } from '../cure/finding.js';
import { mixFindings } from '../cure/mixFindings.js';
import type { NitriteJudgement } from '../cure/judgeNitrite.js';
import { nitriteFraction } from '../ingredients/cureMix.js';
import { lastDayUnder } from '../recipe/recipeFindings.js';
import { isByTheClock, PUMP_ABOVE_MM, thickestMm, type BatchDesign } from './batchDesign.js';
import { sum, type BatchFacts } from './batchFacts.js';
import type { BatchFigures } from './batchFigures.js';
import { slowSmokeFault } from './cookProgram.js';
import { inWorking, type Figure } from '../units/figure.js';
import type { StandingEntry } from './logEntry.js';
import type { Process } from './process.js';

/** What a batch's figures say, worst first. */
export function batchFindings(
  design: BatchDesign,
  process: Process,
  facts: BatchFacts,
  figures: BatchFigures,
  standing: readonly StandingEntry[] = [],
): Finding[] {
  const found = [
    ...mixFindings(design.cure, design.product, design.school.kind === 'pumpAndCover'),
    ...(design.nitritePpm > 0 ? nitriteFindings(design, facts, figures) : []),
    ...uncuredFindings(design, process, figures),
    ...cureFindings(design, process, facts),
    ...saltFindings(figures.salt),
    ...pumpFindings(design, facts, figures),
    ...weightFindings(process, facts),
    ...warmBrine(standing),
  ];
  return worstFirst(found);
}

/** Meat without a cure: what it is not for, and a stop where it is smoked slowly all the same. */
function uncuredFindings(design: BatchDesign, process: Process, { nitrite }: BatchFigures): Finding[] {
  const slow = slowSmokeFault(design.program ?? process.program ?? [], nitrite.applies.value);
  return [
    ...(slow === null ? [] : [{ level: 'stop' as const, code: 'uncured-smoke', message: slow }]),
    ...(design.nitritePpm > 0
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

function nitriteFindings(design: BatchDesign, facts: BatchFacts, { nitrite }: BatchFigures): Finding[] {
  const { applies, judgement, lowestPumped } = nitrite;
  const ppm = shown(applies);
  if (judgement.verdict === 'over') {
    return [
      {
        level: 'stop',
        code: 'nitrite-over',
        message: `${ppm} ppm is over the limit of ${judgement.limit} ppm. ${remedy(design, facts, rightPpm(judgement), applies)}`,
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
      message: `${ppm} ppm is under the floor of ${judgement.floor} ppm: it would look cured and not be protected. Aim at ${rightPpm(judgement)} ppm.`,
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
  const days = design.pieces.flatMap(({ section }) => lastDayUnder(section, endless, limit) ?? []);
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
  if (pumped || brine === undefined) return 'The meat must not go on in this brine.';
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
  const thick = thickestMm(design);
  if (design.school.kind === 'equilibrium' && thick > NEVER_UNPUMPED_MM) {
    found.push({
      level: 'warn',
      code: 'thick-unpumped',
      message: `A piece ${Math.round(thick)} mm through does not cure to the middle without the needle: it may spoil there first. Pump and cover it.`,
    });
  } else if (design.school.kind === 'equilibrium' && thick > PUMP_ABOVE_MM) {
    const level = design.cureDays < days.usual ? 'warn' : 'note';
    found.push({
      level,
      code: 'thick-unpumped',
      message: isByTheClock(design.school)
        ? `At ${Math.round(thick)} mm the middle has little when it is pulled by the clock. Let it even out in the cold afterwards, or pump it.`
        : `At ${Math.round(thick)} mm the middle cures slowly and may take on colour before it is even. Give it ${days.usual} days and more, or pump it.`,
    });
  }
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

/** No piece so thick is cured by lying alone, mm [M: the section model of handbook part 9 gives a 19 cm ham under 1 % after 14 days]. */
const NEVER_UNPUMPED_MM = 120;

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

function warmBrine(standing: readonly StandingEntry[]): Finding[] {
  const warm = standing.find(
    (entry) => entry.kind === 'done' && entry.stepId === 'meat-in' && typeof entry.values.brineC === 'number' && entry.values.brineC > 4,
  );
  return warm === undefined
    ? []
    : [{ level: 'note', code: 'warm-brine', message: `The meat went into brine above 4 °C. Reason kept: ${warm.reason ?? 'none'}` }];
}

/** A figure in a sentence: one place, never rounded across a bound. */
const shown = ({ value }: { value: number }): string => inWorking(Number(value.toFixed(1)));
