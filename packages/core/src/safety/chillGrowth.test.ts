import { InputError } from '../inputError.js';
import { chillGrowth, growthWords, type ChillGrowthParams } from './chillGrowth.js';
import { COOLING_RULES, type CoolingRule } from './coolingGates.js';

const MINUTES_S = 300;
/** A core that falls from gate to gate in just the time that is allowed, or in so many times it, read each five minutes. */
function course(rule: CoolingRule, times = 1): ChillGrowthParams['readings'] {
  const readings: { s: number; C: number }[] = [];
  let s = 0;
  for (const { from, to, limitS } of COOLING_RULES[rule]) {
    const endS = s + limitS * times;
    const startS = s;
    for (; s < endS; s += MINUTES_S) readings.push({ s, C: 2 + (from - 2) * ((to - 2) / (from - 2)) ** ((s - startS) / (endS - startS)) });
  }
  return readings;
}
const CURED = { saltPercent: 2.2, nitritePpm: 130 };
const FRESH = { saltPercent: 0, nitritePpm: 0 };

describe('chillGrowth', () => {
  // [P: FSIS Appendix B, revised: each option keeps Clostridium perfringens within one log; times from memory]
  test.each<[CoolingRule, typeof CURED]>([
    ['cured', CURED],
    ['notCured', FRESH],
  ])('a course that just keeps the gates of %s meat grows less than one log', (rule, guard) => {
    expect(chillGrowth({ readings: course(rule), ...guard }).log10).toBeLessThan(1);
  });

  test.each<[CoolingRule, typeof CURED]>([
    ['cured', CURED],
    ['notCured', FRESH],
  ])('twice the time of the gates of %s meat is over one log', (rule, guard) => {
    expect(chillGrowth({ readings: course(rule, 2), ...guard }).log10).toBeGreaterThan(1);
  });

  test('without cure the gates of cured meat let several logs grow: four to six [P: cooling trials of cooked uncured meat over 15 h; from memory]', () => {
    const { log10 } = chillGrowth({ readings: course('cured'), ...FRESH });
    expect(log10).toBeGreaterThan(4);
    expect(log10).toBeLessThanOrEqual(6);
  });

  test('nothing grows in the heat or in the cold; more salt and more nitrite let less grow', () => {
    const held = (C: number) => chillGrowth({ readings: [{ s: 0, C }, { s: 36_000, C }], ...FRESH }).log10; // prettier-ignore
    expect(held(55)).toBeCloseTo(0, 9);
    expect(held(8)).toBeCloseTo(0, 9);
    expect(held(44)).toBe(6);
    const readings = course('cured', 1.5);
    const grown = (saltPercent: number, nitritePpm: number) => chillGrowth({ readings, saltPercent, nitritePpm }).log10;
    expect(grown(2.5, 130)).toBeLessThan(grown(1.8, 130));
    expect(grown(2.2, 150)).toBeLessThan(grown(2.2, 60));
  });

  test('the fewer readings the more is left open, and never less than with all of them', () => {
    const all = course('cured', 1.2);
    const few = all.filter((_, i) => i % 24 === 0);
    const [dense, sparse] = [all, few].map((readings) => chillGrowth({ readings, ...CURED }));
    expect(sparse?.mostLog10).toBeGreaterThan(dense?.mostLog10 ?? Infinity);
    expect(dense?.mostLog10).toBeGreaterThan(dense?.log10 ?? Infinity);
    expect(Math.abs((sparse?.log10 ?? 0) - (dense?.log10 ?? 0))).toBeLessThan(0.25);
  });

  test('what lies between the end of the heat and the first reading counts as well', () => {
    const readings = [{ s: 6 * 3600, C: 40 }, { s: 7 * 3600, C: 38 }]; // prettier-ignore
    const late = chillGrowth({ readings, ...FRESH });
    const known = chillGrowth({ readings, heatOffS: 0, ...FRESH });
    expect(known.log10).toBeGreaterThan(late.log10 + 1);
    expect(chillGrowth({ readings, heatOffS: 6 * 3600, ...FRESH })).toEqual(late);
  });

  test('one reading proves nothing and grows nothing; none neither', () => {
    expect(chillGrowth({ readings: [{ s: 0, C: 44 }], ...FRESH })).toEqual({ log10: 0, mostLog10: 0 });
    expect(chillGrowth({ readings: [], ...FRESH })).toEqual({ log10: 0, mostLog10: 0 });
  });

  test('to be thrown away only over one log', () => {
    expect(growthWords({ log10: 0.3, mostLog10: 0.8 }).message).toMatch(/0\.3 log .* 0\.8 at the most.*Decide with/);
    expect(growthWords({ log10: 0.6, mostLog10: 1.4 }).message).toMatch(/not shown/);
    expect(growthWords({ log10: 0.6, mostLog10: 1.4 }).message).not.toMatch(/hrow/);
    expect(growthWords({ log10: 1.2, mostLog10: 2.4 }).message).toMatch(/Throw it away/);
  });

  test.each([
    [{ saltPercent: Number.NaN }, 'saltPercent'],
    [{ nitritePpm: -1 }, 'nitritePpm'],
    [{ readings: [{ s: 0, C: 900 }] }, 'readings.0.C'],
  ])('%j is refused', (change, field) => {
    const work = () => chillGrowth({ readings: [], ...CURED, ...change });
    expect(work).toThrow(InputError);
    expect(work).toThrow(expect.objectContaining({ field }) as Error);
  });
});
