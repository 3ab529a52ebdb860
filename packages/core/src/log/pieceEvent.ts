/** What hands do to a piece beside the steps: it may weigh another weight after it. */
export const SHAPING_ACTS = ['trimmed', 'boned', 'tied', 'netted'] as const;
export type ShapingAct = (typeof SHAPING_ACTS)[number];

/** What makes a batch of its own of a part. */
export type PartingEvent = Extract<PieceEvent, { act: 'split' | 'parted' }>;
export const isParting = (event: PieceEvent): event is PartingEvent => event.act === 'split' || event.act === 'parted';

/** Something that happened to a piece. */
export type PieceEvent =
  /** offG: what was cut away; weighsG: what the piece weighs after it */
  | { act: ShapingAct; piece: string; offG?: number; weighsG?: number }
  /** cut in two: one part stays here, the other is the batch `to` from now on */
  | { act: 'split'; piece: string; staysG: number; goesG: number; to: string }
  /** they go their own way: whole pieces that are the batch `to` from now on */
  | { act: 'parted'; pieces: readonly string[]; to: string }
  /** tied to another piece: both are `to` from now on */
  | { act: 'joined'; piece: string; to: string }
  /** it leaves the batch, for the entry's reason */
  | { act: 'dropped'; piece: string };
