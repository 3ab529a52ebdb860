import type { ProductRecord } from './productRecord.js';

/** The leg as it grew. */
export const hamBoneIn: ProductRecord = {
  meat: 'pork',
  isBacon: false,
  limits: 'general',
  notAboveGreen: false,
  keepsDays: 3,
  isFriedAgain: false,
  flesh: 'boneIn',
  boneMm: 42,
  usual: { greenG: 7400, shape: 'round', thicknessMm: 180, lengthMm: 320, school: 'pumpAndCover', days: 7 },
};
