import fc from 'fast-check';
import { gather } from './gather.js';
import { BLOCK_MS, blockOf, mergeBlock, readBlock, type Sample } from './readingBlock.js';

describe('blocks', () => {
  const from = blockOf(Date.parse('2026-10-05T07:03:00Z'));
  const samples = fc.array(
    fc.record({
      at: fc.integer({ min: 0, max: BLOCK_MS / 100 - 1 }).map((tenth) => from + tenth * 100),
      C: fc.integer({ min: -4000, max: 32_000 }).map((hundredth) => hundredth / 100),
    }),
    { maxLength: 60 },
  );

  test('a block holds what a plain list would hold, however it came in', () => {
    fc.assert(
      fc.property(fc.array(samples, { maxLength: 5 }), (posts) => {
        let bytes: Buffer | null = null;
        const plain = new Map<number, number>();
        for (const lines of posts) {
          const merged = mergeBlock(from, bytes, lines);
          bytes = merged.bytes;
          let [added, known, other] = [0, 0, 0];
          for (const { at, C } of lines) {
            if (!plain.has(at)) [added] = [added + 1, plain.set(at, C)];
            else if (plain.get(at) === C) known += 1;
            else other += 1;
          }
          expect([merged.added, merged.known, merged.other.length]).toEqual([added, known, other]);
        }
        const kept: Sample[] = [...plain].sort(([a], [b]) => a - b).map(([at, C]) => ({ at, C }));
        expect(bytes === null ? [] : readBlock(from, bytes)).toEqual(kept);
      }),
    );
  });

  test('gathered, nothing is lost: the steps’ means weigh up to the whole, and lie between their lowest and highest', () => {
    fc.assert(
      fc.property(samples, fc.constantFrom(1, 5, 60), (lines, step) => {
        const { bytes } = mergeBlock(from, null, lines);
        const kept = readBlock(from, bytes);
        const { at, C, low, high } = gather([{ fromMs: from, bytes }], from, from + BLOCK_MS, step);
        expect(at).toEqual([...at].sort((a, b) => a - b));
        expect(at).toHaveLength(new Set(kept.map((sample) => Math.floor(sample.at / step / 1000))).size);
        C.forEach((mean, i) => {
          expect(mean).toBeGreaterThanOrEqual((low[i] ?? 0) - 0.006);
          expect(mean).toBeLessThanOrEqual((high[i] ?? 0) + 0.006);
        });
        if (kept.length > 0) expect(Math.max(...high)).toBe(Math.max(...kept.map((sample) => sample.C)));
      }),
    );
  });
});
