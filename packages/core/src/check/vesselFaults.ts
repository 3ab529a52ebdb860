import { requireVessels } from '../batch/requireVessels.js';
import type { BatchState } from '../batch/batchState.js';
import { piecesAt } from '../batch/pieces.js';
import { faultAt, type EntryFault } from '../log/entryFault.js';
import type { Vessel } from '../log/vessel.js';
import { checkSays } from '../say/english/check.js';
import { attempt } from './entryDraft.js';

/** So much more than was mixed may be poured: scales, ice, what drips off [T], of one. */
const POURED_OVER = 1.05;

/** What is wrong with how the pieces are said to lie, before it is written. */
export function vesselFaults(vessels: readonly Vessel[], state: BatchState, at: number): EntryFault[] {
  if (!areVessels(vessels)) return [faultAt('vessels', checkSays('which-vessels'))];
  const pulledAt = state.closedAt('pull');
  if (pulledAt !== null && at >= pulledAt) return [faultAt('at', checkSays('lies-no-more'))];
  const codes = piecesAt(state, at).map(({ code }) => code);
  const tried = attempt(() => requireVessels(vessels, codes));
  if ('fault' in tried) return [tried.fault];
  const poured = vessels.reduce((g, { brineG = 0 }) => g + brineG, 0);
  const bath = state.facts.brines.find(({ id }) => id !== 'pickle');
  if (bath?.weighed !== true || poured <= bath.brineG * POURED_OVER) return [];
  return [faultAt('vessels', checkSays('poured-more', { pouredG: poured, mixedG: bath.brineG }))];
}

const areVessels = (vessels: unknown): boolean => Array.isArray(vessels) && vessels.every(isVessel);

const isVessel = (vessel: unknown): boolean =>
  typeof vessel === 'object' &&
  vessel !== null &&
  'pieces' in vessel &&
  Array.isArray(vessel.pieces) &&
  vessel.pieces.every((code) => typeof code === 'string');
