import type { BatchRecord, BatchState } from '../batch/batchState.js';
import type { GateState } from '../safety/coolingGates.js';
import { LIMIT_C } from '../safety/fahrenheit.js';
import { chillWatch } from './chillWatch.js';
import { pitWatch, type ChannelReadings, type PieceWatch } from './pitWatch.js';

/** What was read shows that it is done, shows that it is not, or does neither. */
type Shown = 'met' | 'notMet' | 'notShown';

/** What a piece may be called, by its own cure and its own readings: of another piece nothing releases it. */
export interface PieceRelease {
  piece: string;
  isCured: boolean;
  /** lethality under the rules of the batch */
  cooked: Shown;
  /** its two chill gates together: the worse of them */
  chilled: GateState;
}

const WORST_FIRST: readonly GateState[] = ['fail', 'notShown', 'running', 'notStarted', 'pass'];

/**
 * Every piece that is there, with what its readings prove: hands', and where they are given those of the channels that hung in it.
 *
 * @param now ms
 */
export function pieceReleases(record: BatchRecord, state: BatchState, now: number, channels: readonly ChannelReadings[] = []): PieceRelease[] {
  const cook = pitWatch(state, record.process, channels, now);
  const chill = chillWatch(state, record.process, channels, cook, now);
  return state.pieces.map(({ code }) => {
    const gates = chill?.pieces.find(({ piece }) => piece === code)?.gates.map((gate) => gate.state) ?? [];
    return {
      piece: code,
      isCured: state.cured.find((piece) => piece.code === code)?.isCured === true,
      cooked: cookedOf(cook?.pieces.find(({ piece }) => piece === code)),
      chilled: WORST_FIRST.find((candidate) => gates.includes(candidate)) ?? 'notStarted',
    };
  });
}

/** Lethality of a piece: what reads under the table for all its doubt is not done; what nobody read is not shown. */
function cookedOf(piece: PieceWatch | undefined): Shown {
  if (piece === undefined) return 'notShown';
  if (piece.lethality.reachedAtS !== null) return 'met';
  const read = piece.counted.filter(({ s }) => s > 0);
  return read.length > 0 && read.every(({ C }) => C + piece.doubtC < LIMIT_C.lethal) ? 'notMet' : 'notShown';
}
