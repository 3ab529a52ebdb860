import { speaker, type Speaker } from '../message.js';

/** What the hands do at a step, and what is said where a gate is not passed. */
export const STEP_WORDS = {
  'brine-too-warm':
    'The brine is warmer than {mostC, number, C}. Cool it with ice that was counted as water, or in the refrigerator, before it meets the meat.',
  'core-again': 'The lowest place is under {targetC, number, C1}: leave it on and check again in half an hour.',
  'core-by-time': 'Under {safeC, number, C1} it is safe only by its time: look at the lethality sum, and write how long the core was at {targetC, number, C1}.',
  'core-task': 'Check three places of each piece with an instant-read thermometer: the lowest decides. Target {targetC, number, C1}.',
  'even-out-task': 'Wrap it, or vacuum-pack it, and leave it in the cold for {h, number, h1}: the smoke evens out, and it slices better.',
  'freezer-task': 'Half an hour, until it is firm and not hard: then it slices thin and clean.',
  'fry-task': 'Fry a thin slice from the edge, where it is saltiest, and taste it. What you say is kept: the house learns your salt from it.',
  'gate-first-again': 'Still above {mostC, number, C1}: spread the pieces, ice bath in a bag, read again in half an hour.',
  'gate-first-missed':
    'The first chill gate was not met: decide with your food-safety plan, and write what was decided and by whom. How much may have grown stands with the findings.',
  'gate-first-task': 'Read the core of each piece. It must be {mostC, number, C1} or less within the time of the gate.',
  'gate-second-again': 'Still above {mostC, number, C}: leave it unwrapped in moving cold air and read again in an hour.',
  'gate-second-missed':
    'The second chill gate was not met: decide with your food-safety plan, and write what was decided and by whom. How much may have grown stands with the findings.',
  'gate-second-task': 'Read the core of each piece. At {mostC, number, C} and below it may be wrapped.',
  'into-cold-task': 'Rest it, then read the core and move it to the cold with air around it.',
  'light-task': 'Heat it to {chamberC, number, C}. {heat}',
  'meat-in-task': 'Read the brine before the meat goes in. Cover it fully and weigh it down. Label the tub.',
  'mix-cover-task': 'A bucket of its own. Weigh every line. Stir until clear and cool it to {mostC, number, C} or below.',
  'mix-pickle-task': 'Weigh every line, the cure on its own small scale. Stir until clear, strain, and cool it to {mostC, number, C} or below.',
  'mix-rub-task': 'Weigh every line, the cure on its own small scale. Mix them dry until no grain of the cure lies alone.',
  'rub-on-task': 'Rub every side, the edges and the folds; what falls off goes into the bag. Press the air out, label the bag, lay it flat in the cold.',
  'mix-task': 'Weigh every line, the cure on its own small scale. Stir until clear, then cool it to {mostC, number, C} or below.',
  'move-task':
    'Read both, then{medium, select, oven { into the oven} steam { into the steam} water { into the water} cold { into the cold} other { into the smoker}} at {chamberC, number, C}.',
  'own-task': '{task} {own}',
  'pack-task': 'Slice cold, pack, label: name, ingredients, net weight, code, packed on, use by. Then weigh the packs.',
  'pack-too-warm': 'Too warm to slice: it tears, and it is not safe yet. Chill it to {mostC, number, C} first.',
  'pellicle-again': 'Not yet: leave it in moving air and look again in two hours.',
  'pellicle-task': 'Touch it: tacky and dull is ready, wet or shiny is not.',
  'pull-early': 'This is before the shortest days of cure: the middle may not be cured. Put it back, or write why you pull it now.',
  'pull-smell': 'A bad smell ends the batch. Do not taste it, do not go on: end the batch below and throw it away.',
  'pull-soft': 'Soft in the middle means that the cure did not get there. Put it back for some days, or write why you go on.',
  'pull-task':
    'Lift out, rinse in cold running water, wipe, weigh. Feel and smell each piece. Where one is cut, draw how deep the colour reached. The old brine goes down the drain.',
  'pull-rubbed-task':
    'Out of the bag, rinse in cold running water, wipe, weigh. Feel and smell each piece. Where one is cut, draw how deep the colour reached. The juice goes down the drain.',
  'pump-task': 'Around the bone and the joints first. Push while drawing out, from both sides. Drain a few minutes, then weigh.',
  'rack-task': 'Pat dry, rack or hook in the refrigerator, uncovered, in moving air.',
  'raise-task': 'Read both, then raise{medium, select, oven { the oven} steam { the steamer} water { the water} other { the smoker}} to {chamberC, number, C}.',
  'repump-task': 'Half-way: lift out, drain, weigh, pump again around the bone with the pickle kept cold apart, weigh again.',
  sealed: 'Sealed and held under, it need not be pricked where its water was read at the start and at the end.',
  'heat-smoker': 'It takes three quarters of an hour; the smoke should be thin, not white.',
  'put-smoker': 'Probe in the thickest part, away from bone. Read the chamber and the core.',
  'heat-oven': 'Three quarters of an hour, until a thermometer of its own says so.',
  'put-oven': 'Probe in the thickest part, away from bone. Read the oven and the core.',
  'heat-steam': 'Three quarters of an hour, until it steams without a stop.',
  'put-steam': 'Probe in the thickest part, away from bone. Read the steam and the core.',
  'heat-water': 'Enough to cover it by three fingers. It should tremble, not boil.',
  'put-water': 'All of it under water. Read the water and the core.',
  'kept-text': '{before}{temperature}{after}',
  'nothing-more': '',
  'soak-in-task': 'If it tasted right, leave the soak out and say so. Else cold fresh water, in the cold if longer than an hour.',
  'soak-out-again': 'Still too salty: change the water and fry again.',
  'soak-out-task': 'Fry a thin slice from the edge and taste it.',
  'turn-task': 'Turn the pieces, stir the brine, look at the refrigerator’s thermometer.',
  'turn-bag-task': 'Turn the bag over and rub its juice around the meat; look at the refrigerator’s thermometer.',
  'turn-too-warm': 'The refrigerator is above {mostC, number, C}. Bring it down now and write what was wrong.',
  'weigh-task': '{trim} Weigh each piece. The brine is worked out again from these weights.',
} as const;

export const stepSays: Speaker<typeof STEP_WORDS> = speaker(STEP_WORDS);
