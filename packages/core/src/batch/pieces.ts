import type { Piece } from '../log/batchDesign.js';
import { isParting, type PieceEvent } from '../log/pieceEvent.js';
import type { StandingEntry } from '../log/standingEntries.js';

/** Where a batch comes from, when it is a part of another: which entry of that batch's log cut it off. */
export interface Origin {
  batchId: string;
  code: string;
  /** the first entries of the log, which the two share */
  sharedEntries: number;
  /** ids of every batch that it was cut from, the nearest first */
  line: string[];
}

/** Something that happened to a piece of a batch, as this batch sees it. */
export interface PieceFact {
  /** ms */
  at: number;
  event: PieceEvent;
  /** whether this batch is the part that went */
  isOurs: boolean;
}

/** What happened to the pieces, in order of time, as a batch sees it that is one of `line`: itself, and what it was cut from. */
export const pieceFacts = (line: readonly string[], standing: readonly StandingEntry[]): PieceFact[] =>
  standing
    .flatMap((entry): PieceFact[] =>
      entry.kind !== 'pieces' ? [] : [{ at: Date.parse(entry.at), event: entry.event, isOurs: isParting(entry.event) && line.includes(entry.event.to) }],
    )
    .sort((a, b) => a.at - b.at);

/**
 * Green weight of each piece that is there at an instant, g, from what each weighed at first: parts that went are gone, joined ones are
 * one, trimmed ones weigh what was weighed.
 *
 * @example greenAt({ A: 4000 }, [{ at: 0, event: { act: 'split', piece: 'A', staysG: 1500, goesG: 2500, to: 'b' }, isOurs: false }]) // { A: 1500 }
 */
export function greenAt(first: Readonly<Record<string, number>>, facts: readonly PieceFact[], until = Infinity): Record<string, number> {
  const green: Record<string, number> = { ...first };
  for (const { at, event, isOurs } of facts) {
    if (at > until) continue;
    if (event.act === 'parted') {
      for (const code of Object.keys(green)) if (event.pieces.includes(code) !== isOurs) delete green[code];
      continue;
    }
    const g = green[event.piece];
    if (g === undefined) continue;
    switch (event.act) {
      case 'split': {
        const share = event.goesG / (event.staysG + event.goesG);
        // The part that went brings nothing else along.
        if (isOurs) for (const other of Object.keys(green)) if (other !== event.piece) delete green[other];
        green[event.piece] = g * (isOurs ? share : 1 - share);
        break;
      }
      case 'joined':
        green[event.to] = (green[event.to] ?? 0) + g;
        delete green[event.piece];
        break;
      case 'dropped':
        delete green[event.piece];
        break;
      default:
        if (event.weighsG !== undefined) green[event.piece] = event.weighsG;
    }
  }
  return green;
}

/** A piece as it is now: its green weight and length are those of what is left of it. */
export type PieceNow = Piece;

interface Pieces {
  design: { pieces: readonly Piece[] };
  pieceFacts: readonly PieceFact[];
  firstGreenG: Readonly<Record<string, number>>;
}

/** The pieces that are there at an instant, ms. */
export function piecesAt({ design, pieceFacts: facts, firstGreenG }: Pieces, at: number): PieceNow[] {
  // What was trimmed after the cure is a loss of weight, not of green weight.
  const green = greenAt(firstGreenG, facts, at);
  return design.pieces.flatMap((piece): PieceNow[] => {
    const greenG = green[piece.code];
    if (greenG === undefined) return [];
    const first = firstGreenG[piece.code] ?? piece.greenG;
    const share = first > 0 ? Math.min(1, greenG / first) : 1;
    return [{ ...piece, greenG, lengthMm: share < 1 && wasCut(facts, piece.code) ? piece.lengthMm * share : piece.lengthMm }];
  });
}

const wasCut = (facts: readonly PieceFact[], code: string): boolean => facts.some(({ event }) => event.act === 'split' && event.piece === code);

/** The pieces that leave a batch with an event: thrown away, or gone their own way as another. None where they went with it, or are a part of it still. */
export const leavesWith = ({ event, isOurs }: PieceFact): readonly string[] =>
  event.act === 'dropped' ? [event.piece] : event.act === 'parted' && !isOurs ? event.pieces : [];

/** Whether a piece is none of a batch's any more: it left, or a part of the others came away without it. */
export const hasLeft = (facts: readonly PieceFact[], code: string): boolean =>
  facts.some((fact) => {
    const { event, isOurs } = fact;
    if (isOurs) return event.act === 'parted' ? !event.pieces.includes(code) : event.act === 'split' && event.piece !== code;
    return leavesWith(fact).includes(code);
  });
