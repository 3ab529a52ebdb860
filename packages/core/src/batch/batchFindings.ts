import { worstFirst, type Finding } from '../cure/finding.js';
import { mixFindings } from '../cure/mixFindings.js';
import type { BatchDesign } from '../log/batchDesign.js';
import type { Process } from '../recipes/process.js';
import { batchSays } from '../say/english/batch.js';
import type { Figure } from '../units/figure.js';
import { sum, type BatchFacts } from './batchFacts.js';
import type { BatchFigures } from './batchFigures.js';
import { acceleratorFindings, chillAheadFindings, gateFindings, humidityFindings, slowChillFindings } from './chillFindings.js';
import { isPumped } from './design.js';
import { daysOf } from '../log/school.js';
import type { Found } from './found.js';
import { doseFindings } from './doseFindings.js';
import { reachFindings } from './reachFindings.js';
import { sizeFindings } from './sizeFindings.js';
import { slowSmokeFault } from './slowSmoke.js';
import { warmFindings } from './warmFindings.js';

/** What a batch's figures say, worst first. */
export function batchFindings(found: Found): Finding[] {
  const { design, process, facts, figures, standing } = found;
  return worstFirst([
    ...mixFindings(design.cure, design.product, isPumped(design.school)),
    ...doseFindings(found),
    ...uncuredFindings(found),
    ...(design.nitritePpm > 0 ? reachFindings(found) : []),
    ...cureFindings(design, process, facts),
    ...saltFindings(figures.salt),
    ...pumpFindings(design, facts, figures),
    ...sizeFindings(design.pieces, facts.keptGreenG),
    ...weightFindings(process, facts),
    ...warmFindings(standing),
    ...gateFindings(found.cooling),
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
  const found: Finding[] = [];
  // Salted meat is stopped here; what was to be cured and falls short of it, at the fire.
  if (slow !== null) found.push({ level: isPlanned ? 'warn' : 'stop', ...batchSays('uncured-smoke', { why: slow }) });
  if (!isPlanned) found.push({ level: 'warn', ...batchSays('no-cure') });
  return found;
}

/** Advice for the days of cure: pointless once it is pulled. */
function cureFindings({ cureDays: days, school }: BatchDesign, process: Process, facts: BatchFacts): Finding[] {
  if (facts.isPulled) return [];
  const { shortest, longest } = daysOf(process.cureDays, school.kind);
  if (days < shortest) return [{ level: 'warn', ...batchSays('cure-short', { days, shortest }) }];
  return days > longest ? [{ level: 'warn', ...batchSays('cure-long', { days, longest }) }] : [];
}

/** From so much on it tastes salty, below it bland to most, % [T]. */
const TASTE = { salty: 3, bland: 1.5 } as const;

function saltFindings({ value: percent }: Figure): Finding[] {
  if (percent > TASTE.salty) return [{ level: 'note', ...batchSays('salty', { percent, where: 'brine' }) }];
  return percent < TASTE.bland ? [{ level: 'note', ...batchSays('bland', { percent, where: 'brine' }) }] : [];
}

/** Of one brine for both there must be some left to lie in. */
function tooLittleBrine(school: BatchDesign['school'], facts: BatchFacts, planned: number): Finding | null {
  const [brine] = facts.brines;
  if (school.kind !== 'pumpSame' || brine === undefined || facts.isPulled) return null;
  const needleG = (sum(facts.greenG) * planned) / 100;
  if (brine.brineG > needleG * NEEDLE_SPARE) return null;
  return { level: brine.weighed ? 'warn' : 'stop', ...batchSays('one-brine-too-little', { brineG: brine.brineG, needleG }) };
}

/** More than the needle takes, so that the meat is wet all round [T]. */
const NEEDLE_SPARE = 1.5;

/** A pump off its plan by more than a fifth is worth a word. */
const PUMP_OFF = 0.2;

function pumpFindings({ school }: BatchDesign, facts: BatchFacts, figures: BatchFigures): Finding[] {
  if (!isPumped(school)) return [];
  const planned = school.pumpPercent + school.repumpPercent;
  const short = tooLittleBrine(school, facts, planned);
  if (short !== null) return [short];
  const [low, high] = [planned * (1 - PUMP_OFF), planned * (1 + PUMP_OFF)];
  return figures.pump.flatMap(({ code: piece, percent: { value: percent }, weighed }): Finding[] => {
    if (!weighed || (percent >= low && percent <= high)) return [];
    return [{ level: 'warn', ...batchSays(percent < low ? 'pump-low' : 'pump-high', { piece, percent, planned }) }];
  });
}

function weightFindings(process: Process, facts: BatchFacts): Finding[] {
  const green = sum(facts.keptGreenG);
  if (!process.notAboveGreen || facts.packedG === null || facts.packedG <= green) return [];
  return [{ level: 'note', ...batchSays('above-green', { product: process.name }) }];
}
