import dayjs from 'dayjs';
import { patternIn, setLanguage } from './language';
import { digits, readNumber } from './quantities';
import { writtenTime } from './times';

afterEach(() => setLanguage({ decimal: 'point', dates: 'dayFirst', clock: '24' }));

test('with a comma every number is written with one, and read back as it was', () => {
  setLanguage({ decimal: 'comma', dates: 'dayFirst', clock: '24' });
  expect(digits(3990.5, 1)).toBe('3\u202f990,5');
  expect(digits(-0.25, 2)).toBe('\u22120,25');
  for (const value of [0, 0.1, 12.34, 3990.5]) expect(readNumber(digits(value, 2))).toBe(value);
});

test.each([
  ['D MMM YYYY', 'MMM D, YYYY'],
  ['ddd D MMM, HH:mm', 'ddd MMM D, h:mm a'],
  ['dddd D MMMM YYYY, HH:mm', 'dddd MMMM D, YYYY, h:mm a'],
  ['ddd D, HH:mm', 'ddd D, h:mm a'],
  ['HH:mm:ss', 'h:mm:ss a'],
  ['YYYY-MM-DDTHH:mm', 'YYYY-MM-DDTHH:mm'],
])('%s with the month first is %s', (pattern, expected) => {
  expect(patternIn(pattern, { dates: 'monthFirst', clock: '12' })).toBe(expected);
  expect(patternIn(pattern, { dates: 'dayFirst', clock: '24' })).toBe(pattern);
});

test('days and hours on the screen follow the house at once; what a field of the browser reads does not', () => {
  const at = dayjs('2026-10-17T15:30:00');
  expect(writtenTime(at, 'D MMM, HH:mm')).toBe('17 Oct, 15:30');
  setLanguage({ decimal: 'point', dates: 'monthFirst', clock: '12' });
  expect(writtenTime(at, 'D MMM, HH:mm')).toBe('Oct 17, 3:30 pm');
  expect(writtenTime(at, 'YYYY-MM-DDTHH:mm')).toBe('2026-10-17T15:30');
  // The clock and the order of days are two choices.
  setLanguage({ decimal: 'point', dates: 'dayFirst', clock: '12' });
  expect(writtenTime(at, 'D MMM, HH:mm')).toBe('17 Oct, 3:30 pm');
});
