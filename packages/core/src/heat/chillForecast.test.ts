import type { SizedPiece } from '../section/uptake.js';
import { chillForecastH } from './chillForecast.js';

const round = (diameterMm: number, lengthMm?: number): SizedPiece => ({
  section: { shape: 'round', diameterMm },
  ...(lengthMm === undefined ? {} : { lengthMm }),
});
const slab = (thicknessMm: number): SizedPiece => ({ section: { shape: 'slab', thicknessMm } });
const WHOLE_HAM = round(180, 320);
/** Its ends left out. */
const BONED_HAM = round(130);
const inCold = (piece: SizedPiece, isWrapped = false) => chillForecastH({ ...piece, fromC: 65, placeC: 4, medium: 'cold', isWrapped });
const inIce = (piece: SizedPiece) => chillForecastH({ ...piece, fromC: 65, placeC: 1, medium: 'water' });

describe('chillForecastH', () => {
  // What a household refrigerator at 4 °C does, 130 to 80 and 80 to 45 °F, h, by conduction with a film of 8 W/m²K and no drying: worked out
  // beside the program, flat pieces without their edges: docs/science.md, “Heat”.
  test.each<[string, SizedPiece, boolean, number, number]>([
    ['belly of 40 mm', slab(40), false, 2.2, 5.3],
    ['loin of 90 mm', round(90, 400), false, 2.6, 6.4],
    ['brisket of 60 mm', slab(60), false, 3.4, 8.3],
    ['picnic', round(140, 270), false, 4.2, 10],
    ['boned ham of 130 mm', BONED_HAM, false, 4.1, 10],
    ['whole ham of 8 kg', WHOLE_HAM, false, 5.7, 13.2],
    ['whole ham in foil', WHOLE_HAM, true, 7.7, 18],
  ])('a %s in a household refrigerator', (_, piece, isWrapped, first, second) => {
    const [firstH, secondH] = inCold(piece, isWrapped);
    expect(firstH / first).toBeGreaterThan(0.85);
    expect(firstH / first).toBeLessThan(1.1);
    expect(secondH / second).toBeGreaterThan(0.85);
    expect(secondH / second).toBeLessThan(1.1);
  });

  test('a whole ham misses the gates in a refrigerator, in ice water it passes both', () => {
    const [first, second] = inCold(WHOLE_HAM);
    expect(first).toBeGreaterThan(5);
    expect(second).toBeGreaterThan(10);
    const [firstInIce, secondInIce] = inIce(WHOLE_HAM);
    // Beside the program: 2.5 and 4.3 h.
    expect(Math.abs(firstInIce / 2.5 - 1)).toBeLessThan(0.1);
    expect(Math.abs(secondInIce / 4.3 - 1)).toBeLessThan(0.1);
    expect(inIce(BONED_HAM)[0]).toBeLessThan(2);
  });

  test('what is not cured and thicker than three centimetres misses its gate of an hour and a half', () => {
    expect(inCold(slab(40))[0]).toBeGreaterThan(1.5);
  });

  test('edges and ends make it quicker: a compact slab by more than a third', () => {
    const compact = inCold({ section: { shape: 'slab', thicknessMm: 75 }, lengthMm: 130, massG: 1003 });
    expect(compact[0] / inCold(slab(75))[0]).toBeLessThan(0.65);
  });

  test('where the place is warmer than the gate it never comes there', () => {
    expect(chillForecastH({ ...slab(40), fromC: 65, placeC: 10, medium: 'cold' })[1]).toBe(Infinity);
  });
});
