import fc from 'fast-check';
import { HANDBOOK_DIFFUSIVITY, type CureCourse } from '../batch/cureCourse.js';
import { COLOURED_PPM } from '../course/pullWindow.js';
import type { LogEntry } from '../log/logEntry.js';
import { processFor } from '../recipes/processes.js';
import type { BatchRecord } from '../batch/batchState.js';
import { usualDesign } from '../recipes/usualDesign.js';
import type { Section } from '../section/section.js';
import { calibrate, depthAt } from './calibrate.js';
import { colouredDepth, CUT_FACE_NODES, cutFaceDepths, ringDepth } from './cutFace.js';
import { observations } from './observations.js';
import { pieceTarget, tasteTarget, VERDICTS } from './tasteTarget.js';
import { loggedFrom } from '../testing/logged.js';

/** A piece in an endless brine of so much nitrite. */
const endless = (section: Section, hours: number, ppm: number): CureCourse => {
  const bath = { kind: 'bath', hours, bathG: 'infinite', saltPercent: ppm / 1e4 } as const;
  return {
    code: 'A',
    section,
    meatG: 3000,
    startsAt: 0,
    stages: { salt: [bath], nitrite: [bath] },
    marks: [],
    pullH: hours,
    aimPercent: 2.3,
    diffusivity: HANDBOOK_DIFFUSIVITY,
  };
};

/** 2 ÷ √π × the integral of exp(−t²) from x on, by the trapezium rule. */
function erfc(x: number): number {
  let sum = 0;
  const step = 1e-4;
  for (let t = x; t < 6; t += step) sum += (step * (Math.exp(-t * t) + Math.exp(-((t + step) ** 2)))) / 2;
  return (2 / Math.sqrt(Math.PI)) * sum;
}

describe('how deep the colour reaches', () => {
  test('in a thick slab as far as the solution for endless depth says', () => {
    // Crank, The Mathematics of Diffusion: C = C0 erfc(x ÷ 2√(Dt)); value from memory.
    const [ppm, hours, D] = [500, 72, 3e-10];
    const depth = colouredDepth(endless({ shape: 'slab', thicknessMm: 120 }, hours, ppm), hours, D);
    const x = depth / 1000 / (2 * Math.sqrt(D * hours * 3600));
    expect(erfc(x) * ppm).toBeCloseTo(COLOURED_PPM, 0);
    expect(depth).toBeGreaterThan(26);
    expect(depth).toBeLessThan(28);
  });

  test('grows with the diffusivity, from rim to middle and no further', () => {
    const depths = cutFaceDepths(endless({ shape: 'round', diameterMm: 90 }, 24 * 6, 400));
    depths.slice(1).forEach((depth, i) => expect(depth).toBeGreaterThanOrEqual(depths[i] ?? 0));
    expect(depths[0]).toBeGreaterThan(5);
    expect(depths.at(-1)).toBe(45);
    expect(depthAt(depths, CUT_FACE_NODES[3] ?? 0)).toBeCloseTo(depths[3] ?? 0, 9);
  });

  test('a ring leaves the share of the section that it was made from', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.98, noNaN: true }),
        fc.double({ min: 40, max: 200, noNaN: true }),
        fc.double({ min: 1, max: 2, noNaN: true }),
        (share, mm, wide) => {
          const b = mm / 2;
          const slab = ringDepth({ shape: 'slab', thicknessMm: mm }, share);
          expect(1 - slab / b).toBeCloseTo(share, 9);
          const round = ringDepth({ shape: 'round', diameterMm: mm }, share);
          expect((1 - round / b) ** 2).toBeCloseTo(share, 9);
          const a = b * wide;
          const ellipse = ringDepth({ shape: 'ellipse', widthMm: 2 * a, heightMm: mm }, share);
          expect((1 - ellipse / a) * (1 - ellipse / b)).toBeCloseTo(share, 9);
          // Round a bone there is less meat to be grey: the ring lies further out for the same share of it.
          expect(ringDepth({ shape: 'round', diameterMm: mm, bone: { diameterMm: mm / 5 } }, share)).toBeLessThan(round);
        },
      ),
    );
    expect(ringDepth({ shape: 'round', diameterMm: 80 }, 0)).toBe(40);
    expect(ringDepth({ shape: 'round', diameterMm: 80 }, 1)).toBeCloseTo(0, 9);
    expect(() => ringDepth({ shape: 'round', diameterMm: 80 }, 1.2)).toThrow(/between 0 and 1/);
  });
});

describe('what cut faces say of the diffusivity', () => {
  const depths = cutFaceDepths(endless({ shape: 'round', diameterMm: 90 }, 24 * 3, 400));
  const face = (diffusivity: number) => ({ depths, colouredMm: depthAt(depths, diffusivity) });

  test('nothing cut: the usual figure', () => expect(calibrate([])).toEqual(HANDBOOK_DIFFUSIVITY));

  test('slow meat makes it slower, more faces make it surer, and it comes to what the meat is', () => {
    const once = calibrate([face(1.8e-10)]);
    const often = calibrate(Array.from({ length: 12 }, () => face(1.8e-10)));
    expect(once.value).toBeLessThan(HANDBOOK_DIFFUSIVITY.value);
    expect(often.value).toBeLessThan(once.value);
    expect(Math.abs(often.value / 1.8e-10 - 1)).toBeLessThan(0.05);
    expect(often.high / often.low).toBeLessThan(once.high / once.low);
    expect(once.high / once.low).toBeLessThan(HANDBOOK_DIFFUSIVITY.high / HANDBOOK_DIFFUSIVITY.low);
    expect(often.cutFaces).toBe(12);
  });

  test('coloured to the middle says only that it is not slow', () => {
    const through = { depths, colouredMm: 45 };
    const { value, low } = calibrate([through]);
    expect(value).toBeGreaterThan(HANDBOOK_DIFFUSIVITY.value);
    const from = CUT_FACE_NODES.find((_node, i) => (depths[i] ?? 0) >= 40) ?? 0;
    expect(low).toBeGreaterThan(from * 0.6);
  });

  test('the usual spread: one in ten under its low, one in ten over its high', () => {
    const spread = Math.log(2.5) / 4;
    expect(HANDBOOK_DIFFUSIVITY.low).toBeCloseTo(3e-10 * Math.exp(-1.2816 * spread), 12);
    expect(HANDBOOK_DIFFUSIVITY.high).toBeCloseTo(3e-10 * Math.exp(1.2816 * spread), 12);
  });

  test('a face without its depths, or with a depth that is none, is refused', () => {
    expect(() => calibrate([{ colouredMm: Number.NaN, depths }])).toThrow(/depth in mm/);
    expect(() => calibrate([{ colouredMm: 10, depths: [1, 2] }])).toThrow(/depth in mm/);
  });
});

describe('this cook’s salt', () => {
  test('worked by hand: 2.3 ± 0.4 and a salty slice at 2.8 ± 0.35 that puts it at 2.4', () => {
    const { percent, spread, implied } = tasteTarget([{ edgePercent: 2.8, verdict: 'salty' }]);
    const [a, b] = [1 / 0.16, 1 / 0.1225];
    expect(percent).toBeCloseTo((2.3 * a + 2.4 * b) / (a + b), 12);
    expect(spread).toBeCloseTo(1 / Math.sqrt(a + b), 12);
    expect(implied[0]).toBeCloseTo(2.4, 12);
  });

  test('saltier verdicts of the same slice make the target lower, and many agree on it', () => {
    const targets = VERDICTS.map((verdict) => tasteTarget([{ edgePercent: 2.6, verdict }]).percent);
    targets.slice(1).forEach((target, i) => expect(target).toBeLessThan(targets[i] ?? 0));
    const often = tasteTarget(Array.from({ length: 20 }, () => ({ edgePercent: 1.9, verdict: 'right' as const })));
    expect(often.percent).toBeCloseTo(1.9, 1);
    expect(often.spread).toBeLessThan(0.1);
  });

  test('of one piece: what is said of it counts more than the house’s many verdicts, and nothing said leaves them', () => {
    const house = { percent: 2.05, spread: 0.05 };
    expect(pieceTarget(house, [])).toBeCloseTo(2.05, 12);
    // 2.05 with a doubt of the piece of 0.304; too salty at 2.45 puts it at 1.55 ± 0.45.
    const [a, b] = [1 / (0.05 ** 2 + 0.3 ** 2), 1 / 0.45 ** 2];
    expect(pieceTarget(house, [{ edgePercent: 2.45, verdict: 'too-salty' }])).toBeCloseTo((2.05 * a + 1.55 * b) / (a + b), 12);
  });

  test('nothing tasted: the usual', () => expect(tasteTarget([])).toMatchObject({ percent: 2.3, spread: 0.4, verdicts: 0 }));

  test('a verdict that is none is refused', () => {
    expect(() => tasteTarget([{ edgePercent: 2, verdict: 'nice' as 'right' }])).toThrow(/no verdict/);
    expect(() => tasteTarget([{ edgePercent: -1, verdict: 'right' }])).toThrow();
  });
});

describe('what a log tells', () => {
  const START = Date.parse('2026-10-05T07:00:00Z');
  const done = loggedFrom(START);
  const record = (product: string, entries: LogEntry[]): BatchRecord => ({
    id: 'b',
    code: 'X-1',
    design: usualDesign(product, new Date(START).toISOString()),
    process: processFor(product),
    entries,
  });
  const PULLED = [
    done(1, 'weigh', 0, { 'greenG:A': 2600 }),
    done(2, 'mix', 1, { waterG: 1200, saltG: 80, sugarG: 40, cureG: 9 }),
    done(3, 'meat-in', 2, { brineC: 3 }),
    done(4, 'pull', 2 + 24 * 12, { 'pulledG:A': 2680, firmness: 'firm', smell: 'fresh', 'colouredMm:A': 30 }),
    done(5, 'fry', 2 + 24 * 12 + 1, { taste: 'salty' }),
    done(6, 'soak-in', 2 + 24 * 12 + 2, {}),
    done(7, 'soak-out', 2 + 24 * 12 + 3, { taste: 'right' }),
  ];

  test('a cut face at the pull, a slice before the soak and one after: the water has taken salt from the edge', () => {
    const { cutFaces, tasted } = observations(record('canadian-bacon', PULLED));
    expect(cutFaces).toMatchObject([{ id: 'e4:A', colouredMm: 30, halfMm: 42.5, by: 'Juno' }]);
    expect(cutFaces[0]?.depths).toHaveLength(CUT_FACE_NODES.length);
    expect(tasted.map(({ verdict }) => verdict)).toEqual(['salty', 'right']);
    const [salty, right] = tasted.map(({ edgePercent }) => edgePercent);
    expect(salty).toBeGreaterThan(2);
    expect(right).toBeLessThan((salty ?? 0) * 0.8);
  });

  test('a correction is what counts, what is taken back does not, and a pumped ham says nothing of brine coming in', () => {
    const corrected: LogEntry = {
      ...(done(8, 'pull', 400, { 'pulledG:A': 2680, firmness: 'firm', smell: 'fresh', 'colouredMm:A': 22 }) as object),
      kind: 'correction',
      replaces: 'e4',
      reason: 'Read wrongly',
    } as unknown as LogEntry;
    expect(observations(record('canadian-bacon', [...PULLED, corrected])).cutFaces[0]?.colouredMm).toBe(22);
    const back: LogEntry = { ...(done(8, 'pull', 400, {}) as object), kind: 'withdrawn', replaces: 'e7', reason: 'Not so' } as unknown as LogEntry;
    expect(observations(record('canadian-bacon', [...PULLED, back])).tasted).toHaveLength(1);
    expect(observations(record('canadian-bacon', [])).tasted).toEqual([]);
    const pumped = { ...record('canadian-bacon', PULLED), design: usualDesign('canadian-bacon', new Date(START).toISOString(), 'pumpAndCover') };
    expect(observations(pumped).cutFaces).toEqual([]);
  });

  test('what is said at table is kept with what to do next time; its salt counts by the whole section', () => {
    const last = PULLED.at(-1);
    if (last === undefined) throw new Error('a pull');
    const { id: _id, at, recordedAt } = last;
    const atTable: LogEntry = {
      id: 'table',
      seq: last.seq + 1,
      kind: 'act',
      event: { act: 'table', salt: 'salty', smoke: 'right' },
      reason: 'Soak an hour',
      by: 'Tess',
      at,
      recordedAt,
    };
    const said = observations(record('canadian-bacon', [...PULLED, atTable]));
    expect(said.atTable).toEqual([{ id: 'table', by: 'Tess', at, verdict: { salt: 'salty', smoke: 'right' }, nextTime: 'Soak an hour' }]);
    // At table the whole section is in the mouth: on its way in, the salt of it is less than that of the slice from outside.
    expect(said.tasted.at(-1)).toMatchObject({ id: 'table:A', by: 'Tess', verdict: 'salty' });
    expect(said.tasted.at(-1)?.edgePercent).toBeLessThan(said.tasted[0]?.edgePercent ?? 0);
    const inTheBrine: LogEntry = { ...atTable, at: PULLED[2]?.at ?? '' };
    expect(observations(record('canadian-bacon', [...PULLED, inTheBrine])).tasted).toHaveLength(2);
    // What says nothing of the salt moves no target.
    const smoke: LogEntry = { ...atTable, event: { act: 'table', smoke: 'faint' } };
    expect(observations(record('canadian-bacon', [...PULLED, smoke])).tasted).toHaveLength(2);
  });
});
