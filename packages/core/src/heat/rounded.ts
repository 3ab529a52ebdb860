import type { SizedPiece } from '../section/uptake.js';

/** A house plans over all its batches again and again: what was foretold of each is kept. */
export const KEPT_FORECASTS = 512;

/** Weight and length to two figures: what is told in tenths of hours is the same for 2612 and 2634 g, and is worked out once. */
export const rounded = ({ massG, lengthMm }: SizedPiece): Pick<SizedPiece, 'massG' | 'lengthMm'> => ({
  ...(massG === undefined ? {} : { massG: Number(massG.toPrecision(2)) }),
  ...(lengthMm === undefined ? {} : { lengthMm: Number(lengthMm.toPrecision(2)) }),
});
