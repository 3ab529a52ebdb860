/** What was typed, as a number; NaN for what is none, so that its field can say so. */
export const asNumber = (value: number | string | undefined): number | undefined =>
  typeof value === 'number' ? value : value === undefined ? undefined : Number.NaN;
