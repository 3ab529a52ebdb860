import fc from 'fast-check';
import { CURE_1, READY_MIX } from '../ingredients/cureMix.js';
import { InputError } from '../inputError.js';
import { auditRecipe } from './auditRecipe.js';
import type { AuditParams, CureMethod } from './nitriteOfRecipe.js';
import { readRecipe } from './readRecipe.js';
import type { RecipeLine } from './recipeLine.js';

const g = (ingredient: string, amount: number): RecipeLine => ({ ingredient, amount, unit: 'g' });

/** Brine of 8 kg with 80 g of cure, for a 7 kg ham (docs/science.md, “Ingoing nitrite”). */
const HAM: AuditParams = {
  lines: [g('water', 7000), g('table-salt', 920), g('cure-1', 80)],
  meatG: 7000,
  method: 'immersion',
  product: 'ham-bone-in',
  ruleSet: 'us',
};

const ppm = (p: AuditParams, basis: string) => auditRecipe(p).nitritePpm.find((figure) => figure.basis === basis)?.value;
const codes = (p: AuditParams) => auditRecipe(p).findings.map(({ level, code }) => `${level} ${code}`);

describe('worked checks of the inspectors’ formulas', () => {
  // USDA FSIS Processing Inspectors' Calculations Handbook, Directive 7620.3; value from memory.
  test('80 g of cure in 8 kg with a 7 kg ham: 333 ppm when even, 62.5 by pick-up', () => {
    expect(ppm(HAM, 'equilibrium')).toBeCloseTo(333.33, 2);
    expect(ppm(HAM, 'pickUp')).toBeCloseTo(62.5, 9);
  });

  test('19.2 g per kg pumped 10 % is 120 ppm', () => {
    const lines = [g('water', 830.8), g('table-salt', 150), g('cure-1', 19.2)];
    expect(ppm({ ...HAM, lines, method: 'pumped', pumpPercent: 10 }, 'pumped')).toBeCloseTo(120, 9);
  });

  test('15 g on 6 kg of meat, rubbed, is 156.25 ppm', () => {
    expect(ppm({ ...HAM, meatG: 6000, lines: [g('table-salt', 120), g('cure-1', 15)], method: 'dry' }, 'dry')).toBeCloseTo(156.25, 9);
  });
});

describe('which figure is judged', () => {
  const judged = (part: Partial<AuditParams>) => auditRecipe({ ...HAM, ...part }).nitrite;
  const loin = { shape: 'round', diameterMm: 85 } as const;

  test('each way of curing by its own figure', () => {
    expect(judged({ method: 'even' }).applies.id).toBe('nitrite-even');
    expect(judged({ method: 'clock' }).applies.id).toBe('nitrite-pick-up');
    expect(judged({ method: 'pumped', pumpPercent: 10 }).applies.id).toBe('nitrite-pumped');
    expect(judged({ method: 'dry' }).applies.id).toBe('nitrite-dry');
  });

  test('pumped and covered in one brine: the larger of the two', () => {
    expect(judged({ method: 'pumpAndCover', pumpPercent: 10 }).applies.id).toBe('nitrite-even');
    expect(judged({ method: 'pumpAndCover', pumpPercent: 55 }).applies.id).toBe('nitrite-pumped');
  });

  test('a bare recipe shows both and warns when they straddle the limit, stops when both are over', () => {
    expect(codes(HAM)).toContain('warn straddle');
    expect(codes({ ...HAM, lines: [g('water', 7000), g('table-salt', 920), g('cure-1', 400)] })).toContain('stop nitrite-over');
  });

  test('thickness and days decide: two weeks in a loin count as even, a day does not', () => {
    expect(judged({ section: loin, cureHours: 14 * 24 }).applies.id).toBe('nitrite-even');
    expect(judged({ section: loin, cureHours: 24 }).applies.id).not.toBe('nitrite-even');
  });

  test('by the clock the model speaks up when more goes in than 10 % pick-up, and names the last day', () => {
    const audit = auditRecipe({ ...HAM, method: 'clock', section: loin, cureHours: 10 * 24 });
    expect(audit.nitrite.applies.id).toBe('nitrite-at-pull');
    expect(audit.nitrite.judgement.verdict).toBe('over');
    expect(audit.findings[0]).toMatchObject({ level: 'stop', code: 'nitrite-over' });
    const day = Number(/out by day (\d+\.\d)/.exec(audit.findings[0]?.message ?? '')?.[1]);
    // On that day it is inside, half a day later it is not.
    expect(auditRecipe({ ...HAM, method: 'clock', section: loin, cureHours: day * 24 }).nitrite.judgement.verdict).not.toBe('over');
    expect(auditRecipe({ ...HAM, method: 'clock', section: loin, cureHours: (day + 0.5) * 24 }).nitrite.judgement.verdict).toBe('over');
  });

  test('the model never gives more than the even figure', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 1500, noNaN: true }), (cureHours) => {
        const p: AuditParams = { ...HAM, method: 'clock', section: loin, cureHours };
        expect(ppm(p, 'atPull') ?? 0).toBeLessThanOrEqual((ppm(p, 'equilibrium') ?? 0) + 1e-9);
      }),
    );
  });
});

describe('doubt', () => {
  const spoons = (amount: number): AuditParams => ({
    ...HAM,
    method: 'even',
    lines: [g('water', 2000), g('table-salt', 150), { ingredient: 'cure-1', amount, unit: 'tsp' }],
    meatG: 4000,
  });

  test('three teaspoons may be anything from 138 to 180 ppm, and never narrower than the spoon', () => {
    const { applies } = auditRecipe(spoons(3)).nitrite;
    expect(applies.low / applies.value).toBeLessThan(4.8 / 5.6 + 1e-3);
    expect(applies.high / applies.value).toBeGreaterThan(6.2 / 5.6 - 1e-3);
  });

  test('a doubt that crosses the limit says: weigh it', () => {
    const found = auditRecipe({ ...spoons(3), ruleSet: 'uk' }).findings.find(({ code }) => code === 'doubt-over' || code === 'nitrite-over');
    expect(found?.message).toMatch(/0\.1 g scale|Right would be/);
    expect(auditRecipe({ ...spoons(2.6), ruleSet: 'uk' }).findings.find(({ code }) => code === 'doubt-over')?.message).toMatch(
      /Weigh the cure on a 0\.1 g scale/,
    );
  });

  test('a coarse scale is named as such, a fine one is not blamed', () => {
    const on = (stepG: number): AuditParams => ({
      ...HAM,
      method: 'even',
      lines: [g('water', 2000), g('table-salt', 150), { ...g('cure-1', 19.3), stepG }],
      meatG: 4000,
    });
    expect(auditRecipe(on(2)).findings.find(({ code }) => code === 'doubt-over')?.message).toMatch(/Weigh the cure on a 0\.1 g scale/);
    expect(auditRecipe(on(0.1)).findings.find(({ code }) => code === 'doubt-over')).toBeUndefined();
  });

  test('is never narrower than its largest part, nor does the value leave it', () => {
    const any = fc.record({
      cureG: fc.double({ min: 3, max: 40, noNaN: true }),
      stepG: fc.double({ min: 0.01, max: 5, noNaN: true }),
      meatStepG: fc.double({ min: 0.1, max: 50, noNaN: true }),
    });
    fc.assert(
      fc.property(any, ({ cureG, stepG, meatStepG }) => {
        const { applies } = auditRecipe({
          ...HAM,
          method: 'even',
          meatStepG,
          lines: [g('water', 3000), g('table-salt', 150), { ...g('cure-1', cureG), stepG }],
        }).nitrite;
        const part = Math.max(Math.min(stepG / 2, cureG) / cureG, meatStepG / 2 / (7000 + 3150 + cureG) / 1.01);
        expect(1 - applies.low / applies.value).toBeGreaterThanOrEqual(Math.min(1, Math.min(stepG / 2, cureG) / cureG) - 1e-9);
        expect((applies.high - applies.low) / applies.value).toBeGreaterThanOrEqual(part);
        expect(applies.low <= applies.value && applies.value <= applies.high).toBe(true);
      }),
    );
  });
});

describe('what a recipe is told', () => {
  test('a tablespoon for a teaspoon', () => {
    const p: AuditParams = {
      ...HAM,
      method: 'even',
      meatG: 2600,
      lines: [g('water', 3785), g('table-salt', 300), { ingredient: 'cure-1', amount: 3, unit: 'tbsp' }],
    };
    expect(auditRecipe(p).findings[0]).toMatchObject({ level: 'stop', code: 'nitrite-over' });
    expect(auditRecipe(p).findings[0]?.message).toMatch(/tablespoon written where a teaspoon/);
  });

  const cases: [string, Partial<AuditParams>, string][] = [
    ['nitrate in bacon', { product: 'canadian-bacon', lines: [g('water', 2000), g('cure-2', 10)] }, 'stop nitrate-bacon'],
    ['cure #2 in a wet cure of days', { lines: [g('water', 2000), g('cure-2', 10)] }, 'stop nitrate-short'],
    ['saltpetre', { lines: [g('water', 2000), g('saltpetre', 5)] }, 'stop nitrate-short'],
    ['pure nitrite', { lines: [g('water', 2000), g('sodium-nitrite', 1)] }, 'stop pure-nitrite'],
    ['a ready mix in a ham', { method: 'even', lines: [g('water', 2000), g('ready-mix', 240)] }, 'warn nitrate'],
    ['a ready mix that may not be pumped', { method: 'pumped', pumpPercent: 10, lines: [g('water', 2000), g('ready-mix', 240)] }, 'stop may-not-pump'],
    ['no cure', { lines: [g('water', 2000), g('table-salt', 100)] }, 'warn no-cure'],
    ['rock salt for a cure', { lines: [g('water', 2000), g('rock-salt', 10)] }, 'warn pink-rock-salt'],
    ['too little', { method: 'even', lines: [g('water', 7000), g('table-salt', 300), g('cure-1', 10)] }, 'warn nitrite-under'],
    ['more salt than the water holds', { lines: [g('water', 2000), g('table-salt', 900), g('cure-1', 10)] }, 'stop saturated'],
    ['a bag with little water: the meat makes its own liquid', { lines: [g('water', 300), g('table-salt', 150), g('cure-1', 10)] }, 'note own-liquid'],
    ['water with a rub', { method: 'dry', lines: [g('water', 2000), g('table-salt', 150), g('cure-1', 16)] }, 'warn dry-wet'],
    ['no water in a brine', { method: 'even', lines: [g('table-salt', 150), g('cure-1', 16)] }, 'warn no-water'],
    [
      'a needle that puts in too little',
      { method: 'pumpAndCover', pumpPercent: 5, lines: [g('water', 4000), g('table-salt', 400), g('cure-1', 28)] },
      'warn pump-under',
    ],
    [
      'belly pumped for sale in the US',
      { product: 'belly-bacon', method: 'pumped', pumpPercent: 10, lines: [g('water', 900), g('cure-1', 18)] },
      'note ascorbate',
    ],
    ['an unknown line', { lines: [...HAM.lines, { ...g('flavouring', 20), name: 'juniper' }] }, 'note flavouring'],
  ];
  test.each(cases)('%s', (_what, part, finding) => {
    expect(codes({ ...HAM, ...part })).toContain(finding);
  });

  test('every rule set has its say: 150 ppm is inside in the US and over in the EU', () => {
    const { rules } = auditRecipe({ ...HAM, method: 'even', lines: [g('water', 3000), g('table-salt', 200), g('cure-1', 24.5)] });
    expect(rules.map(({ ruleSet, verdict }) => `${ruleSet} ${verdict}`)).toEqual(['us ok', 'canada ok', 'eu over', 'uk ok']);
  });

  test('a house rule set is judged by its own limits', () => {
    const house = { name: 'House', limit: 90, bellyLimit: 90, dryLimit: 90, dryBellyLimit: 90, floor: 60, usualTarget: 70, source: 'the house' };
    expect(auditRecipe({ ...HAM, ruleSet: 'house', house, method: 'clock' }).nitrite.judgement).toMatchObject({ limit: 90, floor: 60, verdict: 'ok' });
  });

  test('the schools disagree as they do: a teaspoon for 5 lb is 5.6 g, the kitchen rule counts the water too', () => {
    const { schools } = auditRecipe({ ...HAM, meatG: 2267.96, method: 'even', lines: [g('water', 1000), g('table-salt', 80), g('cure-1', 8)] });
    expect(schools.find(({ id }) => id === 'teaspoon')?.cureG.value).toBeCloseTo(5.6, 4);
    expect(schools.find(({ id }) => id === 'kitchen')?.cureG.value).toBeCloseTo(3.26796 * 2.5, 4);
  });

  test('mixes by their label: an ingredient of that name is that mix', () => {
    const cures = [{ ...CURE_1, name: 'Half strength', nitritePercent: 3.125, saltPercent: 96.875 }];
    expect(ppm({ ...HAM, cures, lines: [g('water', 7000), g('table-salt', 920), g('Half strength', 80)] }, 'pickUp')).toBeCloseTo(31.25, 9);
    expect(ppm({ ...HAM, lines: [g('water', 1000), g(READY_MIX.name, 80)], cures: [READY_MIX] }, 'equilibrium')).toBeCloseTo((0.4 / 8080) * 1e6, 6);
  });

  test('an open question is a range, and a stop only where every answer is over', () => {
    const asked = (text: string, meatG: number) => {
      const lines = readRecipe(text).lines.flatMap(({ line }) => line ?? []);
      return auditRecipe({ ...HAM, meatG, lines, method: 'even' });
    };
    const mild = asked('1 gal water, 300 g salt, 4 tsp cure #1', 4000);
    expect(mild.open).toBe(true);
    expect(mild.findings[0]).toMatchObject({ level: 'warn', code: 'open' });
    expect(asked('1 gal water, 300 g salt, 6 tbsp cure #1', 2000).findings[0]).toMatchObject({ level: 'stop', code: 'nitrite-over' });
  });
});

describe('the dose put right', () => {
  const methods: CureMethod[] = ['even', 'clock', 'pumped', 'dry'];
  test('brings the figure that applies to the target, by every method', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...methods),
        fc.double({ min: 5, max: 120, noNaN: true }),
        fc.double({ min: 120, max: 200, noNaN: true }),
        (method, cureG, aimPpm) => {
          const p: AuditParams = { ...HAM, method, pumpPercent: 12, aimPpm, lines: [g('water', 4000), g('table-salt', 500), g('cure-1', cureG)] };
          const { right } = auditRecipe(p);
          if (right === null) throw new Error('there is cure in it');
          const put = auditRecipe({ ...p, lines: [g('water', 4000), g('table-salt', 500), g('cure-1', cureG * right.factor)] });
          expect(put.nitrite.applies.value).toBeCloseTo(aimPpm, 4);
          expect(right.cureG).toBeCloseTo(cureG * right.factor, 6);
        },
      ),
    );
  });
});

test('nonsense is refused in a sentence', () => {
  expect(() => auditRecipe({ ...HAM, lines: [] })).toThrow(/at least one line/);
  expect(() => auditRecipe({ ...HAM, meatG: 0 })).toThrow(InputError);
  expect(() => auditRecipe({ ...HAM, lines: [g('water', -1)] })).toThrow(InputError);
  expect(() => auditRecipe({ ...HAM, method: 'pumped' })).toThrow(/must be a number/);
  expect(() => auditRecipe({ ...HAM, method: 'prayer' as CureMethod })).toThrow(/not a way of curing/);
});
