import type { ProductRecord } from './productRecord.js';

/** Brisket or round, cured and simmered. */
export const curedBeef: ProductRecord = {
  meat: 'beef',
  isBacon: false,
  limits: 'general',
  notAboveGreen: true,
  keepsDays: 3,
  isFriedAgain: false,
  flesh: 'lean',
  usual: { greenG: 2700, shape: 'slab', thicknessMm: 65, lengthMm: 290, school: 'equilibrium', days: 10 },
};
