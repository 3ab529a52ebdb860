import type { Section } from '../section/section.js';
import { chillForecastH } from './chillForecast.js';

const round = (diameterMm: number): Section => ({ shape: 'round', diameterMm });
const slab = (thicknessMm: number): Section => ({ shape: 'slab', thicknessMm });
const inCold = (section: Section) => chillForecastH({ section, fromC: 65, placeC: 4, medium: 'cold' });
const inIce = (section: Section) => chillForecastH({ section, fromC: 65, placeC: 1, medium: 'water' });

describe('chillForecastH', () => {
  // What a household refrigerator at 4 °C does, 130 to 80 and 80 to 45 °F, h: docs/science.md, “Heat”, by a film of 8 W/m²K.
  test.each<[string, Section, number, number]>([
    ['belly of 40 mm', slab(40), 2.2, 5.3],
    ['loin of 90 mm', round(90), 2.6, 6.4],
    ['brisket of 60 mm', slab(60), 3.4, 8.3],
    ['boned ham of 130 mm', round(130), 4.2, 10],
  ])('a %s in a household refrigerator', (_, section, first, second) => {
    const [firstH, secondH] = inCold(section);
    expect(firstH / first).toBeGreaterThan(0.93);
    expect(firstH / first).toBeLessThan(1.1);
    expect(secondH / second).toBeGreaterThan(0.93);
    expect(secondH / second).toBeLessThan(1.1);
  });

  test('a whole ham misses the gates in a refrigerator, a boned one lies on their edge, ice water brings both', () => {
    const [first, second] = inCold(round(180));
    expect(first).toBeGreaterThan(5);
    expect(second).toBeGreaterThan(10);
    expect(inIce(round(130))[0]).toBeLessThan(5);
    expect(inIce(round(130))[1]).toBeLessThan(10);
  });

  test('where the place is warmer than the gate it never comes there', () => {
    expect(chillForecastH({ section: slab(40), fromC: 65, placeC: 10, medium: 'cold' })[1]).toBe(Infinity);
  });
});
