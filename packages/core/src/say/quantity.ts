import { inUnit, UNITS, type Unit } from '../measures/unit.js';
import type { Reader } from './reader.js';

/** A unit, its sign, and the decimals that matter. */
interface Scale {
  /** null where every reader has the same, or where it is so many `times` what is kept */
  unit: Unit | null;
  times?: number;
  sign: string;
  decimals: Decimals;
}

/** So many at the most; in a working as many as matter. */
type Decimals = number | 'working';

/** In the unit in which it is kept, and, where American readers have another, in theirs. */
interface Style {
  kept: Scale;
  us?: Scale;
}

const plain = (sign: string, decimals: Decimals): Style => ({ kept: { unit: null, sign, decimals } });
const measured = (kept: Unit, sign: string, decimals: Decimals, us: Unit, usSign: string, usDecimals: Decimals): Style => ({
  kept: { unit: kept, sign, decimals },
  us: { unit: us, sign: usSign, decimals: usDecimals },
});

/** How quantities stand in a sentence, `{limitC, number, C}`: what they are kept in, with as many decimals at the most as stand behind it. */
const STYLES = {
  C: measured('C', '°C', 0, 'F', '°F', 0),
  C1: measured('C', '°C', 1, 'F', '°F', 1),
  /** a difference of temperatures */
  K: plain('°C', 0),
  K1: plain('°C', 1),
  g: measured('g', 'g', 0, 'lb', 'lb', 2),
  /** what is weighed on the finer scale */
  g1: measured('g', 'g', 1, 'oz', 'oz', 2),
  kg: { kept: { unit: null, sign: 'kg', decimals: 2 }, us: { unit: null, times: 1 / 0.45359237, sign: 'lb', decimals: 2 } },
  mm: measured('mm', 'mm', 0, 'in', 'in', 2),
  mm1: measured('mm', 'mm', 1, 'in', 'in', 2),
  mL: measured('mL', 'mL', 0, 'flozUS', 'fl oz', 1),
  percent: plain('%', 0),
  percent1: plain('%', 1),
  percent2: plain('%', 2),
  ppm: plain('ppm', 0),
  ppm1: plain('ppm', 1),
  s: plain('s', 0),
  min: plain('min', 0),
  h: plain('h', 0),
  h1: plain('h', 1),
  days: plain('days', 0),
  days1: plain('days', 1),
  /** above the sea */
  m: plain('m', 0),
  gPerMl: plain('g/mL', 3),
  gPerKg: { kept: { unit: null, sign: 'g/kg', decimals: 1 }, us: { unit: null, times: 16 / 1000, sign: 'oz/lb', decimals: 3 } },
  /** what a store holds */
  L: { kept: { unit: null, sign: 'L', decimals: 0 }, us: { unit: null, times: 1 / 3.785411784, sign: 'gal', decimals: 0 } },
  diffusivity: plain('m²/s', 0),
  /** of a salometer */
  degrees: plain('°', 0),
  baume: plain('°Bé', 1),
  /** of a working: weights of one kind of unit, small ones and large */
  gW: measured('g', 'g', 'working', 'oz', 'oz', 'working'),
  mmW: measured('mm', 'mm', 'working', 'in', 'in', 'working'),
  cmW: { kept: { unit: null, times: 0.1, sign: 'cm', decimals: 'working' }, us: { unit: null, times: 1 / 25.4, sign: 'in', decimals: 'working' } },
  mLW: measured('mL', 'mL', 'working', 'flozUS', 'fl oz', 'working'),
  /** a volume beside lengths */
  in3W: { kept: { unit: null, sign: 'mL', decimals: 'working' }, us: { unit: null, times: 1 / 16.387064, sign: 'in³', decimals: 'working' } },
  /** an area, kept in mm² */
  cm2W: { kept: { unit: null, times: 1 / 100, sign: 'cm²', decimals: 'working' }, us: { unit: null, times: 1 / 645.16, sign: 'in²', decimals: 'working' } },
  percentW: plain('%', 'working'),
  ppmW: plain('ppm', 'working'),
  daysW: plain('days', 'working'),
  nW: plain('', 'working'),
  /** without a unit */
  n: plain('', 0),
  n1: plain('', 1),
  n2: plain('', 2),
} as const satisfies Record<string, Style>;

export type QuantityStyle = keyof typeof STYLES;

export const QUANTITY_STYLES = Object.keys(STYLES) as QuantityStyle[];

/** A number that says what it is of. */
export interface Quantity {
  value: number;
  unit: QuantityStyle;
}

const F_PER_C = 1.8;

/**
 * A quantity as somebody reads it.
 *
 * @param value in the unit that `style` begins with
 * @example writtenQuantity(54.44, 'C', { ...PLAIN, temperature: 'F' }) // '130 °F'
 */
export function writtenQuantity(value: number, style: QuantityStyle, reader: Reader): string {
  const { shown, sign, decimals } = asRead(value, style, reader);
  return withSign(digits(shown, decimals, reader), sign);
}

/**
 * A quantity with the decimals that it has: a bound stays exact, 0.5 °C or 200.0001 ppm; in another unit two are enough.
 *
 * @example quantityAsGiven({ value: 0.5, unit: 'percent' }, PLAIN) // '0.5 %'
 */
export function quantityAsGiven({ value, unit }: Quantity, reader: Reader): string {
  const { shown, sign } = asRead(value, unit, reader);
  // What is finer than that is written as science does: 3e-10.
  if (shown !== 0 && Math.abs(shown) < 1e-4) return withSign(String(shown), sign);
  return withSign(digits(shown, shown === value ? 6 : 2, reader), sign);
}

function asRead(value: number, style: QuantityStyle, reader: Reader): { shown: number; sign: string; decimals: Decimals } {
  const { kept, us }: Style = STYLES[style];
  if (style === 'K' || style === 'K1') {
    const inF = reader.temperature === 'F';
    return { shown: inF ? value * F_PER_C : value, sign: inF ? '°F' : '°C', decimals: kept.decimals };
  }
  const scale = us !== undefined && isAmerican(us, reader) ? us : kept;
  const shown = scale.unit === null || kept.unit === null ? value : inUnit(value, UNITS[kept.unit], UNITS[scale.unit]);
  return { shown: scale.times === undefined ? shown : shown * scale.times, sign: scale.sign, decimals: scale.decimals };
}

const isAmerican = ({ unit }: Scale, { system, temperature }: Reader): boolean => (unit === 'F' ? temperature === 'F' : system === 'us');

const withSign = (number: string, sign: string): string => (sign === '' ? number : `${number} ${sign === 'days' && number === '1' ? 'day' : sign}`);

/** Digits as somebody writes them, with so many decimals at the most: `3 990`, `12,5`, `−2.8`. */
function digits(value: number, places: Decimals, { decimal, gap }: Pick<Reader, 'decimal' | 'gap'>): string {
  const decimals = places === 'working' ? placesInWorking(value) : places;
  const [whole = '', part] = String(Number(Math.abs(value).toFixed(decimals))).split('.');
  const gapped = gap === '' ? whole : whole.replace(/\B(?=(\d{3})+$)/g, gap);
  const sign = Number(value.toFixed(decimals)) < 0 ? '\u2212' : '';
  return `${sign}${gapped}${part === undefined ? '' : `${decimal}${part}`}`;
}

/** No more digits than matter. */
function placesInWorking(value: number): number {
  const size = Math.abs(value);
  if (size >= 1000) return 0;
  if (size >= 100) return 1;
  return size >= 1 ? 2 : 4;
}
