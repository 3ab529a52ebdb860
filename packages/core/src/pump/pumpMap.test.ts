import fc from 'fast-check';
import type { Section } from '../section/section.js';
import { pumpMap } from './pumpMap.js';
import { pumpPlan } from './pumpPlan.js';

const plan = { greenG: 7000, pumpPercent: 10, brineDensity: 1.1, syringeML: 60 };
const sections: fc.Arbitrary<Section> = fc.oneof(
  fc.record({ shape: fc.constant('round' as const), diameterMm: fc.integer({ min: 20, max: 250 }) }),
  fc.record({ shape: fc.constant('slab' as const), thicknessMm: fc.integer({ min: 20, max: 120 }) }),
  fc.record({ shape: fc.constant('ellipse' as const), widthMm: fc.integer({ min: 60, max: 250 }), heightMm: fc.integer({ min: 30, max: 180 }) }),
  fc.record({ shape: fc.constant('rectangle' as const), widthMm: fc.integer({ min: 60, max: 250 }), heightMm: fc.integer({ min: 30, max: 180 }) }),
);

describe('the needle map', () => {
  test('draws as many sites as the plan counts', () => {
    fc.assert(
      fc.property(sections, fc.integer({ min: 40, max: 500 }), fc.integer({ min: 15, max: 60 }), (section, lengthMm, spacingMm) => {
        const map = pumpMap({ section, lengthMm, spacingMm });
        expect(map.sites).toBe(pumpPlan({ ...plan, section, lengthMm, spacingMm }).sites);
        for (const at of map.alongMm) expect(at > 0 && at < lengthMm).toBe(true);
        for (const site of map.section) expect(Math.abs(site.tipYMm)).toBeLessThanOrEqual(Math.abs(site.entryYMm) + 1e-9);
      }),
    );
  });

  test('an unboned ham: every needle stops before the bone, and the ones over it say so', () => {
    const { section } = pumpMap({ section: { shape: 'round', diameterMm: 180, bone: { diameterMm: 42 } }, lengthMm: 300, spacingMm: 25 });
    const over = section.filter((site) => Math.abs(site.xMm) < 21);
    expect(over.length).toBeGreaterThan(0);
    for (const site of over) {
      expect(site.atBone).toBe(true);
      expect(Math.hypot(site.xMm, site.tipYMm)).toBeGreaterThan(21);
    }
    expect(section.filter((site) => Math.abs(site.xMm) > 30).every((site) => !site.atBone)).toBe(true);
  });

  test('a bone off the middle is met sooner from its own side', () => {
    const { section } = pumpMap({ section: { shape: 'round', diameterMm: 160, bone: { diameterMm: 40, yMm: 20 } }, lengthMm: 100, spacingMm: 160 });
    const [above, below] = section;
    expect(above?.tipYMm).toBeCloseTo(45, 9);
    expect(below?.tipYMm).toBeCloseTo(-8, 9);
  });

  test('a spacing of nothing is refused', () => {
    expect(() => pumpMap({ section: { shape: 'slab', thicknessMm: 40 }, lengthMm: 200, spacingMm: 0 })).toThrow(/at least 5/);
  });
});
