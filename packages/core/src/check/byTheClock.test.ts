import { DAY_MS, HOUR_MS } from '../clock/spans.js';
import type { PlannedStepId } from '../log/stepId.js';
import fc from 'fast-check';
import { simulateSection } from '../diffusion/simulateSection.js';
import type { BatchDesign } from '../log/batchDesign.js';
import { requireDesign } from '../batch/design.js';
import { checkEntry } from './checkEntry.js';
import type { LogEntry } from '../log/logEntry.js';
import { planBatch } from '../batch/planBatch.js';
import { processOf, requireRecipe } from '../recipes/recipe.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord, BatchState } from '../batch/batchState.js';
import { STARTER_RECIPES } from '../recipes/starterRecipes.js';
import { designOf } from '../recipes/usualDesign.js';

const START = '2026-10-05T07:00:00.000Z';
const recipe = STARTER_RECIPES.find(({ id }) => id === 'canadian-bacon-clock')?.recipe;
if (recipe === undefined) throw new Error('the starter by the clock');
const process = processOf(recipe);

const strong = (over: Partial<BatchDesign> = {}, waterG = 6000): BatchDesign => ({
  ...designOf(process, START),
  school: { kind: 'equilibrium', waterG, strongSaltPercent: 11 },
  ...over,
});
const plan = (design: BatchDesign): BatchState => planBatch(process, design);

/** A batch whose brine was weighed by its sheet, and whose meat lies in it since the second hour. */
function lying(design: BatchDesign = strong()): BatchRecord {
  const brine = plan(design).facts.brines[0];
  const at = (hours: number) => new Date(Date.parse(START) + hours * HOUR_MS).toISOString();
  const done = (seq: number, stepId: PlannedStepId, values: Record<string, number | string>): LogEntry => ({
    id: `00000000-0000-4000-8000-00000000000${seq}`,
    seq,
    kind: 'done',
    stepId,
    values,
    by: 'Wren',
    at: at(seq / 2),
    recordedAt: at(seq / 2),
  });
  const round = (g: number | undefined, step: number) => Math.round((g ?? 0) / step) * step;
  return {
    id: 'b',
    process,
    design,
    entries: [
      done(1, 'weigh', { 'greenG:A': design.pieces[0]?.greenG ?? 0 }),
      done(2, 'mix', { waterG: brine?.waterG ?? 0, saltG: round(brine?.saltG, 5), sugarG: round(brine?.sugarG, 5), cureG: round(brine?.cureG, 0.1) }),
      done(3, 'meat-in', { brineC: 3 }),
    ],
  } as unknown as BatchRecord;
}
const inAt = Date.parse(START) + 1.5 * HOUR_MS;
const pull = (days: number, grams = 2750) => ({
  id: '00000000-0000-4000-8000-000000000009',
  kind: 'done' as const,
  stepId: 'pull' as const,
  values: { 'pulledG:A': grams, firmness: 'firm', smell: 'fresh' },
  by: 'Wren',
  at: new Date(inAt + days * DAY_MS).toISOString(),
  reason: 'It was its day, by the clock',
});

describe('a strong pickle by the clock', () => {
  it('is dosed so that the most that the model allows at the pull is what is aimed at, and is as strong as asked', () => {
    const { figures, findings } = plan(strong());
    expect(figures.nitrite.applies.id).toBe('nitrite-at-pull');
    expect(figures.nitrite.applies.value).toBeCloseTo(140, 3);
    expect(figures.nitrite.judgement.verdict).toBe('ok');
    expect(figures.brines[0]?.strength.value).toBeCloseTo(11, 6);
    expect(findings.find(({ code }) => code === 'pick-up-under')?.message).toMatch(/an inspector may count it so/);
  });

  it('never has more cure for more days, and never comes to more than was aimed at', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 30, noNaN: true }),
        fc.double({ min: 800, max: 12_000, noNaN: true }),
        fc.integer({ min: 100, max: 180 }),
        (days, waterG, ppm) => {
          const cureOf = (cureDays: number) => plan(strong({ cureDays, nitritePpm: ppm }, waterG)).facts.brines[0]?.cureG ?? 0;
          expect(cureOf(days + 1)).toBeLessThanOrEqual(cureOf(days) + 1e-9);
          const { applies, others } = plan(strong({ cureDays: days, nitritePpm: ppm }, waterG)).figures.nitrite;
          for (const { value } of [applies, ...others.filter(({ id }) => id === 'nitrite-pick-up')]) expect(value).toBeLessThanOrEqual(ppm + 1e-6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('says what it would come to if left, and by which day it must be out', () => {
    const found = plan(strong({ cureDays: 3 })).findings.find(({ code }) => code === 'by-the-clock');
    expect(found?.message).toMatch(/left until even it would come to \d+(\.\d)? ppm, over the limit of 200/);
    const day = Number(/out by day (\d+\.\d)/.exec(found?.message ?? '')?.[1]);
    expect(day).toBeGreaterThan(3);
    const record = lying(strong({ cureDays: 3 }));
    const verdict = (days: number) => replay(record, inAt + days * DAY_MS).figures.nitrite.judgement.verdict;
    expect(verdict(day - 0.1)).toBe('ok');
    expect(verdict(day + 0.2)).toBe('over');
  });

  it('the figure is never less than the section model’s mean (another computation, of a bath of limited volume)', () => {
    const design = strong();
    const piece = design.pieces[0];
    const { facts, figures } = plan(design);
    const brine = facts.brines[0];
    if (piece === undefined || brine === undefined) throw new Error('a piece in a brine');
    // Nitrite wanders as salt does: its percent stands in the place of the salt's.
    const nitritePercent = (brine.cureG * 6.25) / brine.brineG;
    const run = simulateSection({
      section: piece.section,
      meatG: piece.greenG,
      stages: [{ kind: 'bath', hours: design.cureDays * 24, bathG: brine.brineG, saltPercent: nitritePercent }],
    });
    const mean = (run.mean.at(-1) ?? Number.NaN) * 1e4;
    expect(mean).toBeGreaterThan(20);
    expect(figures.nitrite.applies.value).toBeGreaterThanOrEqual(mean);
  });

  it('left too long it is over: it may be pulled, and then nothing more', () => {
    const record = lying(strong({ cureDays: 3 }));
    const late = inAt + 14 * DAY_MS;
    const stop = replay(record, late).findings.find(({ level }) => level === 'stop');
    expect(stop?.message).toMatch(/pull it now/);
    expect(checkEntry(record, pull(14), late)).toEqual([]);
    const pulled = { ...record, entries: [...record.entries, { ...pull(14), seq: 4, recordedAt: pull(14).at }] };
    const after = { ...pull(14), id: '00000000-0000-4000-8000-000000000010', stepId: 'rinse', values: {}, at: new Date(late + 600_000).toISOString() };
    const next = replay(pulled, late + 600_000).next?.spec.id ?? 'pack';
    expect(checkEntry(pulled, { ...after, stepId: next }, late + 600_000)[0]?.message ?? 'pack').toMatch(/over the limit|must not be eaten|missing/);
    expect(replay(pulled, late + 30 * DAY_MS).findings.find(({ level }) => level === 'stop')?.message).toMatch(/throw the batch away/i);
  });

  it('pulled on its day it stays as it was then, however long ago', () => {
    const record = lying();
    const pulled = { ...record, entries: [...record.entries, { ...pull(5), seq: 4, recordedAt: pull(5).at }] };
    const { figures, findings } = replay(pulled, inAt + 60 * DAY_MS);
    expect(figures.nitrite.judgement.verdict).toBe('ok');
    expect(findings.some(({ code }) => code === 'by-the-clock')).toBe(false);
  });

  it('the gates for meat that is not cured hold: only what was surely picked up counts for the longer ones', () => {
    const { cooling, figures } = plan(strong());
    expect(figures.nitrite.applies.value).toBeGreaterThan(100);
    const pickUp = figures.nitrite.others.find(({ id }) => id === 'nitrite-pick-up')?.value ?? 0;
    expect(pickUp).toBeLessThan(100);
    expect(cooling[0]?.limitH).toBe(1.5);
  });

  it('cannot be a brine that is weak or impossible, nor be pumped', () => {
    for (const percent of [2, 27, Number.NaN])
      expect(() => requireDesign(strong({ school: { kind: 'equilibrium', waterG: 5000, strongSaltPercent: percent } }))).toThrow(/strongSaltPercent/);
    expect(() => requireRecipe({ ...recipe, school: 'pumpAndCover' })).toThrow(/not pumped/);
    expect(() => requireRecipe({ ...recipe, strongSaltPercent: 40 })).toThrow(/Strong pickle, salt/);
    expect(requireRecipe(recipe)).toMatchObject({ strongSaltPercent: 6.5 });
  });
});
