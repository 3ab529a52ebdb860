import { HOUR_MS } from '../clock/spans.js';
import { SectionRun } from '../diffusion/sectionRun.js';
import { simulateSection } from '../diffusion/simulateSection.js';
import type { BatchDesign } from '../log/batchDesign.js';
import type { LogEntry } from '../log/logEntry.js';
import { processFor } from '../recipes/processes.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';
import { usualDesign } from '../recipes/usualDesign.js';
import { cureCourse } from '../batch/cureCourse.js';
import { pullWindow } from './pullWindow.js';
import { saltAfterLoss } from './saltAfterLoss.js';
import { sectionAt } from './sectionAt.js';
import { whatIfCourse, whatIfs } from './whatIf.js';
import { loggedFrom } from '../testing/logged.js';

const START = Date.parse('2026-10-05T07:00:00Z');
const at = (hours: number) => new Date(START + hours * HOUR_MS).toISOString();
const done = loggedFrom(START);

function batch(product: string, entries: LogEntry[] = [], nowH = 0, design: Partial<BatchDesign> = {}) {
  const record: BatchRecord = { id: 'b', code: 'X-1', design: { ...usualDesign(product, at(0)), ...design }, process: processFor(product), entries };
  const now = START + nowH * HOUR_MS;
  return { record, state: replay(record, now), now };
}
const LOIN = [
  done(1, 'weigh', 0, { 'greenG:A': 2600 }),
  done(2, 'mix', 1, { waterG: 1200, saltG: 80, sugarG: 40, cureG: 9 }),
  done(3, 'meat-in', 2, { brineC: 3 }),
];

describe('what if', () => {
  const before = batch('canadian-bacon');
  const plan = cureCourse(before.record, before.state, 'A');
  const asked = (id: string, { record, state, now }: ReturnType<typeof batch> = before) => {
    const found = whatIfs(record, state, now).find((whatIf) => whatIf.id === id);
    if (found === undefined) throw new Error(`no what-if ${id}`);
    return { ...found, course: whatIfCourse(record, state, found, 'A', now) };
  };
  const bestH = (course = plan) => pullWindow(course, 3).bestH ?? Infinity;

  test('pumped it takes colour at once; thinner and warmer it is even sooner; under silver skin later; a day less is a day less', () => {
    expect(pullWindow(asked('pump').course, 3).earliestH ?? Infinity).toBeLessThan((pullWindow(plan, 3).earliestH ?? 0) / 3);
    // Time goes with the square of the thickness: nine sixteenths of it.
    expect(bestH(asked('thinner').course) / bestH()).toBeCloseTo(0.5625, 1);
    expect(bestH(asked('warmer').course)).toBeLessThan(bestH());
    expect(bestH(asked('skin').course)).toBeGreaterThan(bestH() * 1.1);
    expect(plan.pullH - asked('shorter').course.pullH).toBeCloseTo(24, 6);
  });

  test('once meat and brine have met only days and cold are open; the rest is for the next batch, from its own beginning', () => {
    const running = batch('canadian-bacon', LOIN, 50);
    const open = whatIfs(running.record, running.state, running.now).filter((whatIf) => whatIf.open);
    expect(open.map(({ id }) => id)).toEqual(['shorter', 'longer', 'warmer']);
    const pump = asked('pump', running);
    expect(pump.open).toBe(false);
    expect(pump.course.stages.salt[0]?.kind).toBe('inject');
    expect(pump.course.marks.every((mark) => !mark.done)).toBe(true);
    // What is taken over goes on from what was really done.
    expect(asked('longer', running).course.marks.filter((mark) => mark.done)).toHaveLength(1);
  });

  test('nothing is offered that cannot be: no pickle over what water holds, no cure of no days', () => {
    const strong = batch('ham-bone-in', [], 0, { cureDays: 1 });
    const { school } = strong.record.design;
    if (school.kind !== 'pumpAndCover') throw new Error('a ham is pumped');
    const record = { ...strong.record, design: { ...strong.record.design, school: { ...school, pickleSaltPercent: 22 } } };
    const ids = whatIfs(record, strong.state, START).map(({ id }) => id);
    expect(ids).not.toContain('shorter');
    expect(whatIfs(record, replay(record, START), START).map(({ id }) => id)).not.toContain('pickle');
  });
});

describe('a side that is closed', () => {
  test('a slab closed on one side is half of one twice as thick', () => {
    const hours = 24 * 10;
    const closed = simulateSection({
      section: { shape: 'slab', thicknessMm: 30 },
      meatG: 1500,
      cellMm: 0.5,
      stages: [{ kind: 'bath', hours, bathG: 700, saltPercent: 8, closedSide: 'top' }],
    });
    const whole = simulateSection({
      section: { shape: 'slab', thicknessMm: 60 },
      meatG: 1500,
      cellMm: 0.5,
      stages: [{ kind: 'bath', hours, bathG: 700, saltPercent: 8 }],
    });
    expect(closed.mean.at(-1)).toBeCloseTo(whole.mean.at(-1) ?? 0, 3);
    expect(closed.saltBalanceError).toBeLessThan(1e-9);
  });

  test('skin on one side and the floor of the tub on the other: nothing comes in', () => {
    const run = new SectionRun({ section: { shape: 'slab', thicknessMm: 30, closedSide: 'top' }, meatG: 1500, stages: [], sampleHours: 1 });
    run.play({ kind: 'bath', hours: 24, bathG: 700, saltPercent: 8, closedSide: 'bottom' });
    expect(run.meanSalt()).toBe(0);
  });

  test('a piece that nobody turned lies with one side closed from when it was due, and cures more slowly', () => {
    const late = batch('canadian-bacon', [...LOIN, done(4, 'turn-4', 98, { coldC: 3 })], 100);
    const turned = batch('canadian-bacon', [...LOIN, ...[1, 2, 3, 4].map((n) => done(3 + n, `turn-${n}`, 2 + 24 * n, { coldC: 3 }))], 100);
    const baths = (of: ReturnType<typeof batch>) => cureCourse(of.record, of.state, 'A').stages.salt.flatMap((stage) => (stage.kind === 'bath' ? [stage] : []));
    const closed = baths(late).filter((stage) => stage.closedSide !== undefined);
    expect(closed.map(({ hours }) => hours)).toEqual([72]);
    expect(baths(turned).some((stage) => stage.closedSide !== undefined)).toBe(false);
    const mean = (of: ReturnType<typeof batch>) => sectionAt(cureCourse(of.record, of.state, 'A'), { species: 'salt', atH: 96, cellMm: 3 }).meanSalt();
    expect(mean(late)).toBeLessThan(mean(turned) * 0.95);
  });
});

describe('the latest day', () => {
  test('an even cure has none; a brine weighed far too strong has one, and by then the mean is half a per cent over its aim', () => {
    expect(pullWindow(cureCourse(...args(batch('canadian-bacon'))), 3).latestH).toBeNull();
    const strong = [LOIN[0] as LogEntry, done(2, 'mix', 1, { waterG: 1200, saltG: 190, sugarG: 40, cureG: 9 }), LOIN[2] as LogEntry];
    const course = cureCourse(...args(batch('canadian-bacon', strong, 3)));
    const { latestH } = pullWindow(course, 3);
    expect(latestH).not.toBeNull();
    const longer = { ...course, pullH: latestH ?? 0 };
    expect(sectionAt(longer, { species: 'salt', atH: Math.min(course.pullH, latestH ?? 0), cellMm: 3 }).meanSalt()).toBeCloseTo(2.8, 1);
  });

  const args = ({ record, state }: ReturnType<typeof batch>) => [record, state, 'A'] as const;
});

describe('salt after loss', () => {
  test('the salt stays, the weight goes', () => {
    expect(saltAfterLoss({ saltPercent: 2, beforeG: 1000, afterG: 800 })).toBeCloseTo(2.5, 12);
    expect(() => saltAfterLoss({ saltPercent: 20, beforeG: 1000, afterG: 100 })).toThrow(/less than the salt/);
    expect(() => saltAfterLoss({ saltPercent: 2, beforeG: 0, afterG: 100 })).toThrow(/more than 0/);
  });
});
