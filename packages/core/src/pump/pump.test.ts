import { pumpPercent } from './pumpPercent.js';
import { pumpPlan } from './pumpPlan.js';

describe('pump', () => {
  test('7000 g that weigh 7700 g after the needle took 10 %', () => {
    expect(pumpPercent({ greenG: 7000, pumpedG: 7700 })).toBeCloseTo(10, 9);
  });

  test('a pumped weight below the green weight is refused', () => {
    expect(() => pumpPercent({ greenG: 7000, pumpedG: 6900 })).toThrow(/below the weight before/);
    expect(() => pumpPercent({ greenG: 0, pumpedG: 6900 })).toThrow(/more than 0/);
  });

  test('a 7 kg ham at 10 %: 700 g, 636 mL at 1.1 g/mL, eleven strokes of 60 mL', () => {
    const plan = pumpPlan({
      greenG: 7000,
      pumpPercent: 10,
      brineDensity: 1.1,
      syringeML: 60,
      spacingMm: 25,
      section: { shape: 'round', diameterMm: 180 },
      lengthMm: 300,
    });
    expect(plan.brineG).toBeCloseTo(700, 9);
    expect(plan.brineML).toBeCloseTo(636.36, 2);
    expect(plan.strokes).toBe(11);
    // 12 along × 7 across × both sides
    expect(plan.sites).toBe(168);
    expect(plan.mLPerSite * plan.sites).toBeCloseTo(plan.brineML, 9);
  });

  test('a thin slab is pumped from one side; a spacing of nothing is refused', () => {
    const slab = { greenG: 2000, pumpPercent: 10, brineDensity: 1.1, syringeML: 50, section: { shape: 'slab', thicknessMm: 40 } as const, lengthMm: 200 };
    expect(pumpPlan({ ...slab, spacingMm: 25 }).sites).toBe(8 * 5);
    expect(() => pumpPlan({ ...slab, spacingMm: 0 })).toThrow(/at least 5/);
    expect(() => pumpPlan({ ...slab, spacingMm: 25, section: { shape: 'round', diameterMm: 5000 } })).toThrow(/at most 600/);
  });
});
