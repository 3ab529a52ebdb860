import fc from 'fast-check';
import { CURE_1, CURE_2 } from '../ingredients/cureMix.js';
import { InputError } from '../inputError.js';
import { brineDensity, waterDensity } from './brineDensity.js';
import { brineStrength, brineWeight } from './brineStrength.js';
import { equilibriumBrine } from './equilibriumBrine.js';
import { pickle } from './pickle.js';
import { pumpAndCoverBrines } from './pumpAndCoverBrines.js';
import { salometerToSaltPercent, saltPercentToSalometer } from './salometer.js';

describe('salometer', () => {
  // Salometer tables for sodium chloride brine: salt per US gallon of water, lb, turned into % w/w with water at 8.328 lb/gal
  // (15.6 °C). Values from memory.
  test.each([
    [10, 0.226],
    [20, 0.464],
    [30, 0.716],
    [40, 0.983],
    [50, 1.266],
    [60, 1.567],
    [70, 1.887],
    [80, 2.229],
    [90, 2.594],
    [100, 2.986],
  ])('%d ° is %d lb of salt to the gallon of water', (degrees, lbPerGallon) => {
    expect(salometerToSaltPercent(degrees)).toBeCloseTo((lbPerGallon / (lbPerGallon + 8.328)) * 100, 1);
  });

  test('degrees and percent are each other’s inverse', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 100, noNaN: true }), (degrees) => {
        expect(saltPercentToSalometer(salometerToSaltPercent(degrees))).toBeCloseTo(degrees, 9);
      }),
    );
  });

  test('beyond saturation is refused', () => {
    expect(() => saltPercentToSalometer(27)).toThrow(/at most 26.395/);
    expect(() => salometerToSaltPercent(101)).toThrow(InputError);
  });
});

describe('density', () => {
  // CRC Handbook of Chemistry and Physics, concentrative properties of aqueous solutions at 20 °C; values from memory.
  test.each([
    [1, 1.0053],
    [5, 1.034],
    [10, 1.0707],
    [15, 1.1085],
    [20, 1.1478],
    [25, 1.1887],
  ])('%d %% salt at 20 °C is %d g/mL', (saltPercent, gPerML) => {
    expect(brineDensity({ saltPercent })).toBeCloseTo(gPerML, 4);
  });

  // The same, sucrose.
  test.each([
    [5, 1.0178],
    [10, 1.0381],
    [20, 1.081],
    [30, 1.127],
  ])('%d %% sugar at 20 °C is %d g/mL', (sugarPercent, gPerML) => {
    expect(brineDensity({ saltPercent: 0, sugarPercent })).toBeCloseTo(gPerML, 4);
  });

  // Water after Kell 1975: published points, values from memory.
  test.each([
    [4, 0.99997],
    [15, 0.9991],
    [20, 0.9982],
    [30, 0.99565],
  ])('water at %d °C is %d g/mL', (C, gPerML) => {
    expect(waterDensity(C)).toBeCloseTo(gPerML, 4);
  });

  test('a cold brine is denser than a warm one', () => {
    expect(brineDensity({ saltPercent: 10, temperatureC: 4 })).toBeGreaterThan(brineDensity({ saltPercent: 10, temperatureC: 30 }));
  });
});

describe('equilibrium brine', () => {
  test('15 g of cure #1 on 6000 g of meat and water is 156.25 ppm of it', () => {
    const brine = equilibriumBrine({ meatG: 4000, waterG: 2000, saltPercent: 2.5, cure: CURE_1, cureGPerKg: 2.5 });
    expect(brine.cureG).toBeCloseTo(15, 9);
    expect(brine.nitritePpmMeatPlusWater).toBeCloseTo(156.25, 9);
    expect(brine.nitritePpmEverything).toBeLessThan(156.25);
  });

  test('worked by hand: 2600 g loin, 1200 g water, 2.5 % salt, 1 % sugar, 150 ppm', () => {
    // Salt in all 0.025 × 3800 = 95, sugar 38. Everything E = 3800 + 95 + 38 + nitrite; nitrite = 150e-6 E.
    // E = 3933 / (1 − 150e-6) = 3933.590; nitrite 0.590039; cure 9.44062; salt to weigh 95 − 0.9375 × 9.44062 = 86.1494.
    const brine = equilibriumBrine({ meatG: 2600, waterG: 1200, saltPercent: 2.5, sugarPercent: 1, cure: CURE_1, nitritePpm: 150 });
    expect(brine.cureG).toBeCloseTo(9.4406, 3);
    expect(brine.saltG).toBeCloseTo(86.149, 2);
    expect(brine.sugarG).toBeCloseTo(38, 9);
    expect(brine.nitritePpmEverything).toBeCloseTo(150, 9);
    expect(brine.brineSaltPercent).toBeCloseTo((95 / brine.brineG) * 100, 6);
  });

  const any = fc.record({
    meatG: fc.double({ min: 200, max: 20000, noNaN: true }),
    waterG: fc.double({ min: 500, max: 20000, noNaN: true }),
    saltPercent: fc.double({ min: 1, max: 4, noNaN: true }),
    sugarPercent: fc.double({ min: 0, max: 4, noNaN: true }),
    nitritePpm: fc.double({ min: 0, max: 200, noNaN: true }),
    saltBase: fc.constantFrom('meatPlusWater' as const, 'everything' as const),
    countCureSalt: fc.boolean(),
    cure: fc.constantFrom(CURE_1, CURE_2),
  });

  test('what goes in is what comes out: the target, the salt and the mass', () => {
    fc.assert(
      fc.property(any, (p) => {
        fc.pre(p.saltPercent * (p.meatG + p.waterG) < 24 * p.waterG);
        const brine = equilibriumBrine(p);
        const carried = (brine.cureG * p.cure.saltPercent) / 100;
        const base = p.saltBase === 'everything' ? p.meatG + brine.brineG : p.meatG + p.waterG;
        expect(brineWeight({ ...brine, waterG: p.waterG })).toBeCloseTo(brine.brineG, 6);
        expect(brine.nitritePpmEverything).toBeCloseTo(p.nitritePpm, 6);
        expect(((brine.saltG + (p.countCureSalt ? carried : 0)) / base) * 100).toBeCloseTo(p.saltPercent, 6);
      }),
    );
  });

  test('too much salt for the water, and no dose or two doses, are refused with a sentence', () => {
    expect(() => equilibriumBrine({ meatG: 8000, waterG: 500, saltPercent: 3, cure: CURE_1, nitritePpm: 150 })).toThrow(/holds at most/);
    expect(() => equilibriumBrine({ meatG: 1000, waterG: 500, saltPercent: 2, cure: CURE_1 })).toThrow(/either/);
    expect(() => equilibriumBrine({ meatG: 1000, waterG: 500, saltPercent: 2, cure: CURE_1, nitritePpm: 150, cureGPerKg: 2 })).toThrow(/not both/);
    expect(() => equilibriumBrine({ meatG: 1000, waterG: 500, saltPercent: 0.1, cure: CURE_1, nitritePpm: 150 })).toThrow(/cure alone brings/);
    expect(() => equilibriumBrine({ meatG: Number.NaN, waterG: 500, saltPercent: 2, cure: CURE_1, nitritePpm: 150 })).toThrow(InputError);
    expect(() => equilibriumBrine({ meatG: 1000, waterG: 500, saltPercent: 2, cure: { ...CURE_1, nitritePercent: 0 }, nitritePpm: 150 })).toThrow(/not a cure/);
  });
});

describe('pickle', () => {
  test('19.2 g of cure #1 per kg of brine, pumped 10 %, is 120 ppm', () => {
    const made = pickle({ waterG: 8000, saltPercentOfBrine: 15, cure: CURE_1, target: { ppm: 120, basis: 'pumped', pumpPercent: 10 } });
    expect((made.cureG / made.brineG) * 1000).toBeCloseTo(19.2, 9);
    expect(made.brineSaltPercent).toBeCloseTo(15, 9);
    expect(made.brineG).toBeCloseTo(made.waterG + made.saltG + made.sugarG + made.cureG, 6);
  });

  test('every basis meets its target', () => {
    const meatG = 5000;
    const by = (target: Parameters<typeof pickle>[0]['target']) => {
      const made = pickle({ waterG: 4000, salometer: 40, sugarPercentOfBrine: 3, cure: CURE_1, target });
      return { nitriteG: made.cureG * 0.0625, brineG: made.brineG };
    };
    const pickUp = by({ ppm: 60, basis: 'pickUp' });
    expect((pickUp.nitriteG / pickUp.brineG) * 0.1 * 1e6).toBeCloseTo(60, 6);
    const even = by({ ppm: 150, basis: 'equilibrium', meatG });
    expect((even.nitriteG / (even.brineG + meatG)) * 1e6).toBeCloseTo(150, 6);
    const dry = by({ ppm: 150, basis: 'dry', meatG });
    expect((dry.nitriteG / meatG) * 1e6).toBeCloseTo(150, 6);
  });

  test('impossible wishes are refused', () => {
    expect(() => pickle({ waterG: 1000, saltPercentOfBrine: 29, cure: CURE_1, target: { ppm: 100, basis: 'pumped', pumpPercent: 10 } })).toThrow(
      /holds at most/,
    );
    expect(() => pickle({ waterG: 1000, saltPercentOfBrine: 2, cure: CURE_1, target: { ppm: 2000, basis: 'pumped', pumpPercent: 5 } })).toThrow(/cure alone/);
    expect(() => pickle({ waterG: 1000, cure: CURE_1, target: { ppm: 100, basis: 'dry', meatG: 1 } })).toThrow(/either in %/);
  });
});

describe('pump and cover', () => {
  const ham = { meatG: 7000, coverWaterG: 4000, pumpPercent: 12, pickleSaltPercent: 14, saltPercent: 2.4, sugarPercent: 1, nitritePpm: 150, cure: CURE_1 };

  test('worked by hand: the pickle holds 20 g of cure per kg, and pump and even figure are both 150 ppm', () => {
    // 150 ppm of green at 12 % is 1250 ppm of the pickle: 1.25 g nitrite per kg = 20 g of cure #1 per kg.
    const { pickle: made, cover, injectedG } = pumpAndCoverBrines(ham);
    expect((made.cureG / made.brineG) * 1000).toBeCloseTo(20, 9);
    expect(injectedG).toBeCloseTo(840, 9);
    const injectedNitrite = 840 * 0.00125;
    expect((injectedNitrite / 7000) * 1e6).toBeCloseTo(150, 9);
    expect(((injectedNitrite + cover.cureG * 0.0625) / (7000 + 840 + cover.brineG)) * 1e6).toBeCloseTo(150, 6);
  });

  test('salt is conserved: pump and cover together give the salt that was asked for', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 14, noNaN: true }),
        fc.double({ min: 2.2, max: 3, noNaN: true }),
        fc.double({ min: 0.4, max: 1.2, noNaN: true }),
        (pump, salt, water) => {
          const p = { ...ham, pumpPercent: pump, saltPercent: salt, coverWaterG: 7000 * water };
          const { pickle: made, cover, injectedG } = pumpAndCoverBrines(p);
          const used = injectedG / made.brineG;
          const saltIn = used * (made.saltG + made.cureG * 0.9375) + cover.saltG + cover.cureG * 0.9375;
          expect((saltIn / (7000 + p.coverWaterG + used * made.waterG)) * 100).toBeCloseTo(salt, 6);
        },
      ),
    );
  });

  test('a pump that is too salty by itself is refused, and says what would do', () => {
    expect(() => pumpAndCoverBrines({ ...ham, pickleSaltPercent: 20, sugarPercent: 0, pumpPercent: 20, coverWaterG: 800 })).toThrow(
      /Make the pickle .* % or weaker/,
    );
  });
});

describe('strength', () => {
  test('the salt in the cure is salt', () => {
    expect(brineStrength({ waterG: 900, saltG: 0, sugarG: 0, cureG: 100 }, CURE_1).brineSaltPercent).toBeCloseTo(9.375, 9);
  });
});
