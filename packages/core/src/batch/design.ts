import { thicknessMm } from '../section/section.js';
import type { SizedPiece } from '../section/uptake.js';
import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import { SCHOOLS } from '../log/school.js';
import type { Piece, School, BatchDesign } from '../log/batchDesign.js';
import { STRONG_SALT } from '../brine/strongPickle.js';
import { inputSays } from '../say/english/inputs.js';

/** A piece with its ends and edges. */
export const sizeOf = ({ section, lengthMm, greenG }: Piece): SizedPiece => ({ section, lengthMm, massG: greenG });

/** Whether it lies in a strong pickle and is pulled by the clock. */
export const isByTheClock = (school: School): boolean => school.kind === 'equilibrium' && school.strongSaltPercent !== undefined;

/** Bounds of ascorbate or erythorbate, ppm [P: 9 CFR 424.21(c) and 424.22(b), values from memory]. */
const ACCELERATOR = { min: 0, max: 550, unit: 'ppm' } as const;

/** Thicker than this a piece is pumped, by default [T], mm. */
export const PUMP_ABOVE_MM = 70;

export const MOST_PIECES = 12;

/**
 * Structural checks of a design, beyond the types.
 *
 * @throws InputError at the first fault
 */
export function requireDesign(design: BatchDesign): BatchDesign {
  if (design.pieces.length === 0) throw new InputError('pieces', inputSays('no-piece-weighed'));
  if (design.pieces.length > MOST_PIECES) throw new InputError('pieces', inputSays('too-many-pieces', { most: MOST_PIECES }));
  const codes = new Set<string>();
  design.pieces.forEach((piece, i) => {
    requireNumber(`pieces.${i}.greenG`, piece.greenG, { min: 100, max: 60000, unit: 'g' });
    requireNumber(`pieces.${i}.lengthMm`, piece.lengthMm, { min: 30, max: 1500, unit: 'mm' });
    requireNumber(`pieces.${i}.section`, thicknessMm(piece.section), { min: 5, max: 400, unit: 'mm' });
    if (codes.has(piece.code)) throw new InputError(`pieces.${i}.code`, inputSays('piece-named-twice', { piece: piece.code }));
    codes.add(piece.code);
  });
  if (!SCHOOLS.includes(design.school.kind)) throw new InputError('school', inputSays('no-school'));
  if (design.school.kind === 'equilibrium' && design.school.strongSaltPercent !== undefined)
    requireNumber('strongSaltPercent', design.school.strongSaltPercent, STRONG_SALT);
  if (design.acceleratorPpm !== undefined && !(design.acceleratorPpm >= ACCELERATOR.min && design.acceleratorPpm <= ACCELERATOR.max))
    throw new InputError('acceleratorPpm', inputSays('accelerator-range', { most: ACCELERATOR.max }));
  requireNumber('cureDays', design.cureDays, { min: 1, max: 60, unit: 'days' });
  if (!Number.isFinite(Date.parse(design.startsAt))) throw new InputError('startsAt', inputSays('no-start'));
  return design;
}

/** Thickest piece, mm. */
export const thickestMm = (design: BatchDesign): number => Math.max(...design.pieces.map((piece) => thicknessMm(piece.section)));

/** Whether the school pumps, and a second time half-way. */
export const repumps = (school: School): boolean => school.kind === 'pumpAndCover' && school.repumpPercent > 0;
