import { HOUR_MS } from '../clock/spans.js';
import { checkEntry } from '../check/checkEntry.js';
import { gapLimits } from '../batch/gapLimits.js';
import type { LogEntry } from '../log/logEntry.js';
import { processFor } from '../recipes/processes.js';
import type { DesignChanges } from '../log/designChanges.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';
import { begunFrom, loinFrom } from '../testing/loin.js';
import { usualHousePlan } from './housePlan.js';
import { schedulable } from './schedulable.js';
import { draggedPlan, shiftedPlan } from './shiftedPlan.js';
import { planVariants } from './variants.js';

const START = Date.parse('2026-10-05T07:00:00Z');
const at = (hours: number) => new Date(START + hours * HOUR_MS).toISOString();
const record = loinFrom(START);
const BEGUN = begunFrom(START);
const replanned = (changes: DesignChanges, hours = 5): LogEntry => ({
  id: 'r',
  seq: 4,
  kind: 'replanned',
  changes,
  reason: 'A test',
  by: 'Juno',
  at: at(hours),
  recordedAt: at(hours),
});
const due = (of: BatchRecord, hours = 5) => new Map(replay(of, START + hours * HOUR_MS).steps.map((step) => [step.spec.id, (step.dueAt - START) / HOUR_MS]));
const faults = (of: BatchRecord, changes: DesignChanges, hours = 5) =>
  checkEntry(of, { ...replanned(changes, hours), id: 'x' }, START + hours * HOUR_MS).map(({ message }) => message);

describe('moving plans', () => {
  test('a job set down later takes with it what follows and has an hour of its own', () => {
    const pinned = record([...BEGUN, replanned({ stepAt: { pull: at(340), rack: at(345), pellicle: at(357) } })]);
    const state = replay(pinned, START + 5 * HOUR_MS);
    const changes = draggedPlan(state, 'rack', at(348));
    expect(changes).toEqual({ stepAt: { rack: at(348), pellicle: at(360) } });
    // What has none follows by its process.
    const after = due(record([...pinned.entries, { ...replanned(changes), id: 's', seq: 5 }]));
    expect([after.get('pull'), after.get('rack'), after.get('pellicle'), after.get('light')]).toEqual([340, 348, 360, 360.25]);
  });

  test('a turn set down moves alone', () =>
    expect(draggedPlan(replay(record(BEGUN), START + 5 * HOUR_MS), 'turn-2', at(55))).toEqual({ stepAt: { 'turn-2': at(55) } }));

  test('all that is to come, a day later: every gap but the first stays as it was', () => {
    const state = replay(record(BEGUN), START + 5 * HOUR_MS);
    const changes = shiftedPlan(state, 24 * HOUR_MS);
    expect(changes.cureDays).toBe(15);
    const [before, after] = [due(record(BEGUN)), due(record([...BEGUN, replanned(changes)]))];
    for (const id of ['pull', 'fry', 'rack', 'meat-on', 'pack'] as const) expect(after.get(id)).toBeCloseTo((before.get(id) ?? 0) + 24, 6);
    expect(faults(record(BEGUN), changes)).toEqual([]);
    expect(faults(record(BEGUN), shiftedPlan(state, 20 * 24 * HOUR_MS))[0]).toMatch(/^Pull not later than 24 days after “Meat in”/);
  });

  test('the meat may come another day until work on it has begun; when it is wanted and where it lies may change later, too', () => {
    const moved = record([{ ...replanned({ startsAt: at(48) }, -1), seq: 1 }]);
    expect(due(moved, -1).get('weigh')).toBe(48);
    expect(faults(record(), { startsAt: at(48) }, -1)).toEqual([]);
    expect(faults(record(BEGUN), { startsAt: at(48) })[0]).toMatch(/work on it has begun/);
    expect(faults(record(BEGUN), { readyBy: at(600), stores: { smoke: 'second' } })).toEqual([]);
    expect(faults(record(BEGUN), { readyBy: 'soon' })[0]).toMatch(/no date and time/);
    expect(faults(record(BEGUN), { stores: { cellar: 'x' } as never })[0]).toMatch(/no such thing/);
    expect(faults(record(BEGUN), { stores: { cure: 'not a store!' } })[0]).toMatch(/no such store/);
    const state = replay(
      record([...BEGUN, replanned({ stores: { smoke: 'second' } }), { ...replanned({ stores: { cure: 'cellar' } }), id: 's', seq: 5 }]),
      START + 5 * HOUR_MS,
    );
    expect(state.design.stores).toEqual({ smoke: 'second', cure: 'cellar' });
  });

  test('what follows an overdue job may wait for it; what follows a done one may not', () => {
    // Meat in was due four hours ago and is not logged: its pull may still be planned from when it will be.
    const late = record(BEGUN.slice(0, 2));
    expect(faults(late, { stepAt: { pull: at(24 * 24 + 10) } }, 8)).toEqual([]);
    expect(faults(record(BEGUN), { stepAt: { pull: at(24 * 24 + 10) } }, 8)[0]).toMatch(/^Pull not later than 24 days/);
  });

  test('pumped instead, its jobs may have hours of their own at once, within the limits of that school', () => {
    const weighed = record(BEGUN.slice(0, 1));
    const pump = { pumpPercent: 8, cureDays: 6 };
    expect(faults(weighed, { ...pump, stepAt: { pump: at(20), pull: at(21 + 6 * 24) } }, 0.5)).toEqual([]);
    expect(faults(weighed, { ...pump, cureDays: 1, stepAt: { 'meat-in': at(6), pull: at(30) } }, 0.5)[0]).toMatch(/^Pull not sooner than 5 days/);
    expect(faults(weighed, { stepAt: { pump: at(30) } }, 0.5)[0]).toMatch(/no such step/);
  });
});

describe('limits of a gap', () => {
  const process = processFor('canadian-bacon');
  const state = replay(record(BEGUN), START + 5 * HOUR_MS);
  const pull = state.steps.find((step) => step.spec.id === 'pull')?.spec;
  if (pull === undefined) throw new Error('a pull');

  test('the section model narrows the days of the recipe, never past what is planned', () => {
    const limits = (earliestH: number | null, latestH: number | null) => gapLimits(pull, process, state.design, { earliestH, latestH });
    expect(gapLimits(pull, process, state.design)).toEqual({ leastH: 168, usualH: 336, mostH: 576 });
    expect(limits(200, 400)).toEqual({ leastH: 200, usualH: 336, mostH: 400 });
    expect(limits(100, null)).toEqual({ leastH: 168, usualH: 336, mostH: 576 });
    // Not coloured by the planned day, or salty before it: what is planned stands, and may only move the right way.
    expect(limits(420, 300)).toEqual({ leastH: 336, usualH: 336, mostH: 336 });
  });
});

describe('a batch and what the house has', () => {
  const { resources } = usualHousePlan('UTC');
  const house = [
    ...resources,
    { id: 'cellar', name: 'Cellar', kind: 'refrigerator' as const, capacity: 60 },
    { id: 'tubs', name: 'Tubs', kind: 'tub' as const, capacity: 4 },
  ];
  const made = (of: BatchRecord, hours = 5) => schedulable(of, replay(of, START + hours * HOUR_MS), house);

  test('it lies where it was planned; where it does not lie yet, others would do', () => {
    const holds = made(record([...BEGUN, replanned({ stores: { dry: 'cellar' } })])).holds;
    expect(holds.find(({ id }) => id === 'cure')).toMatchObject({ resource: 'refrigerator', from: 'meat-in' });
    expect(holds.find(({ id }) => id === 'cure')?.orElse).toBeUndefined();
    expect(holds.find(({ id }) => id === 'dry')).toMatchObject({ resource: 'cellar', orElse: ['refrigerator'] });
    expect(holds.find(({ id }) => id === 'tub')).toMatchObject({ resource: 'tubs', amount: 1 });
  });

  test('a store that is gone is forgotten, one that is too small is not offered', () => {
    const [refrigerator, smoker] = resources;
    if (refrigerator === undefined || smoker === undefined) throw new Error('two stores');
    const tiny = [refrigerator, smoker, { ...smoker, id: 'tiny', capacity: 0.5 }];
    const holds = schedulable(
      record([replanned({ stores: { cure: 'gone' } }, -1)]),
      replay(record([replanned({ stores: { cure: 'gone' } }, -1)]), START),
      tiny,
    ).holds;
    expect(holds.find(({ id }) => id === 'cure')?.resource).toBe('refrigerator');
    expect(holds.find(({ id }) => id === 'smoke')?.orElse).toBeUndefined();
  });

  test('it may be pumped until it is mixed, and come sooner until it has come', () => {
    const names = (of: BatchRecord, hours: number) =>
      planVariants(of, replay(of, START + hours * HOUR_MS), house, START + hours * HOUR_MS).map(({ name }) => name);
    expect(names(record(), -30)).toEqual(['pump', 'sooner']);
    expect(names(record(BEGUN.slice(0, 1)), 0.5)).toEqual(['pump']);
    expect(names(record(BEGUN), 5)).toEqual([]);
    const [pump] = planVariants(record(), replay(record(), START - 30 * HOUR_MS), house, START - 30 * HOUR_MS);
    expect(pump?.changes.cureDays).toBe(6);
    expect(pump?.batch.steps.some(({ id }) => id === 'pump')).toBe(true);
  });
});
