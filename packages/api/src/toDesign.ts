import {
  CURE_1,
  houseRules,
  NO_CURE,
  requireInstants,
  requireStores,
  RULE_SETS,
  type BatchDesign,
  type RuleSet,
  type School,
  type Section,
} from '@bunkhouse/core';
import type { BatchRequest, PieceRequest } from './batchRequest.js';

const PIECE_CODES = 'ABCDEFGHIJKL';

/** Whose limits hold for a request; the house’s own count as nothing while they are missing. */
export const requestRules = ({ ruleSet, houseLimit = 0, houseFloor = 0 }: Pick<BatchRequest, 'ruleSet' | 'houseLimit' | 'houseFloor'>): RuleSet =>
  ruleSet === 'house' ? houseRules({ houseLimit, houseFloor }) : RULE_SETS[ruleSet];

/** The design that a checked request asks for. */
export function toDesign(request: BatchRequest): BatchDesign {
  return {
    product: request.product,
    pieces: request.pieces.map((piece, i) => ({
      code: PIECE_CODES[i] ?? String(i + 1),
      greenG: piece.greenG,
      lengthMm: piece.lengthMm,
      section: toSection(piece),
    })),
    school: toSchool(request),
    saltPercent: request.saltPercent,
    sugarPercent: request.sugarPercent,
    nitritePpm: request.nitritePpm,
    cure: request.nitritePpm === 0 ? NO_CURE : request.cure == null ? CURE_1 : { ...request.cure },
    ...(request.acceleratorPpm === undefined || request.acceleratorPpm === 0 || request.nitritePpm === 0 ? {} : { acceleratorPpm: request.acceleratorPpm }),
    ruleSet: request.ruleSet,
    ...(request.ruleSet === 'house' ? { house: requestRules(request) } : {}),
    cureDays: request.cureDays,
    ...(request.coldC === undefined ? {} : { coldC: request.coldC }),
    ...(request.readyBy === undefined ? {} : { readyBy: new Date(request.readyBy).toISOString() }),
    ...(request.stepAt === undefined ? {} : { stepAt: requireInstants(request.stepAt) }),
    ...(request.stores === undefined ? {} : { stores: requireStores(request.stores) }),
    ...(request.diffusivity === undefined ? {} : { diffusivity: { ...request.diffusivity } }),
    meatScaleStepG: request.meatScaleStepG,
    cureScaleStepG: request.cureScaleStepG,
    startsAt: new Date(request.startsAt).toISOString(),
  };
}

function toSection({ shape, thicknessMm, boneMm = 0, skinOn = false, fatCapMm = 0 }: PieceRequest): Section {
  return {
    ...(shape === 'slab' ? { shape, thicknessMm } : { shape, diameterMm: thicknessMm }),
    ...(boneMm > 0 ? { bone: { diameterMm: boneMm } } : {}),
    ...(skinOn ? { closedSide: 'top' as const } : {}),
    ...(fatCapMm > 0 ? { fatCapMm } : {}),
  };
}

function toSchool(request: BatchRequest): School {
  const { waterG } = request;
  const { strongSaltPercent } = request;
  if (request.school === 'equilibrium') return { kind: 'equilibrium', waterG, ...(strongSaltPercent === undefined ? {} : { strongSaltPercent }) };
  return {
    kind: 'pumpAndCover',
    waterG,
    pumpPercent: request.pumpPercent ?? 0,
    repumpPercent: request.repumpPercent ?? 0,
    pickleSaltPercent: request.pickleSaltPercent ?? 0,
    syringeML: request.syringeML ?? 60,
    spacingMm: request.spacingMm ?? 25,
  };
}
