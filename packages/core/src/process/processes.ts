import { InputError } from '../inputError.js';
import type { Process } from './process.js';
import { chillSteps } from './steps/chillSteps.js';
import { cureSteps } from './steps/cureSteps.js';
import { drySteps } from './steps/drySteps.js';
import { prepSteps } from './steps/prepSteps.js';
import { smokeProgram, type SmokePlan } from './steps/smokeProgram.js';
import { smokeSteps } from './steps/smokeSteps.js';
import { soakSteps } from './steps/soakSteps.js';

const HAM_SMOKE: SmokePlan = {
  smokeC: 107,
  smokeH: 5,
  raiseC: 125,
  cookH: 4,
  restH: 0.75,
  targetC: 66,
  midway: 'Raise the heat',
  marks: [{ act: 'glaze', atCoreC: 54 }],
};

/** Bone-in ham: pumped twice, a week under cover brine (handbook part 2). Common practice; the plain numbers are our own. */
const HAM_BONE_IN: Process = {
  product: 'ham-bone-in',
  version: 3,
  name: 'Bone-in ham',
  prefix: 'HB',
  cureDays: { pumpAndCover: { shortest: 6, usual: 7, longest: 12 }, equilibrium: { shortest: 14, usual: 21, longest: 35 } },
  usual: {
    school: 'pumpAndCover',
    greenG: 7400,
    section: { shape: 'round', diameterMm: 180, bone: { diameterMm: 32 } },
    lengthMm: 320,
    saltPercent: 2.4,
    sugarPercent: 0.9,
    waterPerMeat: 0.55,
    pumpPercent: 10,
    repumpPercent: 2,
    pickleSaltPercent: 14,
    packedShare: { low: 0.85, high: 0.95 },
  },
  coreTargetC: 66,
  program: smokeProgram(HAM_SMOKE),
  notAboveGreen: false,
  steps: [
    ...prepSteps('Trim loose ends, leave the fat, note the shank joint.'),
    ...cureSteps(24),
    ...soakSteps(3),
    ...drySteps(14),
    ...smokeSteps(HAM_SMOKE),
    ...chillSteps({ firstH: 4, secondH: 9, evenOutH: 24 }),
  ],
};

const BACON_SMOKE: SmokePlan = { smokeC: 80, smokeH: 2.5, raiseC: 105, cookH: 2, restH: 0.5, targetC: 64, midway: 'Raise the heat', marks: [] };

const CANADIAN_BACON: Process = {
  product: 'canadian-bacon',
  version: 3,
  name: 'Canadian bacon',
  prefix: 'CB',
  cureDays: { pumpAndCover: { shortest: 5, usual: 6, longest: 10 }, equilibrium: { shortest: 7, usual: 14, longest: 24 } },
  usual: {
    school: 'equilibrium',
    greenG: 2600,
    section: { shape: 'round', diameterMm: 85 },
    lengthMm: 420,
    saltPercent: 2.3,
    sugarPercent: 1.1,
    waterPerMeat: 0.45,
    pumpPercent: 8,
    repumpPercent: 0,
    pickleSaltPercent: 13,
    packedShare: { low: 0.8, high: 0.9 },
  },
  coreTargetC: 64,
  program: smokeProgram(BACON_SMOKE),
  notAboveGreen: false,
  steps: [
    ...prepSteps('Take the silver skin off: no cure passes it. Tie the loin round.'),
    ...cureSteps(24),
    ...soakSteps(0.75),
    ...drySteps(12),
    ...smokeSteps(BACON_SMOKE),
    ...chillSteps({ firstH: 2, secondH: 5, evenOutH: 24 }),
  ],
};

const PASTRAMI_SMOKE: SmokePlan = {
  smokeC: 110,
  smokeH: 5,
  raiseC: 125,
  cookH: 4,
  restH: 2,
  targetC: 93,
  midway: 'Wrap',
  marks: [{ act: 'wrap', atCoreC: 74 }],
};

const PASTRAMI: Process = {
  product: 'pastrami',
  version: 3,
  name: 'Pastrami brisket',
  prefix: 'PB',
  cureDays: { pumpAndCover: { shortest: 5, usual: 7, longest: 10 }, equilibrium: { shortest: 7, usual: 9, longest: 18 } },
  usual: {
    school: 'equilibrium',
    greenG: 4300,
    section: { shape: 'slab', thicknessMm: 55 },
    lengthMm: 380,
    saltPercent: 2.2,
    sugarPercent: 0.8,
    waterPerMeat: 0.5,
    pumpPercent: 9,
    repumpPercent: 0,
    pickleSaltPercent: 13,
    packedShare: { low: 0.55, high: 0.65 },
  },
  coreTargetC: 93,
  program: smokeProgram(PASTRAMI_SMOKE),
  notAboveGreen: true,
  steps: [
    ...prepSteps('Trim the hard fat between the muscles.'),
    ...cureSteps(24),
    ...soakSteps(1),
    ...drySteps(10),
    ...smokeSteps(PASTRAMI_SMOKE),
    ...chillSteps({ firstH: 3, secondH: 7, evenOutH: 12 }),
  ],
};

/** The starter processes. */
export const PROCESSES: readonly Process[] = [HAM_BONE_IN, CANADIAN_BACON, PASTRAMI];

export const PLANNED_PRODUCTS = ['ham-bone-in', 'canadian-bacon', 'pastrami'] as const;

/** @throws InputError when no process is kept for a product */
export function processFor(product: string): Process {
  const found = PROCESSES.find((process) => process.product === product);
  if (found === undefined) throw new InputError('product', `There is no process yet for "${product}".`);
  return found;
}
