import { fieldFaults } from '@bunkhouse/api';
import { toNestErrors } from '@hookform/resolvers';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import type { FieldError, FieldValues, Resolver } from 'react-hook-form';
import { saidHere } from '../data/request';

/** The rules of a request for a form: each fault at its field, in the units and numbers of whoever types. */
export const rulesOf =
  <T extends FieldValues>(shape: new () => T): Resolver<T> =>
  (values, _context, options) => {
    const request = plainToInstance(shape, values);
    const errors: Record<string, FieldError> = {};
    for (const { field, ...fault } of fieldFaults(validateSync(request))) errors[field] = { type: fault.code ?? 'rule', message: saidHere(fault) };
    return Object.keys(errors).length === 0 ? { values: request, errors: {} } : { values: {}, errors: toNestErrors<T>(errors, options) };
  };
