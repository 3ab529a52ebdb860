import { exercise, EXERCISES, isRight, slipOf } from './exercises';
import { GUIDE_PLACES, guidePlaceOf } from '../../reader/words/guidePlaces';
import { NUMBERS } from './numbers';

const lots = (seed: number): [number, number, number] =>
  [0, 1, 2].map((i) => (Math.sin(seed * 12.9898 + i * 78.233) * 43758.5453) % 1).map(Math.abs) as [number, number, number];

const METRIC = { system: 'metric', temperature: 'C' } as const;

describe('exercises', () => {
  // Worked by hand with the lowest numbers of each kind.
  it.each([
    [0, 5.95],
    [1, 46.88],
    [2, 4.488],
    [3, 3.959],
    [4, 9.091],
    [5, 1161.9],
    [6, 71],
  ])('kind %d with its lowest numbers is %d', (kind, answer) => {
    expect(Math.abs(exercise(kind, [0, 0, 0], METRIC).answer / answer - 1)).toBeLessThan(0.002);
  });

  it('has a working, a place in the Guide, an answer that is right and one that is not, whatever the lots', () => {
    for (let seed = 0; seed < 200; seed += 1) {
      const one = exercise(seed, lots(seed), METRIC);
      expect(Number.isFinite(one.answer)).toBe(true);
      expect(one.answer).toBeGreaterThan(0);
      expect(GUIDE_PLACES).toContain(one.place);
      expect(one.working).not.toMatch(/NaN|undefined/);
      expect(isRight(one, Number(one.answer.toFixed(1)))).toBe(true);
      expect(isRight(one, one.answer * 1.3)).toBe(false);
    }
    expect(new Set(Array.from({ length: EXERCISES }, (_, i) => exercise(i, [0.5, 0.5, 0.5], METRIC).asks)).size).toBe(EXERCISES);
  });

  it('names the usual slips', () => {
    const ppm = exercise(1, [0.3, 0.3, 0.3], METRIC);
    expect(slipOf(ppm, ppm.answer * 10)).toMatch(/point/);
    expect(slipOf(ppm, ppm.answer / 100)).toMatch(/percent/);
    expect(slipOf(ppm, ppm.answer / 0.0625)).toMatch(/sixteenth/);
    expect(slipOf(ppm, ppm.answer * 1.4)).toBeNull();
  });
});

describe('paragraphs', () => {
  it('there is one for every place that a screen points to, and none twice', () => {
    expect(NUMBERS.map(({ place }) => place).sort()).toEqual([...GUIDE_PLACES].sort());
  });

  it.each([
    'strength-brine',
    'strength-pickle',
    'salt-even',
    'pump-A',
    'yield',
    'ice',
    'hold-down',
    'cover',
    'pump-grams',
    'per-site',
    'pump-actual',
    'nitrite-pumped',
    'nitrite-pick-up',
    'nitrite-even',
    'nitrite-dry',
  ])('the figure %s has one', (id) => {
    expect(guidePlaceOf(id)).not.toBeNull();
  });
});
