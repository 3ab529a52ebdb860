import type { ProductRecord } from './productRecord.js';

/** The lower shoulder, bone in. */
export const picnic: ProductRecord = {
  meat: 'pork',
  isBacon: false,
  limits: 'general',
  notAboveGreen: false,
  keepsDays: 3,
  isFriedAgain: false,
  flesh: 'boneIn',
  boneMm: 36,
  usual: { greenG: 3400, shape: 'round', thicknessMm: 140, lengthMm: 270, school: 'pumpAndCover', days: 7 },
};
