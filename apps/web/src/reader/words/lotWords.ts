import type { LotResponse } from '@bunkhouse/api';
import type { LotKind } from '@bunkhouse/core';

export const LOT_WORDS: Readonly<Record<LotKind, string>> = { cure: 'Cure', salt: 'Salt', sugar: 'Sugar', spice: 'Spice', meat: 'Meat', wood: 'Wood' };

/** `Cure #1, no. 4471`. */
export const lotName = ({ name, number }: Pick<LotResponse, 'name' | 'number'>): string => (number === '' ? name : `${name}, no. ${number}`);

/** How a lot stands on a day: too old, soon so, used up. Null where it is in order. */
export function lotFault({ bestBefore, amountG, takenG }: Pick<LotResponse, 'bestBefore' | 'amountG' | 'takenG'>, day: string): string | null {
  if (bestBefore !== null && bestBefore < day) return 'past its date';
  return amountG - takenG < amountG * 0.005 ? 'used up' : null;
}
