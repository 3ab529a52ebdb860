import { HOUR_MS } from '../clock/spans.js';
import fc from 'fast-check';
import { DEVICE, every, ON_H, onTheFire } from '../testing/cooked.js';
import { loinFrom } from '../testing/loin.js';
import { checkEntry } from '../check/checkEntry.js';
import type { LogEntry } from '../log/logEntry.js';
import { requireProgram } from '../recipes/cookProgram.js';
import { usualProgram } from '../recipes/cookPrograms.js';
import { pitEventFaults } from '../check/pitEventFaults.js';
import type { PitEvent } from '../log/pitEvent.js';
import { processFor } from '../recipes/processes.js';
import { replay } from '../batch/replay.js';
import { usualDesign } from '../recipes/usualDesign.js';
import { phasesOf, pitLog, programOf, spansOf } from './pitLog.js';
import { pitWatch, type ChannelReadings } from './pitWatch.js';

const START = Date.parse('2026-10-05T08:00:00Z');
const loin = loinFrom(START);
/** A loin on the fire: everything before it is logged, meat on at hour 200. */
const { done, entries: onFire, pit, hung, channel } = onTheFire(START);

const NO_BATH = { bathSetC: undefined, hasReason: false };

describe('the pit in a batch’s log', () => {
  const record = (entries: LogEntry[]) => loin(entries);
  const now = START + (ON_H + 3) * HOUR_MS;
  const stateOf = (entries: LogEntry[]) => replay(record(entries), now);
  const process = processFor('canadian-bacon');
  const curves = [
    channel(
      1,
      every(0, 10_800, () => 80),
    ),
    channel(
      2,
      every(0, 10_800, (s) => 6 + s / 240),
    ),
  ];

  test('before the meat is on there is nothing to watch', () => {
    expect(pitWatch(stateOf(onFire.slice(0, -1)), process, [], now)).toBeNull();
  });

  test('curves by the channels as they hung, jobs counted down from the last, program and phase', () => {
    const watch = pitWatch(stateOf([...onFire, hung, pit(12, ON_H + 0.9, { act: 'fuel' })]), process, curves, now);
    expect(watch?.pieces[0]?.read).toHaveLength(181);
    expect(watch?.chamber).toHaveLength(181);
    expect(watch?.phase).toBe(1);
    expect(watch?.log.program.map(({ chamberC }) => chamberC)).toEqual([80, 105]);
    expect(watch?.jobs.find(({ act }) => act === 'fuel')?.dueAt).toBe(START + (ON_H + 0.9) * HOUR_MS + 50 * 60_000);
    expect(watch?.pieces[0]?.forecast).toMatchObject({ startC: 6, targetC: 64, massG: 2600 });
    expect(watch?.heardAt).toBe(START + (ON_H + 3) * HOUR_MS);
  });

  test('a channel that is hung elsewhere reads there from then on', () => {
    const moved = pit(12, ON_H + 1, { act: 'probes', probes: [{ device: DEVICE, channel: 3, reads: 'A' }] });
    const watch = pitWatch(
      stateOf([...onFire, hung, moved]),
      process,
      [
        ...curves,
        channel(
          3,
          every(3600, 10_800, () => 40),
        ),
      ],
      now,
    );
    const read = watch?.pieces[0]?.read ?? [];
    expect(read.find(({ s }) => s === 3540)?.C).toBeCloseTo(20.75, 6);
    expect(read.find(({ s }) => s === 3600)?.C).toBe(40);
    expect(watch?.chamber.at(-1)?.s).toBe(3540);
    expect(
      spansOf(
        [
          { at: 1, probes: [{ device: DEVICE, channel: 2, reads: 'A' }] },
          { at: 5, probes: [{ device: DEVICE, channel: 2, reads: 'A' }] },
        ],
        'A',
      ),
    ).toHaveLength(1);
  });

  test('a check that finds the probe too high is told, and takes lethality and forecast with it', () => {
    const hot = [
      curves[0] as ChannelReadings,
      channel(
        2,
        every(0, 10_800, (s) => Math.min(64, 6 + s / 120)),
      ),
    ];
    const believed = pitWatch(stateOf([...onFire, hung]), process, hot, now)?.pieces[0];
    const checked = pitWatch(
      stateOf([...onFire, hung, pit(12, ON_H + 2.9, { act: 'check', piece: 'A', placesC: [58, 55, 60], probeC: 64 })]),
      process,
      hot,
      now,
    );
    expect(believed?.lethality.reachedAtS).not.toBeNull();
    expect(checked?.pieces[0]?.lethality.reachedAtS).toBeNull();
    expect(checked?.pieces[0]?.readsHighC).toBe(9);
    expect(checked?.alarms.map(({ kind }) => kind)).toContain('reads-high');
    expect(checked?.pieces[0]?.counted.at(-1)?.C).toBeCloseTo(55, 6);
  });

  test('an alarm that was heard says by whom, until it rings anew', () => {
    const door = every(0, 10_800, (s) => (s >= 6000 && s < 6300 ? 50 : 80));
    const watch = (entries: LogEntry[]) =>
      pitWatch(stateOf([...onFire, hung, ...entries]), process, [channel(1, door), curves[1] as ChannelReadings], now)?.alarms.find(
        ({ kind }) => kind === 'door',
      );
    expect(watch([])?.heard).toBeNull();
    expect(watch([pit(12, ON_H + 2, { act: 'heard', alarm: 'door:chamber' })])?.heard?.by).toBe('Wren');
    expect(watch([pit(12, ON_H + 1, { act: 'heard', alarm: 'door:chamber' })])?.heard).toBeNull();
  });

  test('one thermometer in the hand leads phases and forecast: a check ends the phase, the chamber is what was read', () => {
    const byCore: LogEntry = {
      id: 'r',
      seq: 11,
      kind: 'replanned',
      changes: {
        program: [
          { name: 'Smoke', chamberC: 80, medium: 'smoker', smoke: true, pan: false, untilCoreC: 45, repeats: [], marks: [] },
          { name: 'Cook', chamberC: 105, medium: 'smoker', smoke: false, pan: false, untilCoreC: 64, repeats: [], marks: [] },
        ],
      },
      reason: 'By the core',
      by: 'Wren',
      at: new Date(START + (ON_H + 0.1) * HOUR_MS).toISOString(),
      recordedAt: new Date(START + (ON_H + 0.1) * HOUR_MS).toISOString(),
    };
    const wood: LogEntry = {
      ...byCore,
      id: 'w',
      seq: 12,
      kind: 'act',
      event: { act: 'wood', C: 88 },
      at: new Date(START + (ON_H + 1) * HOUR_MS).toISOString(),
    };
    const watch = (...more: LogEntry[]) => pitWatch(stateOf([...onFire, byCore, wood, ...more]), process, [], now);
    expect(watch()?.chamberByHand).toEqual([
      { s: 0, C: 78 },
      { s: 3600, C: 88 },
    ]);
    expect(watch()?.pieces[0]?.forecast?.chamber).toEqual(watch()?.chamberByHand);
    expect(watch()?.phase).toBe(0);
    const there = watch(pit(13, ON_H + 2, { act: 'check', piece: 'A', placesC: [46, 48] }));
    expect(there?.phase).toBe(1);
    expect(there?.phaseStarts[1]).toBe(7200);
    // Read in one place on the way: it leads the forecast, and proves nothing of the sum.
    const raised = watch(done(13, 'raise', ON_H + 2, { chamberC: 81, coreC: 62 }))?.pieces[0];
    expect(raised?.forecast?.readings?.at(-1)).toEqual({ s: 7200, C: 62 });
    expect(raised?.counted.at(-1)?.C).toBe(6);
    expect(raised?.lethality.sum).toBe(0);
    // Where a probe hangs in it, the probe leads.
    const probed = pitWatch(stateOf([...onFire, hung, done(13, 'raise', ON_H + 2, { chamberC: 81, coreC: 62 })]), process, curves, now)?.pieces[0];
    expect(probed?.forecast?.readings).toEqual(probed?.counted);
  });

  test('a heat that is not raised stays as it is set, until the meat comes off', () => {
    const stays: LogEntry = { ...(done(11, 'raise', ON_H + 1.5, {}) as object), kind: 'skipped', reason: 'Slow enough' } as unknown as LogEntry;
    const log = pitLog(stateOf([...onFire, stays]), process);
    expect(log.raisedAt).toBeNull();
    expect(phasesOf(log)).toEqual([{ chamberC: 80, medium: 'smoker' }]);
    const { seq: _seq, recordedAt: _recordedAt, ...draft } = stays;
    expect(checkEntry(record(onFire), draft, now)).toEqual([]);
    expect(pitWatch(stateOf([...onFire, stays]), process, [], now)?.phase).toBe(0);
  });

  test('a raise by hand ends the first phase when it was done; a program that is changed on the way holds from then on', () => {
    const raised = pitLog(stateOf([...onFire, done(11, 'raise', ON_H + 1.5, { chamberC: 80, coreC: 30 })]), process);
    expect(phasesOf(raised)[0]).toEqual({ chamberC: 80, medium: 'smoker', untilS: 5400 });
    const [smoke, cook] = programOf(process, undefined);
    if (smoke === undefined || cook === undefined) throw new Error('two phases');
    const changed: LogEntry = {
      id: 'r',
      seq: 11,
      kind: 'replanned',
      changes: { program: [smoke, { ...cook, chamberC: 115 }] },
      reason: 'Too slow',
      by: 'Wren',
      at: new Date(now).toISOString(),
      recordedAt: new Date(now).toISOString(),
    };
    expect(pitLog(stateOf([...onFire, changed]), process).program[1]?.chamberC).toBe(115);
    const { seq: _seq, recordedAt: _recordedAt, ...draft } = changed;
    expect(checkEntry(record(onFire), draft, now)).toEqual([]);
  });

  test('a cold smoke counts the time between 4 and 60 °C, and is told when it is none any more', () => {
    const cold = [{ name: 'Cold smoke', chamberC: 24, medium: 'smoker', smoke: true, pan: false, untilMin: 600, repeats: [], marks: [] }];
    const changed: LogEntry = {
      id: 'r',
      seq: 11,
      kind: 'replanned',
      changes: { program: requireProgram(cold) },
      reason: 'Cold',
      by: 'Wren',
      at: new Date(START + ON_H * HOUR_MS).toISOString(),
      recordedAt: new Date(START + ON_H * HOUR_MS).toISOString(),
    };
    const warm = pitWatch(
      stateOf([...onFire, changed, { ...hung, seq: 12 }]),
      process,
      [
        channel(
          1,
          every(0, 10_800, (s) => 22 + s / 1000),
        ),
        channel(
          2,
          every(0, 10_800, () => 12),
        ),
      ],
      now,
    );
    expect(warm?.coldZoneS).toBe(10_800);
    expect(warm?.alarms.map(({ kind }) => kind)).toContain('too-warm');
  });

  test('a door that opens for a spritz is no news; one that nobody was at is, and so is one that stays open', () => {
    const open = (fromS: number, forS: number) => every(0, 10_800, (s) => (s >= fromS && s < fromS + forS ? 50 : 80));
    const doors = (chamber: ReturnType<typeof every>) =>
      pitWatch(stateOf([...onFire, hung, pit(12, ON_H + 6000 / 3600, { act: 'spritz' })]), process, [channel(1, chamber)], now)?.alarms.filter(
        ({ kind }) => kind === 'door',
      );
    expect(doors(open(5900, 180))).toEqual([]);
    expect(doors(open(9000, 180))).toHaveLength(1);
    expect(doors(open(5900, 1800))).toHaveLength(1);
  });

  test('a job that begins a phase is due when the phase begins, and over once it is done', () => {
    const program = requireProgram(usualProgram({ smoke: 'hot', finish: 'simmer', targetC: 64, smokeH: 1 }));
    const at = new Date(START + ON_H * HOUR_MS).toISOString();
    const changed: LogEntry = { id: 'r', seq: 11, kind: 'replanned', changes: { program }, reason: 'Simmered', by: 'Wren', at, recordedAt: at };
    const water = (entries: LogEntry[]) => pitWatch(stateOf([...onFire, changed, ...entries]), process, [], now)?.jobs.find(({ act }) => act === 'water');
    // An hour in the smoke and 45 min in the first water.
    expect(water([])?.dueAt).toBe(START + ON_H * HOUR_MS + 105 * 60_000);
    expect(water([pit(12, ON_H + 1.8, { act: 'water' })])).toBeUndefined();
  });

  test('played again, nothing is known that was read later', () => {
    const then = START + (ON_H + 1) * HOUR_MS;
    expect(pitWatch(stateOf([...onFire, hung]), process, curves, then)?.pieces[0]?.read.at(-1)?.s).toBe(3600);
  });

  test('taking back a tap is allowed', () => {
    const fuel = pit(11, ON_H + 1, { act: 'fuel' });
    const back = { id: 'w', kind: 'withdrawn' as const, replaces: fuel.id, reason: 'Never did', by: 'Wren', at: new Date(now).toISOString() };
    expect(checkEntry(record([...onFire, fuel]), back, now)).toEqual([]);
  });
});

describe('events before they are written', () => {
  const design = usualDesign('canadian-bacon', new Date(START).toISOString());
  test.each<[unknown, string]>([
    [null, 'event'],
    [{ act: 'dance' }, 'event.act'],
    [{ act: 'glaze', piece: 'Z' }, 'event.piece'],
    [{ act: 'check', piece: 'A', placesC: [] }, 'event.placesC'],
    [{ act: 'check', piece: 'A', placesC: [900] }, 'event.placesC'],
    [{ act: 'check', piece: 'A', placesC: [Number.NaN] }, 'event.placesC'],
    [{ act: 'check', piece: 'Q', placesC: [60] }, 'event.piece'],
    [{ act: 'heard', alarm: '<script>' }, 'event.alarm'],
    [{ act: 'probes', probes: 7 }, 'event.probes'],
    [{ act: 'probes', probes: [null] }, 'event.probes'],
    [{ act: 'probes', probes: [{ device: DEVICE, channel: 0, reads: 'A' }] }, 'event.probes'],
    [{ act: 'probes', probes: [{ device: DEVICE, channel: 1, reads: 'Q' }] }, 'event.probes'],
    [{ act: 'probes', probes: [{ device: DEVICE, channel: 1, reads: 'A', targetC: 300 }] }, 'event.probes'],
    [
      {
        act: 'probes',
        probes: [
          { device: DEVICE, channel: 1, reads: 'A' },
          { device: DEVICE, channel: 1, reads: 'chamber' },
        ],
      },
      'event.probes',
    ],
  ])('%j is refused at %s', (event, field) => {
    expect(pitEventFaults(event as PitEvent, design.pieces, NO_BATH)).toEqual([expect.objectContaining({ field })]);
  });

  test('anything at all is refused with a sentence, or may be written: nothing throws', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.anything(),
          fc.record({
            act: fc.constantFrom('probes', 'check', 'heard', 'fuel'),
            probes: fc.anything(),
            piece: fc.anything(),
            placesC: fc.anything(),
            alarm: fc.anything(),
          }),
        ),
        (event) => {
          for (const { field, message } of pitEventFaults(event as PitEvent, design.pieces, NO_BATH)) {
            expect(field).toMatch(/^event/);
            expect(message).toMatch(/[.?]$/);
          }
        },
      ),
    );
  });

  test.each<[unknown, string]>([
    [[], 'program'],
    [[{ name: '', chamberC: 80, medium: 'smoker', untilMin: 5, repeats: [], marks: [] }], 'program.0.name'],
    [[{ name: 'x', chamberC: 80, medium: 'smoker', repeats: [], marks: [] }], 'program.0.untilMin'],
    [[{ name: 'x', chamberC: 120, medium: 'water', untilMin: 5, repeats: [], marks: [] }], 'program.0.chamberC'],
    [[{ name: 'x', chamberC: 80, medium: 'smoker', untilMin: 5, repeats: [{ act: 'fuel', everyMin: 0 }], marks: [] }], 'program.0.repeats'],
    [[{ name: 'x', chamberC: 80, medium: 'smoker', untilMin: 5, repeats: [], marks: [{ act: 'sing', atCoreC: 50 }] }], 'program.0.marks'],
  ])('a program %j is refused at %s', (program, field) => {
    expect(() => requireProgram(program)).toThrow(expect.objectContaining({ field }) as Error);
  });
});
