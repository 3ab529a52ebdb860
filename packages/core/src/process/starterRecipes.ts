import { CURE_1, CURING_SALT_06, NO_CURE, READY_MIX } from '../ingredients/cureMix.js';
import type { CookProgram, ProgramPhase } from './cookProgram.js';
import type { Recipe } from './recipe.js';
import { smokeProgram } from './steps/smokeProgram.js';

/** A recipe that a new house begins with. */
export interface StarterRecipe {
  /** its id in every house */
  id: string;
  recipe: Recipe;
}

/** What most of them share. */
const BASE: Pick<Recipe, 'cure' | 'nitritePpm' | 'repumpPercent' | 'pickleSaltPercent' | 'turnEveryH' | 'restH' | 'checks' | 'note'> = {
  cure: CURE_1,
  nitritePpm: 150,
  repumpPercent: 0,
  pickleSaltPercent: 13,
  turnEveryH: 24,
  restH: 0.5,
  checks: [],
  note: '',
};

const HAM_BONE_IN: Recipe = {
  ...BASE,
  name: 'Bone-in ham',
  product: 'ham-bone-in',
  prefix: 'HB',
  school: 'pumpAndCover',
  piece: { greenG: 7400, section: { shape: 'round', diameterMm: 180, bone: { diameterMm: 32 } }, lengthMm: 320 },
  trim: 'Trim loose ends, leave the fat, note the shank joint.',
  saltPercent: 2.4,
  sugarPercent: 0.9,
  waterPerMeat: 0.55,
  pumpPercent: 10,
  repumpPercent: 2,
  pickleSaltPercent: 14,
  spices: [
    { name: 'Black pepper, cracked', gPerKg: 1.7 },
    { name: 'Bay leaf', gPerKg: 0.3 },
  ],
  cureDays: { pumpAndCover: { shortest: 6, usual: 7, longest: 12 }, equilibrium: { shortest: 14, usual: 21, longest: 35 } },
  soakH: 3,
  dryH: 14,
  program: smokeProgram({ smokeC: 107, smokeH: 5, raiseC: 125, targetC: 66, marks: [{ act: 'glaze', atCoreC: 54 }] }),
  cookH: 4,
  restH: 0.75,
  coreTargetC: 66,
  firstGateH: 4,
  secondGateH: 9,
  evenOutH: 24,
  packedPercent: { low: 85, high: 95 },
};

const CANADIAN_BACON: Recipe = {
  ...BASE,
  name: 'Canadian bacon',
  product: 'canadian-bacon',
  prefix: 'CB',
  school: 'equilibrium',
  piece: { greenG: 2600, section: { shape: 'round', diameterMm: 85 }, lengthMm: 420 },
  trim: 'Take the silver skin off: no cure passes it. Tie the loin round.',
  saltPercent: 2.3,
  sugarPercent: 1.1,
  waterPerMeat: 0.45,
  pumpPercent: 8,
  spices: [{ name: 'Coriander seed, crushed', gPerKg: 1.3 }],
  cureDays: { pumpAndCover: { shortest: 5, usual: 6, longest: 10 }, equilibrium: { shortest: 7, usual: 14, longest: 24 } },
  soakH: 0.75,
  dryH: 12,
  program: smokeProgram({ smokeC: 80, smokeH: 2.5, raiseC: 105, targetC: 64, marks: [] }),
  cookH: 2,
  coreTargetC: 64,
  firstGateH: 2,
  secondGateH: 5,
  evenOutH: 24,
  packedPercent: { low: 80, high: 90 },
};

const PASTRAMI: Recipe = {
  ...BASE,
  name: 'Pastrami brisket',
  product: 'pastrami',
  prefix: 'PB',
  school: 'equilibrium',
  piece: { greenG: 4300, section: { shape: 'slab', thicknessMm: 55 }, lengthMm: 380 },
  trim: 'Trim the hard fat between the muscles.',
  saltPercent: 2.2,
  sugarPercent: 0.8,
  waterPerMeat: 0.5,
  pumpPercent: 9,
  spices: [
    { name: 'Coriander seed, toasted', gPerKg: 2.4 },
    { name: 'Mustard seed', gPerKg: 1.1 },
    { name: 'Granulated garlic', gPerKg: 1.4 },
  ],
  cureDays: { pumpAndCover: { shortest: 5, usual: 7, longest: 10 }, equilibrium: { shortest: 7, usual: 9, longest: 18 } },
  soakH: 1,
  dryH: 10,
  program: smokeProgram({ smokeC: 110, smokeH: 5, raiseC: 125, targetC: 93, marks: [{ act: 'wrap', atCoreC: 74 }] }),
  cookH: 4,
  restH: 2,
  coreTargetC: 93,
  firstGateH: 3,
  secondGateH: 7,
  evenOutH: 12,
  packedPercent: { low: 55, high: 65 },
};

const BELLY_BACON: Recipe = {
  ...BASE,
  name: 'Belly bacon, in a bag',
  product: 'belly-bacon',
  prefix: 'BB',
  school: 'equilibrium',
  piece: { greenG: 2200, section: { shape: 'slab', thicknessMm: 42 }, lengthMm: 380 },
  trim: 'Skin off, edges square, soft fat away.',
  nitritePpm: 120,
  saltPercent: 2.3,
  sugarPercent: 1.3,
  waterPerMeat: 0.15,
  pumpPercent: 8,
  spices: [{ name: 'Black pepper, cracked', gPerKg: 2.1 }],
  cureDays: { pumpAndCover: { shortest: 3, usual: 5, longest: 8 }, equilibrium: { shortest: 7, usual: 9, longest: 14 } },
  soakH: 0.4,
  dryH: 11,
  program: smokeProgram({ smokeC: 96, smokeH: 2.5, raiseC: 112, targetC: 65, marks: [] }),
  cookH: 1.5,
  coreTargetC: 65,
  firstGateH: 1.5,
  secondGateH: 4,
  evenOutH: 20,
  packedPercent: { low: 78, high: 90 },
  note: 'The belly of a pig has the lowest limit of all: weigh the cure down to the step of its scale, never up. What stays in the bag counts as brine.',
};

const HAM_BONED: Recipe = {
  ...BASE,
  name: 'Boned ham, netted',
  product: 'ham-boned',
  prefix: 'HN',
  school: 'pumpAndCover',
  piece: { greenG: 3600, section: { shape: 'round', diameterMm: 130 }, lengthMm: 260 },
  trim: 'Seam out the muscles, silver skin and gristle off. Net it tightly after the cure.',
  saltPercent: 2.2,
  sugarPercent: 1,
  waterPerMeat: 0.5,
  pumpPercent: 11,
  spices: [{ name: 'Juniper, crushed', gPerKg: 0.7 }],
  cureDays: { pumpAndCover: { shortest: 4, usual: 5, longest: 9 }, equilibrium: { shortest: 11, usual: 14, longest: 26 } },
  soakH: 1.5,
  dryH: 13,
  program: smokeProgram({ smokeC: 98, smokeH: 3.5, raiseC: 118, targetC: 71, marks: [{ act: 'wrap', atCoreC: 58 }] }),
  cookH: 3,
  coreTargetC: 71,
  firstGateH: 3,
  secondGateH: 7,
  evenOutH: 24,
  packedPercent: { low: 84, high: 94 },
};

const PICNIC: Recipe = {
  ...BASE,
  name: 'Picnic',
  product: 'picnic',
  prefix: 'PC',
  school: 'pumpAndCover',
  piece: { greenG: 3400, section: { shape: 'round', diameterMm: 140, bone: { diameterMm: 26 } }, lengthMm: 270 },
  trim: 'Skin off or scored to the fat, loose ends away; note where the joint sits.',
  saltPercent: 2.3,
  sugarPercent: 1,
  waterPerMeat: 0.6,
  pumpPercent: 10,
  repumpPercent: 1.5,
  spices: [{ name: 'Allspice, whole', gPerKg: 0.9 }],
  cureDays: { pumpAndCover: { shortest: 4, usual: 6, longest: 10 }, equilibrium: { shortest: 10, usual: 16, longest: 28 } },
  soakH: 9,
  dryH: 12,
  program: smokeProgram({ smokeC: 112, smokeH: 4, raiseC: 122, targetC: 71, marks: [{ act: 'glaze', atCoreC: 60 }] }),
  cookH: 3,
  coreTargetC: 71,
  firstGateH: 3,
  secondGateH: 7.5,
  evenOutH: 24,
  packedPercent: { low: 80, high: 92 },
};

const SHOULDER_BACON: Recipe = {
  ...BASE,
  name: 'Shoulder bacon',
  product: 'shoulder-bacon',
  prefix: 'SB',
  school: 'pumpAndCover',
  piece: { greenG: 2900, section: { shape: 'slab', thicknessMm: 75 }, lengthMm: 310 },
  trim: 'Bone out, blood vessels and glands out, square the slab.',
  saltPercent: 2.4,
  sugarPercent: 1.2,
  waterPerMeat: 0.4,
  pumpPercent: 17,
  pickleSaltPercent: 9,
  spices: [{ name: 'Black pepper, cracked', gPerKg: 1.9 }],
  cureDays: { pumpAndCover: { shortest: 7, usual: 10, longest: 14 }, equilibrium: { shortest: 11, usual: 15, longest: 24 } },
  soakH: 0.6,
  dryH: 28,
  program: smokeProgram({ smokeC: 92, smokeH: 4.5, raiseC: 108, targetC: 66, marks: [] }),
  cookH: 2,
  coreTargetC: 66,
  firstGateH: 2.5,
  secondGateH: 6,
  evenOutH: 20,
  packedPercent: { low: 78, high: 90 },
};

const SIMMER: CookProgram = [
  phase({ name: 'First simmer', chamberC: 90, untilMin: 45 }),
  phase({ name: 'Simmer in fresh water', chamberC: 92, untilCoreC: 90, first: ['water'] }),
];

function phase(of: Pick<ProgramPhase, 'name' | 'chamberC'> & Partial<ProgramPhase>): ProgramPhase {
  return { medium: 'water', smoke: false, pan: false, repeats: [], marks: [], ...of };
}

const CURED_BEEF: Recipe = {
  ...BASE,
  name: 'Boiled cured beef',
  product: 'cured-beef',
  prefix: 'BF',
  school: 'equilibrium',
  piece: { greenG: 2700, section: { shape: 'slab', thicknessMm: 65 }, lengthMm: 290 },
  trim: 'Silver skin off, fat to a finger’s breadth.',
  saltPercent: 2.2,
  sugarPercent: 0.7,
  waterPerMeat: 0.5,
  pumpPercent: 9,
  spices: [
    { name: 'Pickling spice', gPerKg: 3.2 },
    { name: 'Granulated garlic', gPerKg: 1.2 },
  ],
  cureDays: { pumpAndCover: { shortest: 5, usual: 7, longest: 10 }, equilibrium: { shortest: 8, usual: 11, longest: 18 } },
  soakH: 0.5,
  dryH: 0,
  program: SIMMER,
  cookH: 2.75,
  restH: 0.25,
  coreTargetC: 90,
  firstGateH: 2.5,
  secondGateH: 6,
  evenOutH: 10,
  packedPercent: { low: 55, high: 72 },
};

/**
 * The recipes that a new house begins with: each product, and the schools that start by weight. Common practice; the plain numbers are
 * our own. A strong pickle by the clock and an egg that floats are no dose: the Bench says what they come to.
 */
export const STARTER_RECIPES: readonly StarterRecipe[] = [
  { id: 'ham-bone-in', recipe: HAM_BONE_IN },
  { id: 'canadian-bacon', recipe: CANADIAN_BACON },
  { id: 'pastrami', recipe: PASTRAMI },
  { id: 'belly-bacon', recipe: BELLY_BACON },
  { id: 'ham-boned', recipe: HAM_BONED },
  { id: 'picnic', recipe: PICNIC },
  { id: 'shoulder-bacon', recipe: SHOULDER_BACON },
  { id: 'cured-beef', recipe: CURED_BEEF },
  { id: 'canadian-bacon-pumped', recipe: { ...CANADIAN_BACON, name: 'Canadian bacon, pumped', school: 'pumpAndCover' } },
  {
    id: 'canadian-bacon-curing-salt',
    recipe: {
      ...CANADIAN_BACON,
      name: 'Canadian bacon, curing salt',
      cure: CURING_SALT_06,
      nitritePpm: 126,
      saltPercent: 2.2,
      note: 'Curing salt is nearly the whole salt here: weighed twice over it is twice the nitrite.',
    },
  },
  {
    id: 'pastrami-round',
    recipe: {
      ...PASTRAMI,
      name: 'Pastrami, lean round',
      prefix: 'PR',
      piece: { greenG: 2100, section: { shape: 'slab', thicknessMm: 70 }, lengthMm: 260 },
      trim: 'Silver skin off; it is lean and needs no more.',
      cureDays: { pumpAndCover: { shortest: 6, usual: 9, longest: 12 }, equilibrium: { shortest: 9, usual: 13, longest: 20 } },
      dryH: 22,
      program: [
        phase({
          name: 'Smoke',
          chamberC: 66,
          medium: 'smoker',
          smoke: true,
          pan: true,
          untilMin: 290,
          repeats: [{ act: 'fuel', everyMin: 50 }],
        }),
        phase({ name: 'Water bath', chamberC: 58, untilCoreC: 57 }),
      ],
      cookH: 24,
      coreTargetC: 57,
      packedPercent: { low: 72, high: 85 },
      note: 'So cool a bath is safe by its hours alone: it stays in until the sum of the lethality says so.',
    },
  },
  {
    id: 'pastrami-bath',
    recipe: {
      ...PASTRAMI,
      name: 'Pastrami brisket, smoke and bath',
      prefix: 'PW',
      program: [...PASTRAMI.program.slice(0, 1), phase({ name: 'Water bath', chamberC: 72, untilCoreC: 71 })],
      cookH: 22,
      coreTargetC: 71,
      packedPercent: { low: 62, high: 74 },
    },
  },
  {
    id: 'cured-beef-ready-mix',
    recipe: {
      ...CURED_BEEF,
      name: 'Boiled cured beef, ready mix',
      cure: READY_MIX,
      nitritePpm: 150,
      sugarPercent: 0,
      note: 'The label of the mix in your hand decides, on the dose as well. It holds nitrate, so never for bacon.',
    },
  },
  {
    id: 'salt-beef',
    recipe: {
      ...CURED_BEEF,
      name: 'Salted beef, no cure',
      prefix: 'SL',
      cure: NO_CURE,
      nitritePpm: 0,
      note: 'Fresh salted meat: grey, never into a slow smoke, and it keeps as fresh meat does.',
    },
  },
];
