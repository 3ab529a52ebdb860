import { speaker, type Speaker } from '../message.js';

/** What cannot be worked out as it was asked. */
export const INPUT_WORDS = {
  'saturated-brine': '{waterG, number, g} of water holds at most {mostG, number, g} of salt; this asks for {saltG, number, g}. Take more water or less salt.',
  'cure-brings-salt': 'The cure alone brings {saltG, number, g1} of salt, more than {percent, number, percent1} asks for.',
  'cure-brings-share': 'The cure alone brings {saltG, number, g1} of salt, {percent, number, percent1} of the meat: ask for at least that.',
  'sugar-reads-higher':
    '{sugarPercent, number, percent1} sugar alone would read higher than this at {sampleC, number, C1}. Look at the sugar and at the temperature.',
  'never-so-cold': 'At {byC, number, C1} around it the brine never comes down to {toC, number, C1}.',
  'water-boils': 'Water does not get hotter than {boilsC, number, C}.',
  'cure-too-weak': '{cure} cannot give {targetPpm, number, ppm} here: it would take {cureG, number, g} of cure in {brineG, number, g} of brine.',
  'water-to-calibration': 'Bring the water to {calibrationC, number, C1} first, give or take {aroundC, number, K1}: there the instrument is made to be right.',
  'reads-in-water': 'What does it read in plain water?',
  'core-never-there': 'In a chamber of {chamberC, number, C} the core does not come to {targetC, number, C}.',
  'core-stays-near':
    'At {chamberC, number, C} the core stays near {endC, number, C} for two days: water that leaves the surface takes the heat. Raise the chamber or wrap it.',
} as const;

export const inputSays: Speaker<typeof INPUT_WORDS> = speaker(INPUT_WORDS);
