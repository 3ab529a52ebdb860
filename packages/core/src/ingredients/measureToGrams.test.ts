import { measureToGrams } from './measureToGrams.js';
import { MEASURE_WEIGHTS } from './ingredient.js';

describe('measureToGrams', () => {
  // Handbook part 3: common kitchen tables, values from memory.
  test.each([
    ['table-salt', 1, 'tsp', 5.5, 6.0, 6.3],
    ['table-salt', 1, 'cup', 273, 288, 304],
    ['coarse-salt-flake', 1, 'tsp', 2.6, 2.9, 3.2],
    ['coarse-salt-unknown', 2, 'cup', 250, 372, 510],
    ['cure-1', 1, 'tsp', 4.8, 5.6, 6.2],
    ['cure-1', 1, 'tbsp', 14.4, 16.8, 18.6],
    ['brown-sugar', 0.5, 'cup', 102.5, 107.5, 112.5],
  ] as const)('%s, %d %s holds %d to %d to %d g', (ingredient, amount, unit, low, typical, high) => {
    const m = measureToGrams({ ingredient, amount, unit });
    expect(m.low).toBeCloseTo(low, 6);
    expect(m.grams).toBeCloseTo(typical, 6);
    expect(m.high).toBeCloseTo(high, 6);
  });

  test('a weight has no doubt of its own', () => {
    expect(measureToGrams({ ingredient: 'cure-1', amount: 0.5, unit: 'oz' })).toEqual({ grams: 14.1747615625, low: 14.1747615625, high: 14.1747615625 });
  });

  test('every ingredient is low, then typical, then high', () => {
    for (const weights of Object.values(MEASURE_WEIGHTS)) {
      const [low, typical, high] = weights.teaspoon;
      expect(low).toBeLessThanOrEqual(typical);
      expect(typical).toBeLessThanOrEqual(high);
    }
  });

  test('what is not known is asked about, never guessed', () => {
    expect(() => measureToGrams({ ingredient: 'pixie dust', amount: 1, unit: 'tsp' })).toThrow(/weigh it/);
    expect(() => measureToGrams({ ingredient: 'constructor', amount: 1, unit: 'tsp' })).toThrow(/weigh it/);
    expect(() => measureToGrams({ ingredient: 'water', amount: -1, unit: 'L' })).toThrow(/at least 0/);
    expect(() => measureToGrams({ ingredient: 'water', amount: 1, unit: 'C' })).toThrow(/neither/);
  });
});
