import { HOUR_S } from '../clock/spans.js';
import { InputError } from '../inputError.js';
import type { Section } from '../section/section.js';
import { bathCore, bathHeatsS, withBath } from './bathCore.js';
import { lethality } from '../safety/lethality.js';

const round: Section = { shape: 'round', diameterMm: 100 };
const read = (...pairs: [hours: number, C: number][]) => pairs.map(([hours, C]) => ({ s: hours * HOUR_S, C }));
const proven = (reads: { s: number; C: number }[], section = round) => bathCore({ section, reads });

/** Zeros of J0 and J1 at them, from tables: what is left on the axis of a cylinder [P: Carslaw and Jaeger]. */
const J0 = [
  [2.404825558, 0.519147497],
  [5.52007811, -0.340264806],
] as const;
const cylinderLeft = (fourier: number) => J0.reduce((sum, [root, j1]) => sum + (2 / (root * j1)) * Math.exp(-root * root * fourier), 0);

describe('bathCore', () => {
  test('a round of 10 cm takes about eight hours, longer than one that is a tenth thicker with its surface held [P: Carslaw and Jaeger]', () => {
    const hours = bathHeatsS({ section: round, bathC: 60 }) / HOUR_S;
    // docs/science.md, “Safe by temperature”: eight hours.
    expect(hours).toBeGreaterThan(7.2);
    expect(hours).toBeLessThan(8.8);
    const left = cylinderLeft((1.1e-7 * hours * HOUR_S) / 0.055 ** 2);
    expect(60 - 56 * left).toBeGreaterThan(59.5);
  });

  test('read at its start and at its end, both hot enough, it proves the time between, less the time that it heats', () => {
    const core = proven(read([0, 61], [11, 60]));
    expect(core[0]?.s).toBe(bathHeatsS({ section: round, bathC: 60 }));
    expect(core.at(-1)).toEqual({ s: 11 * HOUR_S, C: 59.5 });
    expect(core.every(({ C }) => C === 59.5)).toBe(true);
    expect(lethality(core, { section: round, doubtC: 0.5 }).reachedAtS).not.toBeNull();
  });

  test('one reading proves nothing, nor two that lie further apart than twelve hours, nor a bath under 55 °C, nor too short a time', () => {
    expect(proven(read([0, 61]))).toEqual([]);
    expect(proven(read([0, 61], [12.5, 61]))).toEqual([]);
    expect(proven(read([0, 54], [11, 54]))).toEqual([]);
    expect(proven(read([0, 61], [5, 61]))).toEqual([]);
    expect(proven([])).toEqual([]);
  });

  test('a bath that was cold between begins anew: the time before it does not count', () => {
    expect(proven(read([0, 61], [5, 40], [6, 61], [11, 61]))).toEqual([]);
    expect(proven(read([0, 61], [5, 40], [6, 61], [16, 61]))[0]?.s).toBeGreaterThan(13 * HOUR_S);
  });

  test('of several readings the coldest counts; a third keeps a long bath together', () => {
    expect(new Set(proven(read([0, 64], [6, 58], [14, 63])).map(({ C }) => C))).toEqual(new Set([57.5]));
    expect(proven(read([0, 61], [10, 61], [20, 61])).at(-1)?.s).toBe(20 * HOUR_S);
  });

  test('no order or number of cold readings makes it prove more', () => {
    const most = proven(read([0, 61], [11, 61])).length;
    for (let hours = 0.5; hours < 11; hours += 0.5)
      for (const C of [4, 40, 54.9, 57, 60]) expect(proven(read([0, 61], [hours, C], [11, 61])).length).toBeLessThanOrEqual(most);
  });

  test('a core that was read far under it belies the whole of it; one that agrees stands beside it', () => {
    const bath = proven(read([0, 61], [11, 60]));
    expect(withBath(read([0, 4], [10, 52]), bath)).toEqual(read([0, 4], [10, 52]));
    expect(withBath(read([0, 4], [10, 59.6]), bath).length).toBe(bath.length + 2);
    expect(withBath(read([0, 4]), [])).toEqual(read([0, 4]));
  });

  test('what cannot be is refused', () => {
    expect(() => proven([{ s: 0, C: Number.NaN }])).toThrow(InputError);
  });
});
