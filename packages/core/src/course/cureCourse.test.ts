import { HOUR_MS } from '../clock/spans.js';
import { programHours, type Stage } from '../diffusion/sectionProgram.js';
import { simulateSection } from '../diffusion/simulateSection.js';
import { cureCourse } from '../batch/cureCourse.js';
import type { LogEntry } from '../log/logEntry.js';
import { processFor } from '../recipes/processes.js';
import { pullWindow } from './pullWindow.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';
import { soakMinutes, soakPlan } from './soakPlan.js';
import { usualDesign } from '../recipes/usualDesign.js';
import { loggedFrom } from '../testing/logged.js';

const START = Date.parse('2026-10-05T07:00:00Z');

const done = loggedFrom(START);

function courseOf(product: string, entries: LogEntry[] = [], nowH = 0) {
  const record: BatchRecord = { id: 'b', code: 'X-1', design: usualDesign(product, new Date(START).toISOString()), process: processFor(product), entries };
  return cureCourse(record, replay(record, START + nowH * HOUR_MS), 'A');
}

const kinds = (stages: readonly Stage[]) => stages.map((stage) => stage.kind);
const HAM = [
  done(1, 'weigh', 0, { 'greenG:A': 7600 }),
  done(2, 'mix-pickle', 1, { waterG: 845, saltG: 125, sugarG: 55, cureG: 21 }),
  done(3, 'mix-cover', 1.5, { waterG: 4100, saltG: 160, sugarG: 65, cureG: 12.7 }),
  done(4, 'pump', 4, { pickleC: 3, 'pumpedG:A': 8208 }),
  done(5, 'meat-in', 5, { brineC: 3 }),
  done(6, 'turn-1', 29, { coldC: 5 }),
];

describe('the course of a piece', () => {
  test('an even cure: brine to the pull, then water, then the plate', () => {
    const { stages, marks, pullH } = courseOf('canadian-bacon');
    expect(new Set(kinds(stages.salt))).toEqual(new Set(['bath', 'rest']));
    expect(pullH).toBeCloseTo(14 * 24, 0);
    expect(marks.map(({ kind }) => kind).filter((kind) => kind !== 'turn')).toEqual(['meatIn', 'pull', 'soakIn', 'soakOut', 'plate']);
    expect(stages.salt.filter((stage) => stage.kind === 'bath' && stage.saltPercent === 0)).toHaveLength(1);
  });

  test('a ham follows what was really done: the weighed pump, the weighed brines, the read refrigerator', () => {
    const { stages, meatG, marks } = courseOf('ham-bone-in', HAM, 30);
    const [first] = stages.salt;
    expect(meatG).toBe(7600);
    expect(first).toMatchObject({ kind: 'inject', pumpPercent: 8 });
    // (125 + 21 × 0.9375) ÷ 1046
    expect(first?.kind === 'inject' && first.brineSaltPercent).toBeCloseTo(13.833, 2);
    const baths = stages.salt.filter((stage) => stage.kind === 'bath' && stage.saltPercent > 0);
    expect(baths[0]).toMatchObject({ bathG: 4100 + 160 + 65 + 12.7, temperatureC: 3, goesOn: false });
    expect(baths[1]).toMatchObject({ temperatureC: 5, goesOn: true });
    expect(kinds(stages.salt).filter((kind) => kind === 'inject')).toHaveLength(2);
    expect(marks.filter((mark) => mark.done).map(({ kind }) => kind)).toEqual(['pump', 'meatIn', 'turn']);
  });

  test('a re-pump that is left out, or a pull that came early, is in it', () => {
    const skipped: LogEntry = { ...done(7, 'repump', 80, {}), kind: 'skipped', reason: 'The needle broke' };
    const early = done(8, 'pull', 100, { 'pulledG:A': 8100, smell: 'fresh', firmness: 'firm' });
    const { stages, pullH } = courseOf('ham-bone-in', [...HAM, skipped, early], 101);
    expect(kinds(stages.salt).filter((kind) => kind === 'inject')).toHaveLength(1);
    expect(pullH).toBeCloseTo(96, 6);
  });

  test('salt and nitrite move alike, and left long enough in the brine the nitrite is the even figure', () => {
    const course = courseOf('canadian-bacon');
    expect(programHours(course.stages.salt)).toBe(programHours(course.stages.nitrite));
    const [bath] = course.stages.nitrite;
    if (bath?.kind !== 'bath') throw new Error('it lies in brine first');
    const run = simulateSection({ section: course.section, meatG: course.meatG, cellMm: 4, stages: [{ ...bath, hours: 3000 }] });
    // 150 ppm was aimed at
    expect((run.mean.at(-1) ?? 0) * 1e4).toBeCloseTo(150, 0);
  });

  test('a piece that is not in the batch is refused', () => {
    const record: BatchRecord = {
      id: 'b',
      code: 'X-1',
      design: usualDesign('pastrami', new Date(START).toISOString()),
      process: processFor('pastrami'),
      entries: [],
    };
    expect(() => cureCourse(record, replay(record, START), 'Q')).toThrow(/no piece Q/);
  });
});

describe('when it may be pulled', () => {
  test('a loin takes colour before it is even, and two weeks are about it', () => {
    const { earliestH, bestH } = pullWindow(courseOf('canadian-bacon'), 3);
    expect(earliestH).not.toBeNull();
    expect((earliestH ?? 0) / 24).toBeLessThan((bestH ?? Infinity) / 24);
    expect((bestH ?? 0) / 24).toBeGreaterThan(12);
    expect((bestH ?? 0) / 24).toBeLessThan(35);
  });

  test('a slower meat must wait longer', () => {
    const course = courseOf('pastrami');
    expect(pullWindow(course, 2, 2e-10).bestH ?? Infinity).toBeGreaterThan(pullWindow(course, 2, 4e-10).bestH ?? 0);
  });
});

describe('how long to soak', () => {
  const plan = soakPlan(courseOf('ham-bone-in', HAM, 30), { cellMm: 5 });

  test('the edge falls first and fast, the mean slowly, and more water changes take more', () => {
    expect(plan.edge[0]).toBeGreaterThan(plan.mean[0] ?? Infinity);
    plan.mean.slice(1).forEach((mean, i) => expect(mean).toBeLessThan(plan.mean[i] ?? 0));
    const hour = plan.minutes.findIndex((minutes) => minutes >= 60);
    expect((plan.edge[0] ?? 0) - (plan.edge[hour] ?? 0)).toBeGreaterThan(3 * ((plan.mean[0] ?? 0) - (plan.mean[hour] ?? 0)));
    expect(soakPlan(courseOf('ham-bone-in', HAM, 30), { cellMm: 5, changes: 5 }).mean.at(-1)).toBeLessThan(plan.mean.at(-1) ?? 0);
  });

  test('minutes to a taste: at that minute the edge is at it; none are needed where it is not salty, and some tastes are never reached', () => {
    const target = ((plan.edge[0] ?? 0) + (plan.edge[6] ?? 0)) / 2;
    const minutes = soakMinutes(plan, target) ?? Number.NaN;
    expect(minutes).toBeGreaterThan(0);
    expect(minutes).toBeLessThan(30);
    expect(soakMinutes(plan, 20)).toBe(0);
    expect(soakMinutes(plan, 0)).toBeNull();
    expect(() => soakPlan(courseOf('ham-bone-in', HAM, 30), { cellMm: 5, waterPerMeat: 0 })).toThrow(/more than 0/);
  });
});
