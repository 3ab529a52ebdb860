import fc from 'fast-check';
import { CURE_1, CURING_SALT_06, type CureMix } from '../ingredients/cureMix.js';
import type { BatchDesign, School } from '../log/batchDesign.js';
import { SCHOOLS } from '../log/school.js';
import { processFor } from '../recipes/processes.js';
import { usualDesign } from '../recipes/usualDesign.js';
import type { BatchState } from './batchState.js';
import { cureCourse } from './cureCourse.js';
import { requireDesign } from './design.js';
import { doseAims } from './mixingSheet.js';
import { planBatch } from './planBatch.js';

const START = '2026-10-05T07:00:00.000Z';
const NEEDLE = { pumpPercent: 10, repumpPercent: 0, pickleSaltPercent: 12, syringeML: 60, spacingMm: 25 };
const WAYS: Record<School['kind'], School> = {
  equilibrium: { kind: 'equilibrium', waterG: 1200 },
  pumpAndCover: { kind: 'pumpAndCover', waterG: 1200, ...NEEDLE },
  pumpSame: { kind: 'pumpSame', waterG: 2400, ...NEEDLE },
  dryRub: { kind: 'dryRub', waterG: 0 },
};

/** A loin of 2 600 g by a way of curing. */
const loin = (kind: School['kind'], over: Partial<BatchDesign> = {}): BatchDesign => ({
  ...usualDesign('canadian-bacon', START, kind),
  school: WAYS[kind],
  saltPercent: 2.4,
  sugarPercent: 1,
  nitritePpm: 150,
  cure: CURE_1,
  ...over,
});
const plan = (design: BatchDesign): BatchState => planBatch(processFor('canadian-bacon'), requireDesign(design));
const label = (gPerKg: number, per: 'meat' | 'water', cure: CureMix, over: Partial<BatchDesign> = {}): BatchDesign => {
  const design = loin('equilibrium', { cure, dose: { by: 'label', gPerKg, per }, ...over });
  return { ...design, ...doseAims(design) };
};
const only = ({ facts }: BatchState) => {
  const [brine] = facts.brines;
  if (brine === undefined) throw new Error('no brine');
  return brine;
};

test('rubbed on: the inspectors’ dry method counts the cure against the green weight alone, and there is no brine to read', () => {
  const state = plan(loin('dryRub'));
  const rub = only(state);
  expect(rub.waterG).toBe(0);
  // 150 ppm of 2 600 g is 0.39 g of nitrite, in a cure of 6.25 %: 6.24 g; salt 2.4 % is 62.4 g, the cure's own counted.
  expect(rub.cureG).toBeCloseTo(6.24, 2);
  expect(rub.saltG).toBeCloseTo(62.4 - 6.24 * 0.9375, 2);
  expect(state.figures.nitrite.applies).toMatchObject({ id: 'nitrite-dry' });
  expect(state.figures.nitrite.applies.value).toBeCloseTo(150, 1);
  expect(state.figures.brines).toEqual([]);
  const meatIn = state.step('meat-in');
  expect(meatIn?.spec.inputs.map(({ name }) => name)).toEqual(['coldC']);
  expect(meatIn?.spec.title).toBe('Rub on');
  expect(state.step('mix')?.spec.inputs.map(({ name }) => name)).toEqual(['saltG', 'sugarG', 'cureG']);
  expect(state.step('pump')).toBeNull();
});

test('a rub is judged by the dry limits: twice the ppm of a brine may be right, and over it is a stop', () => {
  const verdict = (nitritePpm: number) => plan(loin('dryRub', { nitritePpm })).figures.nitrite.judgement.verdict;
  expect(verdict(400)).toBe('ok');
  expect(verdict(700)).toBe('over');
});

test('the juice that a rub draws comes out of the meat and goes back: salt is neither made nor lost', () => {
  const state = plan(loin('dryRub'));
  const course = cureCourse({ id: 'b', code: 'T', design: state.design, process: processFor('canadian-bacon'), entries: [] }, state, 'A');
  const bath = course.stages.salt.find((stage) => stage.kind === 'bath');
  if (bath === undefined || bath.kind !== 'bath') throw new Error('no bath');
  const rub = only(state);
  const [bathG, saltPercent] = [Number(bath.bathG), Number(bath.saltPercent)];
  expect(course.meatG + bathG).toBeCloseTo(2600 + rub.brineG, 6);
  expect((bathG * saltPercent) / 100).toBeCloseTo(rub.saltG + rub.cureG * 0.9375, 6);
  // Brine holds no more than 26.4 % salt.
  expect(saltPercent).toBeLessThan(26.5);
});

test('one brine for needle and tub: the needle waits for it, the meat goes in after the needle, and both count', () => {
  const state = plan(loin('pumpSame'));
  const brine = only(state);
  expect(state.facts.brines).toHaveLength(1);
  expect(state.figures.brines[0]?.strength.value).toBeCloseTo(12, 6);
  const { applies, judgement, lowestPumped, others } = state.figures.nitrite;
  expect(judgement.verdict).toBe('ok');
  expect(applies.value).toBeLessThanOrEqual(150.5);
  const perG = (brine.cureG * 0.0625) / brine.brineG;
  expect(lowestPumped?.value).toBeCloseTo(perG * 0.1 * 1e6, 6);
  // Left until even it is all of the bucket over meat and bucket.
  expect(others.find(({ id }) => id === 'nitrite-even')?.value).toBeCloseTo(((brine.cureG * 0.0625) / (2600 + brine.brineG)) * 1e6, 6);
  // Left lying it would come to more than the limit: the day by which it must be out is said.
  const strong = plan(loin('pumpSame', { school: { kind: 'pumpSame', waterG: 6000, ...NEEDLE }, nitritePpm: 190 }));
  expect(strong.findings.map(({ code }) => code)).toContain('by-the-clock');
  const at = (id: 'mix' | 'pump' | 'meat-in') => state.step(id)?.plannedAt ?? 0;
  expect(at('mix')).toBeLessThan(at('pump'));
  expect(at('pump')).toBeLessThan(at('meat-in'));
  expect(state.step('pump')?.spec.needs).toEqual(['mix']);
  expect(state.step('mix-cover')).toBeNull();
});

test('a ready mix goes by its label: 40 g a kilogram of meat, and its nitrite follows', () => {
  const mix: CureMix = { name: 'Ready mix', nitritePercent: 0.6, nitratePercent: 0, saltPercent: 68, sugarPercent: 31, mayPump: false };
  const design = label(40, 'meat', mix);
  const state = plan(design);
  const brine = only(state);
  expect(brine).toMatchObject({ saltG: 0, sugarG: 0 });
  expect(brine.cureG).toBeCloseTo(104, 6);
  expect(state.figures.nitrite.applies.value).toBeCloseTo(((104 * 0.006) / (2600 + 1200 + 104)) * 1e6, 6);
  expect(state.figures.salt.value).toBeCloseTo((104 * 0.68 * 100) / 3800, 6);
  expect(design.nitritePpm).toBeCloseTo(state.figures.nitrite.applies.value, 6);
  expect(state.step('mix')?.spec.inputs.map(({ name }) => name)).toEqual(['waterG', 'cureG']);
  // By the water the same label is less than half as much.
  expect(only(plan(label(40, 'water', mix))).cureG).toBeCloseTo(48, 6);
});

test('what its label forbids to pump is stopped whichever way is chosen later', () => {
  const mix: CureMix = { name: 'Ready mix', nitritePercent: 0.6, nitratePercent: 0, saltPercent: 68, sugarPercent: 31, mayPump: false };
  const pumped = loin('pumpSame', { cure: mix, dose: { by: 'label', gPerKg: 80, per: 'water' } });
  expect(plan({ ...pumped, ...doseAims(pumped) }).findings).toContainEqual(expect.objectContaining({ level: 'stop', code: 'may-not-pump' }));
});

test('a ready brine is poured as it is: its own water makes its strength', () => {
  const brineMix: CureMix = { name: 'Ready brine', nitritePercent: 0.06, nitratePercent: 0, saltPercent: 9, waterPercent: 90, mayPump: false };
  const state = plan(label(500, 'meat', brineMix, { school: { kind: 'equilibrium', waterG: 0 } }));
  expect(only(state).cureG).toBeCloseTo(1300, 6);
  expect(state.figures.brines[0]?.strength.value).toBeCloseTo(9, 6);
  expect(state.figures.nitrite.applies.value).toBeCloseTo((1300 * 0.0006 * 1e6) / 3900, 6);
});

test('curing salt as the whole salt: the salt decides, and the nitrite follows; strong cure is refused', () => {
  const design = loin('equilibrium', { cure: CURING_SALT_06, dose: { by: 'wholeSalt' } });
  const state = plan({ ...design, ...doseAims(design) });
  const brine = only(state);
  expect(brine.saltG).toBe(0);
  expect(brine.cureG).toBeCloseTo((0.024 * 3800) / 0.994, 6);
  expect(state.figures.salt.value).toBeCloseTo(2.4, 6);
  expect(() => plan(loin('equilibrium', { dose: { by: 'wholeSalt' } }))).toThrow(/too strong|whole salt/);
});

test('a dose by its label is for one brine or a rub, and never beside ascorbate', () => {
  const dose = { by: 'label', gPerKg: 40, per: 'meat' } as const;
  expect(() => requireDesign(loin('pumpAndCover', { dose }))).toThrow(/one brine or for a rub/);
  expect(() => requireDesign(loin('dryRub', { dose: { ...dose, per: 'water' } }))).toThrow(/no water in a rub/);
  expect(() => requireDesign(loin('equilibrium', { dose, acceleratorPpm: 200 }))).toThrow(/no ascorbate/);
  expect(() => requireDesign(loin('equilibrium', { dose: { ...dose, gPerKg: 0 } }))).toThrow();
});

test('the cook’s own lines stay as he wrote them, are weighed, and count for what they are made of', () => {
  const ownLines = [
    { name: 'Molasses', g: 90, sugarPercent: 75, waterPercent: 22 },
    { name: 'Garlic', g: 12 },
    { name: 'Soy sauce', g: 60, saltPercent: 16, waterPercent: 70 },
  ];
  const bare = plan(loin('equilibrium'));
  const state = plan(loin('equilibrium', { ownLines, lineNames: { sugarG: 'Brown sugar' } }));
  const brine = only(state);
  expect(brine.brineG).toBeCloseTo(only(bare).brineG + 162, 6);
  expect(brine.cureG).toBe(only(bare).cureG);
  expect(state.figures.nitrite.applies.value).toBeCloseTo(((brine.cureG * 0.0625) / (2600 + brine.brineG)) * 1e6, 6);
  const salt = brine.saltG + brine.cureG * 0.9375 + 9.6;
  expect(state.figures.brines[0]?.strength.value).toBeCloseTo((salt / brine.brineG) * 100, 6);
  expect(state.step('mix')?.spec.inputs.map((input) => input.label)).toEqual([
    'Water and ice',
    'Salt',
    'Brown sugar',
    'Cure',
    'Molasses',
    'Garlic',
    'Soy sauce',
  ]);
  expect(() => requireDesign(loin('equilibrium', { ownLines: [{ name: 'Syrup', g: 10, sugarPercent: 80, waterPercent: 30 }] }))).toThrow(/more than 100/);
  expect(() => requireDesign(loin('equilibrium', { ownLines: [{ name: ' ', g: 10 }] }))).toThrow(/needs a name/);
});

test('more cure never lowers the figure that is judged, whatever the way', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...SCHOOLS),
      fc.double({ min: 40, max: 180, noNaN: true }),
      fc.double({ min: 1.01, max: 1.5, noNaN: true }),
      (kind, ppm, more) => {
        const figure = (nitritePpm: number) => plan(loin(kind, { nitritePpm })).figures.nitrite.applies.value;
        // One step of the cure's scale may be taken off to stay under a limit.
        expect(figure(ppm * more)).toBeGreaterThanOrEqual(figure(ppm) - 2.5);
      },
    ),
    { numRuns: 30 },
  );
});

test('every way has jobs that hang together: each need is there, and comes before', () => {
  for (const kind of SCHOOLS) {
    const { steps } = plan(loin(kind));
    const at = new Map(steps.map(({ spec, plannedAt }) => [spec.id, plannedAt]));
    const late = steps.flatMap(({ spec, plannedAt }) => spec.needs.filter((need) => !((at.get(need) ?? Infinity) <= plannedAt)).map((need) => [spec.id, need]));
    expect([kind, late]).toEqual([kind, []]);
  }
});

test('one brine that the needle would empty is stopped: nothing were left to lie in', () => {
  const findings = (waterG: number) => plan(loin('pumpSame', { school: { kind: 'pumpSame', waterG, ...NEEDLE } })).findings.map(({ code }) => code);
  expect(findings(250)).toContain('one-brine-too-little');
  expect(findings(1200)).not.toContain('one-brine-too-little');
});
