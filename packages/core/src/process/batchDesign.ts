import type { Product } from '../cure/product.js';
import type { RuleSet, RuleSetId } from '../cure/ruleSet.js';
import type { CureMix } from '../ingredients/cureMix.js';
import { thicknessMm, type Section } from '../section/section.js';
import type { SizedPiece } from '../section/uptake.js';
import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import type { CookProgram } from './cookProgram.js';
import { SCHOOLS, type SchoolKind } from './step.js';

export interface Piece {
  /** A, B, C … */
  code: string;
  greenG: number;
  section: Section;
  lengthMm: number;
}

/** A piece with its ends and edges. */
export const sizeOf = ({ section, lengthMm, greenG }: Piece): SizedPiece => ({ section, lengthMm, massG: greenG });

/** How the brine meets the meat. Water in g; percents of the pump are of green weight, of the pickle w/w of the brine. */
export type School =
  | {
      kind: 'equilibrium';
      waterG: number;
      /**
       * salt of a strong pickle that is left by the clock, % w/w of the brine: far over the limit if left until even, so its nitrite is
       * aimed at and judged at the pull. Weighed for meat and water when not given
       */
      strongSaltPercent?: number;
    }
  | {
      kind: 'pumpAndCover';
      /** water of the cover brine */
      waterG: number;
      pumpPercent: number;
      /** 0 where the piece is not pumped again half-way */
      repumpPercent: number;
      pickleSaltPercent: number;
      syringeML: number;
      spacingMm: number;
    };

/** Whether it lies in a strong pickle and is pulled by the clock. */
export const isByTheClock = (school: School): boolean => school.kind === 'equilibrium' && school.strongSaltPercent !== undefined;

/** Bounds of a strong pickle, % of the brine: under it, it is weighed for meat and water; over it, no more dissolves. */
export const STRONG_SALT = { min: 6, max: 26, unit: '%' } as const;

/** Where nothing is said of it: some 30° on the salometer [T: 5 to 8 % for a week, 10 to 20 % for short or large cures]. */
export const USUAL_STRONG_PERCENT = 8;

/** Bounds of ascorbate or erythorbate, ppm [P: 9 CFR 424.21(c) and 424.22(b), values from memory]. */
export const ACCELERATOR = { min: 0, max: 550, unit: 'ppm' } as const;

/** What a cook decides before a batch starts. Everything else follows from this, the process and the log. */
export interface BatchDesign {
  product: Product;
  pieces: Piece[];
  school: School;
  /** % of meat + water at the end, the salt in the cure counted */
  saltPercent: number;
  /** % of meat + water; of the brine where it is a strong pickle by the clock */
  sugarPercent: number;
  /** ingoing nitrite aimed at, ppm */
  nitritePpm: number;
  cure: CureMix;
  /** ascorbate or erythorbate, ppm of the meat, by the way of the nitrite; none when not given */
  acceleratorPpm?: number;
  ruleSet: RuleSetId;
  /** the cook’s own limits, for the rule set `house` */
  house?: RuleSet;
  cureDays: number;
  /** the refrigerator that it lies in, °C; 3 when not given */
  coldC?: number;
  /** ISO instants for which jobs are planned, by step: the Calendar’s word over the usual hours */
  stepAt?: Record<string, string>;
  /** when it is wanted on the table, ISO */
  readyBy?: string;
  /** the stores of the house that it is planned for, by what is held */
  stores?: Partial<Record<HoldName, string>>;
  /** how it is smoked and cooked; the process's way when not given */
  program?: CookProgram;
  /** planned time in fresh water, min; the usual one of the product when not given */
  soakMin?: number;
  /** diffusivity that the cure is modelled with; the usual one when not given */
  diffusivity?: Diffusivity;
  /** smallest steps of the two scales, g */
  meatScaleStepG: number;
  cureScaleStepG: number;
  /** ISO instant of the first job */
  startsAt: string;
}

/** What a batch takes of the house: a tub, a cold place while it cures, dries and is chilled, racks of a smoker. */
export const HOLD_NAMES = ['tub', 'cure', 'dry', 'smoke', 'chill'] as const;
export type HoldName = (typeof HOLD_NAMES)[number];

/** Diffusivity of lean meat at 3 °C, m²/s: one piece in ten lies under `low`, one in ten over `high`. */
export interface Diffusivity {
  value: number;
  low: number;
  high: number;
  /** how many cut faces it was learnt from; 0 for the usual one */
  cutFaces: number;
}

/** Thicker than this a piece is pumped, by default [T], mm. */
export const PUMP_ABOVE_MM = 70;

export const MOST_PIECES = 12;

/**
 * Structural checks of a design, beyond the types.
 *
 * @throws InputError at the first fault
 */
export function requireDesign(design: BatchDesign): BatchDesign {
  if (design.pieces.length === 0) throw new InputError('pieces', 'Weigh at least one piece.');
  if (design.pieces.length > MOST_PIECES) throw new InputError('pieces', `At most ${MOST_PIECES} pieces go into one batch.`);
  const codes = new Set<string>();
  design.pieces.forEach((piece, i) => {
    requireNumber(`pieces.${i}.greenG`, piece.greenG, { min: 100, max: 60000, unit: 'g' });
    requireNumber(`pieces.${i}.lengthMm`, piece.lengthMm, { min: 30, max: 1500, unit: 'mm' });
    requireNumber(`pieces.${i}.section`, thicknessMm(piece.section), { min: 5, max: 400, unit: 'mm' });
    if (codes.has(piece.code)) throw new InputError(`pieces.${i}.code`, `Two pieces are called ${piece.code}.`);
    codes.add(piece.code);
  });
  if (!SCHOOLS.includes(design.school.kind)) throw new InputError('school', 'Choose how the brine meets the meat.');
  if (design.school.kind === 'equilibrium' && design.school.strongSaltPercent !== undefined)
    requireNumber('strongSaltPercent', design.school.strongSaltPercent, STRONG_SALT);
  if (design.acceleratorPpm !== undefined && !(design.acceleratorPpm >= ACCELERATOR.min && design.acceleratorPpm <= ACCELERATOR.max))
    throw new InputError('acceleratorPpm', `Ascorbate or erythorbate: 0 to ${ACCELERATOR.max} ppm.`);
  requireNumber('cureDays', design.cureDays, { min: 1, max: 60, unit: 'days' });
  if (!Number.isFinite(Date.parse(design.startsAt))) throw new InputError('startsAt', 'The start needs a date and a time.');
  return design;
}

export const designGreenG = (design: BatchDesign): number => design.pieces.reduce((sum, piece) => sum + piece.greenG, 0);

/** Thickest piece, mm. */
export const thickestMm = (design: BatchDesign): number => Math.max(...design.pieces.map((piece) => thicknessMm(piece.section)));

/** Whether the school pumps, and a second time half-way. */
export const repumps = (school: School): boolean => school.kind === 'pumpAndCover' && school.repumpPercent > 0;

export const schoolKind = (design: BatchDesign): SchoolKind => design.school.kind;
