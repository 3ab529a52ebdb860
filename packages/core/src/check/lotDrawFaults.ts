import { numberFault } from '../units/require.js';
import { faultAt, type EntryFault } from '../log/entryFault.js';
import { checkSays } from '../say/english/check.js';
import { LOT_KINDS, type LotDraw } from '../log/lotDraw.js';

const DRAW = { above: 0, max: 500_000, unit: 'g' } as const;

/** What is wrong with a draw before it is written; an empty answer means that it may be. Whether there is such a lot the house knows. */
export function lotDrawFaults(draw: LotDraw): EntryFault[] {
  if (typeof draw !== 'object' || (draw as unknown) === null) return [faultAt('draw', checkSays('which-lot'))];
  if (!LOT_KINDS.includes(draw.of)) return [faultAt('draw.of', checkSays('no-lots-of-it'))];
  if (typeof draw.lot !== 'string' || !/^[0-9a-f-]{36}$/.test(draw.lot)) return [faultAt('draw.lot', checkSays('no-such-lot'))];
  if (typeof draw.g !== 'number' || !Number.isFinite(draw.g)) return [faultAt('draw.g', checkSays('draw-missing'))];
  const fault = numberFault(draw.g, DRAW, checkSays('what-was-taken'));
  return fault === null ? [] : [faultAt('draw.g', fault)];
}
