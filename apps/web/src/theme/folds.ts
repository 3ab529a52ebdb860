/** Where a screen folds: each is the width up to which, or from which, something holds. */
export const fold = {
  phone: '@media (max-width: 719px)',
  narrow: '@media (max-width: 700px)',
  middle: '@media (max-width: 860px)',
  upright: '@media (max-width: 900px)',
  tablet: '@media (max-width: 1020px)',
  small: '@media (max-width: 1180px)',
  laptop: '@media (min-width: 1021px)',
  paper: '@media print',
} as const;
