import Qty from 'js-quantities';
import { convert } from './convert.js';
import type { Unit } from '../measures/unit.js';

/** The names of our units in a general unit library. */
const THEIRS: Partial<Record<Unit, string>> = {
  g: 'g',
  kg: 'kg',
  oz: 'oz',
  lb: 'lb',
  mL: 'ml',
  L: 'l',
  tsp: 'tsp',
  tbsp: 'tbs',
  cup: 'cup',
  flozUS: 'floz',
  ptUS: 'pint',
  qtUS: 'quart',
  galUS: 'gallon',
  galImp: 'gallon-imp',
  mm: 'mm',
  cm: 'cm',
  in: 'in',
  C: 'tempC',
  F: 'tempF',
  s: 's',
  min: 'min',
  h: 'h',
  d: 'd',
};

const KINDS: Unit[][] = [
  ['g', 'kg', 'oz', 'lb'],
  ['mL', 'L', 'tsp', 'tbsp', 'cup', 'flozUS', 'ptUS', 'qtUS', 'galUS', 'galImp'],
  ['mm', 'cm', 'in'],
  ['C', 'F'],
  ['s', 'min', 'h', 'd'],
];

describe('beside a general unit library', () => {
  test.each(KINDS.map((kind) => [kind[0] ?? '', kind] as const))('every pair with %s agrees to five digits', (_first, kind) => {
    for (const from of kind) {
      for (const to of kind) {
        const theirs = Qty(37.5, THEIRS[from] ?? '').to(THEIRS[to] ?? '').scalar;
        expect(Math.abs(convert(37.5, from, to) / theirs - 1)).toBeLessThan(2e-5);
      }
    }
  });
});
