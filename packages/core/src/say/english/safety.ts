import { speaker, type Speaker } from '../message.js';

/** Temperatures that cannot be, and heat that is not enough. */
export const SAFETY_WORDS = {
  'cannot-be-read': '{C, number, C1}? {why} {ask}',
  water: 'Water',
  'read-again': 'Read it again.',
  'core-below': 'Meat on the fire is not frozen.',
  'core-above': 'No core gets hotter than boiling water.',
  'rawCore-below': 'Meat that goes on the fire is thawed first.',
  'rawCore-above': 'That is no core of meat that was not cooked yet.',
  'coolingCore-below': 'A core that cools in a refrigerator does not freeze.',
  'coolingCore-above': 'No core is hotter than boiling water.',
  'chamber-below': 'No smoker is so cold.',
  'chamber-above': 'No smoker or oven is so hot.',
  'water-below': 'Water would be ice.',
  'water-above': 'Water does not get hotter than {boilsC, number, C}.',
  'brine-below': 'Brine would be frozen.',
  'brine-above': 'No brine is so hot when it is used.',
  'cold-below': 'No refrigerator is so cold.',
  'cold-above': 'No refrigerator is so warm.',
  'brine-freezes-at': 'This brine freezes at {freezesC, number, C1}.',
  'nothing-so-hot': 'Nothing around it was hotter than {hottestC, number, C1}.',
  'cold-hardly': 'A refrigerator is hardly so warm.',
  'cold-hardly-cold': 'A refrigerator is hardly so cold.',
  'brine-hardly': 'Brine for meat is hardly so warm.',
  'brine-hardly-cold': 'Brine for meat is hardly so cold.',
  'bath-set-to': 'The bath is set to {setC, number, C1}.',
  'program-wants': 'The program wants {setC, number, C1}.',
  'read-in-f': 'Did it show {number, number, n1} °F? That is {C, number, C1}.',
  'typed-as-f': 'Did it show {number, number, n1} °C, typed as °F?',

  'no-cold-smoke': 'Meat that is not cured is not smoked cold, at {chamberC, number, C}: nothing guards it there. Smoke it hot, or cook it as fresh meat.',
  'too-slow-uncured':
    'Meat that is not cured must come through the warm within {mostH, number, h}: by this program its core takes {hours, number, h1}. Make the chamber hotter, or the pieces thinner.',
  'much-too-slow-uncured':
    'Meat that is not cured must come through the warm within {mostH, number, h}: by this program its core takes more than a day. Make the chamber hotter, or the pieces thinner.',
  'stands-for-log': '{log10, number, n1} log',
  'stands-for-minutes': '{coreC, number, C} for {n, number, min}',
  'stands-for-core': '{coreC, number, C}',
} as const;

export const safetySays: Speaker<typeof SAFETY_WORDS> = speaker(SAFETY_WORDS);
