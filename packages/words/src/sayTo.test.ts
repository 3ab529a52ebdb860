import { ENGLISH, PASTED_WORDS, PLAIN, SHEET_WORDS, type Message } from '@bunkhouse/core';
import { IntlMessageFormat } from 'intl-messageformat';
import { sayTo } from './sayTo.js';
import { withQuantities } from './withQuantities.js';

test('a sentence within a sentence is said to the same reader; what somebody wrote stands', () => {
  const why: Message = { code: 'water-above', args: { boilsC: 100 }, message: 'Water does not get hotter than 100 °C.' };
  const whole: Message = { code: 'at-input', args: { input: 'Water', fault: why }, message: '' };
  expect(sayTo({ ...PLAIN, temperature: 'F' })(whole)).toBe('Water: Water does not get hotter than 212 °F.');
  expect(sayTo(PLAIN)({ code: 'as-written', args: { text: 'Smells of bay.' }, message: 'Smells of bay.' })).toBe('Smells of bay.');
});

test('a field is called as a cook knows it, never by its inner name', () => {
  const say = sayTo({ ...PLAIN, temperature: 'F' });
  const over = (field: string): Message => ({
    code: 'too-large',
    args: { field, most: { value: 200, unit: 'C' }, value: { value: 250, unit: 'C' } },
    message: '',
  });
  expect(say(over('program.0.chamberC'))).toBe('The chamber must be at most 392 °F, not 482 °F.');
  expect(say(over('somethingElse'))).toBe('The number must be at most 392 °F, not 482 °F.');
  expect(say(over('Green weight, piece B'))).toMatch(/^Green weight, piece B must be/);
  const days = { field: 'cureDays', least: { value: 1, unit: 'days' as const }, value: { value: 0, unit: 'days' as const } };
  expect(say({ code: 'too-small', args: days, message: '' })).toBe('The days of cure must be at least 1 day, not 0 days.');
});

test('another language says what it knows, and English the rest', () => {
  const say = sayTo({ ...PLAIN, decimal: ',' }, { 'water-above': 'Wasser wird nicht heißer als {boilsC, number, C1}.' });
  expect(say({ code: 'water-above', args: { boilsC: 99.5 }, message: '' })).toBe('Wasser wird nicht heißer als 99,5 °C.');
  expect(say({ code: 'read-again', args: {}, message: '' })).toBe('Read it again.');
});

describe.each(Object.entries({ ...ENGLISH, ...PASTED_WORDS, ...SHEET_WORDS }))('“%s”', (_code, template) => {
  test('can be read by the parser, and names no unit of its own', () => {
    expect(() => new IntlMessageFormat(template, 'en')).not.toThrow();
    // What is read in one unit and typed in the other names both.
    if (!/typed as|Did it show/.test(template)) expect(template).not.toMatch(/°[CF]|\d (g|kg|mm|lb)\b/);
  });
});

test('a text that names its quantities is read in the units of its reader, and one that names none stands', () => {
  const american = { ...PLAIN, system: 'us', temperature: 'F', decimal: ',' } as const;
  const text = 'Whole pork: {63 C}, then {3 min} of rest. A crate holds {10000 g}. Never above {-2.5 C1}.';
  expect(withQuantities(text, PLAIN)).toBe('Whole pork: 63 °C, then 3 min of rest. A crate holds 10000 g. Never above \u22122.5 °C.');
  expect(withQuantities(text, american)).toBe('Whole pork: 145 °F, then 3 min of rest. A crate holds 22,05 lb. Never above 27,5 °F.');
  expect(withQuantities('Keep it dry.', american)).toBe('Keep it dry.');
  expect(() => withQuantities('{63 celsius}', PLAIN)).toThrow('No quantity is written as {63 celsius}.');
});
