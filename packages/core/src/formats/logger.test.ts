import fc from 'fast-check';
import { guessLoggerFormat, type LoggerFormat } from './loggerFormat.js';
import { loggerReader } from './loggerRow.js';
import { newTally, tallied } from './loggerTally.js';
import { guessTimeStyle, readTime } from './loggerTime.js';

const rows = (text: string, delimiter = ',') => text.split('\n').map((line) => line.split(delimiter));
const ZONE = 'America/Denver';

/** Reads a whole small file as it is guessed. */
function readAll(text: string, delimiter = ',', changes: Partial<LoggerFormat> = {}) {
  const guessed = guessLoggerFormat(rows(text, delimiter), ZONE);
  if (guessed === null) throw new Error('It should be guessed.');
  const format = { ...guessed.format, ...changes };
  const read = loggerReader(format);
  return { guessed, lines: rows(text, delimiter).slice(format.headLines).map(read) };
}
const iso = (at: number | undefined) => new Date(at ?? Number.NaN).toISOString();

describe('times of other people’s loggers', () => {
  test.each([
    ['2026-11-20T07:30:00Z', 'instant', '2026-11-20T07:30:00.000Z'],
    ['2026-11-20 07:30:00+01:00', 'instant', '2026-11-20T06:30:00.000Z'],
    ['1795159800', 'epochS', '2026-11-20T07:30:00.000Z'],
    ['1795159800000', 'epochMs', '2026-11-20T07:30:00.000Z'],
    ['2026-11-20 07:30', 'ymd', '2026-11-20T07:30:00.000Z'],
    ['20.11.2026 07:30:15', 'dmy', '2026-11-20T07:30:15.000Z'],
    ['11/20/26 7:30 PM', 'mdy', '2026-11-20T19:30:00.000Z'],
    ['11/20/2026 12:05 am', 'mdy', '2026-11-20T00:05:00.000Z'],
    ['1:02:03', 'elapsed', '1970-01-01T01:02:03.000Z'],
    ['90.5', 'elapsed', '1970-01-01T00:01:30.500Z'],
  ] as const)('%s is read as %s', (text, style, expected) => {
    expect(guessTimeStyle([text])?.style).toBe(style);
    expect(iso(readTime(text, style) ?? Number.NaN)).toBe(expected);
  });

  test.each([
    '2026-02-30 10:00',
    '31.04.2026 10:00',
    '2026-11-20 24:30',
    '2026-11-20 10:61',
    '13/13/2026 10:00',
    '11/20/2026 13:00 PM',
    'yesterday',
    '',
    '12:60',
  ])('"%s" is no time', (text) => {
    expect(guessTimeStyle([text])).toBeNull();
  });

  test('day or month: what runs forwards decides, a 13th decides, and else it is said to be open', () => {
    expect(guessTimeStyle(['03/04/2026 10:00', '13/04/2026 10:00'])).toEqual({ style: 'dmy', isSure: true });
    expect(guessTimeStyle(['04/03/2026 10:00', '04/13/2026 10:00'])).toEqual({ style: 'mdy', isSure: true });
    expect(guessTimeStyle(['03/04/2026 10:00', '03/04/2026 10:05'])?.isSure).toBe(false);
    // What is still to come was not logged; of two days that have been the later is likelier.
    expect(guessTimeStyle(['03/10/2027 10:00'], Date.parse('2027-03-14T08:30:00Z'))).toEqual({ style: 'mdy', isSure: true });
    expect(guessTimeStyle(['10/03/2027 10:00'], Date.parse('2027-03-14T08:30:00Z'))).toEqual({ style: 'dmy', isSure: true });
    expect(guessTimeStyle(['11/01/2026 10:00'], Date.parse('2026-11-05T12:00:00Z'))).toEqual({ style: 'mdy', isSure: false });
    // By day first these would run back.
    expect(guessTimeStyle(['01/12/2026 23:55', '02/01/2026 00:05'])).toMatchObject({ style: 'mdy' });
  });
});

describe('a file as it is guessed', () => {
  test('title lines, °F, month first, wall clock: instants and °C', () => {
    const { guessed, lines } = readAll('Logger 7\nTime,Pit °F,Meat °F\n11/20/2026 07:30 AM,225,41\n11/20/2026 07:31 AM,226.5,41.2');
    expect(guessed.format).toMatchObject({ headLines: 2, timeColumn: 0, timeStyle: 'mdy', unit: 'F', columns: [{ column: 1 }, { column: 2 }] });
    expect(guessed.titles).toEqual(['Time', 'Pit °F', 'Meat °F']);
    expect(lines[0]?.readings.map(({ channel }) => channel)).toEqual([1, 2]);
    expect(lines[0]?.readings[1]?.C).toBeCloseTo(5, 6);
    // Denver in November: seven hours behind.
    expect(iso(lines[0]?.readings[0]?.at)).toBe('2026-11-20T14:30:00.000Z');
  });

  test('semicolons, decimal commas, date and clock in two columns', () => {
    const { guessed, lines } = readAll('Datum;Uhrzeit;Kern\n20.11.2026;07:30;4,6\n20.11.2026;07:31;4,7', ';');
    expect(guessed.format).toMatchObject({ timeColumn: 0, clockColumn: 1, timeStyle: 'dmy', decimal: ',' });
    expect(guessed.doubts).toEqual(['unit']);
    expect(lines.map(({ readings }) => readings[0]?.C)).toEqual([4.6, 4.7]);
  });

  test('a count of lines before the time is no time; seconds since the start ask when that was', () => {
    expect(readAll('No,Time,Core C\n1,2026-11-20 07:30,5\n2,2026-11-20 07:31,5.1').guessed.format).toMatchObject({ timeColumn: 1, timeStyle: 'ymd' });
    const elapsed = guessLoggerFormat(rows('s,C\n0,5\n10,5.1\n20,5.3'), ZONE);
    expect(elapsed?.doubts).toContain('start');
    expect(() => loggerReader(elapsed?.format as LoggerFormat)).toThrow(/when was that/);
    const { lines } = readAll('s,C\n0,5\n10,5.1\n20,5.3', ',', { startAt: 1_000_000 });
    expect(lines.map(({ readings }) => readings[0]?.at)).toEqual([1_000_000, 1_010_000, 1_020_000]);
  });

  test.each(['a,b\nc,d', 'Name,Price\nHam,12.50', '', 'just words', '\u0000\u0001\u0002'])('%j is no log', (text) => {
    expect(guessLoggerFormat(rows(text), ZONE)).toBeNull();
  });
});

describe('lines', () => {
  const format: LoggerFormat = {
    headLines: 0,
    timeColumn: 0,
    clockColumn: null,
    timeStyle: 'ymd',
    timeZone: ZONE,
    startAt: null,
    decimal: '.',
    unit: 'C',
    columns: [{ column: 1, channel: 1 }],
  };

  test.each([
    [['2026-11-20 07:30', '900'], /nothing that a probe can read/],
    [['2026-11-20 07:30', 'NaN'], /no temperature/],
    [['2026-11-20 07:30', '=1+1'], /no temperature/],
    [['2026-11-20 07:', '5'], /no time as the others/],
    [['', '5'], /no time in this line/],
    // In Denver the clocks go from two to three on 8 March 2026.
    [['2026-03-08 02:30', '5'], /clocks are put forward/],
  ])('%j is refused', (cells, reason) => {
    const line = loggerReader(format)(cells);
    expect(line.readings).toEqual([]);
    expect(line.refused?.message).toMatch(reason);
  });

  test('an empty cell says nothing and is no fault', () => {
    expect(loggerReader(format)(['2026-11-20 07:30', ' '])).toEqual({ readings: [], refused: null });
  });

  test('an hour that comes twice: first once, then the other time', () => {
    // On 1 November 2026 one o'clock comes twice in Denver.
    const read = loggerReader(format);
    const times = ['00:50', '01:10', '01:50', '01:10', '01:50', '02:10'].map((clock) => read([`2026-11-01 ${clock}`, '5']).readings[0]?.at ?? 0);
    expect(times.map(iso).map((text) => text.slice(11, 16))).toEqual(['06:50', '07:10', '07:50', '08:10', '08:50', '09:10']);
  });

  test('gaps, repeats, backward steps and refused lines are counted, the first twenty named', () => {
    const read = loggerReader(format);
    const files = ['10:00', '10:01', '10:01', '09:59', '11:00', '99:99'].map((clock) => [`2026-11-20 ${clock}`, '5']);
    let lastAt: number | null = null;
    let tally = newTally();
    files.forEach((cells, i) => {
      const line = read(cells);
      tally = tallied(tally, i + 1, line, lastAt);
      lastAt = line.readings[0]?.at ?? lastAt;
    });
    expect(tally).toMatchObject({
      lines: 6,
      readings: 5,
      repeated: 1,
      backwards: 1,
      gaps: 1,
      longestGapMs: 61 * 60_000,
      refusedLines: 1,
      refused: [{ line: 6 }],
    });
  });

  test('whatever stands in a file: it is read, refused in a sentence, or no log; nothing throws', () => {
    const cell = fc.oneof(fc.string(), fc.constantFrom('2026-11-20 07:30', '5.5', '5,5', '900', '-', '20.11.26', '7:30 pm', '\ufeff', '1e9', 'NaN', '0x10'));
    fc.assert(
      fc.property(fc.array(fc.array(cell, { maxLength: 5 }), { maxLength: 12 }), (file) => {
        const guessed = guessLoggerFormat(file, ZONE);
        if (guessed === null) return;
        const read = loggerReader({ ...guessed.format, startAt: 0 });
        for (const row of file) {
          const { readings, refused } = read(row);
          for (const { at, C } of readings) expect(Number.isFinite(at) && C >= -40 && C <= 350).toBe(true);
          expect(refused === null || refused.message.length > 5).toBe(true);
        }
      }),
      { numRuns: 300 },
    );
  });
});
