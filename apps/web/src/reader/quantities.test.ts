import { HOUR_MS, DAY_MS } from '@bunkhouse/core';
import fc from 'fast-check';
import { apart, digits, inWords, readNumber, tagWeight, toKept, toShown, weighedIn } from './quantities';
import { span } from './times';

const METRIC = { system: 'metric', temperature: 'C' } as const;
const US = { system: 'us', temperature: 'F' } as const;

describe('numbers as a cook types them', () => {
  test.each([
    ['3.5', 3.5],
    ['3,5', 3.5],
    [' 1 200 ', 1200],
    ['1\u202f200', 1200],
    ['.5', 0.5],
    ['\u22122', -2],
    ['-2', -2],
    ['7.', 7],
  ])('%j is %d', (text, value) => expect(readNumber(text)).toBe(value));

  test.each(['', 'heavy', '1e9', '1.2.3', '1,200.5', '--2', '0x10', 'NaN', '5 g', '\u{1F416}'])('%j is no number', (text) =>
    expect(readNumber(text)).toBeNull(),
  );
});

describe('quantities', () => {
  test('thousands have a thin gap, negatives a real minus', () => {
    expect(digits(3990, 0)).toBe('3\u202f990');
    expect(digits(1234567.89, 1)).toBe('1\u202f234\u202f567.9');
    expect(digits(-4.2, 1)).toBe('\u22124.2');
    expect(digits(-0.01, 1)).toBe('0.0');
  });

  test('one weight, two ways to say it', () => {
    expect(inWords(7400, 'mass', METRIC)).toBe('7\u202f400 g');
    expect(inWords(7400, 'mass', US)).toBe('16.31 lb');
    expect(inWords(20.4, 'smallMass', US)).toBe('0.720 oz');
    expect(inWords(4, 'temperature', US)).toBe('39.2 °F');
    expect(tagWeight(7400, METRIC)).toBe('7.4 kg');
    expect(tagWeight(7400, US)).toBe('16.3 lb');
  });

  test('what is typed in a unit is kept as it was meant', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('mass', 'smallMass', 'length', 'volume', 'temperature'),
        fc.double({ min: 0, max: 1e5, noNaN: true }),
        fc.constantFrom(METRIC, US),
        (quantity, value, shown) => {
          expect(toShown(toKept(value, quantity, shown), quantity, shown)).toBeCloseTo(value, 6);
        },
      ),
    );
  });
});

test('how far off a job is', () => {
  expect(span(20_000)).toBe('now');
  expect(span(12 * 60_000)).toBe('12 min');
  expect(span(3.7 * HOUR_MS)).toBe('3 h 42');
  expect(span(6 * DAY_MS + 4 * HOUR_MS)).toBe('6 d 4 h');
});

test('temperatures lie as far apart in °F as they do: no freezing point in between', () => {
  expect(apart(1.5, METRIC)).toBe('1.5 °C');
  expect(apart(-1.5, { ...METRIC, temperature: 'F' })).toBe('2.7 °F');
});

test('an ounce of salt is no 0.06 lb; grams stay whole', () => {
  const us = { ...METRIC, system: 'us' } as const;
  expect(inWords(27, weighedIn(27, us), us)).toBe('0.952 oz');
  expect(weighedIn(1200, us)).toBe('mass');
  expect(weighedIn(27, METRIC)).toBe('mass');
});
