import { QUANTITY_STYLES, writtenQuantity, type QuantityStyle, type Reader } from '@bunkhouse/core';

const PLACE = /\{(-?[\d.]+) (\w+)\}/g;

/**
 * A text that names its quantities itself, as somebody reads them.
 *
 * @throws Error for a unit that is not known
 * @example withQuantities('Whole pork: {63 C}.', { ...PLAIN, temperature: 'F' }) // 'Whole pork: 145 °F.'
 */
export const withQuantities = (text: string, reader: Reader): string =>
  text.replace(PLACE, (place, value: string, unit: string) => {
    if (!isStyle(unit)) throw new Error(`No quantity is written as ${place}.`);
    return writtenQuantity(Number(value), unit, reader);
  });

const isStyle = (unit: string): unit is QuantityStyle => (QUANTITY_STYLES as readonly string[]).includes(unit);
