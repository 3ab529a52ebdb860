/** What may be said of it at table, by what is judged; none of it must be. */
export const TABLE_VERDICTS = {
  salt: ['bland', 'right', 'salty', 'too-salty'],
  firmness: ['soft', 'right', 'tough'],
  smoke: ['faint', 'right', 'strong'],
  doneness: ['under', 'right', 'over'],
} as const;
export type Judged = keyof typeof TABLE_VERDICTS;
export const JUDGED: readonly Judged[] = ['salt', 'firmness', 'smoke', 'doneness'];

/** A verdict at table: what to do next time stands as the entry's reason. */
export type TableVerdict = { [Of in Judged]?: (typeof TABLE_VERDICTS)[Of][number] };
