/** How a batch is dosed. */
export const SCHOOLS = ['equilibrium', 'pumpAndCover'] as const;
export type SchoolKind = (typeof SCHOOLS)[number];
