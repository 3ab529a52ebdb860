import { ACT_WORDS } from './acts.js';
import { BATCH_WORDS } from './batch.js';
import { BOOK_WORDS } from './book.js';
import { CHECK_WORDS } from './check.js';
import { CURE_WORDS } from './cure.js';
import { FIGURE_WORDS } from './figures.js';
import { INPUT_WORDS } from './inputs.js';
import { NAME_WORDS } from './names.js';
import { PIT_WORDS } from './pit.js';
import { SAFETY_WORDS } from './safety.js';
import { STEP_WORDS } from './steps.js';
import { UNIT_WORDS } from './units.js';

/** Every room by itself: no code may stand in two of them. */
export const ENGLISH_ROOMS: readonly Readonly<Record<string, string>>[] = [
  UNIT_WORDS,
  INPUT_WORDS,
  SAFETY_WORDS,
  CURE_WORDS,
  FIGURE_WORDS,
  BATCH_WORDS,
  CHECK_WORDS,
  PIT_WORDS,
  NAME_WORDS,
  STEP_WORDS,
  BOOK_WORDS,
  ACT_WORDS,
];

/** The sentences of a batch, of its log and its devices, by their codes. Those of somebody's recipe (`PASTED_WORDS`) are said at the Bench alone. */
export const ENGLISH: Readonly<Record<string, string>> = Object.assign({}, ...ENGLISH_ROOMS) as Record<string, string>;
