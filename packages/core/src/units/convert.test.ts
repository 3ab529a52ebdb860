import fc from 'fast-check';
import { convert } from './convert.js';
import type { Unit } from '../measures/unit.js';
import { InputError } from '../inputError.js';

const KINDS: Unit[][] = [
  ['g', 'kg', 'oz', 'lb'],
  ['mL', 'L', 'tsp', 'tbsp', 'cup', 'flozUS', 'ptUS', 'qtUS', 'galUS', 'flozImp', 'ptImp', 'qtImp', 'galImp'],
  ['mm', 'cm', 'in'],
  ['C', 'F'],
  ['s', 'min', 'h', 'd'],
];

describe('convert', () => {
  // The exact definitions: international yard and pound agreement 1959; US gallon 231 cubic inches; UK Units of Measurement Regulations.
  test.each<[number, Unit, number, Unit]>([
    [1, 'lb', 453.59237, 'g'],
    [1, 'oz', 28.349523125, 'g'],
    [1, 'galUS', 231 * 2.54 ** 3, 'mL'],
    [1, 'galImp', 4546.09, 'mL'],
    [1, 'in', 25.4, 'mm'],
    [40, 'F', 40 / 9, 'C'],
    [-40, 'C', -40, 'F'],
    [100, 'C', 212, 'F'],
    [1, 'tbsp', 3, 'tsp'],
    [1, 'cup', 16, 'tbsp'],
    [1, 'cup', 236.5882365, 'mL'],
    [2, 'd', 48, 'h'],
  ])('%d %s is %d %s', (value, from, expected, to) => {
    expect(convert(value, from, to)).toBeCloseTo(expected, 9);
  });

  test('there and back again is the same, for every pair of a kind', () => {
    for (const kind of KINDS) {
      fc.assert(
        fc.property(fc.constantFrom(...kind), fc.constantFrom(...kind), fc.double({ min: 0, max: 1e6, noNaN: true }), (a, b, value) => {
          expect(convert(convert(value, a, b), b, a)).toBeCloseTo(value, 5);
        }),
      );
    }
  });

  test('a mass is not a volume', () => {
    expect(() => convert(1, 'g', 'mL')).toThrow(InputError);
    expect(() => convert(1, 'galUS', 'lb')).toThrow(/cannot be converted/);
  });

  test('nonsense is refused, never NaN', () => {
    expect(() => convert(Number.NaN, 'g', 'kg')).toThrow(InputError);
    expect(() => convert(Infinity, 'g', 'g')).toThrow(InputError);
    expect(() => convert(1, 'gallon' as Unit, 'mL')).toThrow(/not a unit/);
    expect(() => convert(1, 'toString' as Unit, 'mL')).toThrow(/not a unit/);
    expect(() => convert(-300, 'C', 'F')).toThrow(/colder/);
    expect(() => convert(-500, 'F', 'C')).toThrow(/colder/);
  });
});
