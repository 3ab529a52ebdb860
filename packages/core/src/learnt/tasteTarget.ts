import { TABLE_VERDICTS } from '../log/tableVerdict.js';
import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import { inputSays } from '../say/english/inputs.js';

/** What a cook says of a fried slice. */
export const VERDICTS = TABLE_VERDICTS.salt;
export type Verdict = (typeof VERDICTS)[number];

/** A slice that was tasted, and what was said of it. */
export interface Tasted {
  /** its salt by the model, %: of the outermost meat where it was fried, of the whole section at table */
  edgePercent: number;
  verdict: Verdict;
}

/** The salt that tastes right at the edge, %. */
export interface TasteTarget {
  percent: number;
  /** one standard deviation, % */
  spread: number;
  /** verdicts that it was learnt from */
  verdicts: number;
  /** what each verdict alone would put it at, % */
  implied: number[];
}

/** From how many verdicts on a target counts as learnt. */
export const LEARNT_FROM = 3;

/** Where most like it [T: 2 to 2.5 %], before anything was tasted. */
const BEFORE = { percent: 2.3, spread: 0.4 } as const;

/** How far a slice that tastes so lies from one that tastes right, and the doubt of it, % salt [M]. */
const TASTES: Readonly<Record<Verdict, { off: number; doubt: number }>> = {
  bland: { off: -0.5, doubt: 0.35 },
  right: { off: 0, doubt: 0.3 },
  salty: { off: 0.4, doubt: 0.35 },
  'too-salty': { off: 0.9, doubt: 0.45 },
};

/**
 * This cook's salt, learnt from fry tests: the usual one and every verdict, each weighed by its doubt.
 *
 * @throws InputError for a verdict that is none, or salt that cannot be
 * @example tasteTarget([{ edgePercent: 2.8, verdict: 'salty' }]).percent // 2.36
 */
export function tasteTarget(tasted: readonly Tasted[]): TasteTarget {
  return { ...weighed(BEFORE, tasted), verdicts: tasted.length };
}

/** How far the model may be off for one piece, % salt at its edge [M]. */
const PIECE_DOUBT = 0.3;

/**
 * What to aim at for one piece, by the model: the house's target, moved by what was said of slices of this very piece. One that tastes
 * saltier than the model says is taken to hold more than it says.
 */
export function pieceTarget(house: { percent: number; spread: number }, tasted: readonly Tasted[]): number {
  return weighed({ percent: house.percent, spread: Math.hypot(house.spread, PIECE_DOUBT) }, tasted).percent;
}

/** A value with its doubt, and verdicts with theirs, each weighed by it. */
function weighed(before: { percent: number; spread: number }, tasted: readonly Tasted[]): { percent: number; spread: number; implied: number[] } {
  let weight = 1 / before.spread ** 2;
  let sum = before.percent * weight;
  const implied = tasted.map(({ edgePercent, verdict }) => {
    requireNumber('edgePercent', edgePercent, { min: 0, max: 26.4, unit: '%' });
    if (!VERDICTS.includes(verdict)) throw new InputError('verdict', inputSays('no-verdict-of-fry'));
    const { off, doubt } = TASTES[verdict];
    const at = Math.max(0, edgePercent - off);
    sum += at / doubt ** 2;
    weight += 1 / doubt ** 2;
    return at;
  });
  return { percent: sum / weight, spread: 1 / Math.sqrt(weight), implied };
}
