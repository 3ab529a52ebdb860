import { toDesign, type BatchRequest } from '@bunkhouse/api';
import { InputError, planBatch, processFor, USUAL_STRONG_PERCENT, type BatchState, type Finding, type Process } from '@bunkhouse/core';

/** What a form comes to: a plan, or why there is none. */
export type Plan = { state: BatchState } | { fault: InputError } | { incomplete: true };

/** Works a form out. A number that is missing makes it incomplete, a contradiction a fault. */
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

function isComplete({ pieces, startsAt, school, ...rest }: BatchRequest): boolean {
  const numbers = [
    rest.waterG,
    rest.saltPercent,
    rest.sugarPercent,
    rest.nitritePpm,
    rest.cureDays,
    rest.meatScaleStepG,
    rest.cureScaleStepG,
    ...pieces.flatMap((piece) => [piece.greenG, piece.thicknessMm, piece.lengthMm, piece.boneMm ?? 0, piece.fatCapMm ?? 0]),
    rest.coldC ?? 0,
    rest.strongSaltPercent ?? USUAL_STRONG_PERCENT,
    ...(rest.ruleSet === 'house' ? [rest.houseLimit, rest.houseFloor] : []),
    ...(rest.cure === undefined || rest.nitritePpm === 0 ? [] : [rest.cure.nitritePercent, rest.cure.nitratePercent, rest.cure.saltPercent]),
    ...(school === 'pumpAndCover' ? [rest.pumpPercent, rest.repumpPercent, rest.pickleSaltPercent, rest.syringeML, rest.spacingMm] : []),
  ];
  return numbers.every((value) => Number.isFinite(value)) && Number.isFinite(Date.parse(startsAt));
}
