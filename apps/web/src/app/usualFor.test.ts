import { usualFor } from './usualFor';

describe('how a house most likely counts, by the language of its browser', () => {
  test('a kitchen of the United States reads pounds, °F, the month first and twelve hours', () => {
    expect(usualFor('en-US')).toMatchObject({ system: 'us', temperature: 'F', dates: 'monthFirst', clock: '12', decimal: 'point', ruleSet: 'us' });
  });

  test('one of Germany reads grams, commas, the day first and its own rules', () => {
    expect(usualFor('de-DE')).toMatchObject({ system: 'metric', temperature: 'C', dates: 'dayFirst', clock: '24', decimal: 'comma', ruleSet: 'eu' });
  });

  test.each([
    ['en-GB', 'uk'],
    ['fr-CA', 'canada'],
    ['fr', 'eu'],
  ])('%s goes by the rules of %s', (language, ruleSet) => expect(usualFor(language).ruleSet).toBe(ruleSet));

  test('a language that nobody knows is no reason to stop', () => {
    expect(usualFor('xx-not a language')).toMatchObject({ system: 'metric', temperature: 'C' });
    expect(usualFor('')).toMatchObject({ system: 'metric' });
  });
});
