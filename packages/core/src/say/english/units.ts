import { speaker, type Speaker } from '../message.js';

/** Numbers that cannot be computed with. `field` is what was given, by its name. */
export const UNIT_WORDS = {
  'other-kind-of-unit': '{from} and {to} measure different things: they cannot be converted.',
  'colder-than-can-be': '{value} °{from} is colder than anything can be.',
  'unknown-unit': '"{unit}" is not a unit that is known here.',
  'number-missing': '{field} is missing.',
  'no-number': '{field} must be a number.',
  'too-small': '{field} must be at least {least}, not {value}.',
  'too-large': '{field} must be at most {most}, not {value}.',
  'not-above': '{field} must be more than {least}, not {value}.',
} as const;

export const unitSays: Speaker<typeof UNIT_WORDS> = speaker(UNIT_WORDS);
