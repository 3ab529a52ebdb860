import { fieldFaults } from '@bunkhouse/api';
import { toNestErrors } from '@hookform/resolvers';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import type { FieldError, FieldValues, Resolver, ResolverOptions, ResolverResult } from 'react-hook-form';
import { saidHere } from '../data/request';

/** A fault at a field, told to whoever types. */
export interface ToldFault {
  field: string;
  message: string;
}

/** Where a fault is told: at its field, where the form shows it or a part of it; else over the buttons of the form, at `root`. */
export const homeOf = (field: string, shown: readonly string[]): string =>
  shown.some((name) => name === field || name.startsWith(`${field}.`) || field.startsWith(`${name}.`)) ? field : 'root';

/** Faults as the form library keeps them, the first of each field. */
export function toldIn<T extends FieldValues>(faults: readonly ToldFault[], options: ResolverOptions<T>): ResolverResult<T> {
  const errors: Record<string, FieldError> = {};
  for (const { field, message } of faults) errors[homeOf(field, options.names ?? [])] ??= { type: 'rule', message };
  return { values: {}, errors: toNestErrors<T>(errors, options) };
}

/**
 * The rules of a request for a form: each fault at its field, in the units and numbers of whoever types.
 *
 * @param also faults that the request alone does not show: those of the thing that it is about
 */
export const rulesOf =
  <T extends FieldValues>(shape: new () => T, also: (request: T) => readonly ToldFault[] = () => []): Resolver<T> =>
  (values, _context, options) => {
    const request = plainToInstance(shape, values);
    const faults = [...fieldFaults(validateSync(request)).map(({ field, ...fault }) => ({ field, message: saidHere(fault) })), ...also(request)];
    return faults.length === 0 ? { values: request, errors: {} } : toldIn(faults, options);
  };
