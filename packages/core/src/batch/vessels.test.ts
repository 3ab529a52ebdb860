import fc from 'fast-check';
import { CURE_1 } from '../ingredients/cureMix.js';
import type { BatchDesign, School } from '../log/batchDesign.js';
import type { Vessel } from '../log/vessel.js';
import { processFor } from '../recipes/processes.js';
import { usualDesign } from '../recipes/usualDesign.js';
import type { BatchState } from './batchState.js';
import { sum } from './batchFacts.js';
import { requireDesign } from './design.js';
import { planBatch } from './planBatch.js';
import { vesselsSaid } from './vesselSaid.js';

const START = '2026-10-05T07:00:00.000Z';
const NEEDLE = { pumpPercent: 10, repumpPercent: 0, pickleSaltPercent: 12, syringeML: 60, spacingMm: 25 };
const WAYS: Record<School['kind'], School> = {
  equilibrium: { kind: 'equilibrium', waterG: 4000 },
  pumpAndCover: { kind: 'pumpAndCover', waterG: 4000, ...NEEDLE },
  pumpSame: { kind: 'pumpSame', waterG: 6000, ...NEEDLE },
  dryRub: { kind: 'dryRub', waterG: 0 },
};

/** Two loins of unlike weight, in what they lie in. */
function loins(weights: readonly number[], vessels: Vessel[] | undefined, kind: School['kind'] = 'equilibrium', over: Partial<BatchDesign> = {}): BatchDesign {
  const usual = usualDesign('canadian-bacon', START, kind);
  const [piece] = usual.pieces;
  if (piece === undefined) throw new Error('a piece');
  const pieces = weights.map((greenG, i) => ({ ...piece, code: 'ABCDEF'[i] ?? '', greenG }));
  return {
    ...usual,
    pieces,
    school: WAYS[kind],
    saltPercent: 2.4,
    sugarPercent: 1,
    nitritePpm: 120,
    cure: CURE_1,
    ...(vessels === undefined ? {} : { vessels }),
    ...over,
  };
}
const plan = (design: BatchDesign): BatchState => planBatch(processFor('canadian-bacon'), requireDesign(design));
const ppm = ({ vessels }: BatchState) => vessels.map(({ figures }) => figures.nitrite.applies.value);
const tub = (pieces: string[], more: Partial<Vessel> = {}): Vessel => ({ kind: 'tub', pieces, ...more });

test('half a brine over 2.75 and half over 2.50 kg is 117 and 123 ppm: worked by hand, N / (meat + brine)', () => {
  const state = plan(loins([2750, 2500], [tub(['A'], { part: 1 }), tub(['B'], { part: 1 })]));
  const [brine] = state.facts.brines;
  if (brine === undefined) throw new Error('no brine');
  const nitriteG = brine.cureG * 0.0625;
  const [heavy, light] = ppm(state);
  expect(heavy).toBeCloseTo((nitriteG / 2 / (2750 + brine.brineG / 2)) * 1e6, 6);
  expect(light).toBeCloseTo((nitriteG / 2 / (2500 + brine.brineG / 2)) * 1e6, 6);
  expect(heavy).toBeLessThan(118);
  expect(light).toBeGreaterThan(122);
  expect(heavy).toBeGreaterThan(116);
  // Shared by the weight of the meat each has what was aimed at.
  for (const value of ppm(plan(loins([2750, 2500], [tub(['A']), tub(['B'])])))) expect(value).toBeCloseTo(120, 3);
});

test('the batch is judged by the tub that is furthest off: what is right as a whole may be over in one, and its remedy is of the whole brine', () => {
  const fair = loins([4000, 1000], [tub(['A']), tub(['B'])], 'equilibrium', { nitritePpm: 150 });
  expect(plan(fair).findings.filter(({ level }) => level === 'stop')).toEqual([]);
  const state = plan(loins([4000, 1000], [tub(['A'], { part: 1 }), tub(['B'], { part: 1 })], 'equilibrium', { nitritePpm: 150 }));
  const [big, small] = ppm(state);
  expect(small).toBeGreaterThan(200);
  expect(big).toBeLessThan(150);
  expect(state.figures.nitrite.applies.value).toBe(small);
  expect(state.figures.nitrite.of?.message).toBe('tub 2');
  const over = state.findings.find(({ code }) => code === 'nitrite-over');
  expect(over).toMatchObject({ level: 'stop' });
  expect(over?.message).toMatch(/ppm in tub 2 is over the limit of 200 ppm/);
  const cureG = state.facts.brines[0]?.cureG ?? 0;
  expect(over?.message).toContain(cureG.toFixed(1).replace(/\.0$/, ''));
});

test('left in one tub a batch has no vessels, and the figures are those of before', () => {
  const [none, one] = [plan(loins([2750, 2500], undefined)), plan(loins([2750, 2500], [tub(['A', 'B'])]))];
  expect(none.vessels).toEqual([]);
  expect(one.figures.nitrite.applies.value).toBeCloseTo(none.figures.nitrite.applies.value, 9);
  expect(one.cured.map(({ leastPpm }) => leastPpm)).toEqual(none.cured.map(({ leastPpm }) => leastPpm));
});

test('more brine in a tub brings more cure into the middle of its piece', () => {
  const state = plan(loins([2600, 2600], [tub(['A'], { part: 1 }), tub(['B'], { part: 3 })]));
  const [a, b] = state.cured;
  expect(b?.leastPpm ?? 0).toBeGreaterThan((a?.leastPpm ?? 0) * 1.2);
});

test.each(Object.keys(WAYS) as School['kind'][])(
  'whatever lies where, meat, brine, salt and nitrite are those of the whole: %s',
  (kind) => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ g: fc.integer({ min: 400, max: 9000 }), in: fc.integer({ min: 0, max: 3 }) }), { minLength: 2, maxLength: 6 }),
        fc.array(fc.double({ min: 0.2, max: 5, noNaN: true }), { minLength: 4, maxLength: 4 }),
        fc.boolean(),
        (meat, parts, byMeat) => {
          const codes = meat.map((_, i) => 'ABCDEF'[i] ?? '');
          const vessels = [0, 1, 2, 3].flatMap((n): Vessel[] => {
            const pieces = codes.filter((_, i) => meat[i]?.in === n);
            return pieces.length === 0 ? [] : [tub(pieces, byMeat ? {} : { part: parts[n] ?? 1 })];
          });
          const state = plan(
            loins(
              meat.map(({ g }) => g),
              vessels,
              kind,
            ),
          );
          expect(state.vessels).toHaveLength(vessels.length);
          const total = (of: (vessel: BatchState['vessels'][number]) => number) => state.vessels.reduce((all, vessel) => all + of(vessel), 0);
          expect(total(({ facts }) => sum(facts.greenG))).toBeCloseTo(sum(state.facts.greenG), 6);
          expect(total(({ share }) => share.value)).toBeCloseTo(1, 9);
          state.facts.brines.forEach((brine, i) => {
            for (const line of ['waterG', 'saltG', 'sugarG', 'cureG', 'brineG'] as const)
              expect(total(({ facts }) => facts.brines[i]?.[line] ?? 0)).toBeCloseTo(brine[line], 6);
          });
          // By the weight of the meat nothing differs from tub to tub.
          if (byMeat) for (const value of ppm(state)) expect(value / state.figures.nitrite.applies.value).toBeCloseTo(1, 6);
        },
      ),
      { numRuns: 40 },
    );
  },
  60_000,
);

test('what lies where is said in a line', () => {
  expect(vesselsSaid([tub(['A', 'C']), { kind: 'bag', pieces: ['B'], brineG: 900 }]).message).toBe(
    'Where it lies: tub 1: A, C, brine by eye; bag 2: B, with 900 g of brine',
  );
});
