import { HOUR_MS, DAY_MS } from '../clock/spans.js';
import { processFor } from '../recipes/processes.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';
import { usualDesign } from '../recipes/usualDesign.js';
import { usualHousePlan } from './housePlan.js';
import { movedPlan } from './movedPlan.js';
import { schedulable } from './schedulable.js';

const START = Date.parse('2026-10-05T07:00:00Z');
const at = (hours: number) => new Date(START + hours * HOUR_MS).toISOString();
const record = (product: string): BatchRecord => ({ id: 'b', code: 'T-1', design: usualDesign(product, at(0)), process: processFor(product), entries: [] });

describe('a job moved in the Calendar', () => {
  const state = replay(record('canadian-bacon'), START);
  const meatIn = state.steps.find((step) => step.spec.id === 'meat-in')?.dueAt ?? 0;

  test('where the pull moves, the days of cure move with it, and turns that have no room any more are left out', () => {
    const pull = new Date(meatIn + 12.5 * DAY_MS).toISOString();
    expect(movedPlan(state, { pull, 'turn-3': at(90), 'turn-13': at(330), rack: at(400) })).toEqual({
      stepAt: { pull, 'turn-3': at(90), rack: at(400) },
      cureDays: 12.5,
    });
  });

  test('where the first job moves, the meat comes on another day', () =>
    expect(movedPlan(state, { weigh: at(48) })).toEqual({ startsAt: at(48), stepAt: { weigh: at(48) } }));

  test('any other job moves alone', () => expect(movedPlan(state, { rack: at(400) })).toEqual({ stepAt: { rack: at(400) } }));
});

describe('a batch as the Calendar plans with it', () => {
  const { resources } = usualHousePlan('UTC');

  test('a loin: its line in order, the pull as far as its days stretch, turns beside it, what it takes of the house', () => {
    const made = schedulable(record('canadian-bacon'), replay(record('canadian-bacon'), START), resources);
    const line = made.steps.filter((step) => step.beside === undefined);
    expect(line.map(({ id }) => id).slice(0, 4)).toEqual(['weigh', 'mix', 'meat-in', 'pull']);
    expect(line.find(({ id }) => id === 'pull')?.after).toEqual({ leastH: 7 * 24, usualH: 14 * 24, mostH: 24 * 24 });
    expect(line.find(({ id }) => id === 'pellicle')?.after).toEqual({ leastH: 4, usualH: 12, mostH: 36 });
    // Rigid: not sooner than usual, later only by its grace.
    expect(line.find(({ id }) => id === 'raise')?.after).toEqual({ leastH: 2.5, usualH: 2.5, mostH: 3.25 });
    expect(made.steps.filter((step) => step.beside !== undefined)).toHaveLength(13);
    // 2600 g and 1330 g of brine in a tub at 1.25 L for a kg.
    expect(made.holds[0]).toMatchObject({ resource: 'refrigerator', from: 'meat-in', until: 'pull' });
    expect(made.holds[0]?.amount).toBeCloseTo(4.9, 1);
    expect(made.holds.find(({ resource }) => resource === 'smoker')).toMatchObject({ amount: 1, program: 'canadian-bacon' });
  });

  test('a ham of seven kilograms takes two racks, and its re-pump stands beside the line', () => {
    const made = schedulable(record('ham-bone-in'), replay(record('ham-bone-in'), START), resources);
    expect(made.holds.find(({ resource }) => resource === 'smoker')?.amount).toBe(2);
    expect(made.steps.find(({ id }) => id === 'repump')?.beside).toMatchObject({ step: 'meat-in', usualH: 96 });
  });
});
