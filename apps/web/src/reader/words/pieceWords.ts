import type { PieceEvent, ShapingAct } from '@bunkhouse/core';
import { inWords } from '../quantities';
import type { Preferences } from '../preferences';

export const SHAPING_WORDS: Readonly<Record<ShapingAct, string>> = { trimmed: 'Trimmed', boned: 'Boned', tied: 'Tied', netted: 'Netted' };

/** `Piece A cut in two: 1 560 g stay, 2 600 g go`. */
export function pieceEventTitle(event: PieceEvent, shown: Preferences): string {
  const g = (grams: number) => inWords(grams, 'mass', shown);
  switch (event.act) {
    case 'split':
      return `Piece ${event.piece} cut in two: ${g(event.staysG)} stay, ${g(event.goesG)} go their own way`;
    case 'parted':
      return `${event.pieces.length === 1 ? 'Piece' : 'Pieces'} ${event.pieces.join(', ')} ${event.pieces.length === 1 ? 'goes its' : 'go their'} own way`;
    case 'joined':
      return `Piece ${event.piece} tied to ${event.to}`;
    case 'dropped':
      return `Piece ${event.piece} left the batch`;
    default:
      return [
        `Piece ${event.piece} ${SHAPING_WORDS[event.act].toLowerCase()}`,
        event.offG === undefined ? '' : `, ${g(event.offG)} off`,
        event.weighsG === undefined ? '' : `, weighs ${g(event.weighsG)}`,
      ].join('');
  }
}
