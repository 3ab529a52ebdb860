import type { ProductRecord } from './productRecord.js';

/** The loin, lean and round. */
export const canadianBacon: ProductRecord = {
  meat: 'pork',
  isBacon: true,
  limits: 'general',
  notAboveGreen: false,
  keepsDays: 3,
  isFriedAgain: false,
  flesh: 'lean',
  usual: { greenG: 2600, shape: 'round', thicknessMm: 85, lengthMm: 420, school: 'equilibrium', days: 14 },
};
