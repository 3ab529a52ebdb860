import fc from 'fast-check';
import { CURE_1 } from '../ingredients/cureMix.js';
import { InputError } from '../inputError.js';
import { cureForNitrite, ingoingNitrite, type NitriteBasis } from './ingoingNitrite.js';
import { judgeNitrite } from './judgeNitrite.js';
import { PRODUCTS } from '../products/product.js';
import { RULE_SET_IDS } from './ruleSet.js';

// USDA FSIS Processing Inspectors' Calculations Handbook (Directive 7620.3): the formulas; worked values of docs/science.md, “Ingoing nitrite”.
describe('ingoing nitrite', () => {
  test('brine with 19.2 g cure #1 per kg, pumped 10 %, gives 120 ppm', () => {
    expect(ingoingNitrite({ basis: 'pumped', nitriteG: 19.2 * 0.0625, brineG: 1000, pumpPercent: 10 })).toBeCloseTo(120, 9);
  });

  test('8 kg of brine with 80 g cure #1 and a 7 kg ham: 333 ppm if left until even, 62.5 by 10 % pick-up', () => {
    const nitriteG = 80 * 0.0625;
    expect(ingoingNitrite({ basis: 'equilibrium', nitriteG, brineG: 8000, meatG: 7000 })).toBeCloseTo(333.33, 2);
    expect(ingoingNitrite({ basis: 'pickUp', nitriteG, brineG: 8000 })).toBeCloseTo(62.5, 9);
    expect(ingoingNitrite({ basis: 'pickUp', nitriteG, brineG: 8000, pickUpPercent: 8 })).toBeCloseTo(50, 9);
  });

  test('dry: all of it on the meat', () => {
    expect(ingoingNitrite({ basis: 'dry', nitriteG: 0.9375, meatG: 6000 })).toBeCloseTo(156.25, 9);
  });

  const grams = fc.double({ min: 100, max: 50000, noNaN: true });
  const basis: fc.Arbitrary<NitriteBasis> = fc.oneof(
    fc.record({ basis: fc.constant('pumped' as const), brineG: grams, pumpPercent: fc.double({ min: 1, max: 30, noNaN: true }) }),
    fc.record({ basis: fc.constant('pickUp' as const), brineG: grams }),
    fc.record({ basis: fc.constant('equilibrium' as const), brineG: grams, meatG: fc.double({ min: 100, max: 5000, noNaN: true }) }),
    fc.record({ basis: fc.constant('dry' as const), meatG: grams }),
  );

  test('cureForNitrite is the inverse of ingoingNitrite', () => {
    fc.assert(
      fc.property(basis, fc.double({ min: 1, max: 500, noNaN: true }), (b, targetPpm) => {
        const cureG = cureForNitrite({ ...b, targetPpm, cure: CURE_1 });
        expect(ingoingNitrite({ ...b, nitriteG: cureG * 0.0625 })).toBeCloseTo(targetPpm, 6);
      }),
    );
  });

  test('more cure never lowers the figure', () => {
    fc.assert(
      fc.property(basis, fc.double({ min: 0, max: 5, noNaN: true }), fc.double({ min: 0, max: 5, noNaN: true }), (b, a, more) => {
        expect(ingoingNitrite({ ...b, nitriteG: a + more })).toBeGreaterThanOrEqual(ingoingNitrite({ ...b, nitriteG: a }));
      }),
    );
  });

  test('what cannot be is refused', () => {
    expect(() => ingoingNitrite({ basis: 'pumped', nitriteG: 1, brineG: 0, pumpPercent: 10 })).toThrow(InputError);
    expect(() => ingoingNitrite({ basis: 'pumped', nitriteG: 1, brineG: 100, pumpPercent: Number.NaN })).toThrow(InputError);
    expect(() => ingoingNitrite({ basis: 'pumped', nitriteG: 101, brineG: 100, pumpPercent: 5 })).toThrow(/more nitrite/);
    expect(() => ingoingNitrite({ basis: 'guess', nitriteG: 1 } as unknown as NitriteBasis & { nitriteG: number })).toThrow(/not a way/);
    expect(() => cureForNitrite({ basis: 'pumped', targetPpm: 20000, brineG: 100, pumpPercent: 10, cure: CURE_1 })).toThrow(/cannot give/);
  });
});

describe('judgeNitrite', () => {
  // 9 CFR 424.21(c), 424.22(b); EU, UK and Canadian limits; values from memory (docs/science.md, “Ingoing nitrite”).
  test.each([
    ['us', 'ham-bone-in', 'pumped', false, 120, 200],
    ['us', 'belly-bacon', 'pumped', false, 100, 120],
    ['us', 'belly-bacon', 'immersion', true, 100, 108],
    ['us', 'belly-bacon', 'dry', false, 100, 200],
    ['us', 'pastrami', 'dry', false, 120, 625],
    ['canada', 'canadian-bacon', 'immersion', false, 100, 200],
    ['canada', 'belly-bacon', 'immersion', false, 100, 120],
    ['eu', 'ham-bone-in', 'immersion', false, 80, 120],
    ['uk', 'ham-bone-in', 'pumped', false, 80, 150],
  ] as const)('%s, %s, %s, skin on %s: from %d to %d ppm', (ruleSet, product, method, skinOn, floor, limit) => {
    const at = (ppm: number) => judgeNitrite({ ppm, product, ruleSet, method, skinOn });
    expect(at(limit)).toMatchObject({ verdict: 'ok', floor, limit });
    expect(at(limit + 0.01).verdict).toBe('over');
    expect(at(floor - 0.01).verdict).toBe('under');
    expect(at(floor).source).toMatch(/memory/);
  });

  test('199.96 is inside and 200.04 is over: rounding hides no limit', () => {
    expect(judgeNitrite({ ppm: 199.96, product: 'ham-bone-in', ruleSet: 'us', method: 'pumped' }).verdict).toBe('ok');
    expect(judgeNitrite({ ppm: 200.04, product: 'ham-bone-in', ruleSet: 'us', method: 'pumped' }).verdict).toBe('over');
  });

  test('a house rule set needs its limits', () => {
    const house = { name: 'House', limit: 140, bellyLimit: 110, dryLimit: 200, dryBellyLimit: 150, floor: 100, usualTarget: 125, source: 'our plan' };
    expect(() => judgeNitrite({ ppm: 150, product: 'picnic', ruleSet: 'house', method: 'pumped' })).toThrow(/own limits/);
    expect(judgeNitrite({ ppm: 150, product: 'picnic', ruleSet: 'house', method: 'pumped', house })).toMatchObject({ verdict: 'over', limit: 140 });
  });

  test('every product has a judgement under every published rule set, and nonsense is refused', () => {
    for (const product of PRODUCTS) {
      for (const ruleSet of RULE_SET_IDS.filter((id) => id !== 'house')) {
        expect(judgeNitrite({ ppm: 1000, product, ruleSet, method: 'immersion' }).verdict).toBe('over');
      }
    }
    expect(() => judgeNitrite({ ppm: Number.NaN, product: 'picnic', ruleSet: 'us', method: 'pumped' })).toThrow(InputError);
    expect(() => judgeNitrite({ ppm: 1, product: 'tofu' as 'picnic', ruleSet: 'us', method: 'pumped' })).toThrow(/not a product/);
    expect(() => judgeNitrite({ ppm: 1, product: 'picnic', ruleSet: 'mars' as 'us', method: 'pumped' })).toThrow(/not a rule set/);
  });
});
