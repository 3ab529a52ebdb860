import type { Product } from '../products/product.js';
import type { RuleSetId } from '../cure/ruleSet.js';
import { lethalityTable } from './lethalityTarget.js';
import fc from 'fast-check';
import { comeUp, comeUpHours } from './comeUpHours.js';
import { coolingGates, COOLING_RULES, type CoolingParams, type CoolingRule } from './coolingGates.js';
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
    expect(lethality([{ s: 0, C: celsius(158) }])).toEqual({ sum: 1, reachedAtS: 0, gaps: [], course: [{ s: 0, sum: 1 }], notCounted: [] });
    expect(lethality(flat(celsius(129.9), 86_400, 60)).sum).toBe(0);
  });

  // UK guidance on cooking, Canadian cooking advice for pork; values from memory.
  test('what a sum of 1 stands for follows product and rules: a loin held at 60 °C for 15 min is done by one table and by no other', () => {
    const held = flat(60, 900, 60);
    const of = (ruleSet: RuleSetId, product: Product) => lethalityTable(ruleSet, product);
    expect((['us', 'house', 'uk', 'eu', 'canada'] as const).map((rules) => of(rules, 'canadian-bacon').standsFor.message)).toEqual([
      '6.5 log',
      '6.5 log',
      '70 °C for 2 min',
      '70 °C for 2 min',
      '71 °C',
    ]);
    expect(of('canada', 'pastrami').standsFor.message).toBe('6.5 log');
    expect(lethality(held, { table: of('us', 'canadian-bacon') }).sum).toBeGreaterThanOrEqual(1);
    expect(lethality(held, { table: of('uk', 'canadian-bacon') }).sum).toBeCloseTo(900 / 2700, 6);
    expect(lethality(held, { table: of('canada', 'canadian-bacon') }).sum).toBe(0);
    expect(lethality(flat(70, 120, 60), { table: of('uk', 'pastrami') }).sum).toBeCloseTo(1, 6);
  });

  test('between two of the table log t is linear: 140.5 °F takes the root of 12 times 9 minutes', () => {
    expect(lethalSeconds(celsius(140.5))).toBeCloseTo(Math.sqrt(12 * 9) * 60, 0);
  });

  test('of two readings the lower counts for the time between them', () => {
    const curve = [
      { s: 0, C: 56 },
      { s: 800, C: 57 },
      { s: 1500, C: 58 },
    ];
    expect(lethality(curve).sum).toBeCloseTo(800 / lethalSeconds(56) + 700 / lethalSeconds(57), 9);
  });

  test('a time that nobody read counts nothing, and is told: a quarter of an hour is the most for a probe alone', () => {
    const with2h = [...flat(60, 300), { s: 7500, C: 60 }, { s: 7510, C: 60 }];
    expect(lethality(with2h)).toMatchObject({ reachedAtS: null, gaps: [{ fromS: 300, toS: 7500 }] });
    expect(lethality(with2h).sum).toBeCloseTo(310 / 720, 6);
    expect(lethality(flat(58, 36_000, 36_000)).sum).toBe(0);
    expect(lethality(flat(55, 7200, 900)).gaps).toEqual([]);
    expect(lethality(flat(55, 7200, 1000)).gaps).toHaveLength(7);
  });

  test('a chamber that was read hotter throughout proves an hour between two readings, with a thermostat four', () => {
    const core = flat(60, 7200, 3600);
    const oven = (C: (s: number) => number, every = 600) => Array.from({ length: 13 }, (_, i) => ({ s: i * every, C: C(i * every) }));
    expect(lethality(core, { chamber: oven(() => 95) }).reachedAtS).toBeCloseTo(720, 6);
    expect(lethality(core, { chamber: oven((s) => (s === 1800 ? 62 : 95)) }).gaps).toEqual([{ fromS: 0, toS: 3600 }]);
    expect(lethality(core, { chamber: oven(() => 64) }).sum).toBe(0);
    const seldom = flat(60, 14_400, 14_400);
    const held = [0, 14_400].map((s) => ({ s, C: 95 }));
    expect(lethality(seldom, { chamber: held }).sum).toBe(0);
    expect(lethality(seldom, { chamber: held, isThermostat: true }).reachedAtS).toBeCloseTo(720, 6);
    expect(lethality(core, { chamber: oven(() => 95), heatOnUntilS: 1800 }).gaps).toHaveLength(2);
  });

  // Handbook check values [M]: one lowest-of-three at 65 °C in a belly within two minutes, 63 °C in a 9 cm loin in about five.
  test.each([
    [65, { shape: 'slab', thicknessMm: 40 }, 0, 125],
    [63, { shape: 'round', diameterMm: 90 }, 240, 360],
  ] as const)('after the heat one reading of %d °C rests: %j is done between %d and %d s', (C, section, from, to) => {
    const done = lethality([{ s: 0, C }], { section, heatOnUntilS: 0 });
    expect(done.reachedAtS).not.toBeNull();
    expect(done.reachedAtS ?? 0).toBeGreaterThanOrEqual(from);
    expect(done.reachedAtS ?? Infinity).toBeLessThanOrEqual(to);
    expect(lethality([{ s: 0, C }], { section }).sum).toBe(0);
  });

  test('what a thermometer may be off is taken away', () => {
    expect(lethality(flat(60, 720), { doubtC: 1.5 }).sum).toBeLessThan(0.75);
  });

  test('a core that fell under 46 °C before it was done begins anew', () => {
    const fell = [...flat(58, 600), ...flat(45, 600).map(({ s, C }) => ({ s: s + 3600, C })), ...flat(58, 300).map(({ s, C }) => ({ s: s + 7200, C }))];
    expect(lethality(fell).sum).toBeCloseTo(300 / lethalSeconds(58), 9);
  });

  test('a stray reading proves nothing, is kept and named; so is a probe that was drawn out for five minutes', () => {
    const stray = lethality([20, 84, 21].map((C, i) => ({ s: i * 60, C })));
    expect(stray).toMatchObject({ sum: 0, reachedAtS: null, notCounted: [{ s: 60, C: 84, why: 'jump' }] });
    const out = [...flat(31, 600), ...flat(95, 300).map(({ s, C }) => ({ s: s + 610, C })), ...flat(31.5, 600).map(({ s, C }) => ({ s: s + 920, C }))];
    const done = lethality(out);
    expect(done.sum).toBe(0);
    expect(done.notCounted).toHaveLength(31);
  });

  test('a probe that stays out in the air is never counted, however long; seated anew it wants a second reading', () => {
    const hung = [...flat(31, 600), ...flat(95, 7200).map(({ s, C }) => ({ s: s + 610, C }))];
    expect(lethality(hung).sum).toBe(0);
    expect(lethality([...flat(31, 600), { s: 700, C: 60 }], { seatedS: [650] }).notCounted).toMatchObject([{ s: 700 }]);
    expect(lethality([...flat(31, 600), ...flat(60, 730).map(({ s, C }) => ({ s: s + 700, C }))], { seatedS: [650] }).reachedAtS).toBeCloseTo(1420, 6);
  });

  test('of two series that cannot both be true the lower counts', () => {
    const both = [...flat(84, 60), ...flat(20, 600).map(({ s, C }) => ({ s: s + 70, C }))];
    expect(lethality(both)).toMatchObject({ sum: 0, reachedAtS: null });
    // Meat that was seen to rise was meat: a probe that is drawn out after it takes nothing away.
    const rise = Array.from({ length: 120 }, (_, i) => ({ s: i * 60, C: 5 + i / 2 }));
    const drawn = [...rise, ...flat(22, 600).map(({ s, C }) => ({ s: s + 7200, C }))];
    expect(lethality(drawn).sum).toBeCloseTo(lethality(rise).sum, 9);
  });

  describe('whatever is read', () => {
    /** A core that rises and falls as cores do, read every so often; what it truly was between. */
    const course = fc.record({
      topC: fc.double({ min: 40, max: 72, noNaN: true }),
      riseS: fc.integer({ min: 3600, max: 20_000 }),
      every: fc.integer({ min: 30, max: 5000 }),
      strayAt: fc.nat(400),
      strayC: fc.double({ min: -20, max: 150, noNaN: true }),
    });
    const truth = (topC: number, riseS: number) => (s: number) =>
      4 + (topC - 4) * (1 - Math.exp((-3 * s) / riseS)) - (s > riseS ? ((s - riseS) / 3600) * 4 : 0);
    const fine = (C: (s: number) => number, untilS: number) => Array.from({ length: Math.floor(untilS / 10) }, (_, i) => ({ s: i * 10, C: C(i * 10) }));

    test('never more is proven than was: no sparseness, no single stray reading makes a core that was not done done', () => {
      fc.assert(
        fc.property(course, ({ topC, riseS, every, strayAt, strayC }) => {
          const C = truth(topC, riseS);
          const untilS = riseS * 1.5;
          const whole = lethality(fine(C, untilS), {}).sum;
          const read = Array.from({ length: Math.floor(untilS / every) + 1 }, (_, i) => ({ s: i * every, C: C(i * every) }));
          expect(lethality(read).sum).toBeLessThanOrEqual(whole + 1e-3);
          const k = strayAt % read.length;
          const s = (read[k]?.s ?? 0) + every / 2;
          const withStray = [...read, { s, C: strayC }].sort((a, b) => a.s - b.s);
          const done = lethality(withStray);
          if (whole < 0.9 && Math.abs(strayC - C(s)) > 20 && every <= 900) expect(done.reachedAtS).toBeNull();
        }),
        { numRuns: 300, seed: 7 },
      );
    });

    test('the sum only grows while nothing falls, and warmer is never less', () => {
      fc.assert(
        fc.property(course, ({ topC, riseS }) => {
          const C = truth(topC, riseS);
          const read = fine(C, riseS).filter((_, i) => i % 6 === 0);
          const { course: sums, sum } = lethality(read);
          sums.forEach((point, i) => expect(point.sum).toBeGreaterThanOrEqual(sums[i - 1]?.sum ?? 0));
          expect(lethality(read.map((reading) => ({ ...reading, C: reading.C + 0.5 }))).sum).toBeGreaterThanOrEqual(sum - 1e-9);
        }),
        { numRuns: 100, seed: 4 },
      );
    });
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
  const hours = (...read: [h: number, C: number][]) => comeUpHours(read.map(([h, C]) => ({ s: h * 3600, C })));
  test('between 50 and 130 °F exactly, at the most that its readings allow', () => {
    expect(hours([0, 10], [6, celsius(130)])).toBeCloseTo(6, 6);
    expect(hours([0, 10], [6, 54.4])).toBeNull();
    // From the last reading at 10 °C to the first at 54.44 °C and above.
    expect(hours([0, 2], [1, 10], [3, 32], [5, 62])).toBeCloseTo(4, 6);
    expect(hours([0, 2], [1, 50])).toBeNull();
    expect(comeUpHours([])).toBeNull();
    expect(hours([0, 20], [2, 55])).toBeCloseTo(2, 6);
  });
  test('a fire that goes out does not begin them anew: every rise and fall is added up until it is done', () => {
    expect(hours([0, 2], [1, 20], [2, 8], [3, 55])).toBeCloseTo(3, 6);
    // 55 °C after two hours, down to 30 for eight, up again.
    expect(hours([0, 5], [2, 55], [2.25, 50], [10, 30], [12, 60])).toBeGreaterThan(11);
    expect(hours([0, 5], [2, 55], [2.25, 55], [10, 9], [12, 60])).toBeGreaterThan(11);
  });
  test('what its readings prove at the least fails it, what they allow at the most passes it', () => {
    const of = (...read: [h: number, C: number][]) =>
      comeUp(
        read.map(([h, C]) => ({ s: h * 3600, C })),
        null,
      );
    expect(of([0, 5], [1, 12], [8, 50])).toMatchObject({ leastH: 7, failedAtS: 7 * 3600, isBegunCold: true });
    expect(of([0, 5], [7, 60])).toMatchObject({ leastH: 0, mostH: 7, failedAtS: null, endS: 7 * 3600 });
    expect(of([0, 20], [2, 60])).toMatchObject({ isBegunCold: false });
    expect(of([0, 5], [1, 9])).toBeNull();
  });
});

// FSIS Appendix B (values from memory); the limits are Fahrenheit values, exactly.
describe('cooling gates', () => {
  const F = celsius;
  test('limits are exact: 130, 80, 45 and 40 °F; 135, 70 and 41', () => {
    expect(COOLING_RULES.cured.map(({ from, to }) => [from, to])).toEqual([
      [F(130), F(80)],
      [F(80), F(45)],
    ]);
    expect(COOLING_RULES.notCured[1]?.to).toBeCloseTo(F(40), 12);
    expect(COOLING_RULES.foodCode.map(({ to }) => to)).toEqual([F(70), F(41)]);
    const at = (C: number) =>
      coolingGates(
        [
          { s: 0, C: 60 },
          { s: 3 * 3600, C },
        ],
        'cured',
      )[0]?.state;
    expect(at(F(80))).toBe('pass');
    expect(at(F(80) + 0.05)).toBe('running');
  });

  /** Straight down through both gates, each in a share of its limit, a reading a minute. */
  const down = (rule: CoolingRule, shares: readonly [number, number]) => {
    const [one, two] = COOLING_RULES[rule];
    if (one === undefined || two === undefined) throw new Error('two gates');
    const [firstS, secondS] = [one.limitS * shares[0], two.limitS * shares[1]];
    const endS = two.from === one.from ? secondS : firstS + secondS;
    const at = (s: number) => (s <= firstS ? one.from - ((one.from - one.to) * s) / firstS : one.to - ((one.to - two.to) * (s - firstS)) / (endS - firstS));
    const readings = [{ s: -60, C: one.from + 5 }];
    for (let s = 0; s < endS; s += 60) readings.push({ s, C: at(s) });
    return [...readings, { s: endS, C: two.to }];
  };
  const states = (rule: CoolingRule, shares: readonly [number, number]) => coolingGates(down(rule, shares), rule).map(({ state }) => state);

  test.each(['cured', 'notCured', 'foodCode'] as const)('%s: inside passes, outside fails, each gate by itself', (rule) => {
    expect(states(rule, [0.97, 0.97])).toEqual(['pass', 'pass']);
    expect(states(rule, [1.05, 0.97])).toEqual(['fail', 'pass']);
    expect(states(rule, [0.97, 1.05])).toEqual(['pass', 'fail']);
  });

  const gates = (rule: CoolingRule, p: CoolingParams, ...read: [h: number, C: number][]) =>
    coolingGates(
      read.map(([h, C]) => ({ s: h * 3600, C })),
      rule,
      p,
    ).map(({ state }) => state);

  test('three honest readings with one thermometer prove a chill', () => {
    expect(gates('cured', {}, [0, 62], [4, 24], [9.5, 5])).toEqual(['pass', 'pass']);
    expect(gates('cured', { doubtC: 1.5, heatOffS: 0 }, [0, 64], [4, 24], [9.5, 5])).toEqual(['pass', 'pass']);
  });

  test('what may have passed or failed is not shown: too far apart, no beginning, no end', () => {
    expect(gates('cured', {}, [0, 60], [6, 20], [12, 5])).toEqual(['notShown', 'notShown']);
    expect(gates('cured', {}, [0, 28], [1 / 60, 26])[0]).toBe('notShown');
    // Nobody read it above the start: the clock began when the heat ended.
    expect(gates('cured', { heatOffS: 0 }, [1, 48], [3, 25])[0]).toBe('pass');
    expect(gates('cured', { heatOffS: 0 }, [4, 48], [5.5, 25])[0]).toBe('notShown');
    expect(gates('cured', {}, [0, 66])).toEqual(['notStarted', 'notStarted']);
    expect(gates('cured', {}, [0, 66], [1, 50])).toEqual(['running', 'notStarted']);
    expect(gates('cured', {}, [0, 66], [1, 50], [8, 30])).toEqual(['fail', 'notStarted']);
    expect(gates('cured', {}, [0, 30], [1, 40])).toEqual(['notStarted', 'notStarted']);
  });

  test('a stray reading neither passes nor ends a gate; a later one above takes a pass back, a degree does not', () => {
    const minutes = (...C: number[]) =>
      coolingGates(
        C.map((value, i) => ({ s: i * 600, C: value })),
        'cured',
      ).map(({ state }) => state);
    expect(minutes(64, 3, 63, 50)).toEqual(['running', 'notStarted']);
    expect(gates('cured', {}, [0, 60], [3, 26], [4, 29])[0]).toBe('running');
    expect(gates('cured', {}, [0, 60], [3, 26], [4, 27.3])[0]).toBe('pass');
    expect(gates('cured', { untilS: 3.5 * 3600 }, [0, 60], [3, 26], [4, 29])[0]).toBe('pass');
    // The clock that began does not begin anew.
    expect(gates('cured', {}, [0, 60], [1, 50], [4, 56], [7, 26])[0]).toBe('notShown');
  });

  test('what took how long lies between what the readings prove and allow', () => {
    const [gate] = coolingGates(
      [
        [0, 60],
        [1, 50],
        [3, 30],
        [3.5, 26],
      ].map(([h = 0, C = 0]) => ({ s: h * 3600, C })),
      'cured',
    );
    expect(gate).toMatchObject({ state: 'pass', leastS: 2 * 3600 });
    // From 60 to 54.4 °C a piece 4 cm through needs a minute and a half at the least.
    expect(gate?.startS).toBeCloseTo(((60 - F(130)) / ((0.9 * 60) / 16)) * 60, 3);
    expect(gate?.mostS).toBeCloseTo(3.5 * 3600 - (gate?.startS ?? 0), 6);
    expect(gate?.tookS).toBeGreaterThan(2 * 3600);
    expect(gate?.tookS).toBeLessThan(3.5 * 3600);
  });

  test('whatever is read of it: a chill that was too slow never passes, a single stray reading or none, sparse or dense', () => {
    const chill = fc.record({
      halfH: fc.double({ min: 0.5, max: 8, noNaN: true }),
      hours: fc.uniqueArray(fc.double({ min: 0, max: 30, noNaN: true }), { minLength: 1, maxLength: 25 }),
      stray: fc.option(fc.record({ at: fc.nat(100), C: fc.double({ min: -10, max: 95, noNaN: true }) })),
    });
    fc.assert(
      fc.property(chill, ({ halfH, hours, stray }) => {
        const C = (h: number) => 2 + 63 * 2 ** (-h / halfH);
        const passes = (gate: { from: number; to: number; limitS: number }) => halfH * Math.log2((gate.from - 2) / (gate.to - 2)) * 3600 <= gate.limitS;
        const read = [...hours].sort((a, b) => a - b).map((h) => ({ s: h * 3600, C: C(h) }));
        for (const rule of ['cured', 'notCured'] as const) {
          coolingGates(read, rule, { heatOffS: 0 }).forEach(({ state }, i) => {
            const gate = COOLING_RULES[rule][i];
            if (gate === undefined) return;
            if (state === 'pass') expect(passes(gate)).toBe(true);
            if (state === 'fail') expect(passes(gate)).toBe(false);
          });
          if (stray === null) continue;
          // A stray that no core makes, among readings that are near: it turns no fail into a pass.
          const near = Array.from({ length: 200 }, (_, k) => ({ s: k * 600, C: C(k / 6) }));
          const s = (stray.at + 0.5) * 600;
          if (Math.abs(stray.C - C(s / 3600)) < 25) continue;
          const before = coolingGates(near, rule, { heatOffS: 0 }).map(({ state }) => state);
          const after = coolingGates(
            [...near, { s, C: stray.C }].sort((a, b) => a.s - b.s),
            rule,
            { heatOffS: 0 },
          ).map(({ state }) => state);
          before.forEach((state, i) => {
            if (state !== 'pass') expect(after[i]).not.toBe('pass');
          });
        }
      }),
      { numRuns: 300, seed: 3 },
    );
  });
});
