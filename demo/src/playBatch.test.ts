import { usualRequest } from '@bunkhouse/api';
import { PLANNED_PRODUCTS, processFor, replay, SCHOOLS, type Product, DAY_MS } from '@bunkhouse/core';
import { playBatch } from './playBatch.js';
import { idFrom } from './random.js';

const now = Date.parse('2026-11-23T14:20:00Z');

describe.each(PLANNED_PRODUCTS)('a made-up cook and the usual %s', (product) => {
  // Where floor and limit are one, no needle is exact enough to go without a reason: a belly is cured in its bag.
  const schools = product === 'belly-bacon' ? (['equilibrium'] as const) : SCHOOLS;
  test.each(schools)('by %s: from start to packed, whatever the hands do', (school) => {
    for (let seed = 1; seed <= 3; seed += 1) {
      const request = usualRequest(product, { id: idFrom(`${product}${seed}`), by: 'Wren', startsAt: new Date(now - 60 * DAY_MS).toISOString(), school });
      const { record } = playBatch(request, { seed, cooks: ['Wren', 'Juno'], idOf: (n) => idFrom(`${product}${school}${seed}-${n}`), until: now });
      const state = replay(record, now);
      expect(state.outcome).toBe('finished');
      expect(state.findings.filter((finding) => finding.level === 'stop')).toEqual([]);
      // Common practice: a loin keeps 80 to 90 % of its green weight, a brisket 55 to 65 %, a ham 85 to 95 %; other pieces by their recipe.
      const known: Partial<Record<Product, [number, number]>> = { pastrami: [55, 65], 'canadian-bacon': [80, 90], 'ham-bone-in': [85, 95] };
      const { packedShare } = processFor(product).usual;
      const [low, high] = known[product] ?? [(packedShare?.low ?? 0) * 100, (packedShare?.high ?? 1) * 100];
      expect(state.figures.yield?.value).toBeGreaterThan(low);
      expect(state.figures.yield?.value).toBeLessThan(high);
      expect(state.cooling.every((gate) => gate.tookH !== null && gate.tookH <= gate.limitH)).toBe(true);
    }
  });
});
