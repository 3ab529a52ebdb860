import { DAY_MS } from '../clock/spans.js';
import fc from 'fast-check';
import { at, batch, faultsOf, FRIDGE, hours, NOW, SMOKER, standing, step } from '../testing/houses.js';
import { fitIn, lookAtPlan, schedule, type Schedule } from './schedule.js';
import type { Resource, SchedulableBatch, Wish } from './scheduleTypes.js';

const SECOND: Resource = { id: 'second', name: 'Second smoker', kind: 'smoker', capacity: 2 };
const house = { ...hours, hands: 2 };
/** In at eight, pulled three days later, on the smoker the morning after. */
const STANDS = [2, 74, 97, 103];
const where = ({ steps }: Schedule, id: string, job: string) => steps.find((planned) => planned.batch === id && planned.step === job)?.at;
const withSmokers = (one: SchedulableBatch): SchedulableBatch => ({
  ...one,
  holds: one.holds.map((hold) => (hold.resource === 'smoker' ? { ...hold, orElse: ['second'] } : hold)),
});
/** The plan as it stands after what was proposed. */
const taken = (batches: readonly SchedulableBatch[], id: string, times: Readonly<Record<string, string>>, stores: Readonly<Record<string, string>>) =>
  batches.map((one) =>
    one.id !== id
      ? one
      : {
          ...one,
          steps: one.steps.map((s) => ({ ...s, ...(times[s.id] === undefined ? {} : { plannedAt: times[s.id] }) })),
          holds: one.holds.map((hold) => ({ ...hold, resource: stores[hold.id ?? ''] ?? hold.resource })),
        },
  );

describe('several stores of a kind', () => {
  test('of two that clash in a smoker one takes the other smoker, and nothing moves', () => {
    const batches = [withSmokers(standing('a', STANDS)), withSmokers(standing('b', STANDS))];
    const resources = [{ ...FRIDGE, capacity: 80 }, { ...SMOKER, capacity: 1 }, SECOND];
    const look = lookAtPlan({ batches, resources, hours: house, now: NOW });
    const proposal = look.proposals.find(({ kind }) => kind === 'stores');
    expect(proposal).toMatchObject({ stores: { smoke: 'second' }, moves: [], readyAt: look.proposals[0]?.readyWas });
    const after = lookAtPlan({ batches: taken(batches, proposal?.batch ?? '', proposal?.at ?? {}, proposal?.stores ?? {}), resources, hours: house, now: NOW });
    expect(after.clashes.filter(({ kind }) => kind === 'full')).toEqual([]);
  });

  test('the planned store is kept where it is as good as another', () => {
    const { moved } = schedule({ batches: [withSmokers(standing('a', STANDS))], resources: [FRIDGE, SMOKER, SECOND], hours: house, now: NOW });
    expect(moved.flatMap(({ stores }) => Object.keys(stores))).toEqual([]);
  });

  test('whatever is booked, the choice is as good as the best of trying each store alone', () => {
    const amount = fc.integer({ min: 1, max: 2 });
    fc.assert(
      fc.property(fc.array(fc.record({ first: amount, second: amount, off: fc.integer({ min: -12, max: 12 }) }), { maxLength: 4 }), (others) => {
        const booked = others.map(({ first, second, off }, i): SchedulableBatch => {
          const made = standing(
            `o${i}`,
            STANDS.map((h) => h + off),
          );
          return {
            ...made,
            holds: [
              { resource: 'smoker', amount: first, from: 'light', until: 'off' },
              { resource: 'second', amount: second, from: 'light', until: 'off' },
            ],
          };
        });
        const wanted = { ...batch('x', {}, { earliest: at(1), latest: at(3) }) };
        const ask = (one: SchedulableBatch) =>
          fitIn({ batches: booked, resources: [FRIDGE, SMOKER, SECOND], hours: { ...house, hands: 9 }, now: NOW }, one).cost;
        const alone = (store: string) =>
          ask({ ...wanted, holds: wanted.holds.map((hold) => (hold.resource === 'smoker' ? { ...hold, resource: store } : hold)) });
        expect(ask(withSmokers(wanted))).toBeCloseTo(Math.min(alone('smoker'), alone('second') + 4), 6);
      }),
      { numRuns: 15, seed: 9 },
    );
  });
});

describe('when life slips', () => {
  const two = () => [standing('a', STANDS, { earliest: at(1), latest: at(30) }), standing('b', [26, 98, 121, 127], { earliest: at(25), latest: at(50) })];

  test('nothing wrong, nothing moves', () => {
    const { moved, clashes } = schedule({ batches: two(), resources: [FRIDGE, SMOKER], hours: house, now: NOW, mend: true });
    expect(clashes).toEqual([]);
    expect(moved).toEqual([]);
  });

  test('the smoker broken for a day: only what wanted it moves, and it waits no longer than it must', () => {
    const closed = [{ from: at(90), to: at(114), why: 'Fan broken' }];
    const asked = { batches: two(), resources: [FRIDGE, { ...SMOKER, closed }], hours: house, now: NOW };
    expect(lookAtPlan(asked).clashes).toContainEqual({ kind: 'closed', resource: 'smoker', from: at(97), to: at(103), why: 'Fan broken', batches: ['a'] });
    const mended = schedule({ ...asked, mend: true });
    expect(faultsOf(asked.batches, mended.steps)).toEqual([]);
    expect(mended.clashes).toEqual([]);
    expect(mended.moved.map((one) => one.batch)).toEqual(['a']);
    // Before the fan broke or after it is mended: either way the pull stays in its window.
    expect(Date.parse(where(mended, 'a', 'off') ?? '') <= Date.parse(at(90)) || Date.parse(where(mended, 'a', 'light') ?? '') >= Date.parse(at(114))).toBe(
      true,
    );
    const changed = mended.moved.flatMap(({ moves }) => moves.map((move) => move.step));
    expect(changed).toContain('light');
    expect(where(mended, 'b', 'light')).toBe(at(121));
  });

  test('a late delivery: the batch follows, the other stays', () => {
    const [a, b] = two();
    if (a === undefined || b === undefined) throw new Error('two batches');
    const late = { ...a, steps: a.steps.map((s, i) => (i === 0 ? { ...s, earliest: at(49), latest: at(60) } : s)) };
    const mended = schedule({ batches: [late, b], resources: [FRIDGE, SMOKER], hours: house, now: NOW, mend: true });
    expect(faultsOf([late, b], mended.steps)).toEqual([]);
    expect(mended.moved.map((one) => one.batch)).toEqual(['a']);
    expect(mended.clashes).toEqual([]);
  });

  test('a core that will not rise: what follows moves back with it, and nothing before it', () => {
    const lit = {
      ...standing('a', [-100, -28, -5, 1]),
      steps: [
        step('in', undefined, { doneAt: at(-100) }),
        step('pull', [48, 72, 120], { doneAt: at(-28) }),
        step('light', [4, 12, 36], { doneAt: at(-5) }),
        step('off', [6, 6, 9], { plannedAt: at(1), earliest: at(3) }),
      ],
    };
    const mended = schedule({ batches: [lit], resources: [FRIDGE, SMOKER], hours: house, now: NOW, mend: true });
    expect(where(mended, 'a', 'off')).toBe(at(3));
    expect(mended.moved[0]?.moves.map((move) => move.step)).toEqual(['off']);
  });

  test('what is due already stays due: no plan makes it less late', () => {
    const late = standing('a', [-2, 70, 93, 99]);
    const mended = schedule({ batches: [late], resources: [FRIDGE, SMOKER], hours: house, now: NOW, mend: true });
    for (const one of mended.moved) {
      expect(one.moves.map((move) => move.step)).not.toContain('in');
      expect(Object.keys(one.at)).not.toContain('in');
    }
  });

  test('whatever stands: a mended plan is never worse than the one that stood, and what does not move is told to stay', () => {
    const stands = fc.array(fc.record({ shift: fc.integer({ min: 0, max: 60 }), amount: fc.integer({ min: 10, max: 30 }) }), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(stands, (wanted) => {
        const batches = wanted.map(({ shift, amount }, i) => {
          const made = standing(
            `b${i}`,
            STANDS.map((h) => h + shift),
            { earliest: at(shift), latest: at(shift + 24) },
          );
          return { ...made, holds: made.holds.map((hold) => (hold.resource === 'fridge' ? { ...hold, amount } : hold)) };
        });
        const asked = { batches, resources: [FRIDGE, SMOKER], hours: house, now: NOW };
        const [stood, mended] = [lookAtPlan(asked), schedule({ ...asked, mend: true })];
        expect(mended.cost).toBeLessThanOrEqual(stood.cost + 1e-6);
        expect(faultsOf(batches, mended.steps)).toEqual([]);
        for (const one of mended.moved) {
          const settled = new Set(batches.find(({ id }) => id === one.batch)?.steps.flatMap((s) => ((s.plannedAt ?? NOW) < NOW ? [s.id] : [])));
          const open = mended.steps.filter((planned) => planned.batch === one.batch && !settled.has(planned.step)).map((planned) => [planned.step, planned.at]);
          expect(Object.entries(one.at)).toEqual(open);
          for (const move of one.moves) expect(move.was).not.toBe(move.at);
        }
      }),
      { numRuns: 8, seed: 31 },
    );
  });
});

describe('one more batch', () => {
  const backwards = (readyH: number, first = {}) => batch('feast', { readyBy: at(readyH) }, { earliest: NOW, ...first });

  test('back from the table: over by then, in working hours, begun as late as its usual days let it', () => {
    const { steps, clashes } = fitIn({ batches: [], resources: [FRIDGE, SMOKER], hours: house, now: NOW }, backwards(24 * 14 + 6));
    expect(clashes).toEqual([]);
    const [begun = '', , , off = ''] = steps.map((planned) => planned.at);
    expect(Date.parse(off) + 15 * 60_000).toBeLessThanOrEqual(Date.parse(at(24 * 14 + 6)));
    expect(Date.parse(off)).toBeGreaterThan(Date.parse(at(24 * 12)));
    expect((Date.parse(off) - Date.parse(begun)) / DAY_MS).toBeCloseTo(3.75, 0);
  });

  test('both ends: where they are too near, the wishes that contradict each other are told, none of them superfluous', () => {
    const asked = { batches: [], resources: [FRIDGE, SMOKER], hours: house, now: NOW };
    const { clashes, steps } = fitIn(asked, backwards(48, { earliest: at(4), latest: at(20) }));
    const [late] = clashes.filter(({ kind }) => kind === 'late');
    if (late?.kind !== 'late' || late.wishes === undefined) throw new Error('it should be late');
    expect(late.wishes.map((wish: Wish) => wish.kind).sort()).toEqual(['gap', 'gap', 'gap', 'notBefore', 'readyBy']);
    expect(steps).toHaveLength(4);
    // Any of them given up, the rest can be had.
    const without = fitIn(asked, backwards(48 + 24 * 3, { earliest: at(4), latest: at(20) }));
    expect(without.clashes.filter(({ kind }) => kind === 'late')).toEqual([]);
  });

  test('beside what stands: it goes where the smoker is free', () => {
    const stood = standing('a', STANDS);
    const { clashes } = fitIn(
      { batches: [stood], resources: [FRIDGE, { ...SMOKER, capacity: 1 }], hours: house, now: NOW },
      batch('x', {}, { earliest: at(1), latest: at(3) }),
    );
    expect(clashes).toEqual([]);
  });

  test('made in another way where that does away with a clash', () => {
    const batches = [standing('a', STANDS), standing('b', STANDS)];
    const rigid = {
      ...batches[1],
      steps: (batches[1]?.steps ?? []).map((s) => ({
        ...s,
        ...(s.after === undefined ? {} : { after: { ...s.after, leastH: s.after.usualH, mostH: s.after.usualH + 1 } }),
      })),
    } as SchedulableBatch;
    const pumped = {
      ...rigid,
      steps: rigid.steps.map(({ plannedAt: _plannedAt, ...s }) => (s.id === 'pull' ? { ...s, after: { leastH: 24, usualH: 24, mostH: 30 } } : s)),
    };
    const first = { ...(batches[0] as SchedulableBatch), steps: (batches[0]?.steps ?? []).map((s) => ({ ...s, doneAt: s.plannedAt ?? NOW })) };
    const look = lookAtPlan({
      batches: [first, rigid],
      resources: [FRIDGE, { ...SMOKER, capacity: 1 }],
      hours: house,
      now: NOW,
      variants: { b: [{ name: 'pump', batch: pumped }] },
    });
    expect(look.proposals.find(({ kind }) => kind === 'variant')).toMatchObject({ batch: 'b', variant: 'pump', gone: ['full smoker a b'] });
  });
});

test('out of order until before it is so is refused in a sentence', () =>
  expect(() => schedule({ batches: [], resources: [{ ...SMOKER, closed: [{ from: at(4), to: at(2), why: '' }] }], hours, now: NOW })).toThrow(/until before/));
