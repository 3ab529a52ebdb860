import type { CureMix } from '../ingredients/cureMix.js';
import { cureSays } from '../say/english/cure.js';
import type { Finding } from './finding.js';
import { productOf, type Product } from '../products/product.js';

/** A ready mix, weak enough to be dosed as its label says. */
const isDilute = (mix: CureMix): boolean => mix.nitritePercent > 0 && mix.nitritePercent <= 1 && mix.nitratePercent <= 1;

/** From so much on it is no kitchen cure, % [T]. */
const STRONGEST_PERCENT = 10;
/** Labels as they are sold, % nitrite: curing salts, and cures to be weighed by the gram [T]. */
const KNOWN = { curing: { low: 0.4, high: 0.9 }, cure: { low: 5, high: 7 } } as const;
const isKnownClass = ({ nitritePercent: percent }: CureMix): boolean => Object.values(KNOWN).some(({ low, high }) => percent >= low && percent <= high);

/** What is wrong with a mix for a product and a way of curing, whatever the dose (docs/science.md, “Cures”). */
export function mixFindings(mix: CureMix, product: Product, pumps: boolean): Finding[] {
  const found: Finding[] = [];
  const named = { mix: mix.name };
  if (mix.nitratePercent > 0 && productOf(product).isBacon) found.push({ level: 'stop', ...cureSays('nitrate-bacon', named) });
  else if (mix.nitratePercent > 0 && !isDilute(mix)) found.push({ level: 'stop', ...cureSays('nitrate-short', named) });
  else if (mix.nitratePercent > 0) found.push({ level: 'warn', ...cureSays('nitrate', named) });
  const label = { percent: mix.nitritePercent, curing: cureSays('percent-range', KNOWN.curing), cure: cureSays('percent-range', KNOWN.cure) };
  if (mix.nitritePercent >= STRONGEST_PERCENT && mix.nitritePercent < 50) found.push({ level: 'stop', ...cureSays('strong-label', label) });
  else if (mix.nitritePercent > 0 && mix.nitritePercent < STRONGEST_PERCENT && !isKnownClass(mix))
    found.push({ level: 'warn', ...cureSays('odd-label', label) });
  if (mix.nitritePercent >= 50) found.push({ level: 'stop', ...cureSays('pure-nitrite') });
  if (pumps && mix.mayPump === false) found.push({ level: 'stop', ...cureSays('may-not-pump', named) });
  return found;
}
