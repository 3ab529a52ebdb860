import { thicknessMm } from '../section/section.js';
import type { SizedPiece } from '../section/uptake.js';
import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import { SCHOOLS } from '../log/school.js';
import type { Piece, PumpedSchool, School, BatchDesign } from '../log/batchDesign.js';
import { STRONG_SALT } from '../brine/strongPickle.js';
import { inputSays } from '../say/english/inputs.js';
import { requireVessels } from './requireVessels.js';

/** A piece with its ends and edges. */
export const sizeOf = ({ section, lengthMm, greenG }: Piece): SizedPiece => ({ section, lengthMm, massG: greenG });

/** Whether a needle brings part of the cure. */
export const isPumped = (school: School): school is PumpedSchool => school.kind === 'pumpAndCover' || school.kind === 'pumpSame';

/** Whether it lies in a strong pickle and is pulled by the clock: of the tub alone, or of needle and tub. */
export const isByTheClock = (school: School): boolean =>
  school.kind === 'pumpSame' || (school.kind === 'equilibrium' && school.strongSaltPercent !== undefined);

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
  requireDose(design);
  if (design.vessels !== undefined) requireVessels(design.vessels, [...codes]);
  if (design.acceleratorPpm !== undefined && !(design.acceleratorPpm >= ACCELERATOR.min && design.acceleratorPpm <= ACCELERATOR.max))
    throw new InputError('acceleratorPpm', inputSays('accelerator-range', { most: ACCELERATOR.max }));
  requireNumber('cureDays', design.cureDays, { min: 1, max: 60, unit: 'days' });
  if (!Number.isFinite(Date.parse(design.startsAt))) throw new InputError('startsAt', inputSays('no-start'));
  return design;
}

/** Thickest piece, mm. */
export const thickestMm = (design: BatchDesign): number => Math.max(...design.pieces.map((piece) => thicknessMm(piece.section)));

/** Whether the school pumps, and a second time half-way. */
export const repumps = (school: School): boolean => isPumped(school) && school.repumpPercent > 0;

/** The same way with so much water; a rub has none. */
export const withWater = (school: School, waterG: number): School => (school.kind === 'dryRub' ? school : { ...school, waterG });

/** Bounds of what a label asks for, g per kg: a ready brine is poured by the half of the meat's weight and more. */
export const LABEL_G_PER_KG = { above: 0, max: 3000, unit: 'g/kg' } as const;
const MOST_OWN_LINES = 24;

/** What is dosed otherwise than by an aim, and what the cook's own lines can be. */
function requireDose({ school, dose, acceleratorPpm, ownLines = [] }: BatchDesign): void {
  const isStrong = school.kind === 'equilibrium' && school.strongSaltPercent !== undefined;
  if (dose !== undefined && (school.kind === 'pumpAndCover' || (isStrong && dose.by !== 'written'))) {
    throw new InputError('dose', inputSays('dose-of-one-brine'));
  }
  if (dose?.by === 'written') {
    for (const name of ['saltG', 'sugarG', 'cureG'] as const) requireNumber(`dose.${name}`, dose[name], { min: 0, max: 500000, unit: 'g' });
  }
  if (dose?.by === 'label') {
    requireNumber('dose.gPerKg', dose.gPerKg, LABEL_G_PER_KG);
    if (school.kind === 'dryRub' && dose.per === 'water') throw new InputError('dose.per', inputSays('label-per-water-dry'));
  }
  if (dose !== undefined && acceleratorPpm !== undefined) throw new InputError('acceleratorPpm', inputSays('accelerator-by-label'));
  if (ownLines.length > MOST_OWN_LINES) throw new InputError('ownLines', inputSays('too-many-own-lines', { most: MOST_OWN_LINES }));
  ownLines.forEach((line, i) => {
    if (typeof line.name !== 'string' || line.name.trim() === '' || line.name.length > 60)
      throw new InputError(`ownLines.${i}.name`, inputSays('name-of-line', { most: 60 }));
    requireNumber(`ownLines.${i}.g`, line.g, { above: 0, max: 500000, unit: 'g' });
    const { saltPercent = 0, sugarPercent = 0, waterPercent = 0 } = line;
    for (const [name, percent] of Object.entries({ saltPercent, sugarPercent, waterPercent }))
      requireNumber(`ownLines.${i}.${name}`, percent, { min: 0, max: 100, unit: '%' });
    if (saltPercent + sugarPercent + waterPercent > 100.000001) throw new InputError(`ownLines.${i}`, inputSays('line-over-hundred', { line: line.name }));
  });
}
