import type { ProductRecord } from './productRecord.js';

/** The upper shoulder, cut flat, fried before it is eaten. */
export const shoulderBacon: ProductRecord = {
  meat: 'pork',
  isBacon: true,
  limits: 'general',
  notAboveGreen: false,
  keepsDays: 7,
  isFriedAgain: true,
  flesh: 'lean',
  usual: { greenG: 2900, shape: 'slab', thicknessMm: 75, lengthMm: 310, school: 'pumpAndCover', days: 10 },
};
