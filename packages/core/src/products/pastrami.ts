import type { ProductRecord } from './productRecord.js';

/** Brisket, cured, rubbed and smoked. */
export const pastrami: ProductRecord = {
  meat: 'beef',
  isBacon: false,
  limits: 'general',
  notAboveGreen: true,
  keepsDays: 3,
  isFriedAgain: false,
  flesh: 'lean',
  usual: { greenG: 4300, shape: 'slab', thicknessMm: 55, lengthMm: 380, school: 'equilibrium', days: 9 },
};
