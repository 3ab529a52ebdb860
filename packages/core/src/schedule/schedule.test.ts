import { HOUR_MS, DAY_MS } from '../clock/spans.js';
import fc from 'fast-check';
import { placeBatch } from './placeBatch.js';
import { costOf } from './placeCost.js';
import { lookAtPlan, schedule } from './schedule.js';
import { at, batch, faultsOf, FRIDGE, hours, NOW, SMOKER, standing, step } from '../testing/houses.js';
import type { SchedulableBatch, SchedulableStep, Wish } from './scheduleTypes.js';
import { SLOT_MS, Timeline, type Times } from './timeline.js';
import { handsOver, usedOver } from './usedOver.js';

describe('one batch in its place', () => {
  const random = fc.record({
    from: fc.integer({ min: 0, max: 20 }),
    gaps: fc.array(fc.record({ least: fc.integer({ min: 0, max: 5 }), extra: fc.integer({ min: 0, max: 6 }), usual: fc.integer({ min: 0, max: 6 }) }), {
      minLength: 2,
      maxLength: 3,
    }),
    booked: fc.array(fc.record({ from: fc.integer({ min: 0, max: 40 }), long: fc.integer({ min: 1, max: 12 }) }), { maxLength: 3 }),
    ready: fc.option(fc.integer({ min: 2, max: 30 }), { nil: undefined }),
  });

  test('as good as the best of all that can be, counted out', () => {
    fc.assert(
      fc.property(random, ({ from, gaps, booked, ready }) => {
        const steps = [
          step('s0', undefined, { earliest: at(from / 4), latest: at(from / 4 + 1.5) }),
          ...gaps.map(({ least, extra, usual }, i) => step(`s${i + 1}`, [least / 4, Math.min(least + extra, Math.max(least, usual)) / 4, (least + extra) / 4])),
        ];
        const one: SchedulableBatch = {
          id: 'x',
          code: 'x',
          steps,
          holds: [{ resource: 'smoker', amount: 1, from: 's1', until: `s${gaps.length}`, program: 'hot' }],
          ...(ready === undefined ? {} : { readyBy: at(ready / 4) }),
        };
        const timeline = new Timeline([{ ...SMOKER, capacity: 1 }], hours, Date.parse(NOW), Date.parse(NOW) + 2 * DAY_MS);
        booked.forEach(({ from: slot, long }, i) => {
          const other: SchedulableBatch = {
            id: `b${i}`,
            code: '',
            steps: [step('a'), step('b')],
            holds: [{ resource: 'smoker', amount: 1, from: 'a', until: 'b' }],
          };
          timeline.book(
            other,
            new Map([
              ['a', slot],
              ['b', slot + long],
            ]),
            1,
          );
        });
        const placed = placeBatch(one, timeline);
        let best = Infinity;
        const count = (k: number, times: Times): void => {
          const gap = gaps[k - 1];
          if (k > gaps.length) {
            best = Math.min(best, costOf(one, times, timeline));
            return;
          }
          const [low, high] =
            k === 0 || gap === undefined
              ? [from, from + 6]
              : [(times.get(`s${k - 1}`) ?? 0) + gap.least, (times.get(`s${k - 1}`) ?? 0) + gap.least + gap.extra];
          for (let slot = low; slot <= high; slot += 1) count(k + 1, new Map([...times, [`s${k}`, slot]]));
        };
        count(0, new Map());
        if ('conflict' in placed) throw new Error(JSON.stringify(placed.conflict));
        expect(placed.cost).toBeCloseTo(best, 6);
        expect(costOf(one, placed.times, timeline)).toBeCloseTo(best, 6);
      }),
      { numRuns: 60, seed: 3 },
    );
  });

  test('what cannot be together is named: meat that comes too late for the table', () => {
    const late = batch('late', {}, { earliest: at(24 * 5) });
    late.steps[3] = { ...(late.steps[3] as SchedulableStep), latest: at(24 * 6) };
    const { clashes, steps } = schedule({ batches: [late], resources: [FRIDGE, SMOKER], hours, now: NOW });
    expect(steps).toEqual([]);
    expect(clashes).toEqual([
      {
        kind: 'impossible',
        batch: 'late',
        wishes: expect.arrayContaining([
          { kind: 'notBefore', step: 'in', title: 'in', at: at(24 * 5) },
          { kind: 'notAfter', step: 'off', title: 'off', at: at(24 * 6) },
        ]) as Wish[],
      },
    ]);
  });
});

describe('the whole house', () => {
  test('two batches that want the smoker on one day go one after the other, inside the limits of each, in the cook’s hours', () => {
    const two = [batch('a', {}, { earliest: at(1), latest: at(3) }), batch('b', {}, { earliest: at(1), latest: at(3) })];
    const { steps, clashes } = schedule({ batches: two, resources: [FRIDGE, { ...SMOKER, capacity: 1 }], hours, now: NOW });
    expect(faultsOf(two, steps)).toEqual([]);
    expect(clashes).toEqual([]);
  });

  test('a chamber is shared only by programs that agree', () => {
    const cold = batch('cold');
    cold.holds = cold.holds.map((hold) => (hold.resource === 'smoker' ? { ...hold, program: 'cold' } : hold));
    const both = [
      batch('hot', {}, { earliest: at(1), latest: at(2) }),
      { ...cold, steps: cold.steps.map((s, i) => (i === 0 ? { ...s, earliest: at(1), latest: at(2) } : s)) },
    ];
    const { steps, clashes } = schedule({ batches: both, resources: [FRIDGE, SMOKER], hours, now: NOW });
    expect(clashes.filter((clash) => clash.kind === 'programs')).toEqual([]);
    const span = (id: string) => ['light', 'off'].map((s) => Date.parse(steps.find((planned) => planned.batch === id && planned.step === s)?.at ?? ''));
    const [[hotOn = 0, hotOff = 0], [coldOn = 0, coldOff = 0]] = [span('hot'), span('cold')];
    expect(hotOff <= coldOn || coldOff <= hotOn).toBe(true);
  });

  test('planned backwards: it is ready by then, and not days before', () => {
    const feast = batch('feast', { readyBy: at(24 * 12) });
    const { steps } = schedule({ batches: [feast], resources: [FRIDGE, SMOKER], hours, now: NOW });
    const off = Date.parse(steps.find((planned) => planned.step === 'off')?.at ?? '');
    expect(off).toBeLessThanOrEqual(Date.parse(at(24 * 12)));
    expect(off).toBeGreaterThan(Date.parse(at(24 * 11)));
    expect(faultsOf([feast], steps)).toEqual([]);
  });

  test('whatever the house: limits are kept, what is done is not moved, the same question has the same answer, and more rounds are never worse', () => {
    const one = fc.record({
      startH: fc.integer({ min: -60, max: 200 }),
      amount: fc.integer({ min: 5, max: 30 }),
      ready: fc.option(fc.integer({ min: 100, max: 400 }), { nil: undefined }),
    });
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 6 }), (wanted) => {
        const batches = wanted.map(({ startH, amount, ready }, i) => {
          const made = batch(
            `b${i}`,
            ready === undefined ? {} : { readyBy: at(ready) },
            startH < 0 ? { doneAt: at(startH) } : { earliest: at(startH), latest: at(startH + 24) },
          );
          return { ...made, holds: made.holds.map((hold) => (hold.resource === 'fridge' ? { ...hold, amount } : hold)) };
        });
        const asked = { batches, resources: [FRIDGE, SMOKER], hours, now: NOW };
        const first = schedule({ ...asked, rounds: 0 });
        const settled = schedule(asked);
        expect(faultsOf(batches, settled.steps)).toEqual([]);
        expect(schedule(asked)).toEqual(settled);
        expect(settled.cost).toBeLessThanOrEqual(first.cost + 1e-6);
      }),
      { numRuns: 12, seed: 11 },
    );
  });

  test('a plan as it stands: what is overfull is named with who takes part, a proposal moves one batch and does away with it', () => {
    const stand = (id: string) => standing(id, [2, 74, 98, 104], { earliest: at(1), latest: at(30) });
    const batches = [stand('a'), stand('b')];
    const looked = lookAtPlan({ batches, resources: [FRIDGE, { ...SMOKER, capacity: 1 }], hours: { ...hours, hands: 2 }, now: NOW });
    expect(looked.clashes).toContainEqual({ kind: 'full', resource: 'smoker', from: at(98), to: at(104), most: 2, capacity: 1, batches: ['a', 'b'] });
    const [proposal] = looked.proposals;
    expect(proposal?.solves).toBeGreaterThanOrEqual(1);
    // Taken over, the clash is gone and all else stands.
    const moved = new Map(proposal?.moves.map((move) => [`${move.batch} ${move.step}`, move.at]));
    const after = batches.map((one) => ({ ...one, steps: one.steps.map((s) => ({ ...s, plannedAt: moved.get(`${one.id} ${s.id}`) ?? s.plannedAt })) }));
    const again = lookAtPlan({ batches: after, resources: [FRIDGE, { ...SMOKER, capacity: 1 }], hours: { ...hours, hands: 2 }, now: NOW });
    expect(again.clashes.filter((clash) => clash.kind === 'full')).toEqual([]);
    expect(again.steps.filter((s) => s.batch !== proposal?.batch)).toEqual(looked.steps.filter((s) => s.batch !== proposal?.batch));
  });

  test('small changes for a small slip: with the plan before it, a batch that is not touched stays where it was', () => {
    const two = [batch('a', {}, { earliest: at(1), latest: at(3) }), batch('b', {}, { earliest: at(30), latest: at(34) })];
    const asked = { resources: [FRIDGE, SMOKER], hours, now: NOW };
    const plan = schedule({ ...asked, batches: two });
    const stood = (id: string, s: SchedulableStep) => plan.steps.find((planned) => planned.batch === id && planned.step === s.id)?.at ?? NOW;
    const slipped = two.map((one) => ({
      ...one,
      steps: one.steps.map((s, i) => ({ ...s, plannedAt: stood(one.id, s), ...(one.id === 'b' && i === 0 ? { earliest: at(54), latest: at(60) } : {}) })),
    }));
    const again = schedule({ ...asked, batches: slipped });
    expect(again.steps.filter((s) => s.batch === 'a')).toEqual(plan.steps.filter((s) => s.batch === 'a'));
    expect(again.steps.find((s) => s.batch === 'b' && s.step === 'in')?.at).not.toBe(plan.steps.find((s) => s.batch === 'b' && s.step === 'in')?.at);
  });

  test.each<[string, () => unknown, RegExp]>([
    ['a refrigerator of no size', () => schedule({ batches: [batch('a')], resources: [{ ...FRIDGE, capacity: 0 }, SMOKER], hours, now: NOW }), /more than 0/],
    [
      'a window upside down',
      () => schedule({ batches: [{ ...batch('a'), steps: [step('x'), step('y', [9, 5, 2])], holds: [] }], resources: [], hours, now: NOW }),
      /upside down/,
    ],
    [
      'a step longer than a year',
      () => schedule({ batches: [{ ...batch('a'), steps: [step('x'), step('y', [9000, 9000, 9000])], holds: [] }], resources: [], hours, now: NOW }),
      /longer than a year/,
    ],
    [
      'more than a thousand',
      () => schedule({ batches: Array.from({ length: 1001 }, (_, i) => batch(`b${i}`)), resources: [FRIDGE, SMOKER], hours, now: NOW }),
      /More than 1000/,
    ],
    ['a store that is not there', () => schedule({ batches: [batch('a')], resources: [SMOKER], hours, now: NOW }), /There is no "fridge"/],
    ['no time', () => schedule({ batches: [], resources: [], hours, now: 'soon' }), /What time is it/],
  ])('%s is refused in a sentence', (_what, ask, said) => expect(ask).toThrow(said));

  test('how full a store is over a time: what lies there before counts, what comes and goes does so at its hour', () => {
    const one = batch('a');
    const times = [-10, 62, 74, 80];
    const steps = one.steps.map((s, i) => ({ ...s, plannedAt: at(times[i] ?? 0) }));
    const use = usedOver({ batches: [{ ...one, steps }], resources: [FRIDGE, SMOKER] }, { from: Date.parse(at(0)), to: Date.parse(at(100)) });
    const told = (id: string) => use.get(id)?.map((from) => [(from.at - Date.parse(NOW)) / HOUR_MS, from.amount]);
    expect(told('fridge')).toEqual([
      [0, 15],
      [74, 0],
      [100, 0],
    ]);
    expect(told('smoker')).toEqual([
      [0, 0],
      [74, 1],
      [80, 0],
      [100, 0],
    ]);
  });

  test('how many batches want somebody over a time: each job for as long as it keeps hands', () => {
    const one = standing('a', [1, 2, 3, 5]);
    // An hour each, the second begun before the first is over: still one pair of hands.
    const two = { ...standing('b', [2, 2.5, 4, 5]), steps: standing('b', [2, 2.5, 4, 5]).steps.map((s) => ({ ...s, handsMin: 60 })) };
    const use = handsOver({ batches: [one, two] }, { from: Date.parse(at(1.5)), to: Date.parse(at(3.1)) });
    expect(use.map((from) => [(from.at - Date.parse(NOW)) / HOUR_MS, from.amount]).at(0)).toEqual([1.5, 0]);
    const when = (h: number) => use.findLast((from) => from.at <= Date.parse(at(h)))?.amount;
    expect([1.9, 2.1, 2.3, 2.8, 3.05].map(when)).toEqual([0, 2, 1, 1, 2]);
  });

  test('a slot is a quarter of an hour', () => expect(SLOT_MS).toBe(900_000));
});
