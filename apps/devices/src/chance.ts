import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Chance by a seed: the same seed gives the same cook. */
export interface Chance {
  /** from 0 to 1 */
  share(): number;
  /** between two bounds */
  between(low: number, high: number): number;
  /** around 0, of standard deviation 1 */
  noise(): number;
}

export function chance(seed: number): Chance {
  const generator = xoroshiro128plus(seed);
  const share = () => uniformFloat64(generator);
  return {
    share,
    between: (low, high) => low + (high - low) * share(),
    // Of twelve uniform ones [P: central limit]: never further than six.
    noise: () => Array.from({ length: 12 }, share).reduce((sum, x) => sum + x, -6),
  };
}
