import { speaker, type Speaker } from '../message.js';

/** What somebody's recipe must be told, beside what every batch is told. */
export const PASTED_WORDS = {
  'pink-rock-salt': 'Pink rock salt is salt. Its colour is no nitrite: it cures nothing.',
  'ppm-range': '{low, number, n1} to {high, number, ppm1}',
  'however-answered': 'It is so however the open questions are answered.',
  open: 'Anything from {range}, until the open questions are answered.',
  straddle:
    'Left until even it comes to {evenPpm, number, ppm1}, over the limit of {limitPpm, number, ppm}; pulled early, to {pickUpPpm, number, ppm1} by pick-up. Which one it is depends on thickness and days: give both, or dose it to be left until even. {remedy}',
  'early-under': 'Pulled before it is even, the pick-up figure alone is {ppm, number, ppm1}. Leave it until even, or say how long and how thick.',
  'spoon-for-spoon': 'Is a tablespoon written where a teaspoon was meant?',
  'weigh-not-spoon': 'Weigh the cure on a {stepG, number, g1} scale instead of the spoon.',
  'finer-meat-scale': 'Weigh meat, water and salt on a finer scale.',
  'cure-scale': 'Weigh the cure on a {step} scale.',
  'dry-limit':
    '{ppm, number, ppm1}: the limit of {limitPpm, number, ppm} is for meat that is cured dry for a long time. Where it is cooked within weeks stay at {weeksPpm, number, ppm}.',
  clock: 'Right only if it is pulled in time: left until even it would come to {evenPpm, number, ppm1}, over the limit of {limitPpm, number, ppm}. {until}',
  'pickle-apart': 'A pickle and a cover of its own can do both.',
  ascorbate: 'Pumped belly bacon to be sold in the US also needs {wantedPpm, number, ppm} of ascorbate or erythorbate: check your own code.',
  'dry-wet': 'There is water in it: what stays in the bag counts as brine. Judge it as left until even.',
  'pick-up': 'Pick-up is taken as {percent, number, percent} until the pulled piece is weighed.',
  'no-water': 'There is no water in it: it is a rub. Say so under how it is used, or add the water.',
  'own-liquid': 'More salt than this water holds at first: in a bag the meat draws it and makes its own liquid. Turn it daily, so that it dissolves.',
  saturated:
    '{waterG, number, g} of water holds at most {mostG, number, g} of salt, {mostPercent, number, percent1}. {leftG, number, g} would lie on the bottom, and cure with it: take more water.',
  'salt-clock': 'Left until even it would be {percent, number, percent1} salt. Pulled by the clock it is less; fry a slice from the edge before it is soaked.',
  'salty-flavouring': '{names}: salt in it is not counted. Weigh plain salt instead, or expect it saltier.',
  flavouring: 'Kept as flavouring, counted in the weight of the brine only: {names}.',

  'meat-differs': 'The recipe names {namedG, number, g} of meat; reckoned here are {greenG, number, g}.',
  'not-counted': 'Not counted, for want of a weight: {lines}.',
  'amount-missing': 'How much? {lines}: without it nothing can be judged.',
  'too-long': '{left, number, n} lines are not read: a recipe has no more than {most, number, n}. Take out what is no ingredient.',
} as const;

export const pastedSays: Speaker<typeof PASTED_WORDS> = speaker(PASTED_WORDS);
