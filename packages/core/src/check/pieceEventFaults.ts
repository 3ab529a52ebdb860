import { numberFault } from '../units/require.js';
import { faultAt, type EntryFault } from '../log/entryFault.js';
import { checkSays } from '../say/english/check.js';
import type { Message } from '../say/message.js';
import { piecesAt, type PieceNow } from '../batch/pieces.js';
import type { BatchState } from '../batch/batchState.js';
import { SHAPING_ACTS, type PieceEvent } from '../log/pieceEvent.js';

const LEAST_G = 50;
const WEIGHT = { above: 0, max: 60_000, unit: 'g' } as const;
/** What two parts may weigh together, as a share of the piece when it was green: it takes brine up, and loses water. */
const OF_GREEN = { low: 0.3, high: 1.35 } as const;

/** What is wrong with an event before it is written; an empty answer means that it may be. */
export function pieceEventFaults(event: PieceEvent, state: BatchState, at: number): EntryFault[] {
  if (typeof event !== 'object' || (event as unknown) === null) return [faultAt('event', checkSays('what-happened-to-piece'))];
  const here = piecesAt(state, at);
  if (event.act === 'parted') return partedFaults(event, here);
  const piece = here.find(({ code }) => code === event.piece);
  if (piece === undefined) return [faultAt('event.piece', checkSays('piece-gone'))];
  switch (event.act) {
    case 'split':
      return splitFaults(event, piece, state, at);
    case 'joined':
      if (event.to === event.piece || !here.some(({ code }) => code === event.to)) return [faultAt('event.to', checkSays('tied-to-which'))];
      return [];
    case 'dropped':
      return here.length > 1 ? [] : [faultAt('event.piece', checkSays('last-piece'))];
    default:
      if (!(SHAPING_ACTS as readonly string[]).includes(event.act)) return [faultAt('event.act', checkSays('no-act-on-piece'))];
      return [
        ...weightFault('event.offG', checkSays('cut-away'), event.offG),
        ...(event.offG !== undefined && event.offG >= piece.greenG
          ? [faultAt('event.offG', checkSays('cut-it-all', { offG: event.offG, greenG: piece.greenG }))]
          : []),
        ...weighsFault(event.weighsG, piece),
      ];
  }
}

/** Whole pieces that become a batch of their own: any but all. */
function partedFaults({ pieces, to }: Extract<PieceEvent, { act: 'parted' }>, here: readonly PieceNow[]): EntryFault[] {
  if (typeof to !== 'string' || !UUID.test(to)) return [faultAt('event.to', checkSays('part-is-no-batch'))];
  if (!Array.isArray(pieces) || pieces.length === 0) return [faultAt('event.pieces', checkSays('act-which-pieces'))];
  if (!pieces.every((code: unknown) => here.some((piece) => piece.code === code))) return [faultAt('event.pieces', checkSays('piece-gone'))];
  return new Set(pieces).size < here.length ? [] : [faultAt('event.pieces', checkSays('all-of-them'))];
}

const UUID = /^[0-9a-f-]{36}$/;

function splitFaults(event: Extract<PieceEvent, { act: 'split' }>, piece: PieceNow, state: BatchState, at: number): EntryFault[] {
  if (typeof event.to !== 'string' || !UUID.test(event.to)) return [faultAt('event.to', checkSays('part-is-no-batch'))];
  const faults = [
    ...weightFault('event.staysG', checkSays('what-stays'), event.staysG, true),
    ...weightFault('event.goesG', checkSays('what-goes'), event.goesG, true),
  ];
  if (faults.length > 0) return faults;
  if (inTheBrine(state, at)) return [faultAt('entry', checkSays('lies-in-brine'))];
  const share = (event.staysG + event.goesG) / piece.greenG;
  if (share < OF_GREEN.low || share > OF_GREEN.high)
    return [faultAt('event.goesG', checkSays('parts-off', { togetherG: event.staysG + event.goesG, greenG: piece.greenG }))];
  return [];
}

/** Whether meat and brine are together. */
function inTheBrine({ closedAt }: BatchState, at: number): boolean {
  const [inAt, outAt] = [closedAt('meat-in') ?? closedAt('pump'), closedAt('pull')];
  return inAt !== null && at >= inAt && (outAt === null || at < outAt);
}

function weightFault(field: string, what: Message, g: unknown, isNeeded = false): EntryFault[] {
  if (g === undefined && !isNeeded) return [];
  if (typeof g !== 'number' || !Number.isFinite(g)) return [faultAt(field, checkSays('weight-missing', { what }))];
  const fault = numberFault(g, isNeeded ? { ...WEIGHT, min: LEAST_G } : WEIGHT, what);
  return fault === null ? [] : [faultAt(field, fault)];
}

function weighsFault(g: number | undefined, { greenG }: PieceNow): EntryFault[] {
  const fault = weightFault('event.weighsG', checkSays('its-weight'), g);
  if (fault.length > 0 || g === undefined) return fault;
  if (g < greenG * OF_GREEN.low || g > greenG * OF_GREEN.high) return [faultAt('event.weighsG', checkSays('far-from-before', { g, beforeG: greenG }))];
  return [];
}
