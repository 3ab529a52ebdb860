import type { TableVerdict } from './tableVerdict.js';

/** What hands do beside the plan, in the order of the work. Each has a record in steps/handActs. */
export const HAND_ACTS = [
  'prick',
  'score',
  'trimmings-frozen',
  'massage',
  'stir',
  'top-up',
  'move',
  'ice',
  'hold-under',
  'rinse',
  'fresh-water',
  'taste',
  'hang',
  'take-down',
  'rub',
  'wood',
  'chips',
  'damper',
  'relight',
  'smoke-off',
  'baste',
  'oven',
  'pot',
  'pot-water',
  'cover',
  'uncover',
  'off',
  'rest',
  'ice-water',
  'bag',
  'firm-up',
  'serve',
  'carve',
  'warm-again',
  'table',
  'give-away',
  'spoilt',
] as const;
export type HandActId = (typeof HAND_ACTS)[number];

/** What may have been read, weighed or counted at an act; none of it must be. */
export interface HandActAmounts {
  /** of air, water, chamber or meat, as the act says, °C */
  C?: number;
  /** relative humidity of the air, % */
  humidityPercent?: number;
  g?: number;
  /** how long it took, min */
  forMin?: number;
  times?: number;
}

/** Something that was done and that no plan asked for. Only a verdict at table is learnt from; all else the record tells. */
export interface HandAct extends HandActAmounts, TableVerdict {
  act: HandActId;
  /** codes of the pieces that it was done to; every piece when not given */
  pieces?: readonly string[];
}
