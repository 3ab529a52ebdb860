import fc from 'fast-check';
import { comeUpHours } from './comeUpHours.js';
import { coolingGates, COOLING_RULES, type CoolingRule } from './coolingGates.js';
import { lethality, LETHALITY_TABLE, lethalSeconds } from './lethality.js';

const celsius = (F: number) => ((F - 32) * 5) / 9;
const flat = (C: number, seconds: number, every = 10) => Array.from({ length: Math.floor(seconds / every) + 1 }, (_, i) => ({ s: i * every, C }));

// FSIS Cooking Guideline, revised Appendix A (values from memory): each temperature for its time is 6.5 log.
describe('the lethality sum', () => {
  test.each(LETHALITY_TABLE.map(([F, seconds]) => [F, seconds]))('%d °F for %d s is done, a tenth less is not', (F, seconds) => {
    const done = lethality(flat(celsius(F), seconds, seconds / 20));
    expect(done.sum).toBeCloseTo(1, 3);
    expect(done.reachedAtS).toBeCloseTo(seconds, 0);
    expect(lethality(flat(celsius(F), seconds * 0.9, seconds / 20)).reachedAtS).toBeNull();
  });

  test('from 158 °F on at once, below 130 °F never', () => {
    expect(lethality([{ s: 0, C: celsius(158) }])).toEqual({ sum: 1, reachedAtS: 0, gaps: [], course: [{ s: 0, sum: 1 }] });
    expect(
      lethality([
        { s: 0, C: 4 },
        { s: 60, C: 75 },
      ]).reachedAtS,
    ).toBeLessThanOrEqual(60);
    expect(lethality(flat(celsius(129.9), 86_400, 60)).sum).toBe(0);
  });

  test('between two of the table log t is linear: 140.5 °F takes the root of 12 times 9 minutes', () => {
    expect(lethalSeconds(celsius(140.5))).toBeCloseTo(Math.sqrt(12 * 9) * 60, 0);
  });

  test('a rising core is summed as by a thousand small steps', () => {
    const curve = [
      { s: 0, C: 50 },
      { s: 800, C: 56.3 },
      { s: 1500, C: 58.9 },
      { s: 2300, C: 61 },
    ];
    let fine = 0;
    for (let s = 0.5; s < 2300; s += 1) {
      const i = curve.findIndex((reading) => reading.s > s) - 1;
      const [a, b] = [curve[i], curve[i + 1]];
      if (a !== undefined && b !== undefined) fine += 1 / lethalSeconds(a.C + ((b.C - a.C) * (s - a.s)) / (b.s - a.s));
    }
    expect(lethality(curve).sum).toBeCloseTo(fine, 3);
  });

  test('a time that nobody read counts nothing, and is told', () => {
    const with2h = [...flat(60, 300), { s: 7500, C: 60 }, { s: 7510, C: 60 }];
    expect(lethality(with2h)).toMatchObject({ reachedAtS: null, gaps: [{ fromS: 300, toS: 7500 }] });
    expect(lethality(with2h).sum).toBeCloseTo(310 / 720, 6);
    // Who reads every half hour by hand leaves no gap.
    expect(lethality(flat(55, 7200, 1800)).gaps).toEqual([]);
  });

  test('whatever the core: warmer is never less, a reading more on the way changes nothing, and the sum only grows', () => {
    const steps = fc.array(fc.record({ ds: fc.integer({ min: 5, max: 600 }), C: fc.integer({ min: 40, max: 69 }) }), { minLength: 2, maxLength: 12 });
    fc.assert(
      fc.property(steps, (walked) => {
        let s = 0;
        const readings = walked.map(({ ds, C }) => ({ s: (s += ds), C }));
        const { sum } = lethality(readings);
        expect(lethality(readings.map((reading) => ({ ...reading, C: reading.C + 0.5 }))).sum).toBeGreaterThanOrEqual(sum - 1e-9);
        const halved = readings.flatMap((reading, i) => {
          const before = readings[i - 1];
          return before === undefined ? [reading] : [{ s: (before.s + reading.s) / 2, C: (before.C + reading.C) / 2 }, reading];
        });
        expect(lethality(halved).sum).toBeCloseTo(sum, 6);
        expect(lethality(readings.slice(0, -1)).sum).toBeLessThanOrEqual(sum + 1e-9);
      }),
      { numRuns: 200, seed: 4 },
    );
  });

  test.each([
    [[{ s: 0, C: Number.NaN }], /number/i],
    [[{ s: 0, C: 900 }], /300/],
    [
      [
        { s: 60, C: 20 },
        { s: 0, C: 20 },
      ],
      /backwards/,
    ],
    [
      [
        { s: 0, C: 20 },
        { s: 0, C: 21 },
      ],
      /share an instant/,
    ],
  ])('%j is refused in a sentence', (readings, said) => expect(() => lethality(readings)).toThrow(said));
});

describe('come-up', () => {
  test('from ten to fifty-four degrees, on a straight way', () => {
    expect(
      comeUpHours([
        { s: 0, C: 10 },
        { s: 6 * 3600, C: 54 },
      ]),
    ).toBeCloseTo(6, 6);
    expect(
      comeUpHours([
        { s: 0, C: 2 },
        { s: 3600, C: 10 },
        { s: 3 * 3600, C: 32 },
        { s: 5 * 3600, C: 76 },
      ]),
    ).toBeCloseTo(3, 6);
  });
  test('begins anew where it fell back, is null before it is there, counts from the first reading where that was warm', () => {
    expect(
      comeUpHours([
        { s: 0, C: 2 },
        { s: 3600, C: 20 },
        { s: 7200, C: 10 },
        { s: 7200 + 3600, C: 54 },
      ]),
    ).toBeCloseTo(1, 6);
    expect(
      comeUpHours([
        { s: 0, C: 2 },
        { s: 3600, C: 50 },
      ]),
    ).toBeNull();
    expect(comeUpHours([])).toBeNull();
    expect(
      comeUpHours([
        { s: 0, C: 20 },
        { s: 7200, C: 54 },
      ]),
    ).toBeCloseTo(2, 6);
  });
});

// FSIS Appendix B (values from memory).
describe('cooling gates', () => {
  /** Straight down through the upper temperatures of both gates, each in a share of its limit, a reading a minute. */
  const down = (rule: CoolingRule, shares: readonly [number, number]) => {
    const [one, two] = COOLING_RULES[rule];
    if (one === undefined || two === undefined) throw new Error('two gates');
    const readings = [
      { s: -60, C: one.from + 5 },
      { s: 0, C: one.from },
    ];
    let s = 0;
    [one, two].forEach((gate, i) => {
      const long = gate.limitS * (shares[i] ?? 1);
      for (let t = 60; t <= long; t += 60) readings.push({ s: s + t, C: gate.from + ((gate.to - gate.from) * t) / long });
      s += Math.floor(long / 60) * 60;
      if ((readings.at(-1)?.C ?? 0) > gate.to) readings.push({ s: (s += 60), C: gate.to });
    });
    return readings;
  };
  const states = (rule: CoolingRule, shares: readonly [number, number]) => coolingGates(down(rule, shares), rule).map(({ state }) => state);

  test.each(['cured', 'notCured', 'foodCode'] as const)('%s: just inside passes, just outside fails, each gate by itself', (rule) => {
    expect(states(rule, [0.98, 0.98])).toEqual(['pass', 'pass']);
    expect(states(rule, [1.03, 0.98])).toEqual(['fail', 'pass']);
    expect(states(rule, [0.98, 1.03])).toEqual(['pass', 'fail']);
  });

  test('not begun, running, and failed without being there', () => {
    expect(coolingGates([{ s: 0, C: 66 }], 'cured').map(({ state }) => state)).toEqual(['notStarted', 'notStarted']);
    expect(
      coolingGates(
        [
          { s: 0, C: 66 },
          { s: 3600, C: 50 },
        ],
        'cured',
      ).map(({ state }) => state),
    ).toEqual(['running', 'notStarted']);
    expect(
      coolingGates(
        [
          { s: 0, C: 66 },
          { s: 3600, C: 50 },
          { s: 8 * 3600, C: 30 },
        ],
        'cured',
      ).map(({ state }) => state),
    ).toEqual(['fail', 'notStarted']);
  });

  test('a time that nobody read is no proof: the gate ends with the reading after it', () => {
    const [gate] = coolingGates(
      [
        { s: 0, C: 54.5 },
        { s: 60, C: 53.9 },
        { s: 6 * 3600, C: 10 },
      ],
      'cured',
    );
    expect(gate?.state).toBe('fail');
  });

  test('a core that was first read on its way down has a clock since that reading at the latest; one that warms up has none', () => {
    const falls = [
      { s: 600, C: 48 },
      { s: 4200, C: 40 },
      { s: 20_000, C: 26.5 },
    ];
    expect(coolingGates(falls, 'cured')[0]).toMatchObject({ state: 'fail', startS: 600, tookS: 19_400 });
    expect(coolingGates(falls.slice(0, 2), 'cured')[0]).toMatchObject({ state: 'running', startS: 600 });
    expect(
      coolingGates(
        [...falls.slice(0, 2)].reverse().map(({ C }, i) => ({ s: i * 600, C })),
        'cured',
      )[0]?.state,
    ).toBe('notStarted');
  });
});
