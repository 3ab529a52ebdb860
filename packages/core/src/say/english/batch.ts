import { speaker, type Speaker } from '../message.js';

/** What a batch's figures say. */
export const BATCH_WORDS = {
  'no-cure':
    'No cure in it: this is fresh salted meat. It stays grey, it may not be smoked low and slow, it keeps days and not weeks, and it chills through the shorter gates. A cold refrigerator does not replace the cure.',
  'uncured-smoke': '{why}',

  'size-flat':
    'Piece {piece}: {greenG, number, g} of meat {thickMm, number, mm} thick and {lengthMm, number, mm} long would be {wideMm, number, mm} wide. One of the three is wrong, or its unit: the dose goes by the weight, the days by the thickness. Measure again.',
  'size-body':
    'Piece {piece}: meat {acrossMm, number, mm} across and {lengthMm, number, mm} long weighs about {bodyG, number, g}, not {greenG, number, g}. One of the three is wrong, or its unit: the dose goes by the weight, the days by the thickness. Measure again.',

  'middle-has': 'By the model the middle has {leastPpm, number, ppm1} after {days, number, days1}, where {colourPpm, number, ppm} leave a colour',
  'middle-had': 'By the model the middle had {leastPpm, number, ppm1} after {days, number, days1}, where {colourPpm, number, ppm} leave a colour',
  'takes-up': 'By the model it takes up {meanPpm, number, ppm} as a mean in {days, number, days1}',
  'took-up': 'By the model it took up {meanPpm, number, ppm} as a mean in {days, number, days1}',
  'of-the-piece': 'Piece {piece}: {fact}',
  'others-too': '{others, plural, =0 {} one { Another piece is not there either.} other { # other pieces are not there either.}}',
  'not-cured':
    '{fact}: it does not count as cured. The short chill gates hold, it is not smoked slowly, and it keeps as fresh meat does{isOver, select, yes {.} other {, unless it goes back into its brine.}}{more}',
  'reach-short': '{fact}. {until} Let it lie longer, pump it, or plan it as meat that is not cured: short chill gates, no slow smoke.{more}',
  'reached-on-day': 'It is reached on day {day, number, n1}.',
  'never-reached': 'It is not reached within sixty days: pump it, or cut it thinner.',
  nothing: '',
  both: '{first} {second}',
  'cured-by-the-model': 'Cured by the model, with {leastPpm, number, ppm} in the middle',
  'reach-pale': '{fact}. If the meat is slow the middle {isPulled, select, yes {is pale} other {stays pale}}.',

  'chill-failed': 'A chill gate was not met by piece {pieces}. {growth}',
  'chill-not-shown':
    'Piece {pieces}: its readings do not show that a chill gate was met. It is neither passed nor failed; a reading at the gate’s beginning and one at its end would have shown it.',
  'humidity-not-shown':
    'Done by time below {belowC, number, C1}: time and temperature are read, humidity is not shown. The table holds where the piece was in a sealed bag or casing, wrapped, covered or in steam for half the time and at least an hour, or at 90 % relative humidity for a quarter of it and at least an hour. Write down which it was, and check your own code.',
  'slow-chill':
    'Piece {pieces}: cooled by the longer gates of cured meat. For these the guideline also wants {wantedPpm, number, ppm} ascorbate or erythorbate in it{hasPpm, plural, =0 {} other {, and it has {hasPpm, number, ppm}}}: the slow chill is not fully met. {growth}',
  'accelerator-missing':
    'Pumped belly bacon that is sold in the US has {wantedPpm, number, ppm} ascorbate or erythorbate in it{hasPpm, plural, =0 {} other {; this has {hasPpm, number, ppm}}}: it keeps nitrosamines down when it is fried. For your own table it is a good habit.',
  'about-hours': 'about {h, number, h1}',
  'over-two-days': 'more than two days',
  'the-piece': 'piece {piece}',
  it: 'it',
  'ice-takes': 'In a bag in ice water, stirred, it takes {takes}; or bone it, or halve it.',
  'ice-too-slow': 'Ice water is too slow for it as well: bone it, or halve it.',
  'chill-ahead':
    'By the model a household refrigerator takes {takes} to cool {piece} through the {gate, select, first {first chill} other {second chill}} gate, where {limitH, number, h1} are allowed. {ice}',

  'in-tub': 'tub {n, number, n}',
  'in-bag': 'bag {n, number, n}',
  'lies-in': '{vessel}: {pieces}, brine by eye',
  'lies-with': '{vessel}: {pieces}, with {brineG, number, g} of brine',
  'lies-all': '{one}; {other}',
  'lies-where': 'Where it lies: {all}',
  'weigh-what-is-poured': 'That is in {vessel}, poured by eye: weigh what lies in each.',
  'has-in-vessel': '{has} in {vessel}',
  'nitrite-over': '{has} is over the limit of {limitPpm, number, ppm}. {remedy}',
  'at-the-limit':
    '{ppm, number, ppm1} is as near to {floorPpm, number, ppm} as this scale can weigh without going over {limitPpm, number, ppm}. A finer scale comes nearer.',
  'nitrite-under': '{has} is under the floor of {floorPpm, number, ppm}: it would look cured and not be protected. {remedy}',
  'aim-at': 'Aim at {rightPpm, number, ppm}.',
  'pump-under':
    'The needle puts in only {ppm, number, ppm1}{piece, select, none {} other { into piece {piece}}}, under the floor of {floorPpm, number, ppm}: the middle has only that until the cover reaches it. {advice}',
  'pump-again': 'Pump again.',
  'by-the-clock':
    'Right only if it is pulled in time: left until even it would come to {evenPpm, number, ppm1}, over the limit of {limitPpm, number, ppm}. {until}',
  'out-by-day': 'By the model it must be out by day {day, number, n1}.',
  'pick-up-under':
    'By the pick-up method alone it is {ppm, number, ppm1}, under the floor of {floorPpm, number, ppm}: an inspector may count it so, and the shorter chill gates hold.',
  'doubt-over':
    'As measured it may be {ppm, number, ppm1}, over the limit of {limitPpm, number, ppm}{isFloor, select, yes {, which is the floor as well} other {}}. {advice}',
  'doubt-under': 'As measured it may be {ppm, number, ppm1}, under the floor of {floorPpm, number, ppm}. {advice}',
  'finer-cure-scale': 'Weigh the cure on a finer scale.',

  'lay-too-long': 'It lay too long for this brine: by the model the meat must not be eaten. Throw the batch away.',
  'lies-too-long': 'It has lain too long for this brine: pull it now. By the model the meat must not be eaten.',
  'not-eaten': 'If the weights are right, the meat must not be eaten: throw the batch away.',
  'drain-and-weigh': 'Drain the piece, weigh it again and correct the weight. If it stays over, the meat must not be used.',
  'out-of-this-brine': 'The meat must not go on in this brine: take it out, and decide what becomes of it.',
  'right-would-be': 'Right would be {rightPpm, number, ppm}: {rightG, number, g1} of {cure} instead of {cureG, number, g1}.',

  'cure-short': '{days, number, days} is shorter than the {shortest, number, days} that are usual at the least: the middle may not be cured.',
  'cure-long': '{days, number, days} is longer than the {longest, number, days} that are usual at the most.',
  salty: '{percent, number, percent1} salt{where, select, meat { of the meat} even { when even} other {}} tastes salty to most: plan a soak.',
  bland: '{percent, number, percent1} salt{where, select, meat { of the meat} even { when even} other {}} tastes bland to most, and keeps less well.',
  'one-brine-too-little':
    'There are {brineG, number, g} of brine, and the needle takes {needleG, number, g} of it: too little is left to lie in. Take more water.',
  'pump-low': 'Piece {piece} took {percent, number, percent1} of {planned, number, percent1} planned. Pump it again.',
  'pump-high':
    'Piece {piece} took {percent, number, percent1}, more than the {planned, number, percent1} planned. Drain it and weigh again; expect a longer soak.',
  'above-green': 'Packed weight is above green weight. {product} may not be sold heavier than it was green in some places: check your own code.',

  'throw-it-away': 'Throw it away: that is the advice for meat that lay so warm.',
  'decide-by-plan': 'Decide with your food-safety plan: throw it away, or write what was decided and by whom.',
  'bring-it-down': 'Bring the refrigerator down, and look at it more often.',
  'warm-cure': 'It lay at more than {overC, number, C} for {h, number, h} while it cured. {what}',
  'warm-brine': 'The meat went into brine of {brineC, number, C1}, above {mostC, number, C}. Reason kept: {reason}',

  'spores-grew':
    'By a model the spores that outlive the heat grew {log10, number, n1} log up to its last reading, {mostLog10, number, n1} at the most, where the guideline allows {allowed, number, n}.',
  'grew-too-much': '{grew} Throw it away.',
  'growth-not-shown': '{grew} It is not shown to have stayed under it: read more often, and decide with your food-safety plan.',
  'grew-little': '{grew} Decide with your food-safety plan.',
} as const;

export const batchSays: Speaker<typeof BATCH_WORDS> = speaker(BATCH_WORDS);
