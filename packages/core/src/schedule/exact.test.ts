import fc from 'fast-check';
import highsModule from 'highs';
import { exactProgram } from '../testing/exactPlan.js';
import { at, batch, faultsOf, FRIDGE, hours, NOW, SMOKER, step } from '../testing/houses.js';
import { schedule } from './schedule.js';
import type { SchedulableBatch } from './scheduleTypes.js';

/** A short batch, so that a mixed-integer solver of another hand can find the best of all plans: in, pull, light, off. */
const one = fc.record({
  startH: fc.integer({ min: 1, max: 10 }),
  amount: fc.integer({ min: 10, max: 30 }),
  cureH: fc.integer({ min: 3, max: 8 }),
  ready: fc.option(fc.integer({ min: 24, max: 40 }), { nil: undefined }),
});

const short = (
  i: number,
  { startH, amount, cureH, ready }: { startH: number; amount: number; cureH: number; ready: number | undefined },
): SchedulableBatch => ({
  ...batch(`b${i}`, ready === undefined ? {} : { readyBy: at(ready) }),
  steps: [
    step('in', undefined, { earliest: at(startH), latest: at(startH + 4) }),
    step('pull', [cureH - 2, cureH, cureH + 6]),
    step('light', [0.5, 2, 6]),
    step('off', [2, 2, 2.5]),
  ],
  holds: batch(`b${i}`).holds.map((hold) => (hold.resource === 'fridge' ? { ...hold, amount } : hold)),
});

/** Its types say a module within the module; what is imported is the loader itself. */
const loadHighs = highsModule as unknown as typeof highsModule.default;

/** Solved by HiGHS (Huangfu and Hall, 2018), which knows nothing of how batches are placed here. */
async function best(program: string): Promise<number | null> {
  const highs = await loadHighs();
  const answer = highs.solve(program, { mip_rel_gap: 1e-7, output_flag: false });
  return answer.Status === 'Optimal' ? answer.ObjectiveValue : null;
}

const resources = [FRIDGE, { ...SMOKER, capacity: 1 }];
const house = { ...hours, hands: 2 };

test('one batch alone lies where a mixed-integer solver puts it', async () => {
  for (const [i, wanted] of fc.sample(one, { numRuns: 5, seed: 5 }).entries()) {
    const batches = [short(i, wanted)];
    const found = schedule({ batches, resources, hours: house, now: NOW });
    const exact = await best(exactProgram({ batches, resources, hours: house, now: NOW }) ?? '');
    expect(found.cost).toBeCloseTo(exact ?? Number.NaN, 4);
  }
}, 120_000);

test('a small house, placed by turns, is never better than the best of all plans and seldom worse', async () => {
  const houses = fc.sample(fc.array(one, { minLength: 2, maxLength: 3 }), { numRuns: 6, seed: 21 });
  const gaps: number[] = [];
  for (const wanted of houses) {
    const batches = wanted.map((each, i) => short(i, each));
    const exact = await best(exactProgram({ batches, resources, hours: house, now: NOW }) ?? '');
    const found = schedule({ batches, resources, hours: house, now: NOW });
    expect(faultsOf(batches, found.steps)).toEqual([]);
    // Where the solver finds none that is nowhere overfull, there is none here either.
    if (exact === null) expect(found.clashes.some(({ kind }) => kind === 'full' || kind === 'hands')).toBe(true);
    else {
      expect(found.clashes.filter(({ kind }) => kind === 'full' || kind === 'hands')).toEqual([]);
      expect(found.cost).toBeGreaterThanOrEqual(exact - 1e-4);
      gaps.push(found.cost - exact);
    }
  }
  expect(gaps.length).toBeGreaterThan(4);
  expect(gaps.filter((gap) => gap < 1e-3).length / gaps.length).toBeGreaterThan(0.6);
}, 240_000);
