import { clock, readClock } from './ClockField';

describe('a time of day as a cook types it', () => {
  test.each([
    ['7', 420],
    ['7:30', 450],
    ['0730', 450],
    ['19.30', 1170],
    [' 06 15 ', 375],
    ['24:00', 1440],
    ['0', 0],
  ])('%s is %d minutes', (text, minutes) => expect(readClock(text)).toBe(minutes));

  test.each(['', 'noon', '25', '24:15', '7:75', '7:3', '-1', '12:00 pm'])('%s is none', (text) => expect(readClock(text)).toBeNull());

  test('and is shown on the clock of twenty-four hours', () => expect([420, 1170, 1440].map(clock)).toEqual(['07:00', '19:30', '24:00']));
});
