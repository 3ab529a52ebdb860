import { HOUR_MS } from '../clock/spans.js';
import fc from 'fast-check';
import { checkEntry } from './checkEntry.js';
import type { EntryDraft } from '../log/entryFault.js';
import { inputNames } from '../steps/gates.js';
import type { StepValues } from '../log/logEntry.js';
import { processFor, PLANNED_PRODUCTS } from '../recipes/processes.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord, BatchState } from '../batch/batchState.js';
import type { StepInput } from '../steps/step.js';
import { usualDesign } from '../recipes/usualDesign.js';

const START = '2026-10-05T07:00:00.000Z';

/** What a hurried hand may put where a number or a choice is asked for: mostly sensible, sometimes not. */
const scribble = (input: StepInput): fc.Arbitrary<number | string | undefined> => {
  const sensible: fc.Arbitrary<number | string> =
    input.kind === 'choice'
      ? fc.constantFrom(...input.options.map((option) => option.value))
      : input.kind === 'temperature'
        ? fc.double({ min: 0, max: 100, noNaN: true })
        : fc.double({ min: 1, max: 9000, noNaN: true });
  return fc.oneof({ weight: 8, arbitrary: sensible }, { weight: 1, arbitrary: fc.constantFrom(undefined, 'x', -1, 0, 1e12, Number.NaN, Infinity) });
};

const act = fc.record({
  kind: fc.constantFrom('done', 'done', 'done', 'done', 'skipped', 'correction', 'withdrawn', 'note', 'ended', 'replanned'),
  changes: fc.record(
    {
      cureDays: fc.double({ min: -1, max: 70 }),
      coldC: fc.double({ min: -3, max: 6 }),
      pumpPercent: fc.integer({ min: 0, max: 40 }),
      soakMin: fc.integer({ min: 1, max: 2000 }),
    },
    { requiredKeys: [] },
  ),
  /** the present step, or any */
  step: fc.oneof({ weight: 5, arbitrary: fc.constant(-1) }, { weight: 1, arbitrary: fc.integer({ min: 0, max: 30 }) }),
  target: fc.integer({ min: 0, max: 20 }),
  onSheet: fc.boolean(),
  laterH: fc.double({ min: -5, max: 60, noNaN: true }),
  reason: fc.constantFrom('', 'because', 'the jar fell over'),
  seed: fc.integer(),
});
type Act = typeof act extends fc.Arbitrary<infer T> ? T : never;

function valuesFor(record: BatchRecord, stepId: string, { seed, onSheet }: Act, now: number): StepValues {
  const state = replay(record, now);
  const spec = state.steps.find((step) => step.spec.id === stepId)?.spec;
  const brine = state.facts.brines.find((candidate) => stepId === (candidate.id === 'brine' ? 'mix' : `mix-${candidate.id}`));
  if (brine !== undefined && onSheet) return { waterG: brine.waterG, saltG: brine.saltG, sugarG: brine.sugarG, cureG: brine.cureG };
  const values: StepValues = {};
  for (const input of spec?.inputs ?? []) {
    inputNames(input, record.design.pieces).forEach((name, i) => {
      const [value] = fc.sample(scribble(input), { seed: seed + i, numRuns: 1 });
      const green = record.design.pieces[0]?.greenG ?? 1000;
      const near = onSheet && input.kind === 'mass' ? green * (1 + (Math.abs(seed) % 12) / 100) : value;
      if (near !== undefined) values[name] = near;
    });
  }
  return values;
}

function draftOf(record: BatchRecord, asked: Act, n: number, now: number): EntryDraft {
  const state = replay(record, now);
  const stepId = (asked.step < 0 ? state.next?.spec.id : state.steps[asked.step % state.steps.length]?.spec.id) ?? 'pack';
  const target = record.entries[asked.target % Math.max(1, record.entries.length)];
  const replaced = target !== undefined && 'stepId' in target ? target.stepId : stepId;
  const written = { id: `e${n}`, by: 'Fuzz', at: new Date(now + Math.min(0, asked.laterH) * HOUR_MS).toISOString() };
  switch (asked.kind) {
    case 'done':
      return { ...written, kind: 'done', stepId, values: valuesFor(record, stepId, asked, now), reason: asked.reason };
    case 'correction':
      return { ...written, kind: 'correction', replaces: target?.id ?? 'none', values: valuesFor(record, replaced, asked, now), reason: asked.reason };
    case 'withdrawn':
      return { ...written, kind: 'withdrawn', replaces: target?.id ?? 'none', reason: asked.reason };
    case 'skipped':
      return { ...written, kind: 'skipped', stepId, reason: asked.reason };
    case 'replanned':
      return { ...written, kind: 'replanned', changes: asked.changes, reason: asked.reason };
    case 'note':
      return { ...written, kind: 'note', reason: asked.reason };
    default:
      return { ...written, kind: 'ended', reason: asked.reason };
  }
}

/** A state without the ways to ask it. */
const said = ({ step: _step, closing: _closing, closedAt: _closedAt, ...state }: BatchState) => state;

describe('a hurried hand at the log', () => {
  test('whatever is thrown at it: nothing breaks, what is let in keeps the order of the work, and meat never goes on over the limit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PLANNED_PRODUCTS),
        fc.constantFrom('equilibrium' as const, 'pumpAndCover' as const),
        fc.array(act, { maxLength: 25 }),
        (product, school, acts) => {
          const design = usualDesign(product, START, school);
          let record: BatchRecord = { id: 'b', code: 'T-1', design, process: processFor(product), entries: [] };
          let now = Date.parse(START);
          acts.forEach((asked, i) => {
            now += Math.max(0, asked.laterH) * HOUR_MS;
            const draft = draftOf(record, asked, i + 1, now);
            const before = replay(record, now);
            if (checkEntry(record, draft, now).length > 0) return;
            record = {
              ...record,
              entries: [...record.entries, { ...draft, seq: record.entries.length + 1, recordedAt: new Date(now).toISOString() }],
            };
            const after = replay(record, now);
            for (const step of after.steps) {
              if (step.closing === null) continue;
              for (const id of step.spec.needs) {
                const needed = after.steps.find((other) => other.spec.id === id);
                expect(needed?.closing).not.toBeNull();
                expect(Date.parse(step.closing.at)).toBeGreaterThanOrEqual(Date.parse(needed?.closing?.at ?? START));
              }
            }
            const wasOver = before.findings.some((finding) => finding.code === 'nitrite-over');
            if (draft.kind === 'done' && draft.stepId === 'meat-in') expect(wasOver).toBe(false);
            expect(Number.isFinite(after.figures.nitrite.applies.value)).toBe(true);
            // Replaying is the same each time, and does not change what it replays.
            expect(said(replay(structuredClone(record), now))).toEqual(said(after));
          });
        },
      ),
      { numRuns: 150 },
    );
  });
});
