import type { ProductRecord } from './productRecord.js';

/** The leg without its bone, rolled or in its muscles. */
export const hamBoned: ProductRecord = {
  meat: 'pork',
  isBacon: false,
  limits: 'general',
  notAboveGreen: false,
  keepsDays: 3,
  isFriedAgain: false,
  flesh: 'lean',
  usual: { greenG: 3600, shape: 'round', thicknessMm: 130, lengthMm: 260, school: 'pumpAndCover', days: 5 },
};
