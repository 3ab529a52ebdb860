import type { ProductRecord } from './productRecord.js';

/** Cut from the belly: its own limits, fried before it is eaten. */
export const bellyBacon: ProductRecord = {
  meat: 'pork',
  isBacon: true,
  limits: 'belly',
  notAboveGreen: true,
  keepsDays: 7,
  isFriedAgain: true,
  flesh: 'fat',
  usual: { greenG: 2200, shape: 'slab', thicknessMm: 42, lengthMm: 380, school: 'bag', days: 9 },
};
