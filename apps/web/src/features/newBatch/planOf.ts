import { toDesign, type BatchRequest } from '@bunkhouse/api';
import { InputError, planBatch, processFor, USUAL_STRONG_PERCENT, type BatchState, type Finding, type Process } from '@bunkhouse/core';

/** What a form comes to: a plan, or why there is none. */
export type Plan = { state: BatchState } | { fault: InputError } | { incomplete: true };

/** Poured as it was bought: no water beside it. */
export const isReadyBrine = ({ cure, dose }: Pick<BatchRequest, 'cure' | 'dose'>): boolean => dose?.per === 'meat' && (cure?.waterPercent ?? 0) > 0;

/** Works a form out. A number or a time that is missing makes it incomplete, a contradiction a fault. */
export function planOf(request: BatchRequest, process: Process = processFor(request.product)): Plan {
  if (!isComplete(request)) return { incomplete: true };
  try {
    return { state: planBatch(process, toDesign(request)) };
  } catch (error) {
    if (error instanceof InputError) return { fault: error };
    throw error;
  }
}

/** Why a plan may not be started, or null. */
export function stopOf(plan: Plan): Finding | null {
  if ('fault' in plan) return { level: 'stop', ...plan.fault.said };
  return 'state' in plan ? (plan.state.findings.find((finding) => finding.level === 'stop') ?? null) : null;
}

function isComplete({ pieces, startsAt, readyBy, school, ...rest }: BatchRequest): boolean {
  const numbers = [
    ...(school === 'dryRub' || isReadyBrine(rest) ? [] : [rest.waterG]),
    ...(rest.dose?.by === 'label'
      ? [rest.dose.gPerKg]
      : rest.dose?.by === 'written'
        ? [rest.dose.saltG, rest.dose.sugarG, rest.dose.cureG]
        : [rest.saltPercent]),
    rest.sugarPercent,
    ...(rest.ownLines ?? []).map(({ g }) => g),
    rest.nitritePpm,
    rest.cureDays,
    rest.meatScaleStepG,
    rest.cureScaleStepG,
    ...pieces.flatMap((piece) => [piece.greenG, piece.thicknessMm, piece.lengthMm, piece.boneMm ?? 0, piece.fatCapMm ?? 0]),
    rest.coldC ?? 0,
    rest.strongSaltPercent ?? USUAL_STRONG_PERCENT,
    ...(rest.ruleSet === 'house' ? [rest.houseLimit, rest.houseFloor] : []),
    ...(rest.cure === undefined || rest.nitritePpm === 0 ? [] : [rest.cure.nitritePercent, rest.cure.nitratePercent, rest.cure.saltPercent]),
    ...(school === 'pumpAndCover' || school === 'pumpSame'
      ? [rest.pumpPercent, rest.repumpPercent, rest.pickleSaltPercent, rest.syringeML, rest.spacingMm]
      : []),
  ];
  // A time that somebody is typing is none until it is written to its end.
  const times = [startsAt, ...(readyBy === undefined ? [] : [readyBy])];
  return numbers.every((value) => Number.isFinite(value)) && times.every((at) => Number.isFinite(Date.parse(at)));
}
