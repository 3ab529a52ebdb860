import { speaker, type Speaker } from '../message.js';

/** What is called out at the pit and of a refrigerator: the fact, and the order. */
export const PIT_WORDS = {
  'near-target': 'Piece {piece} is within {nearC, number, K} of its {targetC, number, C}.',
  'near-order': 'Have the instant-read thermometer and a place to rest it ready.',
  'target-reached': 'Piece {piece} reads {targetC, number, C}.',
  'reached-order': 'Check it in three places with an instant-read thermometer: the lowest decides.',
  'reads-high': 'The probe of piece {piece} reads {highC, number, K1} higher than the lowest place of the check: it may sit too shallow.',
  'reads-high-order': 'Seat it anew, tip in the middle of the thickest part, away from bone, and check again. Until then the lower reading counts.',
  stall: 'Piece {piece} stands at {coreC, number, C}: water that leaves its surface takes as much heat as comes in. It may last an hour or more.',
  'stall-order': 'Wait, wrap it, or raise the chamber: each of the last two ends it.',
  'stall-wrapped-order': 'It is wrapped already: raise the chamber, or wait.',
  'come-up-over': 'The core of piece {piece} was longer than {mostH, number, h} in all between {fromC, number, C} and {toC, number, C} before it was done.',
  'decide-order': 'Decide with your food-safety plan: throw it away, or write what was decided and by whom.',
  'probe-of-chamber': 'The chamber’s probe',
  'probe-of-piece': 'The probe of piece {piece}',
  'no-data': '{probe} has said nothing for {min, number, min}.',
  'no-data-order': 'Look at the thermometer, its battery and its way to the house. What nobody reads is not counted for safety.',

  'door-open': 'The chamber fell to {chamberC, number, C} within minutes: the door is open, or the probe hangs outside.',
  'door-order': 'Shut it. Each opening costs the time that the chamber needs to come back.',
  'fuel-out': 'The chamber falls without a door and is at {chamberC, number, C}: the fuel is running out.',
  'fuel-order': 'Add fuel now, let it burn clean, then close up. The hours of come-up go on counting.',
  'drift-under': 'The chamber is {offC, number, K} under its program, for {min, number, min}.',
  'drift-under-order': 'Look at fuel, vents and door; or change the program to what it holds.',
  'drift-over': 'The chamber is {offC, number, K} over its program, for {min, number, min}.',
  'drift-over-order': 'Close the vents, or change the program to what it holds.',
  'too-warm-smoke': 'The chamber came to {coldSmokeC, number, C}: that is no cold smoke any more.',
  'too-warm-order': 'Cool it below {coldSmokeC, number, C}, or cook the piece through now.',

  'gate-unread': 'Piece {piece} was last read at {coreC, number, C1}, {h, number, h} ago: nobody knows whether it passes its gate.',
  'gate-not-shown-at': 'Piece {piece} is not shown to be at {toC, number, C}: from {fromC, number, C} to {toC, number, C} is allowed {limitH, number, h1}.',
  'gate-too-late': 'Piece {piece} came to {toC, number, C} too late: from {fromC, number, C} to {toC, number, C} is allowed {limitH, number, h1}.',
  'gate-soon': 'Piece {piece} was last at {coreC, number, C1}, and has {min, number, min} left to be at {toC, number, C}.',
  'gate-order': 'Read its core now. Not there: into an ice bath in a bag, or split it.',
  'gate-decide-order': '{growth} Write at the gate what was decided, and by whom.',

  'cold-over': '{store} was over {mostC, number, C} for {h, number, n} h {min} in all while this lay in it.',
  'cold-over-order': 'Move what lies in it, and decide with your food-safety plan: throw it away, or write what was decided and by whom.',
  'cold-warm': '{store} is at {coldC, number, C1}, over {mostC, number, C} for {min, number, min}.',
  'cold-warm-order': 'Look at its door and its compressor; put ice around the tubs, or move them.',

  'alarm-no-data': 'Nothing heard',
  'alarm-gate': 'Chill gate',
  'alarm-cold': 'Refrigerator is warm',
  'alarm-door': 'Door open',
  'alarm-fuel-out': 'Fuel is running out',
  'alarm-drift': 'Chamber beside its program',
  'alarm-too-warm': 'Too warm for a cold smoke',
  'alarm-near': 'Target is near',
  'alarm-reached': 'Target is read',
  'alarm-stall': 'The core stands',
  'alarm-reads-high': 'Probe reads high',
  'alarm-come-up': 'Too long to warm up',
  'alarm-of-piece': '{alarm}, piece {piece}',
} as const;

export const pitSays: Speaker<typeof PIT_WORDS> = speaker(PIT_WORDS);
