import { asWritten } from '../say/asWritten.js';
import fc from 'fast-check';
import { comeUp } from '../safety/comeUpHours.js';
import type { TimedReading } from '../safety/coreReadings.js';
import { every } from '../testing/cooked.js';
import { chamberAlarms } from './chamberAlarms.js';
import { coreAlarms, silence, type WatchedCore } from './coreAlarms.js';
import { countedCore } from './countedCore.js';

const set80 = () => ({ C: 80, sinceS: 0 });
const kinds = (alarms: { kind: string }[]) => alarms.map(({ kind }) => kind);

describe('chamber alarms on constructed curves', () => {
  test('a steady chamber, and one that swings by ten degrees, say nothing', () => {
    expect(
      chamberAlarms(
        every(0, 18_000, () => 80),
        set80,
      ),
    ).toEqual([]);
    expect(
      chamberAlarms(
        every(0, 18_000, (s) => 80 + 10 * Math.sin(s / 600)),
        set80,
      ),
    ).toEqual([]);
  });

  test('a fall of 15 °C within four minutes is a door, of 14 none; it ends when half of it is back', () => {
    const door = (fall: number) => every(0, 9000, (s) => (s >= 6000 && s < 6300 ? 80 - fall : 80));
    expect(kinds(chamberAlarms(door(14.9), set80))).toEqual([]);
    const [alarm, ...more] = chamberAlarms(door(20), set80);
    expect(more).toEqual([]);
    expect(alarm).toMatchObject({ kind: 'door', sinceS: 6000, untilS: 6300 });
  });

  test('a chamber that sinks steadily and is under its program has no fuel; the same fall down to the program is none', () => {
    const sinks = (from: number) => every(0, 12_000, (s) => from - Math.max(0, s - 6000) * (30 / 3600));
    expect(kinds(chamberAlarms(sinks(80), set80))).toContain('fuel-out');
    expect(
      kinds(
        chamberAlarms(
          every(0, 9000, (s) => 110 - Math.max(0, s - 6000) * (30 / 3600)),
          set80,
        ),
      ),
    ).not.toContain('fuel-out');
  });

  test('a new fire ends it', () => {
    const refuelled = every(0, 16_000, (s) => (s < 6000 ? 80 : s < 10_000 ? 80 - (s - 6000) * (30 / 3600) : Math.min(80, 46.7 + (s - 10_000) / 60)));
    const out = chamberAlarms(refuelled, set80).find(({ kind }) => kind === 'fuel-out');
    expect(out?.untilS).toBeGreaterThan(10_000);
    expect(out?.untilS).toBeLessThan(11_000);
  });

  test('12 °C beside the program for a quarter of an hour is drift; less, or shorter, or while it still warms up, is none', () => {
    const off = (by: number, forS: number) => every(0, 12_000, (s) => (s >= 6000 && s < 6000 + forS ? 80 - by : 80), 30);
    expect(kinds(chamberAlarms(off(11.9, 3000), set80))).not.toContain('drift');
    expect(kinds(chamberAlarms(off(12.5, 870), set80))).not.toContain('drift');
    expect(kinds(chamberAlarms(off(12.5, 1200), set80))).toContain('drift');
    expect(
      kinds(
        chamberAlarms(
          every(0, 2400, () => 50),
          set80,
        ),
      ),
    ).not.toContain('drift');
  });
});

describe('core alarms on constructed curves', () => {
  const core = (counted: TimedReading[], more: Partial<WatchedCore> = {}): WatchedCore => ({
    piece: 'A',
    counted,
    targetC: 64,
    readsHighC: 0,
    checkedS: null,
    wrappedS: null,
    comeUp: comeUp(counted, null),
    ...more,
  });
  const rise = (C: (s: number) => number, to = 30_000) => core(every(0, to, C));

  test('three degrees before its target, and at it', () => {
    const alarms = coreAlarms(
      rise((s) => 5 + s / 300, 18_000),
      () => 100,
    );
    expect(alarms.find(({ kind }) => kind === 'near')).toMatchObject({ sinceS: 16_800, untilS: 17_700 });
    expect(alarms.find(({ kind }) => kind === 'reached')).toMatchObject({ sinceS: 17_700, untilS: null });
    expect(
      kinds(
        coreAlarms(
          rise((s) => 5 + s / 300, 16_700),
          () => 100,
        ),
      ),
    ).toEqual([]);
  });

  test('a core that stands for three quarters of an hour under a hot chamber stalls; it ends when it rises again', () => {
    const stalling = rise((s) => (s < 12_000 ? 5 + s / 200 : s < 18_000 ? 65 : 65 + (s - 18_000) / 300), 24_000);
    const [stall] = coreAlarms({ ...stalling, targetC: 93 }, () => 120);
    expect(stall).toMatchObject({ kind: 'stall', subject: 'A' });
    expect(stall?.sinceS).toBeGreaterThan(11_000);
    expect(stall?.sinceS).toBeLessThan(13_000);
    expect(stall?.untilS).toBeGreaterThan(18_000);
    expect(stall?.order.message).toMatch(/wrap it/);
  });

  test('no stall near the chamber’s own temperature, nor below the range of it', () => {
    expect(kinds(coreAlarms({ ...rise(() => 65, 9000), targetC: 93 }, () => 75))).toEqual([]);
    expect(kinds(coreAlarms({ ...rise(() => 40, 9000), targetC: 93 }, () => 120))).not.toContain('stall');
  });

  test('the come-up clock: just under six hours is news to nobody, just over is a danger', () => {
    // From 50 to 130 °F exactly, read each minute.
    const slow = (hours: number) => rise((s) => 10 + ((130 - 50) / 1.8) * (s / (hours * 3600)), hours * 3600 + 600);
    expect(kinds(coreAlarms(slow(5.95), () => 100))).not.toContain('come-up');
    expect(kinds(coreAlarms(slow(6.1), () => 100))).toContain('come-up');
  });

  test('silence: five minutes without a word from a probe that spoke each minute', () => {
    const readings = every(0, 3600, () => 50);
    expect(silence('A', asWritten('The probe'), readings, 3600 + 239)).toEqual([]);
    expect(kinds(silence('A', asWritten('The probe'), readings, 3600 + 241))).toEqual(['no-data']);
    expect(silence('A', asWritten('The probe'), [], 9000)).toEqual([]);
    // One that speaks each ten minutes may take half an hour.
    expect(
      silence(
        'A',
        asWritten('The probe'),
        every(0, 7200, () => 50, 600),
        7200 + 1700,
      ),
    ).toEqual([]);
  });
});

describe('a probe that reads high', () => {
  const read = every(0, 7200, (s) => 20 + s / 200);

  test('what a check found too high is taken off what was read before it and until the next one; a good check lets it be', () => {
    const counted = countedCore(read, [{ s: 3600, probeC: 38, lowestC: 34 }], 5);
    expect(counted.find(({ s }) => s === 3000)?.C).toBeCloseTo(31, 6);
    expect(counted.find(({ s }) => s === 6000)?.C).toBeCloseTo(46, 6);
    const again = countedCore(
      read,
      [
        { s: 3600, probeC: 38, lowestC: 34 },
        { s: 5400, probeC: 47, lowestC: 46.5 },
      ],
      5,
    );
    expect(again.find(({ s }) => s === 4800)?.C).toBeCloseTo(40, 6);
    expect(again.find(({ s }) => s === 6000)?.C).toBe(50);
  });

  test('a probe that reads low is believed: the lowest decides, and nothing is ever counted warmer than read', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            s: fc.integer({ min: 0, max: 7200 }),
            probeC: fc.double({ min: 0, max: 90, noNaN: true }),
            lowestC: fc.double({ min: 0, max: 90, noNaN: true }),
          }),
          { maxLength: 5 },
        ),
        (checks) => {
          const sorted = [...checks].sort((a, b) => a.s - b.s);
          for (const [i, { C }] of countedCore(read, sorted, 5).entries()) expect(C).toBeLessThanOrEqual(read[i]?.C ?? 0);
        },
      ),
    );
  });
});
