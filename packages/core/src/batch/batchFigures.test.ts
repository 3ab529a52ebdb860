import type { SingleStepId } from '../log/stepId.js';
import fc from 'fast-check';
import { CURE_1 } from '../ingredients/cureMix.js';
import type { BatchDesign } from '../log/batchDesign.js';
import { batchFacts, type BatchFacts, type StepRecords } from './batchFacts.js';
import { batchFigures } from './batchFigures.js';
import { batchFindings } from './batchFindings.js';
import { processFor } from '../recipes/processes.js';
import { usualDesign } from '../recipes/usualDesign.js';

const START = '2026-10-05T07:00:00.000Z';
const ham = usualDesign('ham-bone-in', START);
const loin = usualDesign('canadian-bacon', START);
type Measured = { [Id in SingleStepId]?: Record<string, number> };
const records = (values: Measured): StepRecords => new Map(Object.entries(values) as [SingleStepId, Record<string, number>][]);
const figuresOf = (design: BatchDesign, values: Measured, repumpOpen = false) => batchFigures(design, batchFacts(design, records(values), repumpOpen));
const codes = (design: BatchDesign, values: Measured, repumpOpen = false) => {
  const facts = batchFacts(design, records(values), repumpOpen);
  return found(design, facts).map((finding) => finding.code);
};
const found = (design: BatchDesign, facts: BatchFacts) =>
  batchFindings({
    design,
    process: processFor(design.product),
    facts,
    figures: batchFigures(design, facts),
    vessels: [],
    standing: [],
    closing: () => null,
    cured: [],
    cooling: [],
  });

// Weights made up for the check, formulas of the FSIS Processing Inspectors' Calculations Handbook worked by hand.
const pickle = { waterG: 840, saltG: 125, sugarG: 55, cureG: 20 };
const cover = { waterG: 4100, saltG: 160, sugarG: 60, cureG: 12.5 };
const pumped = (pumpedG: number) => ({ weigh: { 'greenG:A': 7500 }, 'mix-pickle': pickle, 'mix-cover': cover, pump: { pickleC: 3, 'pumpedG:A': pumpedG } });

describe('figures of what was weighed', () => {
  test('pumped: 20 g cure in 1040 g of pickle, 750 g into 7500 g, is 120.19 ppm', () => {
    // 20 × 0.0625 / 1040 × 0.10 × 10^6
    const { nitrite } = figuresOf(ham, pumped(8250));
    const figure = [nitrite.applies, ...nitrite.others].find(({ id }) => id === 'nitrite-pumped');
    expect(figure?.value).toBeCloseTo(120.1923, 3);
  });

  test('and if left until even 133.7 ppm; at the pull needle and cover together lie between the two, and are judged', () => {
    // N = 1.25 × 750 / 1040 + 12.5 × 0.0625 = 0.901442 + 0.78125; all = 7500 + 750 + 4332.5 = 12582.5
    const { nitrite } = figuresOf(ham, pumped(8250));
    expect(nitrite.others.find(({ id }) => id === 'nitrite-even')?.value).toBeCloseTo(133.733, 2);
    expect(nitrite.applies.id).toBe('nitrite-covered');
    expect(nitrite.applies.value).toBeGreaterThan(120.1923);
    expect(nitrite.applies.value).toBeLessThan(133.733);
    expect(nitrite.because).toMatch(/gives up until the pull/);
  });

  test('strength: 125 g salt and the salt of 20 g cure in 1040 g are 13.82 %', () => {
    expect(figuresOf(ham, pumped(8250)).brines[0]?.strength.value).toBeCloseTo(((125 + 18.75) / 1040) * 100, 9);
  });

  test('salt in the end: what was pumped and what is in the cover over meat and all its water', () => {
    const salt = (143.75 * 750) / 1040 + 160 + 12.5 * 0.9375;
    const water = (840 * 750) / 1040 + 4100;
    expect(figuresOf(ham, pumped(8250)).salt.value).toBeCloseTo((salt / (7500 + water)) * 100, 9);
  });

  test('equilibrium: weighed pick-up replaces the ten per cent, and only as the lower bound', () => {
    const brine = { waterG: 1200, saltG: 85, sugarG: 40, cureG: 9.4 };
    const before = figuresOf(loin, { weigh: { 'greenG:A': 2600 }, mix: brine }).nitrite;
    const after = figuresOf(loin, { weigh: { 'greenG:A': 2600 }, mix: brine, pull: { 'pulledG:A': 2704 } }).nitrite;
    expect(before.others[0]?.value).toBeCloseTo(((9.4 * 0.0625) / 1334.4) * 0.1 * 1e6, 6);
    expect(after.others[0]?.value).toBeCloseTo(((9.4 * 0.0625) / 1334.4) * 0.04 * 1e6, 6);
    expect(after.applies).toEqual(before.applies);
    expect(after.applies.value).toBeCloseTo(((9.4 * 0.0625) / (2600 + 1334.4)) * 1e6, 6);
  });

  test('every figure shows its working with the numbers in, its base and its source', () => {
    const { nitrite, brines, salt, pump } = figuresOf(ham, pumped(8250));
    for (const figure of [nitrite.applies, ...nitrite.others, ...brines.map((brine) => brine.strength), salt, ...pump.map((piece) => piece.percent)]) {
      expect(figure.formula).not.toBe('');
      expect(figure.working).toMatch(/\d/);
      expect(figure.base).not.toBe('');
      expect(figure.source).toMatch(/memory|Definition|common practice/);
      expect(figure.low).toBeLessThanOrEqual(figure.value);
      expect(figure.high).toBeGreaterThanOrEqual(figure.value);
    }
  });

  test('the doubt of the cure scale is in the ppm: 1 g steps on 20 g are ±2.5 % at the least', () => {
    const { nitrite } = figuresOf({ ...ham, cureScaleStepG: 1 }, pumped(8250));
    const figure = [nitrite.applies, ...nitrite.others].find(({ id }) => id === 'nitrite-pumped');
    expect((figure?.high ?? 0) / (figure?.value ?? 1)).toBeGreaterThan(1.025);
  });

  test('two pieces: the one that took more is judged, the one that took less is watched', () => {
    const piece = ham.pieces[0];
    if (piece === undefined) throw new Error('a ham has a piece');
    const two = {
      ...ham,
      pieces: [
        { ...piece, greenG: 4000 },
        { ...piece, code: 'B', greenG: 4000 },
      ],
    };
    const values = { 'mix-pickle': pickle, 'mix-cover': { ...cover, cureG: 6 }, pump: { 'pumpedG:A': 4560, 'pumpedG:B': 4120 } };
    const { nitrite } = figuresOf(two, values);
    expect(nitrite.applies.label).toMatch(/piece A/);
    expect(nitrite.applies.value).toBeCloseTo(((20 * 0.0625) / 1040) * 0.14 * 1e6, 6);
    expect(nitrite.lowestPumped?.value).toBeCloseTo(((20 * 0.0625) / 1040) * 0.03 * 1e6, 6);
    expect(codes(two, values)).toEqual(expect.arrayContaining(['pump-under', 'pump-low']));
  });
});

describe('findings', () => {
  test('a pump off its plan by more than a fifth, either way', () => {
    expect(codes(ham, pumped(7950))).toContain('pump-low');
    expect(codes(ham, pumped(8700))).toContain('pump-high');
    expect(codes(ham, pumped(8400))).not.toContain('pump-high');
    expect(codes(ham, pumped(8400))).not.toContain('pump-low');
  });

  test('bland and salty are notes, not stops', () => {
    expect(codes({ ...loin, saltPercent: 1.2 }, {})).toContain('bland');
    expect(codes({ ...loin, saltPercent: 3.6 }, {})).toContain('salty');
  });

  test('too few and too many days, until it is pulled', () => {
    expect(codes({ ...loin, cureDays: 3 }, {})).toContain('cure-short');
    expect(codes({ ...loin, cureDays: 40 }, {})).toContain('cure-long');
    expect(codes({ ...loin, cureDays: 3 }, { pull: { 'pulledG:A': 2600 } })).not.toContain('cure-short');
  });

  test('pastrami that weighs more than it was green', () => {
    const pastrami = usualDesign('pastrami', START);
    expect(codes(pastrami, { pack: { coreC: 3, packedG: 4400 } })).toContain('above-green');
    expect(codes(pastrami, { pack: { coreC: 3, packedG: 2600 } })).not.toContain('above-green');
  });

  test('the worst stands first', () => {
    const facts = batchFacts({ ...loin, nitritePpm: 300, cureDays: 3, saltPercent: 3.5 }, records({}), false);
    const design = { ...loin, nitritePpm: 300, cureDays: 3, saltPercent: 3.5 };
    const levels = found(design, facts).map((finding) => finding.level);
    const rank = { stop: 0, warn: 1, note: 2 };
    expect(levels.map((level) => rank[level])).toEqual(levels.map((level) => rank[level]).sort((a, b) => a - b));
    expect(levels[0]).toBe('stop');
  });

  test('more cure in the bucket never lowers what is judged, in either school', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 40, noNaN: true }), fc.double({ min: 0, max: 20, noNaN: true }), (cureG, more) => {
        const judged = (g: number) => figuresOf(ham, { ...pumped(8250), 'mix-pickle': { ...pickle, cureG: g } }).nitrite.applies.value;
        const even = (g: number) => figuresOf(loin, { mix: { waterG: 1200, saltG: 85, sugarG: 40, cureG: g } }).nitrite.applies.value;
        expect(judged(cureG + more)).toBeGreaterThanOrEqual(judged(cureG) - 1e-9);
        expect(even(cureG + more)).toBeGreaterThanOrEqual(even(cureG) - 1e-9);
      }),
    );
  });

  test('the cure that is called right is right: weighed so, the stop is gone', () => {
    fc.assert(
      fc.property(fc.double({ min: 201, max: 1000, noNaN: true }), (nitritePpm) => {
        const design = { ...loin, nitritePpm, cure: CURE_1 };
        const facts = batchFacts(design, records({}), false);
        const stop = found(design, facts).find((finding) => finding.level === 'stop');
        const rightG = Number(/: ([\d.]+) g of Cure #1 instead/.exec(stop?.message ?? '')?.[1]);
        const [brine] = facts.brines;
        if (brine === undefined) throw new Error('no brine');
        const verdict = figuresOf(design, { mix: { waterG: brine.waterG, saltG: brine.saltG, sugarG: brine.sugarG, cureG: rightG } }).nitrite.judgement.verdict;
        expect(verdict).toBe('ok');
      }),
    );
  });
});
