import { cookOfDevice, type WatchedBatch } from './houseCook.js';
import { SimulatedCook } from './simulatedCook.js';
import { SimulatedRefrigerator } from './simulatedRefrigerator.js';
import { SimulatedScale } from './simulatedScale.js';
import { posted } from './thermometer.js';

describe('a simulated scale', () => {
  test('swings in on a load, then shows it to its step, stable; nought after a tare; below nought when it is taken off', () => {
    const scale = new SimulatedScale({ seed: 3, stepG: 5 });
    scale.load(2838);
    expect(scale.next(0.3).stable).toBe(false);
    const settled = Array.from({ length: 40 }, () => scale.next(0.3)).at(-1);
    expect(settled).toEqual({ g: 2840, stable: true });
    scale.tare();
    expect(Math.abs(scale.next(1).g)).toBe(0);
    scale.load(0);
    const off = Array.from({ length: 40 }, () => scale.next(0.3)).at(-1);
    expect(off?.stable).toBe(true);
    expect(off?.g).toBeCloseTo(-2840, 0);
  });
});

describe('a simulated refrigerator', () => {
  const air = (options: { failsS?: number }, hours: number) => {
    const refrigerator = new SimulatedRefrigerator({ seed: 5, ...options });
    return Array.from({ length: hours * 60 }, () => refrigerator.next(60)).flatMap(({ s, C }) =>
      C.flatMap((value) => (value === null ? [] : [{ s, C: value }])),
    );
  };

  test('keeps between 1 and 5 °C for days, doors and all', () => {
    const read = air({}, 72);
    expect(Math.min(...read.map(({ C }) => C))).toBeGreaterThan(1);
    expect(Math.max(...read.map(({ C }) => C))).toBeLessThan(5);
  });

  test('warms up once its compressor fails, and stays so', () => {
    const read = air({ failsS: 24 * 3600 }, 36);
    expect(Math.max(...read.filter(({ s }) => s < 24 * 3600).map(({ C }) => C))).toBeLessThan(5);
    expect(Math.min(...read.filter(({ s }) => s > 30 * 3600).map(({ C }) => C))).toBeGreaterThan(8);
  });
});

describe('a simulated cook', () => {
  const options = { seed: 9, diameterMm: 90, coreC: 5, startC: 85, settings: [{ fromS: 0, C: 90 }], doorsS: [3600], shallow: 0 };

  test('the same seed reads the same, another one not', () => {
    const read = (seed: number) => {
      const cook = new SimulatedCook({ ...options, seed });
      return Array.from({ length: 200 }, () => cook.next(60).C.join());
    };
    expect(read(9)).toEqual(read(9));
    expect(read(9)).not.toEqual(read(10));
  });

  test('a shallow probe reads warmer than the middle; an open door chills the chamber; silence is nothing', () => {
    const shallow = new SimulatedCook({ ...options, shallow: 0.5, silent: { fromS: 7200, toS: 7800 } });
    const early = Array.from({ length: 110 }, () => shallow.next(60));
    expect((early[109]?.C[1] ?? 0) - shallow.trueCoreC()).toBeGreaterThan(1);
    const readings = [...early, ...Array.from({ length: 30 }, () => shallow.next(60))];
    const chamber = readings.map(({ C }) => C[0] ?? Number.NaN);
    expect(chamber[61]).toBeLessThan((chamber[58] ?? 0) - 15);
    expect(readings.filter(({ s }) => s >= 7200 && s < 7800).every(({ C }) => C.every((value) => value === null))).toBe(true);
    expect(posted(readings.slice(119, 125), 0)).toEqual([]);
  });
});

describe('the cook that a device hangs in', () => {
  const batch: WatchedBatch = {
    id: 'b',
    design: { pieces: [{ section: { shape: 'round', diameterMm: 120 } }] },
    process: { program: [{ chamberC: 95, untilMin: 300 }, { chamberC: 120 }] },
    entries: [
      { kind: 'done', stepId: 'meat-on', at: '2026-10-05T08:00:00Z', values: { coreC: 6 } },
      { kind: 'pit', at: '2026-10-05T08:01:00Z', event: { act: 'probes', probes: [{ device: 'd', channel: 1 }] } },
    ],
  };

  test('begins when the meat went on, is raised when that was logged, and is over in the cold', () => {
    const found = cookOfDevice([batch], 'd');
    expect(found).toMatchObject({ onMs: Date.parse('2026-10-05T08:00:00Z'), options: { diameterMm: 120, coreC: 6 } });
    expect(found?.options.settings).toEqual([
      { fromS: 0, C: 95 },
      { fromS: 18_000, C: 120 },
    ]);
    const raised = { ...batch, entries: [...batch.entries, { kind: 'done', stepId: 'raise', at: '2026-10-05T12:00:00Z' }] };
    expect(cookOfDevice([raised], 'd')?.options.settings[1]).toEqual({ fromS: 14_400, C: 120 });
    expect(cookOfDevice([{ ...batch, entries: [...batch.entries, { kind: 'done', stepId: 'into-cold', at: '2026-10-05T18:00:00Z' }] }], 'd')).toBeNull();
    expect(cookOfDevice([batch], 'another')).toBeNull();
  });
});
