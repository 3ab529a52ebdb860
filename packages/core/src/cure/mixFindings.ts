import type { CureMix } from '../ingredients/cureMix.js';
import type { Finding } from './finding.js';
import { productOf, type Product } from '../products/product.js';

/** A ready mix, weak enough to be dosed as its label says. */
const isDilute = (mix: CureMix): boolean => mix.nitritePercent > 0 && mix.nitritePercent <= 1 && mix.nitratePercent <= 1;

/** From so much on it is no kitchen cure, % [T]. */
const STRONGEST_PERCENT = 10;
/** Labels as they are sold: curing salts, and cures to be weighed by the gram [T]. */
const isKnownClass = ({ nitritePercent: percent }: CureMix): boolean => (percent >= 0.4 && percent <= 0.9) || (percent >= 5 && percent <= 7);

/** What is wrong with a mix for a product and a way of curing, whatever the dose (docs/science.md, “Cures”). */
export function mixFindings(mix: CureMix, product: Product, pumps: boolean): Finding[] {
  const found: Finding[] = [];
  if (mix.nitratePercent > 0 && productOf(product).isBacon) {
    found.push({ level: 'stop', code: 'nitrate-bacon', message: `${mix.name} holds nitrate, which no bacon may have. Take cure #1.` });
  } else if (mix.nitratePercent > 0 && !isDilute(mix)) {
    const message = `${mix.name} holds nitrate, which is for long dry cures: in a wet cure of days it does not turn into nitrite in time. Take cure #1.`;
    found.push({ level: 'stop', code: 'nitrate-short', message });
  } else if (mix.nitratePercent > 0) {
    found.push({
      level: 'warn',
      code: 'nitrate',
      message: `${mix.name} holds nitrate as well. It is dosed by its label and by nothing else; never for bacon.`,
    });
  }
  if (mix.nitritePercent >= STRONGEST_PERCENT && mix.nitritePercent < 50) {
    const message = `A label of ${mix.nitritePercent} % nitrite is no kitchen cure: those have 0.4 to 0.9 % or 5 to 7 %. Read the label again; do not weigh this.`;
    found.push({ level: 'stop', code: 'strong-label', message });
  } else if (mix.nitritePercent > 0 && mix.nitritePercent < STRONGEST_PERCENT && !isKnownClass(mix)) {
    const message = `A label of ${mix.nitritePercent} % nitrite is unusual: cures have 0.4 to 0.9 % or 5 to 7 %. Read the label again before anything is weighed.`;
    found.push({ level: 'warn', code: 'odd-label', message });
  }
  if (mix.nitritePercent >= 50) {
    const message = 'Pure sodium nitrite is a poison by the gram and is not weighed in a kitchen. Take a cure that is mixed with salt and dyed.';
    found.push({ level: 'stop', code: 'pure-nitrite', message });
  }
  if (pumps && mix.mayPump === false) {
    found.push({
      level: 'stop',
      code: 'may-not-pump',
      message: `The label of ${mix.name} does not let it be pumped. Cover with it, or take cure #1 for the needle.`,
    });
  }
  return found;
}
