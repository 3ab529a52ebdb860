/** What comes in lots: each delivery with its date and its maker's number. */
export const LOT_KINDS = ['cure', 'salt', 'sugar', 'spice', 'meat', 'wood'] as const;
export type LotKind = (typeof LOT_KINDS)[number];

/** So much was taken from a lot for a batch. */
export interface LotDraw {
  of: LotKind;
  lot: string;
  /** g */
  g: number;
}
