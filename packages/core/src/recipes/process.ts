import type { Product } from '../products/product.js';
import type { CureMix } from '../ingredients/cureMix.js';
import type { Section } from '../section/section.js';
import type { Dose } from '../log/batchDesign.js';
import type { CookProgram } from '../log/cookProgram.js';
import type { CureTime, SchoolKind } from '../log/school.js';
import type { StepTemplate } from '../steps/step.js';

export interface CureDays {
  shortest: number;
  usual: number;
  longest: number;
}

/** A line beside salt, sugar and cure, by weight of meat. */
export interface Spice {
  name: string;
  gPerKg: number;
}

/** How a product is made: data, not code. A batch keeps the process that it was started with. */
export interface Process {
  product: Product;
  version: number;
  name: string;
  /** first letters of a batch code */
  prefix: string;
  cureDays: Record<CureTime, CureDays>;
  usual: {
    school: SchoolKind;
    greenG: number;
    section: Section;
    lengthMm: number;
    /** % of meat + water */
    saltPercent: number;
    sugarPercent: number;
    /** water to cover, as a share of the meat's weight */
    waterPerMeat: number;
    pumpPercent: number;
    repumpPercent: number;
    /** strength of the pump pickle, % of the brine */
    pickleSaltPercent: number;
    /** packed weight as a share of green [T: docs/science.md, “Yields”]; not known of batches that are older than it */
    packedShare?: { low: number; high: number };
    /** these three are not known of batches that are older than them */
    nitritePpm?: number;
    /** salt of a strong pickle by the clock, % of the brine */
    strongSaltPercent?: number;
    cure?: CureMix;
    dose?: Dose;
    spices?: Spice[];
  };
  /** lowest core temperature that is asked for, °C */
  coreTargetC: number;
  /** how it is smoked and cooked; not known of batches that are older than it */
  program?: CookProgram;
  /** finished weight may not be more than green weight */
  notAboveGreen: boolean;
  steps: StepTemplate[];
  /** what the cook wrote beside the recipe */
  note?: string;
  /** the recipe that it was made from; the starter of its product where none is named */
  recipe?: { id: string; version: number };
}
