import fc from 'fast-check';
import { uptakeFraction } from './uptake.js';

/** Hours for a Fourier number Dt ÷ a² at 3 × 10^-10 m²/s. */
const hoursFor = (fourier: number, halfMm: number) => (fourier * (halfMm / 1000) ** 2) / 3e-10 / 3600;

describe('what a constant edge lets in', () => {
  // Crank, The Mathematics of Diffusion: half is in at Dt/l² = 0.1968 for a plane sheet (l half of it) and at Dt/a² = 0.0631 for a
  // cylinder; values from memory.
  test('half of it at the published times', () => {
    expect(uptakeFraction({ shape: 'slab', thicknessMm: 40 }, hoursFor(0.1968, 20))).toBeCloseTo(0.5, 3);
    expect(uptakeFraction({ shape: 'round', diameterMm: 90 }, hoursFor(0.0631, 45))).toBeCloseTo(0.5, 3);
  });

  test('a belly of 4 cm has taken up three quarters after 7 days, as is known', () => {
    expect(uptakeFraction({ shape: 'slab', thicknessMm: 40 }, 168)).toBeCloseTo(0.74, 2);
  });

  test('early it goes with the root of time', () => {
    const slab = { shape: 'slab', thicknessMm: 60 } as const;
    expect(uptakeFraction(slab, 4) / uptakeFraction(slab, 1)).toBeCloseTo(2, 6);
  });

  test('a closed side makes it as slow as twice the thickness; a long rectangle is a slab', () => {
    expect(uptakeFraction({ shape: 'slab', thicknessMm: 40, closedSide: 'top' }, 100)).toBeCloseTo(uptakeFraction({ shape: 'slab', thicknessMm: 80 }, 100), 9);
    expect(uptakeFraction({ shape: 'rectangle', widthMm: 590, heightMm: 20 }, 20)).toBeCloseTo(uptakeFraction({ shape: 'slab', thicknessMm: 20 }, 20), 1);
  });

  test('it starts at nothing, never falls, and never passes all; thicker takes less', () => {
    expect(uptakeFraction({ shape: 'round', diameterMm: 80 }, 0)).toBe(0);
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 2000, noNaN: true }), fc.double({ min: 10, max: 250, noNaN: true }), (hours, mm) => {
        const now = uptakeFraction({ shape: 'round', diameterMm: mm }, hours);
        expect(now).toBeGreaterThanOrEqual(0);
        expect(now).toBeLessThanOrEqual(1 + 1e-12);
        expect(uptakeFraction({ shape: 'round', diameterMm: mm }, hours * 1.5)).toBeGreaterThanOrEqual(now - 1e-4);
        expect(uptakeFraction({ shape: 'round', diameterMm: mm * 1.5 }, hours)).toBeLessThanOrEqual(now + 1e-4);
      }),
    );
  });
});
