import { ENGLISH_ROOMS } from './english/english.js';
import { PASTED_WORDS } from './english/pasted.js';
import { SHEET_WORDS } from './english/sheet.js';
import { QUANTITY_STYLES, quantityAsGiven, writtenQuantity } from './quantity.js';
import { writtenInstant } from './instant.js';
import { speaker, writtenOut, type Message } from './message.js';
import { PLAIN, type Reader } from './reader.js';

const AMERICAN: Reader = { ...PLAIN, system: 'us', temperature: 'F', gap: '\u202f', clock: 12, dates: 'monthFirst', timeZone: 'America/Denver' };
const FRENCH: Reader = { ...PLAIN, decimal: ',', gap: '\u202f' };

describe('a quantity in a sentence', () => {
  test('is written in the units of the reader, with so many decimals at the most', () => {
    expect(writtenQuantity(54.444, 'C', PLAIN)).toBe('54 °C');
    expect(writtenQuantity(54.444, 'C', AMERICAN)).toBe('130 °F');
    expect(writtenQuantity(4, 'C1', PLAIN)).toBe('4 °C');
    expect(writtenQuantity(-2.75, 'C1', FRENCH)).toBe('−2,8 °C');
    expect(writtenQuantity(5, 'K', AMERICAN)).toBe('9 °F');
    expect(writtenQuantity(4535.9237, 'g', AMERICAN)).toBe('10 lb');
    expect(writtenQuantity(12_345, 'g', FRENCH)).toBe('12\u202f345 g');
    expect(writtenQuantity(150, 'ppm', AMERICAN)).toBe('150 ppm');
  });

  test('is exact where it is given as it is: a bound, a step of a scale', () => {
    expect(quantityAsGiven({ value: 200.0001, unit: 'ppm' }, PLAIN)).toBe('200.0001 ppm');
    expect(quantityAsGiven({ value: 0.05, unit: 'g' }, FRENCH)).toBe('0,05 g');
    expect(quantityAsGiven({ value: 4, unit: 'C' }, AMERICAN)).toBe('39.2 °F');
    expect(quantityAsGiven({ value: 3e-10, unit: 'diffusivity' }, PLAIN)).toBe('3e-10 m²/s');
  });

  test.each(QUANTITY_STYLES)('%s can be written for everybody', (style) => {
    for (const reader of [PLAIN, AMERICAN, FRENCH]) expect(writtenQuantity(12.34, style, reader)).toMatch(/^\d+([.,]\d+)?( \S.*)?$/);
  });
});

test('an instant is written by the zone, the clock and the order of days of the reader', () => {
  const at = Date.parse('2026-11-17T03:05:50Z');
  expect(writtenInstant(at, 'moment', PLAIN)).toBe('17 Nov, 03:05');
  expect(writtenInstant(at, 'moment', AMERICAN)).toBe('Nov 16, 8:05 pm');
  expect(writtenInstant(Date.parse('2026-11-17T07:30:00Z'), 'clock', AMERICAN)).toBe('12:30 am');
  expect(writtenInstant(Date.parse('2026-11-17T19:00:00Z'), 'clock', AMERICAN)).toBe('12:00 pm');
});

describe('a sentence', () => {
  const says = speaker({
    'too-warm': 'Piece {piece} is at {coreC, number, C1}{isOver, select, yes {, and over} other {}}.',
    pieces: '{n, plural, one {# piece lies} other {# pieces lie}} at {mostC, number, C}.',
    why: '{why} {more} Write it down.',
    nothing: '',
  });
  const toReader = (message: Message, reader: Reader): string =>
    writtenOut(TEMPLATES[message.code] ?? '', message.args, reader, (within) => toReader(within, reader));
  const TEMPLATES: Partial<Record<string, string>> = {
    'too-warm': 'Piece {piece} is at {coreC, number, C1}{isOver, select, yes {, and over} other {}}.',
    why: '{why} {more} Write it down.',
    nothing: '',
  };

  test('bears its code, what it is about unrounded, and itself in plain English', () => {
    expect(says('too-warm', { piece: 'A', coreC: 54.4444, isOver: 'yes' })).toEqual({
      code: 'too-warm',
      args: { piece: 'A', coreC: 54.4444, isOver: 'yes' },
      message: 'Piece A is at 54.4 °C, and over.',
    });
    expect(says('pieces', { n: 1, mostC: 4 }).message).toBe('1 piece lies at 4 °C.');
    expect(says('pieces', { n: 3, mostC: 4 }).message).toBe('3 pieces lie at 4 °C.');
  });

  test('holds other sentences, which may be empty, and is said anew to another reader down to these', () => {
    const why = says('why', { why: says('too-warm', { piece: 'B', coreC: 10, isOver: 'no' }), more: says('nothing') });
    expect(why.message).toBe('Piece B is at 10 °C. Write it down.');
    expect(toReader(why, AMERICAN)).toBe('Piece B is at 50 °F. Write it down.');
  });

  test('with a place that is not filled, or filled with something else, does not compile', () => {
    // @ts-expect-error a place is missing
    expect(() => says('too-warm', { piece: 'A', isOver: 'no' })).toThrow();
    // @ts-expect-error a quantity is a number
    expect(() => says('pieces', { n: 2, mostC: 'four' })).toThrow();
    // @ts-expect-error there is no such sentence
    expect(() => says('unknown')).toThrow();
  });
});

test('each sentence has a code of its own, in whichever room it is said', () => {
  const codes = [...ENGLISH_ROOMS, PASTED_WORDS, SHEET_WORDS].flatMap((words) => Object.keys(words));
  expect(codes.filter((code, i) => codes.indexOf(code) !== i)).toEqual([]);
});
