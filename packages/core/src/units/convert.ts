import { InputError } from '../inputError.js';
import { inUnit, UNITS, type Unit, type UnitDefinition, type UnitKind } from '../measures/unit.js';
import { unitSays } from '../say/english/units.js';
import { requireNumber } from './require.js';

const COLDEST_C = -273.15;

/**
 * Converts between two units of the same kind. A gallon is never guessed: `galUS` and `galImp` are different units.
 *
 * @throws InputError when a unit is unknown, the kinds differ, or the value is no number or colder than can be
 * @example convert(40, 'F', 'C') // 4.444…
 */
export function convert(value: number, from: Unit, to: Unit): number {
  const source = definition('from', from);
  const target = definition('to', to);
  requireNumber('value', value);
  if (source.kind !== target.kind) throw new InputError('to', unitSays('other-kind-of-unit', { from, to }));
  if (source.kind === 'temperature' && inUnit(value, source, UNITS.C) < COLDEST_C - 1e-9)
    throw new InputError('value', unitSays('colder-than-can-be', { value: String(value), from }));
  return inUnit(value, source, target);
}

/** Which kind of thing a unit measures. */
export const unitKind = (unit: Unit): UnitKind => definition('unit', unit).kind;

function definition(field: string, unit: Unit): UnitDefinition {
  const found = Object.hasOwn(UNITS, unit) ? UNITS[unit] : undefined;
  if (found === undefined) throw new InputError(field, unitSays('unknown-unit', { unit: String(unit) }));
  return found;
}
