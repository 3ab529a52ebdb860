/** How a batch ends that is not packed, in the order in which it is likely. */
export const ENDINGS = ['served', 'given', 'spoilt', 'thrown-away'] as const;
export type Ending = (typeof ENDINGS)[number];

/** Whether somebody eats it. */
export const isEaten = (how: Ending): boolean => how === 'served' || how === 'given';
