import { convert, type Unit } from '@bunkhouse/core';
import { decimalSign } from './language';
import type { Preferences } from '../reader/preferences';

/** What a number is of. The number itself is always kept in g, mm, °C, mL, or L for the room in a store. */
export type Quantity = 'mass' | 'smallMass' | 'length' | 'temperature' | 'volume' | 'room';

type Shown = Pick<Preferences, 'system' | 'temperature'>;

/** Unit in which a quantity is typed and shown, its sign, and the decimals that matter. */
interface Scale {
  unit: Unit;
  sign: string;
  decimals: number;
}

const SCALES: Record<Quantity, { base: Unit; metric: Scale; us: Scale }> = {
  mass: { base: 'g', metric: { unit: 'g', sign: 'g', decimals: 0 }, us: { unit: 'lb', sign: 'lb', decimals: 2 } },
  smallMass: { base: 'g', metric: { unit: 'g', sign: 'g', decimals: 1 }, us: { unit: 'oz', sign: 'oz', decimals: 3 } },
  length: { base: 'mm', metric: { unit: 'mm', sign: 'mm', decimals: 0 }, us: { unit: 'in', sign: 'in', decimals: 2 } },
  volume: { base: 'mL', metric: { unit: 'mL', sign: 'mL', decimals: 0 }, us: { unit: 'flozUS', sign: 'fl oz', decimals: 1 } },
  room: { base: 'L', metric: { unit: 'L', sign: 'L', decimals: 0 }, us: { unit: 'galUS', sign: 'gal', decimals: 0 } },
  temperature: { base: 'C', metric: { unit: 'C', sign: '°C', decimals: 1 }, us: { unit: 'F', sign: '°F', decimals: 1 } },
};

export function scaleOf(quantity: Quantity, { system, temperature }: Shown): Scale & { base: Unit } {
  const scale = SCALES[quantity];
  const us = quantity === 'temperature' ? temperature === 'F' : system === 'us';
  return { ...(us ? scale.us : scale.metric), base: scale.base };
}

/** A number in the unit that is shown. */
export const toShown = (value: number, quantity: Quantity, shown: Shown): number => {
  const { unit, base } = scaleOf(quantity, shown);
  return convert(value, base, unit);
};

/** A typed number in the unit that is kept. */
export const toKept = (value: number, quantity: Quantity, shown: Shown): number => {
  const { unit, base } = scaleOf(quantity, shown);
  return convert(value, unit, base);
};

/** g for each kg, in ounces for each pound */
const OZ_PER_LB = 16 / 1000;

const THIN = '\u202f';

/** Digits with thin gaps at the thousands: 3 990. */
export function digits(value: number, decimals: number): string {
  const [whole = '', part] = Math.abs(value).toFixed(decimals).split('.');
  const gapped = whole.replace(/\B(?=(\d{3})+$)/g, THIN);
  const sign = Number(value.toFixed(decimals)) < 0 ? '\u2212' : '';
  return `${sign}${gapped}${part === undefined ? '' : `${decimalSign()}${part}`}`;
}

/** Below a pound, pounds with two decimals are too coarse for what is weighed into a brine: those are ounces. */
export const weighedIn = (g: number, { system }: Shown): 'mass' | 'smallMass' => (system === 'us' && g < 453.6 ? 'smallMass' : 'mass');

/** How far two temperatures lie apart, C° given: `1.2 °C`, `2.2 °F`. */
export const apart = (dC: number, shown: Shown): string =>
  `${digits(Math.abs(dC) * (shown.temperature === 'F' ? 1.8 : 1), 1)} ${scaleOf('temperature', shown).sign}`;

/** Digits with so many decimals at the most: `2.3`, `150`. */
export function fewDigits(value: number, most = 2): string {
  const part = String(Number(Math.abs(value).toFixed(most))).split('.')[1] ?? '';
  return digits(value, part.length);
}

/** So much for so much meat: `1.3 g for each kg of meat`, `0.021 oz for each lb of meat`. */
export const perMeat = (gPerKg: number, { system }: Shown): string =>
  system === 'us' ? `${fewDigits(gPerKg * OZ_PER_LB, 3)} oz for each lb of meat` : `${fewDigits(gPerKg, 1)} g for each kg of meat`;

/** What is put in at a needle site. */
export const atSite = (mL: number, shown: Shown): string => inWords(mL, 'volume', shown, shown.system === 'us' ? 2 : 1);

/** A quantity in words: `3 990 g`, `8.8 lb`, `3.5 °C`. */
export function inWords(value: number, quantity: Quantity, shown: Shown, decimals?: number): string {
  const scale = scaleOf(quantity, shown);
  return `${digits(toShown(value, quantity, shown), decimals ?? scale.decimals)} ${scale.sign}`;
}

/** A weight of meat on a tag: `7.4 kg` or `16.3 lb`. */
export const tagWeight = (grams: number, { system }: Shown): string =>
  system === 'us' ? `${digits(convert(grams, 'g', 'lb'), 1)} lb` : `${digits(grams / 1000, 1)} kg`;

/** Reads a typed number: point or comma, gaps between thousands, a Unicode minus. Null where it is no number. */
export function readNumber(text: string): number | null {
  const plain = text
    .trim()
    .replace(/[\s\u00a0\u202f]/g, '')
    .replace('\u2212', '-')
    .replace(',', '.');
  if (!/^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain)) return null;
  const value = Number(plain);
  return Number.isFinite(value) ? value : null;
}
