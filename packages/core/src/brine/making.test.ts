import fc from 'fast-check';
import { InputError } from '../inputError.js';
import { coolingHours } from './coolingHours.js';
import { brineLevelMm, containerML, coverBrine, type Container } from './coverBrine.js';
import { holdDownG, HOLD_DOWN_MARGIN, weightInAirG } from './holdDown.js';
import { saltBases, saltForBase } from './saltBases.js';
import { splitWater } from './splitWater.js';

describe('hot and ice', () => {
  const kitchen = { totalWaterG: 10000, concentrateFraction: 0.25, hotC: 95, coldC: 10, targetC: 3 };

  test('worked by hand: a quarter of 10 L at 95 °C, tap at 10 °C, down to 3 °C', () => {
    // Surplus: 2500 × 4.186 × 92 + 7500 × 4.186 × 7 = 1 182 545 J; a gram of ice instead of tap water takes 334 + 41.86 J.
    const { hotG, iceG, coldG, reached } = splitWater(kitchen);
    expect(hotG).toBe(2500);
    expect(iceG).toBeCloseTo(1182545 / 375.86, 0);
    expect(coldG).toBeCloseTo(7500 - iceG, 9);
    expect(reached).toBe(true);
  });

  test('all hot cannot be cooled, half hot at 95 °C not by ice alone, and it says what it comes to', () => {
    expect(splitWater({ ...kitchen, concentrateFraction: 1 })).toMatchObject({ iceG: 0, coldG: 0, reached: false, finalC: 95 });
    const half = splitWater({ ...kitchen, concentrateFraction: 0.5 });
    expect(half.reached).toBe(false);
    // (5000 × 4.186 × 95 − 5000 × 334) ÷ (10000 × 4.186)
    expect(half.finalC).toBeCloseTo(7.606, 2);
  });

  test('cold enough already: no ice, and it ends colder than wanted', () => {
    expect(splitWater({ ...kitchen, concentrateFraction: 0, coldC: 2 })).toMatchObject({ iceG: 0, reached: true, finalC: 2 });
  });

  test('water and heat are kept, whatever is asked', () => {
    const any = fc.record({
      totalWaterG: fc.double({ min: 500, max: 50000, noNaN: true }),
      concentrateFraction: fc.double({ min: 0, max: 1, noNaN: true }),
      hotC: fc.double({ min: 40, max: 100, noNaN: true }),
      coldC: fc.double({ min: 0, max: 25, noNaN: true }),
      targetC: fc.double({ min: 0, max: 20, noNaN: true }),
    });
    fc.assert(
      fc.property(any, (p) => {
        const { hotG, iceG, coldG, finalC, reached } = splitWater(p);
        expect(hotG + iceG + coldG).toBeCloseTo(p.totalWaterG, 6);
        const given = 4.186 * (hotG * (p.hotC - finalC) + coldG * (p.coldC - finalC));
        const taken = iceG * (334 + 4.186 * finalC);
        expect(Math.abs(given - taken)).toBeLessThan(1e-6 * p.totalWaterG * 400);
        if (reached) expect(finalC).toBeLessThanOrEqual(p.targetC + 1e-6);
        else expect(finalC).toBeGreaterThan(p.targetC - 1e-9);
      }),
    );
  });

  test('a share of more than all, and ice water that is asked to be colder than ice, are refused', () => {
    expect(() => splitWater({ ...kitchen, concentrateFraction: 1.2 })).toThrow(/at most 1/);
    expect(() => splitWater({ ...kitchen, targetC: -3 })).toThrow(InputError);
  });
});

describe('cooling without ice', () => {
  test('Newton: from 42 to 22 °C over 2 °C takes as long as from 22 to 12', () => {
    const by = (fromC: number, toC: number) => coolingHours({ brineG: 8000, fromC, toC, byC: 2, by: 'refrigerator' });
    expect(by(42, 22)).toBeCloseTo(by(22, 12), 9);
    expect(by(60, 4)).toBeCloseTo(by(60, 20) + by(20, 4), 9);
  });

  test('eight litres take more than half a day in a refrigerator, less than an hour stirred in ice', () => {
    const cool = (by: 'refrigerator' | 'iceBath', byC: number) => coolingHours({ brineG: 8600, fromC: 60, toC: 4, byC, by });
    expect(cool('refrigerator', 2)).toBeGreaterThan(12);
    expect(cool('iceBath', 0)).toBeLessThan(1);
    expect(coolingHours({ brineG: 8600, fromC: 3, toC: 4, byC: 2, by: 'refrigerator' })).toBe(0);
    expect(() => coolingHours({ brineG: 8600, fromC: 60, toC: 4, byC: 4, by: 'refrigerator' })).toThrow(/never comes down/);
  });
});

describe('in the tub', () => {
  const box: Container = { shape: 'rectangular', lengthMm: 400, widthMm: 300, heightMm: 200 };

  test('worked by hand: 2625 g, 80 mm high, in a box of 40 × 30 cm take 10.7 L', () => {
    // 1200 cm² × 11 cm = 13.2 L, less 2.5 L of meat at 1.05 g/mL
    expect(coverBrine({ container: box, pieces: [{ massG: 2625, heightMm: 80 }] })).toMatchObject({ levelMm: 110, fits: true, headroomMm: 90 });
    expect(coverBrine({ container: box, pieces: [{ massG: 2625, heightMm: 80 }] }).brineML).toBeCloseTo(10700, 6);
  });

  test('a round tub counts its circle', () => {
    expect(containerML({ shape: 'round', diameterMm: 200, heightMm: 100 })).toBeCloseTo(Math.PI * 1000, 6);
  });

  test('too low a tub runs over, and too many pieces find no room', () => {
    expect(coverBrine({ container: box, pieces: [{ massG: 7000, heightMm: 180 }] })).toMatchObject({ fits: false, headroomMm: -10 });
    const crowd = Array.from({ length: 8 }, () => ({ massG: 2600, heightMm: 85 }));
    expect(coverBrine({ container: box, pieces: crowd }).floorShare).toBeGreaterThan(1);
    expect(coverBrine({ container: box, pieces: crowd }).fits).toBe(false);
    expect(() => coverBrine({ container: box, pieces: [] })).toThrow(/at least one/);
    expect(() => coverBrine({ container: { ...box, heightMm: 0 }, pieces: [{ massG: 1, heightMm: 1 }] })).toThrow(InputError);
    expect(() => coverBrine({ container: { shape: 'sack' } as unknown as Container, pieces: [{ massG: 1, heightMm: 1 }] })).toThrow(InputError);
  });

  test('the brine that covers stands at its level: one undoes the other', () => {
    const any = fc.record({
      count: fc.integer({ min: 1, max: 3 }),
      massG: fc.double({ min: 500, max: 2500, noNaN: true }),
      coverMm: fc.double({ min: 0, max: 50, noNaN: true }),
    });
    fc.assert(
      fc.property(any, ({ count, massG, coverMm }) => {
        const pieces = Array.from({ length: count }, () => ({ massG, heightMm: 90 }));
        const cover = coverBrine({ container: box, pieces, coverMm });
        expect(brineLevelMm({ container: box, pieces, brineML: cover.brineML })).toBeCloseTo(cover.levelMm, 4);
        expect(brineLevelMm({ container: box, pieces, brineML: cover.brineML / 2 })).toBeLessThan(cover.levelMm);
      }),
    );
  });

  test('Archimedes: 2 kg of belly at 0.95 in brine of 1.07 is lifted by 253 g, and is held by that and a margin', () => {
    expect(holdDownG({ pieces: [{ massG: 2000, densityGPerML: 0.95 }], brineDensity: 1.07 })).toBeCloseTo((2000 / 0.95) * 0.12 * HOLD_DOWN_MARGIN, 9);
    expect(holdDownG({ pieces: [{ massG: 2000, densityGPerML: 1.07 }], brineDensity: 1.05 })).toBe(0);
  });

  test('a piece that sinks holds no other down, and a stone loses its own volume of brine', () => {
    const fat = { massG: 2000, densityGPerML: 0.95 };
    expect(holdDownG({ pieces: [fat, { massG: 9000, densityGPerML: 1.2 }], brineDensity: 1.07 })).toBe(holdDownG({ pieces: [fat], brineDensity: 1.07 }));
    expect(weightInAirG({ feltG: 150, brineDensity: 1.04, weightDensity: 2.6 })).toBeCloseTo(250, 9);
    expect(() => weightInAirG({ feltG: 150, brineDensity: 1.04, weightDensity: 1 })).toThrow(InputError);
  });
});

describe('three meanings of percent', () => {
  test('150 g in 850 g of water with 2 kg of meat: 17.6 of water, 15 of brine, 5.26 of meat and water', () => {
    const bases = saltBases({ saltG: 150, waterG: 850, brineG: 1000, meatG: 2000 });
    expect(bases.ofWater).toBeCloseTo(17.647, 3);
    expect(bases.ofBrine).toBeCloseTo(15, 9);
    expect(bases.ofMeatAndWater).toBeCloseTo(5.263, 3);
  });

  test('salt for a base gives that base back', () => {
    const bases = ['ofWater', 'ofBrine', 'ofMeatAndWater'] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...bases),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 300, noNaN: true }),
        (base, percent, otherG) => {
          const saltG = saltForBase({ percent, base, waterG: 2000, otherG, meatG: 3000 });
          expect(saltBases({ saltG, waterG: 2000, brineG: 2000 + otherG + saltG, meatG: 3000 })[base]).toBeCloseTo(percent, 9);
        },
      ),
    );
  });
});
