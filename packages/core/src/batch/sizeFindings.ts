import { MEAT_DENSITY } from '../brine/coverBrine.js';
import type { Finding } from '../cure/finding.js';
import type { Piece } from '../log/batchDesign.js';
import { batchSays } from '../say/english/batch.js';
import { thicknessMm } from '../section/section.js';

/** Of what a body of its sizes weighs: a muscle tapers, and hollows weigh nothing; what lies beyond is a wrong unit or another piece [M]. */
const BODY = { least: 0.5, most: 1.7 } as const;
/** How wide a flat piece must be for its weight: hardly narrower than it is thick, hardly wider than it is long [M]. */
const WIDTH = { leastOfThickness: 0.7, mostOfLength: 1.3 } as const;

const grams = (mm3: number): number => (mm3 / 1000) * MEAT_DENSITY.lean;

/**
 * A weight and sizes that cannot be of one piece: the dose believes the one, the days the other.
 *
 * @param greenGs by the code of the piece, g
 */
export const sizeFindings = (pieces: readonly Piece[], greenGs: Readonly<Record<string, number>>): Finding[] =>
  pieces.flatMap((piece) => {
    const greenG = greenGs[piece.code];
    return greenG === undefined || greenG <= 0 ? [] : sizeFinding(piece, greenG);
  });

function sizeFinding({ code: piece, section, lengthMm }: Piece, greenG: number): Finding[] {
  const said = { piece, greenG, lengthMm };
  if (section.shape === 'slab') {
    const thickMm = thicknessMm(section);
    const wideMm = greenG / grams(thickMm * lengthMm);
    const fits = wideMm >= thickMm * WIDTH.leastOfThickness && wideMm <= lengthMm * WIDTH.mostOfLength;
    return fits ? [] : [{ level: 'warn', ...batchSays('size-flat', { ...said, thickMm, wideMm }) }];
  }
  const [wideMm, highMm] = section.shape === 'round' ? [section.diameterMm, section.diameterMm] : [section.widthMm, section.heightMm];
  const bodyG = grams(wideMm * highMm * (section.shape === 'rectangle' ? 1 : Math.PI / 4) * lengthMm);
  const fits = greenG >= bodyG * BODY.least && greenG <= bodyG * BODY.most;
  return fits ? [] : [{ level: 'warn', ...batchSays('size-body', { ...said, acrossMm: Math.min(wideMm, highMm), bodyG }) }];
}
