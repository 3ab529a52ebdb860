import { InputError } from '../inputError.js';
import { VESSEL_KINDS, type Vessel } from '../log/vessel.js';
import { inputSays } from '../say/english/inputs.js';
import { requireNumber } from '../units/require.js';

/** What a vessel holds in grams at the most: half a tonne. */
const MOST_G = 500_000;

/**
 * Checks that every piece lies in one vessel, and in one only.
 *
 * @throws InputError at the first fault
 */
export function requireVessels(vessels: readonly Vessel[], codes: readonly string[]): void {
  const seen = new Set<string>();
  if (vessels.length === 0 || vessels.length > codes.length) throw new InputError('vessels', inputSays('vessels-count', { most: codes.length }));
  vessels.forEach((vessel, i) => {
    if (!VESSEL_KINDS.includes(vessel.kind)) throw new InputError(`vessels.${i}.kind`, inputSays('no-vessel'));
    if (vessel.pieces.length === 0) throw new InputError(`vessels.${i}.pieces`, inputSays('vessel-empty', { n: i + 1 }));
    if (vessel.part !== undefined) requireNumber(`vessels.${i}.part`, vessel.part, { above: 0, max: 1000 });
    if (vessel.brineG !== undefined) requireNumber(`vessels.${i}.brineG`, vessel.brineG, { above: 0, max: MOST_G, unit: 'g' });
    for (const code of vessel.pieces) {
      if (!codes.includes(code)) throw new InputError(`vessels.${i}.pieces`, inputSays('piece-not-here', { piece: code }));
      if (seen.has(code)) throw new InputError(`vessels.${i}.pieces`, inputSays('piece-lies-twice', { piece: code }));
      seen.add(code);
    }
  });
  const left = codes.find((code) => !seen.has(code));
  if (left !== undefined) throw new InputError('vessels', inputSays('piece-lies-nowhere', { piece: left }));
}
