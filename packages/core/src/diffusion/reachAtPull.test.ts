import fc from 'fast-check';
import type { Section } from '../section/section.js';
import { pieceUptake, uptakeFromBath } from '../section/uptake.js';
import { uptakeOfSolid } from '../testing/solid.js';
import { reachAtPull } from './reachAtPull.js';

/** A piece in a brine of the meat's weight times `waterPerMeat`, dosed to 150 ppm when even, and pulled after some days. */
function even(section: Section, massG: number, bathPerMeat: number, days: number, ppm = 150) {
  const bathG = bathPerMeat * massG;
  const saltPercent = (ppm * (massG + bathG)) / bathG / 1e4;
  const [reach] = reachAtPull({ pieces: [{ code: 'A', section, massG }], stages: [{ kind: 'bath', hours: days * 24, bathG, saltPercent }] });
  if (reach === undefined) throw new Error('a piece');
  return reach;
}

// Handbook check values [M]: what a usual day must give.
describe('reach at the pull', () => {
  test.each([
    ['belly 4 cm in a bag, 7 d', { shape: 'slab', thicknessMm: 40 }, 2000, 0.15, 7, 150],
    ['the same in a tub 1 : 1', { shape: 'slab', thicknessMm: 40 }, 2000, 1, 7, 150],
    ['loin 9 cm, 14 d', { shape: 'round', diameterMm: 90 }, 2600, 0.45, 14, 150],
    ['brisket 6 cm, 10 d', { shape: 'slab', thicknessMm: 60 }, 4600, 0.6, 10, 150],
  ] as const)('%s: coloured to the middle, fast meat or slow', (_what, section, massG, bath, days, ppm) => {
    const reach = even(section, massG, bath, days, ppm);
    expect(reach.coloured).toBe(true);
    expect(reach.leastSlowPpm).toBeGreaterThanOrEqual(20);
    expect(reach.meanPpm.typical).toBeGreaterThanOrEqual(100);
    expect(reach.meanPpm.low).toBeGreaterThanOrEqual(75);
  });

  test('a belly in a tub 1 : 1 has a mean of 81 to 90 % and a least of 57 to 77 % of even', () => {
    const reach = even({ shape: 'slab', thicknessMm: 40 }, 2000, 1, 7);
    expect(reach.meanPpm.low / 150).toBeGreaterThan(0.79);
    expect(reach.meanPpm.high / 150).toBeLessThan(0.97);
    expect(reach.leastSlowPpm / 150).toBeGreaterThan(0.55);
  });

  test.each([
    ['loin 9 cm, 7 d', { shape: 'round', diameterMm: 90 }, 2600, 0.45, 7],
    ['round 10 cm, 10 d', { shape: 'round', diameterMm: 100 }, 2300, 1.6, 10],
  ] as const)('%s: coloured, and pale in the middle where the meat is slow', (_what, section, massG, bath, days) => {
    const reach = even(section, massG, bath, days);
    expect(reach.coloured).toBe(true);
    expect(reach.leastSlowPpm).toBeLessThan(25);
  });

  test('a picnic by a day for two pounds is not cured in the middle, and its day is told', () => {
    const reach = even({ shape: 'ellipse', widthMm: 160, heightMm: 130 }, 3500, 0.7, 3.9);
    expect(reach.coloured).toBe(false);
    expect(reach.leastPpm).toBeLessThan(1);
    expect(reach.colouredFromDay).toBeGreaterThan(12);
    expect(reach.colouredFromDay).toBeLessThan(20);
  });

  test('beef 118 mm through after eleven days is not coloured; a loin pulled on day one nothing', () => {
    expect(even({ shape: 'slab', thicknessMm: 118 }, 3000, 0.6, 11)).toMatchObject({ coloured: false });
    expect(even({ shape: 'round', diameterMm: 90 }, 2600, 0.45, 1)).toMatchObject({ coloured: false });
  });

  test('a ham pumped 10 % is coloured between its needles after seven days', () => {
    const [reach] = reachAtPull({
      pieces: [{ code: 'A', section: { shape: 'round', diameterMm: 190 }, massG: 7000 }],
      stages: [
        { kind: 'inject', pumpPercent: 10, brineSaltPercent: 0.15, spacingMm: 25 },
        { kind: 'bath', hours: 168, bathG: 4000, saltPercent: 0.014 },
      ],
    });
    expect(reach?.coloured).toBe(true);
    expect(reach?.leastSlowPpm).toBeGreaterThan(40);
  });

  test('longer, stronger and thinner never reach less; the mean lies between slow and fast, and nothing passes at most', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 120 }), fc.integer({ min: 1, max: 20 }), fc.double({ min: 0.2, max: 2, noNaN: true }), (mm, days, bath) => {
        const now = even({ shape: 'slab', thicknessMm: mm }, 2500, bath, days);
        expect(even({ shape: 'slab', thicknessMm: mm }, 2500, bath, days + 1).leastPpm).toBeGreaterThanOrEqual(now.leastPpm - 0.5);
        expect(even({ shape: 'slab', thicknessMm: mm }, 2500, bath, days, 180).leastPpm).toBeGreaterThanOrEqual(now.leastPpm);
        expect(now.meanPpm.low).toBeLessThanOrEqual(now.meanPpm.typical + 1e-6);
        expect(now.meanPpm.typical).toBeLessThanOrEqual(now.meanPpm.high + 1e-6);
        expect(now.atMostPpm).toBeGreaterThanOrEqual(now.meanPpm.high - 1e-6);
        expect(now.leastSlowPpm).toBeLessThanOrEqual(now.leastPpm + 0.5);
      }),
      { numRuns: 30, seed: 5 },
    );
  });

  test.each([
    [{ pieces: [], stages: [] }],
    [{ pieces: [{ code: 'A', section: { shape: 'slab', thicknessMm: -3 }, massG: 1 }], stages: [] }],
    [
      {
        pieces: [{ code: 'A', section: { shape: 'slab', thicknessMm: 30 }, massG: 1000 }],
        stages: [{ kind: 'bath', hours: Number.NaN, bathG: 1, saltPercent: 1 }],
      },
    ],
  ] as const)('%j is refused in a sentence', (p) => expect(() => reachAtPull(p as unknown as Parameters<typeof reachAtPull>[0])).toThrow(/[.?]$/));
});

// Against an independent computation in three dimensions (testing/solid.ts): ends and edges are not left out.
describe('uptake of a whole piece', () => {
  test.each([
    [[75, 98, 130], 96, 0],
    [[40, 160, 220], 120, 0],
    [[60, 90, 110], 144, 0.8],
    [[75, 98, 130], 200, 1.5],
  ] as const)('a block of %j mm after %d h in a bath of %d: within 4 %% of the computation in three dimensions', (size, hours, meatPerBath) => {
    const truth = uptakeOfSolid({ sizeMm: size }, hours, meatPerBath).mean;
    const [thicknessMm, , lengthMm] = size;
    const massG = size[0] * size[1] * size[2] * 1.05e-3;
    const own = uptakeFromBath({ section: { shape: 'slab', thicknessMm }, lengthMm, massG }, hours, meatPerBath);
    expect(Math.abs(own / truth - 1)).toBeLessThan(0.04);
  });

  test('a round with its ends, too', () => {
    const truth = uptakeOfSolid({ sizeMm: [80, 80, 150], isRound: true, cells: 20 }, 96, 0).mean;
    expect(Math.abs(pieceUptake({ section: { shape: 'round', diameterMm: 80 }, lengthMm: 150 }, 96) / truth - 1)).toBeLessThan(0.06);
  });

  test('a slab of 75×98×130 mm in a strong pickle takes up half as much again as a slab without end: at most is at most', () => {
    const truth = uptakeOfSolid({ sizeMm: [75, 98, 130] }, 96, 0).mean;
    const slab = { section: { shape: 'slab', thicknessMm: 75 } as const };
    expect(truth / pieceUptake(slab, 96)).toBeGreaterThan(1.3);
    expect(pieceUptake({ ...slab, lengthMm: 130, massG: 1003 }, 96)).toBeGreaterThanOrEqual(truth * 0.98);
    expect(pieceUptake({ ...slab, lengthMm: 130, massG: 1003 }, 96, 4.02e-10)).toBeGreaterThan(truth);
  });

  test('it comes to bath ÷ (meat + bath) in the end, and only grows', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 4, noNaN: true }), fc.integer({ min: 5, max: 400 }), (ratio, hours) => {
        const piece = { section: { shape: 'round', diameterMm: 60 } as const, lengthMm: 200 };
        const now = uptakeFromBath(piece, hours, ratio);
        expect(now).toBeLessThanOrEqual(1 / (1 + ratio) + 0.01);
        expect(uptakeFromBath(piece, hours * 1.3, ratio)).toBeGreaterThanOrEqual(now - 1e-3);
        expect(uptakeFromBath(piece, 6000, ratio)).toBeCloseTo(1 / (1 + ratio), 2);
      }),
      { numRuns: 40, seed: 2 },
    );
  });
});
