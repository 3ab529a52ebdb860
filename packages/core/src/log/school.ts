/**
 * How the cure meets the meat: left in brine, pumped and covered by another brine, one brine for needle and tub, or rubbed on dry in a bag.
 */
export const SCHOOLS = ['equilibrium', 'pumpAndCover', 'pumpSame', 'dryRub'] as const;
export type SchoolKind = (typeof SCHOOLS)[number];

/** Whether the needle brings part of it: that is what its days go by. */
export const CURE_TIMES = ['equilibrium', 'pumpAndCover'] as const;
export type CureTime = (typeof CURE_TIMES)[number];

const TIME_OF = { equilibrium: 'equilibrium', pumpAndCover: 'pumpAndCover', pumpSame: 'pumpAndCover', dryRub: 'equilibrium' } as const satisfies Record<
  SchoolKind,
  CureTime
>;

/** What a recipe or a process says of a school's days: pumped meat has its own. */
export const daysOf = <Days>(cureDays: Readonly<Record<CureTime, Days>>, kind: SchoolKind): Days => cureDays[TIME_OF[kind]];
