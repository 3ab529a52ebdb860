import { BLOCK_MS } from './readingBlock.js';

/** Steps into which readings are gathered, s. */
export const STEPS_S = [1, 2, 5, 10, 15, 30, 60, 120, 300, 600, 1200, 1800, 3600] as const;

/** The finest step that keeps a span within so many points. */
export const stepFor = (spanMs: number, points: number): number => STEPS_S.find((step) => spanMs / (step * 1000) <= points) ?? 3600;

export interface Gathered {
  at: number[];
  C: number[];
  low: number[];
  high: number[];
}

/**
 * Blocks of one channel, in order of time, gathered into steps: mean time and temperature of each, lowest and highest.
 *
 * @param truly what the channel truly read where it handed in so much; what it handed in when not given
 */
export function gather(
  blocks: readonly { fromMs: number; bytes: Buffer }[],
  fromMs: number,
  toMs: number,
  everyS: number,
  truly: (C: number, atMs: number) => number = (C) => C,
): Gathered {
  const gathered: Gathered = { at: [], C: [], low: [], high: [] };
  const stepMs = everyS * 1000;
  let step = -1;
  let [count, times, sum, low, high] = [0, 0, 0, Infinity, -Infinity];
  const close = () => {
    if (count === 0) return;
    gathered.at.push(Math.round(times / count));
    gathered.C.push(Math.round((sum / count) * 100) / 100);
    gathered.low.push(Math.round(low * 100) / 100);
    gathered.high.push(Math.round(high * 100) / 100);
  };
  for (const block of blocks) {
    if (block.fromMs + BLOCK_MS <= fromMs || block.fromMs > toMs) continue;
    for (let i = 0; i + 4 <= block.bytes.length; i += 4) {
      const at = block.fromMs + block.bytes.readUInt16LE(i) * 100;
      if (at < fromMs || at > toMs) continue;
      const C = truly(block.bytes.readInt16LE(i + 2) / 100, at);
      const own = Math.floor(at / stepMs);
      if (own !== step) {
        close();
        [step, count, times, sum, low, high] = [own, 0, 0, 0, Infinity, -Infinity];
      }
      count += 1;
      times += at;
      sum += C;
      low = Math.min(low, C);
      high = Math.max(high, C);
    }
  }
  close();
  return gathered;
}
