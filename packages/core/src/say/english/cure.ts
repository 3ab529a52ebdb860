import { speaker, type Speaker } from '../message.js';

/** Mixes, and what they may be used for. */
export const CURE_WORDS = {
  'nitrate-bacon': '{mix} holds nitrate, which no bacon may have. Take cure #1.',
  'nitrate-short': '{mix} holds nitrate, which is for long dry cures: in a wet cure of days it does not turn into nitrite in time. Take cure #1.',
  nitrate: '{mix} holds nitrate as well. It is dosed by its label and by nothing else; never for bacon.',
  'strong-label': 'A label of {percent, number, percent2} nitrite is no kitchen cure: those have {curing} or {cure}. Read the label again; do not weigh this.',
  'odd-label': 'A label of {percent, number, percent2} nitrite is unusual: cures have {curing} or {cure}. Read the label again before anything is weighed.',
  'percent-range': '{low, number, n1} to {high, number, percent1}',
  'pure-nitrite': 'Pure sodium nitrite is a poison by the gram and is not weighed in a kitchen. Take a cure that is mixed with salt and dyed.',
  'may-not-pump': 'The label of {mix} does not let it be pumped. Cover with it, or take cure #1 for the needle.',
  'unknown-product': '"{product}" is not a product that is known here.',
  'unknown-method': '"{method}" is not a way of curing.',
  'unknown-rule-set': '"{ruleSet}" is not a rule set that is known here.',
  'house-without-limits': 'A house rule set needs its own limits.',
} as const;

export const cureSays: Speaker<typeof CURE_WORDS> = speaker(CURE_WORDS);
