import { numberFault } from '../units/require.js';
import type { EntryFault } from '../log/entryFault.js';
import { piecesAt, type PieceNow } from '../batch/pieces.js';
import type { BatchState } from '../batch/batchState.js';
import { SHAPING_ACTS, type PieceEvent } from '../log/pieceEvent.js';

const LEAST_G = 50;
const WEIGHT = { above: 0, max: 60_000, unit: 'g' } as const;
/** What two parts may weigh together, as a share of the piece when it was green: it takes brine up, and loses water. */
const OF_GREEN = { low: 0.3, high: 1.35 } as const;

/** What is wrong with an event before it is written; an empty answer means that it may be. */
export function pieceEventFaults(event: PieceEvent, state: BatchState, at: number): EntryFault[] {
  if (typeof event !== 'object' || (event as unknown) === null) return [{ field: 'event', message: 'What happened to the piece?' }];
  const here = piecesAt(state, at);
  const piece = here.find(({ code }) => code === event.piece);
  if (piece === undefined) return [{ field: 'event.piece', message: 'This batch has no such piece, or it has left it.' }];
  switch (event.act) {
    case 'split':
      return splitFaults(event, piece, state, at);
    case 'joined':
      if (event.to === event.piece || !here.some(({ code }) => code === event.to))
        return [{ field: 'event.to', message: 'Tied to which other piece of this batch?' }];
      return [];
    case 'dropped':
      return here.length > 1 ? [] : [{ field: 'event.piece', message: 'That is the last piece: throw the batch away instead.' }];
    default:
      if (!(SHAPING_ACTS as readonly string[]).includes(event.act)) return [{ field: 'event.act', message: 'That is nothing that is done to a piece.' }];
      return [...weightFault('event.offG', 'What was cut away', event.offG), ...weighsFault(event.weighsG, piece)];
  }
}

function splitFaults(event: Extract<PieceEvent, { act: 'split' }>, piece: PieceNow, state: BatchState, at: number): EntryFault[] {
  if (typeof event.to !== 'string' || !/^[0-9a-f-]{36}$/.test(event.to)) return [{ field: 'event.to', message: 'The other part needs to be a batch.' }];
  const faults = [...weightFault('event.staysG', 'What stays', event.staysG, true), ...weightFault('event.goesG', 'What goes', event.goesG, true)];
  if (faults.length > 0) return faults;
  if (inTheBrine(state, at))
    return [{ field: 'entry', message: 'It lies in the brine: cut it before it goes in, or when it is pulled. Two parts would cure at two speeds.' }];
  const share = (event.staysG + event.goesG) / piece.greenG;
  if (share < OF_GREEN.low || share > OF_GREEN.high)
    return [
      {
        field: 'event.goesG',
        message: `Together that is ${Math.round(event.staysG + event.goesG)} g of a piece of ${Math.round(piece.greenG)} g green. Look at the unit and weigh again.`,
      },
    ];
  return [];
}

/** Whether meat and brine are together. */
function inTheBrine({ closedAt }: BatchState, at: number): boolean {
  const [inAt, outAt] = [closedAt('meat-in') ?? closedAt('pump'), closedAt('pull')];
  return inAt !== null && at >= inAt && (outAt === null || at < outAt);
}

function weightFault(field: string, name: string, g: unknown, isNeeded = false): EntryFault[] {
  if (g === undefined && !isNeeded) return [];
  if (typeof g !== 'number' || !Number.isFinite(g)) return [{ field, message: `${name}: a weight is missing.` }];
  const fault = numberFault(g, isNeeded ? { ...WEIGHT, min: LEAST_G } : WEIGHT);
  return fault === null ? [] : [{ field, message: `${name} ${fault}.` }];
}

function weighsFault(g: number | undefined, { greenG }: PieceNow): EntryFault[] {
  const fault = weightFault('event.weighsG', 'Its weight', g);
  if (fault.length > 0 || g === undefined) return fault;
  if (g < greenG * OF_GREEN.low || g > greenG * OF_GREEN.high)
    return [{ field: 'event.weighsG', message: `${Math.round(g)} g is far from the ${Math.round(greenG)} g before. Look at the unit and weigh again.` }];
  return [];
}
