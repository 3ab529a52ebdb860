import { HOUR_MS, DAY_MS } from '../clock/spans.js';
import { checkEntry } from './checkEntry.js';
import type { EntryDraft } from '../log/entryFault.js';
import type { LogEntry } from '../log/logEntry.js';
import { processFor } from '../recipes/processes.js';
import type { DesignChanges } from '../log/designChanges.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';
import { usualDesign } from '../recipes/usualDesign.js';
import { loggedFrom } from '../testing/logged.js';

const START = '2026-10-05T07:00:00.000Z';
const ms = (hours: number) => Date.parse(START) + hours * HOUR_MS;
const at = (hours: number) => new Date(ms(hours)).toISOString();

const record = (entries: LogEntry[] = []): BatchRecord => ({
  id: 'b',
  code: 'T-1',
  design: usualDesign('canadian-bacon', START),
  process: processFor('canadian-bacon'),
  entries,
});

const draft = (seq: number, changes: DesignChanges, hours: number): EntryDraft => ({
  id: `r${seq}`,
  by: 'Juno',
  at: at(hours),
  kind: 'replanned',
  changes,
  reason: 'A test',
});
const replanned = (seq: number, changes: DesignChanges, hours: number): LogEntry => ({ ...draft(seq, changes, hours), seq, recordedAt: at(hours) });
const faults = (of: BatchRecord, changes: DesignChanges, hours: number) => checkEntry(of, draft(99, changes, hours), ms(hours)).map(({ message }) => message);

const sheet = (of: BatchRecord) => replay(of, ms(1)).facts.brines.map(({ waterG, saltG, sugarG, cureG }) => ({ waterG, saltG, sugarG, cureG }));
const done = loggedFrom(Date.parse(START));
const BEGUN = [done(1, 'weigh', 0.2, { 'greenG:A': 2600 }), done(2, 'mix', 1, sheet(record())[0] ?? {}), done(3, 'meat-in', 4, { brineC: 3 })];
const turned = (times: number) => Array.from({ length: times }, (_, i) => done(4 + i, `turn-${i + 1}`, 4 + 24 * (i + 1), {}));

describe('a plan that is changed on the way', () => {
  test('two days more move the pull by two days, and nothing that is done', () => {
    const before = replay(record(BEGUN), ms(5));
    const after = replay(record([...BEGUN, replanned(4, { cureDays: 16 }, 5)]), ms(5));
    const due = (state: typeof before, id: string) => state.steps.find((step) => step.spec.id === id)?.dueAt ?? 0;
    expect(due(after, 'pull') - due(before, 'pull')).toBe(2 * DAY_MS);
    expect(after.steps.filter(({ closing }) => closing !== null)).toHaveLength(3);
    expect(after.steps.some((step) => step.spec.id === 'turn-15')).toBe(true);
  });

  test('changes follow each other, and one that is taken back is gone', () => {
    const entries = [...BEGUN, replanned(4, { cureDays: 16 }, 5), replanned(5, { coldC: 2 }, 6)];
    expect(replay(record(entries), ms(7)).design).toMatchObject({ cureDays: 16, coldC: 2 });
    const back: LogEntry = { id: 'w', seq: 6, kind: 'withdrawn', replaces: 'r4', by: 'Juno', at: at(8), recordedAt: at(8), reason: 'Changed my mind' };
    expect(checkEntry(record(entries), back, ms(8))).toEqual([]);
    const design = replay(record([...entries, back]), ms(9)).design;
    expect([design.cureDays, design.coldC]).toEqual([14, 2]);
  });

  test('until a brine is mixed it may be pumped instead: another sheet, other steps, the same green weight', () => {
    const weighed = record(BEGUN.slice(0, 1));
    expect(faults(weighed, { pumpPercent: 8, cureDays: 6 }, 0.5)).toEqual([]);
    const state = replay(record([...BEGUN.slice(0, 1), replanned(2, { pumpPercent: 8, cureDays: 6 }, 0.5)]), ms(0.6));
    expect(state.facts.brines.map(({ id }) => id)).toEqual(['pickle', 'cover']);
    expect(state.next?.spec.id).toBe('mix-pickle');
    expect(state.facts.greenG.A).toBe(2600);
    // 8 % of 2600 g at 150 ppm needs 1875 ppm in the pickle; the cover brings the whole to 150, never over it.
    expect(state.figures.nitrite.applies.value).toBeLessThanOrEqual(156);
  });

  test('what meat and brine have begun cannot be decided anew', () => {
    expect(faults(record(BEGUN), { pumpPercent: 8 }, 5)).toEqual([expect.stringMatching(/brine is mixed/)]);
    expect(faults(record(BEGUN), { saltPercent: 3 }, 5)).toEqual([expect.stringMatching(/brine is mixed/)]);
    expect(faults(record(BEGUN), { thicknessShare: 0.5 }, 5)).toHaveLength(1);
    expect(faults(record(BEGUN), { cureDays: 12 }, 5)).toEqual([]);
    expect(faults(record([...BEGUN, ...turned(6)]), { cureDays: 6 }, 150)).toEqual([expect.stringMatching(/Turn 6 is logged already/)]);
    expect(faults(record([...BEGUN, ...turned(6)]), { cureDays: 7 }, 150)).toEqual([]);
    const pulled = [...BEGUN, done(4, 'pull', 340, { 'pulledG:A': 2650, firmness: 'firm', smell: 'fresh' })];
    expect(faults(record(pulled), { cureDays: 15 }, 341)).toEqual([expect.stringMatching(/is pulled/)]);
    expect(faults(record(pulled), { soakMin: 40 }, 341)).toEqual([]);
  });

  test('a plan that the brine was mixed by is not taken back', () => {
    const pumpedPlan = [...BEGUN.slice(0, 1), replanned(2, { pumpPercent: 8, cureDays: 6 }, 0.5)];
    const [pickle] = sheet(record(pumpedPlan));
    const entries = [...pumpedPlan, done(3, 'mix-pickle', 1, pickle ?? {})];
    const back: EntryDraft = { id: 'w', kind: 'withdrawn', replaces: 'r2', by: 'Juno', at: at(2), reason: 'Changed my mind' };
    expect(checkEntry(record(entries), back, ms(2)).map(({ message }) => message)).toEqual([expect.stringMatching(/mixed by this plan/)]);
  });

  test.each<[DesignChanges | Record<string, unknown>, RegExp]>([
    [{}, /Nothing is given/],
    [{ cureDays: 0 }, /at least|1/],
    [{ cureDays: Number.NaN }, /number/],
    [{ coldC: 12 }, /4/],
    [{ soakMin: 5000 }, /1440/],
    [{ pickleSaltPercent: 12 }, /not pumped/],
    [{ pumpPercent: 1 }, /The cure alone makes this brine/],
    [{ skinOn: 'yes' }, /yes or no/],
    [{ nitritePpm: 900 }, /nothing that a plan can change/],
  ])('%j is refused', (changes, said) => {
    expect(faults(record(), changes, 0.1).join(' ')).toMatch(said);
  });

  test('a job is moved inside its limits, not outside them; what is done, or not there, does not move', () => {
    const move = (stepAt: Record<string, string>) => faults(record([...BEGUN, ...turned(6)]), { stepAt }, 150);
    // The meat went in at hour 4; a loin lies 7 to 24 days.
    expect(move({ pull: at(4 + 24 * 9) })).toEqual([]);
    expect(move({ pull: at(4 + 24 * 6.5) })).toEqual([expect.stringMatching(/not sooner than 7 days after “Meat in”/)]);
    expect(move({ pull: at(4 + 24 * 25) })).toEqual([expect.stringMatching(/not later than 24 days after “Meat in”/)]);
    expect(move({ rack: at(4 + 24 * 20) })).toEqual([expect.stringMatching(/not later than .* after “Out of the water”/)]);
    expect(move({ 'turn-2': at(200) })).toEqual([expect.stringMatching(/is done already/)]);
    expect(move({ nothing: at(200) })).toEqual([expect.stringMatching(/no such step/)]);
    expect(move({ pull: 'soon' })).toEqual([expect.stringMatching(/new time is none/)]);
    const state = replay(record([...BEGUN, ...turned(6), replanned(10, { stepAt: { pull: at(4 + 24 * 9) } }, 150)]), ms(150));
    expect(state.steps.find((step) => step.spec.id === 'pull')?.dueAt).toBe(ms(4 + 24 * 9));
    expect(state.steps.find((step) => step.spec.id === 'rack')?.dueAt).toBeLessThan(ms(4 + 24 * 10));
  });

  test('a word of the Calendar never shortens what must lie between two jobs: where one slips, the next keeps its least', () => {
    const dry = [
      ...BEGUN,
      done(4, 'pull', 340, { 'pulledG:A': 2650, firmness: 'firm', smell: 'fresh' }),
      done(5, 'fry', 341, { taste: 'salty' }),
      done(6, 'soak-in', 341.5, {}),
    ];
    // Raise the heat two and a half hours after the meat is on: the meat comes on three hours late.
    const planned = replanned(7, { stepAt: { 'meat-on': at(360), raise: at(362.5), pellicle: at(350) } }, 342);
    const due = (of: LogEntry[], now: number, id: string) =>
      (replay(record(of), ms(now)).steps.find((step) => step.spec.id === id)?.dueAt ?? 0 - ms(0)) - ms(0);
    const late = [...dry, planned, done(8, 'soak-out', 342.5, { taste: 'right' }), done(9, 'rack', 349, {})];
    // On the rack at 349: four hours at least, whatever was planned.
    expect(due(late, 349, 'pellicle')).toBe(353 * HOUR_MS);
    const on = [...late, done(10, 'pellicle', 355, { surface: 'tacky' }), done(11, 'light', 356, {}), done(12, 'meat-on', 363, { chamberC: 90, coreC: 5 })];
    expect(due(on, 363, 'raise')).toBe(365.5 * HOUR_MS);
  });

  test('a plan that was shortened on the way does not excuse a pull before the shortest days', () => {
    const shortened = record([...BEGUN, replanned(4, { cureDays: 4 }, 5)]);
    const pull: EntryDraft = {
      id: 'p',
      by: 'Juno',
      at: at(101),
      kind: 'done',
      stepId: 'pull',
      values: { 'pulledG:A': 2650, firmness: 'firm', smell: 'fresh' },
    };
    expect(checkEntry(shortened, pull, ms(101)).map(({ field }) => field)).toEqual(['reason']);
    expect(checkEntry(shortened, { ...pull, reason: 'The crew leaves tomorrow' }, ms(101))).toEqual([]);
  });

  test('planned minutes of soak are when it comes out', () => {
    const entries = [...BEGUN, done(4, 'pull', 340, { 'pulledG:A': 2650, firmness: 'firm', smell: 'fresh' }), done(5, 'fry', 341, { taste: 'salty' })];
    const out = (of: LogEntry[]) => replay(record(of), ms(342)).steps.find((step) => step.spec.id === 'soak-out')?.dueAt ?? 0;
    const soaking = [...entries, done(6, 'soak-in', 342, {})];
    expect(out([...soaking, replanned(7, { soakMin: 25 }, 342)]) - ms(342)).toBe(25 * 60_000);
    expect(out(soaking) - ms(342)).toBe(45 * 60_000);
  });
});
