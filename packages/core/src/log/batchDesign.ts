import type { StepInstants } from './stepId.js';
import type { Product } from '../products/product.js';
import type { RuleSet, RuleSetId } from '../cure/ruleSet.js';
import type { CureMix } from '../ingredients/cureMix.js';
import type { Section } from '../section/section.js';
import type { CookProgram } from './cookProgram.js';
import type { Vessel } from './vessel.js';

export interface Piece {
  /** A, B, C … */
  code: string;
  greenG: number;
  section: Section;
  lengthMm: number;
}

/** What the needle does: percents of the pump are of green weight, of the pickle w/w of the brine. */
interface Needle {
  pumpPercent: number;
  /** 0 where the piece is not pumped again half-way */
  repumpPercent: number;
  pickleSaltPercent: number;
  syringeML: number;
  spacingMm: number;
}

/** One brine for the needle, another around it; or one brine for both. `waterG` is that of the brine that it lies in. */
export type PumpedSchool = ({ kind: 'pumpAndCover'; waterG: number } & Needle) | ({ kind: 'pumpSame'; waterG: number } & Needle);

/** How the cure meets the meat. Water in g. */
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
  | PumpedSchool
  /** rubbed on, in a bag with the juice that it draws */
  | { kind: 'dryRub'; waterG: 0 };

/**
 * A cure that is not weighed for an aim: so much as its label says, as the whole salt, or every line as the cook has it written; the nitrite
 * follows.
 */
export type Dose =
  { by: 'label'; gPerKg: number; per: 'meat' | 'water' } | { by: 'wholeSalt' } | { by: 'written'; saltG: number; sugarG: number; cureG: number };

/** What goes in beside water, salt, sugar and cure, as the cook wrote it: weighed, named, and counted for what it is made of. */
export interface OwnLine {
  name: string;
  g: number;
  /** % by weight; the rest counts as weight alone */
  saltPercent?: number;
  sugarPercent?: number;
  waterPercent?: number;
}

/** What the cook calls the lines that every brine has: coarse sea salt, brown sugar. */
export type LineNames = Partial<Record<'saltG' | 'sugarG', string>>;

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
  /** how the cure is dosed where it is not by the nitrite aimed at */
  dose?: Dose;
  /** what else lies in the brine around the meat, or in the rub */
  ownLines?: OwnLine[];
  /** true where nothing of the recipe's spices goes in */
  withoutSpices?: boolean;
  lineNames?: LineNames;
  /** what the pieces lie in, as planned; all in one when not given */
  vessels?: Vessel[];
  /** ascorbate or erythorbate, ppm of the meat, by the way of the nitrite; none when not given */
  acceleratorPpm?: number;
  ruleSet: RuleSetId;
  /** the cook’s own limits, for the rule set `house` */
  house?: RuleSet;
  cureDays: number;
  /** the refrigerator that it lies in, °C; 3 when not given */
  coldC?: number;
  /** ISO instants for which jobs are planned, by step: the Calendar’s word over the usual hours */
  stepAt?: StepInstants;
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
