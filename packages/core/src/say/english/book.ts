import { speaker, type Speaker } from '../message.js';

/** What stands on a pack. */
export const BOOK_WORDS = {
  'keep-cold': 'Keep at {mostC, number, C} or below.',
  'fully-cooked': 'Fully cooked.',
  'cook-first': 'Cook before eating.',
  'not-cured-through': 'Not cured in the middle: eat it within days.',
  'not-cured-at-all': 'Not cured: eat it within days.',
} as const;

export const bookSays: Speaker<typeof BOOK_WORDS> = speaker(BOOK_WORDS);
