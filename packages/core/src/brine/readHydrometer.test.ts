import fc from 'fast-check';
import { InputError } from '../inputError.js';
import { brineDensity, waterDensity } from './brineDensity.js';
import { baumeToSpecificGravity, floatReading, readHydrometer, specificGravity, specificGravityToBaume } from './readHydrometer.js';
import { salometerToSaltPercent } from './salometer.js';

const SIXTY_F = 15.56;

describe('specific gravity', () => {
  // Salometer tables for sodium chloride brine, specific gravity at 60 °F/60 °F by degree; values from memory. The densities that the
  // program reckons with come from other tables.
  test.each([
    [0, 1.0],
    [10, 1.019],
    [20, 1.038],
    [30, 1.058],
    [40, 1.078],
    [50, 1.098],
    [60, 1.118],
    [70, 1.139],
    [80, 1.16],
    [90, 1.182],
    [100, 1.204],
  ])('%d ° salometer is %d', (degrees, sg) => {
    expect(Math.abs(specificGravity({ saltPercent: salometerToSaltPercent(degrees) }) - sg)).toBeLessThan(0.0015);
  });

  test('Baumé by its modulus 145: 10 ° is 1.0741, and there and back', () => {
    expect(baumeToSpecificGravity(10)).toBeCloseTo(145 / 135, 9);
    expect(specificGravityToBaume(1.098)).toBeCloseTo(12.942, 3);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 30, noNaN: true }), (degrees) =>
        expect(specificGravityToBaume(baumeToSpecificGravity(degrees))).toBeCloseTo(degrees, 9),
      ),
    );
  });

  test('a strong brine expands twice as much as water from 10 to 25 °C (Perry, 20 %: 1.15254 to 1.14533; value from memory)', () => {
    const brine = brineDensity({ saltPercent: 20, temperatureC: 10 }) / brineDensity({ saltPercent: 20, temperatureC: 25 });
    expect(brine).toBeCloseTo(1.15254 / 1.14533, 5);
    expect(brine - 1).toBeGreaterThan(2 * (waterDensity(10) / waterDensity(25) - 1));
  });
});

describe('a hydrometer reading', () => {
  test('in plain brine at 60 °F it says what it says: 60 ° is 15.8 %', () => {
    const answer = readHydrometer({ scale: 'salometer', reading: 60, sampleC: SIXTY_F });
    expect(answer.saltPercent).toBeCloseTo(15.837, 2);
    expect(answer.uncorrectedSaltPercent).toBeCloseTo(15.837, 2);
  });

  test('the three scales agree on one brine', () => {
    const sg = specificGravity({ saltPercent: 12 });
    const by = (scale: 'sg60F' | 'baume' | 'salometer', reading: number) => readHydrometer({ scale, reading, sampleC: SIXTY_F }).saltPercent;
    expect(by('sg60F', sg)).toBeCloseTo(12, 2);
    expect(by('baume', specificGravityToBaume(sg))).toBeCloseTo(12, 2);
    expect(by('salometer', (12 / 26.395) * 100)).toBeCloseTo(12, 2);
  });

  test('sugar lifts it: 58 ° with 4 % sugar at 60 °F is 13.3 % salt, not 15.3', () => {
    // By hand from the tables: sugar of 4 % adds 0.0158 g/mL, 2.1 % of salt at 0.0075 g/mL a percent.
    const answer = readHydrometer({ scale: 'salometer', reading: 58, sampleC: SIXTY_F, sugarPercent: 4 });
    expect(answer.uncorrectedSaltPercent).toBeCloseTo(15.31, 2);
    expect(answer.saltPercent).toBeCloseTo(13.25, 1);
  });

  test('a warm sample sinks it: the same reading at 30 °C is more salt, at 4 °C less', () => {
    const at = (sampleC: number) => readHydrometer({ scale: 'salometer', reading: 50, sampleC }).saltPercent;
    expect(at(30)).toBeGreaterThan(at(SIXTY_F) + 0.4);
    expect(at(4)).toBeLessThan(at(SIXTY_F) - 0.3);
  });

  test('undoes what the float shows, for any salt, sugar and temperature', () => {
    const any = fc.record({
      saltPercent: fc.double({ min: 1, max: 20, noNaN: true }),
      sugarPercent: fc.double({ min: 0, max: 6, noNaN: true }),
      sampleC: fc.double({ min: 0, max: 35, noNaN: true }),
    });
    fc.assert(
      fc.property(any, (b) => {
        const { sg } = floatReading(b);
        const answer = readHydrometer({ scale: 'sg60F', reading: sg, sampleC: b.sampleC, sugarPercent: b.sugarPercent });
        expect(answer.saltPercent).toBeCloseTo(b.saltPercent, 5);
        expect(answer.low).toBeLessThan(answer.saltPercent);
        expect(answer.high).toBeGreaterThan(answer.saltPercent);
      }),
    );
  });

  test('what cannot be is refused in a sentence', () => {
    expect(() => readHydrometer({ scale: 'salometer', reading: 101, sampleC: 15 })).toThrow(/at most 100/);
    expect(() => readHydrometer({ scale: 'sg60F', reading: 0.99, sampleC: 15 })).toThrow(/lighter than water/);
    expect(() => readHydrometer({ scale: 'sg60F', reading: 1.28, sampleC: 15 })).toThrow(/heavier than a saturated/);
    expect(() => readHydrometer({ scale: 'salometer', reading: 5, sampleC: 15, sugarPercent: 20 })).toThrow(/sugar alone/);
    expect(() => readHydrometer({ scale: 'feel' as 'baume', reading: 5, sampleC: 15 })).toThrow(InputError);
    expect(() => readHydrometer({ scale: 'baume', reading: Number.NaN, sampleC: 15 })).toThrow(InputError);
  });
});
