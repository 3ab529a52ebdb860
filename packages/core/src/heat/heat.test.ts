import { InputError } from '../inputError.js';
import type { SizedPiece } from '../section/uptake.js';
import { cookCourse, courseAt } from './cookCourse.js';
import { phaseAt, requirePhases } from './cookPhase.js';
import { surfaceFlow, vapourPressurePa } from './evaporation.js';
import { forecastCore, type ForecastCoreParams } from './forecastCore.js';
import { USUAL_TRAITS } from './fitTraits.js';
import { HEAT_DIFFUSIVITY, HeatBody, heatShape, type HeatTraits } from './heatBody.js';

function fixedCore(piece: SizedPiece, startC: number, surfaceC: number, seconds: number): number {
  const body = new HeatBody(piece, startC, USUAL_TRAITS);
  for (let s = 0; s < seconds; s += 20) body.step(20, { chamberC: surfaceC, medium: 'fixed', isWrapped: false });
  return body.coreC();
}

/** What is left of the difference at the middle of a slab [P: Carslaw and Jaeger, Conduction of Heat in Solids]. */
function slabLeft(halfM: number, seconds: number): number {
  const fourier = (HEAT_DIFFUSIVITY * seconds) / halfM ** 2;
  return Array.from({ length: 40 }, (_, n) => {
    const root = ((2 * n + 1) * Math.PI) / 2;
    return ((n % 2 === 0 ? 2 : -2) / root) * Math.exp(-root * root * fourier);
  }).reduce((a, b) => a + b, 0);
}

/** The same on the axis of a cylinder; zeros of J0 and J1 at them from tables. */
const J0 = [
  [2.404825558, 0.519147497],
  [5.52007811, -0.340264806],
  [8.653727913, 0.271452299],
  [11.79153444, -0.23245983],
  [14.93091771, 0.206546433],
] as const;
function cylinderLeft(radiusM: number, seconds: number): number {
  const fourier = (HEAT_DIFFUSIVITY * seconds) / radiusM ** 2;
  return J0.reduce((sum, [root, j1]) => sum + (2 / (root * j1)) * Math.exp(-root * root * fourier), 0);
}

describe('the middle of a piece whose surface is held, against the analytic solutions', () => {
  test.each([0.5, 1, 2, 4])('a slab of 60 mm after %d h, heated and cooled, within 0.3 °C', (hours) => {
    const left = slabLeft(0.03, hours * 3600);
    expect(Math.abs(fixedCore({ section: { shape: 'slab', thicknessMm: 60 } }, 5, 85, hours * 3600) - (85 - 80 * left))).toBeLessThan(0.3);
    expect(Math.abs(fixedCore({ section: { shape: 'slab', thicknessMm: 60 } }, 66, 2, hours * 3600) - (2 + 64 * left))).toBeLessThan(0.3);
  });

  test.each([1, 2, 4, 8])('a cylinder of 140 mm after %d h, heated and cooled, within 0.3 °C', (hours) => {
    const left = cylinderLeft(0.07, hours * 3600);
    expect(Math.abs(fixedCore({ section: { shape: 'round', diameterMm: 140 } }, 5, 85, hours * 3600) - (85 - 80 * left))).toBeLessThan(0.3);
    expect(Math.abs(fixedCore({ section: { shape: 'round', diameterMm: 140 } }, 66, 2, hours * 3600) - (2 + 64 * left))).toBeLessThan(0.3);
  });

  // The product of two or three slabs, or of a slab and a cylinder [P: Newman's rule, in Carslaw and Jaeger].
  test.each([
    [140, 80],
    [80, 80],
    [300, 60],
  ])('a rectangle of %d by %d mm is the product of its two slabs within 0.4 °C of eighty', (widthMm, heightMm) => {
    for (const hours of [0.5, 1, 2, 4]) {
      const left = slabLeft(widthMm / 2000, hours * 3600) * slabLeft(heightMm / 2000, hours * 3600);
      expect(Math.abs(fixedCore({ section: { shape: 'rectangle', widthMm, heightMm } }, 5, 85, hours * 3600) - (85 - 80 * left))).toBeLessThan(0.4);
    }
  });

  test.each([0.5, 1, 2])('a compact slab of 75 by 98 by 130 mm and a short round of 120 by 150 after %d h, the same', (hours) => {
    const seconds = hours * 3600;
    const block = [75, 98, 130].reduce((left, mm) => left * slabLeft(mm / 2000, seconds), 1);
    const massG = 75 * 98 * 130 * 1.05e-3;
    expect(Math.abs(fixedCore({ section: { shape: 'slab', thicknessMm: 75 }, lengthMm: 130, massG }, 5, 85, seconds) - (85 - 80 * block))).toBeLessThan(0.4);
    const short = cylinderLeft(0.06, seconds) * slabLeft(0.075, seconds);
    expect(Math.abs(fixedCore({ section: { shape: 'round', diameterMm: 120 }, lengthMm: 150 }, 5, 85, seconds) - (85 - 80 * short))).toBeLessThan(0.4);
  });

  test('an ellipse lies between the slab and the round of its thickness', () => {
    expect(heatShape({ shape: 'ellipse', widthMm: 120, heightMm: 120 }).dimension).toBeCloseTo(2, 6);
    expect(heatShape({ shape: 'ellipse', widthMm: 120, heightMm: 120 }).halfM).toBeCloseTo(0.06, 9);
    const ellipse = fixedCore({ section: { shape: 'ellipse', widthMm: 140, heightMm: 70 } }, 5, 85, 5400);
    expect(ellipse).toBeGreaterThan(fixedCore({ section: { shape: 'slab', thicknessMm: 70 } }, 5, 85, 5400));
    expect(ellipse).toBeLessThan(fixedCore({ section: { shape: 'round', diameterMm: 70 } }, 5, 85, 5400));
  });
});

describe('evaporation', () => {
  // [P: steam tables, values from memory]
  test.each([
    [10, 1228],
    [20, 2339],
    [60, 19_946],
    [100, 101_325],
  ])('water at %d °C has a vapour pressure of %d Pa within 3 %%', (C, Pa) => {
    expect(Math.abs(vapourPressurePa(C) / Pa - 1)).toBeLessThan(0.03);
  });

  test('a wet surface takes less heat than a wrapped one, and gives water; in water it gives none', () => {
    const supply = { at60Kg: 2e-4, perC: 33 };
    const wet = surfaceFlow('smoker', 110, 65, 1, supply);
    const wrapped = surfaceFlow('smoker', 110, 65, 1, null);
    expect(wet.heatW).toBeLessThan(wrapped.heatW - 300);
    expect(wet.waterKg).toBeGreaterThan(0);
    expect(wrapped.waterKg).toBe(0);
    expect(surfaceFlow('water', 80, 40, 1, supply).waterKg).toBe(0);
  });

  test('a cold piece in a warm damp chamber is wetted: water settles on it and warms it', () => {
    expect(surfaceFlow('smoker', 40, 5, 1, { at60Kg: 2e-4, perC: 33 }).heatW).toBeGreaterThan(surfaceFlow('smoker', 40, 5, 1, null).heatW);
  });

  test('the stall: with water on its surface a core needs hours more, and wrapping it ends that', () => {
    const p: ForecastCoreParams = { section: { shape: 'round', diameterMm: 110 }, massG: 4300, startC: 5, phases: [{ chamberC: 110 }], targetC: 88 };
    const open = forecastCore(p).etaS;
    const wrapped = forecastCore({ ...p, wrappedAtS: 4 * 3600 }).etaS;
    expect(open - wrapped).toBeGreaterThan(3600);
  });
});

describe('phases', () => {
  test('a phase ends at its time or its core temperature, whichever comes first, and does not come back', () => {
    const phases = [{ chamberC: 80, untilS: 3600, untilCoreC: 40 }, { chamberC: 110 }];
    expect(phaseAt(phases, 0, 100, 20, false)).toBe(0);
    expect(phaseAt(phases, 0, 100, 41, false)).toBe(1);
    expect(phaseAt(phases, 0, 3600, 20, false)).toBe(1);
    expect(phaseAt(phases, 1, 100, 20, false)).toBe(1);
  });

  test.each([
    [[], 'phases'],
    [[{ chamberC: 900 }], 'phases.0.chamberC'],
    [[{ chamberC: 80 }, { chamberC: 90 }], 'phases.0.untilS'],
    [
      [
        { chamberC: 80, untilS: 100 },
        { chamberC: 90, untilS: 50 },
      ],
      'phases.1.untilS',
    ],
    [[{ chamberC: Number.NaN }], 'phases.0.chamberC'],
    [[{ chamberC: 80, medium: 'sand' }], 'phases.0.medium'],
  ])('%j is refused', (phases, field) => {
    expect(() => requirePhases(phases as never)).toThrow(expect.objectContaining({ field }) as Error);
  });
});

describe('forecastCore', () => {
  const loin: ForecastCoreParams = {
    section: { shape: 'round', diameterMm: 85 },
    massG: 2600,
    startC: 5,
    phases: [{ chamberC: 80, untilS: 9000 }, { chamberC: 105 }],
    targetC: 64,
  };
  /** What a piece with other traits reads, minute by minute. */
  const played = (traits: HeatTraits, untilS: number) =>
    cookCourse(
      { section: loin.section, massG: loin.massG, startC: 5, phases: loin.phases, chamber: [], chamberOffC: 0, wrappedAtS: Infinity },
      traits,
      untilS,
    ).core.map((C, i) => ({ s: i * 60, C }));

  test('before anything is read: a time with a wide range around it', () => {
    const { etaS, lowS, highS, cannot, curve } = forecastCore(loin);
    expect(cannot).toBeNull();
    expect(lowS).toBeLessThan(etaS);
    expect(highS).toBeGreaterThan(etaS);
    expect(highS - lowS).toBeGreaterThan(0.3 * etaS);
    expect(curve[0]).toMatchObject({ s: 0 });
    expect(curve.at(-1)).toMatchObject({ s: etaS, C: 64 });
  });

  test('a piece that is slower than usual is recognised, and the range narrows as readings arrive', () => {
    const slow: HeatTraits = { ...USUAL_TRAITS, film: 0.8, diffusivity: 0.95, supply: 1.4 };
    const all = played(slow, 12 * 3600);
    const doneS = all.find(({ C }) => C >= 64)?.s ?? 0;
    const at = (share: number) => forecastCore({ ...loin, readings: all.filter(({ s }) => s <= doneS * share) });
    const [early, half, late] = [at(0.1), at(0.5), at(0.9)];
    expect(Math.abs(half.etaS - doneS)).toBeLessThan(0.1 * doneS);
    expect(Math.abs(late.etaS - doneS)).toBeLessThan(0.03 * doneS);
    for (const forecast of [half, late]) {
      expect(forecast.lowS).toBeLessThanOrEqual(doneS);
      expect(forecast.highS).toBeGreaterThanOrEqual(doneS);
    }
    expect(half.highS - half.lowS).toBeLessThan(early.highS - early.lowS);
    expect(late.highS - late.lowS).toBeLessThan(half.highS - half.lowS);
  });

  test('it goes on from the last reading, and never ends before it', () => {
    const readings = played(USUAL_TRAITS, 5400);
    const last = readings.at(-1);
    const { curve, lowS } = forecastCore({ ...loin, readings });
    expect(curve[0]?.s).toBe(last?.s);
    expect(Math.abs((curve[0]?.C ?? 0) - (last?.C ?? 0))).toBeLessThan(0.5);
    expect(lowS).toBeGreaterThan(last?.s ?? 0);
  });

  test('what is there already was there between two readings', () => {
    const { etaS, lowS, highS } = forecastCore({
      ...loin,
      readings: [
        { s: 0, C: 5 },
        { s: 600, C: 60 },
        { s: 1200, C: 68 },
      ],
    });
    expect(etaS).toBe(900);
    expect([lowS, highS]).toEqual([900, 900]);
  });

  test('a chamber that was read counts for more than its program', () => {
    const cold = Array.from({ length: 121 }, (_, i) => ({ s: i * 60, C: 70 }));
    expect(forecastCore({ ...loin, chamber: cold }).etaS).toBeGreaterThan(forecastCore(loin).etaS + 600);
  });

  test('a chamber that is too cold never brings it there, and says so', () => {
    const { etaS, highS, cannot } = forecastCore({ ...loin, phases: [{ chamberC: 60 }] });
    expect([etaS, highS]).toEqual([Infinity, Infinity]);
    expect(cannot?.message).toBe('In a chamber of 60 °C the core does not come to 64 °C.');
  });

  test('cooling: a hot ham in the cold comes to 27 °C within hours, the sooner the thinner', () => {
    const chill = (diameterMm: number) =>
      forecastCore({ section: { shape: 'round', diameterMm }, massG: 7000, startC: 66, phases: [{ chamberC: 2, medium: 'cold' }], targetC: 27 }).etaS / 3600;
    expect(chill(180)).toBeGreaterThan(4);
    expect(chill(180)).toBeLessThan(11);
    expect(chill(90)).toBeLessThan(chill(180) / 2);
  });

  test('water cooks faster than air, and an ice bath chills faster', () => {
    const inWater = forecastCore({ ...loin, phases: [{ chamberC: 80, medium: 'water' }] }).etaS;
    expect(inWater).toBeLessThan(forecastCore({ ...loin, phases: [{ chamberC: 80, medium: 'smoker' }] }).etaS / 1.5);
  });

  test('a probe that jumps for a while does not carry the forecast away', () => {
    const readings = played(USUAL_TRAITS, 5400);
    const wild = readings.map(({ s, C }) => ({ s, C: s > 2400 && s < 3000 ? 90 : C })).filter(({ C }) => C < 64 || C === 90);
    const wildEta = forecastCore({ ...loin, targetC: 95, phases: [{ chamberC: 110 }], readings: wild }).etaS;
    const calmEta = forecastCore({ ...loin, targetC: 95, phases: [{ chamberC: 110 }], readings }).etaS;
    expect(Math.abs(wildEta / calmEta - 1)).toBeLessThan(0.2);
  });

  test.each([
    [{ massG: 0 }, 'massG'],
    [{ startC: Number.NaN }, 'startC'],
    [{ targetC: 400 }, 'targetC'],
    [{ phases: [] }, 'phases'],
    [{ section: { shape: 'cube' } }, 'section.shape'],
    [{ readings: [{ s: 0, C: 900 }] }, 'readings.0.C'],
    [
      {
        readings: [
          { s: 5, C: 5 },
          { s: 5, C: 6 },
        ],
      },
      'readings.1.s',
    ],
  ])('%j is refused', (change, field) => {
    const work = () => forecastCore({ ...loin, ...change } as ForecastCoreParams);
    expect(work).toThrow(InputError);
    expect(work).toThrow(expect.objectContaining({ field }) as Error);
  });

  test('drying: hours in the smoker cost a tenth or two of the weight', () => {
    const { dryingG } = forecastCore(loin);
    expect(dryingG / 2600).toBeGreaterThan(0.03);
    expect(dryingG / 2600).toBeLessThan(0.25);
  });

  test('the course between two of its minutes is a straight line', () => {
    expect(courseAt([10, 20], 30)).toBe(15);
    expect(courseAt([10, 20], 600)).toBe(20);
  });
});
