import { handActSaid, vesselsSaid, type LogEntry } from '@bunkhouse/core';
import type { Preferences } from '../preferences';
import { inWords } from '../quantities';
import { nameHere, sayHere } from '../here';
import { pitEventTitle } from './eventTitle';
import { ENDING_WORDS } from './endingWords';
import { LOT_WORDS } from './lotWords';
import { pieceEventTitle } from './pieceWords';

type Titled = LogEntry extends infer E ? (E extends LogEntry ? Omit<E, 'seq' | 'recordedAt'> : never) : never;

/**
 * What an entry is called, wherever it stands.
 *
 * @param titleOf what a step of its batch is called
 * @param replaced what it corrects or takes back, where that is at hand
 */
export function entryTitle(entry: Titled, titleOf: (stepId: string) => string | undefined, shown: Preferences, replaced?: Titled): string {
  const named = (stepId: string) => nameHere(titleOf(stepId) ?? stepId);
  const before = replaced === undefined ? '' : `: ${entryTitle(replaced, titleOf, shown)}`;
  switch (entry.kind) {
    case 'done':
      return named(entry.stepId);
    case 'skipped':
      return `${named(entry.stepId)}, left out`;
    case 'correction':
      return `Correction${before}`;
    case 'withdrawn':
      return `Taken back${before}`;
    case 'ended':
      return ENDING_WORDS[entry.how ?? 'thrown-away'];
    case 'replanned':
      return 'New plan';
    case 'pit':
      return pitEventTitle(entry.event, shown);
    case 'pieces':
      return pieceEventTitle(entry.event, shown);
    case 'vessels':
      return sayHere(vesselsSaid(entry.vessels));
    case 'act':
      return sayHere(handActSaid(entry.event));
    case 'lot':
      return `${LOT_WORDS[entry.draw.of]} from a lot, ${inWords(entry.draw.g, entry.draw.of === 'cure' ? 'smallMass' : 'mass', shown)}`;
    case 'note':
      return 'Note';
  }
}
