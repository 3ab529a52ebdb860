import { HOUR_MS } from '../clock/spans.js';
import { forecastCore, type ForecastCoreParams } from '../heat/forecastCore.js';
import { checkEntry } from '../check/checkEntry.js';
import type { LogEntry } from '../log/logEntry.js';
import { processFor } from '../recipes/processes.js';
import { replay } from '../batch/replay.js';
import { every, ON_H, onTheFire } from '../testing/cooked.js';
import { loinFrom } from '../testing/loin.js';
import type { TimedReading } from '../safety/coreReadings.js';
import { chillWatch } from './chillWatch.js';
import { pitWatch } from './pitWatch.js';
import { safeByTime, type SafetyClock } from './safeByTime.js';

const START = Date.parse('2026-10-05T08:00:00Z');
const loin = loinFrom(START);
const { done, entries, pit, hung, channel } = onTheFire(START);
const process = processFor('canadian-bacon');
const ms = (hours: number) => START + hours * HOUR_MS;

function clocks(core: TimedReading[], hours: number, more: LogEntry[] = []): Record<SafetyClock['rule'], SafetyClock> {
  const state = replay(loin([...entries, hung, ...more]), ms(ON_H + hours));
  const watch = pitWatch(state, process, [channel(2, core)], ms(ON_H + hours));
  const piece = watch?.pieces[0];
  if (watch === null || piece === undefined) throw new Error('a piece on the fire');
  return Object.fromEntries(safeByTime(watch, piece, hours * 3600).map((clock) => [clock.rule, clock])) as Record<SafetyClock['rule'], SafetyClock>;
}

describe('safe by time', () => {
  test('a loin held at 60 °C (140 °F) is done by the table, and 63 °C was never there', () => {
    // Five hours to 60 °C, then held. Value of the table from memory: 12 min at 140 °F.
    const core = every(0, 21_600, (s) => Math.min(60, 6 + (54 * s) / 18_000), 30);
    const { lethality, rest, 'come-up': comeUp } = clocks(core, 6);
    expect(lethality.state).toBe('met');
    expect(lethality.atS ?? 0).toBeGreaterThan(18_000 - 1800);
    // A thermometer that nobody held against ice may be 1.5 °C off: 58.5 °C takes 21 min at the most.
    expect(lethality.atS ?? Infinity).toBeLessThan(18_000 + 1260);
    expect(rest).toMatchObject({ state: 'notBegun', value: 0 });
    // From 50 to 130 °F at 10.8 °C an hour: 80 / 1.8 / 10.8 h,
    expect(comeUp.state).toBe('met');
    // and by the readings at most a minute or three more.
    expect(comeUp.value / 3600).toBeGreaterThanOrEqual(80 / 1.8 / 10.8);
    expect(comeUp.value / 3600).toBeLessThan(80 / 1.8 / 10.8 + 0.1);
  });

  test('63 °C counts for three minutes while it is read; a dip begins it anew, a gap is not credited', () => {
    // Read with a thermometer that nobody held against ice: 1.5 °C of doubt.
    const rise = every(0, 3600, (s) => 6 + (58 * s) / 3600, 30);
    const at63 = (forS: number) => clocks([...rise, ...every(3630, 3630 + forS, () => 64.5, 30)], 2).rest;
    expect(at63(150)).toMatchObject({ state: 'running', value: 150 });
    expect(at63(180)).toMatchObject({ state: 'met', atS: 3810 });
    const dipped = [...rise, ...every(3630, 3750, () => 64.5, 30), { s: 3780, C: 64 }, ...every(3810, 3930, () => 64.5, 30)];
    expect(clocks(dipped, 2).rest).toMatchObject({ state: 'running', value: 120 });
    expect(clocks([...rise, ...every(3630, 3690, () => 65, 30), { s: 6600, C: 65 }], 2).rest).toMatchObject({ state: 'running', value: 60 });
  });

  test('off the fire a check that found 63 °C in its lowest place rests by the clock until it is in the cold', () => {
    const core = every(0, 14_400, (s) => 6 + (s * 59) / 14_400);
    const check = done(12, 'core', ON_H + 4, { probeC: 65, instant1C: 65, instant2C: 64.5, instant3C: 64.7 });
    const before = [done(11, 'raise', ON_H + 2, { chamberC: 80, coreC: 40 }), check];
    expect(clocks(core, 4.04, before).rest.state).toBe('running');
    expect(clocks(core, 4.06, before).rest).toMatchObject({ state: 'met', atS: 4 * 3600 + 180 });
  });

  test('a slow come-up fails at six hours and not a minute sooner; a cold smoke shows its hours in the warm', () => {
    const slow = (hours: number) => every(0, hours * 3600, (s) => 10.01 + (s / 3600) * 6);
    expect(clocks(slow(5.9), 5.9)['come-up'].state).toBe('running');
    // The core came out of the cold: the hours begin with the first reading in the warm.
    const failed = clocks(slow(6.1), 6.1)['come-up'];
    expect(failed.state).toBe('failed');
    expect(failed.atS).toBeGreaterThanOrEqual(6 * 3600);
    expect(failed.atS).toBeLessThan(6 * 3600 + 180);
    expect(clocks(slow(2), 2)['cold-zone']).toBeUndefined();
  });

  test('what nobody read of a lethal hour is said, and not counted', () => {
    const rise = every(0, 3600, (s) => 6 + (51.5 * s) / 3600, 30);
    const { lethality } = clocks([...rise, ...every(3630, 4200, () => 57.5, 30), ...every(7800, 8400, () => 57.5, 30)], 3);
    expect(lethality.unreadS).toBe(3600);
    // 56 °C for certain is 132.8 °F: about an hour by the table; twice ten minutes are a third of it.
    expect(lethality.value).toBeGreaterThan(0.25);
    expect(lethality.value).toBeLessThan(0.45);
  });
});

describe('down through the gates', () => {
  const OFF_H = ON_H + 5;
  const off = [
    done(12, 'raise', ON_H + 2.5, { chamberC: 80, coreC: 40 }),
    done(13, 'core', OFF_H, { probeC: 65, instant1C: 64, instant2C: 65, instant3C: 64.4 }),
    done(14, 'into-cold', OFF_H + 0.5, { coreC: 62 }),
  ];
  /** a core that falls towards 2 °C, halving its distance every `half` hours, from 62 °C half an hour after it came off */
  const falls = (half: number, untilH: number) =>
    channel(
      2,
      every(5.5 * 3600, (5.5 + untilH) * 3600, (s) => 2 + 60 * 2 ** (-(s - 5.5 * 3600) / 3600 / half)),
    );
  const chillAt = (hours: number, half: number, more: LogEntry[] = []) => {
    const state = replay(loin([...entries, hung, ...off, ...more]), ms(OFF_H + 0.5 + hours));
    const channels = [falls(half, hours)];
    const now = ms(OFF_H + 0.5 + hours);
    return chillWatch(state, process, channels, pitWatch(state, process, channels, now), now);
  };

  test('the gates follow from dose and reach of the piece: cured to the middle, and with a day in the brine not', () => {
    const chill = chillAt(1, 2);
    expect(chill?.pieces[0]?.rule).toBe('cured');
    expect(chill?.ppm).toBeGreaterThan(100);
    expect(chill?.pieces[0]?.gates.map(({ limitS }) => limitS / 3600)).toEqual([5, 10]);
    const hasty = [...entries.filter((entry) => entry.kind !== 'done' || entry.stepId !== 'pull'), done(4, 'pull', 28, { 'pulledG:A': 2700 })];
    const state = replay(loin([...hasty, hung, ...off]), ms(OFF_H + 1));
    const short = chillWatch(state, process, [falls(2, 0.4)], null, ms(OFF_H + 1))?.pieces[0];
    expect(short?.rule).toBe('notCured');
    expect(short?.gates.map(({ limitS }) => limitS / 3600)).toEqual([1.5, 5]);
    expect(state.findings.map(({ code }) => code)).toContain('not-cured');
  });

  test('a core that halves every two hours passes; every six hours it fails the first gate, when its readings prove it and not before', () => {
    // log2(52.44 / 24.67) × 2 h is 2.18 h from 130 to 80 °F.
    const passed = chillAt(8, 2)?.pieces[0]?.gates[0];
    expect(passed?.state).toBe('pass');
    expect((passed?.tookS ?? 0) / 3600).toBeGreaterThan(2.1);
    expect((passed?.tookS ?? 0) / 3600).toBeLessThan(2.5);
    // 60 to 52.44 °C takes log2(60 / 52.44) × 6 = 1.17 h, then five are allowed; the thermometer's doubt makes it a little later.
    expect(chillAt(6.1, 6)?.pieces[0]?.gate?.state).toBe('running');
    expect(chillAt(6.7, 6)?.pieces[0]?.gate?.state).toBe('fail');
  });

  test('somebody is called three quarters of an hour before, and again when the time is over; a decision is asked for and kept', () => {
    expect(chillAt(4.8, 6)?.alarms).toEqual([]);
    expect(chillAt(5.6, 6)?.alarms).toMatchObject([{ kind: 'gate', level: 'caution', key: 'gate-1:A', heard: null }]);
    const failed = chillAt(7, 6)?.alarms;
    expect(failed).toMatchObject([{ kind: 'gate', level: 'danger', decision: null }]);
    const decided = pit(15, OFF_H + 7.4, { act: 'decided', alarm: 'gate-1:A' }, 'Thrown to nobody: kept apart for the inspector, Wren');
    expect(chillAt(7, 6, [decided])?.alarms).toMatchObject([{ decision: { by: 'Wren', what: expect.stringMatching(/inspector/) as string } }]);
    const { seq: _seq, recordedAt: _recordedAt, reason: _reason, ...bare } = decided;
    const record = loin([...entries, hung, ...off]);
    expect(checkEntry(record, bare, ms(OFF_H + 8))).toMatchObject([{ field: 'reason' }]);
    expect(checkEntry(record, { ...bare, reason: 'Boiled again at once, Wren' }, ms(OFF_H + 8))).toEqual([]);
  });

  test('a forecast as it lies and one in ice water are asked for the gate that runs; in the water it is there much sooner', () => {
    const piece = chillAt(2, 6)?.pieces[0];
    expect(piece?.asItLies).toMatchObject({ startC: 65 });
    expect(piece?.asItLies?.targetC).toBeCloseTo((80 - 32) / 1.8, 9);
    expect(piece?.asItLies?.phases.at(-1)).toMatchObject({ chamberC: 3, medium: 'cold' });
    expect(piece?.iceBath?.phases.at(-1)).toMatchObject({ chamberC: 1, medium: 'water' });
    expect(piece?.iceBath?.phases.at(-2)?.untilS).toBeCloseTo(2.5 * 3600, 0);
  });

  test('in foil or a bag it is foretold later, for the piece that is in it, until it lies bare again', () => {
    const wrapped = pit(16, OFF_H + 0.4, { act: 'wrap', piece: 'A' });
    const bare = pit(17, OFF_H + 1, { act: 'bare', piece: 'A' });
    const piece = (more: LogEntry[]) => chillAt(2, 6, more)?.pieces[0];
    const etaS = (more: LogEntry[]) => forecastCore({ ...(piece(more)?.asItLies as ForecastCoreParams), readings: [] }).etaS;
    expect(piece([])?.isWrapped).toBe(false);
    expect(piece([wrapped])).toMatchObject({ isWrapped: true, asItLies: { wrappedAtS: 0.4 * 3600 } });
    expect(etaS([wrapped])).toBeGreaterThan(1.15 * etaS([]));
    expect(piece([wrapped, bare])?.isWrapped).toBe(false);
    expect(piece([pit(18, OFF_H + 0.4, { act: 'wrap', piece: 'B' })])?.isWrapped).toBe(false);
  });

  test('a probe that was found shallow on the fire is not trusted in the cold, until it was seated anew', () => {
    const doubtful = (core: LogEntry, channels = [falls(2, 0.4)], more: LogEntry[] = []) => {
      const log = off.map((entry) => (entry.stepId === 'core' ? core : entry));
      const state = replay(loin([...entries, hung, ...log, ...more]), ms(OFF_H + 1));
      return chillWatch(state, process, channels, pitWatch(state, process, channels, ms(OFF_H + 1)), ms(OFF_H + 1))?.pieces[0]?.isDoubtful;
    };
    const checked = (probeC: number) => done(13, 'core', OFF_H, { probeC, instant1C: 64, instant2C: 65, instant3C: 64.4 });
    expect(doubtful(checked(65))).toBe(false);
    expect(doubtful(checked(70))).toBe(true);
    expect(doubtful(checked(70), [falls(2, 0.4)], [pit(20, OFF_H + 0.2, { act: 'reseat' })])).toBe(false);
    // Where no probe reads there is none to doubt.
    expect(doubtful(checked(70), [])).toBe(false);
  });

  test('a piece that nobody reads is called for before its first gate can be over', () => {
    const unread = (hours: number) => {
      const state = replay(loin([...entries, hung, ...off]), ms(OFF_H + 0.5 + hours));
      return chillWatch(state, process, [], null, ms(OFF_H + 0.5 + hours))?.alarms;
    };
    // Last at 62 °C as it went into the cold: five hours from then are the soonest that the gate can be over.
    expect(unread(4.2)).toEqual([]);
    expect(unread(4.3)).toMatchObject([{ kind: 'gate', level: 'caution', fact: { message: expect.stringMatching(/last read at 62 °C, 4 h ago/) as string } }]);
  });

  test('before it is off the fire there is nothing to chill', () => {
    const state = replay(loin([...entries, hung]), ms(ON_H + 1));
    expect(chillWatch(state, process, [], null, ms(ON_H + 1))).toBeNull();
  });
});
