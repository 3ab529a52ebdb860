/** Bounds of a strong pickle, % of the brine: under it, it is weighed for meat and water; over it, no more dissolves. */
export const STRONG_SALT = { min: 6, max: 26, unit: '%' } as const;

/** Where nothing is said of it: some 30° on the salometer [T: 5 to 8 % for a week, 10 to 20 % for short or large cures]. */
export const USUAL_STRONG_PERCENT = 8;
