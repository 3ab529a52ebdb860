import {
  CURE_1,
  doseAims,
  houseRules,
  NO_CURE,
  requireInstants,
  requireStores,
  RULE_SETS,
  type BatchDesign,
  type Dose,
  type RuleSet,
  type School,
  type Section,
} from '@bunkhouse/core';
import type { BatchRequest } from './batchRequest.js';
import type { DoseRequest } from './doseRequest.js';
import type { PieceRequest } from './pieceRequest.js';

const PIECE_CODES = 'ABCDEFGHIJKL';

/** Whose limits hold for a request; the house’s own count as nothing while they are missing. */
export const requestRules = ({ ruleSet, houseLimit = 0, houseFloor = 0 }: Pick<BatchRequest, 'ruleSet' | 'houseLimit' | 'houseFloor'>): RuleSet =>
  ruleSet === 'house' ? houseRules({ houseLimit, houseFloor }) : RULE_SETS[ruleSet];

/** The design that a checked request asks for: where a label or a whole salt says how much, its salt and nitrite follow from that. */
export function toDesign(request: BatchRequest): BatchDesign {
  const design = asAsked(request);
  if (design.dose === undefined) return design;
  const aims = doseAims(design);
  return { ...design, ...aims, ...(aims.nitritePpm === 0 ? { cure: NO_CURE } : {}) };
}

function asAsked(request: BatchRequest): BatchDesign {
  return {
    product: request.product,
    pieces: request.pieces.map((piece, i) => ({
      code: codeOf(i),
      greenG: piece.greenG,
      lengthMm: piece.lengthMm,
      section: toSection(piece),
    })),
    ...toVessels(request),
    school: toSchool(request),
    saltPercent: request.saltPercent ?? 0,
    sugarPercent: request.sugarPercent,
    nitritePpm: request.nitritePpm,
    cure: request.nitritePpm === 0 && request.dose === undefined ? NO_CURE : request.cure == null ? CURE_1 : { ...request.cure },
    ...(request.dose === undefined ? {} : { dose: toDose(request.dose) }),
    ...(request.ownLines === undefined || request.ownLines.length === 0 ? {} : { ownLines: request.ownLines.map((line) => ({ ...line })) }),
    ...(request.withoutSpices === true ? { withoutSpices: true } : {}),
    ...(request.lineNames === undefined || Object.keys(request.lineNames).length === 0 ? {} : { lineNames: { ...request.lineNames } }),
    ...(request.acceleratorPpm === undefined || request.dose !== undefined || request.acceleratorPpm === 0 || request.nitritePpm === 0
      ? {}
      : { acceleratorPpm: request.acceleratorPpm }),
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

const codeOf = (i: number): string => PIECE_CODES[i] ?? String(i + 1);

/** Pieces that lie apart; none where all lie in one. */
function toVessels({ pieces, vesselKind: kind = 'tub', sharedAlike }: BatchRequest): Pick<BatchDesign, 'vessels'> {
  const numbers = [...new Set(pieces.map(({ vessel = 1 }) => vessel))].sort((a, b) => a - b);
  if (numbers.length < 2) return {};
  const inIt = (n: number) => pieces.flatMap(({ vessel = 1 }, i) => (vessel === n ? [codeOf(i)] : []));
  return { vessels: numbers.map((n) => ({ kind, pieces: inIt(n), ...(sharedAlike === true ? { part: 1 } : {}) })) };
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
  const { school: kind, strongSaltPercent } = request;
  if (kind === 'dryRub') return { kind, waterG: 0 };
  const waterG = Number.isFinite(request.waterG) ? request.waterG : 0;
  if (kind === 'equilibrium')
    return { kind, waterG, ...(strongSaltPercent === undefined || (request.dose !== undefined && request.dose.by !== 'written') ? {} : { strongSaltPercent }) };
  return {
    kind,
    waterG,
    pumpPercent: request.pumpPercent ?? 0,
    repumpPercent: request.repumpPercent ?? 0,
    pickleSaltPercent: request.pickleSaltPercent ?? 0,
    syringeML: request.syringeML ?? 60,
    spacingMm: request.spacingMm ?? 25,
  };
}

function toDose({ by, gPerKg = 0, per = 'meat', saltG = 0, sugarG = 0, cureG = 0 }: DoseRequest): Dose {
  if (by === 'label') return { by, gPerKg, per };
  return by === 'written' ? { by, saltG, sugarG, cureG } : { by };
}
