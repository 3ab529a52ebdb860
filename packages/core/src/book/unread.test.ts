import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';
import { deviations } from './deviations.js';
import { packLabel } from './packLabel.js';
import { HOUR_MS, MINUTE_MS } from '../clock/spans.js';
import type { EntryDraft } from '../log/entryFault.js';
import type { StepValues } from '../log/logEntry.js';
import { pieceReleases } from '../pit/pieceReleases.js';
import { PLANNED_PRODUCTS, processFor } from '../recipes/processes.js';
import { usualDesign } from '../recipes/usualDesign.js';
import { brineOf } from '../steps/mixSteps.js';
import { begunFrom, loinFrom } from '../testing/loin.js';
import { checkEntry } from '../check/checkEntry.js';

const START = Date.parse('2026-10-05T07:00:00.000Z');
const loin = loinFrom(START);
const WHY = 'No thermometer at hand';
const isoAt = (ms: number) => new Date(ms).toISOString();
const draft = (stepId: string, h: number, values: StepValues, reason?: string) =>
  ({
    id: `d-${stepId}-${h}`,
    by: 'Juno',
    kind: 'done',
    stepId,
    values,
    at: isoAt(START + h * HOUR_MS),
    ...(reason === undefined ? {} : { reason }),
  }) as EntryDraft;
const faults = (record: BatchRecord, one: EntryDraft) => checkEntry(record, one, Date.parse(one.at)).map(({ field, code }) => `${field} ${code}`);

test('a temperature that nobody read is written as that, with why; without a word it is asked for', () => {
  const mixed = loin(begunFrom(START).slice(0, 2));
  expect(faults(mixed, draft('meat-in', 4, {}))).toEqual(['values.brineC input-unread']);
  expect(faults(mixed, draft('meat-in', 4, {}, 'no'))).toEqual(['values.brineC input-unread']);
  expect(faults(mixed, draft('meat-in', 4, {}, WHY))).toEqual([]);
});

test('what the dose is worked out from is weighed, whatever is written', () => {
  expect(faults(loin(), draft('weigh', 0.2, {}, WHY))).toEqual(['values.greenG:A input-missing']);
  expect(faults(loin(begunFrom(START).slice(0, 1)), draft('mix', 1, { waterG: 1170 }, WHY))).toEqual([
    'values.saltG input-missing',
    'values.sugarG input-missing',
    'values.cureG input-missing',
  ]);
});

test('pulled without a scale it is pulled: no advice on the days of cure, the water stands on the label, and the record names what was not read', () => {
  const begun = begunFrom(START);
  const pull = { ...draft('pull', 14 * 24, { firmness: 'firm', smell: 'fresh' }, 'No scale at hand'), seq: 4, recordedAt: '' };
  const record = loin([...begun, pull]);
  const state = replay(record, START + 15 * 24 * HOUR_MS);
  expect(state.facts.isPulled).toBe(true);
  expect(state.step('pull')?.status).toBe('done');
  expect(state.findings.map(({ code }) => code)).not.toContain('cure-long');
  expect(packLabel(record, state).ingredients.map(({ message }) => message)).toContain('water');
  expect(deviations(record, state)).toMatchObject([
    { kind: 'unread', what: 'Pull, not read: Weight', reason: 'No scale at hand' },
    { kind: 'missed', what: 'Turns 1–13 not logged' },
  ]);
});

/** Hands that weigh the brine as on its sheet, and read nothing ever after. */
function playedBlind(record: BatchRecord): BatchRecord {
  let at = START;
  for (let n = 1; n < 120; n += 1) {
    const state = replay(record, at);
    const { next } = state;
    if (next === null) return record;
    at = Math.max(at, next.dueAt) + MINUTE_MS;
    const brine = state.facts.brines.find(({ id }) => id === brineOf(next.spec.id));
    const pump = state.design.school.kind === 'pumpAndCover' ? state.design.school : { pumpPercent: 0, repumpPercent: 0 };
    const ofEach = (name: string, g: (greenG: number) => number) => Object.fromEntries(state.pieces.map(({ code, greenG }) => [`${name}:${code}`, g(greenG)]));
    const pumpedG = (greenG: number) => greenG * (1 + pump.pumpPercent / 100);
    const weighed: Record<string, () => StepValues> = {
      weigh: () => ofEach('greenG', (g) => g),
      pump: () => ofEach('pumpedG', pumpedG),
      repump: () => ({ ...ofEach('beforeG', pumpedG), ...ofEach('pumpedG', (g) => pumpedG(g) * (1 + pump.repumpPercent / 100)) }),
    };
    const values: StepValues =
      brine === undefined ? (weighed[next.spec.id]?.() ?? {}) : { waterG: brine.waterG, saltG: brine.saltG, sugarG: brine.sugarG, cureG: brine.cureG };
    const one = draft(next.spec.id, (at - START) / HOUR_MS, values, 'Nobody was here to read it');
    expect(checkEntry(record, one, at)).toEqual([]);
    record = { ...record, entries: [...record.entries, { ...one, id: `n${n}`, seq: n, recordedAt: one.at }] };
  }
  throw new Error('It came to no end.');
}

test.each(PLANNED_PRODUCTS)('%s is written to its end with nothing read; it is neither cooked nor chilled by that', (product) => {
  const record = playedBlind({ id: 'b', code: 'T-1', design: usualDesign(product, isoAt(START)), process: processFor(product), entries: [] });
  const end = Date.parse(record.entries.at(-1)?.at ?? '');
  const state = replay(record, end);
  expect(state.outcome).toBe('finished');
  for (const release of pieceReleases(record, state, end)) {
    expect(release.cooked).toBe('notShown');
    expect(release.chilled).not.toBe('pass');
  }
  const keeping = packLabel(record, state).keeping.map(({ code }) => code);
  expect(keeping).toContain('cook-first');
  expect(keeping).not.toContain('fully-cooked');
  expect(deviations(record, state).filter(({ kind }) => kind === 'unread').length).toBeGreaterThan(3);
});
