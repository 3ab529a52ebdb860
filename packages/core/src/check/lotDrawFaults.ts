import { numberFault } from '../units/require.js';
import type { EntryFault } from '../log/entryFault.js';
import { LOT_KINDS, type LotDraw } from '../log/lotDraw.js';

const DRAW = { above: 0, max: 500_000, unit: 'g' } as const;

/** What is wrong with a draw before it is written; an empty answer means that it may be. Whether there is such a lot the house knows. */
export function lotDrawFaults(draw: LotDraw): EntryFault[] {
  if (typeof draw !== 'object' || (draw as unknown) === null) return [{ field: 'draw', message: 'Taken from which lot?' }];
  if (!LOT_KINDS.includes(draw.of)) return [{ field: 'draw.of', message: 'That comes in no lots.' }];
  if (typeof draw.lot !== 'string' || !/^[0-9a-f-]{36}$/.test(draw.lot)) return [{ field: 'draw.lot', message: 'There is no such lot.' }];
  if (typeof draw.g !== 'number' || !Number.isFinite(draw.g)) return [{ field: 'draw.g', message: 'How much was taken? A weight is missing.' }];
  const fault = numberFault(draw.g, DRAW);
  return fault === null ? [] : [{ field: 'draw.g', message: `What was taken ${fault}.` }];
}
