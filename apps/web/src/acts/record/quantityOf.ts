import type { Quantity } from '../../reader/quantities';

/** What is weighed on the small scale. */
const SMALL: readonly string[] = ['cureG', 'acceleratorG'];

/** What a step's value is of, by its name: `coreC:A` a temperature, `colouredMm` a length, else a mass. */
export function quantityOf(value: string): Quantity {
  const name = value.split(':')[0] ?? '';
  if (name.endsWith('C')) return 'temperature';
  if (name.endsWith('Mm')) return 'length';
  return SMALL.includes(name) ? 'smallMass' : 'mass';
}
