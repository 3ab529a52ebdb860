import type { Medium } from '../heat/evaporation.js';
import type { TendingAct } from './pitEvent.js';

/** A part of a smoke and cook program. It ends at a time, counted from the meat going on, or at a core temperature, whichever comes first. */
export interface ProgramPhase {
  name: string;
  chamberC: number;
  medium: Medium;
  smoke: boolean;
  /** a pan of water in the chamber */
  pan: boolean;
  untilMin?: number;
  untilCoreC?: number;
  /** done once, as it begins */
  first?: TendingAct[];
  /** done again and again */
  repeats: { act: TendingAct; everyMin: number }[];
  /** done once, at a core temperature */
  marks: { act: TendingAct; atCoreC: number }[];
}

/** How a product is smoked and cooked, as data. */
export type CookProgram = ProgramPhase[];
