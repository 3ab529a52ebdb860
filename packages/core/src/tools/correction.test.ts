import { airPressureHpa, boilingPointC } from './boilingPoint.js';
import { checkAt, checkFaults, checkPoints, corrected, trueReading } from './correction.js';
import { scaleSteps, type ToolCheck, type ToolReading, type ToolSize } from './tool.js';

const thermometer: ToolSize = { kind: 'thermometer', stepC: 0.1 };
const salometer: ToolSize = { kind: 'hydrometer', scale: 'salometer', calibrationC: 15.6 };
const gravity: ToolSize = { kind: 'hydrometer', scale: 'sg60F', calibrationC: 15.6 };
const check = (at: string, reading: ToolReading): ToolCheck => ({ id: at, by: 'Wren', at, reading });

describe('where water boils', () => {
  // Tables of boiling point by altitude in food-safety handbooks; values from memory.
  it.each([
    [0, 100],
    [500, 98.3],
    [1000, 96.7],
    [1500, 95],
    [2000, 93.4],
    [3000, 90],
  ])('at %d m water boils at %d °C within a quarter of a degree', (m, C) => {
    expect(Math.abs(boilingPointC(m) - C)).toBeLessThan(0.25);
  });

  // ISO 2533, standard atmosphere; values from memory.
  it.each([
    [0, 1013.25],
    [1000, 898.7],
    [2000, 795],
    [3000, 701.1],
  ])('at %d m the air presses with %d hPa', (m, hPa) => {
    expect(Math.abs(airPressureHpa(m) - hPa)).toBeLessThan(0.6);
  });

  it('is asked only where people live', () => {
    expect(() => boilingPointC(9000)).toThrow(/altitudeM/);
    expect(() => boilingPointC(Number.NaN)).toThrow(/altitudeM/);
  });
});

describe('a thermometer that is off', () => {
  it('is moved by one point and turned by two', () => {
    const ice = checkPoints(thermometer, { kind: 'thermometer', iceC: 0.8 });
    expect(corrected(ice, 63.8)).toBeCloseTo(63, 9);
    const both = checkPoints(thermometer, { kind: 'thermometer', iceC: 1, boilC: 96, altitudeM: 1500 });
    expect(corrected(both, 1)).toBeCloseTo(0, 9);
    expect(corrected(both, 96)).toBeCloseTo(boilingPointC(1500), 9);
    expect(corrected(both, 48.5)).toBeCloseTo(boilingPointC(1500) / 2, 9);
    expect(corrected([], 4.2)).toBe(4.2);
  });

  it('is corrected from its check on, by the last one before', () => {
    const checks = [check('2026-11-20T08:00:00Z', { kind: 'thermometer', iceC: -0.5 }), check('2026-11-01T08:00:00Z', { kind: 'thermometer', iceC: 0.6 })];
    const read = (at: string) => trueReading(thermometer, checks, 10, Date.parse(at));
    expect(read('2026-10-31T08:00:00Z')).toBe(10);
    expect(read('2026-11-01T08:00:00Z')).toBeCloseTo(9.4, 9);
    expect(read('2026-11-25T08:00:00Z')).toBeCloseTo(10.5, 9);
    expect(checkAt(checks, Date.parse('2026-11-10T00:00:00Z'))?.at).toBe('2026-11-01T08:00:00Z');
  });

  it.each<[string, ToolReading, RegExp]>([
    ['neither ice nor boiling water', { kind: 'thermometer' }, /ice and water/],
    ['no height', { kind: 'thermometer', boilC: 97 }, /how high/],
    ['a height in feet', { kind: 'thermometer', boilC: 97, altitudeM: 8200 }, /how high/],
    ['ice at 4 °C', { kind: 'thermometer', iceC: 4 }, /4 °C off 0 °C/],
    ['100 °C at 2000 m', { kind: 'thermometer', iceC: 0, boilC: 100, altitudeM: 2000 }, /off 93/],
    ['no number', { kind: 'thermometer', iceC: Number.NaN }, /must be a number/],
    ['water for a hydrometer', { kind: 'hydrometer', waterReads: 1, waterC: 15 }, /not how this tool/],
  ])('%s is refused', (_what, reading, message) => {
    expect(checkFaults(thermometer, reading)[0]?.message).toMatch(message);
  });

  it('what may be kept has no fault', () => {
    expect(checkFaults(thermometer, { kind: 'thermometer', iceC: 0.3, boilC: 95.6, altitudeM: 1500 })).toEqual([]);
  });
});

describe('a hydrometer in plain water', () => {
  it('should read nothing at its own temperature, and is moved by what it reads', () => {
    expect(checkPoints(salometer, { kind: 'hydrometer', waterReads: 2, waterC: 15.6 })[0]?.should).toBeCloseTo(0, 1);
    const moved = trueReading(gravity, [check('2026-11-01T08:00:00Z', { kind: 'hydrometer', waterReads: 1.002, waterC: 15.6 })], 1.1, Date.parse('2026-11-02'));
    expect(moved).toBeCloseTo(1.098, 4);
  });

  it('warmer water is thinner: it should float deeper there', () => {
    expect(checkPoints(gravity, { kind: 'hydrometer', waterReads: 1, waterC: 18 })[0]?.should).toBeLessThan(0.9998);
  });

  it('water far from its temperature, or a reading far off, is refused', () => {
    expect(checkFaults(gravity, { kind: 'hydrometer', waterReads: 1, waterC: 40 })[0]?.field).toBe('waterC');
    expect(checkFaults(gravity, { kind: 'hydrometer', waterReads: 1.02, waterC: 15.6 })[0]?.field).toBe('waterReads');
    expect(checkFaults(salometer, { kind: 'hydrometer', waterReads: Number.NaN, waterC: 15.6 })[0]?.field).toBe('waterReads');
  });
});

describe('scales', () => {
  const scale = (stepG: number, mostG: number, putAway = false) => ({ size: { kind: 'scale', stepG, mostG } as const, putAway });
  it('the finest weighs the cure, the one that carries most weighs the rest', () => {
    expect(scaleSteps([scale(0.1, 500), scale(5, 30_000), scale(1, 5000), scale(0.01, 100, true)])).toEqual({ cureScaleStepG: 0.1, meatScaleStepG: 5 });
    expect(scaleSteps([{ size: thermometer, putAway: false }])).toBeNull();
  });
});
