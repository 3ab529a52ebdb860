/** The core of each piece on its way down. */
export const CORE_IN_THE_COLD = { kind: 'temperature', name: 'coreC', of: 'coolingCore', each: 'piece' } as const;
