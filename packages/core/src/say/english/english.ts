import { BATCH_WORDS } from './batch.js';
import { CHECK_WORDS } from './check.js';
import { CURE_WORDS } from './cure.js';
import { PASTED_WORDS } from './pasted.js';
import { PIT_WORDS } from './pit.js';
import { SAFETY_WORDS } from './safety.js';
import { STEP_WORDS } from './steps.js';
import { UNIT_WORDS } from './units.js';

/** The same room by room: no code may stand in two of them. */
export const ENGLISH_ROOMS: readonly Readonly<Record<string, string>>[] = [
  BATCH_WORDS,
  CHECK_WORDS,
  CURE_WORDS,
  PASTED_WORDS,
  PIT_WORDS,
  SAFETY_WORDS,
  STEP_WORDS,
  UNIT_WORDS,
];

/** Every sentence of core, by its code. */
export const ENGLISH: Readonly<Record<string, string>> = Object.assign({}, ...ENGLISH_ROOMS) as Record<string, string>;
