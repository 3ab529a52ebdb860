import { COST } from './placeCost.js';

/** A job and the one before it. */
export interface Link {
  /** costs of the job before, from its first slot on */
  costs: Float64Array;
  from: number;
  /** slots of the job itself, and the gap to the one before */
  window: { from: number; to: number };
  least: number;
  usual: number;
  most: number;
  /** of a slot more or less than usual */
  weight: number;
  /** what is overfull of what is held between the two, summed up to each slot of the timeline; null where nothing is held */
  held: Float64Array | null;
  next: Float64Array;
  way: Int32Array;
}

/** A gap that stretches by no more slots than this is counted out. */
const FEW = 6;

/**
 * For each slot of a job the best slot of the one before. What lies between costs the difference of two sums and so much for each slot
 * off the usual: on either side of the usual gap the best is the least of a window that slides along, found in one pass.
 */
export function bestBefore(link: Link): void {
  const { costs, from, window, held, next } = link;
  const base = withoutHeld(costs, from, held);
  if (link.most - link.least <= FEW) countOut(link, base);
  else {
    slide(link, base, -1);
    slide(link, base, 1);
  }
  if (held !== null) for (let i = 0; i < next.length; i += 1) next[i] = (next[i] as number) + COST.full * at(held, window.from + i);
}

const at = (sums: Float64Array, slot: number): number => sums[slot < 0 ? 0 : slot >= sums.length ? sums.length - 1 : slot] as number;

function withoutHeld(costs: Float64Array, from: number, held: Float64Array | null): Float64Array {
  if (held === null) return costs;
  const base = new Float64Array(costs.length);
  for (let i = 0; i < base.length; i += 1) base[i] = (costs[i] as number) - COST.full * at(held, from + i);
  return base;
}

function countOut({ from, window, least, usual, most, weight, next, way }: Link, base: Float64Array): void {
  const [shift, count, width] = [window.from - from, base.length, next.length];
  for (let i = 0; i < width; i += 1) {
    for (let gap = least; gap <= most; gap += 1) {
      const place = shift + i - gap;
      if (place < 0 || place >= count) continue;
      const cost = (base[place] as number) + weight * Math.abs(gap - usual);
      if (cost < (next[i] as number)) {
        next[i] = cost;
        way[i] = place;
      }
    }
  }
}

let queue = new Int32Array(4096);
let keys = new Float64Array(4096);

/** The least of a sliding window on one side of the usual gap: −1 for gaps longer than usual, 1 for shorter ones. */
function slide({ from, window, least, usual, most, weight, next, way }: Link, base: Float64Array, side: -1 | 1): void {
  const count = base.length;
  const width = next.length;
  const shift = window.from - from;
  const longest = Math.min(most, count + width + Math.abs(shift));
  const low = side < 0 ? shift - longest : shift - Math.min(usual, longest);
  const high = side < 0 ? shift - Math.max(usual, least) : shift - least;
  const rise = side * weight;
  if (queue.length < count) {
    queue = new Int32Array(count * 2);
    keys = new Float64Array(count * 2);
  }
  const [q, key] = [queue, keys];
  let head = 0;
  let tail = 0;
  let seen = Math.max(0, low);
  for (let i = Math.max(0, -high); i < width; i += 1) {
    const last = Math.min(count - 1, high + i);
    for (; seen <= last; seen += 1) {
      const own = (base[seen] as number) + rise * seen;
      while (tail > head && (key[tail - 1] as number) >= own) tail -= 1;
      q[tail] = seen;
      key[tail] = own;
      tail += 1;
    }
    while (head < tail && (q[head] as number) < low + i) head += 1;
    if (head === tail) {
      if (low + i >= count) return;
      continue;
    }
    // The key already holds the rise from the window's own slot; what is left is the same for all of it.
    const cost = (key[head] as number) - rise * (shift + i - usual);
    if (cost < (next[i] as number)) {
      next[i] = cost;
      way[i] = q[head] as number;
    }
  }
}
