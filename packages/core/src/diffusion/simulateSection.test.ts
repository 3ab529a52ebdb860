import fc from 'fast-check';
import { InputError } from '../inputError.js';
import type { Section } from '../section/section.js';
import { equalisationHours } from './equalisationHours.js';
import { sectionGrid } from './sectionGrid.js';
import { warmth, type SimulateSectionParams, type Stage } from './sectionProgram.js';
import { simulateSection } from './simulateSection.js';

const D = 3e-10;
/** Hours for a Fourier number Dt ÷ a² with the half thickness or radius a. */
const hoursFor = (fourier: number, halfMm: number) => (fourier * (halfMm / 1000) ** 2) / D / 3600;
const endless = (hours: number): Stage[] => [{ kind: 'bath', hours, bathG: 'infinite', saltPercent: 1 }];
const last = (values: readonly number[]) => values.at(-1) ?? Number.NaN;

describe('against the analytic solutions, constant edge', () => {
  // Crank, The Mathematics of Diffusion; Carslaw and Jaeger. Core fractions from memory (docs/science.md, “The cure inside the meat”).
  test.each([
    [0.1, 0.0507],
    [0.5, 0.6292],
    [1, 0.892],
  ])('a slab at Dt/a² = %d: core %d', (fourier, core) => {
    const run = simulateSection({ section: { shape: 'slab', thicknessMm: 40 }, meatG: 2000, stages: endless(hoursFor(fourier, 20)) });
    expect(Math.abs(last(run.core) - core)).toBeLessThan(0.002);
  });

  test.each([
    [0.1, 0.1516],
    [0.2, 0.4985],
    [0.4, 0.8415],
  ])('a long cylinder at Dt/a² = %d: core %d', (fourier, core) => {
    const run = simulateSection({ section: { shape: 'round', diameterMm: 90 }, meatG: 2600, stages: endless(hoursFor(fourier, 45)) });
    expect(Math.abs(last(run.core) - core)).toBeLessThan(0.005);
  });

  test('a rectangle is the product of its two slabs', () => {
    const section = { shape: 'rectangle', widthMm: 60, heightMm: 40 } as const;
    const hours = hoursFor(0.5, 20);
    const slab = (thicknessMm: number) => last(simulateSection({ section: { shape: 'slab', thicknessMm }, meatG: 2000, stages: endless(hours) }).core);
    expect(last(simulateSection({ section, meatG: 2000, stages: endless(hours) }).core)).toBeCloseTo(1 - (1 - slab(60)) * (1 - slab(40)), 2);
  });

  test('a smaller cell comes nearer', () => {
    const off = (cellMm: number) =>
      Math.abs(
        last(simulateSection({ section: { shape: 'slab', thicknessMm: 40 }, meatG: 2000, cellMm, stages: endless(hoursFor(0.2, 20)) }).core) - coreOfSlab(0.2),
      );
    expect(off(1)).toBeLessThan(off(4) / 3);
  });
});

/** Core of a slab with a constant edge. */
function coreOfSlab(fourier: number): number {
  let left = 0;
  for (let n = 0; n < 40; n += 1) left += ((4 / Math.PI) * (-1) ** n * Math.exp((-((2 * n + 1) ** 2) * Math.PI ** 2 * fourier) / 4)) / (2 * n + 1);
  return 1 - left;
}

describe('against Crank’s well-stirred bath of limited volume', () => {
  /** Roots of f between its poles, by halving. */
  const root = (f: (x: number) => number, low: number, high: number) => {
    let [a, b] = [low, high];
    for (let i = 0; i < 80; i += 1) {
      const middle = (a + b) / 2;
      if (Math.sign(f(middle)) === Math.sign(f(a))) a = middle;
      else b = middle;
    }
    return (a + b) / 2;
  };

  test.each([
    [0.5, 0.3],
    [2, 0.1],
    [1, 0.6],
  ])('a slab with %d times its weight of bath, at Dt/a² = %d', (alpha, fourier) => {
    // Mt ÷ M∞ = 1 − Σ 2α(1+α) ÷ (1+α+α²q²) · exp(−q² Fo), tan q = −αq.
    let uptake = 1;
    for (let n = 1; n <= 30; n += 1) {
      const q = root((x) => Math.sin(x) + alpha * x * Math.cos(x), (n - 0.5) * Math.PI + 1e-9, n * Math.PI);
      uptake -= ((2 * alpha * (1 + alpha)) / (1 + alpha + alpha ** 2 * q ** 2)) * Math.exp(-(q ** 2) * fourier);
    }
    const meatG = 2000;
    const run = simulateSection({
      section: { shape: 'slab', thicknessMm: 50 },
      meatG,
      stages: [{ kind: 'bath', hours: hoursFor(fourier, 25), bathG: alpha * meatG, saltPercent: 6 }],
    });
    const even = (6 * alpha) / (1 + alpha);
    expect(last(run.mean) / even).toBeCloseTo(uptake, 2);
    expect(last(run.bath)).toBeCloseTo(6 - last(run.mean) / alpha, 9);
  });

  /** Bessel functions by their integral, which the trapezoid rule gives to rounding. */
  const bessel = (order: 0 | 1, x: number) => {
    let sum = 0;
    for (let k = 0; k < 64; k += 1) {
      const theta = ((k + 0.5) * Math.PI) / 64;
      sum += Math.cos(order * theta - x * Math.sin(theta));
    }
    return sum / 64;
  };

  test.each([
    [0.5, 0.1],
    [2, 0.05],
  ])('a long cylinder with %d times its weight of bath, at Dt/a² = %d', (alpha, fourier) => {
    // Mt ÷ M∞ = 1 − Σ 4α(1+α) ÷ (4+4α+α²q²) · exp(−q² Fo), αq J0(q) + 2 J1(q) = 0: a root between each two zeros of J1.
    const zerosOfJ1 = [0, 3.8317, 7.0156, 10.1735, 13.3237, 16.4706, 19.6159];
    let uptake = 1;
    for (let n = 1; n < zerosOfJ1.length; n += 1) {
      const q = root((x) => alpha * x * bessel(0, x) + 2 * bessel(1, x), (zerosOfJ1[n - 1] ?? 0) + 1e-3, zerosOfJ1[n] ?? 0);
      uptake -= ((4 * alpha * (1 + alpha)) / (4 + 4 * alpha + alpha ** 2 * q ** 2)) * Math.exp(-(q ** 2) * fourier);
    }
    const meatG = 2600;
    const run = simulateSection({
      section: { shape: 'round', diameterMm: 80 },
      meatG,
      stages: [{ kind: 'bath', hours: hoursFor(fourier, 40), bathG: alpha * meatG, saltPercent: 6 }],
    });
    expect(Math.abs(last(run.mean) / ((6 * alpha) / (1 + alpha)) - uptake)).toBeLessThan(0.012);
  });

  test('left long enough, meat and brine hold the same, or the partition of it', () => {
    const p = { section: { shape: 'round', diameterMm: 40 }, meatG: 1000, stages: [{ kind: 'bath', hours: 2000, bathG: 500, saltPercent: 9 }] } as const;
    const even = simulateSection({ ...p, cellMm: 2 });
    expect(last(even.core)).toBeCloseTo(3, 3);
    expect(last(even.bath)).toBeCloseTo(3, 3);
    const held = simulateSection({ ...p, cellMm: 2, partition: 0.75 });
    expect(last(held.mean) / last(held.bath)).toBeCloseTo(0.75, 3);
  });
});

const sections: fc.Arbitrary<Section> = fc.oneof(
  fc.record({ shape: fc.constant('slab' as const), thicknessMm: fc.integer({ min: 20, max: 90 }) }),
  fc.record({ shape: fc.constant('round' as const), diameterMm: fc.integer({ min: 40, max: 200 }), bone: fc.constant({ diameterMm: 14, xMm: 3, yMm: -2 }) }),
  fc.record({ shape: fc.constant('ellipse' as const), widthMm: fc.integer({ min: 70, max: 180 }), heightMm: fc.integer({ min: 40, max: 120 }) }),
  fc.record({
    shape: fc.constant('rectangle' as const),
    widthMm: fc.integer({ min: 40, max: 150 }),
    heightMm: fc.integer({ min: 30, max: 90 }),
    closedSide: fc.constant('top' as const),
    fatCapMm: fc.constant(6),
  }),
);
const stages: fc.Arbitrary<Stage> = fc.oneof(
  fc.record({
    kind: fc.constant('bath' as const),
    hours: fc.integer({ min: 0, max: 200 }),
    bathG: fc.constantFrom(300, 2000, 'infinite' as const),
    saltPercent: fc.integer({ min: 0, max: 20 }),
  }),
  fc.record({ kind: fc.constant('rest' as const), hours: fc.integer({ min: 0, max: 100 }), temperatureC: fc.integer({ min: 0, max: 12 }) }),
  fc.record({
    kind: fc.constant('inject' as const),
    pumpPercent: fc.integer({ min: 0, max: 15 }),
    brineSaltPercent: fc.integer({ min: 0, max: 20 }),
    spacingMm: fc.constantFrom(20, 30),
  }),
);

describe('whatever happens to it', () => {
  test('salt is conserved to rounding over any program and geometry, and no cell leaves the range of what went in', () => {
    fc.assert(
      fc.property(sections, fc.array(stages, { minLength: 1, maxLength: 5 }), fc.integer({ min: 0, max: 4 }), (section, program, initialSaltPercent) => {
        const run = simulateSection({ section, meatG: 2000, cellMm: 5, stages: program, initialSaltPercent });
        expect(run.saltBalanceError).toBeLessThan(1e-11);
        const most = Math.max(
          initialSaltPercent,
          ...program.map((stage) => (stage.kind === 'bath' ? stage.saltPercent : stage.kind === 'inject' ? stage.brineSaltPercent : 0)),
        );
        for (const value of run.field(run.timesH.length - 1)) {
          if (Number.isNaN(value)) continue;
          expect(value).toBeGreaterThan(-0.02 * most - 1e-9);
          expect(value).toBeLessThan(most * 1.3 + 1e-9);
        }
      }),
      { numRuns: 60, seed: 20261123 },
    );
  });

  test('a round piece without a bone stays symmetric to the left and the right, up and down', () => {
    const run = simulateSection({ section: { shape: 'round', diameterMm: 80 }, meatG: 2000, cellMm: 4, stages: endless(100) });
    const field = run.field(run.timesH.length - 1);
    const cell = (column: number, row: number) => field[row * run.width + column] ?? Number.NaN;
    for (let row = 0; row < run.height; row += 1) {
      for (let column = 0; column < run.width; column += 1) {
        if (Number.isNaN(cell(column, row))) continue;
        expect(cell(run.width - 1 - column, row)).toBeCloseTo(cell(column, row), 5);
        expect(Math.abs(cell(row, column) - cell(column, row))).toBeLessThan(1e-3);
      }
    }
  });

  test('the cells add up to the section, bone left out', () => {
    expect(sectionGrid({ shape: 'round', diameterMm: 180, bone: { diameterMm: 40 } }).areaMm2).toBeCloseTo(Math.PI * (90 ** 2 - 20 ** 2), -2);
    expect(sectionGrid({ shape: 'ellipse', widthMm: 160, heightMm: 100 }, 2).areaMm2 / (Math.PI * 80 * 50)).toBeCloseTo(1, 2);
  });

  test('a closed side makes a slab twice as thick; a fat cap slows it', () => {
    const core = (section: Section, hours = 150) => last(simulateSection({ section, meatG: 2000, cellMm: 1, stages: endless(hours) }).core);
    expect(core({ shape: 'slab', thicknessMm: 40, closedSide: 'top' })).toBeCloseTo(core({ shape: 'slab', thicknessMm: 80 }), 2);
    expect(core({ shape: 'slab', thicknessMm: 40, fatCapMm: 8 })).toBeLessThan(core({ shape: 'slab', thicknessMm: 40 }));
  });

  test('warmer is quicker: 22 kJ/mol make 10 °C a quarter quicker than 3 °C', () => {
    expect(warmth(3)).toBe(1);
    expect(warmth(10)).toBeCloseTo(Math.exp((22000 / 8.314) * (1 / 276.15 - 1 / 283.15)), 12);
    const at = (temperatureC: number) =>
      last(
        simulateSection({
          section: { shape: 'slab', thicknessMm: 40 },
          meatG: 2000,
          stages: [{ kind: 'bath', hours: 100, bathG: 'infinite', saltPercent: 1, temperatureC }],
        }).core,
      );
    expect(at(10)).toBeGreaterThan(at(3));
  });

  test('what the needle puts in is there at once, and evens out between the sites in days', () => {
    const run = simulateSection({
      section: { shape: 'slab', thicknessMm: 100 },
      meatG: 4000,
      injected: { pumpPercent: 10, brineSaltPercent: 15, spacingMm: 25 },
      stages: [{ kind: 'rest', hours: 240 }],
    });
    // 10 % of a 15 % brine in 110 % of the weight
    expect(run.mean[0]).toBeCloseTo(1.5 / 1.1, 6);
    expect(last(run.mean)).toBeCloseTo(1.5 / 1.1, 6);
    expect(last(run.core)).toBeGreaterThan(run.core[0] ?? Infinity);
  });

  test('a slice from the edge is the same whatever the size of the cells, lies between edge and mean, and none of it is under skin', () => {
    const stages: Stage[] = [{ kind: 'bath', hours: 24 * 8, bathG: 1300, saltPercent: 6.6 }];
    const run = (cellMm: number) => simulateSection({ section: { shape: 'round', diameterMm: 85 }, meatG: 2600, cellMm, stages });
    const [coarse, fine] = [run(2.5), run(1)];
    expect(Math.abs(last(coarse.slice) - last(fine.slice))).toBeLessThan(0.04);
    expect(last(fine.slice)).toBeLessThan(last(fine.edge));
    expect(last(fine.slice)).toBeGreaterThan(last(fine.mean));
    const skin = simulateSection({
      section: { shape: 'slab', thicknessMm: 40, closedSide: 'top' },
      meatG: 2600,
      cellMm: 1,
      stages: [{ ...stages[0], hours: 24 } as Stage],
    });
    expect(last(skin.slice)).toBeGreaterThan(1.5);
    expect(last(skin.core)).toBeLessThan(0.01);
  });

  test('fat is not waited for: the core lies in the lean beneath it', () => {
    const grid = sectionGrid({ shape: 'slab', thicknessMm: 50, closedSide: 'top', fatCapMm: 10 }, 1);
    expect(grid.core).toBe(10);
    expect(grid.lean).toHaveLength(40);
  });

  test('a soak takes from the edge first', () => {
    const run = simulateSection({
      section: { shape: 'slab', thicknessMm: 50 },
      meatG: 2000,
      initialSaltPercent: 4,
      stages: [{ kind: 'bath', hours: 1, bathG: 8000, saltPercent: 0 }],
      sampleHours: 0.1,
    });
    expect(last(run.edge)).toBeLessThan(2);
    expect(last(run.core)).toBeCloseTo(4, 3);
    expect(last(run.mean)).toBeGreaterThan(3.4);
  });
});

describe('until it is even', () => {
  test('what is known of a belly and a loin: 58 % and 11 % at the core after 7 days', () => {
    const core = (section: Section, days: number) => last(simulateSection({ section, meatG: 2000, stages: endless(days * 24) }).core);
    expect(core({ shape: 'slab', thicknessMm: 40 }, 7)).toBeCloseTo(0.58, 1);
    expect(core({ shape: 'round', diameterMm: 90 }, 7)).toBeCloseTo(0.11, 1);
    expect(core({ shape: 'round', diameterMm: 90 }, 14)).toBeCloseTo(0.44, 1);
    expect(core({ shape: 'round', diameterMm: 190 }, 14)).toBeLessThan(0.01);
  });

  test('at that hour it is just so even, and it takes four times as long for twice the thickness', () => {
    const section = { shape: 'slab', thicknessMm: 40 } as const;
    const hours = equalisationHours({ section, meatG: 2000, bathG: 'infinite', evenness: 0.9 });
    const run = simulateSection({ section, meatG: 2000, stages: endless(hours) });
    expect(last(run.core) / last(run.mean)).toBeCloseTo(0.9, 2);
    expect(equalisationHours({ section: { ...section, thicknessMm: 80 }, meatG: 2000, bathG: 'infinite', evenness: 0.9 }) / hours).toBeCloseTo(4, 1);
  });

  test('a small bath evens out sooner than an endless one', () => {
    const by = (bathG: number | 'infinite') => equalisationHours({ section: { shape: 'round', diameterMm: 80 }, meatG: 2500, bathG, evenness: 0.9 });
    expect(by(1000)).toBeLessThan(by('infinite'));
  });
});

describe('what cannot be is refused in a sentence', () => {
  const p: SimulateSectionParams = { section: { shape: 'round', diameterMm: 80 }, meatG: 2000, stages: endless(10) };
  const cases: [string, Partial<SimulateSectionParams>, RegExp][] = [
    ['a bone larger than the piece', { section: { shape: 'round', diameterMm: 80, bone: { diameterMm: 90 } } }, /bone is larger/],
    ['a bone that sticks out', { section: { shape: 'round', diameterMm: 80, bone: { diameterMm: 30, xMm: 30 } } }, /sticks out/],
    ['no thickness', { section: { shape: 'slab', thicknessMm: 0 } }, /more than 0/],
    ['a metre of ham', { section: { shape: 'round', diameterMm: 1000 } }, /at most 600/],
    ['cells that would take minutes', { section: { shape: 'round', diameterMm: 200 }, cellMm: 0.3 }, /would take minutes/],
    ['small cells over a year', { section: { shape: 'round', diameterMm: 200 }, cellMm: 1, stages: endless(8000) }, /would take minutes/],
    ['hours below nothing', { stages: [{ kind: 'rest', hours: -1 }] }, /at least 0/],
    ['years', { stages: [{ kind: 'rest', hours: 20000 }] }, /at most 8784/],
    ['a boiling bath', { stages: [{ kind: 'bath', hours: 1, bathG: 100, saltPercent: 3, temperatureC: 90 }] }, /at most 40/],
    ['no number for a temperature', { stages: [{ kind: 'rest', hours: 1, temperatureC: Number.NaN }] }, /must be a number/],
    ['a bath of nothing', { stages: [{ kind: 'bath', hours: 1, bathG: 0, saltPercent: 3 }] }, /more than 0/],
    ['beyond saturation', { stages: [{ kind: 'bath', hours: 1, bathG: 100, saltPercent: 30 }] }, /at most 26.395/],
    ['no stages', { stages: undefined }, /at least one stage/],
  ];
  test.each(cases)('%s', (_what, part, says) => {
    expect(() => simulateSection({ ...p, ...part })).toThrow(says);
    expect(() => simulateSection({ ...p, ...part })).toThrow(InputError);
  });
});
